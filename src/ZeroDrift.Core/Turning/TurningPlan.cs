using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>One point set at a stop.</summary>
/// <param name="Point">Cylinder and kind.</param>
/// <param name="MarginDeg">Degrees to the nearest edge of its lift; null where only the book knows.</param>
/// <param name="RoomBackDeg">How far the crank may drift back before the point lifts.</param>
/// <param name="RoomForwardDeg">How far it may drift forward.</param>
public sealed record PlacedPoint(LashRef Point, double? MarginDeg, double? RoomBackDeg, double? RoomForwardDeg);

/// <summary>A position of the crank and what is set there.</summary>
/// <param name="CrankDeg">Where.</param>
/// <param name="TurnFromPreviousDeg">Degrees to bar forward from the stop before; 0 at the first.</param>
/// <param name="CompressionCylinder">The cylinder exactly at TDC compression, if any.</param>
/// <param name="RockingCylinder">The cylinder exactly on overlap, if any.</param>
/// <param name="Sign">What tells the mechanic that this is the stop.</param>
/// <param name="Set">The points set here.</param>
public sealed record TurningStop(CrankAngle CrankDeg, double TurnFromPreviousDeg, int? CompressionCylinder, int? RockingCylinder, string Sign, IReadOnlyList<PlacedPoint> Set);

/// <summary>A point that cannot be set by the plan, and why.</summary>
/// <param name="Point">Cylinder and kind.</param>
/// <param name="MarginDeg">The best margin the plan's stops give it; null where only the book could place it.</param>
/// <param name="Reason">One sentence.</param>
public sealed record UnplacedPoint(LashRef Point, double? MarginDeg, string Reason);

/// <summary>Where to stop and what to set there. Every asked-for point is in exactly one stop or in <paramref name="CannotSet"/>.</summary>
public sealed record TurningPlan(IReadOnlyList<TurningStop> Stops, IReadOnlyList<UnplacedPoint> CannotSet);

/// <summary>What is asked of the planner.</summary>
/// <param name="Method">The school.</param>
/// <param name="Kinds">Kinds to place; null: the valves the engine has.</param>
/// <param name="StartCylinder">Where to begin; null: the first in the firing order. Crank degrees stay absolute.</param>
/// <param name="CrankNowDeg">Where the crank stands: the plan begins with the first stop at or ahead of it, and <paramref name="StartCylinder"/> is not used.</param>
/// <param name="BookStops">The list, for <see cref="TurningMethod.Book"/>.</param>
public sealed record TurningRequest(TurningMethod Method, IReadOnlyList<LashKind>? Kinds = null, int? StartCylinder = null, IReadOnlyList<BookStop>? BookStops = null, CrankAngle? CrankNowDeg = null);
