using ZeroDrift.Contract.Calls;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Turning;
using ZeroDrift.Core.Visits;
using ZeroDrift.Core.Visits.Sheet;

namespace ZeroDrift.Contract.Visits;

/// <summary>Writes the work sheet of a visit as it goes over the wire; what it says is worked out in the core.</summary>
public static class SheetMapping
{
    public static SheetRecord Of(Visit visit, ContextRecord context)
    {
        var points = new SheetPoints(visit, context);
        List<SheetPointRecord> lines = [.. visit.Points.Zip(visit.Work).Select(p => points.Of(p.First, p.Second))];
        var order = visit.Context.Type.Order;
        var view = CrankView.Of(context.Type.Rotation);
        var stops = new SheetStops(visit, context);
        var course = Course.Of(visit);
        return new SheetRecord
        {
            Result = VisitResult.Of(visit),
            Method = visit.Method,
            Setting = visit.Setting,
            Order = visit.Schools.Order,
            Judging = visit.Schools.Judging,
            Manner = visit.Schools.Manner,
            Measuring = visit.Schools.Measuring,
            Methods = [.. TurningMethods.AllowedBy(visit.Context.Type).Where(m => !visit.IsByStarter || !m.NeedsMark()).Select(m => new MethodRecord(m, m.NeedsMark(), m == visit.Context.Type.Method))],
            ByEye = visit.Method.IsByEye(),
            TurnedBy = visit.TurnedBy,
            ByEyeMethod = visit.Context.Type.ByEyeMethod(),
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
            OutOfTrendBecause = visit.OutOfTrendBecause,
            NotJudged = visit.IsNotJudged,
            SpecRevision = visit.Demands?.Revision,
            SpecSource = visit.Demands?.Source,
            ShownHours = visit.Opened!.ShownHours,
            TotalHours = context.Meter is { } meter && visit.Opened.Date >= meter.Date ? visit.Opened.ShownHours + meter.OffsetHours : null,
            Tray = visit.Tray?.Blades ?? [],
            TrayUnit = WrittenFigure.Name(visit.Unit),
            TraySet = visit.Tray?.SetId,
            ThinBlades = [.. (visit.Tray?.Blades ?? []).Zip(visit.Tray?.BladesMm ?? [], (blade, mm) => (blade, mm)).Where(b => ThinBlade.Is(b.mm)).Select(b => b.blade)],
            StoppedAt = visit.StoppedAt,
            Stillness = visit.Stillness is { } still ? new StillnessRecord(still.Since, still.AskAt, still.IsPaused) : null,
            HotMinutes = visit.Context.Facts.HotMinutes,
            NarrowBlade = context.Type.NarrowBlade,
            RunningMethod = context.Type.RunningMethod,
            SecondPassMinutes = context.Type.SecondPassMinutes,
            Letters = context.Type.Letters.SpeltOut(),
            NotLookedAt = visit.NotLookedAt,
            FindAgain = visit.FindAgain,
            Waiting = visit.Opened!.Continues is null ? [] : [.. visit.Work.Where(w => w.FoundBefore is not null).Select(w => w.Point.Label)],
            PastTdc = context.Type.PastTdc,
            Course = [.. course.Steps.Select(s => new CourseStepRecord(s.Part, s.Stop, s.Done))],
            At = course.At,
            AtStop = course.AtStop,
            Steps = [.. visit.Context.Steps.Where(s => s.List == StepList.Kit || visit.Lists(s)).Select(s => Step(visit, s))],
            Stops = [.. visit.Plan.Stops.Select((s, i) => stops.Of(s, i, lines))],
            CannotSet = [.. visit.Plan.Turning.CannotSet.Select(p => new UnplacedPointResponse(p.Point.Cylinder, p.Point.Kind, p.MarginDeg, p.Reason))],
            Points = lines,
        };
    }

    /// <summary>The line of one point, as it stands on the sheet.</summary>
    /// <exception cref="BadInputException">The engine has no such point.</exception>
    public static SheetPointRecord Line(Visit visit, ContextRecord context, string label)
    {
        var (view, work) = visit.Points.Zip(visit.Work).FirstOrDefault(p => p.First.Point == label);
        return work is null ? throw new BadInputException("only", $"This engine has no point {label}.") : new SheetPoints(visit, context).Of(view, work);
    }

    private static SheetStepRecord Step(Visit visit, VisitStep step)
    {
        var tick = visit.TickOf(step.Key);
        return new SheetStepRecord(step.Key, step.List, visit.IsByStarter && step.ByStarter is { } other ? other : step.Text, visit.Asks(step), tick is not null)
        {
            Asks = step.Asks,
            Point = step.Point,
            CrankDeg = step.CrankDeg,
            Counts = step.Counts,
            Must = step.Must,
            AfterFitting = step.AfterFitting,
            Due = step.Point is { } label && visit.Work.FirstOrDefault(w => w.Point.Label == label) is { } work && visit.IsDue(step, work),
            NotHere = tick?.NotHere ?? false,
            Why = tick?.Why,
            Said = tick?.Said,
        };
    }
}
