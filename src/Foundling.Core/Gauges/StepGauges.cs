using System.Globalization;
using Foundling.Core.Baths;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Core.Gauges;

/// <summary>A gauge that answers a question of a step, filled in as far as the tag knows.</summary>
/// <param name="About">What it answers here.</param>
/// <param name="Gauge">The gauge.</param>
/// <param name="Values">Its fields by name, as they would be typed.</param>
public sealed record StepGauge(string About, Gauge Gauge, IReadOnlyList<(string Name, string Value)> Values)
{
    /// <summary>Address of the gauge with its fields filled in.</summary>
    public string Address => $"/gauges/{Gauge.File}/{Gauge.Calculation}{(Values.Count > 0 ? "?" + string.Join('&', Values.Select(v => $"{v.Name}={Uri.EscapeDataString(v.Value)}")) : "")}";
}

/// <summary>Which gauges belong to which step.</summary>
public static class StepGauges
{
    private const double UsualIronMm = 2.1, UsualBevelDeg = 25, UsualSecondaryDeg = 30, UsualMouthMm = 1, WearDeg = 70, UsualStickMm = 450;

    /// <summary>The gauges of a step of a tag.</summary>
    /// <param name="tag">The tag.</param>
    /// <param name="step">One of its steps.</param>
    /// <param name="temperatureC">Shop temperature, °C.</param>
    /// <param name="humidityPercent">Shop humidity, %.</param>
    public static IReadOnlyList<StepGauge> For(Tag tag, PlanStep step, double temperatureC, double humidityPercent)
    {
        ToolKind tool = tag.Tool();
        PartId edge = tool.Edges.FirstOrDefault()?.Id ?? PartId.None;
        double thickness = tag.Measured(edge, "thickness")?.Value ?? UsualIronMm, width = tag.IronWidthMm ?? 50, bed = Bed(tool);
        bool up = tool.Id == KindIds.BlockPlane;
        return step.Key.Step switch
        {
            StepKey.Soak => Soaking(step, tag, temperatureC, humidityPercent),
            StepKey.EdgeHone or StepKey.FinalHone when tool.Edge == EdgeForm.TwoBevels =>
                [Make("edges", "knife_angle", "The angle behind the edge", ("thickness_mm", thickness), ("distance_behind_edge_mm", 6))],
            StepKey.EdgeHone when tool.Family == Family.Plane => [Make("edges", "angles", "Cutting angle and clearance", ("bed_deg", bed),
                ("bevel_deg", UsualBevelDeg), ("secondary_bevel_deg", UsualSecondaryDeg), ("bevel_up", up)), Make("edges", "secondary_bevel",
                "When the next regrind is due", ("bevel_deg", UsualBevelDeg), ("secondary_bevel_deg", UsualSecondaryDeg), ("thickness_mm", thickness),
                ("honings", 10)), .. Camber(tag, width, bed)],
            StepKey.EdgeHone => [Make("edges", "secondary_bevel", "When the next regrind is due", ("bevel_deg", UsualBevelDeg), ("secondary_bevel_deg",
                UsualSecondaryDeg), ("thickness_mm", thickness), ("honings", 10))],
            StepKey.EdgeGrind when tool.Edge != EdgeForm.TwoBevels => [.. tag.Measured(edge, "out_of_square")?.Value is double out_
                ? [Make("edges", "square_up", "Metal and minutes to square it", ("width_mm", width), ("thickness_mm", thickness), ("out_of_square_mm", out_))]
                : Array.Empty<StepGauge>(), Make("edges", "bevel", "The bevel from its face", ("thickness_mm", thickness),
                ("bevel_face_mm", Math.Round(thickness / Math.Sin(UsualBevelDeg * Math.PI / 180), 1)))],
            StepKey.EdgeSave => Reserve(tag, edge),
            StepKey.SetMouth => [Make("edges", "mouth", "What the mouth becomes", ("bed_deg", bed), ("mouth_mm", tag.Measured(PartIds.Body, "mouth")?.Value
                ?? UsualMouthMm), ("frog_forward_mm", 0.3), ("bevel_up", up))],
            StepKey.JawDress or StepKey.SetStops => [Make("edges", "stop_jaws", "What the stops must lose", ("face_loss_each_mm", 0.4), ("pivot_to_jaw_face_mm",
                Math.Round((tag.LengthMm ?? tool.NominalLengthMm) * 0.2)), ("pivot_to_stop_mm", Math.Round((tag.LengthMm ?? tool.NominalLengthMm) * 0.07)))],
            StepKey.SoleWood or StepKey.MouthCheck when tool.HasWoodenSole => [Make("sole", "wooden_sole", "Wind, what comes off, and the mouth after",
                ("stick_difference_mm", tag.Measured(PartIds.Body, "wind")?.Value ?? 0.5), ("stick_length_mm", UsualStickMm), ("body_width_mm", tag.SoleWidthMm
                ?? 60), ("bed_deg", bed), ("wear_deg", WearDeg), ("mouth_mm", tag.Measured(PartIds.Body, "mouth")?.Value ?? UsualMouthMm))],
            _ => [],
        };
    }

