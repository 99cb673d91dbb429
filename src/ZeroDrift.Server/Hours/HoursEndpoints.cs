using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Sheets;

namespace ZeroDrift.Server.Hours;

/// <summary>Hours from a round, a file or a feed, and the figures that wait for somebody to decide.</summary>
internal static class HoursEndpoints
{
    /// <summary>What a file tells of its own kind is no matter: it is looked into.</summary>
    private static readonly string[] AlsoTaken = ["text/csv", "text/plain", "text/xml", "application/xml", "application/json", Spreadsheet.MediaType];

    public static void MapHours(this IEndpointRouteBuilder api)
    {
        var hours = api.MapGroup("/hours").WithTags("Hours");
        hours.MapGet("/round", Round).WithName("get-round");
        hours.MapPost("/round", TakeRound).WithName("take-round").Refuses(400, 503);
        hours.MapPost("/preview", Preview).WithName("preview-hours").Accepts<string>("application/octet-stream", AlsoTaken).Produces<HoursReport>().Refuses(400, 415);
        hours.MapPost("/import", Import).WithName("import-hours").Accepts<string>("application/octet-stream", AlsoTaken).Produces<HoursReport>().Refuses(400, 415, 503);
        hours.MapGet("/waiting", Waiting).WithName("list-waiting-hours");
        hours.MapPost("/waiting/{id:guid}/decision", Decide).WithName("decide-waiting-hours").Refuses(400, 404, 409, 503);
        hours.MapGet("/feed", Feed).WithName("get-hours-feed");
        hours.MapPut("/feed", ChangeFeed).WithName("change-hours-feed").Refuses(400, 503);
        hours.MapPost("/feed/ask", Ask).WithName("ask-hours-feed").Refuses(503);
    }

    /// <summary>Every engine in use with what its meter showed last and about what it should show now, the one read longest ago first, then as a round walks: site, machine.</summary>
    public static async Task<IReadOnlyList<RoundLine>> Round(ZeroDriftContext data, FleetDay day, CancellationToken cancelled)
    {
        var today = day.Today;
        var rows = await data.Engines.AsNoTracking().Where(e => e.ArchivedAt == null).OrderBy(e => e.Machine!.Site!.Name).ThenBy(e => e.Machine!.Name).ThenBy(e => e.Name)
            .Select(e => new { e.Id, e.Name, Machine = e.Machine!.Name, Site = e.Machine.Site!.Name, Outlook = data.Outlooks.First(o => o.EngineId == e.Id).Content }).ToListAsync(cancelled);
        return [.. rows.Select(r => (Row: r, Kept: OutlookContent.Of(r.Outlook))).OrderBy(r => r.Kept.ReadOn ?? DateOnly.MinValue).Select(r =>
            new RoundLine(r.Row.Id, r.Row.Name, r.Row.Machine, r.Row.Site, r.Kept.ReadHours - r.Kept.MeterOffset, r.Kept.ReadOn, r.Kept.Usage.HoursPerDay, r.Kept.Run()?.At(today) - r.Kept.MeterOffset))];
    }

    public static async Task<HoursReport> TakeRound(RoundRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        var date = request.Date ?? day.Today;
        var who = Given.OptionalText(request.Who, "who", "who walked the round", 80);
        var figures = Given.List(request.Readings, "readings", "what the meters show", 5000).Select((r, i) =>
        {
            var hours = Given.Number(r.Hours, $"readings[{i}].hours", "what the meter shows");
            return new ReportedFigure("", date, hours, hours.ToString(System.Globalization.CultureInfo.InvariantCulture), i + 1) { EngineId = r.EngineId ?? throw new BadInputException($"readings[{i}].engineId", "Say whose meter it is."), Id = Given.NewId(r.Id) };
        }).ToList();
        return await TakeAsync("round", figures, who, null, gate, day, cancelled);
    }

    /// <summary>What would become of a file; nothing is kept.</summary>
    public static async Task<HoursReport> Preview(HttpRequest request, ZeroDriftContext data, FleetDay day, CancellationToken cancelled, Guid? engineId = null)
    {
        var file = HoursFile.Read(await UploadedFile.ReadAsync(request), day.Today);
        return await new HoursIntake(data, day.Today, day.Now).TakeAsync(file.Form, file.Figures, null, engineId, false);
    }

    public static async Task<HoursReport> Import(HttpRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled, Guid? engineId = null, string? who = null)
    {
        var file = HoursFile.Read(await UploadedFile.ReadAsync(request), day.Today);
        return await TakeAsync(file.Form, file.Figures, Given.OptionalText(who, "who", "who brings the file", 80) ?? $"a file ({file.Form})", engineId, gate, day, cancelled);
    }

