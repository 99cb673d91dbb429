using ZeroDrift.Core;

namespace ZeroDrift.Server.Sheets;

/// <summary>A file sent as the body of a request.</summary>
internal static class UploadedFile
{
    /// <summary>More than this is not taken at once.</summary>
    public const int MostBytes = 20 * 1024 * 1024;

    /// <summary>All of it.</summary>
    /// <exception cref="BadInputException">Field <c>file</c>: too large.</exception>
    public static async Task<byte[]> ReadAsync(HttpRequest request)
    {
        using var buffer = new MemoryStream();
        var chunk = new byte[65_536];
        int read;
        while ((read = await request.Body.ReadAsync(chunk)) > 0)
        {
            if (buffer.Length + read > MostBytes) throw new BadInputException("file", "The file is larger than 20 MB; cut it in parts.");
            buffer.Write(chunk, 0, read);
        }
        return buffer.ToArray();
    }
}
