using ZeroDrift.Core.Judging;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Book;
using ZeroDrift.Server.Calculators;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Engines;

/// <summary>Everything the engine's page shows, from what is already worked out.</summary>
internal static class EngineView
{
    public static EngineResponse Of(EngineWithOutlook entry, FleetRow fleet, Guid? openOverhead, DateOnly today)
    {
        var visits = entry.Engine.Overheads.OrderBy(o => o.TotalHours).ThenBy(o => o.Date).ToList();
        return new EngineResponse
        {
            Row = entry.Row(today) with { OpenOverheadId = openOverhead },
            Type = BookResponses.Of(entry.Type, fleet, today),
            Points = [.. entry.Type.Points.OrderBy(p => p.Order).Select((row, i) => Point(entry, row, i, visits))],
            Ledger = [.. visits.Select(v => Ledger(entry.Type, v, fleet)).Reverse()],
            Meter = [.. entry.Engine.MeterReadings.OrderByDescending(m => m.Date).ThenByDescending(m => m.Id).Select(m => new MeterReadingResponse(m.Date, m.ShownHours, m.NewMeterShows, m.Who, m.Remark))],
            TotalHours = entry.Record.HoursNow,
            Remark = entry.Engine.Remark,
        };
    }

    private static EnginePointResponse Point(EngineWithOutlook entry, LashPointRow row, int index, List<OverheadRow> visits)
    {
        var (record, outlook) = (entry.Record.Points[index], entry.Outlook.Points[index]);
        return new EnginePointResponse
        {
            Id = row.Id,
            Label = row.Label,
            Cylinder = row.Cylinder,
            Kind = row.Kind,
            Place = row.Place,
            Bank = row.Bank,
            Along = row.Along,
            MinMm = record.Spec?.Window.MinMm,
            MaxMm = record.Spec?.Window.MaxMm,
            SetMm = record.Spec?.SetMm,
            LastMm = record.Standing?.EstimateMm,
            ExpectedMm = outlook.Forecast?.MeanMm(0),
            ExpectedSdMm = outlook.Forecast?.SdMm(0),
            Standing = outlook.Standing,
            Rate = RateResponse.Of(outlook.Rate),
            UnlikeSiblings = outlook.UnlikeSiblings,
            HoursToRisk = outlook.HoursToRisk,
            Side = outlook.Side,
            Series = [.. visits.Select(v => Visit(v, row.Id)).Where(v => v is not null)!],
        };
    }

    private static SeriesVisit? Visit(OverheadRow visit, Guid pointId)
    {
        var found = visit.Readings.Standing(pointId, ReadingStage.AsFound);
        var left = visit.Readings.Standing(pointId, ReadingStage.AsLeft);
        if (found is null && left is null) return null;
        return new SeriesVisit(visit.Id, visit.TotalHours, visit.Date, found?.EstimateMm, left?.EstimateMm, found?.LowerMm, found?.UpperMm, visit.Answer != VisitAnswer.Counts, visit.Job == JobKind.Build);
    }

    private static LedgerRow Ledger(EngineTypeRow type, OverheadRow visit, FleetRow fleet)
    {
        // Judged by the revision of its own day, not by today's.
        var revision = type.Revisions.FirstOrDefault(r => r.Id == visit.SpecRevisionId);
        var specs = TypeMapping.Specs(revision?.Lines ?? [], fleet);
        var found = type.Points.Select(p => (Point: p, Reading: visit.Readings.Standing(p.Id, ReadingStage.AsFound), Spec: specs.GetValueOrDefault(p.Kind)))
            .Where(f => f.Reading is not null && f.Spec is not null).ToList();
        var tightest = found.Where(f => (f.Reading!.EstimateMm ?? f.Reading.UpperMm) is not null)
            .OrderBy(f => ((f.Reading!.EstimateMm ?? f.Reading.UpperMm)!.Value - f.Spec!.Window.MinMm) / (f.Spec.Window.MaxMm - f.Spec.Window.MinMm)).FirstOrDefault();
        var set = visit.Readings.Where(r => r is { Stage: ReadingStage.AsLeft, KeptAt: not null } && (r.EstimateMm ?? r.UpperMm ?? r.LowerMm) is not null).Select(r => r.PointId).Distinct().Count();
        return new LedgerRow(
            visit.Id, visit.ShownHours, visit.TotalHours, visit.Date, visit.Job, visit.Who,
            found.Count(f => Verdict.Judge(f.Reading!.ToReading(), f.Spec!.Window).State is VerdictState.Tight or VerdictState.Loose),
            found.Count,
            tightest.Point?.Label,
            tightest.Reading?.EstimateMm ?? tightest.Reading?.UpperMm,
            tightest.Reading is not null && Verdict.Judge(tightest.Reading.ToReading(), tightest.Spec!.Window).State == VerdictState.Tight,
            set,
            revision?.Revision,
            visit.Answer,
            visit.Remark,
            visit.Readings.Count(r => r.CorrectsId is not null && visit.SignedAt is { } signed && r.KeptAt > signed));
    }
}
