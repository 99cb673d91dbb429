using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Visits;

/// <summary>Takes back an entry of an open visit.</summary>
public sealed record Undone(Guid Target) : Entry;

/// <summary>Closes without a record and frees the engine; its readings are in no trend.</summary>
public sealed record Abandoned(string Why) : Entry;

/// <summary>Closes with a record.</summary>
public sealed record Signed(string? Remark) : Entry;

/// <summary>A second person's own reading of one point.</summary>
public sealed record SecondReading(string Point, IReadOnlyList<string> Blades, Feel? Feel, string? Figure, LengthUnit Unit)
{
    /// <summary>What it says.</summary>
    public Reading Reading => Figure is not null
        ? WrittenFigure.Parse(Figure, Unit, "readings")
        : Measuring.Reading.FromBlades([new BladeTrial([.. Blades.Select(b => Length.Parse(b, Unit, "readings").Millimetres)], Feel ?? Measuring.Feel.Drag)]);
}

/// <summary>After signing: a second person's own readings on chosen points.</summary>
public sealed record Countersigned(IReadOnlyList<SecondReading> Readings) : Entry;

/// <summary>After signing: the old figure stays in sight, hours and trend follow the new.</summary>
public sealed record Corrected(Guid Target, string Why, CorrectedFields Fields) : Entry;

/// <summary>Late entries taken into the record after all.</summary>
public sealed record Admitted(IReadOnlyList<Guid> Targets, string Why) : Entry;

/// <summary>The replacing fields of a correction; only those given replace, and only where the corrected entry has them.</summary>
public sealed record CorrectedFields
{
    /// <summary>Of an opening: the day.</summary>
    public DateOnly? Date { get; init; }

    /// <summary>Of an opening: the meter.</summary>
    public EngineHours? ShownHours { get; init; }

    /// <summary>Of a condition.</summary>
    public SpecCondition? Condition { get; init; }

    /// <summary>Of a condition.</summary>
    public double? EngineTemperatureC { get; init; }

    /// <summary>Of a try.</summary>
    public IReadOnlyList<string>? Blades { get; init; }

    /// <summary>Of a try.</summary>
    public Feel? Feel { get; init; }

    /// <summary>Of a figure; of a try it puts a figure in its place.</summary>
    public string? Figure { get; init; }

    /// <summary>Of a try, a figure or a shim.</summary>
    public string? Unit { get; init; }

    /// <summary>Of a shim.</summary>
    public string? Thickness { get; init; }

    /// <summary>Of a shim.</summary>
    public ShimKnownBy? How { get; init; }

    /// <summary>Of a start state.</summary>
    public StartState? State { get; init; }

    /// <summary>Of an outcome.</summary>
    public PointOutcome? Outcome { get; init; }

    /// <summary>Of an outcome or a changed part.</summary>
    public string? Why { get; init; }

    /// <summary>Of an outcome.</summary>
    public string? Amount { get; init; }

    /// <summary>Of an outcome.</summary>
    public string? Old { get; init; }

    /// <summary>Of an outcome.</summary>
    public string? New { get; init; }

    /// <summary>Of a note.</summary>
    public string? Text { get; init; }

    /// <summary>The entry with these fields in place; null where it has none of them, or they do not fit it.</summary>
    public Entry? Onto(Entry entry)
    {
        Entry? replaced = entry switch
        {
            Opened e when Date is not null || ShownHours is not null => e with { Date = Date ?? e.Date, ShownHours = ShownHours ?? e.ShownHours },
            ConditionStated e when Condition is not null || EngineTemperatureC is not null => e with { Condition = Condition ?? e.Condition, EngineTemperatureC = EngineTemperatureC ?? e.EngineTemperatureC },
            Tried e when Blades is not null || Feel is not null || Figure is not null || Unit is not null => e with { Blades = Blades ?? e.Blades, Feel = Feel ?? e.Feel, Unit = Unit is null ? e.Unit : Length.ParseUnit(Unit, "fields.unit"), CorrectedFigure = Blades is null && Feel is null ? Figure ?? e.CorrectedFigure : Figure },
            FigureRead e when Figure is not null || Unit is not null => e with { Figure = Figure ?? e.Figure, Unit = Unit ?? e.Unit },
            ShimRead e when Thickness is not null || How is not null || Unit is not null => e with { Thickness = Thickness ?? e.Thickness, How = How ?? e.How, Unit = Unit is null ? e.Unit : Length.ParseUnit(Unit, "fields.unit") },
            StartStateSeen e when State is { } state => e with { State = state },
            OutcomeSaid e when Outcome is not null || Why is not null || Amount is not null || Old is not null || New is not null => e with { Outcome = Outcome ?? e.Outcome, Why = Why ?? e.Why, Amount = Amount ?? e.Amount, Old = Old ?? e.Old, New = New ?? e.New },
            PartChanged e when Why is { } why => e with { Why = why },
            Noted e when Text is { } text => e with { Text = text },
            _ => null,
        };
        return replaced;
    }
}
