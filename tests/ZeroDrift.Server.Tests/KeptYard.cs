using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace ZeroDrift.Server.Tests;

/// <summary>Six pumps of one type, fitted in the background, two shim engines, fitted at once, and one way to do every write of the document to them.</summary>
internal sealed class KeptYard
{
    private static readonly string Today = DateOnly.FromDateTime(DateTime.UtcNow).ToString("yyyy-MM-dd");
    private readonly ServerWithFile server;
    private readonly Random random;
    private readonly Guid pumpType = Guid.CreateVersion7();
    private readonly List<TwinEngine> pumps = [];
    private readonly ShimTwin shims;
    private Guid site, machine, job, away, figure, drawer;
    private int named;
    private double shown = 1200;

    public KeptYard(ServerWithFile server, int seed)
    {
        (this.server, random) = (server, new Random(seed));
        shims = new ShimTwin(server);
        Writes = new SortedDictionary<string, Func<Task<HttpStatusCode>>>(StringComparer.Ordinal)
        {
            ["add-away"] = async () => Of(await server.PostAsync("/api/plan/away", new { machineId = machine, from = Today, to = Today, why = "laid up", laidUp = true }), b => away = b[b.GetArrayLength() - 1].GetProperty("id").GetGuid()),
            ["add-call"] = () => PostAsync($"/api/engines/{Pump.EngineId}/calls", new { symptoms = new[] { "ticking" } }),
            ["add-engine"] = () => PostAsync("/api/engines", new { name = Name("Pump"), machine = "pump", site = "Depot", engineTypeId = pumpType, meterHours = 900, dutyHoursPerDay = 3 }),
            ["add-engine-type"] = () => PostAsync("/api/engine-types", TwinEngine.Type(Guid.CreateVersion7(), Name("TW"))),
            ["add-feel-checks"] = () => PostAsync($"/api/people/{pumps[0].Marit}/feel-checks", new { checks = new[] { new { blade = "0.20", unit = "mm", felt = "drag", gapMm = 0.2 } } }),
            ["add-instrument"] = () => PostAsync("/api/instruments", new { name = Name("Blades"), kind = "bladeSet", unit = "mm", blades = new[] { "0.20", "0.25" } }),
            ["add-job"] = async () => Of(await server.PostAsync("/api/jobs", new { engineId = Pump.EngineId, title = "Overhead", dueDate = Today, hours = 2 }), b => job = b.GetProperty("id").GetGuid()),
            ["add-machine"] = () => PostAsync("/api/machines", new { name = Name("Barge"), kind = "ferry", site = "Quay" }),
            ["add-own-figure"] = async () => Of(await server.PostAsync($"/api/engines/{pumps[1].EngineId}/own-figures", new { line = new { kind = "intake", min = "0.20", max = "0.30", set = "0.25", unit = "mm" }, condition = "cold", who = "Tove", why = "another camshaft", source = "its plate" }), b => figure = b[b.GetArrayLength() - 1].GetProperty("id").GetGuid()),
            ["add-person"] = () => PostAsync("/api/people", new { name = Name("Person") }),
            ["add-revision"] = () => PostAsync($"/api/engine-types/{pumpType}/revisions", new { revision = Name("B"), source = "bulletin", condition = "cold", date = "2016-01-01", lines = new object[] { new { kind = "intake", min = "0.15", max = "0.26", set = "0.20", unit = "mm" }, new { kind = "exhaust", min = "0.35", max = "0.46", set = "0.40", unit = "mm" } } }),
            ["add-shim-drawer"] = () => PostAsync("/api/shim-drawers", new { name = Name("Kit"), site = "Depot", kind = "kit" }),
            ["add-shim-job-event"] = () => PostAsync($"/api/shim-jobs/{Guid.CreateVersion7()}/events", new { kind = "ordered", who = "Tove" }),
            ["add-site"] = async () => Of(await server.PostAsync("/api/sites", new { name = Name("Far Quay"), timeZone = "Pacific/Auckland" }), b => site = b.GetProperty("id").GetGuid()),
            ["ask-hours-feed"] = () => PostAsync("/api/hours/feed/ask", new { }),
            ["change-engine"] = ChangeEngineAsync,
            ["change-engine-type"] = () => PutAsync($"/api/engine-types/{pumpType}", new { bookHours = 800 + random.Next(400), why = "bulletin" }),
            ["change-hours-feed"] = () => PutAsync("/api/hours/feed", new { everyMinutes = 60 }),
            ["change-instrument"] = () => PutAsync($"/api/instruments/{Guid.CreateVersion7()}", new { name = "x" }),
            ["change-job"] = () => PutAsync($"/api/jobs/{job}", new { title = Name("Overhead") }),
            ["change-machine"] = () => PutAsync($"/api/machines/{machine}", new { site = random.Next(2) == 0 ? "Depot" : "Quay", who = "Tove" }),
            ["change-mechanic"] = () => PutAsync($"/api/plan/people/{pumps[0].Marit}", new { weekHours = new[] { 8, 8, 8, 8, 8, 0, 0 } }),
            ["change-person"] = () => PutAsync($"/api/people/{pumps[0].Olav}", new { initials = "OL" }),
            ["change-site"] = () => PutAsync($"/api/sites/{site}", new { timeZone = random.Next(2) == 0 ? "America/Lima" : "Europe/Oslo" }),
            ["check-placement"] = () => PostAsync("/api/plan/check", new { jobId = job, personId = pumps[0].Marit, date = Today }),
            ["check-record-file"] = () => PostAsync("/api/record-files/check", new { }),
            ["close-call"] = CloseCallAsync,
            ["correct-meter-reading"] = CorrectMeterAsync,
            ["count-shims"] = () => PostAsync($"/api/shim-drawers/{drawer}/count", new { lines = Array.Empty<object>(), who = "Tove" }),
            ["decide-shim-job"] = () => PostAsync("/api/shim-jobs", new { }),
            ["decide-waiting-hours"] = DecideAsync,
            ["exchange-entries"] = VisitAsync,
            ["import-hours"] = async () => (await server.PostFileAsync("/api/hours/import", $"engine,date,hours\n{PumpName()},{Today},{More(3):0.#}\n{PumpName()},{Today},1.480\nNobody,{Today},12\n")).Status,
            ["import-logbook"] = async () => (await server.PostFileAsync("/api/logbook/import?goodOnly=true", $"engine,date,engine hours,cylinder,valve,as found,as left,unit,who\n{PumpName()},2024-0{1 + random.Next(9)}-11,{200 + random.Next(300)},1,I,0.1{random.Next(10)},0.20,mm,Tove\n")).Status,
            ["import-type-sheet"] = async () => (await server.PostFileAsync("/api/engine-types/sheet/import", $"code,firing order,intake,exhaust\n{Name("SH")},1-3-4-2,0.20,0.40\n")).Status,
            ["jobs-from-due"] = () => PostAsync("/api/jobs/from-due", new { }),
            ["move-shims"] = () => PostAsync($"/api/shim-drawers/{drawer}/movements", new { kind = "in", access = "underBucket", diameterMm = 9, size = "2.70", count = 1, knownBy = "micrometer", who = "Tove" }),
            ["place-job"] = () => PutAsync($"/api/plan/placements/{job}", new { personId = pumps[0].Marit, date = Today }),
            ["read-manual-excerpt"] = () => PostAsync("/api/engine-types/excerpt", new { text = "Firing order 1-2. Intake 0.25 mm." }),
            ["preview-engine-type"] = () => PostAsync("/api/engine-types/preview", TwinEngine.Type(Guid.CreateVersion7(), "PV")),
            ["preview-hours"] = async () => (await server.PostFileAsync("/api/hours/preview", $"engine,date,hours\n{PumpName()},{Today},2000\n")).Status,
            ["preview-logbook"] = async () => (await server.PostFileAsync("/api/logbook/preview", $"engine,date,engine hours,cylinder,valve,as found,as left,unit,who\n{PumpName()},2024-01-11,300,1,I,0.14,0.20,mm,Tove\n")).Status,
            ["preview-type-sheet"] = async () => (await server.PostFileAsync("/api/engine-types/sheet/preview", "code,firing order,intake,exhaust\nPS,1-3-4-2,0.20,0.40\n")).Status,
            ["publish-plan"] = () => PostAsync("/api/plan/publish", new { who = "Tove" }),
            ["put-blob"] = () => PutAsync($"/api/blobs/{new string('0', 64)}", new { }),
            ["put-fleet"] = () => PutAsync("/api/fleet", new { name = "Test", risk = 0.02 + random.NextDouble() / 10, toleranceTightMm = 0.03 + random.Next(4) / 100.0 }),
            ["put-group"] = () => PutAsync("/api/plan/groups", new { name = "Pumps", mostOut = 1, engineIds = new[] { pumps[0].EngineId } }),
            ["put-road"] = () => PutAsync("/api/plan/roads", new { }),
            ["put-tool"] = () => PutAsync("/api/plan/tools", new { name = "gear", count = 1 }),
            ["read-meter"] = () => PostAsync($"/api/engines/{Pump.EngineId}/meter-readings", new { hours = More(4), date = Today, newMeterShows = random.Next(3) == 0 ? 0 : (double?)null }),
            ["remove-away"] = async () => (await server.SendAsync(HttpMethod.Delete, $"/api/plan/away/{away}", null)).Status,
            ["run-plan"] = () => PostAsync("/api/plan/run?seconds=1", new { }),
            ["shim-bench"] = () => PostAsync("/api/shim-bench", new { }),
            ["stop-plan-run"] = () => PostAsync("/api/plan/run/stop", new { }),
            ["take-job-out"] = async () => (await server.SendAsync(HttpMethod.Delete, $"/api/plan/placements/{job}", null)).Status,
            ["take-round"] = () => PostAsync("/api/hours/round", new { date = Today, who = "Tove", readings = pumps.Take(3).Select(p => new { engineId = p.EngineId, hours = More(1) }) }),
            ["try-due"] = () => PostAsync("/api/due/try", new { risk = 0.1 }),
            ["withdraw-own-figure"] = () => PostAsync($"/api/engines/{pumps[1].EngineId}/own-figures/{figure}/withdraw", new { who = "Tove", why = "the plate was misread" }),
        };
    }

