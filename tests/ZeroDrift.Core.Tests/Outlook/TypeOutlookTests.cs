using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Outlook;

namespace ZeroDrift.Core.Tests.Outlook;

public class TypeOutlookTests
{
    private static readonly DateOnly Today = new(2026, 11, 25);
    private static readonly Demand.Gap Exhaust = Asked(0.35, 0.45, 0.40);

    [Fact]
    public void A_closing_valve_brings_the_overhead_forward_and_is_named()
    {
        var outlook = TypeOutlook.Of([Engine("a", [Steady("1E"), Steady("2E"), Steady("3E"), Point("4E", -0.05)])], Today).Engines[0];

        Assert.Equal((DueRule.Drift, "4E", LimitSide.Tight), (outlook.Due.Decides.Rule, outlook.DecidedBy, outlook.Side));
        Assert.True(outlook.Due.AheadOfBookHours > 0);
        Assert.True(outlook.EarlyHours <= outlook.RiskHours && outlook.RiskHours <= outlook.LateHours);
    }

    [Fact]
    public void Steady_valves_leave_the_book_to_decide()
    {
        var outlook = TypeOutlook.Of([Engine("a", [Steady("1E"), Steady("2E")])], Today).Engines[0];

        Assert.Equal(DueRule.BookHours, outlook.Due.Decides.Rule);
        Assert.Empty(outlook.Findings);
    }

    [Fact]
    public void A_valve_left_tight_says_now_whatever_the_book()
    {
        var left = Steady("2E") with { Standing = Reading.Between(Mm(0.28), Mm(0.32)) };

        var outlook = TypeOutlook.Of([Engine("a", [Steady("1E"), left])], Today).Engines[0];

        Assert.Equal(DueRule.Finding, outlook.Due.Decides.Rule);
        Assert.Equal(("2E", VerdictState.Tight), (outlook.Findings[0].Label, outlook.Findings[0].Standing));
    }

    [Fact]
    public void Closed_up_with_no_figure_at_all_is_a_finding_too()
    {
        var closed = new PointRecord("1E", "Exhaust", Exhaust, [new PointVisit(At(3000), new VisitFigure(new Reading(null, Mm(0.05), null, null), false, null), null)], new Reading(null, Mm(0.05), null, null));

        var outlook = TypeOutlook.Of([Engine("a", [closed])], Today).Engines[0];

        Assert.Equal(DueRule.Finding, outlook.Due.Decides.Rule);
        Assert.Null(outlook.Points[0].Ahead);
    }

    [Fact]
    public void The_heads_show_what_was_found_out_of_its_window_as_found_and_everything_else_as_expected_today()
    {
        var tight = Steady("2E") with { Standing = Reading.Direct(Mm(0.32)) };
        var closed = new PointRecord("3E", "Exhaust", Exhaust, [], new Reading(null, Mm(0.05), null, null));
        var never = new PointRecord("4E", "Exhaust", Exhaust, [], null);

        var points = TypeOutlook.Of([Engine("a", [Steady("1E"), tight, closed, never])], Today).Engines[0].Points;

        Assert.Equal(new ShownFigure(points[0].Ahead!.MeanMm(0), null, true), points[0].Shown);
        Assert.Equal(new ShownFigure(0.32, VerdictState.Tight, false), points[1].Shown);
        Assert.Equal(new ShownFigure(0.05, VerdictState.Tight, false), points[2].Shown);
        Assert.Null(points[3].Shown);
    }

    [Fact]
    public void Tight_stands_before_loose()
    {
        var loose = Steady("1I") with { Standing = Reading.Direct(Mm(0.60)) };
        var tight = Steady("2E") with { Standing = Reading.Direct(Mm(0.30)) };

        Assert.Equal(["2E", "1I"], TypeOutlook.Of([Engine("a", [loose, tight])], Today).Engines[0].Findings.Select(f => f.Label));
    }

