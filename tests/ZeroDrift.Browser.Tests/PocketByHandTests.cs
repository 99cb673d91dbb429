using OpenQA.Selenium;

namespace ZeroDrift.Browser.Tests;

/// <summary>The calculators as a person uses them.</summary>
[Trait("Length", "long")]
public sealed class PocketByHandTests : IDisposable
{
    private readonly RunningServer server = new(demo: false);
    private readonly Screen screen;

    public PocketByHandTests() => screen = new Screen(server, 1024, 768);

    [Fact]
    public void Every_calculator_answers_as_it_opens_and_shows_its_working_and_source()
    {
        screen.Open("/pocket");
        screen.See("to spare");
        var names = screen.Driver.FindElements(By.CssSelector("nav[aria-label=Calculators] a")).Select(a => a.Text).ToList();
        Assert.True(names.Count >= 19, string.Join(", ", names));

        foreach (var name in names)
        {
            screen.Press(name);
            screen.Wait(20, $"'{name}' to answer", () => screen.Driver.FindElement(By.CssSelector("form h2")).Text == name && screen.Driver.FindElements(By.CssSelector(".answer .sentence:not(.complaint)")).Count == 1);
            screen.Press("Working and source");
            Assert.NotEmpty(screen.Driver.FindElements(By.CssSelector("details[open] li")));
            Assert.Contains("SOURCE", screen.Text, StringComparison.Ordinal);
        }
    }

    [Fact]
    public void A_link_carries_the_question_and_thou_work_like_millimetres()
    {
        screen.Open("/pocket/screw");
        screen.See("32°, a bit over 1/16 turn, anticlockwise.");
        screen.Fill("Clearance now", "0.25");
        screen.See("1/8 turn");
        screen.Wait(5, "the link to hold the figure", () => screen.Driver.Url.Contains("measured=0.25", StringComparison.Ordinal));

        screen.Open(new Uri(screen.Driver.Url).PathAndQuery);
        screen.See("1/8 turn");

        screen.Driver.FindElement(By.XPath("//button[normalize-space(.)='mm']")).Click();
        screen.See("Clearance now, thou");
        screen.See("1/8 turn");
    }

    [Fact]
    public void Nonsense_is_told_at_the_field_or_in_the_answer_and_the_rest_stays()
    {
        screen.Open("/pocket/screw");
        screen.See("anticlockwise");
        screen.Fill("Screw pitch", "fine");
        screen.See("'fine' is not a number.");
        screen.Fill("Screw pitch", "0");
        screen.See("The thread pitch must be more than 0");
        Assert.Equal("0.40", screen.Field("Clearance wanted").GetDomProperty("value"));

        screen.Open("/pocket/blades");
        screen.Fill("Blade and feel", "0.25 free\n0.20 no go");
        screen.See("both cannot be");
    }

    public void Dispose()
    {
        screen.Dispose();
        server.Dispose();
    }
}
