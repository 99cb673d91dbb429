namespace ZeroDrift.Core.Wear;

/// <summary>How far things stray, as standard deviations: what a fit learns before it says anything of one valve. Rates per 1000 h.</summary>
public sealed record WearComponents
{
    /// <summary>σe: one reading against the next, mm.</summary>
    public double ReadingSdMm { get; init; } = 0.010;

    /// <summary>σa: one visit against the next (warm engine, weather, blades), mm.</summary>
    public double VisitSdMm { get; init; } = 0.006;

    /// <summary>σp: one hand against another, mm.</summary>
    public double PersonSdMm { get; init; } = 0.007;

    /// <summary>τ by group: one valve's rate against its siblings', mm per 1000 h.</summary>
    public required IReadOnlyList<double> TauMmPer1000h { get; init; }

    /// <summary>ψ by group: one engine's rate against its sisters' (load, fuel), mm per 1000 h.</summary>
    public required IReadOnlyList<double> EngineTauMmPer1000h { get; init; }

    /// <summary>Where a fit starts from (common practice, no source).</summary>
    public static WearComponents Start(int groups, bool engineSlope = true) => new()
    {
        TauMmPer1000h = [.. Enumerable.Repeat(0.006, groups)],
        EngineTauMmPer1000h = [.. Enumerable.Repeat(engineSlope ? 0.004 : 0.0, groups)],
    };
}

/// <summary>Which parts of the model are switched on, and what is held.</summary>
/// <param name="Bedding">The first hours after a setting.</param>
/// <param name="Mixture">Some valve may be a fast one.</param>
/// <param name="HeavyTails">A reading or a visit may be far off without dragging the rest.</param>
public sealed record WearOptions(bool Bedding = true, bool Mixture = true, bool HeavyTails = true)
{
    /// <summary>Components to hold; null: they are learned.</summary>
    public WearComponents? Held { get; init; }
}