    [Fact]
    public void Sister_engines_lend_a_rate_to_one_measured_only_once()
    {
        var young = new PointRecord("1E", "Exhaust", Exhaust, [new PointVisit(At(3000), Figure(0.40), null)], Reading.Direct(Mm(0.40)));

        var outlooks = TypeOutlook.Of([Engine("old", [Point("1E", -0.012), Point("2E", -0.014), Point("3E", -0.010)]), Engine("young", [young])], Today).Engines;

        Assert.InRange(outlooks[1].Points[0].Wear!.MmPer1000h, -0.016, -0.008);
        Assert.True(outlooks[1].Points[0].Wear!.StandardErrorMmPer1000h > outlooks[0].Points[0].Wear!.StandardErrorMmPer1000h);
    }

    [Fact]
    public void One_unlike_its_siblings_keeps_its_own_rate_and_is_marked()
    {
        var points = Enumerable.Range(1, 8).Select(i => Point($"{i}E", -0.010 - 0.0005 * (i % 3))).Append(Point("9E", -0.08)).ToList();

        var outlook = TypeOutlook.Of([Engine("a", points)], Today).Engines[0];

        Assert.Equal(["9E"], outlook.Points.Where(p => p.UnlikeSiblings).Select(p => p.Label));
        Assert.InRange(outlook.Points[8].Wear!.MmPer1000h, -0.085, -0.06);
    }

    [Fact]
    public void Set_without_a_figure_nothing_gives_a_level_until_it_is_measured_again()
    {
        var whole = Point("1E", -0.02);
        var amount = whole with { Visits = [.. whole.Visits, new PointVisit(At(6500), Figure(0.37), new VisitFigure(Reading.Nothing, false, null))] };

        var outlook = TypeOutlook.Of([Engine("a", [amount, Point("2E", -0.02)])], Today).Engines[0];

        Assert.Null(outlook.Points[0].Ahead);
        Assert.NotNull(outlook.Points[0].Wear);
        Assert.NotNull(outlook.Points[1].Ahead);
    }

    [Fact]
    public void The_fleet_may_choose_a_plain_risk_instead_of_what_opening_and_waiting_cost()
    {
        var engine = Engine("a", [Point("1E", -0.03), Point("2E", -0.03)]);

        var byCost = TypeOutlook.Of([engine], Today).Engines[0];
        var plain = TypeOutlook.Of([engine], Today, new FleetRisk(PlainRisk: true)).Engines[0];

        Assert.Equal((byCost.RiskHours, byCost.OpenAfterHours), (plain.RiskHours, plain.OpenAfterHours));
        Assert.Equal(byCost.OpenAfterHours!.Value.Hours, Drift(byCost).Hours!.Value);
        Assert.Equal(plain.RiskHours!.Value.Hours, Drift(plain).Hours!.Value);

        static DueAnswer Drift(EngineOutlook outlook) => outlook.Due.Others.Prepend(outlook.Due.Decides).First(a => a.Rule == DueRule.Drift);
    }

    [Fact]
    public void A_go_and_a_no_go_are_bounds_and_a_dragging_blade_is_the_gap()
    {
        var between = Reading.Between(Mm(0.38), Mm(0.40));
        Assert.True(new VisitFigure(between, false, null).IsBounded);
        Assert.False(new VisitFigure(between, true, null).IsBounded);
        Assert.False(new VisitFigure(Reading.Direct(Mm(0.39)), false, null).IsBounded);
        Assert.True(new VisitFigure(new Reading(null, Mm(0.05), null, null), false, null).IsBounded);
    }

    [Fact]
    public void An_engine_never_opened_has_nothing_to_decide()
    {
        var engine = new EngineRecord("new", H(0), Usage.Of([], Today, 4), null, [], [new PointRecord("1E", "Exhaust", Exhaust, [], null)]);

        var outlook = TypeOutlook.Of([engine], Today).Engines[0];

        Assert.Equal((DueRule.Nothing, null), (outlook.Due.Decides.Rule, outlook.RiskHours));
    }

