using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Contract.Visits;

/// <summary>The shim at a point: mark and measurement are two figures.</summary>
public sealed record SheetShimRecord
{
    public required ShimAccess Access { get; init; }
    public required IReadOnlyList<double> SizesMm { get; init; }

    /// <summary>As found.</summary>
    public ShimReadRecord? Found { get; init; }

    /// <summary>There now.</summary>
    public ShimReadRecord? Now { get; init; }

    /// <summary>What is printed on it, where it was read beside its measurement.</summary>
    public string? Mark { get; init; }
    public double? NowMm { get; init; }

    /// <summary>Another shim was fitted here.</summary>
    public bool Fitted { get; init; }

    /// <summary>What was decided for it between the visit that measured it and this one.</summary>
    public PlannedShimRecord? Planned { get; init; }

    /// <summary>The one fitted is there to give a gap to measure; the right one is worked out from it.</summary>
    public bool IsTrial { get; init; }

    /// <summary>Closed up: what may be fitted to get a gap, the first to try first; empty elsewhere.</summary>
    public required IReadOnlyList<double> TrialsMm { get; init; }

    /// <summary>The gap that the shim there now should give.</summary>
    public double? ExpectedMm { get; init; }

    /// <summary>What is read with it lies half a thou or more from that: cleaned and measured again before it is believed.</summary>
    public bool CleanAgain { get; init; }
}

public sealed record ShimReadRecord(string Thickness, string Unit, ShimKnownBy How);
