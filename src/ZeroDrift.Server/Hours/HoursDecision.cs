using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Hours;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Server.Hours;

/// <summary>A figure that waited, taken into a meter as somebody decided: put right, or as the first of a new meter.</summary>
internal static class HoursDecision
{
    /// <exception cref="BadInputException">What was decided cannot be right either; by field.</exception>
    public static async Task TakeAsync(ZeroDriftContext data, HoursIntake intake, HoursReportRow row, DecisionRequest request, string decision, DateOnly today)
    {
        if (decision is not ("take" or "meterReplaced")) throw new BadInputException("decision", $"'{Problem.Short(decision, 30)}' is no decision; say take, meterReplaced or setAside.");
        row.EngineId = request.EngineId ?? row.EngineId ?? throw new BadInputException("engineId", "Say which engine it is.");
        var date = request.Date ?? row.Date ?? throw new BadInputException("date", "Give the day it was read.");
        var hours = request.Hours ?? (row.Ways is null ? row.Hours : null) ?? throw new BadInputException("hours", row.Ways is { } ways ? $"It could be {Said.Either(ways)}: say which." : "Give what the meter shows.");
        var history = (await intake.EngineAsync(row.EngineId.Value) ?? throw new BadInputException("engineId", "There is no such engine in the yard.")).Readings.ToHistory();
        var reading = new MeterReadingRow { Id = Guid.CreateVersion7(), EngineId = row.EngineId.Value, Date = date, ShownHours = EngineHours.Of(hours), Who = request.Who ?? row.Who, Remark = $"Decided: {row.Written}"[..Math.Min(200, $"Decided: {row.Written}".Length)], Why = request.Why };
        if (decision == "meterReplaced")
        {
            // The old meter ends where somebody saw it end, else where it was read last.
            var ended = request.OldMeterShows ?? (history.Last?.EndsAt.Hours ?? throw new BadInputException("decision", "This meter was never read, so it cannot have been replaced; take the figure."));
            if (history.Misfit(new MeterReading(date, EngineHours.Of(ended, "oldMeterShows", "What the old meter showed"), EngineHours.Of(hours)), today) is { } misfit) throw misfit.Complaint("oldMeterShows");
            (reading.ShownHours, reading.NewMeterShows) = (ended, hours);
        }
        else if (ReportedHours.Of(history, date, hours, today) is { Doubt: { } doubt } judged)
        {
            throw new BadInputException(doubt == HoursDoubt.StillToCome ? "date" : "hours", HoursIntake.Sentence(judged, row.Machine));
        }
        await intake.AddAsync(row.EngineId.Value, reading);
        if (request.Remember is true) await RememberAsync(data, row.Machine, row.EngineId.Value);
    }

    private static async Task RememberAsync(ZeroDriftContext data, string machine, Guid engineId)
    {
        var key = NameKeys.Of(machine);
        if (await data.MachineAliases.FirstOrDefaultAsync(a => a.NameKey == key) is { } alias) alias.EngineId = engineId;
        else data.MachineAliases.Add(new MachineAliasRow { NameKey = key, EngineId = engineId });
    }
}
