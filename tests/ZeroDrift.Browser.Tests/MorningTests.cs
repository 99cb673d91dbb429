using System.Globalization;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace ZeroDrift.Browser.Tests;

/// <summary>A whole morning, from a figure that comes in to the next date: nothing in between is done for the lead hand.</summary>
[Trait("Length", "long")]
public sealed class MorningTests : IDisposable
{
    private readonly RunningServer server = new(demo: false);
    private readonly Screen screen;
    private readonly HttpClient http;
    private readonly HttpListener fleet = new();
    private readonly string feed;

    public MorningTests()
    {
        screen = new Screen(server);
        http = new HttpClient { BaseAddress = new Uri(server.Url()) };
        feed = $"http://127.0.0.1:{ZeroDrift.Tests.BuiltServer.FreePort()}/";
        fleet.Prefixes.Add(feed);
        fleet.Start();
        _ = AnswerAsync();
    }

    [Fact]
    public void A_feed_brings_hours_the_engine_comes_due_is_planned_dragged_published_carded_opened_signed_and_dated_anew()
    {
        var (engine, mechanic) = SetUp();

        screen.Open("/hours");
        screen.Fill("Feed address (optional)", feed + "fleet.xml");
        screen.Driver.FindElement(By.CssSelector("form[aria-label='From a feed'] button[type=submit]")).Click();
        screen.See("It is asked from now on.");
        screen.Press("Ask now");
        screen.See("1 taken, 0 known already");

        screen.Open("/due");
        screen.See("Barge pump");
        screen.See("book hours");

        screen.Open("/plan");
        screen.Press("Plan again");
        screen.See("One job has its day.", 30);
        var (before, to) = Drag();
        screen.See("Moved, and pinned there.");
        Assert.NotEqual(before, to);
        Assert.Equal(to, Planned());

        screen.See("Not published yet");
        screen.Fill("Who publishes", "Marit");
        screen.Press("Publish it");
        screen.See("The draft is the plan");
        screen.Driver.FindElement(By.CssSelector("[aria-label^='Barge pump, Overhead']")).Click();
        screen.Press("Job card");
        screen.See("goes before this card");
        Assert.True(Convert.FromBase64String(screen.Driver.Print(new PrintOptions()).AsBase64EncodedString).Length > 5000);

        screen.Press("Start it");
        screen.See("Hour meter shows now");
        screen.Fill("Hour meter shows now", "1096");
        screen.Choose("Who does the work", "Marit");
        screen.Press("Open the engine");
        screen.TickAll("Make it safe");
        screen.See("Is it cold?");
        screen.Fill("Engine temperature", "12");
        screen.Press("It is cold: go on");
        screen.TickAll("Open up");
        screen.Press("is on compression: measure");
        for (var point = 0; point < 2; point++) screen.Measure("0.20", "0.40");
        screen.TickAll("Close up");
        screen.Press("Sign the overhead");
        screen.See("Signed by Marit");

        // It is signed on this machine first; a moment later the server has it, and the date is another.
        double Left() => Get($"/api/engines/{engine}").GetProperty("row").GetProperty("bookHoursLeft").GetDouble();
        screen.Wait(20, "the signature to reach the server", () => Left() > 50);
        Assert.Equal(100, Left(), 1);
        Assert.Empty(Get("/api/jobs").EnumerateArray());
        screen.Open("/plan");
        screen.See("No job to plan yet.");
        Assert.Contains(mechanic, Get("/api/plan").GetProperty("people")[0].GetProperty("id").GetString(), StringComparison.Ordinal);
    }

    public void Dispose()
    {
        screen.Dispose();
        http.Dispose();
        fleet.Close();
        server.Dispose();
    }

    /// <summary>By mouse, on to the next working day; which day it was and which it is to be.</summary>
    private (DateOnly Before, DateOnly To) Drag()
    {
        var before = Planned();
        var to = Enumerable.Range(1, 7).Select(before.AddDays).First(d => d.DayOfWeek is not (DayOfWeek.Saturday or DayOfWeek.Sunday));
        var block = screen.Driver.FindElement(By.CssSelector("[aria-label^='Barge pump, Overhead']"));
        var day = screen.Driver.FindElement(By.CssSelector(".mechanic .grid")).Size.Width / 56.0;
        var across = (int)Math.Round(day * (to.DayNumber - before.DayNumber));
        new Actions(screen.Driver).ClickAndHold(block).MoveByOffset(across / 2, 2).MoveByOffset(across - across / 2, 0).Perform();
        // What it would mean is said while it hangs there.
        screen.Wait(10, "what the day means", () => screen.Driver.FindElement(By.CssSelector(".says")).Text.Contains("due day", StringComparison.Ordinal));
        new Actions(screen.Driver).Release().Perform();
        return (before, to);
    }

