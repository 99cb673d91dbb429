using System.Net.Http.Json;
using System.Text.Json;
using OpenQA.Selenium;

namespace ZeroDrift.Browser.Tests;

/// <summary>What the figures say before the valve says it, as a lead hand reads it and a mechanic is asked.</summary>
[Trait("Length", "long")]
public sealed class DriftByHandTests : IDisposable
{
    private readonly RunningServer server = new(demo: true);
    private readonly Screen screen;

    public DriftByHandTests() => screen = new Screen(server);

    [Fact]
    public void A_warm_visit_is_found_before_it_is_signed_answered_and_left_out_of_the_rates()
    {
        var (engine, visit) = OpenShiftedVisit("Depot tractor", -0.07);
        var before = Rate(engine);

        screen.Open("/");
        screen.Driver.ExecuteScript($"localStorage.setItem('zd-person', '{Person()}')");
        screen.Open($"/visits/{visit}");
        screen.Press("Sign");
        screen.See("Everything reads");
        screen.See("tighter than expected");
        screen.Press("Sign the spot check");
        screen.See("Answer this first");
        screen.Press("It was warm");
        screen.SeeNo("Answer this first");
        screen.Press("Sign the spot check");
        screen.See("Signed by");
        // Signed is signed here first; the rates are the server's.
        screen.Wait(15, "the signature at the server", () => Get($"/api/visits/{visit}").GetProperty("state").GetString() == "signed");

        screen.Open($"/engines/{engine}/drift");
        screen.See("as found left out of the rates; it was warm.");
        Assert.Equal(before, Rate(engine), 0.002);
    }

    [Fact]
    public void An_engines_drift_says_the_main_thing_and_every_mark_leads_to_its_record()
    {
        screen.Open("/drift");
        screen.See("The fastest points");
        screen.Press("Skarv · starboard main");
        screen.See("2 exhaust is closing");
        screen.See("as fast as its sisters.");
        screen.See("What the figures say");

        var marks = screen.Driver.FindElements(By.CssSelector("[aria-label='2 exhaust in detail'] .mark"));
        screen.Driver.ExecuteScript("arguments[0].dispatchEvent(new MouseEvent('click', {bubbles: true}))", marks[2]);
        screen.See("judged by rev. A");
        screen.See("The record of that visit");

        var body = screen.Driver.FindElement(By.TagName("body"));
        body.SendKeys("t");
        screen.See("as found → as left");
        body.SendKeys("t");
        screen.See("What the figures say");
        body.SendKeys("d");
        screen.Wait(5, "the axis in the address", () => screen.Driver.Url.Contains("axis=dates", StringComparison.Ordinal));
        body.SendKeys("+");
        screen.Wait(5, "a stretch that can be widened", () => screen.Driver.FindElement(By.CssSelector("[aria-label='Wider']")).Enabled);
        body.SendKeys("?");
        screen.See("closer, wider");
    }

    [Fact]
    public void A_hand_is_checked_on_known_gaps_by_its_owner()
    {
        screen.Open("/settings");
        screen.See("The fleet");
        screen.Driver.FindElement(By.CssSelector("[aria-label='Marit’s hand']")).Click();
        screen.See("The hand of Marit");
        screen.Press("Keep the checks");
        screen.See("Stack some blades");
        screen.Fill("Gap 1, as stacked", "0,30");
        screen.Press("Keep the checks");
        screen.See("Give what it felt like.");
        screen.Fill("Gap 1, as felt", "0.31");
        screen.Press("Keep the checks");
        screen.See("1 check kept.");
        screen.See("On known gaps it reads 0.01 mm loose");
    }

