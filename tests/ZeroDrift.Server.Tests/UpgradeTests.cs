using System.Globalization;
using System.Text.Json;
using CsvHelper;
using CsvHelper.Configuration;

namespace ZeroDrift.Server.Tests;

/// <summary>A file made by the first version (the demo, with a type, an engine, a record, a correction, an answer and a draft typed in by hand) is carried over whole.</summary>
public sealed class UpgradeTests : IDisposable
{
    private readonly TemporaryFolder folder = new();

    [Fact]
    public async Task Every_figure_that_the_first_version_exported_is_there_with_who_measured_it()
    {
        using var server = Upgraded();
        var (before, after) = (Figures(await File.ReadAllTextAsync(Path.Combine(ReferenceFile.Folder("v1"), "export.csv"))), Figures(await server.Client.GetStringAsync("/api/logbook/export")));

        // What drags is the figure now; the first version wrote the blades on either side of it.
        var wrong = before.Where(f => !after.TryGetValue(f.Key, out var now) || (now != f.Value && !f.Value.Contains('-', StringComparison.Ordinal))).Select(f => $"{f.Key}: {f.Value} -> {after.GetValueOrDefault(f.Key)}").ToList();

        Assert.True(before.Count > 1200);
        Assert.True(wrong.Count == 0, string.Join('\n', wrong.Take(10)));
    }

    [Fact]
    public async Task Corrections_answers_reasons_open_work_and_names_are_kept()
    {
        using var server = Upgraded();
        var engines = (await server.GetAsync("/api/due")).GetProperty("engines").EnumerateArray().ToDictionary(e => e.GetProperty("name").GetString()!);

        var skarv = await server.GetAsync($"/api/engines/{engines["Skarv · port main"].GetProperty("engineId").GetString()}");
        var ledger = skarv.GetProperty("ledger");
        Assert.Equal(1, ledger[2].GetProperty("corrections").GetInt32());
        Assert.Equal("otherBlades", ledger[4].GetProperty("answer").GetString());
        var corrected = await server.GetAsync($"/api/visits/{ledger[2].GetProperty("overheadId").GetString()}");
        Assert.Equal("Read off the wrong blade.", corrected.GetProperty("corrections")[0].GetProperty("why").GetString());
        Assert.Equal("0.19", corrected.GetProperty("sheet").GetProperty("points")[0].GetProperty("found").GetProperty("written").GetString());

        var open = await server.GetAsync($"/api/visits/{engines["Lorry 4"].GetProperty("openOverheadId").GetString()}");
        Assert.Equal("open", open.GetProperty("state").GetString());
        Assert.Contains(open.GetProperty("sheet").GetProperty("points").EnumerateArray(), p => p.GetProperty("foundDraft").ValueKind == JsonValueKind.Object);

        var crane = await server.GetAsync($"/api/engines/{engines["Slip crane"].GetProperty("engineId").GetString()}");
        var record = await server.GetAsync($"/api/visits/{crane.GetProperty("ledger")[0].GetProperty("overheadId").GetString()}");
        var points = record.GetProperty("points").EnumerateArray().ToDictionary(p => p.GetProperty("point").GetString()!);
        Assert.Equal(("leftSo", "byTheBook"), (points["2E"].GetProperty("outcome").GetString(), points["1J"].GetProperty("outcome").GetString()));
        Assert.Equal(8 * 0.0254, points["1E"].GetProperty("found").GetProperty("upperMm").GetDouble(), 9);
        Assert.Equal("North Quay", engines["Slip crane"].GetProperty("site").GetString());
        var people = (await server.GetAsync("/api/people")).EnumerateArray().Select(p => p.GetProperty("name").GetString());
        Assert.Equal(["Marit", "Olav", "Olav Berg", "Tove"], people.Order(StringComparer.Ordinal));
    }

    [Fact]
    public void The_file_as_it_was_is_kept_beside_it()
    {
        using var server = Upgraded();
        var backup = Assert.Single(Directory.GetFiles(folder.Path, "zerodrift.db.before-*"));
        var original = Path.Combine(folder.Path, "original");
        Unpack(original);
        Assert.Equal(new FileInfo(original).Length, new FileInfo(backup).Length);
        Assert.Empty(Directory.GetFiles(folder.Path, "*.making*"));
    }

    public void Dispose() => folder.Dispose();

    internal static void Unpack(string to) => ReferenceFile.Unpack("v1", "zerodrift.db.gz", to);

    private ServerWithFile Upgraded()
    {
        Unpack(Path.Combine(folder.Path, "zerodrift.db"));
        return new ServerWithFile(false, folder.Path);
    }

    private static Dictionary<string, string> Figures(string text)
    {
        using var csv = new CsvReader(new StringReader(text.TrimStart('\uFEFF')), new CsvConfiguration(CultureInfo.InvariantCulture) { MissingFieldFound = null });
        var figures = new Dictionary<string, string>();
        csv.Read();
        csv.ReadHeader();
        while (csv.Read())
            figures[$"{csv["engine"]} {csv["date"]} {csv["engine hours"]} {csv["cylinder"]} {csv["valve"]}"] = $"{csv["as found"]} | {csv["as left"]} {csv["unit"]} {csv["who"]}";

        // A corrected figure stays its measurer's; who corrected it is on the correction.
        figures.Remove("Skarv · port main 2026-01-29 16233 1 exhaust");
        return figures;
    }
}
