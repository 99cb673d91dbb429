using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>A twin with shims under its buckets, and a drawer: the smallest shim job there is.</summary>
internal sealed class ShimTwin(ServerWithFile server)
{
    public TwinEngine Engine { get; private set; } = new(server);

    public Guid Kit { get; private set; }

    public static readonly double[] Series = [.. Enumerable.Range(0, 19).Select(i => Math.Round(2.30 + i * 0.05, 2))];

    /// <summary>An engine, and a kit of these sizes beside it.</summary>
    public async Task<ShimTwin> AddAsync(params string[] loose)
    {
        await Engine.AddAsync(type: Type(Engine.TypeId));
        Kit = await DrawerAsync("Kit");
        foreach (var size in loose) await PutAsync(size);
        return this;
    }

    /// <summary>Another engine of the same type beside it.</summary>
    public async Task<TwinEngine> SisterAsync(string name)
    {
        var sister = new TwinEngine(server) { TypeId = Engine.TypeId };
        return await sister.AddAsync(name, Type(Engine.TypeId));
    }

    public async Task<Guid> DrawerAsync(string name)
    {
        var (status, body) = await server.PostAsync("/api/shim-drawers", new { name, site = "Depot", kind = "kit" });
        Assert.True(status == HttpStatusCode.Created, body.ToString());
        return body.GetProperty("id").GetGuid();
    }

    public async Task PutAsync(string size, int count = 1, string kind = "in") =>
        Assert.Equal(HttpStatusCode.OK, (await server.PostAsync($"/api/shim-drawers/{Kit}/movements", new { kind, access = "underBucket", diameterMm = 9, size, count, knownBy = "micrometer", who = "Tove" })).Status);

    /// <summary>Opens an engine, reads every shim and every gap; "3.00 0.09" is a shim and its gap.</summary>
    public async Task MeasureAsync(TwinEngine engine, params (string Point, string Shim, string Gap)[] points)
    {
        await engine.OpenAsync(date: "2026-11-20");
        foreach (var (point, shim, gap) in points)
        {
            if (shim.Length > 0) await engine.TakeAsync(engine.Entry("shimRead", new { point, stage = "asFound", thickness = shim, unit = "mm", how = "micrometer" }));
            if (gap.Length > 0) await engine.TakeAsync(engine.Figure(point, gap));
        }
    }

    public Task MeasureAsync() => MeasureAsync(Engine, ("1I", "2.70", "0.20"), ("1E", "2.80", "0.30"), ("2I", "2.60", "0.10"), ("2E", "2.70", "0.40"));

    /// <summary>The points that change wait, and the visit is signed.</summary>
    public async Task LeaveWaitingAsync(params string[] points)
    {
        foreach (var point in points) await Engine.TakeAsync(Engine.Entry("outcome", new { point, outcome = "awaiting", why = "shims on order" }));
        await Engine.SignAsync();
    }

    public async Task<JsonElement> BenchAsync(object? more = null, params TwinEngine[] engines)
    {
        var (status, body) = await TryBenchAsync(more, engines);
        Assert.True(status == HttpStatusCode.OK, body.ToString());
        return body;
    }

    public Task<(HttpStatusCode Status, JsonElement Body)> TryBenchAsync(object? more = null, params TwinEngine[] engines) => server.PostAsync("/api/shim-bench", Request(more, engines));

    /// <summary>Decides what the bench shows.</summary>
    public async Task<(HttpStatusCode Status, JsonElement Body)> DecideAsync(JsonElement? bench = null, string expectedOn = "soon", object? more = null)
    {
        var seen = (bench ?? await BenchAsync(more)).GetProperty("points").EnumerateArray().Where(p => p.GetProperty("from").GetString() is { } from && from != "own")
            .Select(p => new { point = p.GetProperty("id").GetString(), shimMm = p.GetProperty("shimMm").GetDouble() }).ToList();
        var day = expectedOn == "soon" ? DateOnly.FromDateTime(DateTime.UtcNow.AddDays(4)).ToString("yyyy-MM-dd") : expectedOn;
        return await server.PostAsync("/api/shim-jobs", new { bench = Request(more), seen, who = "Tove", drawerId = Kit, expectedOn = day });
    }

    public async Task<JsonElement> DecidedAsync(object? more = null)
    {
        var (status, body) = await DecideAsync(more: more);
        Assert.True(status == HttpStatusCode.Created, body.ToString());
        return body;
    }

    public Task<(HttpStatusCode Status, JsonElement Body)> HappensAsync(Guid job, object what) => server.PostAsync($"/api/shim-jobs/{job}/events", what);

    public async Task<IReadOnlyList<(double, int)>> LiesInKitAsync() =>
        [.. (await server.GetAsync("/api/shim-drawers")).EnumerateArray().First(d => d.GetProperty("id").GetGuid() == Kit).GetProperty("held").EnumerateArray().Select(h => (h.GetProperty("sizeMm").GetDouble(), h.GetProperty("count").GetInt32()))];

    private object Request(object? more, params TwinEngine[] engines)
    {
        var request = JsonSerializer.SerializeToNode(more ?? new { })!.AsObject();
        request["visits"] = new System.Text.Json.Nodes.JsonArray([.. (engines.Length > 0 ? engines : [Engine]).Select(e => (System.Text.Json.Nodes.JsonNode)e.VisitId.ToString())]);
        return request;
    }

    public static object Type(Guid id, double[]? sizes = null) => new
    {
        id,
        code = "SB2",
        name = "Test twin, shims",
        firingOrder = "1 2",
        layout = "I E I E",
        adjuster = "shimUnderBucket",
        method = "twoStop",
        bookHours = 1000,
        shimSizesMm = sizes ?? Series,
        shimDiameterMm = 9,
        spec = new
        {
            revision = "A",
            source = "workshop manual",
            date = "2015-01-01",
            condition = "cold",
            lines = new object[] { new { kind = "intake", min = "0.15", max = "0.25", set = "0.20", unit = "mm" }, new { kind = "exhaust", min = "0.35", max = "0.45", set = "0.40", unit = "mm" } },
        },
    };
}
