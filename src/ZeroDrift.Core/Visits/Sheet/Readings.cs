using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Visits.Sheet;

/// <summary>Draws up the readings of a visit.</summary>
internal sealed class Readings(Visit visit)
{
    /// <summary>A reading of a point; null where there is none.</summary>
    /// <param name="point">The point.</param>
    /// <param name="work">The reading.</param>
    /// <param name="aim">What the next blade is for.</param>
    public ReadingSheet? Of(PointWork point, ReadingWork? work, MeasuringAim aim = MeasuringAim.Decide)
    {
        if (work is null) return null;
        var gap = visit.DemandOf(point) as Demand.Gap;
        var read = Attempted.Of(work.Value);
        var value = read.Value ?? Reading.Nothing;
        var grows = work.Kept is null && work.Closed is null && read.Holds;
        var next = grows ? Next(point, work.Trials, value, gap, aim) : null;
        var judged = visit.Judge(work, point);
        var sheet = new ReadingSheet
        {
            Work = work,
            Value = value,
            Complaint = read.Bad?.Message,
            Judged = judged,
            Action = judged is { State: null, Side: null } ? next is null ? JudgedAction.Yours : JudgedAction.MeasureOn : judged?.Action,
            NextBlade = next,
            TrendBlade = grows && next is null && work.Trials.Count > 0 ? Next(point, work.Trials, value, gap, MeasuringAim.Figure) : null,
            Surprise = grows && work.Stage is ReadingStage.AsFound or ReadingStage.AsLeft ? SurpriseOf(work) : null,
            OfferUnit = work.Kept is null && gap is not null && work.Trials.Count == 0 ? OtherUnit(work, gap) : null,
            MinutesSinceStop = visit.StoppedAt is { } stopped && (work.Kept?.At ?? work.LastAt) is var at && at >= stopped ? Math.Round((at - stopped).TotalMinutes) : null,
        };
        var owesWhy = work.Stage == ReadingStage.AsLeft && sheet.Action is not null && judged?.State != VerdictState.InWindow;
        return sheet with
        {
            OwesWhy = owesWhy,
            OnKeeping = owesWhy ? PointOutcome.LeftSo : work.Stage == ReadingStage.AsLeft && point.Fitted is null ? PointOutcome.Set : null,
            KeepsItself = grows && !owesWhy && work.SaysSomething && sheet is { Surprise: null, OfferUnit: null } && IsClear(sheet, gap, aim),
        };
    }

    /// <summary>The blade to begin a reading with; null without a tray or where nothing in it tells.</summary>
    public WrittenStack? First(PointWork point, MeasuringAim aim) => Next(point, [], Reading.Nothing, visit.DemandOf(point) as Demand.Gap, aim);

    private static bool IsClear(ReadingSheet sheet, Demand.Gap? gap, MeasuringAim aim)
    {
        // Set and not locked: whatever it says is a figure to lock from. Without a book any figure is one.
        if (sheet.Work.Stage == ReadingStage.BeforeLock || gap is null) return sheet.Value.EstimateMm is not null;
        if (aim == MeasuringAim.Figure && (sheet.NextBlade ?? sheet.TrendBlade) is not null) return false;
        return sheet.Action is JudgedAction.Leave or JudgedAction.Set;
    }

    /// <summary>As left only what a mechanic cannot see by himself: out of its window is said, and asked why.</summary>
    private Refusal? SurpriseOf(ReadingWork work) => visit.DoubtOf(work) is { } doubt && (work.Stage == ReadingStage.AsFound || doubt.Pull is not null) ? doubt : null;

    private WrittenStack? Next(PointWork point, IReadOnlyList<BladeTrial> trials, Reading value, Demand.Gap? gap, MeasuringAim aim)
    {
        if (visit.Tray is not { } tray) return null;
        var next = NextTry.Of(tray.BladesMm, trials, value, gap, aim, Prior(point, gap), visit.Schools.Judging);
        return next is null ? null : new WrittenStack([.. next.BladesMm.Select(mm => tray.Blades[IndexOf(tray.BladesMm, mm)])], next.SumMm);
    }

    /// <summary>What is believed of a gap before it is measured: the record's forecast, else where no book judges it what its siblings read.</summary>
    private (double Mm, double SdMm)? Prior(PointWork point, Demand.Gap? gap)
    {
        if (visit.Context.Expected.TryGetValue(point.Point.Label, out var expected)) return (expected.ClearanceMm, Math.Max(expected.StandardUncertaintyMm, 0.005));
        return gap is null && Siblings.MiddleOf(visit, point) is { } middle ? (middle, Siblings.UsualScatterMm) : null;
    }

    private static LengthUnit? OtherUnit(ReadingWork work, Demand.Gap gap)
    {
        if (work.Figure is not { With: FigureSource.Figure } figure || !char.IsAsciiDigit(figure.Figure[0]) || figure.Figure.AsSpan(1).ContainsAny('-', '–')) return null;
        return UnitDoubt.Offer(Length.Parse(figure.Figure, WrittenFigure.Unit(figure.Unit)), gap.Window.MinMm, gap.Window.MaxMm);
    }

    private static int IndexOf(IReadOnlyList<double> blades, double mm)
    {
        for (var i = 0; i < blades.Count; i++)
            if (Math.Abs(blades[i] - mm) < 1e-9) return i;
        return 0;
    }
}
