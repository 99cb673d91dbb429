namespace ZeroDrift.Core.Engines;

/// <summary>What kind of machine an engine sits in; decides which cautions apply.</summary>
public enum MachineKind
{
    /// <summary>Road vehicle.</summary>
    Lorry,

    /// <summary>Tractor.</summary>
    Tractor,

    /// <summary>Mower or verge machine.</summary>
    Mower,

    /// <summary>Ship's main engine.</summary>
    Ferry,

    /// <summary>Generating set.</summary>
    Generator,
}
