using ZeroDrift.Contract.Calls;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Server.Book;

/// <summary>One kind's line, as the source writes it: a window, a single figure, two blades, zero, or an amount.</summary>
public sealed record SpecLineDto
{
    public LashKind? Kind { get; init; }

    /// <summary>Instead of the figures one by one, as a book writes it: 0.25, 0.20-0.30 or 0.25 ± 0.05.</summary>
    public string? Written { get; init; }
    public string? Min { get; init; }
    public string? Max { get; init; }
    public string? Set { get; init; }
    public string? Single { get; init; }
    public string? TightSide { get; init; }
    public string? LooseSide { get; init; }
    public string? Go { get; init; }
    public string? NoGo { get; init; }
    public bool? Zero { get; init; }
    public double? Turns { get; init; }
    public double? Fraction { get; init; }
    public double? HeightMm { get; init; }
    public double? TorqueNm { get; init; }
    public string? Unit { get; init; }
}

public sealed record BookStopDto(double CrankDeg, IReadOnlyList<string>? Points);

/// <summary>An engine type as it is typed into the book.</summary>
public sealed record EngineTypeRequest : TypeWays
{
    public Guid? Id { get; init; }

    /// <summary>Left out, it goes by its name.</summary>
    public string? Code { get; init; }
    public string? Name { get; init; }
    public EngineCycle Cycle { get; init; }
    public string? FiringOrder { get; init; }
    public IReadOnlyList<double>? FiringAnglesDeg { get; init; }
    public TimingRequest? Timing { get; init; }
    public double? RampGuardDeg { get; init; }
    public string? Banks { get; init; }
    public string? Layout { get; init; }
    public AdjusterKind Adjuster { get; init; }
    public IReadOnlyList<double>? ShimSizesMm { get; init; }
    public double? ShimPerClearance { get; init; }
    public double? TravelTurns { get; init; }
    public bool? SelfLocking { get; init; }

    public TurningMethod Method { get; init; }
    public SpecRevisionRequest? Spec { get; init; }

    /// <summary>The layout or the adjuster was not given and stands in for the book's: marked, and asked for again.</summary>
    public bool? LayoutAssumed { get; init; }
    public bool? AdjusterAssumed { get; init; }

    /// <summary>The letters of its book; left out, the layout must tell.</summary>
    public BookLetters? Letters { get; init; }

    /// <summary>What sets one kind of point otherwise than the rest.</summary>
    public IReadOnlyList<KindStyleDto?>? ByKind { get; init; }

    /// <summary>No figure is at hand: points are measured and not judged until a revision is added.</summary>
    public bool? NoFigures { get; init; }
}

public sealed record SpecRevisionRequest(string? Revision, string? Source, DateOnly? Date, SpecCondition Condition, IReadOnlyList<SpecLineDto?>? Lines, string? Photo = null);

public sealed record LashPointResponse(Guid Id, string Label, int Cylinder, LashKind Kind, string? Place, AdjusterKind Adjuster, int Bank, int Along, string? BookName, bool BridgeScrew);

/// <summary>What a line asks, in millimetres; setIsOurs: the source gives no figure to set, and the middle stands in for it.</summary>
public sealed record SpecFiguresResponse(LashKind Kind, double? MinMm, double? MaxMm, double? SetMm, bool FleetTolerance, string Written, string Unit, bool SetIsOurs);

public sealed record RevisionResponse(Guid Id, string Revision, string Source, DateOnly Date, SpecCondition Condition, bool InForce, IReadOnlyList<SpecFiguresResponse> Figures, string? Photo);

public sealed record EngineTypeSummary(Guid Id, string Code, string Name, string FiringOrder, int Cylinders, int Points, AdjusterKind Adjuster, string? Revision, int Engines);

/// <summary>An engine type of the book, with what follows from it.</summary>
public sealed record EngineTypeResponse : TypeFacts
{
    /// <summary>Takes over what the book says.</summary>
    public EngineTypeResponse(TypeFacts facts)
        : base(facts)
    {
    }

    public required Guid Id { get; init; }
    public required string Code { get; init; }
    public required string Name { get; init; }
    public required IReadOnlyList<int> FiringOrder { get; init; }
    public required bool TimingKnown { get; init; }
    public required ValveTiming Timing { get; init; }
    public required string Banks { get; init; }
    public required string Layout { get; init; }
    /// <summary>Fields that nobody gave: assumed, not the book's.</summary>
    public required IReadOnlyList<string> Assumed { get; init; }

    /// <summary>The letters, spelt out.</summary>
    public required string LettersSpeltOut { get; init; }
    public UniflowTiming? Uniflow { get; init; }
    public required IReadOnlyList<KindStyleDto> ByKind { get; init; }

    /// <summary>Its steps, whether edited or following from its adjusters.</summary>
    public required IReadOnlyList<TypeStepDto> Steps { get; init; }
    public required bool OwnSteps { get; init; }
    public required IReadOnlyList<FastenerDto> Fasteners { get; init; }
    public required IReadOnlyList<GasketDto> Gaskets { get; init; }
    public required IReadOnlyList<string> ScarceTools { get; init; }

    /// <summary>What to bring, summed.</summary>
    public required IReadOnlyList<KitLine> Kit { get; init; }

    /// <summary>Degrees past TDC, where stroke and rod give them.</summary>
    public double? PastTdcDeg { get; init; }
    public required bool Archived { get; init; }
    public required int Version { get; init; }
    public required IReadOnlyList<BookStopDto> BookStops { get; init; }

    /// <summary>The schools of positions to choose from.</summary>
    public required IReadOnlyList<TurningMethod> Methods { get; init; }
    public required IReadOnlyList<LashPointResponse> Points { get; init; }
    public required IReadOnlyList<RevisionResponse> Revisions { get; init; }
    public required TurningPlanResponse Plan { get; init; }
}

/// <summary>What a type being typed in would look like: its points and its turning plan.</summary>
public sealed record TypePreviewResponse(IReadOnlyList<LashPointResponse> Points, TurningPlanResponse Plan, IReadOnlyList<SpecFiguresResponse> Figures);

/// <summary>What of a type may be edited; its points and firing order may not, since records stand on them.</summary>
public sealed record EngineTypeChangeRequest : TypeWays
{
    public string? Name { get; init; }
    public TurningMethod? Method { get; init; }
    public bool? Archived { get; init; }
    public string? Who { get; init; }
    public string? Why { get; init; }

    /// <summary>The version this edit was made on.</summary>
    public int? Version { get; init; }
}

/// <summary>A piece of a manual as it was pasted.</summary>
public sealed record ManualExcerptRequest(string? Text);

/// <summary>One clearance of it, as it is written there.</summary>
public sealed record ExcerptClearanceResponse(LashKind Kind, string Written);

/// <summary>What was understood of a piece of a manual; left: what was not, each with why.</summary>
public sealed record ManualExcerptResponse(string? FiringOrder, SpecCondition? Condition, string? Unit, IReadOnlyList<ExcerptClearanceResponse> Clearances, string? Rotation, IReadOnlyList<string> Left);
