using OpenQA.Selenium;

namespace ZeroDrift.Browser.Tests;

/// <summary>Paper and trust: a field sheet, typed in afterwards with the keyboard alone; a handover; a record that prints, goes as a file and comes back to be checked.</summary>
[Trait("Length", "long")]
public sealed class PaperByHandTests : IDisposable
{
    private readonly RunningServer server = new(demo: false);
    private readonly TwinFleet fleet;
    private readonly Screen screen;
    private readonly OpenedEngine engine;

    public PaperByHandTests()
    {
        screen = new Screen(server);
        fleet = new TwinFleet(server);
        engine = new OpenedEngine(screen, fleet);
    }

    [Fact]
    public async Task A_field_sheet_is_typed_in_with_at_most_six_keys_a_figure_and_its_record_is_checked_as_a_file()
    {
        await engine.AddAsync(new { firingOrder = "1 2", layout = "I E I E", method = "perCylinder", fasteners = new[] { new { use = "locknut", size = "13 mm ring", torqueNm = 22.0 } } });
        screen.Open($"/engines/{engine.EngineId}/field-sheet");
        screen.See("Pump: field sheet", 30);
        // As in its machine: what makes it safe stands before the figures, what makes it ready to run after them.
        screen.See("Battery negative off");
        screen.See("Everybody clear; lock-outs and tags off");
        screen.See("13 mm ring: locknut");
        screen.See("0.275 – 0.325 mm");
        Assert.Equal(["1 intake", "1 exhaust", "2 intake", "2 exhaust"], screen.Driver.FindElements(By.CssSelector(".sheet tbody tr td:first-child:not(.stop)")).Select(c => c.Text));

        TypeIn();
        screen.Wait(20, "the first cell", () => screen.Driver.FindElements(By.CssSelector(".cell:not([disabled])")).Count > 0);
        screen.Driver.FindElement(By.CssSelector(".cell:not([disabled])")).Click();
        var keys = 0;
        foreach (var typed in (string[])[".30", "", ".30", "", ".22", ".30", ".31", ""])
        {
            var cell = screen.Driver.SwitchTo().ActiveElement();
            var here = cell.GetAttribute("id");
            cell.SendKeys(typed + Keys.Enter);
            keys += typed.Length + 1;
            screen.Wait(20, $"the cell after {here}", () => screen.Driver.SwitchTo().ActiveElement().GetAttribute("id") is var now && now != here && (now!.Length > 0 || screen.Driver.SwitchTo().ActiveElement().Text.Length is > 0 and < 60));
        }
        Assert.True(keys <= 6 * 5, $"{keys} keys for 5 figures");
        screen.Press("Closed up as the sheet says");
        screen.Press("To the bench, to sign");

        screen.See("Every point has an as-found and an as-left");
        screen.Press("The customer signs too");
        screen.Fill("Customer", "Varnholm ferries");
        screen.Driver.FindElement(By.XPath("//form[contains(., 'Customer')]//label[contains(., 'Remark')]/following::input[1]")).SendKeys("Runs well.");
        screen.Press("Keep it with the record");
        screen.See("Varnholm ferries: Runs well.");
        screen.Press("Sign the overhead");
        screen.See("Signed by Tove");
        var visit = await engine.SignedAsync();
        Assert.Equal(0.22, OpenedEngine.Point(visit, "2I").GetProperty("found").GetProperty("estimateMm").GetDouble(), 9);
        Assert.Equal("set", OpenedEngine.Point(visit, "2I").GetProperty("outcome").GetString());
        Assert.All(visit.GetProperty("sheet").GetProperty("points").EnumerateArray(), p => Assert.False(p.GetProperty("found").GetProperty("unproved").GetBoolean()));

        screen.Press("The record");
        screen.See("Varnholm ferries, customer: Runs well.");
        Assert.True(screen.Pages() <= 2, $"{screen.Pages()} pages");

        using var http = new HttpClient();
        var file = await http.GetStringAsync(server.Url($"/api/visits/{engine.VisitId}/record-file"));
        await CheckAsync(file, "Unchanged, and it says what stands here.");
        await CheckAsync(file.Replace("Runs well.", "Runs badly.", StringComparison.Ordinal), "was changed after it was written");
        await CheckAsync("{}", "This is no record of this program");
    }

