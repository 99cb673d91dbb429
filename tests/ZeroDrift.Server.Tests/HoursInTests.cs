using System.Net;
using System.Text.Json;
using MiniExcelLibs;

namespace ZeroDrift.Server.Tests;

/// <summary>Hours from rounds, files and feeds: what fits goes in, what cannot be right waits and is neither dropped nor believed.</summary>
public sealed class HoursInTests : IDisposable
{
    private readonly ServerWithFile server = new();

    [Fact]
    public async Task A_table_of_many_engines_is_shown_first_and_taken_once()
    {
        var twin = await new TwinEngine(server).AddAsync();
        const string File = "engine;date;hours\nPump twin;20.11.2026;1 230,5\npump  TWIN;21.11.2026;1236\n";

        var (_, shown) = await server.PostFileAsync("/api/hours/preview", File);
        Assert.Equal((2, 0), (shown.GetProperty("taken").GetInt32(), await LastAsync(twin)));
        var (status, taken) = await server.PostFileAsync("/api/hours/import?who=Marit", File);
        var (_, again) = await server.PostFileAsync("/api/hours/import?who=Marit", File);

        Assert.Equal((HttpStatusCode.OK, "table", 2, 0), (status, taken.GetProperty("form").GetString(), taken.GetProperty("taken").GetInt32(), taken.GetProperty("waiting").GetInt32()));
        Assert.Equal((0, 2), (again.GetProperty("taken").GetInt32(), again.GetProperty("known").GetInt32()));
        Assert.Equal(1236, await LastAsync(twin));
    }

    [Fact]
    public async Task A_workbook_says_the_same_as_the_table_it_was_saved_from()
    {
        var twin = await new TwinEngine(server).AddAsync();
        using var book = new MemoryStream();
        book.SaveAs(new[] { new { engine = "Pump twin", date = new DateTime(2026, 11, 20), hours = 1230.5 } });

        var (status, report) = await server.PostFileAsync("/api/hours/import", book.ToArray());

        Assert.True(status == HttpStatusCode.OK, report.ToString());
        Assert.Equal(1230.5, await LastAsync(twin));
    }

    [Fact]
    public async Task A_telematics_document_knows_machines_by_serial_number_name_and_registration_and_breaks_off_without_loss()
    {
        var twin = await new TwinEngine(server).AddAsync();
        await server.PutAsync($"/api/engines/{twin.EngineId}", new { serialNumber = "TW-0007", why = "plate read" });
        var whole = await File.ReadAllTextAsync(Path.Combine(Root, "samples/telematics.xml"));
        var (_, first) = await server.PostFileAsync("/api/hours/import", whole.Replace("D4-0001", "TW-0007", StringComparison.Ordinal));
        Assert.Equal((1, 1), (first.GetProperty("taken").GetInt32(), first.GetProperty("waiting").GetInt32()));
        Assert.Equal(1234.5, await LastAsync(twin));
        var unknown = Assert.Single(await WaitingAsync());
        Assert.Equal(("unknownMachine", "Nobody's pump", 88.5), (unknown.GetProperty("doubt").GetString(), unknown.GetProperty("machine").GetString(), unknown.GetProperty("hours").GetDouble()));

        var later = whole.Replace("D4-0001", "TW-0007", StringComparison.Ordinal).Replace("1234.5", "1240", StringComparison.Ordinal).Replace("2026-11-25T05:58", "2026-11-26T05:58", StringComparison.Ordinal);
        var (_, cut) = await server.PostFileAsync("/api/hours/preview", later[..later.IndexOf("PT88H", StringComparison.Ordinal)]);
        Assert.Equal(["cutOff"], cut.GetProperty("figures").EnumerateArray().Where(f => f.GetProperty("outcome").GetString() == "waiting").Select(f => f.GetProperty("doubt").GetString()));

        var (_, json) = await server.PostFileAsync("/api/hours/preview", (await File.ReadAllTextAsync(Path.Combine(Root, "samples/telematics.json"))).Replace("D4-0001", "TW-0007", StringComparison.Ordinal));
        Assert.Equal(("telematics", 1), (json.GetProperty("form").GetString(), json.GetProperty("known").GetInt32()));
    }

