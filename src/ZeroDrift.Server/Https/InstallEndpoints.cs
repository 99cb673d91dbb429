using System.Net;
using Microsoft.AspNetCore.Http.HttpResults;
using QRCoder;
using ZeroDrift.Core;
using ZeroDrift.Server.OpenApi;

namespace ZeroDrift.Server.Https;

/// <summary>How a tablet comes to trust this server.</summary>
/// <param name="Https">Whether this server serves HTTPS; without it nothing can be taken along.</param>
/// <param name="Addresses">Where a tablet reaches it, the likeliest first; secure where it serves HTTPS.</param>
/// <param name="CertificateAddresses">Where a tablet fetches the root certificate, in the same order.</param>
/// <param name="Fingerprint">SHA-256 of the root certificate.</param>
public sealed record InstallResponse(bool Https, IReadOnlyList<string> Addresses, IReadOnlyList<string> CertificateAddresses, string? Fingerprint);

/// <summary>The root certificate, and the way to it as a QR code.</summary>
internal static class InstallEndpoints
{
    private const string RootPath = "/depot-root.crt";

    public static void MapInstall(this WebApplication app, StartSettings settings, DepotRoot? root)
    {
        app.MapGet(RootPath, () => root is null ? Results.NotFound() : Results.File(root.RootFile, "application/x-x509-ca-cert", "depot-root.crt")).ExcludeFromDescription();
        var install = app.MapGroup("/api/install").WithTags("Install").Refuses(400);
        install.MapGet("/", () => Ways(settings, root)).WithName("get-install");
        install.MapGet("/qr.svg", Qr).WithName("get-install-qr");
    }

    private static InstallResponse Ways(StartSettings settings, DepotRoot? root)
    {
        var port = settings.Port ?? 80;
        var names = root?.Names.Where(n => !IsItself(n)).ToList() ?? [];
        if (names.Count == 0) names = [settings.Host ?? "localhost"];
        return new InstallResponse(root is not null, [.. names.Select(n => Address(root is null ? "http" : "https", n, port, ""))], root is null ? [] : [.. names.Select(n => Address("http", n, port, RootPath))], root?.Fingerprint);
    }

    /// <summary>An address of this server as a QR code; of nothing else.</summary>
    public static ContentHttpResult Qr(string? text, HttpContext context)
    {
        if (text is null || !Uri.TryCreate(text, UriKind.Absolute, out var address) || address.Scheme is not ("http" or "https") || text.Length > 200 || address.Port != (context.Request.Host.Port ?? address.Port))
            throw new BadInputException("text", "Give an address of this server: http or https, with its port.");
        using var code = QRCodeGenerator.GenerateQrCode(text, QRCodeGenerator.ECCLevel.M);
        using var drawn = new SvgQRCode(code);
        return TypedResults.Content(drawn.GetGraphic(8, "#111111", "#ffffff", drawQuietZones: true), "image/svg+xml");
    }

    private static bool IsItself(string name) => name == "localhost" || (IPAddress.TryParse(name, out var address) && IPAddress.IsLoopback(address));

    private static string Address(string scheme, string name, int port, string path) => $"{scheme}://{(name.Contains(':', StringComparison.Ordinal) ? $"[{name}]" : name)}:{port}{path}";
}
