using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Configurations;

internal sealed class VisitConfiguration : IEntityTypeConfiguration<VisitRow>
{
    public void Configure(EntityTypeBuilder<VisitRow> builder)
    {
        builder.HasKey(v => v.Key);
        builder.Property(v => v.Key).ValueGeneratedOnAdd();
        builder.HasAlternateKey(v => v.Id);
        builder.HasIndex(v => v.ImportKey).IsUnique();
        builder.HasIndex(v => new { v.EngineId, v.TotalHours });
        // One open visit an engine.
        builder.HasIndex(v => v.EngineId).IsUnique().HasFilter("State = 'Open'").HasDatabaseName("IX_Visits_Open");
        builder.HasOne(v => v.Engine).WithMany().HasForeignKey(v => v.EngineId).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<ContextRow>().WithMany().HasForeignKey(v => v.ContextId).OnDelete(DeleteBehavior.Restrict);
        builder.ToTable(t => t.HasCheckConstraint("CK_Visits_Hours", "ShownHours IS NULL OR (ShownHours >= 0 AND ShownHours <= 1000000)"));
    }
}

internal sealed class EntryConfiguration : IEntityTypeConfiguration<EntryRow>
{
    public void Configure(EntityTypeBuilder<EntryRow> builder)
    {
        builder.HasKey(e => new { e.VisitKey, e.Sequence });
        builder.HasIndex(e => new { e.VisitKey, e.Id }).IsUnique();
        builder.HasOne<VisitRow>().WithMany().HasForeignKey(e => e.VisitKey).OnDelete(DeleteBehavior.Restrict);
        builder.ToTable(t => t.HasCheckConstraint("CK_Entries_Sequence", "Sequence >= 1"));
    }
}

internal sealed class RefusedEntryConfiguration : IEntityTypeConfiguration<RefusedEntryRow>
{
    public void Configure(EntityTypeBuilder<RefusedEntryRow> builder) => builder.HasKey(e => new { e.VisitId, e.Id });
}

internal sealed class ContextConfiguration : IEntityTypeConfiguration<ContextRow>
{
    public void Configure(EntityTypeBuilder<ContextRow> builder)
    {
        builder.HasIndex(c => c.EngineId);
        builder.HasOne<EngineRow>().WithMany().HasForeignKey(c => c.EngineId).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class BlobConfiguration : IEntityTypeConfiguration<BlobRow>
{
    public void Configure(EntityTypeBuilder<BlobRow> builder) => builder.HasKey(b => b.Hash);
}
