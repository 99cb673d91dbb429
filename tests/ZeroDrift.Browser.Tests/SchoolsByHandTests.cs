using System.Text.Json;
using OpenQA.Selenium;

namespace ZeroDrift.Browser.Tests;

/// <summary>A whole overhead by each school of positions, to the signature, on the screen it is done on.</summary>
[Trait("Length", "long")]
public sealed class SchoolsByHandTests : IDisposable
{
    private readonly RunningServer server = new(demo: false);
    private readonly TwinFleet fleet;
    private readonly Screen screen;

    public SchoolsByHandTests()
    {
        screen = new Screen(server, keepsItself: true);
        fleet = new TwinFleet(server);
    }

    [Fact]
    public async Task By_exhaust_opening_one_valve_at_a_time_in_at_most_two_taps_a_valve()
    {
        await OpenAsync(new { firingOrder = "1 3 4 2", layout = "E I I E E I I E", method = "exhaustOpeningIntakeClosing" });
        screen.See("Bar until 1 exhaust just begins to move.");
        screen.See("1 intake");
        Assert.DoesNotContain("Stop 1", screen.Text, StringComparison.Ordinal);
        CountTaps();
        var order = new List<string>();
        for (var valve = 0; valve < 8; valve++)
        {
            order.Add(Heading());
            // A quarter of them is out.
            if (valve is 2 or 5) SetFrom(valve == 2 ? "0.40" : "0.15");
            else Drags("0.30");
        }

        Assert.Equal(["1 intake", "1 exhaust", "2 intake", "2 exhaust", "3 intake", "3 exhaust", "4 intake", "4 exhaust"], order);
        var taps = (long)screen.Driver.ExecuteScript("return window.taps")!;
        Assert.True(taps is >= 8 and <= 16, $"{taps} taps for 8 valves");
        await SignAsync("exhaustOpeningIntakeClosing");
    }

    [Fact]
    public async Task By_rocking_from_where_the_crank_stands_on_a_tablet()
    {
        screen.Width(768);
        await OpenAsync(new { firingOrder = "1 3 4 2", layout = "E I I E E I I E", method = "rocking" });
        screen.See("Bar until 4 rocks: set 1.");
        screen.Press("Something else moves");
        screen.Press("3 rocks");

        // 3 rocks, so 2 is on compression: its stop is the first, and the plan turns round to it.
        screen.See("2 intake");
        // What kept itself too soon is taken back: the reading is open again, with its try.
        Drags("0.30");
        screen.Press("2I");
        screen.Press("Take 0.30 back");
        screen.See("dragged");
        screen.Press("Take back");
        screen.SeeNo("dragged");
        foreach (var (cylinder, then) in new[] { (2, "Bar until 4 rocks: set 1."), (1, "Bar until 2 rocks: set 3."), (3, "Bar until 1 rocks: set 4."), (4, "Close up") })
        {
            foreach (var _ in (int[])[0, 1])
            {
                Assert.StartsWith($"{cylinder} ", Heading(), StringComparison.Ordinal);
                Drags("0.30");
            }
            screen.See(then);
            if (then.StartsWith("Bar", StringComparison.Ordinal))
            {
                screen.See("Bar forwards half a turn.");
                screen.Press("is on compression: measure");
                screen.See("MEASURE AS FOUND");
            }
        }
        await SignAsync("rocking");
    }

    [Fact]
    public async Task With_the_lobes_in_sight_on_a_small_screen_and_without_the_server()
    {
        screen.Width(390);
        await OpenAsync(new { firingOrder = "1 3 4 2", layout = "I E I E I E I E", method = "lobeAway", adjuster = "followerScrew", pins = "the cam bar" });
        screen.See("Turn until the lobe of 1 intake points away.");
        screen.See("the cam bar out?");
        server.Kill();
        var measured = new List<string>();
        for (var valve = 0; valve < 8; valve++)
        {
            measured.Add(Heading());
            Drags("0.30");
            if (valve == 0) screen.See("points away");
        }

        // Any order, each once; the guide takes what is free where the crank stands, then the least turn.
        Assert.Equal(8, measured.Distinct().Count());
        Assert.Equal("1 intake", measured[0]);
        screen.TickAll("Close up");
        screen.Press("Sign the overhead");
        screen.See("Signed by Tove");
        server.Restart();
        await SignedAsync("lobeAway");
    }

