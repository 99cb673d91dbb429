using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Configurations;

internal sealed class ShimDrawerConfiguration : IEntityTypeConfiguration<ShimDrawerRow>
{
    public void Configure(EntityTypeBuilder<ShimDrawerRow> builder)
    {
        builder.HasIndex(d => d.NameKey).IsUnique();
        builder.HasOne(d => d.Site).WithMany().HasForeignKey(d => d.SiteId).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class ShimMovementConfiguration : IEntityTypeConfiguration<ShimMovementRow>
{
    public void Configure(EntityTypeBuilder<ShimMovementRow> builder)
    {
        builder.HasKey(m => m.Key);
        builder.HasIndex(m => new { m.DrawerId, m.Access, m.SizeMm });
        builder.HasIndex(m => m.ActId);
        builder.HasOne<ShimDrawerRow>().WithMany().HasForeignKey(m => m.DrawerId).OnDelete(DeleteBehavior.Restrict);
        builder.ToTable(t => t.HasCheckConstraint("CK_ShimMovements_Size", "SizeMm > 0"));
    }
}

internal sealed class ShimJobConfiguration : IEntityTypeConfiguration<ShimJobRow>
{
    public void Configure(EntityTypeBuilder<ShimJobRow> builder)
    {
        builder.HasOne<SiteRow>().WithMany().HasForeignKey(j => j.SiteId).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<ShimDrawerRow>().WithMany().HasForeignKey(j => j.DrawerId).OnDelete(DeleteBehavior.Restrict);
        builder.HasMany(j => j.Places).WithOne().HasForeignKey(p => p.JobId).OnDelete(DeleteBehavior.Restrict);
        builder.HasMany(j => j.Events).WithOne().HasForeignKey(e => e.JobId).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class ShimPlaceConfiguration : IEntityTypeConfiguration<ShimPlaceRow>
{
    public void Configure(EntityTypeBuilder<ShimPlaceRow> builder)
    {
        builder.HasKey(p => new { p.JobId, p.VisitId, p.Point });
        builder.HasOne<VisitRow>().WithMany().HasForeignKey(p => p.VisitId).HasPrincipalKey(v => v.Id).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<VisitRow>().WithMany().HasForeignKey(p => p.FromVisitId).HasPrincipalKey(v => v.Id).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<ShimDrawerRow>().WithMany().HasForeignKey(p => p.DrawerId).OnDelete(DeleteBehavior.Restrict);
        builder.ToTable(t => t.HasCheckConstraint("CK_ShimPlaces_Sizes", "OldMm > 0 AND NewMm > 0"));
    }
}

internal sealed class ShimJobEventConfiguration : IEntityTypeConfiguration<ShimJobEventRow>
{
    public void Configure(EntityTypeBuilder<ShimJobEventRow> builder)
    {
        builder.HasKey(e => e.Key);
        builder.HasIndex(e => e.ActId).IsUnique();
        builder.HasOne<VisitRow>().WithMany().HasForeignKey(e => e.VisitId).HasPrincipalKey(v => v.Id).OnDelete(DeleteBehavior.Restrict);
    }
}
