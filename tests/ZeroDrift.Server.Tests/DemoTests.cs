using System.Globalization;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using ZeroDrift.Data;
using ZeroDrift.Data.Demo;
using ZeroDrift.Data.Starting;
using ZeroDrift.Data.Storage;

namespace ZeroDrift.Server.Tests;

/// <summary>The Varnholm demo is believable, and its trends find the rates that were put in.</summary>
public sealed class DemoTests : IDisposable
{
    private readonly ServerWithFile server = new(demo: true);

    [Fact]
    public async Task An_engines_page_draws_its_forecasts_from_the_cores_own_fan_and_shows_a_known_tight_valve_as_found()
    {
        var due = await server.GetAsync("/api/due");
        Assert.Equal(0.05, due.GetProperty("risk").GetDouble());
        var skarv = due.GetProperty("engines").EnumerateArray().First(r => r.GetProperty("name").GetString() == "Skarv · port main");
        var points = (await server.GetAsync($"/api/engines/{skarv.GetProperty("engineId").GetString()}")).GetProperty("points").EnumerateArray().ToList();
        var tight = points.First(p => p.GetProperty("label").GetString() == "4E");

        Assert.Equal("tight", tight.GetProperty("shownState").GetString());
        Assert.False(tight.GetProperty("shownIsExpected").GetBoolean());
        Assert.Equal(skarv.GetProperty("findings")[0].GetProperty("mm").GetDouble(), tight.GetProperty("shownMm").GetDouble(), 9);
        foreach (var point in points.Where(p => p.GetProperty("rate").ValueKind != JsonValueKind.Null))
        {
            var fan = point.GetProperty("fan").EnumerateArray().ToList();
            Assert.Equal(point.GetProperty("expectedMm").GetDouble(), fan[0].GetProperty("meanMm").GetDouble(), 9);
            // At its first step the fan is as wide as the forecast is unsure: 1.6449 standard deviations on either side, where it is not a fast valve.
            Assert.Equal(1.6448536 * point.GetProperty("expectedSdMm").GetDouble(), fan[0].GetProperty("highMm").GetDouble() - fan[0].GetProperty("meanMm").GetDouble(), 4);
            Assert.True(fan[^1].GetProperty("highMm").GetDouble() - fan[^1].GetProperty("lowMm").GetDouble() > fan[0].GetProperty("highMm").GetDouble() - fan[0].GetProperty("lowMm").GetDouble());
        }
    }

    [Fact]
    public async Task What_an_earlier_model_worked_out_is_worked_out_again_at_the_start()
    {
        async Task<T> Asked<T>(Func<ZeroDriftContext, Task<T>> question)
        {
            using var scope = server.Service<IServiceScopeFactory>().CreateScope();
            return await question(scope.ServiceProvider.GetRequiredService<ZeroDriftContext>());
        }
        var kept = await Asked(data => data.Outlooks.OrderBy(o => o.EngineId).Select(o => o.Content).ToListAsync());
        await Asked(data => data.Outlooks.ExecuteUpdateAsync(o => o.SetProperty(r => r.Model, "6a").SetProperty(r => r.Fingerprint, "before").SetProperty(r => r.Content, r => r.Content.Replace("\"beforeMm\"", "\"once\""))));
        server.Restart();

        for (var tries = 0; tries < 100 && await Asked(data => data.Outlooks.AnyAsync(o => o.Model == "6a")); tries++) await Task.Delay(200);

        Assert.Equal(kept, await Asked(data => data.Outlooks.OrderBy(o => o.EngineId).Select(o => o.Content).ToListAsync()));
    }

    [Theory]
    [InlineData("2026-12-01T22:59:00Z", "2026-12-01")]
    [InlineData("2026-12-01T23:01:00Z", "2026-12-02")]
    [InlineData("2026-07-01T22:01:00Z", "2026-07-02")]
    public void Its_days_are_those_of_its_own_islands(string moment, string day) =>
        Assert.Equal(DateOnly.Parse(day, CultureInfo.InvariantCulture), DemoData.DayAt(DateTimeOffset.Parse(moment, CultureInfo.InvariantCulture)));

