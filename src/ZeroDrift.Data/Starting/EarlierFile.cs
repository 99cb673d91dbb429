using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata;
using ZeroDrift.Data.Projections;
using ZeroDrift.Data.Storage;

namespace ZeroDrift.Data.Starting;

/// <summary>
/// Carries a file that was written before the first release, by any of the steps its tables went through then, into a new one: every row of every
/// table that is not a projection, as it stands; projections are made anew.
/// </summary>
internal static class EarlierFile
{
    /// <summary>The steps of before the first release, as files of then name them.</summary>
    private static readonly HashSet<string> Steps =
    [
        "20261125123141_Initial", "20261125183829_FeelOfTheFleet", "20261125194402_OutlookOfTheGroup", "20261125222218_InstrumentsAndHands", "20261125225720_HoursIn",
        "20261125230902_JobsAndPlan", "20261125233728_Calls", "20261126025549_Moments", "20261126091139_Schools", "20261126124646_WhatTheTypeOwns", "20261126184543_ShimDrawers",
        "20261126201457_ShimJobs", "20261126212110_ScrewThread", "20261201065614_TurnedAndPlaces",
    ];

    private static readonly HashSet<string> MadeAnew = ["Readings", "Marks", "VisitInstruments", "SameGaps", "LockPairs", "Outlooks", "TypeFits"];

    /// <summary>Whether a file's steps are those of before the first release.</summary>
    public static bool Is(IReadOnlyCollection<string> applied) => applied.Count > 0 && applied.All(Steps.Contains);

    /// <summary>Reads the old file, which stands in one piece, and fills the new one, which does not exist yet.</summary>
    /// <exception cref="StorageTrouble">A row points at one that is not there: the old file is damaged.</exception>
    public static async Task CarryOverAsync(ZeroDriftContext data, string oldPath, DateOnly today)
    {
        await data.Database.MigrateAsync();
        await data.Database.OpenConnectionAsync();
        var connection = (SqliteConnection)data.Database.GetDbConnection();
        await DoAsync(connection, "PRAGMA foreign_keys=OFF; ATTACH DATABASE $path AS old", ("$path", oldPath));
        await using (var transaction = await connection.BeginTransactionAsync())
        {
            foreach (var table in data.Model.GetRelationalModel().Tables.Where(t => !MadeAnew.Contains(t.Name))) await CopyAsync(connection, table);
            await transaction.CommitAsync();
        }
        await DoAsync(connection, "DETACH DATABASE old; PRAGMA foreign_keys=ON");
        await using (var transaction = await data.Database.BeginTransactionAsync())
        {
            await Projector.AllAsync(data, today);
            await transaction.CommitAsync();
        }
        if (await WordsAsync(connection, "SELECT DISTINCT \"table\" FROM pragma_foreign_key_check") is { Count: > 0 } tables)
            throw new StorageTrouble($"{oldPath} is damaged: rows of {string.Join(", ", tables)} point at rows that are not there. Put back the newest copy from your backups and start again; this file stays as it is.");
    }

    private static async Task CopyAsync(SqliteConnection connection, ITable table)
    {
        var there = (await WordsAsync(connection, $"SELECT name FROM pragma_table_info('{table.Name}', 'old')")).ToHashSet(StringComparer.Ordinal);
        if (there.Count == 0) return;
        // What came later says what a row of before means.
        var missing = table.Columns.Where(c => !there.Contains(c.Name) && !c.IsNullable).ToList();
        var columns = table.Columns.Where(c => there.Contains(c.Name)).Select(c => $"\"{c.Name}\"").ToList();
        List<string> into = [.. columns, .. missing.Select(c => $"\"{c.Name}\"")], from = [.. columns, .. missing.Select((_, i) => $"$p{i}")];
        await DoAsync(connection, $"INSERT INTO main.\"{table.Name}\" ({string.Join(", ", into)}) SELECT {string.Join(", ", from)} FROM old.\"{table.Name}\"", [.. missing.Select((c, i) => ($"$p{i}", Default(c)))]);
    }

    /// <summary>What a new row says where nobody says otherwise.</summary>
    private static object Default(IColumn column)
    {
        var property = column.PropertyMappings[0].Property;
        var value = property.TryGetDefaultValue(out var told) ? told : property.GetGetter().GetClrValue(Activator.CreateInstance(property.DeclaringType.ClrType)!);
        var written = property.GetTypeMapping().Converter is { } converter ? converter.ConvertToProvider(value) : value;
        return written ?? throw new InvalidOperationException($"{column.Name} has no value for rows of before.");
    }

    private static async Task DoAsync(SqliteConnection connection, string sql, params (string Name, object Value)[] parameters)
    {
        await using var command = connection.CreateCommand();
        command.CommandText = sql;
        foreach (var (name, value) in parameters) command.Parameters.AddWithValue(name, value);
        await command.ExecuteNonQueryAsync();
    }

    private static async Task<List<string>> WordsAsync(SqliteConnection connection, string sql)
    {
        await using var command = connection.CreateCommand();
        command.CommandText = sql;
        await using var reader = await command.ExecuteReaderAsync();
        var words = new List<string>();
        while (await reader.ReadAsync()) words.Add(reader.GetString(0));
        return words;
    }
}
