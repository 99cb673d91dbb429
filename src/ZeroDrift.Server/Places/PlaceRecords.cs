using ZeroDrift.Core.Engines;

namespace ZeroDrift.Server.Places;

public sealed record SiteRequest(Guid? Id, string? Name, string? TimeZone, bool? Archived, string? Who);

public sealed record SiteResponse(Guid Id, string Name, string? TimeZone, bool Archived, int Machines);

public sealed record MachineRequest(Guid? Id, string? Name, MachineKind? Kind, string? Site, string? Registration, bool? Archived, string? Who);

public sealed record MachineResponse(Guid Id, string Name, MachineKind Kind, string Site, string? Registration, bool Archived, IReadOnlyList<MachineEngine> Engines);

public sealed record MachineEngine(Guid Id, string Name);
