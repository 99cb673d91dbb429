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
    }
}
