using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Server.Book;

/// <summary>One step of a type's own.</summary>
public sealed record TypeStepDto
{
    /// <summary>Left out, one is made of its place.</summary>
    public string? Key { get; init; }
    public StepList List { get; init; }
    public string? Text { get; init; }
    public LashKind? Kind { get; init; }
    public IReadOnlyList<string>? Points { get; init; }
    public double? CrankDeg { get; init; }
    public Counting? Counts { get; init; }
    public string? Pair { get; init; }
    public string? Asks { get; init; }
    public JobKind? OnlyJob { get; init; }

    /// <summary>Where the engine is when it is asked; left out: everywhere.</summary>
    public IReadOnlyList<VisitPlace>? Places { get; init; }

    /// <summary>Of a step at points: a look at what was fitted, asked after the last fitting or turning.</summary>
    public bool? AfterFitting { get; init; }
}

/// <summary>What sets one kind of point, where it differs from the type's own.</summary>
public sealed record KindStyleDto(LashKind? Kind, AdjusterKind? Adjuster, double? PitchMm, double? ClearancePerTravel, bool? ClockwiseCloses);

public sealed record FastenerDto(string? Use, string? Size, double? TorqueNm, int? Count);

public sealed record GasketDto(string? Name, int? Count, bool? SingleUse);

/// <summary>What of a type may be given at first and changed later, checked in one place: how its book works, and what the job takes.</summary>
public abstract record TypeWays
{
    public double? PitchMm { get; init; }
    public double? ClearancePerTravel { get; init; }
    public bool? ClockwiseCloses { get; init; }
    public double? ColdMaxC { get; init; }
    public double? DialConversion { get; init; }
    public string? DialContact { get; init; }
    public PointOrder? Order { get; init; }
    public SettingOrder? Setting { get; init; }
    public JudgingSchool? Judging { get; init; }
    public SettingManner? Manner { get; init; }
    public MeasuringMeans? Measuring { get; init; }
    public bool? Spark { get; init; }
    public bool? Interference { get; init; }
    public string? Pins { get; init; }

    /// <summary>The mark of the camshaft that shows the lap.</summary>
    public string? CamMark { get; init; }

    /// <summary>A distributor's rotor can be seen.</summary>
    public bool? Rotor { get; init; }
    public double? PulleyMm { get; init; }
    public bool? SpeaksCamTurns { get; init; }

    /// <summary>What the book calls each point, in the order of the points; none for those without a name of their own.</summary>
    public IReadOnlyList<string?>? PointNames { get; init; }
    public IReadOnlyList<BookStopDto?>? BookStops { get; init; }
    public string? Rotation { get; init; }
    public string? BarringTool { get; init; }
    public double? ToolTurnsPerCrankTurn { get; init; }
    public double? BookHours { get; init; }
    public int? BookMonths { get; init; }
    public double? FirstCheckHours { get; init; }
    public double? BreakInHours { get; init; }
    public double? JobHours { get; init; }

    /// <summary>Events of a uniflow two-stroke, degrees after TDC.</summary>
    public UniflowTiming? Uniflow { get; init; }

    /// <summary>Points whose bridge has a screw of its own, by label.</summary>
    public IReadOnlyList<string?>? BridgeScrews { get; init; }

    /// <summary>Its own steps; an empty list for those that follow from its adjusters.</summary>
    public IReadOnlyList<TypeStepDto?>? Steps { get; init; }
    public IReadOnlyList<FastenerDto?>? Fasteners { get; init; }
    public IReadOnlyList<GasketDto?>? Gaskets { get; init; }
    public IReadOnlyList<string?>? ScarceTools { get; init; }

    /// <summary>What new single-use gaskets are worth in hours of work.</summary>
    public double? GasketHours { get; init; }
    public bool? NarrowBlade { get; init; }

    /// <summary>Its shims across; others do not fit.</summary>
    public double? ShimDiameterMm { get; init; }

    /// <summary>What is stamped on each size of the series, in the order of the sizes; an empty list where the thickness itself is.</summary>
    public IReadOnlyList<string?>? ShimMarks { get; init; }

    /// <summary>Thread that a new screw can still come out by, mm of travel.</summary>
    public double? ScrewFreeMm { get; init; }

    /// <summary>A hot figure holds for so many minutes since the engine stopped.</summary>
    public double? HotMinutes { get; init; }

    /// <summary>After a build it is set again hot, so many hours later.</summary>
    public double? ResetHotHours { get; init; }

    /// <summary>Minutes to the second pass over points set by amount.</summary>
    public double? SecondPassMinutes { get; init; }

    /// <summary>Its book sets it with the engine running.</summary>
    public bool? RunningMethod { get; init; }

    /// <summary>Where all are brought to one figure: how near is near enough, mm.</summary>
    public double? SameWithinMm { get; init; }

    /// <summary>Measured at this piston travel past TDC; with stroke and rod it becomes degrees.</summary>
    public double? PastTdcMm { get; init; }
    public double? StrokeMm { get; init; }
    public double? RodMm { get; init; }

