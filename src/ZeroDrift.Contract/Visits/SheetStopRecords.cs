using ZeroDrift.Core.Turning;

namespace ZeroDrift.Contract.Visits;

/// <summary>A point that should be clear by the timing where the crank stands; only the eye proves it.</summary>
public sealed record ClearHereRecord(string Point, double MarginDeg);

/// <summary>With the lobes in sight: what was seen, what should be clear by the timing where the crank stands, and the least turn that brings another point clear.</summary>
public sealed record LobeAwayRecord(IReadOnlyList<string> Here, IReadOnlyList<ClearHereRecord> Computed, double? TurnDeg, double? CrankDeg, IReadOnlyList<string> Next);

/// <summary>Without a usable mark: half a turn past intake closing, with the room there is each way.</summary>
public sealed record NoMarkRecord(double PastTdcDeg, double MarginDeg, string Sentence);

public sealed record ProofRecord(ProofKind Kind, string Sentence);

public sealed record SheetStopRecord(int Index, double? CrankDeg, double TurnFromPreviousDeg, double ToolTurnsFromPrevious, int? CompressionCylinder, int? RockingCylinder, string Sign, double? RoomBackDeg, double? RoomForwardDeg, bool Proved, bool Done, IReadOnlyList<string> Points)
{
    /// <summary>The point at hand at this stop: chosen, next, or the first with something left.</summary>
    public string? At { get; init; }

    /// <summary>Without a usable mark; null where it does not reach what is set here.</summary>
    public NoMarkRecord? NoMark { get; init; }

    /// <summary>Forwards from where the crank stands; null where nobody has said where that is.</summary>
    public double? TurnDeg { get; init; }
    public double? ToolTurns { get; init; }

    /// <summary>The proofs of compression that fit this engine and this case.</summary>
    public required IReadOnlyList<ProofRecord> Proofs { get; init; }

    /// <summary>The marks that are up here, and the ones that lie in wait near it.</summary>
    public required IReadOnlyList<StopMarkRecord> Marks { get; init; }
}

/// <summary>A mark at a stop: so many degrees on from it, before it where negative.</summary>
public sealed record StopMarkRecord(string Name, bool Trap, double AheadDeg);
