namespace ZeroDrift.Core.Engines;

/// <summary>How many crank degrees one working cycle takes.</summary>
public enum EngineCycle
{
    /// <summary>Two crank turns, 720°.</summary>
    FourStroke,

    /// <summary>One crank turn, 360°; uniflow, with exhaust valves only.</summary>
    TwoStroke,
}

/// <summary>The crank degrees of a cycle.</summary>
public static class EngineCycles
{
    /// <summary>720 for a four-stroke, 360 for a two-stroke.</summary>
    public static double Degrees(this EngineCycle cycle) => cycle == EngineCycle.FourStroke ? 720 : 360;
}
