using Foundling.Core.Tools.Kinds;

namespace Foundling.Core.Tools;

/// <summary>Families of tools.</summary>
public enum Family
{
    /// <summary>Planes, shaves and scrapers.</summary>
    Plane,

    /// <summary>Saws.</summary>
    Saw,

    /// <summary>Chisels, axes, drawknives.</summary>
    EdgeTool,

    /// <summary>Wrenches.</summary>
    Wrench,

    /// <summary>Braces and drills.</summary>
    BoringTool,

    /// <summary>Bolt cutters and pruners.</summary>
    Cutter,
}

/// <summary>What a part is made of.</summary>
public enum Material
{
    /// <summary>Grey cast iron.</summary>
    CastIron,

    /// <summary>Malleable iron or forged steel.</summary>
    Steel,

    /// <summary>Hardened steel with an edge or teeth.</summary>
    EdgeSteel,

    /// <summary>Spring steel.</summary>
    SpringSteel,

    /// <summary>Brass.</summary>
    Brass,

    /// <summary>Wood.</summary>
    Wood,

    /// <summary>Leather, cord, rubber.</summary>
    Soft,
}

/// <summary>How a part was finished when it was made.</summary>
public enum PartFinish
{
    /// <summary>Bare metal.</summary>
    Bare,

    /// <summary>Baked japanning or enamel.</summary>
    Japanned,

    /// <summary>Plated.</summary>
    Plated,

    /// <summary>Varnished or lacquered wood.</summary>
    Varnished,

    /// <summary>Oiled wood.</summary>
    Oiled,

    /// <summary>Painted.</summary>
    Painted,
}

/// <summary>How a joint must be treated when a tool is taken apart, where that is not plain.</summary>
public enum Joint
{
    /// <summary>Comes off with the usual tools.</summary>
    Plain,

    /// <summary>Riveted, captive or brittle: it stays on.</summary>
    StaysOn,

    /// <summary>Opening it destroys it: only with a refit plan and the new piece at hand.</summary>
    Destroyed,

    /// <summary>A tapered pin, which comes out one way only.</summary>
    TaperedPin,

    /// <summary>A left-hand thread.</summary>
    ReverseThread,

    /// <summary>Under the force of a spring.</summary>
    Sprung,

    /// <summary>Held by a lock tab, which stands few bends.</summary>
    LockTab,

    /// <summary>Split or slotted nuts of soft brass.</summary>
    SplitNut,

    /// <summary>Held by a wedge, freed by a blow in the right place.</summary>
    Wedged,
}

/// <summary>What a fastener is.</summary>
public enum Fastening
{
    /// <summary>No fastener.</summary>
    None,

    /// <summary>A screw.</summary>
    Screw,

    /// <summary>A bolt, or a rod with its nut.</summary>
    Bolt,

    /// <summary>A nut.</summary>
    Nut,

    /// <summary>A pin.</summary>
    Pin,
}

/// <summary>What the flat face of a plane is made of.</summary>
public enum SoleOf
{
    /// <summary>It has no sole that is trued.</summary>
    None,

    /// <summary>Metal, which is lapped.</summary>
    Metal,

    /// <summary>Wood, which is planed.</summary>
    Wood,
}

/// <summary>How the edge of a kind works.</summary>
public enum EdgeForm
{
    /// <summary>Nothing on it cuts.</summary>
    None,

    /// <summary>A flat back and one bevel.</summary>
    BackAndBevel,

    /// <summary>One bevel, on one side of a curve; the other side is the back.</summary>
    Curved,

    /// <summary>A flat back, and a bevel in the shape of the sole.</summary>
    Profiled,

    /// <summary>Two bevels ground alike.</summary>
    TwoBevels,

    /// <summary>One flat face and one bevel, for the left or the right hand.</summary>
    FlatFace,

    /// <summary>A filed edge with a turned burr.</summary>
    Burr,

    /// <summary>A grooved back that makes teeth.</summary>
    Toothed,

    /// <summary>A blade that passes a hook or anvil.</summary>
    Bypass,

    /// <summary>Two edges that meet at stops.</summary>
    Meeting,

    /// <summary>Saw teeth.</summary>
    SawTeeth,
}

