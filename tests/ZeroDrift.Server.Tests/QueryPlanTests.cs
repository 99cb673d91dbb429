using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Data.Projections;
using ZeroDrift.Data.Starting;
using ZeroDrift.Data.Storage;
using ZeroDrift.Data.Visits;

namespace ZeroDrift.Server.Tests;

/// <summary>No question that is asked at the engine or in the yard reads through a table that grows.</summary>
public sealed class QueryPlanTests : IDisposable
{
    private static readonly string[] Growing = ["Entries", "Readings", "Visits", "MeterReadings", "Contexts", "Changes", "RefusedEntries"];
    private readonly ServerWithFile server = new(demo: true);

    [Fact]
    public async Task Every_query_of_a_day_uses_an_index()
    {
        var seen = new List<(string Sql, List<SqliteParameter> Parameters)>();
        // A copy: the demo's server still writes its plan into its own.
        var path = Path.Combine(server.Folder, "copy.db");
        await using (var own = new SqliteConnection(DatabaseFile.ConnectionString(Path.Combine(server.Folder, DataFile.Name))))
        {
            await own.OpenAsync();
            await using var copy = own.CreateCommand();
            copy.CommandText = $"VACUUM INTO '{path}'";
            await copy.ExecuteNonQueryAsync();
        }
        await using var data = new ZeroDriftContext(new DbContextOptionsBuilder<ZeroDriftContext>().UseSqlite(DatabaseFile.ConnectionString(path)).AddInterceptors(new Ear(seen)).Options);
        var engine = await data.Engines.AsNoTracking().OrderBy(e => e.Name).FirstAsync();
        var visit = await data.Visits.AsNoTracking().OrderByDescending(v => v.Key).Select(v => v.Id).FirstAsync();
        seen.Clear();

        await ContextBuilder.BuildAsync(data, engine.Id, DateOnly.FromDateTime(DateTime.UtcNow));
        await VisitReader.LoadAsync(data, visit);
        await data.Visits.Where(v => v.State == VisitState.Open).Select(v => v.Id).ToListAsync();
        await data.Visits.Where(v => v.EngineId == engine.Id && v.State == VisitState.Signed).Include(v => v.Readings).ToListAsync();
        await OutlookKeeper.RefreshAsync(data, [engine.Id], [], DateOnly.FromDateTime(DateTime.UtcNow));
        var stored = (await VisitReader.LoadAsync(data, visit, track: true))!;
        await Projector.VisitAsync(data, stored.Row, stored.Visit, justSigned: true);
        await Projector.BringUpAsync(data, DateOnly.FromDateTime(DateTime.UtcNow));

        await data.Database.OpenConnectionAsync();
        var scans = new List<string>();
        foreach (var (sql, parameters) in seen.Where(s => s.Sql.TrimStart().StartsWith("SELECT", StringComparison.OrdinalIgnoreCase)))
        {
            await using var command = (SqliteCommand)data.Database.GetDbConnection().CreateCommand();
            command.CommandText = "EXPLAIN QUERY PLAN " + sql;
            foreach (var parameter in parameters) command.Parameters.Add(new SqliteParameter(parameter.ParameterName, parameter.Value));
            await using var reader = await command.ExecuteReaderAsync();
            while (await reader.ReadAsync())
            {
                var step = reader.GetString(3);
                var names = Growing.Where(t => sql.Contains($"\"{t}\" AS", StringComparison.Ordinal)).Select(t => System.Text.RegularExpressions.Regex.Match(sql, $"\"{t}\" AS \"(\\w+)\"").Groups[1].Value).ToHashSet();
                if (step.StartsWith("SCAN ", StringComparison.Ordinal) && names.Contains(step.Split(' ')[1]) && !step.Contains("USING", StringComparison.Ordinal)) scans.Add(step + "\n" + sql);
            }
        }
        Assert.True(seen.Count > 20);
        Assert.True(scans.Count == 0, string.Join("\n\n", scans));
    }

    public void Dispose() => server.Dispose();

    private sealed class Ear(List<(string, List<SqliteParameter>)> seen) : DbCommandInterceptor
    {
        public override ValueTask<InterceptionResult<System.Data.Common.DbDataReader>> ReaderExecutingAsync(System.Data.Common.DbCommand command, CommandEventData eventData, InterceptionResult<System.Data.Common.DbDataReader> result, CancellationToken cancellationToken = default)
        {
            seen.Add((command.CommandText, [.. command.Parameters.Cast<SqliteParameter>()]));
            return ValueTask.FromResult(result);
        }
    }
}
