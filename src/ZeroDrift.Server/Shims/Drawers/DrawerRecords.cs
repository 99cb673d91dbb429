using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Shims;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Server.Shims.Drawers;

/// <summary>A drawer to add: a kit, a place in the stores, an old head, somebody's box.</summary>
public sealed record DrawerRequest(Guid? Id, string? Name, string? Site, ShimDrawerKind? Kind);

/// <summary>
/// Something done with shims of a drawer. `size` as stamped, with its unit (mm, thou, in): 2.70, 270, 0.106. `count` of a counted kind is how many were
/// found. `toDrawer` only where moved, `toSize` only where lapped, in the same unit. `id` makes sending it again harmless.
/// </summary>
public sealed record MovementRequest(Guid? Id, ShimMovementKind? Kind, ShimAccess? Access, double? DiameterMm, string? Size, string? Unit, int? Count, ShimKnownBy? KnownBy, Guid? ToDrawer, string? ToSize, string? Who, string? Why);

public sealed record HeldResponse(ShimAccess Access, double? DiameterMm, double SizeMm, int Count, ShimKnownBy KnownBy, string Written, string Unit);

public sealed record DrawerResponse(Guid Id, string Name, string Site, ShimDrawerKind Kind, IReadOnlyList<HeldResponse> Held);

public sealed record MovementResponse(Guid Id, ShimMovementKind Kind, ShimAccess Access, double? DiameterMm, double SizeMm, int Change, int? Counted, ShimKnownBy KnownBy, DateTime At, string Who, string? Why);

public sealed record CountChange(ShimAccess Access, double? DiameterMm, double SizeMm, int Before, int Counted);

/// <summary>What a count changes, or would.</summary>
public sealed record CountResponse(int Lines, IReadOnlyList<CountChange> Changes, bool Kept, DrawerResponse Drawer);
