using System.IO.Compression;

namespace ZeroDrift.Server.Tests;

/// <summary>What an earlier version left, packed in tests/reference.</summary>
internal static class ReferenceFile
{
    /// <summary>The folder of a version.</summary>
    public static string Folder(string version)
    {
        var root = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(root, "ZeroDrift.slnx"))) root = Path.GetDirectoryName(root)!;
        return Path.Combine(root, "tests/reference", version);
    }

    public static void Unpack(string version, string name, string to)
    {
        using var packed = Open(version, name);
        using var file = File.Create(to);
        packed.CopyTo(file);
    }

    public static string Read(string version, string name)
    {
        using var packed = new StreamReader(Open(version, name));
        return packed.ReadToEnd();
    }

    private static GZipStream Open(string version, string name) => new(File.OpenRead(Path.Combine(Folder(version), name)), CompressionMode.Decompress);
}
