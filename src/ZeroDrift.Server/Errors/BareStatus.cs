using ZeroDrift.Contract.Input;

namespace ZeroDrift.Server.Errors;

/// <summary>Statuses that routing gives without a body get a problem document too.</summary>
internal static class BareStatus
{
    public static async Task WriteAsync(HttpContext context)
    {
        var problem = context.Response.StatusCode switch
        {
            404 => Problem.Whole(404, "notFound", $"There is nothing at {Problem.Short(context.Request.Path, 100)}."),
            405 => Problem.Whole(405, "methodNotAllowed", $"{Problem.Short(context.Request.Method, 10)} is not done at {Problem.Short(context.Request.Path, 100)}."),
            415 => Problem.Whole(415, "unsupportedMediaType", "Send JSON: content type application/json, in UTF-8."),
            400 => AddressQuestion.Unreadable(context) ?? Problem.Field(400, "malformed", "body", "The request does not fit the contract."),
            var status => Problem.Whole(status, "refused", "This request is not taken here."),
        };
        await ProblemHandler.WriteAsync(context, problem);
    }
}
