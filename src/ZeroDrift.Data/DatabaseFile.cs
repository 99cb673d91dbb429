using System.Data.Common;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;
using Microsoft.EntityFrameworkCore.Diagnostics;

namespace ZeroDrift.Data;

/// <summary>Opens the data file: WAL so that readers never wait, foreign keys on, a busy timeout, migrations after a backup.</summary>
public static class DatabaseFile
{
    /// <summary>Options for a data file.</summary>
    public static DbContextOptionsBuilder UseZeroDriftFile(this DbContextOptionsBuilder options, string path) => options
        .UseSqlite(new SqliteConnectionStringBuilder { DataSource = path, ForeignKeys = true, DefaultTimeout = 10 }.ToString())
        .AddInterceptors(new Pragmas());

    /// <summary>Brings the file up to date; where a migration is pending on an existing file, a copy is kept beside it first.</summary>
    /// <returns>Path of the copy, or null where none was needed.</returns>
    public static async Task<string?> MigrateAsync(ZeroDriftContext context, string path, DateTime now)
    {
        string? copy = null;
        if (File.Exists(path) && (await context.Database.GetPendingMigrationsAsync()).Any())
        {
            copy = $"{path}.before-{now:yyyyMMdd-HHmmss}";
            await using var source = new SqliteConnection($"Data Source={path}");
            await using var target = new SqliteConnection($"Data Source={copy}");
            await source.OpenAsync();
            source.BackupDatabase(target);
        }
        await context.Database.MigrateAsync();
        return copy;
    }

    private sealed class Pragmas : DbConnectionInterceptor
    {
        private const string Sql = "PRAGMA journal_mode=WAL; PRAGMA synchronous=FULL; PRAGMA busy_timeout=10000;";

        public override void ConnectionOpened(DbConnection connection, ConnectionEndEventData eventData)
        {
            using var command = connection.CreateCommand();
            command.CommandText = Sql;
            command.ExecuteNonQuery();
        }

        public override async Task ConnectionOpenedAsync(DbConnection connection, ConnectionEndEventData eventData, CancellationToken cancellationToken = default)
        {
            await using var command = connection.CreateCommand();
            command.CommandText = Sql;
            await command.ExecuteNonQueryAsync(cancellationToken);
        }
    }
}

/// <summary>For the migration tool only.</summary>
internal sealed class DesignTimeFactory : IDesignTimeDbContextFactory<ZeroDriftContext>
{
    public ZeroDriftContext CreateDbContext(string[] args) =>
        new((DbContextOptions<ZeroDriftContext>)new DbContextOptionsBuilder<ZeroDriftContext>().UseZeroDriftFile("design.db").Options);
}
