using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Engines;

/// <summary>An outlook as the yard shows it.</summary>
internal static class DueRows
{
    public static DueRow Of(EngineWithOutlook entry, DateOnly today)
    {
        var (engine, outlook, usage) = (entry.Engine, entry.Outlook, entry.Record.Usage);
        var answers = outlook.Due.Others.Prepend(outlook.Due.Decides).ToList();
        var decider = outlook.Points.FirstOrDefault(p => p.Label == outlook.DecidedBy);
        return new DueRow
        {
            EngineId = engine.Id,
            Name = engine.Name,
            Machine = engine.Machine,
            Site = engine.Site,
            TypeCode = entry.Type.Code,
            ShownHours = entry.ShownHours,
            HoursPerWeek = usage.HoursPerDay * usage.MonthlyWeights[today.Month - 1] * 7,
            Decides = Answer(outlook.Due.Decides),
            Others = [.. outlook.Due.Others.Select(Answer)],
            AheadOfBookHours = outlook.Due.AheadOfBookHours,
            BookHoursLeft = BookHoursLeft(answers, usage, today),
            DriftHours = outlook.DriftHours,
            DriftEarlyHours = outlook.EarlyHours,
            DriftLateHours = outlook.LateHours,
            DriftPoint = outlook.DecidedBy,
            DriftSide = outlook.Side,
            DriftMmPer1000h = decider?.Rate?.MmPer1000h,
            Findings = [.. outlook.Findings.Select(f => Finding(entry, f.Label, f.Standing!.Value))],
            HasFigures = entry.Record.Points.Any(p => p.Standing is not null),
        };
    }

    /// <summary>Most urgent first: findings, tight before loose, then by the day the deciding rule falls on.</summary>
    public static IEnumerable<DueRow> ByUrgency(IEnumerable<DueRow> rows) => rows
        .OrderBy(r => r.Findings.Count > 0 ? (int)r.Findings[0].State : int.MaxValue)
        .ThenBy(r => r.Decides.Date ?? DateOnly.MaxValue)
        .ThenBy(r => r.DriftSide is LimitSide.Tight ? 0 : 1)
        .ThenBy(r => r.Name, StringComparer.OrdinalIgnoreCase);

    private static DueAnswerResponse Answer(DueAnswer a) => new(a.Rule, a.Hours, a.Date);

    private static FindingResponse Finding(EngineWithOutlook entry, string label, VerdictState state)
    {
        var point = entry.Record.Points.First(p => p.Label == label);
        return new FindingResponse(label, state, point.Standing?.EstimateMm ?? point.Standing?.UpperMm ?? point.Standing?.LowerMm,
            state == VerdictState.Tight ? point.Spec?.Window.MinMm : point.Spec?.Window.MaxMm);
    }

    private static double? BookHoursLeft(List<DueAnswer> answers, Usage usage, DateOnly today)
    {
        var hours = answers.Where(a => a.Rule is DueRule.BookHours or DueRule.FirstCheck).Select(a => a.Hours);
        var months = answers.Where(a => a.Rule == DueRule.BookMonths && a.Date is not null)
            .Select(a => (double?)(a.Date > today ? usage.HoursBetween(today, a.Date!.Value) : 0));
        return hours.Concat(months).Min();
    }
}
