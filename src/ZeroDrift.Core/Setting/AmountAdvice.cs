using System.Globalization;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Setting;

/// <summary>Points that no blade is put to: set by an amount or a sign. Common practice.</summary>
internal static class AmountAdvice
{
    public static Advice AtZero(bool hasLocknut) => By(new SetAmount(default(Turns), null, null), $"Take out the play until the pushrod just turns between the fingers, no further; {(hasLocknut ? "lock, feel again" : "feel that it holds by its own drag")}.");

    public static Advice FromZeroLash(Demand.Preload preload, Adjuster.Hydraulic lifter)
    {
        var turns = preload.Turns ?? LifterPreload.FromTurns(
            lifter.TravelTurns ?? throw new BadInputException("adjuster.travelTurns", "Give the plunger's travel in turns, so that a fraction of it can be worked out."),
            preload.Fraction!.Value);
        return By(new SetAmount(turns, null, null), $"From zero lash turn on {Said(turns)}, {(lifter.SelfLocking ? "feel that it holds" : "lock")}; a second pass after the plunger has bled down.");
    }

    public static Advice FromContact(Demand.Preload preload)
    {
        var turns = preload.Turns ?? throw new BadInputException("demand.turns", "Give the injector's preload in turns past first contact.");
        return By(new SetAmount(turns, null, null), $"Slacken it right off, run it in to first contact, then on {Said(turns)}; lock.");
    }

    public static Advice ToHeight(Demand.Height height) => By(new SetAmount(null, height.Mm, null), $"Set it to the book's height of {Text(height.Mm)} mm, lock, check the height again.");

    public static Advice ToTorque(Demand.Torque torque) => By(new SetAmount(null, null, torque.Nm), $"Run it in to {Text(torque.Nm)} Nm as the book says, lock, check that the roller still follows.");

    private static Advice By(SetAmount amount, string sentence) => new(AdviceAction.ByAmount, sentence) { Amount = amount };

    /// <summary>The book's amount as it is kept, and as a hand turns it where the two are not one.</summary>
    private static string Said(Turns turns) => Math.Abs(turns * 16 - Math.Round(turns * 16)) < 1e-9 ? TurnWords.Say(turns) : $"{((double)turns).ToString("0.##", CultureInfo.InvariantCulture)} turns ({TurnWords.Say(turns)})";

    private static string Text(double value) => Math.Round(value, 4).ToString("0.00##", CultureInfo.InvariantCulture);
}
