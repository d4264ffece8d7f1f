using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Origin;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Data.Demo;

/// <summary>One demo tool: what is known of it and how far it has come.</summary>
internal sealed record DemoTag(int Number, KindId Kind, string Name, int DaysAgo, AimKind? Aim, double Done, Weathering Looks)
{
    public double? LengthMm { get; init; }

    public double? IronWidthMm { get; init; }

    public double? SoleWidthMm { get; init; }

    public double? MouthFrontMm { get; init; }

    public SolePurpose? Purpose { get; init; }

    public string Source { get; init; } = "";

    public decimal? Price { get; init; }

    public string Owner { get; init; } = "Skerrow Slip";

    public string OwnersMark { get; init; } = "";

    public string Story { get; init; } = "";

    public int? PromisedInDays { get; init; }

    public string? KnownLine { get; init; }

    public (string Trait, string Variant, Confidence Confidence)[] Seen { get; init; } = [];

    public ToolBuild Built { get; init; } = ToolBuild.AsMade;

    public (PartId Part, FindingKind Kind, int Degree, string Note)[] Wrong { get; init; } = [];

    public (StepKey Step, double Hours, double? LookIn, double Ready, double? OutBy)? Standing { get; init; }

    /// <summary>Everything before its soak is done.</summary>
    public bool Washed { get; init; }

    public string Wish { get; init; } = "";

    public decimal? WorthSound { get; init; }

    public Core.Aim.Rarity? Rarity { get; init; }

    public string[] Ways { get; init; } = [];

    public (KinLook Colour, KinLook Shadow, KinLook Fit)? Kin { get; init; }

    public (PartId Part, int ArrivesInDays)? OnOrder { get; init; }

    public bool Surveyed { get; init; }

    public double[] AsFoundMm { get; init; } = [];

    public double[] ProvedMm { get; init; } = [];

    public (int Hits, int Points)? Counted { get; init; }

    /// <summary>How it looks after the work, for a second picture from the same place.</summary>
    public Weathering? After { get; init; }

    public (PartId Part, MeasureId Kind, double Value, Instrument With)[] Measured { get; init; } = [];

    public (PartId Part, FindingKind Kind, int Degree, string Note)[] AfterWash { get; init; } = [];

    public (AsFoundTry Did, string Note)? Tried { get; init; }
}

/// <summary>The tool loft of the boatyard at Skerrow Slip. Every maker, place and person is invented.</summary>
internal static class DemoTags
{
    private const Confidence Sure = Confidence.Sure, Likely = Confidence.Likely, Unsure = Confidence.Unsure;

