using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>The HTTP contract of the calculators, word for word.</summary>
public sealed class CalculatorContractTests : IClassFixture<ServerWithFile>
{
    private readonly ServerWithFile server;

    public CalculatorContractTests(ServerWithFile server) => this.server = server;

    [Theory]
    [InlineData("position", """{"firingOrder":[1,3,4,2],"observations":[{"cylinder":4,"kind":"exhaust","state":"moving"},{"cylinder":1,"kind":"intake","state":"loose"}],"onTdcMark":true}""", """{"candidates":[{"fromDeg":0,"toDeg":0,"compressionCylinder":1,"rockingCylinder":4}],"contradiction":null}""")]
    [InlineData("reading", """{"trials":[{"bladesMm":[0.20],"feel":"free"},{"bladesMm":[0.25],"feel":"noGo"}],"feelSdMm":0.005}""", """{"lowerMm":0.20,"upperMm":0.25,"estimateMm":0.225,"standardUncertaintyMm":0.01528}""")]
    [InlineData("verdict", """{"estimateMm":0.31,"standardUncertaintyMm":0.01,"lowerMm":null,"upperMm":null,"minMm":0.35,"maxMm":0.45}""", """{"state":"tight","pTight":0.99997,"pLoose":0.0}""")]
    [InlineData("verdict", """{"upperMm":0.30,"minMm":0.35,"maxMm":0.45}""", """{"state":"tight","pTight":null,"pLoose":null}""")]
    [InlineData("screw", """{"measuredMm":0.31,"targetMm":0.40,"pitchMm":1.0,"clearancePerTravel":1.0,"clockwiseCloses":true}""", """{"turns":0.09,"degrees":32.4,"direction":"anticlockwise","sixteenths":1}""")]
    [InlineData("screw", """{"measuredMm":0.40,"targetMm":0.40,"pitchMm":1.0}""", """{"turns":0,"degrees":0,"direction":null,"sixteenths":0}""")]
    [InlineData("shim", """{"measuredMm":0.09,"targetMm":0.20,"minMm":0.15,"maxMm":0.25,"currentShimMm":2.81,"shimPerClearance":1.0,"sizesMm":[2.65,2.70,2.75]}""", """{"exactShimMm":2.70,"choice":{"shimMm":2.70,"predictedMm":0.20,"inWindow":true},"alternatives":[{"shimMm":2.65,"predictedMm":0.25,"inWindow":true},{"shimMm":2.75,"predictedMm":0.15,"inWindow":true}]}""")]
    [InlineData("preload", """{"travelTurns":1.6,"fraction":0.5}""", """{"turns":0.8}""")]
    [InlineData("preload", """{"travelMm":2,"pitchMm":1.25,"clearancePerTravel":1}""", """{"turns":0.8}""")]
    [InlineData("forecast", """{"risk":0.05,"horizonHours":20000,"points":[{"id":"1E","clearanceMm":0.40,"standardUncertaintyMm":0.005,"mmPer1000h":-0.02,"standardErrorMmPer1000h":0.005,"covarianceMm2Per1000h":0,"minMm":0.30,"maxMm":0.50}]}""", """{"hoursToRisk":3502.3,"decidedBy":"1E","side":"tight"}""")]
    [InlineData("piston-travel", """{"strokeMm":60,"rodMm":100,"travelMm":6.35}""", """{"crankDeg":33.46}""")]
    public async Task Each_example_of_the_contract_is_answered(string endpoint, string request, string expected)
    {
        var (status, body) = await server.PostAsync($"/api/calc/{endpoint}", request);

        Assert.Equal(HttpStatusCode.OK, status);
        AssertHolds(JsonDocument.Parse(expected).RootElement, body, "$");
    }

    [Fact]
    public async Task A_turning_plan_gives_margins_and_room_both_ways()
    {
        var (_, plan) = await server.PostAsync("/api/calc/turning-plan", """{"cycle":"fourStroke","firingOrder":[1,3,4,2],"method":"twoStop"}""");

        AssertHolds(JsonDocument.Parse("""{"crankDeg":0,"turnFromPreviousDeg":0,"compressionCylinder":1,"rockingCylinder":4}""").RootElement, plan.GetProperty("stops")[0], "$");
        AssertHolds(JsonDocument.Parse("""{"cylinder":1,"kind":"intake","marginDeg":120,"roomBackDeg":120,"roomForwardDeg":330}""").RootElement, plan.GetProperty("stops")[0].GetProperty("set")[0], "$");
        Assert.Empty(plan.GetProperty("cannotSet").EnumerateArray());
    }

