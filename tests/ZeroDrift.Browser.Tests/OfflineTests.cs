using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace ZeroDrift.Browser.Tests;

/// <summary>At the engine with no network: what was taken along carries a whole visit, and all of it reaches the server later, once.</summary>
[Trait("Length", "long")]
public sealed class OfflineTests : IDisposable
{
    private readonly RunningServer server = new(demo: false);
    private readonly List<Screen> screens = [];
    private readonly TwinFleet fleet;
    private Screen screen;

    public OfflineTests()
    {
        fleet = new TwinFleet(server).AddAsync().GetAwaiter().GetResult();
        screen = Opened(new Screen(server, staysHere: true));
    }

    [Fact]
    public async Task A_whole_overhead_without_the_server_and_with_a_killed_browser_arrives_as_one_visit_every_entry_once()
    {
        var engine = await fleet.EngineAsync("Pump house twin");
        var twin = await fleet.EngineAsync("The other twin");
        TakeAlong(engine);
        server.Kill();

        // Cold, without the server: the page opens from what the tablet kept.
        screen = Opened(screen.KilledAndOpenedAgain());
        screen.Open("/");
        screen.See("Pump house twin");
        screen.See("As known on this tablet");
        screen.Open("/pocket/screw");
        screen.See("1/16 turn");
        screen.Open("/at-the-engine");
        screen.See("Those that were downloaded");
        screen.SeeNo("The other twin");
        screen.Press("Pump house twin");
        Open("1200", "Tove");
        screen.TickAll("Make it safe");
        screen.Fill("Engine temperature", "61");
        screen.Press("It is cold: go on");
        screen.See("That is not the condition of the figures");
        screen.Fill("Engine temperature", "14");
        screen.Press("It is cold: go on");
        screen.TickAll("Open up");
        screen.Press("1 is on compression: measure");

        // The core is here: contradictions, the next blade, verdicts and advice come as they do with the server.
        screen.Try("0.15", "Slides free");
        screen.See("Next: the ");
        screen.Try("0.25", "Slides free");
        screen.Try("0.20", "No go");
        screen.See("both cannot be");
        screen.Press("Take back");
        screen.Try("0.30", "No go");
        screen.See("Loose: between 0.25 and 0.30.");
        screen.Press("Keep between 0.25 and 0.30 as found");
        screen.See("Close it 27°, a bit over 1/16 turn, clockwise.");
        var waits = Waiting();
        screen = Opened(screen.KilledAndOpenedAgain());
        screen.Open("/at-the-engine");
        screen.See("opened on this tablet; it waits to be sent");
        screen.Press("Pump house twin");
        screen.See("Close it 27°, a bit over 1/16 turn, clockwise.");
        Assert.Equal(waits, Waiting());

        screen.Press("Locked already");
        screen.Try("0.20", "Slight drag");
        screen.Press("Keep 0.20 as left");
        screen.Measure("0.20", "0.40");
        screen.Press("2 is on compression: measure");
        screen.Measure("0.20", "0.40");
        screen.Measure("0.20", "0.40");
        screen.TickAll("Close up");
        screen.Press("Sign the overhead");
        screen.See("Signed by Tove");
        screen.Press("The record");
        screen.See("Every entry of this visit");

        server.Restart();
        screen.Wait(40, "everything sent", () => !screen.Text.Contains("to be sent", StringComparison.Ordinal) && !screen.Text.Contains("cannot be reached", StringComparison.Ordinal));
        var visits = (await fleet.GetAsync($"/api/visits?engineId={engine}")).GetProperty("visits");
        Assert.Equal(1, visits.GetArrayLength());
        var id = visits[0].GetProperty("visitId").GetString();
        var visit = await fleet.GetAsync($"/api/visits/{id}");
        Assert.Equal("signed", visit.GetProperty("state").GetString());
        var entries = JsonNode.Parse((await fleet.GetAsync($"/api/visits/{id}/entries")).GetProperty("entries").GetRawText())!.AsArray();
        Assert.Equal(entries.Count, entries.Select(e => (string)e!["id"]!).Distinct().Count());
        Assert.Equal([.. Enumerable.Range(1, entries.Count)], entries.Select(e => (int)e!["sequence"]!));
        // What the tablet refused by itself the server refused as well: the warm engine, once.
        Assert.Equal("conditionMissing", Assert.Single(visit.GetProperty("refused").EnumerateArray()).GetProperty("code").GetString());

        // Somebody with a network, saying the same, leaves the same record.
        Assert.Equal(TwinFleet.Standing(visit), TwinFleet.Standing(await fleet.SaidOnlineAsync(entries!, twin)));
    }

