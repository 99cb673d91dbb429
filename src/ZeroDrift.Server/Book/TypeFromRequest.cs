using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Manuals;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Turning;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;


namespace ZeroDrift.Server.Book;

/// <summary>Checks a typed engine type by building everything the core would make of it.</summary>
internal static class TypeFromRequest
{
    private const int MostLettersOfACode = 40;

    public static EngineTypeRow Build(EngineTypeRequest request, FleetRow fleet, DateOnly today, bool preview)
    {
        var order = FiringOrder.Parse(request.FiringOrder, request.Cycle, request.FiringAnglesDeg);
        var letters = request.Letters ?? HeadLayout.Letters(request.Layout, request.Cycle);
        var points = HeadLayout.Parse(request.Banks, request.Layout, order, request.Adjuster, letters: letters);
        var kinds = (request.ByKind ?? []).Select((k, i) => TypeParts.Of(k ?? throw new BadInputException($"byKind[{i}]", "Fill this line, or leave it out."), $"byKind[{i}]")).ToList();
        if (kinds.GroupBy(k => k.Kind).FirstOrDefault(g => g.Count() > 1) is { } twice) throw new BadInputException("byKind", $"The {twice.Key.Word()} points stand twice; give each kind once.");
        var t = request.Timing;
        var code = preview ? "preview" : string.IsNullOrWhiteSpace(request.Code) ? null : Given.Name(request.Code, "code", "a short code for the type", MostLettersOfACode);
        var name = preview ? "preview" : Given.Name(request.Name, "name", "a name that says what the engine is", 120);
        var row = new EngineTypeRow
        {
            Id = Given.NewId(request.Id),
            // Without a code it goes by its name.
            Code = code ?? (name.Length <= MostLettersOfACode ? name : name[..MostLettersOfACode].TrimEnd()),
            Name = name,
            Facts = new TypeFacts
            {
                Cycle = request.Cycle,
                FiringAnglesDeg = request.FiringAnglesDeg is { Count: > 0 } angles ? [.. angles] : null,
                RampGuardDeg = request.RampGuardDeg ?? ValveTiming.DefaultRampGuardDeg,
                Letters = letters,
                Adjuster = request.Adjuster,
                ShimSizesMm = Sizes(request.ShimSizesMm),
                ShimPerClearance = Given.InRange(request.ShimPerClearance, 0.05, 10, "shimPerClearance", "The shim travel per clearance") ?? 1,
                TravelTurns = Given.InRange(request.TravelTurns, 0.05, 100, "travelTurns", "The plunger travel in turns"),
                SelfLocking = request.SelfLocking ?? false,
                Method = request.Method,
            },
            FiringOrder = order.ToString(),
            Timing = t is { IvoBtdc: null, IvcAbdc: null, EvoBbdc: null, EvcAtdc: null } or null ? null
                : new ValveTiming(
                    Given.Number(t.IvoBtdc, "timing.ivoBtdc", "when the intake opens, or leave all four empty"),
                    Given.Number(t.IvcAbdc, "timing.ivcAbdc", "when the intake closes"),
                    Given.Number(t.EvoBbdc, "timing.evoBbdc", "when the exhaust opens"),
                    Given.Number(t.EvcAtdc, "timing.evcAtdc", "when the exhaust closes")),
            Banks = string.IsNullOrWhiteSpace(request.Banks) ? string.Join(' ', order.Cylinders.Order()) : request.Banks.Trim(),
            Layout = request.Layout!.Trim().ToUpperInvariant(),
            ByKind = kinds,
        };
        row.Points = [.. points.Select((p, i) => new LashPointRow { Id = Guid.CreateVersion7(), EngineTypeId = row.Id, Label = p.Label, Cylinder = p.Cylinder, Kind = p.Kind, Place = p.Place, Adjuster = kinds.Find(k => k.Kind == p.Kind)?.Adjuster ?? HeadLayout.For(p.Kind, request.Adjuster), Bank = p.Bank, Along = p.Along, Order = i })];
        request.Onto(row, null);
        row.Assumed = [.. Assumed(request, row)];
        if (request.Spec is { } spec && (!preview || (spec.Lines ?? []).Any(Filled))) row.Revisions = [Revision(spec, row, fleet, today, preview)];
        if (!preview)
        {
            if (row.Revisions.Count == 0 && request.NoFigures != true) throw new BadInputException("spec.lines", "Give the clearances with their source, so that a reading can be judged.");
        }
        // The plan is the proof: timing, method and book stops are checked by making it.
        row.ToCore().Plan();
        return row;
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
            Photo = Photo(spec.Photo, "spec.photo"),
        };
        try
        {
            var specs = DemandMapping.Demands(lines, fleet);
            var needed = type.Points.Where(p => p.Adjuster is not (AdjusterKind.HydraulicPreload or AdjusterKind.InjectorScrew)).Select(p => p.Kind).Distinct().Where(k => k is LashKind.Intake or LashKind.Exhaust);
            foreach (var (kind, demand) in specs)
                if (type.Points.Find(p => p.Kind == kind) is { } point) Fits(point.Adjuster.With(type.Figures(kind)), demand);
            if (!preview && needed.FirstOrDefault(k => !specs.ContainsKey(k), (LashKind)(-1)) is var missing && (int)missing >= 0)
                throw new BadInputException("lines", $"Give the {missing.Word()} clearance too.");
        }
        catch (BadInputException bad)
        {
            throw bad.Inside("spec");
        }
        return row;
    }

    /// <summary>What stands in for a figure of the book that was not given.</summary>
    private static IEnumerable<string> Assumed(EngineTypeRequest request, EngineTypeRow row)
    {
        if (request.LayoutAssumed == true) yield return "layout";
        if (request.AdjusterAssumed == true) yield return "adjuster";
        if (string.IsNullOrWhiteSpace(request.Rotation)) yield return "rotation";
        if (row.Points.Exists(p => p.Adjuster.TurnsByPitch() && row.Figures(p.Kind).PitchMm is null)) yield return "pitchMm";
        if (request.ClearancePerTravel is null && row.Points.Exists(p => p.Adjuster.ActsThroughRatio() && row.ByKind.TrueForAll(k => k.Kind != p.Kind || k.ClearancePerTravel is null))) yield return "clearancePerTravel";
    }

    /// <summary>A picture by its hash.</summary>
    public static string? Photo(string? hash, string field) => string.IsNullOrWhiteSpace(hash) ? null
        : hash.Length == 64 && hash.All(char.IsAsciiHexDigit) ? hash.ToLowerInvariant()
        : throw new BadInputException(field, "A picture is named by its sha-256, 64 hexadecimal digits.");

    /// <summary>One line as it was given, checked.</summary>
    public static SpecLineRow Line(SpecLineDto line, string field)
    {
        if (line.Written is { Length: > 0 } text)
        {
            var written = BookClearance.Parse(text, field + ".written");
            line = line with { Min = written.Min, Max = written.Max, Single = written.Single, TightSide = written.TightSide, LooseSide = written.LooseSide, Unit = written.Unit is { } unit ? WrittenFigure.Name(unit) : line.Unit };
        }
        return Row(line, field);
    }

    private static SpecLineRow Row(SpecLineDto line, string field) => new()
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
    public static void Fits(Adjuster adjuster, Core.Judging.Demand demand)
    {
        try
        {
            Core.Setting.Advice.For(adjuster, demand, []);
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

    private static bool Filled(SpecLineDto? line) => line is not null && (IsAmount(line) || !(string.IsNullOrWhiteSpace(line.Min) && string.IsNullOrWhiteSpace(line.Max) && string.IsNullOrWhiteSpace(line.Single) && string.IsNullOrWhiteSpace(line.Written) && string.IsNullOrWhiteSpace(line.Go)));
}
