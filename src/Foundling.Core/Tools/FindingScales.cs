namespace Foundling.Core.Tools;

/// <summary>What can be wrong with a part.</summary>
public enum FindingKind
{
    /// <summary>Surface rust and scale.</summary>
    Rust,

    /// <summary>Pits.</summary>
    Pitting,

    /// <summary>Coating or finish gone.</summary>
    CoatingLoss,

    /// <summary>A crack or break.</summary>
    Crack,

    /// <summary>Loose.</summary>
    Looseness,

    /// <summary>Stuck.</summary>
    Seizure,

    /// <summary>Edge worn, chipped or burred.</summary>
    EdgeDamage,

    /// <summary>Not there.</summary>
    Missing,

    /// <summary>Screw slot or flats chewed, burrs raised.</summary>
    Burred,

    /// <summary>Struck end spread out.</summary>
    Mushroomed,

    /// <summary>Bent, kinked or sprung.</summary>
    Bent,

    /// <summary>Plating gone.</summary>
    PlatingLoss,

    /// <summary>An earlier repair or alteration.</summary>
    Repair,

    /// <summary>Paint that does not belong there.</summary>
    PaintSplash,

    /// <summary>Sap, tar, old grease.</summary>
    Sap,

    /// <summary>Damp or soft wood.</summary>
    Damp,

    /// <summary>Shavings or dirt packed in.</summary>
    Packed,

    /// <summary>Lock tabs bent.</summary>
    BentTab,

    /// <summary>A stamp or etched mark that should survive the work.</summary>
    Mark,
}

/// <summary>Written scales: each degree says what one would see.</summary>
public static class FindingScales
{
    /// <summary>Highest degree of every scale.</summary>
    public const int Worst = 4;

    private static readonly Dictionary<FindingKind, (string Name, string[] Degrees)> Scales = new()
    {
        [FindingKind.Rust] = ("rust", ["bright, or darkened and smooth", "a brown bloom that wipes off with oil", "brown all over, smooth to the nail", "crust that stands up and catches the nail", "scale that lifts in flakes"]),
        [FindingKind.Pitting] = ("pitting", ["no pits", "pin points, seen only against the light", "pits that catch a fingernail, away from the edge", "pits near an edge or across a working face", "deep pits that reach the edge"]),
        [FindingKind.CoatingLoss] = ("coating loss", ["whole", "chips at corners and screws", "worn to metal where hands go", "about half gone, edges lifting", "only traces in the corners"]),
        [FindingKind.Crack] = ("crack", ["none", "a hairline that does not open", "opens under light pressure", "right through, pieces still together", "broken, pieces apart"]),
        [FindingKind.Looseness] = ("looseness", ["firm", "moves when pushed hard", "rocks in the hand", "turns or slides freely", "falls off"]),
        [FindingKind.Seizure] = ("seizure", ["free", "stiff, moves with oil", "moves with the right tool and force", "will not move after oil and a day", "will not move at all, slot or flats already spoiled"]),
        [FindingKind.EdgeDamage] = ("edge damage", ["sharp", "dull, reflects light", "small nicks, edge not square", "chips a honing will not take out", "broken corner or burred right back"]),
        [FindingKind.Burred] = ("burring", ["slots and flats crisp", "corners a little rounded", "slot widened, a driver still bites", "slot nearly gone, a driver slips", "nothing left to turn it by"]),
        [FindingKind.Mushroomed] = ("mushrooming", ["struck end as made", "edge turned over a hair", "lip that catches the finger", "lip rolled well over", "split or flaking where it was struck"]),
        [FindingKind.Bent] = ("bend", ["straight", "seen only along a straightedge", "seen by eye, springs back when pressed", "stays bent, works badly", "kinked or creased"]),
        [FindingKind.PlatingLoss] = ("plating loss", ["whole", "thin at the corners", "worn through where hands go", "lifting at the edges", "mostly gone, iron rusting under it"]),
        [FindingKind.Repair] = ("earlier repair", ["none seen", "neat, does its work", "plain to see, holds", "changes how it works", "done badly, must come out"]),
        [FindingKind.PaintSplash] = ("paint splashes", ["none", "specks", "drips on one face", "whole part brushed over", "thick coats over marks and threads"]),
        [FindingKind.Sap] = ("sap or grease", ["clean", "a film", "sticky, brown", "hard crust that takes a scraper", "cakes the moving parts solid"]),
        [FindingKind.Damp] = ("damp wood", ["dry", "feels cold to the cheek", "dark, swollen at the end grain", "soft to the nail", "crumbles"]),
        [FindingKind.Packed] = ("packing", ["clear", "dust in the corners", "shavings under the cap", "jammed so that parts do not seat", "rusted or glued in place"]),
        [FindingKind.BentTab] = ("lock tabs", ["as made", "bent up once", "bent more than once, cracking", "one broken", "gone"]),
        [FindingKind.Mark] = ("mark to keep", ["none seen", "crisp and deep", "worn, still read", "faint, read in raking light", "a shadow under the rust"]),
        [FindingKind.Missing] = ("missing", ["all there", "a small common piece gone", "a piece gone that can be made", "a piece gone that must be found", "gone, and the tool cannot work without it"]),
    };

    /// <summary>Name of a kind of finding.</summary>
    public static string Name(FindingKind kind) => Scales[kind].Name;

    /// <summary>What each degree from 0 to 4 looks like.</summary>
    public static IReadOnlyList<string> Degrees(FindingKind kind) => Scales[kind].Degrees;

    /// <summary>What one degree looks like.</summary>
    /// <exception cref="InputException">A degree outside 0 to 4.</exception>
    public static string Sight(FindingKind kind, int degree) => Scales[kind].Degrees[(int)Check.Within(degree, 0, Worst, "severity")];

    /// <summary>The degree of a coating loss whose share was counted.</summary>
    /// <param name="share">Share gone, 0 to 1.</param>
    public static int CoatingDegree(double share) => Check.Within(share, 0, 1) switch { < 0.02 => 0, < 0.12 => 1, < 0.35 => 2, < 0.75 => 3, _ => 4 };

    /// <summary>Kinds of finding that make sense for a part.</summary>
    public static IEnumerable<FindingKind> For(PartDef part)
    {
        if (part.Ferrous)
        {
            yield return FindingKind.Rust;
            yield return FindingKind.Pitting;
        }
        if (part.Finish != PartFinish.Bare)
        {
            yield return FindingKind.CoatingLoss;
        }
        yield return FindingKind.Crack;
        yield return FindingKind.Looseness;
        if (part.Material is not (Material.Wood or Material.Soft))
        {
            yield return FindingKind.Seizure;
        }
        if (part.Material == Material.EdgeSteel)
        {
            yield return FindingKind.EdgeDamage;
        }
        yield return FindingKind.Missing;
        if (part.Finish == PartFinish.Plated || (part.IsFastener && part.Ferrous))
        {
            yield return FindingKind.PlatingLoss;
        }
        if (part.IsFastener)
        {
            yield return FindingKind.Burred;
            yield return FindingKind.BentTab;
        }
        yield return FindingKind.Bent;
        yield return FindingKind.Mark;
        if (part.Material is Material.Wood or Material.Steel or Material.EdgeSteel)
        {
            yield return FindingKind.Mushroomed;
        }
        yield return FindingKind.Repair;
        yield return FindingKind.PaintSplash;
        yield return FindingKind.Sap;
        yield return FindingKind.Packed;
        if (part.Material == Material.Wood)
        {
            yield return FindingKind.Damp;
        }
    }
}
