using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Mapping;

/// <summary>From stored engine types to the core's.</summary>
public static class TypeMapping
{
    /// <summary>The core's view of a type, without its figures.</summary>
    public static EngineType ToCore(this EngineTypeRow row) => new()
    {
        Order = FiringOrder.Parse(row.FiringOrder, row.Facts.Cycle, row.Facts.FiringAnglesDeg),
        Timing = row.Timing ?? ValveTiming.Unknown,
        Uniflow = row.Uniflow ?? UniflowTiming.Unknown,
        RampGuardDeg = row.Facts.RampGuardDeg,
        PastTdc = row.PastTdc(),
        Letters = row.Facts.Letters,
        Points = [.. row.Points.OrderBy(p => p.Order).Select(p => p.ToCore(row.Figures(p.Kind)))],
        Method = row.Facts.Method,
        BookStops = [.. row.BookStops.Select(stop => new BookStop(CrankAngle.Of(stop.CrankDeg, row.Facts.Cycle), [.. stop.Points.Select(row.ParseRef)]))],
    };

    /// <summary>What the adjusters of one kind of point are made of.</summary>
    public static AdjusterFigures Figures(this EngineTypeRow row, LashKind kind)
    {
        var own = row.ByKind.Find(k => k.Kind == kind);
        // A turn worked out by a ratio that nobody gave would be a wrong one: then none is given.
        var isTurnKnown = own?.ClearancePerTravel is not null || !row.Assumed.Contains("clearancePerTravel")
            || !(own?.Adjuster ?? HeadLayout.For(kind, row.Facts.Adjuster)).ActsThroughRatio();
        return new AdjusterFigures(isTurnKnown ? own?.PitchMm ?? row.Facts.PitchMm : null, own?.ClearancePerTravel ?? row.Facts.ClearancePerTravel, own?.ClockwiseCloses ?? row.Facts.ClockwiseCloses, row.Facts.ShimSizesMm, row.Facts.ShimPerClearance, Turns.Of(row.Facts.TravelTurns), row.Facts.SelfLocking);
    }

    /// <summary>Where a compression release makes it measured past TDC.</summary>
    public static PastTdc? PastTdc(this EngineTypeRow row) => row.Facts.PastTdcMm is { } travel ? PistonTravel.Past(travel, row.Facts.StrokeMm, row.Facts.RodMm) : null;

    /// <summary>Its steps: edited, or as they follow from its adjusters.</summary>
    public static IReadOnlyList<TypeStep> StepsOf(this EngineTypeRow row, EngineType core) => row.OwnSteps
        ? [.. row.Steps.Select(s => new TypeStep(s.Key, s.List, s.Text) { Kind = s.Kind, Points = s.Points is { Count: > 0 } points ? points : null, CrankDeg = s.CrankDeg is { } deg ? CrankAngle.Of(deg, row.Facts.Cycle) : null, Counts = s.Counts, Pair = s.Pair, Asks = s.Asks, OnlyJob = s.OnlyJob, Places = s.Places is { Count: > 0 } places ? places : null, AfterFitting = s.AfterFitting ?? (s.List == StepList.Point && DefaultSteps.LooksAfterFitting(s.Key)) })]
        : DefaultSteps.Of(core, row.Facts.Spark);

    /// <summary>What the job takes.</summary>
    public static KitFacts Kit(this EngineTypeRow row) => new()
    {
        Fasteners = [.. row.Fasteners.Select(f => new Fastener(f.Use, f.Size, f.TorqueNm, f.Count))],
        Gaskets = [.. row.Gaskets.Select(g => new Gasket(g.Name, g.Count, g.SingleUse))],
        ScarceTools = row.ScarceTools,
        BarringTool = row.Facts.BarringTool,
        Pins = row.Facts.Pins,
        NarrowBlade = row.Facts.NarrowBlade,
        Dial = row.Facts.Measuring == MeasuringMeans.Dial,
        Spark = row.Facts.Spark,
    };

    public static LashPoint ToCore(this LashPointRow row, AdjusterFigures figures) =>
        new(row.Label, row.Cylinder, row.Kind, row.Place, row.Adjuster.With(figures), row.Bank, row.Along, row.Adjuster == AdjusterKind.BridgeScrew ? new Bridge(row.BridgeScrew) : null);

    /// <summary>The revision in force on a day: the latest dated on or before it, else the earliest there is.</summary>
    public static SpecRevisionRow? InForce(this EngineTypeRow row, DateOnly day) => InForce(row.Revisions, day);

    /// <summary>The revision in force in each condition, the usual condition first.</summary>
    public static IReadOnlyList<SpecRevisionRow> InForceByCondition(this EngineTypeRow row, DateOnly day)
    {
        var usual = row.InForce(day)?.Condition;
        return [.. row.Revisions.GroupBy(r => r.Condition).OrderBy(g => g.Key == usual ? 0 : 1).Select(g => InForce(g, day)!)];
    }

    /// <summary>The one of some revisions that is in force on a day.</summary>
    public static SpecRevisionRow? InForce(IEnumerable<SpecRevisionRow> revisions, DateOnly day)
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
        var (intake, exhaust) = (row.Facts.Letters.Letter(LashKind.Intake), row.Facts.Letters.Letter(LashKind.Exhaust));
        var kind = trimmed.Length > 1 ? row.Facts.Letters.KindOf(trimmed[^1]) : null;
        if (kind is null || !int.TryParse(trimmed[..^1], out var cylinder))
            throw new BadInputException("bookStops", row.Points.Exists(p => p.BookName is not null)
                ? $"'{text}' is not a point; write the book's own number or name of the valve, or the cylinder and {intake}, {exhaust}, J or B, such as 4{exhaust}."
                : $"'{text}' is not a point; write the cylinder and {intake}, {exhaust}, J or B, such as 4{exhaust}. To write the book's valve numbers, give the numbers of the points first.");
        return new LashRef(cylinder, kind.Value);
    }
}
