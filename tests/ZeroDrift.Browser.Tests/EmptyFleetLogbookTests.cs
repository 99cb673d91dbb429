using OpenQA.Selenium;

namespace ZeroDrift.Browser.Tests;

/// <summary>A fleet with nothing in it takes its old records from a file: the engine is made on the way, and a second person signs beside the first.</summary>
[Trait("Length", "long")]
public sealed class EmptyFleetLogbookTests : IDisposable
{
    private readonly RunningServer server = new(demo: false);
    private readonly Screen screen;

    public EmptyFleetLogbookTests() => screen = new Screen(server);

    [Fact]
    public void The_first_sample_makes_its_engine_and_its_record_is_countersigned()
    {
        screen.Open("/logbook");
        Choose();
        screen.See("One engine is not in the yard");
        screen.See("The book is empty.");

        screen.Open("/book-new");
        screen.Fill("What it is", "D4");
        screen.Fill("Where they come from", "handbook");
        screen.FillFour("0.2", "0.25");
        screen.Press("Put it in the book");
        screen.See("D4: two stops");

        screen.Open("/logbook");
        Choose();
        screen.Press("Make Engine 1");
        screen.Wait(10, "the name from the file", () => screen.Field("Name, as it is called in the yard").GetAttribute("value") == "Engine 1");
        screen.Fill("Site", "Yard");
        screen.Press("Add the engine");
        screen.Press("Import 26 readings");
        screen.See("Brought in: 26 readings in 2 new visits.");

        screen.Open("/");
        screen.Press("Engine 1");
        screen.Press("3 Oct 2025");
        screen.Press("Countersign");
        screen.AddPerson("Who measured again", "Tove");
        screen.Fill("1E", "0,24");
        screen.Press("Sign beside it");
        screen.See("0.24 by Tove, who countersigned");
    }

    [Fact]
    public void On_a_phone_the_places_stand_in_a_drawer()
    {
        screen.Width(390);
        screen.Open("/");
        screen.Press("Go to");
        screen.Press("Settings");
        screen.See("Feel repeats within");
        screen.Wait(5, "the drawer to be gone", () => !screen.Driver.FindElements(By.CssSelector("[role=dialog]")).Any(d => d.Displayed));
    }

    public void Dispose()
    {
        screen.Dispose();
        server.Dispose();
    }

    private void Choose() => screen.SendFile(Path.Combine(RunningServer.Root, "samples/first-logbook.csv"));
}
