using OpenQA.Selenium;

namespace ZeroDrift.Browser.Tests;

/// <summary>The server goes away and comes back: what was on the screen stays with its age, nothing typed is lost, and all comes up to date by itself.</summary>
[Trait("Length", "long")]
public sealed class ServerGoneTests : IDisposable
{
    private readonly RunningServer server = new(demo: true);
    private readonly Screen screen;

    public ServerGoneTests() => screen = new Screen(server, staysHere: true);

    [Fact]
    public void Every_main_screen_keeps_what_it_showed_and_comes_back_by_itself()
    {
        (string Path, string Shows)[] pages = [("/", "Skarv · port main"), ("/at-the-engine", "Lorry 4"), ("/book", "GL4-5"), ("/settings", "Warn of drift at"), ("/logbook", "Import a logbook"), ("/pocket/screw", "1/16 turn")];
        foreach (var (path, shows) in pages)
        {
            screen.Open(path);
            See(shows);
        }
        screen.Open("/");
        See("Skarv · port main");
        screen.Press("Skarv · port main");
        See("against engine hours");
        // The other pages come in a quiet moment.
        Thread.Sleep(2500);
        server.Kill();

        foreach (var (menu, shows) in new[] { ("Yard", "Skarv · port main"), ("At the engine", "At the engine"), ("Book", "Book"), ("Import and export", "Import a logbook"), ("Settings", "Settings") })
        {
            if (menu is "Import and export" or "Settings") screen.Press("More");
            screen.Driver.FindElement(By.XPath($"//nav[@aria-label='Main']//a[normalize-space(.)='{menu}']")).Click();
            See(shows);
            if (menu == "Yard") screen.See("The server cannot be reached since", 20);
        }
        Assert.DoesNotContain("empty", screen.Text, StringComparison.OrdinalIgnoreCase);

        server.Restart();
        screen.Wait(30, "the note about the server to be gone", () => !screen.Text.Contains("cannot be reached", StringComparison.Ordinal));
        See("Warn of drift at");
    }

    [Fact]
    public void A_form_sent_to_a_server_that_is_gone_keeps_all_that_was_typed()
    {
        screen.Open("/");
        screen.Press("Show them");
        screen.Press("Set 1");
        screen.Press("More…");
        screen.Press("Read the meter");
        screen.Fill("The meter shows", "99000");
        server.Kill();
        screen.Press("Keep the reading");

        screen.See("The server cannot be reached. What you typed is still here");
        Assert.Equal("99000", screen.Field("The meter shows").GetDomProperty("value"));

        server.Restart();
        screen.Wait(30, "the server to be back", () => !screen.Text.Contains("cannot be reached since", StringComparison.Ordinal));
        screen.Press("Keep the reading");
        screen.See("more than 24 h a day");
        Assert.True(screen.Driver.SwitchTo().ActiveElement().Equals(screen.Field("The meter shows")), "the focus is in the field that was refused");
    }

    [Fact]
    public void Two_tabs_of_one_machine_share_one_outbox_and_neither_loses_a_tap()
    {
        screen.Open("/at-the-engine");
        screen.Press("Lorry 4");
        See("MEASURE AS FOUND");
        screen.Driver.FindElement(By.CssSelector(".who select")).SendKeys("Olav");
        var visit = new Uri(screen.Driver.Url).AbsolutePath;
        var first = screen.Driver.CurrentWindowHandle;
        screen.Driver.SwitchTo().NewWindow(WindowType.Tab);
        var second = screen.Driver.CurrentWindowHandle;
        screen.Open(visit);
        See("MEASURE AS FOUND");
        server.Kill();

        screen.Try("0.25", "Slides free");
        screen.See("Saved on this machine");
        screen.Driver.SwitchTo().Window(first);
        screen.Wait(10, "the other tab's tap", () => screen.Text.Contains("1 entry waits to be sent", StringComparison.Ordinal));
        // Whoever goes on with a reading has seen it: before that a tap begins one of its own.
        screen.See("Reads over 0.25");
        screen.Try("0.30", "No go");
        screen.Wait(10, "both taps waiting", () => screen.Text.Contains("2 entries wait to be sent", StringComparison.Ordinal));

        server.Restart();
        screen.See("Saved on the server.", 30);
        screen.See("between 0.25 and 0.30");
        screen.Driver.SwitchTo().Window(second);
        screen.See("Saved on the server.", 30);
        screen.See("between 0.25 and 0.30");
    }

    public void Dispose()
    {
        screen.Dispose();
        server.Dispose();
    }

    private void See(string text) => screen.See(text, 20);
}
