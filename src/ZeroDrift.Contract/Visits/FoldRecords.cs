using System.Text.Json;
using ZeroDrift.Contract.Input;

namespace ZeroDrift.Contract.Visits;

/// <summary>A visit to be folded: its context, what the server has of it by sequence, and what this device has not sent yet.</summary>
public sealed record FoldRequest
{
    public required Guid VisitId { get; init; }
    public string? ContextId { get; init; }

    /// <summary>May be left out where whoever answers has seen the context of that identifier before; else it is asked for.</summary>
    public ContextRecord? Context { get; init; }

    /// <summary>As the server gave them, with their sequence: taken once, and not judged again.</summary>
    public IReadOnlyList<JsonElement>? Entries { get; init; }

    /// <summary>In the order they were made; the server may judge them anew when they arrive.</summary>
    public IReadOnlyList<JsonElement>? Unsent { get; init; }

    /// <summary>Only the line of this point is asked for, the rest of the sheet is not drawn up: what a tap needs at once.</summary>
    public string? Only { get; init; }
}

/// <summary>What becomes of one unsent entry, as far as this device can tell.</summary>
public sealed record UnsentOutcome(Guid Id, string Outcome, Problem? Problem);

/// <summary>The visit as it stands with all of that, or null where it is not opened; or the one line that was asked for.</summary>
public sealed record FoldResponse(VisitRecord? Visit, IReadOnlyList<UnsentOutcome> Outcomes, SheetPointRecord? Line = null);
