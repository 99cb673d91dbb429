using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Mapping;

/// <summary>From stored engine types to the core's.</summary>
public static class TypeMapping
{
    /// <summary>The core's view of a type, without its figures.</summary>
    public static EngineType ToCore(this EngineTypeRow row) => new()
    {
        Order = FiringOrder.Parse(row.FiringOrder, row.Cycle, row.FiringAnglesDeg),
        Timing = row.Timing ?? ValveTiming.Unknown,
        RampGuardDeg = row.RampGuardDeg,
        Points = [.. row.Points.OrderBy(p => p.Order).Select(p => p.ToCore(row.Figures()))],
        Method = row.Method,
        BookStops = [.. row.BookStops.Select(stop => new BookStop(CrankAngle.Of(stop.CrankDeg, row.Cycle), [.. stop.Points.Select(row.ParseRef)]))],
    };

    /// <summary>What its adjusters are made of.</summary>
    public static AdjusterFigures Figures(this EngineTypeRow row) => new(row.PitchMm, row.ClearancePerTravel, row.ClockwiseCloses, row.ShimSizesMm, row.ShimPerClearance, Turns.Of(row.TravelTurns), row.SelfLocking);

    public static LashPoint ToCore(this LashPointRow row, AdjusterFigures figures) =>
        new(row.Label, row.Cylinder, row.Kind, row.Place, row.Adjuster.With(figures), row.Bank, row.Along, row.Adjuster == AdjusterKind.BridgeScrew ? new Bridge(false) : null);

    /// <summary>The revision in force on a day: the latest dated on or before it, else the earliest there is.</summary>
    public static SpecRevisionRow? InForce(this EngineTypeRow row, DateOnly day) => InForce(row.Revisions, day);

    /// <summary>The revision in force in each condition, the usual condition first.</summary>
    public static IReadOnlyList<SpecRevisionRow> InForceByCondition(this EngineTypeRow row, DateOnly day)
    {
        var usual = row.InForce(day)?.Condition;
        return [.. row.Revisions.GroupBy(r => r.Condition).OrderBy(g => g.Key == usual ? 0 : 1).Select(g => InForce(g, day)!)];
    }

    private static SpecRevisionRow? InForce(IEnumerable<SpecRevisionRow> revisions, DateOnly day)
    {
        // Of two of one day the cold one is the usual.
        var sorted = revisions.OrderBy(r => r.Date).ThenByDescending(r => r.Condition).ToList();
        return sorted.FindLast(r => r.Date <= day) ?? sorted.FirstOrDefault();
    }

    /// <summary>The book's own name or number of a valve, else 4E, 12I: a cylinder and a kind.</summary>
    public static LashRef ParseRef(this EngineTypeRow row, string text)
    {
        var trimmed = text.Trim().ToUpperInvariant();
        if (row.Points.Find(p => string.Equals(p.BookName, trimmed, StringComparison.OrdinalIgnoreCase)) is { } named) return new LashRef(named.Cylinder, named.Kind);
        LashKind? kind = trimmed.Length > 1 ? trimmed[^1] switch { 'I' => LashKind.Intake, 'E' => LashKind.Exhaust, 'J' => LashKind.Injector, 'B' => LashKind.EngineBrake, _ => null } : null;
        if (kind is null || !int.TryParse(trimmed[..^1], out var cylinder))
            throw new BadInputException("bookStops", row.Points.Exists(p => p.BookName is not null)
                ? $"'{text}' is not a point; write the book's own number or name of the valve, or the cylinder and I, E, J or B, such as 4E."
                : $"'{text}' is not a point; write the cylinder and I, E, J or B, such as 4E. To write the book's valve numbers, give the numbers of the points first.");
        return new LashRef(cylinder, kind.Value);
    }
}
