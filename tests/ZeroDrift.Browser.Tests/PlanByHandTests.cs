using System.Net.Http.Json;
using System.Text.Json;
using OpenQA.Selenium;

namespace ZeroDrift.Browser.Tests;

/// <summary>What a lead hand does of a morning: hours in, what is due planned, a job moved, the plan published, a card, and the visit begun from it.</summary>
[Trait("Length", "long")]
public sealed class PlanByHandTests : IDisposable
{
    private readonly RunningServer server = new(demo: true);
    private readonly Screen screen;

    public PlanByHandTests() => screen = new Screen(server);

    [Fact]
    public void A_job_is_moved_by_keys_published_put_on_a_card_and_started_from_it()
    {
        screen.Open("/plan");
        screen.See("have their day.");
        var block = screen.Driver.FindElement(By.CssSelector("[aria-label^='Lorry 3, Overhead']"));
        var before = block.GetDomAttribute("aria-label");
        block.SendKeys(Keys.Enter);
        screen.See("Why here? Lorry 3");
        screen.Driver.SwitchTo().ActiveElement().SendKeys(Keys.ArrowUp + Keys.ArrowUp);
        screen.See("It cannot stand here: Marit does not know this kind");
        screen.Driver.SwitchTo().ActiveElement().SendKeys(Keys.ArrowDown + Keys.ArrowDown);
        // Whatever day of the week it is: on until a working day that is not its own.
        for (var fits = false; !fits;)
        {
            screen.Driver.SwitchTo().ActiveElement().SendKeys(Keys.ArrowRight);
            screen.Wait(10, "what the day means", () => screen.Driver.FindElement(By.CssSelector(".says")).Text is { } said && (said.Contains("due day", StringComparison.Ordinal) || said.Contains("cannot stand", StringComparison.Ordinal)));
            fits = screen.Driver.FindElement(By.CssSelector(".says")).Text.Contains("after its due day", StringComparison.Ordinal);
        }
        screen.Driver.SwitchTo().ActiveElement().SendKeys(Keys.Enter);
        screen.See("Moved, and pinned there.");
        screen.Wait(10, "the block elsewhere", () => screen.Driver.FindElement(By.CssSelector("[aria-label^='Lorry 3, Overhead']")).GetDomAttribute("aria-label") is { } now && now != before && now.Contains("pinned", StringComparison.Ordinal));

        screen.See("The draft has changed");
        screen.Fill("Who publishes", "Tove");
        screen.Press("Publish it");
        screen.See("The draft is the plan");
        screen.Press("Job card");
        screen.See("Lorry 3: Overhead");
        screen.See("goes before this card");
        screen.Press("Start it");
        screen.See("Hour meter shows now");
        Assert.Contains("jobId=", screen.Driver.Url, StringComparison.Ordinal);
        Assert.Equal("open", Job().GetProperty("state").GetString());
    }

    [Fact]
    public void Somebody_is_ill_the_board_says_what_cannot_stand_and_planning_again_moves_only_that()
    {
        screen.Open("/plan");
        screen.See("can no longer stand where");
        screen.See("is off on");
        screen.Press("Plan again");
        screen.See("Otherwise than in plan 1, which was published", 90);
        screen.SeeNo("can no longer stand where");

        screen.Press("Do it in the same visit");
        screen.See("is due with it now");
        screen.Open("/plan?view=machine");
        screen.Wait(15, "a row for a machine", () => screen.Driver.FindElements(By.CssSelector("[data-row='Skarv']")).Count == 1);
        screen.Open("/plan?view=list");
        screen.Wait(15, "the plan as a list", () => screen.Driver.FindElements(By.XPath("//table//th[.='Day']")).Count == 1);
    }

    [Fact]
    public void A_round_takes_what_fits_and_a_figure_that_cannot_be_right_is_decided()
    {
        screen.Open("/hours");
        screen.See("Every figure that came in is in its meter.");
        screen.Fill("Lorry 1", "12");
        screen.Press("Take 1 figure");
        screen.See("One figure waits to be decided.");
        screen.See("12 h is below the");
        screen.Press("The meter was replaced…");
        screen.Press("Take it");
        screen.See("Every figure that came in is in its meter.");
        screen.See("12 h on");
    }

    public void Dispose()
    {
        screen.Dispose();
        server.Dispose();
    }

    private JsonElement Job()
    {
        using var client = new HttpClient();
        return client.GetFromJsonAsync<JsonElement>(server.Url("/api/jobs")).GetAwaiter().GetResult().EnumerateArray().First(j => j.GetProperty("engine").GetString() == "Lorry 3");
    }
}
