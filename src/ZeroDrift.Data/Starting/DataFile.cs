using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data.Projections;
using ZeroDrift.Data.Storage;

namespace ZeroDrift.Data.Starting;

/// <summary>
/// Brings a data folder to a file that can be served. Whatever has to be made or changed (a new file, its first fill, a migration) is made in a
/// file beside it and put in its place by one rename: a kill at any moment leaves the old state or the new one, never half. The folder's lock is
/// held meanwhile, so nothing else waits for a lock inside the file.
/// </summary>
public static class DataFile
{
    /// <summary>The file's name in its folder.</summary>
    public const string Name = "zerodrift.db";

    /// <summary>What was done.</summary>
    /// <param name="Path">The file.</param>
    /// <param name="Backup">The file as it was before, kept; null where nothing was changed.</param>
    public sealed record Opened(string Path, string? Backup);

    /// <summary>Opens, makes, fills or brings up to date.</summary>
    /// <param name="folder">The data folder; its lock is held by the caller.</param>
    /// <param name="now">Names the backup.</param>
    /// <param name="say">Told what is being done, where that takes long.</param>
    /// <param name="fill">Fills a file that holds no engine yet; null where it stays empty.</param>
    /// <exception cref="StorageTrouble">The file cannot be served: full, read-only, damaged, foreign or of a newer version.</exception>
    public static async Task<Opened> OpenAsync(string folder, DateTime now, Action<string> say, Func<ZeroDriftContext, Task>? fill = null)
    {
        var path = Path.Combine(folder, Name);
        try
        {
            RemoveLeftovers(path);
            if (File.Exists(path) && new FileInfo(path).Length == 0) File.Delete(path);
            var state = File.Exists(path) ? await StateAsync(path) : FileState.Absent;
            var backup = state switch
            {
                FileState.Absent => await MakeAsync(path, fill, say),
                FileState.FirstVersion => await UpgradeAsync(path, now, say, (making, _) => FirstVersion.CarryOverAsync(path, making)),
                FileState.Earlier => await UpgradeAsync(path, now, say, (_, context) => EarlierFile.CarryOverAsync(context, path, DateOnly.FromDateTime(now))),
                FileState.Pending => await UpgradeAsync(path, now, say, async (making, context) =>
                {
                    await Storage.Backup.CopyAsync(path, making);
                    await context.Database.ExecuteSqlRawAsync("DROP TABLE IF EXISTS \"__EFMigrationsLock\"");
                    await context.Database.MigrateAsync();
                    say("Working out every visit and every engine's outlook by this version…");
                    await Projector.AllAsync(context, DateOnly.FromDateTime(now));
                }),
                _ => null,
            };
            if (state is FileState.Present && fill is not null && await IsEmptyAsync(path))
                await UpgradeAsync(path, null, say, async (making, context) =>
                {
                    await Storage.Backup.CopyAsync(path, making);
                    await fill(context);
                });
            await PrepareAsync(path);
            return new Opened(path, backup);
        }
        catch (Exception fault) when (Sentence(fault, path) is { } sentence)
        {
            throw new StorageTrouble(sentence);
        }
    }

    /// <summary>A plain sentence for a fault of the file; null for anything else.</summary>
    public static string? Sentence(Exception fault, string path) => fault switch
    {
        StorageTrouble trouble => trouble.Message,
        SqliteException { SqliteErrorCode: 26 } => $"{path} is not a Zero Drift data file. Move it away, or choose another folder with --data.",
        SqliteException { SqliteErrorCode: 11 } => $"{path} is damaged. Put back the newest copy from your backups (files beside it called {Name}.before-… are such copies) and start again.",
        SqliteException { SqliteErrorCode: 8 } or UnauthorizedAccessException => $"{path} cannot be written. Give this user the right to write the file and its folder, or choose another folder with --data.",
        SqliteException { SqliteErrorCode: 13 } => $"There is no room left on the disk that holds {path}. Free some space and start again; nothing was lost.",
        SqliteException { SqliteErrorCode: 5 or 6 } => $"Another program holds {path}. Close it and start again.",
        SqliteException { SqliteErrorCode: 10 or 14 } or IOException => $"{path} cannot be read or written: {fault.Message}",
        DbUpdateException { InnerException: { } inner } => Sentence(inner, path),
        _ => null,
    };

    private enum FileState
    {
        Absent,
        Present,
        Pending,
        Earlier,
        FirstVersion,
    }

