using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Drift;

/// <summary>One clearance of one lash point at a meter reading, within a run.</summary>
/// <param name="Run">Number of the run: the stretch from one setting of the point to the next.</param>
/// <param name="Hours">Total engine hours.</param>
/// <param name="ClearanceMm">As measured.</param>
/// <param name="StandardUncertaintyMm">u, above 0.</param>
public readonly record struct DriftReading(int Run, EngineHours Hours, Clearance ClearanceMm, double StandardUncertaintyMm);

/// <summary>A drift rate with its standard error, both millimetres per engine hour. Negative closes.</summary>
public readonly record struct Rate(double MmPerHour, double StandardErrorMmPerHour)
{
    /// <summary>Millimetres per 1000 h, as rates are spoken of.</summary>
    public double MmPer1000h => MmPerHour * 1000;

    /// <summary>Standard error, millimetres per 1000 h.</summary>
    public double StandardErrorMmPer1000h => StandardErrorMmPerHour * 1000;
}
