using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Judging;

/// <summary>
/// What a book revision asks of one kind of point. Closed: <see cref="Match{T}"/> takes one answer a kind. Not what is turned to meet it
/// (<see cref="Engines.Adjuster"/>).
/// </summary>
public abstract record Demand
{
    private Demand()
    {
    }

    /// <summary>One answer a kind.</summary>
    public abstract T Match<T>(Func<Gap, T> gap, Func<Zero, T> zero, Func<Preload, T> preload, Func<Height, T> height, Func<Torque, T> torque);

    /// <summary>The word in a sentence.</summary>
    public string Word => Match(_ => "gap", _ => "zero lash", _ => "preload", _ => "height", _ => "torque");

    /// <summary>Set by an amount or a sign, with a start state instead of a found figure: everything but a gap.</summary>
    public bool ByAmount => this is not Gap;

    /// <summary>
    /// A clearance: a window with or without a figure to set; a single figure, to which a tolerance is added; or the two blades of a
    /// go/no-go pair, with or without a figure to set beside them.
    /// </summary>
    /// <param name="Window">Where to leave alone, mm; of a pair, the blade that goes and the one that does not.</param>
    /// <param name="SetMm">The figure to set, inside the window; null where the book gives none.</param>
    /// <param name="FleetTolerance">The book gives one figure and the window is the fleet's own, shown as such.</param>
    public sealed record Gap(Window Window, Clearance? SetMm, bool FleetTolerance) : Demand
    {
        /// <summary>A go/no-go pair: judged by which of its blades enters, and the blade that does not go is itself outside.</summary>
        public bool IsPair { get; init; }

        /// <summary>What the source speaks: a blade of the other unit may stand for its figures (<see cref="BladeOfFigure"/>).</summary>
        public LengthUnit Unit { get; init; }

        /// <summary>The figure a setting aims at is ours, the middle of the window, because the book gives none.</summary>
        public bool AimIsOurs => SetMm is null;

        /// <summary>Tolerance on either side of a single figure where nobody gives one, mm (common practice, no source).</summary>
        public const double DefaultToleranceMm = 0.025;

        /// <summary>The figure that a setting aims at: the book's, else the middle of the window.</summary>
        public Clearance AimMm => SetMm ?? Clearance.Near((Window.MinMm + Window.MaxMm) / 2);

        /// <summary>The same asked in the blades of a tray that speaks another unit: each figure that a blade stands for is that blade.</summary>
        /// <param name="trayMm">The blades, mm.</param>
        /// <param name="trayUnit">What is written on them.</param>
        public Gap InBlades(IReadOnlyList<double> trayMm, LengthUnit trayUnit)
        {
            if (trayUnit == Unit || trayMm.Count == 0) return this;
            var (min, max) = (Blade(Window.MinMm), Blade(Window.MaxMm));
            return max <= min ? this : this with { Window = Window.Of(min, max), SetMm = SetMm is { } set ? Blade(set) : null };

            Clearance Blade(Clearance figure) => BladeOfFigure.In(trayMm, trayUnit, figure, Unit) is { } i ? Clearance.Near(trayMm[i]) : figure;
        }

        /// <summary>A book window.</summary>
        /// <exception cref="BadInputException">A set figure outside the window.</exception>
        public static Gap OfWindow(Window window, Clearance? setMm = null)
        {
            if (setMm is { } set && !window.Holds(set))
                throw new BadInputException("setMm", $"The figure to set, {Require.Text(set)}, must lie in the window {Require.Text(window.MinMm)} to {Require.Text(window.MaxMm)} mm.");
            return new Gap(window, setMm, false);
        }