/// <summary>A physical piece of a kind of tool.</summary>
/// <param name="Id">Key, as in the drawing.</param>
/// <param name="Name">Name of the part.</param>
/// <param name="Material">What it is made of.</param>
/// <param name="Finish">How it was finished.</param>
/// <param name="Held">How it is attached.</param>
/// <param name="On">The drawn part that stands for it, when it is not drawn itself.</param>
/// <param name="Joint">How its joint must be treated.</param>
/// <param name="InSet">One of a set that takes turns with another part, such as the further irons of a plough.</param>
/// <param name="Fastener">What kind of fastener it is.</param>
/// <param name="Rod">The rod through it that holds it to the body; null where none does.</param>
/// <param name="With">The part it goes with: a tool that never had that one never had this; null for a part that stands alone.</param>
/// <param name="Under">The finish that lies under it, where it was coated over.</param>
/// <param name="Stand">Where it comes from.</param>
public sealed record PartDef(PartId Id, string Name, Material Material, PartFinish Finish = PartFinish.Bare, string? Held = null, PartId? On = null,
    Joint Joint = Joint.Plain, bool InSet = false, Fastening Fastener = Fastening.None, PartId? Rod = null,
    PartId? With = null, PartFinish? Under = null, PartStand Stand = PartStand.AsMade)
{
    /// <summary>The part of other kinds it does the work of; null when none.</summary>
    public PartId? As { get; init; }

    /// <summary>What may hide behind it, where that is particular to its kind.</summary>
    public string? Hides { get; init; }

    /// <summary>Of one piece with the main part: named apart, but neither lost nor loose.</summary>
    public bool OnePiece { get; init; }

    /// <summary>It moves in use, so it can seize.</summary>
    public bool Moves { get; init; }

    /// <summary>Why a person will not have it touched at all; null for a part that may be.</summary>
    public string? Spared { get; init; }

    /// <summary>The tool works without it, so nothing waits for it.</summary>
    public bool Dispensable { get; init; }

    /// <summary>It is struck in use, so it can spread.</summary>
    public bool Struck { get; init; }

    /// <summary>True when it is one of these, or does the work of one.</summary>
    public bool Is(params ReadOnlySpan<PartId> any) => Id.Is(any) || (As is { } role && role.Is(any));

    /// <summary>Iron or steel, which rusts.</summary>
    public bool Ferrous => Material is Material.CastIron or Material.Steel or Material.EdgeSteel or Material.SpringSteel;

    /// <summary>A screw, bolt, nut or pin.</summary>
    public bool IsFastener => Fastener != Fastening.None;

    /// <summary>A screw, a bolt or a nut: it turns on a thread.</summary>
    public bool IsThreaded => Fastener is Fastening.Screw or Fastening.Bolt or Fastening.Nut;

    /// <summary>True when it would not be there without another part: one it is screwed into, or holds.</summary>
    /// <param name="other">The other part.</param>
    /// <param name="kind">Their kind.</param>
    public bool GoesWith(PartId other, ToolKind kind) => With == other || (On == other && !InSet) || kind.Part(other)?.Rod == Id;

    /// <summary>The part whose drawing stands for this one.</summary>
    public PartId DrawnAs => On ?? Id;
}

