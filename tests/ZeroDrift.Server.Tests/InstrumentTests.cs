using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>Blade sets and their checks: one taken out of use makes the visits since its last check suspect, until somebody answers.</summary>
public sealed class InstrumentTests : IDisposable
{
    private readonly ServerWithFile server = new();
    private readonly Guid set = Guid.CreateVersion7();

    [Fact]
    public async Task A_set_withdrawn_makes_the_visits_since_its_last_check_suspect_and_an_answer_settles_each()
    {
        await AddSetAsync(check: "2026-10-01");
        var twin = await new TwinEngine(server).AddAsync();
        var early = await VisitAsync(twin, 1000, "2026-09-01");
        var late = await VisitAsync(twin, 1100, "2026-11-10");
        var withAnother = await VisitAsync(twin, 1200, "2026-11-20", "Another set");
        Assert.Empty(await SuspectAsync());

        var (status, withdrawn) = await server.PutAsync($"/api/instruments/{set}", new { withdraw = true, why = "the 0.40 blade is bent" });
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal([late], withdrawn.GetProperty("suspect").EnumerateArray().Select(v => v.GetProperty("visitId").GetGuid()));
        var asked = (await server.GetAsync($"/api/engines/{twin.EngineId}/drift")).GetProperty("visits").EnumerateArray().Where(v => v.GetProperty("measuredWith").ValueKind == JsonValueKind.String).ToList();
        Assert.Equal((late, "the 0.40 blade is bent"), (asked.Single().GetProperty("visitId").GetGuid(), asked[0].GetProperty("withdrawnWhy").GetString()));

        await server.PutAsync($"/api/instruments/{set}", new { withdraw = true, why = "never was right", suspectFrom = "2026-08-01" });
        Assert.Equal([late, early], await SuspectAsync());
        await twin.SendToAsync(late, twin.Entry("answered", new { question = "otherBlades", answer = "no" }));
        await twin.SendToAsync(early, twin.Entry("answered", new { question = "otherBlades", answer = "yes" }));
        Assert.Empty(await SuspectAsync());
        var left = (await server.GetAsync($"/api/engines/{twin.EngineId}/drift")).GetProperty("visits").EnumerateArray().ToDictionary(v => v.GetProperty("visitId").GetGuid(), v => v.GetProperty("leftOut").GetString());
        Assert.Equal(("otherBlades", null, null), (left[early], left[late], left[withAnother]));
    }

    [Fact]
    public async Task What_is_put_back_in_use_makes_nothing_suspect()
    {
        await AddSetAsync(check: null);
        var twin = await new TwinEngine(server).AddAsync();
        await VisitAsync(twin, 1000, "2026-09-01");
        await server.PutAsync($"/api/instruments/{set}", new { withdraw = true, why = "lost" });
        Assert.Single(await SuspectAsync());

        var (_, back) = await server.PutAsync($"/api/instruments/{set}", new { withdraw = false, @checked = "2026-11-01" });

        Assert.Equal((JsonValueKind.Null, "2026-11-01", 0), (back.GetProperty("withdrawn").ValueKind, back.GetProperty("lastCheck").GetString(), back.GetProperty("suspect").GetArrayLength()));
    }

    [Theory]
    [InlineData("name", """{"kind":"bladeSet","blades":["0.20"]}""")]
    [InlineData("kind", """{"name":"Set"}""")]
    [InlineData("blades", """{"name":"Set","kind":"bladeSet"}""")]
    [InlineData("blades", """{"name":"Set","kind":"bladeSet","blades":["twenty"]}""")]
    [InlineData("unit", """{"name":"Set","kind":"bladeSet","unit":"mil","blades":["20"]}""")]
    [InlineData("checked", """{"name":"Set","kind":"dial","checked":"2099-01-01"}""")]
    [InlineData("checkEveryMonths", """{"name":"Set","kind":"dial","checkEveryMonths":0}""")]
    public async Task What_an_instrument_cannot_be_is_named(string field, string request)
    {
        var (status, body) = await server.PostAsync("/api/instruments", JsonSerializer.Deserialize<JsonElement>(request));

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotEmpty(body.Sentence(field));
    }

    [Fact]
    public async Task A_name_is_taken_once_a_withdrawal_says_why_and_nobodys_instrument_is_not_found()
    {
        await AddSetAsync(check: null);
        var (again, _) = await server.PostAsync("/api/instruments", new { id = set, name = "Marit's set", kind = "bladeSet", unit = "mm", blades = new[] { "0.20", "0.40" } });
        var (taken, _) = await server.PostAsync("/api/instruments", new { name = "marit's  SET", kind = "micrometer" });
        var (silent, body) = await server.PutAsync($"/api/instruments/{set}", new { withdraw = true });
        var (unknown, _) = await server.PutAsync($"/api/instruments/{Guid.CreateVersion7()}", new { withdraw = true, why = "lost" });

        Assert.Equal((HttpStatusCode.OK, HttpStatusCode.Conflict, HttpStatusCode.BadRequest, HttpStatusCode.NotFound), (again, taken, silent, unknown));
        Assert.NotEmpty(body.Sentence("why"));
    }

    public void Dispose() => server.Dispose();

    private async Task AddSetAsync(string? check)
    {
        var (status, body) = await server.PostAsync("/api/instruments", new { id = set, name = "Marit's set", kind = "bladeSet", unit = "mm", blades = new[] { "0.20", "0.40" }, @checked = check });
        Assert.True(status == HttpStatusCode.Created, body.ToString());
    }

    private async Task<List<Guid>> SuspectAsync() =>
        [.. (await server.GetAsync("/api/instruments"))[0].GetProperty("suspect").EnumerateArray().Select(v => v.GetProperty("visitId").GetGuid())];

    /// <summary>A signed spot check of one point with a set, its name written as hands write it.</summary>
    private async Task<Guid> VisitAsync(TwinEngine twin, double hours, string date, string blades = "marit's set ")
    {
        await twin.OpenAsync(hours, "spotCheck", date);
        await twin.TakeAsync(twin.Entry("chose", new { tray = new { setId = blades, unit = "mm", blades = new[] { "0.20", "0.40" } } }));
        await twin.TakeAsync(twin.Figure("1E", "0.40"));
        await twin.SignAsync();
        return twin.VisitId;
    }
}
