namespace Foundling.Core.Tools;

/// <summary>One of the ways a feature was made.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">In words.</param>
/// <param name="Makes">What it says of the parts.</param>
public sealed record FeatureForm(FormId Id, string Name, params IReadOnlyList<PartBuild> Makes);

/// <summary>Something about a tool as a whole that was made in one way or another.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">What it is about.</param>
/// <param name="Forms">How it was made.</param>
/// <param name="On">Kinds it is asked of.</param>
/// <param name="Usual">How a kind usually has it; null when only a look can tell.</param>
public sealed record Feature(FeatureId Id, string Name, IReadOnlyList<FeatureForm> Forms, Func<ToolKind, bool> On, FormId? Usual)
{
    /// <summary>All features.</summary>
    public static IReadOnlyList<Feature> All { get; } =
    [
        new(FeatureIds.Sole, "Sole", [new(FormIds.PlainSole, "plain"), new(FormIds.Corrugated, "corrugated")],
            k => k.HasMetalSole && k.Family == Family.Plane, FormIds.PlainSole),
        new(FeatureIds.Mouth, "Mouth", [new(FormIds.MovingMouth, "moves with the toe plate"),
            new(FormIds.FixedMouth, "fixed", new PartBuild(PartIds.ToePlate, PartStand.NeverHad))], k => Had(k, PartIds.ToePlate), FormIds.MovingMouth),
        new(FeatureIds.FrogScrew, "Frog", [new(FormIds.FrogScrew, "moved by a screw"), new(FormIds.NoFrogScrew, "without a moving screw")],
            k => Had(k, PartIds.Frog) && k.HasMetalBed, null),
        new(FeatureIds.Iron, "Iron", [new(FormIds.SolidIron, "one piece of steel, parallel"), new(FormIds.LaidOn, "hard bit laid on, parallel"),
            new(FormIds.TaperedIron, "hard bit laid on, tapered")], k => k.Family == Family.Plane && Had(k, PartIds.Iron), null),
        new(FeatureIds.Back, "Back", [new(FormIds.BrassBack, "brass", new PartBuild(PartIds.Back) { Material = Material.Brass }),
            new(FormIds.FoldedBack, "folded steel", new PartBuild(PartIds.Back) { Material = Material.Steel,
                Held = "folded and pinched over the plate: leave it on" })],
            k => Had(k, PartIds.Back), FormIds.BrassBack),
        new(FeatureIds.Cannel, "Ground", [new(FormIds.OutCannel, "outside, the hollow is its back"), new(FormIds.InCannel, "inside, the outside is its back")],
            k => k.Edge == EdgeForm.Curved && Had(k, PartIds.Blade), null),
        new(FeatureIds.Blade, "Blade", [new(FormIds.ScrewedBlade, "screwed on"), new(FormIds.RivetedBlade, "riveted on",
            new PartBuild(PartIds.Blade) { Held = "riveted to its handle: leave it on", Joint = Joint.StaysOn })],
            k => Had(k, PartIds.Blade) && k.Edge == EdgeForm.Bypass, FormIds.ScrewedBlade),
        new(FeatureIds.Grip, "Grip", [new(FormIds.WasherGrip, "leather washers"),
            new(FormIds.WoundGrip, "cord or strip, wound", new PartBuild(PartIds.Grip) { Held = "wound on the shank", Joint = Joint.Plain })],
            k => Had(k, PartIds.Grip), FormIds.WasherGrip),
    ];

    private static readonly Dictionary<FeatureId, Feature> ById = All.ToDictionary(f => f.Id);

    // A tool is asked about what its kind has, also when this one never had it.
    private static bool Had(ToolKind kind, PartId part) => kind.Part(part) is not null || kind.Never.Any(p => p.Id == part);

    /// <summary>A feature, or null.</summary>
    public static Feature? Find(FeatureId id) => ById.GetValueOrDefault(id);

