using System.Globalization;
using System.Text;
using System.Text.Json.Nodes;
using System.Xml.Linq;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Hours;
using ZeroDrift.Data;
using ZeroDrift.Server.Hours;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.StandIns;

/// <summary>
/// Simulated machines of the demo that tell their hours as real ones do: a telematics provider's document, XML and JSON, and a log of one machine's bus.
/// They run on from what their meters showed last, at their present use.
/// </summary>
internal static class MachineStandIns
{
    private static readonly XNamespace Namespace = "http://standards.iso.org/iso/15143/-3";

    public static void MapStandIns(this IEndpointRouteBuilder app)
    {
        app.MapGet("/stand-in/telematics.xml", async (ZeroDriftContext data, FleetDay day) => Results.Text(Xml(await MachinesAsync(data, day), day.Now), "application/xml", Encoding.UTF8)).ExcludeFromDescription();
        app.MapGet("/stand-in/telematics.json", async (ZeroDriftContext data, FleetDay day) => Results.Text(Json(await MachinesAsync(data, day), day.Now), "application/json", Encoding.UTF8)).ExcludeFromDescription();
        app.MapGet("/stand-in/candump.log", async (ZeroDriftContext data, FleetDay day) => Results.Text(Candump((await MachinesAsync(data, day))[0].Hours, day.Now), "text/plain", Encoding.UTF8)).ExcludeFromDescription();
    }

    private sealed record Machine(string Name, string Serial, string Type, double Hours);

    private static async Task<IReadOnlyList<Machine>> MachinesAsync(ZeroDriftContext data, FleetDay day, CancellationToken cancelled = default)
    {
        var plates = await data.Engines.AsNoTracking().Where(e => e.SerialNumber != null).Select(e => new { e.Id, e.SerialNumber, Type = e.EngineType!.Code }).ToDictionaryAsync(e => e.Id, cancelled);
        return [.. (await HoursEndpoints.Round(data, day, cancelled)).Where(l => l.ExpectedHours is not null && plates.ContainsKey(l.EngineId)).OrderBy(l => l.Engine, StringComparer.Ordinal)
            .Select(l => new Machine(l.Engine, plates[l.EngineId].SerialNumber!, plates[l.EngineId].Type, Math.Round(l.ExpectedHours!.Value, 1)))];
    }

    private static string Xml(IReadOnlyList<Machine> machines, DateTime now) => new XDocument(new XElement(
        Namespace + "Fleet",
        new XAttribute("version", "1"),
        new XAttribute("snapshotTime", Time(now)),
        machines.Select(m => new XElement(
            Namespace + "Equipment",
            new XElement(Namespace + "EquipmentHeader", new XElement(Namespace + "Model", m.Type), new XElement(Namespace + "EquipmentID", m.Name), new XElement(Namespace + "SerialNumber", m.Serial)),
            new XElement(Namespace + "CumulativeOperatingHours", new XAttribute("datetime", Time(now)), new XElement(Namespace + "Hour", m.Hours)))))).ToString();

    private static string Json(IReadOnlyList<Machine> machines, DateTime now) => new JsonObject
    {
        ["Fleet"] = new JsonObject
        {
            ["version"] = "1",
            ["snapshotTime"] = Time(now),
            ["Equipment"] = new JsonArray([.. machines.Select(m => (JsonNode)new JsonObject
            {
                ["EquipmentHeader"] = new JsonObject { ["Model"] = m.Type, ["EquipmentID"] = m.Name, ["SerialNumber"] = m.Serial },
                ["CumulativeOperatingHours"] = new JsonObject { ["Hour"] = m.Hours, ["Datetime"] = Time(now) },
            })]),
        },
    }.ToJsonString();

    /// <summary>Two seconds of a bus: engine speed every tenth, total hours once a second as they are asked for.</summary>
    private static string Candump(double hours, DateTime now)
    {
        var log = new StringBuilder();
        var bits = (uint)Math.Round(hours / TotalEngineHours.HoursPerBit);
        var start = new DateTimeOffset(now).ToUnixTimeMilliseconds() / 1000.0;
        for (var tenth = 0; tenth < 20; tenth++)
        {
            var at = start + tenth / 10.0;
            log.AppendLine(CultureInfo.InvariantCulture, $"({at:0.000000}) can0 0CF00400#F0FFAD0060FFFFFF");
            if (tenth % 10 == 5) log.AppendLine(CultureInfo.InvariantCulture, $"({at + 0.01:0.000000}) can0 18FEE500#{Convert.ToHexString(BitConverter.GetBytes(bits))}FFFFFFFF");
        }
        return log.ToString();
    }

    private static string Time(DateTime now) => now.ToString("yyyy-MM-ddTHH:mm:ssZ", CultureInfo.InvariantCulture);
}
