using System.Net.Http.Json;
using System.Text.Json;
using OpenQA.Selenium;

namespace ZeroDrift.Browser.Tests;

/// <summary>The whole job as a mechanic does it, on an engine typed in by hand.</summary>
public sealed class OverheadByHandTests : IDisposable
{
    private readonly RunningServer server = new(demo: false);
    private readonly Screen screen;

    public OverheadByHandTests() => screen = new Screen(server);

    [Fact]
    public void A_mechanic_opens_an_engine_measures_sets_signs_and_the_due_date_moves()
    {
        AddTypeAndEngine();
        screen.See("Never measured here");
        screen.Press("Start an overhead");
        screen.Fill("Hour meter shows now", "1200");
        screen.AddPerson("Who does the work", "Tove");
        screen.Press("Open the engine");

        TickEverything("Make it safe");
        screen.Fill("Engine temperature", "61");
        screen.Press("It is cold: go on");
        screen.See("That is not the condition of the figures");
        screen.Fill("Engine temperature", "14");
        screen.Press("It is cold: go on");
        screen.TickAll("Open up");

        screen.See("1 on compression, 2 rocks.");
        screen.Press("1 is on compression: measure");
        screen.See("MEASURE AS FOUND");

        // A contradiction is named and nothing is lost: the try before it stands.
        screen.Try("0.25", "Slides free");
        screen.Try("0.20", "No go");
        screen.See("both cannot be");
        screen.Press("Take back");
        screen.Try("0.30", "No go");
        screen.See("Loose: between 0.25 and 0.30.");
        screen.Press("Keep between 0.25 and 0.30 as found");

        // A valve is finished before the next: 0.075 mm on a 1 mm pitch is 27°.
        screen.See("Close it 27°, a bit over 1/16 turn, clockwise.");
        Reload("Close it 27°");
        // The locknut teaches while little is known of it: what it stood at before.
        screen.See("Nut still loose");
        screen.Try("0.20", "Slight drag");
        screen.Press("Keep 0.20, not locked yet");
        screen.See("Locked: which blade drags?");
        screen.Try("0.20", "Slight drag");
        screen.See("On the figure: 0.20.");
        screen.Press("Keep 0.20 as left");

        // A figure typed in the wrong unit is offered in the other one.
        screen.See("1 exhaust");
        TypeFigure("16");
        screen.See("Did you mean 16 thou?");
        screen.Press("Yes, 16 thou");
        screen.See("In window: 0.406.");
        screen.Press("Keep 0.406 as found");

        screen.See("Bar forwards one whole turn.");
        screen.Press("2 is on compression: measure");
        KeyIn("0.20");
        screen.See("2 exhaust");
        KeyIn("0.40");

        screen.See("Every rocker shaken");
        screen.Press("Sign");
        screen.See("It cannot be signed yet");
        // What is missing is said in words, and is the way there.
        Assert.DoesNotContain("rockers:", screen.Text, StringComparison.Ordinal);
        screen.Press("Every rocker shaken");
        TickEverything("Close up");
        screen.Press("Sign the overhead");
        screen.See("Signed by Tove");
        screen.Press("See when it is due now");
        screen.See("The book decides: in 1\u202f000 h");
        screen.See("overhead");
    }

