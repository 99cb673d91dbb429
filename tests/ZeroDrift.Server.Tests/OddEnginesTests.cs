using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>Engines nobody reads, engines that never stand still, meters replaced twice in a day: a finding or a refusal each, never a date that means nothing.</summary>
public sealed class OddEnginesTests : IDisposable
{
    private static readonly DateOnly Today = DateOnly.FromDateTime(DateTime.UtcNow);
    private readonly ServerWithFile server = new();

    [Fact]
    public async Task Without_any_reading_nothing_is_dated_by_hours()
    {
        var row = await RowAsync(await new TwinEngine(server).AddAsync());

        Assert.Equal((JsonValueKind.Null, "nothing"), (row.GetProperty("hoursToday").ValueKind, row.GetProperty("decides").GetProperty("rule").GetString()));
        Assert.Equal(JsonValueKind.Null, row.GetProperty("decides").GetProperty("date").ValueKind);
    }

    [Fact]
    public async Task Read_once_the_hours_go_on_by_the_use_that_was_said_and_are_asked_for_once_they_are_too_old()
    {
        var twin = await new TwinEngine(server).AddAsync();
        await ReadAsync(twin, 1000, Today.AddDays(-100));

        var today = (await RowAsync(twin)).GetProperty("hoursToday");

        Assert.Equal(1500, today.GetProperty("hours").GetDouble(), 0.5);
        Assert.True(today.GetProperty("toBeRead").GetBoolean());
    }

    [Theory]
    [InlineData(0)]
    [InlineData(24)]
    public async Task A_use_of_nothing_or_of_the_whole_day_dates_by_months_or_by_that(double use)
    {
        var twin = await new TwinEngine(server).AddAsync();
        await server.PutAsync($"/api/engines/{twin.EngineId}", new { dutyHoursPerDay = use, why = "said" });
        await twin.OpenAsync(1000, date: Text(Today.AddDays(-10)));
        await twin.MeasureAllAsync();
        await twin.SignAsync();

        var row = await RowAsync(twin);
        var date = row.GetProperty("decides").GetProperty("date");

        if (use == 0) Assert.Equal(JsonValueKind.Null, date.ValueKind);
        else Assert.Equal(Today.AddDays(31), DateOnly.Parse(date.GetString()!, System.Globalization.CultureInfo.InvariantCulture), new NearDays(1));
    }

    [Fact]
    public async Task A_reading_of_the_day_after_tomorrow_is_refused_wherever_it_comes_in()
    {
        var twin = await new TwinEngine(server).AddAsync();
        var day = Today.AddDays(3);

        var (status, body) = await server.PostAsync($"/api/engines/{twin.EngineId}/meter-readings", new { hours = 100, date = Text(day) });
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains("is still to come", body.Sentence("date"), StringComparison.Ordinal);
        Assert.Equal("dateImpossible", (await twin.OneAsync(twin.Opened(100, date: Text(day)))).GetProperty("problem").GetProperty("code").GetString());
        var (_, report) = await server.PostFileAsync("/api/hours/preview", $"engine,date,hours\nPump twin,{Text(day)},100\n");
        Assert.Equal("stillToCome", report.GetProperty("figures")[0].GetProperty("doubt").GetString());
        Assert.Equal(JsonValueKind.Null, (await RowAsync(twin)).GetProperty("hoursToday").ValueKind);
    }

    [Fact]
    public async Task Replaced_twice_in_a_day_the_hours_go_on()
    {
        var twin = await new TwinEngine(server).AddAsync();
        await ReadAsync(twin, 4990, Today.AddDays(-5));
        foreach (var (old, fresh) in new[] { (5000.0, 0.0), (2.0, 100.0) })
            Assert.Equal(HttpStatusCode.OK, (await server.PostAsync($"/api/engines/{twin.EngineId}/meter-readings", new { hours = old, newMeterShows = fresh, date = Text(Today.AddDays(-4)) })).Status);
        await ReadAsync(twin, 110, Today);

        Assert.Equal(5012, (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("totalHours").GetDouble());
    }

    [Fact]
    public async Task Hours_that_run_back_are_refused_at_every_door()
    {
        var twin = await new TwinEngine(server).AddAsync();
        await ReadAsync(twin, 1000, Today.AddDays(-10));

        Assert.Equal(HttpStatusCode.BadRequest, (await server.PostAsync($"/api/engines/{twin.EngineId}/meter-readings", new { hours = 900, date = Text(Today) })).Status);
        Assert.Equal("hoursBackwards", (await twin.OneAsync(twin.Opened(900, date: Text(Today)))).GetProperty("problem").GetProperty("code").GetString());
        var (_, round) = await server.PostAsync("/api/hours/round", new { date = Text(Today), readings = new[] { new { engineId = twin.EngineId, hours = 900 } } });
        Assert.Equal("backwards", round.GetProperty("figures")[0].GetProperty("doubt").GetString());
    }

    [Fact]
    public async Task Archived_an_engine_leaves_yard_round_and_plan_and_comes_back_as_it_was()
    {
        var twin = await new TwinEngine(server).AddAsync();
        await ReadAsync(twin, 1000, Today);
        await server.PostAsync("/api/jobs", new { engineId = twin.EngineId, title = "Overhead", hours = 2 });
        await server.PutAsync($"/api/plan/people/{twin.Marit}", new { skills = new[] { "generator" }, weekHours = new[] { 8, 8, 8, 8, 8, 0, 0 } });
        var before = (await RowAsync(twin)).GetRawText();

        await server.PutAsync($"/api/engines/{twin.EngineId}", new { archived = true, why = "sold" });
        Assert.Equal((0, 0, 0), ((await server.GetAsync("/api/due")).GetProperty("engines").GetArrayLength(), (await server.GetAsync("/api/hours/round")).GetArrayLength(), (await server.GetAsync("/api/jobs")).GetArrayLength()));
        Assert.Equal(JsonValueKind.Object, (await server.GetAsync("/api/plan")).ValueKind);
        foreach (var path in (string[])["", "/drift", "/left", "/hours-ahead", "/shims", "/take-along"]) Assert.Contains((await server.Client.GetAsync($"/api/engines/{twin.EngineId}{path}")).StatusCode, new[] { HttpStatusCode.NotFound, HttpStatusCode.OK });

        await server.PutAsync($"/api/engines/{twin.EngineId}", new { archived = false, why = "bought back" });
        Assert.Equal(before, (await RowAsync(twin)).GetRawText());
        Assert.Equal(1, (await server.GetAsync("/api/jobs")).GetArrayLength());
    }

    public void Dispose() => server.Dispose();

    private static string Text(DateOnly day) => day.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);

    private async Task ReadAsync(TwinEngine twin, double hours, DateOnly day)
    {
        var (status, body) = await server.PostAsync($"/api/engines/{twin.EngineId}/meter-readings", new { hours, date = Text(day) });
        Assert.True(status == HttpStatusCode.OK, body.ToString());
    }

    private async Task<JsonElement> RowAsync(TwinEngine twin) => (await server.GetAsync("/api/due")).GetProperty("engines").EnumerateArray().First(e => e.GetProperty("engineId").GetGuid() == twin.EngineId);

    private sealed class NearDays(int days) : IEqualityComparer<DateOnly>
    {
        public bool Equals(DateOnly x, DateOnly y) => Math.Abs(x.DayNumber - y.DayNumber) <= days;

        public int GetHashCode(DateOnly day) => 0;
    }
}
