using System.Net;

namespace ZeroDrift.Server.Tests;

public sealed class BookTests : IDisposable
{
    private readonly ServerWithFile server = new();

    [Theory]
    [InlineData("1 1", "I E I E", "firingOrder", "Cylinder 1 stands twice in the firing order and 2 is missing")]
    [InlineData("1 3", "I E I E", "firingOrder", "Cylinder 3 cannot be in an order of 2")]
    [InlineData("1 x", "I E I E", "firingOrder", "'x' is not a cylinder number")]
    [InlineData("1 2", "I E I", "layout", "3 points cannot be shared out evenly among 2 cylinders")]
    [InlineData("1 2", "I Q I E", "layout", "'Q' is not a lash point")]
    public async Task A_type_that_cannot_be_is_refused_at_its_field(string order, string layout, string field, string sentence)
    {
        var (status, body) = await server.PostAsync("/api/engine-types", TwinEngine.Type(Guid.CreateVersion7(), order: order, layout: layout));

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains(sentence, body.Sentence(field), StringComparison.Ordinal);
        Assert.Empty((await server.GetAsync("/api/engine-types")).EnumerateArray());
    }

    [Fact]
    public async Task A_preview_shows_the_plan_before_anything_is_kept()
    {
        var (status, preview) = await server.PostAsync("/api/engine-types/preview", new { firingOrder = "1-5-3-6-2-4", layout = "E I I E E I I E E I I E", method = "twoStop" });

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(12, preview.GetProperty("points").GetArrayLength());
        Assert.Equal(2, preview.GetProperty("plan").GetProperty("stops").GetArrayLength());
    }

    [Fact]
    public async Task Four_valves_without_bridges_are_told_apart_by_place()
    {
        var (_, preview) = await server.PostAsync("/api/engine-types/preview", new { firingOrder = "1 2", layout = "I I E E I I E E", method = "twoStop" });

        Assert.Equal(["1I front", "1I rear", "1E front", "1E rear"], preview.GetProperty("points").EnumerateArray().Take(4).Select(p => p.GetProperty("label").GetString()));
    }

    [Fact]
    public async Task A_new_revision_stands_beside_the_old_and_records_say_which_judged_them()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        await twin.MeasureAllAsync();
        await twin.SignAsync();
        var lines = new[] { new { kind = "intake", min = "0.15", max = "0.25", unit = "mm" }, new { kind = "exhaust", min = "0.42", max = "0.52", unit = "mm" } };

        var (status, type) = await server.PostAsync($"/api/engine-types/{twin.TypeId}/revisions", new { revision = "B", source = "bulletin 7", condition = "cold", lines });

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(["B", "A"], type.GetProperty("revisions").EnumerateArray().Select(r => r.GetProperty("revision").GetString()));
        var engine = await server.GetAsync($"/api/engines/{twin.EngineId}");
        Assert.Equal(("A", 0), (engine.GetProperty("ledger")[0].GetProperty("specRevision").GetString(), engine.GetProperty("ledger")[0].GetProperty("outAsFound").GetInt32()));
        Assert.Equal("tight", engine.GetProperty("points").EnumerateArray().First(p => p.GetProperty("label").GetString() == "1E").GetProperty("standing").GetString());
        var (twice, _) = await server.PostAsync($"/api/engine-types/{twin.TypeId}/revisions", new { revision = "b", source = "bulletin 8", condition = "cold", lines });
        Assert.Equal(HttpStatusCode.Conflict, twice);
    }

    [Fact]
    public async Task Mil_is_never_taken_for_a_unit()
    {
        var (status, body) = await server.PostAsync("/api/engine-types/preview", new { firingOrder = "1", layout = "I E", spec = new { condition = "cold", lines = new[] { new { kind = "intake", min = "6", max = "8", unit = "mil" } } } });

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains("thou to some and millimetre to others", body.Sentence("spec.lines[0].unit"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_code_or_a_name_given_twice_is_refused()
    {
        await new TwinEngine(server).AddAsync();

        var (code, _) = await server.PostAsync("/api/engine-types", TwinEngine.Type(Guid.CreateVersion7(), code: "tw2"));

        Assert.Equal(HttpStatusCode.Conflict, code);
    }

    public void Dispose() => server.Dispose();
}