    [Fact]
    public async Task By_the_books_own_list_of_valve_numbers_to_the_letter()
    {
        await OpenAsync(new
        {
            firingOrder = "1 3 4 2",
            layout = "E I I E E I I E",
            method = "book",
            pointNames = Enumerable.Range(1, 8).Select(n => n.ToString(System.Globalization.CultureInfo.InvariantCulture)),
            bookStops = new[] { new { crankDeg = 360, points = new[] { "8", "6" } }, new { crankDeg = 540, points = new[] { "4", "7" } }, new { crankDeg = 0, points = new[] { "1", "3" } }, new { crankDeg = 180, points = new[] { "5", "2" } } },
        });
        var order = new List<string>();
        foreach (var stop in (int[])[1, 2, 3, 4])
        {
            screen.See($"Stop {stop}: ");
            if (stop > 1) screen.See("Bar forwards half a turn.");
            screen.Press("is on compression: measure");
            screen.See("MEASURE AS FOUND");
            foreach (var _ in (int[])[0, 1])
            {
                order.Add(Heading().Split(' ')[1]);
                Drags("0.30");
            }
        }

        Assert.Equal(["8", "6", "4", "7", "1", "3", "5", "2"], order);
        await SignAsync("book");
    }

    [Fact]
    public async Task The_mate_gets_a_code_and_the_stops_print_as_a_card_and_as_a_tape_in_true_scale()
    {
        await OpenAsync(new { firingOrder = "1 5 3 6 2 4", layout = "E I I E E I I E E I I E", method = "perCylinder", pulleyMm = 300, rotation = "anticlockwise seen from the flywheel", pins = "the flywheel pin" });
        screen.See("Seen from the flywheel; bars anticlockwise.");
        Assert.DoesNotContain("Compression or overlap?", screen.Text, StringComparison.Ordinal);
        screen.Wait(15, "the question for the pins", () => screen.Driver.FindElements(By.CssSelector(".pin input")).Count == 1);
        screen.Driver.FindElement(By.CssSelector(".pin input")).Click();
        screen.See("Compression or overlap?");
        screen.Press("Screen for the mate at the crank");
        screen.Wait(15, "the code to be drawn", () => (bool)screen.Driver.ExecuteScript("const i = document.querySelector('.modal img'); return !!i && i.complete && i.naturalWidth > 0")!);
        var visit = new Uri(screen.Driver.Url).AbsolutePath;
        Assert.Contains(visit + "/crank", screen.Text, StringComparison.Ordinal);

        screen.Open(visit + "/stop-card");
        screen.See("Before every turn: the flywheel pin out?");
        screen.See("Proof: 6 rocks: its exhaust closes as its intake opens. / Both rockers of 1 are loose.");
        Assert.Equal(12, screen.Driver.FindElements(By.CssSelector(".sheet tbody tr")).Count);

        // Three places on the rim, two cylinders each; once round is π · 300 mm.
        screen.Open(visit + "/rim-tape");
        screen.See("It goes round once in 942.5 mm.");
        foreach (var place in new[] { ("1 / 6", "0.0 mm"), ("5 / 2", "314.2 mm"), ("3 / 4", "628.3 mm") })
        {
            Assert.Contains(place.Item1, Tape(), StringComparison.Ordinal);
            Assert.Contains(place.Item2, Tape(), StringComparison.Ordinal);
        }
        Assert.Equal(100.0, Convert.ToDouble(screen.Driver.ExecuteScript("const b = document.querySelector('svg[width=\"110mm\"] path').getBoundingClientRect(); return Math.round(b.width / 96 * 25.4 * 10) / 10"), System.Globalization.CultureInfo.InvariantCulture), 0);

        string Tape() => (string)screen.Driver.ExecuteScript("return [...document.querySelectorAll('main svg text')].map((t) => t.textContent.trim()).join(' | ')")!;
    }

