using System.Net;
using System.Net.NetworkInformation;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;

namespace ZeroDrift.Server.Https;

/// <summary>
/// The depot's own root certificate, made at the first start and kept with the data, and the server's certificate signed by it: tablets that have
/// the root trust this server, and nothing but this server, since the root's key never leaves the folder.
/// </summary>
internal sealed class DepotRoot
{
    private const string RootName = "depot-root";
    private static readonly TimeSpan RootLasts = TimeSpan.FromDays(3650);

    /// <summary>Browsers refuse a server's certificate that lasts longer than 398 days (CA/Browser Forum, Baseline Requirements 6.3.2).</summary>
    private static readonly TimeSpan ServerLasts = TimeSpan.FromDays(397);
    private static readonly TimeSpan RenewBefore = TimeSpan.FromDays(60);

    private DepotRoot(X509Certificate2 root, X509Certificate2 server, IReadOnlyList<string> names) => (Root, Server, Names) = (root, server, names);

    public X509Certificate2 Root { get; }

    public X509Certificate2 Server { get; }

    /// <summary>The names and addresses the server's certificate is for.</summary>
    public IReadOnlyList<string> Names { get; }

    /// <summary>To be compared by eye on the tablet: SHA-256 of the root, in pairs.</summary>
    public string Fingerprint => string.Join(' ', Root.GetCertHashString(HashAlgorithmName.SHA256).Chunk(4).Select(four => new string(four)));

    /// <summary>What a tablet installs, as DER.</summary>
    public byte[] RootFile => Root.Export(X509ContentType.Cert);

    /// <summary>Opens the root of a folder, or makes one; signs the server's certificate anew for today's names.</summary>
    public static DepotRoot Open(string folder, string? host, DateTimeOffset now)
    {
        var path = Path.Combine(folder, RootName + ".pem");
        var root = File.Exists(path) ? X509Certificate2.CreateFromPemFile(path) : null;
        if (root is null || root.NotAfter - RenewBefore < now)
        {
            root = MakeRoot(now);
            Write(path, root.ExportCertificatePem() + "\n" + root.GetECDsaPrivateKey()!.ExportPkcs8PrivateKeyPem() + "\n");
        }
        var names = NamesOf(host);
        return new DepotRoot(root, Sign(root, names, now), names);
    }

    private static void Write(string path, string pem)
    {
        // Nobody but the server's own user may read the key, from its first byte on.
        var options = new FileStreamOptions { Mode = FileMode.Create, Access = FileAccess.Write };
        if (!OperatingSystem.IsWindows()) options.UnixCreateMode = UnixFileMode.UserRead | UnixFileMode.UserWrite;
        using var writer = new StreamWriter(new FileStream(path, options));
        writer.Write(pem);
    }

    private static X509Certificate2 MakeRoot(DateTimeOffset now)
    {
        var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest($"CN=Zero Drift depot root {Environment.MachineName} {now:yyyy-MM-dd}", key, HashAlgorithmName.SHA256);
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(true, true, 0, true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.KeyCertSign | X509KeyUsageFlags.CrlSign, true));
        request.CertificateExtensions.Add(new X509SubjectKeyIdentifierExtension(request.PublicKey, false));
        return request.CreateSelfSigned(now.AddDays(-1), now + RootLasts);
    }

    private static X509Certificate2 Sign(X509Certificate2 root, IReadOnlyList<string> names, DateTimeOffset now)
    {
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest($"CN={names[0]}", key, HashAlgorithmName.SHA256);
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(false, false, 0, true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.DigitalSignature, true));
        request.CertificateExtensions.Add(new X509EnhancedKeyUsageExtension([new Oid("1.3.6.1.5.5.7.3.1")], false));
        request.CertificateExtensions.Add(X509AuthorityKeyIdentifierExtension.CreateFromCertificate(root, true, false));
        var alternatives = new SubjectAlternativeNameBuilder();
        foreach (var name in names)
        {
            if (IPAddress.TryParse(name, out var address)) alternatives.AddIpAddress(address);
            else alternatives.AddDnsName(name);
        }
        request.CertificateExtensions.Add(alternatives.Build());
        var until = new[] { now + ServerLasts, new DateTimeOffset(root.NotAfter) }.Min();
        using var signed = request.Create(root, now.AddDays(-1), until, RandomNumberGenerator.GetBytes(16));
        using var withKey = signed.CopyWithPrivateKey(key);
        return X509CertificateLoader.LoadPkcs12(withKey.Export(X509ContentType.Pkcs12), null);
    }

    /// <summary>What somebody may type to come here: the given host first, this machine's name and addresses, and itself.</summary>
    private static List<string> NamesOf(string? host)
    {
        var addresses = NetworkInterface.GetAllNetworkInterfaces().Where(n => n.OperationalStatus == OperationalStatus.Up).SelectMany(n => n.GetIPProperties().UnicastAddresses)
            .Select(a => a.Address).Where(a => !a.IsIPv6LinkLocal && !IPAddress.IsLoopback(a)).Select(a => a.ToString());
        var given = host is null || IPAddress.TryParse(host, out var any) && (any.Equals(IPAddress.Any) || any.Equals(IPAddress.IPv6Any)) ? [] : new[] { host };
        return [.. given.Concat([Environment.MachineName, .. addresses, "localhost", "127.0.0.1", "::1"]).Distinct(StringComparer.OrdinalIgnoreCase)];
    }
}
