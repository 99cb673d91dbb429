using ZeroDrift.Contract.Calls;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Visits;
using ZeroDrift.Planning.Shims;
using ZeroDrift.Planning.Shims.Bench;
using ZeroDrift.Server.Calculators;
using ZeroDrift.Server.Shims.Drawers;

namespace ZeroDrift.Server.Shims.Bench;

/// <summary>
/// Engines of one site whose shims are decided together, by the visits at which they were measured. `drawers`: all of the site where left out.
/// `buyMm`: what can be bought, the book's series where left out. `keepLoose`: recession is worked against within the window.
/// </summary>
public sealed record BenchRequest
{
    public IReadOnlyList<Guid>? Visits { get; init; }
    public ShimPolicy? Policy { get; init; }
    public bool? KeepLoose { get; init; }
    public IReadOnlyList<Guid>? Drawers { get; init; }
    public IReadOnlyList<double>? BuyMm { get; init; }
    public IReadOnlyList<ShimPinRequest?>? Pins { get; init; }
}

/// <summary>One engine on the bench.</summary>
public sealed record BenchEngineResponse
{
    public required Guid VisitId { get; init; }
    public required Guid EngineId { get; init; }
    public required string Engine { get; init; }
    public required string Site { get; init; }
    public required string TypeName { get; init; }
    public required VisitState State { get; init; }
    public required DateOnly Date { get; init; }
    public string? MeasuredBy { get; init; }
    public SpecCondition? Condition { get; init; }
    public double? TemperatureC { get; init; }

    /// <summary>mm or thou, as its book speaks.</summary>
    public required string Unit { get; init; }
    public required IReadOnlyList<double> SizesMm { get; init; }
    public double? DiameterMm { get; init; }

    /// <summary>What may happen if it runs before its shims are in; null where nothing is tight.</summary>
    public string? Meanwhile { get; init; }
}

public sealed record ShortResponse(double ShortMm, string Sentence, IReadOnlyList<WayOutResponse> Ways);

public sealed record WantedResponse(double ExactMm, double MayFromMm, double MayToMm, double? SurelyFromMm, double? SurelyToMm);

/// <summary>One point on the bench.</summary>
public sealed record BenchPointResponse
{
    public required string Id { get; init; }
    public required Guid VisitId { get; init; }
    public required string Label { get; init; }
    public required LashKind Kind { get; init; }
    public required BenchStanding Standing { get; init; }
    public double? MinMm { get; init; }
    public double? MaxMm { get; init; }

    /// <summary>The figure aimed at: the book's, or a little looser where recession is worked against.</summary>
    public double? TargetMm { get; init; }

    /// <summary>The gap found: a figure twice, or the ends of what it lies between; one of them null where only one is known.</summary>
    public double? GapFromMm { get; init; }
    public double? GapToMm { get; init; }

    /// <summary>The one figure it is drawn and counted at: the middle where it lies between two; null where only one end is known.</summary>
    public double? GapMm { get; init; }

    /// <summary>How it was found, as its visit judges it; null where nothing is measured or nothing is asked.</summary>
    public VerdictState? State { get; init; }
    public double? FittedMm { get; init; }
    public ShimKnownBy? KnownBy { get; init; }

    /// <summary>What is printed on it, where that was read beside its measurement.</summary>
    public string? Mark { get; init; }

    /// <summary>The day its thickness was read, where that was at an earlier visit.</summary>
    public DateOnly? KnownSince { get; init; }
    public double? ShimMm { get; init; }
    public ShimSource? From { get; init; }
    public string? FromPoint { get; init; }
    public Guid? DrawerId { get; init; }
    public double? PredictedMm { get; init; }
    public bool InWindow { get; init; }
    public bool Pinned { get; init; }
    public WantedResponse? Wanted { get; init; }
    public double? ThinnerMm { get; init; }
    public required string Why { get; init; }
    public ShortResponse? Short { get; init; }

    /// <summary>Every size it could get, the nearest to its figure first.</summary>
    public required IReadOnlyList<BenchOption> Options { get; init; }
}

public sealed record BenchBuy(double SizeMm, int Count, IReadOnlyList<string> For);

public sealed record BenchSpare(double SizeMm, int Count, IReadOnlyList<string> From);

/// <summary>The whole bench as it would be done.</summary>
public sealed record BenchResponse
{
    public required ShimPolicy Policy { get; init; }
    public required bool KeepLoose { get; init; }

    /// <summary>Drift has something to offer to whoever keeps a little loose.</summary>
    public required bool CanKeepLoose { get; init; }
    public required ShimAccess Access { get; init; }
    public required IReadOnlyList<BenchEngineResponse> Engines { get; init; }
    public required IReadOnlyList<BenchPointResponse> Points { get; init; }
    public required IReadOnlyList<BenchBuy> Buy { get; init; }
    public required IReadOnlyList<BenchSpare> Spare { get; init; }

    /// <summary>The drawers it draws on, with what of each fits here.</summary>
    public required IReadOnlyList<DrawerResponse> Drawers { get; init; }
    public required IReadOnlyList<double> BuyMm { get; init; }
    public required int Outside { get; init; }
    public required int Bought { get; init; }
    public required int Moved { get; init; }
    public required double DeviationMm { get; init; }

    /// <summary>Other engines of the site that are measured and wait for shims of this sort.</summary>
    public required IReadOnlyList<BenchOther> Others { get; init; }

    /// <summary>The job decided for these visits, where one stands.</summary>
    public Guid? JobId { get; init; }
}

public sealed record BenchOther(Guid VisitId, string Engine, DateOnly Date);
