global using static ZeroDrift.Core.Tests.Quantities;

using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Tests;

/// <summary>Quantities as they are said, so that a test reads like the job.</summary>
internal static class Quantities
{
    public static Clearance Mm(double millimetres) => Clearance.OfMm(millimetres);

    public static Clearance? Mm(double? millimetres) => Clearance.OfMm(millimetres);

    public static EngineHours H(double hours) => EngineHours.Of(hours);

    public static EngineHours? H(double? hours) => EngineHours.Of(hours);

    public static Turns T(double turns) => Turns.Of(turns);

    public static Turns? T(double? turns) => Turns.Of(turns);

    /// <summary>Crank degrees of a four-stroke.</summary>
    public static CrankAngle Deg(double degrees) => CrankAngle.Of(degrees, EngineCycle.FourStroke);

    /// <summary>A book's window, with or without a figure to set.</summary>
    public static Demand.Gap Asked(double minMm, double maxMm, double? setMm = null) => Demand.Gap.OfWindow(Window.Of(minMm, maxMm), Mm(setMm));
}
