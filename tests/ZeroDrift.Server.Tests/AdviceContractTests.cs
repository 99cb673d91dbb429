using System.Net;
using System.Text.Json;
using ZeroDrift.Contract;

namespace ZeroDrift.Server.Tests;

/// <summary>Judging, advice and finding the lobe over HTTP, word for word as the contract has them.</summary>
public sealed class AdviceContractTests : IClassFixture<ServerWithFile>
{
    private const string Tray = "[0.05,0.10,0.15,0.20,0.25,0.30]";
    private const string Window = """{"minMm":0.15,"maxMm":0.25,"setMm":0.20}""";
    private readonly ServerWithFile server;

    public AdviceContractTests(ServerWithFile server) => this.server = server;

    // The trade facts in these cases are common practice, no source.
    [Theory]
    [InlineData("""[{"bladesMm":[0.25],"feel":"free"}]""", """{"state":"loose","onFigure":false,"because":"bounds","action":"set","nextBlade":null,"side":null}""")]
    [InlineData("""[{"bladesMm":[0.20],"feel":"drag"}]""", """{"state":"inWindow","onFigure":true,"because":"touch","action":"leave","nextBlade":null}""")]
    [InlineData("""[{"bladesMm":[0.25],"feel":"drag"}]""", """{"state":"inWindow","onFigure":false,"because":"touch","action":"leave","nextBlade":null}""")]
    [InlineData("""[{"bladesMm":[0.15],"feel":"drag"}]""", """{"state":"inWindow","onFigure":false,"because":"touch","action":"leave"}""")]
    [InlineData("""[{"bladesMm":[0.10],"feel":"drag"}]""", """{"state":"tight","because":"touch","action":"set"}""")]
    [InlineData("""[{"bladesMm":[0.15],"feel":"noGo"}]""", """{"state":"tight","because":"bounds","action":"set"}""")]
    [InlineData("""[{"bladesMm":[0.15],"feel":"free"}]""", """{"state":null,"because":null,"action":"measureOn"}""")]
    [InlineData("[]", """{"state":null,"because":null,"action":"measureOn"}""")]
    public async Task A_reading_is_judged_as_a_mechanic_judges(string trials, string expected)
    {
        await HoldsAsync("judge", $$"""{"trials":{{trials}},"demand":{{Window}},"trayMm":{{Tray}},"aim":"decide","school":"window"}""", expected);
    }

    [Theory]
    [InlineData("edgeToSet", "drag", 0.25, """{"state":"inWindow","action":"set"}""")]
    [InlineData("edgeToSet", "drag", 0.20, """{"state":"inWindow","onFigure":true,"action":"leave"}""")]
    [InlineData("oneFigure", "noGo", 0.20, """{"side":"tight","action":"set"}""")]
    [InlineData("oneFigure", "heavyDrag", 0.20, """{"side":"tight","action":"set"}""")]
    [InlineData("oneFigure", "free", 0.20, """{"side":"loose","action":"set"}""")]
    [InlineData("oneFigure", "drag", 0.20, """{"side":null,"action":"leave"}""")]
    public async Task Schools_differ_at_the_edge_and_at_the_set_blade(string school, string feel, double blade, string expected)
    {
        await HoldsAsync("judge", $$"""{"trials":[{"bladesMm":[{{blade.ToString(System.Globalization.CultureInfo.InvariantCulture)}}],"feel":"{{feel}}"}],"demand":{{Window}},"trayMm":{{Tray}},"school":"{{school}}"}""", expected);
    }

    [Fact]
    public async Task A_go_no_go_pair_passes_between_its_blades_and_has_no_figure()
    {
        await HoldsAsync("judge", """{"trials":[{"bladesMm":[0.178],"feel":"free"},{"bladesMm":[0.229],"feel":"noGo"}],"demand":{"goMm":0.178,"noGoMm":0.229}}""", """{"state":"inWindow","onFigure":false,"because":"bounds","window":{"minMm":0.178,"maxMm":0.229,"setMm":null},"action":"leave"}""");
    }

    [Fact]
    public async Task Dial_travel_at_a_rocker_is_converted_to_the_valve()
    {
        await HoldsAsync("judge", """{"dial":{"travelMm":0.48,"conversion":0.42,"standardUncertaintyMm":0.005},"demand":{"minMm":0.15,"maxMm":0.25,"setMm":0.20}}""", """{"state":"inWindow","reading":{"estimateMm":0.2016,"standardUncertaintyMm":0.0021}}""");
    }

    [Fact]
    public async Task What_the_book_gives_no_figure_for_is_not_judged()
    {
        await HoldsAsync("judge", """{"figureMm":0.3,"demand":null}""", """{"state":null,"because":null}""");
    }

