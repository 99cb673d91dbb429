namespace ZeroDrift.Core.Measuring;

/// <summary>How a feeler blade felt in the gap.</summary>
public enum Feel
{
    /// <summary>Slides without touch: the gap is at least the blade.</summary>
    Free,

    /// <summary>Slight drag: the gap is the blade.</summary>
    Drag,

    /// <summary>Has to be forced, or buckles: bounds the gap like <see cref="NoGo"/>, from just above.</summary>
    HeavyDrag,

    /// <summary>Does not enter: the gap is at most the blade.</summary>
    NoGo,
}

/// <summary>One try with a blade or a stack of blades, whose thicknesses add up.</summary>
/// <param name="BladesMm">Each blade's thickness, above 0 to 25 mm; 1 to 10 blades.</param>
/// <param name="Feel">How it felt.</param>
public sealed record BladeTrial(IReadOnlyList<double> BladesMm, Feel Feel)
{
    /// <summary>Thickness of the stack, mm.</summary>
    public double StackMm => BladesMm.Sum();
}