    [Fact]
    [Trait("Length", "long")]
    public async Task Two_people_on_one_overhead_do_not_overwrite_each_other_and_a_power_cut_loses_nothing()
    {
        AddTypeAndEngine();
        screen.Press("Start an overhead");
        screen.Fill("Hour meter shows now", "900");
        screen.AddPerson("Who does the work", "Olav");
        screen.Press("Open the engine");
        TickEverything("Make it safe");
        screen.Press("It is cold: go on");
        screen.TickAll("Open up");
        screen.Press("1 is on compression: measure");
        screen.See("1 intake");
        using var other = new Screen(server);
        other.Open(new Uri(screen.Driver.Url).PathAndQuery);
        other.See("1 intake");

        // News from the server comes every two seconds; what is being typed stays as it is, with its unit.
        screen.Fill("or type a figure", "16");
        screen.Driver.FindElement(By.CssSelector("form.typed select")).SendKeys("thou");
        Thread.Sleep(5000);
        Assert.Equal("16", screen.Field("or type a figure").GetDomProperty("value"));
        Assert.Equal("thou", screen.Driver.FindElement(By.CssSelector("form.typed select")).GetDomProperty("value"));

        screen.Try("0.20", "Slight drag");
        screen.See("On the figure: 0.20.");
        server.Kill();
        // The tap made while the server is away waits on this machine.
        screen.Try("0.25", "No go");
        screen.See("the server cannot be reached", 20);
        server.Restart();
        screen.See("Saved on the server.", 30);
        screen.Press("Keep 0.20 as found");
        screen.See("1 exhaust");

        // The other screen was still on the first point: it is told, not overruled.
        other.See("1 exhaust", 20);
        Assert.Contains("0.20", other.Text, StringComparison.Ordinal);
        using var http = new HttpClient { BaseAddress = new Uri(server.Url()) };
        var id = new Uri(screen.Driver.Url).Segments[^1];
        var view = await http.GetFromJsonAsync<JsonElement>($"/api/visits/{id}");
        var found = view.GetProperty("sheet").GetProperty("points").EnumerateArray().First(p => p.GetProperty("label").GetString() == "1I").GetProperty("found");
        Assert.Equal(2, found.GetProperty("tries").GetArrayLength());
    }

    public void Dispose()
    {
        screen.Dispose();
        server.Dispose();
    }

    private void AddTypeAndEngine()
    {
        screen.Open("/book");
        screen.See("The book is empty.");
        screen.Press("Add an engine type");
        screen.Fill("What it is", "TW2");
        screen.Fill("Firing order", "1 1");
        screen.See("Cylinder 1 stands twice in the firing order and 2 is missing");
        screen.Fill("Firing order", "1 2");
        screen.Fill("Valves along the head", "I E I E");
        screen.See("1 on compression, 2 rocks.");
        screen.Choose("Set with", "locknut at the valve");
        screen.Choose("Runs", "clockwise seen from the front");
        foreach (var (kind, figures) in new[] { ("intake", new[] { ("from", "0.15"), ("to", "0.25"), ("set", "0.20") }), ("exhaust", [("from", "0.35"), ("to", "0.45"), ("set", "0.40")]) })
        {
            screen.Driver.FindElement(By.CssSelector($"[aria-label='{kind} asks'] option[value=window]")).Click();
            foreach (var (end, figure) in figures) screen.Driver.FindElement(By.CssSelector($"[aria-label='{kind} {end}']")).SendKeys(figure);
        }
        screen.Fill("Where they come from", "workshop manual");
        screen.Press("The adjusters");
        screen.Fill("Screw pitch", "1");
        screen.Fill("Every", "1000");
        screen.Press("Put it in the book");
        screen.See("TW2: two stops");

        screen.Open("/");
        screen.See("No engine yet.");
        screen.Press("Add the engine");
        screen.Fill("Name, as it is called in the yard", "Pump house twin");
        screen.Wait(10, "the one type to be chosen", () => screen.Text.Contains("TW2", StringComparison.Ordinal));
        screen.Fill("Site", "Depot");
        screen.Press("Add the engine");
    }

    private void TypeFigure(string figure)
    {
        screen.Fill("or type a figure", figure);
        screen.Press("Read");
    }

    /// <summary>By keyboard alone: digits, Enter to read, Enter to keep.</summary>
    private void KeyIn(string figure)
    {
        screen.Wait(10, "the next point", () => screen.Text.Contains("MEASURE AS FOUND", StringComparison.Ordinal) && screen.Field("or type a figure").GetDomProperty("value")?.Length == 0);
        screen.Driver.FindElement(By.TagName("body")).SendKeys(figure);
        screen.Wait(10, "the figure in its field", () => screen.Field("or type a figure").GetDomProperty("value") == figure);
        screen.Field("or type a figure").SendKeys(Keys.Enter);
        screen.See($"In window: {figure}.");
        screen.Field("or type a figure").SendKeys(Keys.Enter);
    }

    private void Reload(string sameText)
    {
        screen.Driver.Navigate().Refresh();
        screen.See(sameText);
    }

    private void TickEverything(string heading)
    {
        screen.See(heading);
        screen.Wait(20, $"every line of '{heading}' ticked", () =>
        {
            var open = screen.Driver.FindElements(By.CssSelector("[role=checkbox][aria-checked=false]")).FirstOrDefault(e => e.Displayed);
            if (open is null) return true;
            open.Click();
            return false;
        });
    }
}