    [Fact]
    public async Task Two_tablets_out_of_reach_at_one_visit_merge_and_each_sees_the_other()
    {
        var engine = await fleet.EngineAsync("Pump house twin");
        TakeAlong(engine);
        screen.Open($"/engines/{engine}/open");
        Open("1200", "Tove");
        screen.TickAll("Make it safe");
        screen.Press("It is cold: go on");
        screen.TickAll("Open up");
        screen.Press("1 is on compression: measure");
        screen.See("1 intake");
        var other = Opened(new Screen(server, staysHere: true));
        other.Open(new Uri(screen.Driver.Url).AbsolutePath);
        other.See("1 intake");
        other.Driver.FindElement(By.CssSelector(".who select")).SendKeys("Olav");

        screen.Network(false);
        other.Network(false);
        screen.Measure("0.20", "0.40");
        Assert.Contains("1 exhaust", screen.Text, StringComparison.Ordinal);
        other.Driver.FindElement(By.TagName("body")).SendKeys(Keys.ArrowDown);
        other.See("1 exhaust");
        other.Measure("0.20", "0.40");
        screen.See("wait to be sent", 20);

        screen.Network(true);
        other.Network(true);
        foreach (var one in new[] { screen, other })
        {
            one.See("Saved on the server.", 30);
            one.See("2 of 4 found", 20);
        }
        var id = new Uri(screen.Driver.Url).Segments[^1];
        var view = await fleet.GetAsync($"/api/visits/{id}");
        Assert.Equal(2, view.GetProperty("points").EnumerateArray().Count(p => p.GetProperty("found").ValueKind != System.Text.Json.JsonValueKind.Null));
        Assert.Empty(view.GetProperty("refused").EnumerateArray());
    }

    [Fact]
    public async Task Where_the_page_has_no_network_the_browser_sends_by_itself_once_it_has_one()
    {
        var engine = await fleet.EngineAsync("Pump house twin");
        TakeAlong(engine);
        screen.Open($"/engines/{engine}/open");
        Open("1200", "Tove");
        screen.See("Make it safe");
        // The page's network is cut; the service worker, which sends in the background, has its own.
        screen.Network(false, background: true);
        screen.TickAll("Make it safe");

        var visit = new Uri(screen.Driver.Url).Segments[^1];
        for (var i = 0; i < 200 && await HeadAsync() < 4; i++) await Task.Delay(100);
        Assert.True(await HeadAsync() >= 4);
        async Task<int> HeadAsync() => (await fleet.GetAsync($"/api/visits/{visit}")).GetProperty("head").GetInt32();
    }

    [Fact]
    public async Task An_engine_that_somebody_else_opened_meanwhile_takes_what_was_measured_here()
    {
        var engine = await fleet.EngineAsync("Pump house twin");
        TakeAlong(engine);
        server.Kill();
        screen.Open($"/engines/{engine}/open");
        Open("1200", "Tove");
        screen.TickAll("Make it safe");
        screen.Press("It is cold: go on");
        screen.TickAll("Open up");
        screen.Press("1 is on compression: measure");
        screen.Measure("0.20", "0.40");
        screen = screen.KilledAndOpenedAgain();
        Opened(screen);

        server.Restart();
        var theirs = Guid.CreateVersion7();
        await fleet.PostAsync($"/api/visits/{theirs}/entries", new { after = 0, entries = new[] { new { id = Guid.CreateVersion7(), kind = "opened", at = "2026-11-20T08:00:00Z", by = fleet.Olav, device = "tab2", engineId = engine, job = "overhead", date = DateTime.Today.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture), shownHours = 1200, tray = new { unit = "mm", blades = new[] { "0.15", "0.20", "0.40" } } } } });
        screen.Open("/this-tablet");
        screen.See("This engine is open already", 30);
        screen.Press("Add these to the visit that is open");
        screen.See("1 exhaust", 30);
        screen.See("Saved on the server.", 30);