    private static void RemoveLeftovers(string path)
    {
        foreach (var suffix in (ReadOnlySpan<string>)["", "-wal", "-shm", "-journal"]) File.Delete(path + ".making" + suffix);
    }

    private static async Task<FileState> StateAsync(string path)
    {
        HashSet<string> tables = [];
        await using (var connection = new SqliteConnection(DatabaseFile.ConnectionString(path, pooling: false)))
        {
            await connection.OpenAsync();
            await using var command = connection.CreateCommand();
            command.CommandText = "SELECT name FROM sqlite_master WHERE type = 'table'";
            await using var reader = await command.ExecuteReaderAsync();
            while (await reader.ReadAsync()) tables.Add(reader.GetString(0));
        }
        if (tables.Count == 0) return FileState.Absent;
        if (tables.Contains("Overheads") && tables.Contains("Engines")) return FileState.FirstVersion;
        if (!tables.Contains("__EFMigrationsHistory") || !tables.Contains("Entries")) throw new StorageTrouble($"{path} is a data file of another program. Move it away, or choose another folder with --data.");
        await using var context = new ZeroDriftContext(DatabaseFile.Options(path, pooling: false).Options);
        var known = context.Database.GetMigrations().ToHashSet();
        var applied = (await context.Database.GetAppliedMigrationsAsync()).ToList();
        if (EarlierFile.Is(applied)) return FileState.Earlier;
        if (applied.Find(a => !known.Contains(a)) is not null) throw new StorageTrouble($"{path} was written by a newer version of Zero Drift. Start that version, or choose another folder with --data.");
        return applied.Count < known.Count ? FileState.Pending : FileState.Present;
    }

    private static async Task<bool> IsEmptyAsync(string path)
    {
        await using var context = new ZeroDriftContext(DatabaseFile.Options(path, pooling: false).Options);
        return !await context.Engines.AnyAsync();
    }

    private static async Task<string?> MakeAsync(string path, Func<ZeroDriftContext, Task>? fill, Action<string> say)
    {
        if (fill is not null) say("Filling a new data file; this is done once.");
        await MadeAsync(path, async (_, context) =>
        {
            await context.Database.MigrateAsync();
            if (fill is not null) await fill(context);
        });
        return null;
    }

    private static async Task<string?> UpgradeAsync(string path, DateTime? backupAt, Action<string> say, Func<string, ZeroDriftContext, Task> work)
    {
        say("Bringing the data file up to date; the file as it is stays until that is done.");
        await QuietAsync(path);
        string? backup = null;
        if (backupAt is { } now)
        {
            backup = $"{path}.before-{now:yyyyMMdd-HHmmss}";
            File.Copy(path, backup + ".part", true);
            File.Move(backup + ".part", backup, true);
        }
        await MadeAsync(path, work);
        return backup;
    }

    /// <summary>Does the work in a file beside it, closes that to one file on the disk, and puts it in place.</summary>
    private static async Task MadeAsync(string path, Func<string, ZeroDriftContext, Task> work)
    {
        var making = path + ".making";
        await using (var context = new ZeroDriftContext(DatabaseFile.Options(making, pooling: false).Options))
        {
            await work(making, context);
        }
        await QuietAsync(making);
        await using (var flushed = new FileStream(making, FileMode.Open, FileAccess.ReadWrite)) flushed.Flush(true);
        File.Move(making, path, true);
    }

    /// <summary>Everything in the one file, no journal beside it.</summary>
    private static async Task QuietAsync(string path)
    {
        await using var connection = new SqliteConnection(DatabaseFile.ConnectionString(path, pooling: false));
        await connection.OpenAsync();
        await using var command = connection.CreateCommand();
        command.CommandText = "PRAGMA wal_checkpoint(TRUNCATE); PRAGMA journal_mode=DELETE;";
        await command.ExecuteNonQueryAsync();
    }

    /// <summary>WAL and triggers, once, on a connection that writes.</summary>
    private static async Task PrepareAsync(string path)
    {
        await using var connection = new SqliteConnection(DatabaseFile.ConnectionString(path, pooling: false));
        await connection.OpenAsync();
        await using var command = connection.CreateCommand();
        command.CommandText = "PRAGMA journal_mode=WAL; " + DatabaseFile.TriggersSql;
        await command.ExecuteNonQueryAsync();
        // A write that changes nothing tells a full or read-only disk now, not at the first tap.
        command.CommandText = "BEGIN IMMEDIATE; PRAGMA user_version=2; COMMIT;";
        await command.ExecuteNonQueryAsync();
    }
}