    [Fact]
    public async Task Shims_and_amounts_of_a_field_sheet_are_typed_in_too()
    {
        await engine.AddAsync(new
        {
            firingOrder = "1",
            layout = "J I E",
            adjuster = "shimOnTop",
            pitchMm = (double?)null,
            method = "perCylinder",
            shimSizesMm = new[] { 2.60, 2.65, 2.70, 2.75, 2.80, 2.85 },
            byKind = new[] { new { kind = "injector", pitchMm = 1.5 } },
            spec = new { revision = "A", source = "workshop manual", date = "2015-01-01", condition = "cold", lines = new object[] { new { kind = "intake", single = "0.20", unit = "mm" }, new { kind = "exhaust", single = "0.40", unit = "mm" }, new { kind = "injector", turns = 0.5 } } },
        });
        TypeIn();
        screen.See("1 intake");
        // Another desk, at which nobody has said yet who it is.
        screen.Driver.ExecuteScript("localStorage.removeItem('zd-person'); location.reload()");
        screen.See("Choose who measured: every figure goes down under a name.", 30);
        screen.Choose("Who measured", "Olav");
        screen.Choose("Shims are known", "as printed on it");
        Types("1 intake, found", "0.10");
        screen.Driver.FindElement(By.CssSelector("[aria-label='1 intake, shim, or old and new']")).SendKeys("80" + Keys.Enter);
        screen.See("Say it whole: is 80 one of these? 2.80 mm.");
        screen.Driver.FindElement(By.CssSelector("[aria-label='1 intake, shim, or old and new']")).SendKeys(Keys.Control + "a");
        Types("1 intake, shim, or old and new", "2.80 2.70");
        Types("1 intake, left", "0.20");
        screen.See("2.80 → 2.70");
        // What is doubted stays in its cell with the reason, until it is put right or entered again.
        screen.Driver.FindElement(By.CssSelector("[aria-label='1 exhaust, found']")).SendKeys("9.00" + Keys.Enter);
        screen.See("Enter again keeps it.");
        Assert.DoesNotContain("refused", screen.Text, StringComparison.Ordinal);
        Assert.Equal("9.00", screen.Driver.FindElement(By.CssSelector("[aria-label='1 exhaust, found']")).GetDomProperty("value"));
        screen.Driver.FindElement(By.CssSelector("[aria-label='1 exhaust, found']")).SendKeys(Keys.Control + "a");
        Types("1 exhaust, found", "0.40");
        screen.Driver.FindElement(By.CssSelector("[aria-label='1 injector: how it stood'] option[value=freewheels]")).Click();
        var amount = screen.Driver.FindElement(By.CssSelector("[aria-label='1 injector: amount in turns']"));
        amount.SendKeys(Keys.Control + "a");
        amount.SendKeys("half");
        screen.See("'half' is no amount: give a figure or a fraction, such as 0.5 or 1/2.");
        // What the rules refuse is said at its line too.
        amount.SendKeys(Keys.Control + "a");
        amount.SendKeys("0.5" + new string('0', 60));
        screen.Press("So it was set");
        screen.Wait(15, "the reason beside the line", () => screen.Driver.FindElements(By.CssSelector("form.line [role=alert]")).Count == 1);
        amount.SendKeys(Keys.Control + "a");
        amount.SendKeys("0.5");
        screen.Press("So it was set");
        screen.See("0.5 turns, before: the roller freewheels");

        var visit = await fleet.GetAsync($"/api/visits/{engine.VisitId}");
        for (var i = 0; i < 40 && OpenedEngine.Point(visit, "1J").GetProperty("outcome").ValueKind == System.Text.Json.JsonValueKind.Null; i++)
        {
            await Task.Delay(250);
            visit = await fleet.GetAsync($"/api/visits/{engine.VisitId}");
        }
        Assert.Equal("byTheBook", OpenedEngine.Point(visit, "1J").GetProperty("outcome").GetString());
        Assert.Equal("shimFitted", OpenedEngine.Point(visit, "1I").GetProperty("outcome").GetString());
        Assert.Equal(0.20, OpenedEngine.Point(visit, "1I").GetProperty("shim").GetProperty("expectedMm").GetDouble(), 9);
        Assert.False(OpenedEngine.Point(visit, "1I").GetProperty("owesLeft").GetBoolean());
        Assert.Equal("printed", OpenedEngine.Point(visit, "1I").GetProperty("shim").GetProperty("now").GetProperty("how").GetString());
        // At the bench what is tapped under nobody's name waits for one, over a reload too.
        screen.Driver.ExecuteScript("localStorage.removeItem('zd-person')");
        screen.Open($"/visits/{engine.VisitId}");
        screen.See("Choose who measures: every figure carries a name.", 30);
        screen.Driver.FindElement(By.XPath("//button[contains(@class, 'pick')][contains(., '1I')]")).Click();
        screen.Press("Remark, photo, part");
        screen.Fill("What was seen or done", "Pad looks scuffed");
        screen.Press("Note it");
        screen.See("Your reading waits until you choose.");
        screen.Press("Close up");
        screen.See("Lobes and followers oiled.");
        screen.Driver.FindElement(By.XPath("//*[@role='checkbox'][contains(., 'Lobes and followers oiled.')]")).Click();
        screen.See("Your reading waits until you choose.");
        screen.Open($"/visits/{engine.VisitId}");
        screen.See("Your reading waits until you choose.", 30);
        screen.Driver.FindElement(By.CssSelector(".who select")).SendKeys("Olav");
        screen.SeeNo("Choose who measures");
        for (var i = 0; i < 40 && visit.GetProperty("notes").GetArrayLength() == 0; i++)
        {
            await Task.Delay(250);
            visit = await fleet.GetAsync($"/api/visits/{engine.VisitId}");
        }
        Assert.Equal("Pad looks scuffed", visit.GetProperty("notes")[0].GetProperty("text").GetString());
        screen.Press("Close up");
        screen.Wait(15, "the tick, under his name", () => screen.Driver.FindElements(By.XPath("//*[@role='checkbox'][@aria-checked='true'][contains(., 'Lobes and followers oiled.')]")).Count == 1);
        Assert.Equal(fleet.Olav, OpenedEngine.Point(visit, "1I").GetProperty("found").GetProperty("by").GetGuid());
    }

