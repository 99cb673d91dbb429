using System.Diagnostics;
using System.Globalization;
using ZeroDrift.Core.Judging;
using ZeroDrift.Planning.Shims;

namespace ZeroDrift.Bench;

/// <summary>Sixty-four points of one site at once, a full kit in the drawer and every size to be bought, under each policy.</summary>
internal static class ShimBench
{
    private const int Rounds = 40;

    public static void Run()
    {
        foreach (var policy in Enum.GetValues<ShimPolicy>())
        {
            ShimAllocator.Allocate(Sixty(new Random(0), policy));
            var took = Enumerable.Range(1, Rounds).Select(seed => Timed(Sixty(new Random(seed), policy))).Order().ToList();
            Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{policy}: median {took[Rounds / 2]:0.0} ms, worst {took[^1]:0.0} ms of {Rounds}"));
        }
    }

    private static double Timed(ShimRequest request)
    {
        var clock = Stopwatch.StartNew();
        ShimAllocator.Allocate(request);
        return clock.Elapsed.TotalMilliseconds;
    }

    private static ShimRequest Sixty(Random random, ShimPolicy policy)
    {
        var sizes = Enumerable.Range(0, 69).Select(i => Math.Round(2.0 + i * 0.025, 3)).ToList();
        var points = Enumerable.Range(0, 64).Select(i =>
        {
            var (window, target) = i % 2 == 0 ? (Window.Of(0.15, 0.25), 0.2) : (Window.Of(0.35, 0.45), 0.4);
            var gap = Math.Round(Math.Max(0, target - 0.15 + random.Next(31) * 0.01), 3);
            return new ShimPoint($"P{i}", sizes[20 + random.Next(30)] + random.Next(5) * 0.002, gap, gap, window, target);
        });
        return new ShimRequest(policy, [.. points], [.. sizes.Select(mm => new LooseShims(mm, random.Next(3)))], sizes, []);
    }
}
