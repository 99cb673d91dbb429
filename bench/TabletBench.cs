using System.Globalization;
using System.Text.Json;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using ZeroDrift.Tests;

namespace ZeroDrift.Bench;

/// <summary>
/// The core in a tablet's browser, on the engine of the demo with the most valves: its size on the wire, its start with nothing kept and with
/// everything kept, and the time from a tap to the verdict on the screen, the tap written down on the disk between. Headless Chromium; needs
/// ./run or ./test to have built the front end.
/// </summary>
internal static class TabletBench
{
    private const int Starts = 5;

    public static async Task RunAsync(int taps)
    {
        var packed = Directory.GetFiles(Path.Combine(BuiltServer.Root, "web/dist/tablet"), "*.br", SearchOption.AllDirectories);
        Say("size, Brotli", $"{packed.Sum(f => new FileInfo(f).Length) / 1e6:0.000} MB in {packed.Length} files");
        var data = Directory.CreateTempSubdirectory("zero-drift-bench-").FullName;
        using var server = new BuiltServer(data, "--web", Path.Combine(BuiltServer.Root, "web/dist"), "--demo");
        if (!await server.IsReadyAsync()) throw new InvalidOperationException(server.Said);
        // The demo makes its plan first.
        await Task.Delay(20_000);

        var cold = Enumerable.Range(0, Starts).Select(_ => Fresh(browser => StartOf(browser, server))).ToList();
        Say("start, nothing kept", Spread(cold));
        var (visit, points) = await OpenAsync(server);
        Say("a bench shown, nothing kept", Spread([.. Enumerable.Range(0, Starts).Select(_ => Fresh(browser => ShownAt(browser, server, visit.Id)))]));

        var kept = Directory.CreateTempSubdirectory("zero-drift-bench-browser-").FullName;
        using (var browser = Browser(kept))
        {
            StartOf(browser, server);
            Thread.Sleep(4_000);
            Say("start, everything kept", Spread([.. Enumerable.Range(0, Starts).Select(_ => StartOf(browser, server))]));
            ShownAt(browser, server, visit.Id);
            Say("a bench shown, everything kept", Spread([.. Enumerable.Range(0, Starts).Select(_ => ShownAt(browser, server, visit.Id))]));
            var (verdicts, folds) = Taps(browser, server, visit, taps);
            Say($"tap to verdict, {points} points", Spread(verdicts));
            Say("the whole sheet with odds and aim-off", Spread(folds));
        }
        Directory.Delete(kept, true);
        server.Kill();
        Directory.Delete(data, true);
    }

    /// <summary>From the page's asking for the core to its being ready, on a page of Pocket.</summary>
    private static double StartOf(ChromeDriver browser, BuiltServer server)
    {
        browser.Navigate().GoToUrl(new Uri(server.Address, "/pocket/screw"));
        for (var i = 0; i < 400; i++, Thread.Sleep(50))
            if (Timed(browser, "core start") is [var ms, ..]) return ms;
        throw new TimeoutException("The core did not start.");
    }

    /// <summary>In a browser that was never here.</summary>
    private static double Fresh(Func<ChromeDriver, double> measure)
    {
        var profile = Directory.CreateTempSubdirectory("zero-drift-bench-browser-").FullName;
        try
        {
            using var browser = Browser(profile);
            return measure(browser);
        }
        finally
        {
            Directory.Delete(profile, true);
        }
    }

    /// <summary>From the address being asked for to the point standing there in large type.</summary>
    private static double ShownAt(ChromeDriver browser, BuiltServer server, Guid visit)
    {
        browser.Navigate().GoToUrl(new Uri(server.Address, $"/visits/{visit}"));
        for (var i = 0; i < 400; i++, Thread.Sleep(50))
            if (browser.ExecuteScript("return self.shownAt ?? null") is { } ms) return Convert.ToDouble(ms, CultureInfo.InvariantCulture);
        throw new TimeoutException("The bench did not come.");
    }

    private static (List<double> Verdicts, List<double> Folds) Taps(ChromeDriver browser, BuiltServer server, (Guid Id, Guid Person) visit, int taps)
    {
        browser.Navigate().GoToUrl(new Uri(server.Address, "/"));
        browser.ExecuteScript("localStorage.setItem('zd-person', arguments[0]); localStorage.setItem('zd-keeps-itself', 'false')", visit.Person.ToString());
        browser.Navigate().GoToUrl(new Uri(server.Address, $"/visits/{visit.Id}"));
        for (var i = 0; i < 200 && !browser.FindElement(By.TagName("body")).Text.Contains("MEASURE AS FOUND", StringComparison.Ordinal); i++) Thread.Sleep(100);
        if (browser.FindElements(By.CssSelector("[aria-label='Blades'] button")).Count == 0) throw new InvalidOperationException("No blades to tap: " + browser.FindElement(By.TagName("body")).Text);
        // From the tap on a blade, which says that it drags, to the drawing after the verdict says something else.
        const string tap = """
            const done = arguments[0];
            const said = () => [...document.querySelectorAll('.verdict')].map((v) => v.innerText).join();
            const blade = document.querySelector("[aria-label='Blades'] button:nth-of-type(6)") ?? document.querySelector("[aria-label='Blades'] button");
            const start = performance.now(), before = said();
            const look = () => (said() !== before ? done(performance.now() - start) : performance.now() - start > 5000 ? done(-1) : requestAnimationFrame(look));
            blade.click();
            requestAnimationFrame(look);
            """;
        var verdicts = new List<double>();
        for (var i = 0; i < taps; i++)
        {
            verdicts.Add(Convert.ToDouble(browser.ExecuteAsyncScript(tap), CultureInfo.InvariantCulture));
            Thread.Sleep(700);
            browser.ExecuteScript("[...document.querySelectorAll('button')].find((b) => b.innerText.trim() === 'Take back').click()");
            Thread.Sleep(700);
        }
        // Those of the first tap are the interpreter's first as well.
        return (verdicts, [.. Timed(browser, "core fold").Skip(4)]);
    }