    /// <summary>One way to do each writing operation, by its name in the document.</summary>
    public IReadOnlyDictionary<string, Func<Task<HttpStatusCode>>> Writes { get; }

    /// <summary>Those that something kept of an engine rests on, or might.</summary>
    public static IReadOnlyList<string> Told { get; } =
    [
        "add-away", "add-call", "add-engine", "add-engine-type", "add-job", "add-machine", "add-own-figure", "add-revision", "add-site", "change-engine", "change-engine-type", "change-job", "change-machine", "change-site",
        "close-call", "correct-meter-reading", "decide-waiting-hours", "exchange-entries", "import-hours", "import-logbook", "import-type-sheet", "jobs-from-due", "move-shims", "put-fleet", "read-meter", "remove-away", "take-round", "withdraw-own-figure",
    ];

    public async Task<KeptYard> AddAsync()
    {
        for (var i = 0; i < 6; i++)
        {
            var pump = await new TwinEngine(server) { TypeId = pumpType }.AddAsync($"Pump {i}", TwinEngine.Type(pumpType));
            pumps.Add(pump);
            await SignedAsync(pump, "2026-03-10", 500, "0.20", "0.40");
            await SignedAsync(pump, "2026-07-10", 900, "0.18", $"0.3{6 + i % 3}");
        }
        await shims.AddAsync("2.60", "2.65", "2.70");
        await shims.MeasureAsync();
        await shims.LeaveWaitingAsync("1E", "2I");
        drawer = shims.Kit;
        machine = (await server.GetAsync($"/api/engines/{pumps[2].EngineId}")).GetProperty("row").GetProperty("machineId").GetGuid();
        // What is done out of its turn finds something to be done to.
        foreach (var operation in (string[])["add-site", "add-job", "add-away", "add-own-figure", "import-hours"]) await Writes[operation]();
        return this;
    }