    /// <summary>Features that are asked of a kind.</summary>
    public static IEnumerable<Feature> Of(ToolKind kind) => All.Where(f => f.On(kind));

    /// <summary>A form of it, or null.</summary>
    public FeatureForm? Find(FormId form) => Forms.FirstOrDefault(f => f.Id == form);

    /// <summary>How a tool has it: as somebody saw, else as is usual; null when only a look can tell.</summary>
    public FeatureForm? FormOn(ToolKind tool) => (tool.Forms.TryGetValue(Id, out FormId said) ? said : Usual) is { } form ? Find(form) : null;
}

/// <summary>Keys of features.</summary>
public static class FeatureIds
{
    /// <summary>The sole.</summary>
    public static readonly FeatureId Sole = FeatureId.Of("sole");

    /// <summary>The mouth.</summary>
    public static readonly FeatureId Mouth = FeatureId.Of("mouth");

    /// <summary>What moves the frog.</summary>
    public static readonly FeatureId FrogScrew = FeatureId.Of("frog_screw");

    /// <summary>How the iron was made.</summary>
    public static readonly FeatureId Iron = FeatureId.Of("iron");

    /// <summary>The back of a saw.</summary>
    public static readonly FeatureId Back = FeatureId.Of("back");

    /// <summary>How a blade is held.</summary>
    public static readonly FeatureId Blade = FeatureId.Of("blade");

    /// <summary>On which side of its curve a gouge is ground.</summary>
    public static readonly FeatureId Cannel = FeatureId.Of("cannel");

    /// <summary>The grip.</summary>
    public static readonly FeatureId Grip = FeatureId.Of("grip");
}

/// <summary>Keys of the forms features have.</summary>
public static class FormIds
{
    /// <summary>A plain sole.</summary>
    public static readonly FormId PlainSole = FormId.Of("plain_sole");

    /// <summary>A sole with grooves along it.</summary>
    public static readonly FormId Corrugated = FormId.Of("corrugated_sole");

    /// <summary>A mouth set by the toe plate.</summary>
    public static readonly FormId MovingMouth = FormId.Of("moving_mouth");

    /// <summary>A mouth cut once.</summary>
    public static readonly FormId FixedMouth = FormId.Of("fixed_mouth");

    /// <summary>A screw moves the frog.</summary>
    public static readonly FormId FrogScrew = FormId.Of("frog_screw");

    /// <summary>The frog is moved by hand.</summary>
    public static readonly FormId NoFrogScrew = FormId.Of("no_frog_screw");

    /// <summary>An iron of one steel.</summary>
    public static readonly FormId SolidIron = FormId.Of("solid_iron");

    /// <summary>A hard bit on a soft iron.</summary>
    public static readonly FormId LaidOn = FormId.Of("laid_on_iron");

    /// <summary>The same, thinner towards the top.</summary>
    public static readonly FormId TaperedIron = FormId.Of("tapered_iron");

    /// <summary>A back of brass.</summary>
    public static readonly FormId BrassBack = FormId.Of("brass_back");

    /// <summary>A back of folded steel.</summary>
    public static readonly FormId FoldedBack = FormId.Of("folded_back");

    /// <summary>A blade on screws or a bolt.</summary>
    public static readonly FormId ScrewedBlade = FormId.Of("screwed_blade");

    /// <summary>A riveted blade.</summary>
    public static readonly FormId RivetedBlade = FormId.Of("riveted_blade");

    /// <summary>A bevel outside.</summary>
    public static readonly FormId OutCannel = FormId.Of("out_cannel");

    /// <summary>A bevel inside.</summary>
    public static readonly FormId InCannel = FormId.Of("in_cannel");

    /// <summary>A grip of washers.</summary>
    public static readonly FormId WasherGrip = FormId.Of("washer_grip");

    /// <summary>A wound grip.</summary>
    public static readonly FormId WoundGrip = FormId.Of("wound_grip");
}
