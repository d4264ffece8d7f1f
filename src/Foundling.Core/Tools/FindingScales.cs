namespace Foundling.Core.Tools;

/// <summary>Written scales: each degree says what one would see, in the words of the part it is on.</summary>
public static class FindingScales
{
    /// <summary>Highest degree of every scale.</summary>
    public const int Worst = 4;

    private sealed record Scale(string Name, params string[] Degrees);

    private static readonly Dictionary<FindingKind, Scale> Scales = new()
    {
        [FindingKind.Rust] = new("rust", "bright, or darkened and smooth", "a brown bloom that wipes off with oil", "brown all over, smooth to the nail",
            "crust that stands up and catches the nail", "scale that lifts in flakes"),
        [FindingKind.Pitting] = new("pitting", "no pits", "pin points, seen only against the light", "pits that catch a fingernail",
            "deep pits across a working face", "pits so deep that they weaken it"),
        [FindingKind.CoatingLoss] = new("coating loss", "whole", "chips at corners and screws", "worn to metal where hands go",
            "about half gone, edges lifting", "only traces in the corners"),
        [FindingKind.Crack] = new("crack", "none", "a hairline that does not open", "opens under light pressure", "right through, pieces still together",
            "broken, pieces apart"),
        [FindingKind.Looseness] = new("looseness", "firm", "moves when pushed hard", "rocks in the hand", "turns or slides freely", "falls off"),
        [FindingKind.Seizure] = new("seizure", "free", "stiff, moves with oil", "moves with the right tool and force", "will not move after oil and a day",
            "will not move, oil and heat were tried"),
        [FindingKind.EdgeDamage] = new("edge damage", "sharp", "dull, reflects light", "small nicks, or not square", "chips a honing will not take out",
            "a corner broken off or burnt"),
        [FindingKind.Burred] = new("burring", "slots and flats crisp", "corners a little rounded", "slot widened, a driver still bites",
            "slot nearly gone, a driver slips", "nothing left to turn it by"),
        [FindingKind.Mushroomed] = new("mushrooming", "struck end as made", "edge turned over a hair", "lip that catches the finger", "lip rolled well over",
            "split or flaking where it was struck"),
        [FindingKind.Bent] = new("bend", "straight", "seen only along a straightedge", "bent, plain to the eye", "bent so far that it works badly",
            "kinked or creased"),
        [FindingKind.PlatingLoss] = new("plating loss", "whole", "thin at the corners", "worn through where hands go", "lifting at the edges",
            "mostly gone, iron rusting under it"),
        [FindingKind.Repair] = new("earlier repair", "none seen", "neat, does its work", "plain to see, holds", "changes how it works",
            "done badly, must come out"),
        [FindingKind.PaintSplash] = new("paint splashes", "none", "specks", "drips on one face", "whole part brushed over",
            "thick coats over marks and threads"),
        [FindingKind.Sap] = new("sap or grease", "clean", "a film", "sticky, brown", "hard crust that takes a scraper", "cakes the moving parts solid"),
        [FindingKind.Damp] = new("damp wood", "dry", "feels cold to the cheek", "dark, swollen at the end grain", "soft to the nail", "crumbles"),
        [FindingKind.Packed] = new("packing", "clear", "dust in the corners", "dirt or shavings packed in", "jammed so that parts do not seat",
            "rusted or glued in place"),
        [FindingKind.Worm] = new("woodworm", "none seen", "a few old holes, dark inside", "many old holes, no dust, firm to the nail",
            "pale fresh dust under the holes", "riddled, crumbles under a thumb"),
        [FindingKind.BentTab] = new("lock tabs", "as made", "bent up once", "bent more than once, cracking", "one broken", "gone"),
        [FindingKind.Mark] = new("mark to keep", "none seen", "crisp and deep", "worn, still read", "faint, read in raking light", "a shadow under the rust"),
        [FindingKind.Missing] = new("missing", "all there", "a small common piece gone", "gone, can be made or bought", "gone, must be found",
            "gone, and the tool cannot work without it"),
        [FindingKind.Worn] = new("wear", "as made", "a little worn", "about half worn", "little left", "used up"),
        [FindingKind.OutOfFlat] = new("out of flat", "no light under a straightedge", "a thread of light", "thin paper slides under", "a card slides under",
            "a coin slides under"),
        [FindingKind.OutOfSquare] = new("out of square", "no light at the try square", "a thread of light", "thin paper slides in at the far edge",
            "a card slides in", "leans, plain to the eye"),
        [FindingKind.Wind] = new("wind", "winding sticks in line", "a hair apart over the length", "plain between the sticks", "rocks on a flat plate",
            "twisted, seen without sticks"),
    };

