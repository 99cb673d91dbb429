using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>A file of the version before attempts, places and not-here answers (its demo), with what that version answered for every visit: it folds to the same.</summary>
public sealed class SecondVersionTests : IDisposable
{
    private static readonly string[] Told = ["found", "left", "repeats", "verdict", "outcome"];
    private readonly TemporaryFolder folder = new();

    [Fact]
    public async Task Every_visit_of_the_version_before_folds_to_the_same_figures_verdicts_and_outcomes()
    {
        ReferenceFile.Unpack("v2", "zerodrift.db.gz", Path.Combine(folder.Path, "zerodrift.db"));
        using var server = new ServerWithFile(false, folder.Path);
        using var before = JsonDocument.Parse(ReferenceFile.Read("v2", "visits.json.gz"));
        var wrong = new List<string>();
        var points = 0;
        foreach (var visit in before.RootElement.EnumerateObject())
        {
            var now = await server.GetAsync($"/api/visits/{visit.Name}");
            foreach (var field in (string[])["job", "date", "state", "head", "signed"])
                if (!JsonElement.DeepEquals(visit.Value.GetProperty(field), now.GetProperty(field))) wrong.Add($"{visit.Name} {field}: {visit.Value.GetProperty(field)} -> {now.GetProperty(field)}");
            var after = now.GetProperty("points").EnumerateArray().ToDictionary(p => p.GetProperty("point").GetString()!);
            foreach (var point in visit.Value.GetProperty("points").EnumerateArray())
            {
                points++;
                var same = after[point.GetProperty("point").GetString()!];
                wrong.AddRange(Told.Where(f => point.TryGetProperty(f, out var was) && !JsonElement.DeepEquals(was, same.GetProperty(f))).Select(f => $"{visit.Name} {point.GetProperty("point")} {f}: {point.GetProperty(f)} -> {same.GetProperty(f)}"));
            }
        }

        Assert.True(points > 1500, $"{points} points");
        Assert.True(wrong.Count == 0, string.Join('\n', wrong.Take(10)));
    }

    [Fact]
    public async Task A_visit_that_was_open_then_goes_on_by_its_own_rules_to_its_end()
    {
        ReferenceFile.Unpack("v2", "zerodrift.db.gz", Path.Combine(folder.Path, "zerodrift.db"));
        using var server = new ServerWithFile(false, folder.Path);
        var open = (await server.GetAsync("/api/due")).GetProperty("engines").EnumerateArray().First(e => e.GetProperty("openOverheadId").ValueKind == JsonValueKind.String).GetProperty("openOverheadId").GetGuid();
        var view = await server.GetAsync($"/api/visits/{open}");

        Assert.Equal("open", view.GetProperty("state").GetString());
        Assert.NotEqual(JsonValueKind.Null, view.GetProperty("next").ValueKind);
        // Nothing that was ticked then is owed again.
        var ticked = view.GetProperty("ticked").EnumerateArray().Select(t => t.GetString()).ToHashSet();
        Assert.NotEmpty(ticked);
        Assert.DoesNotContain(view.GetProperty("refusals").EnumerateArray(), r => r.GetProperty("steps") is { ValueKind: JsonValueKind.Array } steps && steps.EnumerateArray().Any(s => ticked.Contains(s.GetString())));
    }

    public void Dispose() => folder.Dispose();
}