    /// <summary>One of those that are never archived.</summary>
    private TwinEngine Pump => pumps[random.Next(5)];

    private string PumpName() => $"Pump {random.Next(5)}";

    private string Name(string what) => $"{what} {++named}-{random.Next(1000)}";

    private double More(double most) => Math.Round(shown += random.NextDouble() * most, 1);

    private async Task<HttpStatusCode> PostAsync(string path, object body) => (await server.PostAsync(path, body)).Status;

    private async Task<HttpStatusCode> PutAsync(string path, object body) => (await server.PutAsync(path, body)).Status;

    private static HttpStatusCode Of((HttpStatusCode Status, JsonElement Body) answer, Action<JsonElement> look)
    {
        if (answer.Status is HttpStatusCode.OK or HttpStatusCode.Created) look(answer.Body);
        return answer.Status;
    }

    private static async Task SignedAsync(TwinEngine pump, string date, double hours, string intake, string exhaust)
    {
        await pump.OpenAsync(hours, date: date);
        await pump.MeasureAllAsync(intake, exhaust);
        await pump.SignAsync();
    }

    /// <summary>Type put right, moved to another machine, use, archived and taken back: one or another.</summary>
    private async Task<HttpStatusCode> ChangeEngineAsync()
    {
        var pump = pumps[^1];
        return random.Next(4) switch
        {
            0 => await PutAsync($"/api/engines/{pump.EngineId}", new { engineTypeId = random.Next(2) == 0 ? shims.Engine.TypeId : pumpType, why = "the plate says so", archived = false }),
            1 => await PutAsync($"/api/engines/{pump.EngineId}", new { machineId = machine, why = "moved", archived = false }),
            2 => await PutAsync($"/api/engines/{pump.EngineId}", new { archived = true, why = "sold" }),
            _ => await PutAsync($"/api/engines/{Pump.EngineId}", new { dutyHoursPerDay = 1 + random.Next(10), why = "another route", archived = false }),
        };
    }

