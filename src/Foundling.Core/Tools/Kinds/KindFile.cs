using System.Runtime.CompilerServices;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json.Serialization;

namespace Foundling.Core.Tools.Kinds;

/// <summary>A kind of tool as a file: what <see cref="KindReader"/> reads. Lengths are in millimetres, keys in small letters with joints.</summary>
/// <param name="Kind">Key of the kind, the name of its drawing.</param>
/// <param name="Name">Its name.</param>
/// <param name="Family">Its family.</param>
/// <param name="Length">What its length measures.</param>
/// <param name="LengthMm">That length on the drawing, mm.</param>
/// <param name="Parts">Its parts; the first is the one the others are attached to.</param>
public sealed record KindFile(KindId Kind, string Name, Family Family, string Length, double LengthMm, IReadOnlyList<KindPart> Parts)
{
    /// <summary>Parts that do the work of parts other kinds have, and which.</summary>
    [JsonIgnore]
    public IReadOnlyDictionary<PartId, PartId> Roles { get; } = Parts.Where(p => p.As is not null).DistinctBy(p => p.Part)
        .ToDictionary(p => p.Part, p => p.As!.Value);

    /// <summary>Version of the format.</summary>
    public int Version { get; init; } = 1;

    /// <summary>Its place among the kinds of its family.</summary>
    public int Order { get; init; }

    /// <summary>What its width measures, where a width is worth noting.</summary>
    public string? Width { get; init; }

    /// <summary>True where it matters for which hand it was made.</summary>
    public bool Handed { get; init; }

    /// <summary>How its edge works.</summary>
    public EdgeForm Edge { get; init; }

    /// <summary>What its sole is made of.</summary>
    public SoleOf Sole { get; init; }

    /// <summary>Angle of its bed, degrees.</summary>
    public double? BedDeg { get; init; }

    /// <summary>True where the iron lies bevel up.</summary>
    public bool BevelUp { get; init; }

    /// <summary>What is particular to how it works.</summary>
    public IReadOnlyList<KindTrait> Traits { get; init; } = [];

    /// <summary>What is particular to it, in the words of its plan.</summary>
    public KindManner? Manner { get; init; }

    /// <summary>Keys of the proofs it has, the one its papers are known by first.</summary>
    public IReadOnlyList<string> Proofs { get; init; } = [];

    /// <summary>Questions at a stall that only this kind has.</summary>
    public IReadOnlyList<KindQuestion> Stall { get; init; } = [];

    /// <summary>How its drawing follows what is measured; null where it is made larger or smaller as a whole.</summary>
    public KindFit? Fit { get; init; }

    /// <summary>Teeth that are drawn from their count.</summary>
    public KindTeeth? Teeth { get; init; }

    /// <summary>Its drawing, where it travels or is kept in one file; null where that lies beside it.</summary>
    public string? Drawing { get; init; }

    /// <summary>What a shop said when it made the kind, so that it can be gone on with; null for one that was written otherwise.</summary>
    public KindDraft? Draft { get; init; }

    /// <summary>A few letters that change when the drawing does.</summary>
    [JsonIgnore]
    public string Stamp => Drawing is null ? "" : Stamps.GetValue(Drawing, d => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(d)))[..8]);

    private static readonly ConditionalWeakTable<string, string> Stamps = new();
}

/// <summary>Something particular to how a kind works, which no part of it tells.</summary>
public enum KindTrait
{
    /// <summary>Its cheeks guide it, so they stand square to the sole.</summary>
    CheeksGuide,

    /// <summary>One wooden side guides it along a wall, and its iron is as wide as its body.</summary>
    SideGuides,

    /// <summary>Its cutter works below the sole and lies on no bed.</summary>
    CutsBelowSole,

    /// <summary>Its curved blade is ground on the inside alone; the outside rides on the work.</summary>
    GroundInside,
}

/// <summary>A part in a kind file.</summary>
/// <param name="Part">Key, as in the drawing.</param>
/// <param name="Name">Its name.</param>
/// <param name="Material">What it is made of.</param>
public sealed record KindPart(PartId Part, string Name, Material Material)
{
    /// <summary>How it was finished.</summary>
    public PartFinish Finish { get; init; } = PartFinish.Bare;

