namespace Foundling.Core.Gauges;

/// <summary>What each field of a gauge means, in one line, for those who fill it by hand.</summary>
public static class FieldWords
{
    private static readonly Dictionary<string, string> Words = new()
    {
        ["tank_l"] = "what the compressor's tank holds", ["high_bar"] = "pressure at which it switches off", ["low_bar"] = "pressure down to which the gun works",
        ["gun_l_min"] = "free air the gun takes a minute", ["delivery_l_min"] = "free air the compressor delivers a minute",
        ["displacement_l_min"] = "what its plate says it draws in a minute", ["stored_l"] = "free air a full tank gives",
        ["blast_seconds"] = "how long one pass may be", ["recovery_seconds"] = "how long the tank fills again", ["passes"] = "passes the area takes",
        ["blast_minutes"] = "minutes at the gun", ["total_minutes"] = "minutes with the waits for air", ["oil_within_minutes"] = "from the rinse to the oil",
        ["hits"] = "points that fell on what is counted", ["points"] = "all points counted",
        ["iron_kind"] = "one piece of steel, or a hard bit laid on soft iron", ["edge_to_slot_end_mm"] = "from the edge to the near end of the slot",
            ["edge_to_bit_line_mm"] = "from the edge to the line where the hard bit ends",
        ["edge_to_hard_end_mm"] = "from the edge to where a file begins to bite",
            ["planned_setback_mm"] = "what will be ground away first, to be past the pits",
        ["comparable_worth"] = "what an untouched one of its kind is worth", ["rarity"] = "how often one meets it",
            ["surface_lost_share"] = "share of the original surface that goes, 0 to 1",
        ["worth_at_aim_likely"] = "what it will most likely be worth when the work is done", ["materials_cost"] = "materials, parts and carriage",
            ["hour_rate"] = "what an hour of yours is counted at",
        ["selling_cost"] = "fee or stall rent", ["selling_cost_percent"] = "share of the price the sale costs", ["asking_price"] = "what is asked for it",
            ["steps_minutes"] = "one step on a line: low, likely and high minutes",
        ["book_likely_min"] = "minutes the book gives it, most likely", ["actual_min"] = "minutes it really took, one job on a line",
        ["acid"] = "which acid the bath is made with", ["volume_ml"] = "liquid wanted", ["target_percent"] = "strength wanted, by weight",
            ["stock_percent"] = "strength of what is in the bottle; none for crystals",
        ["acid_g"] = "acid put in", ["theoretical_g_iron_per_g_acid"] = "iron a gram of the acid can take up, from its data sheet", ["loads"] = "what went in",
        ["bath"] = "which bath", ["rust"] = "how heavy the rust is", ["temperature_c"] = "temperature of the bath",
            ["percent"] = "strength of the bath, by weight", ["spent"] = "share of the bath that is used up, 0 to 1",
        ["relative_humidity_percent"] = "air over the bench, for drying", ["out_by_hours"] = "when a part in the load must be out",
        ["share"] = "of the soak, where the rest comes off otherwise",
            ["room_temperature_c"] = "air in the room, where it differs from the bath",
        ["volume_l"] = "liquid in the tub", ["area_mm2"] = "surface of the load", ["supply_limit_a"] = "most the supply gives",
        ["thickness_mm"] = "of the steel, at the place measured", ["bevel_face_mm"] = "length of the ground bevel, heel to edge",
            ["bevel_deg"] = "ground bevel against the back",
        ["distance_behind_edge_mm"] = "how far behind the edge the thickness was taken", ["one_sided"] = "flat on one side",
        ["shim_mm"] = "thickness of the shim", ["edge_to_shim_mm"] = "from the edge to the shim",
            ["pits"] = "one pit on a line: how deep, and how far its far and near side are from the edge",
        ["bed_deg"] = "bed of the plane against the sole", ["secondary_bevel_deg"] = "honed bevel against the back",
            ["back_bevel_deg"] = "bevel honed on the back", ["bevel_up"] = "the bevel faces up, as in a block plane",
        ["width_mm"] = "across the edge, or across the sole", ["reserve_mm"] = "good steel left in the iron",
            ["chisel"] = "a chisel, whose whole back must be flat", ["lap_on"] = "what the back is lapped on", ["grind_on"] = "what the edge is ground on",
        ["sagitta_mm"] = "how far the corners lie behind the middle", ["shaving_mm"] = "thickness of the shaving that shall vanish at the corners",
            ["honings"] = "times honed since the last grind",
        ["mouth_mm"] = "opening in front of the edge now", ["iron_thicker_mm"] = "how much thicker the new iron is",
            ["frog_forward_mm"] = "how far the frog goes forward",
        ["face_loss_each_mm"] = "metal dressed off each jaw face", ["pivot_to_jaw_face_mm"] = "from the pivot to the middle of the jaw faces",
            ["pivot_to_stop_mm"] = "from the pivot to the stops",
        ["out_of_square_mm"] = "how far one corner leads the other", ["on"] = "what it is ground on",
        ["length_mm"] = "along the sole, toe to heel",
            ["points_mm"] = "one reading on a line: from the toe, from one long edge, and the height, sole facing up",
                ["mouth_front_mm"] = "front of the mouth, from the toe", ["purpose"] = "what the plane is for",
        ["stick_difference_mm"] = "how far the far winding stick stands out at its end", ["stick_length_mm"] = "length of the sticks",
            ["body_width_mm"] = "width of the stock", ["wear_deg"] = "slope of the throat in front of the iron",
        ["hollow_mm"] = "light under a straightedge along the sole",
        ["readings_mm"] = "three or more, one after another", ["direction"] = "which side of the target is good", ["target_mm"] = "what it should reach",
            ["resolution_mm"] = "least step of the instrument",
        ["reference_px"] = "two points of known distance on the picture, one on a line", ["reference_mm"] = "how far apart they are",
            ["outline_px"] = "corners of the part on the picture, one on a line",
    };

    /// <summary>The meaning of a field by its name in the open format; null when nothing is said.</summary>
    public static string? Of(string field) => Words.GetValueOrDefault(field);
}
