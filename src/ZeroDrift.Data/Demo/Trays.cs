using System.Globalization;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Data.Demo;

/// <summary>Blade sets as they are sold.</summary>
internal static class Trays
{
    /// <summary>0.05 to 1.00 mm in steps of 0.05, with the hundredths between 0.05 and 0.10 for stacking.</summary>
    public static List<string> Metric { get; } =
        [.. Enumerable.Range(1, 20).Select(i => i * 5).Concat([6, 7, 8, 9]).Order().Select(i => (i / 100.0).ToString("0.00", CultureInfo.InvariantCulture))];

    /// <summary>3 to 30 thou.</summary>
    public static List<string> Thou { get; } = [.. Enumerable.Range(3, 28).Select(i => i.ToString(CultureInfo.InvariantCulture))];

    /// <summary>The tries that read a gap with these blades: one that drags (two neighbours for a half thou), or the one that goes and the one that does not.</summary>
    public static IEnumerable<(IReadOnlyList<string> Blades, string Feel)> Tries(double gapMm, LengthUnit unit, bool drags)
    {
        if (unit == LengthUnit.Thou)
        {
            var halves = (int)Math.Round(gapMm / (double)Length.MillimetresPerThou * 2);
            var (below, above) = (halves / 2, (halves + 1) / 2);
            if (below < 3) return [([Thou[0]], "noGo")];
            if (below == above) return [([Whole(below)], "drag")];
            return drags ? [([Whole(below)], "drag"), ([Whole(above)], "drag")] : [([Whole(below)], "free"), ([Whole(above)], "noGo")];
        }
        var hundredths = (int)Math.Round(gapMm * 100);
        if (hundredths < 6) return [([Metric[0]], hundredths == 5 && drags ? "drag" : "noGo")];
        return drags ? [(Stack(hundredths), "drag")] : [(Stack(hundredths - 1), "free"), (Stack(hundredths + 1), "noGo")];
    }

    private static string Whole(int thou) => thou.ToString(CultureInfo.InvariantCulture);

    /// <summary>A blade of the metric set, or two of them stacked.</summary>
    private static IReadOnlyList<string> Stack(int hundredths)
    {
        if (Metric.Contains(Text(hundredths))) return [Text(hundredths)];
        for (var thin = 5; thin <= 9; thin++)
            if (thin * 2 != hundredths && Metric.Contains(Text(hundredths - thin))) return [Text(hundredths - thin), Text(thin)];
        throw new InvalidOperationException($"{hundredths} hundredths cannot be stacked of this set.");
    }

    private static string Text(int hundredths) => (hundredths / 100.0).ToString("0.00", CultureInfo.InvariantCulture);
}
