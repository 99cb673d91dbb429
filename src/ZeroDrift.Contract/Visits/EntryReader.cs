using System.Text.Json;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Turning;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Contract.Visits;

/// <summary>From an entry's JSON to the core's entry. Whatever is wrong inside names its field.</summary>
public static class EntryReader
{
    private const int MostPoints = 200;

    /// <summary>Reads an entry that was taken once: where its fields say nothing to this version, it stands as a note.</summary>
    public static Entry Stored(JsonElement json, int sequence)
    {
        var read = Attempted.Of(() => Read(json, sequence));
        if (read.Value is { } entry) return entry;
        var received = json.TryGetProperty("receivedAt", out var at) && at.ValueKind == JsonValueKind.String && at.TryGetDateTimeOffset(out var when) ? when : DateTimeOffset.MinValue;
        return new Noted(null, "unreadable", null) { Id = json.GetProperty("id").GetGuid(), At = received, By = Guid.Empty, Device = "", Sequence = sequence };
    }

    /// <summary>Reads one entry.</summary>
    /// <exception cref="BadInputException">The field at fault.</exception>
    public static Entry Read(JsonElement json, int? sequence = null)
    {
        var f = new FieldReader(json);
        var (id, at, by, device) = (f.Id("id"), f.Instant("at"), f.Id("by"), f.OptionalText("device", 60) ?? "");
        var kind = f.Text("kind", "the kind of entry", 40);
        var entry = kind switch
        {
            "opened" => (Entry)Opened(f, id, at, by, device),
            "chose" => new Chose { Id = id, At = at, By = by, Device = device, Point = NotPlaced(f).OptionalText("point", 40), Method = f.OptionalWord<TurningMethod>("method"), Order = f.OptionalWord<PointOrder>("order"), Setting = f.OptionalWord<SettingOrder>("setting"), Tray = Tray(f), Measuring = f.OptionalWord<MeasuringMeans>("measuring"), Judging = f.OptionalWord<JudgingSchool>("judging"), Manner = f.OptionalWord<SettingManner>("manner"), TurnedBy = f.OptionalText("turnedBy", 100) },
            "ticked" => new Ticked(f.Text("step", "the step", 100), f.Flag("on"), f.OptionalFigure("said")) { Id = id, At = at, By = by, Device = device, NotHere = f.OptionalFlag("notHere") ?? false, Why = f.OptionalText("why") },
            "conditionStated" => new ConditionStated(f.Word<SpecCondition>("condition"), f.OptionalNumber("engineTemperatureC", -60, 200), f.OptionalNumber("hoursStanding", 0, 100_000), f.OptionalFlag("measureAnyway") ?? false) { Id = id, At = at, By = by, Device = device },
            "positionProved" => Proved(f, id, at, by, device, sequence is not null),
            "barredTo" => new BarredTo(f.Number("crankDeg", -7200, 7200, "where the crank stands")) { Id = id, At = at, By = by, Device = device },
            "tried" => Tried(f, id, at, by, device),
            "figureRead" => new FigureRead
            {
                Id = id,
                At = at,
                By = by,
                Device = device,
                Reading = f.Id("reading"),
                Point = Point(f),
                Stage = f.Word<ReadingStage>("stage"),
                Unproved = f.OptionalFlag("unproved") ?? false,
                Figure = f.Figure("figure", "the figure as written"),
                With = f.OptionalWord<FigureSource>("with") ?? FigureSource.Figure,
                Unit = FigureUnit(f),
                ClaimedBy = f.OptionalText("claimedBy", 100),
            },
            "shimRead" => new ShimRead(Point(f), f.Word<ReadingStage>("stage"), f.Figure("thickness", "the thickness as written"), Unit(f), f.Word<ShimKnownBy>("how")) { Id = id, At = at, By = by, Device = device },
            "startState" => new StartStateSeen(Point(f), f.Word<StartState>("state")) { Id = id, At = at, By = by, Device = device },
            "turned" => new Turned(Point(f)) { Id = id, At = at, By = by, Device = device, Turns = f.OptionalNumber("turns", 0, 1000), Direction = f.OptionalWord<ScrewDirection>("direction"), Nut = f.OptionalWord<NutState>("nut"), Sure = f.OptionalFlag("sure") ?? false },
            "kept" => new Kept(f.Id("reading"), f.OptionalFlag("sure") ?? false) { Id = id, At = at, By = by, Device = device },
            "dropped" => new Dropped(f.Id("reading")) { Id = id, At = at, By = by, Device = device },
            "outcome" => Outcome(f, id, at, by, device),
            "partChanged" => Part(f, id, at, by, device),
            "answered" => new Answered(f.Word<VisitQuestion>("question"), f.Word<VisitAnswer>("answer"), f.Texts("points", MostPoints)) { Id = id, At = at, By = by, Device = device },
            "marked" => new Marked(f.Text("name", "what the mark is called", 60), f.Number("crankDeg", -7200, 7200, "where the mark comes up"), f.OptionalFlag("trap") ?? false) { Id = id, At = at, By = by, Device = device },
            "noted" => new Noted(f.OptionalText("point", 40), f.Text("text", "the note"), Photo(f)) { Customer = f.OptionalText("customer", 100), Id = id, At = at, By = by, Device = device },
            "paused" => new Paused { Id = id, At = at, By = by, Device = device },
            "resumed" => new Resumed { Id = id, At = at, By = by, Device = device },
            "undone" => new Undone(f.Id("entry")) { Id = id, At = at, By = by, Device = device },
            "abandoned" => new Abandoned(f.Text("why", "why it is given up")) { Id = id, At = at, By = by, Device = device },
            "signed" => new Signed(f.OptionalText("remark")) { Id = id, At = at, By = by, Device = device },
            "countersigned" => new Countersigned(Second(f)) { Id = id, At = at, By = by, Device = device },
            "corrected" => new Corrected(f.Id("entry"), f.Text("why", "why it is corrected"), Fields(f)) { Id = id, At = at, By = by, Device = device },
            "admitted" => new Admitted(f.Ids("entries", 500) is { Count: > 0 } ids ? ids : throw new BadInputException("entries", "Name the entries that are taken in."), f.Text("why", "why they are taken in")) { Id = id, At = at, By = by, Device = device },
            _ => throw new BadInputException("kind", $"'{Short(kind)}' is not a kind of entry."),
        };
        return entry with { Sequence = sequence };
    }

