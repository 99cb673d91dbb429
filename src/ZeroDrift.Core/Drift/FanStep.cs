namespace ZeroDrift.Core.Drift;

/// <summary>One step of a forecast drawn as a fan.</summary>
/// <param name="Hours">Engine hours from now.</param>
/// <param name="MeanMm">Expected clearance; may fall below zero.</param>
/// <param name="LowMm">One in twenty stand below.</param>
/// <param name="HighMm">One in twenty stand above.</param>
public sealed record FanStep(double Hours, double MeanMm, double LowMm, double HighMm);
