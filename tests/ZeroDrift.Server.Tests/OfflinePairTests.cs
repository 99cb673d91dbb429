using System.Text.Json;
using System.Text.Json.Nodes;

namespace ZeroDrift.Server.Tests;

/// <summary>Two tablets on one engine, each out of reach for a while: whatever is lost, repeated or late on the way, both end with the same list.</summary>
public sealed class OfflinePairTests : IDisposable
{
    private readonly ServerWithFile server = new();

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public async Task Two_tablets_come_to_the_same_list_whatever_happens_on_the_way(int seed)
    {
        var random = new Random(seed);
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var tablets = new[]
        {
            new Tablet(twin, server, [.. twin.Figure("1I", "0.20", by: twin.Marit), .. twin.Figure("1E", "0.40", by: twin.Marit), .. twin.Figure("2E", "0.30", by: twin.Marit)]),
            new Tablet(twin, server, [.. twin.Figure("2I", "0.20", by: twin.Olav), .. twin.Figure("1E", "0.41", by: twin.Olav)]),
        };

        while (tablets.Any(t => t.Waiting > 0)) await tablets[random.Next(2)].ExchangeAsync(random);
        foreach (var tablet in tablets) await tablet.ExchangeAsync(random, lossless: true);

        Assert.Equal(tablets[0].Known, tablets[1].Known);
        Assert.Equal([.. Enumerable.Range(1, tablets[0].Known.Count)], tablets[0].Known.Keys.Select(k => (int)k));
        var view = await twin.ViewAsync();
        Assert.Equal(tablets[0].Known.Count, view.GetProperty("head").GetInt32());
        // Both measured 1E: one of them stands, the other was told so, and neither is gone.
        var standing = (await twin.SheetAsync("1E")).GetProperty("found").GetProperty("estimateMm").GetDouble();
        Assert.Contains(standing, (double[])[0.40, 0.41]);
        Assert.All((string[])["1I", "2I", "2E"], label => Assert.NotEqual(JsonValueKind.Null, twin.SheetAsync(label).Result.GetProperty("found").ValueKind));
    }

    public void Dispose() => server.Dispose();

    /// <summary>Keeps what it said until the server has answered for it, and what the server said by its number.</summary>
    private sealed class Tablet(TwinEngine twin, ServerWithFile server, JsonObject[] said)
    {
        private readonly List<JsonObject> waiting = [.. said];

        public SortedDictionary<long, string> Known { get; } = [];

        public int Waiting => waiting.Count;

        public async Task ExchangeAsync(Random random, bool lossless = false)
        {
            var batch = waiting.Take(random.Next(0, waiting.Count + 1)).ToList();
            var after = Known.Count == 0 ? 0 : Known.Keys.Max();
            var request = new JsonObject { ["after"] = after, ["entries"] = new JsonArray([.. batch.Select(e => (JsonNode)e.DeepClone())]) };
            var path = $"/api/visits/{twin.VisitId}/entries";
            var answer = batch.Count > 0 ? (await server.PostAsync(path, request)).Body : await server.GetAsync($"{path}?after={after}");
            // An answer that is lost: the tablet knows nothing of it and will say the same again.
            if (!lossless && random.Next(3) == 0) return;
            foreach (var outcome in batch.Count > 0 ? answer.GetProperty("outcomes").EnumerateArray() : default)
            {
                Assert.Contains(outcome.GetProperty("outcome").GetString(), (string[])["taken", "known", "refused"]);
                if (outcome.GetProperty("sequence") is { ValueKind: JsonValueKind.Number } sequence) Known[sequence.GetInt64()] = outcome.GetProperty("id").GetString()!;
                waiting.RemoveAll(e => (string?)e["id"] == outcome.GetProperty("id").GetString());
            }
            foreach (var entry in answer.GetProperty("entries").EnumerateArray()) Known[entry.GetProperty("sequence").GetInt64()] = entry.GetProperty("id").GetString()!;
        }
    }
}