    private static string Short(string text) => text.Length <= 30 ? text : text[..30] + "…";

    private static Opened Opened(FieldReader f, Guid id, DateTimeOffset at, Guid by, string device) => new()
    {
        Id = id,
        At = at,
        By = by,
        Device = device,
        EngineId = f.Id("engineId"),
        Job = f.Word<JobKind>("job"),
        Date = f.OptionalDay("date") ?? throw new BadInputException("date", "Give the day the engine is opened."),
        ShownHours = EngineHours.Of(f.OptionalNumber("shownHours", 0, EngineHours.Most)),
        ContextId = f.OptionalText("contextId", 100),
        Method = f.OptionalWord<TurningMethod>("method"),
        Order = f.OptionalWord<PointOrder>("order"),
        Setting = f.OptionalWord<SettingOrder>("setting"),
        Tray = Tray(f),
        Measuring = f.OptionalWord<MeasuringMeans>("measuring"),
        Judging = f.OptionalWord<JudgingSchool>("judging"),
        Manner = f.OptionalWord<SettingManner>("manner"),
        Instruments = f.Texts("instruments", 20),
        Place = Place(f),
        TurnedBy = f.OptionalText("turnedBy", 100),
        Continues = f.OptionalId("continues"),
        JobId = f.OptionalId("jobId"),
    };

    private static VisitPlace Place(FieldReader f)
    {
        var (bench, place) = (f.OptionalFlag("bench") ?? false, f.OptionalWord<VisitPlace>("place"));
        if (bench && place is not null and not VisitPlace.OnBench) throw new BadInputException("place", "A head on a bench is onBench, and nowhere else: leave out bench or place.");
        return place ?? (bench ? VisitPlace.OnBench : VisitPlace.InMachine);
    }

