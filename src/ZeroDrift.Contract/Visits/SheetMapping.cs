using ZeroDrift.Contract.Calls;
using ZeroDrift.Core;
using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Visits;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Contract.Visits;

/// <summary>Draws up the work sheet of a visit.</summary>
public static class SheetMapping
{
    public static SheetRecord Of(Visit visit, ContextRecord context)
    {
        var before = Uncorrected(visit);
        var points = visit.Points.Zip(visit.Work).Select(p => Point(visit, context, p.First, p.Second, before)).ToList();
        var order = visit.Context.Type.Order;
        return new SheetRecord
        {
            Method = visit.Method,
            Setting = visit.Setting,
            CycleDeg = order.Cycle.Degrees(),
            FiringOrder = order.Cylinders,
            FiringAnglesDeg = [.. order.Cylinders.Select(c => order.FiresAt(c).Degrees)],
            Condition = visit.Condition?.Condition ?? visit.Demands?.Condition ?? SpecCondition.Cold,
            ConditionKnown = visit.Condition is not null,
            EngineTemperatureC = visit.Condition?.EngineTemperatureC,
            OutOfTrend = visit.IsOutOfTrend,
            OutOfTrendBecause = Because(visit),
            SpecRevision = visit.Demands?.Revision,
            SpecSource = visit.Demands?.Source,
            ShownHours = visit.Opened!.ShownHours,
            TotalHours = context.Meter is { } meter && visit.Opened.Date >= meter.Date ? visit.Opened.ShownHours + meter.OffsetHours : null,
            Tray = visit.Tray?.Blades ?? [],
            TrayUnit = WrittenFigure.Name(visit.Tray?.Unit ?? Core.Lengths.LengthUnit.Millimetre),
            TraySet = visit.Tray?.SetId,
            Stops = [.. visit.Plan.Stops.Select((s, i) => Stop(visit, context, s, i, points))],
            CannotSet = [.. visit.Plan.Turning.CannotSet.Select(p => new UnplacedPointResponse(p.Point.Cylinder, p.Point.Kind, p.MarginDeg, p.Reason))],
            Points = points,
        };
    }

    /// <summary>The line of one point, as it stands on the sheet.</summary>
    /// <exception cref="BadInputException">The engine has no such point.</exception>
    public static SheetPointRecord Line(Visit visit, ContextRecord context, string label)
    {
        var (view, work) = visit.Points.Zip(visit.Work).FirstOrDefault(p => p.First.Point == label);
        return work is null ? throw new BadInputException("only", $"This engine has no point {label}.") : Point(visit, context, view, work, Uncorrected(visit));
    }

    private static Visit? Uncorrected(Visit visit) => visit.Corrections.Count > 0 ? Visit.From(visit.Context, visit.Entries.Where(e => e is not Core.Visits.Corrected)) : null;

    private static string? Because(Visit visit)
    {
        if (!visit.IsOutOfTrend) return null;
        if (visit.Answers.GetValueOrDefault(VisitQuestion.OtherBlades)?.Answer == VisitAnswer.Yes) return "otherBlades";
        return visit.Opened!.Bench ? "bench" : visit.State == VisitState.Abandoned ? "abandoned" : "warm";
    }

    private static SheetStopRecord Stop(Visit visit, ContextRecord context, PlannedStop stop, int index, List<SheetPointRecord> points)
    {
        var own = points.Where(p => stop.Points.Contains(p.Label)).ToList();
        var proved = visit.Work.Where(p => stop.Points.Contains(p.Point.Label)).All(visit.IsProved);
        if (stop.Turning is not { } turning)
            return new SheetStopRecord(index, null, 0, 0, null, null, "No stop of the plan reaches these: bar until each one's lobe points away from its valve, then measure.", null, null, proved, own.TrueForAll(p => p.Done), stop.Points);
        return new SheetStopRecord(index, turning.CrankDeg, turning.TurnFromPreviousDeg, Core.Turning.BarringTool.For(turning.TurnFromPreviousDeg, context.Type.ToolTurnsPerCrankTurn), turning.CompressionCylinder, turning.RockingCylinder, turning.Sign,
            turning.Set.Min(p => p.RoomBackDeg), turning.Set.Min(p => p.RoomForwardDeg), proved, own.TrueForAll(p => p.Done), stop.Points);
    }