    private static readonly Scale
        Teeth = new("worn teeth", "sharp and even", "dull, the points reflect light", "worn low or uneven", "some missing or broken", "a run of teeth gone"),
        MeshTeeth = new("chipped teeth", "all whole", "a corner nicked", "a tooth chipped at its end", "a tooth gone", "several gone, it skips"),
        Bruised = new("bruising", "faces crisp", "a nick that catches nothing", "burrs that mark a nut", "bruised along the whole lip",
            "beaten out of shape"),
        Thread = new("thread wear", "runs home by hand", "a little loose", "torn for a turn or two", "strips before it is tight", "no thread left to hold"),
        CuttingJaws = new("edge damage", "edges meet along their length", "dull, a thread of light between them", "small nicks",
            "a notch that dressing will not take out", "a piece broken out"),
        RustedTeeth = new("pitting", "no pits", "pin points, seen only against the light", "pits that catch a fingernail, away from the teeth",
            "pits along the teeth", "pits that reach the points"),
        PittedEdge = new("pitting", "no pits", "pin points, seen only against the light", "pits that catch a fingernail, away from the edge",
            "pits near the edge", "deep pits that reach the edge"),
        SplitWood = new("crack", "none", "a hairline along the grain", "opens when it is twisted", "right through, still holds together",
            "broken, or a piece gone"),
        Varnish = new("finish loss", "whole", "chips at the corners", "worn to the wood where hands go", "about half gone, flaking",
            "only traces in the corners"),
        Warp = new("warp", "straight", "seen only along a straightedge", "bowed or twisted, plain to the eye", "warped so far that it works badly", "past use"),
        Plate = new("bend", "straight", "a slight bow, seen along a straightedge", "a long bow that flexes out", "a kink that stays", "creased"),
        Struck = new("mushrooming", "struck end as made", "fibres pressed over", "a frayed lip", "split back from the end", "the end broken away"),
        Play = new("play", "none to feel", "a little play", "plain play, still holds", "so loose that it slips", "falls out"),
        ShortEdge = new("worn short", "full length", "used, most of it left", "about half left", "little left", "no hard steel left"),
        RoundJaws = new("jaw wear", "faces flat and square", "lips a little round", "rounded, a nut still holds", "spread or round, a nut slips",
            "a lip broken off"),
        ThinGrip = new("wear", "whole", "a little worn", "worn thin", "torn or hardened", "in shreds"),
        NoSlot = new("seizure", "free", "stiff, moves with oil", "moves with the right tool and force", "will not move after oil and a day",
            "will not move at all, slot or flats already spoiled");

    private static Scale Of(FindingKind kind, PartDef? part) => part is null ? Scales[kind] : (kind, part) switch
    {
        (FindingKind.EdgeDamage, var p) when p.Is(PartIds.Plate) => Teeth,
        (FindingKind.EdgeDamage, var p) when p.Is(Faults.Toothed) => MeshTeeth,
        (FindingKind.Burred, { IsFastener: false }) => Bruised,
        (FindingKind.Worn, { IsThreaded: true }) => Thread,
        (FindingKind.EdgeDamage, var p) when p.Is(PartIds.UpperJaw, PartIds.LowerJaw) => CuttingJaws,
        (FindingKind.Pitting, var p) when p.Is(PartIds.Plate) => RustedTeeth,
        (FindingKind.Pitting, { Material: Material.EdgeSteel }) => PittedEdge,
        (FindingKind.Crack, { Material: Material.Wood }) => SplitWood,
        (FindingKind.CoatingLoss, { Material: Material.Wood }) => Varnish,
        (FindingKind.Bent, { Material: Material.Wood }) => Warp,
        (FindingKind.Bent, var p) when p.Is(PartIds.Plate) => Plate,
        (FindingKind.Mushroomed, { Material: Material.Wood }) => Struck,
        (FindingKind.Looseness, var p) when p.Is(PartIds.SlidingJaw, PartIds.UpperJaw, PartIds.LowerJaw, PartIds.ChuckJaws, PartIds.Pivot, PartIds.Strap) =>
            Play,
        (FindingKind.Worn, var p) when p.Is(PartIds.FixedJaw, PartIds.SlidingJaw) => RoundJaws,
        (FindingKind.Worn, { Material: Material.EdgeSteel }) => ShortEdge,
        (FindingKind.Worn, { Material: Material.Soft }) => ThinGrip,
        (FindingKind.Seizure, { IsFastener: true }) => NoSlot,
        _ => Scales[kind],
    };

    /// <summary>Name of a kind of finding, on a part where it is known.</summary>
    public static string Name(FindingKind kind, PartDef? part = null) => Of(kind, part).Name;

    /// <summary>What each degree from 0 to 4 looks like, on a part where it is known.</summary>
    public static IReadOnlyList<string> Degrees(FindingKind kind, PartDef? part = null) => Of(kind, part).Degrees;

    /// <summary>What one degree looks like.</summary>
    /// <exception cref="InputException">A degree outside 0 to 4.</exception>
    public static string Sight(FindingKind kind, int degree, PartDef? part = null) => Of(kind, part).Degrees[(int)Check.Within(degree, 0, Worst, "severity")];

    /// <summary>The degree of a coating loss whose share was counted.</summary>
    /// <param name="share">Share gone, 0 to 1.</param>
    public static int CoatingDegree(double share) => Check.Within(share, 0, 1) switch { < 0.02 => 0, < 0.12 => 1, < 0.35 => 2, < 0.75 => 3, _ => 4 };
}
