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

    /// <summary>Woodworm, dead or alive.</summary>
    Worm,

    /// <summary>Lock tabs bent.</summary>
    BentTab,

    /// <summary>A stamp or etched mark that should survive the work.</summary>
    Mark,

    /// <summary>Used up: a short iron, round jaws, a thin grip.</summary>
    Worn,

    /// <summary>A sole, cheek or seat hollow or round.</summary>
    OutOfFlat,

    /// <summary>A cheek that leans against the sole.</summary>
    OutOfSquare,

    /// <summary>A sole twisted along its length.</summary>
    Wind,
}
