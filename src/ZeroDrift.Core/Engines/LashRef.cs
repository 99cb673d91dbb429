
namespace ZeroDrift.Core.Engines;

/// <summary>All lash points of one kind in one cylinder, which move together. Not one point: two intakes of a cylinder share it (<see cref="LashPoint"/> tells them apart).</summary>
public readonly record struct LashRef(int Cylinder, LashKind Kind)
{
    /// <summary>As it is said, so that no letter can be mistaken: 4 exhaust.</summary>
    public override string ToString() => Spoken;

    /// <summary>As it is said: 4 exhaust.</summary>
    public string Spoken => $"{Cylinder} {Kind.Word()}";
}
