using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;

namespace ZeroDrift.Server.People;

public sealed record PersonCreateRequest(Guid? Id, string? Name, string? Initials);

public sealed record PersonChangeRequest(string? Name, string? Initials, bool? Archived, string? Who);

public sealed record PersonResponse(Guid Id, string Name, string Initials, bool Archived)
{
    internal static PersonResponse Of(PersonRow p) => new(p.Id, p.Name, p.Initials, p.ArchivedAt is not null);
}

/// <summary>The people who measure, set and sign: chosen from a list, not typed anew.</summary>
internal static class PersonEndpoints
{
    public static void MapPeople(this IEndpointRouteBuilder api)
    {
        var people = api.MapGroup("/people").WithTags("People");
        people.MapGet("/", List).WithName("list-people");
        people.MapPost("/", Add).WithName("add-person").Refuses(400, 409, 503);
        people.MapPut("/{id:guid}", Change).WithName("change-person").Refuses(400, 404, 409, 503);
    }

    public static async Task<IReadOnlyList<PersonResponse>> List(ZeroDriftContext data, CancellationToken cancelled, bool archived = false) =>
        [.. (await data.People.AsNoTracking().Where(p => archived || p.ArchivedAt == null).OrderBy(p => p.Name).ToListAsync(cancelled)).Select(PersonResponse.Of)];

    public static async Task<Results<Created<PersonResponse>, Ok<PersonResponse>>> Add(PersonCreateRequest request, WriteGate gate, CancellationToken cancelled)
    {
        var name = Given.Name(request.Name, "name", "the person's name", 80);
        var initials = Given.OptionalText(request.Initials, "initials", "the initials", 6) ?? Initials.Of(name);
        var id = Given.NewId(request.Id);
        var (person, made) = await gate.RunAsync(async data =>
        {
            if (await data.People.FirstOrDefaultAsync(p => p.Id == id) is { } stands)
                return stands.NameKey == NameKeys.Of(name) && (request.Initials is null || stands.Initials == initials) ? (stands, false) : throw new ConflictException("differs", "id", $"That identifier is {stands.Name}'s.");
            var key = NameKeys.Of(name);
            if (await data.People.FirstOrDefaultAsync(p => p.NameKey == key) is { } taken)
                throw new ConflictException("nameTaken", "name", $"There is already a person called {taken.Name}; choose that one, or give this one another name.");
            var row = new PersonRow { Id = id, Name = name, Initials = initials };
            data.People.Add(row);
            await data.SaveChangesAsync();
            return (row, true);
        }, cancelled);
        return made ? TypedResults.Created($"/api/people/{id}", PersonResponse.Of(person)) : TypedResults.Ok(PersonResponse.Of(person));
    }

    public static async Task<PersonResponse> Change(Guid id, PersonChangeRequest request, WriteGate gate, TimeProvider clock, CancellationToken cancelled) => PersonResponse.Of(await gate.RunAsync(async data =>
    {
        var person = await data.People.FirstOrDefaultAsync(p => p.Id == id) ?? throw new NotFoundException("There is no such person.");
        var log = new ChangeLog(data, "person", id, request.Who, null, clock.GetUtcNow().UtcDateTime);
        if (request.Name is not null)
        {
            var name = Given.Name(request.Name, "name", "the person's name", 80);
            await FreeName.RequireAsync<PersonRow>(data, id, name, $"There is already a person called {name}.");
            person.Name = log.Changed("name", person.Name, name);
        }
        if (request.Initials is not null) person.Initials = log.Changed("initials", person.Initials, Given.Text(request.Initials, "initials", "the initials", 6));
        if (request.Archived is { } archived) person.ArchivedAt = log.Archived(person.ArchivedAt, archived);
        log.Keep();
        await data.SaveChangesAsync();
        return person;
    }, cancelled));
}
