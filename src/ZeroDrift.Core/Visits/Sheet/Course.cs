using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Visits.Sheet;

/// <summary>The parts of a visit, in their order.</summary>
public enum CoursePart
{
    /// <summary>Make safe.</summary>
    MakeSafe,

    /// <summary>Cold or hot.</summary>
    Condition,

    /// <summary>Covers off.</summary>
    Covers,

    /// <summary>Preliminaries at a crank angle of their own.</summary>
    First,

    /// <summary>A stop with its points; where the eye is on the valves one part stands for all of them.</summary>
    Stop,

    /// <summary>Closing up.</summary>
    CloseUp,

    /// <summary>The signature.</summary>
    Sign,
}

/// <summary>One part, as the way through the visit shows it.</summary>
/// <param name="Part">Which.</param>
/// <param name="Stop">The stop's place in the plan; null for the others.</param>
/// <param name="Done">Nothing is left to do in it.</param>
public sealed record CourseStep(CoursePart Part, int? Stop, bool Done);

/// <summary>The way through a visit: its parts, and where the guide stands.</summary>
/// <param name="Steps">In their order.</param>
/// <param name="At">The part the next task belongs to.</param>
/// <param name="AtStop">Its stop, where it is one.</param>
public sealed record Course(IReadOnlyList<CourseStep> Steps, CoursePart At, int? AtStop)
{
    /// <summary>Draws it up.</summary>
    public static Course Of(Visit visit)
    {
        var stops = visit.Plan.Stops;
        var work = visit.Work.ToDictionary(p => p.Point.Label);
        var (at, atStop) = Now(visit);
        return new Course([.. Parts()], at, atStop);

        IEnumerable<CourseStep> Parts()
        {
            if (Has(StepList.MakeSafe)) yield return new CourseStep(CoursePart.MakeSafe, null, IsTicked(StepList.MakeSafe));
            yield return new CourseStep(CoursePart.Condition, null, visit.Condition is not null);
            yield return new CourseStep(CoursePart.Covers, null, visit.Condition is not null && IsTicked(StepList.Covers));
            if (Has(StepList.Stop)) yield return new CourseStep(CoursePart.First, null, IsTicked(StepList.Stop));
            if (visit.Method.IsByEye()) yield return new CourseStep(CoursePart.Stop, atStop ?? 0, visit.Work.All(p => !visit.HasWorkAt(p)));
            else
                for (var i = 0; i < stops.Count; i++) yield return new CourseStep(CoursePart.Stop, i, stops[i].Points.All(label => !visit.HasWorkAt(work[label])));
            yield return new CourseStep(CoursePart.CloseUp, null, IsTicked(StepList.BeforeCloseUp) && IsTicked(StepList.CloseUp));
            yield return new CourseStep(CoursePart.Sign, null, visit.Signed is not null);
        }

        bool Has(StepList list) => visit.Context.Steps.Any(s => s.List == list && visit.Lists(s));
        bool IsTicked(StepList list) => visit.Context.Steps.Where(s => s.List == list && visit.Asks(s)).All(s => visit.IsTicked(s.Key));
    }

    /// <summary>The stop of a point in the plan; 0 where none has it.</summary>
    public static int StopOf(Visit visit, string label)
    {
        for (var i = 0; i < visit.Plan.Stops.Count; i++)
            if (visit.Plan.Stops[i].Points.Contains(label)) return i;
        return 0;
    }

    private static (CoursePart Part, int? Stop) Now(Visit visit)
    {
        if (visit.Next is not { } next) return (CoursePart.Sign, null);
        if (next.Point is { } label) return (CoursePart.Stop, StopOf(visit, label));
        return next.Do switch
        {
            NextDo.Condition => (CoursePart.Condition, null),
            NextDo.Step => (PartOf(visit.Context.StepOf(next.Step!)!.List), null),
            _ => (CoursePart.Sign, null),
        };
    }

    private static CoursePart PartOf(StepList list) => list switch
    {
        StepList.MakeSafe => CoursePart.MakeSafe,
        StepList.Covers => CoursePart.Covers,
        StepList.Stop => CoursePart.First,
        _ => CoursePart.CloseUp,
    };
}
