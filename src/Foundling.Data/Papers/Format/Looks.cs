using Foundling.Core.Origin;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Data.Papers.Format;

/// <summary>A look taken, or a mark read.</summary>
public sealed record LookItem : Item
{
    /// <summary>Key.</summary>
    public Guid Id { get; init; }

    /// <summary>Order of entry within the tag.</summary>
    public int Order { get; init; }

    /// <summary>Trait of the pattern book, or null for a mark.</summary>
    public string? Trait { get; init; }

    /// <summary>Variant seen.</summary>
    public string? Variant { get; init; }

    /// <summary>Part a mark stands on.</summary>
    public string? Part { get; init; }

    /// <summary>Kind of mark.</summary>
    public MarkKind? Mark { get; init; }

    /// <summary>The mark as read, in words.</summary>
    public string? Reading { get; init; }

    /// <summary>A tendency rather than a rule.</summary>
    public bool Soft { get; init; }

    /// <summary>How sure.</summary>
    public Confidence Confidence { get; init; }

    /// <summary>First year of a window.</summary>
    public int? NotBeforeYear { get; init; }

    /// <summary>Last year of a window.</summary>
    public int? NotAfterYear { get; init; }

    /// <summary>Year of grant.</summary>
    public int? IssueYear { get; init; }

    /// <summary>Year of filing of a patent applied for.</summary>
    public int? FilingYear { get; init; }

    /// <summary>Year an applied-for patent was granted.</summary>
    public int? GrantYear { get; init; }

    /// <summary>Picture of the tag that shows it.</summary>
    public Guid? PictureId { get; init; }

    /// <summary>When it was seen.</summary>
    public DateTimeOffset At { get; init; }
}

/// <summary>A look set aside.</summary>
public sealed record AsideItem : Item
{
    /// <summary>Key.</summary>
    public Guid Id { get; init; }

    /// <summary>Trait of the pattern book.</summary>
    public string Trait { get; init; } = "";

    /// <summary>Why.</summary>
    public AsideReason Reason { get; init; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; init; }
}

/// <summary>Something found on a part.</summary>
public sealed record FindingItem : Item
{
    /// <summary>Key.</summary>
    public Guid Id { get; init; }

    /// <summary>Part it is on.</summary>
    public PartId Part { get; init; }

    /// <summary>What is wrong.</summary>
    public FindingKind Kind { get; init; }

    /// <summary>How much, 0 to 4 on the written scale.</summary>
    public int Severity { get; init; }

    /// <summary>Where, and anything else.</summary>
    public string Note { get; init; } = "";

    /// <summary>When it was seen; a later look stands for the part in the place of an earlier one.</summary>
    public Round Round { get; init; }

    /// <summary>Place on the part, from PartDef); empty when it does not matter.</summary>
    public string Place { get; init; } = "";

    /// <summary>Picture of the tag that shows it.</summary>
    public Guid? PictureId { get; init; }

    /// <summary>Distance from the edge for pits and chips, mm.</summary>
    public double? FromEdgeMm { get; init; }

    /// <summary>Where it begins across the edge, from its left corner, back up and edge down, mm; none for across the whole width.</summary>
    public double? FromLeftMm { get; init; }

    /// <summary>Where it ends across the edge, mm; none for across the whole width.</summary>
    public double? ToLeftMm { get; init; }

    /// <summary>How deep a pit, chip or crack goes, mm.</summary>
    public double? DepthMm { get; init; }

    /// <summary>How long or wide it is, mm.</summary>
    public double? SizeMm { get; init; }

    /// <summary>What is still to be found out, where it could not be seen; the degree is a guess until then. Empty when nothing is.</summary>
    public string Doubt { get; init; } = "";

    /// <summary>A replacement is on order.</summary>
    public bool OnOrder { get; init; }

    /// <summary>When the replacement should come.</summary>
    public DateOnly? ArrivesOn { get; init; }

    /// <summary>Grid points that fell on it, where it was counted.</summary>
    public int? CountHits { get; init; }

    /// <summary>Grid points counted.</summary>
    public int? CountPoints { get; init; }

    /// <summary>When it was found.</summary>
    public DateTimeOffset At { get; init; }
}

/// <summary>A measurement.</summary>
public sealed record MeasurementItem : Item
{
    /// <summary>Key.</summary>
    public Guid Id { get; init; }

    /// <summary>Part measured.</summary>
    public PartId Part { get; init; }

    /// <summary>What was measured, a key of MeasureKinds.</summary>
    public MeasureId Kind { get; init; }

    /// <summary>The value: mm, or a number of things.</summary>
    public double Value { get; init; }

    /// <summary>What it was measured with.</summary>
    public Instrument Instrument { get; init; }

    /// <summary>How far it may be off, mm; 0 for a count.</summary>
    public double UncertaintyMm { get; init; }

    /// <summary>When it was taken.</summary>
    public DateTimeOffset At { get; init; }
}

/// <summary>Points counted on a picture.</summary>
public sealed record CountItem : Item
{
    /// <summary>Key.</summary>
    public Guid Id { get; init; }

    /// <summary>Picture it was counted on.</summary>
    public Guid PictureId { get; init; }

    /// <summary>Part inside the outline.</summary>
    public PartId Part { get; init; }

    /// <summary>What is counted.</summary>
    public FindingKind Kind { get; init; }

    /// <summary>When it was looked at.</summary>
    public Round Round { get; init; }

    /// <summary>Corners of the outline, pixels of the upright picture.</summary>
    public IReadOnlyList<double[]> OutlinePx { get; init; } = [];

    /// <summary>Two ends of a known length, pixels; empty when there is no scale.</summary>
    public IReadOnlyList<double[]> ReferencePx { get; init; } = [];

    /// <summary>The known length, mm.</summary>
    public double? ReferenceMm { get; init; }

    /// <summary>Points wanted.</summary>
    public int Points { get; init; }

    /// <summary>Seed of the grid's offset.</summary>
    public int Seed { get; init; }

    /// <summary>One letter for each point answered, in order: y hit, n not, s cannot be seen.</summary>
    public string Answers { get; init; } = "";

    /// <summary>When it was begun.</summary>
    public DateTimeOffset At { get; init; }
}

/// <summary>A picture; its file is in the bundle.</summary>
public sealed record PictureItem : Item
{
    /// <summary>Key.</summary>
    public Guid Id { get; init; }

    /// <summary>File name in the picture store, made from the content.</summary>
    public string File { get; init; } = "";

    /// <summary>What it shows.</summary>
    public string Caption { get; init; } = "";

    /// <summary>Width as shown, pixels.</summary>
    public int Width { get; init; }

    /// <summary>Height as shown, pixels.</summary>
    public int Height { get; init; }

    /// <summary>When it was added.</summary>
    public DateTimeOffset At { get; init; }
}
