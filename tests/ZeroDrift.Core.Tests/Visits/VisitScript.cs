using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Core.Tests.Visits;

/// <summary>Writes visits of a small engine for tests, one entry a call; each is offered to the visit as a device would.</summary>
internal sealed class VisitScript
{
    public static readonly Guid Marit = Guid.Parse("00000000-0000-7000-8000-000000000001");
    public static readonly Guid Olav = Guid.Parse("00000000-0000-7000-8000-000000000002");
    public static readonly Guid Engine = Guid.Parse("00000000-0000-7000-8000-0000000000e1");
    private int made;

    public VisitScript(VisitContext? context = null) => Visit = Visit.From(context ?? Twin(), []);

    public Visit Visit { get; private set; }

    public Guid By { get; set; } = Marit;

    /// <summary>A twin firing evenly: 1I 1E at 0°, 2I 2E a turn on; windows 0.15–0.25 and 0.35–0.45.</summary>
    public static VisitContext Twin(string layout = "I E I E", AdjusterKind adjuster = AdjusterKind.ScrewAtValve, Func<LashPoint, Demand?>? demand = null, IReadOnlyList<VisitStep>? steps = null, SpecCondition condition = SpecCondition.Cold)
    {
        var order = FiringOrder.Parse("1 2", EngineCycle.FourStroke);
        var points = HeadLayout.Parse(null, layout, order, adjuster, new AdjusterFigures(1.0, TravelTurns: T(1.6)));
        demand ??= p => p.Kind switch { LashKind.Intake => Asked(0.15, 0.25, 0.20), LashKind.Exhaust => Asked(0.35, 0.45, 0.40), _ => null };
        return new VisitContext
        {
            EngineId = Engine,
            Type = new EngineType { Order = order, Points = points, Method = TurningMethod.PerCylinder },
            Demands = [new ContextDemands("A", "manual", condition, points.Where(p => demand(p) is not null).ToDictionary(p => p.Label, p => demand(p)!))],
            People = new HashSet<Guid> { Marit, Olav },
            Steps = steps ?? [new("battery", StepList.MakeSafe, "Battery off."), new("hands", StepList.MakeSafe, "Hands clear."), new("tools", StepList.CloseUp, "Tools counted.")],
        };
    }

    public TakingResult Offer(Func<Guid, Entry> entry) => Visit.Take(entry(Guid.CreateVersion7()));

    public TakingResult Open(JobKind job = JobKind.Overhead, bool bench = false, double? hours = 100, Guid? continues = null, VisitPlace? place = null, string? turnedBy = null) => Offer(id => new Opened { Id = id, At = At(), By = By, Device = "t", EngineId = Engine, Job = job, Date = new DateOnly(2026, 11, 1), ShownHours = H(bench ? null : hours), Place = place ?? (bench ? VisitPlace.OnBench : VisitPlace.InMachine), TurnedBy = turnedBy, Continues = continues });

    public TakingResult Tick(string step, bool on = true, string? said = null) => Offer(id => new Ticked(step, on, said) { Id = id, At = At(), By = By, Device = "t" });

    public TakingResult State(SpecCondition condition = SpecCondition.Cold, double? degrees = 15, bool anyway = false) => Offer(id => new ConditionStated(condition, degrees, null, anyway) { Id = id, At = At(), By = By, Device = "t" });

    public TakingResult Prove(double deg) => Offer(id => new PositionProved(deg, [], [], null) { Id = id, At = At(), By = By, Device = "t" });

    public TakingResult ProvePoints(params string[] points) => Offer(id => new PositionProved(null, points, [], null) { Id = id, At = At(), By = By, Device = "t" });

    public TakingResult Bar(double deg) => Offer(id => new BarredTo(deg) { Id = id, At = At(), By = By, Device = "t" });

    public TakingResult Try(Guid reading, string point, string blade, Feel feel, ReadingStage stage = ReadingStage.AsFound, bool unproved = false) => Offer(id => new Tried { Id = id, At = At(), By = By, Device = "t", Reading = reading, Point = point, Stage = stage, Blades = [blade], Unit = LengthUnit.Millimetre, Feel = feel, Unproved = unproved });

    public TakingResult Figure(Guid reading, string point, string figure, ReadingStage stage = ReadingStage.AsFound, bool unproved = false) => Offer(id => new FigureRead { Id = id, At = At(), By = By, Device = "t", Reading = reading, Point = point, Stage = stage, Figure = figure, Unit = "mm", With = FigureSource.Figure, Unproved = unproved });

