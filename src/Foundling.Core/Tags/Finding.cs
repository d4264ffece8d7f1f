using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Tags;

/// <summary>One thing wrong, or notable, on one part.</summary>
public sealed class Finding
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>Part it is on.</summary>
    public PartId Part { get; set; }

    /// <summary>What is wrong.</summary>
    public FindingKind Kind { get; set; }

    /// <summary>How much, 0 to 4 on the written scale.</summary>
    public int Severity { get; set; }

    /// <summary>Where, and anything else.</summary>
    public string Note { get; set; } = "";

    /// <summary>When it was seen; a later look stands for the part in the place of an earlier one.</summary>
    public Round Round { get; set; }

    /// <summary>Place on the part, from <see cref="PartGroups.Places(Tools.ToolKind, Tools.PartDef)"/>; empty when it does not matter.</summary>
    public string Place { get; set; } = "";

    /// <summary>Picture of the tag that shows it.</summary>
    public Guid? PictureId { get; set; }

    /// <summary>Distance from the edge for pits and chips, mm.</summary>
    public double? FromEdgeMm { get; set; }

    /// <summary>Where it begins across the edge, from its left corner, back up and edge down, mm; none for across the whole width.</summary>
    public double? FromLeftMm { get; set; }

    /// <summary>Where it ends across the edge, mm; none for across the whole width.</summary>
    public double? ToLeftMm { get; set; }

    /// <summary>How deep a pit, chip or crack goes, mm.</summary>
    public double? DepthMm { get; set; }

    /// <summary>How long or wide it is, mm.</summary>
    public double? SizeMm { get; set; }

    /// <summary>What is still to be found out, where it could not be seen; the degree is a guess until then. Empty when nothing is.</summary>
    public string Doubt { get; set; } = "";

    /// <summary>A replacement is on order.</summary>
    public bool OnOrder { get; set; }

    /// <summary>When the replacement should come.</summary>
    public DateOnly? ArrivesOn { get; set; }

    /// <summary>Grid points that fell on it, where it was counted.</summary>
    public int? CountHits { get; set; }

    /// <summary>Grid points counted.</summary>
    public int? CountPoints { get; set; }

    /// <summary>When it was found.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>True when a look of a later round at the same thing stands in its place.</summary>
    /// <param name="later">Another finding of the tag.</param>
    public bool GivesWayTo(Finding later) =>
        later.Part == Part && later.Kind == Kind && later.Round > Round && (Place.Length == 0 || later.Place.Length == 0 || later.Place == Place);

    /// <summary>Notes what was found.</summary>
    /// <param name="found">What was found.</param>
    /// <param name="at">When.</param>
    public static Finding Of(Found found, DateTimeOffset at) => new()
    {
        Id = Guid.CreateVersion7(at), At = at, Part = found.Part, Kind = found.Kind, Severity = found.Severity, Place = found.Place, Note = found.Note,
        Doubt = found.Doubt, FromEdgeMm = found.FromEdgeMm, FromLeftMm = found.FromLeftMm, ToLeftMm = found.ToLeftMm, DepthMm = found.DepthMm,
        SizeMm = found.SizeMm, OnOrder = found.OnOrder, ArrivesOn = found.ArrivesOn,
    };

    /// <summary>What is known by it.</summary>
    public Found Fact() => new(Part, Kind, Severity)
    {
        Place = Place, Note = Note, Doubt = Doubt, FromEdgeMm = FromEdgeMm, FromLeftMm = FromLeftMm, ToLeftMm = ToLeftMm, DepthMm = DepthMm,
        SizeMm = SizeMm, OnOrder = OnOrder, ArrivesOn = ArrivesOn,
    };

    /// <summary>The counted share with its interval, or null.</summary>
    public State.WilsonResult? Counted() =>
        this is { CountHits: int hits, CountPoints: int points } ? State.Wilson.Count(new State.WilsonInput(hits, points)) : null;
}

/// <summary>A picture of the tool. The original is kept as it came; copies are made from it.</summary>
public sealed class Picture
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>File name in the picture store, made from the content.</summary>
    public string File { get; set; } = "";

    /// <summary>What it shows.</summary>
    public string Caption { get; set; } = "";

    /// <summary>Width as shown, pixels.</summary>
    public int Width { get; set; }

    /// <summary>Height as shown, pixels.</summary>
    public int Height { get; set; }

    /// <summary>When it was added.</summary>
    public DateTimeOffset At { get; set; }
}
