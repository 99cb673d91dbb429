using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Turning;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Mapping;

/// <summary>From stored engine types to the core's.</summary>
public static class TypeMapping
{
    /// <summary>The core's view of a type, judged by one revision.</summary>
    public static EngineType ToCore(this EngineTypeRow row, SpecRevisionRow? revision, FleetRow fleet) => new()
    {
        Order = FiringOrder.Parse(row.FiringOrder, row.Cycle, row.FiringAnglesDeg),
        Timing = row.Timing ?? ValveTiming.Unknown,
        RampGuardDeg = row.RampGuardDeg,
        Points = [.. row.Points.OrderBy(p => p.Order).Select(ToCore)],
        Specs = Specs(revision?.Lines ?? [], fleet),
        Condition = revision?.Condition ?? SpecCondition.Cold,
        Screw = row.PitchMm is { } pitch ? new AdjustingScrew(pitch, row.ClearancePerTravel, row.ClockwiseCloses) : null,
        Method = row.Method,
        BookStops = [.. row.BookStops.Select(stop => new BookStop(stop.CrankDeg, [.. stop.Points.Select(ParseRef)]))],
    };

    public static LashPoint ToCore(this LashPointRow row) => new(row.Label, row.Cylinder, row.Kind, row.Place, row.Adjuster, row.Bank, row.Along);

    /// <summary>The revision in force on a day: the latest dated on or before it, else the earliest there is.</summary>
    public static SpecRevisionRow? InForce(this EngineTypeRow row, DateOnly day) =>
        row.Revisions.Where(r => r.Date <= day).MaxBy(r => r.Date) ?? row.Revisions.MinBy(r => r.Date);

    /// <summary>The figures of a revision by kind; the fleet's tolerance is added to single figures.</summary>
    /// <exception cref="BadInputException">A line that is no figure, or no window.</exception>
    public static IReadOnlyDictionary<LashKind, ClearanceSpec> Specs(IEnumerable<SpecLineRow> lines, FleetRow fleet)
    {
        var specs = new Dictionary<LashKind, ClearanceSpec>();
        foreach (var line in lines)
        {
            var unit = Length.ParseUnit(line.Unit);
            if (!specs.TryAdd(line.Kind, Spec(line, unit, fleet)))
                throw new BadInputException("specs", $"The {line.Kind.Word()} figure is given twice; give each kind once.");
        }
        return specs;
    }

    /// <summary>4E, 12I: a cylinder and a kind.</summary>
    public static LashRef ParseRef(string text)
    {
        var trimmed = text.Trim().ToUpperInvariant();
        LashKind? kind = trimmed.Length > 1 ? trimmed[^1] switch { 'I' => LashKind.Intake, 'E' => LashKind.Exhaust, 'J' => LashKind.Injector, 'B' => LashKind.EngineBrake, _ => null } : null;
        if (kind is null || !int.TryParse(trimmed[..^1], out var cylinder))
            throw new BadInputException("bookStops", $"'{text}' is not a point; write the cylinder and I, E, J or B, such as 4E.");
        return new LashRef(cylinder, kind.Value);
    }

    private static ClearanceSpec Spec(SpecLineRow line, LengthUnit unit, FleetRow fleet)
    {
        if (!string.IsNullOrWhiteSpace(line.Single))
            return ClearanceSpec.OfSingleFigure(Length.Parse(line.Single, unit, "single").Millimetres, fleet.ToleranceTightMm, fleet.ToleranceLooseMm);
        var set = string.IsNullOrWhiteSpace(line.Set) ? (double?)null : Length.Parse(line.Set, unit, "set").Millimetres;
        return ClearanceSpec.OfWindow(Length.Parse(line.Min, unit, "min").Millimetres, Length.Parse(line.Max, unit, "max").Millimetres, set);
    }
}
