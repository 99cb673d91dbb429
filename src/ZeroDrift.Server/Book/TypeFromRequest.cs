using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;


namespace ZeroDrift.Server.Book;

/// <summary>Checks a typed engine type by building everything the core would make of it.</summary>
internal static class TypeFromRequest
{
    public static EngineTypeRow Build(EngineTypeRequest request, FleetRow fleet, DateOnly today, bool preview)
    {
        var order = FiringOrder.Parse(request.FiringOrder, request.Cycle, request.FiringAnglesDeg);
        var points = HeadLayout.Parse(request.Banks, request.Layout, order, request.Adjuster);
        var t = request.Timing;
        var row = new EngineTypeRow
        {
            Id = Given.NewId(request.Id),
            Code = preview ? "preview" : Given.Name(request.Code, "code", "a short code for the type", 40),
            Name = preview ? "preview" : Given.Name(request.Name, "name", "a name that says what the engine is", 120),
            Cycle = request.Cycle,
            FiringOrder = order.ToString(),
            FiringAnglesDeg = request.FiringAnglesDeg is { Count: > 0 } angles ? [.. angles] : null,
            Timing = t is { IvoBtdc: null, IvcAbdc: null, EvoBbdc: null, EvcAtdc: null } or null ? null
                : new ValveTiming(
                    Given.Number(t.IvoBtdc, "timing.ivoBtdc", "when the intake opens, or leave all four empty"),
                    Given.Number(t.IvcAbdc, "timing.ivcAbdc", "when the intake closes"),
                    Given.Number(t.EvoBbdc, "timing.evoBbdc", "when the exhaust opens"),
                    Given.Number(t.EvcAtdc, "timing.evcAtdc", "when the exhaust closes")),
            RampGuardDeg = request.RampGuardDeg ?? ValveTiming.DefaultRampGuardDeg,
            Banks = string.IsNullOrWhiteSpace(request.Banks) ? string.Join(' ', order.Cylinders.Order()) : request.Banks.Trim(),
            Layout = request.Layout!.Trim().ToUpperInvariant(),
            Adjuster = request.Adjuster,
            PitchMm = Given.InRange(request.PitchMm, 0.1, 10, "pitchMm", "The screw's pitch"),
            ClearancePerTravel = Given.InRange(request.ClearancePerTravel, 0.05, 10, "clearancePerTravel", "The clearance per screw travel") ?? 1,
            ClockwiseCloses = request.ClockwiseCloses ?? true,
            ShimSizesMm = Sizes(request.ShimSizesMm),
            ShimPerClearance = Given.InRange(request.ShimPerClearance, 0.05, 10, "shimPerClearance", "The shim travel per clearance") ?? 1,
            TravelTurns = Given.InRange(request.TravelTurns, 0.05, 100, "travelTurns", "The plunger travel in turns"),
            SelfLocking = request.SelfLocking ?? false,
            ColdMaxC = Given.InRange(request.ColdMaxC, 0, 100, "coldMaxC", "The warmest that counts as cold") ?? 40,
            DialConversion = Given.InRange(request.DialConversion, 0.01, 10, "dialConversion", "The dial's conversion"),
            Method = request.Method,
            BookStops = Stops(request.BookStops),
            DialContact = Given.OptionalText(request.DialContact, "dialContact", "where the dial touches", 120),
            Order = request.Order ?? default,
            Setting = request.Setting,
            Judging = request.Judging ?? default,
            Manner = request.Manner ?? default,
            Measuring = request.Measuring ?? default,
            Spark = request.Spark ?? false,
            Interference = request.Interference ?? false,
            Pins = Given.OptionalText(request.Pins, "pins", "the lock pins or cam bars", 120),
            PulleyMm = Given.InRange(request.PulleyMm, 10, 5000, "pulleyMm", "The diameter of the pulley"),
            SpeaksCamTurns = request.SpeaksCamTurns ?? false,
            Rotation = Given.OptionalText(request.Rotation, "rotation", "the turning direction", 80) ?? "clockwise seen from the front",
            BarringTool = Given.OptionalText(request.BarringTool, "barringTool", "how it is barred", 80) ?? "socket on the crank nut",
            ToolTurnsPerCrankTurn = Given.InRange(request.ToolTurnsPerCrankTurn, 0.01, 1000, "toolTurnsPerCrankTurn", "The barring ratio") ?? 1,
            BookHours = Given.InRange(request.BookHours, 1, 100_000, "bookHours", "The book's interval in hours"),
            BookMonths = (int?)Given.InRange(request.BookMonths, 1, 240, "bookMonths", "The book's interval in months"),
            FirstCheckHours = Given.InRange(request.FirstCheckHours, 1, 10_000, "firstCheckHours", "The first check after a build"),
            BreakInHours = Given.InRange(request.BreakInHours, 0, 10_000, "breakInHours", "The break-in hours") ?? 0,
            JobHours = Given.InRange(request.JobHours, 0.25, 200, "jobHours", "The length of the job in hours") ?? 4,
        };
        row.Points = [.. points.Select((p, i) => new LashPointRow { Id = Guid.CreateVersion7(), EngineTypeId = row.Id, Label = p.Label, Cylinder = p.Cylinder, Kind = p.Kind, Place = p.Place, Adjuster = HeadLayout.For(p.Kind, request.Adjuster), Bank = p.Bank, Along = p.Along, Order = i })];
        Name(row, request.PointNames);
        if (row.Measuring == MeasuringMeans.Dial && row.DialConversion is null) throw new BadInputException("dialConversion", "Give the clearance per dial travel at its point of contact, so that a dial reading can be converted; with a factor of 2.4 between dial and lobe it is 0.417.");
        if (request.Spec is { } spec && (!preview || (spec.Lines ?? []).Any(Filled))) row.Revisions = [Revision(spec, row, fleet, today, preview)];
        if (!preview)
        {
            if (row.Adjuster.NeedsPitch() && row.PitchMm is null) throw new BadInputException("pitchMm", "Give the screw's pitch in mm, so that a turn can be worked out; 1 mm and 1.25 mm are common.");
            if (row.Revisions.Count == 0 && request.NoFigures != true) throw new BadInputException("spec.lines", "Give the clearances with their source, so that a reading can be judged.");
        }
        // The plan is the proof: timing, method and book stops are checked by making it.
        row.ToCore().Plan();
        return row;
    }

