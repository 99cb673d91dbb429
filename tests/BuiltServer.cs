using System.Diagnostics;
using System.Net;
using System.Net.Sockets;

namespace ZeroDrift.Tests;

/// <summary>The built server as a process of its own on this machine: to be looked at, measured or killed. Shared by the tests and the bench.</summary>
internal sealed class BuiltServer : IDisposable
{
    private readonly Process process;
    private readonly List<string> said = [];

    public BuiltServer(int port, string data, params string[] more)
    {
        Address = new Uri($"http://127.0.0.1:{port}");
        process = Process.Start(new ProcessStartInfo("dotnet", [Program(), "--port", $"{port}", "--data", data, .. more]) { RedirectStandardOutput = true, RedirectStandardError = true })!;
        process.OutputDataReceived += (_, line) => Hear(line.Data);
        process.ErrorDataReceived += (_, line) => Hear(line.Data);
        process.BeginOutputReadLine();
        process.BeginErrorReadLine();
    }

    public BuiltServer(string data, params string[] more)
        : this(FreePort(), data, more)
    {
    }

    /// <summary>The project's folder.</summary>
    public static string Root { get; } = FindRoot();

    public Uri Address { get; }

    public HttpClient Client => new() { BaseAddress = Address };

    /// <summary>What it wrote to the terminal.</summary>
    public string Said
    {
        get
        {
            lock (said) return string.Join('\n', said);
        }
    }

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
    public async Task<bool> IsReadyAsync(int seconds = 60)
    {
        using var client = Client;
        for (var clock = Stopwatch.StartNew(); clock.Elapsed.TotalSeconds < seconds && !process.HasExited; await Task.Delay(40))
        {
            try
            {
                if ((await client.GetAsync("/health")).StatusCode == HttpStatusCode.OK) return true;
            }
            catch (HttpRequestException)
            {
                // It does not listen yet.
            }
        }
        return false;
    }

    /// <summary>Stops it the hard way, as a power cut does.</summary>
    public void Kill()
    {
        process.Kill(entireProcessTree: true);
        process.WaitForExit();
    }

    /// <summary>Waits for its end, and gives the exit code.</summary>
    public int Ended()
    {
        if (!process.WaitForExit(30_000)) throw new TimeoutException("The server did not end by itself.");
        process.WaitForExit();
        return process.ExitCode;
    }

    public void Dispose()
    {
        if (!process.HasExited) Kill();
        process.Dispose();
    }

    public static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    private void Hear(string? line)
    {
        lock (said)
            if (line is not null) said.Add(line);
    }

    private static string Program()
    {
        var published = Path.Combine(Root, ".build/server/ZeroDrift.Server.dll");
        return File.Exists(published) ? published : throw new InvalidOperationException("The server is not built; run ./test from the project's root.");
    }

    private static string FindRoot()
    {
        var folder = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(folder, "ZeroDrift.slnx"))) folder = Path.GetDirectoryName(folder) ?? throw new InvalidOperationException("Not inside the project.");
        return folder;
    }
}
