using System.Text.Json.Serialization;

namespace Foundling.Core.Edges;

/// <summary>A pit on the back of an iron: where it begins and ends behind the edge, and its depth, mm.</summary>
/// <param name="DepthMm">How deep it is, mm.</param>
/// <param name="FarSideMm">Where it ends, mm behind the edge.</param>
/// <param name="NearSideMm">Where it begins, mm behind the edge.</param>
/// <param name="FromLeftMm">Its left side, mm from the left corner of the edge; null for across the whole width.</param>
/// <param name="ToLeftMm">Its right side, mm from the left corner; null for across the whole width.</param>
public sealed record Pit(double DepthMm, double FarSideMm, double NearSideMm = 0, double? FromLeftMm = null, double? ToLeftMm = null);

/// <summary>A shim under the far end of an iron, mm.</summary>
public sealed record ShimInput(double ShimMm, double EdgeToShimMm, IReadOnlyList<Pit>? Pits = null);

/// <summary>The tiny back bevel a shim gives and the one the pits need.</summary>
public sealed record ShimResult(double BackBevelDeg, double AngleNeededDeg, double ShimNeededMm, bool ShimPassesUnder);

/// <summary>An iron or chisel with pits in its back.</summary>
public sealed record SaveTheBackInput(
    double WidthMm,
    double ThicknessMm,
    double BevelDeg,
    double ReserveMm,
    IReadOnlyList<Pit> Pits,
    bool Chisel = false,
    GrindOn LapOn = GrindOn.P100OnGlass,
    GrindOn GrindOn = GrindOn.BenchGrinder,
    double? CamberMm = null);

/// <summary>What a pit means for an edge.</summary>
public enum PitStanding
{
    /// <summary>It stops the edge.</summary>
    Stops,

    /// <summary>It polishes out.</summary>
    Shallow,

    /// <summary>It is too far back to matter.</summary>
    FarBack,

    /// <summary>It goes with the corner that a camber takes away.</summary>
    InCorner,
}

/// <summary>One way to save a back.</summary>
public sealed record BackWay(double Minutes, double MetalMm3, double SetbackMm, double SteelLeftMm, int SharpeningsLeft)
{
    /// <summary>Back bevel of the shim way, degrees.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? AngleDeg { get; init; }

    /// <summary>Width of the land the shim leaves, mm.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? LandMm { get; init; }

    /// <summary>Why this way is closed.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Refused { get; init; }
}

/// <summary>The three ways side by side.</summary>
public sealed record SaveTheBackResult(int StoppingPits, double DeepestMm, IReadOnlyDictionary<string, BackWay> Ways, string Recommend);

/// <summary>Pits that reach the edge: lap them out, pass under them with a shim, or grind back past them.</summary>
public static class SaveTheBack
{
    /// <summary>Back bevel of a shim and whether it passes under the pits.</summary>
    public static ShimResult Shim(ShimInput input)
    {
        double h = Check.Positive(input.ShimMm), s = Check.Positive(input.EdgeToShimMm);
        double has = Math.Atan(h / s), needs = (input.Pits ?? []).Select(Angle).DefaultIfEmpty(0).Max();
        return new ShimResult(Edge.Deg(has), Edge.Deg(needs), Math.Tan(needs) * s, has >= needs - Whole.Slack);
    }

    private static double Angle(Pit pit) => Math.Atan(Check.NotNegative(pit.DepthMm, "depth_mm") / Check.Positive(pit.FarSideMm, "far_side_mm"));

    /// <summary>True for a pit that is near enough to the edge and deep enough to stop a restoration.</summary>
    public static bool Stops(Pit pit, Assumptions a) => pit.NearSideMm <= a.StoppingPitWithinMm + Whole.Slack
        && pit.DepthMm > a.StoppingPitDepthMm + Whole.Slack;

    /// <summary>What a pit means for the edge.</summary>
    /// <param name="pit">The pit.</param>
    /// <param name="widthMm">Width of the iron, mm.</param>
    /// <param name="camberMm">Camber of its edge, mm; 0 for none.</param>
    /// <param name="a">What stops a restoration.</param>
    public static PitStanding Standing(Pit pit, double widthMm, double camberMm, Assumptions a) => InCorner(pit, widthMm, camberMm) ? PitStanding.InCorner
        : Stops(pit, a) ? PitStanding.Stops : pit.DepthMm <= a.StoppingPitDepthMm + Whole.Slack ? PitStanding.Shallow : PitStanding.FarBack;

