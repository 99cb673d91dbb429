using ZeroDrift.Core;

namespace ZeroDrift.Server.Plan;

/// <summary>What stands otherwise in one plan than in the one before: day, person and second, in words.</summary>
internal static class PlanMoves
{
    /// <summary>Of the jobs that are still to be done; what was finished meanwhile did not move.</summary>
    /// <param name="before">As it stood.</param>
    /// <param name="now">As it stands.</param>
    /// <param name="isOpen">Whether a job is still to be done.</param>
    /// <param name="name">What a job or a person is called.</param>
    public static IReadOnlyList<PlanMove> Between(IEnumerable<PlacementResponse> before, IEnumerable<PlacementResponse> now, Func<Guid, bool> isOpen, Func<Guid, string> name)
    {
        var stood = before.Where(p => isOpen(p.JobId)).ToDictionary(p => p.JobId);
        var moves = new List<PlanMove>();
        foreach (var at in now.Where(p => isOpen(p.JobId)).OrderBy(p => p.Date))
        {
            if (!stood.Remove(at.JobId, out var was)) moves.Add(new PlanMove(at.JobId, $"{name(at.JobId)}: new, {Said.Day(at.Date)}, {Who(at, name)}. {at.Because}".TrimEnd()));
            else if (Sentence(was, at, name) is { } changed) moves.Add(new PlanMove(at.JobId, $"{name(at.JobId)}: {changed}. {at.Because}".TrimEnd()));
        }
        moves.AddRange(stood.Values.OrderBy(p => p.Date).Select(gone => new PlanMove(gone.JobId, $"{name(gone.JobId)}: taken out of the plan; it stood on {Said.Day(gone.Date)}.")));
        return moves;
    }

    private static string? Sentence(PlacementResponse was, PlacementResponse at, Func<Guid, string> name)
    {
        var said = new List<string>();
        if (was.Date != at.Date) said.Add($"from {Said.Day(was.Date)} to {Said.Day(at.Date)}");
        if (was.PersonId != at.PersonId) said.Add($"{name(at.PersonId)} instead of {name(was.PersonId)}");
        if (was.MateId != at.MateId)
            said.Add(at.MateId is not { } mate ? "no second any more" : was.MateId is { } other ? $"{name(mate)} instead of {name(other)} as the second" : $"with {name(mate)} as the second");
        return said.Count == 0 ? null : string.Join(", ", said);
    }

    private static string Who(PlacementResponse at, Func<Guid, string> name) => at.MateId is { } mate ? $"{name(at.PersonId)} with {name(mate)}" : name(at.PersonId);
}
