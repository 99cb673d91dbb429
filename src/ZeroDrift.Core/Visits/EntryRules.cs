using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Visits;

/// <summary>What may follow what. Each rule looks at the fold so far and answers with a code and its facts, or nothing.</summary>
internal static class EntryRules
{
    private const double ExpectedErrors = 3;

    /// <summary>No nut pulls a screw this far: a figure was misread, or the screw turned with it, mm (common practice, no source).</summary>
    private const double MostPullMm = 0.2;

    /// <summary>Two blades that both drag differ by a step or two of a tray, not by more, mm (common practice, no source).</summary>
    private const double MostBetweenDragsMm = 0.1;

    /// <summary>Why an entry cannot follow; null where it can. Undo, correction and admission look at the whole list and are judged by the visit.</summary>
    public static Refusal? Judge(VisitFold fold, Entry entry)
    {
        if (fold.Abandoned is not null) return new Refusal(RefusalCode.Abandoned);
        if (entry is Opened opened) return fold.Opened is null ? Open(fold.Context, opened) : new Refusal(RefusalCode.EngineOpen);
        if (fold.Opened is null) return new Refusal(RefusalCode.NotOpened);
        var judged = Attempted.Of(() => Rule(fold, entry));
        return judged.Bad is { } bad ? Malformed(bad.Field, bad.Message) : judged.Value;
    }

    private static Refusal? Rule(VisitFold fold, Entry entry) => entry switch
    {
        Chose e => Choose(fold, e),
        Ticked e => Tick(fold, e),
        ConditionStated e => State(fold.Context, e),
        PositionProved e => Known(fold, e.Points),
        FigureEntry e => Measure(fold, e),
        ShimRead e => Known(fold, [e.Point]) ?? Shim(e),
        StartStateSeen e => Known(fold, [e.Point]),
        Turned e => Known(fold, [e.Point]) ?? Turn(fold, e),
        Kept e => Keep(fold, e),
        Dropped e => !fold.Readings.TryGetValue(e.Reading, out var reading) ? new Refusal(RefusalCode.EntryUnknown) : reading is { Kept: null, Closed: null } ? null : RestsOn(reading),
        OutcomeSaid e => Known(fold, [e.Point]) ?? Fit(e),
        PartChanged e => Known(fold, e.Points) ?? (e.Cylinder is { } c && !fold.Context.Type.Order.Has(c) ? Malformed("cylinder", $"Cylinder {c} is not on this engine of {fold.Context.Type.Order.Count}.") : null),
        Answered e => Known(fold, e.Points),
        Noted e => e.Point is null ? null : Known(fold, [e.Point]),
        Signed => fold.Signed is not null ? new Refusal(RefusalCode.AlreadySigned) : Owed.Refusals(fold).FirstOrDefault(),
        Countersigned e => Countersign(fold, e),
        _ => null,
    };

    private static Refusal RestsOn(ReadingWork reading) => new(RefusalCode.RestsOn) { Points = [reading.Point] };

    /// <summary>An adjuster is moved only after it was found as it stands; a shim is changed and not turned.</summary>
    private static Refusal? Turn(VisitFold fold, Turned e)
    {
        var point = fold.PointOf(e.Point)!;
        if (point.Point.Adjuster is Adjuster.Shim) return Malformed("point", $"{e.Point} is set by a shim: there is nothing to turn. Say which shim was fitted.");
        if (fold.Opened!.Job != JobKind.Build && point is { Found: null, FoundBefore: null, Start: null }) return new Refusal(RefusalCode.FoundMissing) { Points = [e.Point] };
        return e is { Turns: > Turned.MostUnasked, Sure: false } ? new Refusal(RefusalCode.FigureDoubtful) { Points = [e.Point], Turns = e.Turns } : null;
    }

    public static Refusal Malformed(string field, string sentence) => new(RefusalCode.Malformed) { Field = field, Detail = sentence };

    private static Refusal? Known(VisitFold fold, IReadOnlyList<string> labels)
    {
        var unknown = labels.Where(label => fold.PointOf(label) is null).ToList();
        return unknown.Count == 0 ? null : new Refusal(RefusalCode.PointUnknown) { Points = unknown };
    }

    public static Refusal? Open(VisitContext context, Opened e)
    {
        if (e.EngineId != context.EngineId) return new Refusal(RefusalCode.EngineUnknown);
        if (e.ShownHours is null && e.Place == VisitPlace.InMachine) return Malformed("shownHours", "Give what the hour meter shows; only a head on a bench or an engine on a stand has none.");
        if (MeterMisfit.OfDay(new MeterReading(e.Date, e.ShownHours ?? default), null) is { } day) return Refusal.Of(day);
        if (e.Continues is not null && context.WaitingOf(e.Continues) is null) return Malformed("continues", "That visit has no points waiting on this engine.");
        if (e.Method is { } method && Impossible(context, method) is { } sentence) return Malformed("method", sentence);
        if (e.TurnedBy == Chose.Starter && e.Method?.NeedsMark() == true) return TooCoarse("method");
        if (e.ShownHours is not { } shown || context.Meter is not { } meter) return null;
        // A tablet knows the last reading only; the server judges by the whole life.
        return MeterHistory.Of([new MeterReading(meter.Date, meter.ShownHours)]).Misfit(new MeterReading(e.Date, shown)) is { } misfit ? Refusal.Of(misfit) : null;
    }

