using CsCheck;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Tests.Turning;

public class PositionSchoolsTests
{
    private static readonly TurningEngine Six = Engines.FourStroke(1, 5, 3, 6, 2, 4);

    [Theory]
    [InlineData("anticlockwise seen from the flywheel", CrankEnd.Flywheel, true, false)]
    [InlineData("clockwise seen from the front", CrankEnd.Front, false, false)]
    [InlineData("Left-hand, drive end", CrankEnd.Flywheel, true, false)]
    [InlineData("clockwise", CrankEnd.Front, false, true)]
    [InlineData("", CrankEnd.Front, false, true)]
    public void The_crank_is_seen_from_the_end_where_it_is_barred_and_what_the_book_leaves_open_is_said(string written, CrankEnd end, bool anticlockwise, bool assumed) =>
        Assert.Equal(new CrankView(end, anticlockwise, assumed), CrankView.Of(written));

    [Fact] // common practice, no source
    public void The_companion_proves_on_every_engine_that_has_one_and_looseness_only_where_nothing_may_be_closed_up()
    {
        ProofKind[] Proofs(ProofCase facts, TurningEngine? engine = null) => [.. CompressionProof.For(engine ?? Six, Deg(0), facts).Select(p => p.Kind)];

        Assert.Equal([ProofKind.Companion, ProofKind.RockersLoose, ProofKind.IntakeJustClosed, ProofKind.CompressionInBar], Proofs(new()));
        Assert.DoesNotContain(ProofKind.RockersLoose, Proofs(new(IsBuild: true)));
        Assert.DoesNotContain(ProofKind.RockersLoose, Proofs(new(MayBeClosedUp: new HashSet<int> { 1 })));
        Assert.Contains(ProofKind.RockersLoose, Proofs(new(MayBeClosedUp: new HashSet<int> { 6 })));
        Assert.Contains(ProofKind.LobesSeen, Proofs(new(LobesInSight: true)));
        Assert.DoesNotContain(ProofKind.Companion, Proofs(new(), Engines.FourStroke(1)));
    }

    [Fact] // common practice, no source
    public void With_the_plugs_out_air_proves_it_with_them_in_the_bar_and_with_the_starter_nothing_is_felt()
    {
        ProofKind[] Proofs(ProofCase facts) => [.. CompressionProof.For(Six, Deg(0), facts).Select(p => p.Kind)];

        Assert.Contains(ProofKind.Air, Proofs(new(HoleOpen: true)));
        Assert.DoesNotContain(ProofKind.CompressionInBar, Proofs(new(HoleOpen: true)));
        // Plugs or injectors in: whatever its fuel, the compression is felt in the bar.
        Assert.Contains(ProofKind.CompressionInBar, Proofs(new()));
        Assert.DoesNotContain(ProofKind.CompressionInBar, Proofs(new(ByStarter: true)));
        Assert.Equal("6 rocks: its exhaust closes as its intake opens.", CompressionProof.For(Six, Deg(0), new())[0].Sentence);
        Assert.Empty(CompressionProof.For(Six, Deg(50), new()));
    }

    [Theory] // common practice, no source
    [InlineData(AdjusterKind.ScrewAtValve, "I E I E", "Both rockers of 1 are loose.")]
    [InlineData(AdjusterKind.EccentricShaft, "I E I E", "Both rockers of 1 are loose.")]
    [InlineData(AdjusterKind.ScrewAtValve, "I I E E I I E E", "All rockers of 1 are loose.")]
    [InlineData(AdjusterKind.FollowerScrew, "I E I E", "Both followers of 1 are loose.")]
    [InlineData(AdjusterKind.Puck, "I I E E I I E E", "All followers of 1 are loose.")]
    [InlineData(AdjusterKind.ShimOnTop, "I E I E", "The lobes of 1 point away from their buckets.")]
    [InlineData(AdjusterKind.ShimUnderBucket, "I I E E I I E E", "The lobes of 1 point away from their buckets.")]
    public void What_shows_a_cylinder_free_is_what_its_head_has(AdjusterKind adjuster, string layout, string says)
    {
        var order = FiringOrder.Parse("1 2", EngineCycle.FourStroke);
        var type = new EngineType { Order = order, Points = HeadLayout.Parse(null, layout, order, adjuster, new AdjusterFigures(1.0)) };
        var proofs = CompressionProof.For(type.Turning(), Deg(0), new()).Select(p => p.Sentence).ToList();

        Assert.Contains(says, proofs);
        Assert.Equal(adjuster is AdjusterKind.ShimOnTop or AdjusterKind.ShimUnderBucket, proofs.TrueForAll(p => !p.Contains("rocker", StringComparison.Ordinal) && !p.Contains("loose", StringComparison.Ordinal)));
    }

