using System.Net;

namespace ZeroDrift.Server.Tests;

/// <summary>What breaks a plan and what mends it: illness, other work on the engine, shims to buy, things that could give way; laid-up machines.</summary>
public sealed partial class PlanTests
{
    [Fact]
    public async Task Somebody_falls_ill_and_the_draft_says_what_can_stand_no_more_until_it_is_planned_again()
    {
        var twin = await DueAsync();
        var job = (await FromDueAsync())[0].GetProperty("id").GetGuid();
        await WorksAsync(twin.Marit, "generator");
        await WorksAsync(twin.Olav, "generator");
        var monday = Monday();
        await server.PutAsync($"/api/plan/placements/{job}", new { personId = twin.Marit, date = monday });
        Assert.Empty((await server.GetAsync("/api/plan")).GetProperty("broken").EnumerateArray());

        await server.PostAsync("/api/plan/away", new { personId = twin.Marit, from = monday, to = monday.AddDays(4), why = "ill" });
        var broken = Assert.Single((await server.GetAsync("/api/plan")).GetProperty("broken").EnumerateArray());
        Assert.Equal((job, true), (broken.GetProperty("jobId").GetGuid(), broken.GetProperty("reason").GetString()!.StartsWith("Marit is off on", StringComparison.Ordinal)));

        // It was pinned there; a pin that can hold no more does not stop the planning.
        var plan = await PlannedAsync();
        Assert.Empty(plan.GetProperty("broken").EnumerateArray());
        Assert.Single(plan.GetProperty("placements").EnumerateArray());
        Assert.Single(plan.GetProperty("run").GetProperty("moved").EnumerateArray());
    }

    [Fact]
    public async Task What_stands_otherwise_than_in_the_published_plan_is_said_with_day_person_and_second()
    {
        var twin = await DueAsync();
        var job = (await FromDueAsync())[0].GetProperty("id").GetGuid();
        await WorksAsync(twin.Marit, "generator");
        await WorksAsync(twin.Olav, "generator");
        var monday = Monday();
        var without = Assert.Single((await server.GetAsync("/api/plan")).GetProperty("withoutDay").EnumerateArray());
        Assert.Equal((job, "Not planned yet.", false), (without.GetProperty("jobId").GetGuid(), without.GetProperty("reason").GetString(), without.GetProperty("later").GetBoolean()));

        await server.PutAsync($"/api/plan/placements/{job}", new { personId = twin.Marit, date = monday });
        await server.PostAsync("/api/plan/publish", new { who = "Tove" });
        Assert.Empty((await server.GetAsync("/api/plan")).GetProperty("movedSincePublished").EnumerateArray());
        Assert.Empty((await server.GetAsync("/api/plan")).GetProperty("withoutDay").EnumerateArray());

        await server.PutAsync($"/api/plan/placements/{job}", new { personId = twin.Olav, date = monday.AddDays(1) });
        Assert.Contains("to " + Said(monday.AddDays(1)) + ", Olav instead of Marit", await MovedAsync(), StringComparison.Ordinal);

        await server.PutAsync($"/api/jobs/{job}", new { crew = 2 });
        await server.PutAsync($"/api/plan/placements/{job}", new { personId = twin.Marit, date = monday });
        Assert.Contains(": with Olav as the second.", await MovedAsync(), StringComparison.Ordinal);

        await server.SendAsync(HttpMethod.Delete, $"/api/plan/placements/{job}", null);
        Assert.Contains("taken out of the plan; it stood on " + Said(monday), await MovedAsync(), StringComparison.Ordinal);

        async Task<string> MovedAsync() => Assert.Single((await server.GetAsync("/api/plan")).GetProperty("movedSincePublished").EnumerateArray()).GetProperty("sentence").GetString()!;
        static string Said(DateOnly day) => day.ToString("d MMM yyyy", System.Globalization.CultureInfo.InvariantCulture);
    }

    [Fact]
    public async Task Other_work_that_opens_the_engine_is_offered_as_the_moment_for_its_overhead()
    {
        var twin = await DueAsync();
        await WorksAsync(twin.Marit, "generator");
        var overhead = (await FromDueAsync())[0].GetProperty("id").GetGuid();
        var monday = Monday();
        await server.PutAsync($"/api/jobs/{overhead}", new { dueDate = monday.AddDays(40) });
        var (_, injectors) = await server.PostAsync("/api/jobs", new { engineId = twin.EngineId, title = "Injectors out", dueDate = monday, hours = 2, opens = true });

        var moment = Assert.Single((await server.GetAsync("/api/plan")).GetProperty("cheapMoments").EnumerateArray());
        Assert.Equal((injectors.GetProperty("id").GetGuid(), overhead, Date(moment, "date")), (moment.GetProperty("openingJobId").GetGuid(), moment.GetProperty("overheadJobId").GetGuid(), monday));
        await server.PutAsync($"/api/jobs/{overhead}", new { dueDate = monday });
        Assert.Empty((await server.GetAsync("/api/plan")).GetProperty("cheapMoments").EnumerateArray());

        // Other work has no visit to be signed: it is said to be done.
        var (done, _) = await server.PutAsync($"/api/jobs/{injectors.GetProperty("id").GetGuid()}", new { state = "done" });
        var (refused, _) = await server.PutAsync($"/api/jobs/{overhead}", new { state = "done" });
        Assert.Equal((HttpStatusCode.OK, HttpStatusCode.BadRequest), (done, refused));
    }