        /// <summary>
        /// One book figure. Tolerances are the line's, else the fleet's, else 0.025 mm or 1 thou by what the book speaks; the tight side is
        /// never more than a third of the figure, whoever gives it (common practice, no source).
        /// </summary>
        /// <param name="figureMm">Above 0.</param>
        /// <param name="tightSideMm">Above 0; null for the default.</param>
        /// <param name="looseSideMm">Above 0; null for the default.</param>
        /// <param name="unit">What the book speaks.</param>
        /// <exception cref="BadInputException">A figure or a tolerance out of range.</exception>
        public static Gap OfSingleFigure(Clearance figureMm, double? tightSideMm = null, double? looseSideMm = null, LengthUnit unit = LengthUnit.Millimetre)
        {
            Require.Above(figureMm, 0, Require.ThickestMm, "figureMm", "The book's figure", "mm");
            var common = unit == LengthUnit.Thou ? (double)Length.MillimetresPerThou : DefaultToleranceMm;
            var tight = Require.Above(tightSideMm ?? common, 0, Require.ThickestMm, "tightSideMm", "The tolerance on the tight side", "mm");
            var loose = Require.Above(looseSideMm ?? common, 0, Require.ThickestMm, "looseSideMm", "The tolerance on the loose side", "mm");
            return new Gap(Window.Of(figureMm - Math.Min(tight, figureMm / 3), figureMm + loose), figureMm, true) { Unit = unit };
        }

        /// <summary>A go/no-go pair: the first goes, the second does not; a figure to set lies on the first or between the two.</summary>
        /// <exception cref="BadInputException">The wrong way round, or a figure to set that the pair would refuse.</exception>
        public static Gap OfBlades(Clearance goMm, Clearance noGoMm, Clearance? setMm = null)
        {
            var window = Window.Of(goMm, noGoMm, "noGoMm");
            if (setMm is { } set && (set < goMm - 1e-9 || set >= noGoMm - 1e-9))
                throw new BadInputException("setMm", $"The figure to set, {Require.Text(set)}, must be at least the blade that goes, {Require.Text(goMm)}, and less than the one that does not, {Require.Text(noGoMm)} mm.");
            return new Gap(window, setMm, false) { IsPair = true };
        }

        /// <inheritdoc/>
        public override T Match<T>(Func<Gap, T> gap, Func<Zero, T> zero, Func<Preload, T> preload, Func<Height, T> height, Func<Torque, T> torque) => gap(this);
    }

    /// <summary>A solid lifter's screw set to no gap and no preload: the pushrod just turns between the fingers. Judged by that sign.</summary>
    public sealed record Zero : Demand
    {
        /// <inheritdoc/>
        public override T Match<T>(Func<Gap, T> gap, Func<Zero, T> zero, Func<Preload, T> preload, Func<Height, T> height, Func<Torque, T> torque) => zero(this);
    }

    /// <summary>Turns past first contact, or a fraction of a lifter's travel; one of the two.</summary>
    public sealed record Preload(Turns? Turns, double? Fraction) : Demand
    {
        /// <summary>Checked.</summary>
        /// <exception cref="BadInputException">Neither or both given, or out of range.</exception>
        public static Preload Of(Turns? turns, double? fraction)
        {
            if (turns is null == fraction is null) throw new BadInputException("demand", "Give the preload as turns, or as a fraction of the plunger's travel; one of the two.");
            if (turns is { } t) Require.Above(t, 0, 100, "demand.turns", "The preload", "turns");
            if (fraction is { } f) Require.Above(f, 0, 1, "demand.fraction", "The fraction of the travel");
            return new Preload(turns, fraction);
        }

        /// <inheritdoc/>
        public override T Match<T>(Func<Gap, T> gap, Func<Zero, T> zero, Func<Preload, T> preload, Func<Height, T> height, Func<Torque, T> torque) => preload(this);
    }

    /// <summary>An injector set to a height over its body, mm.</summary>
    public sealed record Height(double Mm) : Demand
    {
        /// <inheritdoc/>
        public override T Match<T>(Func<Gap, T> gap, Func<Zero, T> zero, Func<Preload, T> preload, Func<Height, T> height, Func<Torque, T> torque) => height(this);
    }

    /// <summary>An injector screw run in to a torque, Nm.</summary>
    public sealed record Torque(double Nm) : Demand
    {
        /// <inheritdoc/>
        public override T Match<T>(Func<Gap, T> gap, Func<Zero, T> zero, Func<Preload, T> preload, Func<Height, T> height, Func<Torque, T> torque) => torque(this);
    }
}