    [Fact]
    public async Task The_log_of_a_bus_gives_the_last_figure_of_each_sender()
    {
        var twin = await new TwinEngine(server).AddAsync();
        var log = await File.ReadAllTextAsync(Path.Combine(Root, "samples/candump.log"));

        var (_, report) = await server.PostFileAsync($"/api/hours/import?engineId={twin.EngineId}", log.Replace("(1764050001.700000) can0 18FEE501#FFFFFFFFFFFFFFFF\n", "", StringComparison.Ordinal));
        // 0x0001E241 = 123 457 twentieths of an hour.
        Assert.Equal(6172.85, await LastAsync(twin), 6);
        Assert.Equal("can", report.GetProperty("form").GetString());

        var (_, silent) = await server.PostFileAsync("/api/hours/preview", "can0  18FEE501   [8]  FF FF FF FF FF FF FF FF\n");
        Assert.Equal("waiting", silent.GetProperty("figures")[0].GetProperty("outcome").GetString());
    }

    [Theory]
    [InlineData("2026-11-20", 900, "backwards")]
    [InlineData("2026-11-20", 2000, "fasterThanClock")]
    [InlineData("2026-11-20", 61200, "wrongUnit")]
    [InlineData("2099-01-01", 1200, "stillToCome")]
    public async Task What_cannot_be_right_waits_with_what_would_be_right(string date, double hours, string doubt)
    {
        var twin = await MeteredAsync();
        await server.PostFileAsync("/api/hours/import", $"engine,date,hours\nPump twin,{date},{hours}\n");
        await server.PostFileAsync("/api/hours/import", $"engine,date,hours\nPump twin,{date},{hours}\n");

        Assert.Equal(1000, await LastAsync(twin));
        var waits = Assert.Single(await WaitingAsync());
        Assert.Equal((doubt, 1000), (waits.GetProperty("doubt").GetString(), waits.GetProperty("lastHours").GetDouble()));
        Assert.NotEmpty(waits.GetProperty("sentence").GetString()!);
    }

    [Fact]
    public async Task A_figure_that_waits_is_put_right_taken_for_a_new_meter_or_set_aside_once()
    {
        var twin = await MeteredAsync();
        await server.PostFileAsync("/api/hours/import", "engine,date,hours\nPump twin,2026-11-20,61200\nPump twin,2026-11-21,12\nThe blue pump,2026-11-22,1030\n");
        var waiting = (await WaitingAsync()).ToDictionary(w => w.GetProperty("doubt").GetString()!, w => w.GetProperty("id").GetGuid());

        var (wrong, body) = await DecideAsync(waiting["wrongUnit"], new { decision = "take", hours = 5.0 });
        Assert.Equal(HttpStatusCode.BadRequest, wrong);
        Assert.NotEmpty(body.Sentence("hours"));
        await DecideAsync(waiting["wrongUnit"], new { decision = "take", hours = 1020.0, who = "Marit" });
        Assert.Equal(1020, await LastAsync(twin));
        await DecideAsync(waiting["backwards"], new { decision = "meterReplaced", oldMeterShows = 1024.0, who = "Marit" });
        Assert.Equal(12, await LastAsync(twin));
        var (again, _) = await DecideAsync(waiting["backwards"], new { decision = "setAside", why = "no" });
        Assert.Equal(HttpStatusCode.Conflict, again);
        await DecideAsync(waiting["unknownMachine"], new { decision = "take", engineId = twin.EngineId, hours = 18.0, remember = true });
        Assert.Empty(await WaitingAsync());

        // What it is called is known from now on.
        await server.PostFileAsync("/api/hours/import", "engine,date,hours\nthe blue PUMP,2026-11-24,24\n");
        Assert.Equal(24, await LastAsync(twin));
        var (silent, why) = await DecideAsync(Guid.CreateVersion7(), new { decision = "setAside" });
        Assert.Equal(HttpStatusCode.NotFound, silent);
    }

