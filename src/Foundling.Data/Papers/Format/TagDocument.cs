using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;
using System.Text.Json;
using System.Text.Json.Serialization;
using Foundling.Core.Aim;
using Foundling.Core.Origin;
using Foundling.Core.Rod;
using Foundling.Core.Safety;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Tags;

namespace Foundling.Data.Papers.Format;

/// <summary>A tag as it travels: see docs/formats.md.</summary>
/// <param name="Format">Always "foundling-tag".</param>
/// <param name="Version">Version of the format.</param>
/// <param name="Tag">The tag with everything on it.</param>
/// <param name="PatternBook">The pages of the pattern book its looks speak of.</param>
/// <param name="MissingPictures">Pictures whose files were gone when it was written.</param>
public sealed record TagDocument(string Format, int Version, TagBody Tag, PatternBook? PatternBook = null, IReadOnlyList<string>? MissingPictures = null);

/// <summary>A piece of the format. What a later program wrote into it and this one does not know is carried along.</summary>
public abstract record Item
{
    /// <summary>Fields this version does not know, as they were written.</summary>
    [JsonExtensionData]
    public IDictionary<string, JsonElement>? More { get; init; }
}

/// <summary>A tag as it is written.</summary>
public sealed record TagBody : Item
{
    /// <summary>Tag number; written F-0042.</summary>
    public int Number { get; init; }

    /// <summary>Kind of tool, a key of ToolCatalogue.</summary>
    public KindId Kind { get; init; }

    /// <summary>The file of its kind, where that is a shop's own; null for one that is shipped.</summary>
    public KindFile? KindFile { get; init; }

    /// <summary>How it differs from its kind; null for not at all.</summary>
    public ToolBuild? Built { get; init; }

    /// <summary>What people call it.</summary>
    public string Name { get; init; } = "";

    /// <summary>Measured length, mm.</summary>
    public double? LengthMm { get; init; }

    /// <summary>Measured iron or blade width, mm.</summary>
    public double? IronWidthMm { get; init; }

    /// <summary>Measured width of the sole, mm.</summary>
    public double? SoleWidthMm { get; init; }

    /// <summary>Front of the mouth from the toe, mm.</summary>
    public double? MouthFrontMm { get; init; }

    /// <summary>What its sole is for.</summary>
    public SolePurpose? Purpose { get; init; }

    /// <summary>Where it came from.</summary>
    public string Source { get; init; } = "";

    /// <summary>What was paid.</summary>
    public decimal? Price { get; init; }

    /// <summary>The day it came.</summary>
    public DateOnly ArrivedOn { get; init; }

    /// <summary>Whose it is.</summary>
    public string Owner { get; init; } = "";

    /// <summary>Name or initials stamped on it by an owner.</summary>
    public string OwnersMark { get; init; } = "";

    /// <summary>Which hand it is for.</summary>
    public Hand Hand { get; init; }

    /// <summary>Its story.</summary>
    public string Story { get; init; } = "";

    /// <summary>The day it is promised.</summary>
    public DateOnly? PromisedOn { get; init; }

    /// <summary>How far to go.</summary>
    public AimKind? Aim { get; init; }

    /// <summary>Ways chosen for this tool, each as "choice=way".</summary>
    public IReadOnlyList<string> Ways { get; init; } = [];

    /// <summary>Why a way was chosen, each as "choice=words"; only for choices that stand.</summary>
    public IReadOnlyList<string> WayReasons { get; init; } = [];

    /// <summary>What it was sold for when it went; null while it is here, or it was given away.</summary>
    public decimal? SoldFor { get; init; }

    /// <summary>Cautions that were seen on this tool.</summary>
    public IReadOnlyList<CautionId> SeenCautions { get; init; } = [];

    /// <summary>What the owner wishes, in the owner's words.</summary>
    public string Wish { get; init; } = "";

    /// <summary>What a sound one is worth.</summary>
    public decimal? WorthSound { get; init; }

    /// <summary>How often such a tool turns up; null when not said.</summary>
    public Rarity? Rarity { get; init; }

    /// <summary>Where it stands.</summary>
    public TagStatus Status { get; init; }

    /// <summary>When it was booked in.</summary>
    public DateTimeOffset BookedAt { get; init; }

    /// <summary>Counts changes; guards against two people overwriting one another.</summary>
    public int Version { get; init; }

    /// <summary>Pattern line it is known to be of, from a name or papers; null while it is for the evidence to say.</summary>
    public string? KnownLine { get; init; }

    /// <summary>Looks taken and marks read, in the order they were entered.</summary>
    public IReadOnlyList<LookItem> Looks { get; init; } = [];

    /// <summary>Looks set aside: not to be told, or to be taken when the tool is apart.</summary>
    public IReadOnlyList<AsideItem> Aside { get; init; } = [];

    /// <summary>Colour of wedge and iron against one another; null when not looked at.</summary>
    public KinLook? KinColour { get; init; }

    /// <summary>Shadow line where the other part covered it.</summary>
    public KinLook? KinShadow { get; init; }

    /// <summary>How wedge and iron fit.</summary>
    public KinLook? KinFit { get; init; }

    /// <summary>What is wrong with it.</summary>
    public IReadOnlyList<FindingItem> Findings { get; init; } = [];

    /// <summary>What was measured, earlier values kept.</summary>
    public IReadOnlyList<MeasurementItem> Measurements { get; init; } = [];

    /// <summary>What it did when it was tried as found, in a word; null while it was not tried.</summary>
    public AsFoundTry? Tried { get; init; }

    /// <summary>What it did, and how it was set, before it was touched.</summary>
    public string TriedNote { get; init; } = "";

    /// <summary>What the owner of the decision decided, whatever the verdict; null while undecided.</summary>
    public Verdict? Decision { get; init; }

    /// <summary>Why.</summary>
    public string DecisionReason { get; init; } = "";

    /// <summary>Counts on pictures.</summary>
    public IReadOnlyList<CountItem> Counts { get; init; } = [];

    /// <summary>Pictures.</summary>
    public IReadOnlyList<PictureItem> Pictures { get; init; } = [];

    /// <summary>Its plan as it stands; null for none.</summary>
    public Plan? Plan { get; init; }

    /// <summary>How the deeds of its plan stand, those nothing happened to left out.</summary>
    public IReadOnlyList<MarkItem> Marks { get; init; } = [];

    /// <summary>What happened at the bench; only ever added to. It grows without end, so it is only here when it was asked for.</summary>
    public IReadOnlyList<EventItem> Log { get; init; } = [];

    /// <summary>Soaks, glue, coats: what stands.</summary>
    public IReadOnlyList<WaitItem> Waits { get; init; } = [];

    /// <summary>Sole surveys.</summary>
    public IReadOnlyList<SurveyItem> Surveys { get; init; } = [];

    /// <summary>Rubs of the marked sole; null for none, as papers from before them have it.</summary>
    public IReadOnlyList<RubItem>? Rubs { get; init; }

    /// <summary>Proof readings.</summary>
    public IReadOnlyList<ProofItem> Proofs { get; init; } = [];
}