    /// <summary>Assumed fields that were looked up and are right as they stand, by name.</summary>
    public IReadOnlyList<string?>? Confirmed { get; init; }

    /// <summary>Fields that are to be empty again, by name.</summary>
    public IReadOnlyList<string?>? Emptied { get; init; }

    /// <summary>Puts what was given onto a type; what was left out stays.</summary>
    internal void Onto(EngineTypeRow type, ChangeLog? log)
    {
        type.Facts.Rotation = Changed("rotation", type.Facts.Rotation, Given.OptionalText(Rotation, "rotation", "the turning direction", 80));
        type.Facts.BarringTool = Changed("barringTool", type.Facts.BarringTool, Given.OptionalText(BarringTool, "barringTool", "how it is barred", 80));
        type.Facts.ToolTurnsPerCrankTurn = Number("toolTurnsPerCrankTurn", type.Facts.ToolTurnsPerCrankTurn, ToolTurnsPerCrankTurn, 0.01, 1000, "The barring ratio");
        type.Facts.PitchMm = Optional("pitchMm", type.Facts.PitchMm, PitchMm, 0.1, 10, "The screw's pitch");
        type.Facts.ClearancePerTravel = Number("clearancePerTravel", type.Facts.ClearancePerTravel, ClearancePerTravel, 0.05, 10, "The clearance per screw travel");
        type.Facts.ClockwiseCloses = Changed("clockwiseCloses", type.Facts.ClockwiseCloses, ClockwiseCloses);
        type.Facts.BookHours = Optional("bookHours", type.Facts.BookHours, BookHours, 1, 100_000, "The book's interval in hours");
        type.Facts.BookMonths = (int?)Optional("bookMonths", type.Facts.BookMonths, BookMonths, 1, 240, "The book's interval in months");
        type.Facts.FirstCheckHours = Optional("firstCheckHours", type.Facts.FirstCheckHours, FirstCheckHours, 1, 10_000, "The first check after a build");
        type.Facts.BreakInHours = Number("breakInHours", type.Facts.BreakInHours, BreakInHours, 0, 10_000, "The break-in hours");
        type.Facts.JobHours = Number("jobHours", type.Facts.JobHours, JobHours, 0.25, 200, "The length of the job in hours");
        type.Facts.ColdMaxC = Number("coldMaxC", type.Facts.ColdMaxC, ColdMaxC, 0, 100, "The warmest that counts as cold");
        type.Facts.DialConversion = Optional("dialConversion", type.Facts.DialConversion, DialConversion, 0.01, 10, "The dial's conversion");
        type.Facts.DialContact = Text("dialContact", type.Facts.DialContact, DialContact, "where the dial touches");
        type.Facts.Order = Changed("order", type.Facts.Order, Order);
        type.Facts.Setting = IsEmptied("setting") ? Emptying("setting", type.Facts.Setting) : Setting is { } setting ? Noted("setting", type.Facts.Setting, setting) : type.Facts.Setting;
        type.Facts.Judging = Changed("judging", type.Facts.Judging, Judging);
        type.Facts.Manner = Changed("manner", type.Facts.Manner, Manner);
        type.Facts.Measuring = Changed("measuring", type.Facts.Measuring, Measuring);
        type.Facts.Spark = Changed("spark", type.Facts.Spark, Spark);
        type.Facts.Interference = Changed("interference", type.Facts.Interference, Interference);
        type.Facts.Pins = Text("pins", type.Facts.Pins, Pins, "the lock pins or cam bars");
        type.Facts.CamMark = Text("camMark", type.Facts.CamMark, CamMark, "the mark of the camshaft");
        type.Facts.Rotor = Changed("rotor", type.Facts.Rotor, Rotor);
        type.Facts.PulleyMm = Optional("pulleyMm", type.Facts.PulleyMm, PulleyMm, 10, 5000, "The diameter of the pulley");
        type.Facts.SpeaksCamTurns = Changed("speaksCamTurns", type.Facts.SpeaksCamTurns, SpeaksCamTurns);
        type.Uniflow = Uniflow ?? type.Uniflow;
        type.Facts.GasketHours = Optional("gasketHours", type.Facts.GasketHours, GasketHours, 0.01, 1000, "What new gaskets are worth, in hours of work,");
        type.Facts.NarrowBlade = Changed("narrowBlade", type.Facts.NarrowBlade, NarrowBlade);
        type.Facts.ShimDiameterMm = Optional("shimDiameterMm", type.Facts.ShimDiameterMm, ShimDiameterMm, 1, 60, "The shim's diameter");
        type.Facts.ScrewFreeMm = Optional("screwFreeMm", type.Facts.ScrewFreeMm, ScrewFreeMm, 0.1, 50, "The screw's free thread");
        type.Facts.HotMinutes = Optional("hotMinutes", type.Facts.HotMinutes, HotMinutes, 1, 600, "How long a hot figure holds, in minutes,");
        type.Facts.ResetHotHours = Optional("resetHotHours", type.Facts.ResetHotHours, ResetHotHours, 1, 10_000, "The hours to the setting hot after a build");
        type.Facts.SecondPassMinutes = Optional("secondPassMinutes", type.Facts.SecondPassMinutes, SecondPassMinutes, 1, 1440, "The minutes to the second pass");
        type.Facts.RunningMethod = Changed("runningMethod", type.Facts.RunningMethod, RunningMethod);
        type.Facts.SameWithinMm = Optional("sameWithinMm", type.Facts.SameWithinMm, SameWithinMm, 0, 1, "How near to the same figure is near enough");
        type.Facts.PastTdcMm = Optional("pastTdcMm", type.Facts.PastTdcMm, PastTdcMm, 0.1, 500, "The piston travel past TDC");
        type.Facts.StrokeMm = Optional("strokeMm", type.Facts.StrokeMm, StrokeMm, 1, 5000, "The stroke");
        type.Facts.RodMm = Optional("rodMm", type.Facts.RodMm, RodMm, 1, 20_000, "The rod");
        if (ShimMarks is not null) type.Facts.ShimMarks = TypeParts.Marks(Filled(ShimMarks, "shimMarks", 1000), type);
        if (Fasteners is not null) type.Fasteners = NotedList("fasteners", type.Fasteners, [.. Filled(Fasteners, "fasteners", 40).Select((f, i) => TypeParts.Of(f, $"fasteners[{i}]"))], f => $"{f.Use} {f.Size} {f.TorqueNm}");
        if (Gaskets is not null) type.Gaskets = NotedList("gaskets", type.Gaskets, [.. Filled(Gaskets, "gaskets", 40).Select((g, i) => TypeParts.Of(g, $"gaskets[{i}]"))], g => $"{g.Count} {g.Name}");
        if (ScarceTools is not null) type.ScarceTools = NotedList("scarceTools", type.ScarceTools, [.. Filled(ScarceTools, "scarceTools", 40).Select((t, i) => Given.Text(t, $"scarceTools[{i}]", "a tool by name", 80))], t => t);
        if (BridgeScrews is not null) TypeParts.GiveBridges(type, [.. Filled(BridgeScrews, "bridgeScrews", 200)]);
        TypeParts.Name(type, PointNames);
        if (BookStops is not null) type.BookStops = NotedList("bookStops", type.BookStops, TypeParts.Stops(BookStops), s => FormattableString.Invariant($"{s.CrankDeg}: {string.Join(' ', s.Points)}"));
        if (Steps is not null)
        {
            type.Steps = NotedList("steps", type.Steps, [.. Filled(Steps, "steps", 100).Select((s, i) => TypeParts.Of(s, $"steps[{i}]", i, type))], s => $"{s.List} {s.Text}");
            TypeParts.Check(type.Steps);
            type.OwnSteps = type.Steps.Count > 0;
        }
        if (type.Facts is { Measuring: MeasuringMeans.Dial, DialConversion: null })
            throw new BadInputException("dialConversion", "Give the clearance per dial travel at its point of contact, so that a dial reading can be converted; with a factor of 2.4 between dial and lobe it is 0.417.");

        // What was given or looked up is the book's from here on.
        if (Confirmed?.Contains("rotation") == true && type.Facts.Rotation == TypeFacts.RotationUnknown) throw new BadInputException("rotation", "Say which way it runs and from which end that is seen, such as clockwise seen from the front.");
        type.Assumed = [.. type.Assumed.Where(f => Confirmed?.Contains(f) != true && !(f == "rotation" && !string.IsNullOrWhiteSpace(Rotation)) && !(f == "pitchMm" && PitchMm is not null) && !(f == "clearancePerTravel" && ClearancePerTravel is not null))];

        T Changed<T>(string field, T before, object? after) => after is T given ? Noted(field, before, given) : before;
        double Number(string field, double before, double? given, double least, double most, string what) => Noted(field, before, Given.InRange(given, least, most, field, what) ?? before);
        double? Optional(string field, double? before, double? given, double least, double most, string what) => IsEmptied(field) ? Emptying(field, before) : Noted(field, before, Given.InRange(given, least, most, field, what) ?? before);
        string? Text(string field, string? before, string? given, string what) => IsEmptied(field) ? Emptying(field, before) : given is null ? before : Noted(field, before, Given.OptionalText(given, field, what, 120));
        T? Emptying<T>(string field, T? before) => Noted(field, before, default);
        T Noted<T>(string field, T before, T after) => log is null ? after : log.Changed(field, before, after);
        List<T> NotedList<T>(string field, List<T> before, List<T> after, Func<T, string> text)
        {
            log?.Changed(field, string.Join("; ", before.Select(text)), string.Join("; ", after.Select(text)));
            return after;
        }
    }

    private bool IsEmptied(string field) => Emptied?.Contains(field) == true;

    private static IEnumerable<T> Filled<T>(IReadOnlyList<T?> list, string field, int most) where T : class
    {
        if (list.Count > most) throw new BadInputException(field, $"At most {most} are kept; {list.Count} were given.");
        return list.Select((item, i) => item ?? throw new BadInputException($"{field}[{i}]", "Fill this line, or leave it out."));
    }
}
