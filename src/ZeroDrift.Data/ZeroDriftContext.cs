using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data;

/// <summary>The fleet's data in one SQLite file.</summary>
public sealed class ZeroDriftContext(DbContextOptions<ZeroDriftContext> options) : DbContext(options)
{
    public DbSet<FleetRow> Fleet => Set<FleetRow>();
    public DbSet<EngineTypeRow> EngineTypes => Set<EngineTypeRow>();
    public DbSet<LashPointRow> LashPoints => Set<LashPointRow>();
    public DbSet<SpecRevisionRow> SpecRevisions => Set<SpecRevisionRow>();
    public DbSet<EngineRow> Engines => Set<EngineRow>();
    public DbSet<MeterReadingRow> MeterReadings => Set<MeterReadingRow>();
    public DbSet<OverheadRow> Overheads => Set<OverheadRow>();
    public DbSet<ReadingRow> Readings => Set<ReadingRow>();

    protected override void OnModelCreating(ModelBuilder modelBuilder) =>
        modelBuilder.ApplyConfigurationsFromAssembly(typeof(ZeroDriftContext).Assembly);

    protected override void ConfigureConventions(ModelConfigurationBuilder configurationBuilder)
    {
        configurationBuilder.Properties<Enum>().HaveConversion<string>();
        // SQLite keeps no kind: what comes back is UTC, as it was written.
        configurationBuilder.Properties<DateTime>().HaveConversion<UtcConverter>();
    }
}

internal sealed class UtcConverter() : Microsoft.EntityFrameworkCore.Storage.ValueConversion.ValueConverter<DateTime, DateTime>(
    written => written.ToUniversalTime(), read => DateTime.SpecifyKind(read, DateTimeKind.Utc));

internal sealed class EngineTypeConfiguration : IEntityTypeConfiguration<EngineTypeRow>
{
    public void Configure(EntityTypeBuilder<EngineTypeRow> builder)
    {
        builder.HasIndex(t => t.Code).IsUnique();
        builder.Property(t => t.Code).UseCollation("NOCASE");
        builder.Property(t => t.Version).IsConcurrencyToken();
        builder.OwnsOne(t => t.Timing);
        builder.OwnsMany(t => t.BookStops, stops => stops.ToJson());
        builder.HasMany(t => t.Points).WithOne().HasForeignKey(p => p.EngineTypeId);
        builder.HasMany(t => t.Revisions).WithOne().HasForeignKey(r => r.EngineTypeId);
    }
}

internal sealed class LashPointConfiguration : IEntityTypeConfiguration<LashPointRow>
{
    public void Configure(EntityTypeBuilder<LashPointRow> builder) => builder.HasIndex(p => new { p.EngineTypeId, p.Label }).IsUnique();
}

internal sealed class SpecRevisionConfiguration : IEntityTypeConfiguration<SpecRevisionRow>
{
    public void Configure(EntityTypeBuilder<SpecRevisionRow> builder)
    {
        builder.HasIndex(r => new { r.EngineTypeId, r.Revision }).IsUnique();
        builder.OwnsMany(r => r.Lines, lines => lines.ToJson());
    }
}

internal sealed class EngineConfiguration : IEntityTypeConfiguration<EngineRow>
{
    public void Configure(EntityTypeBuilder<EngineRow> builder)
    {
        builder.HasIndex(e => e.Name).IsUnique();
        builder.Property(e => e.Name).UseCollation("NOCASE");
        builder.Property(e => e.Version).IsConcurrencyToken();
        builder.HasMany(e => e.MeterReadings).WithOne().HasForeignKey(m => m.EngineId);
        builder.HasOne(e => e.EngineType).WithMany().HasForeignKey(e => e.EngineTypeId).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class MeterReadingConfiguration : IEntityTypeConfiguration<MeterReadingRow>
{
    public void Configure(EntityTypeBuilder<MeterReadingRow> builder) => builder.HasIndex(m => new { m.EngineId, m.Date });
}

internal sealed class OverheadConfiguration : IEntityTypeConfiguration<OverheadRow>
{
    public void Configure(EntityTypeBuilder<OverheadRow> builder)
    {
        builder.HasIndex(o => new { o.EngineId, o.TotalHours });
        builder.HasIndex(o => o.ImportKey).IsUnique();
        builder.Property(o => o.Version).IsConcurrencyToken();
        builder.HasOne(o => o.Engine).WithMany(e => e.Overheads).HasForeignKey(o => o.EngineId);
        builder.HasOne<SpecRevisionRow>().WithMany().HasForeignKey(o => o.SpecRevisionId).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class ReadingConfiguration : IEntityTypeConfiguration<ReadingRow>
{
    public void Configure(EntityTypeBuilder<ReadingRow> builder)
    {
        // One reading a point and stage, besides corrections: two people who start at the same instant meet here.
        builder.HasIndex(r => new { r.OverheadId, r.PointId, r.Stage }).IsUnique().HasFilter("CorrectsId IS NULL");
        builder.Property(r => r.Version).IsConcurrencyToken();
        builder.OwnsMany(r => r.Trials, trials => trials.ToJson());
        builder.HasOne<OverheadRow>().WithMany(o => o.Readings).HasForeignKey(r => r.OverheadId);
        builder.HasOne<LashPointRow>().WithMany().HasForeignKey(r => r.PointId).OnDelete(DeleteBehavior.Restrict);
        // One correction for each figure: two people correcting the same one meet here.
        builder.HasIndex(r => r.CorrectsId).IsUnique();
    }
}
