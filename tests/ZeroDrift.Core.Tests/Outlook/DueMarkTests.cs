using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Outlook;

namespace ZeroDrift.Core.Tests.Outlook;

/// <summary>An engine wears one mark, the gravest, and ends in one next step; a quiet one has neither.</summary>
public class DueMarkTests
{
    private static readonly DateOnly Today = new(2026, 12, 1);

    [Theory]
    [InlineData(VerdictState.Tight, true, true, -5.0, 0, DueMark.Tight)]
    [InlineData(VerdictState.Loose, true, true, -5.0, 0, DueMark.Loose)]
    [InlineData(null, false, false, -5.0, 0, DueMark.NeverMeasured)]
    [InlineData(null, true, true, -5.0, 0, DueMark.PastInterval)]
    [InlineData(null, true, true, 0.0, 0, DueMark.PastInterval)]
    [InlineData(null, true, true, 500.0, 90, DueMark.Wearing)]
    [InlineData(null, true, false, 500.0, 56, DueMark.Due)]
    [InlineData(null, true, false, 500.0, 57, DueMark.None)]
    [InlineData(null, true, false, null, null, DueMark.None)]
    public void It_wears_the_gravest_that_is_to_be_said(VerdictState? found, bool measured, bool wearing, double? bookHoursLeft, int? dueInDays, DueMark mark) =>
        Assert.Equal(mark, DueMarks.Of(found, measured, wearing, bookHoursLeft, dueInDays is { } days ? Today.AddDays(days) : null, Today));

    [Theory]
    [InlineData(DueMark.Tight, true, true, true, false, DueStep.GoOn)]
    [InlineData(DueMark.Tight, false, true, true, false, DueStep.OpenJob)]
    [InlineData(DueMark.PastInterval, false, true, false, false, DueStep.PlanJob)]
    [InlineData(DueMark.Wearing, false, false, false, true, DueStep.Plan)]
    [InlineData(DueMark.NeverMeasured, false, false, false, true, DueStep.Start)]
    [InlineData(DueMark.None, false, true, true, false, DueStep.OpenJob)]
    [InlineData(DueMark.None, false, false, false, true, DueStep.ReadMeter)]
    [InlineData(DueMark.None, false, false, false, false, DueStep.None)]
    public void What_is_under_way_goes_before_what_is_planned_and_that_before_what_is_to_be_planned(DueMark mark, bool isOpen, bool hasJob, bool isPlanned, bool toBeRead, DueStep step) =>
        Assert.Equal(step, DueSteps.Of(mark, isOpen, hasJob, isPlanned, toBeRead));
}
