using System.Security.Cryptography;
using System.Text;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Outlook;
using ZeroDrift.Core.Wear;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Outlooks;

/// <summary>Keeps the outlooks: one engine at once, inside the transaction that changed it; a type's group whole, worked out beside the work of others.</summary>
public static class OutlookKeeper
{
    /// <summary>The model the rows name.</summary>
    public const string Model = "6b.5";

    /// <summary>A type of so few engines is fitted whole at once: its group is the engine itself and its sisters.</summary>
    private const int FitAtOnceUpTo = 4;

    /// <summary>What a whole fit of a type came to.</summary>
    /// <param name="TypeId">The type.</param>
    /// <param name="Rows">Its engines' outlooks.</param>
    /// <param name="Learned">What the group has taught; null where it taught nothing.</param>
    /// <param name="Rested">The versions of the outlooks that stood when it was begun, by engine.</param>
    public sealed record TypeOutlooks(Guid TypeId, IReadOnlyList<OutlookRow> Rows, LearnedContent? Learned, IReadOnlyDictionary<Guid, long> Rested);

    /// <summary>Brings one engine's outlook up to its record, with what its group has taught so far.</summary>
    /// <returns>Whether the rest of its type should be fitted again.</returns>
    private static async Task<bool> RefreshAsync(ZeroDriftContext data, Guid engineId, DateOnly today)
    {
        var engine = await data.Engines.AsNoTracking().FirstAsync(e => e.Id == engineId);
        var type = await data.WholeTypes.FirstOrDefaultAsync(t => t.Id == engine.EngineTypeId);
        if (type is null) return false;
        var kept = await data.TypeFits.FirstOrDefaultAsync(f => f.EngineTypeId == type.Id);
        if (await IsFittedWholeAsync(data, engine.EngineTypeId))
        {
            await KeepAsync(data, (await FitAsync(data, engine.EngineTypeId, today))!);
            return false;
        }
        var fleet = await data.SettingsAsync();
        var lives = await EngineLives.LoadAsync(data, type, fleet, today, engineId);
        if (lives.Count == 0) return false;
        var learned = kept is null ? LearnedContent.Nothing : LearnedContent.Of(kept.Learned);
        // What it said as an engine of another type was never said to this group.
        var before = await data.Outlooks.AsNoTracking().Where(o => o.EngineId == engineId && o.EngineTypeId == engine.EngineTypeId).Select(o => o.Said).FirstOrDefaultAsync();
        var others = before is null ? learned.Shared : learned.Shared.Without(SaidContent.Of(before));
        var (outlook, said) = TypeOutlook.One(lives[0].Record, learned.Components, others, today, Risk(fleet, type));
        // The next engine takes out what this one says now, not what it said before.
        if (kept is not null) kept.Learned = (learned with { Shared = said is null ? others : others.Plus(said) }).ToJson();
        await UpsertAsync(data, Row(lives[0], type, outlook, said, fleet, today));
        return true;
    }

    /// <summary>Brings the outlooks of several engines up to their records; a type small enough to be fitted whole is fitted once.</summary>
    /// <param name="data">The transaction under way.</param>
    /// <param name="engineIds">The engines; one that was archived meanwhile has an outlook no more.</param>
    /// <param name="besides">Types that were fitted whole already.</param>
    /// <param name="today">Today.</param>
    /// <returns>Types to be fitted again.</returns>
    public static async Task<IReadOnlySet<Guid>> RefreshAsync(ZeroDriftContext data, IReadOnlyCollection<Guid> engineIds, IReadOnlyCollection<Guid> besides, DateOnly today)
    {
        var again = new HashSet<Guid>();
        var engines = await data.Engines.AsNoTracking().Where(e => engineIds.Contains(e.Id)).Select(e => new { e.Id, e.EngineTypeId, Archived = e.ArchivedAt != null }).ToListAsync();
        var gone = engines.Where(e => e.Archived).Select(e => e.Id).ToList();
        if (gone.Count > 0) await data.Outlooks.Where(o => gone.Contains(o.EngineId)).ExecuteDeleteAsync();
        foreach (var type in engines.Where(e => !e.Archived && !besides.Contains(e.EngineTypeId)).GroupBy(e => e.EngineTypeId, e => e.Id))
        {
            var one = await IsFittedWholeAsync(data, type.Key) ? type.Take(1) : type;
            foreach (var engine in one)
                if (await RefreshAsync(data, engine, today)) again.Add(type.Key);
        }
        return again;
    }

