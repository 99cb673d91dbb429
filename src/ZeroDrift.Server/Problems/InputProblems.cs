using System.Text.Json;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.Mvc;
using ZeroDrift.Core;
using ZeroDrift.Server.Overheads;

namespace ZeroDrift.Server.Problems;

/// <summary>Turns whatever went wrong into an RFC 9457 problem document: bad input names its field, a conflict shows both sides, a fault gets an id.</summary>
internal sealed class InputProblems(ILogger<InputProblems> log) : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(HttpContext context, Exception exception, CancellationToken cancellationToken)
    {
        if (exception is OperationCanceledException && context.RequestAborted.IsCancellationRequested) return true;
        var problem = exception switch
        {
            BadInputException bad => Field(400, bad.Field, bad.Message),
            ConflictException conflict => new ProblemDetails { Status = 409, Title = conflict.Message, Extensions = { ["errors"] = Errors(conflict.Field, conflict.Message), ["current"] = conflict.Current } },
            WrongUnitException unit => new ProblemDetails { Status = 400, Title = unit.Message, Extensions = { ["errors"] = Errors(unit.Field, unit.Message), ["offerUnit"] = unit.Offer } },
            NotFoundException missing => new ProblemDetails { Status = 404, Title = missing.Message },
            BadHttpRequestException { InnerException: JsonException json } => Json(json),
            BadHttpRequestException request => Field(request.StatusCode, "body", Plain(request)),
            _ => Fault(context, exception),
        };
        context.Response.StatusCode = problem.Status!.Value;
        await context.Response.WriteAsJsonAsync(problem, options: null, "application/problem+json", cancellationToken);
        return true;
    }

    private static ProblemDetails Field(int status, string field, string message) => new()
    {
        Status = status,
        Title = message,
        Extensions = { ["errors"] = Errors(field, message) },
    };

    private static Dictionary<string, string[]> Errors(string field, string message) => new() { [field] = [message] };

    private static ProblemDetails Json(JsonException json)
    {
        var field = string.IsNullOrEmpty(json.Path) || json.Path == "$" ? "body" : json.Path.StartsWith("$.", StringComparison.Ordinal) ? json.Path[2..] : json.Path;
        if (json.Message.Contains("depth", StringComparison.OrdinalIgnoreCase)) return Field(400, "body", "The request is nested too deeply.");
        if (json.Message.Contains("could not be converted", StringComparison.Ordinal) || json.Message.Contains("cannot be converted", StringComparison.Ordinal))
            return Field(400, field, $"{field} does not hold a value of the right kind: {Expected(json.Message + json.InnerException?.Message)} was expected.");
        return Field(400, field, $"The request is not valid JSON (line {json.LineNumber + 1}, near {field}).");
    }

    private static string Expected(string message) => message switch
    {
        _ when message.Contains("as a number", StringComparison.Ordinal) => "a number",
        _ when message.Contains("as a boolean", StringComparison.Ordinal) => "true or false",
        _ when message.Contains("as a string", StringComparison.Ordinal) => "text",
        _ when message.Contains("Double", StringComparison.Ordinal) || message.Contains("Int", StringComparison.Ordinal) || message.Contains("Decimal", StringComparison.Ordinal) => "a number",
        _ when message.Contains("Boolean", StringComparison.Ordinal) => "true or false",
        _ when message.Contains("Date", StringComparison.Ordinal) => "a date such as 2027-01-04",
        _ when message.Contains("List", StringComparison.Ordinal) || message.Contains("[]", StringComparison.Ordinal) => "a list",
        _ when message.Contains("System.String", StringComparison.Ordinal) => "text",
        _ when message.Contains("Guid", StringComparison.Ordinal) => "an identifier",
        _ => "one of the words the contract lists",
    };

    private static string Plain(BadHttpRequestException request) => request.StatusCode switch
    {
        413 => "The request is larger than is taken here.",
        _ => "The request needs a JSON body that fits the contract.",
    };

    private ProblemDetails Fault(HttpContext context, Exception exception)
    {
        var id = Guid.CreateVersion7().ToString("N")[^8..];
        log.LogError(exception, "Fault {FaultId} at {Method} {Path}", id, context.Request.Method, context.Features.Get<IHttpRequestFeature>()?.Path);
        return new ProblemDetails { Status = 500, Title = $"Something broke on our side; it is logged as {id}. What you entered is still on this screen.", Extensions = { ["faultId"] = id } };
    }
}
