namespace ZeroDrift.Core.Wear;

/// <summary>What was expected of one point today beside what was found.</summary>
/// <param name="Point">Its label.</param>
/// <param name="FoundMm">As found.</param>
/// <param name="ExpectedMm">Forecast for today.</param>
/// <param name="OwnSdMm">What strays at this point alone: its forecast and the reading, without what all points share, mm.</param>
public readonly record struct FoundBesideExpected(string Point, double FoundMm, double ExpectedMm, double OwnSdMm);

/// <summary>
/// Whether everything read one way at a visit, while it can still be measured again: a warm engine, other blades or another hand shift all points
/// alike, wear does not. The same bound that the fit uses afterwards: three standard deviations of what visits stray.
/// </summary>
/// <param name="ShiftMm">The common shift; negative reads tight.</param>
/// <param name="StandardDeviations">In standard deviations of what is usual.</param>
/// <param name="Points">How many points it rests on.</param>
public sealed record VisitDoubt(double ShiftMm, double StandardDeviations, int Points)
{
    /// <summary>Fewer points say nothing of a visit.</summary>
    public const int FewestPoints = 4;

    /// <summary>Beyond this the visit is asked about.</summary>
    public const double Limit = 3;

    /// <summary>The doubt, if there is one.</summary>
    /// <param name="points">One a point found.</param>
    /// <param name="sharedSdMm">What all points of a visit usually have in common: the forecasts' shared error, the visit's, the hand's; above 0.</param>
    public static VisitDoubt? Of(IReadOnlyList<FoundBesideExpected> points, double sharedSdMm)
    {
        if (points.Count < FewestPoints || sharedSdMm <= 0) return null;
        var (weight, sum) = (0.0, 0.0);
        foreach (var point in points)
        {
            var w = 1 / Math.Max(point.OwnSdMm * point.OwnSdMm, 1e-8);
            weight += w;
            sum += w * (point.FoundMm - point.ExpectedMm);
        }
        var mean = sum / weight;
        var sameWay = points.Count(p => Math.Sign(p.FoundMm - p.ExpectedMm) == Math.Sign(mean));
        var deviations = Math.Abs(mean) / Math.Sqrt(sharedSdMm * sharedSdMm + 1 / weight);
        return deviations > Limit && sameWay >= 0.75 * points.Count ? new VisitDoubt(mean, deviations, points.Count) : null;
    }
}
