using System.Security.Cryptography;
using System.Text;

namespace ZeroDrift.Data.Demo;

/// <summary>The same name gets the same identifier in every demo, so that links and pictures stay true.</summary>
internal static class DemoIds
{
    public static Guid For(string name) => new(SHA256.HashData(Encoding.UTF8.GetBytes("varnholm/" + name)).AsSpan(0, 16));
}
