namespace ZeroDrift.Core.Visits;

/// <summary>
/// One line of a visit. Written down by a device, appended, never changed: undo and correction are entries too. Who, when and on which device is
/// on every one. <see cref="At"/> is the device's clock, kept and shown, never judged.
/// </summary>
public abstract record Entry
{
    /// <summary>Made by the device, so that sending it twice does no harm.</summary>
    public required Guid Id { get; init; }

    /// <summary>The device's clock, UTC.</summary>
    public required DateTimeOffset At { get; init; }

    /// <summary>The person who did it.</summary>
    public required Guid By { get; init; }

    /// <summary>A short name of the device.</summary>
    public required string Device { get; init; }

    /// <summary>Place in the visit, 1 first, given by the server; null while it only stands on a device.</summary>
    public int? Sequence { get; init; }

    /// <summary>The kind's name as it is written in an exchange.</summary>
    public string Kind => EntryKind.Of(GetType());

    /// <summary>Taken after the signature too: it adds to a signed record without touching it.</summary>
    public bool AddsToSigned => this is Corrected or Answered or Countersigned or Admitted;
}

/// <summary>Names of the kinds.</summary>
public static class EntryKind
{
    private static readonly Dictionary<Type, string> Names = new()
    {
        [typeof(Opened)] = "opened",
        [typeof(Chose)] = "chose",
        [typeof(Ticked)] = "ticked",
        [typeof(ConditionStated)] = "conditionStated",
        [typeof(PositionProved)] = "positionProved",
        [typeof(BarredTo)] = "barredTo",
        [typeof(Tried)] = "tried",
        [typeof(FigureRead)] = "figureRead",
        [typeof(ShimRead)] = "shimRead",
        [typeof(StartStateSeen)] = "startState",
        [typeof(Turned)] = "turned",
        [typeof(Kept)] = "kept",
        [typeof(Dropped)] = "dropped",
        [typeof(OutcomeSaid)] = "outcome",
        [typeof(PartChanged)] = "partChanged",
        [typeof(Answered)] = "answered",
        [typeof(Marked)] = "marked",
        [typeof(Noted)] = "noted",
        [typeof(Paused)] = "paused",
        [typeof(Resumed)] = "resumed",
        [typeof(Undone)] = "undone",
        [typeof(Abandoned)] = "abandoned",
        [typeof(Signed)] = "signed",
        [typeof(Countersigned)] = "countersigned",
        [typeof(Corrected)] = "corrected",
        [typeof(Admitted)] = "admitted",
    };

    /// <summary>All of them.</summary>
    public static IReadOnlyCollection<string> All => Names.Values;

    internal static string Of(Type type) => Names[type];
}
