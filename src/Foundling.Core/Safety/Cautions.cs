namespace Foundling.Core.Safety;

/// <summary>One caution: its key, what it is about, and two short sentences with what to do.</summary>
/// <param name="Id">Key.</param>
/// <param name="About">What it is about.</param>
/// <param name="Text">Two short sentences.</param>
public sealed record Caution(CautionId Id, string About, string Text);

/// <summary>
/// Cautions in two short sentences, shown at the step where the hurt would happen. A deed names them by their keys.
/// </summary>
public static class Cautions
{
    /// <summary>Every caution.</summary>
    public static IReadOnlyList<Caution> All { get; } =
    [
        new(CautionId.BareEdge, "a bare, sharp edge",
            "A bare edge cuts without being felt. Cover it with tape or a strip of cork whenever it is not at the stone."),
        new(CautionId.Acid, "acid baths",
            "Acid and its mist hurt eyes and skin: goggles and gloves, in moving air. Never mix it with bleach, and follow the data sheet on the packet."),
        new(CautionId.Bath, "neutral chelating baths",
            "The bath is mild but a used one holds dissolved metal: gloves, and keep it from drains until local rules for its disposal are read. Cover it "
                + "from children and pets."),
        new(CautionId.Solvent, "solvents for grease",
            "Solvent fumes burn and make dizzy: open the door, no flame or sparks near. Gloves on, and let the wet cloth dry flat outdoors."),
        new(CautionId.OilyRags, "rags with drying oil",
            "Rags wet with drying oil heat up and can set fire to a bin. Lay each one flat outdoors, or drown it in water, before leaving the shop."),
        new(CautionId.Driers, "oil with driers",
            "Boiled oil holds metal driers that go through the skin. Gloves on, fresh air, and wash before eating."),
        new(CautionId.Scraper, "a blade used as a scraper",
            "A blade that skids goes into the hand in front of it. Clamp the part, and push away from whatever holds it."),
        new(CautionId.Bending, "metal bent cold",
            "Old metal may snap in the vice without a sign, and a piece flies. Eye shield on, face out of the line, and stop at the first sound."),
        new(CautionId.SwungEdge, "a swung edge",
            "A glancing blow ends in the leg. Feet apart and out of its line, nobody in reach, and see first that the head sits tight."),
        new(CautionId.DrivenEdge, "an edge under force",
            "An edge that slips goes on as far as the arm reaches. Clamp the work, keep both hands behind the edge and the body out of its way."),
        new(CautionId.FlyingEnds, "cut ends that fly",
            "A cut end leaves the jaws like a shot. Eye shield on, the loose end turned to the floor, nobody in its line."),
        new(CautionId.StuckScrew, "stuck screws",
            "A slipping driver goes into the hand that holds the work. Hold the part in the vice, and press down more than you turn."),
        new(CautionId.Slurry, "lapping",
            "The slurry hides fresh sharp arrises: keep fingertips above the edge of the sole. Wipe up wet, since the dust is not for breathing."),
        new(CautionId.Grinder, "bench grinder",
            "Face shield on, no gloves, sleeves tied back. Stand beside the wheel while it runs up, and dip before the steel colours."),
        new(CautionId.OldPaint, "old paint",
            "Old paint and japanning may hold lead: no dry sanding, wear a particle mask and wipe up wet. Ask your local authority where the waste goes."),
        new(CautionId.Spray, "spraying",
            "Spray mist harms lungs and catches fire: outdoors or with extraction, with the mask the can's data sheet names. No flame within reach."),
        new(CautionId.Oven, "baking",
            "Curing coats give off fumes: use an oven that is never used for food, in moving air. Let solvent flash off first, or it may ignite inside."),
        new(CautionId.WoodDust, "wood dust",
            "Rosewood and some other dusts make skin and lungs allergic, often for good. Mask on, scrape rather than sand, sweep up damp."),
        new(CautionId.Spring, "springs",
            "A spring under tension flies at the face. Goggles on, and work inside a clear bag or under a cloth."),
        new(CautionId.Strung, "a strung frame",
            "A toggle under tension whips round, and wood or cord may let go at once. Keep a hand round it and the face aside, and wind no further than it "
                + "needs."),
        new(CautionId.Polish, "brass polishing",
            "Metal polish stings eyes and soaks through skin. Gloves on, and keep it from wood, which it blackens."),
        new(CautionId.Wire, "wire brushing",
            "Broken wires fly: goggles and a closed collar. Never wear gloves near a turning brush."),
        new(CautionId.Torch, "torch and heat on stuck parts",
            "Penetrating oil burns: wipe every trace off and let it dry before any flame is near. Work on a bare bench with an extinguisher in reach, and "
                + "not at all on plated, soldered or spring parts."),
        new(CautionId.Chlorinated, "chlorinated solvents",
            "Some brake and dip cleaners hold chlorinated solvent, which turns into poison gas at heat. Read the can, and never weld, torch or bake a part "
                + "that was cleaned with one."),
        new(CautionId.Blasting, "blasting",
            "Blasting dust harms lungs for good, silica sand most of all: closed cabinet, extraction and the mask the medium's data sheet names. Never sand."),
        new(CautionId.Cadmium, "cadmium on plated fasteners",
            "Dull yellow or white plating on screws may be cadmium, which is poisonous as dust and in acid. Do not grind, heat or soak it; hand it to a "
                + "hazardous-waste point."),
        new(CautionId.Electrolysis, "electrolysis",
            "Electrolysis gives off hydrogen: outdoors or in moving air, no flame or spark, power off before touching. The anode is plain iron, never "
                + "stainless steel, which makes poisonous chromium."),
        new(CautionId.Shatter, "hardened parts under a hammer",
            "Hardened steel struck by hardened steel throws splinters. Eye shield on, strike with soft metal or wood, never head to head."),
        new(CautionId.Rotating, "strips of abrasive and gloves near turning work",
            "A strip of abrasive or a glove that catches on turning work takes the fingers along. Short strips held by their ends, no gloves, no loose "
                + "sleeves."),
        new(CautionId.Heavy, "heavy bodies",
            "A casting that slips crushes fingers. Lift it with both hands, set it on wood, and keep fingers from under the edge."),
        new(CautionId.Teeth, "saw teeth",
            "Saw teeth cut whoever wipes towards them. Cover the tooth line with a slotted strip and wipe along the plate, away from the teeth."),
        new(CautionId.Epoxy, "epoxy and instant adhesives",
            "Uncured epoxy makes skin allergic, often for life. Nitrile gloves, fresh air, and follow its data sheet."),
        new(CautionId.Stripper, "paint strippers",
            "Stripper burns skin and eyes and its fumes are harmful: goggles, the gloves its data sheet names, outdoors. Old paint in the sludge may hold "
                + "lead, so it goes to the waste point."),
    ];

    /// <summary>The cautions of these keys, each once.</summary>
    public static IReadOnlyList<Caution> Of(IEnumerable<CautionId> ids) => [.. ids.Distinct().Select(id => All.First(c => c.Id == id))];

    /// <summary>The same in one run of words.</summary>
    public static string Words(IEnumerable<CautionId> ids) => string.Join(" ", Of(ids).Select(c => c.Text));
}
