namespace ZeroDrift.Core.Engines;

/// <summary>The schools of finding the position; each is used somewhere and supported here.</summary>
public enum TurningMethod
{
    /// <summary>Half the points at one TDC, the rest a turn later.</summary>
    TwoStop,

    /// <summary>Each cylinder at its own TDC compression, in firing order.</summary>
    PerCylinder,

    /// <summary>The same stops, named by the cylinder that rocks.</summary>
    Rocking,

    /// <summary>Intake when the exhaust begins to open, exhaust when the intake is almost closed; cylinder by cylinder, no mark.</summary>
    ExhaustOpeningIntakeClosing,

    /// <summary>The fewest TDC marks that reach everything.</summary>
    FewestStops,

    /// <summary>The book's own list, to the letter, checked.</summary>
    Book,

    /// <summary>Cams in sight: no stops; a point is measured where its lobe points away from its valve, in any order.</summary>
    LobeAway,
}

/// <summary>What follows from a school.</summary>
public static class TurningMethods
{
    /// <summary>Found by a mark on the pulley; the starter is too coarse for one. The others go by what is seen of the valves.</summary>
    public static bool NeedsMark(this TurningMethod method) => method is TurningMethod.TwoStop or TurningMethod.PerCylinder or TurningMethod.FewestStops or TurningMethod.Book;

    /// <summary>The schools a type allows: a two-stroke has no overlap and comes round every turn; the book's list needs one.</summary>
    public static IReadOnlyList<TurningMethod> AllowedBy(EngineType type) =>
    [
        .. Enum.GetValues<TurningMethod>().Where(m => m switch
        {
            TurningMethod.Book => type.BookStops.Count > 0,
            TurningMethod.PerCylinder or TurningMethod.FewestStops or TurningMethod.LobeAway => true,
            _ => type.Order.Cycle == EngineCycle.FourStroke,
        }),
    ];

    /// <summary>The eye is on one valve at a time: the point is proved by what was seen, not by a stop.</summary>
    public static bool IsByEye(this TurningMethod method) => method is TurningMethod.LobeAway or TurningMethod.ExhaustOpeningIntakeClosing;

    /// <summary>The school that needs no mark, for whoever cannot stop at one.</summary>
    public static TurningMethod ByEyeMethod(this EngineType type) => type.Order.Cycle == EngineCycle.FourStroke ? TurningMethod.ExhaustOpeningIntakeClosing : TurningMethod.LobeAway;
}
