using System.Linq.Expressions;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Hours;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Server.Hours;

/// <summary>
/// Takes figures of hours from anywhere: what fits goes into its meter, what stands already is known, and what cannot be right waits, as it was written,
/// until somebody decides. Inside the write gate, or on a context that keeps nothing for a preview.
/// </summary>
internal sealed class HoursIntake(ZeroDriftContext data, DateOnly today, DateTime now)
{
    private readonly Dictionary<Guid, (EngineRow Engine, List<MeterReadingRow> Readings)> engines = [];
    private Dictionary<string, Guid>? names;

    /// <summary>Takes figures, or says what would become of them.</summary>
    /// <param name="form">Where they come from: round, table, telematics, can.</param>
    /// <param name="figures">The figures.</param>
    /// <param name="who">Who or what brings them.</param>
    /// <param name="engineId">The engine all of them are of, where somebody said so.</param>
    /// <param name="keep">False only says what would become of them.</param>
    public async Task<HoursReport> TakeAsync(string form, IReadOnlyList<ReportedFigure> figures, string? who, Guid? engineId, bool keep)
    {
        var outcomes = new HoursOutcome[figures.Count];
        // Older first, so that a life brought in one file is judged in its own order.
        foreach (var i in Enumerable.Range(0, figures.Count).OrderBy(i => figures[i].Date ?? DateOnly.MaxValue).ThenBy(i => i))
            outcomes[i] = await OneAsync(form, figures[i], who, engineId, keep);
        return new HoursReport(form, outcomes.Count(o => o.Outcome == "taken"), outcomes.Count(o => o.Outcome == "known"), outcomes.Count(o => o.Outcome == "waiting"), outcomes);
    }

    /// <summary>What is said of a figure that waits, by what the meter shows now.</summary>
    public static string Sentence(HoursReportRow row, MeterHistory? history, DateOnly today)
    {
        if (row.Ways is { } ways) return Sentence(new ReportedHours(row.Doubt, null) { Ways = ways }, row.Machine);
        if (row.Doubt is HoursDoubt.Unreadable or HoursDoubt.CutOff or HoursDoubt.UnknownMachine || history is null || row is not { Date: { } date, Hours: { } hours }) return Sentence(new ReportedHours(row.Doubt, row.PerhapsHours), row.Machine);
        var now = ReportedHours.Of(history, date, hours, today);
        return now.Doubt is null ? "It goes on from the figures around it now. Take it, or set it aside." : Sentence(now, row.Machine);
    }

    /// <summary>A figure's own sentence: what speaks against it and what would be right.</summary>
    public static string Sentence(ReportedHours judged, string machine)
    {
        if (judged.Misfit is { } misfit) return $"{misfit.Sentence()} It can be set aside too.";
        return judged.Doubt switch
        {
            HoursDoubt.UnknownMachine => $"No engine of the yard goes by {machine}, its serial number or its machine's registration. Say which one it is, or set it aside.",
            HoursDoubt.FasterThanClock => "No meter shows that many hours. Put it right, or set it aside.",
            HoursDoubt.WrongUnit => $"As hours it cannot be; in another unit it would be {Said.Hours(judged.PerhapsHours ?? 0)}. Take that, or put it right.",
            HoursDoubt.TwoWays => $"It could be {Said.Either(judged.Ways)}. Say which, or set it aside.",
            HoursDoubt.CutOff => "The document ends in the middle; what stood before is taken. Bring it again whole.",
            _ => "There is no figure or no day in it that can be read. Put it right, or set it aside.",
        };
    }

    /// <summary>Puts a figure into a meter.</summary>
    public async Task AddAsync(Guid engineId, MeterReadingRow row)
    {
        data.MeterReadings.Add(row);
        (await EngineAsync(engineId))!.Value.Readings.Add(row);
    }

    private async Task<HoursOutcome> OneAsync(string form, ReportedFigure figure, string? who, Guid? given, bool keep)
    {
        var id = figure.EngineId ?? given ?? await FindAsync(figure.Machine);
        var known = id is { } engineId ? await EngineAsync(engineId) : null;
        // Whoever chose an engine that is not there is told at once; a name in a file may yet be learned.
        if (known is null && figure.EngineId is not null) throw new BadInputException($"readings[{figure.Line - 1}].engineId", "There is no such engine in the yard.");
        if (known is null && given is not null) throw new BadInputException("engineId", "There is no such engine in the yard.");
        var history = known?.Readings.ToHistory();
        if (known is { } meter && figure is { Date: { } on, Hours: { } shows, CutOff: false })
        {
            if (meter.Readings.Exists(m => !m.Withdrawn && (m.Id == figure.Id || (m.Date == on && Math.Abs(m.ShownHours - shows) < 0.005)))) return Outcome("known", null);
            // One figure a day is enough of what a machine sends by itself.
            if (form is "telematics" or "can" && meter.Readings.Exists(m => m is { Withdrawn: false, VisitId: null } && m.Date == on && m.Who == who)) return Outcome("known", null);
        }
        var judged = Judge(figure, history);
        if (judged.Doubt is not null)
        {
            return Outcome("waiting", judged, Sentence(judged, figure.Machine), keep ? await WaitAsync(form, figure, known?.Engine.Id, judged, who) : null);
        }
        var row = new MeterReadingRow { Id = figure.Id ?? Guid.CreateVersion7(), EngineId = known!.Value.Engine.Id, Date = figure.Date!.Value, ShownHours = figure.Hours!.Value, Who = who };
        if (keep) await AddAsync(row.EngineId, row);
        else known.Value.Readings.Add(row);
        return Outcome("taken", null);

        HoursOutcome Outcome(string outcome, ReportedHours? judgement, string? sentence = null, Guid? waiting = null) =>
            new(outcome, figure.Machine, known?.Engine.Id, known?.Engine.Name, figure.Date, figure.Hours, figure.Written, judgement?.Doubt, judgement?.PerhapsHours, sentence, waiting) { Ways = figure.Ways.Count > 1 ? figure.Ways : null };
    }

