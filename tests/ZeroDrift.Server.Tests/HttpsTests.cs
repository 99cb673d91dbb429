using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Security.Cryptography.X509Certificates;
using System.Text.Json;
using ZeroDrift.Tests;

namespace ZeroDrift.Server.Tests;

/// <summary>The depot's own root: a tablet that has it trusts this server and needs no warning clicked away.</summary>
public sealed class HttpsTests : IAsyncLifetime
{
    private readonly string data = Directory.CreateTempSubdirectory("zero-drift-https-").FullName;
    private BuiltServer server = null!;

    public async ValueTask InitializeAsync()
    {
        server = new BuiltServer(data, "--https");
        Assert.True(await server.IsReadyAsync(), server.Said);
    }

    [Fact]
    public async Task Both_come_in_at_one_port_and_only_who_has_the_root_is_trusting()
    {
        using var plain = server.Client;
        var root = X509CertificateLoader.LoadCertificate(await plain.GetByteArrayAsync("/depot-root.crt"));
        using var trusting = Trusting(root);
        foreach (var name in (string[])["localhost", "127.0.0.1"])
            Assert.Equal("ready", await trusting.GetStringAsync($"https://{name}:{server.Address.Port}/health"));

        using var other = new HttpClient();
        await Assert.ThrowsAsync<HttpRequestException>(() => other.GetStringAsync($"https://localhost:{server.Address.Port}/health"));
        Assert.Equal("ready", await plain.GetStringAsync("/health"));
    }

    [Fact]
    public async Task Openssl_finds_the_chain_good_for_the_name_and_as_short_lived_as_browsers_ask()
    {
        var root = Path.Combine(data, "root.pem");
        using (var plain = server.Client) await File.WriteAllTextAsync(root, X509CertificateLoader.LoadCertificate(await plain.GetByteArrayAsync("/depot-root.crt")).ExportCertificatePem());

        // openssl verify and s_client as the other reader; RFC 5280 for the chain, CA/Browser Forum Baseline Requirements 6.3.2 for the 398 days.
        var said = await OpensslAsync("s_client", "-connect", $"127.0.0.1:{server.Address.Port}", "-CAfile", root, "-verify_return_error", "-verify_hostname", "localhost", "-showcerts");
        Assert.Contains("Verify return code: 0 (ok)", said, StringComparison.Ordinal);
        Assert.Contains("Verify return code: 62", await OpensslAsync("s_client", "-connect", $"127.0.0.1:{server.Address.Port}", "-CAfile", root, "-verify_hostname", "elsewhere.test"), StringComparison.Ordinal);
        var leaf = X509Certificate2.CreateFromPem(said.AsSpan(said.IndexOf("-----BEGIN CERTIFICATE-----", StringComparison.Ordinal)));
        Assert.True((leaf.NotAfter - leaf.NotBefore).TotalDays <= 398, $"{leaf.NotBefore} to {leaf.NotAfter}");
        Assert.Contains("CA:TRUE, pathlen:0", await OpensslAsync("x509", "-in", root, "-noout", "-text"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_root_stays_the_same_over_starts_and_its_key_is_nobody_elses()
    {
        using var plain = server.Client;
        var before = await plain.GetByteArrayAsync("/depot-root.crt");
        var path = Path.Combine(data, "depot-root.pem");
        if (!OperatingSystem.IsWindows()) Assert.Equal(UnixFileMode.UserRead | UnixFileMode.UserWrite, File.GetUnixFileMode(path));

        server.Kill();
        server.Dispose();
        await InitializeAsync();

        using var again = server.Client;
        Assert.Equal(before, await again.GetByteArrayAsync("/depot-root.crt"));
    }

    [Fact]
    public async Task The_install_page_names_where_to_go_and_draws_only_addresses_of_this_server()
    {
        using var plain = server.Client;
        var install = await plain.GetFromJsonAsync<JsonElement>("/api/install");
        Assert.True(install.GetProperty("https").GetBoolean());
        Assert.All(install.GetProperty("addresses").EnumerateArray(), a => Assert.StartsWith("https://", a.GetString(), StringComparison.Ordinal));
        Assert.All(install.GetProperty("certificateAddresses").EnumerateArray(), a => Assert.EndsWith("/depot-root.crt", a.GetString(), StringComparison.Ordinal));

        using var drawn = await plain.GetAsync($"/api/install/qr.svg?text={Uri.EscapeDataString(install.GetProperty("addresses")[0].GetString()!)}");
        Assert.Equal("image/svg+xml", drawn.Content.Headers.ContentType?.MediaType);
        foreach (var bad in (string[])["", "?text=", "?text=hello", "?text=https%3A%2F%2Felsewhere.test", "?text=javascript%3Aalert(1)"])
            Assert.Equal(HttpStatusCode.BadRequest, (await plain.GetAsync("/api/install/qr.svg" + bad)).StatusCode);
    }

    public ValueTask DisposeAsync()
    {
        server.Dispose();
        Directory.Delete(data, true);
        return ValueTask.CompletedTask;
    }

    /// <summary>A client that trusts this root and no other.</summary>
    private static HttpClient Trusting(X509Certificate2 root) => new(new SocketsHttpHandler
    {
        SslOptions = new()
        {
            CertificateChainPolicy = new X509ChainPolicy { TrustMode = X509ChainTrustMode.CustomRootTrust, CustomTrustStore = { root }, RevocationMode = X509RevocationMode.NoCheck },
        },
    });

    private static async Task<string> OpensslAsync(params string[] arguments)
    {
        using var openssl = Process.Start(new ProcessStartInfo("openssl", arguments) { RedirectStandardInput = true, RedirectStandardOutput = true, RedirectStandardError = true })!;
        openssl.StandardInput.Close();
        var said = openssl.StandardOutput.ReadToEndAsync();
        var complained = openssl.StandardError.ReadToEndAsync();
        await openssl.WaitForExitAsync();
        return await said + await complained;
    }
}
