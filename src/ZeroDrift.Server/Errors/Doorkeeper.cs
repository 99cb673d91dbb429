using System.Net;
using Microsoft.Net.Http.Headers;
using ZeroDrift.Contract.Input;

namespace ZeroDrift.Server.Errors;

/// <summary>
/// Who may ask: a page of this server, or a program. A name that somebody pointed at this machine is not served, a page from elsewhere may
/// change nothing, and every answer carries the headers that keep browsers strict.
/// </summary>
internal sealed class Doorkeeper(RequestDelegate next, string? host)
{
    private const string Policy = "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; worker-src 'self'; manifest-src 'self'; style-src 'self'; img-src 'self' data: blob:; font-src 'self' data:; connect-src 'self'; object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'";

    public async Task InvokeAsync(HttpContext context)
    {
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy = Policy;
        headers.XContentTypeOptions = "nosniff";
        headers.XFrameOptions = "DENY";
        headers["Referrer-Policy"] = "same-origin";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        if (!IsOurs(context.Request.Host))
        {
            await ProblemHandler.WriteAsync(context, Problem.Whole(421, "foreignHost", "This server is not known under that name. Use the address it printed at its start, or name it with --host."));
            return;
        }
        if (!IsSameOrigin(context.Request))
        {
            await ProblemHandler.WriteAsync(context, Problem.Whole(403, "foreignOrigin", "A page from elsewhere may not change anything here."));
            return;
        }
        if (HasForeignCharset(context.Request))
        {
            await ProblemHandler.WriteAsync(context, Problem.Whole(415, "unsupportedMediaType", "Send JSON in UTF-8: content type application/json."));
            return;
        }
        await next(context);
    }

    private bool IsOurs(HostString asked)
    {
        var name = asked.Host.Trim('[', ']');
        if (name.Length == 0) return false;
        if (name.Equals("localhost", StringComparison.OrdinalIgnoreCase) || (IPAddress.TryParse(name, out var address) && (IPAddress.IsLoopback(address) || host is not null))) return true;
        return host is not null && (name.Equals(host, StringComparison.OrdinalIgnoreCase) || name.Equals(Environment.MachineName, StringComparison.OrdinalIgnoreCase));
    }

    private static bool IsSameOrigin(HttpRequest request)
    {
        if (HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method) || HttpMethods.IsOptions(request.Method)) return true;
        var origin = request.Headers.Origin.ToString();
        return origin.Length == 0 || (Uri.TryCreate(origin, UriKind.Absolute, out var from) && string.Equals(from.Authority, request.Host.Value, StringComparison.OrdinalIgnoreCase));
    }

    private static bool HasForeignCharset(HttpRequest request)
    {
        if (string.IsNullOrEmpty(request.ContentType) || !MediaTypeHeaderValue.TryParse(request.ContentType, out var type) || !type.Charset.HasValue) return false;
        var charset = type.Charset.ToString().Trim('"');
        var isText = type.MediaType.StartsWith("text/", StringComparison.OrdinalIgnoreCase);
        return !isText && !charset.Equals("utf-8", StringComparison.OrdinalIgnoreCase) && !charset.Equals("us-ascii", StringComparison.OrdinalIgnoreCase);
    }
}
