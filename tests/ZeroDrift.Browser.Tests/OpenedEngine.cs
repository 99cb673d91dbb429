using System.Text.Json;

namespace ZeroDrift.Browser.Tests;

/// <summary>A type of a test's own with an engine of it, opened on the screen, made safe and cold; and what the server has of its visit.</summary>
internal sealed class OpenedEngine(Screen screen, TwinFleet fleet)
{
    public Guid EngineId { get; } = Guid.CreateVersion7();

    /// <summary>Where the visit is shown.</summary>
    public string VisitId => new Uri(screen.Driver.Url).Segments.First(s => Guid.TryParse(s.Trim('/'), out _)).Trim('/');

    /// <summary>The type with an engine of it in the yard.</summary>
    public async Task AddAsync(object type, string machine = "lorry")
    {
        await fleet.AddAsync();
        var typeId = Guid.CreateVersion7();
        var request = new Dictionary<string, object?>
        {
            ["id"] = typeId,
            ["code"] = "S1",
            ["name"] = "Test engine",
            ["adjuster"] = "screwAtValve",
            ["pitchMm"] = 1.0,
            ["bookHours"] = 1000,
            ["rotation"] = "clockwise seen from the front",
            ["spec"] = new { revision = "A", source = "workshop manual", date = "2015-01-01", condition = "cold", lines = new[] { new { kind = "intake", single = "0.30", unit = "mm" }, new { kind = "exhaust", single = "0.30", unit = "mm" } } },
        };
        foreach (var field in JsonSerializer.SerializeToElement(type).EnumerateObject()) request[field.Name] = field.Value;
        await fleet.PostAsync("/api/engine-types", request);
        await fleet.PostAsync("/api/engines", new { id = EngineId, name = "Pump", machine, site = "Depot", engineTypeId = typeId, dutyHoursPerDay = 5 });
    }

    /// <summary>Opened by Tove for a job, made safe, cold, its covers off.</summary>
    public void Open(string job = "overhead", string hours = "120", bool opensUp = true)
    {
        screen.Open($"/engines/{EngineId}/open?job={job}");
        screen.Fill("Hour meter shows now", hours);
        screen.Choose("Who does the work", "Tove");
        screen.Press("Open the engine");
        screen.TickAll("Make it safe");
        screen.Fill("Engine temperature", "14");
        screen.Press("It is cold: go on");
        if (opensUp) screen.TickAll("Open up");
    }

    /// <summary>Everything ticked at the end, and the name under it.</summary>
    public void Sign(string job = "overhead")
    {
        screen.TickAll("Close up");
        screen.Press($"Sign the {job}");
        screen.See("Signed by Tove");
    }

    /// <summary>The visit as the server has it, once it is signed there.</summary>
    public async Task<JsonElement> SignedAsync()
    {
        JsonElement visit = default;
        for (var i = 0; i < 60 && (visit.ValueKind == JsonValueKind.Undefined || visit.GetProperty("state").GetString() != "signed"); i++)
        {
            await Task.Delay(500);
            visit = await fleet.GetAsync($"/api/visits/{VisitId}");
        }
        Assert.Equal("signed", visit.GetProperty("state").GetString());
        return visit;
    }

    /// <summary>A point of a visit.</summary>
    public static JsonElement Point(JsonElement visit, string label) => visit.GetProperty("sheet").GetProperty("points").EnumerateArray().First(p => p.GetProperty("label").GetString() == label);
}
