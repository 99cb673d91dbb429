using System.IO.Compression;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.AspNetCore.ResponseCompression;
using Serilog;
using ZeroDrift.Contract;
using ZeroDrift.Data;
using ZeroDrift.Data.Projections;
using ZeroDrift.Data.Storage;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server;
using ZeroDrift.Server.Book;
using ZeroDrift.Server.Calculators;
using ZeroDrift.Server.Drift;
using ZeroDrift.Server.DueList;
using ZeroDrift.Server.Engines;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.Fleet;
using ZeroDrift.Server.Hours;
using ZeroDrift.Server.Https;
using ZeroDrift.Server.Instruments;
using ZeroDrift.Server.Logbook;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.People;
using ZeroDrift.Server.Places;
using ZeroDrift.Server.Plan;
using ZeroDrift.Server.Shims.Ahead;
using ZeroDrift.Server.Shims.Bench;
using ZeroDrift.Server.Shims.Drawers;
using ZeroDrift.Server.Shims.Jobs;
using ZeroDrift.Server.StandIns;
using ZeroDrift.Server.Visits;
using ZeroDrift.Server.Year;

// --data DIR --web DIR --port N [--host H] [--https] [--demo] [--fleet-size N --years N] [--rebuild]
// InvariantCulture throughout: a decimal point is a decimal point, wherever the server stands.
// A bare flag would take the next word for its value.
var builder = WebApplication.CreateBuilder([.. args.Select(arg => arg is "--demo" or "--rebuild" or "--https" ? arg + "=true" : arg)]);
var settings = StartSettings.Of(builder.Configuration);
FolderLock folder;
try
{
    folder = FolderLock.Take(settings.Data);
    await StartFill.OpenAsync(settings);
}
catch (StorageTrouble trouble)
{
    await Console.Error.WriteLineAsync("✗ " + trouble.Message);
    // In a test server the exception tells; a person at a terminal gets the sentence alone.
    if (settings.InProcess) throw;
    return 1;
}

builder.Host.UseSerilog((_, log) => log.MinimumLevel.Warning().MinimumLevel.Override("ZeroDrift", Serilog.Events.LogEventLevel.Information).WriteTo.Console(formatProvider: System.Globalization.CultureInfo.InvariantCulture).WriteTo.File(Path.Combine(settings.Data, "log-.txt"), rollingInterval: RollingInterval.Day, retainedFileCountLimit: 14, formatProvider: System.Globalization.CultureInfo.InvariantCulture));
var root = settings.Https ? DepotRoot.Open(settings.Data, settings.Host, DateTimeOffset.UtcNow) : null;
if (settings.Port is { } port && root is null) builder.WebHost.UseUrls($"http://{settings.Host ?? "127.0.0.1"}:{port}");
builder.WebHost.ConfigureKestrel(kestrel =>
{
    kestrel.AddServerHeader = false;
    kestrel.Limits.MaxRequestBodySize = 24 * 1024 * 1024;
    if (root is not null) kestrel.ListenOn(settings, root);
});

builder.Services.AddSingleton(_ => folder);
builder.Services.AddSingleton(services => new WriteGate(settings.File, () => services.GetRequiredService<FleetDay>().Today));
builder.Services.AddDbContext<ZeroDriftContext>(options => options.UseZeroDriftFile(settings.File));
builder.Services.AddSingleton(TimeProvider.System);
builder.Services.AddSingleton<FleetDay>();
builder.Services.AddSingleton<Yard>();
builder.Services.AddSingleton<Refits>();
builder.Services.AddHostedService(services => services.GetRequiredService<Refits>());
builder.Services.AddSingleton<PlanRuns>();
if (settings is { Demo: true, FleetSize: null }) builder.Services.AddHostedService<DemoPlan>();
builder.Services.AddSingleton<HoursFeed>();
builder.Services.AddHostedService(services => services.GetRequiredService<HoursFeed>());
builder.Services.AddExceptionHandler<ProblemHandler>();
builder.Services.AddProblemDetails();
builder.Services.AddOpenApi(options => options.AddSchemaTransformer(PlainTypes.Apply).AddSchemaTransformer(OptionalFields.Apply).AddDocumentTransformer(EntryUnion.Apply));
builder.Services.Configure<RouteHandlerOptions>(options => options.ThrowOnBadRequest = true);
builder.Services.Configure<JsonOptions>(options =>
{
    ContractJson.Apply(options.SerializerOptions);
    options.SerializerOptions.Converters.Add(new System.Text.Json.Serialization.JsonStringEnumConverter(System.Text.Json.JsonNamingPolicy.CamelCase, allowIntegerValues: false));
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
// Asked for once, so that the folder is let go of when the server is.
_ = app.Services.GetRequiredService<FolderLock>();
app.UseMiddleware<Doorkeeper>(settings.Host ?? "127.0.0.1");
app.UseResponseCompression();
app.UseExceptionHandler();
app.UseStatusCodePages(context => context.HttpContext.Request.Path.StartsWithSegments("/api", StringComparison.Ordinal) ? BareStatus.WriteAsync(context.HttpContext) : Task.CompletedTask);
WebFiles.Serve(app, settings.Web);
app.UseRouting();

app.MapOpenApi("/openapi/{documentName}.json");
app.MapGet("/health", () => Results.Text("ready")).ExcludeFromDescription();
app.MapInstall(settings, root);
if (settings.Demo) app.MapStandIns();
var api = app.MapGroup("/api");
api.MapCalculators();
api.MapFleet();
api.MapPeople();
api.MapPlaces();
api.MapInstruments();
api.MapBook();
api.MapEngines();
api.MapOwnFigures();
api.MapDrift();
api.MapYear();
api.MapMeters();
api.MapHours();
api.MapHoursAhead();
api.MapCalls();
api.MapJobs();
api.MapPlan();
api.MapPlanSettings();
api.MapDrawers();
api.MapShimBench();
api.MapShimJobs();
api.MapShimsAhead();
api.MapVisits();
api.MapRecordFiles();
api.MapLogbook();

await using (var scope = app.Services.CreateAsyncScope())
{
    var data = scope.ServiceProvider.GetRequiredService<ZeroDriftContext>();
    await app.Services.GetRequiredService<FleetDay>().ReadAsync(data);
}

if (settings.Rebuild)
{
    var count = await app.Services.GetRequiredService<WriteGate>().RunAsync(data => Projector.AllAsync(data, app.Services.GetRequiredService<FleetDay>().Today, Console.WriteLine));
    Console.WriteLine($"Rebuilt from the entries of {count} visits.");
    return 0;
}

await app.StartAsync();
app.Logger.LogInformation("Ready at {Addresses}", string.Join(", ", app.Urls));
await app.WaitForShutdownAsync();
return 0;

/// <summary>For the in-process test server.</summary>
public partial class Program;