    private ReportedHours Judge(ReportedFigure figure, MeterHistory? history)
    {
        if (figure.CutOff) return new(HoursDoubt.CutOff, null);
        if (figure.Ways.Count > 1) return new(HoursDoubt.TwoWays, null) { Ways = figure.Ways };
        if (history is null) return new(HoursDoubt.UnknownMachine, null);
        return figure is { Date: { } date, Hours: { } hours } ? ReportedHours.Of(history, date, hours, today) : new(HoursDoubt.Unreadable, null);
    }

    private async Task<Guid> WaitAsync(string form, ReportedFigure figure, Guid? engineId, ReportedHours judged, string? who)
    {
        // A feed that says the same wrong thing every hour waits once.
        // One that could be two keeps both.
        var (hours, perhaps) = figure.Ways is [var first, var second] ? (first, second) : (figure.Hours, judged.PerhapsHours);
        Expression<Func<HoursReportRow, bool>> same = r => r.Source == form && r.Machine == figure.Machine && r.Date == figure.Date && r.Hours == hours && r.Doubt == judged.Doubt;
        if ((data.HoursReports.Local.AsQueryable().FirstOrDefault(same) ?? await data.HoursReports.FirstOrDefaultAsync(same)) is { } stands) return stands.Id;
        var row = new HoursReportRow { Id = figure.Id ?? Guid.CreateVersion7(), Source = form, ReceivedAt = now, Machine = figure.Machine, EngineId = engineId, Date = figure.Date, Hours = hours, Written = figure.Written, Doubt = judged.Doubt!.Value, PerhapsHours = perhaps, Who = who };
        data.HoursReports.Add(row);
        return row.Id;
    }

    /// <summary>Reads the meters of several engines at once.</summary>
    public async Task KnowAsync(IReadOnlyCollection<Guid> ids)
    {
        var rows = await data.Engines.AsNoTracking().Where(e => ids.Contains(e.Id) && e.ArchivedAt == null).ToListAsync();
        var readings = await data.MetersAsync(ids);
        foreach (var engine in rows) engines.TryAdd(engine.Id, (engine, [.. readings[engine.Id]]));
    }

    /// <summary>An engine in use with its meter as it stands now, what was taken before in the same go included; null where there is none.</summary>
    public async Task<(EngineRow Engine, List<MeterReadingRow> Readings)?> EngineAsync(Guid id)
    {
        if (engines.TryGetValue(id, out var known)) return known;
        if (await data.Engines.AsNoTracking().FirstOrDefaultAsync(e => e.Id == id && e.ArchivedAt == null) is not { } engine) return null;
        return engines[id] = (engine, await data.MeterAsync(id));
    }

    private async Task<Guid?> FindAsync(string machine)
    {
        names ??= await NamesAsync();
        return names.TryGetValue(NameKeys.Of(machine), out var id) ? id : null;
    }

    /// <summary>Every name an engine goes by; a name of two engines is nobody's.</summary>
    private async Task<Dictionary<string, Guid>> NamesAsync()
    {
        var rows = await data.Engines.AsNoTracking().Where(e => e.ArchivedAt == null).Select(e => new { e.Id, e.Name, e.SerialNumber, Machine = e.Machine!.Name, e.Machine.Registration }).ToListAsync();
        var all = rows.SelectMany(r => new[] { r.Name, r.SerialNumber, r.Machine, r.Registration }.Where(n => !string.IsNullOrWhiteSpace(n)).Select(n => NameKeys.Of(n!)).Distinct().Select(key => (key, r.Id)));
        var found = all.GroupBy(n => n.key).Where(g => g.Select(n => n.Id).Distinct().Count() == 1).ToDictionary(g => g.Key, g => g.First().Id);
        foreach (var alias in await data.MachineAliases.AsNoTracking().ToListAsync()) found[alias.NameKey] = alias.EngineId;
        return found;
    }
}
