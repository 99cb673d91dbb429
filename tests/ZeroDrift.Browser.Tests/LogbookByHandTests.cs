using OpenQA.Selenium;

namespace ZeroDrift.Browser.Tests;

/// <summary>The sample logbook, brought in through the page.</summary>
[Trait("Length", "long")]
public sealed class LogbookByHandTests : IDisposable
{
    private readonly RunningServer server = new(demo: true);
    private readonly Screen screen;

    public LogbookByHandTests() => screen = new Screen(server);

    [Fact]
    public void The_sample_file_is_understood_before_it_is_saved_and_adds_nothing_twice()
    {
        screen.Open("/logbook");
        Choose("samples/logbook.csv");
        screen.See("new readings in");
        screen.See("semicolon separated, decimal comma");
        screen.See("1 row cannot be taken");

        screen.Press("Import the good rows only");
        screen.See("Brought in:");

        Choose("samples/logbook.csv");
        screen.See("already there");
        Assert.DoesNotContain("Import", screen.Text.Split("Import a logbook")[1], StringComparison.Ordinal);

        screen.Open("/");
        screen.Press("Show them");
        screen.Press("Verge mower 2");
        screen.See("From a logbook.");
    }

    [Fact]
    public void A_file_that_is_no_logbook_gets_a_sentence()
    {
        screen.Open("/logbook");
        var picture = Path.GetTempFileName();
        File.WriteAllBytes(picture, [0x89, 0x50, 0x4E, 0x47, 0, 0, 0, 13]);
        Send(picture);
        screen.See("This is not a text file.");

        File.WriteAllBytes(picture, []);
        Send(picture);
        screen.See("The file is empty");
        File.Delete(picture);
    }

    [Fact]
    public void The_yard_finds_filters_and_opens_by_keyboard()
    {
        screen.Open("/");
        screen.See("Skarv · port main");
        screen.See("tight valves wait to be set");
        screen.Driver.FindElement(By.Id("find")).SendKeys("lomvi");
        screen.See("3 of 26 engines");
        screen.Keys(Keys.Enter);
        screen.See("against engine hours");
        screen.Driver.FindElement(By.TagName("body")).SendKeys("?");
        screen.See("Keys of this screen");
        screen.See("Press a valve for its history");
        screen.Keys(Keys.Escape);
        screen.Wait(10, "the help to close", () => screen.Driver.FindElements(By.CssSelector(".modal")).All(m => !m.Displayed));

        // From anywhere to any engine, type, person or page.
        // Typed straight on, before the field is there.
        screen.Driver.FindElement(By.TagName("body")).SendKeys("/lorry 6");
        screen.Wait(10, "Lorry 6 to be found", () => screen.Driver.FindElements(By.CssSelector("[role=option]")).Any(o => o.Text.Contains("Lorry 6", StringComparison.Ordinal)));
        screen.Keys(Keys.Enter);
        screen.Wait(10, "Lorry 6", () => screen.Driver.FindElement(By.TagName("h1")).Text.Contains("Lorry 6", StringComparison.Ordinal));
    }

    public void Dispose()
    {
        screen.Dispose();
        server.Dispose();
    }

    private void Choose(string sample) => Send(Path.Combine(RunningServer.Root, sample));

    private void Send(string file) => screen.SendFile(file);
}
