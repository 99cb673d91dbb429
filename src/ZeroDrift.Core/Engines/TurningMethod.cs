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
}
