using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Calculators;

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
            Id = request.Id ?? Guid.CreateVersion7(),
            Code = preview ? "preview" : Given.Text(request.Code, "code", "a short code for the type", 40),
            Name = preview ? "preview" : Given.Text(request.Name, "name", "a name that says what the engine is", 120),
            Cycle = request.Cycle,
            FiringOrder = order.ToString(),
            FiringAnglesDeg = request.FiringAnglesDeg is { Count: > 0 } angles ? [.. angles] : null,
            Timing = t is { IvoBtdc: null, IvcAbdc: null, EvoBbdc: null, EvcAtdc: null } or null ? null
                : new ValveTiming(
                    Given.Number(t.IvoBtdc, "timing.ivoBtdc", "when the intake opens, or leave all four empty"),
                    Given.Number(t.IvcAbdc, "timing.ivcAbdc", "when the intake closes"),
                    Given.Number(t.EvoBbdc, "timing.evoBbdc", "when the exhaust opens"),
                    Given.Number(t.EvcAtdc, "timing.evcAtdc", "when the exhaust closes")),
            RampGuardDeg = request.RampGuardDeg ?? TurningEngine.DefaultRampGuardDeg,
            Banks = string.IsNullOrWhiteSpace(request.Banks) ? string.Join(' ', order.Cylinders.Order()) : request.Banks.Trim(),
            Layout = request.Layout!.Trim().ToUpperInvariant(),
            Adjuster = request.Adjuster,
            PitchMm = Given.InRange(request.PitchMm, 0.1, 10, "pitchMm", "The screw's pitch"),
            ClearancePerTravel = Given.InRange(request.ClearancePerTravel, 0.05, 10, "clearancePerTravel", "The clearance per screw travel") ?? 1,
            ClockwiseCloses = request.ClockwiseCloses ?? true,
            Method = request.Method,
            BookStops = [.. (request.BookStops ?? []).Select((stop, i) => stop is null
                ? throw new BadInputException($"bookStops[{i}]", "Give the stop's crank angle and its points.")
                : new BookStopRow { CrankDeg = stop.CrankDeg, Points = [.. stop.Points ?? []] })],
            Rotation = Given.OptionalText(request.Rotation, "rotation", "the turning direction", 80) ?? "clockwise seen from the front",
            BarringTool = Given.OptionalText(request.BarringTool, "barringTool", "how it is barred", 80) ?? "socket on the crank nut",
            ToolTurnsPerCrankTurn = Given.InRange(request.ToolTurnsPerCrankTurn, 0.01, 1000, "toolTurnsPerCrankTurn", "The barring ratio") ?? 1,
            BookHours = Given.InRange(request.BookHours, 1, 100_000, "bookHours", "The book's interval in hours"),
            BookMonths = (int?)Given.InRange(request.BookMonths, 1, 240, "bookMonths", "The book's interval in months"),
            FirstCheckHours = Given.InRange(request.FirstCheckHours, 1, 10_000, "firstCheckHours", "The first check after a build"),
            BreakInHours = Given.InRange(request.BreakInHours, 0, 10_000, "breakInHours", "The break-in hours") ?? 0,
            JobHours = Given.InRange(request.JobHours, 0.25, 200, "jobHours", "The length of the job in hours") ?? 4,
        };
        row.Points = [.. points.Select((p, i) => new LashPointRow { Id = Guid.CreateVersion7(), EngineTypeId = row.Id, Label = p.Label, Cylinder = p.Cylinder, Kind = p.Kind, Place = p.Place, Adjuster = p.Adjuster, Bank = p.Bank, Along = p.Along, Order = i })];
        if (request.Spec is { } spec && (!preview || (spec.Lines ?? []).Any(Filled))) row.Revisions = [Revision(spec, row, fleet, today, preview)];
        if (!preview)
        {
            if (row.Adjuster.IsScrew() && row.PitchMm is null) throw new BadInputException("pitchMm", "Give the screw's pitch in mm, so that a turn can be worked out; 1 mm and 1.25 mm are common.");
            if (row.Revisions.Count == 0) throw new BadInputException("spec.lines", "Give the clearances with their source, so that a reading can be judged.");
        }
        // The plan is the proof: timing, method and book stops are checked by making it.
        row.ToCore(row.Revisions.FirstOrDefault(), fleet).Plan();
        return row;
    }

    public static SpecRevisionRow Revision(SpecRevisionRequest spec, EngineTypeRow type, FleetRow fleet, DateOnly today, bool preview = false)
    {
        var lines = (spec.Lines ?? []).Where(Filled).Select((line, i) => new SpecLineRow
        {
            Kind = line!.Kind ?? throw new BadInputException($"spec.lines[{i}].kind", "Say whether the figure is for intake or exhaust."),
            Min = line.Min?.Trim(),
            Max = line.Max?.Trim(),
            Set = line.Set?.Trim(),
            Single = line.Single?.Trim(),
            Unit = Core.Lengths.Length.ParseUnit(line.Unit, $"spec.lines[{i}].unit") == Core.Lengths.LengthUnit.Thou ? "thou" : "mm",
        }).ToList();
        var row = new SpecRevisionRow
        {
            Id = Guid.CreateVersion7(),
            EngineTypeId = type.Id,
            Revision = preview ? "?" : Given.Text(spec.Revision, "spec.revision", "the revision, such as A", 20),
            Source = preview ? "?" : Given.Text(spec.Source, "spec.source", "where the figures come from: plate, manual or bulletin", 200),
            Date = spec.Date ?? today,
            Condition = spec.Condition,
            Lines = lines,
        };
        try
        {
            var specs = TypeMapping.Specs(lines, fleet);
            var needed = type.Points.Select(p => p.Kind).Distinct().Where(k => k is LashKind.Intake or LashKind.Exhaust);
            if (!preview && needed.FirstOrDefault(k => !specs.ContainsKey(k), (LashKind)(-1)) is var missing && (int)missing >= 0)
                throw new BadInputException("lines", $"Give the {missing.Word()} clearance too.");
        }
        catch (BadInputException bad)
        {
            throw bad.Inside("spec");
        }
        return row;
    }

    private static bool Filled(SpecLineDto? line) => line is not null && !(string.IsNullOrWhiteSpace(line.Min) && string.IsNullOrWhiteSpace(line.Max) && string.IsNullOrWhiteSpace(line.Single));
}
