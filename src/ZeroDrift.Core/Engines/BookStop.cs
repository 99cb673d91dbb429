namespace ZeroDrift.Core.Engines;

/// <summary>One stop of a book list.</summary>
/// <param name="CrankDeg">Crank degrees from TDC compression of the first cylinder in the firing order; any size, taken modulo the cycle.</param>
/// <param name="Set">The points the book sets there.</param>
public sealed record BookStop(double CrankDeg, IReadOnlyList<LashRef> Set);