    [Fact]
    public void Intakes_and_exhausts_are_pooled_apart()
    {
        var points = new[] { Point("1E", -0.02), Point("2E", -0.02), Opening("1I"), Opening("2I") };

        var outlook = TypeOutlook.Of([Engine("a", points)], Today).Engines[0];

        Assert.True(outlook.Points[0].Wear!.MmPer1000h < 0 && outlook.Points[2].Wear!.MmPer1000h > 0);
    }

    [Fact]
    public void Of_two_that_press_alike_each_is_left_looser_for_the_engines_sake_and_a_quiet_one_gains_it_nothing()
    {
        var outlook = TypeOutlook.Of([Engine("e1", [Point("1E", -0.02), Point("2E", -0.02), Opening("1I")])], Today).Engines[0];
        var aims = outlook.Points.ToDictionary(p => p.Label, p => p.Aim);

        Assert.True(aims["1E"]!.AimMm > 0.405 && aims["2E"]!.AimMm > 0.405, "closing valves are left looser than the book's 0.40");
        Assert.True(aims["1E"]!.EngineGainHours > 100 && aims["2E"]!.EngineGainHours > 100, $"{aims["1E"]} {aims["2E"]}");
        Assert.True((aims["1I"]?.EngineGainHours ?? 0) < aims["1E"]!.EngineGainHours, $"{aims["1I"]}");
    }

    [Fact]
    public void Left_at_its_aims_an_engine_is_never_over_its_risk_at_once()
    {
        // A window so narrow that a looser figure would be out as often as not.
        var narrow = Asked(0.38, 0.42, 0.40);
        var outlook = TypeOutlook.Of([Engine("e1", [.. Enumerable.Range(1, 6).Select(i => Point($"{i}E", -0.02) with { Spec = narrow })])], Today).Engines[0];

        Assert.All(outlook.Points, p => Assert.True(p.Aim is null || (p.Aim.AimMm > 0.38 && p.Aim.AimMm < 0.42), $"{p.Label}: {p.Aim}"));
    }

    private static PointRecord Opening(string label) => Point(label, 0.01) with { Group = "Intake" };

    private static PointRecord Steady(string label) => Point(label, -0.0005);

    /// <summary>Four visits, 1000 h apart, set back to 0.40 at each second one, with a scatter of half a hundredth that no blade would show.</summary>
    private static PointRecord Point(string label, double mmPer1000h)
    {
        var visits = new List<PointVisit> { new(At(0), null, Figure(0.40)) };
        for (var i = 1; i <= 6; i++)
        {
            var found = 0.40 + mmPer1000h * (i % 2 == 1 ? 1 : 2) + (i % 2 == 0 ? 0.0005 : -0.0005);
            visits.Add(new PointVisit(At(i * 1000), Figure(found), i % 2 == 0 ? Figure(0.40) : null));
        }
        return new PointRecord(label, "Exhaust", Exhaust, visits, Reading.Direct(Mm(0.40)));
    }

    private static EngineRecord Engine(string id, IReadOnlyList<PointRecord> points) =>
        new(id, H(6000), new Usage(8, 6, 10, true, Usage.AllYear), new BookClock(H(2000), 24, null, H(6000), Today.AddDays(-1), false), [.. points.SelectMany(p => p.Visits).Select(v => v.Visit).DistinctBy(v => v.Id).OrderBy(v => v.Hours).Select(v => v with { Id = id + v.Id })], [.. points.Select(p => p with { Visits = [.. p.Visits.Select(v => v with { Visit = v.Visit with { Id = id + v.Visit.Id } })] })]);

    private static EngineVisit At(double hours) => new($"@{hours}", H(hours), "A", false);

    private static VisitFigure Figure(double mm) => new(Reading.Direct(Mm(mm), 0.006), false, "A");
}
