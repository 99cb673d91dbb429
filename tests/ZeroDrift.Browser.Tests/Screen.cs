using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace ZeroDrift.Browser.Tests;

/// <summary>Headless Chromium, driven by what a person sees: visible labels and texts.</summary>
public sealed class Screen : IDisposable
{
    private readonly string profile;
    private readonly RunningServer server;
    private readonly bool staysHere;
    private bool killed;

    public Screen(RunningServer server, int width = 1280, int height = 800, string? profile = null, bool keepsItself = false, bool staysHere = false, params string[] flags)
    {
        this.server = server;
        this.staysHere = staysHere;
        this.profile = profile ?? Directory.CreateTempSubdirectory("zero-drift-browser-").FullName;
        profile = this.profile;
        var options = new ChromeOptions { BinaryLocation = OnPath("chromium") };
        options.AddArguments("--headless", "--no-sandbox", "--disable-gpu", "--disable-background-networking", "--disable-sync", "--no-first-run", $"--user-data-dir={profile}", $"--window-size={width},{height}");
        options.AddArguments(flags);
        var service = ChromeDriverService.CreateDefaultService(Path.GetDirectoryName(OnPath("chromedriver")), "chromedriver");
        service.SuppressInitialDiagnosticInformation = true;
        Driver = new ChromeDriver(service, options, TimeSpan.FromSeconds(60));
        Driver.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromSeconds(30);
        // To keep the application on this device takes a few seconds of a machine, for each test anew.
        if (!staysHere) BeforeEveryPage("if (navigator.serviceWorker) navigator.serviceWorker.register = () => Promise.reject(new Error('not in this test'))");
        // Most tests look at a verdict longer than the moment after which it keeps itself.
        if (!keepsItself) BeforeEveryPage("try { localStorage.setItem('zd-keeps-itself', 'false') } catch {}");

        void BeforeEveryPage(string script) => Driver.ExecuteCdpCommand("Page.addScriptToEvaluateOnNewDocument", new Dictionary<string, object?> { ["source"] = script });
    }

    public ChromeDriver Driver { get; }

    public void Open(string path) => Driver.Navigate().GoToUrl(server.Url(path));

    /// <summary>Makes the page as wide as another screen.</summary>
    public void Width(int width, int height = 800) =>
        Driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride", new Dictionary<string, object?> { ["width"] = width, ["height"] = height, ["deviceScaleFactor"] = 1, ["mobile"] = false });

    /// <summary>What a slow machine may take, s: a wait costs nothing where the page is quicker.</summary>
    private const int Patience = 45;

    /// <summary>Waits until the page says this; the page itself looks whenever it has changed.</summary>
    public void See(string text, int seconds = 15) => Wait(seconds, $"the page to say '{text}'", () => (bool)Driver.ExecuteAsyncScript(
        """
        const [words, done] = arguments
        const says = () => (document.body?.innerText ?? '').replace(/[ \t\u00a0]+/g, ' ').includes(words)
        if (says()) return done(true)
        let due = 0
        const look = () => { due = 0; if (says()) end(true) }
        const watch = new MutationObserver(() => { due ||= setTimeout(look, 40) })
        watch.observe(document, { subtree: true, childList: true, characterData: true, attributes: true })
        const late = setTimeout(() => end(says()), 2000)
        function end(seen) { watch.disconnect(); clearTimeout(late); clearTimeout(due); done(seen) }
        """, text)!);

    /// <summary>Waits until the page no longer says this.</summary>
    public void SeeNo(string text) => Wait(15, $"'{text}' to be gone", () => !Text.Contains(text, StringComparison.Ordinal));

    /// <summary>All text on the page, as shown; by the browser's own reckoning, which is quick enough to ask ten times a second. A row's cells stand a space apart.</summary>
    public string Text => (string?)Driver.ExecuteScript("return (document.body?.innerText ?? '').replace(/[ \\t\\u00a0]+/g, ' ')") ?? "";

    /// <summary>Presses the button, link or tick that says this; one that says exactly this before one that says more.</summary>
    public void Press(string text) => Do($"press '{text}'", () =>
    {
        foreach (var candidate in Seen("""
            const [words] = arguments
            const text = (e) => e.textContent.replace(/\s+/g, ' ').trim()
            const says = [...document.querySelectorAll('button, a, summary')].filter((e) => text(e).includes(words))
            return [...says.filter((e) => text(e) === words), ...says.filter((e) => text(e) !== words)]
            """, text))
        {
            try
            {
                candidate.Click();
                return;
            }
            catch (ElementClickInterceptedException)
            {
                // Behind a dialog: the next one is in front. Below the hand: as whoever scrolls it up meets it, the next time round.
                ScrollTo(candidate);
            }
        }
        throw new NoSuchElementException(text);
    });

