using Ical.Net;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data;
using ZeroDrift.Server.Calendars;
using ZeroDrift.Server.Errors;

namespace ZeroDrift.Server.Plan;

/// <summary>The published plan as a calendar (RFC 5545), of one person, one machine or all: a file, and a feed to subscribe to.</summary>
internal static class PlanCalendar
{
    public static async Task<ContentHttpResult> WriteAsync(ZeroDriftContext data, CancellationToken cancelled, Guid? person = null, Guid? machine = null, int? version = null)
    {
        if (person is { } p && !await data.People.AnyAsync(x => x.Id == p, cancelled)) throw new NotFoundException("There is no such person.");
        if (machine is { } m && !await data.Machines.AnyAsync(x => x.Id == m, cancelled)) throw new NotFoundException("There is no such machine.");
        var published = await data.PlanVersions.AsNoTracking().Where(v => version == null || v.Number == version).OrderByDescending(v => v.Number).FirstOrDefaultAsync(cancelled);
        if (version is not null && published is null) throw new NotFoundException("There is no such plan.");
        var calendar = new CalendarFile("Plan");
        if (published is not null)
        {
            var people = await data.People.AsNoTracking().ToDictionaryAsync(x => x.Id, x => x.Name, cancelled);
            var jobs = await data.Jobs.AsNoTracking().Include(j => j.Engine!.Machine!.Site).ToDictionaryAsync(j => j.Id, cancelled);
            foreach (var at in PlanEndpoints.Read(published).Where(at => (person is null || at.PersonId == person || at.MateId == person) && (machine is null || jobs[at.JobId].Engine!.MachineId == machine)))
            {
                var job = jobs[at.JobId];
                var who = $"{people.GetValueOrDefault(at.PersonId)}{(at.MateId is { } mate ? $" with {people.GetValueOrDefault(mate)}" : "")}";
                var entry = calendar.Add($"{at.JobId}", published.PublishedAt, at.Date, at.LastDate, $"{job.Title}: {job.Engine!.Name}", job.Engine.Machine!.Site!.Name, $"{who}. {at.Because}");
                entry.Sequence = published.Number;
                entry.Status = job.State == Data.Model.JobState.Dropped ? EventStatus.Cancelled : EventStatus.Confirmed;
            }
        }
        return calendar.ToResult();
    }
}
