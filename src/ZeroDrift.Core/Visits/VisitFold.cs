using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Visits;

/// <summary>The state that entries lead to, one after another. Applying judges nothing; <see cref="EntryRules"/> does, before.</summary>
internal sealed class VisitFold
{
    private readonly Dictionary<string, PointWork> points;
    private readonly Dictionary<string, (Ticked Tick, int At)> ticks = [];
    private readonly Dictionary<Guid, ReadingWork> readings = [];
    private readonly Dictionary<VisitQuestion, Answered> answers = [];
    private int applied;

    public VisitFold(VisitContext context)
    {
        Context = context;
        points = context.Type.Points.ToDictionary(p => p.Label, p => new PointWork(p), StringComparer.Ordinal);
        Points = [.. context.Type.Points.Select(p => points[p.Label])];
        Method = context.Type.Method;
        Schools = context.Schools;
    }

    public VisitContext Context { get; }

    public IReadOnlyList<PointWork> Points { get; }

    public Opened? Opened { get; private set; }

    public TurningMethod Method { get; private set; }

    public Schools Schools { get; private set; }

    public string? TurnedBy { get; private set; }

    /// <summary>The point somebody chose to go on with; the fold does not forget it when it is done.</summary>
    public string? Chosen { get; private set; }

    /// <summary>Where the crank stood when this school was begun: the plan turns round to it.</summary>
    public CrankAngle? Begin { get; private set; }

    /// <summary>Where the crank stands as far as can be told: by a stop, or by a valve seen to be clear.</summary>
    public CrankAngle? StandsAbout { get; private set; }

    public Tray? Tray { get; private set; }

    public ConditionStated? Condition { get; private set; }

    public CrankAngle? ProvedAt { get; private set; }

    public IReadOnlySet<string> ProvedPoints { get; private set; } = new HashSet<string>();

    public CrankAngle? Crank { get; private set; }

    public Signed? Signed { get; private set; }

    public Abandoned? Abandoned { get; private set; }

    public List<PartChanged> Parts { get; } = [];

    public List<Marked> Marks { get; } = [];

    public List<Noted> Notes { get; } = [];

    public List<Countersigned> Countersigned { get; } = [];

    public IReadOnlyDictionary<VisitQuestion, Answered> Answers => answers;

    public IReadOnlyDictionary<Guid, ReadingWork> Readings => readings;

    public StopPlan Plan => Context.Stops(Method, Begin, Schools.Order);

    public bool IsByStarter => TurnedBy == Chose.Starter;

    /// <summary>The unit of the job: what its blades speak.</summary>
    public Lengths.LengthUnit Unit => Tray?.Unit ?? Lengths.LengthUnit.Millimetre;

    public VisitPlace Place => Opened?.Place ?? VisitPlace.InMachine;

    /// <summary>Whether a live figure was measured at the engine (a claimed one was not).</summary>
    public bool HasFigure => readings.Values.Any(r => r.Stage != ReadingStage.Claimed);

    /// <summary>Ticked; a look at what was fitted only if nothing was fitted or turned there since.</summary>
    public bool IsTicked(string step) => TickOf(step) is not null;

    public string? SaidAt(string step) => TickOf(step)?.Said;

    /// <summary>The tick that stands; null where there is none.</summary>
    public Ticked? TickOf(string step)
    {
        if (!ticks.TryGetValue(step, out var tick) || !tick.Tick.On) return null;
        return Context.StepOf(step) is { AfterFitting: true, Point: { } label } && PointOf(label)?.ChangedAt > tick.At ? null : tick.Tick;
    }

    public PointWork? PointOf(string label) => points.GetValueOrDefault(label);

    /// <summary>Whether a figure at this point is proved: its stop by the plan, or the point by name.</summary>
    public bool IsProved(string label) => ProvedPoints.Contains(label) || (ProvedAt is { } proved && Plan.StopOf(label) is { } stop && StopPlan.Same(proved, stop));

