using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Visits;

/// <summary>
/// Writes a whole visit as a list of entries: for a logbook that is read in, a file of the first version, the demo. Every entry gets its sequence
/// as it is written, so that it counts as taken.
/// </summary>
public sealed class VisitDraft(Guid visitId, Guid engineId, Guid by, DateTimeOffset startedAt, string device)
{
    private readonly List<(Guid Id, string Content, Entry Entry)> entries = [];

    public Guid VisitId => visitId;

    public Guid EngineId => engineId;

    /// <summary>Who writes the next entries.</summary>
    public Guid By { get; set; } = by;

    /// <summary>When the next entry was made.</summary>
    public DateTimeOffset At { get; set; } = startedAt;

    public IEnumerable<Entry> Entries => entries.Select(e => e.Entry);

    /// <summary>Appends an entry of a kind with its fields.</summary>
    /// <returns>Its identifier.</returns>
    public Guid Add(string kind, JsonObject fields, Guid? id = null)
    {
        var entryId = id ?? Guid.CreateVersion7(At);
        fields["kind"] = kind;
        fields["at"] = At.UtcDateTime.ToString("yyyy-MM-ddTHH:mm:ss.fffZ", CultureInfo.InvariantCulture);
        fields["by"] = By.ToString();
        fields["device"] = device;
        var content = fields.ToJsonString();
        fields["id"] = entryId.ToString();
        entries.Add((entryId, content, EntryReader.Read(JsonSerializer.SerializeToElement(fields), entries.Count + 1)));
        return entryId;
    }

    public void Open(JobKind job, DateOnly date, double? shownHours, string? method, IEnumerable<string> tray, string trayUnit, string? bladeSet, string? setting = "stopFirst")
    {
        var fields = new JsonObject { ["engineId"] = engineId.ToString(), ["job"] = JsonNamingPolicy.CamelCase.ConvertName(job.ToString()), ["date"] = date.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture), ["shownHours"] = shownHours };
        if (setting is not null) fields["setting"] = setting;
        if (method is not null) fields["method"] = method;
        if (tray.Any()) fields["tray"] = new JsonObject { ["setId"] = bladeSet, ["unit"] = trayUnit, ["blades"] = new JsonArray([.. tray.Select(b => (JsonNode)b)]) };
        Add("opened", fields);
    }

    public void Tick(IEnumerable<string> steps)
    {
        foreach (var step in steps) Add("ticked", new JsonObject { ["step"] = step, ["on"] = true });
    }

    /// <summary>A step with what was said at it: how many parts, what was seen.</summary>
    public void Tick(string step, string said) => Add("ticked", new JsonObject { ["step"] = step, ["on"] = true, ["said"] = said });

    public void Condition(string condition, double? temperatureC, bool anyway)
    {
        var fields = new JsonObject { ["condition"] = condition };
        if (temperatureC is { } degrees) fields["engineTemperatureC"] = degrees;
        if (anyway) fields["measureAnyway"] = true;
        Add("conditionStated", fields);
    }

    public void Prove(double crankDeg) => Add("positionProved", new JsonObject { ["crankDeg"] = crankDeg });

    /// <summary>Points seen to be clear, where no stop proves them.</summary>
    public void ProvePoints(IEnumerable<string> points) => Add("positionProved", new JsonObject { ["points"] = new JsonArray([.. points.Select(p => (JsonNode)p)]) });

    public Guid Try(Guid reading, string point, string stage, IEnumerable<string> blades, string unit, string feel) => Add("tried", new JsonObject
    {
        ["reading"] = reading.ToString(),
        ["point"] = point,
        ["stage"] = stage,
        ["blades"] = new JsonArray([.. blades.Select(b => (JsonNode)b)]),
        ["unit"] = unit,
        ["feel"] = feel,
    });

    public Guid Figure(Guid reading, string point, string stage, string figure, string unit) => Add("figureRead", new JsonObject
    {
        ["reading"] = reading.ToString(),
        ["point"] = point,
        ["stage"] = stage,
        ["figure"] = figure,
        ["unit"] = unit,
        ["with"] = "figure",
    });

    public Guid Keep(Guid reading, bool sure = false)
    {
        var fields = new JsonObject { ["reading"] = reading.ToString() };
        if (sure) fields["sure"] = true;
        return Add("kept", fields);
    }

    public void Outcome(string point, string outcome, string? why = null)
    {
        var fields = new JsonObject { ["point"] = point, ["outcome"] = outcome };
        if (why is not null) fields["why"] = why;
        Add("outcome", fields);
    }

    /// <summary>How a point set by amount stood.</summary>
    public void Start(string point, string state) => Add("startState", new JsonObject { ["point"] = point, ["state"] = state });

    /// <summary>Set by the book's amount.</summary>
    public void ByTheBook(string point, string amount, string unit, string contact, int pass = 1, double? waitMinutes = null)
    {
        var fields = new JsonObject { ["point"] = point, ["outcome"] = "byTheBook", ["amount"] = amount, ["unit"] = unit, ["contact"] = contact, ["pass"] = pass };
        if (waitMinutes is { } wait) fields["waitMinutes"] = wait;
        Add("outcome", fields);
    }

    /// <summary>A shim as it was read.</summary>
    public void Shim(string point, string stage, string thickness, string how) => Add("shimRead", new JsonObject { ["point"] = point, ["stage"] = stage, ["thickness"] = thickness, ["unit"] = "mm", ["how"] = how });

    /// <summary>One shim for another.</summary>
    public void FitShim(string point, string old, string fitted) => Add("outcome", new JsonObject { ["point"] = point, ["outcome"] = "shimFitted", ["old"] = old, ["new"] = fitted, ["unit"] = "mm" });

    public void Note(string text, string? point = null)
    {
        var fields = new JsonObject { ["text"] = text };
        if (point is not null) fields["point"] = point;
        Add("noted", fields);
    }

    public void Sign(string? remark)
    {
        var fields = new JsonObject();
        if (!string.IsNullOrWhiteSpace(remark)) fields["remark"] = remark;
        Add("signed", fields);
    }

    /// <summary>The rows of it.</summary>
    public IEnumerable<EntryRow> Rows(long visitKey) => entries.Select((e, i) => new EntryRow { VisitKey = visitKey, Sequence = i + 1, Id = e.Id, Content = e.Content, ReceivedAt = e.Entry.At.UtcDateTime });
}
