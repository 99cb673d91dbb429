using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Server.Tests;

/// <summary>What a mechanic is told after several tries, what blades say as gates, and the ways out, over the contract; the numbers are the contract's own.</summary>
public sealed class AttemptContractTests : IDisposable
{
    private const string Screw = """{"kind":"screw","pitchMm":1.0,"clearancePerTravel":1.0,"clockwiseCloses":true}""";
    private const string Gap = """{"kind":"gap","minMm":0.15,"maxMm":0.25,"setMm":0.20}""";
    private readonly ServerWithFile server = new();

    [Theory]
    [InlineData("""{"meanMm":0.02,"sdMm":0.01,"n":9}""", 0.2267, 0.0267)]
    [InlineData("null", 0.26, 0.06)]
    public async Task A_lock_that_missed_is_set_again_by_what_this_nut_and_this_hand_take(string creep, double leave, double turns)
    {
        var advice = await AskAsync("advice", $$$"""{"adjuster":{{{Screw}}},"demand":{{{Gap}}},"creep":{{{creep}}},"attempts":[{"stage":"asFound","reading":{"estimateMm":0.31}},{"stage":"beforeLock","reading":{"estimateMm":0.20}},{"stage":"locked","reading":{"estimateMm":0.14}}]}""");

        Assert.Equal(("turn", "anticlockwise"), (advice.GetProperty("action").GetString(), advice.GetProperty("turn").GetProperty("direction").GetString()));
        Assert.Equal(leave, advice.GetProperty("leaveMm").GetDouble(), 4);
        Assert.Equal(turns, advice.GetProperty("turn").GetProperty("turns").GetDouble(), 4);
    }

    [Fact]
    public async Task One_reading_and_one_attempt_answer_alike_and_both_together_are_refused()
    {
        var one = await AskAsync("advice", $$$"""{"adjuster":{{{Screw}}},"demand":{{{Gap}}},"reading":{"estimateMm":0.31}}""");
        var list = await AskAsync("advice", $$$"""{"adjuster":{{{Screw}}},"demand":{{{Gap}}},"attempts":[{"stage":"asFound","reading":{"estimateMm":0.31}}]}""");
        Assert.Equal(one.ToString(), list.ToString());
        Assert.Equal(HttpStatusCode.BadRequest, (await PostAsync("advice", $$$"""{"adjuster":{{{Screw}}},"demand":{{{Gap}}},"reading":{"estimateMm":0.31},"attempts":[{"stage":"asFound","reading":{"estimateMm":0.31}}]}""")).Status);
    }

    [Theory]
    [InlineData(0.178, "drag", 0.229, "noGo", "inWindow", "touch")]
    [InlineData(0.178, "free", 0.229, "noGo", "inWindow", "bounds")]
    [InlineData(0.178, "free", 0.229, "drag", "loose", "touch")]
    [InlineData(0.178, "noGo", 0.229, "noGo", "tight", "bounds")]
    public async Task The_go_blade_must_enter_and_the_no_go_blade_must_not(double go, string goFeels, double noGo, string noGoFeels, string state, string because)
    {
        var judged = await AskAsync("judge", string.Create(System.Globalization.CultureInfo.InvariantCulture, $$$"""{"trials":[{"bladesMm":[{{{go}}}],"feel":"{{{goFeels}}}"},{"bladesMm":[{{{noGo}}}],"feel":"{{{noGoFeels}}}"}],"demand":{"goMm":0.178,"noGoMm":0.229,"setMm":0.2},"unit":"mm"}"""));
        Assert.Equal((state, because, 0.2), (judged.GetProperty("state").GetString(), judged.GetProperty("because").GetString(), judged.GetProperty("window").GetProperty("setMm").GetDouble()));
    }

    [Fact]
    public async Task Where_nothing_fits_a_puck_is_lapped_by_a_hundredth_at_most_and_the_tip_loses_just_enough()
    {
        var advice = await AskAsync("advice", """{"adjuster":{"kind":"shim","fittedMm":2.60,"sizesMm":[2.60,2.65],"access":"puck"},"demand":{"kind":"gap","minMm":0.15,"maxMm":0.25,"setMm":0.20},"reading":{"estimateMm":0.08}}""");
        var ways = advice.GetProperty("ways").EnumerateArray().ToDictionary(w => w.GetProperty("way").GetString()!);

        Assert.False(ways.ContainsKey("lapShim"));
        Assert.Equal((0.07, 0.15), (Math.Round(ways["cutStem"].GetProperty("cutMm").GetDouble(), 9), Math.Round(ways["cutStem"].GetProperty("predictedMm").GetDouble(), 9)));
        Assert.Equal("leaveSo", advice.GetProperty("ways").EnumerateArray().Last().GetProperty("way").GetString());
    }

    [Fact]
    public async Task A_failed_lock_stands_in_the_view_and_the_advice_follows_it()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        await twin.TakeAsync([.. twin.Figure("1I", "0.31"), .. twin.Figure("1I", "0.20", "beforeLock"), .. twin.Figure("1I", "0.12", "asLeft"), twin.Entry("turned", new { point = "1I", turns = 0.08, direction = "anticlockwise", nut = "loose" })]);

