using Microsoft.AspNetCore.Http.Metadata;
using ZeroDrift.Contract;
using ZeroDrift.Server.OpenApi;

namespace ZeroDrift.Server.Calculators;

/// <summary>The calls of the contract over HTTP: bytes in, the contract's own bytes out. Stateless, nothing kept.</summary>
internal static class CalculatorEndpoints
{
    private const int MostBytes = 16 * 1024 * 1024;

    public static void MapCalculators(this IEndpointRouteBuilder api)
    {
        var calc = api.MapGroup("/calc").WithTags("Calculators").Refuses(400, 415);
        foreach (var call in AllCalls.List)
            calc.MapPost("/" + call.Name, (HttpContext context) => AnswerAsync(call, context))
                .WithName("calc-" + call.Name)
                .WithMetadata(new AcceptsMetadata(["application/json"], call.Request))
                .WithMetadata(new ProducesResponseTypeMetadata(200, call.Response, ["application/json"]));
        calc.MapPost("/schedule", ScheduleCalculator.Plan).WithName("calc-schedule");
    }

    private static async Task AnswerAsync(Call call, HttpContext context)
    {
        using var body = new MemoryStream();
        await context.Request.Body.CopyToAsync(body, context.RequestAborted);
        if (body.Length > MostBytes) throw new BadHttpRequestException("too large", 413);
        var answer = call.Answer(body.GetBuffer().AsMemory(0, (int)body.Length));
        context.Response.StatusCode = answer.Status;
        context.Response.ContentType = answer.Status == 200 ? "application/json; charset=utf-8" : Contract.Input.Problem.ContentType;
        await context.Response.Body.WriteAsync(answer.Json, context.RequestAborted);
    }
}