    // A cambered edge lies behind the straight one by v² / 2R at v from its middle: what ends before that is cut away with the corner.
    private static bool InCorner(Pit pit, double width, double camber)
    {
        if (camber <= 0 || pit.FromLeftMm is not double from || pit.ToLeftMm is not double to)
        {
            return false;
        }
        if (Check.Within(from, 0, width, "from_left_mm") > Check.Within(to, 0, width, "to_left_mm"))
        {
            throw new InputException("pit_sides_swapped", "to_left_mm", to, $"{from:0.##} or more", $"A pit cannot reach from {from:0.##} to {to:0.##} mm.");
        }
        double middle = width / 2, nearest = from <= middle && to >= middle ? 0 : Math.Min(Math.Abs(from - middle), Math.Abs(to - middle));
        double radius = Edge.Camber(new CamberInput(width, camber)).RadiusMm;
        return pit.FarSideMm <= radius - Math.Sqrt((radius * radius) - (nearest * nearest)) + Whole.Slack;
    }

    /// <summary>Compares the ways and recommends the quickest that leaves enough steel.</summary>
    public static SaveTheBackResult Compare(SaveTheBackInput input, Assumptions assumptions)
    {
        Assumptions a = assumptions;
        double w = Check.Positive(input.WidthMm), t = Check.Positive(input.ThicknessMm), reserve = Check.NotNegative(input.ReserveMm);
        double beta = Edge.Rad(Check.Between(input.BevelDeg, 0, 90));
        foreach (Pit pit in input.Pits)
        {
            if (Check.NotNegative(pit.DepthMm, "depth_mm") > t)
            {
                throw new InputException("pit_through_the_iron", "depth_mm", pit.DepthMm, $"less than {t:0.##}",
                    $"A pit {pit.DepthMm:0.##} mm deep would go through an iron {t:0.##} mm thick.");
            }
            if (Check.NotNegative(pit.NearSideMm, "near_side_mm") > pit.FarSideMm)
            {
                throw new InputException("pit_sides_swapped", "far_side_mm", pit.FarSideMm, $"{pit.NearSideMm:0.##} or more",
                    $"A pit cannot end {pit.FarSideMm:0.##} mm behind the edge and begin at {pit.NearSideMm:0.##} mm.");
            }
        }
        double camber = Check.Within(input.CamberMm ?? 0, 0, w / 2, "camber_mm");
        List<Pit> stopping = [.. input.Pits.Where(p => Standing(p, w, camber, a) == PitStanding.Stops)];
        if (stopping.Count == 0)
        {
            return new SaveTheBackResult(0, 0, new Dictionary<string, BackWay>(), "nothing_to_do");
        }
        double deepest = stopping.Max(p => p.DepthMm);

        BackWay Way(double minutes, double metal, double setback)
        {
            double left = Math.Max(0, reserve - setback);
            return new BackWay(minutes, metal, setback, left, IronReserve.SharpeningsIn(left, a));
        }
        double lapped = w * a.StoppingPitWithinMm * deepest;
        BackWay lap = Way(Edge.Minutes(lapped, input.LapOn, a), lapped, deepest / Math.Tan(beta));

        double angle = stopping.Max(Angle), land = deepest / Math.Tan(angle), shimmed = w * deepest * land / 2;
        BackWay shim = Way(Edge.Minutes(shimmed, GrindOn.CoarseDiamond, a) + a.ShimSetupMinutes, shimmed, deepest / (Math.Tan(beta) + Math.Tan(angle))) with
        {
            AngleDeg = Edge.Deg(angle),
            LandMm = land,
            Refused = input.Chisel ? "chisel" : Edge.Deg(angle) > a.ShimLimitDeg + Whole.Slack ? "angle_over_5_deg" : null,
        };

        double back = stopping.Max(p => p.FarSideMm) + a.GrindPastPitMm, ground = w * t * back;
        BackWay grind = Way(Edge.Minutes(ground, input.GrindOn, a), ground, back) with
        {
            Refused = back > reserve + Whole.Slack ? "past_the_hard_steel" : null,
        };
        var ways = new Dictionary<string, BackWay> { ["lap"] = lap, ["shim"] = shim, ["grind_back"] = grind };
        string best = ways.Where(x => x.Value.Refused is null && x.Value.SharpeningsLeft >= a.SharpeningsWorthSaving)
            .OrderBy(x => x.Value.Minutes).Select(x => x.Key).FirstOrDefault() ?? "rack_or_replacement";
        return new SaveTheBackResult(stopping.Count, deepest, ways, best);
    }
}