    [Theory]
    [InlineData("""{"kind":"screw","pitchMm":1.0,"clearancePerTravel":1.0,"clockwiseCloses":true}""", """{"estimateMm":0.31,"lowerMm":null,"upperMm":null}""", """{"action":"turn","turn":{"turns":0.11,"degrees":39.6,"direction":"clockwise","sixteenths":2},"shim":null,"amount":null}""")]
    [InlineData("""{"kind":"screw","pitchMm":1.0,"clearancePerTravel":1.0,"clockwiseCloses":false}""", """{"estimateMm":0.31,"lowerMm":null,"upperMm":null}""", """{"action":"turn","turn":{"turns":0.11,"direction":"anticlockwise"}}""")]
    [InlineData("""{"kind":"screw","pitchMm":1.0}""", """{"estimateMm":0.21,"lowerMm":null,"upperMm":null}""", """{"action":"leave","turn":null,"shim":null,"amount":null}""")]
    [InlineData("""{"kind":"screw","pitchMm":1.0}""", "null", """{"action":"measureOn","turn":null}""")]
    [InlineData("""{"kind":"eccentric"}""", """{"estimateMm":0.31,"lowerMm":null,"upperMm":null}""", """{"action":"setByBlade","turn":null,"shim":null}""")]
    [InlineData("""{"kind":"shim","fittedMm":2.80,"sizesMm":[2.70,2.75,2.80,2.85,2.90],"access":"underBucket"}""", """{"estimateMm":0.30,"lowerMm":null,"upperMm":null}""", """{"action":"fitShim","turn":null}""")]
    public async Task Advice_follows_from_what_is_adjusted(string adjuster, string reading, string expected)
    {
        await HoldsAsync("advice", $$"""{"adjuster":{{adjuster}},"demand":{"kind":"gap","minMm":0.15,"maxMm":0.25,"setMm":0.20},"reading":{{reading}}}""", expected);
    }

    [Theory]
    [InlineData("""{"kind":"hydraulic","travelTurns":1.6,"selfLocking":false}""", """{"kind":"preload","fraction":0.5}""", """{"action":"byAmount","amount":{"turns":0.8},"turn":null}""")]
    [InlineData("""{"kind":"hydraulic","travelTurns":null,"selfLocking":true}""", """{"kind":"preload","turns":0.75}""", """{"action":"byAmount","amount":{"turns":0.75}}""")]
    [InlineData("""{"kind":"injectorScrew","pitchMm":1.0}""", """{"kind":"height","mm":69.2}""", """{"action":"byAmount","amount":{"mm":69.2}}""")]
    [InlineData("""{"kind":"injectorScrew","pitchMm":1.0}""", """{"kind":"torque","nm":8}""", """{"action":"byAmount","amount":{"nm":8}}""")]
    [InlineData("""{"kind":"screw","pitchMm":1.0}""", """{"kind":"zero"}""", """{"action":"byAmount","amount":{"turns":0}}""")]
    public async Task What_is_set_by_amount_is_told_the_amount_and_never_a_gap(string adjuster, string demand, string expected)
    {
        await HoldsAsync("advice", $$"""{"adjuster":{{adjuster}},"demand":{{demand}},"reading":null}""", expected);
    }

    [Theory]
    [InlineData("advice", """{"adjuster":{"kind":"hydraulic","travelTurns":1.6},"demand":{"kind":"torque","nm":8}}""")]
    [InlineData("advice", """{"adjuster":{"kind":"wedge"},"demand":{"kind":"zero"}}""")]
    [InlineData("judge", """{"figureMm":0.2,"dial":{"travelMm":0.48,"conversion":0.42},"demand":{"minMm":0.15,"maxMm":0.25}}""")]
    [InlineData("judge", """{"trials":[{"bladesMm":[0.25],"feel":"free"},{"bladesMm":[0.20],"feel":"noGo"}],"demand":{"minMm":0.15,"maxMm":0.25}}""")]
    [InlineData("lobe-away", """{"firingOrder":[1,3,4,2],"crankDeg":0,"left":[{"cylinder":9,"kind":"intake"}]}""")]
    [InlineData("lobe-away", """{"firingOrder":[1,3,4,2],"crankDeg":0,"leastMarginDeg":-1}""")]
    [InlineData("lobe-away", """{"firingOrder":[1,3,4,2],"crankDeg":1e300}""")]
    [InlineData("lobe-away", """{"firingOrder":[1,1],"crankDeg":0}""")]
    [InlineData("judge", """{"trials":[{"bladesMm":[0.25],"feel":"sticky"}],"demand":{"minMm":0.15,"maxMm":0.25}}""")]
    [InlineData("judge", """{"trials":[{"bladesMm":[-0.25],"feel":"free"}],"demand":{"minMm":0.15,"maxMm":0.25}}""")]
    [InlineData("judge", """{"trials":[{"bladesMm":[],"feel":"free"}],"demand":{"minMm":0.15,"maxMm":0.25}}""")]
    [InlineData("judge", """{"figureMm":0.2,"demand":{"minMm":0.25,"maxMm":0.15}}""")]
    [InlineData("judge", """{"figureMm":0.2,"demand":{"minMm":0.15,"maxMm":0.25},"school":"none"}""")]
    [InlineData("advice", """{"adjuster":{"kind":"screw","pitchMm":0},"demand":{"kind":"gap","minMm":0.15,"maxMm":0.25,"setMm":0.20}}""")]
    [InlineData("turning-plan", """{"firingOrder":[1,3,4,2],"method":"twoStop","crankNowDeg":1e300}""")]
    [InlineData("turning-plan", """{"firingOrder":[1,3,4,2],"method":"twoStop","crankNowDeg":"zero"}""")]
    public async Task What_cannot_be_is_refused_with_a_sentence(string call, string request)
    {
        var (status, body) = await server.PostAsync($"/api/calc/{call}", request);

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.False(string.IsNullOrWhiteSpace(body.GetProperty("detail").GetString()));
        Assert.NotEmpty(body.GetProperty("errors").EnumerateObject());
    }

