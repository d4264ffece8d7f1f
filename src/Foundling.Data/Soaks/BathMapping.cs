using System.Text.Json;
using Foundling.Core.Keys;
using Foundling.Core.Baths;
using Foundling.Core.Soaks;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;

namespace Foundling.Data.Soaks;

/// <summary>Baths and what happened to them. What an event says beyond its kind is one document.</summary>
internal sealed class BathMapping : IEntityTypeConfiguration<StandingBath>, IEntityTypeConfiguration<BathEvent>
{
    public void Configure(EntityTypeBuilder<StandingBath> bath)
    {
        bath.ToTable("Baths");
        bath.HasKey(b => b.Number);
        bath.Property(b => b.Number).ValueGeneratedNever();
        bath.Property(b => b.Version).IsConcurrencyToken();
        bath.Property(b => b.Container).HasConversion(v => JsonSerializer.Serialize(v, OpenJson.Options),
            v => JsonSerializer.Deserialize<Container>(v, OpenJson.Options)!);
        bath.Ignore(b => b.IsAcid);
        bath.HasIndex(b => b.PouredAt);
        bath.HasMany(b => b.Events).WithOne().HasForeignKey("BathNumber").OnDelete(DeleteBehavior.Cascade);
    }

    public void Configure(EntityTypeBuilder<BathEvent> happened)
    {
        happened.ToTable("BathEvents");
        happened.HasKey(e => e.Id);
        happened.Property(e => e.Id).ValueGeneratedNever();
        happened.Property(e => e.Note).HasConversion(v => JsonSerializer.Serialize(v, OpenJson.Options),
            v => JsonSerializer.Deserialize<BathNote>(v, OpenJson.Options)!);
        happened.HasIndex("BathNumber");
    }
}
