namespace ZeroDrift.Core.Visits;

/// <summary>What the other points of one kind read, for a figure that no book judges.</summary>
/// <param name="LeastMm">The tightest of them, mm.</param>
/// <param name="MostMm">The loosest, mm.</param>
/// <param name="Points">How many.</param>
public sealed record Siblings(double LeastMm, double MostMm, int Points)
{
    /// <summary>The others of a point's kind that were found at this visit; null with fewer than two.</summary>
    public static Siblings? Of(Visit visit, PointWork point)
    {
        var others = visit.Work.Where(p => p != point && p.Point.Kind == point.Point.Kind).Select(p => p.Found?.ValueOrNothing().EstimateMm?.Millimetres).OfType<double>().ToList();
        return others.Count < 2 ? null : new Siblings(others.Min(), others.Max(), others.Count);
    }
}