    public static async Task<IReadOnlyList<WaitingFigure>> Waiting(ZeroDriftContext data, FleetDay day, CancellationToken cancelled)
    {
        var intake = new HoursIntake(data, day.Today, day.Now);
        var waiting = new List<WaitingFigure>();
        var rows = await data.HoursReports.AsNoTracking().Where(r => r.State == WaitingState.Waiting).OrderBy(r => r.ReceivedAt).ThenBy(r => r.Machine).Take(500).ToListAsync(cancelled);
        await intake.KnowAsync([.. rows.Select(r => r.EngineId).OfType<Guid>()]);
        foreach (var row in rows)
        {
            var engine = row.EngineId is { } id ? await intake.EngineAsync(id) : null;
            var history = engine?.Readings.ToHistory();
            waiting.Add(new WaitingFigure
            {
                Id = row.Id,
                Source = row.Source,
                ReceivedAt = row.ReceivedAt,
                Machine = row.Machine,
                EngineId = row.EngineId,
                Engine = engine?.Engine.Name,
                Date = row.Date,
                Hours = row.Ways is null ? row.Hours : null,
                Written = row.Written,
                Doubt = row.Doubt,
                PerhapsHours = row.Ways is null ? row.PerhapsHours : null,
                Ways = row.Ways,
                Sentence = HoursIntake.Sentence(row, history, day.Today),
                LastHours = history?.Last?.EndsAt,
                LastDate = history?.Last?.Date,
            });
        }
        return waiting;
    }

    public static async Task<DecisionResponse> Decide(Guid id, DecisionRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        return await gate.RunAsync(async data =>
        {
            var row = await data.HoursReports.FirstOrDefaultAsync(r => r.Id == id) ?? throw new NotFoundException("There is no such figure.");
            if (row.State != WaitingState.Waiting) throw new ConflictException("changedMeanwhile", "decision", $"That is decided already{(row.DecidedBy is { } by ? $", by {by}" : "")}.");
            var intake = new HoursIntake(data, day.Today, day.Now);
            var decision = request.Decision ?? throw new BadInputException("decision", "Say take, meterReplaced or setAside.");
            if (decision == "setAside") row.Why = Given.Text(request.Why, "why", "why it is set aside", 500);
            else await HoursDecision.TakeAsync(data, intake, row, request, decision, day.Today);
            (row.State, row.DecidedAt, row.DecidedBy) = (decision == "setAside" ? WaitingState.SetAside : WaitingState.Taken, day.Now, Given.OptionalText(request.Who, "who", "who decides", 80));
            return new DecisionResponse(row.State, row.EngineId);
        }, cancelled);
    }

    public static async Task<FeedResponse> Feed(ZeroDriftContext data, CancellationToken cancelled) => Response(await data.HoursFeeds.AsNoTracking().SingleOrDefaultAsync(cancelled) ?? new HoursFeedRow());

    public static async Task<FeedResponse> ChangeFeed(FeedSettings request, WriteGate gate, CancellationToken cancelled)
    {
        var address = Given.OptionalText(request.Address, "address", "where the hours are asked from", 500);
        if (address is not null && (!Uri.TryCreate(address, UriKind.Absolute, out var uri) || uri.Scheme is not ("http" or "https"))) throw new BadInputException("address", "Give the whole address, such as https://example.org/fleet.xml.");
        var every = request.EveryMinutes ?? 60;
        if (every is < 5 or > 10_080) throw new BadInputException("everyMinutes", "Ask every 5 to 10080 minutes.");
        return await gate.RunAsync(async data =>
        {
            var row = await data.HoursFeeds.SingleOrDefaultAsync();
            if (row is null) data.HoursFeeds.Add(row = new HoursFeedRow());
            (row.Address, row.EveryMinutes) = (address, every);
            return Response(row);
        }, cancelled);
    }

    /// <summary>Asks the address now.</summary>
    public static async Task<FeedResponse> Ask(HoursFeed feed, ZeroDriftContext data, CancellationToken cancelled)
    {
        await feed.AskAsync(cancelled);
        return await Feed(data, cancelled);
    }

    internal static Task<HoursReport> TakeAsync(string form, IReadOnlyList<ReportedFigure> figures, string? who, Guid? engineId, WriteGate gate, FleetDay day, CancellationToken cancelled) =>
        gate.RunAsync(data => new HoursIntake(data, day.Today, day.Now).TakeAsync(form, figures, who, engineId, true), cancelled);

    private static FeedResponse Response(HoursFeedRow row) => new(row.Address, row.EveryMinutes, row.AskedAt, row.AnsweredAt, row.Said);
}
