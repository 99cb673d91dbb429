namespace ZeroDrift.Core.Hours;

/// <summary>Days from a first to a last, both counted.</summary>
public readonly record struct Days(DateOnly From, DateOnly To)
{
    /// <summary>Whether a day is one of them.</summary>
    public bool Hold(DateOnly day) => day >= From && day <= To;
}