    /// <summary>How it is attached; null for as usual.</summary>
    public string? Held { get; init; }

    /// <summary>What may hide behind it; null for the usual.</summary>
    public string? Hides { get; init; }

    /// <summary>How its joint must be treated.</summary>
    public Joint Joint { get; init; } = Joint.Plain;

    /// <summary>What kind of fastener it is.</summary>
    public Fastening Fastener { get; init; }

    /// <summary>The part whose drawing stands for it.</summary>
    public PartId? On { get; init; }

    /// <summary>One of a set that takes turns with another part.</summary>
    public bool InSet { get; init; }

    /// <summary>The rod through it that holds it.</summary>
    public PartId? Rod { get; init; }

    /// <summary>The part it goes with.</summary>
    public PartId? With { get; init; }

    /// <summary>The part of other kinds it does the work of: a lever that of a lever cap.</summary>
    public PartId? As { get; init; }

    /// <summary>Of one piece with the main part: it can be neither lost nor loose.</summary>
    public bool OnePiece { get; init; }

    /// <summary>It moves in use, so it can seize.</summary>
    public bool Moves { get; init; }

    /// <summary>The tool works without it: a strike button, a depth stop.</summary>
    public bool Dispensable { get; init; }

    /// <summary>It is struck in use, so it can spread.</summary>
    public bool Struck { get; init; }

    /// <summary>How deep it is across its drawing, mm; null to judge by what it is.</summary>
    public double? AcrossMm { get; init; }

    /// <summary>What it is like across its drawing.</summary>
    public Section Section { get; init; }

    /// <summary>How many pieces it is, where its name says several.</summary>
    public int? Pieces { get; init; }

    /// <summary>How far it stands away when the tool is drawn apart, mm to the right and down; null to find room by itself.</summary>
    public IReadOnlyList<double>? Apart { get; init; }

    /// <summary>Places on its drawing, the first for marks that name none.</summary>
    public IReadOnlyList<KindPlace> Places { get; init; } = [];
}

/// <summary>A place on the drawing of a part.</summary>
/// <param name="Name">Its name; empty for the one that stands for the part.</param>
/// <param name="X">From the left edge of the drawing, mm.</param>
/// <param name="Y">From its top, mm.</param>
public sealed record KindPlace(string Name, double X, double Y);

/// <summary>A question at the stall that only a kind has.</summary>
/// <param name="Id">Key within the kind.</param>
/// <param name="Ask">The question.</param>
/// <param name="Look">Where to look.</param>
/// <param name="Picture">The picture to ask a seller for.</param>
/// <param name="Part">The part it is about.</param>
/// <param name="Answers">From sound to bad.</param>
public sealed record KindQuestion(string Id, string Ask, string Look, string Picture, PartId Part, IReadOnlyList<KindAnswer> Answers);

/// <summary>An answer to such a question.</summary>
/// <param name="Id">Key within the question.</param>
/// <param name="Text">What one taps.</param>
/// <param name="Share">How often it is the answer, 0 to 1; all of a question make 1.</param>
/// <param name="Finding">The fault it stands for; null for none.</param>
/// <param name="Degree">How bad that is, 1 to 4.</param>
/// <param name="Place">Where on the part; empty for nowhere in particular.</param>
/// <param name="Doubt">What is still to be found out; null where the finding says it all.</param>
public sealed record KindAnswer(string Id, string Text, double Share, FindingKind? Finding = null, int Degree = 0, string Place = "", string? Doubt = null);

/// <summary>Teeth that are drawn from their count.</summary>
/// <param name="Part">The part that has them.</param>
/// <param name="Points">Points to the inch on the drawing.</param>
/// <param name="RakeDeg">Their rake, degrees.</param>
/// <param name="LineMm">Height of the tooth line over where the tool rests, mm.</param>
public sealed record KindTeeth(PartId Part, double Points, double RakeDeg, double LineMm = 0);

