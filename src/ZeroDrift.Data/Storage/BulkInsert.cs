using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata;
using Microsoft.EntityFrameworkCore.Storage;

namespace ZeroDrift.Data.Storage;

/// <summary>Inserts many rows of one table with one prepared statement, by the model's own columns and conversions. Inside the transaction under way.</summary>
public sealed class BulkInsert<T> : IDisposable where T : class
{
    private readonly SqliteCommand command;
    private readonly IProperty[] properties;

    public BulkInsert(ZeroDriftContext data)
    {
        var entity = data.Model.FindEntityType(typeof(T))!;
        var table = StoreObjectIdentifier.Table(entity.GetTableName()!, entity.GetSchema());
        properties = [.. entity.GetProperties().Where(p => p.GetColumnName(table) is not null)];
        command = (SqliteCommand)data.Database.GetDbConnection().CreateCommand();
        command.Transaction = (SqliteTransaction?)data.Database.CurrentTransaction?.GetDbTransaction();
        command.CommandText = $"INSERT INTO \"{table.Name}\" ({string.Join(", ", properties.Select(p => $"\"{p.GetColumnName(table)}\""))}) VALUES ({string.Join(", ", properties.Select((_, i) => $"$p{i}"))})";
        for (var i = 0; i < properties.Length; i++) command.Parameters.Add(new SqliteParameter($"$p{i}", null));
        command.Prepare();
    }

    public void Add(T row)
    {
        for (var i = 0; i < properties.Length; i++)
        {
            var value = properties[i].GetGetter().GetClrValue(row);
            var converter = properties[i].GetTypeMapping().Converter;
            command.Parameters[i].Value = (value is not null && converter is not null ? converter.ConvertToProvider(value) : value) ?? DBNull.Value;
        }
        command.ExecuteNonQuery();
    }

    public void Add(IEnumerable<T> rows)
    {
        foreach (var row in rows) Add(row);
    }

    public void Dispose() => command.Dispose();
}