    [Fact]
    public async Task A_handover_says_what_is_open_where_the_crank_stands_and_what_was_noted()
    {
        await engine.AddAsync(new { firingOrder = "1 3 4 2", banks = "1 3 / 2 4", layout = "I E I E", method = "twoStop" });
        engine.Open();
        screen.Press("is on compression: measure");
        screen.Blade("0.20");
        screen.Press("Keep 0.20 as found");
        screen.See("Found tight");
        screen.Press("Remark, photo, part");
        screen.Fill("What was seen or done", "Pad looks scuffed");
        screen.Press("Note it");
        screen.See("Found tight");
        var visit = new Uri(screen.Driver.Url).Segments[^1];
        screen.Open($"/visits/{visit}/handover");
        screen.See("The crank stands at stop 1", 30);
        screen.See("1I found tight, 0.20 mm");
        screen.See("Pad looks scuffed (Tove");
        screen.See("Every tool, rag, blade and small part accounted for; drain holes open again.");

        // The other bank stays shut, and the record says which cylinders nobody looked at.
        screen.Open($"/visits/{visit}");
        screen.See("Found tight", 30);
        screen.Driver.FindElements(By.CssSelector("nav[aria-label='Steps of the visit'] button")).First(b => b.Text.Contains("Close up", StringComparison.Ordinal)).Click();
        screen.Press("The bank of 2, 4 was not opened");
        screen.See("4E not reached");
        screen.Open($"/visits/{visit}/handover");
        screen.See("4E: not reached, bank not opened", 30);
    }

