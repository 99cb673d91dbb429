using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>A four-point twin typed into the book, put in the yard and opened: the smallest engine with two stops.</summary>
internal sealed class TwinEngine(ServerWithFile server)
{
    public Guid TypeId { get; } = Guid.CreateVersion7();

    public Guid EngineId { get; } = Guid.CreateVersion7();

    public Guid OverheadId { get; private set; } = Guid.CreateVersion7();

    public Dictionary<string, Guid> Points { get; } = [];

    public static object Type(Guid id, string code = "TW2", string order = "1 2", string layout = "I E I E") => new
    {
        id,
        code,
        name = "Test twin",
        firingOrder = order,
        layout,
        adjuster = "screwAtValve",
        pitchMm = 1.0,
        method = "twoStop",
        bookHours = 1000,
        spec = new
        {
            revision = "A",
            source = "workshop manual",
            date = "2015-01-01",
            condition = "cold",
            lines = new[] { new { kind = "intake", min = "0.15", max = "0.25", set = "0.20", unit = "mm" }, new { kind = "exhaust", min = "0.35", max = "0.45", set = "0.40", unit = "mm" } },
        },
    };

    public async Task<TwinEngine> AddAsync(string name = "Pump twin")
    {
        var (typed, _) = await server.PostAsync("/api/engine-types", Type(TypeId));
        Assert.Equal(HttpStatusCode.Created, typed);
        var (added, engine) = await server.PostAsync("/api/engines", new { id = EngineId, name, machine = "generator", site = "Depot", engineTypeId = TypeId, dutyHoursPerDay = 5 });
        Assert.Equal(HttpStatusCode.Created, added);
        foreach (var point in engine.GetProperty("points").EnumerateArray()) Points[point.GetProperty("label").GetString()!] = point.GetProperty("id").GetGuid();
        return this;
    }

    public async Task<TwinEngine> OpenAsync(double hours = 1000, string job = "overhead")
    {
        OverheadId = Guid.CreateVersion7();
        var (status, body) = await server.PutAsync($"/api/overheads/{OverheadId}", new { engineId = EngineId, job, shownHours = hours, who = "Marit", tray = new[] { "0.15", "0.20", "0.25", "0.30", "0.35", "0.40", "0.45" }, trayUnit = "mm" });
        Assert.True(status == HttpStatusCode.OK, body.ToString());
        foreach (var key in body.GetProperty("makeSafe").EnumerateArray().Concat(body.GetProperty("closeUp").EnumerateArray()).Select(c => c.GetProperty("key").GetString()))
            await server.PutAsync($"/api/overheads/{OverheadId}/ticks", new { key, on = true });
        await server.PutAsync($"/api/overheads/{OverheadId}/condition", new { condition = "cold", engineTemperatureC = 15 });
        return this;
    }

    public Task<(HttpStatusCode Status, JsonElement Body)> KeepAsync(string point, string stage, string figure, string who = "Marit", Guid? id = null) =>
        server.PutAsync($"/api/overheads/{OverheadId}/readings/{id ?? Guid.CreateVersion7()}", new { pointId = Points[point], stage, figure, unit = "mm", who, keep = true });

    public async Task MeasureAllAsync(string intake = "0.20", string exhaust = "0.40")
    {
        foreach (var point in Points.Keys)
        {
            var (status, body) = await KeepAsync(point, "asFound", point.EndsWith('I') ? intake : exhaust);
            Assert.True(status == HttpStatusCode.OK, body.ToString());
        }
    }

    public Task<(HttpStatusCode Status, JsonElement Body)> SignAsync(string who = "Marit") => server.PutAsync($"/api/overheads/{OverheadId}/signature", new { who });
}
