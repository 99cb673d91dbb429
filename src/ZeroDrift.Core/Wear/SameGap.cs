namespace ZeroDrift.Core.Wear;

/// <summary>One reading of a gap.</summary>
/// <param name="By">Whose hand.</param>
/// <param name="Mm">What it said.</param>
public readonly record struct GapReading(Guid By, double Mm);

/// <summary>A gap that was measured more than once with nothing done to it between: what it teaches of the hands.</summary>
/// <param name="Point">The point's label.</param>
/// <param name="Readings">Two or more.</param>
public sealed record SameGap(string Point, IReadOnlyList<GapReading> Readings);
