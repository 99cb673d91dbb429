using System.Text.Json;
using OpenQA.Selenium;

namespace ZeroDrift.Browser.Tests;

/// <summary>Every page for everyone: WCAG 2.2 A and AA by axe-core, large enough, nothing cut off, at three widths and in both lights.</summary>
public sealed class ForEveryoneTests : IClassFixture<DemoServer>
{
    private static readonly string Axe = File.ReadAllText(Path.Combine(RunningServer.Root, "web/node_modules/axe-core/axe.min.js"));
    private static readonly int[] Widths = [1280, 768, 390];
    private readonly Screen screen;

    public ForEveryoneTests(DemoServer demo) => screen = demo.Fresh();

    [Theory]
    [InlineData("/")]
    [InlineData("/book")]
    [InlineData("/drift")]
    public void A_page_is_for_everyone(string path)
    {
        screen.Open(path);
        Settle();
        NoFaults();
    }

    [Theory]
    [Trait("Length", "long")]
    [InlineData("/at-the-engine")]
    [InlineData("/book-new")]
    [InlineData("/settings")]
    [InlineData("/pocket/where-to-stop")]
    [InlineData("/pocket/screw")]
    [InlineData("/logbook")]
    [InlineData("/hours")]
    [InlineData("/plan")]
    [InlineData("/shims")]
    [InlineData("/shims?do=count")]
    [InlineData("/shims?do=ledger")]
    [InlineData("/help")]
    [InlineData("/year")]
    [InlineData("/plan/limits")]
    [InlineData("/this-tablet")]
    [InlineData("/install")]
    [InlineData("/engines/00000000-0000-7000-8000-000000000000")]
    public void So_is_every_other(string path) => A_page_is_for_everyone(path);

    [Fact]
    [Trait("Length", "long")]
    public void The_shim_bench_and_its_job_are_for_everyone()
    {
        screen.Open("/shims");
        screen.Press("Lorry 6");
        screen.See("Tray card");
        Settle();
        NoFaults();

        screen.Press("The bench");
        screen.See("shims move");
        Settle();
        NoFaults();
    }

    [Fact]
    public void The_pages_of_an_engine_are_for_everyone()
    {
        screen.Press("Skarv · port main");
        screen.See("against engine hours");
        var engine = new Uri(screen.Driver.Url).AbsolutePath;
        Settle();
        NoFaults();

        screen.Open(engine + "/drift");
        screen.See("What the figures say");
        Settle();
        NoFaults();

        screen.Open("/settings");
        screen.Wait(10, "somebody's hand", () => screen.Driver.FindElements(By.PartialLinkText("hand")).Count > 0);
        screen.Driver.FindElements(By.PartialLinkText("hand")).First().Click();
        screen.See("Check on known gaps");
        Settle();
        NoFaults();

        screen.Open(engine + "/open");
        screen.See("Hour meter shows now");
        Settle();
        NoFaults();

        screen.Open(engine);
        screen.See("Ledger");
        screen.Wait(10, "a line of the ledger", () => screen.Driver.FindElements(By.CssSelector("table.ledger a")).Count > 0);
        screen.Driver.FindElements(By.CssSelector("table.ledger a")).First().Click();
        screen.See("Does this visit count for the trend?");
        Settle();
        NoFaults();
    }

    [Fact]
    public void The_bench_and_the_crank_are_for_everyone_and_every_key_at_the_engine_is_as_large_as_a_thumb()
    {
        screen.Open("/at-the-engine");
        screen.Press("Lorry 4");
        screen.See("MEASURE AS FOUND");
        Settle();
        NoFaults(everyKey: true);

        screen.Open(new Uri(screen.Driver.Url).AbsolutePath + "/crank");
        screen.See("Hold it here.");
        Settle();
        NoFaults(everyKey: true);
    }

    [Fact]
    public void A_dialog_is_for_everyone_and_begins_in_its_first_field()
    {
        screen.Press("Add an engine");
        screen.See("Name, as it is called in the yard");
        screen.Wait(10, "the focus in the first field", () => screen.Driver.SwitchTo().ActiveElement().Equals(screen.Field("Name, as it is called in the yard")));
        Settle();
        NoFaults();
    }

    [Fact]
    public void At_twice_the_size_nothing_is_cut_off()
    {
        // 200 % on a screen of 1280 px is a screen of 640: WCAG 2.2, success criteria 1.4.4 and 1.4.10.
        foreach (var path in (string[])["/", "/book", "/book-new", "/pocket/screw", "/settings"])
        {
            screen.Open(path);
            Settle();
            screen.Width(640);
            if (Overflow() is { Length: > 0 } wide) Assert.Fail($"{path}: {wide}");
            screen.Width(1280);
        }
    }

