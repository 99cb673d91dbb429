namespace ZeroDrift.Core.Engines;

/// <summary>
/// A small engine whose compression release holds a valve open at TDC: it is measured a set piston travel later (a quarter inch, common
/// practice, no source). With stroke and rod the crank angle follows; without them the travel alone is said, and nothing is guessed.
/// </summary>
/// <param name="TravelMm">Piston travel past TDC, above 0 to the stroke.</param>
/// <param name="StrokeMm">Stroke, 1 to 5000 mm; null where not known.</param>
/// <param name="RodMm">Rod between centres, at least half the stroke; null where not known.</param>
/// <param name="Degrees">Crank degrees past TDC; 0 where stroke or rod is not known.</param>
public sealed record PastTdc(double TravelMm, double? StrokeMm, double? RodMm, double Degrees);
