using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Hours;

namespace ZeroDrift.Contract.Calls;

public static class HoursCalls
{
    public static HoursResponse Hours(HoursRequest request)
    {
        var readings = Given.List(request.Readings, "readings", "the meter readings, each with its date", 2000)
            .Select((r, i) => new MeterReading(
                r.Date ?? throw new BadInputException($"readings[{i}].date", "Give the day the meter was read."),
                EngineHours.Of(Given.Number(r.Hours, $"readings[{i}].hours", "what the meter showed"), $"readings[{i}].hours"),
                EngineHours.Of(r.NewMeterShows, $"readings[{i}].newMeterShows")))
            .ToList();
        for (var i = 1; i < readings.Count; i++) Check(readings, i);
        var history = MeterHistory.Of(readings);
        var today = request.Today ?? readings[^1].Date;
        var usage = Usage.Of(history.Totals, today, request.DutyHoursPerDay ?? 0, request.MonthlyWeights);
        var ahead = request.HoursAhead ?? 0;
        if (!(ahead >= 0 && ahead <= 1_000_000)) throw new BadInputException("hoursAhead", "Hours ahead must be from 0 to 1000000.");
        var (earliest, latest) = usage.DateBand(today, ahead);
        return new HoursResponse(
            [.. history.Totals.Select(t => new EngineHoursResponse(t.Date, t.TotalHours))],
            usage.HoursPerDay, usage.Low, usage.High, usage.FromReadings,
            request.HoursAhead is null ? null : usage.DateAfter(today, ahead),
            request.HoursAhead is null ? null : earliest,
            request.HoursAhead is null ? null : latest);
    }

    /// <summary>A list of readings is one meter's life: each goes on from the one before.</summary>
    private static void Check(List<MeterReading> readings, int index)
    {
        var (before, reading) = (readings[index - 1], readings[index]);
        if (reading.Date < before.Date) throw new BadInputException($"readings[{index}].date", $"{Said.Day(reading.Date)} comes before {Said.Day(before.Date)}; give the readings in the order of their days.");
        if (MeterMisfit.After(before, reading) is { } misfit) throw misfit.Complaint().Inside($"readings[{index}]");
    }
}
