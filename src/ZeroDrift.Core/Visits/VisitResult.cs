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
        return $"{Found(points)} {Left(points)}";
    }

    private static string Found(IReadOnlyList<Point> points)
    {
        var found = points.Where(p => p.View.Found is not null).ToList();
        var set = points.Count(p => p.View.Outcome is PointOutcome.Set or PointOutcome.ShimFitted);
        var said = new List<string>
        {
            Counted(found.Count(p => p.View.Verdict == VerdictState.Tight), "tight"),
            Counted(found.Count(p => p.View.Verdict == VerdictState.Loose), "loose"),
            Counted(found.Count(p => p.View.Verdict == VerdictState.Borderline), "borderline"),
            Counted(found.Count(p => p.View.Verdict == VerdictState.InWindow), "within limits"),
            Counted(found.Count(p => p.View.Verdict is null), "not judged"),
        };
        said.RemoveAll(s => s.Length == 0);
        var first = found.Count == 0 ? $"{Points(points.Count)}." : $"{Points(points.Count)}, found: {string.Join(", ", said)}.";
        var amounts = points.Count(p => p.View.Outcome == PointOutcome.ByTheBook);
        var work = new List<string> { Counted(set, "set"), Counted(amounts, "set by the manual's amount") };
        work.RemoveAll(s => s.Length == 0);
        return work.Count == 0 ? first + " Nothing was set." : $"{first} {string.Join(", ", work)}.";
    }

    private static string Left(IReadOnlyList<Point> points)
    {
        var open = points.Where(p => p.StaysOut is not null).Select(p => $"{p.View.Point} {p.StaysOut}").ToList();
        if (open.Count > 0) return $"Not as it should be: {string.Join(", ", open)}.";
        return points.Any(p => p.View.Demand is null) ? "What the manual gives a figure for is left within limits." : "All are left within limits.";
    }

    private static string Counted(int count, string what) => count == 0 ? "" : $"{count} {what}";

    private static string Points(int count) => count == 1 ? "1 point" : $"{count} points";

    private readonly record struct Point(PointView View, VerdictState? LeftState)
    {
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
