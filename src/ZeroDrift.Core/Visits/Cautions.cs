using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Visits;

/// <summary>One line of a list to tick.</summary>
/// <param name="Key">Stable name, kept with the record.</param>
/// <param name="Text">What to do.</param>
/// <param name="ByStarter">What is asked instead where the starter turns the crank.</param>
public sealed record Caution(string Key, string Text, string? ByStarter = null);

/// <summary>
/// The cautions that apply to a job. Common practice; the engine maker's manual and the local rules come first, and pressure, lifting and
/// electrical isolation are for people licensed for it.
/// </summary>
public static class Cautions
{
    /// <summary>To be shown wherever cautions are.</summary>
    public const string Foremost = "The engine maker's manual and the local rules come first. Pressure, lifting and electrical isolation are for people licensed for it.";

    /// <summary>Before the covers come off.</summary>
    public static IReadOnlyList<Caution> MakeSafe(MachineKind machine)
    {
        var list = new List<Caution> { new("battery", "Battery negative off; air or hydraulic starter isolated.",
            "The starter turns it: power stays on, ignition and fuel off, the lead off the coil where there is one; nobody's hands in, one person calls.") };
        if (machine is MachineKind.Generator or MachineKind.Ferry)
            list.Add(new("automatic-start", "Remote and automatic start locked out and tagged. A standby set starts without warning."));
        list.Add(new("fuel-stop", "Fuel stop (or ignition) disabled."));
        if (machine == MachineKind.Ferry) list.Add(new("shaft", "Propeller shaft held; turning gear checked."));
        if (machine is MachineKind.Tractor or MachineKind.Mower) list.Add(new("pto", "PTO and blades disengaged; machine chocked."));
        if (machine == MachineKind.Lorry) list.Add(new("chocked", "Out of gear, parked, wheels chocked."));
        list.Add(new("hands", "Hands clear before anyone bars; one person calls."));
        list.Add(new("opening", "Covers cleaned round; drain holes plugged; nothing may fall in."));
        return list;
    }

    /// <summary>Both lists as steps of a visit.</summary>
    public static IReadOnlyList<VisitStep> Steps(MachineKind machine) =>
        [.. MakeSafe(machine).Select(c => new VisitStep(c.Key, StepList.MakeSafe, c.Text) { ByStarter = c.ByStarter }), .. CloseUp().Select(c => new VisitStep(c.Key, StepList.CloseUp, c.Text))];

    /// <summary>After the last point.</summary>
    public static IReadOnlyList<Caution> CloseUp() =>
    [
        new("rockers", "Every rocker shaken: none rattles, none rocks with the blade in."),
        new("locknuts", "Every locknut torqued to the book."),
        new("tools", "Every tool, blade, plug and small part accounted for."),
        new("gaskets", "Gaskets and covers on, torqued to the book, no more."),
        new("run", "Lock-outs off, engine run, listened to, looked round for leaks."),
    ];
}
