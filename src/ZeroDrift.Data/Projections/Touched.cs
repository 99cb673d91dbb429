using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.ChangeTracking;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Projections;

/// <summary>What a transaction has changed that something kept rests on. It reads the rows that are saved, so no write has to say so, and none can forget to.</summary>
public sealed class Touched
{
    /// <summary>Engines whose meter says something else.</summary>
    public HashSet<Guid> Meters { get; } = [];

    /// <summary>Engines whose record, figures, use or type changed.</summary>
    public HashSet<Guid> Engines { get; } = [];

    /// <summary>Machines that stand still at other times than before.</summary>
    public HashSet<Guid> Machines { get; } = [];

    /// <summary>Types whose book or whose engines changed.</summary>
    public HashSet<Guid> Types { get; } = [];

    /// <summary>The fleet's own settings changed: everything follows.</summary>
    public bool Fleet { get; private set; }

    /// <summary>Types to be fitted again beside the work of others.</summary>
    public HashSet<Guid> Again { get; } = [];

    public bool IsAnything => Fleet || Meters.Count + Engines.Count + Machines.Count + Types.Count > 0;

    /// <summary>Everything kept was just made anew.</summary>
    public void Forget()
    {
        Meters.Clear();
        Engines.Clear();
        Machines.Clear();
        Types.Clear();
        Fleet = false;
    }

    /// <summary>Takes note of what is about to be saved.</summary>
    internal void Note(ChangeTracker tracker)
    {
        foreach (var entry in tracker.Entries())
            if (entry.State is EntityState.Added or EntityState.Modified or EntityState.Deleted) Note(entry);
    }

    private void Note(EntityEntry entry)
    {
        switch (entry.Entity)
        {
            case MeterReadingRow reading:
                Meters.Add(reading.EngineId);
                break;
            case VisitRow { State: VisitState.Signed } visit:
                Engines.Add(visit.EngineId);
                break;
            case EngineFigureRow figure:
                Engines.Add(figure.EngineId);
                break;
            case EngineRow engine when entry.State == EntityState.Added || Changed(entry, nameof(EngineRow.DutyHoursPerDay), nameof(EngineRow.MonthlyWeights), nameof(EngineRow.MachineId), nameof(EngineRow.EngineTypeId), nameof(EngineRow.ArchivedAt)):
                Engines.Add(engine.Id);
                if (entry.State == EntityState.Modified && Changed(entry, nameof(EngineRow.EngineTypeId), nameof(EngineRow.ArchivedAt)))
                    Types.UnionWith([engine.EngineTypeId, (Guid)entry.OriginalValues[nameof(EngineRow.EngineTypeId)]!]);
                break;
            case AwayRow { LaidUp: true, MachineId: { } machine }:
                Machines.Add(machine);
                break;
            case EngineTypeRow type when entry.State == EntityState.Modified:
                Types.Add(type.Id);
                break;
            case SpecRevisionRow revision when entry.State == EntityState.Added:
                Types.Add(revision.EngineTypeId);
                break;
            case FleetRow:
                Fleet = true;
                break;
        }
    }

    private static bool Changed(EntityEntry entry, params ReadOnlySpan<string> names)
    {
        foreach (var name in names)
            if (entry.Property(name).IsModified) return true;
        return false;
    }
}
