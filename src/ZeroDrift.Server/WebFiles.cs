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
        app.UseStaticFiles(new StaticFileOptions
        {
            FileProvider = files,
            ContentTypeProvider = new FileExtensionContentTypeProvider(),
            OnPrepareResponse = served => served.Context.Response.Headers.CacheControl =
                served.Context.Request.Path.StartsWithSegments("/assets", StringComparison.Ordinal) ? "public, max-age=31536000, immutable" : "no-cache",
        });
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

    private static bool IsPage(HttpRequest request) =>
        (HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method))
        && !request.Path.StartsWithSegments("/api", StringComparison.Ordinal) && !request.Path.StartsWithSegments("/openapi", StringComparison.Ordinal) && !request.Path.StartsWithSegments("/health", StringComparison.Ordinal)
        && !Path.HasExtension(request.Path.Value);
}