    private static SheetPointRecord Point(Visit visit, ContextRecord context, PointView view, PointWork work, Visit? before)
    {
        var gap = view.Demand as Demand.Gap;
        var demand = context.Demands.FirstOrDefault(d => d.Revision == visit.Demands?.Revision && d.Condition == visit.Demands?.Condition)?.Points.FirstOrDefault(p => p.Point == view.Point);
        var expected = context.Expected.FirstOrDefault(e => e.Point == view.Point);
        var (owesFound, owesLeft) = (visit.OwesFound(work), visit.OwesLeft(work));
        var done = !owesFound && !owesLeft;
        var leftAt = (view.Left ?? view.Found)?.Value.EstimateMm;
        var ahead = gap is null ? null : expected?.FromHere ?? (expected is { MmPer1000h: { } rate, StandardErrorMmPer1000h: { } error } ? FreshAhead.Plain(rate, error) : null);
        var share = context.FleetRisk / Math.Max(1, context.Points.Count);
        // What the record worked out for the whole engine; offered where it gives days, not hours.
        var aim = gap is not null && owesLeft && !owesFound && expected is { AimGainHours: > 100 } ? expected : null;
        // In its window it may be left; offered to be set where it is likelier than its share of the risk to be out before anybody looks again.
        var stays = ahead is not null && view is { Verdict: Core.Judging.VerdictState.InWindow, Left: not null } && work.Left is null && view.Found?.Value.EstimateMm is { } seen && context.NextVisitHours is > 0 and { } next
            ? ahead.LeftAt(view.Point, gap!.Window, seen, Math.Max(view.Found.Value.StandardUncertaintyMm ?? 0, AimOff.LeastUncertaintyMm)) is var left ? (Out: left.Out(next), Side: left.Side(next)) : default
            : default;
        var finer = ahead is not null && work.Left is null && IsWorthFiner(ahead, gap!.Window, work, view, expected!, context.NextVisitHours, share);
        var advice = owesLeft && !owesFound && view.Demand is { } asked ? Advised(work, asked, view) : null;
        return new SheetPointRecord
        {
            Label = view.Point,
            Cylinder = work.Point.Cylinder,
            Kind = work.Point.Kind,
            Place = work.Point.Place,
            Bank = work.Point.Bank,
            Along = work.Point.Along,
            StopIndex = StopOf(visit, view.Point),
            MinMm = gap?.Window.MinMm,
            MaxMm = gap?.Window.MaxMm,
            SetMm = gap?.AimMm,
            FleetTolerance = gap?.FleetTolerance ?? false,
            SpecWritten = demand?.Written,
            ByAmount = visit.IsByAmount(work),
            Amount = advice?.Amount is { } amount ? AmountResponse.Of(amount) : null,
            Start = work.Start?.State,
            BeforeMm = expected?.BeforeMm,
            BeforeHours = expected?.BeforeHours,
            ExpectedMm = visit.State == VisitState.Open ? expected?.ClearanceMm : null,
            Found = Reading(visit, work.Found, gap),
            Left = Reading(visit, work.Left, gap),
            FoundDraft = Reading(visit, work.Growing(ReadingStage.AsFound), gap, finer ? MeasuringAim.Figure : MeasuringAim.Decide),
            LeftDraft = Reading(visit, work.Growing(ReadingStage.AsLeft), gap),
            Outcome = view.Outcome,
            Why = work.Said?.Why,
            OwesFound = owesFound,
            OwesLeft = owesLeft,
            Done = done,
            Advice = advice is null ? null : AdviceResponse.Of(advice),
            HoursToRiskFromHere = ahead is not null && leftAt is { } mm && done ? ahead.LeftAt(view.Point, gap!.Window, mm, AimOff.LeastUncertaintyMm).HoursTo(share, HoursToRisk.DefaultHorizonHours) : null,
            OutByNextVisit = stays.Out > share ? stays.Out : null,
            OutSide = stays.Out > share ? stays.Side : null,
            AimOffMm = aim?.AimMm,
            AimOffHours = aim?.AimGainHours,
            WorthFiner = finer,
            FittedShim = work.Shims.Count > 0 ? work.Shims[^1].Thickness : null,
            Adjuster = work.Point.Adjuster.Word,
            Corrected = [.. Corrected(visit, work, before, gap)],
        };
    }

    private static Advice? Advised(PointWork work, Demand asked, PointView view)
    {
        var fitted = work.Shims.Count > 0 ? Core.Lengths.Length.Parse(work.Shims[^1].Thickness, work.Shims[^1].Unit).Millimetres : (double?)null;
        try
        {
            return Advice.For(work.Point.Adjuster, asked, (view.Left ?? view.Found)?.Value, fitted);
        }
        catch (BadInputException bad)
        {
            // A shim whose thickness nobody has measured yet, or a book that asks what this adjuster cannot do: said, not hidden.
            return new Advice(AdviceAction.MeasureOn, null, null, null, bad.Message);
        }
    }

    /// <summary>Before the first try by what is expected, then by the bracket under way, until it is kept.</summary>
    private static bool IsWorthFiner(FreshAhead ahead, Window window, PointWork work, PointView view, ExpectedRecord expected, double? nextVisitHours, double share)
    {
        if (view.Found is not null || nextVisitHours is not > 0) return false;
        var draft = work.Growing(ReadingStage.AsFound);
        // A figure read off or a blade that drags is as fine as it gets.
        if (draft is { Figure: not null } || draft?.Tries.Any(t => t.Feel == Feel.Drag) == true) return false;
        var (lower, upper) = draft is not null && Value(draft).Reading is { LowerMm: { } l, UpperMm: { } u } ? (l, u) : expected is { ClearanceMm: { } mm, StandardUncertaintyMm: { } sd } ? (mm - sd, mm + sd) : (0.0, 0.0);
        return ahead.IsWorthFiner(window, lower, upper, AimOff.LeastUncertaintyMm, nextVisitHours.Value, share);
    }

