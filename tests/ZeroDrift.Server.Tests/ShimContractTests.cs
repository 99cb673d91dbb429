using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>Who gets which shim and how long they last, over HTTP, to the contract's own words.</summary>
public sealed class ShimContractTests(ServerWithFile server) : IClassFixture<ServerWithFile>
{
    private const string Point = """{"id":"1E","fittedMm":2.81,"gapMm":0.09,"minMm":0.15,"maxMm":0.25,"targetMm":0.20,"shimPerClearance":1}""";

    [Fact]
    public async Task The_worked_allocation_of_the_contract()
    {
        var plan = await AllocateAsync($$"""{"policy":"leaveGoodAlone","points":[{{Point}}],"stock":[{"sizeMm":2.70,"count":1}],"buyMm":[2.65,2.70,2.75]}""");

        var point = plan.GetProperty("points")[0];
        Assert.Equal(("1E", 2.70, "stock"), (point.GetProperty("id").GetString(), point.GetProperty("shimMm").GetDouble(), point.GetProperty("from").GetString()));
        Assert.Equal(JsonValueKind.Null, point.GetProperty("fromPoint").ValueKind);
        Assert.Equal(0.20, point.GetProperty("predictedMm").GetDouble(), 9);
        Assert.True(point.GetProperty("inWindow").GetBoolean());
        Assert.Empty(plan.GetProperty("buy").EnumerateArray());
        Assert.Equal((2.81, 1), (plan.GetProperty("spare")[0].GetProperty("sizeMm").GetDouble(), plan.GetProperty("spare")[0].GetProperty("count").GetInt32()));
        Assert.Equal((0, 0, 1), (plan.GetProperty("outside").GetInt32(), plan.GetProperty("bought").GetInt32(), plan.GetProperty("moved").GetInt32()));
        Assert.Equal(0, plan.GetProperty("deviationMm").GetDouble(), 9);
    }

    [Fact]
    public async Task Bought_shims_are_counted_by_size_and_a_pin_stands()
    {
        var other = Point.Replace("1E", "2E", StringComparison.Ordinal);
        var plan = await AllocateAsync($$"""{"policy":"fewestBought","points":[{{Point}},{{other}}],"stock":[],"buyMm":[2.70,2.75],"pins":[{"point":"2E","shimMm":2.75}]}""");

        Assert.Equal([2.70, 2.75], plan.GetProperty("buy").EnumerateArray().Select(b => b.GetProperty("sizeMm").GetDouble()));
        Assert.Equal(2, plan.GetProperty("bought").GetInt32());
        Assert.Equal("buy", plan.GetProperty("points")[1].GetProperty("from").GetString());
        Assert.Equal(0.15, plan.GetProperty("points")[1].GetProperty("predictedMm").GetDouble(), 9);
    }

    [Fact]
    public async Task A_bracket_stands_in_for_the_gap_and_only_what_surely_fits_is_inside()
    {
        var bracket = Point.Replace("\"gapMm\":0.09", "\"gapFromMm\":0.05,\"gapToMm\":0.10", StringComparison.Ordinal);
        var plan = await AllocateAsync($$"""{"policy":"blueprint","points":[{{bracket}}],"buyMm":[2.70,2.80]}""");

        // 2.81 + 0.05 − 0.15 = 2.71 at most, 2.81 + 0.10 − 0.25 = 2.66 at least
        Assert.Equal((2.70, true), (plan.GetProperty("points")[0].GetProperty("shimMm").GetDouble(), plan.GetProperty("points")[0].GetProperty("inWindow").GetBoolean()));
    }

    [Theory]
    [InlineData("policy", "policy", "\"spread\"")]
    [InlineData("points[0].fittedMm", "fittedMm", "27.5")]
    [InlineData("points[0].gapMm", "gapMm", "null")]
    [InlineData("points[0].maxMm", "maxMm", "0.1")]
    [InlineData("points[0].shimPerClearance", "shimPerClearance", "0")]
    [InlineData("stock[0].count", "count", "-1")]
    [InlineData("stock[0].sizeMm", "sizeMm", "null")]
    [InlineData("points[0].id", "id", "\"\"")]
    public async Task Bad_input_names_its_field(string field, string name, string value)
    {
        var good = $$"""{"policy":"leaveGoodAlone","points":[{{Point}}],"stock":[{"sizeMm":2.70,"count":1}],"buyMm":[]}""";
        var bad = System.Text.RegularExpressions.Regex.Replace(good, $"\"{name}\":(\"[^\"]*\"|[-0-9.]+)", $"\"{name}\":{value}");
        var (status, body) = await server.PostAsync("/api/calc/shim-allocation", bad);

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal(field, Assert.Single(body.GetProperty("errors").EnumerateObject()).Name);
    }

    [Fact]
    public async Task The_adjustment_left_of_the_contract()
    {
        var (status, left) = await server.PostAsync("/api/calc/adjustment-left", """{"k":1,"builtShimMm":2.85,"builtGapMm":0.20,"shimMm":2.70,"gapMm":0.18,"thinnestMm":2.30,"thickestMm":3.20,"mmPer1000h":-0.02,"standardErrorMmPer1000h":0.004}""");

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal((0.17, 0.40, "thinnest"), (Math.Round(left.GetProperty("recessionMm").GetDouble(), 9), Math.Round(left.GetProperty("leftMm").GetDouble(), 9), left.GetProperty("towards").GetString()));
        var hours = left.GetProperty("hours");
        Assert.Equal((15919.5, 20000.0, 26893.3), (Math.Round(hours.GetProperty("early").GetDouble(), 1), Math.Round(hours.GetProperty("middle").GetDouble(), 6), Math.Round(hours.GetProperty("late").GetDouble(), 1)));
    }

    private async Task<JsonElement> AllocateAsync(string request)
    {
        var (status, body) = await server.PostAsync("/api/calc/shim-allocation", request);
        Assert.True(status == HttpStatusCode.OK, body.ToString());
        return body;
    }
}