    /// <summary>An engine's outlook as it is today; null where it is archived or there is none.</summary>
    public static async Task<OutlookContent?> TodayAsync(ZeroDriftContext data, Guid engineId, DateOnly today, CancellationToken cancelled = default) =>
        await data.Outlooks.AsNoTracking().Where(o => o.EngineId == engineId).Select(o => o.Content).FirstOrDefaultAsync(cancelled) is { } content ? OutlookContent.Of(content).On(today) : null;

    /// <summary>What an engine's outlook would say without its last visit, by what its group knows now; null where nothing came before that.</summary>
    public static async Task<OutlookBefore?> BeforeLastVisitAsync(ZeroDriftContext data, Guid engineId, EngineTypeRow type, DateOnly today, CancellationToken cancelled = default)
    {
        if (await data.TypeFits.AsNoTracking().FirstOrDefaultAsync(f => f.EngineTypeId == type.Id, cancelled) is not { } kept) return null;
        var fleet = await data.SettingsAsync();
        if ((await EngineLives.LoadAsync(data, type, fleet, today, engineId)).FirstOrDefault()?.Record is not { Visits.Count: > 1 } record) return null;
        var learned = LearnedContent.Of(kept.Learned);
        var said = await data.Outlooks.AsNoTracking().Where(o => o.EngineId == engineId).Select(o => o.Said).FirstOrDefaultAsync(cancelled);
        var last = record.Visits[^1];
        var shorter = record with
        {
            HoursNow = last.Hours,
            Visits = [.. record.Visits.SkipLast(1)],
            Points = [.. record.Points.Select(p => p with { Visits = [.. p.Visits.Where(v => v.Visit.Id != last.Id)] })],
        };
        var (before, _) = TypeOutlook.One(shorter, learned.Components, said is null ? learned.Shared : learned.Shared.Without(SaidContent.Of(said)), today, Risk(fleet, type));
        return new OutlookBefore(last.Hours, before.RiskHours is { } risk ? (double)risk : null, before.DecidedBy);
    }

    /// <summary>Brings a type's outlooks up to a change of its book: at once where its engines are few.</summary>
    /// <returns>Whether it should be fitted in the background instead.</returns>
    public static async Task<bool> RefreshTypeAsync(ZeroDriftContext data, Guid typeId, DateOnly today)
    {
        if (!await IsFittedWholeAsync(data, typeId)) return true;
        if (await FitAsync(data, typeId, today) is { } fit) await KeepAsync(data, fit);
        return false;
    }

    /// <summary>Fits a whole type; nothing is written. Null where there is no such type.</summary>
    /// <param name="data">The fleet.</param>
    /// <param name="typeId">The type.</param>
    /// <param name="today">Today.</param>
    /// <param name="tried">A risk to try instead of the fleet's.</param>
    /// <param name="cancelled">Whoever asked has gone.</param>
    public static async Task<TypeOutlooks?> FitAsync(ZeroDriftContext data, Guid typeId, DateOnly today, FleetRisk? tried = null, CancellationToken cancelled = default)
    {
        if (await data.WholeTypes.FirstOrDefaultAsync(t => t.Id == typeId, cancelled) is not { } type) return null;
        // Noted before anything is read: what changes from here on is newer than this fit.
        var rested = await data.Outlooks.AsNoTracking().Where(o => o.EngineTypeId == typeId).ToDictionaryAsync(o => o.EngineId, o => o.Version, cancelled);
        var fleet = await data.SettingsAsync();
        var lives = await EngineLives.LoadAsync(data, type, fleet, today);
        var fit = TypeOutlook.Of([.. lives.Select(l => l.Record)], today, Risk(fleet, type, tried));
        return new TypeOutlooks(
            typeId,
            [.. lives.Zip(fit.Engines).Select(p => Row(p.First, type, p.Second, fit.Learned?.Said.GetValueOrDefault(p.Second.Id), fleet, today))],
            fit.Learned is { } learned ? LearnedContent.Of(learned) : null,
            rested);
    }