    public static List<BookStopRow> Stops(IReadOnlyList<BookStopDto?>? stops) => [.. (stops ?? []).Select((stop, i) => stop is null
        ? throw new BadInputException($"bookStops[{i}]", "Give the stop's crank angle and its points.")
        : new BookStopRow { CrankDeg = stop.CrankDeg, Points = [.. stop.Points ?? []] })];

    /// <summary>Gives the points the book's own names, each once.</summary>
    public static void Name(EngineTypeRow row, IReadOnlyList<string?>? names)
    {
        if (names is null || names.Count == 0) return;
        var points = row.Points.OrderBy(p => p.Order).ToList();
        if (names.Count != points.Count) throw new BadInputException("pointNames", $"Give the book's names of all {points.Count} points in the order of the heads; {names.Count} were given.");
        for (var i = 0; i < names.Count; i++) points[i].BookName = Given.OptionalText(names[i], $"pointNames[{i}]", "the book's name of a point", 40);
        if (points.Where(p => p.BookName is not null).GroupBy(p => p.BookName, StringComparer.OrdinalIgnoreCase).FirstOrDefault(g => g.Count() > 1) is { } twice)
            throw new BadInputException("pointNames", $"'{twice.Key}' stands for two points; give each its own name.");
    }

    public static SpecRevisionRow Revision(SpecRevisionRequest spec, EngineTypeRow type, FleetRow fleet, DateOnly today, bool preview = false)
    {
        var lines = (spec.Lines ?? []).Where(Filled).Select((line, i) => Line(line!, $"spec.lines[{i}]")).ToList();
        var row = new SpecRevisionRow
        {
            Id = Guid.CreateVersion7(),
            EngineTypeId = type.Id,
            Revision = preview ? "?" : Given.Name(spec.Revision, "spec.revision", "the revision, such as A", 20),
            Source = preview ? "?" : Given.Text(spec.Source, "spec.source", "where the figures come from: plate, manual or bulletin", 200),
            Date = spec.Date ?? today,
            Condition = spec.Condition,
            Lines = lines,
        };
        try
        {
            var specs = DemandMapping.Demands(lines, fleet);
            var needed = type.Points.Where(p => p.Adjuster is not (AdjusterKind.HydraulicPreload or AdjusterKind.InjectorScrew)).Select(p => p.Kind).Distinct().Where(k => k is LashKind.Intake or LashKind.Exhaust);
            foreach (var (kind, demand) in specs)
                if (type.Points.Find(p => p.Kind == kind) is { } point) Fits(point.Adjuster.With(type.Figures()), demand);
            if (!preview && needed.FirstOrDefault(k => !specs.ContainsKey(k), (LashKind)(-1)) is var missing && (int)missing >= 0)
                throw new BadInputException("lines", $"Give the {missing.Word()} clearance too.");
        }
        catch (BadInputException bad)
        {
            throw bad.Inside("spec");
        }
        return row;
    }

