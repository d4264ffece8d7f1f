using System.Globalization;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Shop;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Gauges;

/// <summary>A gauge that answers a question of a step, filled in as far as the tag knows.</summary>
/// <param name="About">What it answers here.</param>
/// <param name="Gauge">The gauge.</param>
/// <param name="Values">Its fields by name, as they would be typed.</param>
public sealed record StepGauge(string About, Gauge Gauge, IReadOnlyList<(string Name, string Value)> Values)
{
    /// <summary>Address of the gauge with its fields filled in.</summary>
    public string Address => $"/gauges/{Gauge.File}/{Gauge.Calculation}"
        + (Values.Count > 0 ? "?" + string.Join('&', Values.Select(v => $"{v.Name}={Uri.EscapeDataString(v.Value)}")) : "");
}

/// <summary>Which gauges belong to which step.</summary>
public static class StepGauges
{
    /// <summary>The gauges of a step.</summary>
    /// <param name="facts">What is known of the tool.</param>
    /// <param name="ways">Ways chosen for it.</param>
    /// <param name="step">The step.</param>
    /// <param name="shop">The shop it is worked in.</param>
    public static IReadOnlyList<StepGauge> For(Facts facts, IReadOnlyDictionary<ChoiceId, WayId> ways, Deed step, ShopContext shop) => step.Room switch
    {
        DeedRoom.Edges => OfEdges(facts, ways, step, shop.Assumptions),
        DeedRoom.Soles => OfSoles(facts, step, shop.Assumptions),
        _ => [],
    };

    private static IReadOnlyList<StepGauge> OfEdges(Facts facts, IReadOnlyDictionary<ChoiceId, WayId> ways, Deed step, Assumptions a)
    {
        ToolKind tool = facts.Tool;
        PartId edge = tool.Edges.FirstOrDefault()?.Id ?? PartId.None;
        double thickness = facts.Measured(MeasureIds.Thickness, edge) ?? a.UsualIronMm, width = facts.EdgeWidthMm(a), bed = tool.BedDeg;
        StepGauge Bevel(string about) => Make("edges", "bevel", about, ("thickness_mm", thickness),
            ("bevel_face_mm", Math.Round(thickness / Math.Sin(a.UsualBevelDeg * Math.PI / 180), 1)));
        StepGauge regrind = Make("edges", "secondary_bevel", "When the next regrind is due", ("bevel_deg", a.UsualBevelDeg),
            ("secondary_bevel_deg", a.UsualSecondaryDeg), ("thickness_mm", thickness), ("honings", 10));
        return step.Id.Step switch
        {
            StepKey.EdgeHone or StepKey.FinalHone when tool.Edge == EdgeForm.TwoBevels =>
                [Make("edges", "knife_angle", "The angle behind the edge", ("thickness_mm", thickness), ("distance_behind_edge_mm", 6))],
            StepKey.EdgeHone when tool.HasBed =>
            [
                Make("edges", "angles", "Cutting angle and clearance", ("bed_deg", bed), ("bevel_deg", a.UsualBevelDeg),
                    ("secondary_bevel_deg", a.UsualSecondaryDeg), ("bevel_up", tool.BevelUp)),
                regrind,
                .. Camber(facts, ways, width, bed),
            ],
            StepKey.EdgeHone => [regrind],
            StepKey.EdgeGrind when tool.Edge != EdgeForm.TwoBevels =>
            [
                .. facts.Measured(MeasureIds.OutOfSquare, edge) is double off
                    ? [Make("edges", "square_up", "Metal and minutes to square it", ("width_mm", width), ("thickness_mm", thickness), ("out_of_square_mm",
                        off))]
                    : Array.Empty<StepGauge>(),
                Bevel("The bevel from its face"),
            ],
            StepKey.EdgeSave =>
            [
                // The bench of the edge has the pits of the tag, and the routes past them.
                .. EdgeFacts.HasSection(tool) ? [Bevel("Routes past the pits")] : Array.Empty<StepGauge>(), .. Reserve(facts, edge, a),
            ],
            StepKey.SetMouth =>
            [
                Make("edges", "mouth", "What the mouth becomes", ("bed_deg", bed),
                    ("mouth_mm", facts.Measured(MeasureIds.Mouth, PartIds.Body) ?? a.UsualMouthMm), ("frog_forward_mm", 0.3), ("bevel_up", tool.BevelUp)),
            ],
            StepKey.JawDress or StepKey.SetStops =>
            [
                Make("edges", "stop_jaws", "What the stops must lose", ("face_loss_each_mm", 0.4),
                    ("pivot_to_jaw_face_mm", Math.Round(facts.LengthMm * 0.2)), ("pivot_to_stop_mm", Math.Round(facts.LengthMm * 0.07))),
            ],
            _ => [],
        };
    }

    private static IReadOnlyList<StepGauge> OfSoles(Facts facts, Deed step, Assumptions a) => step.Id.Step switch
    {
        StepKey.SoleWood or StepKey.MouthCheck when facts.Tool.HasWoodenSole =>
        [
            Make("sole", "wooden_sole", "Wind, what comes off, and the mouth after",
                ("stick_difference_mm", facts.Measured(MeasureIds.Wind, PartIds.Body) ?? 0.5), ("stick_length_mm", a.UsualStickMm),
                ("body_width_mm", facts.SoleWidthMm(a)), ("bed_deg", facts.Tool.BedDeg), ("wear_deg", a.MouthWearDeg),
                ("mouth_mm", facts.Measured(MeasureIds.Mouth, PartIds.Body) ?? a.UsualMouthMm)),
        ],
        _ => [],
    };

    private static IEnumerable<StepGauge> Camber(Facts facts, IReadOnlyDictionary<ChoiceId, WayId> ways, double width, double bed)
    {
        if (ways.GetValueOrDefault(ChoiceId.Corners, WayId.Eased) == WayId.Cambered || facts.Build.Purpose == SolePurpose.Jack)
        {
            yield return Make("edges", "camber", "How deep the camber is", ("width_mm", width), ("shaving_mm", 0.3), ("bed_deg", bed));
        }
    }

    private static IReadOnlyList<StepGauge> Reserve(Facts facts, PartId edge, Assumptions a)
    {
        var lines = new (string Field, double? Value)[] { ("edge_to_slot_end_mm", facts.Measured(MeasureIds.EdgeToSlot, edge)), ("edge_to_bit_line_mm",
            facts.Measured(MeasureIds.EdgeToBitLine, edge)), ("edge_to_hard_end_mm", facts.Measured(MeasureIds.EdgeToHardEnd, edge)) };
        return lines.All(l => l.Value is null) ? [] : [Make("state", "iron_reserve", "Steel and sharpenings left",
            [("iron_kind", (object)(lines[1].Value is null ? "solid" : "laid_on")), .. lines.Where(l => l.Value is not null).Select(l =>
            (l.Field, (object)l.Value!.Value)), ("planned_setback_mm", a.UsualSetbackMm)])];
    }

    private static StepGauge Make(string file, string calculation, string about, params (string Name, object Value)[] values) =>
        new(about, GaugeCatalogue.Find(file, calculation)!, [.. values.Select(v =>
            (v.Name, v.Value switch { bool b => b ? "true" : "false", IFormattable f => f.ToString("0.###", CultureInfo.InvariantCulture), _ =>
            v.Value.ToString()! }))]);
}
