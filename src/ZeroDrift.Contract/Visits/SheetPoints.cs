using ZeroDrift.Contract.Calls;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Visits;
using ZeroDrift.Core.Visits.Sheet;

namespace ZeroDrift.Contract.Visits;

/// <summary>Writes the points of a sheet.</summary>
internal sealed class SheetPoints(Visit visit, ContextRecord context)
{
    /// <summary>The visit as it stood before it was corrected; null where nothing was.</summary>
    private readonly Visit? before = visit.Corrections.Count > 0 ? Visit.From(visit.Context, visit.Entries.Where(e => e is not Core.Visits.Corrected)) : null;

    private LengthUnit Unit => visit.Unit;

    public SheetPointRecord Of(PointView view, PointWork work)
    {
        var sheet = PointSheet.Of(visit, work, view);
        var own = context.Points.First(p => p.Label == view.Point);
        var gap = view.Demand as Demand.Gap;
        var demand = context.Demands.FirstOrDefault(d => d.Revision == visit.Demands?.Revision && d.Condition == visit.Demands?.Condition)?.Points.FirstOrDefault(p => p.Point == view.Point);
        var prospect = visit.Context.Prospects.GetValueOrDefault(view.Point) ?? PointProspect.None;
        var torque = context.Type.Fasteners.FirstOrDefault(f => f.TorqueNm is not null && f.Locks(work.Point.Kind))?.Said;
        return new SheetPointRecord
        {
            Label = view.Point,
            Cylinder = work.Point.Cylinder,
            Kind = work.Point.Kind,
            Place = work.Point.Place,
            Bank = work.Point.Bank,
            Along = work.Point.Along,
            StopIndex = Course.StopOf(visit, view.Point),
            MinMm = gap?.Window.MinMm,
            MaxMm = gap?.Window.MaxMm,
            SetMm = gap?.AimMm,
            SetIsOurs = gap?.AimIsOurs ?? false,
            FleetTolerance = gap?.FleetTolerance ?? false,
            SpecWritten = demand?.Written,
            SpecUnit = demand?.Unit,
            Own = demand?.Own,
            BookName = own.BookName,
            ByAmount = visit.IsByAmount(work),
            Gates = sheet.Gates is { } gates ? new GatesRecord(gates.Go, gates.NoGo) : null,
            OwesFound = sheet.OwesFound,
            OwesLeft = sheet.OwesLeft,
            Done = sheet.Done,
            Setting = sheet.IsSetting,
            Stage = sheet.Stage,
            StageIfSet = sheet.StageIfSet,
            Ask = sheet.Ask,
            MayTurn = sheet.MayTurn,
            Turned = work is { IsTurnedUnmeasured: true, Fitted: null } ? SheetWords.TurnedUnmeasured : null,
            Found = Reading(sheet.Found),
            FoundBefore = work.Found is null ? FigureRecord.Of(work.FoundBefore) : null,
            Left = Reading(sheet.Left),
            BeforeLock = Reading(sheet.BeforeLock),
            Claimed = Reading(sheet.Claimed),
            ClaimedBy = sheet.Claimed?.Work.Figure?.ClaimedBy,
            FoundDraft = Reading(sheet.FoundDraft),
            BeforeLockDraft = Reading(sheet.BeforeLockDraft),
            LeftDraft = Reading(sheet.LeftDraft),
            Attempts = [.. sheet.Attempts.Select(a => Reading(a)!)],
            FirstBlade = Stack(sheet.FirstBlade),
            AsksBeforeLock = sheet.AsksBeforeLock,
            NutSaid = sheet.NutSaid(Unit),
            Guide = sheet.Guide is { } guide ? new SettingGuideRecord(guide.Lines(sheet, torque, Unit), guide.SetBlade) : null,
            LockTorque = torque,
            Dial = gap is null ? null : Dial(gap),
            Siblings = sheet.Siblings is { } others ? new SiblingsRecord(others.LeastMm, others.MostMm, others.Points, others.Odd) : null,
            Amount = sheet.Advice?.Amount is { } amount ? AmountResponse.Of(amount) : null,
            Start = work.Start?.State,
            BeforeMm = prospect.BeforeMm,
            BeforeHours = prospect.BeforeHours,
            ExpectedMm = visit.State == VisitState.Open ? visit.Context.Expected.GetValueOrDefault(view.Point)?.ClearanceMm : null,
            Moved = sheet.Moved.Said(Unit),
            Outcome = view.Outcome,
            Why = work.Said?.Why,
            Advice = sheet.Advice is { } advice ? AdviceResponse.Of(advice) : null,
            AdviceIfSet = sheet.AdviceIfSet is { } toFigure ? AdviceResponse.Of(toFigure) : null,
            HoursToRiskFromHere = sheet.HoursToRiskFromHere,
            OutByNextVisit = sheet.OutByNextVisit?.P,
            OutSide = sheet.OutByNextVisit?.Side,
            AimOffMm = sheet.AimOff?.Mm,
            AimOffHours = sheet.AimOff?.Hours,
            WorthFiner = sheet.WorthFiner,
            Shim = ShimOf(work, gap, sheet.Advice),
            Adjuster = work.Point.Adjuster.Word,
            AdjusterKind = own.Adjuster.Kind!.Value,
            Locks = work.Point.Adjuster.HasLocknut,
            Bridge = work.Point.Bridge is not null,
            BridgeScrew = work.Point.Bridge?.OwnScrew ?? false,
            AmountSaid = work.Said is { Amount: { } said } ? $"{said} {work.Said.Unit}" : null,
            ContactSaid = work.Said?.Contact,
            Pass = work.Said?.Pass,
            SaidAt = work.Said?.At,
            SaidBy = work.Said?.By,
            Corrected = [.. Corrected(work)],
        };
    }