    private static SpecLineRow Line(SpecLineDto line, string field) => new()
    {
        Kind = line.Kind ?? throw new BadInputException(field + ".kind", "Say whether the figure is for intake or exhaust."),
        Min = line.Min?.Trim(),
        Max = line.Max?.Trim(),
        Set = line.Set?.Trim(),
        Single = line.Single?.Trim(),
        TightSide = line.TightSide?.Trim(),
        LooseSide = line.LooseSide?.Trim(),
        Go = line.Go?.Trim(),
        NoGo = line.NoGo?.Trim(),
        Zero = line.Zero ?? false,
        Turns = Given.InRange(line.Turns, 0.01, 100, field + ".turns", "The preload in turns"),
        Fraction = Given.InRange(line.Fraction, 0.01, 1, field + ".fraction", "The fraction of the travel"),
        HeightMm = Given.InRange(line.HeightMm, 0.01, 500, field + ".heightMm", "The height"),
        TorqueNm = Given.InRange(line.TorqueNm, 0.01, 1000, field + ".torqueNm", "The torque"),
        Unit = line.Unit is null && IsAmount(line) ? "mm" : Core.Lengths.Length.ParseUnit(line.Unit, field + ".unit") == Core.Lengths.LengthUnit.Thou ? "thou" : "mm",
    };

    /// <summary>Whether an adjuster can meet a demand; the advice knows.</summary>
    private static void Fits(Adjuster adjuster, Core.Judging.Demand demand)
    {
        try
        {
            Core.Setting.Advice.For(adjuster, demand, null);
        }
        catch (BadInputException bad) when (bad.Field == "demand")
        {
            throw new BadInputException("lines", bad.Message);
        }
        catch (BadInputException)
        {
            // The fitted shim or the travel is not known here; the pair itself is right.
        }
    }

    private static List<double>? Sizes(IReadOnlyList<double>? sizes)
    {
        if (sizes is null || sizes.Count == 0) return null;
        if (sizes.Count > 1000) throw new BadInputException("shimSizesMm", $"At most 1000 sizes are kept; {sizes.Count} were given.");
        for (var i = 0; i < sizes.Count; i++) Given.Above(sizes[i], 0, 25, $"shimSizesMm[{i}]", "A shim size", "mm");
        return [.. sizes.Distinct().Order()];
    }

    private static bool IsAmount(SpecLineDto line) => line.Zero == true || line.Turns is not null || line.Fraction is not null || line.HeightMm is not null || line.TorqueNm is not null;

    private static bool Filled(SpecLineDto? line) => line is not null && (IsAmount(line) || !(string.IsNullOrWhiteSpace(line.Min) && string.IsNullOrWhiteSpace(line.Max) && string.IsNullOrWhiteSpace(line.Single) && string.IsNullOrWhiteSpace(line.Go)));
}
