using System.Diagnostics;
using System.Net;
using System.Net.Sockets;

namespace ZeroDrift.Bench;

/// <summary>The built server as a process of its own on this machine, to be measured or killed.</summary>
internal sealed class BuiltServer : IDisposable
{
    private readonly Process process;

    public BuiltServer(string data, params string[] more)
    {
        var port = FreePort();
        Address = new Uri($"http://127.0.0.1:{port}");
        var server = Directory.GetFiles(Path.Combine(Root(), "src/ZeroDrift.Server/bin/Release"), "ZeroDrift.Server.dll", SearchOption.AllDirectories)
            .Where(f => File.Exists(Path.ChangeExtension(f, ".runtimeconfig.json"))).MaxBy(File.GetLastWriteTimeUtc) ?? throw new InvalidOperationException("Build the server first: dotnet build -c Release ZeroDrift.slnx");
        process = Process.Start(new ProcessStartInfo("dotnet", [server, "--port", $"{port}", "--data", data, .. more]) { RedirectStandardOutput = true, RedirectStandardError = true })!;
        process.OutputDataReceived += (_, _) => { };
        process.ErrorDataReceived += (_, _) => { };
        process.BeginOutputReadLine();
        process.BeginErrorReadLine();
    }

    public Uri Address { get; }

    /// <summary>Resident memory, MB.</summary>
    public double MemoryMb
    {
        get
        {
            process.Refresh();
            return process.WorkingSet64 / 1048576.0;
        }
    }

    /// <summary>Waits until it serves; false where it stopped or did not within the time.</summary>
    public async Task<bool> ReadyAsync(TimeSpan within)
    {
        using var client = new HttpClient { BaseAddress = Address };
        for (var clock = Stopwatch.StartNew(); clock.Elapsed < within && !process.HasExited; await Task.Delay(20))
        {
            try
            {
                if ((await client.GetAsync("/health")).StatusCode == HttpStatusCode.OK) return true;
            }
            catch (HttpRequestException)
            {
                // not listening yet
            }
        }
        return false;
    }

    public void Kill()
    {
        process.Kill(entireProcessTree: true);
        process.WaitForExit();
    }

    public void Dispose()
    {
        if (!process.HasExited) Kill();
        process.Dispose();
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    private static string Root()
    {
        var folder = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(folder, "ZeroDrift.slnx"))) folder = Path.GetDirectoryName(folder) ?? throw new InvalidOperationException("Not inside the project.");
        return folder;
    }
}