    [Fact]
    public async Task An_engine_on_shims_is_opened_twice_a_week_apart_at_least()
    {
        var typeId = Guid.CreateVersion7();
        var shims = new TwinEngine(server) { TypeId = typeId };
        await shims.AddAsync("Shim twin", TwinEngine.Type(typeId, "SH2", adjuster: "shimOnTop"));
        await shims.OpenAsync(1000, date: Today.AddDays(-120).ToString("yyyy-MM-dd"));
        await shims.MeasureAllAsync();
        await shims.SignAsync();
        await server.PostAsync($"/api/engines/{shims.EngineId}/meter-readings", new { hours = 2050, date = Today });
        await WorksAsync(shims.Marit, "generator");

        var jobs = await FromDueAsync();
        Assert.Equal(["Measure for shims", "Fit shims"], jobs.Select(j => j.GetProperty("title").GetString()));
        Assert.Equal(jobs[0].GetProperty("id").GetGuid(), jobs[1].GetProperty("afterJobId").GetGuid());
        var days = (await PlannedAsync()).GetProperty("placements").EnumerateArray().ToDictionary(p => p.GetProperty("jobId").GetGuid(), p => Date(p, "date"));
        Assert.True(days[jobs[1].GetProperty("id").GetGuid()] >= days[jobs[0].GetProperty("id").GetGuid()].AddDays(7));
    }

