using ZeroDrift.Core.Judging;

namespace ZeroDrift.Contract.Calls;

public sealed record DemandRequest(double? MinMm, double? MaxMm, double? SetMm, double? FigureMm, double? TightSideMm, double? LooseSideMm, double? GoMm, double? NoGoMm);

public sealed record DialReadingRequest(double? TravelMm, double? Conversion, double? StandardUncertaintyMm);

public sealed record ExpectedRequest(double? ClearanceMm, double? StandardUncertaintyMm);

public sealed record JudgeRequest
{
    public IReadOnlyList<TrialRequest?>? Trials { get; init; }
    public double? FigureMm { get; init; }
    public DialReadingRequest? Dial { get; init; }
    public double? FeelSdMm { get; init; }
    public DemandRequest? Demand { get; init; }
    public IReadOnlyList<double>? TrayMm { get; init; }
    public MeasuringAim Aim { get; init; }
    public JudgingSchool School { get; init; }
    public ExpectedRequest? Expected { get; init; }
    public string? Unit { get; init; }

    /// <summary>Where all are brought to one figure: how near is near enough, mm.</summary>
    public double? SameWithinMm { get; init; }
}

public sealed record WindowResponse(double MinMm, double MaxMm, double? SetMm);

public sealed record StackResponse(IReadOnlyList<double> BladesMm, double SumMm);
