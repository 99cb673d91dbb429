using System.Net;
using System.Security.Cryptography;
using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace ZeroDrift.Server.Tests;

/// <summary>A record as a file: checked by its fingerprint and by what stands, whichever version of the program wrote it.</summary>
public sealed class RecordFileTests : IDisposable
{
    private static readonly JsonSerializerOptions Plain = new() { Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping };
    private readonly ServerWithFile server = new();

    [Fact]
    public async Task Unchanged_it_says_what_stands_and_white_space_or_another_order_of_members_change_nothing()
    {
        var (_, file) = await LiftersAsync();
        Assert.Equal("Marit", PointOf(file, "1E")["by"]!.GetValue<string>());

        await SaysAsync(file.ToJsonString(), intact: true, same: true);
        var turned = new JsonObject(file.Reverse().Select(m => KeyValuePair.Create(m.Key, m.Value?.DeepClone())));
        await SaysAsync(turned.ToJsonString(new JsonSerializerOptions { WriteIndented = true }), intact: true, same: true);
        // The fingerprint is the one of RFC 6234 over the sorted writing, so that others can check it too.
        Assert.Equal(Fingerprint(file["record"]!.AsObject()), file["fingerprint"]!["value"]!.GetValue<string>());
    }

    [Fact]
    public async Task A_figure_changed_is_noticed_also_where_the_fingerprint_was_made_anew()
    {
        var (_, file) = await LiftersAsync();
        PointOf(file, "1E")["amount"] = "0.5 turns";
        await SaysAsync(file.ToJsonString(), intact: false, same: false);
        await SaysAsync(Printed(file).ToJsonString(), intact: true, same: false);
    }

    [Fact]
    public async Task A_file_of_the_first_format_is_compared_with_what_that_one_wrote()
    {
        var (_, file) = await LiftersAsync();
        file["format"] = "zero-drift-record-1";
        foreach (var point in file["record"]!["points"]!.AsArray()) point!["by"] = null;
        await SaysAsync(Printed(file).ToJsonString(), intact: true, same: true);
    }

    [Fact]
    public async Task Corrected_since_it_is_no_forgery_but_says_something_else()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        await twin.MeasureAllAsync();
        await twin.SignAsync();
        var file = await FileAsync(twin);
        var target = (await twin.SheetAsync("1E")).GetProperty("found").GetProperty("lastEntry").GetGuid();
        await twin.TakeAsync(twin.Entry("corrected", new { entry = target, why = "Wrong line.", fields = new { figure = "0.41", unit = "mm" } }, twin.Olav));

        await SaysAsync(file.ToJsonString(), intact: true, same: false, says: "it was corrected since");
    }

    public void Dispose() => server.Dispose();

    /// <summary>A twin with lifters, each set by the book's amount, signed; and its file.</summary>
    private async Task<(TwinEngine Twin, JsonObject File)> LiftersAsync()
    {
        var id = Guid.CreateVersion7();
        var twin = await new TwinEngine(server) { TypeId = id }.AddAsync(type: new
        {
            id,
            code = "HL2",
            name = "Twin with lifters",
            firingOrder = "1 2",
            layout = "I E I E",
            adjuster = "hydraulicPreload",
            travelTurns = 1.6,
            selfLocking = true,
            method = "perCylinder",
            spec = new { revision = "A", source = "workshop manual", date = "2015-01-01", condition = "cold", lines = new[] { new { kind = "intake", fraction = 0.5 }, new { kind = "exhaust", fraction = 0.5 } } },
        });
        await twin.OpenAsync();
        foreach (var point in (string[])["1I", "1E", "2I", "2E"])
            await twin.TakeAsync(twin.Entry("startState", new { point, state = "collapsed" }), twin.Entry("outcome", new { point, outcome = "byTheBook", amount = "0.8", unit = "turns", contact = "pushrod turned between the fingers", pass = 1 }));
        await twin.SignAsync();
        return (twin, await FileAsync(twin));
    }

    private async Task<JsonObject> FileAsync(TwinEngine twin) => JsonNode.Parse((await server.GetAsync($"/api/visits/{twin.VisitId}/record-file")).GetRawText())!.AsObject();

    private async Task SaysAsync(string file, bool intact, bool same, string? says = null)
    {
        var (status, body) = await server.PostAsync("/api/record-files/check", JsonNode.Parse(file)!);
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal((intact, same), (body.GetProperty("intact").GetBoolean(), body.GetProperty("saysTheSame").GetBoolean()));
        if (says is not null) Assert.Contains(says, body.GetProperty("sentence").GetString(), StringComparison.Ordinal);
    }

    private static JsonNode PointOf(JsonObject file, string label) => file["record"]!["points"]!.AsArray().Single(p => p!["point"]!.GetValue<string>() == label)!;

    /// <summary>With a fingerprint that belongs to what it says.</summary>
    private static JsonObject Printed(JsonObject file)
    {
        file["fingerprint"]!["value"] = Fingerprint(file["record"]!.AsObject());
        return file;
    }

    private static string Fingerprint(JsonObject record) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(Sorted(record)!.ToJsonString(Plain))));

    private static JsonNode? Sorted(JsonNode? node) => node switch
    {
        JsonObject o => new JsonObject(o.OrderBy(m => m.Key, StringComparer.Ordinal).Select(m => KeyValuePair.Create(m.Key, Sorted(m.Value)))),
        JsonArray a => new JsonArray([.. a.Select(Sorted)]),
        _ => node?.DeepClone(),
    };
}
