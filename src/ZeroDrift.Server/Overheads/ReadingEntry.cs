using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Calculators;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Problems;

namespace ZeroDrift.Server.Overheads;

/// <summary>Thrown for a figure that would be believable in the other unit; the screen offers to change it.</summary>
internal sealed class WrongUnitException(string field, string message, string offer) : Exception(message)
{
    public string Field { get; } = field;

    public string Offer { get; } = offer;
}

/// <summary>
/// Takes readings as they are made. While a reading grows it is saved at every tap; once kept it is a fact. The same request twice does no
/// harm; a second person's does not overwrite the first's but is told what stands there.
/// </summary>
internal static class ReadingEntry
{
    public static async Task<OverheadView> Put(Guid id, Guid readingId, ReadingPutRequest request, ZeroDriftContext context, OutlookCache outlooks, TimeProvider clock)
    {
        var work = await OverheadWork.LoadAsync(id, context, outlooks);
        var row = work.Row.Readings.Find(r => r.Id == readingId);
        var point = work.Type.Points.Find(p => p.Id == request.PointId) ?? throw new BadInputException("pointId", "Name a lash point of this engine.");
        var stage = request.Stage ?? throw new BadInputException("stage", "Say when it was measured: asFound, beforeLock or asLeft.");
        var wanted = Wanted(request, point, stage, work);
        if (row is not null && SameContent(row, wanted) && (row.KeptAt is not null || !request.Keep)) return work.View();

        RefuseSignedOrTaken(work, row, point, stage, request);
        if (row?.KeptAt is not null)
            throw new ConflictException("reading", $"{point.Label} was kept as {WrittenFigure.Write(row.ToReading(), WrittenFigure.Unit(row.Unit))} by {row.Who}; a kept figure does not change. Correct it with a new entry.", work.View(row, work.SpecFor(point)));
        if (row is not null && row.Version != request.Version)
            throw new ConflictException("reading", $"{row.Who} has measured {point.Label} on another screen meanwhile.", work.View(row, work.SpecFor(point)));
        RefuseOutOfOrder(work, point, stage, request);
        if (request.Keep) CheckKeepable(wanted, work.SpecFor(point), stage, request);

        if (row is null)
        {
            row = new ReadingRow { Id = readingId, OverheadId = id, PointId = point.Id, Stage = stage, Who = wanted.Who, Version = 0 };
            context.Readings.Add(row);
        }
        (row.Trials, row.Written, row.Unit, row.Who) = (wanted.Trials, wanted.Written, wanted.Unit, wanted.Who);
        (row.LowerMm, row.UpperMm, row.EstimateMm, row.UncertaintyMm) = (wanted.LowerMm, wanted.UpperMm, wanted.EstimateMm, wanted.UncertaintyMm);
        (row.CorrectsId, row.Why, row.Remark, row.ByTheBook) = (request.Corrects, wanted.Why, wanted.Remark, wanted.ByTheBook);
        row.At = clock.GetUtcNow().UtcDateTime;
        row.KeptAt = request.Keep ? row.At : null;
        row.Version++;
        try
        {
            await context.SaveChangesAsync();
        }
        catch (DbUpdateException)
        {
            // Two screens at the same instant: the database let one through. Tell this one what stands there now.
            context.ChangeTracker.Clear();
            var now = await OverheadWork.LoadAsync(id, context, outlooks);
            var stands = now.Row.Readings.Where(r => r.PointId == point.Id && r.Stage == stage).MaxBy(r => r.At);
            throw new ConflictException("reading", $"{stands?.Who ?? "Somebody"} has measured {point.Label} at the same moment.", now.View(stands, now.SpecFor(point)));
        }
        if (work.Row.SignedAt is not null) outlooks.Forget(work.Type.Id);
        return (await OverheadWork.LoadAsync(id, context, outlooks)).View();
    }

    /// <summary>Takes back a reading that was not kept yet.</summary>
    public static async Task<OverheadView> Discard(Guid id, Guid readingId, ZeroDriftContext context, OutlookCache outlooks)
    {
        var work = await OverheadWork.LoadAsync(id, context, outlooks);
        if (work.Row.Readings.Find(r => r.Id == readingId) is { } row)
        {
            if (row.KeptAt is not null) throw new ConflictException("reading", "A kept figure is not thrown away; correct it with a new entry.", work.View(row, null));
            context.Readings.Remove(row);
            work.Row.Readings.Remove(row);
            await context.SaveChangesAsync();
        }
        return (await OverheadWork.LoadAsync(id, context, outlooks)).View();
    }

    private static ReadingRow Wanted(ReadingPutRequest request, LashPointRow point, ReadingStage stage, OverheadWork work)
    {
        var unit = WrittenFigure.Unit(request.Unit ?? work.Row.TrayUnit);
        var trials = (request.Trials ?? []).Select((t, i) => new TrialRow
        {
            Blades = [.. t?.Blades ?? throw new BadInputException($"trials[{i}].blades", "Name the blade or the stack of blades.")],
            Feel = t.Feel ?? throw new BadInputException($"trials[{i}].feel", "Say how the blade felt: free, drag, heavyDrag or noGo."),
        }).ToList();
        var reading = trials.Count > 0
            ? Reading.FromBlades([.. trials.Select((t, i) => new BladeTrial([.. t.Blades.Select(b => Length.Parse(b, unit, $"trials[{i}].blades").Millimetres)], t.Feel))])
            : string.IsNullOrWhiteSpace(request.Figure) ? new Reading(null, null, null, null) : WrittenFigure.Parse(request.Figure, unit, "figure");
        if (!request.Sure && work.SpecFor(point) is { } spec) RefuseWrongUnit(reading, request.Figure, unit, spec, trials.Count > 0 ? $"trials[{trials.Count - 1}]" : "figure");
        return new ReadingRow
        {
            PointId = point.Id,
            Stage = stage,
            Trials = trials,
            Written = trials.Count > 0 ? null : request.Figure?.Trim(),
            Unit = WrittenFigure.Name(unit),
            LowerMm = reading.LowerMm,
            UpperMm = reading.UpperMm,
            EstimateMm = reading.EstimateMm,
            UncertaintyMm = reading.StandardUncertaintyMm,
            Who = Given.Text(request.Who, "who", "who measured it", 80),
            Why = Given.OptionalText(request.Why, "why", "the reason"),
            Remark = Given.OptionalText(request.Remark, "remark", "the remark"),
            ByTheBook = request.ByTheBook,
        };
    }

