using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Configurations;

internal sealed class EngineTypeConfiguration : IEntityTypeConfiguration<EngineTypeRow>
{
    public void Configure(EntityTypeBuilder<EngineTypeRow> builder)
    {
        builder.HasIndex(t => t.NameKey).IsUnique();
        builder.Property(t => t.Version).IsConcurrencyToken();
        builder.ComplexProperty(t => t.Facts, facts =>
        {
            // Words that came later: what a type of before says.
            facts.Property(f => f.Order).HasDefaultValue(PointOrder.ByCylinder);
            facts.Property(f => f.Judging).HasDefaultValue(JudgingSchool.Window);
            facts.Property(f => f.Manner).HasDefaultValue(SettingManner.BladeOut);
            facts.Property(f => f.Measuring).HasDefaultValue(MeasuringMeans.Blades);
            facts.Property(f => f.Letters).HasDefaultValue(BookLetters.IntakeExhaust);
            // Each fact is a column of the type's own.
            foreach (var fact in facts.Metadata.ComplexType.GetProperties().ToList()) fact.SetColumnName(fact.Name);
        });
        builder.OwnsOne(t => t.Timing);
        builder.OwnsOne(t => t.Uniflow);
        builder.OwnsMany(t => t.ByKind, kinds => kinds.ToJson());
        builder.OwnsMany(t => t.Steps, steps => steps.ToJson());
        builder.OwnsMany(t => t.Fasteners, fasteners => fasteners.ToJson());
        builder.OwnsMany(t => t.Gaskets, gaskets => gaskets.ToJson());
        builder.OwnsMany(t => t.BookStops, stops => stops.ToJson());
        builder.HasMany(t => t.Points).WithOne().HasForeignKey(p => p.EngineTypeId).OnDelete(DeleteBehavior.Restrict);
        builder.HasMany(t => t.Revisions).WithOne().HasForeignKey(r => r.EngineTypeId).OnDelete(DeleteBehavior.Restrict);
        builder.ToTable(t => t.HasCheckConstraint("CK_EngineTypes_Pitch", "PitchMm IS NULL OR (PitchMm > 0 AND PitchMm <= 10)"));
    }
}

internal sealed class LashPointConfiguration : IEntityTypeConfiguration<LashPointRow>
{
    public void Configure(EntityTypeBuilder<LashPointRow> builder) => builder.HasIndex(p => new { p.EngineTypeId, p.Label }).IsUnique();
}

internal sealed class EngineFigureConfiguration : IEntityTypeConfiguration<EngineFigureRow>
{
    public void Configure(EntityTypeBuilder<EngineFigureRow> builder)
    {
        builder.HasOne<EngineRow>().WithMany().HasForeignKey(f => f.EngineId).OnDelete(DeleteBehavior.Restrict);
        builder.OwnsOne(f => f.Line, line => line.ToJson());
        builder.ToTable("EngineFigures");
    }
}

internal sealed class SpecRevisionConfiguration : IEntityTypeConfiguration<SpecRevisionRow>
{
    public void Configure(EntityTypeBuilder<SpecRevisionRow> builder)
    {
        builder.HasIndex(r => new { r.EngineTypeId, r.RevisionKey, r.Condition }).IsUnique();
        builder.OwnsMany(r => r.Lines, lines => lines.ToJson());
    }
}
