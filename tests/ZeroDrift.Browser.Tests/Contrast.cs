using System.Globalization;
using System.Text.RegularExpressions;

namespace ZeroDrift.Browser.Tests;

/// <summary>Relative luminance and contrast ratio of two colours as a browser gives them: WCAG 2.2.</summary>
internal static partial class Contrast
{
    /// <summary>1 to 21, of two colours such as <c>rgb(20, 32, 43)</c>.</summary>
    public static double Of(string a, string b) => Of(Parse(a), Parse(b));

    /// <summary>The same of red, green and blue from 0 to 1.</summary>
    public static double Of(double[] a, double[] b)
    {
        var (x, y) = (Luminance(a), Luminance(b));
        return (Math.Max(x, y) + 0.05) / (Math.Min(x, y) + 0.05);
    }

    private static double Luminance(double[] c) => 0.2126 * Linear(c[0]) + 0.7152 * Linear(c[1]) + 0.0722 * Linear(c[2]);

    private static double Linear(double v) => v <= 0.04045 ? v / 12.92 : Math.Pow((v + 0.055) / 1.055, 2.4);

    private static double[] Parse(string rgb) => [.. Number().Matches(rgb).Take(3).Select(m => double.Parse(m.Value, CultureInfo.InvariantCulture) / 255)];

    [GeneratedRegex(@"[\d.]+")]
    private static partial Regex Number();
}
