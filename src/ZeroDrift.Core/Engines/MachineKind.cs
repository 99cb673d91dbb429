namespace ZeroDrift.Core.Engines;

/// <summary>What kind of machine an engine sits in: a preset of properties, each of which can be changed for the machine at hand.</summary>
public enum MachineKind
{
    /// <summary>Heavy road vehicle.</summary>
    Lorry,

    /// <summary>Tractor.</summary>
    Tractor,

    /// <summary>Mower or verge machine.</summary>
    Mower,

    /// <summary>Ferry.</summary>
    Ferry,

    /// <summary>Generating set.</summary>
    Generator,

    /// <summary>Light road vehicle for goods.</summary>
    Van,

    /// <summary>Car.</summary>
    Car,

    /// <summary>Motorcycle.</summary>
    Motorcycle,

    /// <summary>Boat.</summary>
    Boat,

    /// <summary>Ship.</summary>
    Ship,

    /// <summary>Pump set.</summary>
    Pump,

    /// <summary>Digger, loader, roller, crane.</summary>
    Construction,

    /// <summary>Anything else.</summary>
    Other,
}

/// <summary>What a machine has that somebody can be hurt by: it decides which cautions apply.</summary>
public enum MachineProperty
{
    /// <summary>A battery that can turn the starter.</summary>
    Battery,

    /// <summary>An air or hydraulic starter.</summary>
    AirStart,

    /// <summary>It starts by itself or from elsewhere.</summary>
    AutomaticStart,

    /// <summary>A propeller on its shaft.</summary>
    Propeller,

    /// <summary>A power take-off.</summary>
    Pto,

    /// <summary>Blades that turn with it.</summary>
    Blades,

    /// <summary>A trailer, or a trailer brake.</summary>
    TrailerBrake,

    /// <summary>Wheels or tracks it can roll on.</summary>
    Wheels,
}

/// <summary>The presets. Common practice.</summary>
public static class MachineKinds
{
    /// <summary>What a machine of a kind usually has.</summary>
    public static IReadOnlyList<MachineProperty> Usual(this MachineKind kind) => kind switch
    {
        MachineKind.Lorry or MachineKind.Van or MachineKind.Car or MachineKind.Motorcycle or MachineKind.Construction => [MachineProperty.Battery, MachineProperty.Wheels],
        MachineKind.Tractor => [MachineProperty.Battery, MachineProperty.Pto, MachineProperty.Wheels],
        MachineKind.Mower => [MachineProperty.Battery, MachineProperty.Blades, MachineProperty.Wheels],
        MachineKind.Boat => [MachineProperty.Battery, MachineProperty.Propeller],
        MachineKind.Ferry or MachineKind.Ship => [MachineProperty.Battery, MachineProperty.AirStart, MachineProperty.AutomaticStart, MachineProperty.Propeller],
        MachineKind.Generator or MachineKind.Pump => [MachineProperty.Battery, MachineProperty.AutomaticStart],
        _ => [MachineProperty.Battery],
    };
}
