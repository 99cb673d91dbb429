using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Configurations;

internal sealed class HoursReportConfiguration : IEntityTypeConfiguration<HoursReportRow>
{
    public void Configure(EntityTypeBuilder<HoursReportRow> builder)
    {
        builder.HasKey(r => r.Id);
        builder.HasIndex(r => new { r.State, r.ReceivedAt });
        builder.HasOne<EngineRow>().WithMany().HasForeignKey(r => r.EngineId).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class CallConfiguration : IEntityTypeConfiguration<CallRow>
{
    public void Configure(EntityTypeBuilder<CallRow> builder)
    {
        builder.HasIndex(c => c.ClosedAt);
        builder.HasOne<EngineRow>().WithMany().HasForeignKey(c => c.EngineId).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<VisitRow>().WithMany().HasForeignKey(c => c.VisitId).HasPrincipalKey(v => v.Id).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class MachineAliasConfiguration : IEntityTypeConfiguration<MachineAliasRow>
{
    public void Configure(EntityTypeBuilder<MachineAliasRow> builder)
    {
        builder.HasKey(a => a.NameKey);
        builder.HasOne<EngineRow>().WithMany().HasForeignKey(a => a.EngineId).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class HoursFeedConfiguration : IEntityTypeConfiguration<HoursFeedRow>
{
    public void Configure(EntityTypeBuilder<HoursFeedRow> builder) => builder.Property(f => f.Id).ValueGeneratedNever();
}
