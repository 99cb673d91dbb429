using System.Globalization;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using ZeroDrift.Contract;
using ZeroDrift.Contract.Visits;

namespace ZeroDrift.Tablet.Tests;

/// <summary>
/// A visit that grows tap by tap in the tablet, which remembers what it has folded, is at every tap the visit that a server folds from the whole
/// list: what waits, what was refused, what others add and what is taken back included.
/// </summary>
public sealed class SameFoldTests(TabletProcess tablet) : IClassFixture<TabletProcess>
{
    private static readonly string[] Points = ["1I", "1E", "2I", "2E"];
    private static readonly string[] Blades = ["0.15", "0.20", "0.25", "0.35", "0.40", "0.45"];
    private readonly List<JsonNode> server = [];
    private readonly List<JsonNode> unsent = [];
    private readonly Guid visitId = Guid.CreateVersion7();
    private int made;
    private int taken;
    private int refused;

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(4)]
    public void Random_visits_fold_to_the_same_bytes(int seed)
    {
        var random = new Random(seed);
        var readings = Enumerable.Range(0, 6).Select(_ => Guid.CreateVersion7().ToString()).ToArray();
        Fold(Entry("opened", new { engineId = TwinContext.Engine, job = "overhead", date = "2026-11-20", shownHours = 1010.0, tray = new { unit = "mm", blades = Blades } }), whole: true);
        foreach (var step in (string[])["battery", "hands"]) Fold(Entry("ticked", new { step, on = true }));
        Fold(Entry("conditionStated", new { condition = "cold", engineTemperatureC = 15 }));
        for (var tap = 0; tap < 60; tap++)
        {
            Fold(Tap(random, readings));
            // The server answers now and then: what it took has a sequence, what it refused waits no more.
            if (random.Next(6) == 0) Send();
        }
        Fold(Entry("ticked", new { step = "tools", on = true }));
        Fold(Entry("signed", new { }));
        Send();
        Assert.True(taken > 15 && refused > 5, $"{taken} taken, {refused} refused");
    }

    [Fact]
    public void A_tablet_that_has_not_seen_the_context_asks_for_it()
    {
        var (status, said) = tablet.Call("fold", $$"""{"visitId":"{{visitId}}","contextId":"never seen","entries":[],"unsent":[]}""");

        Assert.Equal(400, status);
        Assert.Contains("\"context\":[", said, StringComparison.Ordinal);
    }

    [Fact]
    public void An_entry_without_an_identifier_or_a_sequence_is_named()
    {
        var context = JsonSerializer.Serialize(TwinContext.Record, ContractJson.Rules);
        Assert.Contains("\"unsent[0].id\"", tablet.Call("fold", $$"""{"visitId":"{{visitId}}","context":{{context}},"unsent":[{"kind":"noted"}]}""").Json, StringComparison.Ordinal);
        Assert.Contains("\"entries[0].sequence\"", tablet.Call("fold", $$"""{"visitId":"{{visitId}}","context":{{context}},"entries":[{"id":"{{visitId}}","kind":"noted"}]}""").Json, StringComparison.Ordinal);
    }

    [Fact]
    public void An_entry_of_a_newer_version_that_the_server_took_is_passed_over()
    {
        Fold(Entry("opened", new { engineId = TwinContext.Engine, job = "overhead", date = "2026-11-20", shownHours = 1010.0, tray = new { unit = "mm", blades = Blades } }), whole: true);
        Send();
        var newer = Entry("sung", new { song = "of another version" });
        newer["sequence"] = server.Count + 1;
        server.Add(newer);

        Assert.Equal(2, Same(false).Visit!.Head);
    }

    private void Fold(JsonObject entry, bool whole = false)
    {
        unsent.Add(entry);
        // A tap asks for one line first, as the screen does, and then for all of it.
        if (!whole && (string?)entry["point"] is { } point) Same(whole, point);
        Same(whole);
    }

    private FoldResponse Same(bool withContext, string? only = null)
    {
        var request = new JsonObject { ["visitId"] = visitId.ToString(), ["contextId"] = "twin " + visitId, ["entries"] = List(server), ["unsent"] = List(unsent), ["only"] = only };
        var complete = request.DeepClone().AsObject();
        complete["context"] = JsonSerializer.SerializeToNode(TwinContext.Record, ContractJson.Rules);
        var expected = AllCalls.Find("fold")!.Answer(Encoding.UTF8.GetBytes(complete.ToJsonString()));

        var (status, said) = tablet.Call("fold", (withContext ? complete : request).ToJsonString());

        Assert.Equal(200, status);
        Assert.Equal(Encoding.UTF8.GetString(expected.Json), said);
        return JsonSerializer.Deserialize<FoldResponse>(expected.Json, ContractJson.Rules)!;
    }

    private void Send()
    {
        foreach (var outcome in Same(false).Outcomes)
        {
            var entry = unsent.Find(e => (string)e["id"]! == outcome.Id.ToString())!;
            unsent.Remove(entry);
            if (outcome.Outcome == "refused")
            {
                refused++;
                continue;
            }
            taken++;
            entry["sequence"] = server.Count + 1;
            entry["receivedAt"] = "2026-11-20T09:00:00.000Z";
            server.Add(entry);
        }
        Same(false);
    }

    private JsonObject Tap(Random random, string[] readings)
    {
        var point = Points[random.Next(Points.Length)];
        var reading = readings[random.Next(readings.Length)];
        var stage = random.Next(3) == 0 ? "asLeft" : "asFound";
        var unproved = random.Next(3) > 0;
        return random.Next(12) switch
        {
            0 => Entry("positionProved", new { crankDeg = random.Next(2) * 360 }),
            1 => Entry("barredTo", new { crankDeg = random.Next(720) }),
            2 or 3 or 4 => Entry("tried", new { reading, point, stage, blades = new[] { Blades[random.Next(Blades.Length)] }, unit = "mm", feel = ((string[])["free", "drag", "heavyDrag", "noGo"])[random.Next(4)], unproved }),
            5 => Entry("figureRead", new { reading, point, stage, figure = Blades[random.Next(Blades.Length)], unit = "mm", with = "figure", unproved }),
            6 or 7 => Entry("kept", new { reading, sure = true }),
            8 => Entry("outcome", new { point, outcome = ((string[])["leftAlone", "set", "leftSo", "notReached"])[random.Next(4)], why = "so" }),
            9 => Entry("undone", new { entry = (string)unsent.Concat(server).ElementAt(random.Next(unsent.Count + server.Count))["id"]! }),
            10 => Entry("noted", new { text = "a drop of oil", point }),
            _ => Entry("kept", new { reading = Guid.CreateVersion7().ToString() }),
        };
    }

    private JsonObject Entry(string kind, object fields)
    {
        var entry = JsonSerializer.SerializeToNode(fields)!.AsObject();
        entry["id"] = Guid.CreateVersion7().ToString();
        entry["kind"] = kind;
        entry["at"] = new DateTime(2026, 11, 20, 8, 0, 0, DateTimeKind.Utc).AddMinutes(++made).ToString("yyyy-MM-ddTHH:mm:ssZ", CultureInfo.InvariantCulture);
        entry["by"] = TwinContext.Marit.ToString();
        entry["device"] = "tab1";
        return entry;
    }

    private static JsonArray List(List<JsonNode> entries) => [.. entries.Select(e => e.DeepClone())];
}
