using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Visits;

/// <summary>What a visit found beside what the record expected of it.</summary>
internal static class BesideExpected
{
    public static List<FoundBesideExpected> Of(Visit visit)
    {
        var context = visit.Context;
        var shared = context.SharedSdMm * context.SharedSdMm;
        return
        [
            .. from point in visit.Points
               where point.Found?.Value.EstimateMm is not null && context.Expected.ContainsKey(point.Point)
               let expected = context.Expected[point.Point]
               let own = Math.Max(expected.StandardUncertaintyMm * expected.StandardUncertaintyMm - shared, Reading.DefaultFeelSdMm * Reading.DefaultFeelSdMm)
               select new FoundBesideExpected(point.Point, point.Found!.Value.EstimateMm!.Value, expected.ClearanceMm, Math.Sqrt(own)),
        ];
    }
}
