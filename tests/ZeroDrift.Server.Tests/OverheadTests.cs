using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

public sealed class OverheadTests : IDisposable
{
    private readonly ServerWithFile server = new();

    [Fact]
    public async Task An_overhead_from_opening_to_signature_makes_the_book_clock_start_again()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync(1000);
        await twin.MeasureAllAsync(exhaust: "0.30");

        var (refused, why) = await twin.SignAsync();
        Assert.Equal(HttpStatusCode.BadRequest, refused);
        Assert.Contains("1E, 2E", why.Sentence("overhead"), StringComparison.Ordinal);

        var view = await server.GetAsync($"/api/overheads/{twin.OverheadId}");
        Assert.Equal("Open it 36°, a bit under 1/8 turn, anticlockwise.", Point(view, "1E").GetProperty("advice").GetProperty("sentence").GetString());
        await twin.KeepAsync("1E", "asLeft", "0.40");
        await twin.KeepAsync("2E", "asLeft", "0.39");
        var (signed, _) = await twin.SignAsync();
        Assert.Equal(HttpStatusCode.OK, signed);

        var row = (await server.GetAsync("/api/due")).GetProperty("engines")[0];
        Assert.Equal("bookHours", row.GetProperty("decides").GetProperty("rule").GetString());
        Assert.Equal(1000, row.GetProperty("decides").GetProperty("hours").GetDouble(), 6);
    }

    [Fact]
    public async Task Everything_is_still_there_after_a_restart_in_the_middle_of_a_reading()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var reading = Guid.CreateVersion7();
        await server.PutAsync($"/api/overheads/{twin.OverheadId}/readings/{reading}", new { pointId = twin.Points["1I"], stage = "asFound", trials = new[] { new { blades = new[] { "0.20" }, feel = "free" } }, who = "Marit" });

        server.Restart();

        var view = await server.GetAsync($"/api/overheads/{twin.OverheadId}");
        var draft = Point(view, "1I").GetProperty("foundDraft");
        Assert.Equal(reading, draft.GetProperty("id").GetGuid());
        Assert.Equal("0.20", draft.GetProperty("trials")[0].GetProperty("blades")[0].GetString());
        Assert.Equal("stop", view.GetProperty("next").GetProperty("step").GetString());
    }

    [Fact]
    public async Task The_same_request_twice_does_no_harm()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var id = Guid.CreateVersion7();

        var (first, _) = await twin.KeepAsync("1I", "asFound", "0.21", id: id);
        var (second, view) = await twin.KeepAsync("1I", "asFound", "0.21", id: id);
        var (again, _) = await server.PutAsync($"/api/overheads/{twin.OverheadId}", new { engineId = twin.EngineId, shownHours = 1000, who = "Marit" });

        Assert.Equal((HttpStatusCode.OK, HttpStatusCode.OK, HttpStatusCode.OK), (first, second, again));
        Assert.Equal("0.21", Point(view, "1I").GetProperty("found").GetProperty("written").GetString());
    }

    [Fact]
    public async Task A_second_persons_figure_is_refused_with_the_first_beside_it()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        await twin.KeepAsync("1I", "asFound", "0.21", "Marit");

        var (status, body) = await twin.KeepAsync("1I", "asFound", "0.24", "Olav");

        Assert.Equal(HttpStatusCode.Conflict, status);
        Assert.Contains("Marit has already kept 0.21 mm for 1I", body.Sentence("reading"), StringComparison.Ordinal);
        Assert.Equal(0.21, body.GetProperty("current").GetProperty("estimateMm").GetDouble(), 9);
    }

    [Fact]
    public async Task Twenty_people_at_the_same_instant_leave_one_figure_and_nineteen_told()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();

        var answers = await Task.WhenAll(Enumerable.Range(0, 20).Select(i => twin.KeepAsync("1I", "asFound", $"0.{15 + i % 10}", $"Mechanic {i}")));

        Assert.Single(answers, a => a.Status == HttpStatusCode.OK);
        Assert.Equal(19, answers.Count(a => a.Status == HttpStatusCode.Conflict));
    }

    [Fact]
    public async Task Ticks_of_two_people_at_once_are_all_kept()
    {
        var twin = await new TwinEngine(server).AddAsync();
        var id = Guid.CreateVersion7();
        var (_, view) = await server.PutAsync($"/api/overheads/{id}", new { engineId = twin.EngineId, shownHours = 10, who = "Marit" });
        var keys = view.GetProperty("makeSafe").EnumerateArray().Select(c => c.GetProperty("key").GetString()).ToList();

        await Task.WhenAll(keys.Select(key => server.PutAsync($"/api/overheads/{id}/ticks", new { key, on = true })));

        var ticked = (await server.GetAsync($"/api/overheads/{id}")).GetProperty("ticked").EnumerateArray().Select(t => t.GetString()).Order();
        Assert.Equal(keys.Order(), ticked);
    }

    [Fact]
    public async Task A_signed_overhead_stands_and_a_correction_names_who_and_why()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        await twin.MeasureAllAsync();
        await twin.SignAsync();
        var found = Point(await server.GetAsync($"/api/overheads/{twin.OverheadId}"), "1E").GetProperty("found").GetProperty("id").GetGuid();

        var (edited, refusal) = await twin.KeepAsync("1E", "asFound", "0.38");
        Assert.Equal(HttpStatusCode.Conflict, edited);
        Assert.Contains("signed by Marit", refusal.Sentence("overhead"), StringComparison.Ordinal);

        var (silent, ask) = await Correct(null);
        Assert.Equal(HttpStatusCode.BadRequest, silent);
        Assert.NotEmpty(ask.Sentence("why"));

        var (corrected, view) = await Correct("Read off the wrong blade.");
        Assert.Equal(HttpStatusCode.OK, corrected);
        var point = Point(view, "1E");
        Assert.Equal("0.38", point.GetProperty("found").GetProperty("written").GetString());
        Assert.Equal("0.40", point.GetProperty("corrected")[0].GetProperty("written").GetString());
        var (stale, _) = await Correct("Once more.");
        Assert.Equal(HttpStatusCode.Conflict, stale);

        Task<(HttpStatusCode Status, JsonElement Body)> Correct(string? why) => server.PutAsync($"/api/overheads/{twin.OverheadId}/readings/{Guid.CreateVersion7()}",
            new { pointId = twin.Points["1E"], stage = "asFound", figure = "0.38", unit = "mm", who = "Olav", keep = true, corrects = found, why });
    }

    [Fact]
    public async Task Nothing_is_set_before_all_points_of_the_stop_are_found()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        await twin.KeepAsync("1E", "asFound", "0.30");

        var (status, body) = await twin.KeepAsync("1E", "asLeft", "0.40");

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains("Measure 1I", body.Sentence("stage"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_figure_in_the_wrong_unit_is_offered_in_the_other()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();

        var (status, body) = await twin.KeepAsync("1I", "asFound", "8");

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal("thou", body.GetProperty("offerUnit").GetString());
        Assert.Contains("Did you mean 8 thou?", body.Sentence("figure"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Leaving_a_valve_out_of_its_window_needs_a_reason_and_is_a_finding()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        await twin.MeasureAllAsync(exhaust: "0.30");
        var (refused, body) = await twin.KeepAsync("1E", "asLeft", "0.33");
        Assert.Equal(HttpStatusCode.BadRequest, refused);
        Assert.NotEmpty(body.Sentence("why"));

        foreach (var point in (string[])["1E", "2E"])
            await server.PutAsync($"/api/overheads/{twin.OverheadId}/readings/{Guid.CreateVersion7()}", new { pointId = twin.Points[point], stage = "asLeft", who = "Marit", keep = true, why = "No time before sailing." });
        await twin.SignAsync();

        var row = (await server.GetAsync("/api/due")).GetProperty("engines")[0];
        Assert.Equal("finding", row.GetProperty("decides").GetProperty("rule").GetString());
        Assert.Equal("tight", row.GetProperty("findings")[0].GetProperty("state").GetString());
    }

    [Fact]
    public async Task Hours_below_the_last_reading_are_refused_and_nothing_is_opened()
    {
        var twin = await new TwinEngine(server).AddAsync();
        var (read, answer) = await server.PostAsync($"/api/engines/{twin.EngineId}/meter-readings", new { hours = 5000 });
        Assert.True(read == HttpStatusCode.OK, answer.ToString());

        var (status, body) = await server.PutAsync($"/api/overheads/{Guid.CreateVersion7()}", new { engineId = twin.EngineId, shownHours = 4900, who = "Marit" });

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains("below the last reading, 5000 h", body.Sentence("shownHours"), StringComparison.Ordinal);
        Assert.Empty((await server.GetAsync("/api/overheads")).EnumerateArray());
    }

    [Fact]
    public async Task A_replaced_meter_carries_the_total_on()
    {
        var twin = await new TwinEngine(server).AddAsync();
        var (read, answer) = await server.PostAsync($"/api/engines/{twin.EngineId}/meter-readings", new { hours = 5000, newMeterShows = 10 });
        Assert.True(read == HttpStatusCode.OK, answer.ToString());

        await twin.OpenAsync(12);

        Assert.Equal(5002, (await server.GetAsync($"/api/overheads/{twin.OverheadId}")).GetProperty("totalHours").GetDouble(), 6);
    }

    [Fact]
    public async Task One_engine_is_open_only_once()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();

        var (status, body) = await server.PutAsync($"/api/overheads/{Guid.CreateVersion7()}", new { engineId = twin.EngineId, shownHours = 1000, who = "Olav" });

        Assert.Equal(HttpStatusCode.Conflict, status);
        Assert.Equal(twin.OverheadId, body.GetProperty("current").GetProperty("overheadId").GetGuid());
    }

    [Fact]
    public async Task Measuring_warm_is_refused_or_kept_out_of_the_trend()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var path = $"/api/overheads/{twin.OverheadId}/condition";

        var (refused, body) = await server.PutAsync(path, new { condition = "cold", engineTemperatureC = 70 });
        var (_, warm) = await server.PutAsync(path, new { condition = "cold", engineTemperatureC = 70, measureWarmAnyway = true });

        Assert.Equal(HttpStatusCode.BadRequest, refused);
        Assert.Contains("70 °C is not cold", body.Sentence("engineTemperatureC"), StringComparison.Ordinal);
        Assert.Equal("warm", warm.GetProperty("answer").GetString());
    }

    public void Dispose() => server.Dispose();

    private static JsonElement Point(JsonElement view, string label) => view.GetProperty("points").EnumerateArray().First(p => p.GetProperty("label").GetString() == label);
}
