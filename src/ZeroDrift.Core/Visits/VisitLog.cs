namespace ZeroDrift.Core.Visits;

/// <summary>What became of an entry that was offered.</summary>
public enum Taking
{
    /// <summary>It is part of the visit.</summary>
    Taken,

    /// <summary>It came in after the signature: stored and shown with the record.</summary>
    Late,

    /// <summary>A rule refused it.</summary>
    Refused,
}

/// <summary>The answer to one entry.</summary>
public sealed record TakingResult(Taking Taking, Refusal? Refusal);

/// <summary>
/// The list that a visit is: entries appended in their order and never changed. What reaches back (undo, correction, admission) is resolved here, so
/// that the fold sees only what counts. An entry undone, dropped or refused leaves the visit as if it had never been.
/// </summary>
internal sealed class VisitLog(VisitContext context)
{
    private readonly List<Entry> entries = [];

    /// <summary>The entries taken, late ones included, in order.</summary>
    public IReadOnlyList<Entry> Entries => entries;

    /// <summary>The state they lead to.</summary>
    public VisitFold Fold { get; private set; } = new(context);

    /// <summary>Entries that came in after the signature and were not admitted.</summary>
    public IReadOnlyList<Guid> Late { get; private set; } = [];

    /// <summary>Takes a list: entries that carry a sequence were judged when they were taken and are applied, others are judged in their order.</summary>
    public void TakeAll(IEnumerable<Entry> all)
    {
        var rebuild = false;
        foreach (var entry in all)
        {
            if (entry.Sequence is null)
            {
                if (rebuild) Rebuild();
                rebuild = false;
                Take(entry);
                continue;
            }
            entries.Add(entry);
            // What reaches back is resolved once, at the end.
            rebuild |= entry is Undone or Corrected or Admitted || Fold.Signed is not null;
            if (!rebuild) Fold.Apply(entry);
        }
        if (rebuild) Rebuild();
    }

    /// <summary>Offers an entry: judged, and taken unless a rule refuses it.</summary>
    public TakingResult Take(Entry entry, Func<Guid, bool>? knowsPerson = null)
    {
        if (Fold.Abandoned is not null) return Refused(new Refusal(RefusalCode.Abandoned));
        if (!context.People.Contains(entry.By) && knowsPerson?.Invoke(entry.By) != true) return Refused(new Refusal(RefusalCode.PersonUnknown) { Field = "by" });
        if (Fold.Signed is not null && entry is not Signed and not Opened && !entry.AddsToSigned)
        {
            entries.Add(entry);
            Late = [.. Late, entry.Id];
            return new TakingResult(Taking.Late, null);
        }
        if (Judge(entry) is { } refusal) return Refused(refusal);
        entries.Add(entry);
        if (entry is Undone or Corrected or Admitted) Rebuild();
        else Fold.Apply(entry);
        return new TakingResult(Taking.Taken, null);
    }

    /// <summary>What counts, oldest first.</summary>
    public IEnumerable<Entry> Live() => Live(entries, null);

    private static TakingResult Refused(Refusal refusal) => new(Taking.Refused, refusal);

    private Refusal? Judge(Entry entry)
    {
        if (Fold.Opened is null && entry is not Opened) return new Refusal(RefusalCode.NotOpened);
        return entry switch
        {
            Undone e => UndoRules.Judge(context, Fold, entries, [.. Live()], e),
            Corrected e => JudgeCorrection(e),
            Admitted e => e.Targets.All(Late.Contains) ? null : new Refusal(RefusalCode.EntryUnknown),
            _ => EntryRules.Judge(Fold, entry),
        };
    }

    private Refusal? JudgeCorrection(Corrected correction)
    {
        if (Fold.Signed is null) return new Refusal(RefusalCode.NotSigned);
        return Live().FirstOrDefault(e => e.Id == correction.Target) is { } target
            ? CorrectionRules.Judge(context, WithCorrections(target), correction, more => Folded([.. entries, more]))
            : new Refusal(RefusalCode.EntryUnknown);
    }

    private Entry WithCorrections(Entry entry)
    {
        foreach (var correction in entries.OfType<Corrected>().Where(c => c.Target == entry.Id)) entry = correction.Fields.Onto(entry) ?? entry;
        return entry;
    }

    private void Rebuild() => Fold = Folded(entries, late => Late = late);

    private VisitFold Folded(IReadOnlyList<Entry> all, Action<IReadOnlyList<Guid>>? tellLate = null)
    {
        var corrections = all.OfType<Corrected>().ToLookup(c => c.Target);
        var built = new VisitFold(context);
        foreach (var entry in Live(all, tellLate))
        {
            var now = entry;
            foreach (var correction in corrections[entry.Id]) now = correction.Fields.Onto(now) ?? now;
            built.Apply(now);
        }
        return built;
    }

    /// <summary>What counts: not undone, and after the signature only what adds to it or was admitted. An admitted entry counts at its own place.</summary>
    private static IEnumerable<Entry> Live(IReadOnlyList<Entry> all, Action<IReadOnlyList<Guid>>? tellLate)
    {
        var signedAt = all.Count;
        for (var i = 0; i < all.Count && signedAt == all.Count; i++)
            if (all[i] is Signed) signedAt = i;
        var admitted = all.OfType<Admitted>().SelectMany(a => a.Targets).ToHashSet();
        var counting = all.Where((e, i) => i <= signedAt || e.AddsToSigned || admitted.Contains(e.Id)).ToList();
        tellLate?.Invoke([.. all.Where((e, i) => i > signedAt && !e.AddsToSigned && !admitted.Contains(e.Id)).Select(e => e.Id)]);
        var undone = counting.OfType<Undone>().Select(u => u.Target).ToHashSet();
        return counting.Where(e => e is not Undone && !undone.Contains(e.Id));
    }
}
