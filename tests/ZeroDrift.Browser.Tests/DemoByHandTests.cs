using OpenQA.Selenium;

namespace ZeroDrift.Browser.Tests;

/// <summary>The demo as the planner, the apprentice and somebody on a small tablet use it.</summary>
public sealed class DemoByHandTests : IClassFixture<DemoServer>
{
    private readonly Screen screen;

    public DemoByHandTests(DemoServer demo) => screen = demo.Fresh();

    [Fact]
    public void At_768_px_nothing_is_cut_off_and_every_key_at_the_engine_is_large_enough()
    {
        screen.Width(768);
        screen.Open("/");
        screen.See("Lorry 4");
        Assert.False(Overflows(screen), "the yard scrolls sideways");

        screen.Open("/at-the-engine");
        screen.Press("Lorry 4");
        screen.See("MEASURE AS FOUND");
        Assert.False(Overflows(screen), "the overhead scrolls sideways");
        var small = (IReadOnlyCollection<object>)screen.Driver.ExecuteScript("""
            return [...document.querySelectorAll('main button')].filter((b) => b.offsetParent && b.getBoundingClientRect().height < 44)
              .map((b) => b.textContent.trim() + ' ' + b.getBoundingClientRect().height);
            """)!;
        Assert.Empty(small);
    }

    [Fact]
    public void The_planner_reads_why_an_engine_is_due_and_follows_a_point_through_its_history()
    {
        screen.Open("/");
        screen.Press("Skarv · starboard main");
        screen.See("Drift decides: now");
        screen.See("2E has worn fast all its life");
        screen.See("unlike its siblings");
        screen.Wait(10, "the chart", () => screen.Driver.FindElements(By.CssSelector("section[aria-label='Clearance against engine hours'] svg")).Count > 0);

        screen.Driver.FindElement(By.CssSelector("[data-point='5I']")).Click();
        screen.See("5I against engine hours");
        screen.Press("SL6-11");
        screen.See("SL6-11: two stops");
        screen.See("1 on compression, 6 rocks.");
    }

    [Fact]
    public void A_signed_figure_is_corrected_with_who_and_why_and_the_old_one_stays()
    {
        screen.Open("/");
        screen.Press("Depot tractor");
        screen.See("Ledger");
        screen.Wait(10, "a line of the ledger", () => screen.Driver.FindElements(By.CssSelector("table.ledger a")).Count > 0);
        screen.Driver.FindElements(By.CssSelector("table.ledger a")).First().Click();
        screen.See("Does this visit count for the trend?");
        screen.Driver.FindElement(By.CssSelector("button[aria-label='Correct 1E']")).Click();
        screen.Fill("It should read", "15");
        screen.Driver.FindElement(By.CssSelector(".modal [aria-label=Unit]")).SendKeys("thou");
        screen.Choose("Who corrects it", "Tove");
        screen.Press("Keep the correction");
        screen.See("Say why; the old figure stays");

        screen.Fill("Why", "Read off the wrong blade.");
        screen.Press("Keep the correction");

        screen.See("before:");
        screen.See("Read off the wrong blade.");
    }

    [Fact]
    public void A_record_of_two_dozen_points_with_injectors_and_brakes_prints_on_two_pages()
    {
        screen.Open("/");
        screen.Press("Lorry 5");
        screen.See("More…");
        // The page still grows while it is drawn: whoever hits beside it presses again.
        screen.Wait(20, "the record", () =>
        {
            screen.Driver.FindElements(By.CssSelector("a[href*='/record']")).First(a => a.Displayed).Click();
            return screen.Driver.Url.EndsWith("/record", StringComparison.Ordinal);
        });
        screen.See("HOW MEASURED");
        screen.See("6B");
        screen.See("the roller freewheels");
        Assert.True(screen.Pages() <= 2, $"{screen.Pages()} pages");
    }

    [Fact]
    public void Thou_and_millimetres_change_places_everywhere()
    {
        screen.Open("/");
        screen.See("where 0.35 is the least");

        screen.Driver.FindElement(By.XPath("//button[normalize-space(.)='mm']")).Click();

        screen.See("where 13.8 is the least");
    }

    [Fact]
    public void A_meter_reading_below_the_last_is_refused_and_one_that_could_be_two_figures_is_asked()
    {
        screen.Open("/");
        screen.Press("Show them");
        screen.Press("Set 1");
        screen.Press("More…");
        screen.Press("Read the meter");
        screen.Fill("The meter shows", "12");
        screen.Press("Keep the reading");
        screen.See("12 h is below the");
        screen.Fill("The meter shows", "99999999");
        screen.Press("Keep the reading");
        screen.See("Engine hours must be from 0 to 1000000 h");
        screen.Fill("The meter shows", "3,200");
        screen.Press("Keep the reading");
        screen.See("could be 3.2 h or 3200 h: say which.");
        screen.Press("3200 h");
        screen.Press("Keep the reading");
        screen.SeeNo("say which");
    }

    [Fact]
    public void The_mate_at_the_crank_sees_only_the_stop_and_the_turn()
    {
        screen.Open("/at-the-engine");
        screen.Press("Lorry 4");
        screen.See("MEASURE AS FOUND");
        screen.Open(new Uri(screen.Driver.Url).AbsolutePath + "/crank");

        screen.See("Hold it here.");
        screen.See("1 on compression, 4 rocks.");
        Assert.Empty(screen.Driver.FindElements(By.CssSelector("main button, main input")));
    }

    [Fact]
    public void A_spot_check_cannot_begin_while_the_engine_is_open_and_the_page_leads_there()
    {
        screen.Open("/");
        screen.Press("Lorry 4");
        screen.See("Go on with the open visit");
        screen.Open(new Uri(screen.Driver.Url).AbsolutePath + "/open");
        screen.Fill("Hour meter shows now", "99000");
        screen.Choose("Who does the work", "Olav");
        screen.Press("Open the engine");

        screen.See("This engine is open already.");
        screen.Press("Go there");
        screen.See("MEASURE AS FOUND");
    }

    [Fact]
    public void An_address_that_leads_nowhere_leads_back()
    {
        screen.Open("/no/such/place");
        screen.See("There is nothing at this address.");
        screen.Press("Back to the yard");
        screen.See("hours from today to the first limit");
    }

    private static bool Overflows(Screen screen) => (bool)screen.Driver.ExecuteScript("return document.documentElement.scrollWidth > window.innerWidth + 1")!;
}

/// <summary>One demo server for a class of tests.</summary>
public sealed class DemoServer : IDisposable
{
    private readonly RunningServer server = new(demo: true);
    private readonly Screen screen;

    public DemoServer() => screen = new Screen(server);

    /// <summary>The one screen of the class, as somebody sits down at it: nothing chosen, of the usual size.</summary>
    public Screen Fresh()
    {
        screen.Open("/help");
        screen.Driver.ExecuteScript("localStorage.clear()");
        screen.Width(1280);
        screen.Open("/");
        screen.See("Skarv · port main", 30);
        return screen;
    }

    public void Dispose()
    {
        screen.Dispose();
        server.Dispose();
    }
}
