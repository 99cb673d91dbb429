using System.Net.Http.Json;
using System.Text.Json;
using ZeroDrift.Tests;

namespace ZeroDrift.Browser.Tests;

/// <summary>A server with its own data folder that may be stopped and started again at the same address.</summary>
public sealed class RunningServer : IDisposable
{
    private static readonly Lazy<Dictionary<string, byte[]>> EmptyFolder = new(() => Filled());
    private static readonly Lazy<Dictionary<string, byte[]>> DemoFolder = new(() => Filled("--demo"));
    private readonly string data;
    private readonly string[] more;
    private readonly int port = BuiltServer.FreePort();
    private BuiltServer server;

    public RunningServer(bool demo, params string[] more)
    {
        this.more = [.. more, .. demo ? (string[])["--demo"] : []];
        data = Directory.CreateTempSubdirectory("zero-drift-").FullName;
        foreach (var (name, bytes) in (demo ? DemoFolder : EmptyFolder).Value) File.WriteAllBytes(Path.Combine(data, name), bytes);
        server = Start();
    }

    public string Url(string path = "/") => $"http://127.0.0.1:{port}{path}";

    /// <summary>The same under another scheme and name.</summary>
    public string Url(string scheme, string host, string path) => $"{scheme}://{host}:{port}{path}";

    public static string Root => BuiltServer.Root;

    /// <summary>Stops the server the hard way, as a power cut does.</summary>
    public void Kill() => server.Kill();

    /// <summary>Starts it again on the same data.</summary>
    public void Restart()
    {
        server.Dispose();
        server = Start();
    }

    public void Dispose()
    {
        server.Dispose();
        Directory.Delete(data, true);
    }

    /// <summary>A folder is filled once and copied: most tests begin with the demo, and its fill takes longer than they do.</summary>
    private static Dictionary<string, byte[]> Filled(params string[] more)
    {
        var folder = Directory.CreateTempSubdirectory("zero-drift-filled-").FullName;
        using (var filling = new BuiltServer(folder, more))
        {
            Ready(filling);
            if (more.Length > 0) Planned(filling);
        }
        var files = Directory.GetFiles(folder, "zerodrift.db*").ToDictionary(f => Path.GetFileName(f)!, File.ReadAllBytes);
        Directory.Delete(folder, true);
        return files;
    }

    /// <summary>The demo's plan is made after its start; the last of it is that somebody is ill (a leave stands from the beginning).</summary>
    private static void Planned(BuiltServer demo)
    {
        using var client = demo.Client;
        for (var tries = 0; client.GetFromJsonAsync<JsonElement>("/api/plan").GetAwaiter().GetResult().GetProperty("away").EnumerateArray().All(a => a.GetProperty("why").GetString() != "ill"); tries++)
        {
            if (tries > 300) throw new InvalidOperationException($"The demo made no plan within a minute: {demo.Said}");
            Thread.Sleep(200);
        }
    }

    private BuiltServer Start()
    {
        var started = new BuiltServer(port, data, ["--web", Path.Combine(Root, "web/dist"), .. more]);
        Ready(started);
        return started;
    }

    private static void Ready(BuiltServer started)
    {
        if (!started.IsReadyAsync().GetAwaiter().GetResult()) throw new InvalidOperationException($"The server was not ready within a minute: {started.Said}");
    }
}
