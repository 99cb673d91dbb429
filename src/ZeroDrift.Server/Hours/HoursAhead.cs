using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Hours;
using ZeroDrift.Data;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Hours;

/// <summary>What the meter will show on a day, or the day for a figure, with the band; and what that rests on.</summary>
public sealed record HoursAheadResponse(DateOnly Today, double ShownHours, double HoursPerDay, bool FromReadings, IReadOnlyList<double> MonthlyWeights, bool SeasonLearned, IReadOnlyList<Days> LaidUp)
{
    /// <summary>The day for the figure asked, with the earliest and latest believable; null where not within forty years.</summary>
    public DateOnly? Date { get; init; }
    public DateOnly? Earliest { get; init; }
    public DateOnly? Latest { get; init; }

    /// <summary>What the meter will show on the day asked, with the least and most believable.</summary>
    public double? Hours { get; init; }
    public double? Least { get; init; }
    public double? Most { get; init; }
}

/// <summary>From hours to a date and back, by the engine's own use, season and laid-up times.</summary>
internal static class HoursAhead
{
    private const int FurthestYears = 40;

    public static void MapHoursAhead(this IEndpointRouteBuilder api) => api.MapGet("/engines/{id:guid}/hours-ahead", OfAsync).WithTags("Hours").WithName("get-hours-ahead").Refuses(400, 404);

    public static async Task<HoursAheadResponse> OfAsync(Guid id, ZeroDriftContext data, FleetDay day, CancellationToken cancelled, double? hours = null, DateOnly? date = null)
    {
        var engine = await data.Engines.AsNoTracking().FirstOrDefaultAsync(e => e.Id == id && e.ArchivedAt == null, cancelled) ?? throw new NotFoundException("There is no such engine.");
        var outlook = (await OutlookKeeper.TodayAsync(data, id, day.Today, cancelled))!;
        var (use, today, shows) = (outlook.Usage, day.Today, outlook.HoursNow - outlook.MeterOffset);
        var answer = new HoursAheadResponse(today, shows, use.HoursPerDay, use.FromReadings, use.MonthlyWeights, engine.MonthlyWeights is null && use.MonthlyWeights.Any(w => Math.Abs(w - 1) > 1e-9), use.LaidUp);
        if (hours is { } asked)
        {
            var figure = Given.Above(asked, 0, EngineHours.Most, "hours", "What the meter is to show", "h");
            if (figure < shows) throw new BadInputException("hours", $"The meter shows about {shows:0} h already; ask for more.");
            var (earliest, latest) = use.DateBand(today, figure - shows);
            answer = answer with { Date = use.DateAfter(today, figure - shows), Earliest = earliest, Latest = latest };
        }
        if (date is not { } on) return answer;
        if (on < today || on.Year > today.Year + FurthestYears) throw new BadInputException("date", "Ask for a day from today on, within forty years.");
        var (least, most) = use.HoursBand(today, on);
        return answer with { Hours = shows + use.HoursBetween(today, on), Least = shows + least, Most = shows + most };
    }
}