    [Fact]
    public async Task With_the_cams_in_sight_the_crank_goes_only_as_far_as_the_next_lobe_needs()
    {
        const string engine = "\"cycle\":\"fourStroke\",\"firingOrder\":[1,3,4,2]";
        var (_, here) = await server.PostAsync("/api/calc/lobe-away", $$"""{{{engine}},"crankDeg":0,"leastMarginDeg":10,"left":[{"cylinder":1,"kind":"intake"},{"cylinder":4,"kind":"exhaust"}]}""");

        CalculatorContractTests.AssertHolds(JsonDocument.Parse("""{"here":[{"cylinder":1,"kind":"intake","marginDeg":120}],"next":{"crankDeg":40,"turnDeg":40}}""").RootElement, here, "$");
        // The exhaust lobe of 4 lets go at 360 + 15 + 15 after its own firing; ten degrees on it is clear by the least margin.
        Assert.Contains(here.GetProperty("next").GetProperty("points").EnumerateArray(), p => p.GetProperty("cylinder").GetInt32() == 4 && Math.Abs(p.GetProperty("marginDeg").GetDouble() - 10) < 1e-6);
        var (_, last) = await server.PostAsync("/api/calc/lobe-away", $$"""{{{engine}},"crankDeg":0,"left":[{"cylinder":1,"kind":"intake"}]}""");
        Assert.Equal(JsonValueKind.Null, last.GetProperty("next").ValueKind);
    }

    [Theory]
    [InlineData("twoStop", 1.0, 360.0, 359.0)]
    [InlineData("twoStop", 360.0, 360.0, 0.0)]
    [InlineData("perCylinder", 181.0, 360.0, 179.0)]
    [InlineData("perCylinder", 700.0, 0.0, 20.0)]
    public async Task A_plan_from_where_the_crank_stands_begins_with_the_stop_that_comes_up_first(string method, double now, double first, double turn)
    {
        var (_, plan) = await server.PostAsync("/api/calc/turning-plan", new { firingOrder = (int[])[1, 3, 4, 2], method, crankNowDeg = now });

        Assert.Equal(first, plan.GetProperty("stops")[0].GetProperty("crankDeg").GetDouble(), 6);
        Assert.Equal(turn, plan.GetProperty("stops")[0].GetProperty("turnFromPreviousDeg").GetDouble(), 6);
    }

    [Fact]
    public async Task The_server_answers_byte_for_byte_what_the_contract_answers()
    {
        (string Name, string Request)[] cases =
        [
            ("judge", $$"""{"trials":[{"bladesMm":[0.25],"feel":"free"}],"demand":{{Window}},"trayMm":{{Tray}}}"""),
            ("advice", """{"adjuster":{"kind":"screw","pitchMm":1.0},"demand":{"kind":"gap","minMm":0.15,"maxMm":0.25,"setMm":0.20},"reading":{"estimateMm":0.31}}"""),
            ("lobe-away", """{"firingOrder":[1,3,4,2],"crankDeg":0}"""),
            ("turning-plan", """{"firingOrder":[1,3,4,2],"method":"fewestStops"}"""),
            ("turning-plan", "{"),
            ("reading", """{"trials":[]}"""),
        ];
        foreach (var (name, request) in cases)
        {
            var answer = AllCalls.Find(name)!.Answer(System.Text.Encoding.UTF8.GetBytes(request));
            var (status, bytes) = await server.PostForBytesAsync($"/api/calc/{name}", request);

            Assert.Equal(answer.Status, (int)status);
            Assert.Equal(answer.Json, bytes);
        }
    }

    private async Task HoldsAsync(string call, string request, string expected)
    {
        var (status, body) = await server.PostAsync($"/api/calc/{call}", request);

        Assert.True(status == HttpStatusCode.OK, body.ToString());
        CalculatorContractTests.AssertHolds(JsonDocument.Parse(expected).RootElement, body, "$");
    }
}
