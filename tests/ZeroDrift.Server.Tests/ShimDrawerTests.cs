using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>Drawers of loose shims: what was put in and not taken out, whoever asks.</summary>
public sealed class ShimDrawerTests : IDisposable
{
    private readonly ServerWithFile server = new();

    [Fact]
    public async Task What_is_put_in_lapped_moved_and_taken_out_leaves_the_rest_and_a_line_each()
    {
        var (kit, head) = (await DrawerAsync("Kit A"), await DrawerAsync("Old head", "oldHead"));
        await MoveAsync(kit, new { kind = "in", access = "onTop", diameterMm = 29, size = "270", unit = "mm", count = 3, knownBy = "micrometer", who = "Tove" });
        await MoveAsync(kit, new { kind = "in", access = "onTop", diameterMm = 29, size = "0.106", unit = "in", count = 1, who = "Tove" });
        await MoveAsync(kit, new { kind = "lapped", access = "onTop", diameterMm = 29, size = "2.70", count = 1, toSize = "2.68", who = "Olav" });
        await MoveAsync(kit, new { kind = "moved", access = "onTop", diameterMm = 29, size = "2.70", count = 1, toDrawer = head, who = "Olav" });
        await MoveAsync(kit, new { kind = "writtenOff", access = "onTop", diameterMm = 29, size = "0.106", unit = "in", count = 1, who = "Olav", why = "bent" });

        Assert.Equal([("2.68", 1, "lapped"), ("2.7", 1, "micrometer")], Held(await DrawerOfAsync("Kit A")));
        Assert.Equal([("2.7", 1, "micrometer")], Held(await DrawerOfAsync("Old head")));
        var lines = (await server.GetAsync($"/api/shim-drawers/{kit}/movements")).EnumerateArray().ToList();
        Assert.Equal(["writtenOff", "moved", "lapped", "lapped", "in", "in"], lines.Select(l => l.GetProperty("kind").GetString()));
        Assert.Equal(2, lines.Sum(l => l.GetProperty("change").GetInt32()));
        Assert.Equal("bent", lines[0].GetProperty("why").GetString());
    }

    [Fact]
    public async Task Of_two_people_who_take_the_last_one_the_second_is_told_and_the_stock_is_never_below_nothing()
    {
        var kit = await DrawerAsync("Kit A");
        await MoveAsync(kit, new { kind = "in", access = "puck", size = "2.70", count = 1, who = "Tove" });

        var tries = await Task.WhenAll(Enumerable.Range(0, 8).Select(i => server.PostAsync($"/api/shim-drawers/{kit}/movements", new { kind = "out", access = "puck", size = "2.70", count = 1, who = $"Person {i}" })));

        Assert.Single(tries, t => t.Status == HttpStatusCode.OK);
        foreach (var (status, body) in tries.Where(t => t.Status != HttpStatusCode.OK))
        {
            Assert.Equal(HttpStatusCode.Conflict, status);
            Assert.Contains("no 2.70 mm left", body.ToString(), StringComparison.Ordinal);
        }
        Assert.Empty(Held(await DrawerOfAsync("Kit A")));
    }

    [Fact]
    public async Task Sent_twice_it_is_done_once_and_a_borrowed_identifier_is_refused()
    {
        var kit = await DrawerAsync("Kit A");
        var id = Guid.CreateVersion7();
        var act = new { id, kind = "in", access = "puck", size = "2.70", count = 2, who = "Tove" };
        await MoveAsync(kit, act);
        await MoveAsync(kit, act);

        Assert.Equal([("2.7", 2, "printed")], Held(await DrawerOfAsync("Kit A")));
        Assert.Equal(HttpStatusCode.Conflict, (await server.PostAsync($"/api/shim-drawers/{kit}/movements", new { id, kind = "in", access = "puck", size = "2.75", count = 2, who = "Tove" })).Status);
    }

    [Fact]
    public async Task A_shim_of_one_sort_is_none_for_another()
    {
        var kit = await DrawerAsync("Kit A");
        await MoveAsync(kit, new { kind = "in", access = "onTop", diameterMm = 29, size = "2.70", count = 1, who = "Tove" });

        Assert.Equal(HttpStatusCode.Conflict, (await server.PostAsync($"/api/shim-drawers/{kit}/movements", new { kind = "out", access = "onTop", diameterMm = 33, size = "2.70", count = 1, who = "Tove" })).Status);
        Assert.Equal(HttpStatusCode.Conflict, (await server.PostAsync($"/api/shim-drawers/{kit}/movements", new { kind = "out", access = "underBucket", diameterMm = 29, size = "2.70", count = 1, who = "Tove" })).Status);
    }

    [Fact]
    public async Task A_morning_count_corrects_it_with_who_and_goes_out_and_in_as_a_table()
    {
        var kit = await DrawerAsync("Kit A");
        await MoveAsync(kit, new { kind = "in", access = "underBucket", size = "2.70", count = 3, knownBy = "micrometer", who = "Tove" });
        await MoveAsync(kit, new { kind = "in", access = "underBucket", size = "2.75", count = 1, who = "Tove" });
        var file = await server.Client.GetStringAsync($"/api/shim-drawers/{kit}/stock.csv");
        Assert.Contains("underBucket,,2.70,mm,3,micrometer", file, StringComparison.Ordinal);

        var (_, same) = await server.PostFileAsync($"/api/shim-drawers/{kit}/count?keep=true&who=Olav", file);
        Assert.Empty(same.GetProperty("changes").EnumerateArray());

        const string Counted = "fits;size;count\nunder bucket;2,70;2\nunder bucket;2,80;4\n";
        var (_, would) = await server.PostFileAsync($"/api/shim-drawers/{kit}/count?all=true", Counted);
        Assert.Equal(3, would.GetProperty("changes").GetArrayLength());
        Assert.Equal(2, Held(await DrawerOfAsync("Kit A")).Count);

        await server.PostFileAsync($"/api/shim-drawers/{kit}/count?all=true&keep=true&who=Olav", Counted);
        Assert.Equal([("2.7", 2, "micrometer"), ("2.8", 4, "printed")], Held(await DrawerOfAsync("Kit A")));
        var lines = (await server.GetAsync($"/api/shim-drawers/{kit}/movements")).EnumerateArray().Where(l => l.GetProperty("kind").GetString() == "counted").ToList();
        Assert.All(lines, l => Assert.Equal("Olav", l.GetProperty("who").GetString()));
        Assert.Equal([0, 4, 2], lines.Select(l => l.GetProperty("counted").GetInt32()));
    }