    [Fact]
    public async Task Steps_and_kit_are_edited_in_the_book_and_asked_at_the_engine()
    {
        await engine.AddAsync(new { firingOrder = "1 2", layout = "I E I E", method = "perCylinder" });
        screen.Open("/book");
        screen.Press("S1");
        screen.Press("Change the steps");
        screen.Press("Another step");
        screen.Driver.FindElements(By.CssSelector(".modal.show .text input")).Last().SendKeys("Fan cowl off.");
        screen.Fill("Where that comes from", "manual, page 4");
        screen.Press("Change its steps");
        screen.See("Fan cowl off.");
        screen.Open("/book");
        screen.Press("S1");
        screen.Press("Change the kit");
        screen.Press("Another fastener");
        screen.Driver.FindElement(By.CssSelector(".modal.show .grow input")).SendKeys("locknut");
        screen.Fill("Torque", "22");
        screen.Open("/book");
        screen.Press("S1");
        screen.Press("Change the kit");
        screen.See("As you left it, half typed.");
        screen.Fill("Where that comes from", "manual, page 5");
        screen.Press("Change what it takes");
        screen.See("Torque wrench for locknut 22 Nm");

        engine.Open(opensUp: false);
        screen.See("Fan cowl off.");
        screen.TickAll("Open up");
        screen.Press("is on compression: measure");
        screen.Blade("0.20");
        screen.Press("Keep 0.20 as found");
        screen.See("locknut 22 Nm");
    }

    [Fact]
    public async Task A_logbook_whose_E_could_be_either_is_asked_about_before_a_figure_is_stored()
    {
        await engine.AddAsync(new { firingOrder = "1 2", layout = "E A E A" });
        var file = Path.Combine(Path.GetTempPath(), $"either-{Guid.NewGuid():N}.csv");
        await File.WriteAllTextAsync(file, "engine,date,engine hours,cylinder,valve,as found,as left,unit\nPump,2024-05-01,100,1,E,0.29,,mm\n");
        screen.Open("/logbook");
        screen.SendFile(file);
        screen.See("An E of this file could be the exhaust or the intake.");
        Assert.DoesNotContain("Import", screen.Text.Split("Choose a file", StringSplitOptions.None)[^1], StringComparison.Ordinal);
        screen.Press("I intake, E exhaust");
        screen.Press("Import 1 reading");
        screen.See("Brought in: 1 reading");
        File.Delete(file);
        var points = (await fleet.GetAsync($"/api/engines/{engine.EngineId}")).GetProperty("points").EnumerateArray().ToDictionary(p => p.GetProperty("label").GetString()!);
        Assert.NotEmpty(points["1A"].GetProperty("series").EnumerateArray());
        Assert.Empty(points["1E"].GetProperty("series").EnumerateArray());
    }

    public void Dispose()
    {
        screen.Dispose();
        server.Dispose();
    }

    /// <summary>The engine opened for its sheet to be typed in, what comes before the figures said to be done.</summary>
    private void TypeIn()
    {
        screen.Open($"/engines/{engine.EngineId}/open");
        screen.Fill("Hour meter shows now", "120");
        screen.Choose("Who does the work", "Tove");
        screen.Press("Another day, method or instrument");
        screen.Driver.FindElement(By.XPath("//label[contains(., 'type the field sheet in')]/input")).Click();
        screen.Press("Open the engine");
        screen.Press("As the sheet says: type the figures");
    }

    /// <summary>A cell of the sheet, typed into and left by Enter once it is open.</summary>
    private void Types(string cell, string text)
    {
        IWebElement? Cell() => screen.Driver.FindElements(By.CssSelector($"[aria-label='{cell}']:not([disabled])")).FirstOrDefault();
        screen.Wait(20, $"the cell {cell}", () => Cell() is not null);
        Cell()!.SendKeys(text + Keys.Enter);
        screen.Wait(20, $"{text} to be written down in {cell}", () => Cell() is null);
    }

    private async Task CheckAsync(string content, string says)
    {
        var path = Path.Combine(Path.GetTempPath(), $"record-{Guid.NewGuid():N}.json");
        await File.WriteAllTextAsync(path, content);
        screen.Open("/check-record");
        screen.SendFile(path);
        screen.See(says);
        File.Delete(path);
    }
}
