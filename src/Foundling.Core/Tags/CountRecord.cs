using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Tags;

/// <summary>A count of points on a picture: how much of a part is rusty, bare, pitted.</summary>
public sealed class CountRecord
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>Picture it was counted on.</summary>
    public Guid PictureId { get; set; }

    /// <summary>Part inside the outline.</summary>
    public PartId Part { get; set; }

    /// <summary>What is counted.</summary>
    public FindingKind Kind { get; set; }

    /// <summary>When it was looked at.</summary>
    public Round Round { get; set; }

    /// <summary>Corners of the outline, pixels of the upright picture.</summary>
    public List<double[]> OutlinePx { get; set; } = [];

    /// <summary>Two ends of a known length, pixels; empty when there is no scale.</summary>
    public List<double[]> ReferencePx { get; set; } = [];

    /// <summary>The known length, mm.</summary>
    public double? ReferenceMm { get; set; }

    /// <summary>Points wanted.</summary>
    public int Points { get; set; }

    /// <summary>Seed of the grid's offset.</summary>
    public int Seed { get; set; }

    /// <summary>One letter for each point answered, in order: y hit, n not, s cannot be seen.</summary>
    public string Answers { get; set; } = "";

    /// <summary>When it was begun.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>The points to look at.</summary>
    public PointGridResult Grid() => PointGrid.Of(new PointGridInput(OutlinePx, Points, Seed));

    /// <summary>Hits and points seen so far.</summary>
    public WilsonInput Counted() => new(Answers.Count(a => a == 'y'), Answers.Count(a => a is 'y' or 'n'));

    /// <summary>The share so far with its interval, or null before the first point.</summary>
    public WilsonResult? Result() => Counted() is { Points: > 0 } counted ? Wilson.Count(counted) : null;

    /// <summary>Scale and area inside the outline, or null without a known length.</summary>
    public PhotoScaleResult? Scale() => ReferenceMm is double mm && ReferencePx.Count == 2 ? PhotoScale.Of(new PhotoScaleInput(ReferencePx, mm, OutlinePx))
        : null;
}
