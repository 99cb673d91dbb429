using System.IO.Compression;
using System.Text.Json;
using System.Text.Json.Serialization;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.AspNetCore.ResponseCompression;
using Microsoft.AspNetCore.StaticFiles;
using Microsoft.Extensions.FileProviders;
using Serilog;
using ZeroDrift.Data;
using ZeroDrift.Data.Demo;
using ZeroDrift.Server.Book;
using ZeroDrift.Server.Calculators;
using ZeroDrift.Server.Engines;
using ZeroDrift.Server.Fleet;
using ZeroDrift.Server.Logbook;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Overheads;
using ZeroDrift.Server.Problems;

// dotnet run -- --data DIR --web DIR --port N [--host H] [--demo] [--fleet-size N]
// InvariantCulture throughout: a decimal point is a decimal point, wherever the server stands.
// A bare --demo would take the next word for its value.
var builder = WebApplication.CreateBuilder([.. args.Select(arg => arg == "--demo" ? "--demo=true" : arg)]);
var data = Path.GetFullPath(builder.Configuration["data"] ?? "data");
Directory.CreateDirectory(data);
var file = Path.Combine(data, "zerodrift.db");
var demo = builder.Configuration["demo"] == "true";

builder.Host.UseSerilog((_, log) => log.MinimumLevel.Warning().MinimumLevel.Override("ZeroDrift", Serilog.Events.LogEventLevel.Information).WriteTo.Console(formatProvider: System.Globalization.CultureInfo.InvariantCulture).WriteTo.File(Path.Combine(data, "log-.txt"), rollingInterval: RollingInterval.Day, retainedFileCountLimit: 14, formatProvider: System.Globalization.CultureInfo.InvariantCulture));
if (builder.Configuration["port"] is { } port) builder.WebHost.UseUrls($"http://{builder.Configuration["host"] ?? "127.0.0.1"}:{port}");
builder.WebHost.ConfigureKestrel(kestrel => kestrel.Limits.MaxRequestBodySize = 24 * 1024 * 1024);

builder.Services.AddDbContext<ZeroDriftContext>(options => options.UseZeroDriftFile(file));
builder.Services.AddSingleton<OutlookCache>();
builder.Services.AddSingleton(TimeProvider.System);
builder.Services.AddExceptionHandler<InputProblems>();
builder.Services.AddProblemDetails();
builder.Services.AddOpenApi(options => options.AddSchemaTransformer(ZeroDrift.Server.OptionalFields.Apply));
builder.Services.Configure<RouteHandlerOptions>(options => options.ThrowOnBadRequest = true);
builder.Services.Configure<JsonOptions>(options =>
{
    options.SerializerOptions.NumberHandling = JsonNumberHandling.Strict;
    options.SerializerOptions.MaxDepth = 32;
    options.SerializerOptions.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
});
builder.Services.AddResponseCompression(options =>
{
    options.EnableForHttps = true;
    options.Providers.Add<BrotliCompressionProvider>();
    options.Providers.Add<GzipCompressionProvider>();
    options.MimeTypes = [.. ResponseCompressionDefaults.MimeTypes, "image/svg+xml", "text/csv"];
});
builder.Services.Configure<BrotliCompressionProviderOptions>(options => options.Level = CompressionLevel.Fastest);

var app = builder.Build();
app.UseExceptionHandler();
app.UseResponseCompression();

await using (var scope = app.Services.CreateAsyncScope())
{
    var context = scope.ServiceProvider.GetRequiredService<ZeroDriftContext>();
    var copy = await DatabaseFile.MigrateAsync(context, file, DateTime.UtcNow);
    if (copy is not null) app.Logger.LogInformation("The data file was brought up to date; the file as it was is kept as {Copy}", copy);
    if (demo || builder.Configuration["fleet-size"] is not null)
        await DemoData.FillAsync(context, DateOnly.FromDateTime(DateTime.UtcNow), int.TryParse(builder.Configuration["fleet-size"], out var size) ? size : null);
}

app.MapOpenApi("/openapi/{documentName}.json");
app.MapGet("/health", () => Results.Text("ready")).ExcludeFromDescription();
var api = app.MapGroup("/api");
api.MapCalculators();
api.MapFleet();
api.MapBook();
api.MapEngines();
api.MapOverheads();
api.MapLogbook();
api.MapFallback("/{**rest}", (HttpContext context) => Results.Problem($"There is nothing at {context.Request.Path}.", statusCode: 404, title: "No such address"));

var web = builder.Configuration["web"] is { } given ? Path.GetFullPath(given) : null;
if (web is not null && Directory.Exists(web))
{
    var files = new PhysicalFileProvider(web);
    var types = new FileExtensionContentTypeProvider();
    app.UseStaticFiles(new StaticFileOptions
    {
        FileProvider = files,
        ContentTypeProvider = types,
        OnPrepareResponse = served => served.Context.Response.Headers.CacheControl =
            served.Context.Request.Path.StartsWithSegments("/assets", StringComparison.Ordinal) ? "public, max-age=31536000, immutable" : "no-cache",
    });
    app.MapFallback(async (HttpContext context) =>
    {
        context.Response.ContentType = "text/html; charset=utf-8";
        context.Response.Headers.CacheControl = "no-cache";
        await context.Response.SendFileAsync(files.GetFileInfo("index.html"));
    });
}

await app.StartAsync();
app.Logger.LogInformation("Ready at {Addresses}", string.Join(", ", app.Urls));
// The first look at the yard should not wait for five years of figures.
_ = app.Services.GetRequiredService<OutlookCache>().WarmAsync();
await app.WaitForShutdownAsync();

/// <summary>For the in-process test server.</summary>
public partial class Program;
