using System.Diagnostics;
using System.Net;
using System.Net.Sockets;

namespace ZeroDrift.Browser.Tests;

/// <summary>The built server as a process of its own, with its own data folder, on a free port.</summary>
public sealed class RunningServer : IDisposable
{
    private readonly string data;
    private readonly bool demo;
    private Process process;

    public RunningServer(bool demo)
    {
        this.demo = demo;
        data = Directory.CreateTempSubdirectory("zero-drift-").FullName;
        Port = FreePort();
        process = Start();
    }

    public int Port { get; }

    public string Url(string path = "/") => $"http://127.0.0.1:{Port}{path}";

    public static string Root { get; } = FindRoot();

    /// <summary>Stops the server the hard way, as a power cut does.</summary>
    public void Kill()
    {
        process.Kill(entireProcessTree: true);
        process.WaitForExit();
    }

    /// <summary>Starts it again on the same data.</summary>
    public void Restart() => process = Start();

    public void Dispose()
    {
        if (!process.HasExited) Kill();
        Directory.Delete(data, true);
    }

    private Process Start()
    {
        var server = Directory.GetFiles(Path.Combine(Root, "src/ZeroDrift.Server/bin"), "ZeroDrift.Server.dll", SearchOption.AllDirectories)
            .Where(f => File.Exists(Path.ChangeExtension(f, ".runtimeconfig.json"))).MaxBy(File.GetLastWriteTimeUtc)
            ?? throw new InvalidOperationException("The server is not built; run ./test from the project's root.");
        var start = new ProcessStartInfo("dotnet", [server, "--port", $"{Port}", "--data", data, "--web", Path.Combine(Root, "web/dist"), .. demo ? (string[])["--demo=true"] : []])
        {
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        };
        var started = Process.Start(start)!;
        started.OutputDataReceived += (_, _) => { };
        started.ErrorDataReceived += (_, _) => { };
        started.BeginOutputReadLine();
        started.BeginErrorReadLine();
        WaitUntilHealthy(started);
        return started;
    }

    private void WaitUntilHealthy(Process started)
    {
        using var client = new HttpClient();
        for (var i = 0; i < 300; i++)
        {
            if (started.HasExited) throw new InvalidOperationException($"The server stopped with code {started.ExitCode}.");
            try
            {
                if (client.GetAsync(Url("/health")).Result.StatusCode == HttpStatusCode.OK) return;
            }
            catch (AggregateException)
            {
                Thread.Sleep(200);
            }
        }
        throw new TimeoutException("The server was not ready within a minute.");
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    private static string FindRoot()
    {
        var folder = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(folder, "ZeroDrift.slnx"))) folder = Path.GetDirectoryName(folder) ?? throw new InvalidOperationException("Not inside the project.");
        return folder;
    }
}
