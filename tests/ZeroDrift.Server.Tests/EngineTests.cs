using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

public sealed class EngineTests : IDisposable
{
    private readonly ServerWithFile server = new();

    [Fact]
    public async Task Health_answers_when_the_server_is_ready()
    {
        var response = await server.Client.GetAsync("/health");

        Assert.Equal(HttpStatusCode.OK, response.StatusCode);
    }

    [Fact]
    public async Task An_empty_yard_is_an_empty_list()
    {
        var due = await server.GetAsync("/api/due");

        Assert.Empty(due.GetProperty("engines").EnumerateArray());
        Assert.Empty((await server.GetAsync("/api/visits?open=true")).GetProperty("visits").EnumerateArray());
    }

    [Theory]
    [InlineData("name", """{"name":"","machine":"lorry","site":"Depot","engineTypeId":"ID"}""")]
    [InlineData("machine", """{"name":"A","site":"Depot","engineTypeId":"ID"}""")]
    [InlineData("machine", """{"name":"A","machine":"rocket","site":"Depot","engineTypeId":"ID"}""")]
    [InlineData("site", """{"name":"A","machine":"lorry","engineTypeId":"ID"}""")]
    [InlineData("engineTypeId", """{"name":"A","machine":"lorry","site":"Depot"}""")]
    [InlineData("engineTypeId", """{"name":"A","machine":"lorry","site":"Depot","engineTypeId":"00000000-0000-0000-0000-000000000001"}""")]
    [InlineData("dutyHoursPerDay", """{"name":"A","machine":"lorry","site":"Depot","engineTypeId":"ID","dutyHoursPerDay":30}""")]
    [InlineData("monthlyWeights", """{"name":"A","machine":"lorry","site":"Depot","engineTypeId":"ID","monthlyWeights":[1,2]}""")]
    [InlineData("meterHours", """{"name":"A","machine":"lorry","site":"Depot","engineTypeId":"ID","meterHours":-1}""")]
    public async Task An_engine_that_cannot_be_is_refused_at_its_field(string field, string request)
    {
        var twin = await new TwinEngine(server).AddAsync();

        var (status, body) = await server.PostAsync("/api/engines", request.Replace("ID", twin.TypeId.ToString(), StringComparison.Ordinal));

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotEmpty(body.Sentence(field));
        Assert.Single((await server.GetAsync("/api/due")).GetProperty("engines").EnumerateArray());
    }

    [Fact]
    public async Task Put_away_an_engine_answers_what_it_was_and_comes_back()
    {
        var twin = await new TwinEngine(server).AddAsync("Pump twin");
        var (status, body) = await server.PutAsync($"/api/engines/{twin.EngineId}", new { archived = true, why = "sold" });
        Assert.Equal((HttpStatusCode.OK, true, "Pump twin"), (status, body.GetProperty("archived").GetBoolean(), body.GetProperty("row").GetProperty("name").GetString()));
        Assert.Empty((await server.GetAsync("/api/due")).GetProperty("engines").EnumerateArray());
        (status, body) = await server.PutAsync($"/api/engines/{twin.EngineId}", new { archived = false });
        Assert.Equal((HttpStatusCode.OK, false), (status, body.GetProperty("archived").GetBoolean()));
    }

    [Fact]
    public async Task A_site_of_another_time_zone_takes_engines_and_changes()
    {
        var (made, site) = await server.PostAsync("/api/sites", new { name = "Far Quay", timeZone = "Pacific/Auckland" });
        Assert.Equal(HttpStatusCode.Created, made);
        var twin = await new TwinEngine(server).AddAsync("Pump twin");
        var (status, _) = await server.PostAsync("/api/engines", new { name = "Far pump", machine = "pump", site = "Far Quay", engineTypeId = twin.TypeId, meterHours = 10 });
        Assert.Equal(HttpStatusCode.Created, status);
        (status, _) = await server.PutAsync($"/api/sites/{site.GetProperty("id").GetString()}", new { name = "Farther Quay", timeZone = "America/Lima" });
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Contains((await server.GetAsync("/api/due")).GetProperty("engines").EnumerateArray(), r => r.GetProperty("site").GetString() == "Farther Quay");
    }

