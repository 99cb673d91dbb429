using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Overheads;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Turning;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Book;
using ZeroDrift.Server.Calculators;
using ZeroDrift.Server.Engines;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Problems;

namespace ZeroDrift.Server.Overheads;

/// <summary>One overhead with everything it rests on: type, revision, plan, progress.</summary>
internal sealed class OverheadWork
{
    private readonly EngineWithOutlook entry;
    private readonly SpecRevisionRow revision;
    private readonly IReadOnlyList<IReadOnlyList<PointProgress>> byStop;

    private OverheadWork(OverheadRow row, EngineWithOutlook entry, FleetRow fleet)
    {
        this.entry = entry;
        Row = row;
        Type = entry.Type;
        revision = Type.Revisions.First(r => r.Id == row.SpecRevisionId);
        Core = Type.ToCore(revision, fleet);
        Plan = Core.Plan(row.Method);
        Progress = [.. Type.Points.OrderBy(p => p.Order).Select(Point)];
        byStop = OverheadGuide.PointsByStop(Plan, Progress);
    }

    public OverheadRow Row { get; }

    public EngineTypeRow Type { get; }

    public EngineType Core { get; }

    public TurningPlan Plan { get; }

    public IReadOnlyList<PointProgress> Progress { get; }

    public static async Task<OverheadWork> LoadAsync(Guid id, ZeroDriftContext context, OutlookCache outlooks)
    {
        var row = await context.Overheads.Include(o => o.Readings).FirstOrDefaultAsync(o => o.Id == id) ?? throw new NotFoundException("There is no such overhead.");
        return new OverheadWork(row, await EngineEndpoints.EntryAsync(row.EngineId, context, outlooks), await BookEndpoints.FleetAsync(context));
    }

    public bool IsSafe => Cautions.MakeSafe(entry.Engine.Machine).All(c => Row.Ticked.Contains(c.Key));

    public bool ConditionKnown => Row.Ticked.Contains("condition");

    public bool IsClosedUp => Cautions.CloseUp().All(c => Row.Ticked.Contains(c.Key));

    public IReadOnlyList<string> SigningRefusals => OverheadGuide.SigningRefusals(Progress, Row.Job == JobKind.Overhead, IsSafe, ConditionKnown, IsClosedUp);

    /// <summary>Points at the same stop that still lack an as-found.</summary>
    public IReadOnlyList<string> UnmeasuredAtStopOf(string label) =>
        [.. byStop.First(stop => stop.Any(p => p.Point.Label == label)).Where(p => p.NeedsFound && p.Spec is not null).Select(p => p.Point.Label)];

    public ClearanceSpec? SpecFor(LashPointRow point) => Core.Specs.GetValueOrDefault(point.Kind);

    public OverheadView View()
    {
        var next = OverheadGuide.Next(Plan, Progress, IsSafe, ConditionKnown, Row.StopsProved.ToHashSet(), IsClosedUp);
        return new OverheadView
        {
            Id = Row.Id,
            EngineId = Row.EngineId,
            EngineName = entry.Engine.Name,
            Machine = entry.Engine.Machine,
            Job = Row.Job,
            Date = Row.Date,
            ShownHours = Row.ShownHours,
            TotalHours = Row.TotalHours,
            Who = Row.Who,
            Blades = Row.Blades,
            Tray = Row.TrayBlades,
            TrayUnit = Row.TrayUnit,
            MeasuringMethod = Row.MeasuringMethod,
            Method = Row.Method,
            Condition = Row.Condition,
            EngineTemperatureC = Row.EngineTemperatureC,
            SpecRevision = revision.Revision,
            SpecSource = revision.Source,
            Rotation = Type.Rotation,
            BarringTool = Type.BarringTool,
            ToolTurnsPerCrankTurn = Type.ToolTurnsPerCrankTurn,
            FiringOrder = Core.Order.Cylinders,
            FiringAnglesDeg = [.. Core.Order.Cylinders.Select(Core.Order.FiresAt)],
            CycleDeg = Core.Order.Cycle.Degrees(),
            MakeSafe = Cautions.MakeSafe(entry.Engine.Machine),
            CloseUp = Cautions.CloseUp(),
            Foremost = Cautions.Foremost,
            Ticked = Row.Ticked,
            Next = next,
            Stops = [.. byStop.Select(Stop)],
            CannotSet = [.. Plan.CannotSet.Select(p => new UnplacedPointResponse(p.Point.Cylinder, p.Point.Kind, p.MarginDeg, p.Reason))],
            Points = [.. Type.Points.OrderBy(p => p.Order).Select((p, i) => View(p, Progress[i], i))],
            SigningRefusals = SigningRefusals,
            SignedBy = Row.SignedBy,
            SignedAt = Row.SignedAt,
            Answer = Row.Answer,
            Remark = Row.Remark,
            Version = Row.Version,
        };
    }

    private PointProgress Point(LashPointRow row)
    {
        var found = Row.Readings.Standing(row.Id, ReadingStage.AsFound);
        var left = Row.Readings.Standing(row.Id, ReadingStage.AsLeft);
        var leftReading = left is null or { EstimateMm: null, LowerMm: null, UpperMm: null } ? null : left.ToReading();
        // A build has no as-found: what it was set to is all there is.
        var foundReading = found?.ToReading() ?? (Row.Job == JobKind.Build ? leftReading : null);
        return new PointProgress(row.ToCore(), SpecFor(row), foundReading, leftReading, left?.Why, left?.ByTheBook ?? found?.ByTheBook ?? false);
    }

