using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data.Projections;
using ZeroDrift.Data.Storage;

namespace ZeroDrift.Data.Writing;

/// <summary>The write could not be kept: a locked, full, read-only or failing disk. Nothing of it was written; it may be tried again.</summary>
public sealed class NotSavedException(string message, Exception inner) : Exception(message, inner);

/// <summary>Two writes met in a constraint of the database twice in a row.</summary>
public sealed class LostRaceException(Exception inner) : Exception("Somebody else changed the same thing at this moment.", inner);

/// <summary>
/// One writer at a time inside the process, and one process a folder: what a check finds still holds when the write is made. A constraint that
/// refuses all the same is a race lost; the work runs once more, finds what stands now, and answers as its check does. Whatever rests on what was
/// written is brought up in the same transaction.
/// </summary>
/// <param name="path">The data file.</param>
/// <param name="today">Today where the fleet is.</param>
public sealed class WriteGate(string path, Func<DateOnly> today) : IDisposable
{
    /// <summary>Told which types a write has left to be fitted again beside the work of others, once it is kept.</summary>
    public event Action<IReadOnlySet<Guid>>? RefitWanted;

    private readonly SemaphoreSlim gate = new(1, 1);

    /// <summary>Runs work in one transaction, with a context of its own.</summary>
    /// <exception cref="NotSavedException">The storage would not take it.</exception>
    /// <exception cref="LostRaceException">A constraint refused it twice.</exception>
    public async Task<T> RunAsync<T>(Func<ZeroDriftContext, Task<T>> work, CancellationToken cancelled = default)
    {
        await gate.WaitAsync(cancelled);
        try
        {
            for (var tries = 1; ; tries++)
            {
                try
                {
                    await using var data = new ZeroDriftContext(DatabaseFile.Options(path).Options);
                    await using var transaction = await data.Database.BeginTransactionAsync(CancellationToken.None);
                    var result = await work(data);
                    await Projector.BringUpAsync(data, today());
                    await transaction.CommitAsync(CancellationToken.None);
                    if (data.Touched.Again.Count > 0) RefitWanted?.Invoke(data.Touched.Again);
                    return result;
                }
                catch (Exception fault) when (IsConstraint(fault) || fault is DbUpdateConcurrencyException)
                {
                    if (tries >= 2) throw new LostRaceException(fault);
                }
                catch (Exception fault) when (Sqlite(fault) is { } sqlite)
                {
                    throw new NotSavedException(Said(sqlite), fault);
                }
            }
        }
        finally
        {
            gate.Release();
        }
    }

    /// <summary>The same without an answer.</summary>
    public Task RunAsync(Func<ZeroDriftContext, Task> work, CancellationToken cancelled = default) => RunAsync(async data =>
    {
        await work(data);
        return true;
    }, cancelled);

    public void Dispose() => gate.Dispose();

    /// <summary>The storage fault in an exception; null where there is none.</summary>
    public static SqliteException? Sqlite(Exception? fault) => fault switch
    {
        SqliteException sqlite => sqlite,
        null => null,
        _ => Sqlite(fault.InnerException),
    };

    private static bool IsConstraint(Exception fault) => Sqlite(fault) is { SqliteErrorCode: 19 };

    private static string Said(SqliteException fault) => fault.SqliteErrorCode switch
    {
        5 or 6 => "Not saved: another program holds the data file. It is tried again.",
        8 => "Not saved: the data file cannot be written. It is tried again.",
        13 => "Not saved: the disk is full. It is tried again when there is room.",
        _ => "Not saved: the disk would not take it. It is tried again.",
    };
}