    [Fact]
    public async Task The_yard_shows_the_stories_it_tells()
    {
        var rows = (await server.GetAsync("/api/due")).GetProperty("engines").EnumerateArray().ToDictionary(r => r.GetProperty("name").GetString()!);

        Assert.Equal(26, rows.Count);
        Assert.Equal("4E", rows["Skarv · port main"].GetProperty("findings")[0].GetProperty("point").GetString());
        Assert.Equal("loose", rows["Verge mower 1"].GetProperty("findings")[0].GetProperty("state").GetString());
        Assert.Equal("drift", rows["Skarv · starboard main"].GetProperty("decides").GetProperty("rule").GetString());
        Assert.Equal("firstCheck", rows["Set 3"].GetProperty("decides").GetProperty("rule").GetString());
        Assert.True(rows["South Farm tractor 2"].GetProperty("decides").GetProperty("hours").GetDouble() < 0);
        Assert.NotEqual(JsonValueKind.Null, rows["Lorry 4"].GetProperty("openOverheadId").ValueKind);
        var mower = await server.GetAsync($"/api/engines/{rows["Lorry 2"].GetProperty("engineId").GetString()}");
        Assert.True(mower.GetProperty("totalHours").GetDouble() > mower.GetProperty("row").GetProperty("shownHours").GetDouble() + 1000);
    }

    [Fact]
    public async Task New_gaskets_make_an_opening_dearer_so_that_it_pays_to_wait_longer()
    {
        async Task<(double Hours, string Type)> LomviAsync()
        {
            var row = (await server.GetAsync("/api/due")).GetProperty("engines").EnumerateArray().First(r => r.GetProperty("name").GetString() == "Lomvi · port main");
            Assert.Equal("drift", row.GetProperty("decides").GetProperty("rule").GetString());
            return (row.GetProperty("decides").GetProperty("hours").GetDouble(), (await server.GetAsync($"/api/engines/{row.GetProperty("engineId").GetString()}")).GetProperty("type").GetProperty("id").GetString()!);
        }
        var before = await LomviAsync();
        await server.PutAsync($"/api/engine-types/{before.Type}", new { gasketHours = 4.5, why = "new every time" });
        Assert.True((await LomviAsync()).Hours > before.Hours);
    }

    [Fact]
    public async Task The_valve_that_begins_to_fail_is_named_with_the_visit_since_when()
    {
        var row = (await server.GetAsync("/api/due")).GetProperty("engines").EnumerateArray().Single(r => r.GetProperty("name").GetString() == "Lomvi · generator");
        Assert.Equal("2E", row.GetProperty("voice").GetProperty("named")[0].GetProperty("point").GetString());
        var drift = await server.GetAsync($"/api/engines/{row.GetProperty("engineId").GetString()}/drift");
        var visits = drift.GetProperty("visits").EnumerateArray().ToList();
        var since = drift.GetProperty("points").EnumerateArray().Single(p => p.GetProperty("label").GetString() == "2E").GetProperty("changedAfterVisit").GetString();
        Assert.Equal(visits[^3].GetProperty("visitId").GetString(), since);
    }

    [Fact]
    public async Task Every_valvetrain_of_the_trade_has_an_engine_with_its_own_book_and_a_signed_record()
    {
        var types = (await server.GetAsync("/api/engine-types")).EnumerateArray().Where(t => t.GetProperty("engines").GetInt32() > 0).Select(t => t.GetProperty("id").GetString()).ToList();
        var styles = new HashSet<string>();
        foreach (var id in types)
        {
            var type = await server.GetAsync($"/api/engine-types/{id}");
            Assert.NotEmpty(type.GetProperty("kit").EnumerateArray());
            foreach (var point in type.GetProperty("points").EnumerateArray()) styles.Add(point.GetProperty("adjuster").GetString()! + (point.GetProperty("bridgeScrew").GetBoolean() ? " with a screw" : ""));
            if (type.GetProperty("cycle").GetString() == "twoStroke") styles.Add("two-stroke");
            if (type.GetProperty("pastTdcDeg").ValueKind == JsonValueKind.Number) styles.Add("past TDC");
            if (type.GetProperty("letters").GetString() == "einlassAuslass") styles.Add("E and A");
        }
        Assert.Superset(
            new HashSet<string> { "screwAtValve", "screwAtPushrod", "bridgeScrew", "bridgeScrew with a screw", "injectorScrew", "brakeScrew", "followerScrew", "eccentricShaft", "shimOnTop", "shimUnderBucket", "puck", "hydraulicPreload", "two-stroke", "past TDC", "E and A" },
            styles);
        var signed = (await server.GetAsync("/api/visits?open=false&take=200")).GetProperty("visits").EnumerateArray().Select(v => v.GetProperty("engineName").GetString()).ToHashSet();
        Assert.Superset(new HashSet<string?> { "Lorry 5", "Works van", "Lorry 6", "Island quad", "Hedge cutter", "Quay pump set", "Work boat", "Snow blower" }, signed);
    }

