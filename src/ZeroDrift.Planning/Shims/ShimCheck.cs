using System.Globalization;
using ZeroDrift.Core;

namespace ZeroDrift.Planning.Shims;

/// <summary>Says what cannot be, by field, before anything is allocated.</summary>
internal static class ShimCheck
{
    private const int MostPoints = 64;
    private const int MostSizes = 500;
    private const int MostOfASize = 10_000;
    /// <summary>The thickest shim taken seriously, mm.</summary>
    public const double ThickestMm = 25;

    public static void Check(ShimRequest request)
    {
        if (request.Points.Count is 0 or > MostPoints) throw new BadInputException("points", $"Give 1 to {MostPoints} points; {request.Points.Count} were given.");
        var known = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < request.Points.Count; i++)
        {
            var point = request.Points[i];
            if (!known.Add(point.Id)) throw new BadInputException($"points[{i}].id", $"'{point.Id}' stands for two points; give each its own.");
            Size(point.FittedMm, $"points[{i}].fittedMm", "The shim fitted");
            if (!(point.ShimPerClearance is > 0 and <= 10)) throw new BadInputException($"points[{i}].shimPerClearance", "The shim travel per clearance must be more than 0 and at most 10.");
            if (point.GapFromMm > point.GapToMm) throw new BadInputException($"points[{i}].gapToMm", "The bracket's upper end must not lie below its lower.");
        }
        if (request.Stock.Count > MostSizes) throw new BadInputException("stock", $"At most {MostSizes} sizes are taken at once; {request.Stock.Count} were given.");
        for (var i = 0; i < request.Stock.Count; i++)
        {
            Size(request.Stock[i].SizeMm, $"stock[{i}].sizeMm", "A shim");
            if (request.Stock[i].Count is < 0 or > MostOfASize) throw new BadInputException($"stock[{i}].count", $"The count must be from 0 to {MostOfASize}; {request.Stock[i].Count} was given.");
        }
        if (request.BuyMm.Count > MostSizes) throw new BadInputException("buyMm", $"At most {MostSizes} sizes are taken at once; {request.BuyMm.Count} were given.");
        for (var i = 0; i < request.BuyMm.Count; i++) Size(request.BuyMm[i], $"buyMm[{i}]", "A shim");
        Pins(request, known);
    }

    public static string Text(double mm) => mm.ToString("0.00##", CultureInfo.InvariantCulture);

    private static void Pins(ShimRequest request, HashSet<string> known)
    {
        var pinned = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < request.Pins.Count; i++)
        {
            var (point, mm) = request.Pins[i];
            if (!known.Contains(point)) throw new BadInputException($"pins[{i}].point", $"There is no point '{point}'.");
            if (!pinned.Add(point)) throw new BadInputException($"pins[{i}].point", $"'{point}' is pinned twice.");
            Size(mm, $"pins[{i}].shimMm", "A shim");
            var own = request.Points.First(p => p.Id == point).Gap;
            if (Math.Abs(mm - own.FittedMm) > Core.Shims.GapWithShims.SameShimMm && !own.LeavesGap(mm))
                throw new BadInputException($"pins[{i}].shimMm", $"A shim of {Text(mm)} mm would leave {point} no gap: the valve would be held open. Choose a thinner one.");
        }
    }

    private static void Size(double mm, string field, string what)
    {
        if (!(mm is > 0 and <= ThickestMm)) throw new BadInputException(field, FormattableString.Invariant($"{what} must be more than 0 and at most {ThickestMm} mm; {mm} was given."));
    }
}
