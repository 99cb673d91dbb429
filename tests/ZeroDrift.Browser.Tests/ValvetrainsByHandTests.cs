using OpenQA.Selenium;

namespace ZeroDrift.Browser.Tests;

/// <summary>Every valvetrain that is not a plain screw, by hand from the first tick to the signature. Common practice, no source.</summary>
[Trait("Length", "long")]
public sealed class ValvetrainsByHandTests : IDisposable
{
    private readonly RunningServer server = new(demo: false);
    private readonly TwinFleet fleet;
    private readonly Screen screen;
    private readonly OpenedEngine engine;

    public ValvetrainsByHandTests()
    {
        screen = new Screen(server, keepsItself: true);
        fleet = new TwinFleet(server);
        engine = new OpenedEngine(screen, fleet);
    }

    [Fact]
    public async Task Injector_then_bridges_by_the_books_own_list()
    {
        await engine.AddAsync(new
        {
            firingOrder = "1 2",
            layout = "J I E J I E",
            adjuster = "bridgeScrew",
            method = "book",
            bookStops = new[] { new { crankDeg = 0, points = new[] { "1J", "1I", "1E" } }, new { crankDeg = 360, points = new[] { "2J", "2I", "2E" } } },
            bridgeScrews = new[] { "1E", "2E" },
            narrowBlade = true,
            fasteners = new[] { new { use = "valve locknut", size = "17 mm", torqueNm = 45.0 }, new { use = "injector locknut", size = "19 mm", torqueNm = 60.0 } },
            spec = Spec(new { kind = "intake", single = "0.30", unit = "mm" }, new { kind = "exhaust", single = "0.60", unit = "mm" }, new { kind = "injector", turns = 0.5 }),
        });
        engine.Open();
        foreach (var cylinder in (int[])[1, 2])
        {
            screen.Press("is on compression: measure");
            Heads($"{cylinder} injector");
            screen.See("Before the valves of its cylinder");
            screen.Press("the roller freewheels");
            screen.Press("the roller just touches");
            screen.See("injector locknut 60 Nm");
            Assert.DoesNotContain("valve locknut", screen.Text, StringComparison.Ordinal);
            screen.Press("Set by 0.5 turns, locked");
            Heads($"{cylinder} intake");
            screen.See("A narrow blade");
            Drags("0.30");
            Heads($"{cylinder} exhaust");
            if (cylinder == 2)
            {
                Drags("0.60");
                continue;
            }
            // Found out: its bridge has a screw of its own, set before the gap.
            screen.Blade("0.50");
            screen.See("Bridge of 1E first");
            TickAtPoint();
            screen.See("Nut still loose");
            screen.See("valve locknut 45 Nm");
            screen.Press("Locked already");
            screen.Blade("0.60");
            // Set: its bridge is looked at once more, and nothing else is asked.
            screen.See("ONE LOOK IS LEFT");
            screen.Press("Bridge of 1E seen seated");
        }
        engine.Sign();

        var visit = await engine.SignedAsync();
        var injector = OpenedEngine.Point(visit, "1J");
        Assert.Equal(("byTheBook", "0.5 turns", "freewheels"), (injector.GetProperty("outcome").GetString(), injector.GetProperty("amountSaid").GetString(), injector.GetProperty("start").GetString()));
        Assert.Contains("bridge:1E", visit.GetProperty("ticked").EnumerateArray().Select(t => t.GetString()));
        // An injector is in no trend.
        Assert.Empty((await fleet.GetAsync($"/api/engines/{engine.EngineId}")).GetProperty("points").EnumerateArray().First(p => p.GetProperty("label").GetString() == "1J").GetProperty("series").EnumerateArray());
    }

    [Fact]
    public async Task Hydraulic_lifters_lettered_in_German_from_zero_lash_on_a_tablet()
    {
        screen.Width(768);
        await engine.AddAsync(new
        {
            firingOrder = "1 2",
            layout = "E A E A",
            adjuster = "hydraulicPreload",
            travelTurns = 1.6,
            selfLocking = true,
            secondPassMinutes = 20,
            runningMethod = true,
            method = "perCylinder",
            spec = Spec(new { kind = "intake", fraction = 0.5 }, new { kind = "exhaust", fraction = 0.5 }),
        });
        engine.Open();
        foreach (var cylinder in (int[])[1, 2])
        {
            screen.Press("is on compression: measure");
            foreach (var kind in (string[])["intake", "exhaust"])
            {
                Heads($"{cylinder} {kind}");
                screen.See("side play and twist are not lash");
                screen.See("no hands are guided into a running engine");
                screen.Press("the plunger is bled down");
                screen.Press("pushrod turned between the fingers");
                screen.Press("Set by 0.8 turns, it holds by its own drag");
            }
        }
        screen.See("Second pass over every lifter");
        Assert.DoesNotContain("locknut", screen.Text, StringComparison.OrdinalIgnoreCase);
        // One is gone over a second time, with the wait it had.
        screen.Press("1E");
        screen.Press("Second pass: as it was set");
        engine.Sign();

        var visit = await engine.SignedAsync();
        Assert.Equal(2, OpenedEngine.Point(visit, "1E").GetProperty("pass").GetInt32());
        Assert.Equal("intake", OpenedEngine.Point(visit, "1E").GetProperty("kind").GetString());
        Assert.Equal("exhaust", OpenedEngine.Point(visit, "1A").GetProperty("kind").GetString());
    }

