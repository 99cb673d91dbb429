using System.Data.Common;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;
using Microsoft.EntityFrameworkCore.Diagnostics;
using Microsoft.EntityFrameworkCore.Metadata;

namespace ZeroDrift.Data.Storage;

/// <summary>How the data file is opened: foreign keys on, every commit on the disk, a short busy wait. WAL is set once, on a writing connection.</summary>
public static class DatabaseFile
{
    /// <summary>The model of the tables, which takes a second to make: once, and not once more for whoever asks in another setting, as the start does before the server.</summary>
    private static readonly Lazy<IModel> Tables = new(() =>
    {
        using var context = new ZeroDriftContext(new DbContextOptionsBuilder<ZeroDriftContext>().UseSqlite().Options);
        return context.Model;
    });

    /// <summary>How long another program may hold the file before a write is said not to be saved.</summary>
    public const int BusySeconds = 3;

    /// <summary>Options for a data file.</summary>
    public static DbContextOptionsBuilder<ZeroDriftContext> Options(string path, bool pooling = true)
    {
        var builder = new DbContextOptionsBuilder<ZeroDriftContext>();
        builder.UseZeroDriftFile(path, pooling);
        return builder;
    }

    /// <summary>Puts a data file behind a context.</summary>
    public static DbContextOptionsBuilder UseZeroDriftFile(this DbContextOptionsBuilder options, string path, bool pooling = true) => options
        .UseSqlite(ConnectionString(path, pooling))
        .UseModel(Tables.Value)
        .AddInterceptors(new Pragmas());

    /// <summary>The connection string of a data file.</summary>
    public static string ConnectionString(string path, bool pooling = true) =>
        new SqliteConnectionStringBuilder { DataSource = path, ForeignKeys = true, DefaultTimeout = BusySeconds, Pooling = pooling }.ToString();

    /// <summary>Entries, lines of the shim ledger and what happened to a shim job are inserted only. Made again at every start, because a table that a migration rebuilds loses its triggers.</summary>
    public const string TriggersSql = """
        CREATE TRIGGER IF NOT EXISTS Entries_never_change BEFORE UPDATE ON Entries BEGIN SELECT RAISE(ABORT, 'an entry is never changed'); END;
        CREATE TRIGGER IF NOT EXISTS Entries_never_go BEFORE DELETE ON Entries BEGIN SELECT RAISE(ABORT, 'an entry is never deleted'); END;
        CREATE TRIGGER IF NOT EXISTS ShimMovements_never_change BEFORE UPDATE ON ShimMovements BEGIN SELECT RAISE(ABORT, 'a line of the ledger is never changed'); END;
        CREATE TRIGGER IF NOT EXISTS ShimMovements_never_go BEFORE DELETE ON ShimMovements BEGIN SELECT RAISE(ABORT, 'a line of the ledger is never deleted'); END;
        CREATE TRIGGER IF NOT EXISTS ShimJobEvents_never_change BEFORE UPDATE ON ShimJobEvents BEGIN SELECT RAISE(ABORT, 'what happened to a shim job is never changed'); END;
        CREATE TRIGGER IF NOT EXISTS ShimJobEvents_never_go BEFORE DELETE ON ShimJobEvents BEGIN SELECT RAISE(ABORT, 'what happened to a shim job is never deleted'); END;
        """;

    private sealed class Pragmas : DbConnectionInterceptor
    {
        private static readonly string Sql = $"PRAGMA synchronous=FULL; PRAGMA busy_timeout={BusySeconds * 1000};";

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
    public ZeroDriftContext CreateDbContext(string[] args) => new(DatabaseFile.Options("design.db").Options);
}
