using System.Net;

namespace ZeroDrift.Server.Tests;

/// <summary>Every write raced by two and by ten: one stands, the others get the answer of the check, and nothing is ever a 500.</summary>
public sealed class RaceTests : IDisposable
{
    private readonly ServerWithFile server = new();

    [Theory]
    [InlineData(2)]
    [InlineData(10)]
    public async Task One_visit_an_engine(int clients)
    {
        var twin = await new TwinEngine(server).AddAsync();

        var answers = await Task.WhenAll(Enumerable.Range(0, clients).Select(_ => twin.SendToAsync(Guid.CreateVersion7(), twin.Opened())));

        Assert.All(answers, a => Assert.Equal(HttpStatusCode.OK, a.Status));
        Assert.Single(answers, a => a.Body.GetProperty("outcomes")[0].GetProperty("outcome").GetString() == "taken");
        Assert.Equal(clients - 1, answers.Count(a => a.Body.GetProperty("outcomes")[0].GetProperty("outcome").GetString() == "refused" && a.Body.GetProperty("outcomes")[0].GetProperty("problem").GetProperty("code").GetString() == "engineOpen"));
        Assert.Single((await server.GetAsync("/api/visits?open=true")).GetProperty("visits").EnumerateArray());
    }

    [Theory]
    [InlineData(2)]
    [InlineData(10)]
    public async Task One_signature_a_visit(int clients)
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        await twin.MeasureAllAsync();

        var answers = await Task.WhenAll(Enumerable.Range(0, clients).Select(_ => twin.OneAsync(twin.Entry("signed"))));

