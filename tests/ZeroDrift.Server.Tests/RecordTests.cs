using System.Net;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data;
using ZeroDrift.Data.Projections;
using ZeroDrift.Data.Starting;
using ZeroDrift.Data.Storage;
using ZeroDrift.Data.Writing;

namespace ZeroDrift.Server.Tests;

/// <summary>What a signed visit leaves: standing figures, corrections, the meter, the trend.</summary>
public sealed class RecordTests : IDisposable
{
    private readonly ServerWithFile server = new();

    [Fact]
    public async Task A_correction_of_a_figure_reaches_the_standing_and_the_finding()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        await twin.MeasureAllAsync();
        await twin.SignAsync();
        var target = (await twin.SheetAsync("1E")).GetProperty("found").GetProperty("lastEntry").GetGuid();

        await twin.TakeAsync(twin.Entry("corrected", new { entry = target, why = "Read off the wrong blade.", fields = new { figure = "0.30", unit = "mm" } }, twin.Olav));

        var point = await twin.SheetAsync("1E");
        Assert.Equal(("0.30", "0.40"), (point.GetProperty("found").GetProperty("written").GetString(), point.GetProperty("corrected")[0].GetProperty("before").GetProperty("written").GetString()));
        var row = (await server.GetAsync("/api/due")).GetProperty("engines")[0];
        Assert.Equal(("1E", "tight"), (row.GetProperty("findings")[0].GetProperty("point").GetString(), row.GetProperty("findings")[0].GetProperty("state").GetString()));
        Assert.Equal(1, (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("ledger")[0].GetProperty("corrections").GetInt32());
    }

    [Fact]
    public async Task A_correction_of_the_hours_moves_the_visit_and_the_meter()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync(1000);
        await twin.MeasureAllAsync();
        await twin.SignAsync();
        var opened = (await server.GetAsync($"/api/visits/{twin.VisitId}/entries")).GetProperty("entries")[0].GetProperty("id").GetGuid();

        await twin.TakeAsync(twin.Entry("corrected", new { entry = opened, why = "A digit too many.", fields = new { shownHours = 100 } }));