    [Fact] // common practice, no source
    public void Buckets_on_one_side_of_a_mixed_head_are_looked_at_not_shaken()
    {
        var order = FiringOrder.Parse("1", EngineCycle.FourStroke);
        var points = HeadLayout.Parse(null, "I E", order, AdjusterKind.ScrewAtValve, new AdjusterFigures(1.0));
        var mixed = points.Select(p => p.Kind == LashKind.Intake ? p with { Adjuster = AdjusterKind.ShimOnTop.With(new AdjusterFigures(null)) } : p).ToList();

        Assert.Equal(new CylinderGear(ValveGear.Bucket, 2), CylinderGear.Of(mixed));
        Assert.Equal("1 at TDC on compression; its lobes point away.", new EngineType { Order = order, Points = mixed, Method = TurningMethod.PerCylinder }.Plan().Stops[0].Sign);
    }

    [Fact] // common practice, no source
    public void A_two_stroke_has_its_rocker_loose_and_no_notch_and_a_single_no_rotor()
    {
        var twoStroke = FiringOrder.Parse("1 3 2", EngineCycle.TwoStroke);
        var type = new EngineType { Order = twoStroke, Points = HeadLayout.Parse(null, "E J E J E J", twoStroke, AdjusterKind.BridgeScrew, new AdjusterFigures(1.25)) };
        Assert.Equal(["The rocker of 1 is loose.", "The compression of 1 was felt in the bar."], CompressionProof.For(type.Turning(), CrankAngle.Of(0, EngineCycle.TwoStroke), new()).Select(p => p.Sentence));

        Assert.Contains("The rotor points at its plug.", CompressionProof.For(Engines.FourStroke(1), Deg(0), new(Rotor: true)).Select(p => p.Sentence));
        Assert.DoesNotContain(CompressionProof.For(type.Turning(), CrankAngle.Of(0, EngineCycle.TwoStroke), new(Rotor: true, CamMark: "notch")), p => p.Kind is ProofKind.Rotor or ProofKind.CamMark);
    }

    [Fact] // common practice, no source
    public void A_pin_and_a_cam_mark_prove_where_the_type_names_them_on_any_fuel_and_a_rotor_only_where_there_is_one()
    {
        List<string> Proofs(double deg, ProofCase facts) => [.. CompressionProof.For(Six, Deg(deg), facts).Select(p => p.Sentence)];

        Assert.DoesNotContain(Proofs(0, new()), p => p.Contains("rotor", StringComparison.Ordinal) || p.Contains("pin", StringComparison.Ordinal) || p.Contains("notch", StringComparison.Ordinal));
        Assert.Contains("Lock pin in the flywheel went in, and is out again.", Proofs(0, new(Pin: "lock pin in the flywheel")));
        Assert.Contains("Notch of the cam wheel stands as the book shows it for 1 on compression.", Proofs(0, new(CamMark: "notch of the cam wheel")));
        Assert.Contains("The rotor points at 1.", Proofs(0, new(Rotor: true)));
        // They are of the first cylinder; the next to fire has neither.
        Assert.DoesNotContain(Proofs(120, new(Pin: "lock pin", CamMark: "notch")), p => p.Contains("pin", StringComparison.Ordinal) || p.Contains("otch", StringComparison.Ordinal));
    }

    [Fact]
    public void A_lobe_seen_to_point_away_tells_about_where_the_crank_stands()
    {
        var seen = new LashRef(3, LashKind.Exhaust);
        var first = LobeAway.StandsAbout(Six, null, seen)!.Value;
        Assert.True(Six.Margin(first, seen) >= 100);
        // Another that is free there too says nothing new; one that is not has been turned to, by the least turn.
        var also = LobeAway.From(Six, first, [.. from c in Enumerable.Range(1, 6) from k in (LashKind[])[LashKind.Intake, LashKind.Exhaust] select new LashRef(c, k)]);
        foreach (var point in also.Here) Assert.Equal(first, LobeAway.StandsAbout(Six, first, point.Point));
        var next = also.Next!.Points.First(p => also.Here.All(h => h.Point != p.Point)).Point;
        Assert.Equal(also.Next.CrankDeg.Degrees, LobeAway.StandsAbout(Six, first, next)!.Value.Degrees, 6);
    }

