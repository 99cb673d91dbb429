using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Drift;

/// <summary>One figure of a point at a visit, with all that stands behind it.</summary>
public sealed record DriftFigure(double? Mm, double? LowerMm, double? UpperMm, Guid By);

public sealed record DriftPointVisit(Guid VisitId, DriftFigure? Found, DriftFigure? Left, string? LeftWhy, bool PartChanged);

/// <summary>A visit along an engine's life.</summary>
public sealed record DriftVisit
{
    public required Guid VisitId { get; init; }
    public required double Hours { get; init; }
    public required DateOnly Date { get; init; }
    public required JobKind Job { get; init; }
    public required string Who { get; init; }
    public string? Revision { get; init; }

    /// <summary>How much looser everything read; null before anything was fitted.</summary>
    public double? ShiftMm { get; init; }
    public double? ShiftStandardErrorMm { get; init; }

    /// <summary>Further off than visits stray, and nobody has answered for it.</summary>
    public required bool Asked { get; init; }

    /// <summary>What it was measured with and is withdrawn since, with why; null where nothing is, or somebody answered.</summary>
    public string? MeasuredWith { get; init; }
    public string? WithdrawnWhy { get; init; }

    /// <summary>Two points that read as each other was expected to, and nobody has said whether they were swapped; of the last visit.</summary>
    public SwappedRecord? Swapped { get; init; }

    /// <summary>Left out of the rates: warm, otherBlades; null where it counts.</summary>
    public string? LeftOut { get; init; }
}

/// <summary>A sister engine's point of the same kind.</summary>
public sealed record SisterRate(Guid EngineId, string Engine, string Point, double MmPer1000h);

/// <summary>The window that held from a day on.</summary>
public sealed record DriftSpec(string Revision, DateOnly Date, double MinMm, double MaxMm, double? SetMm);

/// <summary>A point on its engine's drift: where it sits, where it is heading, and every figure that rests on.</summary>
public sealed record EngineDriftPointResponse : PointContent
{
    public EngineDriftPointResponse(PointContent known)
        : base(known)
    {
    }

    public required int Cylinder { get; init; }
    public required LashKind Kind { get; init; }
    public string? Place { get; init; }
    public required int Bank { get; init; }
    public required int Along { get; init; }
    public required IReadOnlyList<DriftPointVisit> Visits { get; init; }
    public required IReadOnlyList<DriftSpec> Specs { get; init; }
}

public sealed record KindRate(LashKind Kind, double MmPer1000h, double StandardErrorMmPer1000h, double TauMmPer1000h, double EngineTauMmPer1000h);

public sealed record EngineDriftResponse
{
    public required Guid EngineId { get; init; }
    public required string Engine { get; init; }
    public required Guid TypeId { get; init; }
    public required string TypeCode { get; init; }
    public required double TotalHours { get; init; }
    public required double HoursPerWeek { get; init; }
    public required DateOnly Today { get; init; }
    public required double Risk { get; init; }
    public double? RiskHours { get; init; }
    public DateOnly? RiskDate { get; init; }
    public double? OpenAfterHours { get; init; }
    public DateOnly? OpenDate { get; init; }
    public double? BookHoursLeft { get; init; }
    public double? RiskAtBook { get; init; }

    /// <summary>What is said of it, the same as in the yard.</summary>
    public required VoiceResponse Voice { get; init; }

    /// <summary>The deciding point's own hours to the fleet's risk, and its own chance when the engine reaches it.</summary>
    public double? DecidedByHours { get; init; }
    public double? DecidedByRisk { get; init; }

    /// <summary>It drifts out before the book calls: by the forecast at the fleet's risk, and worth an early look.</summary>
    public required bool BeforeBook { get; init; }
    public string? DecidedBy { get; init; }
    public LimitSide? Side { get; init; }

    /// <summary>What was said before the last visit; null where there was none before it.</summary>
    public OutlookBefore? Before { get; init; }
    public string? Trouble { get; init; }
    public required IReadOnlyList<EngineDriftPointResponse> Points { get; init; }
    public required IReadOnlyList<DriftVisit> Visits { get; init; }
    public required IReadOnlyList<KindRate> Kinds { get; init; }
    public required IReadOnlyList<SisterRate> Sisters { get; init; }
}
