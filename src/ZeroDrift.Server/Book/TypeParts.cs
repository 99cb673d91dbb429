using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Server.Book;

/// <summary>The lists of a type, each line checked: steps, fasteners, gaskets, stops, names.</summary>
internal static class TypeParts
{
    public static FastenerRow Of(FastenerDto dto, string field) => new()
    {
        Use = Given.Text(dto.Use, field + ".use", "what it is: locknut, cover bolt, plug", 60),
        Size = Given.OptionalText(dto.Size, field + ".size", "the tool's size", 40),
        TorqueNm = Given.InRange(dto.TorqueNm, 0.1, 5000, field + ".torqueNm", "The torque in Nm"),
        Count = (int?)Given.InRange(dto.Count, 1, 1000, field + ".count", "How many there are"),
    };

    public static GasketRow Of(GasketDto dto, string field) => new()
    {
        Name = Given.Text(dto.Name, field + ".name", "what it seals", 60),
        Count = (int)(Given.InRange(dto.Count, 1, 1000, field + ".count", "How many there are") ?? 1),
        SingleUse = dto.SingleUse ?? false,
    };

    public static TypeStepRow Of(TypeStepDto dto, string field, int place, EngineTypeRow type)
    {
        if (dto.Counts is not null && dto.List == StepList.Point) throw new BadInputException(field + ".counts", "Parts are counted for the whole engine: put the step before the covers or at close-up.");
        if (dto.CrankDeg is { } && dto.List != StepList.Stop) throw new BadInputException(field + ".crankDeg", "Only a step at a crank angle has one.");
        if (dto.CrankDeg is { } deg) CrankAngle.Of(deg, type.Facts.Cycle, field + ".crankDeg");
        foreach (var label in dto.Points ?? [])
            if (!type.Points.Exists(p => p.Label == label)) throw new BadInputException(field + ".points", $"'{label}' is not a point of this type.");
        return new TypeStepRow
        {
            Key = Given.OptionalText(dto.Key, field + ".key", "the step's key", 40) ?? $"own-{place + 1}",
            List = dto.List,
            Text = Given.Text(dto.Text, field + ".text", "what is to be done", 300),
            Kind = dto.Kind,
            Points = dto.Points is { Count: > 0 } points ? [.. points] : null,
            CrankDeg = dto.CrankDeg,
            Counts = dto.Counts,
            Pair = Given.OptionalText(dto.Pair, field + ".pair", "what is counted", 40),
            Asks = Given.OptionalText(dto.Asks, field + ".asks", "what is to be seen", 200),
            OnlyJob = dto.OnlyJob,
            Places = dto.Places is { Count: > 0 } places ? [.. places.Distinct().Order()] : null,
            AfterFitting = dto.AfterFitting is true && dto.List != StepList.Point ? throw new BadInputException(field + ".afterFitting", "Only a step at points can look at what was fitted there.") : dto.AfterFitting,
        };
    }

    /// <summary>Keys are unique, no step is of the list that keeps people safe, and what is counted out is counted in.</summary>
    public static void Check(List<TypeStepRow> steps)
    {
        foreach (var (step, i) in steps.Select((s, i) => (s, i)))
        {
            if (step.List is StepList.MakeSafe) throw new BadInputException($"steps[{i}].list", "The list that makes it safe follows from the machine and is not edited here; put the step before the covers.");
            if (steps.FindIndex(s => s.Key == step.Key) != i) throw new BadInputException($"steps[{i}].key", $"'{step.Key}' stands for two steps; give each its own key.");
            if (step.Counts is { } way && !steps.Exists(s => s.Pair == step.Pair && s.Counts is { } other && other != way))
                throw new BadInputException($"steps[{i}].pair", "What is counted out must be counted in: give the pair of steps the same name.");
        }
    }

