using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Shims;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Server.Shims.Ahead;

/// <summary>A point's shim, how far its seat has come up since build (or since the first visit that tells), and what is left.</summary>
public sealed record ShimPointAhead(string Point, LashKind Kind, int Bank, double? ShimMm, ShimKnownBy? KnownBy, DateOnly? KnownSince, double? GapMm, double? RecessionMm, DateOnly? Since, double? LeftMm, ShimEnd? Towards, HoursLeft? Hours);

/// <summary>
/// What is left on an engine. Of shims with the ends of their series; of screws with the free thread at build, where somebody measured it. A point
/// without two ends of a run is not in it.
/// </summary>
public sealed record AdjustmentLeftOfEngine(ShimAccess? Access, double? ThinnestMm, double? ThickestMm, double? ScrewFreeMm, IReadOnlyList<ShimPointAhead> Points, IReadOnlyList<HeadLeft> Heads);

/// <summary>A size that an opening may want.</summary>
public sealed record SizeWantedResponse(double SizeMm, double Odds, double Expected, IReadOnlyList<string> Points);

/// <summary>What is known of an engine's shims, and what its next opening is likely to want.</summary>
public sealed record EngineShimsResponse
{
    public required ShimAccess Access { get; init; }
    public double? DiameterMm { get; init; }
    /// <summary>When the engine is due; null where nothing calls for it within the forecast.</summary>
    public DateOnly? DueOn { get; init; }
    public required IReadOnlyList<SizeWantedResponse> Carry { get; init; }

    /// <summary>Points the list cannot speak for: no shim known, or never measured.</summary>
    public required IReadOnlyList<string> NotKnown { get; init; }

    /// <summary>Points whose shim is decided, laid out or on order.</summary>
    public required IReadOnlyList<string> Decided { get; init; }

    /// <summary>The job under way, if one is.</summary>
    public Guid? JobId { get; init; }
}

/// <summary>What a site should hold of one size for its coming year, and what lies there.</summary>
public sealed record HoldResponse(ShimAccess Access, double? DiameterMm, double SizeMm, int Hold, double Expected, int Have);

/// <summary>What a site should hold: so that nine times in ten nothing is short.</summary>
public sealed record SiteShimsResponse(string Site, DateOnly Until, IReadOnlyList<string> Engines, IReadOnlyList<string> NotKnown, IReadOnlyList<HoldResponse> Hold);
