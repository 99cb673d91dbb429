using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Visits;

/// <summary>What a signed visit comes to, in two sentences: for whoever reads the record first and has no time for its figures.</summary>
public static class VisitResult
{
    /// <summary>What was found and how it was left; null while the visit is open, and of one that was given up.</summary>
    public static string? Of(Visit visit)
    {
        if (visit.State != VisitState.Signed) return null;
        var points = visit.Points.Zip(visit.Work, (view, work) => new Point(view, work.Left is { } left ? visit.Judge(left, work)?.State : null)).ToList();
        return $"{Found(points)} {Left(points)}".TrimEnd();
    }

    private static string Found(IReadOnlyList<Point> points)
    {
        var found = points.Where(p => p.View.Found is not null).ToList();
        var states = Listed((States(VerdictState.Tight), "tight"), (States(VerdictState.Loose), "loose"), (States(VerdictState.Borderline), "borderline"), (States(VerdictState.InWindow), "within limits"), (States(null), "not judged"));
        var work = Listed((points.Count(p => p.View.Outcome is PointOutcome.Set or PointOutcome.ShimFitted), "set"), (points.Count(p => p.View.Outcome == PointOutcome.ByTheBook), "set by the manual's amount"));
        return $"{points.Count} {(points.Count == 1 ? "point" : "points")}{(states.Length == 0 ? "" : $", found: {states}")}. {(work.Length == 0 ? "Nothing was set" : work)}.";

        int States(VerdictState? state) => found.Count(p => p.View.Verdict == state);
    }

    /// <summary>Claims no more than was measured and judged.</summary>
    private static string Left(IReadOnlyList<Point> points)
    {
        var open = points.Where(p => p.StaysOut is not null).Select(p => $"{p.View.Point} {p.StaysOut}").ToList();
        if (open.Count > 0) return $"Not as it should be: {string.Join(", ", open)}.";
        var within = points.Count(p => p.IsWithin);
        return within == points.Count ? "All are left within limits." : within > 0 ? "What was measured and judged is left within limits." : "";
    }

    /// <summary>1 tight, 5 within limits; what there is none of is not said.</summary>
    private static string Listed(params (int Count, string What)[] parts) => string.Join(", ", parts.Where(p => p.Count > 0).Select(p => $"{p.Count} {p.What}"));

    private readonly record struct Point(PointView View, VerdictState? LeftState)
    {
        /// <summary>What it was left at was measured, or it was left alone as found, and its window holds it.</summary>
        public bool IsWithin => View.Left is not null && (LeftState ?? View.Verdict) == VerdictState.InWindow;

        /// <summary>Why it is not as it should be; null where it is, or where nothing judges it.</summary>
        public string? StaysOut => View.Outcome switch
        {
            PointOutcome.NotReached => "not reached",
            PointOutcome.Awaiting => Word(LeftState ?? View.Verdict) is { } out_ ? $"{out_}, waits for a part" : "waits for a part",
            _ => Word(View.Left is null || LeftState is null ? (View.Outcome is PointOutcome.Set or PointOutcome.ShimFitted or PointOutcome.ByTheBook ? null : View.Verdict) : LeftState) is { } state ? $"left {state}" : null,
        };

        private static string? Word(VerdictState? state) => state switch
        {
            VerdictState.Tight => "tight",
            VerdictState.Loose => "loose",
            VerdictState.Borderline => "borderline",
            _ => null,
        };
    }
}