    /// <summary>Where the engine is belongs to the opening: what was made safe there holds for that place.</summary>
    private static FieldReader NotPlaced(FieldReader f) => f.Has("place") ? throw new BadInputException("place", "Where the engine is was said at the opening and stays; give this visit up and open another for another place.") : f;

    private static Tray? Tray(FieldReader f)
    {
        if (f.Raw("tray") is not { } raw) return null;
        if (raw.ValueKind != JsonValueKind.Object) throw new BadInputException("tray", "The tray must say its unit and its blades.");
        var t = new FieldReader(raw, "tray");
        return new Tray(t.OptionalText("setId", 100), Unit(t), t.Texts("blades", 100));
    }

    private static PositionProved Proved(FieldReader f, Guid id, DateTimeOffset at, Guid by, string device, bool wasTaken)
    {
        var crank = f.OptionalNumber("crankDeg", -7200, 7200);
        var points = f.Texts("points", MostPoints);
        if (crank is null && points.Count == 0) throw new BadInputException("crankDeg", "Say which stop is proved, or which points.");
        var signs = f.Objects("signs", 200).Select(s => Sign(s, wasTaken)).OfType<SignSeen>().ToList();
        return new PositionProved(crank, points, signs, f.OptionalText("said")) { Id = id, At = at, By = by, Device = device };
    }

    /// <summary>One valve as it was seen. What was taken before its words were fixed is passed over.</summary>
    private static SignSeen? Sign(FieldReader s, bool wasTaken)
    {
        var word = s.Text("state", "how the valve is: loose, open or moving", 40);
        // As it is spoken at the engine: what rocks moves, what is tight is held open.
        ValveState? state = word switch { "loose" => ValveState.Loose, "open" or "tight" => ValveState.Open, "moving" or "rocking" => ValveState.Moving, _ => null };
        if (state is null && wasTaken) return null;
        return new SignSeen(
            s.OptionalWhole("cylinder", 1, 24) ?? throw new BadInputException("signs", "Each sign names its cylinder."),
            s.Word<LashKind>("kind"),
            state ?? throw new BadInputException("signs", $"A valve is loose, open or moving; '{Short(word)}' was given."));
    }

    private static Tried Tried(FieldReader f, Guid id, DateTimeOffset at, Guid by, string device)
    {
        var stage = f.Word<ReadingStage>("stage");
        if (stage == ReadingStage.Claimed) throw new BadInputException("stage", "What somebody claims is a figure, not a try with a blade.");
        var blades = f.Texts("blades", 10);
        if (blades.Count == 0) throw new BadInputException("blades", "Name the blade or the stack of blades.");
        return new Tried
        {
            Id = id,
            At = at,
            By = by,
            Device = device,
            Reading = f.Id("reading"),
            Point = Point(f),
            Stage = stage,
            Unproved = f.OptionalFlag("unproved") ?? false,
            Blades = blades,
            Unit = Unit(f),
            Feel = f.Word<Feel>("feel"),
            BladeSet = f.OptionalText("bladeSet", 100),
        };
    }

    private static OutcomeSaid Outcome(FieldReader f, Guid id, DateTimeOffset at, Guid by, string device)
    {
        var outcome = f.Word<PointOutcome>("outcome");
        var why = f.OptionalText("why");
        if (why is null && outcome is PointOutcome.LeftSo or PointOutcome.Awaiting or PointOutcome.NotReached) throw new BadInputException("why", "Say why.");
        return new OutcomeSaid(Point(f), outcome)
        {
            Id = id,
            At = at,
            By = by,
            Device = device,
            Why = why,
            Amount = outcome == PointOutcome.ByTheBook ? f.Figure("amount", "the amount it was set by") : f.OptionalFigure("amount"),
            Unit = outcome == PointOutcome.ByTheBook ? f.Text("unit", "the unit of the amount: turns, mm or Nm", 20) : f.OptionalText("unit", 20),
            Contact = f.OptionalFlagOrText("contact"),
            Pass = f.OptionalWhole("pass", 1, 9),
            WaitMinutes = f.OptionalNumber("waitMinutes", 0, 100_000),
            Old = outcome == PointOutcome.ShimFitted ? f.Figure("old", "the shim taken out") : f.OptionalFigure("old"),
            New = outcome == PointOutcome.ShimFitted ? f.Figure("new", "the shim put in") : f.OptionalFigure("new"),
            MovementId = f.OptionalId("movementId"),
        };
    }

