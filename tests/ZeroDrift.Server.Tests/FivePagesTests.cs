using System.Globalization;
using System.Text;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>Yard, engine, drift, due list and planner say the same of one engine on one day.</summary>
public sealed class FivePagesTests
{
    private static readonly DateOnly Today = DateOnly.FromDateTime(DateTime.UtcNow);

    [Fact]
    public async Task Of_the_demo()
    {
        using var demo = new ServerWithFile(demo: true);
        await AgreeAsync(demo);
    }

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public async Task Of_a_fleet_of_random_lives_brought_in_as_a_logbook(int seed)
    {
        using var server = new ServerWithFile();
        var random = new Random(seed);
        var type = Guid.CreateVersion7();
        var twin = new TwinEngine(server) { TypeId = type };
        await twin.AddAsync("Pump 0", TwinEngine.Type(type));
        var engines = new List<(string Name, double Hours)>();
        var book = new StringBuilder("engine,date,engine hours,cylinder,valve,as found,as left,unit,who\n");
        for (var i = 0; i < 9; i++)
        {
            if (i > 0) await server.PostAsync("/api/engines", new { name = $"Pump {i}", machine = "pump", site = "Depot", engineTypeId = type, dutyHoursPerDay = 1 + random.Next(8) });
            engines.Add(($"Pump {i}", Life(book, $"Pump {i}", random)));
        }
        var (_, report) = await server.PostFileAsync("/api/logbook/import", book.ToString());
        Assert.True(report.TryGetProperty("saved", out var saved) && saved.GetBoolean(), report.ToString());
        // Some are read today, some long ago, some never since.
        foreach (var (name, hours) in engines.Where(_ => random.Next(3) > 0)) await server.PostFileAsync("/api/hours/import", string.Create(CultureInfo.InvariantCulture, $"engine,date,hours\n{name},{Today.AddDays(-random.Next(60)):yyyy-MM-dd},{hours + random.Next(120):0}\n"));
        await server.PostAsync("/api/jobs/from-due", new { });

        await AgreeAsync(server);
    }

    /// <summary>Writes a life down; wear of a pump's own, one valve in ten that goes on faster, now and then a bracket or a misread figure.</summary>
    private static double Life(StringBuilder book, string name, Random random)
    {
        var (day, hours) = (Today.AddDays(-900 - random.Next(300)), 100.0 + random.Next(400));
        var gap = new Dictionary<string, double> { ["1I"] = 0.20, ["1E"] = 0.40, ["2I"] = 0.20, ["2E"] = 0.40 };
        var rate = gap.Keys.ToDictionary(p => p, _ => -0.02 * (0.5 + random.NextDouble()) * (random.Next(10) == 0 ? 4 : 1));
        for (var visit = 0; visit < 3 + random.Next(3); visit++)
        {
            foreach (var point in gap.Keys)
            {
                var found = Math.Max(0.03, gap[point] + (random.NextDouble() - 0.5) * 0.02 + (random.Next(40) == 0 ? 0.1 : 0));
                var set = Math.Abs(found - (point[1] == 'I' ? 0.20 : 0.40)) > 0.04;
                var written = random.Next(4) == 0 ? string.Create(CultureInfo.InvariantCulture, $"{Math.Floor(found * 20) / 20:0.00}-{(Math.Floor(found * 20) + 1) / 20:0.00}") : found.ToString("0.00", CultureInfo.InvariantCulture);
                var left = set ? point[1] == 'I' ? "0.20" : "0.40" : written;
                book.Append(CultureInfo.InvariantCulture, $"{name},{day:yyyy-MM-dd},{hours:0},{point[0]},{point[1]},{written},{left},mm,Marit\n");
                if (set) gap[point] = point[1] == 'I' ? 0.20 : 0.40;
            }
            var run = 300 + random.Next(500);
            day = day.AddDays(100 + random.Next(100));
            hours += run;
            foreach (var point in gap.Keys) gap[point] += rate[point] * run / 1000;
        }
        return hours;
    }

    private static async Task AgreeAsync(ServerWithFile server)
    {
        var due = await SettledAsync(server);
        var jobs = (await server.GetAsync("/api/jobs")).EnumerateArray().ToLookup(j => j.GetProperty("engineId").GetString());
        foreach (var row in due.GetProperty("engines").EnumerateArray())
        {
            var id = row.GetProperty("engineId").GetString()!;
            var engine = (await server.GetAsync($"/api/engines/{id}")).GetProperty("row");
            var drift = await server.GetAsync($"/api/engines/{id}/drift");
            foreach (var name in (string[])["voice", "decides", "others", "hoursToday", "findings", "openAfterHours", "driftsBeforeBook"]) Assert.Equal(Said(row, name), Said(engine, name));
            Assert.Equal((Said(row, "voice"), Said(row, "openAfterHours"), Said(row, "driftHours"), Said(row, "driftsBeforeBook"), Said(row, "bookHoursLeft")), (Said(drift, "voice"), Said(drift, "openAfterHours"), Said(drift, "riskHours"), Said(drift, "beforeBook"), Said(drift, "bookHoursLeft")));
            var foundTight = row.GetProperty("findings").EnumerateArray().Any(f => f.GetProperty("state").GetString() == "tight");
            Assert.All(jobs[id], job => Assert.Equal(foundTight, job.GetProperty("foundTight").GetBoolean()));
            // A job made of what is due stands on its day.
            Assert.All(jobs[id].Where(j => Said(j, "rule") == Said(row.GetProperty("decides"), "rule") && j.GetProperty("title").GetString() == "Overhead" && row.GetProperty("findings").GetArrayLength() == 0), job => Assert.Equal(Said(row.GetProperty("decides"), "date"), Said(job, "dueDate")));
            // Nothing is out of the ordinary only where nothing was found, nothing is raised and nothing asks.
            var voice = row.GetProperty("voice");
            Assert.Equal(!voice.GetProperty("raised").GetBoolean() && new[] { "named", "foundOut", "lookAgain" }.All(n => voice.GetProperty(n).GetArrayLength() == 0), voice.GetProperty("ordinary").GetBoolean());
            Assert.All(row.GetProperty("findings").EnumerateArray(), f => Assert.False(voice.GetProperty("ordinary").GetBoolean(), $"{id}: {f}"));
        }
        var early = due.GetProperty("engines").EnumerateArray().Where(r => r.GetProperty("driftsBeforeBook").GetBoolean()).ToList();
        Assert.Equal(early.Count, due.GetProperty("early").GetProperty("engines").GetInt32());
        Assert.Equal(early.Sum(r => r.GetProperty("voice").GetProperty("risk").GetDouble()), due.GetProperty("early").GetProperty("expectedOut").GetDouble(), 1e-6);
    }

    /// <summary>The due list once the group is fitted again behind what came in.</summary>
    private static async Task<JsonElement> SettledAsync(ServerWithFile server)
    {
        var due = await server.GetAsync("/api/due");
        for (var still = 0; still < 6;)
        {
            await Task.Delay(300);
            var next = await server.GetAsync("/api/due");
            still = next.GetRawText() == due.GetRawText() ? still + 1 : 0;
            due = next;
        }
        return due;
    }

    private static string Said(JsonElement of, string name) => of.GetProperty(name).GetRawText();
}