        Assert.Single(answers, a => a.GetProperty("outcome").GetString() == "taken");
        Assert.Equal(clients - 1, answers.Count(a => a.GetProperty("outcome").GetString() == "refused" && a.GetProperty("problem").GetProperty("code").GetString() == "alreadySigned"));
    }

    [Theory]
    [InlineData(2)]
    [InlineData(10)]
    public async Task A_figure_at_the_moment_of_signing_is_in_the_record_or_late_and_never_lost(int clients)
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        await twin.MeasureAllAsync();
        var figures = Enumerable.Range(0, clients).Select(i => twin.Figure("1I", $"0.2{i % 10}")).ToList();

        var sent = await Task.WhenAll([twin.SendAsync(twin.Entry("signed")), .. figures.Select(f => twin.SendAsync(f))]);

        Assert.All(sent, a => Assert.Equal(HttpStatusCode.OK, a.Status));
        var listed = (await server.GetAsync($"/api/visits/{twin.VisitId}/entries")).GetProperty("entries").EnumerateArray().Select(e => e.GetProperty("id").GetString()).ToHashSet();
        Assert.All(figures.SelectMany(f => f), f => Assert.Contains(f["id"]!.GetValue<string>(), listed));
        var sequences = (await server.GetAsync($"/api/visits/{twin.VisitId}/entries")).GetProperty("entries").EnumerateArray().Select(e => e.GetProperty("sequence").GetInt32()).ToList();
        Assert.Equal(Enumerable.Range(1, sequences.Count), sequences);
    }

    [Theory]
    [InlineData(2)]
    [InlineData(10)]
    public async Task The_same_entries_from_many_are_taken_once(int clients)
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var notes = Enumerable.Range(0, 5).Select(i => twin.Entry("noted", new { text = $"{i}" })).ToArray();

        var answers = await Task.WhenAll(Enumerable.Range(0, clients).Select(_ => twin.SendAsync(notes)));

        var outcomes = answers.SelectMany(a => a.Body.GetProperty("outcomes").EnumerateArray()).Select(o => o.GetProperty("outcome").GetString()).ToList();
        Assert.Equal((5, (clients - 1) * 5), (outcomes.Count(o => o == "taken"), outcomes.Count(o => o == "known")));
    }

    public static TheoryData<string, string> Names() => new()
    {
        { "/api/people", """{"name":"Ragna"}""" },
        { "/api/sites", """{"name":"Quay"}""" },
        { "/api/machines", """{"name":"Barge","kind":"ferry","site":"Quay"}""" },
        { "/api/engines", """{"name":"Raced","machine":"lorry","site":"Depot","engineTypeId":"TYPE"}""" },
        { "/api/engine-types", "NEWTYPE" },
        { "/api/engine-types/TYPE/revisions", """{"revision":"Q","source":"plate","condition":"cold","lines":[{"kind":"intake","single":"0.2","unit":"mm"},{"kind":"exhaust","single":"0.3","unit":"mm"}]}""" },
    };

    [Theory]
    [MemberData(nameof(Names))]
    public async Task A_name_is_taken_once_however_many_ask(string path, string body)
    {
        var twin = await new TwinEngine(server).AddAsync();
        var where = path.Replace("TYPE", twin.TypeId.ToString(), StringComparison.Ordinal);

        foreach (var clients in (int[])[2, 10])
        {
            var raced = body.Replace("\"Q\"", $"\"Q{clients}\"", StringComparison.Ordinal).Replace("Ragna", $"Ragna {clients}", StringComparison.Ordinal).Replace("\"Quay\"", $"\"Quay {clients}\"", StringComparison.Ordinal).Replace("Barge", $"Barge {clients}", StringComparison.Ordinal).Replace("Raced", $"Raced {clients}", StringComparison.Ordinal).Replace("TYPE\"", twin.TypeId + "\"", StringComparison.Ordinal);
            var answers = await Task.WhenAll(Enumerable.Range(0, clients).Select(_ => body == "NEWTYPE" ? server.PostAsync(where, TwinEngine.Type(Guid.CreateVersion7(), $"RACE{clients}")) : server.PostAsync(where, raced)));

            Assert.Single(answers, a => (int)a.Status is 200 or 201);
            Assert.Equal(clients - 1, answers.Count(a => a.Status == HttpStatusCode.Conflict && a.Body.GetProperty("code").GetString() == "nameTaken"));
        }
    }

    [Theory]
    [InlineData(2)]
    [InlineData(10)]
    public async Task A_meter_change_counts_once_and_the_meter_never_runs_back(int clients)
    {
        var twin = await new TwinEngine(server).AddAsync();
        var path = $"/api/engines/{twin.EngineId}/meter-readings";
        await server.PostAsync(path, new { hours = 1000, date = "2026-11-01" });

        var changes = await Task.WhenAll(Enumerable.Range(0, clients).Select(_ => server.PostAsync(path, new { hours = 1010, newMeterShows = 2000, date = "2026-11-02" })));
        var readings = await Task.WhenAll(Enumerable.Range(0, clients).Select(i => server.PostAsync(path, new { hours = 2030 - i, date = "2026-11-03" })));

        Assert.Equal(1, changes.Count(c => c.Status == HttpStatusCode.OK));
        Assert.All(changes.Concat(readings), a => Assert.True(a.Status is HttpStatusCode.OK or HttpStatusCode.BadRequest, a.Body.ToString()));
        // Of one day's figures the highest is the last, in whatever order they came.
        Assert.Equal(1040, (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("totalHours").GetDouble());
    }

    [Theory]
    [InlineData(2)]
    [InlineData(10)]
    public async Task The_same_logbook_from_many_comes_in_once(int clients)
    {
        await new TwinEngine(server).AddAsync();
        const string file = "engine,date,engine hours,cylinder,valve,as found,as left,unit\nPump twin,2024-03-01,500,1,E,0.4,,mm\n";

        var answers = await Task.WhenAll(Enumerable.Range(0, clients).Select(_ => server.PostFileAsync("/api/logbook/import", file)));

        Assert.All(answers, a => Assert.Equal(HttpStatusCode.OK, a.Status));
        Assert.Equal(1, answers.Sum(a => a.Body.GetProperty("newReadings").GetInt32()));
    }

    [Theory]
    [InlineData(2)]
    [InlineData(10)]
    public async Task An_edit_made_on_what_stood_before_is_told(int clients)
    {
        var twin = await new TwinEngine(server).AddAsync();

        var answers = await Task.WhenAll(Enumerable.Range(0, clients).Select(i => server.PutAsync($"/api/engines/{twin.EngineId}", new { rating = $"{200 + i} kW", version = 1, who = "Olav" })));

        Assert.Single(answers, a => a.Status == HttpStatusCode.OK);
        Assert.Equal(clients - 1, answers.Count(a => a.Status == HttpStatusCode.Conflict && a.Body.GetProperty("code").GetString() == "changedMeanwhile"));
    }

    public void Dispose() => server.Dispose();
}