    private static Refusal? Choose(VisitFold fold, Chose e)
    {
        if (e.Method is { } asked && Impossible(fold.Context, asked) is { } sentence) return Malformed("method", sentence);
        var method = e.Method ?? fold.Method;
        if ((e.TurnedBy ?? fold.TurnedBy) == Chose.Starter && method.NeedsMark()) return TooCoarse(e.Method is null ? "turnedBy" : "method");
        return e.Point is null ? null : Known(fold, [e.Point]);
    }

    private static Refusal TooCoarse(string field) => Malformed(field, "The starter is too coarse to stop at a mark: choose rocking, exhaust opening / intake closing, or lobe away.");

    private static string? Impossible(VisitContext context, TurningMethod method) => Attempted.Of(() => context.Stops(method)).Bad?.Message;

    private static Refusal? Tick(VisitFold fold, Ticked e)
    {
        if (fold.Context.Steps.FirstOrDefault(s => s.Key == e.Step) is not { } step) return new Refusal(RefusalCode.StepUnknown) { Steps = [e.Step] };
        if (e.NotHere && !e.On) return Malformed("notHere", "\"Not here\" answers a step: say it with the step ticked.");
        if (e.NotHere && step.Must) return Malformed("notHere", $"A figure rests on this step, so it cannot be passed over: {step.Text}");
        if (!e.On && step.List == StepList.MakeSafe && fold.HasFigure) return new Refusal(RefusalCode.RestsOn) { Steps = [e.Step] };
        // Nothing said is no part out, and none in.
        if (e is { On: true, Said: not null } && step.Counts is not null && Owed.Count(e.Said) is null) return Malformed("said", "Say how many parts: a whole number.");
        return null;
    }

    private static Refusal? State(VisitContext context, ConditionStated e)
    {
        if (!e.MeasureAnyway && IsWarm(context, e))
            return new Refusal(RefusalCode.ConditionMissing) { Field = "engineTemperatureC" };
        return null;
    }

    /// <summary>Not in the condition of any figure: warm where cold is asked, or hot where the book gives no hot figure.</summary>
    public static bool IsWarm(VisitContext context, ConditionStated e) => e.Condition == SpecCondition.Cold
        ? e.EngineTemperatureC > context.Facts.ColdMaxC
        : context.Demands.All(d => d.Condition != SpecCondition.Hot) && !(e.EngineTemperatureC <= context.Facts.ColdMaxC);

    private static Refusal? Measure(VisitFold fold, FigureEntry e)
    {
        if (Known(fold, [e.Point]) is { } unknown) return unknown;
        var point = fold.PointOf(e.Point)!;
        if (fold.Readings.TryGetValue(e.Reading, out var reading))
        {
            if (reading.Point != e.Point || reading.Stage != e.Stage) return new Refusal(RefusalCode.Differs) { Field = "reading", Points = [reading.Point] };
            if (reading.Kept is not null || reading.Closed is not null) return RestsOn(reading);
        }
        // Reads it once, so that what is no figure is refused by its field.
        if (e is Tried tried) Reading.FromBlades([tried.Trial]);
        if (e is FigureRead figure) ReadingWork.OfFigure(figure, fold.Context.Facts.DialConversion);
        if (e.Stage == ReadingStage.Claimed) return null;
        var bench = fold.Opened!.Bench;
        if (Owed.Unticked(fold, s => s.List == StepList.MakeSafe && Owed.IsAsked(fold, s)) is { Count: > 0 } steps) return Owed.StepsMissing(fold, steps);
        if (fold.Condition is null) return new Refusal(RefusalCode.ConditionMissing);
        if (!bench && !e.Unproved && !fold.IsProved(e.Point)) return new Refusal(RefusalCode.StopNotProved) { Points = [e.Point] };
        if (e.Stage != ReadingStage.AsFound && fold.Opened.Job != JobKind.Build && point is { Found: null, FoundBefore: null, Start: null })
            return new Refusal(RefusalCode.FoundMissing) { Points = [e.Point] };
        return null;
    }

    private static Refusal? Shim(ShimRead e) => Thickness("thickness", e.Thickness, e.Unit);

    private static Refusal? Fit(OutcomeSaid e)
    {
        if (e.Outcome != PointOutcome.ShimFitted) return null;
        var unit = e.Unit is { } word ? Lengths.Length.ParseUnit(word, "unit") : Lengths.LengthUnit.Millimetre;
        return Thickness("old", e.Old, unit) ?? Thickness("new", e.New, unit);
    }

    /// <summary>A shim is a thickness, above 0 to 25 mm.</summary>
    private static Refusal? Thickness(string field, string? written, Lengths.LengthUnit unit) =>
        written is null || Lengths.Length.Parse(written, unit, field).Millimetres is > 0 and <= Require.ThickestMm
            ? null
            : Malformed(field, $"{written} is no thickness of a shim; above 0 to 25 mm is taken. Check the unit.");

