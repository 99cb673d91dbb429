using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Tests.Measuring;

public sealed class InstrumentCheckTests
{
    private static readonly DateOnly Checked = new(2026, 3, 1);

    [Fact]
    public void A_set_in_use_makes_nothing_suspect() =>
        Assert.False(new InstrumentCheck(Checked, 12, null, null).MakesSuspect(new DateOnly(2026, 6, 1)));

    [Theory]
    [InlineData("2026-02-28", false)]
    [InlineData("2026-03-01", true)]
    [InlineData("2026-10-01", true)]
    public void One_withdrawn_was_right_until_its_last_check(string day, bool suspect) =>
        Assert.Equal(suspect, new InstrumentCheck(Checked, 12, new DateOnly(2026, 9, 1), null).MakesSuspect(DateOnly.Parse(day, System.Globalization.CultureInfo.InvariantCulture)));

    [Fact]
    public void Who_knows_when_it_went_wrong_says_so()
    {
        var bent = new InstrumentCheck(Checked, 12, new DateOnly(2026, 9, 1), new DateOnly(2026, 8, 20));
        Assert.False(bent.MakesSuspect(new DateOnly(2026, 8, 19)));
        Assert.True(bent.MakesSuspect(new DateOnly(2026, 8, 20)));
    }

    [Fact]
    public void One_never_checked_makes_every_visit_suspect_and_is_due()
    {
        Assert.True(new InstrumentCheck(null, 12, new DateOnly(2026, 9, 1), null).MakesSuspect(new DateOnly(2001, 1, 1)));
        Assert.True(new InstrumentCheck(null, 12, null, null).IsDue(Checked));
    }

    [Fact]
    public void Its_check_is_due_the_day_after_its_time()
    {
        var set = new InstrumentCheck(Checked, 12, null, null);
        Assert.False(set.IsDue(new DateOnly(2027, 3, 1)));
        Assert.True(set.IsDue(new DateOnly(2027, 3, 2)));
        Assert.False((set with { Withdrawn = Checked }).IsDue(new DateOnly(2030, 1, 1)));
    }
}
