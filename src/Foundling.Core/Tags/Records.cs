using Foundling.Core.Soles;
using Foundling.Core.Units;

namespace Foundling.Core.Tags;

/// <summary>A survey of a sole, or of another flat face, as it was taken.</summary>
public sealed class SoleRecord
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>When it was taken.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>The face it was taken on, by its <see cref="State.FlatFace.Key"/>.</summary>
    public string Face { get; set; } = State.FlatFaces.Sole;

    /// <summary>Where the readings come from.</summary>
    public string Source { get; set; } = "";

    /// <summary>The readings and the face they were taken on.</summary>
    public required GridSurveyInput Input { get; set; }

    /// <summary>What it is, in a few words.</summary>
    public string Said => $"{Sentences.Count(Input.PointsMm.Count, "reading")}, {Source}";
}

/// <summary>A rub of the marked sole, and what was left of the marks.</summary>
public sealed class RubRecord
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>When somebody looked.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>What was seen, after how many strokes.</summary>
    public required MarksSeen Seen { get; set; }

    /// <summary>The grade of the paper.</summary>
    public string Grit { get; set; } = "";

    /// <summary>What lay under it.</summary>
    public LappingPlate Plate { get; set; }

    /// <summary>True for the first look of its kind: what was seen before it belongs to another paper, or to another day.</summary>
    public bool Anew { get; set; }

    /// <summary>The form the marks told of by then.</summary>
    public SoleForm Likely { get; set; }

    /// <summary>How sure that was, 0 to 1.</summary>
    public double Chance { get; set; }

    /// <summary>Strokes that were left to toe, mouth and heel; null where it would never come in.</summary>
    public double? StrokesLeft { get; set; }

    /// <summary>What it is, in a few words.</summary>
    public string Said => $"{Seen.Strokes:0} strokes on {Grit}, likely {MarksReader.Words(Likely)}";
}

/// <summary>Proof readings as they were taken.</summary>
public sealed class ProofRecord
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>True for a reading as found, before any work.</summary>
    public bool AsFound { get; set; }

    /// <summary>Wood, figure, face or edge: the conditions belong to the reading.</summary>
    public string Conditions { get; set; } = "";

    /// <summary>What was tested, by the key of its <see cref="Proof.ProofKind"/>.</summary>
    public string Kind { get; set; } = "shaving";

    /// <summary>What was seen, on the scale of words; null where it was measured.</summary>
    public int? Degree { get; set; }

    /// <summary>What was seen, in the words it was chosen by; empty where it was measured.</summary>
    public string Seen { get; set; } = "";

    /// <summary>Which side of the target is good.</summary>
    public Proof.Direction Direction { get; set; }

    /// <summary>Readings, mm; empty where it was seen.</summary>
    public List<double> ReadingsMm { get; set; } = [];

    /// <summary>Target, mm.</summary>
    public double TargetMm { get; set; }

    /// <summary>Least step of the instrument, mm.</summary>
    public double ResolutionMm { get; set; }

    /// <summary>What it is, in a few words.</summary>
    public string Said => (Degree is null ? Sentences.Count(ReadingsMm.Count, "reading") : Seen) + (Conditions.Length > 0 ? $", {Conditions}" : "");

    /// <summary>What the readings say; null where it was seen.</summary>
    public Proof.ThicknessResult? Judge() =>
        Degree is null ? Proof.Thickness.Judge(new Proof.ThicknessInput(ReadingsMm, Direction, TargetMm, ResolutionMm)) : null;

    /// <summary>met, not_met or cannot_tell.</summary>
    public string Verdict() => Degree is int seen ? seen == 0 ? "met" : "not_met" : Judge()!.Verdict;
}
