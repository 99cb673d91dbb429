using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>The bench over HTTP: from what the visits say and the drawers hold.</summary>
public sealed class ShimBenchTests : IDisposable
{
    private readonly ServerWithFile server = new();

    [Fact]
    public async Task Swaps_first_then_the_drawer_then_what_is_bought_and_why_each()
    {
        var twin = await new ShimTwin(server).AddAsync("2.50");
        // 1E wants 2.70, which sits in 1I where it is good; 2I wants 2.50, which lies in the kit.
        await twin.MeasureAsync();
        var bench = await twin.BenchAsync();

        Assert.Equal([("1I", "own", 2.70), ("1E", "buy", 2.70), ("2I", "stock", 2.50), ("2E", "own", 2.70)], Rows(bench));
        Assert.Equal((1, 2, 0), (bench.GetProperty("bought").GetInt32(), bench.GetProperty("moved").GetInt32(), bench.GetProperty("outside").GetInt32()));
        Assert.Contains("sits where it is good", Point(bench, "1E").GetProperty("why").GetString(), StringComparison.Ordinal);
        Assert.Equal(twin.Kit, Point(bench, "2I").GetProperty("drawerId").GetGuid());
        Assert.Equal(["1E"], bench.GetProperty("buy")[0].GetProperty("for").EnumerateArray().Select(p => p.GetString()));
        Assert.Contains("1E is tight: 0.30 of at least 0.35", bench.GetProperty("engines")[0].GetProperty("meanwhile").GetString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_drawer_of_another_diameter_or_another_place_gives_nothing()
    {
        var twin = await new ShimTwin(server).AddAsync();
        await server.PostAsync("/api/sites", new { name = "Quay" });
        await server.PostAsync($"/api/shim-drawers/{twin.Kit}/movements", new { kind = "in", access = "underBucket", diameterMm = 8, size = "2.50", count = 1, who = "Tove" });
        await server.PostAsync($"/api/shim-drawers/{twin.Kit}/movements", new { kind = "in", access = "onTop", diameterMm = 9, size = "2.50", count = 1, who = "Tove" });
        var (_, far) = await server.PostAsync("/api/shim-drawers", new { name = "Far", site = "Quay", kind = "place" });
        await server.PostAsync($"/api/shim-drawers/{far.GetProperty("id").GetGuid()}/movements", new { kind = "in", access = "underBucket", diameterMm = 9, size = "2.50", count = 1, who = "Tove" });
        await twin.MeasureAsync();

        Assert.Equal("buy", Point(await twin.BenchAsync(), "2I").GetProperty("from").GetString());
    }

    [Fact]
    public async Task A_shim_read_at_an_earlier_visit_is_known_with_its_day_and_one_never_read_is_asked_for()
    {
        var twin = await new ShimTwin(server).AddAsync();
        await twin.MeasureAsync(twin.Engine, ("1I", "2.70", "0.20"), ("1E", "2.80", "0.40"), ("2I", "", "0.20"), ("2E", "2.70", "0.40"));
        await twin.Engine.SignAsync();
        await twin.Engine.OpenAsync(1050, date: "2026-11-24");
        foreach (var (point, gap) in ((string, string)[])[("1I", "0.20"), ("1E", "0.30"), ("2I", "0.10"), ("2E", "0.40")]) await twin.Engine.TakeAsync(twin.Engine.Figure(point, gap));
        var bench = await twin.BenchAsync();

        Assert.Equal((2.80, "2026-11-20"), (Point(bench, "1E").GetProperty("fittedMm").GetDouble(), Point(bench, "1E").GetProperty("knownSince").GetString()));
        Assert.Equal(("shimUnknown", "Nobody knows how thick its shim is: measure it before it is moved."), (Point(bench, "2I").GetProperty("standing").GetString(), Point(bench, "2I").GetProperty("why").GetString()));
    }

    [Fact]
    public async Task A_stem_cut_after_it_was_measured_is_measured_again_before_a_shim_is_chosen()
    {
        var twin = await new ShimTwin(server).AddAsync();
        await twin.MeasureAsync();
        await twin.Engine.TakeAsync(twin.Engine.Entry("partChanged", new { points = new[] { "1E" }, part = "stem tip", why = "too thick even with the thinnest", cutMm = 0.2 }));

        Assert.Equal("notMeasured", Point(await twin.BenchAsync(), "1E").GetProperty("standing").GetString());
    }

    [Fact]
    public async Task Several_engines_of_a_place_share_a_drawer_and_each_others_shims()
    {
        var twin = await new ShimTwin(server).AddAsync();
        await twin.MeasureAsync();
        var sister = await twin.SisterAsync("Fire pump");
        // Its 1E gives a 2.70 that the first one wants, and its 2I has 2.60 to spare.
        await twin.MeasureAsync(sister, ("1I", "2.70", "0.20"), ("1E", "2.70", "0.30"), ("2I", "2.50", "0.30"), ("2E", "2.70", "0.40"));
        var bench = await twin.BenchAsync(null, twin.Engine, sister);

        Assert.Equal(8, bench.GetProperty("points").GetArrayLength());
        Assert.Equal("Fire pump 1E", Point(bench, "Pump twin 1E").GetProperty("fromPoint").GetString());
        Assert.Equal("Fire pump 2I", Point(bench, "Pump twin 2I").GetProperty("fromPoint").GetString());
        Assert.Contains((await twin.BenchAsync()).GetProperty("others").EnumerateArray(), o => o.GetProperty("engine").GetString() == "Fire pump");
    }

    [Fact]
    public async Task A_choice_by_hand_stands_and_is_marked_and_one_that_cannot_hold_is_refused_by_name()
    {
        var twin = await new ShimTwin(server).AddAsync();
        await twin.MeasureAsync();
        var bench = await twin.BenchAsync(new { pins = new[] { new { point = "1E", shimMm = 2.75 } } });

        Assert.Equal((2.75, true), (Point(bench, "1E").GetProperty("shimMm").GetDouble(), Point(bench, "1E").GetProperty("pinned").GetBoolean()));
        var (status, body) = await twin.TryBenchAsync(new { pins = new[] { new { point = "1E", shimMm = 4.75 } } });
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains("A shim of 4.75 mm would leave 1E no gap", body.Sentence("pins[0].shimMm"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Engines_of_two_places_or_two_sorts_and_engines_without_shims_are_refused()
    {
        var twin = await new ShimTwin(server).AddAsync();
        await twin.MeasureAsync();
        var screws = await new TwinEngine(server).AddAsync("Screws");
        await screws.OpenAsync();

        Assert.Equal(HttpStatusCode.BadRequest, (await twin.TryBenchAsync(null, screws)).Status);
        Assert.Contains("no shims", (await twin.TryBenchAsync(null, screws)).Body.Sentence("visits"), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.NotFound, (await server.PostAsync("/api/shim-bench", new { visits = new[] { Guid.NewGuid() } })).Status);
        Assert.Contains("which visits", (await server.PostAsync("/api/shim-bench", new { })).Body.Sentence("visits"), StringComparison.Ordinal);
        Assert.Contains("same engine", (await Twice(twin)).Sentence("visits"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task What_it_is_likely_to_want_and_how_much_is_left_follow_from_its_record()
    {
        var twin = await new ShimTwin(server).AddAsync();
        var gap = 0.44;
        for (var visit = 0; visit < 4; visit++, gap -= 0.02)
        {
            await twin.Engine.OpenAsync(1000 + visit * 400, date: $"2026-0{visit + 2}-20");
            foreach (var (point, mm) in ((string, double)[])[("1I", 0.20), ("1E", gap), ("2I", 0.20), ("2E", 0.40)])
            {
                await twin.Engine.TakeAsync(twin.Engine.Entry("shimRead", new { point, stage = "asFound", thickness = "2.70", unit = "mm", how = "micrometer" }));
                await twin.Engine.TakeAsync(twin.Engine.Figure(point, mm.ToString("0.00", System.Globalization.CultureInfo.InvariantCulture)));
            }
            await twin.Engine.SignAsync();
        }
        var shims = await server.GetAsync($"/api/engines/{twin.Engine.EngineId}/shims");
        var left = await server.GetAsync($"/api/engines/{twin.Engine.EngineId}/left");
        var point1E = left.GetProperty("points").EnumerateArray().First(p => p.GetProperty("point").GetString() == "1E");

        Assert.Equal(0.06, point1E.GetProperty("recessionMm").GetDouble(), 9);
        Assert.Equal((0.40, "thinnest"), (Math.Round(point1E.GetProperty("leftMm").GetDouble(), 9), point1E.GetProperty("towards").GetString()));
        var hours = point1E.GetProperty("hours");
        Assert.True(hours.GetProperty("early").GetDouble() < hours.GetProperty("middle").GetDouble());
        var head = left.GetProperty("heads").EnumerateArray().First(h => h.GetProperty("kind").GetString() == "exhaust");
        Assert.Equal(("1E", "1E"), (head.GetProperty("mostRecededPoint").GetString(), head.GetProperty("firstOutPoint").GetString()));
        Assert.All(shims.GetProperty("carry").EnumerateArray(), c => Assert.InRange(c.GetProperty("odds").GetDouble(), 0.01, 1));
        Assert.Empty(shims.GetProperty("notKnown").EnumerateArray());
    }

    public void Dispose() => server.Dispose();

    private async Task<JsonElement> Twice(ShimTwin twin)
    {
        var first = twin.Engine.VisitId;
        await twin.LeaveWaitingAsync("1E", "2I");
        await twin.Engine.OpenAsync(1010, date: "2026-11-24");
        return (await server.PostAsync("/api/shim-bench", new { visits = new[] { first, twin.Engine.VisitId } })).Body;
    }

    private static List<(string?, string?, double)> Rows(JsonElement bench) => [.. bench.GetProperty("points").EnumerateArray().Select(p => (p.GetProperty("id").GetString(), p.GetProperty("from").GetString(), p.GetProperty("shimMm").GetDouble()))];

    private static JsonElement Point(JsonElement bench, string id) => bench.GetProperty("points").EnumerateArray().First(p => p.GetProperty("id").GetString() == id);
}
