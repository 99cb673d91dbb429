namespace ZeroDrift.Core.Visits.Sheet;

/// <summary>What a gap did since it was last left.</summary>
/// <param name="ByMm">How it moved: below zero it closed up, mm.</param>
/// <param name="ExpectedMm">How it was expected to, mm; null where nobody knew.</param>
public sealed record Movement(double ByMm, double? ExpectedMm)
{
    /// <summary>Less is no movement, mm.</summary>
    private const double NoticedMm = 0.002;

    /// <summary>It stands as it was left.</summary>
    public bool IsNone => Math.Abs(ByMm) < NoticedMm;

    /// <summary>Of a point found as a figure and left once before; null else.</summary>
    public static Movement? Of(PointWork point, PointProspect before, ExpectedFigure? expected) =>
        point.Found?.ValueOrNothing().EstimateMm is { } found && before.BeforeMm is { } left ? new Movement(found - left, expected?.ClearanceMm - left) : null;
}