        Assert.Equal(theirs.ToString(), new Uri(screen.Driver.Url).Segments[^1]);
        var view = await fleet.GetAsync($"/api/visits/{theirs}");
        Assert.Equal(0.2, view.GetProperty("points")[0].GetProperty("found").GetProperty("estimateMm").GetDouble());
        Assert.Equal(1, (await fleet.GetAsync($"/api/visits?engineId={engine}")).GetProperty("visits").GetArrayLength());
    }

    [Fact]
    public async Task A_full_tablet_says_so_and_keeps_the_figure_until_there_is_room()
    {
        var engine = await fleet.EngineAsync("Pump house twin");
        TakeAlong(engine);
        screen.Open($"/engines/{engine}/open");
        Open("1200", "Tove");
        screen.See("Make it safe");
        screen.Network(false);
        // As a browser does whose disk is full.
        screen.Driver.ExecuteScript("window.add = IDBObjectStore.prototype.add; IDBObjectStore.prototype.add = () => { throw new DOMException('full', 'QuotaExceededError') }");
        screen.Driver.FindElements(By.CssSelector("[role=checkbox]"))[0].Click();
        screen.See("cannot be written on this tablet: its storage is full", 20);
        screen.Wait(10, "the tick all the same", () => screen.Driver.FindElements(By.CssSelector("[role=checkbox][aria-checked=true]")).Count == 1);

        screen.Driver.ExecuteScript("IDBObjectStore.prototype.add = window.add");
        screen.SeeNo("cannot be written on this tablet");
        screen.Network(true);
        screen.See("Saved on the server.", 30);
    }

    [Fact]
    public async Task A_lent_tablet_forgets_everything_but_never_what_was_not_sent()
    {
        var engine = await fleet.EngineAsync("Pump house twin");
        TakeAlong(engine);
        screen.Open($"/engines/{engine}/open");
        Open("1200", "Tove");
        screen.See("Make it safe");
        screen.Network(false);
        screen.Driver.FindElements(By.CssSelector("[role=checkbox]"))[0].Click();
        screen.See("1 entry waits to be sent", 20);
        screen.Press("Show it");
        screen.See("Ticked: ");
        screen.Press("Forget everything on this tablet…");
        screen.See("1 entry has not been sent.");
        Assert.DoesNotContain(screen.Driver.FindElements(By.TagName("button")), b => b.Displayed && b.Text == "Forget everything");

        screen.Network(true);
        screen.See("All that was measured here has been sent.", 20);
        screen.Press("Forget everything");
        screen.Wait(20, "the yard, opened anew", () => new Uri(screen.Driver.Url).AbsolutePath == "/");
        screen.See("Pump house twin", 20);
        screen.Open("/this-tablet");
        screen.See("No engine yet.");
        Assert.Equal("", screen.Driver.ExecuteScript("return localStorage.getItem('zd-person') ?? ''"));
    }

    public void Dispose()
    {
        foreach (var one in screens) one.Dispose();
        server.Dispose();
    }

    private Screen Opened(Screen one)
    {
        screens.Add(one);
        return one;
    }

    private void TakeAlong(Guid engine)
    {
        screen.Open($"/engines/{engine}");
        screen.Wait(20, "the service worker", () => (bool)screen.Driver.ExecuteScript("return !!navigator.serviceWorker.controller || (navigator.serviceWorker.ready.then(() => location.reload()), false)")!);
        screen.Press("More…");
        screen.Press("Download for offline");
        screen.See("Downloaded", 30);
    }

    private void Open(string hours, string person)
    {
        screen.Fill("Hour meter shows now", hours);
        screen.Choose("Who does the work", person);
        screen.Press("Open the engine");
    }

    /// <summary>How many entries the page says wait to be sent.</summary>
    private string Waiting()
    {
        screen.See("to be sent", 20);
        return System.Text.RegularExpressions.Regex.Match(screen.Text, "\\d+ entr(y|ies)").Value;
    }
}
