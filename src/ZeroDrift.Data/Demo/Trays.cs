using System.Globalization;

namespace ZeroDrift.Data.Demo;

/// <summary>Blade sets as they are sold.</summary>
internal static class Trays
{
    /// <summary>0.05 to 1.00 mm in steps of 0.05, with the hundredths between 0.05 and 0.10 for stacking.</summary>
    public static List<string> Metric { get; } =
        [.. Enumerable.Range(1, 20).Select(i => i * 5).Concat([6, 7, 8, 9]).Order().Select(i => (i / 100.0).ToString("0.00", CultureInfo.InvariantCulture))];

    /// <summary>3 to 30 thou.</summary>
    public static List<string> Thou { get; } = [.. Enumerable.Range(3, 28).Select(i => i.ToString(CultureInfo.InvariantCulture))];
}
