namespace ZeroDrift.Core.Hours;

/// <summary>What an operator notices.</summary>
public enum Symptom
{
    /// <summary>A tick or clatter from the head.</summary>
    Ticking,

    /// <summary>Less power than it had.</summary>
    Power,

    /// <summary>More smoke than it made.</summary>
    Smoke,

    /// <summary>Hard to start.</summary>
    Starting,

    /// <summary>A cylinder does not fire.</summary>
    DeadCylinder,
}

/// <summary>Something that calls for an engine on its own: an operator's slip, or a follow-up somebody promised.</summary>
/// <param name="Rule">Symptom or follow-up.</param>
/// <param name="Date">By this day; null where hours decide.</param>
/// <param name="AtHours">At these total engine hours; null where the day decides.</param>
public sealed record EngineCall(DueRule Rule, DateOnly? Date, EngineHours? AtHours)
{
    /// <summary>Days within which a symptom is to be looked at: a cylinder that does not fire now, what may be a valve held open within a week, a tick within two (common practice, no source).</summary>
    public static int DaysFor(IEnumerable<Symptom> symptoms) => symptoms.Select(s => s switch
    {
        Symptom.DeadCylinder => 0,
        Symptom.Power or Symptom.Smoke or Symptom.Starting => 7,
        Symptom.Ticking => 14,
        _ => throw new ArgumentOutOfRangeException(nameof(symptoms), s, "No such symptom."),
    }).DefaultIfEmpty(7).Min();
}
