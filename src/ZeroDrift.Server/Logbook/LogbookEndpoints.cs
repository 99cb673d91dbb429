using System.Text;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Data;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Sheets;

namespace ZeroDrift.Server.Logbook;

/// <summary>A logbook in and out, one reading a row: CSV or a workbook in, CSV out.</summary>
internal static class LogbookEndpoints
{
    public static void MapLogbook(this IEndpointRouteBuilder api)
    {
        var logbook = api.MapGroup("/logbook").WithTags("Logbook");
        logbook.MapPost("/preview", Preview).WithName("preview-logbook").Accepts<string>("text/csv", Spreadsheet.MediaType).Produces<LogbookReport>().Refuses(400, 415);
        logbook.MapPost("/import", Import).WithName("import-logbook").Accepts<string>("text/csv", Spreadsheet.MediaType).Produces<LogbookReport>().Refuses(400, 409, 415, 503);
        logbook.MapGet("/export", Export).WithName("export-logbook").Produces<string>(200, "text/csv");
    }

    public static async Task<LogbookReport> Preview(HttpRequest request, ZeroDriftContext data, FleetDay day, CancellationToken cancelled, string? letters = null) =>
        await new LogbookImport(data, await ReadAsync(request, letters), day.Today).RunAsync(false, false, day.Now);

    public static async Task<LogbookReport> Import(HttpRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled, bool goodOnly = false, string? letters = null)
    {
        var file = await ReadAsync(request, letters);
        return await gate.RunAsync(data => new LogbookImport(data, file, day.Today).RunAsync(true, goodOnly, day.Now), cancelled);
    }

    /// <summary>Every kept reading of signed visits, in the format that comes in; of one engine or of all.</summary>
    public static async Task Export(HttpContext context, ZeroDriftContext data, Guid? engine, CancellationToken cancelled)
    {
        context.Response.ContentType = "text/csv; charset=utf-8";
        await using var text = new StreamWriter(context.Response.Body, new UTF8Encoding(true));
        await LogbookExport.WriteAsync(data, engine, text);
    }

    private static async Task<LogbookFile> ReadAsync(HttpRequest request, string? letters) => LogbookReader.Read(await UploadedFile.ReadAsync(request), Letters(letters));

    private static BookLetters? Letters(string? word) => string.IsNullOrEmpty(word) ? null
        : Enum.TryParse<BookLetters>(word, true, out var letters) && Enum.IsDefined(letters) ? letters
        : throw new BadInputException("letters", "Say intakeExhaust (I and E) or einlassAuslass (E and A).");
}
