using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Calculators;

namespace ZeroDrift.Server.Book;

public sealed record SpecLineDto(LashKind? Kind, string? Min, string? Max, string? Set, string? Single, string? Unit);

public sealed record BookStopDto(double CrankDeg, IReadOnlyList<string>? Points);

/// <summary>An engine type as it is typed into the book.</summary>
public sealed record EngineTypeRequest
{
    public Guid? Id { get; init; }
    public string? Code { get; init; }
    public string? Name { get; init; }
    public EngineCycle Cycle { get; init; }
    public string? FiringOrder { get; init; }
    public IReadOnlyList<double>? FiringAnglesDeg { get; init; }
    public TimingRequest? Timing { get; init; }
    public double? RampGuardDeg { get; init; }
    public string? Banks { get; init; }
    public string? Layout { get; init; }
    public AdjusterKind Adjuster { get; init; }
    public double? PitchMm { get; init; }
    public double? ClearancePerTravel { get; init; }
    public bool? ClockwiseCloses { get; init; }
    public TurningMethod Method { get; init; }
    public IReadOnlyList<BookStopDto?>? BookStops { get; init; }
    public string? Rotation { get; init; }
    public string? BarringTool { get; init; }
    public double? ToolTurnsPerCrankTurn { get; init; }
    public double? BookHours { get; init; }
    public int? BookMonths { get; init; }
    public double? FirstCheckHours { get; init; }
    public double? BreakInHours { get; init; }
    public double? JobHours { get; init; }
    public SpecRevisionRequest? Spec { get; init; }
}

public sealed record SpecRevisionRequest(string? Revision, string? Source, DateOnly? Date, SpecCondition Condition, IReadOnlyList<SpecLineDto?>? Lines);

public sealed record LashPointResponse(Guid Id, string Label, int Cylinder, LashKind Kind, string? Place, AdjusterKind Adjuster, int Bank, int Along);

public sealed record SpecFiguresResponse(LashKind Kind, double MinMm, double MaxMm, double SetMm, bool FleetTolerance, string Written, string Unit);

public sealed record RevisionResponse(Guid Id, string Revision, string Source, DateOnly Date, SpecCondition Condition, bool InForce, IReadOnlyList<SpecFiguresResponse> Figures);

public sealed record EngineTypeSummary(Guid Id, string Code, string Name, string FiringOrder, int Cylinders, int Points, AdjusterKind Adjuster, string? Revision, int Engines);

public sealed record EngineTypeResponse
{
    public required Guid Id { get; init; }
    public required string Code { get; init; }
    public required string Name { get; init; }
    public required EngineCycle Cycle { get; init; }
    public required IReadOnlyList<int> FiringOrder { get; init; }
    public IReadOnlyList<double>? FiringAnglesDeg { get; init; }
    public required bool TimingKnown { get; init; }
    public required ValveTiming Timing { get; init; }
    public required double RampGuardDeg { get; init; }
    public required string Banks { get; init; }
    public required string Layout { get; init; }
    public required AdjusterKind Adjuster { get; init; }
    public double? PitchMm { get; init; }
    public required double ClearancePerTravel { get; init; }
    public required bool ClockwiseCloses { get; init; }
    public required TurningMethod Method { get; init; }
    public required string Rotation { get; init; }
    public required string BarringTool { get; init; }
    public required double ToolTurnsPerCrankTurn { get; init; }
    public double? BookHours { get; init; }
    public int? BookMonths { get; init; }
    public double? FirstCheckHours { get; init; }
    public required double BreakInHours { get; init; }
    public required double JobHours { get; init; }
    public required IReadOnlyList<LashPointResponse> Points { get; init; }
    public required IReadOnlyList<RevisionResponse> Revisions { get; init; }
    public required TurningPlanResponse Plan { get; init; }
}

/// <summary>What a type being typed in would look like: its points and its turning plan.</summary>
public sealed record TypePreviewResponse(IReadOnlyList<LashPointResponse> Points, TurningPlanResponse Plan, IReadOnlyList<SpecFiguresResponse> Figures);

internal static class BookResponses
{
    public static EngineTypeResponse Of(EngineTypeRow row, FleetRow fleet, DateOnly today)
    {
        var inForce = row.InForceOn(today);
        var core = Data.Mapping.TypeMapping.ToCore(row, inForce, fleet);
        return new EngineTypeResponse
        {
            Id = row.Id,
            Code = row.Code,
            Name = row.Name,
            Cycle = row.Cycle,
            FiringOrder = core.Order.Cylinders,
            FiringAnglesDeg = row.FiringAnglesDeg,
            TimingKnown = row.Timing is not null,
            Timing = core.Timing,
            RampGuardDeg = row.RampGuardDeg,
            Banks = row.Banks,
            Layout = row.Layout,
            Adjuster = row.Adjuster,
            PitchMm = row.PitchMm,
            ClearancePerTravel = row.ClearancePerTravel,
            ClockwiseCloses = row.ClockwiseCloses,
            Method = row.Method,
            Rotation = row.Rotation,
            BarringTool = row.BarringTool,
            ToolTurnsPerCrankTurn = row.ToolTurnsPerCrankTurn,
            BookHours = row.BookHours,
            BookMonths = row.BookMonths,
            FirstCheckHours = row.FirstCheckHours,
            BreakInHours = row.BreakInHours,
            JobHours = row.JobHours,
            Points = Points(row),
            Revisions = [.. row.Revisions.OrderByDescending(r => r.Date).Select(r => new RevisionResponse(r.Id, r.Revision, r.Source, r.Date, r.Condition, r.Id == inForce?.Id, Figures(r.Lines, fleet)))],
            Plan = TurningPlanResponse.Of(core.Turning(), core.Plan()),
        };
    }

    public static IReadOnlyList<LashPointResponse> Points(EngineTypeRow row) =>
        [.. row.Points.OrderBy(p => p.Order).Select(p => new LashPointResponse(p.Id, p.Label, p.Cylinder, p.Kind, p.Place, p.Adjuster, p.Bank, p.Along))];

    public static IReadOnlyList<SpecFiguresResponse> Figures(IReadOnlyList<SpecLineRow> lines, FleetRow fleet)
    {
        var specs = Data.Mapping.TypeMapping.Specs(lines, fleet);
        return [.. lines.Select(line => new SpecFiguresResponse(line.Kind, specs[line.Kind].Window.MinMm, specs[line.Kind].Window.MaxMm, specs[line.Kind].SetMm, specs[line.Kind].FleetTolerance, Written(line), line.Unit))];
    }

    /// <summary>The figures as the source writes them.</summary>
    public static string Written(SpecLineRow line) => line.Single is { Length: > 0 }
        ? $"{line.Single} {line.Unit}, fleet's tolerance"
        : $"{line.Min} – {line.Max}{(string.IsNullOrWhiteSpace(line.Set) ? "" : $", set {line.Set}")} {line.Unit}";

    private static SpecRevisionRow? InForceOn(this EngineTypeRow row, DateOnly day) => Data.Mapping.TypeMapping.InForce(row, day);
}