    [Fact]
    public async Task What_would_let_a_job_in_is_said_smallest_first()
    {
        var twin = await DueAsync();
        await WorksAsync(twin.Marit, "generator");
        await WorksAsync(twin.Olav, "lorry");
        var (_, job) = await server.PostAsync("/api/jobs", new { engineId = twin.EngineId, title = "Look", dueDate = Monday(), hours = 2 });
        var machine = (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("row").GetProperty("machineId").GetGuid();
        await server.PostAsync("/api/plan/away", new { machineId = machine, from = Today, to = Today.AddDays(60), why = "harvest" });

        var releases = (await server.GetAsync($"/api/plan/releases/{job.GetProperty("id").GetGuid()}")).EnumerateArray().ToList();
        Assert.Contains("spared", releases[0].GetProperty("what").GetString(), StringComparison.Ordinal);
        Assert.Equal(twin.Marit, releases[0].GetProperty("personId").GetGuid());
    }

    [Fact]
    public async Task A_machine_laid_up_runs_no_hours_is_due_later_and_can_be_worked_on()
    {
        var twin = await DueAsync();
        async Task<DateOnly> DayForAsync(double hours) => Date(await server.GetAsync($"/api/engines/{twin.EngineId}/hours-ahead?hours={hours}"), "date");
        var before = await DayForAsync(2600);
        var machine = (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("row").GetProperty("machineId").GetGuid();
        await server.PostAsync("/api/plan/away", new { machineId = machine, from = Today.AddDays(10), to = Today.AddDays(39), why = "winter", laidUp = true });
        Assert.Equal(before.AddDays(30), await DayForAsync(2600));

        var job = (await FromDueAsync())[0].GetProperty("id").GetGuid();
        await WorksAsync(twin.Marit, "generator");
        var inside = Enumerable.Range(10, 10).Select(d => Today.AddDays(d)).First(d => d.DayOfWeek == DayOfWeek.Monday);
        Assert.True((await CheckAsync(job, twin.Marit, inside)).GetProperty("fits").GetBoolean());

        var away = (await server.GetAsync("/api/plan")).GetProperty("away")[0];
        Assert.True(away.GetProperty("laidUp").GetBoolean());
        await server.SendAsync(HttpMethod.Delete, $"/api/plan/away/{away.GetProperty("id").GetGuid()}", null);
        Assert.Equal(before, await DayForAsync(2600));
        var (refused, body) = await server.PostAsync("/api/plan/away", new { personId = twin.Marit, from = Today, why = "leave", laidUp = true });
        Assert.Equal(HttpStatusCode.BadRequest, refused);
        Assert.NotEmpty(body.Sentence("laidUp"));
    }

    [Fact]
    public async Task Hours_and_dates_answer_each_other_and_what_is_past_is_refused()
    {
        var twin = await DueAsync();
        var path = $"/api/engines/{twin.EngineId}/hours-ahead";
        var day = Date(await server.GetAsync($"{path}?hours=2500"), "date");
        var there = await server.GetAsync($"{path}?date={day:yyyy-MM-dd}");
        Assert.InRange(there.GetProperty("hours").GetDouble(), 2500 - 1e-6, 2500 + there.GetProperty("hoursPerDay").GetDouble());
        Assert.True(there.GetProperty("least").GetDouble() <= there.GetProperty("hours").GetDouble() && there.GetProperty("hours").GetDouble() <= there.GetProperty("most").GetDouble());

        var (early, said) = await server.SendAsync(HttpMethod.Get, $"{path}?hours=2000", null);
        Assert.Equal(HttpStatusCode.BadRequest, early);
        Assert.Contains("shows about 2050 h already", said.Sentence("hours"), StringComparison.Ordinal);
        Assert.NotEmpty((await server.SendAsync(HttpMethod.Get, $"{path}?date={Today.AddDays(-1):yyyy-MM-dd}", null)).Body.Sentence("date"));
    }

    [Fact]
    public async Task A_manager_is_told_what_falls_due_whether_it_can_be_done_who_is_too_full_and_what_to_order_today()
    {
        var twin = await DueAsync();
        var before = await server.GetAsync("/api/plan/outlook");
        Assert.Equal((1, 1, 0), (before.GetProperty("due").GetInt32(), before.GetProperty("withoutJob").GetInt32(), before.GetProperty("planned").GetInt32()));

        var overhead = (await FromDueAsync())[0].GetProperty("id").GetGuid();
        await server.PutAsync($"/api/jobs/{overhead}", new { hours = 8 });
        await server.PutAsync($"/api/plan/people/{twin.Marit}", new { skills = new[] { "generator" }, weekHours = new[] { 8, 0, 0, 0, 0, 0, 0 } });
        await server.PutAsync($"/api/plan/placements/{overhead}", new { personId = twin.Marit, date = Monday() });
        await server.PostAsync("/api/jobs", new { engineId = twin.EngineId, title = "Gasket", dueDate = Today.AddDays(9), hours = 1, crew = 2, parts = new[] { new { name = "gasket", leadDays = 14 } } });

        var told = await server.GetAsync("/api/plan/outlook");
        Assert.Equal((0, 1), (told.GetProperty("withoutJob").GetInt32(), told.GetProperty("planned").GetInt32()));
        // One for eight hours, one for two people of an hour each; eight Mondays of eight hours.
        Assert.Equal((10.0, 64.0), (told.GetProperty("hoursNeeded").GetDouble(), told.GetProperty("hoursThere").GetDouble()));
        Assert.StartsWith("Marit, week of", told.GetProperty("overloaded")[0].GetString(), StringComparison.Ordinal);
        Assert.Equal("gasket for Pump twin", told.GetProperty("orderToday")[0].GetString());
    }

    [Fact]
    public async Task Published_plans_are_kept_each_as_it_was()
    {
        var twin = await DueAsync();
        var job = (await FromDueAsync())[0].GetProperty("id").GetGuid();
        await WorksAsync(twin.Marit, "generator");
        var monday = Monday();
        foreach (var date in new[] { monday, monday.AddDays(1) })
        {
            await server.PutAsync($"/api/plan/placements/{job}", new { personId = twin.Marit, date });
            await server.PostAsync("/api/plan/publish", new { who = "Tove" });
        }
        // Published again unchanged is the same plan.
        var (_, same) = await server.PostAsync("/api/plan/publish", new { who = "Olav" });
        Assert.Equal((2, "Tove"), (same.GetProperty("number").GetInt32(), same.GetProperty("who").GetString()));
        Assert.Equal([2, 1], (await server.GetAsync("/api/plan/versions")).EnumerateArray().Select(v => v.GetProperty("number").GetInt32()));
        Assert.Equal(monday, Assert.Single(CalendarReader.Read(await server.Client.GetStringAsync("/api/plan/calendar.ics?version=1"))).Start);
        Assert.Equal(monday.AddDays(1), Assert.Single(CalendarReader.Read(await server.Client.GetStringAsync("/api/plan/calendar.ics"))).Start);
    }

    [Fact]
    public async Task Calendars_are_read_back_by_another_hand()
    {
        var twin = await DueAsync();
        await FromDueAsync();
        await WorksAsync(twin.Marit, "generator");
        var at = (await PlannedAsync()).GetProperty("placements")[0];
        await server.PostAsync("/api/plan/publish", new { who = "Tove" });

        var plan = CalendarReader.Read(await server.Client.GetStringAsync("/api/plan/calendar.ics?version=1"));
        var job = Assert.Single(plan);
        Assert.Equal(("Overhead: Pump twin", "Depot", Date(at, "date"), Date(at, "lastDate").AddDays(1)), (job.Summary, job.Location, job.Start, job.End));
        var due = Assert.Single(CalendarReader.Read(await server.Client.GetStringAsync("/api/due/calendar.ics")));
        Assert.Equal(("Due: Pump twin", Today), (due.Summary, due.Start));
        Assert.Equal(HttpStatusCode.NotFound, (await server.Client.GetAsync("/api/plan/calendar.ics?version=9")).StatusCode);
    }
}
