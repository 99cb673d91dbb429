using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Configurations;

internal sealed class ReadingConfiguration : IEntityTypeConfiguration<ReadingRow>
{
    public void Configure(EntityTypeBuilder<ReadingRow> builder)
    {
        builder.HasKey(r => new { r.VisitKey, r.Point, r.Stage });
        builder.HasIndex(r => new { r.EngineId, r.Point });
        builder.Property(r => r.Stage).HasConversion<int>();
        builder.HasOne<VisitRow>().WithMany(v => v.Readings).HasForeignKey(r => r.VisitKey).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<EngineRow>().WithMany().HasForeignKey(r => r.EngineId).OnDelete(DeleteBehavior.Restrict);
        builder.ToTable(t => t.HasCheckConstraint("CK_Readings_Gap", "(LowerMm IS NULL OR LowerMm >= 0) AND (UpperMm IS NULL OR LowerMm IS NULL OR UpperMm >= LowerMm)"));
    }
}

internal sealed class VisitInstrumentConfiguration : IEntityTypeConfiguration<VisitInstrumentRow>
{
    public void Configure(EntityTypeBuilder<VisitInstrumentRow> builder)
    {
        builder.HasKey(i => new { i.VisitKey, i.NameKey });
        builder.HasIndex(i => i.NameKey);
        builder.HasOne<VisitRow>().WithMany(v => v.Instruments).HasForeignKey(i => i.VisitKey).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class SameGapConfiguration : IEntityTypeConfiguration<SameGapRow>
{
    public void Configure(EntityTypeBuilder<SameGapRow> builder)
    {
        builder.HasKey(r => new { r.VisitKey, r.Gap, r.Reading });
        builder.HasOne<VisitRow>().WithMany().HasForeignKey(r => r.VisitKey).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class LockPairConfiguration : IEntityTypeConfiguration<LockPairRow>
{
    public void Configure(EntityTypeBuilder<LockPairRow> builder)
    {
        builder.HasKey(r => new { r.VisitKey, r.Point, r.Lock });
        builder.HasOne<VisitRow>().WithMany().HasForeignKey(r => r.VisitKey).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class OutlookConfiguration : IEntityTypeConfiguration<OutlookRow>
{
    public void Configure(EntityTypeBuilder<OutlookRow> builder)
    {
        builder.HasKey(o => o.EngineId);
        builder.HasIndex(o => o.EngineTypeId);
        builder.HasOne<EngineRow>().WithOne().HasForeignKey<OutlookRow>(o => o.EngineId).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<EngineTypeRow>().WithMany().HasForeignKey(o => o.EngineTypeId).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class TypeFitConfiguration : IEntityTypeConfiguration<TypeFitRow>
{
    public void Configure(EntityTypeBuilder<TypeFitRow> builder)
    {
        builder.HasKey(f => f.EngineTypeId);
        builder.HasOne<EngineTypeRow>().WithOne().HasForeignKey<TypeFitRow>(f => f.EngineTypeId).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class MarkConfiguration : IEntityTypeConfiguration<MarkRow>
{
    public void Configure(EntityTypeBuilder<MarkRow> builder)
    {
        builder.HasKey(m => new { m.VisitKey, m.Name });
        builder.HasIndex(m => m.EngineId);
        builder.HasOne<VisitRow>().WithMany().HasForeignKey(m => m.VisitKey).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<EngineRow>().WithMany().HasForeignKey(m => m.EngineId).OnDelete(DeleteBehavior.Restrict);
        builder.ToTable(t => t.HasCheckConstraint("CK_Marks_Crank", "CrankDeg >= -7200 AND CrankDeg <= 7200"));
    }
}
