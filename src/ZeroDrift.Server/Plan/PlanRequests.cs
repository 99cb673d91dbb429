using ZeroDrift.Core.Engines;

namespace ZeroDrift.Server.Plan;

public sealed record CheckRequest(Guid? JobId, Guid? PersonId, DateOnly? Date);

public sealed record PlaceRequest(Guid? PersonId, DateOnly? Date, bool? Pinned);

public sealed record PublishRequest(string? Who);

public sealed record MechanicRequest(IReadOnlyList<MachineKind>? Skills, IReadOnlyList<double>? WeekHours);

public sealed record AwayRequest(Guid? Id, Guid? PersonId, Guid? MachineId, DateOnly? From, DateOnly? To, string? Why, bool? LaidUp = null);

public sealed record GroupRequest(Guid? Id, string? Name, int? MostOut, IReadOnlyList<Guid>? EngineIds);

public sealed record ToolRequest(Guid? Id, string? Name, int? Count);

public sealed record RoadRequest(Guid? FromId, Guid? ToId, double? Hours);