    /// <summary>Presses a blade key.</summary>
    public void Blade(string blade) => Do($"tap the blade {blade}", () => Visible($"//div[@aria-label='Blades']//button[starts-with(normalize-space(.), {Quote(blade)})]").Click());

    /// <summary>A try: one tap where the blade drags, else the feel first.</summary>
    public void Try(string blade, string feel)
    {
        if (feel != "Slight drag") Press(feel);
        Blade(blade);
    }

    /// <summary>Between two blades: the one goes, the next does not.</summary>
    public void Between(string thinner, string thicker) => Do($"tap between {thinner} and {thicker}", () => Driver.FindElement(By.CssSelector($"[aria-label='{thinner} goes, {thicker} does not']")).Click());

    /// <summary>Ticks every line of a list; how many there were.</summary>
    public int TickAll(string heading)
    {
        var ticks = 0;
        // The heading, not the step's name over the bench, which stands there all the time: before its list is drawn nothing is unticked either.
        Wait(15, $"the list '{heading}'", () => Visible($"//h1[normalize-space(.) = {Quote(heading)}]").Displayed);
        Wait(20, $"every line of '{heading}' ticked", () =>
        {
            var open = Unticked();
            if (open is null) return true;
            ScrollTo(open);
            open.Click();
            ticks++;
            // On a busy machine the tick shows late: a second tap meanwhile would be one that nobody makes, and be counted.
            Wait(15, "the tick to show", () => !open.Equals(Unticked()));
            return false;
        });
        return ticks;
    }

    /// <summary>Above the hand, which may cover what stands low, as whoever sees a part of it scrolls it there.</summary>
    public void ScrollTo(IWebElement element) => Driver.ExecuteScript("arguments[0].scrollIntoView({ block: 'center' })", element);

    private IWebElement? Unticked() => Seen("return [...document.querySelectorAll('[role=checkbox][aria-checked=false]')]").FirstOrDefault();

    /// <summary>One point as found: the blade that drags, and keep it.</summary>
    public void Measure(string intake, string exhaust)
    {
        See("MEASURE AS FOUND");
        var name = Driver.FindElement(By.TagName("h1")).Text;
        Blade(name.Contains("intake", StringComparison.Ordinal) ? intake : exhaust);
        See("On the figure:");
        Press("Keep ");
        Wait(15, "the next thing to do", () => Driver.FindElement(By.TagName("h1")).Text != name);
    }

    /// <summary>Types into the field with this label.</summary>
    public void Fill(string label, string value) => Do($"fill '{label}'", () =>
    {
        var field = Field(label);
        field.Clear();
        field.SendKeys(value);
        // A key lost on a busy machine is typed again, as a person would.
        if (field.GetDomProperty("value") != value) throw new InvalidElementStateException($"'{label}' holds '{field.GetDomProperty("value")}'");
    });

    /// <summary>What a page of a handbook says of a four: order, valves, pitch, direction, one figure for each kind.</summary>
    public void FillFour(string intake, string exhaust)
    {
        Fill("Firing order", "1 3 4 2");
        Fill("Valves along the head", "E I I E E I I E");
        Choose("Set with", "locknut at the valve");
        Choose("Runs", "clockwise seen from the front");
        foreach (var (kind, figure) in new[] { ("intake", intake), ("exhaust", exhaust) })
            Driver.FindElement(By.CssSelector($"[aria-label='{kind} clearance']")).SendKeys(figure);
        Press("The adjusters");
        Fill("Screw pitch", "1");
    }

    /// <summary>Gives the page's file field this file, once the page has one.</summary>
    public void SendFile(string file)
    {
        Wait(15, "a field for a file", () => Driver.FindElements(By.CssSelector("input[type=file]")).Count > 0);
        Driver.FindElement(By.CssSelector("input[type=file]")).SendKeys(file);
    }

    /// <summary>Chooses from the list with this label.</summary>
    public void Choose(string label, string option) => Do($"choose '{option}'", () => Field(label).FindElements(By.TagName("option")).First(o => o.Text.Contains(option, StringComparison.Ordinal)).Click());

    /// <summary>Adds somebody the fleet does not know yet, where a person is chosen.</summary>
    public void AddPerson(string label, string name)
    {
        // The dialog it stands in may still be opening.
        var known = false;
        Do($"find '{label}'", () => known = Field(label).TagName == "select");
        if (known) Choose(label, "somebody else");
        Fill(label, name);
        Field(label).SendKeys(OpenQA.Selenium.Keys.Enter);
        Wait(10, $"'{name}' to be chosen", () => Field(label).FindElements(By.TagName("option")).Any(o => o.Selected && o.Text == name));
    }