    [Fact]
    public void From_any_start_nothing_is_set_where_it_is_open_and_every_point_keeps_its_stop() => Gen.Select(
        Gen.Int[1, 16].SelectMany(n => Gen.Shuffle(Enumerable.Range(1, n).ToArray())),
        Gen.OneOfConst(TurningMethod.TwoStop, TurningMethod.PerCylinder, TurningMethod.Rocking, TurningMethod.ExhaustOpeningIntakeClosing, TurningMethod.FewestStops),
        Gen.Double[0, 719.99]).Sample((order, method, now) =>
    {
        var engine = Engines.FourStroke(order);
        var from = TurningPlanner.Plan(engine, new TurningRequest(method, CrankNowDeg: Deg(now)));
        var without = engine.Plan(method).Stops.SelectMany(s => s.Set.Select(p => (p.Point, s.CrankDeg))).ToDictionary(p => p.Point, p => p.CrankDeg);
        var stands = Deg(now);
        foreach (var stop in from.Stops)
        {
            if (Math.Abs(stands.ForwardTo(stop.CrankDeg) - stop.TurnFromPreviousDeg) > 1e-6) return false;
            if (!stop.Set.All(p => engine.Margin(stop.CrankDeg, p.Point) > 0 && without[p.Point].IsAt(stop.CrankDeg))) return false;
            stands = stop.CrankDeg;
        }
        return from.Stops.Sum(s => s.Set.Count) + from.CannotSet.Count == 2 * order.Length;
    });

    [Fact]
    public void With_the_lobes_in_sight_every_point_comes_free_once_and_never_while_it_is_open() => Gen.Select(
        Gen.Int[1, 12].SelectMany(n => Gen.Shuffle(Enumerable.Range(1, n).ToArray())), Gen.Double[0, 719.99]).Sample((order, now) =>
    {
        var engine = Engines.FourStroke(order);
        var left = (from c in order from k in (LashKind[])[LashKind.Intake, LashKind.Exhaust] select new LashRef(c, k)).ToList();
        var crank = Deg(now);
        for (var turns = 0; left.Count > 0; turns++)
        {
            if (turns > 2 * order.Length) return false;
            var away = LobeAway.From(engine, crank, left);
            if (away.Here.Any(p => engine.Margin(crank, p.Point) < LobeAway.DefaultLeastMarginDeg - 1e-6)) return false;
            left.RemoveAll(p => away.Here.Any(h => h.Point == p));
            if (away.Next is { } next) crank = next.CrankDeg;
        }
        return true;
    });

    [Fact]
    public void Lobe_away_has_no_stops_to_plan() =>
        Assert.Equal("method", Assert.Throws<BadInputException>(() => Six.Plan(TurningMethod.LobeAway)).Field);

    [Fact] // common practice, no source
    public void On_a_twin_firing_0_and_180_all_valves_are_closed_from_60_to_115_degrees_which_is_why_its_chain_is_adjusted_at_90()
    {
        var twin = Engines.Uneven([1, 2], [0, 180]);
        double Least(double deg) => (from c in (int[])[1, 2] from k in (LashKind[])[LashKind.Intake, LashKind.Exhaust] select twin.Margin(Deg(deg), new LashRef(c, k))!.Value).Min();

        Assert.Equal((0.0, 25.0, 0.0), (Math.Round(Least(60), 6), Math.Round(Least(90), 6), Math.Round(Least(115), 6)));
        Assert.True(Least(59) < 0 && Least(116) < 0);
    }

    [Fact] // common practice, no source
    public void On_1_3_4_2_the_one_that_rocks_tells_which_to_set_and_the_second_of_two_stops_is_4I_4E_3I_2E()
    {
        var four = Engines.FourStroke(1, 3, 4, 2);
        Assert.Equal(["1 sets 4", "2 sets 3", "3 sets 2", "4 sets 1"], four.Plan(TurningMethod.Rocking).Stops.Select(s => $"{s.RockingCylinder} sets {s.CompressionCylinder}").Order());
        Assert.Equal("2E 3I 4E 4I", string.Join(' ', Engines.Said(four.Plan(TurningMethod.TwoStop).Stops[1]).Split(' ').Order()));
    }

    [Fact]
    public void The_schools_a_type_allows_are_those_that_can_be_planned()
    {
        foreach (var (cycle, list) in new[] { (EngineCycle.FourStroke, true), (EngineCycle.FourStroke, false), (EngineCycle.TwoStroke, true), (EngineCycle.TwoStroke, false) })
        {
            var order = FiringOrder.Parse("1 2", cycle);
            var type = new EngineType { Order = order, Points = HeadLayout.Parse(null, "E E", order, AdjusterKind.ScrewAtValve, new AdjusterFigures(1.0), BookLetters.IntakeExhaust), BookStops = list ? [new(CrankAngle.Of(0, cycle), [new(1, LashKind.Exhaust)])] : [] };
            foreach (var method in Enum.GetValues<TurningMethod>())
            {
                var refused = Record.Exception(() => type.Plan(method));
                Assert.Equal(TurningMethods.AllowedBy(type).Contains(method), refused is null);
            }
        }
    }
}