    private static NextBladeRecord? Stack(WrittenStack? stack) => stack is null ? null : new NextBladeRecord(stack.Blades, stack.SumMm);

    private static SheetReadingRecord? Reading(ReadingSheet? sheet)
    {
        if (sheet is null) return null;
        var work = sheet.Work;
        var corrected = work.Tries.LastOrDefault(t => t.CorrectedFigure is not null);
        var unit = work.Figure?.Unit ?? (work.Tries.Count > 0 ? WrittenFigure.Name(work.Tries[^1].Unit) : "mm");
        return new SheetReadingRecord
        {
            Id = work.Id,
            Stage = work.Stage,
            Tries = corrected is null ? [.. work.Tries.Select(t => new TryRecord(t.Id, t.Blades, WrittenFigure.Name(t.Unit), t.Feel))] : [],
            Written = corrected?.CorrectedFigure ?? work.Figure?.Figure,
            With = corrected is null && work.Trials.Count == 0 ? work.Figure?.With : null,
            Unit = corrected is null ? unit : WrittenFigure.Name(corrected.Unit),
            LowerMm = sheet.Value.LowerMm,
            UpperMm = sheet.Value.UpperMm,
            EstimateMm = sheet.Value.EstimateMm,
            StandardUncertaintyMm = sheet.Value.StandardUncertaintyMm,
            By = work.By,
            At = work.Kept?.At ?? work.LastAt,
            Kept = work.Kept is not null,
            Unproved = work.Unproved,
            State = sheet.Judged?.State,
            Because = sheet.Judged?.Because,
            OnFigure = sheet.Judged?.OnFigure ?? false,
            Side = sheet.Judged?.Side,
            Action = sheet.Action,
            NextBlade = Stack(sheet.NextBlade),
            TrendBlade = Stack(sheet.TrendBlade),
            KeptEntry = work.Kept?.Id,
            MinutesSinceStop = sheet.MinutesSinceStop,
            LastEntry = work.LastEntry,
            Complaint = sheet.Complaint,
            Surprise = sheet.Surprise?.Sentence(),
            KeepsItself = sheet.KeepsItself,
            OwesWhy = sheet.OwesWhy,
            OnKeeping = sheet.OnKeeping,
            OfferUnit = sheet.OfferUnit is { } other ? WrittenFigure.Name(other) : null,
        };
    }

    private static SheetShimRecord? ShimOf(PointWork work, Demand.Gap? gap, Advice? advice) => work.Point.Adjuster is not Adjuster.Shim shim ? null : new SheetShimRecord
    {
        Access = shim.Access,
        SizesMm = shim.SizesMm,
        Found = Read(work.ShimFound),
        Now = Read(work.ShimNow),
        Mark = work.ShimMark?.Thickness,
        NowMm = work.ShimNowMm,
        Fitted = work.Fitted is not null,
        Planned = work.Planned is { } planned ? new PlannedShimRecord(planned.OldMm, planned.NewMm, planned.Origin, planned.FromPoint) : null,
        IsTrial = PointSheet.IsTrialShim(work),
        TrialsMm = gap is not null && work.ShimNowMm is { } now && advice?.Action == AdviceAction.FitThinnerFirst ? [.. TrialShims.From(now, gap.AimMm, shim.ShimPerClearance, shim.SizesMm).Take(3)] : [],
        ExpectedMm = work.ExpectedWithShimMm,
        CleanAgain = (work.Growing(ReadingStage.AsLeft) ?? work.Left) is { } after && work.AsksCleanAgain(after),
    };

    private static ShimReadRecord? Read(ShimRead? shim) => shim is null ? null : new ShimReadRecord(shim.Thickness, WrittenFigure.Name(shim.Unit), shim.How);

    private DialRecord? Dial(Demand.Gap gap)
    {
        if (visit.Schools.Measuring != MeasuringMeans.Dial || visit.Context.Facts.DialConversion is not { } conversion) return null;
        var aim = DialAim.For(gap, conversion, Unit);
        return new DialRecord(WrittenFigure.Name(Unit), In(aim.MinMm), In(aim.MaxMm), In(aim.FromMm), In(aim.ToMm), aim.Sentence);

        double In(double mm) => Unit == LengthUnit.Thou ? mm / (double)Length.MillimetresPerThou : mm;
    }

    private IEnumerable<CorrectedFigureRecord> Corrected(PointWork work)
    {
        if (before is null) yield break;
        foreach (var reading in work.Readings.Where(r => r.Kept is not null))
        {
            var entries = reading.Tries.Select(t => t.Id).Append(reading.Figure?.Id ?? Guid.Empty).ToHashSet();
            if (visit.Entries.OfType<Core.Visits.Corrected>().LastOrDefault(c => entries.Contains(c.Target)) is not { } correction) continue;
            var place = before.Work.First(p => p.Point.Label == work.Point.Label);
            if (place.Readings.FirstOrDefault(r => r.Id == reading.Id) is { } was) yield return new CorrectedFigureRecord(Reading(PointSheet.Reading(before, place, was))!, correction.Why, correction.By, correction.At);
        }
    }
}
