using System.Globalization;
using System.Text.Json;
using System.Xml;
using System.Xml.Linq;

namespace ZeroDrift.Server.Hours;

/// <summary>
/// Cumulative operating hours from a fleet's telematics document as in ISO 15143-3 (its names from memory; samples/telematics.xsd): XML with a piece
/// of equipment an element, or the same in JSON. Hours are a number or a duration (PT1234H30M).
/// </summary>
internal static class TelematicsReader
{
    private const int LongestName = 100;

    /// <summary>Reads XML; what stands before the place where it breaks off is read all the same.</summary>
    public static IReadOnlyList<ReportedFigure> Xml(Stream document)
    {
        var figures = new List<ReportedFigure>();
        using var reader = XmlReader.Create(document, new XmlReaderSettings { DtdProcessing = DtdProcessing.Prohibit, XmlResolver = null, MaxCharactersInDocument = 40_000_000, IgnoreComments = true, IgnoreProcessingInstructions = true });
        try
        {
            reader.MoveToContent();
            while (!reader.EOF)
            {
                if (reader is { NodeType: XmlNodeType.Element, LocalName: "Equipment" }) figures.Add(Equipment((XElement)XNode.ReadFrom(reader), figures.Count + 1));
                else reader.Read();
            }
        }
        catch (XmlException broken)
        {
            figures.Add(new ReportedFigure("the document", null, null, $"It cannot be read after line {broken.LineNumber}, behind {figures.Count} machines.", figures.Count + 1) { CutOff = true });
        }
        return figures;
    }

    /// <summary>Reads JSON.</summary>
    public static IReadOnlyList<ReportedFigure> Json(ReadOnlyMemory<byte> document)
    {
        try
        {
            using var json = JsonDocument.Parse(document, new JsonDocumentOptions { MaxDepth = 32, AllowTrailingCommas = true });
            return [.. Machines(json.RootElement).Select((m, i) => Equipment(m, i + 1))];
        }
        catch (JsonException broken)
        {
            return [new ReportedFigure("the document", null, null, $"It cannot be read after line {(broken.LineNumber ?? 0) + 1}.", 1) { CutOff = true }];
        }
    }

    private static ReportedFigure Equipment(XElement equipment, int line)
    {
        string? Text(params string[] path)
        {
            XElement? at = equipment;
            foreach (var name in path) at = at?.Elements().FirstOrDefault(e => e.Name.LocalName == name);
            return string.IsNullOrWhiteSpace(at?.Value) ? null : at.Value.Trim();
        }
        var hours = equipment.Elements().FirstOrDefault(e => e.Name.LocalName == "CumulativeOperatingHours");
        var when = hours?.Attributes().FirstOrDefault(a => a.Name.LocalName.Equals("datetime", StringComparison.OrdinalIgnoreCase))?.Value;
        return Figure(Text("EquipmentHeader", "EquipmentID"), Text("EquipmentHeader", "SerialNumber"), when, Text("CumulativeOperatingHours", "Hour"), line);
    }

    private static IEnumerable<JsonElement> Machines(JsonElement root)
    {
        if (root.ValueKind == JsonValueKind.Object && Property(root, "Fleet") is { } fleet) root = fleet;
        if (root.ValueKind == JsonValueKind.Object && Property(root, "Equipment") is { } list) root = list;
        return root.ValueKind == JsonValueKind.Array ? root.EnumerateArray() : [root];
    }

    private static ReportedFigure Equipment(JsonElement equipment, int line)
    {
        var header = Property(equipment, "EquipmentHeader");
        var hours = Property(equipment, "CumulativeOperatingHours");
        return Figure(Text(header, "EquipmentID"), Text(header, "SerialNumber"), Text(hours, "Datetime"), Text(hours, "Hour"), line);
    }

    private static JsonElement? Property(JsonElement? parent, string name) => parent is { ValueKind: JsonValueKind.Object } o
        ? o.EnumerateObject().Where(p => p.Name.Equals(name, StringComparison.OrdinalIgnoreCase)).Select(p => (JsonElement?)p.Value).FirstOrDefault() : null;

    private static string? Text(JsonElement? parent, string name) => Property(parent, name) switch
    {
        { ValueKind: JsonValueKind.String } text => text.GetString(),
        { ValueKind: JsonValueKind.Number } number => number.GetRawText(),
        _ => null,
    };

    /// <summary>A serial number tells an engine apart where names may be alike, so it goes first.</summary>
    private static ReportedFigure Figure(string? id, string? serial, string? when, string? hours, int line)
    {
        var name = serial ?? id ?? "a machine without a name";
        var written = string.Join(", ", new[] { id, serial, when, hours }.Where(t => t is not null));
        return new ReportedFigure(name.Length <= LongestName ? name : name[..LongestName], Day(when), Hours(hours), written.Length <= 300 ? written : written[..300], line);
    }

    private static DateOnly? Day(string? when) =>
        DateTimeOffset.TryParse(when, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var at) ? DateOnly.FromDateTime(at.UtcDateTime) : null;

    private static double? Hours(string? text)
    {
        if (double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var hours) && double.IsFinite(hours)) return hours;
        try
        {
            return text is null ? null : XmlConvert.ToTimeSpan(text).TotalHours;
        }
        catch (Exception none) when (none is FormatException or OverflowException)
        {
            return null;
        }
    }
}
