using ZeroDrift.Core.Engines;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Server.Places;

public sealed record SiteRequest(Guid? Id, string? Name, string? TimeZone, bool? Archived, string? Who);

public sealed record SiteResponse(Guid Id, string Name, string? TimeZone, bool Archived, int Machines);

public sealed record MachineRequest(Guid? Id, string? Name, MachineKind? Kind, string? Site, string? Registration, bool? Archived, string? Who)
{
    /// <summary>What it has that its cautions rest on; left out, what its kind usually has. An empty list: nothing.</summary>
    public IReadOnlyList<MachineProperty>? Properties { get; init; }
}

public sealed record MachineResponse(Guid Id, string Name, MachineKind Kind, string Site, string? Registration, bool Archived, IReadOnlyList<MachineEngine> Engines, IReadOnlyList<MachineProperty> Properties)
{
    public static MachineResponse Of(MachineRow row, IReadOnlyList<MachineEngine> engines) => new(row.Id, row.Name, row.Kind, row.Site!.Name, row.Registration, row.ArchivedAt is not null, engines, row.Has);
}

public sealed record MachineEngine(Guid Id, string Name);
