using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Visits;

/// <summary>What is asked often of a visit, from its entries: the row and its standing figures. Rebuilt to the same at any time.</summary>
public static class VisitProjection
{
    /// <summary>Brings the row up to its visit.</summary>
    public static void Onto(VisitRow row, Visit visit, MeterHistory meter)
    {
        var opened = visit.Opened!;
        row.Head = visit.Entries.Count;
        row.State = visit.State;
        row.Job = opened.Job;
        row.Date = opened.Date;
        row.Bench = opened.Bench;
        row.ShownHours = opened.ShownHours;
        row.TotalHours = TotalHours(opened.Date, opened.ShownHours, meter);
        row.OpenedBy = opened.By;
        row.OpenedAt = opened.At.UtcDateTime;
        row.SignedBy = visit.Signed?.By;
        row.SignedAt = visit.Signed?.At.UtcDateTime;
        row.WorkedHours = visit.WorkedHours;
        row.Remark = visit.Signed?.Remark;
        row.Condition = visit.Condition?.Condition ?? visit.Demands?.Condition ?? row.Condition;
        row.Revision = visit.Demands?.Revision;
        row.StartsClock = visit.StartsClock;
        row.OutOfTrend = visit.IsOutOfTrend;
        row.OutOfTrendBecause = visit.OutOfTrendBecause;
        row.Corrections = visit.Corrections.Count;
        var points = visit.Points;
        row.PointCount = points.Count;
        row.Measured = points.Count(p => (p.Found ?? p.Left) is not null);
        var outside = points.Where(p => p.Found is not null && p.Verdict is VerdictState.Tight or VerdictState.Loose).ToList();
        row.OutAsFound = outside.Count;
        row.SetCount = visit.Work.Count(p => p.Left is not null);
        var worst = outside.OrderBy(p => p.Verdict).ThenByDescending(Miss).FirstOrDefault();
        row.Worst = worst?.Point;
        row.WorstMm = worst is null ? null : Mm(worst);
        row.WorstState = worst?.Verdict;
        row.Waiting = WaitingPoints.Left(visit).Count();
    }

    /// <summary>What the meter had run in all when the engine was opened; null for a head or an engine out of its machine.</summary>
    public static double? TotalHours(DateOnly date, double? shown, MeterHistory meter) => shown is { } hours ? meter.TotalOn(date, EngineHours.Of(hours)) : null;

    /// <summary>Everything that is kept of a visit beside its own row.</summary>
    public static VisitRows Rows(VisitRow row, Visit visit) => new(Readings(row, visit), Instruments(row, visit), SameGaps(row, visit), LockPairs(row, visit), Marks(row, visit));

    /// <summary>The standing figures, one row a point and stage.</summary>
    private static List<ReadingRow> Readings(VisitRow row, Visit visit)
    {
        var rows = new List<ReadingRow>();
        foreach (var (view, work) in visit.Points.Zip(visit.Work))
        {
            var changed = row.Job == JobKind.Build || visit.Parts.Any(p => p.Concerns(view.Point, work.Point.Cylinder));
            var why = work.Said?.Outcome is PointOutcome.LeftSo or PointOutcome.Awaiting ? work.Said.Why : null;
            if (work.Found is { } found) rows.Add(Row(row, found, StandingStage.Found, changed, why));
            if (work.Left is { } left) rows.Add(Row(row, left, StandingStage.Left, changed, why));
        }
        if (visit.Answers.GetValueOrDefault(VisitQuestion.Swapped) is { Answer: VisitAnswer.Yes, Points: [var first, var second] }) Exchange(rows, first, second);
        return rows;
    }

    /// <summary>What a signed visit was measured with, one row an instrument.</summary>
    private static List<VisitInstrumentRow> Instruments(VisitRow row, Visit visit) =>
        visit.State != VisitState.Signed ? [] : [.. visit.Instruments.Select(NameKeys.Of).Where(k => k.Length > 0).Distinct().Select(k => new VisitInstrumentRow { VisitKey = row.Key, NameKey = k })];

    /// <summary>The gaps of a signed visit measured more than once.</summary>
    private static List<SameGapRow> SameGaps(VisitRow row, Visit visit) =>
        visit.State != VisitState.Signed ? [] : [.. visit.SameGaps.SelectMany((gap, i) => gap.Readings.Select((r, k) => new SameGapRow { VisitKey = row.Key, Gap = i, Reading = k, Point = gap.Point, By = r.By, Mm = r.Mm }))];

    /// <summary>What the locknuts of a signed visit did.</summary>
    private static List<LockPairRow> LockPairs(VisitRow row, Visit visit) =>
        visit.State != VisitState.Signed ? [] : [.. LockPair.Of(visit).Select((p, i) => new LockPairRow { VisitKey = row.Key, Lock = i, Point = p.Point, By = p.By, BeforeMm = p.BeforeMm, AfterMm = p.AfterMm })];

    /// <summary>Marks found on the engine; of one name the last counts.</summary>
    private static List<MarkRow> Marks(VisitRow row, Visit visit) =>
        [.. visit.Marks.GroupBy(m => m.Name).Select(g => g.Last()).Select(m => new MarkRow { VisitKey = row.Key, EngineId = row.EngineId, Name = m.Name, CrankDeg = m.CrankDeg, Trap = m.Trap })];

    /// <summary>What was written down the wrong way round is told to the trend the right way; the record keeps it as it was written.</summary>
    private static void Exchange(List<ReadingRow> rows, string first, string second)
    {
        if (rows.Find(r => r.Point == first && r.Stage == StandingStage.Found) is not { } one || rows.Find(r => r.Point == second && r.Stage == StandingStage.Found) is not { } other) return;
        (one.Point, other.Point) = (second, first);
    }

    private static ReadingRow Row(VisitRow visit, ReadingWork reading, StandingStage stage, bool changed, string? why)
    {
        var value = reading.ValueOrNothing();
        return new ReadingRow
        {
            VisitKey = visit.Key,
            EngineId = visit.EngineId,
            Point = reading.Point,
            Stage = stage,
            ReadingId = reading.Id,
            LowerMm = value.LowerMm,
            UpperMm = value.UpperMm,
            EstimateMm = value.EstimateMm,
            UncertaintyMm = value.StandardUncertaintyMm,
            Dragged = reading.Trials.Any(t => t.Feel == Core.Measuring.Feel.Drag),
            By = reading.Kept!.By,
            At = reading.Kept.At.ToUnixTimeMilliseconds(),
            LeftWhy = why,
            PartChanged = changed,
        };
    }

    private static double? Mm(PointView p) => p.Found!.Value.EstimateMm ?? p.Found.Value.UpperMm ?? p.Found.Value.LowerMm;

    private static double Miss(PointView p) => p.Demand is Demand.Gap gap && Mm(p) is { } mm ? Math.Max(gap.Window.MinMm - mm, mm - gap.Window.MaxMm) / (gap.Window.MaxMm - gap.Window.MinMm) : 0;
}

/// <summary>The rows that are kept of a visit: figures, what it was measured with, gaps measured more than once, what the locknuts did, marks.</summary>
public sealed record VisitRows(IReadOnlyList<ReadingRow> Readings, IReadOnlyList<VisitInstrumentRow> Instruments, IReadOnlyList<SameGapRow> SameGaps, IReadOnlyList<LockPairRow> LockPairs, IReadOnlyList<MarkRow> Marks)
{
    /// <summary>All of them, for a visit that has none yet.</summary>
    public IEnumerable<object> All => [.. Readings, .. Instruments, .. SameGaps, .. LockPairs, .. Marks];
}
