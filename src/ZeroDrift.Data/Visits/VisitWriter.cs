using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Storage;

namespace ZeroDrift.Data.Visits;

/// <summary>Writes whole visits with prepared statements, into a file that holds none yet: an upgrade, the demo, a generated fleet.</summary>
public sealed class VisitWriter(ZeroDriftContext data) : IDisposable
{
    private readonly BulkInsert<ContextRow> contexts = new(data);
    private readonly BulkInsert<VisitRow> visits = new(data);
    private readonly BulkInsert<EntryRow> entries = new(data);
    private readonly BulkInsert<ReadingRow> readings = new(data);
    private readonly BulkInsert<VisitInstrumentRow> instruments = new(data);
    private readonly BulkInsert<SameGapRow> gaps = new(data);
    private readonly BulkInsert<LockPairRow> locks = new(data);
    private readonly BulkInsert<MarkRow> marks = new(data);
    private long key;

    /// <summary>Keeps a context.</summary>
    public KnownContext Keep(ContextRecord record)
    {
        var row = ContextStore.Row(record, DateTime.UtcNow);
        contexts.Add(row);
        return new KnownContext(row.Id, record, record.ToCore());
    }

    /// <summary>Writes a visit with its entries and its standing figures.</summary>
    public VisitRow Write(VisitDraft draft, KnownContext context, MeterHistory meter, string? importKey = null)
    {
        var folded = Visit.From(context.Core, draft.Entries);
        var row = new VisitRow { Key = ++key, Id = draft.VisitId, EngineId = draft.EngineId, ContextId = context.Id, ImportKey = importKey };
        VisitProjection.Onto(row, folded, meter);
        visits.Add(row);
        entries.Add(draft.Rows(key));
        var rows = VisitProjection.Rows(row, folded);
        readings.Add(rows.Readings);
        instruments.Add(rows.Instruments);
        gaps.Add(rows.SameGaps);
        locks.Add(rows.LockPairs);
        marks.Add(rows.Marks);
        return row;
    }

    /// <summary>Ties a meter reading to the visit it was read at.</summary>
    public void ReadAt(MeterReadingRow reading) => data.MeterReadings.Where(m => m.Sequence == reading.Sequence).ExecuteUpdate(m => m.SetProperty(r => r.VisitId, reading.VisitId));

    public void Dispose()
    {
        contexts.Dispose();
        visits.Dispose();
        entries.Dispose();
        readings.Dispose();
        instruments.Dispose();
        gaps.Dispose();
        locks.Dispose();
        marks.Dispose();
    }
}
