using System.Net;
using System.Text.Json.Nodes;

namespace ZeroDrift.Server.Tests;

/// <summary>The exchange between a tablet and the server.</summary>
public sealed class ExchangeTests : IDisposable
{
    private readonly ServerWithFile server = new();

    [Fact]
    public async Task An_overhead_from_opening_to_signature_makes_the_book_clock_start_again()
    {
        // Signed today: nothing has run since.
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync(1000, date: $"{DateTime.UtcNow:yyyy-MM-dd}");
        await twin.MeasureAllAsync(exhaust: "0.30");
        Assert.Equal("Open it 36°, a bit under 1/8 turn, anticlockwise.", (await twin.SheetAsync("1E")).GetProperty("advice").GetProperty("sentence").GetString());
        var refused = await twin.OneAsync(twin.Entry("signed"));
        Assert.Equal(("refused", "leftMissing"), (refused.GetProperty("outcome").GetString(), refused.GetProperty("problem").GetProperty("code").GetString()));
        Assert.Equal(["1E", "2E"], refused.GetProperty("problem").GetProperty("points").EnumerateArray().Select(p => p.GetString()));

        await twin.TakeAsync(twin.Figure("1E", "0.40", "asLeft"));
        await twin.TakeAsync(twin.Figure("2E", "0.39", "asLeft"));
        await twin.SignAsync();

        var row = (await server.GetAsync("/api/due")).GetProperty("engines")[0];
        Assert.Equal(("bookHours", 1000.0), (row.GetProperty("decides").GetProperty("rule").GetString(), row.GetProperty("decides").GetProperty("hours").GetDouble()));
        var ledger = (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("ledger")[0];
        Assert.Equal((2, 2, "1E"), (ledger.GetProperty("outAsFound").GetInt32(), ledger.GetProperty("setCount").GetInt32(), ledger.GetProperty("tightest").GetString()));
    }

    [Fact]
    public async Task Everything_is_still_there_after_a_restart_in_the_middle_of_a_reading()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var reading = Guid.CreateVersion7();
        await twin.TakeAsync(twin.Entry("positionProved", new { crankDeg = 0 }), twin.Entry("tried", new { reading, point = "1I", stage = "asFound", blades = new[] { "0.20" }, unit = "mm", feel = "free" }));

        server.Restart();

        var draft = (await twin.SheetAsync("1I")).GetProperty("foundDraft");
        Assert.Equal(reading, draft.GetProperty("id").GetGuid());
        Assert.Equal("0.20", draft.GetProperty("tries")[0].GetProperty("blades")[0].GetString());
        Assert.Equal("measure", (await twin.ViewAsync()).GetProperty("next").GetProperty("do").GetString());
    }

    [Fact]
    public async Task The_same_entry_again_is_known_and_other_content_under_its_id_differs()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var note = twin.Entry("noted", new { text = "Cover gasket renewed." });
        var sequence = (await twin.OneAsync(note)).GetProperty("sequence").GetInt32();

        var again = await twin.OneAsync(note);
        note["text"] = "Something else.";
        var other = await twin.OneAsync(note);

