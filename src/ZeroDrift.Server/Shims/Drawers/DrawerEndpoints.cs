using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Shims;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Shims;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Sheets;

namespace ZeroDrift.Server.Shims.Drawers;

/// <summary>Drawers of loose shims, and the ledger of what was done with them.</summary>
internal static class DrawerEndpoints
{
    private const int LinesShown = 500;

    public static void MapDrawers(this IEndpointRouteBuilder api)
    {
        var drawers = api.MapGroup("/shim-drawers").WithTags("Shims");
        drawers.MapGet("/", List).WithName("list-shim-drawers");
        drawers.MapPost("/", Add).WithName("add-shim-drawer").Refuses(400, 409, 503);
        drawers.MapGet("/{id:guid}/movements", Movements).WithName("list-shim-movements").Refuses(404);
        drawers.MapPost("/{id:guid}/movements", Move).WithName("move-shims").Refuses(400, 404, 409, 503);
        drawers.MapGet("/{id:guid}/stock.csv", Stock).WithName("export-shims").Produces<string>(200, "text/csv").Refuses(404);
        drawers.MapPost("/{id:guid}/count", Count).WithName("count-shims").Accepts<string>("text/csv", Spreadsheet.MediaType).Produces<CountResponse>().Refuses(400, 404, 415, 503);
    }

    public static async Task<IReadOnlyList<DrawerResponse>> List(ZeroDriftContext data, CancellationToken cancelled)
    {
        var held = (await ShimStock.HeldAsync(data)).ToLookup(h => h.Drawer);
        return [.. (await data.ShimDrawers.AsNoTracking().Include(d => d.Site).Where(d => d.ClosedAt == null).OrderBy(d => d.Name).ToListAsync(cancelled)).Select(d => Response(d, held[d.Id]))];
    }

    public static async Task<Results<Created<DrawerResponse>, Ok<DrawerResponse>>> Add(DrawerRequest request, WriteGate gate, CancellationToken cancelled)
    {
        var name = Given.Name(request.Name, "name", "what the drawer is called", 80);
        var site = Given.Name(request.Site, "site", "where it is kept", 80);
        var kind = request.Kind ?? throw new BadInputException("kind", "Say what it is: a kit, a place, an oldHead or a person's box.");
        var id = Given.NewId(request.Id);
        var (kept, made) = await gate.RunAsync(async data =>
        {
            if (await data.ShimDrawers.Include(d => d.Site).FirstOrDefaultAsync(d => d.Id == id) is { } stands)
                return stands.NameKey == NameKeys.Of(name) ? (stands, false) : throw new ConflictException("differs", "id", $"That identifier is the drawer {stands.Name}.");
            await FreeName.RequireAsync<ShimDrawerRow>(data, id, name, $"There is already a drawer called {name}.");
            var key = NameKeys.Of(site);
            var at = await data.Sites.FirstOrDefaultAsync(s => s.NameKey == key) ?? throw new BadInputException("site", $"There is no site called {site}; add it first.");
            var row = new ShimDrawerRow { Id = id, Name = name, Kind = kind, SiteId = at.Id, Site = at };
            data.ShimDrawers.Add(row);
            await data.SaveChangesAsync();
            return (row, true);
        }, cancelled);
        var response = Response(kept, []);
        return made ? TypedResults.Created($"/api/shim-drawers/{kept.Id}", response) : TypedResults.Ok(response);
    }

    /// <summary>The newest first.</summary>
    public static async Task<IReadOnlyList<MovementResponse>> Movements(Guid id, ZeroDriftContext data, CancellationToken cancelled)
    {
        if (!await data.ShimDrawers.AnyAsync(d => d.Id == id, cancelled)) throw new NotFoundException("There is no such drawer.");
        return [.. (await data.ShimMovements.AsNoTracking().Where(m => m.DrawerId == id).OrderByDescending(m => m.Key).Take(LinesShown).ToListAsync(cancelled))
            .Select(m => new MovementResponse(m.ActId, m.Kind, m.Access, m.DiameterMm, m.SizeMm, m.Change, m.Counted, m.KnownBy, m.At, m.Who, m.Why))];
    }