    /// <summary>A visit of the engine with the most valves and nothing else to set, at its first stop.</summary>
    private static async Task<((Guid Id, Guid Person) Visit, int Points)> OpenAsync(BuiltServer server)
    {
        using var http = server.Client;
        async Task<JsonElement> Get(string path) => JsonSerializer.Deserialize<JsonElement>(await http.GetStringAsync(path));
        var contexts = new List<JsonElement>();
        foreach (var row in (await Get("/api/due")).GetProperty("engines").EnumerateArray().Where(r => !r.TryGetProperty("openOverheadId", out var open) || open.ValueKind == JsonValueKind.Null))
            contexts.Add((await Get($"/api/engines/{row.GetProperty("engineId").GetString()}/take-along")).GetProperty("context"));
        // Screws alone: an injector is set by an amount, shims are found by the lobe, and neither begins with a blade at a stop.
        var context = contexts.Where(c => c.GetProperty("points").EnumerateArray().All(p => p.GetProperty("kind").GetString() is "intake" or "exhaust" && p.GetProperty("adjuster").GetProperty("kind").GetString() == "screw")).MaxBy(c => c.GetProperty("points").GetArrayLength());
        var (visit, by) = (Guid.CreateVersion7(), context.GetProperty("people")[0].GetProperty("id").GetGuid());
        object Entry(object fields)
        {
            var entry = JsonSerializer.SerializeToNode(fields)!.AsObject();
            (entry["id"], entry["at"], entry["by"], entry["device"]) = (Guid.CreateVersion7().ToString(), "2026-11-20T08:00:00Z", by.ToString(), "bench");
            return entry;
        }
        List<object> entries = [Entry(new { kind = "opened", engineId = context.GetProperty("engine").GetProperty("id").GetGuid(), job = "overhead", date = DateTime.Today.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture), shownHours = Hours(context) + 1, setting = "stopFirst", tray = new { unit = "mm", blades = new[] { "0.15", "0.20", "0.25", "0.30", "0.35", "0.40", "0.45", "0.50", "0.55", "0.60", "0.65" } } })];
        entries.AddRange(context.GetProperty("steps").EnumerateArray().Select(s => Entry(new { kind = "ticked", step = s.GetProperty("step").GetString(), on = true })));
        entries.Add(Entry(new { kind = "conditionStated", condition = "cold", engineTemperatureC = 12 }));
        async Task Send(List<object> said) => (await http.PostAsync($"/api/visits/{visit}/entries", new StringContent(JsonSerializer.Serialize(new { after = 0, entries = said }), System.Text.Encoding.UTF8, "application/json"))).EnsureSuccessStatusCode();
        await Send(entries);
        var stop = (await Get($"/api/visits/{visit}")).GetProperty("sheet").GetProperty("stops")[0];
        await Send([Entry(new { kind = "positionProved", crankDeg = stop.GetProperty("crankDeg").GetDouble() })]);
        return ((visit, by), context.GetProperty("points").GetArrayLength());
    }

    private static double Hours(JsonElement context) => context.GetProperty("meter").GetProperty("shownHours") is { ValueKind: JsonValueKind.Number } shown ? shown.GetDouble() : 0;

    private static double[] Timed(ChromeDriver browser, string name) =>
        [.. ((IEnumerable<object>)browser.ExecuteScript("return (self.timed ?? []).filter((t) => t.name === arguments[0]).map((t) => t.duration)", name)!).Select(ms => Convert.ToDouble(ms, CultureInfo.InvariantCulture))];

    private static ChromeDriver Browser(string profile)
    {
        var options = new ChromeOptions { BinaryLocation = OnPath("chromium") };
        options.AddArguments("--headless", "--no-sandbox", "--disable-gpu", "--disable-background-networking", "--disable-sync", "--no-first-run", $"--user-data-dir={profile}", "--window-size=1280,800");
        var service = ChromeDriverService.CreateDefaultService(Path.GetDirectoryName(OnPath("chromedriver")), "chromedriver");
        service.SuppressInitialDiagnosticInformation = true;
        var browser = new ChromeDriver(service, options, TimeSpan.FromSeconds(60));
        browser.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromSeconds(30);
        browser.ExecuteCdpCommand("Page.addScriptToEvaluateOnNewDocument", new Dictionary<string, object?> { ["source"] = "self.timed = []; new PerformanceObserver((l) => self.timed.push(...l.getEntries().map((e) => ({ name: e.name, duration: e.duration })))).observe({ type: 'measure' }); new MutationObserver((_, seen) => { if (document.querySelector('.panel .name')) { self.shownAt = performance.now(); seen.disconnect() } }).observe(document, { childList: true, subtree: true })" });
        return browser;
    }

    private static string OnPath(string program) => (Environment.GetEnvironmentVariable("PATH") ?? "").Split(':').Select(folder => Path.Combine(folder, program)).First(File.Exists);

    private static string Spread(List<double> ms)
    {
        ms.Sort();
        return string.Create(CultureInfo.InvariantCulture, $"median {ms[ms.Count / 2]:0} ms, worst {ms[^1]:0} ms, {ms.Count} times");
    }

    private static void Say(string what, string figure) => Console.WriteLine($"{what,-40} {figure}");
}
