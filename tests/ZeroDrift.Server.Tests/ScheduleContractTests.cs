using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

public sealed class ScheduleContractTests : IClassFixture<ServerWithFile>
{
    private const string Good = """
        {"startDate":"2027-01-04","dayCount":20,"technicians":[{"id":"t1","skills":["marine"],"hoursByDay":[8,8,8,8,8,0,0]}],
         "jobs":[{"id":"j1","site":"north","skill":"marine","hours":6,"earliestDay":0,"dueDay":9,"latePerDay":10,"earlyPerDay":1,"blockedDays":[3],"group":"powerhouse"}],
         "groupLimits":{"powerhouse":1},"siteChangeCost":2,"unplacedCost":1000,"pins":[{"job":"j1","technician":"t1","day":4}],"timeLimitSeconds":10}
        """;

    private readonly ServerWithFile server;

    public ScheduleContractTests(ServerWithFile server) => this.server = server;

    [Fact]
    public async Task The_contracts_example_is_answered_as_written()
    {
        var (status, plan) = await server.PostAsync("/api/calc/schedule", Good);

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(("optimal", 5.0, 5.0), (plan.GetProperty("status").GetString(), plan.GetProperty("cost").GetDouble(), plan.GetProperty("bound").GetDouble()));
        var only = Assert.Single(plan.GetProperty("assignments").EnumerateArray());
        Assert.Equal(("j1", "t1", 4), (only.GetProperty("job").GetString(), only.GetProperty("technician").GetString(), only.GetProperty("day").GetInt32()));
        Assert.NotEmpty(only.GetProperty("because").GetString()!);
        Assert.Empty(plan.GetProperty("unplaced").EnumerateArray());
    }

    [Fact]
    public async Task Crews_tools_order_roads_and_moves_are_heeded()
    {
        var (status, plan) = await server.PostAsync("/api/calc/schedule", """
            {"dayCount":6,"technicians":[{"id":"t1","skills":["marine"],"hoursByDay":[8]},{"id":"t2","skills":[],"hoursByDay":[8]}],"movePerDay":3,"toolCounts":{"rig":1},
             "travelHours":{"north":{"south":3}},"previous":[{"job":"late","technician":"t1","day":2}],
             "jobs":[{"id":"two","site":"north","skill":"marine","hours":6,"dueDay":0,"latePerDay":10,"earlyPerDay":1,"crew":2,"tools":["rig"]},
                     {"id":"rig","site":"south","hours":2,"dueDay":0,"latePerDay":10,"tools":["rig"]},
                     {"id":"after","hours":2,"dueDay":0,"latePerDay":1,"after":{"job":"two","minDays":2}},
                     {"id":"late","site":"north","hours":2,"dueDay":3,"latePerDay":1,"earlyPerDay":1}]}
            """);
        var days = plan.GetProperty("assignments").EnumerateArray().ToDictionary(a => a.GetProperty("job").GetString()!, a => a.GetProperty("day").GetInt32());

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal((0, 1, 2, 2), (days["two"], days["rig"], days["after"], days["late"]));
        Assert.Equal("t2", plan.GetProperty("assignments").EnumerateArray().First(a => a.GetProperty("job").GetString() == "two").GetProperty("mate").GetString());
        Assert.Equal(10 + 2 + 1, plan.GetProperty("cost").GetDouble());
    }

    [Theory]
    [InlineData("\"hours\":6", "\"hours\":6,\"crew\":3", "jobs[0].crew")]
    [InlineData("\"hours\":6", "\"hours\":6,\"after\":{\"job\":\"j9\"}", "jobs[0].after.job")]
    [InlineData("\"dayCount\":20", "\"dayCount\":20,\"travelHours\":{\"north\":{\"south\":\"far\"}}", "travelHours.north.south")]
    [InlineData("\"dayCount\":20", "\"dayCount\":20,\"travelHours\":[{\"from\":\"north\",\"hours\":1}]", "travelHours[0].to")]
    [InlineData("\"dayCount\":20", "\"dayCount\":20,\"movePerDay\":-1", "movePerDay")]
    public async Task What_the_further_fields_cannot_be_is_named(string old, string changed, string field)
    {
        var (status, body) = await server.PostAsync("/api/calc/schedule", Good.Replace(old, changed, StringComparison.Ordinal));

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotEmpty(body.Sentence(field));
    }

    [Theory]
    [InlineData("\"day\":4", "\"day\":3", "j1")]
    [InlineData("\"day\":4", "\"day\":5", "j1")]
    public async Task A_pin_that_cannot_hold_is_infeasible_and_named(string old, string changed, string job)
    {
        var (status, plan) = await server.PostAsync("/api/calc/schedule", Good.Replace(old, changed, StringComparison.Ordinal));

        Assert.Equal((HttpStatusCode.OK, "infeasible"), (status, plan.GetProperty("status").GetString()));
        Assert.Equal(job, plan.GetProperty("unplaced")[0].GetProperty("job").GetString());
    }

    [Theory]
    [InlineData("\"dayCount\":20", "\"dayCount\":0", "dayCount")]
    [InlineData("\"dayCount\":20,", "", "dayCount")]
    [InlineData("\"hours\":6", "\"hours\":-6", "jobs[0].hours")]
    [InlineData("\"hours\":6,", "", "jobs[0].hours")]
    [InlineData("\"hours\":6", "\"hours\":\"six\"", "jobs[0].hours")]
    [InlineData("\"id\":\"j1\",", "", "jobs[0].id")]
    [InlineData("\"id\":\"t1\",", "", "technicians[0].id")]
    [InlineData("[8,8,8,8,8,0,0]", "[]", "technicians[0].hoursByDay")]
    [InlineData("[8,8,8,8,8,0,0]", "[30]", "technicians[0].hoursByDay")]
    [InlineData("\"job\":\"j1\"", "\"job\":\"j9\"", "pins[0].job")]
    [InlineData("\"technician\":\"t1\"", "\"technician\":\"t9\"", "pins[0].technician")]
    [InlineData("\"day\":4", "\"day\":40", "pins[0].day")]
    [InlineData("2027-01-04", "monday", "startDate")]
    [InlineData("\"timeLimitSeconds\":10", "\"timeLimitSeconds\":1e300", "timeLimitSeconds")]
    [InlineData("\"powerhouse\":1", "\"powerhouse\":-1", "groupLimits.powerhouse")]
    public async Task Bad_input_names_its_field(string old, string changed, string field)
    {
        var (status, body) = await server.PostAsync("/api/calc/schedule", Good.Replace(old, changed, StringComparison.Ordinal));

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotEmpty(body.Sentence(field));
    }

    [Fact]
    public async Task What_does_not_fit_is_left_out_with_a_reason()
    {
        var (_, plan) = await server.PostAsync("/api/calc/schedule", """
            {"dayCount":1,"technicians":[{"id":"t1","skills":[],"hoursByDay":[8]}],
             "jobs":[{"id":"a","hours":6,"dueDay":0,"latePerDay":1},{"id":"b","hours":6,"dueDay":0,"latePerDay":1}]}
            """);

        var left = Assert.Single(plan.GetProperty("unplaced").EnumerateArray());
        Assert.Contains("t1 is taken by", left.GetProperty("reason").GetString(), StringComparison.Ordinal);
        Assert.Equal(JsonValueKind.Null, plan.GetProperty("assignments")[0].GetProperty("date").ValueKind);
    }
}