    [Theory]
    [InlineData("fits,size,count\npuck,27,1\n", "Line 2: 27 mm would be a shim of 27 mm")]
    [InlineData("fits,size,count\npuck,2.70,1\npuck,2.70,2\n", "Line 3: 2.70 mm stands in line 2 already")]
    [InlineData("fits,size,count\nsaucer,2.70,1\n", "'saucer' is not known here")]
    [InlineData("fits,size,count\npuck,2.70,many\n", "'many' is no count")]
    [InlineData("fits,size\npuck,2.70\n", "The column 'count' is missing")]
    public async Task A_table_with_something_wrong_changes_nothing_and_says_where(string file, string sentence)
    {
        var kit = await DrawerAsync("Kit A");
        var (status, body) = await server.PostFileAsync($"/api/shim-drawers/{kit}/count?keep=true&who=Olav", file);

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains(sentence, body.GetProperty("errors").GetProperty("file")[0].GetString(), StringComparison.Ordinal);
        Assert.Empty(Held(await DrawerOfAsync("Kit A")));
    }

    [Theory]
    [InlineData("size", """{"kind":"in","access":"puck","size":"27","count":1,"who":"Tove"}""")]
    [InlineData("size", """{"kind":"in","access":"puck","count":1,"who":"Tove"}""")]
    [InlineData("unit", """{"kind":"in","access":"puck","size":"2.7","unit":"ell","count":1,"who":"Tove"}""")]
    [InlineData("count", """{"kind":"in","access":"puck","size":"2.7","count":-1,"who":"Tove"}""")]
    [InlineData("count", """{"kind":"in","access":"puck","size":"2.7","who":"Tove"}""")]
    [InlineData("access", """{"kind":"in","size":"2.7","count":1,"who":"Tove"}""")]
    [InlineData("who", """{"kind":"in","access":"puck","size":"2.7","count":1}""")]
    [InlineData("kind", """{"access":"puck","size":"2.7","count":1,"who":"Tove"}""")]
    [InlineData("diameterMm", """{"kind":"in","access":"puck","diameterMm":400,"size":"2.7","count":1,"who":"Tove"}""")]
    [InlineData("why", """{"kind":"writtenOff","access":"puck","size":"2.7","count":1,"who":"Tove"}""")]
    [InlineData("toDrawer", """{"kind":"moved","access":"puck","size":"2.7","count":1,"toDrawer":"00000000-0000-0000-0000-000000000001","who":"Tove"}""")]
    public async Task What_cannot_be_is_refused_at_its_field(string field, string request)
    {
        var kit = await DrawerAsync("Kit A");
        var (status, body) = await server.PostAsync($"/api/shim-drawers/{kit}/movements", JsonDocument.Parse(request).RootElement);

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal(field, Assert.Single(body.GetProperty("errors").EnumerateObject()).Name);
    }

    [Fact]
    public async Task A_drawer_has_a_name_of_its_own_and_a_site_that_there_is()
    {
        await DrawerAsync("Kit A");
        Assert.Equal(HttpStatusCode.Conflict, (await server.PostAsync("/api/shim-drawers", new { name = "kit a", site = "Depot", kind = "kit" })).Status);
        Assert.Equal(HttpStatusCode.BadRequest, (await server.PostAsync("/api/shim-drawers", new { name = "Kit B", site = "Nowhere", kind = "kit" })).Status);
        Assert.Equal(HttpStatusCode.NotFound, (await server.PostAsync($"/api/shim-drawers/{Guid.NewGuid()}/movements", new { kind = "in", access = "puck", size = "2.7", count = 1, who = "Tove" })).Status);
    }

    public void Dispose() => server.Dispose();

    private async Task<string> DrawerAsync(string name, string kind = "kit")
    {
        await server.PostAsync("/api/sites", new { name = "Depot" });
        var (status, body) = await server.PostAsync("/api/shim-drawers", new { name, site = "Depot", kind });
        Assert.True(status == HttpStatusCode.Created, body.ToString());
        return body.GetProperty("id").GetString()!;
    }

    private async Task MoveAsync(string drawer, object act)
    {
        var (status, body) = await server.PostAsync($"/api/shim-drawers/{drawer}/movements", act);
        Assert.True(status == HttpStatusCode.OK, body.ToString());
    }

    private async Task<JsonElement> DrawerOfAsync(string name) => (await server.GetAsync("/api/shim-drawers")).EnumerateArray().First(d => d.GetProperty("name").GetString() == name);

    private static List<(string, int, string)> Held(JsonElement drawer) =>
        [.. drawer.GetProperty("held").EnumerateArray().Select(h => (h.GetProperty("sizeMm").GetDouble().ToString(System.Globalization.CultureInfo.InvariantCulture), h.GetProperty("count").GetInt32(), h.GetProperty("knownBy").GetString()!))];
}
