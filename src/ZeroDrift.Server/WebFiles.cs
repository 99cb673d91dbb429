using Microsoft.AspNetCore.StaticFiles;
using Microsoft.Extensions.FileProviders;

namespace ZeroDrift.Server;

/// <summary>
/// The built front end. Its pages are served before routing, so that a wrong method under /api stays a wrong method and is no page.
/// </summary>
internal static class WebFiles
{
    public static void Serve(WebApplication app, string? folder)
    {
        if (folder is null || !Directory.Exists(folder)) return;
        var files = new PhysicalFileProvider(folder);
        var types = new FileExtensionContentTypeProvider { Mappings = { [Packed] = "application/octet-stream", [".webmanifest"] = "application/manifest+json" } };
        app.Use((context, next) =>
        {
            // The tablet core is packed once, at the build, and far smaller than what a server packs in passing.
            if (TakesPacked(context.Request) && files.GetFileInfo(context.Request.Path + Packed).Exists) context.Request.Path += Packed;
            return next(context);
        });
        app.UseStaticFiles(new StaticFileOptions { FileProvider = files, ContentTypeProvider = types, OnPrepareResponse = served => Prepare(served.Context, types) });
        app.Use(async (context, next) =>
        {
            if (!IsPage(context.Request))
            {
                await next(context);
                return;
            }
            context.Response.ContentType = "text/html; charset=utf-8";
            context.Response.Headers.CacheControl = "no-cache";
            await context.Response.SendFileAsync(files.GetFileInfo("index.html"));
        });
    }

    private const string Packed = ".br";

    private static bool TakesPacked(HttpRequest request) => request.Path.StartsWithSegments("/tablet", StringComparison.Ordinal) && request.Headers.AcceptEncoding.ToString().Split(',').Any(e => e.Trim().StartsWith("br", StringComparison.Ordinal));

    private static void Prepare(HttpContext served, FileExtensionContentTypeProvider types)
    {
        var (path, headers) = (served.Request.Path.Value!, served.Response.Headers);
        var lasts = served.Request.Path.StartsWithSegments("/assets", StringComparison.Ordinal) || served.Request.Path.StartsWithSegments("/tablet", StringComparison.Ordinal);
        headers.CacheControl = lasts ? "public, max-age=31536000, immutable" : "no-cache";
        if (!path.EndsWith(Packed, StringComparison.Ordinal) || !types.TryGetContentType(path[..^Packed.Length], out var type)) return;
        (served.Response.ContentType, headers.ContentEncoding, headers.Vary) = (type, "br", "Accept-Encoding");
    }

    private static bool IsPage(HttpRequest request) =>
        (HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method))
        && !request.Path.StartsWithSegments("/api", StringComparison.Ordinal) && !request.Path.StartsWithSegments("/openapi", StringComparison.Ordinal) && !request.Path.StartsWithSegments("/health", StringComparison.Ordinal)
        && !Path.HasExtension(request.Path.Value);
}
