using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Tests.Engines;

/// <summary>Whose E is the exhaust: never guessed where it could be either.</summary>
public class BookLettersTests
{
    private static readonly FiringOrder Four = FiringOrder.Parse("1-3-4-2", EngineCycle.FourStroke);

    [Fact]
    public void On_a_head_lettered_in_German_E_is_the_intake_and_A_the_exhaust()
    {
        var points = HeadLayout.Parse(null, "A E E A A E E A", Four, AdjusterKind.ScrewAtValve);
        Assert.Equal(["1A", "1E", "2E", "2A", "3A", "3E", "4E", "4A"], points.Select(p => p.Label));
        Assert.All(points, p => Assert.Equal(p.Label[1] == 'A' ? LashKind.Exhaust : LashKind.Intake, p.Kind));
    }

    [Fact]
    public void A_layout_of_E_alone_is_asked_about_and_taken_once_it_is_said()
    {
        var asked = Assert.Throws<BadInputException>(() => HeadLayout.Parse(null, "E E E E", Four, AdjusterKind.ScrewAtValve));
        Assert.Equal("letters", asked.Field);
        Assert.All(HeadLayout.Parse(null, "E E E E", Four, AdjusterKind.ScrewAtValve, letters: BookLetters.EinlassAuslass), p => Assert.Equal(LashKind.Intake, p.Kind));
        Assert.All(HeadLayout.Parse(null, "E E E E", Four, AdjusterKind.ScrewAtValve, letters: BookLetters.IntakeExhaust), p => Assert.Equal(LashKind.Exhaust, p.Kind));
    }

    [Fact]
    public void A_uniflow_two_stroke_has_no_intake_valves_so_its_E_is_no_question() =>
        Assert.All(HeadLayout.Parse(null, "E E", FiringOrder.Parse("1 2", EngineCycle.TwoStroke), AdjusterKind.ScrewAtValve), p => Assert.Equal(LashKind.Exhaust, p.Kind));

    [Theory]
    [InlineData("I A I A", null, "layout")]
    [InlineData("I E I E", BookLetters.EinlassAuslass, "layout")]
    [InlineData("A E A E", BookLetters.IntakeExhaust, "layout")]
    public void Letters_of_both_books_in_one_layout_are_refused_by_name(string layout, BookLetters? said, string field) =>
        Assert.Equal(field, Assert.Throws<BadInputException>(() => HeadLayout.Parse(null, layout, FiringOrder.Parse("1 2", EngineCycle.FourStroke), AdjusterKind.ScrewAtValve, letters: said)).Field);

    [Fact]
    public void In_a_sentence_a_point_is_spelt_out() => Assert.Equal("4 exhaust", new LashRef(4, LashKind.Exhaust).ToString());
}
