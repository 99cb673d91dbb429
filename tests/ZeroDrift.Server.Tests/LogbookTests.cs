using System.Net;
using System.Text;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

public sealed class LogbookTests : IDisposable
{
    private const string Header = "engine,date,engine hours,cylinder,valve,as found,as left,unit,who,remark\n";
    private readonly ServerWithFile server = new();

    [Fact]
    public async Task What_goes_out_comes_back_in_and_adds_nothing()
    {
        await new TwinEngine(server).AddAsync();
        await Import(Header + """
            Pump twin,2024-03-01,500,1,intake,0.21,0.21,mm,Tove,
            Pump twin,2024-03-01,500,1,exhaust,0.30-0.35,0.40,mm,Tove,was tight
            Pump twin,2024-03-01,500,2,I,8,8,thou,Tove,
            Pump twin,2024-03-01,500,2,E,<0.05,0.41,mm,Tove,closed up
            """);
        var export = await server.Client.GetByteArrayAsync("/api/logbook/export");

        var (status, report) = await server.PostFileAsync("/api/logbook/import", export);

        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal((4, 0, 0), (report.GetProperty("alreadyThere").GetInt32(), report.GetProperty("newReadings").GetInt32(), report.GetProperty("badRows").GetArrayLength()));
        var text = Encoding.UTF8.GetString(export);
        Assert.Contains("Pump twin,2024-03-01,500,1,exhaust,0.30-0.35,0.40,mm,Tove,was tight", text, StringComparison.Ordinal);
        Assert.Contains("2,exhaust,<0.05,0.41,mm", text, StringComparison.Ordinal);
        Assert.Contains("2,intake,8,8,thou", text, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Decimal_commas_semicolons_and_dotted_dates_work()
    {
        await new TwinEngine(server).AddAsync();

        var (_, report) = await server.PostFileAsync("/api/logbook/preview", "engine;date;engine hours;cylinder;valve;as found;as left;unit\nPump twin;01.03.2024;500,5;1;exhaust;0,38;;mm\n");

        Assert.Equal(("semicolon", "comma", 1), (report.GetProperty("separator").GetString(), report.GetProperty("decimal").GetString(), report.GetProperty("newReadings").GetInt32()));
        Assert.Equal(0.38, report.GetProperty("firstRows")[0].GetProperty("foundMm").GetDouble(), 9);
        Assert.False(report.GetProperty("saved").GetBoolean());
    }

    [Theory]
    [InlineData("Nobody,2024-03-01,500,1,E,0.4,,mm", "engine", "The yard has no engine called 'Nobody'")]
    [InlineData("Pump twin,03/01/2024,500,1,E,0.4,,mm", "date", "order that is not sure")]
    [InlineData("Pump twin,2024-03-01,500,7,E,0.4,,mm", "cylinder", "has no 7E")]
    [InlineData("Pump twin,2024-03-01,500,1,X,0.4,,mm", "valve", "'X' is not a valve")]
    [InlineData("Pump twin,2024-03-01,500,1,E,0.4,,mil", "unit", "'mil' means thou to some")]
    [InlineData("Pump twin,2024-03-01,500,1,E,16,,mm", "as found", "Was it 16 thou?")]
    [InlineData("Pump twin,2024-03-01,500,1,E,tight,,mm", "as found", "'tight'")]
    [InlineData("Pump twin,2024-03-01,-5,1,E,0.4,,mm", "engine hours", "is not a number of hours")]
    [InlineData("Pump twin,2024-03-01,500,1,E,,,mm", "as found", "Neither")]
    public async Task A_bad_row_is_named_with_its_line_and_why(string row, string column, string sentence)
    {
        await new TwinEngine(server).AddAsync();

        var (_, report) = await server.PostFileAsync("/api/logbook/preview", Header + "Pump twin,2023-03-01,400,1,E,0.4,,mm\n" + row + "\n");

        var bad = Assert.Single(report.GetProperty("badRows").EnumerateArray());
        Assert.Equal((3, column), (bad.GetProperty("line").GetInt32(), bad.GetProperty("column").GetString()));
        Assert.Contains(sentence, bad.GetProperty("message").GetString(), StringComparison.Ordinal);
        Assert.Equal(1, report.GetProperty("newReadings").GetInt32());
    }

    [Fact]
    public async Task An_engine_the_yard_does_not_have_is_named_once_with_its_highest_hours()
    {
        var (_, report) = await server.PostFileAsync("/api/logbook/preview", Header + "New pump,2024-03-01,500,1,E,0.4,,mm\nNew pump,2025-03-01,900,1,E,0.4,,mm\n");

        var missing = Assert.Single(report.GetProperty("missingEngines").EnumerateArray());
        Assert.Equal(("New pump", 2, 900.0), (missing.GetProperty("engine").GetString(), missing.GetProperty("rows").GetInt32(), missing.GetProperty("hours").GetDouble()));
    }

    [Fact]
    public async Task Good_rows_come_in_only_when_asked()
    {
        await new TwinEngine(server).AddAsync();
        var file = Header + "Pump twin,2024-03-01,500,1,E,0.4,,mm\nPump twin,2024-03-01,500,9,E,0.4,,mm\n";

        var (refused, _) = await server.PostFileAsync("/api/logbook/import", file);
        Assert.Equal(HttpStatusCode.BadRequest, refused);
        Assert.DoesNotContain("Pump", await server.Client.GetStringAsync("/api/logbook/export"), StringComparison.Ordinal);

        var (taken, report) = await server.PostFileAsync("/api/logbook/import?goodOnly=true", file);
        Assert.Equal((HttpStatusCode.OK, 1), (taken, report.GetProperty("newReadings").GetInt32()));
    }

    [Fact]
    public async Task Another_figure_for_a_recorded_reading_is_refused_and_hours_may_not_go_back()
    {
        await new TwinEngine(server).AddAsync();
        await Import(Header + "Pump twin,2024-03-01,500,1,E,0.4,,mm\n");

        var (_, report) = await server.PostFileAsync("/api/logbook/preview", Header + "Pump twin,2024-03-01,500,1,E,0.45,,mm\nPump twin,2025-03-01,300,1,E,0.4,,mm\n");

        var messages = report.GetProperty("badRows").EnumerateArray().Select(b => b.GetProperty("message").GetString()!).ToList();
        Assert.Contains("already recorded as 0.40 mm, not 0.45", messages[0], StringComparison.Ordinal);
        Assert.Contains("300 h is below the 500 h of 1 Mar 2024", messages[1], StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(new byte[0], "empty")]
    [InlineData(new byte[] { 0x50, 0x4B, 3, 4, 0, 0, 1, 0 }, "workbook cannot be opened")]
    [InlineData(new byte[] { (byte)'a', (byte)',', (byte)'b', 10 }, "column 'engine' is missing")]
    public async Task What_is_no_logbook_gets_one_clear_sentence(byte[] file, string sentence)
    {
        var (status, body) = await server.PostFileAsync("/api/logbook/preview", file);

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains(sentence, body.Sentence("file"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task An_as_left_in_the_middle_of_the_bracket_that_was_found_is_a_figure_of_its_own()
    {
        await new TwinEngine(server).AddAsync();

        var report = await Import(Header + "Pump twin,2024-03-01,500,1,E,0.30-0.40,0.35,mm\nPump twin,2024-03-01,500,2,E,0.30-0.40,0.30-0.40,mm\n");

        Assert.Equal(3, report.GetProperty("newReadings").GetInt32());
        Assert.Contains(",0.30-0.40,0.35,", await server.Client.GetStringAsync("/api/logbook/export"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Hours_that_could_be_two_figures_are_a_row_that_is_not_saved()
    {
        await new TwinEngine(server).AddAsync();

        var (_, report) = await server.PostFileAsync("/api/logbook/preview", "engine;date;engine hours;cylinder;valve;as found;as left;unit\nPump twin;2024-03-01;3.200;1;E;0,40;;mm\n");

        var row = Assert.Single(report.GetProperty("badRows").EnumerateArray());
        Assert.Equal("engine hours", row.GetProperty("column").GetString());
        Assert.StartsWith("'3.200' could be 3.2 h or 3\u202f200 h.", row.GetProperty("message").GetString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_demo_fleet_s_own_export_is_known_row_for_row()
    {
        using var demo = new ServerWithFile(demo: true);

        var (_, report) = await demo.PostFileAsync("/api/logbook/preview", await demo.Client.GetByteArrayAsync("/api/logbook/export"));

        var bad = report.GetProperty("badRows").EnumerateArray().Select(b => $"{b.GetProperty("message")} {b.GetProperty("text")}").ToList();
        Assert.True(bad.Count == 0, $"{bad.Count} rows, such as {string.Join('\n', bad.Take(5))}");
        Assert.True(report.GetProperty("rows").GetInt32() > 1200);
        Assert.Equal(0, report.GetProperty("newReadings").GetInt32());
    }

    public void Dispose() => server.Dispose();

    private async Task<JsonElement> Import(string file)
    {
        var (status, report) = await server.PostFileAsync("/api/logbook/import", file.Replace("            ", "", StringComparison.Ordinal));
        Assert.True(status == HttpStatusCode.OK, report.ToString());
        return report;
    }
}
