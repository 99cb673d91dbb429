using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>The year says what the records say, engine by engine and together, and claims nothing that nobody measured.</summary>
public sealed class YearTests : IDisposable
{
    private readonly ServerWithFile server = new(demo: true);

    [Fact]
    public async Task Every_engine_of_the_demo_has_the_openings_of_its_ledger_and_the_parts_add_up_to_the_whole()
    {
        var year = await server.GetAsync("/api/year");
        var (from, until) = (Day(year, "from"), Day(year, "until"));
        var engines = year.GetProperty("engines").EnumerateArray().ToList();

        Assert.Equal(from.AddYears(1).AddDays(-1), until);
        Assert.Equal(26, engines.Count);
        foreach (var engine in engines)
        {
            var ledger = (await server.GetAsync($"/api/engines/{engine.GetProperty("engineId").GetGuid()}")).GetProperty("ledger").EnumerateArray().Where(r => Day(r, "date") >= from && Day(r, "date") <= until).ToList();
            Assert.Equal(ledger.Select(r => r.GetProperty("overheadId").GetGuid()).Reverse(), engine.GetProperty("openings").EnumerateArray().Select(o => o.GetProperty("visitId").GetGuid()));
            var figures = engine.GetProperty("figures");
            Assert.Equal(ledger.Count(r => r.GetProperty("job").GetString() == "overhead"), figures.GetProperty("overheads").GetInt32());
            Assert.Equal(ledger.Sum(r => r.GetProperty("outAsFound").GetInt32()), figures.GetProperty("outAsFound").GetInt32());
            Assert.Equal(ledger.Sum(r => r.GetProperty("setCount").GetInt32()), figures.GetProperty("set").GetInt32());
        }
        foreach (var name in (string[])["overheads", "measured", "outAsFound", "set", "openings", "bookOpenings", "shims", "parts"])
        {
            var whole = year.GetProperty("whole").GetProperty(name).GetInt32();
            Assert.Equal(whole, Sum("engines", name));
            Assert.Equal(whole, Sum("byKind", name));
            Assert.Equal(whole, Sum("byPlace", name));
        }
        Assert.True(year.GetProperty("whole").GetProperty("overheads").GetInt32() > 5);

        int Sum(string list, string name) => year.GetProperty(list).EnumerateArray().Sum(g => g.GetProperty("figures").GetProperty(name).GetInt32());
    }

    [Fact]
    public async Task The_valve_that_begins_to_fail_is_among_what_was_learned_with_the_visit_since_when()
    {
        var failing = (await server.GetAsync("/api/year")).GetProperty("engines").EnumerateArray().SelectMany(e => e.GetProperty("failing").EnumerateArray()).ToList();

        Assert.Contains(failing, v => v.GetProperty("since").ValueKind == JsonValueKind.String);
    }

    [Fact]
    public async Task The_overdue_engine_was_asked_for_by_its_manual_and_not_opened()
    {
        var tractor = (await server.GetAsync("/api/year")).GetProperty("engines").EnumerateArray().First(e => e.GetProperty("name").GetString() == "South Farm tractor 2");

        Assert.Equal(0, tractor.GetProperty("figures").GetProperty("openings").GetInt32());
        Assert.True(tractor.GetProperty("figures").GetProperty("bookOpenings").GetInt32() > 0);
    }

    [Fact]
    public async Task The_table_has_a_row_an_engine_and_the_figures_of_the_page()
    {
        var year = await server.GetAsync("/api/year");
        var lines = (await server.Client.GetStringAsync("/api/year.csv")).Split('\n', StringSplitOptions.RemoveEmptyEntries);

        Assert.Equal(1 + 26, lines.Length);
        Assert.StartsWith("engine,kind,place,type,from,until,overheads", lines[0], StringComparison.Ordinal);
        var first = year.GetProperty("engines")[0];
        Assert.StartsWith($"{first.GetProperty("name").GetString()},{first.GetProperty("machine").GetString()},", lines[1], StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("from=2026-05-01&until=2026-04-01", "until", "swap them")]
    [InlineData("from=2010-01-01&until=2026-04-01", "from", "three years")]
    [InlineData("from=1800-01-01&until=1800-02-01", "from", "1950")]
    [InlineData("from=soon", "from", "")]
    public async Task A_stretch_that_is_none_is_refused_by_its_field(string asked, string field, string said)
    {
        foreach (var path in (string[])["/api/year", "/api/year.csv"])
        {
            using var response = await server.Client.GetAsync($"{path}?{asked}");
            var problem = JsonDocument.Parse(await response.Content.ReadAsStringAsync()).RootElement;

            Assert.Equal(HttpStatusCode.BadRequest, response.StatusCode);
            Assert.True(problem.GetProperty("errors").TryGetProperty(field, out var sentences), problem.ToString());
            Assert.Contains(said, sentences[0].GetString(), StringComparison.Ordinal);
        }
    }

    [Fact]
    public async Task Before_anything_was_recorded_nothing_is_claimed()
    {
        var year = await server.GetAsync("/api/year?from=1990-01-01&until=1990-12-31");
        var whole = year.GetProperty("whole");

        Assert.Equal((0, 0), (whole.GetProperty("openings").GetInt32(), whole.GetProperty("bookOpenings").GetInt32()));
        Assert.Equal(JsonValueKind.Null, whole.GetProperty("hoursRun").ValueKind);
        Assert.Equal(JsonValueKind.Null, whole.GetProperty("bookHours").ValueKind);
    }

    public void Dispose() => server.Dispose();

    private static DateOnly Day(JsonElement of, string name) => DateOnly.ParseExact(of.GetProperty(name).GetString()!, "yyyy-MM-dd");
}
