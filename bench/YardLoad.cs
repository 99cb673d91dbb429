using System.Diagnostics;

namespace ZeroDrift.Bench;

/// <summary>Asks a running server for the yard: 200 times, one after another, then eight at once. Bounded, and only for addresses of this machine.</summary>
internal static class YardLoad
{
    public static async Task RunAsync(string address)
    {
        var uri = new Uri(address);
        if (!uri.IsLoopback) throw new ArgumentException("Only a server on this machine is measured.");
        using var client = new HttpClient { BaseAddress = uri, Timeout = TimeSpan.FromMinutes(2) };
        var clock = Stopwatch.StartNew();
        var body = await client.GetByteArrayAsync("/api/due");
        Console.WriteLine($"first answer {clock.ElapsedMilliseconds} ms, {body.Length / 1024} kB");
        var times = new List<double>();
        for (var i = 0; i < 200; i++) times.Add(await OneAsync(client));
        times.Sort();
        Console.WriteLine($"one after another: median {times[100]:0.0} ms, 95 % {times[190]:0.0} ms, worst {times[^1]:0.0} ms");
        var together = (await Task.WhenAll(Enumerable.Range(0, 8).Select(async _ =>
        {
            var own = new List<double>();
            for (var i = 0; i < 25; i++) own.Add(await OneAsync(client));
            return own;
        }))).SelectMany(t => t).Order().ToList();
        Console.WriteLine($"eight at once: median {together[100]:0.0} ms, 95 % {together[190]:0.0} ms");
    }

    private static async Task<double> OneAsync(HttpClient client)
    {
        var clock = Stopwatch.StartNew();
        await client.GetByteArrayAsync("/api/due");
        return clock.Elapsed.TotalMilliseconds;
    }
}
