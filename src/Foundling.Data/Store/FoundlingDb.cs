using Foundling.Core.Shelves;
using Foundling.Data.Kinds;
using System.Text.Json;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Safety;
using Foundling.Core.Soaks;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Origin;
using Foundling.Data.Shop;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.ChangeTracking;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using Microsoft.EntityFrameworkCore.Storage;
using Microsoft.EntityFrameworkCore.Storage.ValueConversion;

namespace Foundling.Data.Store;

/// <summary>The shop's database: one SQLite file, one aggregate per tag.</summary>
public sealed class FoundlingDb(DbContextOptions<FoundlingDb> options) : DbContext(options)
{
    private bool _held;

    /// <summary>Tags.</summary>
    public DbSet<Tag> Tags => Set<Tag>();

    /// <summary>Lots.</summary>
    public DbSet<Lot> Lots => Set<Lot>();

    /// <summary>Parts without a tool.</summary>
    public DbSet<OrphanPart> OrphanParts => Set<OrphanPart>();

    /// <summary>Kinds of tool of the shop's own.</summary>
    public DbSet<ShopKind> Kinds => Set<ShopKind>();

    /// <summary>What the shop has said of its kit and materials.</summary>
    public DbSet<StoreItem> StoreItems => Set<StoreItem>();

    /// <summary>Each change of how much there is of something in the stores.</summary>
    public DbSet<StoreMove> StoreMoves => Set<StoreMove>();

    /// <summary>Baths that were mixed.</summary>
    public DbSet<StandingBath> Baths => Set<StandingBath>();

    /// <summary>The shop's settings, one row.</summary>
    public DbSet<ShopSettings> Shop => Set<ShopSettings>();

    /// <summary>The running clock, at most one row.</summary>
    public DbSet<RunningClock> Clock => Set<RunningClock>();

    /// <summary>The pattern book as it stood after each change.</summary>
    public DbSet<BookVersion> BookVersions => Set<BookVersion>();

    /// <summary>Forms already taken, so that a double click counts once.</summary>
    public DbSet<TakenForm> TakenForms => Set<TakenForm>();

    /// <summary>
    /// From now on the first write begins a transaction, which stays open for the one who called this to end. What is read
    /// and reckoned before the first write holds nobody up.
    /// </summary>
    public void HoldWrites() => _held = true;

    /// <summary>
    /// A stretch that reads, decides and writes with nobody else writing meanwhile: joins the transaction that is open, or
    /// begins one. Keep it short.
    /// </summary>
    public async Task<Writing> Write(CancellationToken cancel = default) =>
        Database.CurrentTransaction is not null ? new Writing(null)
        : await Database.BeginTransactionAsync(cancel).ConfigureAwait(false) is var begun && _held ? new Writing(null) : new Writing(begun);

    /// <summary>
    /// Begins the transaction of the first write now, where writes are held, so that what is read to be changed is changed by nobody else
    /// meanwhile.
    /// </summary>
    public async Task BeginWriting(CancellationToken cancel = default)
    {
        if (_held && Database.CurrentTransaction is null)
        {
            await Database.BeginTransactionAsync(cancel).ConfigureAwait(false);
        }
    }

    /// <inheritdoc />
    public override async Task<int> SaveChangesAsync(bool acceptAllChangesOnSuccess, CancellationToken cancellationToken = default)
    {
        if (ChangeTracker.HasChanges())
        {
            await BeginWriting(cancellationToken).ConfigureAwait(false);
        }
        return await base.SaveChangesAsync(acceptAllChangesOnSuccess, cancellationToken).ConfigureAwait(false);
    }

    /// <inheritdoc />
    protected override void ConfigureConventions(ModelConfigurationBuilder configurationBuilder)
    {
        // SQLite cannot order offsets, so moments are kept as UTC ticks.
        configurationBuilder.Properties<DateTimeOffset>().HaveConversion<UtcTicks>();
        configurationBuilder.Properties<Enum>().HaveConversion<string>();
        configurationBuilder.Properties<PartId>().HaveConversion<IdText<PartDef>>();
        configurationBuilder.Properties<MeasureId>().HaveConversion<IdText<MeasureKind>>();
        configurationBuilder.Properties<KindId>().HaveConversion<IdText<ToolKind>>();
        configurationBuilder.Properties<SupplyId>().HaveConversion<IdText<Supply>>();
        configurationBuilder.Properties<DeedId>().HaveConversion<DeedText>();
    }

    /// <inheritdoc />
    protected override void OnModelCreating(ModelBuilder modelBuilder) => modelBuilder.ApplyConfigurationsFromAssembly(typeof(FoundlingDb).Assembly);

    internal sealed class IdText<T>() : ValueConverter<Id<T>, string>(v => v.Value, v => new Id<T>(v));

    internal sealed class DeedText() : ValueConverter<DeedId, string>(v => v.ToString(), v => DeedId.Read(v));