    private static double Bed(ToolKind tool) => tool.Id switch { var k when k.Is(KindIds.BlockPlane) => 20, var k when k.Is(KindIds.WoodenBenchPlane) => 46, var k when k.Is(KindIds.RebatePlane, KindIds.PloughPlane) => 50,
        var k when k.Is(KindIds.ToothingPlane) => 82, _ => 45 };

    private static IEnumerable<StepGauge> Camber(Tag tag, double width, double bed)
    {
        if (Choices.Read(tag.Ways).GetValueOrDefault(ChoiceId.Corners, WayId.Eased) == WayId.Cambered || tag.Purpose == Soles.SolePurpose.Jack)
        {
            yield return Make("edges", "camber", "How deep the camber is", ("width_mm", width), ("shaving_mm", 0.3), ("bed_deg", bed));
        }
    }

    private static List<StepGauge> Soaking(PlanStep step, Tag tag, double temperatureC, double humidityPercent)
    {
        string bath = SnakeCase.Of((step.Deed.Bath ?? BathKind.Chelating).ToString());
        string rust = SnakeCase.Of(PlanQuestion.LevelOf(tag.Standing().Where(f => f.Kind == FindingKind.Rust).Select(f => f.Severity).DefaultIfEmpty(0).Max())
            .ToString());
        var values = new List<(string, object)> { ("bath", bath), ("rust", rust), ("temperature_c", temperatureC), ("relative_humidity_percent",
            humidityPercent) };
        if (bath is "citric" or "acetic")
        {
            values.Add(("percent", 5));
        }
        if (step.Deed.Lag?.MostMin is double by)
        {
            values.Add(("out_by_hours", Math.Round(by / 60, 2)));
        }
        var gauges = new List<StepGauge> { Make("baths", "soak_time", "How long, when to look, when it must be out", [.. values]) };
        if (bath == "citric")
        {
            gauges.Add(Make("baths", "mixing", "What to put together", ("acid", "citric"), ("volume_ml", 5000), ("target_percent", 5)));
        }
        return gauges;
    }

    private static IReadOnlyList<StepGauge> Reserve(Tag tag, PartId edge)
    {
        var lines = new (string Field, double? Value)[] { ("edge_to_slot_end_mm", tag.Measured(edge, "edge_to_slot")?.Value), ("edge_to_bit_line_mm",
            tag.Measured(edge, "edge_to_bit_line")?.Value), ("edge_to_hard_end_mm", tag.Measured(edge, "edge_to_hard_end")?.Value) };
        return lines.All(l => l.Value is null) ? [] : [Make("state", "iron_reserve", "Steel and sharpenings left",
            [("iron_kind", (object)(lines[1].Value is null ? "solid" : "laid_on")), .. lines.Where(l => l.Value is not null).Select(l =>
            (l.Field, (object)l.Value!.Value)), ("planned_setback_mm", 3.5)])];
    }

    private static StepGauge Make(string file, string calculation, string about, params (string Name, object Value)[] values) =>
        new(about, GaugeCatalogue.Find(file, calculation)!, [.. values.Select(v =>
            (v.Name, v.Value switch { bool b => b ? "true" : "false", IFormattable f => f.ToString("0.###", CultureInfo.InvariantCulture), _ =>
            v.Value.ToString()! }))]);
}
