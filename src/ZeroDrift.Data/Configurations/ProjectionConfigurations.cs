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
    }
}

internal sealed class TypeFitConfiguration : IEntityTypeConfiguration<TypeFitRow>
{
    public void Configure(EntityTypeBuilder<TypeFitRow> builder) => builder.HasKey(f => f.EngineTypeId);
}

internal sealed class MarkConfiguration : IEntityTypeConfiguration<MarkRow>
{
    public void Configure(EntityTypeBuilder<MarkRow> builder) => builder.HasKey(m => new { m.EngineId, m.Name });
}