    [Fact]
    public async Task Drift_gives_null_rates_where_there_is_nothing_to_fit_and_null_groups_where_there_is_nothing_to_pool()
    {
        var (_, drift) = await server.PostAsync("/api/calc/drift", """{"points":[{"id":"1E","group":"exhaust","readings":[{"run":1,"hours":0,"clearanceMm":0.40,"standardUncertaintyMm":0.01}]}]}""");

        AssertHolds(JsonDocument.Parse("""{"points":[{"id":"1E","ownRate":null,"birgeRatio":1,"rate":null}],"groups":[{"group":"exhaust","meanMmPer1000h":null,"standardErrorMmPer1000h":null,"tauMmPer1000h":null}]}""").RootElement, drift, "$");
    }

    [Theory]
    [InlineData("turning-plan", "{}", "firingOrder")]
    [InlineData("turning-plan", """{"firingOrder":[1,1]}""", "firingOrder")]
    [InlineData("turning-plan", """{"firingOrder":[1,2],"cycle":"twoStroke","method":"twoStop"}""", "method")]
    [InlineData("turning-plan", """{"firingOrder":[1,2],"method":"sideways"}""", "method")]
    [InlineData("turning-plan", """{"firingOrder":[1,2],"rampGuardDeg":1e300}""", "rampGuardDeg")]
    [InlineData("turning-plan", """{"firingOrder":[1,2],"valveTiming":{"evoBbdc":179,"evcAtdc":350}}""", "valveTiming")]
    [InlineData("turning-plan", """{"firingOrder":[1,2],"firingAnglesDeg":[0,720]}""", "firingAnglesDeg[1]")]
    [InlineData("turning-plan", """{"firingOrder":[1,2],"startCylinder":3}""", "startCylinder")]
    [InlineData("turning-plan", """{"firingOrder":[1,2],"method":"book"}""", "bookStops")]
    [InlineData("turning-plan", """{"firingOrder":[1,2],"method":"book","bookStops":[{"crankDeg":0,"set":[{"cylinder":9,"kind":"intake"}]}]}""", "bookStops[0].set[0].cylinder")]
    [InlineData("position", """{"firingOrder":[1,2],"observations":[{"cylinder":1,"kind":"intake"}]}""", "observations[0].state")]
    [InlineData("reading", """{"trials":[]}""", "trials")]
    [InlineData("reading", """{"trials":[{"bladesMm":[0.2]}]}""", "trials[0].feel")]
    [InlineData("reading", """{"trials":[{"bladesMm":[-0.2],"feel":"free"}]}""", "trials[0].bladesMm")]
    [InlineData("reading", """{"trials":[{"bladesMm":[0.25],"feel":"free"},{"bladesMm":[0.2],"feel":"noGo"}]}""", "trials[1]")]
    [InlineData("verdict", """{"minMm":0.1,"maxMm":0.2}""", "estimateMm")]
    [InlineData("verdict", """{"estimateMm":0.1,"standardUncertaintyMm":0.01,"minMm":0.3,"maxMm":0.2}""", "maxMm")]
    [InlineData("screw", """{"measuredMm":"NaN","targetMm":0.4,"pitchMm":1}""", "measuredMm")]
    [InlineData("screw", """{"measuredMm":0.3,"targetMm":0.4,"pitchMm":0}""", "pitchMm")]
    [InlineData("shim", """{"measuredMm":0.3,"targetMm":0.4,"minMm":0.3,"maxMm":0.5,"currentShimMm":2.5,"sizesMm":[]}""", "sizesMm")]
    [InlineData("preload", "{}", "travelTurns")]
    [InlineData("drift", """{"points":[{"id":"a","readings":[{"run":1,"hours":-1,"clearanceMm":0.4,"standardUncertaintyMm":0.01}]}]}""", "points[0].readings[0].hours")]
    [InlineData("drift", """{"points":[{"id":"a","readings":[{"run":1,"hours":1,"clearanceMm":0.4,"standardUncertaintyMm":0}]}]}""", "points[0].readings[0].standardUncertaintyMm")]
    [InlineData("drift", """{"points":[{"id":"a","readings":[]}]}""", "points[0].readings")]
    [InlineData("forecast", """{"risk":2,"points":[{"id":"a","clearanceMm":0.4,"standardUncertaintyMm":0.01,"mmPer1000h":0,"standardErrorMmPer1000h":0.01,"minMm":0.3,"maxMm":0.5}]}""", "risk")]
    [InlineData("hours", """{"readings":[{"date":"2026-01-01","hours":100},{"date":"2026-01-02","hours":90}]}""", "readings[1].hours")]
    public async Task Bad_input_names_its_field(string endpoint, string request, string field)
    {
        var (status, body) = await server.PostAsync($"/api/calc/{endpoint}", request);

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotEmpty(body.Sentence(field));
    }

