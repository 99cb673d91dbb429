using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Visits;

/// <summary>A visit with its row, its context and its stored entries.</summary>
public sealed record StoredVisit(VisitRow Row, KnownContext Context, IReadOnlyList<EntryRow> Entries, Visit Visit);

/// <summary>Reads visits.</summary>
public static class VisitReader
{
    private const int AtOnce = 200;

    /// <summary>A visit folded from what is stored; null where there is none.</summary>
    public static async Task<StoredVisit?> LoadAsync(ZeroDriftContext data, Guid visitId, bool track = false, CancellationToken cancelled = default)
    {
        var query = track ? data.Visits : data.Visits.AsNoTracking();
        if (await query.FirstOrDefaultAsync(v => v.Id == visitId, cancelled) is not { } row) return null;
        var context = (await ContextStore.FindAsync(data, row.ContextId))!;
        var entries = await data.Entries.AsNoTracking().Where(e => e.VisitKey == row.Key).OrderBy(e => e.Sequence).ToListAsync(cancelled);
        return new StoredVisit(row, context, entries, Fold(context, entries));
    }

    /// <summary>Several visits at once, in no order; asked of the file in two questions, however many they are.</summary>
    public static async Task<IReadOnlyList<StoredVisit>> AllAsync(ZeroDriftContext data, IQueryable<VisitRow> which, CancellationToken cancelled = default)
    {
        var rows = await which.AsNoTracking().ToListAsync(cancelled);
        var visits = new List<StoredVisit>(rows.Count);
        foreach (var some in rows.Chunk(AtOnce))
        {
            var keys = some.Select(v => v.Key).ToList();
            var entries = (await data.Entries.AsNoTracking().Where(e => keys.Contains(e.VisitKey)).OrderBy(e => e.Sequence).ToListAsync(cancelled)).ToLookup(e => e.VisitKey);
            foreach (var row in some)
            {
                var context = (await ContextStore.FindAsync(data, row.ContextId))!;
                visits.Add(new StoredVisit(row, context, [.. entries[row.Key]], Fold(context, entries[row.Key])));
            }
        }
        return visits;
    }

    /// <summary>Folds stored entries.</summary>
    public static Visit Fold(KnownContext context, IEnumerable<EntryRow> entries) => Visit.From(context.Core, entries.Select(Entry));

    /// <summary>A stored entry for the core.</summary>
    public static Entry Entry(EntryRow row)
    {
        using var json = JsonDocument.Parse(Exchanged(row).ToJsonString());
        return EntryReader.Stored(json.RootElement, row.Sequence);
    }

    /// <summary>A stored entry as it is exchanged: as it came, with its id and what the server adds.</summary>
    public static JsonObject Exchanged(EntryRow row)
    {
        var whole = JsonNode.Parse(row.Content)!.AsObject();
        whole.Insert(0, "id", row.Id.ToString());
        whole["sequence"] = row.Sequence;
        whole["receivedAt"] = row.ReceivedAt.ToString("yyyy-MM-ddTHH:mm:ss.fffZ", System.Globalization.CultureInfo.InvariantCulture);
        return whole;
    }
}