    /// <summary>
    /// Keeps a fit; part of the transaction under way. Rows that say the same are left as they are, and so is an engine that has changed or gone since the
    /// fit was begun: what stands of it is newer, and what the group learned is told it in place of what it said before.
    /// </summary>
    public static async Task KeepAsync(ZeroDriftContext data, TypeOutlooks fit)
    {
        var known = await data.Outlooks.Where(o => o.EngineTypeId == fit.TypeId).ToDictionaryAsync(o => o.EngineId);
        var newer = known.Values.Where(o => fit.Rested.GetValueOrDefault(o.EngineId) != o.Version).Select(o => o.EngineId).Concat(fit.Rested.Keys.Where(id => !known.ContainsKey(id))).ToHashSet();
        foreach (var row in fit.Rows.Where(r => !newer.Contains(r.EngineId))) Upsert(data, known.GetValueOrDefault(row.EngineId) ?? await data.Outlooks.FirstOrDefaultAsync(o => o.EngineId == row.EngineId), row);
        var kept = await data.TypeFits.FirstOrDefaultAsync(f => f.EngineTypeId == fit.TypeId);
        if (fit.Learned is null && kept is not null) data.TypeFits.Remove(kept);
        if (fit.Learned is { } learned)
        {
            var shared = learned.Shared;
            foreach (var id in newer)
            {
                if (fit.Rows.FirstOrDefault(r => r.EngineId == id)?.Said is { } before) shared = shared.Without(SaidContent.Of(before));
                if (known.GetValueOrDefault(id)?.Said is { } now) shared = shared.Plus(SaidContent.Of(now));
            }
            var told = (learned with { Shared = shared }).ToJson();
            if (kept is not null) kept.Learned = told;
            else data.TypeFits.Add(new TypeFitRow { EngineTypeId = fit.TypeId, Learned = told });
        }
        await data.SaveChangesAsync();
    }

    private static async Task<bool> IsFittedWholeAsync(ZeroDriftContext data, Guid typeId) =>
        await data.Engines.CountAsync(e => e.EngineTypeId == typeId && e.ArchivedAt == null) <= FitAtOnceUpTo;

    /// <summary>The fleet's risk for a type: new gaskets make its opening dearer, so that a breach counts for fewer openings.</summary>
    private static FleetRisk Risk(FleetRow fleet, EngineTypeRow type, FleetRisk? tried = null)
    {
        var risk = tried ?? new FleetRisk(fleet.Risk, fleet.BreachCost, fleet.PlainRisk);
        return type.Facts.GasketHours is { } gaskets ? risk with { BreachCost = risk.BreachCost * type.Facts.JobHours / (type.Facts.JobHours + gaskets) } : risk;
    }

    private static async Task UpsertAsync(ZeroDriftContext data, OutlookRow row)
    {
        Upsert(data, await data.Outlooks.FirstOrDefaultAsync(o => o.EngineId == row.EngineId), row);
        await data.SaveChangesAsync();
    }

    private static void Upsert(ZeroDriftContext data, OutlookRow? known, OutlookRow row)
    {
        if (known is null)
        {
            data.Outlooks.Add(row);
            return;
        }
        known.Said = row.Said;
        if (known.Fingerprint == row.Fingerprint && known.AsOf == row.AsOf && known.EngineTypeId == row.EngineTypeId) return;
        (known.EngineTypeId, known.Model, known.Fingerprint, known.AsOf, known.Content) = (row.EngineTypeId, row.Model, row.Fingerprint, row.AsOf, row.Content);
        known.Version++;
    }