    [Fact]
    public async Task An_eccentric_twin_with_its_chain_first_and_its_index_mark_asked()
    {
        await engine.AddAsync(new
        {
            firingOrder = "1 2",
            firingAnglesDeg = new[] { 0, 180 },
            layout = "I E I E",
            adjuster = "eccentricShaft",
            method = "perCylinder",
            steps = new object[]
            {
                new { key = "signs", list = "covers", text = "Gasket looked at.", asks = "Signs of earlier work?" },
                new { key = "chain", list = "stop", crankDeg = 90, text = "Chain adjusted, all valves closed." },
                new { key = "mark", list = "point", text = "Index mark of {point} faces outward." },
            },
        });
        engine.Open(opensUp: false);
        screen.Fill("Signs of earlier work?", "fresh sealant on the left");
        screen.Press("Seen");
        screen.See("Chain adjusted, all valves closed.");
        // Its mark comes up on both laps: which one it is, is asked.
        screen.See("At TDC: Both rockers of 1 must be loose");
        screen.Press("it stands there");
        screen.Driver.FindElement(By.CssSelector("[role=checkbox]")).Click();
        foreach (var cylinder in (int[])[2, 1])
        {
            screen.See($"{cylinder} at TDC on compression");
            ProveAnyhow(cylinder);
            Heads($"{cylinder} intake");
            Drags("0.30");
            Heads($"{cylinder} exhaust");
            if (cylinder == 1)
            {
                Drags("0.30");
                continue;
            }
            screen.Blade("0.20");
            screen.See("Turn the shaft by the blade of 0.30");
            // Looked at after the turning, not before it.
            screen.SeeNo("Index mark of 2E faces outward.");
            screen.Press("Turned and locked");
            screen.See("Index mark of 2E faces outward.");
            Assert.DoesNotContain("clockwise", screen.Driver.FindElement(By.CssSelector(".middle")).Text, StringComparison.Ordinal);
            TickAtPoint();
            screen.See("Locked: which blade drags?");
            Drags("0.30");
        }
        engine.Sign();

        var visit = await engine.SignedAsync();
        Assert.Contains(visit.GetProperty("saidSteps").EnumerateArray(), s => s.GetProperty("said").GetString() == "fresh sealant on the left");
        Assert.Contains("mark:2E", visit.GetProperty("ticked").EnumerateArray().Select(t => t.GetString()));
    }

    [Fact]
    public async Task A_two_stroke_with_its_injectors_by_height_and_its_timing_kept_with_the_type()
    {
        await engine.AddAsync(new
        {
            cycle = "twoStroke",
            firingOrder = "1-3-4-2",
            layout = "E J E J E J E J",
            adjuster = "bridgeScrew",
            method = "fewestStops",
            uniflow = new { evoAtdc = 92, evcAtdc = 238, injectorFrom = -55, injectorTo = 55 },
            spec = Spec(new { kind = "exhaust", single = "0.30", unit = "mm" }, new { kind = "injector", heightMm = 38.2 }),
        });
        var type = await fleet.GetAsync($"/api/engines/{engine.EngineId}");
        Assert.Equal(238, type.GetProperty("type").GetProperty("uniflow").GetProperty("evcAtdc").GetDouble());
        engine.Open();
        for (var point = 0; point < 8; point++)
        {
            screen.Wait(20, "a stop to prove or a point", () => Heading().Contains("Stop", StringComparison.Ordinal) || Heading().EndsWith("exhaust", StringComparison.Ordinal) || Heading().EndsWith("injector", StringComparison.Ordinal));
            if (Heading().Contains("Stop", StringComparison.Ordinal)) ProveAnyhow(0);
            screen.Wait(20, "a point", () => Heading().EndsWith("exhaust", StringComparison.Ordinal) || Heading().EndsWith("injector", StringComparison.Ordinal));
            if (Heading().EndsWith("exhaust", StringComparison.Ordinal))
            {
                Drags("0.30");
                continue;
            }
            var here = Heading();
            screen.Press("the roller freewheels");
            screen.Press("the height gauge just passes under");
            screen.Press("Set by 38.2 mm, locked");
            screen.Wait(20, $"what comes after {here}", () => Heading() != here);
        }
        engine.Sign();
        Assert.Equal("38.2 mm", OpenedEngine.Point(await engine.SignedAsync(), "3J").GetProperty("amountSaid").GetString());
    }

