using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Visits;

/// <summary>Gaps measured more than once: as found with its repeats, and what was left with what a second person read when countersigning.</summary>
internal static class RepeatedGaps
{
    public static IReadOnlyList<SameGap> Of(Visit visit)
    {
        var second = visit.Countersignatures.SelectMany(c => c.Readings.Where(r => r.Reading.EstimateMm is not null).Select(r => (r.Point, Gap: new GapReading(c.By, r.Reading.EstimateMm!.Value)))).ToLookup(r => r.Point, r => r.Gap);
        var gaps = new List<SameGap>();
        foreach (var point in visit.Points)
        {
            List<GapReading> found = [.. point.Repeats.Prepend(point.Found).SelectMany(Said)];
            // Where something was set, the second person measured what was left.
            var isSet = point.Left is { } left && left.Reading != point.Found?.Reading;
            gaps.Add(new SameGap(point.Point, isSet ? found : [.. found, .. second[point.Point]]));
            if (isSet) gaps.Add(new SameGap(point.Point, [.. Said(point.Left), .. second[point.Point]]));
        }
        return [.. gaps.Where(g => g.Readings.Count > 1)];

        static IEnumerable<GapReading> Said(FigureView? figure) => figure?.Value.EstimateMm is { } mm ? [new GapReading(figure.By, mm)] : [];
    }
}
