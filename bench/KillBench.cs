using System.Diagnostics;
using System.Text.Json;
using ZeroDrift.Tests;

namespace ZeroDrift.Bench;

/// <summary>Kills the server at random moments of its first fill, its start and its serving; every next start must serve a whole demo.</summary>
internal static class KillBench
{
    public static async Task RunAsync(int kills)
    {
        var random = new Random(6);
        var (served, slowest) = (0, TimeSpan.Zero);
        for (var i = 0; i < kills; i++)
        {
            var folder = Directory.CreateTempSubdirectory("zero-drift-kill-").FullName;
            var rounds = random.Next(1, 4);
            for (var round = 0; round < rounds; round++)
            {
                using var killed = new BuiltServer(folder, "--demo");
                await Task.Delay(random.Next(50, 4000));
                killed.Kill();
            }
            using var next = new BuiltServer(folder, "--demo");
            var clock = Stopwatch.StartNew();
            var ready = await next.IsReadyAsync();
            if (clock.Elapsed > slowest) slowest = clock.Elapsed;
            var engines = ready ? await EnginesAsync(next.Address) : 0;
            if (engines == 18) served++;
            else Console.WriteLine($"kill {i + 1}: {(ready ? $"{engines} engines" : "did not serve")} in {folder}");
            next.Kill();
            if (engines == 18) Directory.Delete(folder, true);
        }
        Console.WriteLine($"{served} of {kills} starts after a kill served the whole demo; the slowest was ready in {slowest.TotalSeconds:0.0} s");
    }

    private static async Task<int> EnginesAsync(Uri address)
    {
        using var client = new HttpClient { BaseAddress = address };
        using var yard = JsonDocument.Parse(await client.GetStringAsync("/api/due"));
        return yard.RootElement.GetProperty("total").GetInt32();
    }
}
