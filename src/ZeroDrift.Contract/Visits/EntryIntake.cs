using System.Text.Json;
using ZeroDrift.Core;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Contract.Visits;

/// <summary>Entries offered to a visit one after another, at a server or in a tablet: whatever rests on a refused one is refused with it.</summary>
public sealed class EntryIntake
{
    private readonly HashSet<Guid> refused = [];
    private readonly HashSet<Guid> refusedReadings = [];

    /// <summary>Reads an entry; a refusal where a field says nothing, or where it rests on what was refused before it.</summary>
    public (Entry? Entry, Refusal? Refusal) Read(JsonElement json, Visit? visit)
    {
        var read = Attempted.Of(() => EntryReader.Read(json));
        if (read.Bad is { } bad)
        {
            if (json.TryGetProperty("reading", out var reading) && reading.ValueKind == JsonValueKind.String && Guid.TryParse(reading.GetString(), out var id)) refusedReadings.Add(id);
            return (null, new Refusal(RefusalCode.Malformed) { Field = bad.Field, Detail = bad.Message });
        }
        var entry = read.Value!;
        return RestsOnRefused(entry, visit) ? (null, new Refusal(RefusalCode.RestsOn)) : (entry, null);
    }

    /// <summary>Offers an entry to the visit.</summary>
    public TakingResult Take(Visit visit, Entry entry, Func<Guid, bool> isPerson)
    {
        var result = visit.Take(entry, isPerson);
        if (result.Refusal is not null && entry is FigureEntry figure) refusedReadings.Add(figure.Reading);
        return result;
    }

    /// <summary>An entry was refused: what names it rests on it.</summary>
    public void Refuse(Guid id) => refused.Add(id);

    private bool RestsOnRefused(Entry entry, Visit? visit) => entry switch
    {
        Undone e => refused.Contains(e.Target),
        Corrected e => refused.Contains(e.Target),
        Admitted e => e.Targets.Any(refused.Contains),
        Kept e => refusedReadings.Contains(e.Reading) && visit?.Work.Any(p => p.Readings.Any(r => r.Id == e.Reading)) != true,
        _ => false,
    };
}
