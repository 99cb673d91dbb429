using System.Diagnostics;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using ZeroDrift.Tests;

namespace ZeroDrift.Bench;

/// <summary>What a day costs on fleets of growing size: first yard after a start, yard page, opening an engine, a tap, a meter reading, open visits, memory.</summary>
internal static class ScaleBench
{
    private const int Times = 40;

    private const string Measured = "ready s | first yard ms | page of 50 ms | whole yard ms | engine page ms | opened ms | tap ms | meter ms | open visits ms | memory MB";

    /// <summary>Measures a folder that is filled already; the bench's own visits are added to it.</summary>
    public static async Task AtAsync(string folder)
    {
        Console.WriteLine(Measured);
        Console.WriteLine(await MeasureAsync(folder));
    }

    /// <summary>Fills a new folder for each size and measures it.</summary>
    public static async Task RunAsync(int years, IReadOnlyList<int> sizes)
    {
        Console.WriteLine("engines | fill s | file MB | " + Measured);
        foreach (var size in sizes)
        {
            var folder = Directory.CreateTempSubdirectory("zero-drift-scale-").FullName;
            var filling = Stopwatch.StartNew();
            using (var filler = new BuiltServer(folder, "--demo", "--fleet-size", $"{size}", "--years", $"{years}"))
            {
                if (!await filler.IsReadyAsync(1200)) throw new InvalidOperationException($"A fleet of {size} could not be filled in {folder}.");
            }
            Console.WriteLine($"{size} | {filling.Elapsed.TotalSeconds:0.0} | {new FileInfo(Path.Combine(folder, "zerodrift.db")).Length / 1048576.0:0} | {await MeasureAsync(folder)}");
            Directory.Delete(folder, true);
        }
    }

    /// <summary>One line of figures for a folder.</summary>
    private static async Task<string> MeasureAsync(string folder)
    {
        var clock = Stopwatch.StartNew();
        using var server = new BuiltServer(folder);
        if (!await server.IsReadyAsync(120)) throw new InvalidOperationException($"{folder} is not served.");
        var ready = clock.Elapsed.TotalSeconds;
        using var client = new HttpClient { BaseAddress = server.Address, Timeout = TimeSpan.FromMinutes(2) };
        var yard = JsonNode.Parse(await client.GetStringAsync("/api/due?take=1000"))!["engines"]!.AsArray();
        var first = clock.Elapsed.TotalSeconds - ready;
        var engines = yard.Where(e => e!["openOverheadId"] is null).Select(e => (Id: (string)e!["engineId"]!, Shown: (double)e["shownHours"]!)).Take(Times).ToList();
        var person = (string)(await client.GetFromJsonAsync<JsonArray>("/api/people"))![0]!["id"]!;

        var page = await MedianAsync(Times, _ => client.GetByteArrayAsync("/api/due?skip=50&take=50"));
        var whole = await MedianAsync(20, _ => client.GetByteArrayAsync("/api/due"));
        var engine = await MedianAsync(engines.Count, i => client.GetByteArrayAsync($"/api/engines/{engines[i].Id}"));
        var visits = engines.Select(_ => Guid.CreateVersion7()).ToList();
        var opened = await MedianAsync(engines.Count, i => EnterAsync(client, visits[i], person, new JsonObject { ["kind"] = "opened", ["engineId"] = engines[i].Id, ["job"] = "overhead", ["date"] = $"{DateTime.UtcNow:yyyy-MM-dd}", ["shownHours"] = engines[i].Shown, ["tray"] = new JsonObject { ["setId"] = "A", ["unit"] = "mm", ["blades"] = new JsonArray("0.20", "0.25", "0.30", "0.35", "0.40") } }));
        var points = new List<string>();
        foreach (var visit in visits)
        {
            await EnterAsync(client, visit, person, new JsonObject { ["kind"] = "conditionStated", ["condition"] = "cold", ["engineTemperatureC"] = 15 });
            var view = JsonNode.Parse(await client.GetStringAsync($"/api/visits/{visit}"))!;
            foreach (var step in view["context"]!["steps"]!.AsArray().Where(s => (string?)s!["list"] == "makeSafe"))
                await EnterAsync(client, visit, person, new JsonObject { ["kind"] = "ticked", ["step"] = (string)step!["step"]!, ["on"] = true });
            points.Add((string)view["sheet"]!["points"]![0]!["label"]!);
        }
        var taps = await MedianAsync(engines.Count, i => EnterAsync(client, visits[i], person, new JsonObject { ["kind"] = "tried", ["reading"] = Guid.CreateVersion7().ToString(), ["point"] = points[i], ["stage"] = "asFound", ["unproved"] = true, ["blades"] = new JsonArray("0.20"), ["unit"] = "mm", ["feel"] = "free" }));
        var meter = await MedianAsync(engines.Count, i => PostAsync(client, $"/api/engines/{engines[i].Id}/meter-readings", new JsonObject { ["hours"] = engines[i].Shown + 0.5 }));
        var open = await MedianAsync(Times, _ => client.GetByteArrayAsync("/api/visits?open=true"));
        return $"{ready:0.0} | {first * 1000:0} | {page:0.0} | {whole:0.0} | {engine:0.0} | {opened:0.0} | {taps:0.0} | {meter:0.0} | {open:0.0} | {server.MemoryMb:0}";
    }

    private static Task EnterAsync(HttpClient client, Guid visit, string person, JsonObject entry)
    {
        (entry["id"], entry["at"], entry["by"], entry["device"]) = (Guid.CreateVersion7().ToString(), $"{DateTime.UtcNow:O}", person, "bench");
        return PostAsync(client, $"/api/visits/{visit}/entries", new JsonObject { ["after"] = 0, ["entries"] = new JsonArray(entry) });
    }

    private static async Task PostAsync(HttpClient client, string path, JsonObject body)
    {
        using var answer = await client.PostAsJsonAsync(path, body);
        var text = await answer.Content.ReadAsStringAsync();
        if (!answer.IsSuccessStatusCode || text.Contains("\"outcome\":\"refused\"", StringComparison.Ordinal)) throw new InvalidOperationException($"{path}: {text}");
    }

    private static async Task<double> MedianAsync(int times, Func<int, Task> ask)
    {
        var all = new List<double>();
        for (var i = 0; i < times; i++)
        {
            var clock = Stopwatch.StartNew();
            await ask(i);
            all.Add(clock.Elapsed.TotalMilliseconds);
        }
        all.Sort();
        return all[all.Count / 2];
    }
}