    private static int StopOf(Visit visit, string label)
    {
        for (var i = 0; i < visit.Plan.Stops.Count; i++)
            if (visit.Plan.Stops[i].Points.Contains(label)) return i;
        return 0;
    }

    private static SheetReadingRecord? Reading(Visit visit, ReadingWork? work, Demand.Gap? gap, MeasuringAim aim = MeasuringAim.Decide)
    {
        if (work is null) return null;
        var (value, complaint) = Value(work);
        var unit = work.Figure?.Unit ?? (work.Tries.Count > 0 ? WrittenFigure.Name(work.Tries[^1].Unit) : "mm");
        var next = work.Kept is null && complaint is null && visit.Tray is { } tray ? NextTry.Of(tray.BladesMm, work.Trials, value, gap, aim) : null;
        var judged = work.Judge(gap);
        var corrected = work.Tries.LastOrDefault(t => t.CorrectedFigure is not null);
        return new SheetReadingRecord
        {
            Id = work.Id,
            Stage = work.Stage,
            Tries = corrected is null ? [.. work.Tries.Select(t => new TryRecord(t.Id, t.Blades, WrittenFigure.Name(t.Unit), t.Feel))] : [],
            Written = corrected?.CorrectedFigure ?? work.Figure?.Figure,
            Unit = corrected is null ? unit : WrittenFigure.Name(corrected.Unit),
            LowerMm = value.LowerMm,
            UpperMm = value.UpperMm,
            EstimateMm = value.EstimateMm,
            StandardUncertaintyMm = value.StandardUncertaintyMm,
            By = work.Kept?.By ?? Last(work).By,
            At = work.Kept?.At ?? Last(work).At,
            Kept = work.Kept is not null,
            Unproved = work.Unproved,
            State = judged?.State,
            Because = judged?.Because,
            OnFigure = judged?.OnFigure ?? false,
            Action = judged is { State: null } ? next is null ? JudgedAction.Yours : JudgedAction.MeasureOn : judged?.Action,
            NextBlade = next is null ? null : new NextBladeRecord([.. next.BladesMm.Select(mm => visit.Tray!.Blades[IndexOf(visit.Tray.BladesMm, mm)])], next.SumMm),
            LastEntry = work.LastEntry,
            Complaint = complaint,
            OfferUnit = work.Kept is null && gap is not null && work.Trials.Count == 0 ? OtherUnit(work, gap) : null,
        };
    }

    private static string? OtherUnit(ReadingWork work, Demand.Gap gap)
    {
        if (work.Figure is not { With: FigureSource.Figure } figure || !char.IsAsciiDigit(figure.Figure[0]) || figure.Figure.AsSpan(1).ContainsAny('-', '–')) return null;
        var written = Core.Lengths.Length.Parse(figure.Figure, WrittenFigure.Unit(figure.Unit));
        return Core.Lengths.UnitDoubt.Offer(written, gap.Window.MinMm, gap.Window.MaxMm) is { } other ? WrittenFigure.Name(other) : null;
    }

    private static int IndexOf(IReadOnlyList<double> blades, double mm)
    {
        for (var i = 0; i < blades.Count; i++)
            if (Math.Abs(blades[i] - mm) < 1e-9) return i;
        return 0;
    }

    private static Entry Last(ReadingWork work) => work.Figure is { } figure && figure.Id == work.LastEntry ? figure : work.Tries[^1];

    private static (Reading Reading, string? Complaint) Value(ReadingWork work)
    {
        try
        {
            return (work.Value(), null);
        }
        catch (BadInputException bad)
        {
            return (Core.Measuring.Reading.Nothing, bad.Message);
        }
    }

    private static IEnumerable<CorrectedFigureRecord> Corrected(Visit visit, PointWork work, Visit? before, Demand.Gap? gap)
    {
        if (before is null) yield break;
        foreach (var reading in work.Readings.Where(r => r.Kept is not null))
        {
            var entries = reading.Tries.Select(t => t.Id).Append(reading.Figure?.Id ?? Guid.Empty).ToHashSet();
            if (visit.Entries.OfType<Core.Visits.Corrected>().LastOrDefault(c => entries.Contains(c.Target)) is not { } correction) continue;
            var old = before.Work.First(p => p.Point.Label == work.Point.Label).Readings.FirstOrDefault(r => r.Id == reading.Id);
            if (Reading(before, old, gap) is { } was) yield return new CorrectedFigureRecord(was, correction.Why, correction.By, correction.At);
        }
    }
}
