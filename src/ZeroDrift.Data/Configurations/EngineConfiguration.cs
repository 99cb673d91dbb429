using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Configurations;

internal sealed class EngineConfiguration : IEntityTypeConfiguration<EngineRow>
{
    public void Configure(EntityTypeBuilder<EngineRow> builder)
    {
        builder.HasIndex(e => e.NameKey).IsUnique();
        builder.HasIndex(e => e.EngineTypeId);
        builder.Property(e => e.Version).IsConcurrencyToken();
        builder.HasMany(e => e.MeterReadings).WithOne().HasForeignKey(m => m.EngineId).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne(e => e.Machine).WithMany().HasForeignKey(e => e.MachineId).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne(e => e.EngineType).WithMany().HasForeignKey(e => e.EngineTypeId).OnDelete(DeleteBehavior.Restrict);
        builder.ToTable(t => t.HasCheckConstraint("CK_Engines_Duty", "DutyHoursPerDay >= 0 AND DutyHoursPerDay <= 24"));
    }
}

internal sealed class MeterReadingConfiguration : IEntityTypeConfiguration<MeterReadingRow>
{
    public void Configure(EntityTypeBuilder<MeterReadingRow> builder)
    {
        builder.HasKey(m => m.Sequence);
        builder.HasAlternateKey(m => m.Id);
        builder.HasIndex(m => new { m.EngineId, m.Date, m.Sequence });
        // One standing reading a visit, and each reading replaced once.
        builder.HasIndex(m => m.VisitId).IsUnique().HasFilter("VisitId IS NOT NULL AND Withdrawn = 0");
        builder.HasIndex(m => m.ReplacesId).IsUnique();
        builder.HasOne<PersonRow>().WithMany().HasForeignKey(m => m.PersonId).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<VisitRow>().WithMany().HasForeignKey(m => m.VisitId).HasPrincipalKey(v => v.Id).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<MeterReadingRow>().WithOne().HasForeignKey<MeterReadingRow>(m => m.ReplacesId).HasPrincipalKey<MeterReadingRow>(m => m.Id).OnDelete(DeleteBehavior.Restrict);
        builder.ToTable(t =>
        {
            t.HasCheckConstraint("CK_MeterReadings_Hours", "ShownHours >= 0 AND ShownHours <= 1000000");
            t.HasCheckConstraint("CK_MeterReadings_NewMeter", "NewMeterShows IS NULL OR (NewMeterShows >= 0 AND NewMeterShows <= 1000000)");
        });
    }
}
