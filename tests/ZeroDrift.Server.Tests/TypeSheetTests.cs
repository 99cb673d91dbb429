using System.Net;
using System.Text;
using System.Text.Json;
using MiniExcelLibs;

namespace ZeroDrift.Server.Tests;

/// <summary>Engine types from the sheet a depot has them in: shown first, then in the book.</summary>
public sealed class TypeSheetTests : IDisposable
{
    private readonly ServerWithFile server = new();

    [Fact]
    public async Task The_sample_is_shown_taken_once_and_its_bad_line_told_by_column()
    {
        var file = await File.ReadAllBytesAsync(Path.Combine(Root, "samples", "types.csv"));
        var (_, shown) = await SendAsync("preview", file);
        Assert.Equal(["new", "new", "refused"], Outcomes(shown));
        Assert.Equal("firing order", shown.GetProperty("lines")[2].GetProperty("column").GetString());
        Assert.Empty((await server.GetAsync("/api/engine-types")).EnumerateArray());

        var (_, taken) = await SendAsync("import", file);
        Assert.Equal(2, taken.GetProperty("added").GetInt32());
        var six = (await server.GetAsync("/api/engine-types")).EnumerateArray().Single(t => t.GetProperty("code").GetString() == "FR6-7");
        Assert.Equal(12, six.GetProperty("points").GetInt32());
        var whole = await server.GetAsync($"/api/engine-types/{six.GetProperty("id").GetGuid()}");
        Assert.Equal((1.25, 1000.0), (whole.GetProperty("pitchMm").GetDouble(), whole.GetProperty("bookHours").GetDouble()));
        var exhaust = whole.GetProperty("revisions")[0].GetProperty("figures").EnumerateArray().Single(f => f.GetProperty("kind").GetString() == "exhaust");
        Assert.Equal((0.45, 0.55, 0.50), (exhaust.GetProperty("minMm").GetDouble(), exhaust.GetProperty("maxMm").GetDouble(), exhaust.GetProperty("setMm").GetDouble()));

        var (_, again) = await SendAsync("import", file);
        Assert.Equal(0, again.GetProperty("added").GetInt32());
        Assert.Equal(["known", "known", "refused"], Outcomes(again));
    }

    [Fact]
    public async Task A_workbook_is_read_like_the_table_it_holds()
    {
        using var book = new MemoryStream();
        book.SaveAs(new[] { new { Model = "WB-1", Order = "1-2", Intake = 0.2, Exhaust = "0.40", Adjuster = "shim on top", Colour = "green" } });
        var (status, shown) = await SendAsync("import", book.ToArray());

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(["new"], Outcomes(shown));
        Assert.Equal("Colour", shown.GetProperty("ignored")[0].GetString());
        Assert.Equal("shimOnTop", (await server.GetAsync("/api/engine-types"))[0].GetProperty("adjuster").GetString());
    }

    [Theory]
    [InlineData("adjuster", "code,firing order,intake,exhaust,adjuster\nA,1-2,0.2,0.4,spanner\n")]
    [InlineData("intake", "code,firing order,intake,exhaust,pitch\nA,1-2,0.2-0.3-0.4,0.4,1\n")]
    [InlineData("pitch", "code,firing order,intake,exhaust,pitch\nA,1-2,0.2,0.4,wide\n")]
    [InlineData("code", "code,firing order,intake,exhaust,pitch\n,1-2,0.2,0.4,1\n")]
    [InlineData("layout", "code,firing order,valves,intake,exhaust,pitch\nA,1-2,I E X,0.2,0.4,1\n")]
    public async Task What_a_line_cannot_be_is_told_by_its_column(string column, string csv)
    {
        var (_, shown) = await SendAsync("preview", Encoding.UTF8.GetBytes(csv));
        var line = Assert.Single(shown.GetProperty("lines").EnumerateArray());
        Assert.Equal(("refused", column), (line.GetProperty("outcome").GetString(), line.GetProperty("column").GetString()));
    }

