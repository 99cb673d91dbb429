using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Visits;

/// <summary>A machine as its cautions see it.</summary>
/// <param name="Properties">What it has; see <see cref="MachineKinds.Usual"/> for what a kind usually has.</param>
/// <param name="Spark">A spark engine; else a diesel.</param>
/// <param name="BarringTool">What the crank is turned with; a propeller has a caution of its own.</param>
public sealed record MachineFacts(IReadOnlyList<MachineProperty> Properties, bool Spark = false, string? BarringTool = null)
{
    /// <summary>Whether it has something.</summary>
    public bool Has(MachineProperty property) => Properties.Contains(property);
}

/// <summary>
/// The cautions that apply to a job. Common practice; the engine maker's manual and the local rules come first, and pressure, lifting and
/// electrical isolation are for people licensed for it.
/// </summary>
public static class Cautions
{
    /// <summary>To be shown wherever cautions are.</summary>
    public const string Foremost = "The engine maker's manual and the local rules come first. Pressure, lifting and electrical isolation are for people licensed for it.";

    private static readonly IReadOnlyList<VisitPlace> InMachine = [VisitPlace.InMachine];

    /// <summary>Before the covers come off, in the machine: nobody is asked for what it does not have.</summary>
    public static IReadOnlyList<VisitStep> MakeSafe(MachineFacts machine)
    {
        var list = new List<VisitStep>();
        var byStarter = machine.Spark
            ? "The starter turns it: power stays on, ignition and fuel off, the lead off the coil where there is one; nobody's hands in, one person calls."
            : "The starter turns it: power stays on, fuel off; nobody's hands in, one person calls.";
        if (machine.Has(MachineProperty.Battery)) Add("battery", "Battery negative off.", must: true, byStarter);
        else if (!machine.Has(MachineProperty.AirStart)) Add("hand-start", "Nobody pulls the starter cord or takes the crank handle.", must: true, byStarter);
        if (machine.Has(MachineProperty.AirStart)) Add("air-start", "Air or hydraulic starter isolated and vented.", must: true, machine.Has(MachineProperty.Battery) ? null : byStarter);
        if (machine.Has(MachineProperty.AutomaticStart)) Add("automatic-start", "Remote and automatic start locked out and tagged: it starts without warning.", must: true);
        Add("fuel-stop", machine.Spark ? "Ignition disabled, plug leads off and earthed; fuel tap shut." : "Fuel stop disabled; no fuel line is loosened, its pressure is high.", must: true);
        if (machine.Has(MachineProperty.Propeller)) Add("shaft", "Propeller shaft held; turning gear checked.");
        if (machine.Has(MachineProperty.Pto)) Add("pto", "PTO disengaged.");
        if (machine.Has(MachineProperty.Blades)) Add("blades", "Blades disengaged and held.");
        if (machine.Has(MachineProperty.Wheels)) Add("chocked", "Out of gear, parked, chocked.");
        if (machine.Has(MachineProperty.TrailerBrake)) Add("trailer", "Trailer uncoupled, or its brake on.");
        if (machine.BarringTool?.Contains("propeller", StringComparison.OrdinalIgnoreCase) == true) Add("propeller", "A propeller turns it: ignition earthed, its arc clear of people.", must: true);
        Add("hands", "Hands clear before anyone bars; one person calls.", must: true);
        Add("opening", "Cleaned round the covers: nothing may fall in.");
        return list;

        void Add(string key, string text, bool must = false, string? byStarter = null) => list.Add(new VisitStep(key, StepList.MakeSafe, text) { ByStarter = byStarter, Must = must, Places = InMachine });
    }

    /// <summary>The steps of a visit: the cautions of the machine round the steps of the type.</summary>
    /// <param name="machine">What it sits in.</param>
    /// <param name="type">The type.</param>
    /// <param name="own">The type's steps.</param>
    /// <param name="kit">What it takes; its torques stand again where they are tightened.</param>
    public static IReadOnlyList<VisitStep> Steps(IReadOnlyList<MachineProperty> machine, EngineType type, IReadOnlyList<TypeStep> own, KitFacts kit)
    {
        var steps = own.SelectMany(s => s.Of(type)).ToList();
        return
        [
            .. MakeSafe(new MachineFacts(machine, kit.Spark, kit.BarringTool)),
            .. Kit.Of(type, kit).Select((line, i) => new VisitStep($"kit-{i + 1}", StepList.Kit, line.Text)),
            new VisitStep("stand-hands", StepList.Covers, "On a stand: it stands fast; hands clear before anyone bars, one person calls.") { Places = [VisitPlace.OnStand] },
            .. steps.Where(s => s.List == StepList.Covers),
            .. steps.Where(s => s.List is StepList.Stop or StepList.Point).OrderBy(s => s.List),
            .. steps.Where(s => s.List == StepList.BeforeCloseUp).OrderBy(s => s.Counts is null),
            .. CloseUp.Of(type, kit.Fasteners, [.. steps.Where(s => s.List == StepList.CloseUp)]),
        ];
    }
}