    [Fact]
    public async Task Shims_on_top_measured_whole_first_and_changed_without_the_server()
    {
        await engine.AddAsync(new
        {
            firingOrder = "1 2",
            layout = "I E I E",
            adjuster = "shimOnTop",
            pitchMm = (double?)null,
            method = "perCylinder",
            shimSizesMm = new[] { 2.60, 2.65, 2.70, 2.75, 2.80, 2.85 },
            spec = Spec(new { kind = "intake", min = "0.15", max = "0.25", set = "0.20", unit = "mm" }, new { kind = "exhaust", min = "0.35", max = "0.45", set = "0.40", unit = "mm" }),
        });
        engine.Open();
        server.Kill();
        // Every point of both stops before the first shim comes out.
        screen.Press("is on compression: measure");
        Heads("1 intake");
        Drags("0.10");
        Heads("1 exhaust");
        Drags("0.40");
        screen.Press("is on compression: measure");
        Heads("2 intake");
        Drags("0.20");
        Heads("2 exhaust");
        screen.Blade("0.40");
        screen.See("Stop 1: ");
        screen.Press("is on compression: measure");
        Heads("1 intake");
        // 81 is called across the shop: asked whole.
        screen.Fill("Thickness of the shim", "99");
        screen.Press("Read");
        screen.See("is no thickness of this series");
        screen.Fill("Thickness of the shim", "81");
        screen.Press("Read");
        screen.See("Say it whole");
        screen.Press("2.81 mm");
        // 2.81 + 0.10 − 0.20 = 2.71: 2.70 of the series.
        screen.See("Fit 2.70 mm in place of 2.81");
        Assert.DoesNotContain("clockwise", screen.Driver.FindElement(By.CssSelector(".middle")).Text, StringComparison.Ordinal);
        screen.Press("2.70 fitted");
        screen.See("Again: which blade drags?");
        screen.See("0.21 mm (8.3 thou) is expected with this shim.");
        // What was found belongs to the shim that came out: no other is advised until it is measured with this one.
        Assert.DoesNotContain("in place of", screen.Text, StringComparison.Ordinal);
        Drags("0.20");
        // The shims that were changed count themselves. Two keepers that came out besides: one of them is still about.
        screen.Press("If it applies");
        screen.Fill("Out:", "2");
        screen.Press("Counted");
        screen.Fill("Back in:", "1");
        screen.Press("Counted");
        screen.TickAll("Close up");
        screen.Driver.FindElements(By.CssSelector("nav[aria-label='Steps of the visit'] button")).First(b => b.Text == "Sign").Click();
        screen.See("It cannot be signed yet");
        // The refusal is the way there.
        screen.Press("back in their places");
        screen.Press("back in their places");
        screen.Fill("Back in:", "2");
        screen.Press("Counted");
        screen.Driver.FindElements(By.CssSelector("nav[aria-label='Steps of the visit'] button")).First(b => b.Text == "Sign").Click();
        screen.Press("Sign the overhead");
        screen.See("Signed by Tove");
        server.Restart();
        var visit = await engine.SignedAsync();
        var point = OpenedEngine.Point(visit, "1I");
        Assert.Equal(("shimFitted", "2.70"), (point.GetProperty("outcome").GetString(), point.GetProperty("shim").GetProperty("now").GetProperty("thickness").GetString()));
        Assert.Equal(0.20, point.GetProperty("left").GetProperty("estimateMm").GetDouble(), 9);
    }

    [Fact]
    public async Task A_build_asks_every_point_and_finds_nothing()
    {
        await engine.AddAsync(new { firingOrder = "1 2", layout = "I E I E", method = "perCylinder" });
        engine.Open("build");
        foreach (var cylinder in (int[])[1, 2])
        {
            // A loose rocker proves nothing where nothing is set yet.
            Assert.DoesNotContain($"{cylinder} is loose", screen.Text, StringComparison.Ordinal);
            screen.Press("is on compression: measure");
            foreach (var kind in (string[])["intake", "exhaust"])
            {
                Heads($"{cylinder} {kind}");
                screen.See("Set it to 0.30 mm.");
                if (screen.Text.Contains("Locked already", StringComparison.Ordinal)) screen.Press("Locked already");
                screen.See("which blade drags?");
                Drags("0.30");
            }
        }
        engine.Sign("build");
        var point = OpenedEngine.Point(await engine.SignedAsync(), "2E");
        Assert.Equal((System.Text.Json.JsonValueKind.Null, "set"), (point.GetProperty("found").ValueKind, point.GetProperty("outcome").GetString()));
        Assert.Equal(0.30, point.GetProperty("left").GetProperty("estimateMm").GetDouble(), 9);
    }