    /// <summary>Keys of an enum as they are written, so that renaming a step in code renames nothing in a shop.</summary>
    internal sealed class KeyOf<T>() : ValueConverter<T, string>(v => KeyText.Of(v, '-'), v => KeyText.Read<T>(v, '-')!.Value)
        where T : struct, Enum;

    private sealed class UtcTicks() : ValueConverter<DateTimeOffset, long>(v => v.UtcTicks, v => new DateTimeOffset(v, TimeSpan.Zero));
}

/// <summary>A stretch of writing; without <see cref="Done"/> nothing of it is kept.</summary>
public sealed class Writing(IDbContextTransaction? own) : IAsyncDisposable
{
    /// <summary>Keeps what was written; where a larger transaction is open, that one keeps it.</summary>
    public Task Done(CancellationToken cancel = default) => own?.CommitAsync(cancel) ?? Task.CompletedTask;

    /// <inheritdoc />
    public ValueTask DisposeAsync() => own?.DisposeAsync() ?? ValueTask.CompletedTask;
}

internal sealed class TagMapping : IEntityTypeConfiguration<Tag>
{
    public void Configure(EntityTypeBuilder<Tag> tag)
    {
        tag.HasKey(t => t.Number);
        tag.Property(t => t.Number).ValueGeneratedNever();
        tag.Property(t => t.Version).IsConcurrencyToken();
        tag.HasIndex(t => t.Status);
        tag.HasMany(t => t.Looks).WithOne().HasForeignKey("TagNumber").OnDelete(DeleteBehavior.Cascade);
        tag.HasMany(t => t.Aside).WithOne().HasForeignKey("TagNumber").OnDelete(DeleteBehavior.Cascade);
        tag.HasMany(t => t.Findings).WithOne().HasForeignKey("TagNumber").OnDelete(DeleteBehavior.Cascade);
        tag.HasMany(t => t.Measurements).WithOne().HasForeignKey("TagNumber").OnDelete(DeleteBehavior.Cascade);
        tag.HasMany(t => t.Counts).WithOne().HasForeignKey("TagNumber").OnDelete(DeleteBehavior.Cascade);
        tag.HasMany(t => t.Pictures).WithOne().HasForeignKey("TagNumber").OnDelete(DeleteBehavior.Cascade);
        tag.HasMany(t => t.Log).WithOne().HasForeignKey("TagNumber").OnDelete(DeleteBehavior.Cascade);
        tag.HasMany(t => t.Proofs).WithOne().HasForeignKey("TagNumber").OnDelete(DeleteBehavior.Cascade);
        tag.HasMany(t => t.Waits).WithOne().HasForeignKey("TagNumber").OnDelete(DeleteBehavior.Cascade);
        tag.HasMany(t => t.Surveys).WithOne().HasForeignKey("TagNumber").OnDelete(DeleteBehavior.Cascade);
        tag.HasMany(t => t.Rubs).WithOne().HasForeignKey("TagNumber").OnDelete(DeleteBehavior.Cascade);
        tag.Ignore(t => t.RubsNow);
        tag.HasMany(t => t.Marks).WithOne().HasForeignKey("TagNumber").OnDelete(DeleteBehavior.Cascade);
        tag.Ignore(t => t.Plan);
        // A tool just as its kind is keeps nothing, so a shop from before needs no filling in.
        tag.Property(t => t.Built).HasConversion(
            v => v.IsAsMade ? "" : JsonSerializer.Serialize(v, OpenJson.Options),
            v => v.Length == 0 ? ToolBuild.AsMade : JsonSerializer.Deserialize<ToolBuild>(v, OpenJson.Options)!).HasDefaultValueSql("''");
        tag.Ignore(t => t.Steps);
        tag.PrimitiveCollection(t => t.SeenCautions).ElementType(e => e.HasConversion<FoundlingDb.KeyOf<CautionId>>());
    }
}

