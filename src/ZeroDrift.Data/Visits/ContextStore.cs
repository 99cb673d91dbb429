using System.Collections.Concurrent;
using System.IO.Compression;
using System.Security.Cryptography;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Visits;

/// <summary>A context with its core form.</summary>
public sealed record KnownContext(string Id, ContextRecord Record, VisitContext Core);

/// <summary>Every context that was ever given out, by the hash of its bytes.</summary>
public static class ContextStore
{
    /// <summary>Contexts are immutable, so a few hundred of them may stay in memory.</summary>
    private const int MostKept = 400;

    private static readonly ConcurrentDictionary<string, KnownContext> Kept = new();

    /// <summary>The bytes of a context and their hash.</summary>
    public static (string Id, byte[] Bytes) Bytes(ContextRecord record)
    {
        var bytes = JsonSerializer.SerializeToUtf8Bytes(record, ContractJson.Rules);
        return (Convert.ToHexStringLower(SHA256.HashData(bytes)), bytes);
    }

    /// <summary>The row of a context.</summary>
    public static ContextRow Row(ContextRecord record, DateTime now)
    {
        var (id, bytes) = Bytes(record);
        using var packed = new MemoryStream();
        using (var brotli = new BrotliStream(packed, CompressionLevel.Fastest, true)) brotli.Write(bytes);
        return new ContextRow { Id = id, EngineId = record.Engine.Id, Content = packed.ToArray(), GivenAt = now };
    }

    /// <summary>Keeps a context if it is not kept yet; part of the transaction under way.</summary>
    public static async Task<KnownContext> KeepAsync(ZeroDriftContext data, ContextRecord record, DateTime now)
    {
        var row = Row(record, now);
        if (!await data.Contexts.AnyAsync(c => c.Id == row.Id)) data.Contexts.Add(row);
        return Know(row.Id, record);
    }

    /// <summary>A context by its identifier; null where it was never given out, or for another engine.</summary>
    public static async Task<KnownContext?> FindAsync(ZeroDriftContext data, string? id, Guid? engineId = null)
    {
        if (id is null) return null;
        if (!Kept.TryGetValue(id, out var known))
        {
            if (await data.Contexts.AsNoTracking().FirstOrDefaultAsync(c => c.Id == id) is not { } row) return null;
            known = Know(id, Unpack(row.Content));
        }
        return engineId is null || known.Record.Engine.Id == engineId ? known : null;
    }

    private static ContextRecord Unpack(byte[] content)
    {
        using var brotli = new BrotliStream(new MemoryStream(content), CompressionMode.Decompress);
        return JsonSerializer.Deserialize<ContextRecord>(brotli, ContractJson.Rules)!;
    }

    private static KnownContext Know(string id, ContextRecord record)
    {
        if (Kept.Count > MostKept) Kept.Clear();
        return Kept.GetOrAdd(id, _ => new KnownContext(id, record, record.ToCore()));
    }
}
