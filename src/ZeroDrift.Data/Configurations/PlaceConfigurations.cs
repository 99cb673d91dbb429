using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Configurations;

internal sealed class FeelCheckConfiguration : IEntityTypeConfiguration<FeelCheckRow>
{
    public void Configure(EntityTypeBuilder<FeelCheckRow> builder)
    {
        builder.HasKey(c => c.Id);
        builder.HasIndex(c => c.PersonId);
        builder.HasOne<PersonRow>().WithMany().HasForeignKey(c => c.PersonId).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class SiteConfiguration : IEntityTypeConfiguration<SiteRow>
{
    public void Configure(EntityTypeBuilder<SiteRow> builder)
    {
        builder.HasIndex(s => s.NameKey).IsUnique();
        builder.Property(s => s.Version).IsConcurrencyToken();
    }
}

internal sealed class MachineConfiguration : IEntityTypeConfiguration<MachineRow>
{
    public void Configure(EntityTypeBuilder<MachineRow> builder)
    {
        builder.HasIndex(m => m.NameKey).IsUnique();
        builder.Property(m => m.Version).IsConcurrencyToken();
        builder.HasOne(m => m.Site).WithMany().HasForeignKey(m => m.SiteId).OnDelete(DeleteBehavior.Restrict);
    }
}

internal sealed class PersonConfiguration : IEntityTypeConfiguration<PersonRow>
{
    public void Configure(EntityTypeBuilder<PersonRow> builder) => builder.HasIndex(p => p.NameKey).IsUnique();
}

internal sealed class InstrumentConfiguration : IEntityTypeConfiguration<InstrumentRow>
{
    public void Configure(EntityTypeBuilder<InstrumentRow> builder)
    {
        builder.HasIndex(i => i.NameKey).IsUnique();
        builder.Property(i => i.Version).IsConcurrencyToken();
        builder.Ignore(i => i.Check);
    }
}

internal sealed class ChangeConfiguration : IEntityTypeConfiguration<ChangeRow>
{
    public void Configure(EntityTypeBuilder<ChangeRow> builder) => builder.HasIndex(c => new { c.SubjectId, c.Id });
}
