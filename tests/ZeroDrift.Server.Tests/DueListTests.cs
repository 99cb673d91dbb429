using System.Net;
using System.Text;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>What calls for an engine besides book and drift, and what would move under other settings.</summary>
public sealed class DueListTests : IDisposable
{
    private readonly ServerWithFile server = new();

    private static readonly DateOnly Today = DateOnly.FromDateTime(DateTime.UtcNow);

    [Theory]
    [InlineData("deadCylinder", 0)]
    [InlineData("smoke", 7)]
    [InlineData("ticking", 14)]
    public async Task An_operators_slip_brings_the_engine_forward_by_what_was_noticed(string symptom, int days)
    {
        var twin = await SetAsync();
        var (status, row) = await server.PostAsync($"/api/engines/{twin.EngineId}/calls", new { symptoms = new[] { symptom }, what = "since this morning", who = "the skipper" });

        Assert.True(status == HttpStatusCode.OK, row.ToString());
        var decides = row.GetProperty("decides");
        Assert.Equal(("symptom", Today.AddDays(days).ToString("yyyy-MM-dd")), (decides.GetProperty("rule").GetString(), decides.GetProperty("date").GetString()));
        Assert.Contains(row.GetProperty("others").EnumerateArray(), o => o.GetProperty("rule").GetString() == "bookHours");
    }

    [Fact]
    public async Task A_follow_up_counts_engine_hours_and_a_signed_visit_answers_every_call_before_it()
    {
        var twin = await SetAsync();
        await server.PostAsync($"/api/engines/{twin.EngineId}/calls", new { what = "reset hot after break-in", inHours = 20 });
        var (_, row) = await server.PostAsync($"/api/engines/{twin.EngineId}/calls", new { symptoms = new[] { "ticking" } });
        Assert.Equal(2, row.GetProperty("calls").GetArrayLength());
        Assert.Equal(("followUp", 20.0), (row.GetProperty("decides").GetProperty("rule").GetString(), row.GetProperty("decides").GetProperty("hours").GetDouble()));

        await twin.OpenAsync(1010, "spotCheck", Today.ToString("yyyy-MM-dd"));
        await twin.TakeAsync(twin.Figure("1E", "0.40"));
        await Task.Delay(20);
        await server.PostAsync($"/api/engines/{twin.EngineId}/calls", new { symptoms = new[] { "smoke" } });
        await twin.TakeAsync(Later(twin.Entry("signed")));
        var left = Assert.Single((await RowAsync(twin)).GetProperty("calls").EnumerateArray());
        Assert.Equal("smoke", left.GetProperty("symptoms")[0].GetString());

        var (silent, body) = await server.PostAsync($"/api/calls/{left.GetProperty("id").GetGuid()}/close", new { });
        Assert.Equal(HttpStatusCode.BadRequest, silent);
        Assert.NotEmpty(body.Sentence("why"));
        await server.PostAsync($"/api/calls/{left.GetProperty("id").GetGuid()}/close", new { why = "it was the injector" });
        Assert.Empty((await RowAsync(twin)).GetProperty("calls").EnumerateArray());
    }

    [Theory]
    [InlineData("symptoms", "{}")]
    [InlineData("date", """{"what":"look again"}""")]
    [InlineData("date", """{"what":"look again","date":"2020-01-01"}""")]
    [InlineData("inHours", """{"what":"look again","inHours":0}""")]
    public async Task A_call_that_says_nothing_is_refused_at_its_field(string field, string request)
    {
        var twin = await SetAsync();
        var (status, body) = await server.PostAsync($"/api/engines/{twin.EngineId}/calls", request);

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotEmpty(body.Sentence(field));
    }

    [Fact]
    public async Task Twice_the_use_is_tried_and_nothing_is_kept()
    {
        var twin = await SetAsync();
        var before = (await RowAsync(twin)).GetProperty("decides").GetProperty("date").GetString();
        var (status, tried) = await server.PostAsync("/api/due/try", new { usageFactor = 2 });

        Assert.Equal(HttpStatusCode.OK, status);
        var moved = Assert.Single(tried.EnumerateArray());
        Assert.Equal(before, moved.GetProperty("before").GetProperty("date").GetString());
        Assert.True(string.CompareOrdinal(moved.GetProperty("after").GetProperty("date").GetString(), before) < 0);
        Assert.Equal(before, (await RowAsync(twin)).GetProperty("decides").GetProperty("date").GetString());
        var (bad, body) = await server.PostAsync("/api/due/try", new { risk = 2 });
        Assert.Equal(HttpStatusCode.BadRequest, bad);
        Assert.NotEmpty(body.Sentence("risk"));
    }

    [Fact]
    public async Task The_weeks_letter_names_what_is_due_and_why()
    {
        var twin = await SetAsync();
        await server.PostAsync($"/api/engines/{twin.EngineId}/calls", new { symptoms = new[] { "smoke" } });
        var bytes = await server.Client.GetByteArrayAsync("/api/due/letter.eml");
        using var letter = MimeKit.MimeMessage.Load(new MemoryStream(bytes));

        Assert.EndsWith(": due", letter.Subject, StringComparison.Ordinal);
        Assert.Contains("Pump twin, Depot: operator's report", letter.TextBody, StringComparison.Ordinal);
        Assert.All(Encoding.ASCII.GetString(bytes).Split('\n'), line => Assert.True(line.Length <= 78));
    }

    public void Dispose() => server.Dispose();

    private static System.Text.Json.Nodes.JsonObject Later(System.Text.Json.Nodes.JsonObject entry)
    {
        entry["at"] = DateTime.UtcNow.ToString("O");
        return entry;
    }

    /// <summary>A twin set today, so that nothing else calls for it soon.</summary>
    private async Task<TwinEngine> SetAsync()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync(1000, date: Today.ToString("yyyy-MM-dd"));
        await twin.MeasureAllAsync();
        await twin.SignAsync();
        return twin;
    }

    private async Task<JsonElement> RowAsync(TwinEngine twin) => (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("row");
}
