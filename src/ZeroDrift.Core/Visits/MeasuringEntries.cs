using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Visits;

/// <summary>When in the work a reading was taken.</summary>
public enum ReadingStage
{
    /// <summary>Before anything was touched.</summary>
    AsFound,

    /// <summary>Set, locknut still loose.</summary>
    BeforeLock,

    /// <summary>Measured again after locking.</summary>
    AsLeft,

    /// <summary>What somebody else says it was left at.</summary>
    Claimed,
}

/// <summary>What a figure was read off.</summary>
public enum FigureSource
{
    /// <summary>A clearance given directly.</summary>
    Figure,

    /// <summary>Dial travel, converted by the type's factor.</summary>
    Dial,

    /// <summary>A height over a body.</summary>
    Height,

    /// <summary>A torque.</summary>
    Torque,

    /// <summary>Turns past contact.</summary>
    Turns,
}

/// <summary>How a shim's thickness is known.</summary>
public enum ShimKnownBy
{
    /// <summary>By micrometer.</summary>
    Micrometer,

    /// <summary>Printed on it: not its thickness once worn.</summary>
    Printed,

    /// <summary>Lapped down.</summary>
    Lapped,
}

/// <summary>How a point set by amount stood before.</summary>
public enum StartState
{
    /// <summary>It has play.</summary>
    Rattles,

    /// <summary>The plunger is pumped up.</summary>
    PumpedUp,

    /// <summary>The plunger is collapsed.</summary>
    Collapsed,

    /// <summary>The roller turns freely.</summary>
    Freewheels,

    /// <summary>Held open.</summary>
    Open,

    /// <summary>No play and no preload.</summary>
    Zero,
}

/// <summary>Something that belongs to a reading of one point at one stage.</summary>
public abstract record FigureEntry : Entry
{
    /// <summary>The figure it belongs to.</summary>
    public required Guid Reading { get; init; }

    /// <summary>Label of the point.</summary>
    public required string Point { get; init; }

    /// <summary>When in the work.</summary>
    public required ReadingStage Stage { get; init; }

    /// <summary>Measured without proof of the position; the record shows it.</summary>
    public bool Unproved { get; init; }
}

/// <summary>One try with a blade or a stack, as written on the blades.</summary>
public sealed record Tried : FigureEntry
{
    /// <summary>As written: "0.20".</summary>
    public required IReadOnlyList<string> Blades { get; init; }

    /// <summary>Their unit.</summary>
    public required LengthUnit Unit { get; init; }

    /// <summary>How it felt.</summary>
    public required Feel Feel { get; init; }

    /// <summary>Which set of blades.</summary>
    public string? BladeSet { get; init; }

    /// <summary>The figure put in this try's place by a correction.</summary>
    public string? CorrectedFigure { get; init; }

    /// <summary>The try for the core.</summary>
    public BladeTrial Trial => new([.. Blades.Select(b => Length.Parse(b, Unit, "blades").Millimetres)], Feel);
}

/// <summary>A figure read off or given.</summary>
public sealed record FigureRead : FigureEntry
{
    /// <summary>As written.</summary>
    public required string Figure { get; init; }

    /// <summary>mm or thou; Nm and turns for torque and turns.</summary>
    public required string Unit { get; init; }

    /// <summary>What it was read off.</summary>
    public required FigureSource With { get; init; }

    /// <summary>Who claims it.</summary>
    public string? ClaimedBy { get; init; }
}

/// <summary>The shim there.</summary>
public sealed record ShimRead(string Point, ReadingStage Stage, string Thickness, LengthUnit Unit, ShimKnownBy How) : Entry;

/// <summary>In place of a found figure where the demand is an amount.</summary>
public sealed record StartStateSeen(string Point, StartState State) : Entry;

/// <summary>The figure becomes a fact.</summary>
public sealed record Kept(Guid Reading, bool Sure) : Entry;

/// <summary>A figure begun and given up.</summary>
public sealed record Dropped(Guid Reading) : Entry;