    [Fact]
    public void A_bent_set_is_withdrawn_and_the_visits_it_measured_are_answered_for()
    {
        screen.Open("/settings");
        screen.See("Olav's set");
        screen.Driver.ExecuteScript($"localStorage.setItem('zd-person', '{Person()}')");
        screen.Driver.FindElement(By.CssSelector("[aria-label=\"Withdraw: Olav's set\"]")).Click();
        screen.Press("Withdraw it");
        screen.See("Say why");
        screen.Fill("What is wrong with it", "the 0.40 blade is bent");
        screen.Press("Withdraw it");
        screen.See("to look at:");
        var engine = Get("/api/instruments").EnumerateArray().First(i => i.GetProperty("name").GetString() == "Olav's set").GetProperty("suspect")[0];
        screen.Open($"/visits/{engine.GetProperty("visitId").GetString()}/record");
        screen.See("Measured with Olav's set, withdrawn");
        screen.Open($"/engines/{engine.GetProperty("engineId").GetString()}/drift");
        screen.See("Do its figures hold?");
        screen.Press("Leave it out");
        screen.See("other blades were used");
        screen.Open($"/engines/{engine.GetProperty("engineId").GetString()}/open");
        screen.See("Blades");
        Assert.DoesNotContain(screen.Driver.FindElements(By.TagName("option")), o => o.GetDomProperty("value") == "Olav's set");
    }

    public void Dispose()
    {
        screen.Dispose();
        server.Dispose();
    }

    private JsonElement Get(string path)
    {
        using var client = new HttpClient();
        return client.GetFromJsonAsync<JsonElement>(server.Url(path)).GetAwaiter().GetResult();
    }

    private string Person() => Get("/api/people").EnumerateArray().First(p => p.GetProperty("name").GetString() == "Marit").GetProperty("id").GetString()!;

    private double Rate(string engine) => Get($"/api/engines/{engine}/drift").GetProperty("points")[0].GetProperty("mmPer1000h").GetDouble();

    /// <summary>A spot check on which every point reads off by the same, with everything done but the signature.</summary>
    private (string Engine, Guid Visit) OpenShiftedVisit(string name, double shift)
    {
        using var client = new HttpClient();
        var engine = Get("/api/due").GetProperty("engines").EnumerateArray().First(e => e.GetProperty("name").GetString() == name);
        var id = engine.GetProperty("engineId").GetString()!;
        var drift = Get($"/api/engines/{id}/drift");
        var (visit, by) = (Guid.CreateVersion7(), Person());
        Dictionary<string, object> Entry(string kind, params (string, object)[] fields)
        {
            var entry = new Dictionary<string, object> { ["id"] = Guid.CreateVersion7(), ["kind"] = kind, ["at"] = DateTime.UtcNow, ["by"] = by, ["device"] = "test" };
            foreach (var (field, value) in fields) entry[field] = value;
            return entry;
        }
        JsonElement Send(params Dictionary<string, object>[] entries) =>
            client.PostAsJsonAsync(server.Url($"/api/visits/{visit}/entries"), new { after = 0, entries }).GetAwaiter().GetResult().Content.ReadFromJsonAsync<JsonElement>().GetAwaiter().GetResult();
        Send(Entry("opened", ("engineId", id), ("job", "spotCheck"), ("date", DateTime.UtcNow.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture)), ("shownHours", engine.GetProperty("shownHours").GetDouble() + 1)));
        var steps = Get($"/api/visits/{visit}").GetProperty("context").GetProperty("steps").EnumerateArray().Select(s => s.GetProperty("step").GetString()!);
        Send([.. steps.Select(step => Entry("ticked", ("step", step), ("on", true))), Entry("conditionStated", ("condition", "cold"), ("engineTemperatureC", 14))]);
        foreach (var point in drift.GetProperty("points").EnumerateArray())
        {
            var reading = Guid.CreateVersion7();
            var (label, figure) = (point.GetProperty("label").GetString()!, Math.Round(point.GetProperty("expectedMm").GetDouble() + shift, 2).ToString("0.00", System.Globalization.CultureInfo.InvariantCulture));
            Send(Entry("figureRead", ("reading", reading), ("point", label), ("stage", "asFound"), ("figure", figure), ("unit", "mm"), ("with", "figure"), ("unproved", true)), Entry("kept", ("reading", reading), ("sure", true)),
                Entry("outcome", ("point", label), ("outcome", "leftSo"), ("why", "asked first")));
        }
        return (id, visit);
    }
}