    private static void RefuseWrongUnit(Reading reading, string? figure, LengthUnit unit, ClearanceSpec spec, string field)
    {
        if ((reading.EstimateMm ?? reading.LowerMm ?? reading.UpperMm) is not { } mm) return;
        var written = figure is { Length: > 0 } && figure.Trim() is var text && char.IsAsciiDigit(text[0]) && !text.Contains('-', StringComparison.Ordinal) ? Length.Parse(text, unit, field) : Length.OfMillimetres(mm);
        if (UnitDoubt.Offer(written, spec.Window.MinMm, spec.Window.MaxMm) is { } other && figure is not null)
            throw new WrongUnitException(field, $"{written} is far from the window {spec.Window.MinMm:0.00} – {spec.Window.MaxMm:0.00} mm. Did you mean {written.Written} {WrittenFigure.Name(other)}?", WrittenFigure.Name(other));
        if (UnitDoubt.IsFarOut(mm, spec.Window.MaxMm))
            throw new BadInputException(field, $"{written} is ten times the window {spec.Window.MinMm:0.00} – {spec.Window.MaxMm:0.00} mm or more. Look again at the figure and its unit; if it really is so, say that you are sure.");
    }

    private static void RefuseSignedOrTaken(OverheadWork work, ReadingRow? row, LashPointRow point, ReadingStage stage, ReadingPutRequest request)
    {
        var standing = work.Row.Readings.Standing(point.Id, stage);
        if (work.Row.SignedAt is { } signed && request.Corrects is null)
            throw new ConflictException("overhead", $"This overhead was signed by {work.Row.SignedBy} on {signed:yyyy-MM-dd}; its figures stand. A correction is a new entry that names the old one, with who and why.", standing is null ? null : work.View(standing, null));
        if (request.Corrects is { } corrects)
        {
            if (standing?.Id != corrects)
                throw new ConflictException("corrects", standing is null ? $"{point.Label} has no kept figure to correct." : $"{point.Label} has been corrected meanwhile by {standing.Who}; look at the figure that stands now.", work.View(standing, null));
            if (string.IsNullOrWhiteSpace(request.Why)) throw new BadInputException("why", "Say why the figure is corrected; the old one stays in the record beside it.");
        }
        else if (standing is not null && standing.Id != row?.Id)
        {
            throw new ConflictException("reading", $"{standing.Who} has already kept {WrittenFigure.Write(standing.ToReading(), WrittenFigure.Unit(standing.Unit))} {standing.Unit} for {point.Label}. Keep that, or correct it and say why.", work.View(standing, work.SpecFor(point)));
        }
        if (row is null && work.Row.Readings.Find(r => r.PointId == point.Id && r.Stage == stage && r.KeptAt is null) is { } draft)
            throw new ConflictException("reading", $"{draft.Who} is measuring {point.Label} on another screen.", work.View(draft, work.SpecFor(point)));
    }

    private static void RefuseOutOfOrder(OverheadWork work, LashPointRow point, ReadingStage stage, ReadingPutRequest request)
    {
        if (stage == ReadingStage.AsFound || work.Row.Job == JobKind.Build || request.Corrects is not null || request.ByTheBook) return;
        if (work.UnmeasuredAtStopOf(point.Label) is { Count: > 0 } missing)
            throw new BadInputException("stage", $"Measure {string.Join(", ", missing)} as found first: everything at a stop is measured before the first adjuster is touched.");
    }

    private static void CheckKeepable(ReadingRow wanted, ClearanceSpec? spec, ReadingStage stage, ReadingPutRequest request)
    {
        var measured = (wanted.EstimateMm ?? wanted.LowerMm ?? wanted.UpperMm) is not null;
        if (!measured && stage == ReadingStage.AsLeft && spec is not null && wanted.Why is not null) return; // left as found on purpose, with a reason
        if (spec is null && request.ByTheBook) return;
        if (!measured) throw new BadInputException("trials", "Nothing is measured yet: tap a blade and how it felt, or type a figure.");
        if (stage == ReadingStage.AsLeft && spec is not null && wanted.Why is null && Verdict.Judge(wanted.ToReading(), spec.Window).State != VerdictState.InWindow)
            throw new BadInputException("why", $"{WrittenFigure.Write(wanted.ToReading(), WrittenFigure.Unit(wanted.Unit))} {wanted.Unit} is not surely in the window. Set it again or try the deciding blade; to leave it so on purpose, say why.");
    }

    private static bool SameContent(ReadingRow a, ReadingRow b) =>
        a.PointId == b.PointId && a.Stage == b.Stage && a.Unit == b.Unit && a.Written == b.Written && a.ByTheBook == b.ByTheBook && a.Why == b.Why && a.Remark == b.Remark
        && a.Trials.Count == b.Trials.Count && a.Trials.Zip(b.Trials).All(t => t.First.Feel == t.Second.Feel && t.First.Blades.SequenceEqual(t.Second.Blades));
}
