using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage.ValueConversion;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Projections;

namespace ZeroDrift.Data;

/// <summary>The fleet's data in one SQLite file.</summary>
public sealed class ZeroDriftContext(DbContextOptions<ZeroDriftContext> options) : DbContext(options)
{
    public DbSet<FleetRow> Fleet => Set<FleetRow>();
    public DbSet<SiteRow> Sites => Set<SiteRow>();
    public DbSet<MachineRow> Machines => Set<MachineRow>();
    public DbSet<PersonRow> People => Set<PersonRow>();
    public DbSet<EngineTypeRow> EngineTypes => Set<EngineTypeRow>();
    public DbSet<LashPointRow> LashPoints => Set<LashPointRow>();
    public DbSet<SpecRevisionRow> SpecRevisions => Set<SpecRevisionRow>();
    public DbSet<EngineFigureRow> EngineFigures => Set<EngineFigureRow>();
    public DbSet<EngineRow> Engines => Set<EngineRow>();
    public DbSet<MeterReadingRow> MeterReadings => Set<MeterReadingRow>();
    public DbSet<VisitRow> Visits => Set<VisitRow>();
    public DbSet<EntryRow> Entries => Set<EntryRow>();
    public DbSet<RefusedEntryRow> RefusedEntries => Set<RefusedEntryRow>();
    public DbSet<ContextRow> Contexts => Set<ContextRow>();
    public DbSet<BlobRow> Blobs => Set<BlobRow>();
    public DbSet<ReadingRow> Readings => Set<ReadingRow>();
    public DbSet<OutlookRow> Outlooks => Set<OutlookRow>();
    public DbSet<InstrumentRow> Instruments => Set<InstrumentRow>();
    public DbSet<VisitInstrumentRow> VisitInstruments => Set<VisitInstrumentRow>();
    public DbSet<HoursReportRow> HoursReports => Set<HoursReportRow>();
    public DbSet<MachineAliasRow> MachineAliases => Set<MachineAliasRow>();
    public DbSet<HoursFeedRow> HoursFeeds => Set<HoursFeedRow>();
    public DbSet<JobRow> Jobs => Set<JobRow>();
    public DbSet<PlacementRow> Placements => Set<PlacementRow>();
    public DbSet<PlanVersionRow> PlanVersions => Set<PlanVersionRow>();
    public DbSet<AwayRow> Away => Set<AwayRow>();
    public DbSet<StandbyGroupRow> StandbyGroups => Set<StandbyGroupRow>();
    public DbSet<ToolRow> Tools => Set<ToolRow>();
    public DbSet<RoadRow> Roads => Set<RoadRow>();
    public DbSet<CallRow> Calls => Set<CallRow>();
    public DbSet<SameGapRow> SameGaps => Set<SameGapRow>();
    public DbSet<LockPairRow> LockPairs => Set<LockPairRow>();
    public DbSet<FeelCheckRow> FeelChecks => Set<FeelCheckRow>();
    public DbSet<TypeFitRow> TypeFits => Set<TypeFitRow>();
    public DbSet<MarkRow> Marks => Set<MarkRow>();
    public DbSet<ChangeRow> Changes => Set<ChangeRow>();
    public DbSet<ShimDrawerRow> ShimDrawers => Set<ShimDrawerRow>();
    public DbSet<ShimMovementRow> ShimMovements => Set<ShimMovementRow>();
    public DbSet<ShimJobRow> ShimJobs => Set<ShimJobRow>();
    public DbSet<ShimPlaceRow> ShimPlaces => Set<ShimPlaceRow>();
    public DbSet<ShimJobEventRow> ShimJobEvents => Set<ShimJobEventRow>();

    /// <summary>What was changed through this context that something kept rests on.</summary>
    public Touched Touched { get; } = new();

    /// <summary>Types with their points and revisions, to be read only.</summary>
    public IQueryable<EngineTypeRow> WholeTypes => EngineTypes.AsNoTracking().Include(t => t.Points).Include(t => t.Revisions).AsSplitQuery();

    /// <summary>The fleet's settings; those of a new fleet while none were given.</summary>
    public async Task<FleetRow> SettingsAsync() => await Fleet.AsNoTracking().SingleOrDefaultAsync() ?? new FleetRow();

    protected override void OnModelCreating(ModelBuilder modelBuilder) =>
        modelBuilder.ApplyConfigurationsFromAssembly(typeof(ZeroDriftContext).Assembly);

    protected override void ConfigureConventions(ModelConfigurationBuilder configurationBuilder)
    {
        configurationBuilder.Properties<Enum>().HaveConversion<string>();
        configurationBuilder.Properties<DateTime>().HaveConversion<UtcConverter>();
        configurationBuilder.Properties<Guid>().HaveConversion<GuidBytes>();
    }

    public override Task<int> SaveChangesAsync(bool acceptAllChangesOnSuccess, CancellationToken cancellationToken = default)
    {
        // The key that makes names unique is kept here, so that no feature can forget it.
        foreach (var entry in ChangeTracker.Entries<INamed>())
            if (entry.State is EntityState.Added or EntityState.Modified) entry.Entity.NameKey = NameKeys.Of(entry.Entity.Name);
        foreach (var entry in ChangeTracker.Entries<SpecRevisionRow>())
            if (entry.State is EntityState.Added) entry.Entity.RevisionKey = NameKeys.Of(entry.Entity.Revision);
        Touched.Note(ChangeTracker);
        return base.SaveChangesAsync(acceptAllChangesOnSuccess, cancellationToken);
    }
}

/// <summary>SQLite keeps no kind: what comes back is UTC, as it was written.</summary>
internal sealed class UtcConverter() : ValueConverter<DateTime, DateTime>(written => written.ToUniversalTime(), read => DateTime.SpecifyKind(read, DateTimeKind.Utc));

/// <summary>Sixteen bytes in the order they are written, so that time-ordered identifiers sort by time and rows stay small.</summary>
internal sealed class GuidBytes() : ValueConverter<Guid, byte[]>(id => id.ToByteArray(true), bytes => new Guid(bytes, true));
