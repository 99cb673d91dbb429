using CsCheck;
using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Tests.Engines;

public class HeadLayoutTests
{
    private static readonly FiringOrder Four = FiringOrder.Parse("1-3-4-2", EngineCycle.FourStroke);

    [Theory]
    [InlineData("1 2 3", "E I I E E I I E", "banks", "Cylinder 4 is missing")]
    [InlineData("1 2 3 3", "E I I E E I I E", "banks", "Cylinder 3 stands twice")]
    [InlineData("1 2 3 9", "E I I E E I I E", "banks", "'9' is not a cylinder")]
    [InlineData("1 2 3 x", "E I I E E I I E", "banks", "'x' is not a cylinder")]
    [InlineData("1 2 3 4", "", "layout", "0 points cannot be shared out")]
    [InlineData("1 2 3 4", "E I I E E", "layout", "5 points cannot be shared out")]
    [InlineData("1 2 3 4", "E I Z E E I I E", "layout", "'Z' is not a lash point")]
    [InlineData("1 2 3 4", "I E | I E B | I E", "layout", "3 cylinders stand between the bars, but this bank has 4")]
    [InlineData("1 2 3 4", "I E | I E B | | I E", "layout", "0 points stand for one cylinder")]
    [InlineData("1 2 / 3 4", "E I I E / E I I E / E I", "layout", "one for each of the 2")]
    [InlineData("1 2 3 4", "IEIEIEI IEIEIEI IEIEIEI IEIEIEI", "layout", "give 1 to 6 for each")]
    public void A_layout_that_cannot_be_is_refused_at_its_field(string banks, string layout, string field, string sentence)
    {
        var complaint = Assert.Throws<BadInputException>(() => HeadLayout.Parse(banks, layout, Four, AdjusterKind.ScrewAtValve));

        Assert.Equal(field, complaint.Field);
        Assert.Contains(sentence, complaint.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Counting_from_the_other_end_turns_the_head_round()
    {
        var front = HeadLayout.Parse("1 2 3 4", "E I I E E I I E", Four, AdjusterKind.ScrewAtValve);
        var back = HeadLayout.Parse("4 3 2 1", "E I I E E I I E", Four, AdjusterKind.ScrewAtValve);

        Assert.Equal((1, 4), (front[0].Cylinder, back[0].Cylinder));
    }

    [Fact]
    public void Each_bank_may_have_a_list_of_its_own()
    {
        var points = HeadLayout.Parse("1 2 / 3 4", "E I E I / I E I E", Four, AdjusterKind.ScrewAtValve);

        Assert.Equal("1E 1I 2E 2I 3I 3E 4I 4E", string.Join(' ', points.Select(p => p.Label)));
        Assert.Equal([0, 0, 0, 0, 1, 1, 1, 1], points.Select(p => p.Bank));
    }

    [Fact]
    public void Cylinders_that_differ_are_parted_by_bars()
    {
        var points = HeadLayout.Parse("1 2 / 3 4", "I E | I E B / E I | B E I", Four, AdjusterKind.BridgeScrew);

        Assert.Equal("1I 1E 2I 2E 2B 3E 3I 4B 4E 4I", string.Join(' ', points.Select(p => p.Label)));
        Assert.Equal([0, 1, 2, 3, 4, 0, 1, 2, 3, 4], points.Select(p => p.Along));
        Assert.Equal(["2B", "4B"], points.Where(p => p.Adjuster is Adjuster.BrakeScrew).Select(p => p.Label));
    }

    [Fact]
    public void Bars_between_cylinders_that_are_alike_change_nothing() => Assert.Equal(
        HeadLayout.Parse("1 2 3 4", "E I I E E I I E", Four, AdjusterKind.ScrewAtValve),
        HeadLayout.Parse("1 2 3 4", "E I | I E | E I | I E", Four, AdjusterKind.ScrewAtValve));

    [Theory]
    [InlineData("1342", EngineCycle.FourStroke, "E I I E E I I E")]
    [InlineData("1 3 2", EngineCycle.FourStroke, "I E I E I E")]
    [InlineData("1 2", EngineCycle.TwoStroke, "E E E E")]
    public void How_valves_often_stand_is_offered_for_each_cylinder_of_a_bank(string order, EngineCycle cycle, string among)
    {
        var fires = FiringOrder.Parse(order, cycle);
        var usual = HeadLayout.Usual(null, fires);
        Assert.Contains(among, usual);
        Assert.All(usual, layout => Assert.NotEmpty(HeadLayout.Parse(null, layout, fires, AdjusterKind.ScrewAtValve, letters: BookLetters.IntakeExhaust)));
    }

    [Fact]
    public void Three_of_a_kind_are_numbered() =>
        Assert.Equal(
            ["1I 1", "1I 2", "1I 3", "1E front", "1E rear"],
            HeadLayout.Parse("1", "IIIEE", FiringOrder.Parse("1", EngineCycle.FourStroke), AdjusterKind.ShimOnTop).Select(p => p.Label));

    [Fact]
    public void Labels_are_unique_whatever_the_layout()
    {
        var rows =
            from cylinders in Gen.Int[1, 8]
            from letters in Gen.OneOfConst('I', 'E', 'J', 'B').Array[1, 6]
            select (cylinders, Row: string.Concat(Enumerable.Repeat(new string(letters), cylinders)));

        rows.Sample(r =>
        {
            var order = FiringOrder.Of([.. Enumerable.Range(1, r.cylinders)], EngineCycle.FourStroke);
            var labels = HeadLayout.Parse(null, r.Row, order, AdjusterKind.ScrewAtValve, letters: BookLetters.IntakeExhaust).Select(p => p.Label).ToList();
            return labels.Count == r.Row.Length && labels.Distinct().Count() == labels.Count;
        });
    }

    [Theory]
    [InlineData(AdjusterKind.ScrewAtValve, true)]
    [InlineData(AdjusterKind.BridgeScrew, true)]
    [InlineData(AdjusterKind.ShimOnTop, false)]
    [InlineData(AdjusterKind.HydraulicPreload, false)]
    [InlineData(AdjusterKind.EccentricShaft, false)]
    public void Only_a_gap_set_by_a_screw_has_a_turn_to_work_out(AdjusterKind adjuster, bool isScrew) =>
        Assert.Equal(isScrew, adjuster.TurnsByPitch());
}