    [Fact]
    public async Task A_round_takes_what_fits_and_keeps_what_does_not()
    {
        var twin = await MeteredAsync();
        var lines = await server.GetAsync("/api/hours/round");
        Assert.Equal(("Pump twin", 1000.0), (lines[0].GetProperty("engine").GetString(), lines[0].GetProperty("lastHours").GetDouble()));

        var id = Guid.CreateVersion7();
        var (_, low) = await server.PostAsync("/api/hours/round", new { date = "2026-11-20", who = "Tove", readings = new[] { new { id, engineId = twin.EngineId, hours = 100.0 } } });
        Assert.Equal("waiting", low.GetProperty("figures")[0].GetProperty("outcome").GetString());
        var (_, good) = await server.PostAsync("/api/hours/round", new { date = "2026-11-20", who = "Tove", readings = new[] { new { id = Guid.CreateVersion7(), engineId = twin.EngineId, hours = 1010.0 } } });
        Assert.Equal(1, good.GetProperty("taken").GetInt32());
        Assert.Equal(1010, await LastAsync(twin));
    }

    [Theory]
    [InlineData("", "empty")]
    [InlineData("engine,date\nPump twin,2026-11-20\n", "'hours' is missing")]
    [InlineData("engine,hours\n", "no figure below")]
    [InlineData("<Fleet/>", "names no machine")]
    public async Task A_file_that_says_nothing_is_refused_in_a_sentence(string file, string sentence)
    {
        var (status, body) = await server.PostFileAsync("/api/hours/preview", file);

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains(sentence, body.Sentence("file"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_feed_needs_an_address_that_can_be_asked_and_says_what_came_of_it()
    {
        var (bad, body) = await server.PutAsync("/api/hours/feed", new { address = "fleet.xml" });
        Assert.Equal(HttpStatusCode.BadRequest, bad);
        Assert.NotEmpty(body.Sentence("address"));
        var (often, _) = await server.PutAsync("/api/hours/feed", new { address = "https://example.org/fleet.xml", everyMinutes = 1 });
        Assert.Equal(HttpStatusCode.BadRequest, often);

        await server.PutAsync("/api/hours/feed", new { address = "http://127.0.0.1:9/fleet.xml", everyMinutes = 60 });
        var (_, asked) = await server.PostAsync("/api/hours/feed/ask", new { });
        Assert.Contains("did not answer", asked.GetProperty("said").GetString(), StringComparison.Ordinal);
        Assert.Equal(JsonValueKind.Null, asked.GetProperty("answeredAt").ValueKind);
    }

    public void Dispose() => server.Dispose();

    private static string Root => AppContext.BaseDirectory[..AppContext.BaseDirectory.IndexOf("/tests/", StringComparison.Ordinal)];

    private async Task<TwinEngine> MeteredAsync()
    {
        var twin = await new TwinEngine(server).AddAsync();
        await server.PostAsync($"/api/engines/{twin.EngineId}/meter-readings", new { hours = 1000, date = "2026-11-15" });
        return twin;
    }

    private Task<(HttpStatusCode Status, JsonElement Body)> DecideAsync(Guid id, object decision) => server.PostAsync($"/api/hours/waiting/{id}/decision", decision);

    private async Task<IReadOnlyList<JsonElement>> WaitingAsync() => [.. (await server.GetAsync("/api/hours/waiting")).EnumerateArray()];

    private async Task<double> LastAsync(TwinEngine twin) => (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("row").GetProperty("shownHours").GetDouble();
}
