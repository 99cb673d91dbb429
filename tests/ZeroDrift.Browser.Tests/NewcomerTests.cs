using OpenQA.Selenium;

namespace ZeroDrift.Browser.Tests;

/// <summary>From an empty fleet and one page of a handbook to a signed overhead, counted; and a whole visit without a mouse.</summary>
[Trait("Length", "long")]
public sealed class NewcomerTests : IDisposable
{
    private readonly RunningServer server = new(demo: false);
    private readonly Screen screen;
    private int taps;
    private int keys;

    public NewcomerTests() => screen = new Screen(server, keepsItself: true);

    [Fact]
    public void A_newcomer_is_at_a_signed_overhead_in_fifty_taps_and_fifty_keys_and_nothing_is_refused()
    {
        screen.Open("/");
        Tap("Add its type");
        Type("What it is", "D4");
        Type("Firing order", "1342");
        Tap("E I I E E I I E");
        Choose("Set with", "locknut at the valve");
        Type("[aria-label='intake clearance']", "0.2");
        Type("[aria-label='exhaust clearance']", "0.25");
        Tap("manual");
        Choose("Runs", "not known");
        Tap("Put it in the book");
        screen.See("D4: two stops");
        Assert.True(keys <= 15, $"{keys} keys for a page of a handbook");

        Tap("Yard");
        Tap("Add the engine");
        Type("Name, as it is called in the yard", "Pump");
        Type("Site", "Quay");
        Type("Hour meter shows", "120");
        TapLast("Add the engine");
        screen.See("Never measured here");

        Tap("Start an overhead");
        screen.See("Open Pump");
        Type("Hour meter shows now", "120");
        Type("Who does the work", "Tove");
        Tap("Open the engine");
        TickAll("Make it safe");
        screen.See("Is it cold?");
        Type("Engine temperature", "14");
        Tap("It is cold: go on");
        TickAll("Open up");

        for (var stop = 0; stop < 2; stop++)
        {
            Tap("is on compression: measure");
            for (var point = 0; point < 4; point++) Measure();
        }
        TickAll("Close up");
        Tap("Sign the overhead");
        screen.See("Signed by Tove");

        Assert.True(taps <= 50, $"{taps} taps, {keys} keys");
        Assert.True(keys <= 50, $"{taps} taps, {keys} keys");
        Assert.True(taps > 25 && keys > 20, $"{taps} taps, {keys} keys: not everything was counted");
    }