    private static OutlookRow Row(EngineLife life, EngineTypeRow type, EngineOutlook outlook, SharedInformation? said, FleetRow fleet, DateOnly today)
    {
        var content = Content(life, outlook, fleet).ToJson();
        return new OutlookRow
        {
            EngineId = life.Engine.Id,
            EngineTypeId = type.Id,
            Model = Model,
            Fingerprint = Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(content)).AsSpan(0, 12)),
            AsOf = today,
            Content = content,
            Said = said is null ? null : SaidContent.ToJson(said),
            Version = 1,
        };
    }

    private static OutlookContent Content(EngineLife life, EngineOutlook outlook, FleetRow fleet)
    {
        var record = life.Record;
        return new OutlookContent
        {
            HoursNow = record.HoursNow,
            ReadHours = life.Read?.Read,
            ReadOn = life.Read?.On,
            MeterOffset = life.MeterOffset,
            Usage = record.Usage,
            Book = record.Book,
            DriftHours = outlook.RiskHours,
            OpenAfterHours = outlook.OpenAfterHours,
            DueByDriftHours = fleet.PlainRisk ? outlook.RiskHours : outlook.OpenAfterHours,
            RiskAtBook = outlook.RiskAtBook,
            ExposureAtBook = outlook.ExposureAtBook,
            Valves = outlook.Valves,
            DecidedByHours = outlook.DecidedByHours,
            DecidedByRisk = outlook.DecidedByRisk,
            Voice = outlook.Voice,
            SharedSdMm = outlook.SharedSdMm,
            Visits = [.. outlook.Visits.Select(v => new VisitShiftContent(Guid.Parse(v.Visit), v.ShiftMm, v.StandardErrorMm, v.Odd))],
            EarlyHours = outlook.EarlyHours,
            LateHours = outlook.LateHours,
            DecidedBy = outlook.DecidedBy,
            Side = outlook.Side,
            DeciderMmPer1000h = outlook.Points.FirstOrDefault(p => p.Label == outlook.DecidedBy)?.Wear?.MmPer1000h,
            Findings = [.. outlook.Findings.Select(f => Finding(record.Points.First(p => p.Label == f.Label), f.Standing!.Value))],
            HasFigures = record.Book is not null || record.Points.Any(p => p.Standing is not null),
            Trouble = outlook.Trouble,
            Points = [.. outlook.Points.Select((p, i) => Point(p, record.Points[i], life.Before[i], FanHours(record), outlook))],
        };
    }

    /// <summary>How far ahead a forecast is drawn: an eighth of the life drawn before it, and never less than a season's work.</summary>
    private static double FanHours(EngineRecord record)
    {
        var first = record.Points.SelectMany(p => p.Visits).Select(v => (double)v.Visit.Hours).DefaultIfEmpty(record.HoursNow).Min();
        return Math.Max(600, (record.HoursNow - first) / 8);
    }

    private static FindingContent Finding(PointRecord point, VerdictState state) =>
        new(point.Label, state, point.Standing?.EstimateMm ?? point.Standing?.UpperMm ?? point.Standing?.LowerMm, state == VerdictState.Tight ? point.Spec?.Window.MinMm : point.Spec?.Window.MaxMm);

    private static PointContent Point(PointOutlook outlook, PointRecord record, (double? Mm, double? Hours) before, double fanHours, EngineOutlook engine)
    {
        var (mean, sd) = (outlook.Ahead?.MeanMm(0), outlook.Ahead?.SdMm(0));
        return new PointContent
        {
            Label = outlook.Label,
            MinMm = record.Spec?.Window.MinMm,
            MaxMm = record.Spec?.Window.MaxMm,
            SetMm = record.Spec?.AimMm,
            LastMm = record.Standing?.EstimateMm,
            ExpectedMm = mean,
            ExpectedSdMm = sd,
            ReadingSdMm = sd is { } s ? Math.Sqrt(s * s + engine.ReadingVarianceMm2) : null,
            Standing = outlook.Standing,
            MmPer1000h = outlook.Wear?.MmPer1000h,
            StandardErrorMmPer1000h = outlook.Wear?.StandardErrorMmPer1000h,
            UnlikeSiblings = outlook.UnlikeSiblings,
            FastProbability = outlook.Wear?.FastProbability ?? 0,
            ChangeProbability = outlook.Wear?.ChangeProbability ?? 0,
            ChangedAfterVisit = outlook.Wear?.Changed is { } since ? Guid.Parse(since.Visit) : null,
            ChangedAfterHours = outlook.Wear?.Changed?.Hours,
            LastFoundMm = outlook.Wear?.LastFound?.FoundMm,
            LastExpectedMm = outlook.Wear?.LastFound?.ExpectedMm,
            BeforeMm = before.Mm,
            BeforeHours = before.Hours,
            Dated = outlook.Wear?.IsDated ?? false,
            AimMm = outlook.Aim?.AimMm,
            AimGainHours = outlook.Aim?.EngineGainHours,
            HoursToRisk = outlook.HoursToRisk,
            Side = outlook.Side,
            Shown = outlook.Shown,
            FromHere = outlook.FromHere,
            Fan = outlook.Ahead?.Fan(fanHours) ?? [],
        };
    }
}