/// <summary>How a drawing follows what is measured. Sums are as <see cref="Linear"/> reads them.</summary>
/// <param name="Moves">What moves; a part that several name moves by all of them together.</param>
public sealed record KindFit(IReadOnlyList<KindMove> Moves)
{
    /// <summary>Least length it holds for, mm; under it the drawing is made smaller as a whole.</summary>
    public double? FromMm { get; init; }

    /// <summary>Greatest length it holds for, mm.</summary>
    public double? ToMm { get; init; }

    /// <summary>Where the mouth is when it was not measured; the first whose length limit is not reached holds.</summary>
    public IReadOnlyList<KindUsual> Mouth { get; init; } = [];

    /// <summary>The farthest from the toe the mouth may be.</summary>
    public string? MouthMost { get; init; }

    /// <summary>Least and greatest mouth that is believed, as shares of the length.</summary>
    public IReadOnlyList<double> MouthShares { get; init; } = [0.2, 0.5];

    /// <summary>Width on the drawing, mm.</summary>
    public double? WidthMm { get; init; }

    /// <summary>Least and greatest width that is believed, in widths on the drawing.</summary>
    public IReadOnlyList<double> WidthTimes { get; init; } = [0.1, 5];

    /// <summary>Length of the blade when it was not measured.</summary>
    public string? Blade { get; init; }
}

/// <summary>What a measure usually is.</summary>
/// <param name="Is">The sum.</param>
/// <param name="BelowMm">Up to this length of the tool, mm; null for any.</param>
public sealed record KindUsual(string Is, double? BelowMm = null);

/// <summary>One way some parts move.</summary>
public sealed record KindMove
{
    /// <summary>The parts; null for all that no other move names.</summary>
    public IReadOnlyList<PartId>? Parts { get; init; }

    /// <summary>Stretched along an axis through knots.</summary>
    public KindKnots? Knots { get; init; }

    /// <summary>Moved to the right by this.</summary>
    public string? Right { get; init; }

    /// <summary>Moved outward from this line across the drawing, instead of to the right; mm.</summary>
    public double? From { get; init; }

    /// <summary>Made wider or narrower about a line.</summary>
    public KindScale? Scale { get; init; }

    /// <summary>Stretched along a line.</summary>
    public KindStretch? Stretch { get; init; }
}

/// <summary>A piecewise linear map along x, the end pieces carried on.</summary>
/// <param name="Origin">Where 0 is on the drawing, mm.</param>
/// <param name="At">Knots on the drawing, mm from there.</param>
/// <param name="To">Where each goes, mm from there.</param>
/// <param name="Both">True to measure outward from the origin both ways.</param>
public sealed record KindKnots(double Origin, IReadOnlyList<double> At, IReadOnlyList<string> To, bool Both = false);

/// <summary>A scale across a line, in full on one side and fading to nothing.</summary>
/// <param name="Across">True to scale along y, about a line along x.</param>
/// <param name="About">The line, mm.</param>
/// <param name="By">The factor.</param>
/// <param name="Full">Where along the other axis it holds in full; null for everywhere.</param>
/// <param name="None">Where it has faded to nothing.</param>
public sealed record KindScale(bool Across, double About, string By, double? Full = null, double? None = null);

/// <summary>A stretch along a line: what lies beyond its end moves, what lies before its start stays.</summary>
/// <param name="From">Where it starts along the line, mm.</param>
/// <param name="To">Where it ends.</param>
/// <param name="By">How much longer it becomes.</param>
/// <param name="Origin">A point of the line, x and y; null for the left edge.</param>
/// <param name="Along">Its direction, x and y; null for along x.</param>
public sealed record KindStretch(double From, double To, string By, IReadOnlyList<double>? Origin = null, IReadOnlyList<double>? Along = null);

/// <summary>What a part is like across its drawing.</summary>
public enum Section
{
    /// <summary>As the program judges: wood and fasteners are turned, other parts are flat.</summary>
    Usual,

    /// <summary>Turned: as deep as it is high.</summary>
    Round,

    /// <summary>As wide as the iron.</summary>
    Iron,

    /// <summary>As wide as the sole.</summary>
    Sole,
}