    [Theory]
    [InlineData("")]
    [InlineData("null")]
    [InlineData("[]")]
    [InlineData("{")]
    [InlineData("7")]
    public async Task Every_calculator_refuses_what_is_no_request(string request)
    {
        foreach (var endpoint in (string[])["turning-plan", "position", "lobe-away", "piston-travel", "rim", "reading", "next-blade", "dial", "verdict", "screw", "creep", "mid-lift", "pushrod-length", "shim", "shim-mark", "shim-allocation", "adjustment-left", "preload", "drift", "forecast", "hours", "schedule"])
        {
            var (status, body) = await server.PostAsync($"/api/calc/{endpoint}", request);
            Assert.True(status == HttpStatusCode.BadRequest, $"{endpoint} answered {status} to '{request}'");
            Assert.NotEmpty(body.GetProperty("errors").EnumerateObject());
        }
    }

    [Fact]
    public async Task Absurd_sizes_are_refused_in_bounded_time()
    {
        var cylinders = string.Join(',', Enumerable.Range(1, 200_000));
        var nested = new string('[', 5000) + new string(']', 5000);
        foreach (var (endpoint, request) in new[] { ("turning-plan", $"{{\"firingOrder\":[{cylinders}]}}"), ("reading", $"{{\"trials\":{nested}}}"), ("drift", $"{{\"points\":[{string.Join(',', Enumerable.Repeat("{}", 100_000))}]}}") })
        {
            var clock = System.Diagnostics.Stopwatch.StartNew();
            var (status, _) = await server.PostAsync($"/api/calc/{endpoint}", request);
            Assert.Equal(HttpStatusCode.BadRequest, status);
            Assert.True(clock.Elapsed < TimeSpan.FromSeconds(10), $"{endpoint} took {clock.Elapsed}");
        }
    }

    [Fact]
    public async Task An_unknown_address_answers_a_problem_document()
    {
        var response = await server.Client.GetAsync("/api/nothing/here");

        Assert.Equal(HttpStatusCode.NotFound, response.StatusCode);
        Assert.Equal("application/problem+json", response.Content.Headers.ContentType?.MediaType);
    }

    [Fact]
    public async Task The_committed_document_is_the_one_served()
    {
        var served = await server.GetAsync("/openapi/v1.json");
        var folder = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(folder, "ZeroDrift.slnx"))) folder = Path.GetDirectoryName(folder)!;
        var committed = JsonDocument.Parse(await File.ReadAllTextAsync(Path.Combine(folder, "docs/openapi.json"))).RootElement;

        Assert.True(JsonElement.DeepEquals(committed.GetProperty("paths"), served.GetProperty("paths")), "docs/openapi.json is stale: save /openapi/v1.json there and run 'npm run types' in web/.");
        Assert.True(JsonElement.DeepEquals(committed.GetProperty("components"), served.GetProperty("components")), "docs/openapi.json is stale.");
    }

    /// <summary>Everything expected is there; more may be.</summary>
    internal static void AssertHolds(JsonElement expected, JsonElement actual, string path)
    {
        switch (expected.ValueKind)
        {
            case JsonValueKind.Object:
                foreach (var property in expected.EnumerateObject())
                {
                    Assert.True(actual.TryGetProperty(property.Name, out var value), $"{path}.{property.Name} is missing in {actual}");
                    AssertHolds(property.Value, value, $"{path}.{property.Name}");
                }
                break;
            case JsonValueKind.Array:
                Assert.Equal(expected.GetArrayLength(), actual.GetArrayLength());
                for (var i = 0; i < expected.GetArrayLength(); i++) AssertHolds(expected[i], actual[i], $"{path}[{i}]");
                break;
            case JsonValueKind.Number:
                var digits = expected.GetRawText().Contains('.', StringComparison.Ordinal) ? expected.GetRawText().Split('.')[1].Length : 0;
                Assert.True(actual.ValueKind == JsonValueKind.Number && Math.Abs(expected.GetDouble() - actual.GetDouble()) <= 0.51 * Math.Pow(10, -Math.Max(digits, 1)), $"{path}: {actual} instead of {expected}");
                break;
            default:
                Assert.True(JsonElement.DeepEquals(expected, actual), $"{path}: {actual} instead of {expected}");
                break;
        }
    }
}
