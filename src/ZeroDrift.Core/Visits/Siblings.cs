using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Visits;

/// <summary>What the other points of one kind read, for a figure that no book judges.</summary>
/// <param name="LeastMm">The tightest of them, mm.</param>
/// <param name="MostMm">The loosest, mm.</param>
/// <param name="Points">How many.</param>
/// <param name="Odd">The point of the kind that is unlike the rest, and so suspected; null where none is.</param>
public sealed record Siblings(double LeastMm, double MostMm, int Points, string? Odd)
{
    /// <summary>Gaps of one kind of valve of one engine scatter by about so much, mm (common practice, no source).</summary>
    public const double UsualScatterMm = 0.03;

    /// <summary>Further than this from the middle of the rest is unlike them, mm (common practice, no source).</summary>
    private const double OddMm = 0.08;

    /// <summary>The others of a point's kind that were found at this visit; null with fewer than two.</summary>
    public static Siblings? Of(Visit visit, PointWork point)
    {
        var others = Found(visit, point.Point.Kind).Where(f => f.Point != point.Point.Label).Select(f => f.Mm).ToList();
        return others.Count < 2 ? null : new Siblings(others.Min(), others.Max(), others.Count, OddOf(Found(visit, point.Point.Kind)));
    }

    /// <summary>The middle of what the others of a point's kind read, mm; null before any was found.</summary>
    public static double? MiddleOf(Visit visit, PointWork point) => Middle([.. Found(visit, point.Point.Kind).Where(f => f.Point != point.Point.Label).Select(f => f.Mm)]);

    /// <summary>Of three or more the one that lies furthest from the middle of the rest, where that is far; a valve closed up counts as no gap.</summary>
    private static string? OddOf(IReadOnlyList<(string Point, double Mm)> found)
    {
        if (found.Count < 3) return null;
        var (point, off) = found.Select(f => (f.Point, Off: Math.Abs(f.Mm - Middle([.. found.Where(o => o.Point != f.Point).Select(o => o.Mm)])!.Value))).MaxBy(f => f.Off);
        return off > OddMm ? point : null;
    }

    private static List<(string Point, double Mm)> Found(Visit visit, Engines.LashKind kind) =>
        [.. from work in visit.Work where work.Point.Kind == kind let mm = Mm(work.Found?.ValueOrNothing()) where mm is not null select (work.Point.Label, mm.Value)];

    private static double? Mm(Reading? reading) => reading?.EstimateMm?.Millimetres ?? reading?.UpperMm?.Millimetres ?? reading?.LowerMm?.Millimetres;

    private static double? Middle(IReadOnlyList<double> values) => values.Count == 0 ? null : Quantile.Of([.. values.Order()], 0.5);
}