    public static List<BookStopRow> Stops(IReadOnlyList<BookStopDto?>? stops) => [.. (stops ?? []).Select((stop, i) => stop is null
        ? throw new BadInputException($"bookStops[{i}]", "Give the stop's crank angle and its points.")
        : new BookStopRow { CrankDeg = stop.CrankDeg, Points = [.. stop.Points ?? []] })];

    /// <summary>Gives the points the book's own names, each once; an empty list takes them away.</summary>
    public static void Name(EngineTypeRow row, IReadOnlyList<string?>? names)
    {
        if (names is null) return;
        var points = row.Points.OrderBy(p => p.Order).ToList();
        if (names.Count != points.Count && names.Count > 0) throw new BadInputException("pointNames", $"Give the book's names of all {points.Count} points in the order of the heads; {names.Count} were given.");
        for (var i = 0; i < points.Count; i++) points[i].BookName = names.Count == 0 ? null : Given.OptionalText(names[i], $"pointNames[{i}]", "the book's name of a point", 40);
        if (points.Where(p => p.BookName is not null).GroupBy(p => p.BookName, StringComparer.OrdinalIgnoreCase).FirstOrDefault(g => g.Count() > 1) is { } twice)
            throw new BadInputException("pointNames", $"'{twice.Key}' stands for two points; give each its own name.");
    }

    /// <summary>The marks of a series, one a size, each once.</summary>
    public static List<string>? Marks(IEnumerable<string> given, EngineTypeRow type)
    {
        List<string> marks = [.. given.Select((m, i) => Given.Text(m, $"shimMarks[{i}]", "what is stamped on the size", 10))];
        if (marks.Count == 0) return null;
        if (marks.Count != (type.Facts.ShimSizesMm?.Count ?? 0)) throw new BadInputException("shimMarks", $"Give one mark for each of the {type.Facts.ShimSizesMm?.Count ?? 0} sizes, in their order; {marks.Count} were given.");
        if (marks.GroupBy(m => m, StringComparer.OrdinalIgnoreCase).FirstOrDefault(g => g.Count() > 1) is { } twice) throw new BadInputException("shimMarks", $"'{twice.Key}' stands for two sizes; each has its own.");
        return marks;
    }

    /// <summary>Which bridges have a screw of their own: two styles may stand in one type.</summary>
    public static void GiveBridges(EngineTypeRow type, IReadOnlyList<string> labels)
    {
        foreach (var label in labels)
            if (type.Points.Find(p => p.Label == label) is not { } point) throw new BadInputException("bridgeScrews", $"'{label}' is not a point of this type.");
            else if (point.Adjuster != AdjusterKind.BridgeScrew) throw new BadInputException("bridgeScrews", $"{label} has no bridge.");
        foreach (var point in type.Points) point.BridgeScrew = labels.Contains(point.Label);
    }

    /// <summary>What one kind of point is set with.</summary>
    public static KindStyleRow Of(KindStyleDto dto, string field)
    {
        var kind = dto.Kind ?? throw new BadInputException(field + ".kind", "Say which kind of point it is.");
        var adjuster = dto.Adjuster ?? HeadLayout.For(kind, AdjusterKind.ScrewAtValve);
        var fits = kind switch
        {
            LashKind.Injector => adjuster == AdjusterKind.InjectorScrew,
            LashKind.EngineBrake => adjuster == AdjusterKind.BrakeScrew,
            _ => adjuster is not (AdjusterKind.InjectorScrew or AdjusterKind.BrakeScrew),
        };
        if (!fits) throw new BadInputException(field + ".adjuster", $"An {kind.Word()} point is not set that way.");
        return new KindStyleRow
        {
            Kind = kind,
            Adjuster = adjuster,
            PitchMm = Given.InRange(dto.PitchMm, 0.1, 10, field + ".pitchMm", "The screw's pitch"),
            ClearancePerTravel = Given.InRange(dto.ClearancePerTravel, 0.05, 10, field + ".clearancePerTravel", "The clearance per screw travel"),
            ClockwiseCloses = dto.ClockwiseCloses,
        };
    }
}