    [Fact]
    public async Task A_receiving_check_has_what_was_claimed_beside_what_is_found()
    {
        await engine.AddAsync(new { firingOrder = "1 2", layout = "I E I E", method = "perCylinder" });
        engine.Open("receivingCheck");
        screen.Press("is on compression: measure");
        Heads("1 intake");
        screen.Driver.FindElement(By.Id("claimed")).SendKeys("0.30");
        screen.Driver.FindElement(By.CssSelector("[aria-label='Claimed by']")).SendKeys("head shop");
        screen.Press("Claimed");
        screen.See("Claimed: 0.30 mm by head shop.");
        // The rest of what the shop claims comes off its paper, with the keyboard.
        screen.Driver.FindElement(By.CssSelector("button.ways")).Click();
        screen.Press("Type a field sheet in");
        screen.See("Claimed by");
        Assert.Equal("head shop", screen.Field("Claimed by").GetDomProperty("value"));
        screen.Wait(15, "the cell", () => screen.Driver.FindElements(By.CssSelector("[aria-label='1 exhaust, claimed']")).Count == 1);
        screen.Driver.FindElement(By.CssSelector("[aria-label='1 exhaust, claimed']")).SendKeys(".35" + Keys.Enter);
        screen.Wait(15, "the claim to stand", () => screen.Driver.FindElements(By.CssSelector("[aria-label='1 exhaust, claimed']")).Count == 0);
        screen.Press("The bench");
        Heads("1 intake");
        screen.Blade("0.20");
        screen.See("Found tight: 0.20 where 0.275 mm is the least.");
        screen.Press("Leave as found…");
        screen.Fill("Why is it left as found?", "goes back to the shop");
        screen.Press("Leave as found");
        screen.Driver.FindElements(By.CssSelector("nav[aria-label='Steps of the visit'] button")).First(b => b.Text.Contains("Close up", StringComparison.Ordinal)).Click();
        engine.Sign("receiving check");
        var visit = await engine.SignedAsync();
        Assert.Equal(0.30, OpenedEngine.Point(visit, "1I").GetProperty("claimed").GetProperty("estimateMm").GetDouble(), 9);
        Assert.Equal("head shop", OpenedEngine.Point(visit, "1E").GetProperty("claimedBy").GetString());

        screen.Press("The record");
        screen.See("claimed 0.30 by head shop");
        screen.See("Not looked at: cylinder 2.");
    }

    /// <summary>What the point asks is ticked; scrolled above the hand first, as whoever sees a part of it does.</summary>
    private void TickAtPoint()
    {
        var tick = screen.Driver.FindElement(By.CssSelector("[aria-label='At this point'] [role=checkbox]"));
        screen.ScrollTo(tick);
        tick.Click();
    }

    public void Dispose()
    {
        screen.Dispose();
        server.Dispose();
    }

    private static object Spec(params object[] lines) => new { revision = "A", source = "workshop manual", date = "2015-01-01", condition = "cold", lines };

    private string Heading() => screen.Driver.FindElement(By.TagName("h1")).Text;

    private void Heads(string heading) => screen.Wait(20, $"the heading '{heading}'", () => Heading().StartsWith(heading, StringComparison.Ordinal));

    /// <summary>On the blade: it drags, and the verdict keeps itself.</summary>
    private void Drags(string blade)
    {
        var before = Heading();
        screen.Blade(blade);
        screen.Wait(20, $"what comes after {before}", () => Heading() != before);
    }

    /// <summary>Where nobody rocks exactly, one of the other proofs that are offered.</summary>
    private void ProveAnyhow(int cylinder) => screen.Wait(20, $"a proof for {cylinder}", () =>
    {
        var offered = screen.Driver.FindElements(By.CssSelector(".middle button.btn-act, .middle button")).Where(b => b.Displayed && b.Enabled).ToList();
        var proof = offered.Find(b => b.Text.Contains("on compression: measure", StringComparison.Ordinal)) ?? offered.Find(b => b.Text.Contains("just before the mark", StringComparison.Ordinal) || b.Text.Contains("felt in the bar", StringComparison.Ordinal) || b.Text.Contains("are loose", StringComparison.Ordinal) || b.Text.Contains("Air was pushed", StringComparison.Ordinal));
        if (proof is null) return false;
        proof.Click();
        return true;
    });
}