    private StopView Stop(IReadOnlyList<PointProgress> points, int index)
    {
        var labels = points.Select(p => p.Point.Label).ToList();
        var done = points.All(p => p.IsDone);
        var proved = Row.StopsProved.Contains(index);
        if (index >= Plan.Stops.Count)
            return new StopView(index, null, 0, 0, null, null, "No stop of the plan reaches these: bar until each one's lobe points away from its valve, then measure.", null, null, proved, labels, done);
        var stop = Plan.Stops[index];
        return new StopView(index, stop.CrankDeg, stop.TurnFromPreviousDeg, CrankAngle.ToolTurns(stop.TurnFromPreviousDeg, Type.ToolTurnsPerCrankTurn), stop.CompressionCylinder, stop.RockingCylinder, stop.Sign,
            stop.Set.Min(p => p.RoomBackDeg), stop.Set.Min(p => p.RoomForwardDeg), proved, labels, done);
    }

    private OverheadPointView View(LashPointRow row, PointProgress progress, int index)
    {
        var outlook = entry.Outlook.Points[index];
        var spec = progress.Spec;
        var last = entry.Record.Points[index];
        var before = last.Visits.LastOrDefault(v => v.Hours < Row.TotalHours && (v.Left ?? v.Found) is not null);
        var leftAt = (progress.Left ?? progress.Found)?.EstimateMm;
        var forecast = outlook.Forecast;
        var aim = forecast is not null && spec is not null && progress.NeedsLeft ? AimOff.Best(forecast with { Window = spec.Window }, spec.SetMm) : null;
        return new OverheadPointView
        {
            Id = row.Id,
            Label = row.Label,
            Cylinder = row.Cylinder,
            Kind = row.Kind,
            Place = row.Place,
            Bank = row.Bank,
            Along = row.Along,
            StopIndex = Enumerable.Range(0, byStop.Count).First(i => byStop[i].Any(p => p.Point.Label == row.Label)),
            MinMm = spec?.Window.MinMm,
            MaxMm = spec?.Window.MaxMm,
            SetMm = spec?.SetMm,
            FleetTolerance = spec?.FleetTolerance ?? false,
            SpecWritten = revision.Lines.Find(l => l.Kind == row.Kind) is { } line ? BookResponses.Written(line) : null,
            BeforeMm = before is null ? null : (before.Left ?? before.Found)!.Value.Mm,
            BeforeHours = before?.Hours,
            ExpectedMm = Row.SignedAt is null ? forecast?.MeanMm(0) : null,
            Found = View(Row.Readings.Standing(row.Id, ReadingStage.AsFound), spec),
            Left = View(Row.Readings.Standing(row.Id, ReadingStage.AsLeft), spec),
            FoundDraft = View(Draft(row.Id, ReadingStage.AsFound), spec),
            LeftDraft = View(Draft(row.Id, ReadingStage.AsLeft), spec),
            Done = progress.IsDone,
            LeftAlone = progress is { IsDone: true, Left: null, Spec: not null },
            Advice = spec is not null && progress.NeedsLeft && progress.Found is { } found ? Advice(SettingAdvice.For(progress.Left ?? found, spec, Core.Screw)) : null,
            HoursToRiskFromHere = forecast is not null && spec is not null && leftAt is { } mm && progress.IsDone ? HoursToRisk.Alone((forecast with { Window = spec.Window }).LeftAt(mm, 0.01)).Hours : null,
            AimOffMm = aim?.Gain() > 100 ? aim.AimMm : null,
            AimOffHours = aim?.Gain() > 100 ? aim.Gain() : null,
            Corrected = [.. Row.Readings.Where(r => r.PointId == row.Id && r.KeptAt is not null && Row.Readings.Exists(c => c.CorrectsId == r.Id)).Select(r => View(r, spec)!)],
        };
    }

    private ReadingRow? Draft(Guid pointId, ReadingStage stage) => Row.Readings.Where(r => r.PointId == pointId && r.Stage == stage && r.KeptAt is null).MaxBy(r => r.At);

    public ReadingView? View(ReadingRow? row, ClearanceSpec? spec)
    {
        if (row is null) return null;
        var reading = row.ToReading();
        var verdict = spec is not null && (row.EstimateMm ?? row.LowerMm ?? row.UpperMm) is not null ? Verdict.Judge(reading, spec.Window) : null;
        return new ReadingView
        {
            Id = row.Id,
            PointId = row.PointId,
            Stage = row.Stage,
            Trials = [.. row.Trials.Select(t => new TrialDto(t.Blades, t.Feel))],
            Written = row.Written,
            Unit = row.Unit,
            LowerMm = row.LowerMm,
            UpperMm = row.UpperMm,
            EstimateMm = row.EstimateMm,
            StandardUncertaintyMm = row.UncertaintyMm,
            Who = row.Who,
            At = row.At,
            Kept = row.KeptAt is not null,
            Version = row.Version,
            Corrects = row.CorrectsId,
            Why = row.Why,
            Remark = row.Remark,
            ByTheBook = row.ByTheBook,
            State = verdict?.State,
            DecidingBladeMm = verdict?.DecidingBladeMm,
            NextBladeMm = row.KeptAt is null && spec is not null ? NextTry(reading, spec) : null,
        };
    }

    private double? NextTry(Reading soFar, ClearanceSpec spec)
    {
        var unit = WrittenFigure.Unit(Row.TrayUnit);
        var tray = Row.TrayBlades.Select(b => global::ZeroDrift.Core.Lengths.Length.Parse(b, unit).Millimetres).ToList();
        return tray.Count == 0 ? null : NextBlade.Suggest(tray, soFar, spec.Window);
    }

    private static AdviceView Advice(SettingAdvice a) => new(a.AimMm, a.Turn?.Degrees, a.Turn?.Sixteenths, a.Turn?.Direction, a.Sentence);
}