    /// <summary>A visit opened, marked, measured and signed; or a correction, a late figure or a given-up one.</summary>
    private async Task<HttpStatusCode> VisitAsync()
    {
        var pump = pumps[random.Next(5)];
        pump.Anew();
        var opened = pump.Opened(More(2), date: Today);
        opened["job"] = random.Next(2) == 0 ? "overhead" : "spotCheck";
        var (status, body) = await pump.SendAsync(opened, pump.Entry("marked", new { name = "chalk", crankDeg = random.Next(360) }));
        if (body.GetProperty("outcomes")[0].GetProperty("outcome").GetString() != "taken") return (HttpStatusCode)422;
        var found = pump.Figure("1E", $"0.3{random.Next(3, 9)}");
        List<JsonObject> entries = [.. (await pump.ViewAsync()).GetProperty("context").GetProperty("steps").EnumerateArray().Select(s => pump.Entry("ticked", new { step = s.GetProperty("step").GetString(), on = true })), pump.Entry("conditionStated", new { condition = "cold", engineTemperatureC = 15 }), .. found, .. pump.Figure("1I", "0.19"), .. pump.Figure("2I", "0.21"), .. pump.Figure("2E", "0.41"), .. pump.Figure("1E", "0.40", "asLeft")];
        await pump.SendAsync([.. entries]);
        if (random.Next(5) == 0) return (await pump.SendAsync(pump.Entry("abandoned", new { why = "called away" }))).Status;
        await pump.SendAsync(pump.Entry("signed"));
        var first = opened["id"]!.GetValue<string>();
        if (random.Next(2) == 0) await pump.SendAsync(pump.Entry("corrected", new { entry = found[0]["id"]!.GetValue<string>(), why = "misread", fields = new { figure = "0.34" } }));
        if (random.Next(2) == 0) await pump.SendAsync(pump.Entry("corrected", new { entry = first, why = "misread", fields = new { shownHours = shown + 1 } }));
        if (random.Next(2) == 0) await pump.SendAsync(pump.Figure("2E", "0.42", "asLeft"));
        return status;
    }

    private async Task<HttpStatusCode> CorrectMeterAsync()
    {
        var pump = Pump;
        var reading = (await server.GetAsync($"/api/engines/{pump.EngineId}")).GetProperty("meter").EnumerateArray().FirstOrDefault(m => !m.GetProperty("withdrawn").GetBoolean() && m.GetProperty("visitId").ValueKind == JsonValueKind.Null);
        if (reading.ValueKind == JsonValueKind.Undefined)
        {
            await server.PostAsync($"/api/engines/{pump.EngineId}/meter-readings", new { hours = More(2), date = Today });
            reading = (await server.GetAsync($"/api/engines/{pump.EngineId}")).GetProperty("meter").EnumerateArray().First(m => !m.GetProperty("withdrawn").GetBoolean());
        }
        return await PutAsync($"/api/engines/{pump.EngineId}/meter-readings/{reading.GetProperty("id").GetGuid()}", new { hours = random.Next(3) == 0 ? (double?)null : reading.GetProperty("shownHours").GetDouble() - 0.5, why = "misread", who = "Tove" });
    }

    private async Task<HttpStatusCode> CloseCallAsync()
    {
        foreach (var pump in pumps)
            if ((await server.GetAsync("/api/due")).GetProperty("engines").EnumerateArray().FirstOrDefault(e => e.GetProperty("calls").GetArrayLength() > 0) is { ValueKind: JsonValueKind.Object } row)
                return await PostAsync($"/api/calls/{row.GetProperty("calls")[0].GetProperty("id").GetGuid()}/close", new { who = "Tove", why = "a loose bracket" });
        return HttpStatusCode.NotFound;
    }

    private async Task<HttpStatusCode> DecideAsync()
    {
        var figures = (await server.GetAsync("/api/hours/waiting")).EnumerateArray().ToList();
        if (figures.Count == 0) return HttpStatusCode.NotFound;
        var either = figures.Find(f => f.GetProperty("doubt").GetString() == "twoWays");
        return either.ValueKind == JsonValueKind.Object
            ? await PostAsync($"/api/hours/waiting/{either.GetProperty("id").GetGuid()}/decision", new { decision = "take", hours = either.GetProperty("ways")[1].GetDouble(), who = "Tove" })
            : await PostAsync($"/api/hours/waiting/{figures[0].GetProperty("id").GetGuid()}/decision", new { decision = "setAside", why = "nobody knows it", who = "Tove" });
    }
}