    private static PartChanged Part(FieldReader f, Guid id, DateTimeOffset at, Guid by, string device)
    {
        var (points, cylinder, whole) = (f.Texts("points", MostPoints), f.OptionalWhole("cylinder", 1, 24), f.OptionalFlag("whole") ?? false);
        if (points.Count == 0 && cylinder is null && !whole) throw new BadInputException("points", "Say which points, which cylinder, or the whole engine.");
        return new PartChanged(points, cylinder, whole, f.Text("part", "which part", 100), f.Text("why", "why it was changed"), f.OptionalNumber("cutMm", -25, 25)) { Id = id, At = at, By = by, Device = device };
    }

    private static List<SecondReading> Second(FieldReader f)
    {
        var readings = f.Objects("readings", MostPoints).Select(r =>
        {
            var (blades, figure) = (r.Texts("blades", 10), r.OptionalFigure("figure"));
            if (blades.Count == 0 && figure is null) throw new BadInputException("readings", "Each reading has blades with a feel, or a figure.");
            if (blades.Count > 0 && figure is null && !r.Has("feel")) throw new BadInputException("readings", "Say how the blade felt.");
            return new SecondReading(r.Text("point", "the point", 40), blades, r.OptionalWord<Feel>("feel"), figure, Unit(r));
        }).ToList();
        return readings.Count > 0 ? readings : throw new BadInputException("readings", "A second signature has readings of its own: measure at least one point.");
    }

    private static CorrectedFields Fields(FieldReader f)
    {
        if (f.Raw("fields") is not { ValueKind: JsonValueKind.Object } raw) throw new BadInputException("fields", "Give the replacing fields, as an object.");
        var r = new FieldReader(raw, "fields");
        return new CorrectedFields
        {
            Date = r.OptionalDay("date"),
            ShownHours = EngineHours.Of(r.OptionalNumber("shownHours", 0, EngineHours.Most)),
            Condition = r.OptionalWord<SpecCondition>("condition"),
            EngineTemperatureC = r.OptionalNumber("engineTemperatureC", -60, 200),
            Blades = r.Has("blades") ? r.Texts("blades", 10) : null,
            Feel = r.OptionalWord<Feel>("feel"),
            Figure = r.OptionalFigure("figure"),
            Unit = r.OptionalText("unit", 20),
            Thickness = r.OptionalFigure("thickness"),
            How = r.OptionalWord<ShimKnownBy>("how"),
            State = r.OptionalWord<StartState>("state"),
            Outcome = r.OptionalWord<PointOutcome>("outcome"),
            Why = r.OptionalText("why"),
            Amount = r.OptionalFigure("amount"),
            Old = r.OptionalFigure("old"),
            New = r.OptionalFigure("new"),
            Text = r.OptionalText("text"),
        };
    }

    private static string Point(FieldReader f) => f.Text("point", "the point's label", 40);

    private static LengthUnit Unit(FieldReader f) => Length.ParseUnit(f.Text("unit", "the unit: mm or thou", 20), "unit");

    private static string FigureUnit(FieldReader f)
    {
        var with = f.OptionalWord<FigureSource>("with") ?? FigureSource.Figure;
        if (with is FigureSource.Torque or FigureSource.Turns or FigureSource.Height) return f.OptionalText("unit", 20) ?? "";
        return WrittenFigure.Name(Unit(f));
    }

    private static string? Photo(FieldReader f)
    {
        if (f.OptionalText("photo", 64) is not { } hash) return null;
        return hash.Length == 64 && hash.All(char.IsAsciiHexDigit) ? hash.ToLowerInvariant() : throw new BadInputException("photo", "A photo is named by its sha-256, 64 hexadecimal digits.");
    }
}
