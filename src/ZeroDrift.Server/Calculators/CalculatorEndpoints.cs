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
            calc.MapPost("/" + call.Name, (HttpContext context, CancellationToken cancelled) => AnswerAsync(call, context, cancelled))
                .WithName("calc-" + call.Name)
                .WithMetadata(new AcceptsMetadata(["application/json"], call.Request))
                .WithMetadata(new ProducesResponseTypeMetadata(200, call.Response, ["application/json"]));
        calc.MapPost("/schedule", ScheduleCalculator.Plan).WithName("calc-schedule");
        calc.MapPost("/shim-allocation", ShimAllocationCalculator.Allocate).WithName("calc-shim-allocation");
    }

    private static async Task<IResult> AnswerAsync(Call call, HttpContext context, CancellationToken cancelled)
    {
        using var body = new MemoryStream();
        await context.Request.Body.CopyToAsync(body, cancelled);
        if (body.Length > MostBytes) throw new BadHttpRequestException("too large", 413);
        var answer = call.Answer(body.GetBuffer().AsMemory(0, (int)body.Length));
        return answer.Status == 200 ? Results.Bytes(answer.Json, "application/json; charset=utf-8") : new Refused(answer);
    }

    /// <summary>A problem of the contract, with its own status.</summary>
    private sealed class Refused(CallAnswer answer) : IResult
    {
        public Task ExecuteAsync(HttpContext httpContext)
        {
            httpContext.Response.StatusCode = answer.Status;
            httpContext.Response.ContentType = Contract.Input.Problem.ContentType;
            return httpContext.Response.Body.WriteAsync(answer.Json).AsTask();
        }
    }
}