    private static Refusal? Keep(VisitFold fold, Kept e)
    {
        if (!fold.Readings.TryGetValue(e.Reading, out var reading) || !reading.SaysSomething) return new Refusal(RefusalCode.ReadingEmpty);
        if (reading.Kept is not null || reading.Closed is not null) return RestsOn(reading);
        if (Attempted.Of(reading.Value).Bad is { } bad) return new Refusal(RefusalCode.BladesContradict) { Points = [reading.Point], Detail = bad.Message };
        return e.Sure ? null : Doubt(fold, reading);
    }

    /// <summary>Why a figure is asked again before it is kept; null where it surprises nobody.</summary>
    public static Refusal? Doubt(VisitFold fold, ReadingWork reading)
    {
        if (Apart(fold, reading) is { } apart) return new Refusal(RefusalCode.FigureDoubtful) { Points = [reading.Point], Apart = apart };
        if (!IsDoubtful(fold, reading)) return null;
        var look = Look(fold, reading);
        if (PullOf(fold, reading) is { } pull && Math.Abs(pull) > MostPullMm) return new Refusal(RefusalCode.FigureDoubtful) { Points = [reading.Point], Pull = new LockPull(pull, fold.Unit) };
        var outside = look is null && Asked(fold, reading) is { } gap ? new OutsideWindow(gap.Window, reading.Stage == ReadingStage.AsLeft, fold.Tray?.Unit ?? Lengths.LengthUnit.Millimetre) : null;
        return new Refusal(RefusalCode.FigureDoubtful) { Points = [reading.Point], Look = look, Outside = outside };
    }

    private static DragsApart? Apart(VisitFold fold, ReadingWork reading)
    {
        var drags = reading.Trials.Where(t => t.Feel == Feel.Drag).Select(t => t.StackMm).DefaultIfEmpty().ToList();
        return drags.Max() - drags.Min() > MostBetweenDragsMm + 1e-9 ? new DragsApart(drags.Min(), drags.Max(), fold.Tray?.Unit ?? Lengths.LengthUnit.Millimetre) : null;
    }

    /// <summary>What the nut would have taken, were this the figure after locking; null where nothing was measured before.</summary>
    private static double? PullOf(VisitFold fold, ReadingWork reading) => reading.Stage == ReadingStage.AsLeft && reading.ValueOrNothing().EstimateMm is { } after
        && fold.PointOf(reading.Point)?.KeptAt(ReadingStage.BeforeLock).LastOrDefault()?.ValueOrNothing().EstimateMm is { } before && fold.PointOf(reading.Point)!.Point.Adjuster.HasLocknut ? before - after : null;

    private static Demand.Gap? Asked(VisitFold fold, ReadingWork reading) => fold.Context.For(fold.Condition?.Condition)?.ByPoint.GetValueOrDefault(reading.Point) as Demand.Gap;

    /// <summary>The second look a surprise asks for; null where the record expected nothing.</summary>
    private static SecondLook? Look(VisitFold fold, ReadingWork reading)
    {
        var value = reading.Value();
        return reading.Stage == ReadingStage.AsFound && fold.Context.Expected.TryGetValue(reading.Point, out var expected) && (value.EstimateMm ?? value.UpperMm ?? value.LowerMm) is { } read
            ? SecondLook.Of(expected.ClearanceMm, read, fold.Tray) : null;
    }

    /// <summary>Over three errors from what the record expects; without an expectation ten times the window or a tenth of it; an as-left out of its window.</summary>
    private static bool IsDoubtful(VisitFold fold, ReadingWork reading)
    {
        var value = reading.Value();
        var gap = Asked(fold, reading);
        if (PullOf(fold, reading) is { } pull && Math.Abs(pull) > MostPullMm) return true;
        if (reading.Stage == ReadingStage.AsLeft && gap is not null && reading.Judge(gap)?.State is VerdictState.Tight or VerdictState.Loose) return true;
        if (reading.Stage == ReadingStage.AsFound && fold.Context.Expected.TryGetValue(reading.Point, out var expected))
        {
            var room = ExpectedErrors * expected.StandardUncertaintyMm;
            return (value.EstimateMm ?? value.LowerMm) > expected.ClearanceMm + room || (value.EstimateMm ?? value.UpperMm) < expected.ClearanceMm - room;
        }
        return gap is not null && ((value.EstimateMm ?? value.LowerMm) >= 10 * gap.Window.MaxMm || (value.EstimateMm ?? value.UpperMm) <= gap.Window.MinMm / 10);
    }

    private static Refusal? Countersign(VisitFold fold, Countersigned e)
    {
        if (fold.Signed is null) return new Refusal(RefusalCode.NotSigned);
        if (Known(fold, [.. e.Readings.Select(r => r.Point)]) is { } unknown) return unknown;
        foreach (var reading in e.Readings) _ = reading.Reading;
        var own = fold.Signed.By == e.By || fold.Readings.Values.Any(r => r.Kept?.By == e.By);
        return own ? new Refusal(RefusalCode.NotYours) : null;
    }
}
