using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Server.Instruments;

/// <summary>
/// An instrument to add, or what changes of one: what is left out stays. `checked` is the day it was found right. `withdraw` takes it out of use with
/// why, and `suspectFrom` since when it may have been wrong, if not since its last check; `withdraw` false puts it back.
/// </summary>
public sealed record InstrumentRequest(Guid? Id, string? Name, InstrumentKind? Kind, string? Unit, IReadOnlyList<string>? Blades, DateOnly? Checked, int? CheckEveryMonths, bool? Withdraw, DateOnly? SuspectFrom, string? Why, string? Who);

/// <summary>A visit measured with something that was withdrawn since.</summary>
public sealed record SuspectVisit(Guid VisitId, Guid EngineId, string Engine, DateOnly Date);

/// <summary>An instrument, and what it made suspect.</summary>
public sealed record InstrumentResponse
{
    public required Guid Id { get; init; }
    public required string Name { get; init; }
    public required InstrumentKind Kind { get; init; }
    public string? Unit { get; init; }
    public required IReadOnlyList<string> Blades { get; init; }
    public DateOnly? LastCheck { get; init; }
    public required int CheckEveryMonths { get; init; }
    public DateOnly? NextCheck { get; init; }
    public required bool CheckDue { get; init; }
    public DateOnly? Withdrawn { get; init; }
    public string? Why { get; init; }

    /// <summary>Signed visits it makes suspect that nobody has answered for.</summary>
    public required IReadOnlyList<SuspectVisit> Suspect { get; init; }
}