    [Fact]
    public void A_whole_visit_is_done_by_keyboard_alone()
    {
        SetUp();
        screen.See("Hour meter shows now");
        Focus("the meter's field", "input");
        Send("120", Keys.Tab, "Olav", Keys.Tab);
        screen.Wait(10, "Olav to be chosen", () => screen.Field("Who does the work").TagName == "select");
        screen.Field("Hour meter shows now").SendKeys(Keys.Enter);

        screen.See("Make it safe");
        Focus("the heading", "h1");
        TabThrough(Keys.Space, () => screen.Text.Contains("Is it cold?", StringComparison.Ordinal));
        Focus("the temperature", "input");
        Send("14", Keys.Enter);
        screen.See("Open up");
        Focus("the heading", "h1");
        TabThrough(Keys.Space, () => screen.Text.Contains("is on compression: measure", StringComparison.Ordinal));

        for (var stop = 0; stop < 2; stop++)
        {
            screen.See("is on compression: measure");
            Focus("the heading", "h1");
            Send(Keys.Tab, Keys.Enter);
            for (var point = 0; point < 2; point++)
            {
                screen.See("MEASURE AS FOUND");
                Focus("the point", "h1");
                var name = screen.Driver.FindElement(By.TagName("h1")).Text;
                Send(name.Contains("intake", StringComparison.Ordinal) ? "0.20" : "0.40", Keys.Enter);
                screen.See("In window:");
                Send(Keys.Enter);
                screen.Wait(10, "the next thing to do", () => screen.Driver.FindElement(By.TagName("h1")).Text != name);
            }
        }
        screen.See("Close up");
        TabThrough(Keys.Space, () => (string?)screen.Driver.ExecuteScript("return document.querySelector('h1')?.innerText") == "Sign");
        screen.See("With your name the record stands");
        screen.Driver.SwitchTo().ActiveElement().SendKeys(Keys.Tab + Keys.Tab + Keys.Enter);
        screen.See("Signed by Olav");
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

    /// <summary>The button of the dialog in front, where the page behind it has one of the same name.</summary>
    private void TapLast(string text)
    {
        taps++;
        screen.Driver.FindElements(By.XPath($"//button[normalize-space(.)='{text}']")).Last(e => e.Displayed).Click();
    }

    /// <summary>A tap into the field, unless it has the focus already, and a key for every character.</summary>
    private void Type(string label, string text)
    {
        screen.Wait(15, $"'{label}'", () => Find(label).Displayed);
        var field = Find(label);
        if (!screen.Driver.SwitchTo().ActiveElement().Equals(field))
        {
            taps++;
            field.Click();
        }
        keys += text.Length;
        screen.Driver.SwitchTo().ActiveElement().SendKeys(text);
    }

    private IWebElement Find(string label) => label.StartsWith('[') ? screen.Driver.FindElement(By.CssSelector(label)) : screen.Field(label);

    private void TickAll(string heading) => taps += screen.TickAll(heading);

    /// <summary>The usual one tap: the blade that drags, and what is clear keeps itself.</summary>
    private void Measure()
    {
        taps++;
        screen.See("MEASURE AS FOUND");
        var name = screen.Driver.FindElement(By.TagName("h1")).Text;
        screen.Blade(name.Contains("intake", StringComparison.Ordinal) ? "0.20" : "0.25");
        screen.Wait(15, "the next thing to do", () => screen.Driver.FindElement(By.TagName("h1")).Text != name);
    }

    private void Choose(string label, string option)
    {
        taps += 2;
        screen.Choose(label, option);
    }

    private void Send(params string[] typed)
    {
        foreach (var one in typed)
        {
            screen.Driver.SwitchTo().ActiveElement().SendKeys(one);
            Thread.Sleep(150);
        }
    }

    private void Focus(string what, string tag) => screen.Wait(10, $"the focus on {what}", () => screen.Driver.SwitchTo().ActiveElement().TagName == tag);

    /// <summary>Tab to the next line, press, until it leads on.</summary>
    private void TabThrough(string press, Func<bool> leadsOn)
    {
        for (var line = 0; line < 20 && !leadsOn(); line++)
        {
            Send(Keys.Tab);
            if (screen.Driver.SwitchTo().ActiveElement().GetDomAttribute("role") != "checkbox") continue;
            Send(press);
            // The last tick leads on by itself: a Tab sent before that would leave the field it leads to.
            screen.Wait(10, "the tick", () => leadsOn() || screen.Driver.SwitchTo().ActiveElement().GetDomAttribute("aria-checked") == "true");
            Thread.Sleep(250);
        }
        screen.Wait(10, "the list to lead on", leadsOn);
    }

    /// <summary>A twin in the yard, and the page on which it is opened.</summary>
    private void SetUp()
    {
        using var http = new HttpClient { BaseAddress = new Uri(server.Url()) };
        var type = Post(http, "/api/engine-types", """
            {"code":"TW2","name":"Twin","cycle":"fourStroke","firingOrder":"1 2","banks":"1 2","layout":"I E I E","adjuster":"screwAtValve","pitchMm":1,"clearancePerTravel":1,"method":"twoStop",
             "bookHours":1000,"spec":{"revision":"A","source":"workshop manual","date":"2026-01-01","condition":"cold","lines":[{"kind":"intake","min":"0.15","max":"0.25","set":"0.20","unit":"mm"},{"kind":"exhaust","min":"0.35","max":"0.45","set":"0.40","unit":"mm"}]}}
            """).GetProperty("id").GetString();
        var engine = Post(http, "/api/engines", $$"""{"name":"Twin 1","machine":"generator","site":"Depot","engineTypeId":"{{type}}","meterHours":100}""").GetProperty("row").GetProperty("engineId").GetString();
        screen.Open($"/engines/{engine}/open");
    }

    private static System.Text.Json.JsonElement Post(HttpClient http, string path, string body)
    {
        using var content = new StringContent(body, System.Text.Encoding.UTF8, "application/json");
        var answer = http.PostAsync(new Uri(path, UriKind.Relative), content).GetAwaiter().GetResult();
        var text = answer.Content.ReadAsStringAsync().GetAwaiter().GetResult();
        Assert.True(answer.IsSuccessStatusCode, text);
        return System.Text.Json.JsonDocument.Parse(text).RootElement;
    }
}