    /// <summary>The control behind a visible label.</summary>
    public IWebElement Field(string label)
    {
        var found = Visible($"//label[contains(normalize-space(.), {Quote(label)})]");
        return Driver.FindElement(By.Id(found.GetDomAttribute("for") ?? throw new NoSuchElementException($"'{label}' belongs to no field")));
    }

    public void Keys(string keys) => Driver.SwitchTo().ActiveElement().SendKeys(keys);

    public void Wait(int seconds, string what, Func<bool> condition)
    {
        var until = DateTime.UtcNow.AddSeconds(Math.Max(seconds, Patience));
        var last = "";
        while (DateTime.UtcNow < until)
        {
            try
            {
                if (condition()) return;
            }
            catch (WebDriverException drawingAnew)
            {
                last = drawingAnew.Message;
            }
            Thread.Sleep(120);
        }
        throw new TimeoutException($"Waited {seconds} s for {what}. {last} The page says:\n{Text}");
    }

    /// <summary>The same tablet after its browser was killed, as by an empty battery: a new window on what it kept.</summary>
    public Screen KilledAndOpenedAgain()
    {
        killed = true;
        using (var kill = System.Diagnostics.Process.Start("pkill", ["-9", "-f", $"user-data-dir={profile}"])) kill.WaitForExit();
        Driver.Dispose();
        foreach (var held in Directory.GetFiles(profile, "Singleton*")) File.Delete(held);
        return new Screen(server, profile: profile, staysHere: staysHere);
    }

    /// <summary>How many sheets of A4 this page prints on.</summary>
    public int Pages()
    {
        var pdf = Convert.FromBase64String((string)((Dictionary<string, object>)Driver.ExecuteCdpCommand("Page.printToPDF", new Dictionary<string, object?> { ["paperWidth"] = 8.27, ["paperHeight"] = 11.69 })!)["data"]);
        return System.Text.RegularExpressions.Regex.Count(System.Text.Encoding.Latin1.GetString(pdf), @"/Type\s*/Page[^s]");
    }

    /// <summary>Cuts this window's network, or gives it back; the service worker has one of its own, and may send from there.</summary>
    public void Network(bool isThere, bool background = false)
    {
        Driver.ExecuteCdpCommand("Browser.setPermission", new Dictionary<string, object?> { ["permission"] = new Dictionary<string, object?> { ["name"] = "background-sync" }, ["setting"] = isThere || background ? "granted" : "denied" });
        Driver.ExecuteCdpCommand("Network.enable", []);
        Driver.ExecuteCdpCommand("Network.emulateNetworkConditions", new Dictionary<string, object?> { ["offline"] = !isThere, ["latency"] = 0, ["downloadThroughput"] = -1, ["uploadThroughput"] = -1 });
    }

    public void Dispose()
    {
        if (killed) return;
        Driver.Quit();
        Driver.Dispose();
        Directory.Delete(profile, true);
    }

    private void Do(string what, Action action) => Wait(15, what, () =>
    {
        try
        {
            action();
            return true;
        }
        catch (InvalidOperationException)
        {
            return false;
        }
    });

    private IWebElement Visible(string xpath) => Seen("""
        const found = document.evaluate(arguments[0], document, null, XPathResult.ORDERED_NODE_SNAPSHOT_TYPE)
        return Array.from({ length: found.snapshotLength }, (_, i) => found.snapshotItem(i))
        """, xpath).FirstOrDefault() ?? throw new NoSuchElementException(xpath);

    /// <summary>Of what a script finds, that which is drawn and can be used. One question to the browser, where an element asked for this and that takes four.</summary>
    private IEnumerable<IWebElement> Seen(string script, params object[] arguments) => ((IEnumerable<object>)Driver.ExecuteScript(
        $$"""
        const found = (function () { {{script}} }).apply(null, arguments)
        return found.filter((e) => e.checkVisibility({ visibilityProperty: true, opacityProperty: true }) && e.getClientRects().length > 0 && !e.disabled)
        """, arguments)!).Cast<IWebElement>();

    private static string Quote(string text) => text.Contains('\'', StringComparison.Ordinal) ? $"\"{text}\"" : $"'{text}'";

    private static string OnPath(string program) => (Environment.GetEnvironmentVariable("PATH") ?? "").Split(':')
        .Select(folder => Path.Combine(folder, program)).FirstOrDefault(File.Exists)
        ?? throw new InvalidOperationException($"{program} is not on the PATH; ./test installs it.");
}
