namespace ZeroDrift.Core.Engines;

/// <summary>One stop of a book list.</summary>
/// <param name="CrankDeg">Where the book stops.</param>
/// <param name="Set">The points the book sets there.</param>
public sealed record BookStop(CrankAngle CrankDeg, IReadOnlyList<LashRef> Set);