    public void Apply(Entry entry)
    {
        applied++;
        switch (entry)
        {
            case Opened e: Open(e); break;
            case Chose e: Choose(e); break;
            case Ticked e: ticks[e.Step] = (e, applied); break;
            case ConditionStated e: Condition = e; break;
            case PositionProved e: Prove(e); break;
            case BarredTo e: Bar(e); break;
            case FigureEntry e: Measure(e); break;
            case ShimRead e: PointOf(e.Point)?.Add(e); break;
            case StartStateSeen e when PointOf(e.Point) is { } point: point.Start = e; break;
            case Kept e: Keep(e); break;
            case Dropped e when readings.Remove(e.Reading, out var dropped): points[dropped.Point].Drop(dropped); break;
            case OutcomeSaid e when PointOf(e.Point) is { } point: point.Say(e, applied, Context.Rules >= VisitContext.ShimClosesLeft); break;
            case Turned e when PointOf(e.Point) is { } point: point.Turn(e, applied); break;
            case PartChanged e: Parts.Add(e); break;
            case Answered e: answers[e.Question] = e; break;
            case Marked e: Marks.Add(e); break;
            case Noted e: Notes.Add(e); break;
            case Countersigned e: Countersigned.Add(e); break;
            case Abandoned e: Abandoned = e; break;
            case Signed e: Signed = e; break;
            default: break; // pauses change nothing here; undo, correction and admission are resolved before
        }
    }

    private void Open(Opened e)
    {
        Opened = e;
        Tray = e.Tray;
        Method = e.Method ?? Method;
        TurnedBy = e.TurnedBy;
        // The starter is too coarse for a mark; where nobody said how the position is found, it is by eye.
        if (IsByStarter && e.Method is null && Method.NeedsMark()) Method = Context.Type.ByEyeMethod();
        Schools = Schools.With(e.Order, e.Setting, e.Judging, e.Manner, e.Measuring);
        foreach (var waiting in Context.WaitingOf(e.Continues)?.Points ?? [])
            if (PointOf(waiting.Point) is { } point) (point.FoundBefore, point.Planned) = (waiting.Found, waiting.Shim);
    }

    private void Choose(Chose e)
    {
        Tray = e.Tray ?? Tray;
        Chosen = e.Point ?? Chosen;
        Schools = Schools.With(e.Order, e.Setting, e.Judging, e.Manner, e.Measuring);
        // Another school takes the crank from where it stands.
        if (e.Method is { } method && method != Method) (Method, Begin) = (method, StandsAbout);
        if (e.TurnedBy is not { } turnedBy) return;
        var before = IsByStarter;
        TurnedBy = turnedBy;
        // What was made safe for a bar is not safe for the starter, nor the other way round.
        if (IsByStarter != before)
            foreach (var step in Context.Steps.Where(s => s.ByStarter is not null)) ticks.Remove(step.Key);
    }

    private void Prove(PositionProved e)
    {
        ProvedAt = e.CrankDeg is { } deg ? Plan.At(deg) : null;
        ProvedPoints = e.Points.ToHashSet();
        if (ProvedAt is { } proved) Stand(proved);
        else if (e.Points.Select(PointOf).OfType<PointWork>().FirstOrDefault()?.Point is { } seen) StandsAbout = Plan.StopOf(seen.Label) ?? LobeAway.StandsAbout(Plan.Engine, StandsAbout, seen.Ref);
    }

    private void Stand(CrankAngle here)
    {
        (Crank, StandsAbout) = (here, here);
        Begin ??= here;
    }

    private void Bar(BarredTo e)
    {
        var here = Plan.At(e.CrankDeg);
        if (ProvedAt is not { } proved || !StopPlan.Same(proved, here)) ProvedAt = null;
        ProvedPoints = new HashSet<string>();
        Stand(here);
    }

    private void Measure(FigureEntry e)
    {
        if (PointOf(e.Point) is not { } point) return;
        if (!readings.TryGetValue(e.Reading, out var reading))
        {
            readings[e.Reading] = reading = new ReadingWork(e, Context, Tray);
            point.Add(reading);
        }
        reading.Add(e);
    }

    private void Keep(Kept e)
    {
        if (!readings.TryGetValue(e.Reading, out var reading) || reading.Kept is not null) return;
        reading.Kept = e;
        points[reading.Point].Keep(reading);
    }
}
