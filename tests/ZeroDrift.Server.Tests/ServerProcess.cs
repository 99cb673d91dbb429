using System.Diagnostics;
using System.Net;
using System.Net.Sockets;

namespace ZeroDrift.Server.Tests;

/// <summary>The built server as a process of its own, to be killed.</summary>
internal sealed class ServerProcess : IDisposable
{
    private readonly Process process;
    private readonly List<string> said = [];

    public ServerProcess(string folder, params string[] more)
    {
        Port = FreePort();
        var dll = Path.Combine(AppContext.BaseDirectory, "ZeroDrift.Server.dll");
        process = Process.Start(new ProcessStartInfo("dotnet", [dll, "--port", $"{Port}", "--data", folder, .. more]) { RedirectStandardOutput = true, RedirectStandardError = true })!;
        process.OutputDataReceived += (_, line) => Hear(line.Data);
        process.ErrorDataReceived += (_, line) => Hear(line.Data);
        process.BeginOutputReadLine();
        process.BeginErrorReadLine();
    }

    public int Port { get; }

    public string Said
    {
        get
        {
            lock (said) return string.Join('\n', said);
        }
    }

    public HttpClient Client => new() { BaseAddress = new Uri($"http://127.0.0.1:{Port}") };

    public void Kill()
    {
        process.Kill(true);
        process.WaitForExit();
    }

    /// <summary>Waits for its end, and gives the exit code.</summary>
    public int Ended()
    {
        Assert.True(process.WaitForExit(30_000), "It did not end.");
        process.WaitForExit();
        return process.ExitCode;
    }

    public async Task<bool> IsReadyAsync(int seconds = 60)
    {
        using var client = Client;
        for (var until = DateTime.UtcNow.AddSeconds(seconds); DateTime.UtcNow < until && !process.HasExited;)
        {
            try
            {
                if ((await client.GetAsync("/health")).StatusCode == HttpStatusCode.OK) return true;
            }
            catch (HttpRequestException)
            {
                await Task.Delay(60);
            }
        }
        return false;
    }

    public void Dispose()
    {
        if (!process.HasExited) Kill();
        process.Dispose();
    }

    private void Hear(string? line)
    {
        lock (said)
            if (line is not null) said.Add(line);
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
