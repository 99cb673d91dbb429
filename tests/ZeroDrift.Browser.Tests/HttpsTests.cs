namespace ZeroDrift.Browser.Tests;

/// <summary>A tablet comes to the depot's server over its network, under a name that is not its own machine's.</summary>
[Trait("Length", "long")]
public sealed class HttpsTests : IDisposable
{
    private readonly RunningServer server = new(demo: false, "--https", "--host", "depot.test");
    private readonly Screen screen;

    // The names of this test lead to this machine; the root is not installed here, which a test of the server holds to openssl.
    public HttpsTests() => screen = new Screen(server, 1280, 800, null, false, true, "--host-resolver-rules=MAP depot.test 127.0.0.1", "--ignore-certificate-errors");

    [Fact]
    public void A_plain_page_from_elsewhere_says_that_nothing_can_be_taken_along_and_how_it_can()
    {
        screen.Driver.Navigate().GoToUrl(server.Url("http", "depot.test", "/this-tablet"));
        screen.See("Nothing can be downloaded from this address");
        screen.Press("install its certificate");
        screen.See("1. Trust the depot");
        screen.See("https://depot.test");
        screen.Wait(10, "both QR codes", () => (long)screen.Driver.ExecuteScript("return [...document.images].filter(i => i.complete && i.naturalWidth > 100).length")! == 2);

        screen.Driver.Navigate().GoToUrl(server.Url("https", "depot.test", "/this-tablet"));
        screen.See("No engine yet.");
        screen.Wait(20, "the service worker", () => (bool)screen.Driver.ExecuteAsyncScript("const done = arguments[0]; navigator.serviceWorker.getRegistration().then(r => done(!!r?.active))")!);
        Assert.True((bool)screen.Driver.ExecuteScript("return window.isSecureContext")!);
    }

    public void Dispose()
    {
        screen.Dispose();
        server.Dispose();
    }
}