        var engine = await server.GetAsync($"/api/engines/{twin.EngineId}");
        Assert.Equal((100.0, 100.0), (engine.GetProperty("totalHours").GetDouble(), engine.GetProperty("ledger")[0].GetProperty("totalHours").GetDouble()));
        Assert.Equal(100, engine.GetProperty("meter").EnumerateArray().Single().GetProperty("shownHours").GetDouble());
    }

    [Fact]
    public async Task Leaving_a_valve_out_of_its_window_is_a_finding_everywhere()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        await twin.MeasureAllAsync(exhaust: "0.30");
        foreach (var point in (string[])["1E", "2E"]) await twin.TakeAsync(twin.Entry("outcome", new { point, outcome = "leftSo", why = "No time before sailing." }));
        await twin.SignAsync();

        var row = (await server.GetAsync("/api/due")).GetProperty("engines")[0];
        Assert.Equal("finding", row.GetProperty("decides").GetProperty("rule").GetString());
        var point1 = (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("points").EnumerateArray().First(p => p.GetProperty("label").GetString() == "1E");
        Assert.Equal("tight", point1.GetProperty("standing").GetString());
    }

    [Fact]
    public async Task A_warm_visit_is_in_no_rate_until_it_is_answered_otherwise()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        await twin.MeasureAllAsync();
        await twin.SignAsync();

        await twin.TakeAsync(twin.Entry("answered", new { question = "warm", answer = "yes" }));
        Assert.Equal("warm", (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("ledger")[0].GetProperty("answer").GetString());
        await twin.TakeAsync(twin.Entry("answered", new { question = "warm", answer = "no" }));
        Assert.Equal("counts", (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("ledger")[0].GetProperty("answer").GetString());
    }

    [Fact]
    public async Task A_shim_is_never_told_to_be_turned()
    {
        var twin = new TwinEngine(server);
        await (await twin.AddAsync(type: TwinEngine.Type(twin.TypeId, adjuster: "shimUnderBucket"))).OpenAsync();
        await twin.MeasureAllAsync(exhaust: "0.30");

        var advice = (await twin.SheetAsync("1E")).GetProperty("advice");
        Assert.Equal(JsonValueKind.Null, advice.GetProperty("turn").ValueKind);
        Assert.DoesNotContain("°", advice.GetProperty("sentence").GetString(), StringComparison.Ordinal);
        await twin.TakeAsync(twin.Entry("shimRead", new { point = "1E", stage = "asFound", thickness = "2.81", unit = "mm", how = "micrometer" }));
        Assert.Equal(2.71, (await twin.SheetAsync("1E")).GetProperty("advice").GetProperty("shim").GetProperty("exactMm").GetDouble(), 9);
    }

    [Fact]
    public async Task A_replaced_meter_carries_the_total_on_and_hours_below_the_last_are_refused()
    {
        var twin = await new TwinEngine(server).AddAsync();
        await server.PostAsync($"/api/engines/{twin.EngineId}/meter-readings", new { hours = 5000, newMeterShows = 10, date = "2026-11-10" });

        var (_, refused) = await twin.SendAsync(twin.Opened(5));
        Assert.Equal("hoursBackwards", refused.GetProperty("outcomes")[0].GetProperty("problem").GetProperty("code").GetString());
        await twin.OpenAsync(12);

        Assert.Equal(5002, (await twin.ViewAsync()).GetProperty("sheet").GetProperty("totalHours").GetDouble(), 6);
    }

    [Fact]
    public async Task A_misread_meter_is_put_right_and_the_old_figure_stays_in_sight()
    {
        var twin = await new TwinEngine(server).AddAsync();
        var (id, wrong) = (Guid.CreateVersion7(), Guid.CreateVersion7());
        await server.PostAsync($"/api/engines/{twin.EngineId}/meter-readings", new { id = wrong, hours = 9000, date = "2026-11-01" });
        var path = $"/api/engines/{twin.EngineId}/meter-readings/{wrong}";

        Assert.Equal(HttpStatusCode.BadRequest, (await server.PutAsync(path, new { hours = 900 })).Status);
        var (status, engine) = await server.PutAsync(path, new { id, hours = 900, why = "A nought too many." });
        var (again, _) = await server.PutAsync(path, new { id, hours = 900, why = "A nought too many." });
        var (late, _) = await server.PutAsync(path, new { hours = 901, why = "No, one more." });

        Assert.Equal((HttpStatusCode.OK, HttpStatusCode.OK, HttpStatusCode.Conflict), (status, again, late));
        Assert.Equal(900, engine.GetProperty("totalHours").GetDouble());
        Assert.Equal([false, true], engine.GetProperty("meter").EnumerateArray().Select(m => m.GetProperty("withdrawn").GetBoolean()).Order());
    }

    [Fact]
    public async Task Entries_are_never_changed_nor_deleted_by_anyone()
    {
        await (await new TwinEngine(server).AddAsync()).OpenAsync();
        await using var data = new ZeroDriftContext(DatabaseFile.Options(Path.Combine(server.Folder, DataFile.Name)).Options);

        await Assert.ThrowsAsync<Microsoft.Data.Sqlite.SqliteException>(() => data.Database.ExecuteSqlRawAsync("UPDATE Entries SET Content = 'x'"));
        await Assert.ThrowsAsync<Microsoft.Data.Sqlite.SqliteException>(() => data.Database.ExecuteSqlRawAsync("DELETE FROM Entries"));
        await data.Database.ExecuteSqlRawAsync("DROP TRIGGER Entries_never_change");
        server.Restart();
        await Assert.ThrowsAsync<Microsoft.Data.Sqlite.SqliteException>(() => data.Database.ExecuteSqlRawAsync("UPDATE Entries SET Content = 'x'"));
    }

    [Fact]
    [Trait("Length", "long")]
    public async Task Projections_are_rebuilt_from_the_entries_to_the_same()
    {
        using var demo = new ServerWithFile(demo: true);
        var gate = demo.Service<WriteGate>();
        var before = await Everything(gate);

        await gate.RunAsync(data => Projector.AllAsync(data, DateOnly.FromDateTime(DateTime.UtcNow)));

        Assert.Equal(before, await Everything(gate));

        static Task<List<string>> Everything(WriteGate gate) => gate.RunAsync(async data =>
        {
            var rows = (await data.Visits.AsNoTracking().OrderBy(v => v.Key).ToListAsync()).Select(v => JsonSerializer.Serialize(v)).ToList();
            rows.AddRange((await data.Readings.AsNoTracking().OrderBy(r => r.VisitKey).ThenBy(r => r.Point).ThenBy(r => r.Stage).ToListAsync()).Select(r => JsonSerializer.Serialize(r)));
            rows.AddRange((await data.Outlooks.AsNoTracking().ToListAsync()).OrderBy(o => o.EngineId).Select(o => $"{o.EngineId} {o.Content}"));
            return rows;
        });
    }

    public void Dispose() => server.Dispose();
}
