namespace ZeroDrift.Core.Visits;

/// <summary>What may be taken back: an entry on which nothing rests.</summary>
internal static class UndoRules
{
    public static Refusal? Judge(VisitContext context, VisitFold fold, IReadOnlyList<Entry> all, IReadOnlyList<Entry> live, Undone undo)
    {
        var at = Enumerable.Range(0, live.Count).FirstOrDefault(i => live[i].Id == undo.Target, -1);
        if (at < 0) return all.Any(e => e.Id == undo.Target && e is Undone) ? new Refusal(RefusalCode.RestsOn) : new Refusal(RefusalCode.EntryUnknown);
        var target = live[at];
        if (target is Opened) return new Refusal(RefusalCode.RestsOn);
        if (ReadingOf(target) is { } id && fold.Readings.TryGetValue(id, out var reading) && (reading.Closed is not null || (target is FigureEntry && reading.Kept is not null))) return new Refusal(RefusalCode.RestsOn) { Points = [reading.Point] };
        // What was measured after the adjuster was moved is not what was measured before.
        if (target is Turned turned && live.Skip(at + 1).Any(e => e is FigureEntry figure && figure.Point == turned.Point)) return new Refusal(RefusalCode.RestsOn) { Points = [turned.Point] };
        return Rests(context, live, target);
    }

    private static Guid? ReadingOf(Entry entry) => entry switch
    {
        FigureEntry e => e.Reading,
        Kept e => e.Reading,
        Dropped e => e.Reading,
        _ => null,
    };

    /// <summary>Nothing rests on it when everything after it would still be taken, and what was done at a proved position is still proved.</summary>
    private static Refusal? Rests(VisitContext context, IReadOnlyList<Entry> live, Entry target)
    {
        var (with, without) = (new VisitFold(context), new VisitFold(context));
        foreach (var entry in live)
        {
            if (entry.Id != target.Id)
            {
                // A figure that was asked back and is taken since does not rest on what is undone.
                if (EntryRules.Judge(without, entry) is { } refused && refused.Code != RefusalCode.FigureDoubtful) return new Refusal(RefusalCode.RestsOn) { Points = refused.Points, Steps = refused.Steps };
                if (DoneAt(entry) is { } point && with.IsProved(point) && !without.IsProved(point)) return new Refusal(RefusalCode.RestsOn) { Points = [point] };
                without.Apply(entry);
            }
            with.Apply(entry);
        }
        return null;
    }

    /// <summary>The point at which an entry did or measured something that asks for a proved position.</summary>
    private static string? DoneAt(Entry entry) => entry switch
    {
        FigureEntry { Unproved: false } e => e.Point,
        StartStateSeen e => e.Point,
        Turned e => e.Point,
        OutcomeSaid { Outcome: PointOutcome.Set or PointOutcome.ByTheBook } e => e.Point,
        _ => null,
    };
}
