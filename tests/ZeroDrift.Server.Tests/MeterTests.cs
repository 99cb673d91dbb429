using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>A meter that was misread, replaced or put right: every visit and every date follows.</summary>
public sealed class MeterTests : IDisposable
{
    private readonly ServerWithFile server = new();

    [Fact]
    public async Task A_misread_old_meter_is_put_right_after_the_new_one_was_read_and_signed_and_open_visits_follow()
    {
        var twin = await new TwinEngine(server).AddAsync();
        await ReadAsync(twin, new { hours = 4900, date = "2026-10-01" });
        var (_, changed) = await ReadAsync(twin, new { hours = 4950, newMeterShows = 0, date = "2026-10-10" });
        var change = changed.GetProperty("meter").EnumerateArray().First(m => m.GetProperty("newMeterShows").ValueKind == JsonValueKind.Number).GetProperty("id").GetGuid();
        await twin.OpenAsync(20, date: "2026-10-20");
        await twin.MeasureAllAsync();
        await twin.SignAsync();
        await twin.OpenAsync(60, date: "2026-11-20");
        Assert.Equal([4970, 5010], await TotalsAsync(twin));

        var (status, body) = await server.PutAsync($"/api/engines/{twin.EngineId}/meter-readings/{change}", new { hours = 5050, why = "read off the wrong drum", who = "Tove" });

        Assert.True(status == HttpStatusCode.OK, body.ToString());
        Assert.Equal([5070, 5110], await TotalsAsync(twin));
        Assert.Equal(5110, body.GetProperty("totalHours").GetDouble());
        Assert.Equal(5070, (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("ledger")[0].GetProperty("totalHours").GetDouble());
    }

    [Fact]
    public async Task A_change_is_not_withdrawn_from_under_the_readings_of_the_new_meter()
    {
        var twin = await new TwinEngine(server).AddAsync();
        await ReadAsync(twin, new { hours = 4900, date = "2026-10-01" });
        var (_, changed) = await ReadAsync(twin, new { hours = 4950, newMeterShows = 0, date = "2026-10-10" });
        var change = changed.GetProperty("meter").EnumerateArray().First(m => m.GetProperty("newMeterShows").ValueKind == JsonValueKind.Number).GetProperty("id").GetGuid();
        var path = $"/api/engines/{twin.EngineId}/meter-readings/{change}";
        await ReadAsync(twin, new { hours = 12, date = "2026-10-20" });

        var (refused, body) = await server.PutAsync(path, new { why = "it was never replaced", who = "Tove" });

        Assert.Equal((HttpStatusCode.Conflict, "readingsRestOn"), (refused, body.GetProperty("code").GetString()));
        Assert.Contains("12 h is below the 4\u202f900 h of 1 Oct 2026", body.GetProperty("detail").GetString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_reading_told_late_goes_between_its_neighbours_and_one_that_does_not_fit_says_beside_what()
    {
        var twin = await new TwinEngine(server).AddAsync();
        await ReadAsync(twin, new { hours = 1000, date = "2026-10-01" });
        await ReadAsync(twin, new { hours = 1100, date = "2026-10-21" });

        Assert.Equal(HttpStatusCode.OK, (await ReadAsync(twin, new { hours = 1050, date = "2026-10-11" })).Status);
        var (status, body) = await ReadAsync(twin, new { hours = 1101, date = "2026-10-20" });
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.StartsWith("1\u202f101 h on 20 Oct 2026 is above the 1\u202f100 h of 21 Oct 2026, which was read later.", body.Sentence("hours"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_figure_that_could_be_two_waits_with_both_and_is_taken_as_somebody_says()
    {
        var twin = await new TwinEngine(server).AddAsync();
        const string file = "engine;date;hours\nPump twin;20.11.2026;1.480\n";

        var (_, shown) = await server.PostFileAsync("/api/hours/preview", file);
        var asked = shown.GetProperty("figures")[0];
        Assert.Equal(("waiting", "twoWays", JsonValueKind.Null), (asked.GetProperty("outcome").GetString(), asked.GetProperty("doubt").GetString(), asked.GetProperty("hours").ValueKind));
        Assert.Equal([1.48, 1480], asked.GetProperty("ways").EnumerateArray().Select(w => w.GetDouble()));
        await server.PostFileAsync("/api/hours/import", file);
        var waits = (await server.GetAsync("/api/hours/waiting"))[0];
        Assert.Contains("It could be 1.48 h or 1\u202f480 h", waits.GetProperty("sentence").GetString(), StringComparison.Ordinal);

        var path = $"/api/hours/waiting/{waits.GetProperty("id").GetGuid()}/decision";
        Assert.Equal(HttpStatusCode.BadRequest, (await server.PostAsync(path, new { decision = "take", who = "Tove" })).Status);
        Assert.Equal(HttpStatusCode.OK, (await server.PostAsync(path, new { decision = "take", hours = 1480, who = "Tove" })).Status);
        Assert.Equal(1480, (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("totalHours").GetDouble());

        // Another cell of the column tells what the sign is.
        var (_, proved) = await server.PostFileAsync("/api/hours/preview", "engine;date;hours\nPump twin;21.11.2026;1.490\nPump twin;22.11.2026;1500,5\n");
        Assert.Equal([1490, 1500.5], proved.GetProperty("figures").EnumerateArray().Select(f => f.GetProperty("hours").GetDouble()));
    }

    [Fact]
    public async Task An_overhead_opened_by_any_door_says_which_job_it_closes_and_a_rebuild_closes_no_other()
    {
        var twin = await new TwinEngine(server).AddAsync();
        var (_, job) = await server.PostAsync("/api/jobs", new { engineId = twin.EngineId, title = "Overhead", dueDate = "2026-11-25", hours = 2 });
        var id = job.GetProperty("id").GetGuid();
        var offered = Assert.Single((await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("jobs").EnumerateArray());
        Assert.Equal((id, true), (offered.GetProperty("id").GetGuid(), offered.GetProperty("closedByOverhead").GetBoolean()));
        await twin.OpenAsync();
        Assert.Equal(id, (await twin.ViewAsync()).GetProperty("closesJob").GetGuid());
        await twin.MeasureAllAsync();
        await twin.SignAsync();
        Assert.Equal(twin.VisitId, (await server.GetAsync("/api/jobs?state=done"))[0].GetProperty("visitId").GetGuid());

        await server.PostAsync("/api/jobs", new { engineId = twin.EngineId, title = "The next overhead", dueDate = "2027-11-25", hours = 2 });
        await server.Service<ZeroDrift.Data.Writing.WriteGate>().RunAsync(data => ZeroDrift.Data.Projections.Projector.AllAsync(data, DateOnly.FromDateTime(DateTime.UtcNow)));
        Assert.Equal("The next overhead", Assert.Single((await server.GetAsync("/api/jobs")).EnumerateArray()).GetProperty("title").GetString());
    }

    public void Dispose() => server.Dispose();

    private Task<(HttpStatusCode Status, JsonElement Body)> ReadAsync(TwinEngine twin, object reading) => server.PostAsync($"/api/engines/{twin.EngineId}/meter-readings", reading);

    private async Task<IEnumerable<double>> TotalsAsync(TwinEngine twin)
    {
        var totals = new List<double>();
        foreach (var visit in (await server.GetAsync($"/api/visits?engineId={twin.EngineId}")).GetProperty("visits").EnumerateArray())
            totals.Add((await server.GetAsync($"/api/visits/{visit.GetProperty("visitId").GetGuid()}")).GetProperty("sheet").GetProperty("totalHours").GetDouble());
        return totals.Order();
    }
}
