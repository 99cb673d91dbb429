using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Tablet.Tests;

/// <summary>A figure that surprises is asked again with what it was held against, in the unit of the blades.</summary>
public class RefusalWordsTests
{
    private static readonly Window Asked = Window.Of(0.18, 0.26);

    [Fact]
    public void An_as_left_outside_its_window_names_the_window() => Assert.Equal(
        "1E would be left outside what is asked, 0.18 to 0.26 mm. Measure it again; if it is so, say that you are sure.",
        Doubt(new OutsideWindow(Asked, true, LengthUnit.Millimetre)));

    [Fact]
    public void A_figure_ten_times_too_large_asks_for_its_unit() => Assert.Equal(
        "1E reads far from what is asked, 7.1 to 10.2 thou. Check the unit and look again; if it is so, say that you are sure.",
        Doubt(new OutsideWindow(Asked, false, LengthUnit.Thou)));

    [Fact]
    public void What_the_record_expected_is_named_with_the_blades_on_both_sides_of_it()
    {
        var tray = new Tray(null, LengthUnit.Millimetre, ["0.20", "0.25", "0.30"]);
        Assert.Equal(
            "1E reads tighter than expected, which was about 0.27 mm. Look again with the 0.25 blade, then the 0.30 blade; if it is so, say that you are sure.",
            new Refusal(RefusalCode.FigureDoubtful) { Points = ["1E"], Look = SecondLook.Of(0.27, 0.20, tray) }.Sentence());
    }

    private static string Doubt(OutsideWindow outside) => new Refusal(RefusalCode.FigureDoubtful) { Points = ["1E"], Outside = outside }.Sentence();
}
