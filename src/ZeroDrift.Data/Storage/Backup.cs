using Microsoft.Data.Sqlite;

namespace ZeroDrift.Data.Storage;

/// <summary>A whole copy of a data file, also while it is served.</summary>
public static class Backup
{
    public static async Task CopyAsync(string from, string to)
    {
        await using var source = new SqliteConnection(DatabaseFile.ConnectionString(from, pooling: false));
        await using var target = new SqliteConnection(DatabaseFile.ConnectionString(to, pooling: false));
        await source.OpenAsync();
        await target.OpenAsync();
        source.BackupDatabase(target);
    }
}
