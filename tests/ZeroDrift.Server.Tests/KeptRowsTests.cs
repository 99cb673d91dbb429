using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data;
using ZeroDrift.Data.Projections;
using ZeroDrift.Data.Writing;

namespace ZeroDrift.Server.Tests;

/// <summary>Whatever door a write comes in by, what is kept afterwards of every visit and every engine is what a rebuild makes of entries, meters and book.</summary>
public sealed class KeptRowsTests : IDisposable
{
    private readonly ServerWithFile server = new();

    [Fact]
    public async Task Every_write_of_the_document_leaves_what_a_rebuild_makes()
    {
        var yard = await new KeptYard(server, 1).AddAsync();
        Assert.Equal(await WritingOperationsAsync(), yard.Writes.Keys.Order(StringComparer.Ordinal));

        foreach (var (operation, write) in yard.Writes)
        {
            var status = await write();
            Assert.True((int)status < 500, $"{operation}: {status}");
            if (KeptYard.Told.Contains(operation)) Assert.True((int)status < 300, $"{operation}: {status}");
            await RowsStandAsync(operation);
        }
    }

    [Theory]
    [Trait("Length", "long")]
    [InlineData(2)]
    [InlineData(3)]
    public async Task In_any_order_too(int seed)
    {
        var yard = await new KeptYard(server, seed).AddAsync();
        var random = new Random(seed);
        var taken = 0;
        var history = new List<string>();
        for (var i = 0; i < 40; i++)
        {
            var operation = KeptYard.Told[random.Next(KeptYard.Told.Count)];
            var status = await yard.Writes[operation]();
            history.Add($"{operation} {(int)status}");
            Assert.True((int)status < 500, string.Join(", ", history));
            if ((int)status < 300) taken++;
            await RowsStandAsync(string.Join(", ", history));
        }
        Assert.True(taken > 20, string.Join(", ", history));
    }

    private async Task<IEnumerable<string>> WritingOperationsAsync() =>
        from path in (await server.GetAsync("/openapi/v1.json")).GetProperty("paths").EnumerateObject()
        where !path.Name.Contains("/calc/", StringComparison.Ordinal)
        from method in path.Value.EnumerateObject()
        where method.Name is "post" or "put" or "delete"
        let id = method.Value.GetProperty("operationId").GetString()!
        orderby id
        select id;

    /// <summary>Compares, and once more while a large type may still be fitted in the background.</summary>
    private async Task RowsStandAsync(string after)
    {
        var differs = await DiffersAsync();
        for (var waited = 0; waited < 40 && differs.Count > 0; waited++)
        {
            await Task.Delay(150);
            differs = await DiffersAsync();
        }
        Assert.True(differs.Count == 0, $"After {after}:\n{string.Join('\n', differs.Take(6).Select(r => r[..Math.Min(r.Length, 900)]))}");
    }

    /// <summary>Rebuilds inside a transaction that is taken back.</summary>
    private async Task<List<string>> DiffersAsync()
    {
        List<string> before = [], rebuilt = [];
        await Assert.ThrowsAsync<TakenBackException>(() => server.Service<WriteGate>().RunAsync(async data =>
        {
            before = await RowsAsync(data);
            await Projector.AllAsync(data, DateOnly.FromDateTime(DateTime.UtcNow));
            rebuilt = await RowsAsync(data);
            throw new TakenBackException();
        }));
        return [.. before.Except(rebuilt).Select(r => $"kept    {r}"), .. rebuilt.Except(before).Select(r => $"rebuilt {r}")];
    }

    private static async Task<List<string>> RowsAsync(ZeroDriftContext data) =>
    [
        .. (await data.Visits.AsNoTracking().ToListAsync()).Select(r => Line("visit", r)),
        .. (await data.Readings.AsNoTracking().ToListAsync()).Select(r => Line("reading", r)),
        .. (await data.Marks.AsNoTracking().ToListAsync()).Select(r => Line("mark", r)),
        .. (await data.VisitInstruments.AsNoTracking().ToListAsync()).Select(r => Line("instrument", r)),
        .. (await data.SameGaps.AsNoTracking().ToListAsync()).Select(r => Line("gap", r)),
        .. (await data.LockPairs.AsNoTracking().ToListAsync()).Select(r => Line("lock", r)),
        .. (await data.Outlooks.AsNoTracking().ToListAsync()).Select(r => $"outlook {r.EngineId} {r.EngineTypeId} {r.Content} {r.Said}"),
        .. (await data.TypeFits.AsNoTracking().ToListAsync()).Select(r => Line("fit", r)),
        .. (await data.Jobs.AsNoTracking().ToListAsync()).Select(r => $"job {r.Id} {r.State} {r.VisitId}"),
        .. (await data.Calls.AsNoTracking().ToListAsync()).Select(r => $"report {r.Id} {r.ClosedAt:O} {r.VisitId}"),
        .. (await data.ShimPlaces.AsNoTracking().ToListAsync()).Select(r => $"shim {r.JobId} {r.Point} {r.OverActId}"),
    ];

    private static string Line<T>(string what, T row) => $"{what} {JsonSerializer.Serialize(row)}";

    public void Dispose() => server.Dispose();

    private sealed class TakenBackException : Exception;
}