    public void Dispose()
    {
        screen.Dispose();
        server.Dispose();
    }

    private string Heading() => screen.Driver.FindElement(By.CssSelector("main h1")).Text;

    /// <summary>One tap, and what is clear keeps itself.</summary>
    private void Drags(string blade)
    {
        var before = Heading();
        screen.Blade(blade);
        screen.Wait(20, $"what comes after {before}", () => Heading() != before);
    }

    /// <summary>Found out: set, a look before the locknut is tightened, and measured again.</summary>
    private void SetFrom(string blade)
    {
        screen.Blade(blade);
        screen.See("Nut still loose");
        screen.Blade("0.30");
        screen.See("Locked: which blade drags?");
        Drags("0.30");
    }

    private void CountTaps() => screen.Driver.ExecuteScript("window.taps = 0; document.addEventListener('click', (e) => { if (e.target.closest('button, a')) window.taps++ }, true)");

    /// <summary>A type of one figure of 0.30 for all valves, an engine of it, opened, made safe and cold.</summary>
    private async Task OpenAsync(object type)
    {
        await fleet.AddAsync();
        var (typeId, engineId) = (Guid.CreateVersion7(), Guid.CreateVersion7());
        var request = new Dictionary<string, object?>
        {
            ["id"] = typeId,
            ["code"] = "S1",
            ["name"] = "Test engine",
            ["adjuster"] = "screwAtValve",
            ["pitchMm"] = 1.0,
            ["bookHours"] = 1000,
            ["spec"] = new { revision = "A", source = "workshop manual", date = "2015-01-01", condition = "cold", lines = new[] { new { kind = "intake", single = "0.30", unit = "mm" }, new { kind = "exhaust", single = "0.30", unit = "mm" } } },
        };
        foreach (var field in JsonSerializer.SerializeToElement(type).EnumerateObject()) request[field.Name] = field.Value;
        await fleet.PostAsync("/api/engine-types", request);
        await fleet.PostAsync("/api/engines", new { id = engineId, name = "Pump", machine = "lorry", site = "Depot", engineTypeId = typeId, dutyHoursPerDay = 5 });
        screen.Open($"/engines/{engineId}/open");
        screen.Fill("Hour meter shows now", "120");
        screen.Choose("Who does the work", "Tove");
        screen.Press("Open the engine");
        screen.TickAll("Make it safe");
        screen.Fill("Engine temperature", "14");
        screen.Press("It is cold: go on");
        screen.TickAll("Open up");
    }

    private async Task SignAsync(string method)
    {
        screen.TickAll("Close up");
        screen.Press("Sign the overhead");
        screen.See("Signed by Tove");
        await SignedAsync(method);
    }

    /// <summary>The server has it, by that school, every valve proved.</summary>
    private async Task SignedAsync(string method)
    {
        var id = new Uri(screen.Driver.Url).Segments[^1];
        JsonElement visit = default;
        for (var i = 0; i < 60 && (visit.ValueKind == JsonValueKind.Undefined || visit.GetProperty("state").GetString() != "signed"); i++)
        {
            await Task.Delay(500);
            visit = await fleet.GetAsync($"/api/visits/{id}");
        }
        Assert.Equal("signed", visit.GetProperty("state").GetString());
        Assert.Equal(method, visit.GetProperty("sheet").GetProperty("method").GetString());
        Assert.All(visit.GetProperty("sheet").GetProperty("points").EnumerateArray(), p => Assert.False(p.GetProperty("found").GetProperty("unproved").GetBoolean()));
    }
}
