using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Diagnostics;
using ZeroDrift.Contract;
using ZeroDrift.Contract.Input;
using ZeroDrift.Data.Writing;

namespace ZeroDrift.Server.Errors;

/// <summary>Turns whatever went wrong into an RFC 9457 problem: bad input names its field, a conflict what stands, a storage fault asks to try again, a fault gets an id.</summary>
internal sealed class ProblemHandler(ILogger<ProblemHandler> log) : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(HttpContext context, Exception exception, CancellationToken cancellationToken)
    {
        if (exception is OperationCanceledException && context.RequestAborted.IsCancellationRequested) return true;
        var problem = Problem.Of(exception) ?? exception switch
        {
            ConflictException conflict => Problem.Field(409, conflict.Code, conflict.Field, conflict.Message) with { Facts = Problem.Elements(conflict.Facts) },
            NotFoundException missing => Problem.Whole(404, missing.Code, missing.Message),
            LostRaceException race => Problem.Whole(409, "changedMeanwhile", race.Message + " Look at what stands now and try again."),
            NotSavedException unsaved => NotSaved(context, unsaved),
            BadHttpRequestException { InnerException: JsonException json } => Problem.Of(json)!,
            BadHttpRequestException { StatusCode: 400 } when AddressQuestion.Unreadable(context) is { } unreadable => unreadable,
            BadHttpRequestException request => Problem.Field(request.StatusCode, "malformed", "body", Plain(request)),
            _ => Fault(context, exception),
        };
        await WriteAsync(context, problem, cancellationToken);
        return true;
    }

    /// <summary>Writes a problem document.</summary>
    public static async Task WriteAsync(HttpContext context, Problem problem, CancellationToken cancellationToken = default)
    {
        context.Response.StatusCode = problem.Status;
        context.Response.ContentType = Problem.ContentType;
        await context.Response.Body.WriteAsync(JsonSerializer.SerializeToUtf8Bytes(problem, ContractJson.Rules), cancellationToken);
    }

    private static string Plain(BadHttpRequestException request) => request.StatusCode switch
    {
        413 => "The request is larger than is taken here.",
        415 => "Send JSON: content type application/json.",
        _ => "The request needs a JSON body that fits the contract.",
    };

    private Problem NotSaved(HttpContext context, NotSavedException unsaved)
    {
        log.LogWarning(unsaved, "Not saved at {Method} {Path}", context.Request.Method, context.Request.Path);
        context.Response.Headers.RetryAfter = "2";
        return Problem.Whole(503, "notSaved", unsaved.Message);
    }

    private Problem Fault(HttpContext context, Exception exception)
    {
        if (WriteGate.Sqlite(exception) is not null) return NotSaved(context, new NotSavedException("The data file cannot be read at this moment. Try again.", exception));
        var id = Guid.CreateVersion7().ToString("N")[^8..];
        log.LogError(exception, "Fault {FaultId} at {Method} {Path}", id, context.Request.Method, context.Request.Path);
        return Problem.Whole(500, "fault", $"Something broke on our side; it is logged as {id}. What you entered is still on this screen.", new JsonObject { ["faultId"] = id });
    }
}
