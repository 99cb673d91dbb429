using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Configurations;

internal sealed class JobConfiguration : IEntityTypeConfiguration<JobRow>
{
    public void Configure(EntityTypeBuilder<JobRow> builder)
    {
        builder.HasIndex(j => j.State);
        builder.HasOne(j => j.Engine).WithMany().HasForeignKey(j => j.EngineId).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<JobRow>().WithMany().HasForeignKey(j => j.AfterJobId).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<VisitRow>().WithMany().HasForeignKey(j => j.VisitId).HasPrincipalKey(v => v.Id).OnDelete(DeleteBehavior.Restrict);
        builder.ToTable(t => t.HasCheckConstraint("CK_Jobs_Work", "Crew >= 1 AND AfterDays >= 0 AND (Hours IS NULL OR Hours > 0)"));
        builder.OwnsMany(j => j.Parts, parts => parts.ToJson());
        builder.Property(j => j.Version).IsConcurrencyToken();
    }
}

internal sealed class PlacementConfiguration : IEntityTypeConfiguration<PlacementRow>
{
    public void Configure(EntityTypeBuilder<PlacementRow> builder)
    {
        builder.HasKey(p => p.JobId);
        builder.HasOne<JobRow>().WithOne().HasForeignKey<PlacementRow>(p => p.JobId).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<PersonRow>().WithMany().HasForeignKey(p => p.PersonId).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<PersonRow>().WithMany().HasForeignKey(p => p.MateId).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class PlanVersionConfiguration : IEntityTypeConfiguration<PlanVersionRow>
{
    public void Configure(EntityTypeBuilder<PlanVersionRow> builder)
    {
        builder.HasKey(p => p.Number);
        builder.Property(p => p.Number).ValueGeneratedNever();
    }
}

internal sealed class AwayConfiguration : IEntityTypeConfiguration<AwayRow>
{
    public void Configure(EntityTypeBuilder<AwayRow> builder)
    {
        builder.HasOne<PersonRow>().WithMany().HasForeignKey(a => a.PersonId).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<MachineRow>().WithMany().HasForeignKey(a => a.MachineId).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class StandbyGroupConfiguration : IEntityTypeConfiguration<StandbyGroupRow>
{
    public void Configure(EntityTypeBuilder<StandbyGroupRow> builder) => builder.HasIndex(g => g.NameKey).IsUnique();
}

internal sealed class ToolConfiguration : IEntityTypeConfiguration<ToolRow>
{
    public void Configure(EntityTypeBuilder<ToolRow> builder) => builder.HasIndex(t => t.NameKey).IsUnique();
}

internal sealed class RoadConfiguration : IEntityTypeConfiguration<RoadRow>
{
    public void Configure(EntityTypeBuilder<RoadRow> builder)
    {
        builder.HasKey(r => new { r.FromId, r.ToId });
        builder.HasOne<SiteRow>().WithMany().HasForeignKey(r => r.FromId).OnDelete(DeleteBehavior.Restrict);
        builder.HasOne<SiteRow>().WithMany().HasForeignKey(r => r.ToId).OnDelete(DeleteBehavior.Restrict);
    }
}