        var point = await twin.PointAsync("1I");
        Assert.Equal([0.20, 0.12], point.GetProperty("attempts").EnumerateArray().Select(a => a.GetProperty("estimateMm").GetDouble()));
        Assert.Equal(JsonValueKind.Null, point.GetProperty("left").ValueKind);
        var sheet = await twin.SheetAsync("1I");
        Assert.Equal(("beforeLock", "This nut closed it by 0.08 mm."), (sheet.GetProperty("stage").GetString(), sheet.GetProperty("nutSaid").GetString()));
        // Done is not told again: it is measured first.
        Assert.StartsWith("Turned.", sheet.GetProperty("turned").GetString(), StringComparison.Ordinal);
        Assert.Contains("anticlockwise", sheet.GetProperty("advice").GetProperty("sentence").GetString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task What_waits_from_a_spot_check_is_gone_on_with_over_a_visit_between()
    {
        var twin = await new TwinEngine(server).AddAsync();
        await twin.OpenAsync(1000, "spotCheck", "2026-11-01");
        await twin.TakeAsync([.. twin.Figure("1E", "0.50"), twin.Entry("outcome", new { point = "1E", outcome = "awaiting", why = "screw on order" })]);
        await twin.SignAsync();
        var spot = twin.VisitId;
        await twin.OpenAsync(1010, "spotCheck", "2026-11-05");
        await twin.TakeAsync(twin.Figure("2I", "0.20"));
        await twin.SignAsync();

        var waits = (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("waiting");
        Assert.Equal((spot, "1E", "spotCheck"), (waits[0].GetProperty("visitId").GetGuid(), waits[0].GetProperty("points")[0].GetString(), waits[0].GetProperty("job").GetString()));
        await server.PostAsync("/api/jobs", new { engineId = twin.EngineId, title = "Oil leak", opens = true });
        Assert.Equal("1E", (await JobAsync(twin)).GetProperty("waiting")[0].GetProperty("points")[0].GetString());
        twin.Anew();
        var opened = twin.Opened(1020, date: "2026-11-20");
        opened["continues"] = spot.ToString();
        await twin.TakeAsync(opened);
        var steps = (await twin.ViewAsync()).GetProperty("sheet").GetProperty("steps").EnumerateArray().Where(s => s.GetProperty("asked").GetBoolean()).Select(s => s.GetProperty("step").GetString()!).ToList();
        await twin.TakeAsync([.. steps.Select(step => twin.Entry("ticked", new { step, on = true })), twin.Entry("conditionStated", new { condition = "cold" }), .. twin.Figure("1E", "0.40", "asLeft"), twin.Entry("outcome", new { point = "1E", outcome = "set" })]);
        await twin.SignAsync();

        var engine = await server.GetAsync($"/api/engines/{twin.EngineId}");
        Assert.Empty(engine.GetProperty("waiting").EnumerateArray());
        Assert.Empty((await JobAsync(twin)).GetProperty("waiting").EnumerateArray());
    }

    private async Task<JsonElement> JobAsync(TwinEngine twin) => (await server.GetAsync("/api/jobs")).EnumerateArray().First(j => j.GetProperty("engineId").GetGuid() == twin.EngineId && j.GetProperty("title").GetString() == "Oil leak");

    [Fact]
    public async Task A_place_is_chosen_at_the_opening_and_not_here_answers_with_a_reason()
    {
        var twin = await new TwinEngine(server).AddAsync();
        twin.Anew();
        var opened = twin.Opened(job: "build");
        opened["place"] = "onStand";
        opened.Remove("shownHours");
        await twin.TakeAsync(opened);
        var view = await twin.ViewAsync();
        Assert.Equal(("onStand", false), (view.GetProperty("place").GetString(), view.GetProperty("sheet").GetProperty("steps").EnumerateArray().Any(s => s.GetProperty("step").GetString() == "battery")));
        await twin.TakeAsync(twin.Entry("ticked", new { step = "drains", on = true, notHere = true, why = "it has none" }));
        Assert.Equal("it has none", (await twin.ViewAsync()).GetProperty("notHere")[0].GetProperty("why").GetString());
        Assert.Equal("malformed", (await twin.OneAsync(twin.Entry("ticked", new { step = "tools", on = false, notHere = true }))).GetProperty("problem").GetProperty("code").GetString());
    }

    [Fact]
    public async Task Every_kind_of_entry_the_core_knows_is_in_the_documents_union_and_is_read()
    {
        var document = await server.GetAsync("/openapi/v1.json");
        var mapped = document.GetProperty("components").GetProperty("schemas").GetProperty("EntryRequest").GetProperty("discriminator").GetProperty("mapping").EnumerateObject().Select(m => m.Name).Order(StringComparer.Ordinal);
        Assert.Equal(EntryKind.All.Order(StringComparer.Ordinal), mapped);
        foreach (var kind in EntryKind.All)
        {
            var bare = JsonSerializer.SerializeToElement(new { id = Guid.NewGuid(), at = "2026-11-20T08:00:00Z", by = Guid.NewGuid(), kind });
            if (Record.Exception(() => EntryReader.Read(bare)) is Core.BadInputException refused) Assert.NotEqual("kind", refused.Field);
        }
    }

    public void Dispose() => server.Dispose();

    private async Task<JsonElement> AskAsync(string call, string request)
    {
        var (status, body) = await PostAsync(call, request);
        Assert.True(status == HttpStatusCode.OK, body.ToString());
        return body;
    }

    private Task<(HttpStatusCode Status, JsonElement Body)> PostAsync(string call, string request) => server.PostAsync($"/api/calc/{call}", JsonNode.Parse(request)!);
}
