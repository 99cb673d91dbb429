using System.Net;
using Microsoft.AspNetCore.Connections;
using Microsoft.AspNetCore.Server.Kestrel.Core;

namespace ZeroDrift.Server.Https;

/// <summary>
/// HTTPS and plain HTTP on one port: a tablet that does not have the root yet must be able to fetch it from the address people know. The first byte
/// of a connection tells which it is (22 begins a TLS handshake, RFC 8446 section 5.1).
/// </summary>
internal static class OnePort
{
    private const byte Handshake = 22;
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(30);

    /// <summary>Listens where the settings say, on both.</summary>
    public static void ListenOn(this KestrelServerOptions kestrel, StartSettings settings, DepotRoot root)
    {
        var (port, host) = (settings.Port ?? 443, settings.Host ?? "127.0.0.1");
        if (IPAddress.TryParse(host, out var address)) kestrel.Listen(address, port, listen => listen.UseBoth(root));
        else if (host == "localhost") kestrel.ListenLocalhost(port, listen => listen.UseBoth(root));
        else kestrel.ListenAnyIP(port, listen => listen.UseBoth(root));
    }

    private static void UseBoth(this ListenOptions listen, DepotRoot root)
    {
        ConnectionDelegate? plain = null;
        listen.Use(secure => async connection =>
        {
            if (await BeginsWithHandshakeAsync(connection) is { } isSecure) await (isSecure ? secure : plain!)(connection);
        });
        listen.UseHttps(root.Server);
        // Built from the end: this one is known before the first is asked.
        listen.Use(http => plain = http);
    }

    /// <summary>Null where nothing comes.</summary>
    private static async Task<bool?> BeginsWithHandshakeAsync(ConnectionContext connection)
    {
        using var patience = CancellationTokenSource.CreateLinkedTokenSource(connection.ConnectionClosed);
        patience.CancelAfter(Patience);
        try
        {
            var input = connection.Transport.Input;
            var read = await input.ReadAsync(patience.Token);
            if (read.Buffer.IsEmpty) return null;
            var first = read.Buffer.FirstSpan[0];
            // Looked at, not taken.
            input.AdvanceTo(read.Buffer.Start);
            return first == Handshake;
        }
        catch (OperationCanceledException)
        {
            return null;
        }
    }
}
