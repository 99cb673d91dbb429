namespace ZeroDrift.Core.Jobs;

/// <summary>
/// Other work opens the engine (injectors, oil service with the covers off): whether the overhead is worth taking along. It costs no second opening,
/// and throws away the running hours from then to its own due day. Common practice, no source.
/// </summary>
public static class CheapMoment
{
    /// <summary>Up to this many days before its due day an overhead is taken along.</summary>
    public const int MostDaysEarly = 90;

    /// <summary>Whether work that opens the engine on a day is the moment for an overhead due on another.</summary>
    public static bool Is(DateOnly opened, DateOnly overheadDue) => overheadDue >= opened && overheadDue.DayNumber - opened.DayNumber <= MostDaysEarly;
}
