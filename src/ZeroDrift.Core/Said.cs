using System.Globalization;

namespace ZeroDrift.Core;

/// <summary>Days and hours as they are said in a sentence, the same everywhere.</summary>
public static class Said
{
    /// <summary>21 Nov 2026.</summary>
    public static string Day(DateOnly day) => day.ToString("d MMM yyyy", CultureInfo.InvariantCulture);

    /// <summary>10 890 h, with a thin gap that never breaks between thousands.</summary>
    public static string Hours(double hours) => hours.ToString(Math.Abs(hours - Math.Round(hours)) < 0.05 ? "#,0" : "#,0.#", Grouped) + " h";

    /// <summary>The figures a written one could be: 1.48 h or 1 480 h.</summary>
    public static string Either(IReadOnlyList<double> ways) => string.Join(" or ", ways.Select(w => w.ToString("#,0.###", Grouped) + " h"));

    private static readonly NumberFormatInfo Grouped = new() { NumberGroupSeparator = "\u202f", NegativeSign = "−" };
}
