using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data;

namespace ZeroDrift.Server.Tests;

/// <summary>A file of the last step before the first release, with a meter put right, a report, a job and a drawer typed in, and what that version told of it: all of it is carried over.</summary>
public sealed class EarlierFileTests : IDisposable
{
    private readonly TemporaryFolder folder = new();

    [Fact]
    public async Task Every_row_is_carried_over_and_what_was_told_of_it_is_told_still()
    {
        using var server = Carried();
        using var told = JsonDocument.Parse(ReferenceFile.Read("v3", "told.json.gz"));

        var engines = (await server.GetAsync("/api/due")).GetProperty("engines").EnumerateArray().ToDictionary(e => e.GetProperty("engineId").GetGuid());
        foreach (var before in told.RootElement.GetProperty("engines").EnumerateArray())
            foreach (var field in (string[])["name", "shownHours", "site", "typeCode"]) Same(before, engines[before.GetProperty("engineId").GetGuid()], field);
        var visits = (await server.GetAsync("/api/visits?take=200")).GetProperty("visits").EnumerateArray().ToDictionary(v => v.GetProperty("visitId").GetGuid());
        Assert.True(visits.Count > 20);
        foreach (var before in told.RootElement.GetProperty("visits").EnumerateArray())
            foreach (var field in (string[])["engineId", "job", "date", "state", "head", "shownHours", "found"]) Same(before, visits[before.GetProperty("visitId").GetGuid()], field);
        var engine = await server.GetAsync($"/api/engines/{told.RootElement.GetProperty("engine").GetGuid()}");
        var meter = engine.GetProperty("meter").EnumerateArray().ToDictionary(m => m.GetProperty("id").GetGuid());
        foreach (var before in told.RootElement.GetProperty("meter").EnumerateArray())
            foreach (var field in (string[])["date", "shownHours", "newMeterShows", "withdrawn", "replacesId", "why", "visitId"]) Same(before, meter[before.GetProperty("id").GetGuid()], field);
        Assert.Equal(told.RootElement.GetProperty("jobs").EnumerateArray().Select(j => j.GetProperty("id").GetGuid()), (await server.GetAsync("/api/jobs")).EnumerateArray().Select(j => j.GetProperty("id").GetGuid()));
        Assert.Contains(engines.Values, e => e.GetProperty("calls").GetArrayLength() == 1);
        Assert.Equal(ReferenceFile.Read("v3", "export.csv.gz"), await server.Client.GetStringAsync("/api/logbook/export"));
    }

    [Fact]
    public async Task It_has_the_tables_of_the_first_release_and_the_file_of_before_lies_beside_it()
    {
        using var server = Carried();
        await using var data = new ZeroDriftContext(ZeroDrift.Data.Storage.DatabaseFile.Options(Path.Combine(folder.Path, "zerodrift.db"), pooling: false).Options);

        Assert.EndsWith("_FirstRelease", (await data.Database.GetAppliedMigrationsAsync()).First(), StringComparison.Ordinal);
        Assert.Empty(await data.Database.GetPendingMigrationsAsync());
        Assert.Empty(await data.Database.SqlQueryRaw<string>("SELECT \"table\" AS Value FROM pragma_foreign_key_check").ToListAsync());
        await Assert.ThrowsAsync<Microsoft.Data.Sqlite.SqliteException>(() => data.Database.ExecuteSqlRawAsync("UPDATE ShimMovements SET Change = 7"));
        await Assert.ThrowsAsync<Microsoft.Data.Sqlite.SqliteException>(() => data.Database.ExecuteSqlRawAsync("UPDATE MeterReadings SET VisitId = X'00112233445566778899AABBCCDDEEFF' WHERE Sequence = 1"));
        Assert.Single(Directory.GetFiles(folder.Path, "zerodrift.db.before-*"));
    }

    public void Dispose() => folder.Dispose();

    private ServerWithFile Carried()
    {
        ReferenceFile.Unpack("v3", "zerodrift.db.gz", Path.Combine(folder.Path, "zerodrift.db"));
        return new ServerWithFile(false, folder.Path);
    }

    private static void Same(JsonElement before, JsonElement now, string field) => Assert.True(JsonElement.DeepEquals(before.GetProperty(field), now.GetProperty(field)), $"{field}: {before.GetProperty(field)} -> {now.GetProperty(field)}");
}
