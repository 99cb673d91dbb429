using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>From due to a job, a place in the plan, a calendar, the visit and the next date.</summary>
public sealed partial class PlanTests : IDisposable
{
    private readonly ServerWithFile server = new();

    private static readonly DateOnly Today = DateOnly.FromDateTime(DateTime.UtcNow);

    [Fact]
    public async Task What_is_due_becomes_a_job_once_is_planned_published_started_and_closed_by_the_signature()
    {
        var twin = await DueAsync();
        var jobs = await FromDueAsync();
        var job = Assert.Single(jobs);
        Assert.Equal(("Pump twin", "Overhead", "bookHours"), (job.GetProperty("engine").GetString(), job.GetProperty("title").GetString(), job.GetProperty("rule").GetString()));
        Assert.Single(await FromDueAsync());

        await WorksAsync(twin.Marit, "generator");
        var plan = await PlannedAsync();
        var placed = Assert.Single(plan.GetProperty("placements").EnumerateArray());
        Assert.Equal(twin.Marit, placed.GetProperty("personId").GetGuid());
        Assert.NotEmpty(placed.GetProperty("because").GetString()!);
        Assert.True(plan.GetProperty("changed").GetBoolean());

        var (_, version) = await server.PostAsync("/api/plan/publish", new { who = "Tove" });
        Assert.Equal((1, 1), (version.GetProperty("number").GetInt32(), version.GetProperty("jobs").GetInt32()));
        Assert.False((await server.GetAsync("/api/plan")).GetProperty("changed").GetBoolean());
        var calendar = await server.Client.GetStringAsync($"/api/plan/calendar.ics?person={twin.Marit}");
        Assert.Contains("SUMMARY:Overhead: Pump twin", calendar, StringComparison.Ordinal);
        Assert.Contains($"DTSTART;VALUE=DATE:{placed.GetProperty("date").GetString()!.Replace("-", "", StringComparison.Ordinal)}", calendar, StringComparison.Ordinal);
        Assert.DoesNotContain("VEVENT", await server.Client.GetStringAsync($"/api/plan/calendar.ics?person={twin.Olav}"), StringComparison.Ordinal);

        var visit = Guid.CreateVersion7();
        await twin.SendToAsync(visit, twin.Entry("opened", new { engineId = twin.EngineId, job = "overhead", date = Today.ToString("yyyy-MM-dd"), shownHours = 2060, jobId = job.GetProperty("id").GetGuid() }));
        var steps = (await server.GetAsync($"/api/visits/{visit}")).GetProperty("context").GetProperty("steps").EnumerateArray().Select(s => twin.Entry("ticked", new { step = s.GetProperty("step").GetString(), on = true }));
        await twin.SendToAsync(visit, [.. steps, twin.Entry("conditionStated", new { condition = "cold", engineTemperatureC = 15 })]);
        foreach (var point in (string[])["1I", "1E", "2I", "2E"]) await twin.SendToAsync(visit, twin.Figure(point, point.EndsWith('I') ? "0.20" : "0.40"));
        await twin.SendToAsync(visit, twin.Entry("signed"));

        Assert.Empty((await server.GetAsync("/api/jobs")).EnumerateArray());
        Assert.Equal(visit, (await server.GetAsync("/api/jobs?state=done"))[0].GetProperty("visitId").GetGuid());
        Assert.Equal(1000, (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("row").GetProperty("bookHoursLeft").GetDouble(), 3);
    }

    [Fact]
    public async Task A_day_is_tried_before_it_is_taken_and_what_is_in_the_way_is_said()
    {
        var twin = await DueAsync();
        var job = (await FromDueAsync())[0].GetProperty("id").GetGuid();
        await WorksAsync(twin.Marit, "generator");
        await WorksAsync(twin.Olav, "lorry");
        var monday = Monday();

        Assert.True((await CheckAsync(job, twin.Marit, monday)).GetProperty("fits").GetBoolean());
        Assert.Contains("does not know this kind (generator)", (await CheckAsync(job, twin.Olav, monday)).GetProperty("sentence").GetString(), StringComparison.Ordinal);
        Assert.Contains("Marit is off", (await CheckAsync(job, twin.Marit, monday.AddDays(5))).GetProperty("sentence").GetString(), StringComparison.Ordinal);
        var machine = (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("row").GetProperty("machineId").GetGuid();
        await server.PostAsync("/api/plan/away", new { machineId = machine, from = monday, to = monday.AddDays(1), why = "harvest" });
        Assert.Contains("cannot be spared", (await CheckAsync(job, twin.Marit, monday)).GetProperty("sentence").GetString(), StringComparison.Ordinal);

        var (refused, body) = await server.PutAsync($"/api/plan/placements/{job}", new { personId = twin.Marit, date = monday });
        Assert.Equal((HttpStatusCode.Conflict, "doesNotFit"), (refused, body.GetProperty("code").GetString()));
        var (placed, at) = await server.PutAsync($"/api/plan/placements/{job}", new { personId = twin.Marit, date = monday.AddDays(2) });
        Assert.Equal((HttpStatusCode.OK, true), (placed, at.GetProperty("pinned").GetBoolean()));
        // What a person put there stays when it is planned anew.
        Assert.Equal(monday.AddDays(2).ToString("yyyy-MM-dd"), (await PlannedAsync()).GetProperty("placements")[0].GetProperty("date").GetString());
    }

    [Fact]
    public async Task Parts_on_their_way_hold_a_job_back_and_say_by_when_to_order()
    {
        var twin = await DueAsync();
        await WorksAsync(twin.Marit, "generator");
        var (_, job) = await server.PostAsync("/api/jobs", new { engineId = twin.EngineId, title = "Shims in", dueDate = Today.AddDays(20), hours = 3, parts = new[] { new { name = "shims", leadDays = 10 } } });

        Assert.Equal((Today.AddDays(10), Today.AddDays(10)), (Date(job, "earliestDate"), Date(job, "orderBy")));
        await server.PutAsync($"/api/jobs/{job.GetProperty("id").GetGuid()}", new { parts = new[] { new { name = "shims", leadDays = 10, here = true } } });
        var here = (await server.GetAsync("/api/jobs"))[0];
        Assert.Equal((JsonValueKind.Null, JsonValueKind.Null), (here.GetProperty("earliestDate").ValueKind, here.GetProperty("orderBy").ValueKind));
    }

    [Fact]
    public async Task One_of_a_group_is_out_at_a_time_and_a_job_dropped_leaves_the_plan()
    {
        var twin = await DueAsync();
        var other = await new TwinEngine(server) { TypeId = twin.TypeId }.AddAsync("Spare twin", null);
        await WorksAsync(twin.Marit, "generator");
        await WorksAsync(twin.Olav, "generator");
        await server.PutAsync("/api/plan/groups", new { name = "Pumps", mostOut = 1, engineIds = new[] { twin.EngineId, other.EngineId } });
        foreach (var engine in new[] { twin.EngineId, other.EngineId }) await server.PostAsync("/api/jobs", new { engineId = engine, title = "Look", dueDate = Monday(), hours = 2 });

        var plan = await PlannedAsync();
        Assert.Equal(2, plan.GetProperty("placements").EnumerateArray().Select(p => p.GetProperty("date").GetString()).Distinct().Count());
        var job = plan.GetProperty("jobs")[0].GetProperty("id").GetGuid();
        var (silent, _) = await server.PutAsync($"/api/jobs/{job}", new { state = "dropped" });
        await server.PutAsync($"/api/jobs/{job}", new { state = "dropped", why = "sold" });
        Assert.Equal(HttpStatusCode.BadRequest, silent);
        Assert.Single((await server.GetAsync("/api/plan")).GetProperty("placements").EnumerateArray());
    }

    [Fact]
    public async Task Without_working_hours_the_planner_says_what_is_missing()
    {
        await DueAsync();
        await FromDueAsync();
        await server.PostAsync("/api/plan/run?seconds=1", new { });
        for (var i = 0; i < 100 && (await server.GetAsync("/api/plan/run")).GetProperty("running").GetBoolean(); i++) await Task.Delay(50);
        Assert.Contains("working hours", (await server.GetAsync("/api/plan/run")).GetProperty("said").GetString(), StringComparison.Ordinal);
        var (nothing, body) = await server.PostAsync("/api/plan/publish", new { });
        Assert.Equal((HttpStatusCode.Conflict, "nothingPlanned"), (nothing, body.GetProperty("code").GetString()));
    }

    [Theory]
    [InlineData("/api/plan/away", "POST", "from", """{"personId":"PERSON","why":"leave"}""")]
    [InlineData("/api/plan/away", "POST", "to", """{"personId":"PERSON","why":"leave","from":"2026-12-10","to":"2026-12-01"}""")]
    [InlineData("/api/plan/away", "POST", "personId", """{"why":"leave","from":"2026-12-10"}""")]
    [InlineData("/api/plan/groups", "PUT", "name", """{"mostOut":1}""")]
    [InlineData("/api/plan/tools", "PUT", "count", """{"name":"rig","count":-1}""")]
    [InlineData("/api/plan/people/PERSON", "PUT", "weekHours", """{"weekHours":[8,8]}""")]
    [InlineData("/api/jobs", "POST", "engineId", """{"title":"Look"}""")]
    [InlineData("/api/jobs", "POST", "crew", """{"engineId":"ENGINE","crew":3}""")]
    [InlineData("/api/jobs", "POST", "hours", """{"engineId":"ENGINE","hours":0}""")]
    [InlineData("/api/jobs", "POST", "parts[0]", """{"engineId":"ENGINE","parts":[null]}""")]
    [InlineData("/api/jobs", "POST", "parts[0].orderedOn", """{"engineId":"ENGINE","parts":[{"name":"shims","leadDays":700,"orderedOn":"9999-12-31"}]}""")]
    [InlineData("/api/jobs", "POST", "dueDate", """{"engineId":"ENGINE","dueDate":"0001-01-01"}""")]
    [InlineData("/api/plan?from=9999-12-20", "GET", "from", null)]
    [InlineData("/api/plan/run?from=9999-12-20", "POST", "from", "{}")]
    [InlineData("/api/plan/run?seconds=NaN", "POST", "seconds", "{}")]
    [InlineData("/api/plan/groups", "PUT", "engineIds", """{"name":"Pumps","engineIds":["PERSON"]}""")]
    [InlineData("/api/hours/round", "POST", "readings[0].engineId", """{"readings":[{"engineId":"PERSON","hours":5}]}""")]
    public async Task What_cannot_be_is_named(string path, string method, string field, string? request)
    {
        var twin = await DueAsync();
        string With(string text) => text.Replace("PERSON", twin.Marit.ToString(), StringComparison.Ordinal).Replace("ENGINE", twin.EngineId.ToString(), StringComparison.Ordinal);
        var (status, body) = await server.SendAsync(new HttpMethod(method), With(path), request is null ? null : With(request));

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotEmpty(body.Sentence(field));
    }

    public void Dispose() => server.Dispose();

    /// <summary>A twin whose book called a while ago.</summary>
    private async Task<TwinEngine> DueAsync()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync(1000, date: Today.AddDays(-120).ToString("yyyy-MM-dd"));
        await twin.MeasureAllAsync();
        await twin.SignAsync();
        await server.PostAsync($"/api/engines/{twin.EngineId}/meter-readings", new { hours = 2050, date = Today });
        return twin;
    }

    private async Task<IReadOnlyList<JsonElement>> FromDueAsync() => [.. (await server.PostAsync("/api/jobs/from-due", new { })).Body.EnumerateArray()];

    private Task WorksAsync(Guid person, params string[] skills) => server.PutAsync($"/api/plan/people/{person}", new { skills, weekHours = new[] { 8, 8, 8, 8, 8, 0, 0 } });

    private async Task<JsonElement> PlannedAsync()
    {
        await server.PostAsync("/api/plan/run?seconds=2", new { });
        for (var i = 0; i < 200 && (await server.GetAsync("/api/plan/run")).GetProperty("running").GetBoolean(); i++) await Task.Delay(50);
        return await server.GetAsync("/api/plan");
    }

    private async Task<JsonElement> CheckAsync(Guid jobId, Guid personId, DateOnly date) => (await server.PostAsync("/api/plan/check", new { jobId, personId, date })).Body;

    private static DateOnly Monday() => Enumerable.Range(1, 7).Select(d => Today.AddDays(d)).First(d => d.DayOfWeek == DayOfWeek.Monday);

    private static DateOnly Date(JsonElement from, string field) => DateOnly.Parse(from.GetProperty(field).GetString()!, System.Globalization.CultureInfo.InvariantCulture);
}