    [Fact]
    public async Task A_pitch_that_the_sheet_does_not_give_is_not_known()
    {
        await SendAsync("import", "code,firing order,intake,exhaust\nA,1342,0.2,0.4\n"u8.ToArray());
        var type = await server.GetAsync($"/api/engine-types/{(await server.GetAsync("/api/engine-types"))[0].GetProperty("id").GetString()}");
        Assert.Contains("pitchMm", type.GetProperty("assumed").EnumerateArray().Select(a => a.GetString()));
        Assert.Equal(8, type.GetProperty("points").GetArrayLength());
    }

    [Theory]
    [InlineData("name,intake\nA,0.2\n")]
    [InlineData("code,firing order\n")]
    [InlineData("")]
    public async Task A_file_that_is_no_sheet_of_types_is_refused(string csv)
    {
        var (status, body) = await SendAsync("preview", Encoding.UTF8.GetBytes(csv));
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotEmpty(body.Sentence("file"));
    }

    [Fact]
    public async Task Figures_in_thou_are_the_books_own_and_judged_in_millimetres()
    {
        var (_, taken) = await SendAsync("import", Encoding.UTF8.GetBytes("code,firing order,valves,intake,exhaust,unit,pitch,cycle\nTH-1,1-2,I E E I,8-12,\"14-18\",thou,1,4 stroke\n"));
        Assert.True(taken.GetProperty("added").GetInt32() == 1, taken.ToString());
        var type = await server.GetAsync($"/api/engine-types/{(await server.GetAsync("/api/engine-types"))[0].GetProperty("id").GetGuid()}");
        var intake = type.GetProperty("revisions")[0].GetProperty("figures").EnumerateArray().Single(f => f.GetProperty("kind").GetString() == "intake");
        Assert.Equal(0.2032, intake.GetProperty("minMm").GetDouble(), 9);
        Assert.Equal(["1I", "1E", "2E", "2I"], type.GetProperty("points").EnumerateArray().Select(p => p.GetProperty("label").GetString()));
    }

    [Fact]
    public async Task Whatever_stands_in_a_sheet_it_is_told_and_never_breaks()
    {
        var random = new Random(7);
        string[] cells = ["", "1-3-4-2", "0.2", "-1", "0.15-0.25", "1e309", "NaN", "I E", "screw at valve", "'=1+1", "ÆØÅ", "9999999999", "0", "two", "1-1-1", new string('x', 400)];
        string[] columns = ["code", "firing order", "name", "layout", "banks", "cycle", "adjuster", "pitch", "method", "condition", "intake", "intake set", "exhaust", "unit", "revision", "book hours", "book months", "first check", "job hours"];
        for (var sheet = 0; sheet < 40; sheet++)
        {
            var rows = Enumerable.Range(0, 4).Select(_ => string.Join(';', columns.Select(_ => cells[random.Next(cells.Length)])));
            var (status, body) = await SendAsync("preview", Encoding.UTF8.GetBytes(string.Join(';', columns) + "\n" + string.Join('\n', rows) + "\n"));
            Assert.True(status is HttpStatusCode.OK or HttpStatusCode.BadRequest, $"{sheet}: {body}");
            if (status != HttpStatusCode.OK) continue;
            foreach (var line in body.GetProperty("lines").EnumerateArray().Where(l => l.GetProperty("outcome").GetString() == "refused"))
                Assert.Contains(line.GetProperty("column").GetString(), columns);
        }
    }

    public void Dispose() => server.Dispose();

    private static string[] Outcomes(JsonElement report) => [.. report.GetProperty("lines").EnumerateArray().Select(l => l.GetProperty("outcome").GetString()!)];

    private Task<(HttpStatusCode Status, JsonElement Body)> SendAsync(string path, byte[] file) => server.PostFileAsync($"/api/engine-types/sheet/{path}", file);

    private static string Root => AppContext.BaseDirectory[..AppContext.BaseDirectory.IndexOf("/tests/", StringComparison.Ordinal)];
}