    private DateOnly Planned() => DateOnly.Parse(Get("/api/plan").GetProperty("placements")[0].GetProperty("date").GetString()!, CultureInfo.InvariantCulture);

    /// <summary>One cylinder, opened sixty days ago at 1000 h, with a book of 100 h; and a mechanic with working hours.</summary>
    private (string Engine, string Mechanic) SetUp()
    {
        var type = Send(HttpMethod.Post, "/api/engine-types", """
            {"code":"BP1","name":"Barge pump, one cylinder","cycle":"fourStroke","firingOrder":"1","banks":"1","layout":"I E","adjuster":"screwAtValve","pitchMm":1,"clearancePerTravel":1,"method":"perCylinder",
             "bookHours":100,"spec":{"revision":"A","source":"workshop manual","date":"2020-01-01","condition":"cold","lines":[{"kind":"intake","min":"0.15","max":"0.25","set":"0.20","unit":"mm"},{"kind":"exhaust","min":"0.35","max":"0.45","set":"0.40","unit":"mm"}]}}
            """).GetProperty("id").GetString();
        var engine = Send(HttpMethod.Post, "/api/engines", $$"""{"name":"Barge pump","machine":"generator","site":"North Quay","serialNumber":"BP-77","engineTypeId":"{{type}}","dutyHoursPerDay":2}""").GetProperty("row").GetProperty("engineId").GetString()!;
        var day = DateTime.UtcNow.AddDays(-60).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
        using var logbook = new StringContent($"engine,date,engine hours,cylinder,valve,as found,as left,unit\nBarge pump,{day},1000,1,intake,0.20,0.20,mm\nBarge pump,{day},1000,1,exhaust,0.40,0.40,mm\n", System.Text.Encoding.UTF8, "text/csv");
        Assert.True(http.PostAsync("/api/logbook/import", logbook).GetAwaiter().GetResult().IsSuccessStatusCode);
        Send(HttpMethod.Post, "/api/people", """{"name":"Marit"}""");
        var mechanic = Get("/api/people").EnumerateArray().Single(p => p.GetProperty("name").GetString() == "Marit").GetProperty("id").GetString()!;
        Send(HttpMethod.Put, $"/api/plan/people/{mechanic}", """{"skills":["generator"],"weekHours":[8,8,8,8,8,0,0]}""");
        return (engine, mechanic);
    }

    /// <summary>The makers' address: a document of the fleet's hours as of now.</summary>
    private async Task AnswerAsync()
    {
        while (fleet.IsListening)
        {
            HttpListenerContext asked;
            try
            {
                asked = await fleet.GetContextAsync();
            }
            catch (Exception closed) when (closed is HttpListenerException or ObjectDisposedException)
            {
                return;
            }
            var now = DateTime.UtcNow.ToString("yyyy-MM-ddTHH:mm:ssZ", CultureInfo.InvariantCulture);
            var document = $"""<Fleet xmlns="http://standards.iso.org/iso/15143/-3" version="1" snapshotTime="{now}"><Equipment><EquipmentHeader><EquipmentID>pump</EquipmentID><SerialNumber>BP-77</SerialNumber></EquipmentHeader><CumulativeOperatingHours datetime="{now}"><Hour>1095</Hour></CumulativeOperatingHours></Equipment></Fleet>""";
            await asked.Response.OutputStream.WriteAsync(System.Text.Encoding.UTF8.GetBytes(document));
            asked.Response.Close();
        }
    }

    private JsonElement Get(string path) => http.GetFromJsonAsync<JsonElement>(path).GetAwaiter().GetResult();

    private JsonElement Send(HttpMethod method, string path, string body)
    {
        using var request = new HttpRequestMessage(method, path) { Content = new StringContent(body, System.Text.Encoding.UTF8, "application/json") };
        using var answer = http.Send(request);
        var text = answer.Content.ReadAsStringAsync().GetAwaiter().GetResult();
        Assert.True(answer.IsSuccessStatusCode, $"{path}: {text}");
        return JsonDocument.Parse(text).RootElement.Clone();
    }
}
