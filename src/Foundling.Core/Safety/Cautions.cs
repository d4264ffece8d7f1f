namespace Foundling.Core.Safety;

/// <summary>Cautions in two short sentences, shown at the step where the hurt would happen.</summary>
public static class Cautions
{
    /// <summary>A bare, sharp edge.</summary>
    public const string BareEdge = "A bare edge cuts without being felt. Cover it with tape or a strip of cork whenever it is not at the stone.";

    /// <summary>Acid baths.</summary>
    public const string Acid = "Acid and its mist hurt eyes and skin: goggles and gloves, in moving air. Never mix it with bleach, and follow the data sheet on the packet.";

    /// <summary>Neutral chelating baths.</summary>
    public const string Bath = "The bath is mild but a used one holds dissolved metal: gloves, and keep it from drains until local rules for its disposal are read. Cover it from children and pets.";

    /// <summary>Solvents for grease.</summary>
    public const string Solvent = "Solvent fumes burn and make dizzy: open the door, no flame or sparks near. Gloves on, and let the wet cloth dry flat outdoors.";

    /// <summary>Rags with drying oil.</summary>
    public const string OilyRags = "Rags wet with drying oil heat up and can set fire to a bin. Lay each one flat outdoors, or drown it in water, before leaving the shop.";

    /// <summary>Stuck screws.</summary>
    public const string StuckScrew = "A slipping driver goes into the hand that holds the work. Hold the part in the vice, and press down more than you turn.";

    /// <summary>Lapping.</summary>
    public const string Slurry = "The slurry hides fresh sharp arrises: keep fingertips above the edge of the sole. Wipe up wet, since the dust is not for breathing.";

    /// <summary>Bench grinder.</summary>
    public const string Grinder = "Face shield on, no gloves, sleeves tied back. Stand beside the wheel while it runs up, and dip before the steel colours.";

    /// <summary>Old paint.</summary>
    public const string OldPaint = "Old paint and japanning may hold lead: no dry sanding, wear a particle mask and wipe up wet. Ask your local authority where the waste goes.";

    /// <summary>Spraying.</summary>
    public const string Spray = "Spray mist harms lungs and catches fire: outdoors or with extraction, with the mask the can's data sheet names. No flame within reach.";

    /// <summary>Baking.</summary>
    public const string Oven = "Curing coats give off fumes: use an oven that is never used for food, in moving air. Let solvent flash off first, or it may ignite inside.";

    /// <summary>Wood dust.</summary>
    public const string WoodDust = "Rosewood and some other dusts make skin and lungs allergic: mask on, scrape rather than sand, sweep up damp.";

    /// <summary>Springs.</summary>
    public const string Spring = "A spring under tension flies at the face. Goggles on, and work inside a clear bag or under a cloth.";

    /// <summary>Brass polishing.</summary>
    public const string Polish = "Metal polish stings eyes and soaks through skin. Gloves on, and keep it from wood, which it blackens.";

    /// <summary>Wire brushing.</summary>
    public const string Wire = "Broken wires fly: goggles and a closed collar. Never wear gloves near a turning brush.";
}