    [Fact]
    public void The_ring_of_the_focus_stands_out_from_what_is_under_it()
    {
        // WCAG 2.2, success criterion 1.4.11: 3 to 1.
        foreach (var theme in (string[])["light", "dark"])
        {
            Light(theme);
            foreach (var css in (string[])["nav a", "#find", "select", ".btn-plain", ".settings button"])
            {
                var shown = (Dictionary<string, object>)screen.Driver.ExecuteScript("""
                    const e = document.querySelector(arguments[0]); e.focus({ focusVisible: true });
                    const s = getComputedStyle(e); return { width: parseFloat(s.outlineWidth), style: s.outlineStyle, colour: s.outlineColor, ground: getComputedStyle(document.body).backgroundColor };
                    """, css)!;
                Assert.True(Convert.ToDouble(shown["width"], System.Globalization.CultureInfo.InvariantCulture) >= 2 && (string)shown["style"] == "solid", $"{css} in {theme}: {JsonSerializer.Serialize(shown)}");
                Assert.True(Contrast.Of((string)shown["colour"], (string)shown["ground"]) >= 3, $"{css} in {theme}: {shown["colour"]} on {shown["ground"]}");
            }
        }
    }

    private void NoFaults(bool everyKey = false)
    {
        var faults = Faults(everyKey);
        if (faults.Count > 0) Assert.Fail(string.Join('\n', faults));
    }

    /// <summary>What is wrong with the page as it stands, at every width and in both lights.</summary>
    private List<string> Faults(bool everyKey = false)
    {
        var faults = new List<string>();
        screen.Driver.ExecuteScript(Axe);
        // A colour on its way from one light to the other is nobody's.
        screen.Driver.ExecuteCdpCommand("Emulation.setEmulatedMedia", new Dictionary<string, object?> { ["features"] = new object[] { new Dictionary<string, object> { ["name"] = "prefers-reduced-motion", ["value"] = "reduce" } } });
        foreach (var width in Widths)
        {
            screen.Width(width);
            foreach (var theme in (string[])["light", "dark"])
            {
                Light(theme);
                var found = (IReadOnlyCollection<object>)screen.Driver.ExecuteAsyncScript("""
                    const done = arguments[arguments.length - 1];
                    const all = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
                    axe.run(document, { runOnly: arguments[0] ? ['color-contrast'] : all, resultTypes: ['violations'] })
                      .then((r) => done(r.violations.map((v) => v.id + ': ' + v.nodes.slice(0, 3).map((n) => n.html.slice(0, 140)).join(' | '))));
                    """, theme == "dark")!; // only colours change with the light
                faults.AddRange(found.Select(f => $"{width} {theme}: {f}"));
            }
            Light("light");
            if (Overflow() is { Length: > 0 } wide) faults.Add($"{width}: scrolls sideways, {wide}");
            faults.AddRange(SmallText().Select(t => $"{width}: text under 12 px, {t}"));
            faults.AddRange(SmallKeys(everyKey ? "button, a, select, input, [role=checkbox]" : "header.top a, header.top button, .btn").Select(k => $"{width}: under 44 px, {k}"));
        }
        screen.Width(1280);
        return faults;
    }

    private void Light(string theme)
    {
        screen.Driver.ExecuteScript("document.documentElement.setAttribute('data-bs-theme', arguments[0])", theme);
    }

    private string Overflow()
    {
        Thread.Sleep(120);
        return (string)screen.Driver.ExecuteScript("""
            const room = document.documentElement.clientWidth;
            if (document.documentElement.scrollWidth <= room + 1) return '';
            const out = [...document.querySelectorAll('body *')].filter((e) => e.getBoundingClientRect().right > room + 1 && !e.closest('.table-responsive'));
            return document.documentElement.scrollWidth + ' px: ' + out.slice(0, 4).map((e) => e.tagName + '.' + e.className + ' ' + Math.round(e.getBoundingClientRect().right)).join(', ');
            """)!;
    }

    private IEnumerable<string> SmallText() => ((IReadOnlyCollection<object>)screen.Driver.ExecuteScript("""
        const small = [];
        const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        for (let n = walk.nextNode(); n; n = walk.nextNode()) {
          if (!n.textContent.trim()) continue;
          const e = n.parentElement;
          if (!e || e.closest('.visually-hidden, .visually-hidden-focusable, title, option, style, script') || !e.getClientRects().length) continue;
          const scale = e.ownerSVGElement ? e.getScreenCTM().a : 1;
          const size = parseFloat(getComputedStyle(e).fontSize) * Math.abs(scale);
          if (size < 11.95) small.push(n.textContent.trim().slice(0, 24) + ' ' + size.toFixed(1));
        }
        return small.slice(0, 5);
        """)!).Cast<string>();

    private IEnumerable<string> SmallKeys(string css) => ((IReadOnlyCollection<object>)screen.Driver.ExecuteScript("""
        return [...document.querySelectorAll(arguments[0])].filter((e) => e.offsetParent && !e.closest('.visually-hidden, p, li, .skip') && e.type !== 'date' && !(e.type === 'checkbox'))
          .map((e) => [e, e.getBoundingClientRect()]).filter(([, r]) => r.width > 0 && (r.height < 43.5 || r.width < 43.5))
          .map(([e, r]) => (e.getAttribute('aria-label') || e.textContent.trim() || e.className).slice(0, 30) + ' ' + Math.round(r.width) + '×' + Math.round(r.height)).slice(0, 5);
        """, css)!).Cast<string>();

    private void Settle()
    {
        screen.Wait(15, "a heading", () => screen.Driver.FindElements(By.TagName("h1")).Count == 1);
        screen.Wait(15, "everything asked to have come", () => !screen.Text.Contains("Looking…", StringComparison.Ordinal));
        Thread.Sleep(400);
    }
}
