namespace ZeroDrift.Core.Lengths;

/// <summary>The units a clearance may be written in. "Mil" is not one of them: it means thou to some and millimetre to others.</summary>
public enum LengthUnit
{
    /// <summary>Millimetre.</summary>
    Millimetre,

    /// <summary>A thousandth of an inch, exactly 0.0254 mm (international inch, 1959; NIST SP 811).</summary>
    Thou,
}
