using System.Collections.Concurrent;
using Foundling.Core.Aim;
using Foundling.Core.Rod;
using Foundling.Core.Tags;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;

namespace Foundling.Data.Tags;

/// <summary>A plan as the store keeps it: one document, never changed.</summary>
public sealed class PlanRow
{
    /// <summary>Key.</summary>
    public Guid Id { get; init; }

    /// <summary>Tag it is for.</summary>
    public int TagNumber { get; init; }

    /// <summary>Which of the tag's plans it is, from 1.</summary>
    public int Version { get; init; }

    /// <summary>When it was made.</summary>
    public DateTimeOffset At { get; init; }

    /// <summary>How far it goes.</summary>
    public AimKind Aim { get; init; }

    /// <summary>Why it was made.</summary>
    public string Why { get; init; } = "";

    /// <summary>The plan, as <see cref="PlanText"/> writes it.</summary>
    public string Document { get; init; } = "";

    /// <summary>The plan.</summary>
    public Plan Read() => PlanText.Read(Document) with { Id = Id, Version = Version };
}

/// <summary>Plans that were read lately. A plan never changes, so what is here is never stale.</summary>
public sealed class PlanCache
{
    private const int Most = 400;

    private readonly ConcurrentDictionary<Guid, Plan> _plans = new();

    /// <summary>A plan that was read before, or null.</summary>
    public Plan? Find(Guid id) => _plans.GetValueOrDefault(id);

    /// <summary>Keeps a plan for the next who asks.</summary>
    public Plan Keep(Plan plan)
    {
        if (_plans.Count >= Most)
        {
            _plans.Clear();
        }
        return plan.Id is Guid id ? _plans[id] = plan : plan;
    }
}

/// <summary>Reads and keeps plans.</summary>
public sealed class PlanShelf(FoundlingDb db, PlanCache cache, TimeProvider time)
{
    /// <summary>Puts their plans on tags.</summary>
    public async Task Fetch(IReadOnlyCollection<Tag> tags, CancellationToken cancel = default)
    {
        Guid[] unread = [.. tags.Select(t => t.PlanId).OfType<Guid>().Where(id => cache.Find(id) is null)];
        var read = unread.Length == 0 ? []
            : await db.Set<PlanRow>().AsNoTracking().Where(p => unread.Contains(p.Id)).ToDictionaryAsync(p => p.Id, p => cache.Keep(p.Read()), cancel)
                .ConfigureAwait(false);
        foreach (Tag tag in tags.Where(t => t.PlanId is not null))
        {
            tag.Plan = cache.Find(tag.PlanId!.Value) ?? read.GetValueOrDefault(tag.PlanId.Value);
        }
    }

    /// <summary>One deed of a tag's plan as it stands; null when there is none of that key.</summary>
    public async Task<Deed?> Deed(int tag, DeedId id, CancellationToken cancel = default)
    {
        Tag? found = await db.Tags.AsNoTracking().FirstOrDefaultAsync(t => t.Number == tag, cancel).ConfigureAwait(false);
        if (found is null)
        {
            return null;
        }
        await Fetch([found], cancel).ConfigureAwait(false);
        return found.Plan?.Find(id);
    }

    /// <summary>The plans of a tag before the one that stands, newest first.</summary>
    /// <param name="tag">The tag.</param>
    /// <param name="most">As many of them.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task<IReadOnlyList<PlanRow>> Earlier(Tag tag, int most, CancellationToken cancel = default) =>
        await db.Set<PlanRow>().AsNoTracking().Where(p => p.TagNumber == tag.Number && p.Id != tag.PlanId).OrderByDescending(p => p.Version).Take(most)
            .ToListAsync(cancel).ConfigureAwait(false);

    /// <summary>Adds the plan of a tag to what is kept when it is another than the one kept; it goes with the next saving.</summary>
    public async Task Keep(Tag tag, CancellationToken cancel = default)
    {
        if (tag.Plan is not { Id: null } plan)
        {
            return;
        }
        string document = PlanText.Write(plan);
        PlanRow? before = await db.Set<PlanRow>().AsNoTracking().Where(p => p.TagNumber == tag.Number).OrderByDescending(p => p.Version)
            .FirstOrDefaultAsync(cancel).ConfigureAwait(false);
        if (before is not null && before.Id == tag.PlanId && PlanText.Write(before.Read() with { Why = plan.Why }) == document)
        {
            tag.Plan = cache.Keep(before.Read());
            return;
        }
        DateTimeOffset now = time.GetUtcNow();
        var row = new PlanRow
        {
            Id = Guid.CreateVersion7(now), TagNumber = tag.Number, Version = (before?.Version ?? 0) + 1, At = now, Aim = plan.Aim, Why = plan.Why,
            Document = document,
        };
        db.Add(row);
        (tag.PlanId, tag.Plan) = (row.Id, plan with { Id = row.Id, Version = row.Version });
    }
}

internal sealed class PlanMapping : IEntityTypeConfiguration<PlanRow>
{
    public void Configure(EntityTypeBuilder<PlanRow> plan)
    {
        plan.ToTable("Plans");
        plan.HasKey(p => p.Id);
        plan.Property(p => p.Id).ValueGeneratedNever();
        plan.HasIndex(p => new { p.TagNumber, p.Version }).IsUnique();
        plan.HasOne<Tag>().WithMany().HasForeignKey(p => p.TagNumber).OnDelete(DeleteBehavior.Cascade);
    }
}
