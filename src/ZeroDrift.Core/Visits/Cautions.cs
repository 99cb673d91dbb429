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
    /// <param name="machine">What it sits in.</param>
    /// <param name="spark">A spark engine; else a diesel.</param>
    /// <param name="barringTool">What the crank is turned with; a propeller has a caution of its own.</param>
    public static IReadOnlyList<Caution> MakeSafe(MachineKind machine, bool spark = false, string? barringTool = null)
    {
        var started = machine switch
        {
            MachineKind.Mower => "Battery negative off where there is one; nobody pulls the starter.",
            MachineKind.Tractor => "Battery negative off.",
            _ => "Battery negative off; air or hydraulic starter isolated.",
        };
        var list = new List<Caution>
        {
            new("battery", started, spark
                ? "The starter turns it: power stays on, ignition and fuel off, the lead off the coil where there is one; nobody's hands in, one person calls."
                : "The starter turns it: power stays on, fuel off; nobody's hands in, one person calls."),
        };
        if (machine is MachineKind.Generator or MachineKind.Ferry)
            list.Add(new("automatic-start", "Remote and automatic start locked out and tagged. A standby set starts without warning."));
        list.Add(new("fuel-stop", spark ? "Ignition disabled, plug leads off and earthed; fuel tap shut." : "Fuel stop disabled; no fuel line is loosened, its pressure is high."));
        if (machine == MachineKind.Ferry) list.Add(new("shaft", "Propeller shaft held; turning gear checked."));
        if (machine is MachineKind.Tractor or MachineKind.Mower) list.Add(new("pto", "PTO and blades disengaged; machine chocked."));
        if (machine == MachineKind.Lorry) list.Add(new("chocked", "Out of gear, parked, wheels chocked."));
        if (barringTool?.Contains("propeller", StringComparison.OrdinalIgnoreCase) == true)
            list.Add(new("propeller", "A propeller turns it: ignition earthed, its arc clear of people."));
        list.Add(new("hands", "Hands clear before anyone bars; one person calls."));
        list.Add(new("opening", "Covers cleaned round; drain holes plugged; nothing may fall in."));
        return list;
    }

    /// <summary>The steps of a visit: the cautions of the machine round the steps of the type.</summary>
    /// <param name="machine">What it sits in.</param>
    /// <param name="type">The type.</param>
    /// <param name="own">The type's steps.</param>
    /// <param name="kit">What it takes; its torques stand again where they are tightened.</param>
    public static IReadOnlyList<VisitStep> Steps(MachineKind machine, EngineType type, IReadOnlyList<TypeStep> own, KitFacts kit)
    {
        var steps = own.SelectMany(s => s.Of(type)).ToList();
        return
        [
            .. MakeSafe(machine, kit.Spark, kit.BarringTool).Select(c => new VisitStep(c.Key, StepList.MakeSafe, c.Text) { ByStarter = c.ByStarter }),
            .. Kit.Of(type, kit).Select((line, i) => new VisitStep($"kit-{i + 1}", StepList.Kit, line.Text)),
            .. steps.Where(s => s.List != StepList.CloseUp).OrderBy(s => s.List),
            .. CloseUp(type, kit.Fasteners).Select(c => new VisitStep(c.Key, StepList.CloseUp, c.Text)),
            .. steps.Where(s => s.List == StepList.CloseUp),
        ];
    }

    /// <summary>After the last point. A head without rockers or locknuts is not asked about them.</summary>
    public static IReadOnlyList<Caution> CloseUp(EngineType type, IReadOnlyList<Fastener> fasteners)
    {
        var list = new List<Caution>();
        var shaken = type.Points.Where(p => p.Adjuster is not Adjuster.Shim).ToList();
        if (shaken.Count > 0)
        {
            var gear = shaken.Exists(p => p.Kind is LashKind.Intake or LashKind.Exhaust && CylinderGear.Of(p.Adjuster) == ValveGear.Follower) ? "follower" : "rocker";
            list.Add(new("rockers", $"Every {gear} shaken: none rattles{(shaken.Exists(p => p.Adjuster is Adjuster.Hydraulic) ? "" : ", none rocks with the blade in")}."));
        }
        if (type.Points.Any(p => p.Adjuster.HasLocknut)) list.Add(new("locknuts", $"Every locknut torqued to the book{Torques(fasteners.Where(f => f.IsLocknut))}."));
        list.Add(new("tools", "Drain holes open again; every tool, rag, blade and small part accounted for."));
        list.Add(new("gaskets", $"Gaskets and covers on; seals that turn oiled, those that sit still wiped dry; torqued to the book, no more{Torques(fasteners.Where(f => !f.IsLocknut))}."));
        list.Add(new("run", "Lock-outs off, engine run, listened to, looked round for leaks."));
        return list;
    }

    private static string Torques(IEnumerable<Fastener> fasteners) => fasteners.Where(f => f.TorqueNm is not null).Select(f => f.Said).ToList() is { Count: > 0 } torques ? ": " + string.Join(", ", torques) : "";
}