        Assert.Equal(("known", sequence), (again.GetProperty("outcome").GetString(), again.GetProperty("sequence").GetInt32()));
        Assert.Equal("differs", other.GetProperty("problem").GetProperty("code").GetString());
    }

    [Fact]
    public async Task A_visit_nobody_opened_is_not_found_and_a_batch_may_open_it()
    {
        var twin = await new TwinEngine(server).AddAsync();
        var (missing, body) = await twin.SendAsync(twin.Entry("noted", new { text = "?" }));
        Assert.Equal((HttpStatusCode.NotFound, "notOpened"), (missing, body.GetProperty("code").GetString()));
        Assert.Equal(HttpStatusCode.NotFound, (await server.Client.GetAsync($"/api/visits/{twin.VisitId}")).StatusCode);

        var (status, answer) = await twin.SendAsync(twin.Opened(), twin.Entry("ticked", new { step = "battery", on = true }), twin.Entry("ticked", new { step = "no such", on = true }), twin.Entry("noted", new { text = "after it" }));

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(["taken", "taken", "refused", "taken"], answer.GetProperty("outcomes").EnumerateArray().Select(o => o.GetProperty("outcome").GetString()));
        Assert.Equal(3, answer.GetProperty("head").GetInt32());
        var refused = (await twin.ViewAsync()).GetProperty("refused")[0];
        Assert.Equal(("ticked", "stepUnknown"), (refused.GetProperty("kind").GetString(), refused.GetProperty("code").GetString()));
    }

    [Fact]
    public async Task Others_entries_come_back_by_sequence()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var head = (await twin.ViewAsync()).GetProperty("head").GetInt32();
        await twin.TakeAsync(twin.Entry("noted", new { text = "from the other tablet" }));

        var mine = twin.Entry("noted", new { text = "mine" });
        var (_, answer) = await server.PostAsync($"/api/visits/{twin.VisitId}/entries", new JsonObject { ["after"] = head, ["entries"] = new JsonArray(mine) });
        var listed = await server.GetAsync($"/api/visits/{twin.VisitId}/entries?after={head}");

        Assert.Equal("from the other tablet", Assert.Single(answer.GetProperty("entries").EnumerateArray()).GetProperty("text").GetString());
        Assert.Equal([head + 1, head + 2], listed.GetProperty("entries").EnumerateArray().Select(e => e.GetProperty("sequence").GetInt32()));
        Assert.True(listed.GetProperty("entries")[0].TryGetProperty("receivedAt", out _));
    }

    [Fact]
    public async Task One_engine_is_open_once_and_the_second_is_told_which_visit_stands()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var first = twin.VisitId;

        var (status, answer) = await twin.SendToAsync(Guid.CreateVersion7(), twin.Opened());

        Assert.Equal(HttpStatusCode.OK, status);
        var problem = answer.GetProperty("outcomes")[0].GetProperty("problem");
        Assert.Equal(("engineOpen", first), (problem.GetProperty("code").GetString(), problem.GetProperty("visitId").GetGuid()));
        Assert.Single((await server.GetAsync($"/api/visits?open=true&engineId={twin.EngineId}")).GetProperty("visits").EnumerateArray());
        await twin.TakeAsync(twin.Entry("abandoned", new { why = "called away" }));
        Assert.Empty((await server.GetAsync("/api/visits?open=true")).GetProperty("visits").EnumerateArray());
    }

    [Theory]
    [InlineData("after", """{"after":-1,"entries":[{"id":"ID","kind":"noted"}]}""")]
    [InlineData("entries", """{"after":0,"entries":[]}""")]
    [InlineData("entries", """{"after":0}""")]
    [InlineData("entries[0]", """{"after":0,"entries":[null]}""")]
    [InlineData("entries[0]", """{"after":0,"entries":[7]}""")]
    [InlineData("entries[0].id", """{"after":0,"entries":[{"kind":"noted"}]}""")]
    [InlineData("entries[0].id", """{"after":0,"entries":[{"id":"00000000-0000-0000-0000-000000000000","kind":"noted"}]}""")]
    [InlineData("entries[1].kind", """{"after":0,"entries":[{"id":"ID","kind":"noted","text":"a"},{"id":"ID"}]}""")]
    [InlineData("body", """[1,2]""")]
    [InlineData("body", """{"after":0,""")]
    public async Task An_envelope_that_cannot_be_takes_nothing(string field, string request)
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var head = (await twin.ViewAsync()).GetProperty("head").GetInt32();

        var (status, body) = await server.PostAsync($"/api/visits/{twin.VisitId}/entries", request.Replace("ID", Guid.CreateVersion7().ToString(), StringComparison.Ordinal));

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotEmpty(body.Sentence(field));
        Assert.Equal(head, (await twin.ViewAsync()).GetProperty("head").GetInt32());
    }

    [Theory]
    [InlineData("kind", """{"kind":"dance"}""")]
    [InlineData("step", """{"kind":"ticked","on":true}""")]
    [InlineData("on", """{"kind":"ticked","step":"battery","on":"yes"}""")]
    [InlineData("condition", """{"kind":"conditionStated","condition":"tepid"}""")]
    [InlineData("engineTemperatureC", """{"kind":"conditionStated","condition":"cold","engineTemperatureC":900}""")]
    [InlineData("crankDeg", """{"kind":"barredTo","crankDeg":"up"}""")]
    [InlineData("crankDeg", """{"kind":"positionProved"}""")]
    [InlineData("blades", """{"kind":"tried","reading":"R","point":"1I","stage":"asFound","blades":[],"unit":"mm","feel":"free"}""")]
    [InlineData("blades", """{"kind":"tried","reading":"R","point":"1I","stage":"asFound","blades":["thin"],"unit":"mm","feel":"free","unproved":true}""")]
    [InlineData("feel", """{"kind":"tried","reading":"R","point":"1I","stage":"asFound","blades":["0.20"],"unit":"mm","feel":"lovely"}""")]
    [InlineData("unit", """{"kind":"tried","reading":"R","point":"1I","stage":"asFound","blades":["0.20"],"unit":"mil","feel":"free"}""")]
    [InlineData("stage", """{"kind":"tried","reading":"R","point":"1I","stage":"whenever","blades":["0.20"],"unit":"mm","feel":"free"}""")]
    [InlineData("reading", """{"kind":"kept","reading":"not an id"}""")]
    [InlineData("figure", """{"kind":"figureRead","reading":"R","point":"1I","stage":"asFound","figure":"about 0.2","unit":"mm","unproved":true}""")]
    [InlineData("figure", """{"kind":"figureRead","reading":"R","point":"1I","stage":"asFound","figure":"0.35-0.30","unit":"mm","unproved":true}""")]
    [InlineData("with", """{"kind":"figureRead","reading":"R","point":"1I","stage":"asFound","figure":"0.35","unit":"mm","with":"dial","unproved":true}""")]
    [InlineData("why", """{"kind":"outcome","point":"1I","outcome":"leftSo"}""")]
    [InlineData("amount", """{"kind":"outcome","point":"1I","outcome":"byTheBook","unit":"turns"}""")]
    [InlineData("points", """{"kind":"partChanged","part":"valve","why":"burnt"}""")]
    [InlineData("photo", """{"kind":"noted","text":"see","photo":"abc"}""")]
    [InlineData("readings", """{"kind":"countersigned","readings":[]}""")]
    [InlineData("entries", """{"kind":"admitted","entries":[],"why":"late"}""")]
    [InlineData("fields", """{"kind":"corrected","entry":"R","why":"misread"}""")]
    [InlineData("at", """{"kind":"noted","text":"x","at":"yesterday"}""")]
    [InlineData("by", """{"kind":"noted","text":"x","by":"me"}""")]
    public async Task An_entry_that_cannot_be_is_refused_at_its_field_and_the_next_is_taken(string field, string entry)
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var given = JsonNode.Parse(entry.Replace("\"R\"", $"\"{Guid.CreateVersion7()}\"", StringComparison.Ordinal))!.AsObject();
        var whole = twin.Entry(given["kind"]!.GetValue<string>());
        foreach (var (name, value) in given) whole[name] = value?.DeepClone();

        var (status, answer) = await twin.SendAsync(whole, twin.Entry("noted", new { text = "after it" }));

        Assert.Equal(HttpStatusCode.OK, status);
        var outcomes = answer.GetProperty("outcomes");
        Assert.Equal("malformed", outcomes[0].GetProperty("problem").GetProperty("code").GetString());
        Assert.NotEmpty(outcomes[0].GetProperty("problem").Sentence(field));
        Assert.Equal("taken", outcomes[1].GetProperty("outcome").GetString());
    }

    [Fact]
    public async Task What_rests_on_a_refused_entry_is_refused_with_it()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var reading = Guid.CreateVersion7();

        var (_, answer) = await twin.SendAsync(twin.Entry("tried", new { reading, point = "1I", stage = "asFound", blades = new[] { "0.20" }, unit = "mm", feel = "drag" }), twin.Entry("kept", new { reading }));

        Assert.Equal(["stopNotProved", "restsOn"], answer.GetProperty("outcomes").EnumerateArray().Select(o => o.GetProperty("problem").GetProperty("code").GetString()));
    }

    [Fact]
    public async Task Five_hundred_entries_go_in_at_once_and_five_hundred_and_one_do_not()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var notes = Enumerable.Range(0, 501).Select(i => twin.Entry("noted", new { text = $"note {i}" })).ToArray();

        Assert.Equal(HttpStatusCode.BadRequest, (await twin.SendAsync(notes)).Status);
        await twin.TakeAsync(notes[..500]);
    }

    [Fact]
    public async Task Clocks_years_off_are_kept_and_not_judged()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var note = twin.Entry("noted", new { text = "from 1999" });
        note["at"] = "1999-01-01T00:00:00Z";
        await twin.TakeAsync(note);

        var listed = await server.GetAsync($"/api/visits/{twin.VisitId}/entries");

        Assert.Equal("1999-01-01T00:00:00Z", listed.GetProperty("entries").EnumerateArray().Last().GetProperty("at").GetString());
    }

    [Fact]
    public async Task A_context_taken_along_is_the_one_folded_by_and_an_unknown_one_is_said()
    {
        var twin = await new TwinEngine(server).AddAsync();
        var along = await server.GetAsync($"/api/engines/{twin.EngineId}/take-along");
        var opened = twin.Opened();
        opened["contextId"] = along.GetProperty("contextId").GetString();
        await twin.TakeAsync(opened);
        Assert.Equal(along.GetProperty("contextId").GetString(), (await twin.ViewAsync()).GetProperty("contextId").GetString());
        await twin.TakeAsync(twin.Entry("abandoned", new { why = "again" }));

        var other = twin.Opened();
        other["contextId"] = "nothing known";
        var visit = Guid.CreateVersion7();
        await twin.SendToAsync(visit, other);

        Assert.Equal("nothing known", (await server.GetAsync($"/api/visits/{visit}")).GetProperty("contextAsked").GetString());
    }

    [Fact]
    public async Task A_photo_is_put_by_its_hash()
    {
        var bytes = new byte[] { 1, 2, 3 };
        var hash = Convert.ToHexStringLower(System.Security.Cryptography.SHA256.HashData(bytes));
        using var content = new ByteArrayContent(bytes);

        Assert.Equal(HttpStatusCode.Created, (await server.Client.PutAsync($"/api/blobs/{hash}", content)).StatusCode);
        Assert.Equal(HttpStatusCode.BadRequest, (await server.Client.PutAsync($"/api/blobs/{new string('0', 64)}", new ByteArrayContent(bytes))).StatusCode);
        Assert.Equal((HttpStatusCode)413, (await server.Client.PutAsync($"/api/blobs/{hash}", new ByteArrayContent(new byte[500_000]))).StatusCode);
        Assert.Equal(bytes, await server.Client.GetByteArrayAsync($"/api/blobs/{hash}"));
    }

    public void Dispose() => server.Dispose();
}
