using Foundling.Core;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;

namespace Foundling.Data.Stores;

/// <summary>A part without a tool.</summary>
public sealed class OrphanPart
{
    /// <summary>Key.</summary>
    public int Id { get; set; }

    /// <summary>Kind of tool it is of.</summary>
    public KindId Kind { get; set; }

    /// <summary>Which part.</summary>
    public PartId Part { get; set; }

    /// <summary>Tag it came off; null for one that came alone.</summary>
    public int? FromTag { get; set; }

    /// <summary>What else is known: maker, size, thread.</summary>
    public string Note { get; set; } = "";

    /// <summary>When it came into the box.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>Tag it went to; null while it is in the box.</summary>
    public int? UsedOn { get; set; }

    /// <summary>True for a part of another tool of the same kind.</summary>
    /// <param name="tag">The tool it may go to.</param>
    public bool Suits(Tag tag) => Kind == tag.Kind && FromTag != tag.Number;
}

/// <summary>The box of parts without a tool.</summary>
public sealed class PartsBox(FoundlingDb db, TimeProvider time)
{
    /// <summary>What is in the box, newest first.</summary>
    public Task<List<OrphanPart>> InBox(CancellationToken cancel = default) =>
        db.OrphanParts.AsNoTracking().Where(p => p.UsedOn == null).OrderByDescending(p => p.Id).ToListAsync(cancel);

    /// <summary>Parts in the box that a tool lacks: of its kind, not off the tool itself.</summary>
    public async Task<IReadOnlyList<OrphanPart>> For(Tag tag, CancellationToken cancel = default)
    {
        PartId[] lacking = [.. tag.Standing().Where(f => f.Kind == FindingKind.Missing && f.Severity > 0).Select(f => f.Part)];
        return lacking.Length == 0 ? [] : [.. (await db.OrphanParts.AsNoTracking().Where(p => p.UsedOn == null && p.Kind == tag.Kind
            && lacking.Contains(p.Part)).ToListAsync(cancel).ConfigureAwait(false)).Where(p => p.Suits(tag))];
    }

    /// <summary>Puts a part into the box.</summary>
    /// <exception cref="InputException">No such kind or part.</exception>
    public async Task Add(string? kind, string? part, string? note, CancellationToken cancel = default)
    {
        ToolKind tool = ToolCatalogue.Kind(KindId.Of(kind));
        PartDef known = tool.Part(PartId.Of(part)) ?? throw new InputException("unknown_part", "part", part, string.Join(", ", tool.Parts.Select(p => p.Id)),
            $"A {tool.Name.ToLowerInvariant()} has no part \"{part}\".");
        db.OrphanParts.Add(new OrphanPart { Kind = tool.Id, Part = known.Id, Note = (note ?? "").Trim() is { Length: > 300 } longer ? longer[..300]
            : (note ?? "").Trim(), At = time.GetUtcNow() });
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
    }

    /// <summary>Puts parts of a tool into the box; those that are in it already stay one.</summary>
    /// <returns>How many were new.</returns>
    public async Task<int> Save(Tag tag, IEnumerable<PartId> parts, CancellationToken cancel = default)
    {
        List<PartId> there = await db.OrphanParts.Where(p => p.FromTag == tag.Number).Select(p => p.Part).ToListAsync(cancel).ConfigureAwait(false);
        List<OrphanPart> added = [.. parts.Distinct().Where(p => !there.Contains(p) && tag.Tool().Part(p) is not null).Select(p =>
            new OrphanPart { Kind = tag.Kind, Part = p, FromTag = tag.Number, Note = tag.Title, At = time.GetUtcNow() })];
        db.OrphanParts.AddRange(added);
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        return added.Count;
    }

    /// <summary>Takes a part out of the box for a tool.</summary>
    /// <exception cref="InputException">It is not in the box, or there is no such tag.</exception>
    public async Task Use(int id, int tag, CancellationToken cancel = default)
    {
        OrphanPart? part = await db.OrphanParts.FirstOrDefaultAsync(p => p.Id == id && p.UsedOn == null, cancel).ConfigureAwait(false);
        if (part is null || !await db.Tags.AnyAsync(t => t.Number == tag, cancel).ConfigureAwait(false))
        {
            throw new InputException("not_in_the_box", "part", id, "a part in the box and a tag of this shop", part is null
                ? "That part is not in the box any more." : $"There is no tag {Tag.LabelOf(tag)}.");
        }
        part.UsedOn = tag;
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
    }
}

internal sealed class OrphanPartMapping : IEntityTypeConfiguration<OrphanPart>
{
    public void Configure(EntityTypeBuilder<OrphanPart> part) => part.HasIndex(p => new { p.Kind, p.Part });
}
