using ZeroDrift.Contract.Calls;
using ZeroDrift.Core;
using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Turning;
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
        var view = CrankView.Of(context.Type.Rotation);
        var stops = new SheetStops(visit, context);
        return new SheetRecord
        {
            Method = visit.Method,
            Setting = visit.Setting,
            Order = visit.Schools.Order,
            Judging = visit.Schools.Judging,
            Manner = visit.Schools.Manner,
            Measuring = visit.Schools.Measuring,
            Methods = [.. TurningMethods.AllowedBy(visit.Context.Type).Where(m => !visit.IsByStarter || !m.NeedsMark()).Select(m => new MethodRecord(m, m.NeedsMark(), m == visit.Context.Type.Method))],
            ByEye = visit.Method.IsByEye(),
            TurnedBy = visit.TurnedBy,
            SeenFrom = view.SeenFrom,
            Anticlockwise = view.Anticlockwise,
            ViewAssumed = view.Assumed,
            Gear = visit.Plan.Engine.Gear,
            StandsDeg = visit.StandsAbout,
            LobeAway = stops.LobesAway(),
            Marks = [.. visit.KnownMarks.Select(m => new MarkRecord(m.Name, m.CrankDeg, m.Trap))],
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
            ThinBlades = [.. (visit.Tray?.Blades ?? []).Zip(visit.Tray?.BladesMm ?? [], (blade, mm) => (blade, mm)).Where(b => ThinBlade.Is(b.mm)).Select(b => b.blade)],
            StoppedAt = visit.StoppedAt,
            HotMinutes = visit.Context.HotMinutes,
            NarrowBlade = context.Type.NarrowBlade,
            RunningMethod = context.Type.RunningMethod,
            SecondPassMinutes = context.Type.SecondPassMinutes,
            Letters = context.Type.Letters.SpeltOut(),
            NotLookedAt = visit.NotLookedAt,
            FindAgain = visit.FindAgain,
            Waiting = visit.Opened!.Continues is null ? [] : [.. visit.Work.Where(w => w.FoundBefore is not null).Select(w => w.Point.Label)],
            PastTdc = context.Type.PastTdc,
            Stops = [.. visit.Plan.Stops.Select((s, i) => stops.Of(s, i, points))],
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

    private static SheetPointRecord Point(Visit visit, ContextRecord context, PointView view, PointWork work, Visit? before)
    {
        var own = context.Points.First(p => p.Label == view.Point);
        var gap = view.Demand as Demand.Gap;
        var demand = context.Demands.FirstOrDefault(d => d.Revision == visit.Demands?.Revision && d.Condition == visit.Demands?.Condition)?.Points.FirstOrDefault(p => p.Point == view.Point);
        var expected = context.Expected.FirstOrDefault(e => e.Point == view.Point);
        var readings = new SheetReadings(visit);
        var (owesFound, owesLeft) = (visit.OwesFound(work), visit.OwesLeft(work) || visit.WantsSetting(work));
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
        var mayBeSet = owesLeft || (visit.State == VisitState.Open && work is { Found: not null, Left: null });
        var advice = mayBeSet && (!owesFound || visit.IsByAmount(work)) && view.Demand is { } asked ? Advised(visit, context, work, asked, view) : null;
        var aimAt = finer ? MeasuringAim.Figure : MeasuringAim.Decide;
        var creep = work.Point.Adjuster is Adjuster.Screw or Adjuster.BrakeScrew && gap is not null ? Creep(visit, work) : null;
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
            SpecUnit = demand?.Unit,
            BookName = own.BookName,
            FirstBlade = owesFound && !visit.IsByAmount(work) ? readings.First(work, aimAt) : null,
            BeforeLock = readings.Of(work, work.KeptAt(ReadingStage.BeforeLock).LastOrDefault()),
            BeforeLockDraft = readings.Of(work, work.Growing(ReadingStage.BeforeLock)),
            AsksBeforeLock = creep is not null && LocknutCreep.IsWorthAsking(creep.Pairs, creep.CreepMm, gap!.Window.MaxMm - gap.Window.MinMm),
            CreepPairs = creep?.Pairs ?? 0,
            CreepMm = creep?.CreepMm,
            Dial = gap is null ? null : Dial(visit, gap),
            Siblings = gap is null && !visit.IsByAmount(work) && Core.Visits.Siblings.Of(visit, work) is { } others ? new SiblingsRecord(others.LeastMm, others.MostMm, others.Points) : null,
            ByAmount = visit.IsByAmount(work),
            Amount = advice?.Amount is { } amount ? AmountResponse.Of(amount) : null,
            Start = work.Start?.State,
            BeforeMm = expected?.BeforeMm,
            BeforeHours = expected?.BeforeHours,
            ExpectedMm = visit.State == VisitState.Open ? expected?.ClearanceMm : null,
            Found = readings.Of(work, work.Found),
            FoundBefore = work.Found is null ? FigureRecord.Of(work.FoundBefore) : null,
            Left = readings.Of(work, work.Left),
            Claimed = readings.Of(work, work.Readings.LastOrDefault(r => r.Stage == ReadingStage.Claimed)),
            ClaimedBy = work.Readings.LastOrDefault(r => r.Stage == ReadingStage.Claimed)?.Figure?.ClaimedBy,
            FoundDraft = readings.Of(work, work.Growing(ReadingStage.AsFound), aimAt),
            LeftDraft = readings.Of(work, work.Growing(ReadingStage.AsLeft)),
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
            Shim = ShimOf(work),
            Adjuster = work.Point.Adjuster.Word,
            AdjusterKind = own.Adjuster.Kind!.Value,
            Locks = work.Point.Adjuster.HasLocknut,
            LockTorque = context.Type.Fasteners.FirstOrDefault(f => f.TorqueNm is not null && f.Locks(work.Point.Kind))?.Said,
            Bridge = work.Point.Bridge is not null,
            BridgeScrew = work.Point.Bridge?.OwnScrew ?? false,
            AmountSaid = work.Said is { Amount: { } said } ? $"{said} {work.Said.Unit}" : null,
            ContactSaid = work.Said?.Contact,
            Pass = work.Said?.Pass,
            SaidAt = work.Said?.At,
            SaidBy = work.Said?.By,
            Own = demand?.Own,
            Corrected = [.. Corrected(visit, work, before)],
        };
    }

    private static Advice? Advised(Visit visit, ContextRecord context, PointWork work, Demand asked, PointView view)
    {
        var creep = Creep(visit, work) is { CreepMm: { } mm } known && visit.Schools.Manner != SettingManner.BladeIn ? new LocknutCreep(mm, known.Pairs) : null;
        var toFigure = view.Verdict == Core.Judging.VerdictState.InWindow || visit.Judge(work.Found, work)?.Side is not null;
        try
        {
            // Another shim went in and nothing was measured with it yet: nothing is known to work from.
            if (work is { Fitted: not null, GapWithShim: null }) return null;
            var reading = work.Point.Adjuster is Adjuster.Shim ? work.GapWithShim?.ValueOrNothing() ?? view.Found?.Value : (view.Left ?? view.Found)?.Value;
            // Decided at the bench for the whole engine; a figure found anew speaks for itself.
            if (work is { Planned: { } planned, Fitted: null, Found: null }) return new Advice(AdviceAction.FitShim, null, Decided(planned), null, planned.Sentence);
            return Advice.For(work.Point.Adjuster, asked, reading, work.ShimNowMm, creep, visit.Tray?.Unit ?? LengthUnit.Millimetre, toFigure);
        }
        catch (BadInputException bad)
        {
            // A shim whose thickness nobody has measured yet, or a book that asks what this adjuster cannot do: said, not hidden.
            return new Advice(AdviceAction.MeasureOn, null, null, null, bad.Message);
        }
    }

    private static ShimRange Decided(Core.Shims.PlannedShim planned) => new(planned.NewMm, planned.NewMm, planned.NewMm, planned.NewMm, planned.NewMm, planned.NewMm, []);

    private static SheetShimRecord? ShimOf(PointWork work) => work.Point.Adjuster is not Adjuster.Shim shim ? null : new SheetShimRecord
    {
        Access = shim.Access,
        SizesMm = shim.SizesMm,
        Found = Read(work.ShimFound),
        Now = Read(work.ShimNow),
        Mark = work.ShimMark?.Thickness,
        NowMm = work.ShimNowMm,
        Fitted = work.Fitted is not null,
        Planned = work.Planned is { } planned ? new PlannedShimRecord(planned.OldMm, planned.NewMm, planned.Origin, planned.FromPoint) : null,
        IsTrial = work is { Fitted: not null, Left: null } && work.Found?.ValueOrNothing() is { EstimateMm: null, LowerMm: null } && !work.KeptAt(ReadingStage.BeforeLock).Any(),
        ExpectedMm = work.ExpectedWithShimMm,
        CleanAgain = (work.Growing(ReadingStage.AsLeft) ?? work.Left) is { } after && work.AsksCleanAgain(after),
    };

    private static ShimReadRecord? Read(ShimRead? shim) => shim is null ? null : new ShimReadRecord(shim.Thickness, WrittenFigure.Name(shim.Unit), shim.How);

    /// <summary>What is known of the locknuts of whoever found the point.</summary>
    private static LearnedCreep? Creep(Visit visit, PointWork work) => visit.Context.Creep.GetValueOrDefault(work.Found?.Kept?.By ?? visit.Opened!.By) ?? new LearnedCreep(0, null);

    private static DialRecord? Dial(Visit visit, Demand.Gap gap)
    {
        if (visit.Schools.Measuring != MeasuringMeans.Dial || visit.Context.DialConversion is not { } conversion) return null;
        var unit = visit.Tray?.Unit ?? LengthUnit.Millimetre;
        var aim = DialAim.For(gap, conversion, unit);
        return new DialRecord(WrittenFigure.Name(unit), In(aim.MinMm), In(aim.MaxMm), In(aim.FromMm), In(aim.ToMm), aim.Sentence);

        double In(double mm) => unit == LengthUnit.Thou ? mm / (double)Length.MillimetresPerThou : mm;
    }

    /// <summary>Before the first try by what is expected, then by the bracket under way, until it is kept.</summary>
    private static bool IsWorthFiner(FreshAhead ahead, Window window, PointWork work, PointView view, ExpectedRecord expected, double? nextVisitHours, double share)
    {
        if (view.Found is not null || nextVisitHours is not > 0) return false;
        var draft = work.Growing(ReadingStage.AsFound);
        // A figure read off or a blade that drags is as fine as it gets.
        if (draft is { Figure: not null } || draft?.Tries.Any(t => t.Feel == Feel.Drag) == true) return false;
        var (lower, upper) = draft is not null && SheetReadings.Value(draft).Reading is { LowerMm: { } l, UpperMm: { } u } ? (l, u) : expected is { ClearanceMm: { } mm, StandardUncertaintyMm: { } sd } ? (mm - sd, mm + sd) : (0.0, 0.0);
        return ahead.IsWorthFiner(window, lower, upper, AimOff.LeastUncertaintyMm, nextVisitHours.Value, share);
    }

    private static int StopOf(Visit visit, string label)
    {
        for (var i = 0; i < visit.Plan.Stops.Count; i++)
            if (visit.Plan.Stops[i].Points.Contains(label)) return i;
        return 0;
    }

    private static IEnumerable<CorrectedFigureRecord> Corrected(Visit visit, PointWork work, Visit? before)
    {
        if (before is null) yield break;
        foreach (var reading in work.Readings.Where(r => r.Kept is not null))
        {
            var entries = reading.Tries.Select(t => t.Id).Append(reading.Figure?.Id ?? Guid.Empty).ToHashSet();
            if (visit.Entries.OfType<Core.Visits.Corrected>().LastOrDefault(c => entries.Contains(c.Target)) is not { } correction) continue;
            var place = before.Work.First(p => p.Point.Label == work.Point.Label);
            if (new SheetReadings(before).Of(place, place.Readings.FirstOrDefault(r => r.Id == reading.Id)) is { } was) yield return new CorrectedFigureRecord(was, correction.Why, correction.By, correction.At);
        }
    }
}
