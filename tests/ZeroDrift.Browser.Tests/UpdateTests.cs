namespace ZeroDrift.Browser.Tests;

/// <summary>A newer version of the application is offered, and never in the middle of a visit.</summary>
[Trait("Length", "long")]
public sealed class UpdateTests : IDisposable
{
    private readonly string web = Directory.CreateTempSubdirectory("zero-drift-web-").FullName;
    private readonly RunningServer server;
    private readonly Screen screen;

    public UpdateTests()
    {
        Copy(new DirectoryInfo(Path.Combine(RunningServer.Root, "web/dist")), web);
        server = new RunningServer(demo: true, "--web", web);
        screen = new Screen(server, staysHere: true);
    }

    [Fact]
    public void A_newer_version_waits_until_it_is_taken_and_is_not_offered_at_an_engine()
    {
        screen.Open("/at-the-engine");
        screen.See("Lorry 4");
        screen.Wait(30, "the application kept", () => (bool)screen.Driver.ExecuteAsyncScript("const done = arguments[0]; navigator.serviceWorker.getRegistration().then(r => done(!!r?.active))")!);
        screen.Open("/at-the-engine");
        screen.See("Lorry 4");
        File.AppendAllText(Path.Combine(web, "serviceWorker.js"), "\n// a newer version");

        screen.Press("Lorry 4");
        screen.See("MEASURE AS FOUND");
        screen.Driver.ExecuteAsyncScript("const done = arguments[0]; navigator.serviceWorker.getRegistration().then(r => r.update()).then(() => done())");
        screen.Wait(30, "the newer version to wait", () => (bool)screen.Driver.ExecuteAsyncScript("const done = arguments[0]; navigator.serviceWorker.getRegistration().then(r => done(!!r.waiting))")!);
        Assert.DoesNotContain("newer version", screen.Text, StringComparison.Ordinal);

        screen.Press("Lorry 4");
        screen.See("A newer version of the application is here.");
        screen.Driver.ExecuteScript("window.old = true");
        screen.Press("Use it now");
        screen.Wait(20, "the page of the newer version", () => screen.Driver.ExecuteScript("return window.old ?? null") is null);
        screen.See("Lorry 4");
        screen.SeeNo("newer version");
    }

    public void Dispose()
    {
        screen.Dispose();
        server.Dispose();
        Directory.Delete(web, true);
    }

    private static void Copy(DirectoryInfo from, string to)
    {
        Directory.CreateDirectory(to);
        foreach (var file in from.GetFiles()) file.CopyTo(Path.Combine(to, file.Name));
        foreach (var folder in from.GetDirectories()) Copy(folder, Path.Combine(to, folder.Name));
    }
}
