using ZeroDrift.Core.Hours;

namespace ZeroDrift.Core.Visits;

/// <summary>Codes of refusals, the same on the server and on a tablet. The interface branches on these and never on text.</summary>
public static class RefusalCode
{
    /// <summary><c>malformed</c>.</summary>
    public const string Malformed = "malformed";
    /// <summary><c>notOpened</c>.</summary>
    public const string NotOpened = "notOpened";
    /// <summary><c>stepMissing</c>.</summary>
    public const string StepMissing = "stepMissing";
    /// <summary><c>stepUnknown</c>.</summary>
    public const string StepUnknown = "stepUnknown";
    /// <summary><c>conditionMissing</c>.</summary>
    public const string ConditionMissing = "conditionMissing";
    /// <summary><c>stopNotProved</c>.</summary>
    public const string StopNotProved = "stopNotProved";
    /// <summary><c>engineOpen</c>.</summary>
    public const string EngineOpen = "engineOpen";
    /// <summary><c>engineUnknown</c>.</summary>
    public const string EngineUnknown = "engineUnknown";
    /// <summary><c>alreadySigned</c>.</summary>
    public const string AlreadySigned = "alreadySigned";
    /// <summary><c>notSigned</c>.</summary>
    public const string NotSigned = "notSigned";
    /// <summary><c>abandoned</c>.</summary>
    public const string Abandoned = "abandoned";
    /// <summary><c>pointUnknown</c>.</summary>
    public const string PointUnknown = "pointUnknown";
    /// <summary><c>personUnknown</c>.</summary>
    public const string PersonUnknown = "personUnknown";
    /// <summary><c>entryUnknown</c>.</summary>
    public const string EntryUnknown = "entryUnknown";
    /// <summary><c>readingEmpty</c>.</summary>
    public const string ReadingEmpty = "readingEmpty";
    /// <summary><c>bladesContradict</c>.</summary>
    public const string BladesContradict = "bladesContradict";
    /// <summary><c>figureDoubtful</c>.</summary>
    public const string FigureDoubtful = "figureDoubtful";
    /// <summary><c>foundMissing</c>.</summary>
    public const string FoundMissing = "foundMissing";
    /// <summary><c>leftMissing</c>.</summary>
    public const string LeftMissing = "leftMissing";
    /// <summary><c>partsNotCounted</c>.</summary>
    public const string PartsNotCounted = "partsNotCounted";
    /// <summary><c>notYours</c>.</summary>
    public const string NotYours = "notYours";
    /// <summary><c>restsOn</c>.</summary>
    public const string RestsOn = "restsOn";
    /// <summary><c>differs</c>.</summary>
    public const string Differs = "differs";
    /// <summary><c>hoursBackwards</c>.</summary>
    public const string HoursBackwards = "hoursBackwards";
    /// <summary><c>dateImpossible</c>.</summary>
    public const string DateImpossible = "dateImpossible";
}

/// <summary>Why an entry is not taken, or a visit cannot be signed: a code with its facts. The sentence is worded elsewhere.</summary>
/// <param name="Code">One of <see cref="RefusalCode"/>.</param>
public sealed record Refusal(string Code)
{
    /// <summary>The points it is about.</summary>
    public IReadOnlyList<string>? Points { get; init; }

    /// <summary>The steps it is about.</summary>
    public IReadOnlyList<string>? Steps { get; init; }

    /// <summary>What those steps say.</summary>
    public IReadOnlyList<string>? StepTexts { get; init; }

    /// <summary>The field at fault, where one is.</summary>
    public string? Field { get; init; }

    /// <summary>A sentence of the calculation that refused, where it knows more than the code says.</summary>
    public string? Detail { get; init; }

    /// <summary>What a surprising figure is looked at again with.</summary>
    public SecondLook? Look { get; init; }

    /// <summary>What a figure lies outside of, where it is asked again for that.</summary>
    public OutsideWindow? Outside { get; init; }

    /// <summary>A lock that took more than a nut does, where a figure is asked again for that.</summary>
    public LockPull? Pull { get; init; }

    /// <summary>Blades that cannot both have dragged, where a figure is asked again for that.</summary>
    public DragsApart? Apart { get; init; }

    /// <summary>Turns nobody means, where they are asked again.</summary>
    public double? Turns { get; init; }

    /// <summary>What the meter cannot have shown, where that is why.</summary>
    public MeterMisfit? Meter { get; init; }

    /// <summary>The visit that stands in the way.</summary>
    public Guid? VisitId { get; init; }

    /// <summary>A meter figure or a day that cannot be.</summary>
    public static Refusal Of(MeterMisfit misfit) =>
        new(misfit.Fault is MeterFault.BelowEarlier or MeterFault.AboveLater ? RefusalCode.HoursBackwards : RefusalCode.DateImpossible) { Field = misfit.IsOfDay ? "date" : "shownHours", Meter = misfit };
}