    public static IReadOnlyList<DemoTag> All { get; } =
    [
        new(17, KindIds.MetalBenchPlane, "Smoothing plane, Pellow & Tarn", 96, AimKind.Work, 1, new(17, 0.52, 0.3, 12))
        {
            After = new(17, 0.03, 0.04, 5),
            LengthMm = 248, IronWidthMm = 50.7, SoleWidthMm = 63, MouthFrontMm = 77, Purpose = SolePurpose.Smoothing, Source = "Loft, back shelf",
            Story = "Used on the ribs of the yawl; came back into service this autumn.",
            Seen = [("side_wing", "peaked", Sure), ("heel_edge", "rounded_heel", Sure), ("wheel", "large_brass", Sure), ("knob_form", "tall_ball", Sure),
                ("cap_hole", "pear", Likely)],
            Wrong = [(PartIds.Body, FindingKind.Rust, 2, "cheeks"), (PartIds.Tote, FindingKind.Looseness, 2, "turns on its rod"),
                (PartIds.Iron, FindingKind.EdgeDamage, 1, "")],
            AsFoundMm = [0.19, 0.23, 0.21], ProvedMm = [0.031, 0.034, 0.03, 0.036, 0.033],
        },
        new(19, KindIds.MetalBenchPlane, "Try plane, Pellow & Tarn", 41, AimKind.Work, 0.62, new(19, 0.32, 0.28, 14))
        {
            LengthMm = 559, IronWidthMm = 60.1, SoleWidthMm = 76, MouthFrontMm = 178, Purpose = SolePurpose.Try, Source = "Chandler's clearance, Orlass Quay",
            Built = ToolBuild.AsMade.With(FeatureIds.Sole, FormIds.Corrugated).With(FeatureIds.FrogScrew, FormIds.NoFrogScrew),
            Price = 38, OwnersMark = "T. HOLLIS", Story = "Stood on a window sill for years. Wanted for the new rudder blade.",
            Seen = [("side_wing", "low_arc", Sure), ("cast_number", "ahead_of_knob", Sure), ("frog_top", "rounded", Likely), ("cap_hole", "round", Sure),
                ("iron_mark", "straight_name", Sure), ("knob_form", "low_bun", Sure)],
            Wrong = [(PartIds.Body, FindingKind.Rust, 3, "toe and cheeks"), (PartIds.Body, FindingKind.CoatingLoss, 2, "behind the frog"),
                (PartIds.Body, FindingKind.OutOfFlat, 2, "light under the straightedge from mouth to heel"), (PartIds.Iron, FindingKind.Pitting, 2,
                "20 mm from the edge"), (PartIds.Adjuster, FindingKind.Seizure, 1, ""), (PartIds.Iron, FindingKind.EdgeDamage, 2, "two nicks"),
                (PartIds.Knob, FindingKind.Looseness, 2, "turns, though its screw is tight")],
            AsFoundMm = [0.34, 0.28, 0.41], Counted = (31, 96), Measured = [(PartIds.Knob, MeasureIds.HandleGap, 1.1, Instrument.Feeler)], WorthSound = 110,
            Rarity = Core.Aim.Rarity.Common,
        },
        new(22, KindIds.HandSaw, "Hand saw, Quillan, 26 in", 35, AimKind.Work, 0.62, new(22, 0.45, 0, 8))
        {
            LengthMm = 660, Source = "House sale at Brannoch", Price = 9, Story = "Faint etch under the brown; the plate rings true.",
            Seen = [("nut_form", "domed_split", Sure), ("plate_etch", "scroll_etch", Unsure), ("handle_horn", "short_horn", Sure), ("handle_wood", "apple",
                Likely), ("badge", "heron", Sure), ("nib", "nib", Sure), ("nut_count", "four", Sure)],
            Wrong = [(PartIds.Plate, FindingKind.Rust, 2, "both sides"), (PartIds.Plate, FindingKind.Mark, 2, "etch near the middle"),
                (PartIds.Handle, FindingKind.CoatingLoss,
                3, ""), (PartIds.SawNuts, FindingKind.Looseness, 1, "")],
        },
        new(24, KindIds.BoltCutter, "Bolt cutter, 18 in", 28, AimKind.Work, 0.35, new(24, 0.4, 0.35, 10))
        {
            LengthMm = 457, Source = "Found in the mast store", Owner = "Piet Varrow", Story = "Piet wants it back for the mooring chain.", PromisedInDays = 9,
            Wrong = [(PartIds.UpperJaw, FindingKind.Rust, 3, ""), (PartIds.LowerJaw, FindingKind.EdgeDamage, 3, "chip 2 mm wide"),
                (PartIds.Pivot, FindingKind.Seizure, 2, ""),
                (PartIds.Strap, FindingKind.Rust, 2, "")],
        },
        new(27, KindIds.Drawknife, "Drawknife, Hexholm Forge", 22, AimKind.Work, 0.8, new(27, 0.12, 0, 3))
        {
            LengthMm = 367, Source = "Maud's shed", Owner = "Maud Aldous", OwnersMark = "M A",
            Story = "Her father shaped oars with it. One handle turned on its tang.", PromisedInDays = 4,
            Seen = [("forge_stamp", "anvil", Sure), ("edge_handle", "bead", Sure), ("ferrule", "drawn", Sure), ("handle_timber", "ash", Likely),
                ("handle_label", "no_label", Unsure)],
            Wrong = [(PartIds.Blade, FindingKind.Rust, 2, ""), (PartIds.HandleLeft, FindingKind.Looseness, 3, "turns on the tang"),
                (PartIds.Blade, FindingKind.EdgeDamage, 1,
                "")],
            Standing = (StepKey.WoodWipe, 22, null, 24, null), Ways = ["wood=oil"],
        },
        new(31, KindIds.MetalBenchPlane, "Smoothing plane, Pellow & Tarn", 15, AimKind.Work, 0.42, new(31, 0.38, 0.43, 12))
        {
            Ways = ["wood=oil"],
            LengthMm = 245, IronWidthMm = 50.9, SoleWidthMm = 60, MouthFrontMm = 80, Purpose = SolePurpose.Smoothing,
            Source = "Market at Orlass Quay, end stall", Price = 14, Story = "Nameless under the grease. Bought for the boatbuilding class.",
            Seen = [("side_wing", "peaked", Sure), ("heel_edge", "rounded_heel", Sure), ("cast_number", "behind_frog", Sure), ("wheel", "large_brass", Sure),
                ("cap_hole", "pear", Likely), ("cap_stamp", "plain", Likely), ("knob_form", "low_bun", Sure), ("tote_fixing", "rod_and_toe_screw", Sure),
                ("iron_mark", "boxed_name", Sure)],
            Wrong =
            [
                (PartIds.Body, FindingKind.CoatingLoss, 3, "gone in patches, edges lifting"),
                    (PartIds.LeverCap, FindingKind.CoatingLoss, 2, "plating rough, sound"),
                    (PartIds.Body, FindingKind.Rust, 2, "cheeks and sole"),
                (PartIds.Knob, FindingKind.Looseness, 2, "will not draw down, gap 1.4 mm"), (PartIds.Tote, FindingKind.Crack, 4, "clean break at the waist"),
                    (PartIds.Adjuster, FindingKind.Seizure, 1, "stiff, moves with oil"),
                (PartIds.Iron, FindingKind.Pitting, 3, "two pits near the edge"), (PartIds.Frog, FindingKind.Rust, 2, "seat"),
                    (PartIds.Iron, FindingKind.EdgeDamage, 2,
                    "out of square 1.6 mm"),
            ],
            Surveyed = true, AsFoundMm = [0.28, 0.31, 0.22], Counted = (36, 84),
            Measured = [(PartIds.Iron, MeasureIds.EdgeToSlot, 34, Instrument.Rule),
                (PartIds.Iron, MeasureIds.Thickness, 2.05, Instrument.Caliper),
                (PartIds.Frog, MeasureIds.Rock, 0.08, Instrument.Feeler),
                (PartIds.Knob, MeasureIds.HandleGap, 1.4, Instrument.Feeler)],
            AfterWash = [(PartIds.LeverCap, FindingKind.CoatingLoss, 1, "most of it was dirt")],
            Tried = (AsFoundTry.Badly, "chatters and tracks at the corners; frog far back, cap set 4 mm behind the edge"),
        },
        new(33, KindIds.Spokeshave, "Spokeshave, flat sole", 12, AimKind.Keep, 0.3, new(33, 0.3, 0.2, 6))
        {
            LengthMm = 251, IronWidthMm = 53, Source = "Lent by the museum at Tarn Head", Owner = "Piet Varrow",
            Story = "Scarce; the loft would stabilise it and show it.", Wish = "Like new, please, bright all over.", WorthSound = 160,
            Rarity = Core.Aim.Rarity.Scarce,
            Wrong = [(PartIds.Body, FindingKind.Rust, 1, ""), (PartIds.Body, FindingKind.CoatingLoss, 1, "grips"), (PartIds.Iron, FindingKind.Rust, 2, "")],
        },
        new(35, KindIds.BackSaw, "Back saw, 12 in", 9, AimKind.Work, 0.35, new(35, 0.5, 0, 6))
        {
            LengthMm = 305, Source = "Box of odds, Brannoch", Price = 6, Story = "A faint mark under dark rust near the back.",
            Wrong = [(PartIds.Plate, FindingKind.Rust, 3, "dark"), (PartIds.Plate, FindingKind.Mark, 4, "an etch, only a shadow"),
                (PartIds.Plate, FindingKind.EdgeDamage, 2,
                "worn unevenly"), (PartIds.Handle, FindingKind.CoatingLoss, 2, ""), (PartIds.SawNuts, FindingKind.Looseness, 2, "")],
        },
        new(38, KindIds.AdjustableWrench, "Adjustable wrench, Ottermere", 6, AimKind.Work, 0.2, new(38, 0.55, 0, 16))
        {
            LengthMm = 253, Source = "Bilge of the old ferry", Story = "Play in the jaw, 1.2 mm at the tip.",
            Seen = [("jaw_back", "rounded", Sure), ("wrench_knurl", "diamond", Sure), ("handle_hole", "round", Unsure)],
            Wrong = [(PartIds.SlidingJaw, FindingKind.Looseness, 2, "1.2 mm play"), (PartIds.Frame, FindingKind.Rust, 3, ""),
                (PartIds.Knurl, FindingKind.Seizure, 1, "stiff"),
                (PartIds.Handle, FindingKind.Rust, 3, "")],
            Measured = [(PartIds.SlidingJaw, MeasureIds.Play, 1.2, Instrument.Feeler)], Standing = (StepKey.Soak, 9, 3, 17, 48),
        },
        new(40, KindIds.WoodenBenchPlane, "Jack plane, Fennick Garth", 3, AimKind.Keep, 0, new(40, 0.25, 0, 2))
        {
            LengthMm = 432, IronWidthMm = 57, Source = "Left on the loft steps", Story = "No note with it. Wedge and iron may not belong together.",
            KnownLine = "fennick_garth_wood",
            Seen = [("chamfer", "narrow_flat", Sure), ("name_stamp", "plain_name", Sure), ("plane_tote", "open", Sure), ("strike", "wood_button", Likely),
                ("wedge_head", "elliptical", Likely), ("iron_top", "square", Sure), ("iron_stamp", "tempered", Likely)],
            Wrong = [(PartIds.Iron, FindingKind.Rust, 2, ""), (PartIds.Body, FindingKind.Crack, 1, "hairline at the heel")],
        },
        new(20, KindIds.BlockPlane, "Block plane, Pellow & Tarn", 38, AimKind.Own, 0.4, new(20, 0.08, 0.05, 2))
        {
            LengthMm = 158, IronWidthMm = 41, SoleWidthMm = 48, Purpose = SolePurpose.Block, Source = "Loft, drawer of the long bench",
            Story = "The loft dresses what stays here in its own blue.", WorthSound = 35, Rarity = Core.Aim.Rarity.Common,
            Wrong = [(PartIds.Body, FindingKind.CoatingLoss, 1, "sound but dull"), (PartIds.Iron, FindingKind.EdgeDamage, 1, ""),
                (PartIds.Body, FindingKind.Rust, 1, "sole")],
        },
        new(25, KindIds.HandDrill, "Hand drill, Dunmarrow", 26, AimKind.Work, 0.3, new(25, 0.3, 0.3, 8))
        {
            LengthMm = 320, Source = "House sale at Brannoch", Price = 7,
            Story = "Runs, but the crank wobbles: its screw is gone, and no screw in the box fits.", WorthSound = 45, Rarity = Core.Aim.Rarity.Common,
            Wrong = [(PartIds.CrankScrew, FindingKind.Missing, 2, "thread odd: 24 to the inch, under a quarter across"), (PartIds.Gear, FindingKind.Sap, 3,
                "caked grease"), (PartIds.Frame, FindingKind.CoatingLoss, 2, "red, worn at the grip"), (PartIds.Chuck, FindingKind.PlatingLoss, 2, "")],
        },
        new(28, KindIds.Brace, "Brace, Dunmarrow, 10 in sweep", 20, AimKind.Work, 0.2, new(28, 0.35, 0, 9))
        {
            Washed = true,
            LengthMm = 378, Source = "Market at Orlass Quay, end stall", Price = 5,
            Story = "Bought for its head. The chuck shell has not turned in living memory.", WorthSound = 30, Rarity = Core.Aim.Rarity.Common,
            Wrong = [(PartIds.Chuck, FindingKind.Seizure, 3, "shell will not turn after oil and a night"), (PartIds.Frame, FindingKind.PlatingLoss, 3, ""),
                (PartIds.Ratchet, FindingKind.Packed, 2, ""), (PartIds.Frame, FindingKind.Rust, 2, "where the plate is gone")],
        },
        new(30, KindIds.PloughPlane, "Plough, Fennick Garth, with irons", 17, AimKind.Work, 0.25, new(30, 0.15, 0, 3))
        {
            Washed = true,
            LengthMm = 197, Source = "Chest from the old rigging loft", Owner = "Maud Aldous",
            Story = "Six of eight irons in the roll; one of the missing is coming from a dealer in Tarn Head.", WorthSound = 95,
            Rarity = Core.Aim.Rarity.Uncommon,
            Wrong = [(PartIds.Set(4), FindingKind.Missing, 2, ""), (PartIds.Set(7), FindingKind.Missing, 2, "ordered"), (PartIds.Iron, FindingKind.Rust, 2, ""),
                (PartIds.Iron, FindingKind.EdgeDamage, 1, ""), (PartIds.DepthStop, FindingKind.Seizure, 1, "sticks")], OnOrder = (PartIds.Set(7), 11),
        },
        new(36, KindIds.RebatePlane, "Rebate plane, skewed wedge", 8, AimKind.Work, 0.15, new(36, 0.12, 0, 3))
        {
            LengthMm = 240, IronWidthMm = 38, SoleWidthMm = 38, Source = "Left on the loft steps",
            Story = "Jams at the first stroke. The wedge is paler than the body and stops short of the throat.", WorthSound = 25,
            Rarity = Core.Aim.Rarity.Common,
            Wrong = [(PartIds.Body, FindingKind.Wind, 2, ""), (PartIds.Body, FindingKind.OutOfFlat, 1, "hollow at the mouth"),
                (PartIds.Iron, FindingKind.EdgeDamage, 1, "")],
            Measured = [(PartIds.Body, MeasureIds.Wind, 0.8, Instrument.Rule)], Kin = (KinLook.Clash, KinLook.Clash, KinLook.Clash),
            Tried = (AsFoundTry.Badly, "jams under the wedge"),
        },
        new(42, KindIds.Chisel, "Paring chisel, Hexholm Forge", 1, null, 0, new(42, 0.35, 0, 9))
        {
            LengthMm = 284, IronWidthMm = 25, Source = "Maud's shed", Owner = "Maud Aldous",
            Story = "Pits on the back; about nine millimetres of hard steel left.",
            Wrong = [(PartIds.Blade, FindingKind.Rust, 2, "back"), (PartIds.Blade, FindingKind.Pitting, 3, "back"),
                (PartIds.Handle, FindingKind.Mushroomed, 3, "")],
            Measured = [(PartIds.Blade, MeasureIds.EdgeToHardEnd, 9, Instrument.Rule)],
        },
    ];
}