    public static async Task<DrawerResponse> Move(Guid id, MovementRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        var kind = request.Kind ?? throw new BadInputException("kind", "Say what is done: in, out, moved, lapped, writtenOff or counted.");
        var sort = ShimSort.Of(request.Access ?? throw new BadInputException("access", "Say what they fit: onTop, underBucket or puck."), request.DiameterMm);
        var unit = request.Unit ?? "mm";
        var written = Given.Text(request.Size, "size", "their thickness as it is stamped, like 2.70", 20);
        var act = new ShimAct(kind, id, ShimSize.Of(written, unit), request.Count ?? throw new BadInputException("count", "Say how many."), request.ToDrawer,
            request.ToSize is { } after ? ShimSize.Of(after, unit, "toSize") : null);
        var why = Given.OptionalText(request.Why, "why", "why");
        if (kind == ShimMovementKind.WrittenOff && why is null) throw new BadInputException("why", "Say why they are written off.");
        var line = new ShimMovementRow
        {
            ActId = Given.NewId(request.Id),
            Written = written,
            Unit = unit,
            At = day.Now,
            Who = Given.Name(request.Who, "who", "who does it", 80),
            Why = why,
        };
        return await gate.RunAsync(async data =>
        {
            var drawer = await Open(data, id) ?? throw new NotFoundException("There is no such drawer.");
            if (act.ToDrawer is { } to && await Open(data, to) is null) throw new BadInputException("toDrawer", "There is no such drawer.");
            if (await data.ShimMovements.AsNoTracking().FirstOrDefaultAsync(m => m.ActId == line.ActId) is { } stands)
            {
                if ((stands.DrawerId, stands.Kind, stands.SizeMm) != (id, kind, act.SizeMm)) throw new ConflictException("differs", "id", "That identifier belongs to something else done at a drawer.");
            }
            else await KeepAsync(data, act, sort, line, request.KnownBy);
            return Response(drawer, await ShimStock.HeldAsync(data, [id]));
        }, cancelled);
    }

    /// <summary>What a drawer holds, as a table that comes back in as a count.</summary>
    public static async Task Stock(Guid id, HttpContext context, ZeroDriftContext data, CancellationToken cancelled)
    {
        var drawer = await Open(data, id) ?? throw new NotFoundException("There is no such drawer.");
        context.Response.ContentType = "text/csv; charset=utf-8";
        await using var text = new StreamWriter(context.Response.Body, new System.Text.UTF8Encoding(true));
        await StockFile.WriteAsync(Response(drawer, await ShimStock.HeldAsync(data, [id])), text);
    }

    /// <summary>
    /// A morning's count: of every size in the file there are from now on as many as it says; with <paramref name="all"/> what it does not name is gone.
    /// Without <paramref name="keep"/> it only says what would change.
    /// </summary>
    public static async Task<CountResponse> Count(Guid id, HttpRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled, string? who = null, bool all = false, bool keep = false)
    {
        var rows = StockFile.Read(await UploadedFile.ReadAsync(request));
        var by = keep ? Given.Name(who, "who", "who counted", 80) : "";
        return await gate.RunAsync(async data =>
        {
            var drawer = await Open(data, id) ?? throw new NotFoundException("There is no such drawer.");
            var held = await ShimStock.HeldAsync(data, [id]);
            var before = held.ToDictionary(h => (h.Sort, h.SizeMm), h => h.Count);
            var named = rows.Select(r => (r.Sort, r.SizeMm)).ToHashSet();
            var gone = all ? held.Where(h => !named.Contains((h.Sort, h.SizeMm))).Select(h => new CountedRow(0, h.Sort, h.Written, h.Unit, h.SizeMm, 0, h.KnownBy)) : [];
            var changes = rows.Concat(gone).Select(r => (Row: r, Before: before.GetValueOrDefault((r.Sort, r.SizeMm)))).Where(c => c.Before != c.Row.Count).ToList();
            foreach (var (row, _) in keep ? changes : [])
                await ShimStock.KeepAsync(data, new ShimAct(ShimMovementKind.Counted, id, row.SizeMm, row.Count), row.Sort,
                    new ShimMovementRow { ActId = Guid.CreateVersion7(), Written = row.Written, Unit = row.Unit, At = day.Now, Who = by, Why = "A count from a file." }, row.KnownBy);
            return new CountResponse(rows.Count, [.. changes.Select(c => new CountChange(c.Row.Sort.Access, c.Row.Sort.DiameterMm, c.Row.SizeMm, c.Before, c.Row.Count))], keep, Response(drawer, keep ? await ShimStock.HeldAsync(data, [id]) : held));
        }, cancelled);
    }

    /// <summary>What is no longer there is a race lost, not a slip of the pen.</summary>
    private static async Task KeepAsync(ZeroDriftContext data, ShimAct act, ShimSort sort, ShimMovementRow line, ShimKnownBy? knownBy)
    {
        try
        {
            await ShimStock.KeepAsync(data, act, sort, line, knownBy);
        }
        catch (NotThereException short_)
        {
            throw new ConflictException("notThere", "count", short_.Message);
        }
    }

    private static Task<ShimDrawerRow?> Open(ZeroDriftContext data, Guid id) => data.ShimDrawers.AsNoTracking().Include(d => d.Site).FirstOrDefaultAsync(d => d.Id == id && d.ClosedAt == null);

    private static DrawerResponse Response(ShimDrawerRow row, IEnumerable<ShimsHeld> held) => new(row.Id, row.Name, row.Site!.Name, row.Kind,
        [.. held.Select(h => new HeldResponse(h.Sort.Access, h.Sort.DiameterMm, h.SizeMm, h.Count, h.KnownBy, h.Written, h.Unit))]);
}
