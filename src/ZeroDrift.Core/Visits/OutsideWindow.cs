using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Visits;

/// <summary>The window that a figure lies outside of: an as-left at all, any other ten times or a tenth.</summary>
/// <param name="Window">What is asked, mm.</param>
/// <param name="IsLeft">The point would be left so.</param>
/// <param name="Unit">What the blades speak.</param>
public sealed record OutsideWindow(Window Window, bool IsLeft, LengthUnit Unit);

/// <summary>A lock that took more of the gap, or gave more, than any nut does.</summary>
/// <param name="Mm">What it took, mm; below zero where it opened.</param>
/// <param name="Unit">What the blades speak.</param>
public sealed record LockPull(double Mm, LengthUnit Unit);

/// <summary>Two blades that both dragged and are too far apart for one gap.</summary>
/// <param name="ThinMm">The thinner, mm.</param>
/// <param name="ThickMm">The thicker, mm.</param>
/// <param name="Unit">What the blades speak.</param>
public sealed record DragsApart(double ThinMm, double ThickMm, LengthUnit Unit);
