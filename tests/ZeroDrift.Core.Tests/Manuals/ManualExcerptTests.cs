using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Manuals;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Tests.Manuals;

/// <summary>A pasted piece of a manual. The wordings are our own, in the manner of such pages (common practice, no source).</summary>
public sealed class ManualExcerptTests
{
    [Theory]
    [InlineData("Firing order 1-3-4-2. Intake 0.25 mm, exhaust 0.40 mm, cold.", "1-3-4-2", "Intake 0.25|Exhaust 0.40")]
    [InlineData("Firing order: 1 5 3 6 2 4\nValve clearance (cold)\nInlet .010 in\nExhaust .016 in", "1-5-3-6-2-4", "Intake 10|Exhaust 16")]
    [InlineData("Zündfolge 1-2-4-3\nVentilspiel kalt: Einlass 0,20 mm, Auslass 0,30 mm", "1-2-4-3", "Intake 0,20|Exhaust 0,30")]
    [InlineData("Valve lash, cold engine: 0.30 mm", null, "Intake 0.30|Exhaust 0.30")]
    [InlineData("Intake and exhaust: 0.30 mm", null, "Intake 0.30|Exhaust 0.30")]
    [InlineData("0.30 mm for intake and exhaust", null, "Intake 0.30|Exhaust 0.30")]
    [InlineData("0.25 mm intake, 0.40 mm exhaust", null, "Intake 0.25|Exhaust 0.40")]
    [InlineData("Inlet 0.20-0.30 mm (0.008-0.012 in) Exhaust 0.40-0.50 mm (0.016-0.020 in)", null, "Intake 0.20-0.30|Exhaust 0.40-0.50")]
    [InlineData("IN: 0.15 ± 0.02 EX: 0.20 ± 0.02", null, "Intake 0.15 ± 0.02|Exhaust 0.20 ± 0.02")]
    public void Is_read_as_it_is_written(string text, string? order, string clearances)
    {
        var read = ManualExcerpt.Read(text);
        Assert.Equal(order, read.FiringOrder is { } cylinders ? string.Join('-', cylinders) : null);
        Assert.Equal(clearances, string.Join('|', read.Clearances.Select(c => $"{c.Kind} {c.Clearance}")));
        Assert.Empty(read.Left);
    }

    [Fact]
    public void A_table_gives_its_figures_to_the_heads_of_its_columns()
    {
        var read = ManualExcerpt.Read("          Intake   Exhaust\nCold      0.25     0.40\nHot       0.20     0.35");
        Assert.Equal("Intake 0.25|Exhaust 0.40", string.Join('|', read.Clearances.Select(c => $"{c.Kind} {c.Clearance}")));
        Assert.Equal(SpecCondition.Cold, read.Condition);
        Assert.Contains("hot engine", Assert.Single(read.Left), StringComparison.Ordinal);
    }

    [Fact]
    public void Cold_ones_count_also_where_the_hot_ones_stand_first()
    {
        var read = ManualExcerpt.Read("Hot: intake 0.20 mm, exhaust 0.35 mm\nCold: intake 0.25 mm, exhaust 0.40 mm");
        Assert.Equal("Intake 0.25|Exhaust 0.40", string.Join('|', read.Clearances.Select(c => $"{c.Kind} {c.Clearance}")));
        Assert.Equal(SpecCondition.Cold, read.Condition);
    }

    [Fact]
    public void Without_a_unit_a_figure_that_no_blade_has_in_millimetres_is_in_inches() =>
        Assert.Equal((LengthUnit.Thou, "10"), (ManualExcerpt.Read("Intake .010").Unit, ManualExcerpt.Read("Intake .010").Clearances[0].Clearance.ToString()));

    [Fact]
    public void Which_way_it_runs_is_taken_only_with_the_end_it_is_seen_from()
    {
        Assert.Equal(new CrankView(CrankEnd.Flywheel, true, false), ManualExcerpt.Read("Direction of rotation: anticlockwise seen from the flywheel").Runs);
        Assert.Null(ManualExcerpt.Read("Rotation clockwise. Firing order 1-2").Runs);
    }

    [Fact]
    public void What_does_not_say_which_valves_it_is_for_is_not_taken_and_said_to_be()
    {
        var read = ManualExcerpt.Read("Intake 0.25 mm\nPlay of the fan belt 0.5 mm");
        Assert.Single(read.Clearances);
        Assert.Contains("which valves", Assert.Single(read.Left), StringComparison.Ordinal);
    }

    [Fact]
    public void Hours_pages_and_torques_are_no_clearances() =>
        Assert.Equal("Intake 0.25|Exhaust 0.40", string.Join('|', ManualExcerpt.Read("Page 12\nIntake 0.25 mm, exhaust 0.40 mm\nAdjust intake and exhaust every 1000 hours").Clearances.Select(c => $"{c.Kind} {c.Clearance}")));

    [Theory]
    [InlineData(" ")]
    [InlineData("Change the oil every 250 hours.")]
    public void Where_nothing_is_understood_it_says_how_to_write_it(string text) =>
        Assert.Contains("Firing order 1-3-4-2", Assert.Throws<BadInputException>(() => ManualExcerpt.Read(text)).Message, StringComparison.Ordinal);

    [Fact]
    public void A_whole_manual_is_too_much() => Assert.Contains("4000", Assert.Throws<BadInputException>(() => ManualExcerpt.Read(new string('a', 4001))).Message, StringComparison.Ordinal);
}
