using ZeroDrift.Data.Starting;

namespace ZeroDrift.Server;

/// <summary>What a start is told.</summary>
internal sealed record StartSettings(string Data, string? Web, int? Port, string? Host, bool Demo, int? FleetSize, int Years, bool Rebuild, bool InProcess, bool Https)
{
    public string File => Path.Combine(Data, DataFile.Name);

    public static StartSettings Of(IConfiguration given) => new(
        Path.GetFullPath(given["data"] ?? "data"),
        given["web"] is { } web ? Path.GetFullPath(web) : null,
        int.TryParse(given["port"], out var port) ? port : null,
        given["host"],
        given["demo"] == "true",
        int.TryParse(given["fleet-size"], out var size) ? Math.Clamp(size, 1, 20_000) : null,
        int.TryParse(given["years"], out var years) ? Math.Clamp(years, 1, 40) : 5,
        given["rebuild"] == "true",
        given["in-process"] == "true",
        given["https"] == "true");
}
