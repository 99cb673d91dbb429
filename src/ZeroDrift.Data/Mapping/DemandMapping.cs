using ZeroDrift.Contract.Calls;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Mapping;

/// <summary>From the lines of a revision, kept as the source writes them, to what they ask.</summary>
public static class DemandMapping
{
    /// <summary>The demands of a revision by kind; the fleet's tolerance is added to single figures that give none.</summary>
    /// <exception cref="BadInputException">A line that asks nothing, or nothing that can be.</exception>
    public static IReadOnlyDictionary<LashKind, Demand> Demands(IEnumerable<SpecLineRow> lines, FleetRow fleet)
    {
        var demands = new Dictionary<LashKind, Demand>();
        foreach (var line in lines)
            if (!demands.TryAdd(line.Kind, line.ToDemand(fleet)))
                throw new BadInputException("specs", $"The {line.Kind.Word()} figure is given twice; give each kind once.");
        return demands;
    }

    public static Demand ToDemand(this SpecLineRow line, FleetRow fleet)
    {
        if (line.Zero) return new Demand.Zero();
        if (line.Turns is not null || line.Fraction is not null) return Demand.Preload.Of(Turns.Of(line.Turns, "turns", "The preload"), line.Fraction);
        if (line.HeightMm is { } height) return new Demand.Height(height);
        if (line.TorqueNm is { } torque) return new Demand.Torque(torque);
        var unit = Length.ParseUnit(line.Unit);
        if (Figure(line.Go, "go") is { } go) return Demand.Gap.OfBlades(go, Needed(line.NoGo, "noGo"), Figure(line.Set, "set")) with { Unit = unit };
        if (Figure(line.Single, "single") is { } single)
            return Demand.Gap.OfSingleFigure(single, Figure(line.TightSide, "tightSide") ?? fleet.ToleranceTightMm, Figure(line.LooseSide, "looseSide") ?? fleet.ToleranceLooseMm, unit)
                with
            { FleetTolerance = string.IsNullOrWhiteSpace(line.TightSide) && string.IsNullOrWhiteSpace(line.LooseSide) };
        return Demand.Gap.OfWindow(Window.Of(Needed(line.Min, "min"), Needed(line.Max, "max")), Figure(line.Set, "set")) with { Unit = unit };

        Clearance? Figure(string? text, string field) => string.IsNullOrWhiteSpace(text) ? null : Needed(text, field);
        Clearance Needed(string? text, string field) => Clearance.OfMm(Length.Parse(text, unit, field).Millimetres, field);
    }

    /// <summary>The line as the source writes it.</summary>
    public static string Written(this SpecLineRow line)
    {
        if (line.Zero) return "zero lash";
        if (line.Turns is { } turns) return FormattableString.Invariant($"{turns} turns past contact");
        if (line.Fraction is { } fraction) return FormattableString.Invariant($"{fraction:0.##} of the plunger's travel");
        if (line.HeightMm is { } height) return FormattableString.Invariant($"height {height} mm");
        if (line.TorqueNm is { } torque) return FormattableString.Invariant($"{torque} Nm");
        if (line.Go is { Length: > 0 }) return $"{line.Go} goes, {line.NoGo} does not{Set(line)}, {line.Unit}";
        if (line.Single is { Length: > 0 })
            return line.TightSide is { Length: > 0 } || line.LooseSide is { Length: > 0 } ? $"{line.Single} {line.Unit}, −{line.TightSide} +{line.LooseSide}" : $"{line.Single} {line.Unit}, fleet's tolerance";
        return $"{line.Min} – {line.Max}{Set(line)} {line.Unit}";
    }

    private static string Set(SpecLineRow line) => string.IsNullOrWhiteSpace(line.Set) ? "" : $", set {line.Set}";

    /// <summary>A demand as it goes along in a context.</summary>
    public static AdviceDemandRequest ToRecord(this Demand demand) => demand.Match(
        gap => gap.IsPair
            ? new AdviceDemandRequest { Kind = DemandWord.Gap, GoMm = gap.Window.MinMm, NoGoMm = gap.Window.MaxMm, SetMm = gap.SetMm }
            : new AdviceDemandRequest { Kind = DemandWord.Gap, MinMm = gap.Window.MinMm, MaxMm = gap.Window.MaxMm, SetMm = gap.SetMm },
        _ => new AdviceDemandRequest { Kind = DemandWord.Zero },
        preload => new AdviceDemandRequest { Kind = DemandWord.Preload, Turns = preload.Turns, Fraction = preload.Fraction },
        height => new AdviceDemandRequest { Kind = DemandWord.Height, Mm = height.Mm },
        torque => new AdviceDemandRequest { Kind = DemandWord.Torque, Nm = torque.Nm });

    /// <summary>An adjuster as it goes along in a context.</summary>
    public static AdjusterRequest ToRecord(this Adjuster adjuster) => adjuster.Match(
        s => new AdjusterRequest { Kind = AdjusterWord.Screw, PitchMm = s.PitchMm, ClearancePerTravel = s.ClearancePerTravel, ClockwiseCloses = s.ClockwiseCloses, SelfLocking = s.SelfLocking ? true : null },
        _ => new AdjusterRequest { Kind = AdjusterWord.Eccentric },
        s => new AdjusterRequest { Kind = AdjusterWord.Shim, Access = s.Access, SizesMm = s.SizesMm, ShimPerClearance = s.ShimPerClearance },
        h => new AdjusterRequest { Kind = AdjusterWord.Hydraulic, TravelTurns = h.TravelTurns, SelfLocking = h.SelfLocking },
        i => new AdjusterRequest { Kind = AdjusterWord.InjectorScrew, PitchMm = i.PitchMm },
        b => new AdjusterRequest { Kind = AdjusterWord.BrakeScrew, PitchMm = b.PitchMm, ClearancePerTravel = b.ClearancePerTravel, ClockwiseCloses = b.ClockwiseCloses });
}