/// <summary>A kind of tool with its parts.</summary>
/// <param name="Id">Key, as in the drawings.</param>
/// <param name="Name">Name of the kind.</param>
/// <param name="Family">Its family.</param>
/// <param name="LengthIs">What its length measures.</param>
/// <param name="NominalLengthMm">That length on the nominal drawing, mm.</param>
/// <param name="Parts">Its parts.</param>
/// <param name="Edge">How its edge works.</param>
/// <param name="Sole">What its sole is made of.</param>
/// <param name="BedDeg">Angle of its bed, degrees; says something of planes alone.</param>
/// <param name="BevelUp">True where the iron lies bevel up.</param>
public sealed record ToolKind(KindId Id, string Name, Family Family, string LengthIs, double NominalLengthMm, IReadOnlyList<PartDef> Parts,
    EdgeForm Edge = EdgeForm.None, SoleOf Sole = SoleOf.None, double BedDeg = 45, bool BevelUp = false)
{
    /// <summary>The file it was read from.</summary>
    public required KindFile File { get; init; }

    /// <summary>Forms of its features, where somebody looked; see <see cref="Is"/>.</summary>
    public IReadOnlyDictionary<FeatureId, FormId> Forms { get; init; } = new Dictionary<FeatureId, FormId>();

    /// <summary>Parts its kind has and this tool never had.</summary>
    public IReadOnlyList<PartDef> Never { get; init; } = [];

    /// <summary>True when a feature has this form, as it was seen or as is usual.</summary>
    public bool Is(FormId form) => Feature.Of(this).Any(f => f.FormOn(this)?.Id == form);

    /// <summary>What is particular to it, in the words of its plan.</summary>
    public KindManner Manner => (File.Manner ?? KindManner.Plain).On(Made);

    /// <summary>True for a plane whose iron is held by a wedge.</summary>
    public bool IsWedged => Family == Family.Plane && Made(PartIds.Wedge);

    /// <summary>True when a kind works in a way no part of it tells.</summary>
    public bool Works(KindTrait trait) => File.Traits.Contains(trait);

    /// <summary>True for a plane whose iron lies on a bed: a cutter below the sole and an iron that hangs in its own tangs do not.</summary>
    public bool HasBed => Family == Family.Plane && !Works(KindTrait.CutsBelowSole) && Edges.All(e => e.Joint != Joint.Wedged);

    /// <summary>True when something of it comes off without breaking a joint; a handle that is sound and tight stays on.</summary>
    public bool ComesApart => Parts.Skip(1).Any(p => !p.OnePiece && (Family != Family.EdgeTool || p.Joint == Joint.Wedged));

    /// <summary>True for a head that its haft holds by its own taper, without a wedge.</summary>
    public bool TightensItself => Part(PartIds.Haft) is { Joint: Joint.Wedged };

    /// <summary>True for a plane whose iron lies on metal.</summary>
    public bool HasMetalBed => HasBed && Part(PartIds.Body)?.Material is Material.CastIron or Material.Steel or Material.Brass;

    /// <summary>True for a plane whose mouth is set, by its frog or its toe.</summary>
    public bool MouthMoves => (Made(PartIds.Frog) && HasMetalBed) || Made(PartIds.ToePlate);

    /// <summary>True for a plane that works in grooves, on a skate.</summary>
    public bool HasSkate => Made(PartIds.Skate);

    /// <summary>True for a part it was made with, also when that is lost.</summary>
    public bool Made(PartId part) => Part(part) is not null;

    /// <summary>Finds a part by its key, else the one that does its work; null for none.</summary>
    public PartDef? Part(PartId id) => Parts.FirstOrDefault(p => p.Id == id) ?? Parts.FirstOrDefault(p => p.As == id);

    /// <summary>True when a part is one of these, or does the work of one.</summary>
    /// <param name="part">Key of a part of this tool.</param>
    /// <param name="any">Keys of parts.</param>
    public bool Names(PartId part, params ReadOnlySpan<PartId> any) => part.Is(any) || (File.Roles.TryGetValue(part, out PartId role) && role.Is(any));

    /// <summary>The key of the part that has this key or does its work; the same key where there is none.</summary>
    public PartId Key(PartId id) => Part(id)?.Id ?? id;

    /// <summary>True where a flat metal sole is lapped.</summary>
    public bool HasMetalSole => Sole == SoleOf.Metal;

    /// <summary>True where a wooden sole is trued.</summary>
    public bool HasWoodenSole => Sole == SoleOf.Wood;

    /// <summary>Parts with a cutting edge that is ground and honed, the set apart.</summary>
    public IEnumerable<PartDef> Edges => Family == Family.Saw ? [] : Parts.Where(p => p.Material == Material.EdgeSteel && !p.InSet);

    /// <summary>True where the whole back guides it: a chisel, of which no part may be lifted or left high.</summary>
    public bool BackGuides => Edge == EdgeForm.BackAndBevel && Family == Family.EdgeTool && Made(PartIds.Blade) && Made(PartIds.Handle) && Manner.Back is null;

    /// <summary>True for a curved blade with its bevel inside.</summary>
    public bool GroundInside => Edge == EdgeForm.Curved && (Is(FormIds.InCannel) || Works(KindTrait.GroundInside));

    /// <summary>True where the stone goes to the edge, not the edge to the stone: heads on a haft, long blades between two handles, blades that pass.</summary>
    public bool StoneGoes => Edge is EdgeForm.TwoBevels or EdgeForm.FlatFace or EdgeForm.Bypass || Made(PartIds.Haft) || Made(PartIds.HandleLeft);

    /// <summary>Why the back of its edge may not be lifted by a shim, in a sentence; null where it may.</summary>
    public string? WhyNotLifted => Edge is EdgeForm.Curved or EdgeForm.Profiled ? "A shim lifts a straight line; this edge is a shape."
        : Works(KindTrait.CheeksGuide) || (!HasBed && Family == Family.Plane)
            ? "The flat side runs on or just over the work: lifted, the edge does not cut."
        : Family == Family.Plane || (Edge == EdgeForm.FlatFace && Made(PartIds.Haft)) ? null
        : "The whole back guides the tool, so it stays flat: never on a chisel or knife.";

    /// <summary>Parts of a set that take turns, such as the further irons of a plough.</summary>
    public IEnumerable<PartDef> Set => Parts.Where(p => p.InSet);
}
