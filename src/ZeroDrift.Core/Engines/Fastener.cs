using System.Globalization;

namespace ZeroDrift.Core.Engines;

/// <summary>A thing to be undone and done up: which tool it takes, and how tight it goes.</summary>
/// <param name="Use">Which: locknut, adjusting screw, cover bolt, plug, barring nut.</param>
/// <param name="Size">The tool: 13 mm ring, 6 mm Allen key; null where not known.</param>
/// <param name="TorqueNm">As the book gives it; null where it gives none.</param>
/// <param name="Count">How many; null where not counted.</param>
public sealed record Fastener(string Use, string? Size, double? TorqueNm, int? Count)
{
    /// <summary>The use that is tightened at every point.</summary>
    public const string Locknut = "locknut";

    /// <summary>As it is said where it is tightened: with its torque, where the book gives one.</summary>
    public string Said => TorqueNm is { } nm ? $"{Use} {nm.ToString("0.##", CultureInfo.InvariantCulture)} Nm" : Use;

    /// <summary>Tightened at the points, not at close-up.</summary>
    public bool IsLocknut => Use.Contains(Locknut, StringComparison.OrdinalIgnoreCase);

    /// <summary>The locknut of this kind of point: one that names injector or brake is theirs, the others are the valves'.</summary>
    public bool Locks(LashKind kind) => IsLocknut && kind switch
    {
        LashKind.Injector => Names("injector"),
        LashKind.EngineBrake => Names("brake"),
        _ => !Names("injector") && !Names("brake"),
    };

    private bool Names(string word) => Use.Contains(word, StringComparison.OrdinalIgnoreCase);
}

/// <summary>A gasket or seal between the mechanic and the valves.</summary>
/// <param name="Name">Cover gasket, plug-well seal.</param>
/// <param name="Count">How many.</param>
/// <param name="SingleUse">Destroyed by opening, so that a new one must be at hand.</param>
public sealed record Gasket(string Name, int Count, bool SingleUse);
