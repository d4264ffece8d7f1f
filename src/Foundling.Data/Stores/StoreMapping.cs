using Foundling.Core.Shelves;
using System.Text.Json;
using Foundling.Core.Keys;
using Foundling.Core.Stores;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;

namespace Foundling.Data.Stores;

/// <summary>What the shop keeps, and each change of how much there is.</summary>
internal sealed class StoreMapping : IEntityTypeConfiguration<StoreItem>, IEntityTypeConfiguration<StoreMove>
{
    public void Configure(EntityTypeBuilder<StoreItem> item)
    {
        item.HasKey(s => s.Item);
        item.Ignore(s => s.Supply);
        item.Ignore(s => s.IsOwn);
        item.Ignore(s => s.Standing);
        item.Property(s => s.Grain).HasConversion(v => v == null ? null : JsonSerializer.Serialize(v, OpenJson.Options),
            v => v == null ? null : JsonSerializer.Deserialize<Grain>(v, OpenJson.Options));
        item.Property(s => s.Place).HasDefaultValueSql("''");
        item.Property(s => s.Name).HasDefaultValueSql("''");
        item.Property(s => s.Unit).HasDefaultValueSql("''");
        item.Property(s => s.Price).HasDefaultValueSql("0");
    }

    public void Configure(EntityTypeBuilder<StoreMove> move)
    {
        move.HasKey(m => m.Id);
        move.Property(m => m.Id).ValueGeneratedNever();
        move.HasIndex(m => new { m.Item, m.At });
        move.HasIndex(m => new { m.Tag, m.Step });
        move.HasIndex(m => m.Bath);
    }
}