    [Fact]
    public async Task Every_try_of_the_demo_was_made_with_a_blade_of_its_tray()
    {
        foreach (var visit in (await server.GetAsync("/api/visits")).GetProperty("visits").EnumerateArray().Take(40))
        {
            var tray = new HashSet<string>();
            foreach (var entry in (await server.GetAsync($"/api/visits/{visit.GetProperty("visitId").GetString()}/entries")).GetProperty("entries").EnumerateArray())
            {
                if (entry.GetProperty("kind").GetString() == "opened") tray = [.. entry.GetProperty("tray").GetProperty("blades").EnumerateArray().Select(b => b.GetString()!)];
                if (entry.GetProperty("kind").GetString() != "tried") continue;
                var blades = entry.GetProperty("blades").EnumerateArray().Select(b => b.GetString()!).ToList();
                Assert.All(blades, blade => Assert.Contains(blade, tray));
                Assert.True(blades.Count <= 2 && blades.Distinct().Count() == blades.Count, string.Join('+', blades));
            }
        }
    }

    [Fact]
    public async Task The_trends_find_the_true_rates_within_their_errors()
    {
        using var folder = new TemporaryFolder();
        await using var context = new ZeroDriftContext(DatabaseFile.Options(Path.Combine(folder.Path, "z.db"), pooling: false).Options);
        await context.Database.MigrateAsync();
        var truth = await DemoData.FillAsync(context, DateOnly.FromDateTime(DateTime.UtcNow));

        var (inside, all) = (0, 0);
        foreach (var row in (await server.GetAsync("/api/due")).GetProperty("engines").EnumerateArray())
        {
            var engine = await server.GetAsync($"/api/engines/{row.GetProperty("engineId").GetString()}");
            foreach (var point in engine.GetProperty("points").EnumerateArray())
            {
                if (point.GetProperty("rate").ValueKind == JsonValueKind.Null) continue;
                var rate = point.GetProperty("rate");
                var error = rate.GetProperty("mmPer1000h").GetDouble() - truth[row.GetProperty("name").GetString()!][point.GetProperty("label").GetString()!];
                all++;
                if (Math.Abs(error) <= 1.645 * rate.GetProperty("standardErrorMmPer1000h").GetDouble()) inside++;
            }
        }

        Assert.True(all > 150, $"only {all} points have a rate");
        // Nine in ten are promised; one slipped locknut and one rebuild are in the sample.
        Assert.InRange((double)inside / all, 0.80, 0.995);
    }

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    public async Task A_fleet_with_a_short_history_is_filled_too(int years)
    {
        var folder = Directory.CreateTempSubdirectory("zero-drift-short-").FullName;
        await DataFile.OpenAsync(folder, DateTime.UtcNow, _ => { }, data => DemoData.FillAsync(data, DateOnly.FromDateTime(DateTime.UtcNow), 36, years));

        await using (var data = new ZeroDriftContext(DatabaseFile.Options(Path.Combine(folder, DataFile.Name), pooling: false).Options))
        {
            Assert.Equal(36, await data.Engines.CountAsync());
            Assert.True(await data.Visits.CountAsync() > 20);
            // No engine is without its yard row, and no visit is dated before the history begins.
            Assert.Equal(36, await data.Outlooks.CountAsync());
            var first = DateOnly.FromDateTime(DateTime.UtcNow).AddYears(-years);
            Assert.Equal(0, await data.Visits.CountAsync(v => v.Date < first));
        }
        Directory.Delete(folder, true);
    }

    public void Dispose() => server.Dispose();
}

internal sealed class TemporaryFolder : IDisposable
{
    public string Path { get; } = Directory.CreateTempSubdirectory("zero-drift-demo-").FullName;

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(Path, true);
    }
}
