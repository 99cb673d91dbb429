using OpenQA.Selenium;

namespace ZeroDrift.Browser.Tests;

/// <summary>Setting as it goes at the engine: taps counted, a failed lock kept, blades as gates, lifters said once, and work out of the machine.</summary>
public sealed class SettingByHandTests : IDisposable
{
    private readonly RunningServer server = new(demo: false);
    private readonly Screen screen;
    private readonly TwinFleet fleet;
    private readonly OpenedEngine engine;
    private int taps;

    public SettingByHandTests()
    {
        screen = new Screen(server, keepsItself: true);
        fleet = new TwinFleet(server);
        engine = new OpenedEngine(screen, fleet);
    }

    [Fact]
    public async Task A_clear_valve_is_one_tap_a_set_one_three_and_a_lock_that_pulled_it_tight_stays_in_the_record()
    {
        await engine.AddAsync(new { firingOrder = "1 2", layout = "I E I E", method = "perCylinder" });
        engine.Open();
        screen.Press("is on compression: measure");
        // Found, turned and locked, measured.
        At("1 intake", 3, () =>
        {
            Blade("0.40");
            screen.See("Close it 36°");
            Tap("Locked already");
            Blade("0.30");
        });
        At("1 exhaust", 5, () =>
        {
            Blade("0.40");
            screen.See("Close it");
            Tap("Locked already");
            Blade("0.20");
            // From the last that is known, not from what was found.
            screen.See("Open it");
            screen.SeeNo("Close it");
            Tap("Turned and locked");
            screen.See("LOCKED AGAIN");
            // Done is not told again.
            screen.See("measure it before it is turned again");
            screen.SeeNo("Open it");
            Blade("0.30");
        });
        screen.Press("is on compression: measure");
        At("2 intake", 1, () => Blade("0.30"));
        At("2 exhaust", 1, () => Blade("0.30"));
        engine.Sign();

        var point = OpenedEngine.Point(await engine.SignedAsync(), "1E");
        Assert.Equal(0.20, point.GetProperty("attempts")[0].GetProperty("estimateMm").GetDouble(), 9);
        Assert.Equal((1, 0.30, "set"), (point.GetProperty("attempts").GetArrayLength(), Math.Round(point.GetProperty("left").GetProperty("estimateMm").GetDouble(), 9), point.GetProperty("outcome").GetString()));
        screen.Press("The record");
        screen.See("tried 0.20, turned again");
    }

    [Fact]
    [Trait("Length", "long")]
    public async Task A_pair_of_blades_is_one_tap_where_both_are_as_they_should_be_and_two_where_one_is_not()
    {
        await engine.AddAsync(new { firingOrder = "1 2", layout = "I E I E", method = "perCylinder", spec = new { revision = "A", source = "workshop manual", date = "2015-01-01", condition = "cold", lines = new[] { new { kind = "intake", go = "0.25", noGo = "0.35", unit = "mm" }, new { kind = "exhaust", go = "0.25", noGo = "0.35", unit = "mm" } } } });
        engine.Open();
        screen.Press("is on compression: measure");
        At("1 intake", 1, () => Tap("0.25 goes, 0.35 does not"));
        At("1 exhaust", 3, () =>
        {
            Tap("0.35 goes too");
            screen.See("Found loose");
            Tap("Locked already");
            Tap("0.25 goes, 0.35 does not");
        });
        screen.Press("is on compression: measure");
        foreach (var point in (string[])["2 intake", "2 exhaust"]) At(point, 1, () => Tap("0.25 goes, 0.35 does not"));
        engine.Sign();
        var visit = await engine.SignedAsync();
        Assert.Equal(("inWindow", "set"), (OpenedEngine.Point(visit, "1E").GetProperty("left").GetProperty("state").GetString(), OpenedEngine.Point(visit, "1E").GetProperty("outcome").GetString()));
    }

    [Fact]
    [Trait("Length", "long")]
    public async Task Lifters_are_said_once_and_tapped_once_each_after_that()
    {
        await engine.AddAsync(new { firingOrder = "1 2", layout = "I E I E", adjuster = "hydraulicPreload", travelTurns = 1.6, method = "perCylinder", spec = new { revision = "A", source = "workshop manual", date = "2015-01-01", condition = "cold", lines = new[] { new { kind = "intake", fraction = 0.5 }, new { kind = "exhaust", fraction = 0.5 } } } });
        engine.Open();
        screen.Press("is on compression: measure");
        At("1 intake", 3, () =>
        {
            Tap("the plunger is bled down");
            Tap("pushrod turned between the fingers");
            Tap("Set by 0.8 turns");
        });
        At("1 exhaust", 1, () => Tap("Set by 0.8 turns"));
        screen.Press("is on compression: measure");
        // One differs, and is said so.
        At("2 intake", 2, () =>
        {
            Tap("the plunger is pumped up");
            Tap("Set by 0.8 turns");
        });
        At("2 exhaust", 1, () => Tap("Set by 0.8 turns"));
        engine.Sign();
        var visit = await engine.SignedAsync();
        Assert.Equal(["collapsed", "collapsed", "pumpedUp", "pumpedUp"], ((string[])["1I", "1E", "2I", "2E"]).Select(p => OpenedEngine.Point(visit, p).GetProperty("start").GetString()));
    }

    [Theory]
    [Trait("Length", "long")]
    [InlineData("on a stand", "onStand")]
    [InlineData("on a bench", "onBench")]
    public async Task Out_of_its_machine_nobody_ticks_what_cannot_happen(string place, string said)
    {
        await engine.AddAsync(new { firingOrder = "1 2", layout = "I E I E", method = "perCylinder" }, "ferry");
        screen.Open($"/engines/{engine.EngineId}/open?job=build");
        screen.Choose("Where it is", place);
        screen.Choose("Who does the work", "Tove");
        screen.Press("Open the engine");
        screen.See("Is it cold?");
        screen.Press("It is cold: go on");
        screen.TickAll("Open up");
        foreach (var cylinder in (int[])[1, 2])
        {
            if (said == "onStand") screen.Press("is on compression: measure");
            foreach (var kind in (string[])["intake", "exhaust"])
                At($"{cylinder} {kind}", 2, () =>
                {
                    screen.See("Set it to 0.30 mm.");
                    Tap("Locked already");
                    Blade("0.30");
                });
        }
        screen.See("Close up");
        foreach (var never in (string[])["propeller", "Battery", "meter"]) Assert.DoesNotContain(never, screen.Driver.FindElement(By.CssSelector(".middle")).Text, StringComparison.Ordinal);
        engine.Sign("build");
        Assert.Equal(said, (await engine.SignedAsync()).GetProperty("place").GetString());
    }

    public void Dispose()
    {
        screen.Dispose();
        server.Dispose();
    }

    private void Tap(string text)
    {
        taps++;
        screen.Press(text);
    }

    private void Blade(string blade)
    {
        taps++;
        screen.Blade(blade);
    }

    /// <summary>What is done at a point from its heading to the next one, in so many taps.</summary>
    private void At(string point, int most, Action done)
    {
        screen.Wait(20, $"the point {point}", () => Heading().Contains(point, StringComparison.Ordinal));
        taps = 0;
        done();
        screen.Wait(20, $"what comes after {point}", () => !Heading().Contains(point, StringComparison.Ordinal));
        Assert.True(taps <= most, $"{point} took {taps} taps");
    }

    private string Heading() => screen.Driver.FindElement(By.TagName("h1")).Text;
}
