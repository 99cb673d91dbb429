using ZeroDrift.Tests;

namespace ZeroDrift.Browser.Tests;

/// <summary>A server with its own data folder that may be stopped and started again at the same address.</summary>
public sealed class RunningServer : IDisposable
{
    private readonly string data;
    private readonly string[] more;
    private readonly int port = BuiltServer.FreePort();
    private BuiltServer server;

    public RunningServer(bool demo, params string[] more)
    {
        this.more = [.. more, .. demo ? (string[])["--demo"] : []];
        data = Directory.CreateTempSubdirectory("zero-drift-").FullName;
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

    private BuiltServer Start()
    {
        var started = new BuiltServer(port, data, ["--web", Path.Combine(Root, "web/dist"), .. more]);
        if (!started.IsReadyAsync().GetAwaiter().GetResult()) throw new InvalidOperationException($"The server was not ready within a minute: {started.Said}");
        return started;
    }
}