/// <summary>Children carry keys made where they are made, so that a bundle keeps them.</summary>
internal sealed class ChildMapping :
    IEntityTypeConfiguration<Look>, IEntityTypeConfiguration<LookAside>, IEntityTypeConfiguration<CountRecord>, IEntityTypeConfiguration<Measurement>,
        IEntityTypeConfiguration<Finding>, IEntityTypeConfiguration<Picture>, IEntityTypeConfiguration<BenchEvent>,
    IEntityTypeConfiguration<ProofRecord>, IEntityTypeConfiguration<Wait>, IEntityTypeConfiguration<SoleRecord>,
    IEntityTypeConfiguration<RubRecord>
{
    public void Configure(EntityTypeBuilder<Look> child) => Map(child, "Looks");

    public void Configure(EntityTypeBuilder<LookAside> child) => Map(child, "LooksAside");

    public void Configure(EntityTypeBuilder<CountRecord> child)
    {
        Map(child, "Counts");
        child.Property(c => c.OutlinePx).HasConversion(ToJson, FromJson, Same);
        child.Property(c => c.ReferencePx).HasConversion(ToJson, FromJson, Same);
    }

    public void Configure(EntityTypeBuilder<Measurement> child) => Map(child, "Measurements");

    public void Configure(EntityTypeBuilder<Finding> child) => Map(child, "Findings");

    public void Configure(EntityTypeBuilder<Picture> child) => Map(child, "Pictures");

    public void Configure(EntityTypeBuilder<BenchEvent> child)
    {
        Map(child, "Events");
        child.Property<int?>("TagNumber");
        child.HasIndex("TagNumber", nameof(BenchEvent.At));
        // The latest times a step was finished anywhere, for the shop's pace.
        child.HasIndex(nameof(BenchEvent.Step), nameof(BenchEvent.Kind), nameof(BenchEvent.At));
    }

    public void Configure(EntityTypeBuilder<ProofRecord> child) => Map(child, "Proofs");

    public void Configure(EntityTypeBuilder<Wait> child)
    {
        Map(child, "Waits");
        child.PrimitiveCollection(w => w.EndedBy).ElementType(e => e.HasConversion<FoundlingDb.KeyOf<StepKey>>());
        // Few waits are open at once, so whoever asks for those reads a handful of rows.
        child.HasIndex(w => w.ReadyAt).HasFilter("\"EndedAt\" IS NULL");
    }

    public void Configure(EntityTypeBuilder<SoleRecord> child)
    {
        Map(child, "Surveys");
        child.Property(s => s.Face).HasDefaultValueSql($"'{FlatFaces.Sole}'");
        child.Property(s => s.Input).HasConversion(
            v => JsonSerializer.Serialize(v, OpenJson.Options),
            v => JsonSerializer.Deserialize<GridSurveyInput>(v, OpenJson.Options)!);
    }

    public void Configure(EntityTypeBuilder<RubRecord> child)
    {
        Map(child, "Rubs");
        child.Property(r => r.Plate).HasConversion<string>();
        child.Property(r => r.Likely).HasConversion<string>();
        child.Property(r => r.Seen).HasConversion(
            v => JsonSerializer.Serialize(v, OpenJson.Options),
            v => JsonSerializer.Deserialize<MarksSeen>(v, OpenJson.Options)!);
    }

    private static readonly System.Linq.Expressions.Expression<Func<List<double[]>, string>> ToJson = v => JsonSerializer.Serialize(v, OpenJson.Options);

    private static readonly System.Linq.Expressions.Expression<Func<string, List<double[]>>> FromJson = v => JsonSerializer.Deserialize<List<double[]>>(v,
        OpenJson.Options)!;

    private static readonly ValueComparer<List<double[]>> Same = new(
        (a, b) => ReferenceEquals(a, b) || JsonSerializer.Serialize(a, OpenJson.Options) == JsonSerializer.Serialize(b, OpenJson.Options), v => v.Count,
            v => v.Select(p => (double[])p.Clone()).ToList());

    private static void Map<T>(EntityTypeBuilder<T> child, string table)
        where T : class
    {
        child.ToTable(table);
        child.HasKey("Id");
        child.Property("Id").ValueGeneratedNever();
    }
}

internal sealed class MarkMapping : IEntityTypeConfiguration<StepMark>
{
    public void Configure(EntityTypeBuilder<StepMark> mark)
    {
        mark.ToTable("StepMarks");
        mark.Property<int>("TagNumber");
        mark.HasKey("TagNumber", nameof(StepMark.Deed));
        mark.PrimitiveCollection(m => m.Without).ElementType(e => e.HasConversion<FoundlingDb.IdText<Supply>>()).HasDefaultValueSql("'[]'");
    }
}

internal sealed class SmallTables : IEntityTypeConfiguration<ShopKind>, IEntityTypeConfiguration<TakenForm>,
    IEntityTypeConfiguration<RunningClock>, IEntityTypeConfiguration<ShopSettings>
{
    public void Configure(EntityTypeBuilder<ShopKind> kind)
    {
        kind.ToTable("Kinds");
        kind.HasKey(k => k.Kind);
        kind.Property(k => k.Kind).ValueGeneratedNever();
    }

    public void Configure(EntityTypeBuilder<TakenForm> form) => form.HasKey(f => f.Key);

    public void Configure(EntityTypeBuilder<RunningClock> clock) => clock.Property(c => c.Id).ValueGeneratedNever();

    public void Configure(EntityTypeBuilder<ShopSettings> shop)
    {
        shop.Property(s => s.Id).ValueGeneratedNever();
        shop.Property(s => s.Thermometer).HasDefaultValueSql("''");
        shop.Property(s => s.Indicator).HasDefaultValueSql("''");
        shop.Property(s => s.IndicatorUnit).HasConversion<string>().HasDefaultValueSql("'Millimetres'").HasSentinel((Core.Units.BareUnit)(-1));
        shop.Property(s => s.IndicatorTurned).HasDefaultValue(false);
    }
}