    [Fact]
    public async Task A_name_belongs_to_one_engine_whatever_its_letters_case()
    {
        var twin = await new TwinEngine(server).AddAsync("Pump twin");

        var (status, body) = await server.PostAsync("/api/engines", new { name = "PUMP TWIN", machine = "lorry", site = "Depot", engineTypeId = twin.TypeId });

        Assert.Equal(HttpStatusCode.Conflict, status);
        Assert.Contains("already an engine called", body.Sentence("name"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task An_engine_not_opened_yet_says_so_and_has_its_points()
    {
        var twin = await new TwinEngine(server).AddAsync();

        var engine = await server.GetAsync($"/api/engines/{twin.EngineId}");

        Assert.Equal("nothing", engine.GetProperty("row").GetProperty("decides").GetProperty("rule").GetString());
        Assert.False(engine.GetProperty("row").GetProperty("hasFigures").GetBoolean());
        Assert.Equal(["1I", "1E", "2I", "2E"], engine.GetProperty("points").EnumerateArray().Select(p => p.GetProperty("label").GetString()));
    }

    [Fact]
    public async Task An_unknown_engine_or_overhead_is_not_found()
    {
        var missing = Guid.CreateVersion7();

        Assert.Equal(HttpStatusCode.NotFound, (await server.Client.GetAsync($"/api/engines/{missing}")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await server.Client.GetAsync($"/api/visits/{missing}")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await server.Client.GetAsync($"/api/engine-types/{missing}")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await server.Client.GetAsync("/api/engines/not-an-id")).StatusCode);
    }

    [Theory]
    [InlineData("hours", """{"hours":-4}""")]
    [InlineData("hours", """{}""")]
    [InlineData("hours", """{"hours":1e12}""")]
    [InlineData("newMeterShows", """{"hours":100,"newMeterShows":-1}""")]
    [InlineData("date", """{"hours":100,"date":"2999-01-01"}""")]
    [InlineData("date", """{"hours":100,"date":"yesterday"}""")]
    public async Task A_meter_reading_that_cannot_be_is_refused(string field, string request)
    {
        var twin = await new TwinEngine(server).AddAsync();

        var (status, body) = await server.PostAsync($"/api/engines/{twin.EngineId}/meter-readings", request);

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotEmpty(body.Sentence(field));
        Assert.Empty((await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("meter").EnumerateArray());
    }

    [Fact]
    public async Task The_same_meter_reading_sent_twice_is_kept_once()
    {
        var twin = await new TwinEngine(server).AddAsync();
        var reading = new { id = Guid.CreateVersion7(), hours = 120 };

        await server.PostAsync($"/api/engines/{twin.EngineId}/meter-readings", reading);
        var (status, engine) = await server.PostAsync($"/api/engines/{twin.EngineId}/meter-readings", reading);

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Single(engine.GetProperty("meter").EnumerateArray());
    }

    [Fact]
    public async Task The_fleet_sets_its_risk_and_tolerance_and_refuses_nonsense()
    {
        var (good, fleet) = await server.PutAsync("/api/fleet", new { name = "Harbour", risk = 0.1, toleranceTightMm = 0.02, toleranceLooseMm = 0.06, feelSdMm = 0.008, timeZone = "UTC" });
        var (bad, body) = await server.PutAsync("/api/fleet", new { name = "Harbour", risk = 7 });
        var (zone, zoneBody) = await server.PutAsync("/api/fleet", new { name = "Harbour", timeZone = "Nowhere/Land" });

        Assert.Equal((HttpStatusCode.OK, 0.1), (good, fleet.GetProperty("risk").GetDouble()));
        Assert.Equal(0.008, fleet.GetProperty("feelSdMm").GetDouble());
        Assert.Equal((HttpStatusCode.BadRequest, HttpStatusCode.BadRequest), (bad, zone));
        Assert.NotEmpty(body.Sentence("risk"));
        Assert.NotEmpty(zoneBody.Sentence("timeZone"));
        Assert.Equal("Harbour", (await server.GetAsync("/api/due")).GetProperty("fleet").GetString());
    }

    [Fact]
    public async Task A_coarser_feel_stands_behind_every_bladed_figure_of_a_visit_opened_afterwards()
    {
        await server.PutAsync("/api/fleet", new { name = "Harbour", feelSdMm = 0.008 });
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var reading = Guid.CreateVersion7();
        await twin.SendAsync(twin.Entry("tried", new { reading, point = "1I", stage = "asFound", blades = new[] { "0.20" }, unit = "mm", feel = "drag", unproved = true }));
        var visit = await server.GetAsync($"/api/visits/{twin.VisitId}");

        var draft = visit.GetProperty("sheet").GetProperty("points").EnumerateArray().First(p => p.GetProperty("label").GetString() == "1I").GetProperty("foundDraft");
        Assert.Equal(0.008, draft.GetProperty("standardUncertaintyMm").GetDouble(), 9);
    }

    [Fact]
    public async Task A_single_figure_is_judged_with_the_fleets_tolerance_and_says_whose_it_is()
    {
        var id = Guid.CreateVersion7();
        var type = new
        {
            id,
            code = "SF1",
            name = "Single figure",
            firingOrder = "1",
            layout = "I E",
            pitchMm = 1.0,
            method = "perCylinder",
            spec = new { revision = "A", source = "plate", condition = "cold", lines = new[] { new { kind = "intake", single = "8", unit = "thou" }, new { kind = "exhaust", single = "0.30", unit = "mm" } } },
        };

        var (status, body) = await server.PostAsync("/api/engine-types", type);

        Assert.Equal(HttpStatusCode.Created, status);
        var figures = body.GetProperty("revisions")[0].GetProperty("figures").EnumerateArray().ToDictionary(f => f.GetProperty("kind").GetString()!);
        Assert.Equal(0.2032, figures["intake"].GetProperty("setMm").GetDouble(), 9);
        Assert.Equal("8 thou, fleet's tolerance", figures["intake"].GetProperty("written").GetString());
        Assert.Equal((0.275, 0.325), (figures["exhaust"].GetProperty("minMm").GetDouble(), figures["exhaust"].GetProperty("maxMm").GetDouble()));
        Assert.Equal(0.2286, figures["intake"].GetProperty("maxMm").GetDouble(), 9);
    }

    [Fact]
    public async Task The_yard_stands_worst_first()
    {
        using var demo = new ServerWithFile(demo: true);

        var rows = (await demo.GetAsync("/api/due")).GetProperty("engines").EnumerateArray().ToList();

        var findings = rows.Select(r => r.GetProperty("findings").EnumerateArray().Select(f => f.GetProperty("state").GetString()).FirstOrDefault()).ToList();
        Assert.Equal(["tight", "tight", "loose"], findings.Take(3));
        var dates = rows.Skip(3).Select(r => r.GetProperty("decides").GetProperty("date")).Where(d => d.ValueKind != JsonValueKind.Null).Select(d => d.GetString()!).ToList();
        Assert.Equal(dates.Order(StringComparer.Ordinal), dates);
    }

    public void Dispose() => server.Dispose();
}
