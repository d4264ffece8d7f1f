namespace Foundling.Core.Tags;

/// <summary>A look taken at a trait, or a dated mark read.</summary>
public sealed class Look
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>Order of entry within the tag.</summary>
    public int Order { get; set; }

    /// <summary>Trait of the pattern book, or null for a mark.</summary>
    public string? Trait { get; set; }

    /// <summary>Variant seen.</summary>
    public string? Variant { get; set; }

    /// <summary>Part a mark stands on.</summary>
    public string? Part { get; set; }

    /// <summary>Kind of mark.</summary>
    public Origin.MarkKind? Mark { get; set; }

    /// <summary>The mark as read, in words.</summary>
    public string? Reading { get; set; }

    /// <summary>A tendency rather than a rule.</summary>
    public bool Soft { get; set; }

    /// <summary>How sure.</summary>
    public Origin.Confidence Confidence { get; set; }

    /// <summary>First year of a window.</summary>
    public int? NotBeforeYear { get; set; }

    /// <summary>Last year of a window.</summary>
    public int? NotAfterYear { get; set; }

    /// <summary>Year of grant.</summary>
    public int? IssueYear { get; set; }

    /// <summary>Year of filing of a patent applied for.</summary>
    public int? FilingYear { get; set; }

    /// <summary>Year an applied-for patent was granted.</summary>
    public int? GrantYear { get; set; }

    /// <summary>Picture of the tag that shows it.</summary>
    public Guid? PictureId { get; set; }

    /// <summary>When it was seen.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>The evidence this look gives.</summary>
    public Origin.Observation ToObservation() =>
        new(Id.ToString("N"), Confidence, Trait, Variant, Part, Mark, Soft, NotBeforeYear, NotAfterYear, IssueYear, FilingYear, GrantYear);
}

/// <summary>Why a look was set aside.</summary>
public enum AsideReason
{
    /// <summary>It was looked at and cannot be told.</summary>
    CannotTell,

    /// <summary>It needs the tool apart.</summary>
    WhenApart,
}

/// <summary>A look that was set aside.</summary>
public sealed class LookAside
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>Trait of the pattern book.</summary>
    public string Trait { get; set; } = "";

    /// <summary>Why.</summary>
    public AsideReason Reason { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }
}