    public TakingResult Turn(string point, double? turns = null, ScrewDirection? direction = null, NutState? nut = null, bool sure = false) => Offer(id => new Turned(point) { Id = id, At = At(), By = By, Device = "t", Turns = turns, Direction = direction, Nut = nut, Sure = sure });

    public TakingResult NotHere(string step, string? why = null, bool on = true) => Offer(id => new Ticked(step, on, null) { Id = id, At = At(), By = By, Device = "t", NotHere = true, Why = why });

    public TakingResult Choose(string point) => Offer(id => new Chose { Id = id, At = At(), By = By, Device = "t", Point = point });

    public TakingResult Fit(string point, string old, string fitted) => Offer(id => new OutcomeSaid(point, PointOutcome.ShimFitted) { Old = old, New = fitted, Unit = "mm", Id = id, At = At(), By = By, Device = "t" });

    public TakingResult Shim(string point, string thickness, ReadingStage stage = ReadingStage.AsFound) => Offer(id => new ShimRead(point, stage, thickness, LengthUnit.Millimetre, ShimKnownBy.Micrometer) { Id = id, At = At(), By = By, Device = "t" });

    public TakingResult Keep(Guid reading, bool sure = false) => Offer(id => new Kept(reading, sure) { Id = id, At = At(), By = By, Device = "t" });

    public TakingResult Say(string point, PointOutcome outcome, string? why = null) => Offer(id => new OutcomeSaid(point, outcome) { Id = id, At = At(), By = By, Device = "t", Why = why ?? "so", Amount = "0.5", Unit = "turns" });

    public TakingResult Start(string point, StartState state = StartState.Freewheels) => Offer(id => new StartStateSeen(point, state) { Id = id, At = At(), By = By, Device = "t" });

    public TakingResult Undo(Guid target) => Offer(id => new Undone(target) { Id = id, At = At(), By = By, Device = "t" });

    public TakingResult Sign() => Offer(id => new Signed(null) { Id = id, At = At(), By = By, Device = "t" });

    public TakingResult Abandon() => Offer(id => new Abandoned("called away") { Id = id, At = At(), By = By, Device = "t" });

    public TakingResult Correct(Guid target, CorrectedFields fields) => Offer(id => new Corrected(target, "misread", fields) { Id = id, At = At(), By = By, Device = "t" });

    public TakingResult Admit(params Guid[] targets) => Offer(id => new Admitted(targets, "was on the other tablet") { Id = id, At = At(), By = By, Device = "t" });

    public TakingResult Countersign(string point, string figure) => Offer(id => new Countersigned([new SecondReading(point, [], null, figure, LengthUnit.Millimetre)]) { Id = id, At = At(), By = By, Device = "t" });

    public TakingResult Answer(VisitQuestion question, VisitAnswer answer) => Offer(id => new Answered(question, answer, []) { Id = id, At = At(), By = By, Device = "t" });

    public TakingResult Pause(DateTimeOffset? at = null) => Offer(id => new Paused { Id = id, At = at ?? At(), By = By, Device = "t" });

    public TakingResult Resume(DateTimeOffset? at = null) => Offer(id => new Resumed { Id = id, At = at ?? At(), By = By, Device = "t" });

    /// <summary>Nothing is written down for so long.</summary>
    public void Pass(int minutes) => made += minutes;

    public DateTimeOffset Now => new DateTimeOffset(2026, 11, 1, 8, 0, 0, TimeSpan.Zero).AddMinutes(made);

    /// <summary>Opened, safe, cold.</summary>
    public VisitScript Ready(JobKind job = JobKind.Overhead)
    {
        Open(job);
        Tick("battery");
        Tick("hands");
        State();
        return this;
    }

    /// <summary>A figure measured without a thought for the stop, and kept.</summary>
    public Guid Measured(string point, string figure, ReadingStage stage = ReadingStage.AsFound)
    {
        var reading = Guid.CreateVersion7();
        Assert.Null(Figure(reading, point, figure, stage, true).Refusal);
        Assert.Null(Keep(reading, true).Refusal);
        return reading;
    }

    public VisitScript AllFound(string intake = "0.20", string exhaust = "0.40")
    {
        foreach (var point in Visit.Context.Type.Points) Measured(point.Label, point.Kind == LashKind.Intake ? intake : exhaust);
        Tick("tools");
        return this;
    }

    public Guid Last => Visit.Entries[^1].Id;

    public PointView Point(string label) => Visit.Points.Single(p => p.Point == label);

    private DateTimeOffset At()
    {
        made++;
        return Now;
    }
}
