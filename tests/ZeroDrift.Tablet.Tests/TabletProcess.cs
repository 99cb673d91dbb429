using System.Diagnostics;
using System.Text.Json;

namespace ZeroDrift.Tablet.Tests;

/// <summary>The published core for the browser, as a tablet has it, in Node.</summary>
public sealed class TabletProcess : IDisposable
{
    private readonly Process node;

    public TabletProcess()
    {
        var core = Path.Combine(Root(), ".build/tablet/wwwroot/_framework/dotnet.js");
        if (!File.Exists(core)) throw new InvalidOperationException("The core for the browser is not published yet: ./test does it first.");
        node = Process.Start(new ProcessStartInfo("node", [Path.Combine(AppContext.BaseDirectory, "core.mjs"), core]) { RedirectStandardInput = true, RedirectStandardOutput = true })!;
    }

    /// <summary>The status and the JSON of the tablet's answer.</summary>
    public (int Status, string Json) Call(string name, string json)
    {
        node.StandardInput.WriteLine(JsonSerializer.Serialize(new { name, json }));
        var answer = JsonSerializer.Deserialize<string>(node.StandardOutput.ReadLine() ?? throw new InvalidOperationException("The tablet core has stopped."))!;
        var end = answer.IndexOf('\n', StringComparison.Ordinal);
        return (int.Parse(answer[..end], System.Globalization.CultureInfo.InvariantCulture), answer[(end + 1)..]);
    }

    public void Dispose()
    {
        node.StandardInput.Close();
        if (!node.WaitForExit(5_000)) node.Kill();
        node.Dispose();
    }

    private static string Root()
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder.FullName, "ZeroDrift.slnx"))) folder = folder.Parent!;
        return folder.FullName;
    }
}
