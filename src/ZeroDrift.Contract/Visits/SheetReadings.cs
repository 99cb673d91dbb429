using ZeroDrift.Core;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Contract.Visits;

/// <summary>A reading as the sheet shows it: every try, what it says, how it stands by the school in force, and the next blade.</summary>
internal sealed class SheetReadings(Visit visit)
{
    /// <summary>The reading of a point; null where there is none.</summary>
    public SheetReadingRecord? Of(PointWork point, ReadingWork? work, MeasuringAim aim = MeasuringAim.Decide)
    {
        if (work is null) return null;
        var gap = visit.DemandOf(point) as Demand.Gap;
        var (value, complaint) = Value(work);
        var unit = work.Figure?.Unit ?? (work.Tries.Count > 0 ? WrittenFigure.Name(work.Tries[^1].Unit) : "mm");
        var grows = work.Kept is null && complaint is null;
        var next = grows ? Next(point, work.Trials, value, gap, aim) : null;
        var judged = visit.Judge(work, point);
        var corrected = work.Tries.LastOrDefault(t => t.CorrectedFigure is not null);
        return new SheetReadingRecord
        {
            Id = work.Id,
            Stage = work.Stage,
            Tries = corrected is null ? [.. work.Tries.Select(t => new TryRecord(t.Id, t.Blades, WrittenFigure.Name(t.Unit), t.Feel))] : [],
            Written = corrected?.CorrectedFigure ?? work.Figure?.Figure,
            With = corrected is null && work.Trials.Count == 0 ? work.Figure?.With : null,
            Unit = corrected is null ? unit : WrittenFigure.Name(corrected.Unit),
            LowerMm = value.LowerMm,
            UpperMm = value.UpperMm,
            EstimateMm = value.EstimateMm,
            StandardUncertaintyMm = value.StandardUncertaintyMm,
            By = work.Kept?.By ?? Last(work).By,
            At = work.Kept?.At ?? Last(work).At,
            Kept = work.Kept is not null,
            Unproved = work.Unproved,
            State = judged?.State,
            Because = judged?.Because,
            OnFigure = judged?.OnFigure ?? false,
            Side = judged?.Side,
            Action = judged is { State: null, Side: null } ? next is null ? JudgedAction.Yours : JudgedAction.MeasureOn : judged?.Action,
            NextBlade = next,
            TrendBlade = grows && next is null && work.Trials.Count > 0 ? Next(point, work.Trials, value, gap, MeasuringAim.Figure) : null,
            KeptEntry = work.Kept?.Id,
            MinutesSinceStop = visit.StoppedAt is { } stopped && (work.Kept?.At ?? Last(work).At) is var at && at >= stopped ? Math.Round((at - stopped).TotalMinutes) : null,
            LastEntry = work.LastEntry,
            Complaint = complaint,
            Surprise = grows && work.Stage == ReadingStage.AsFound ? visit.DoubtOf(work)?.Sentence() : null,
            OfferUnit = work.Kept is null && gap is not null && work.Trials.Count == 0 ? OtherUnit(work, gap) : null,
        };
    }

    /// <summary>The blade to begin a reading with; null without a tray or where nothing in it tells.</summary>
    public NextBladeRecord? First(PointWork point, MeasuringAim aim) => Next(point, [], Reading.Nothing, visit.DemandOf(point) as Demand.Gap, aim);

    private NextBladeRecord? Next(PointWork point, IReadOnlyList<BladeTrial> trials, Reading value, Demand.Gap? gap, MeasuringAim aim)
    {
        if (visit.Tray is not { } tray) return null;
        var prior = visit.Context.Expected.TryGetValue(point.Point.Label, out var expected) ? (expected.ClearanceMm, Math.Max(expected.StandardUncertaintyMm, 0.005)) : ((double, double)?)null;
        var next = NextTry.Of(tray.BladesMm, trials, value, gap, aim, prior, visit.Schools.Judging);
        return next is null ? null : new NextBladeRecord([.. next.BladesMm.Select(mm => tray.Blades[IndexOf(tray.BladesMm, mm)])], next.SumMm);
    }

    /// <summary>What it says, or why it says nothing.</summary>
    public static (Reading Reading, string? Complaint) Value(ReadingWork work)
    {
        try
        {
            return (work.Value(), null);
        }
        catch (BadInputException bad)
        {
            return (Reading.Nothing, bad.Message);
        }
    }

    private static string? OtherUnit(ReadingWork work, Demand.Gap gap)
    {
        if (work.Figure is not { With: FigureSource.Figure } figure || !char.IsAsciiDigit(figure.Figure[0]) || figure.Figure.AsSpan(1).ContainsAny('-', '–')) return null;
        var written = Core.Lengths.Length.Parse(figure.Figure, WrittenFigure.Unit(figure.Unit));
        return Core.Lengths.UnitDoubt.Offer(written, gap.Window.MinMm, gap.Window.MaxMm) is { } other ? WrittenFigure.Name(other) : null;
    }

    private static int IndexOf(IReadOnlyList<double> blades, double mm)
    {
        for (var i = 0; i < blades.Count; i++)
            if (Math.Abs(blades[i] - mm) < 1e-9) return i;
        return 0;
    }

    private static Entry Last(ReadingWork work) => work.Figure is { } figure && figure.Id == work.LastEntry ? figure : work.Tries[^1];
}
