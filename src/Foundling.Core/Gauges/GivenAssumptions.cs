using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization.Metadata;
using Foundling.Core.Keys;

namespace Foundling.Core.Gauges;

/// <summary>Which assumed constants each gauge uses.</summary>
internal static class AssumedBy
{
    public static readonly string[] Misreading = [nameof(Assumptions.SureMisread), nameof(Assumptions.LikelyMisread), nameof(Assumptions.UnsureMisread)];

    public static readonly string[] Dating =
    [
        .. Misreading, nameof(Assumptions.SoftMisread), nameof(Assumptions.PatentTermYears), nameof(Assumptions.PatentHabitHalfLifeYears),
            nameof(Assumptions.PatentHabitFloor),
        nameof(Assumptions.PatentPendingYears), nameof(Assumptions.StockYears), nameof(Assumptions.StockDecay), nameof(Assumptions.SwapIron),
            nameof(Assumptions.SwapCapIron),
        nameof(Assumptions.SwapHandle), nameof(Assumptions.SwapLeverCap), nameof(Assumptions.SwapSawNuts), nameof(Assumptions.SwapKnob),
            nameof(Assumptions.SwapHardware),
        nameof(Assumptions.SwapFrog), nameof(Assumptions.SwapPlate), nameof(Assumptions.KinColour), nameof(Assumptions.KinShadow), nameof(Assumptions.KinFit),
        nameof(Assumptions.LengthSigmaMm), nameof(Assumptions.IronWidthSigmaMm), nameof(Assumptions.RuleSlip), nameof(Assumptions.LobeGapYears),
            nameof(Assumptions.GlanceMinutes),
        nameof(Assumptions.LensMinutes), nameof(Assumptions.CapOffMinutes), nameof(Assumptions.StripMinutes), nameof(Assumptions.OtherTrade),
            nameof(Assumptions.OtherPlain),
        nameof(Assumptions.OtherSize), nameof(Assumptions.FlatLengthMm), nameof(Assumptions.FlatIronWidthMm), nameof(Assumptions.OtherYears),
        nameof(Assumptions.OtherHabitYears), nameof(Assumptions.OtherLikeCandidates),
    ];

    public static readonly string[] Reserve = [nameof(Assumptions.SlotMarginMm), nameof(Assumptions.LossPerHoningMm)];

    public static readonly string[] Colour =
    [
        nameof(Assumptions.RustHueLow), nameof(Assumptions.RustHueHigh), nameof(Assumptions.RustChromaLow), nameof(Assumptions.RustChromaHigh),
        nameof(Assumptions.RustLightLow), nameof(Assumptions.RustLightHigh), nameof(Assumptions.BrightChroma), nameof(Assumptions.BrightLight),
    ];

    public static readonly string[] Pace = [nameof(Assumptions.PaceWeight), nameof(Assumptions.PaceSpread)];

    public static readonly string[] Rarity = [nameof(Assumptions.RarityUncommon), nameof(Assumptions.RarityScarce), nameof(Assumptions.RarityRare)];

    public static readonly string[] Volume = [nameof(Assumptions.BathCoverMm), nameof(Assumptions.BathRimMm), nameof(Assumptions.BathEndRoomMm),
        nameof(Assumptions.BathOverlapMm)];

    public static readonly string[] Spent = [nameof(Assumptions.BathCapacityShare), nameof(Assumptions.IronInRust), nameof(Assumptions.RustDensity),
        nameof(Assumptions.RustDepthLightMm), nameof(Assumptions.RustDepthMediumMm), nameof(Assumptions.RustDepthHeavyMm)];

    public static readonly string[] Electrolysis = [nameof(Assumptions.ElectrolysisADm2), nameof(Assumptions.WashingSodaGL),
        nameof(Assumptions.OilWithinAcidMin), nameof(Assumptions.DampPercent), nameof(Assumptions.SoakElectrolysisLightHours),
        nameof(Assumptions.SoakElectrolysisMediumHours), nameof(Assumptions.SoakElectrolysisHeavyHours)];

    public static readonly string[] Blasting = [nameof(Assumptions.BlastDm2Min), nameof(Assumptions.FreeAirShare)];

    public static readonly string[] Soaking =
    [
        nameof(Assumptions.ElectrolysisADm2), nameof(Assumptions.WashingSodaGL), nameof(Assumptions.OilWithinChelatingMin),
        nameof(Assumptions.OilWithinAcidMin), nameof(Assumptions.DampPercent),
        nameof(Assumptions.SoakChelatingLightHours), nameof(Assumptions.SoakChelatingMediumHours), nameof(Assumptions.SoakChelatingHeavyHours),
        nameof(Assumptions.SoakCitricLightHours), nameof(Assumptions.SoakCitricMediumHours), nameof(Assumptions.SoakCitricHeavyHours),
        nameof(Assumptions.SoakAceticLightHours), nameof(Assumptions.SoakAceticMediumHours), nameof(Assumptions.SoakAceticHeavyHours),
        nameof(Assumptions.SoakPhosphoricLightHours), nameof(Assumptions.SoakPhosphoricMediumHours), nameof(Assumptions.SoakPhosphoricHeavyHours),
        nameof(Assumptions.SoakElectrolysisLightHours), nameof(Assumptions.SoakElectrolysisMediumHours),
        nameof(Assumptions.SoakElectrolysisHeavyHours), nameof(Assumptions.AcidStrengthPower), nameof(Assumptions.CoolingPerHour),
        nameof(Assumptions.SpentLeastShare),
    ];

    public static readonly string[] Survey =
    [
        nameof(Assumptions.SoleSmoothingWholeMm), nameof(Assumptions.SoleSmoothingZonesMm), nameof(Assumptions.SoleJackWholeMm),
        nameof(Assumptions.SoleJackZonesMm), nameof(Assumptions.SoleTryWholeMm), nameof(Assumptions.SoleTryZonesMm),
        nameof(Assumptions.SoleBlockWholeMm), nameof(Assumptions.SoleBlockZonesMm), nameof(Assumptions.SoleRebateWholeMm),
        nameof(Assumptions.SoleRebateZonesMm), nameof(Assumptions.SoleOtherWholeMm), nameof(Assumptions.SoleOtherZonesMm),
        nameof(Assumptions.ZoneShare), nameof(Assumptions.MouthBandMm),
    ];

    public static readonly string[] Sets = [nameof(Assumptions.SetLeastShare), nameof(Assumptions.SetDryShare), nameof(Assumptions.SetGreenShare)];

    public static readonly string[] Jointing = [nameof(Assumptions.JointingPassMm)];

    public static readonly string[] Bows = [nameof(Assumptions.StraightSawMm)];

    public static readonly string[] Angles = [nameof(Assumptions.ClearanceWarnDeg)];

    public static readonly string[] Grinding =
    [
        nameof(Assumptions.GrinderRate), nameof(Assumptions.DipEverySeconds), nameof(Assumptions.DipSeconds), nameof(Assumptions.BeltRate),
            nameof(Assumptions.GlassRate), nameof(Assumptions.DiamondRate),
    ];

    public static readonly string[] Backs =
    [
        .. Grinding, nameof(Assumptions.LossPerHoningMm), nameof(Assumptions.StoppingPitWithinMm), nameof(Assumptions.StoppingPitDepthMm),
            nameof(Assumptions.ShimSetupMinutes),
        nameof(Assumptions.ShimLimitDeg), nameof(Assumptions.GrindPastPitMm), nameof(Assumptions.SharpeningsWorthSaving),
    ];

    public static readonly string[] Secondary = [nameof(Assumptions.LossPerHoningMm), nameof(Assumptions.RegrindLandMm)];

    public static readonly string[] Lapping =
    [
        nameof(Assumptions.LappingForceN), nameof(Assumptions.StiffnessGlass), nameof(Assumptions.StiffnessMdf), nameof(Assumptions.MarkGoneUm),
            nameof(Assumptions.MarkFaintUm),
        nameof(Assumptions.StrokesPerMinute), nameof(Assumptions.StrokesPerFineSheet), nameof(Assumptions.StrokesPerCoarseSheet),
            nameof(Assumptions.ZoneCleanShare),
        nameof(Assumptions.LapP60Um), nameof(Assumptions.LapP80Um), nameof(Assumptions.LapP120Um), nameof(Assumptions.LapP180Um),
        nameof(Assumptions.LapP240Um), nameof(Assumptions.LapP320Um), nameof(Assumptions.LapP400Um),
        nameof(Assumptions.ZoneShare), nameof(Assumptions.MouthBandMm), nameof(Assumptions.LapSteelShare), nameof(Assumptions.LapBrassTimes),
    ];

    public static readonly string[] Marks = [.. Lapping, nameof(Assumptions.MarkMisread), nameof(Assumptions.MarksSureShare)];

    public static readonly string[] Plates = [nameof(Assumptions.PlateLengthFactor)];

    public static readonly string[] Scratches = [nameof(Assumptions.ScratchShare)];

    public static readonly string[] Ladders =
    [
        .. Scratches, nameof(Assumptions.ScratchTimes), nameof(Assumptions.GritChangeMin), nameof(Assumptions.GritCleanMin),
        nameof(Assumptions.GritJumpTimes), nameof(Assumptions.WornSheetShare), nameof(Assumptions.StampShare), nameof(Assumptions.StrokesPerMinute),
        nameof(Assumptions.LapP60Um), nameof(Assumptions.LapP80Um), nameof(Assumptions.LapP120Um), nameof(Assumptions.LapP180Um),
        nameof(Assumptions.LapP240Um), nameof(Assumptions.LapP320Um), nameof(Assumptions.LapP400Um), nameof(Assumptions.LapSteelShare),
        nameof(Assumptions.LapBrassTimes),
    ];

    public static readonly string[] Troubles = [nameof(Assumptions.TroubleLeak)];
}

/// <summary>
/// Takes assumed constants that were given with a gauge's input, and refuses keys the gauge does not know: a value that is
/// silently ignored is a wrong answer.
/// </summary>
internal static class GivenAssumptions
{
    private const string Calculation = "calculation";
    private const double Least = 1e-9, Most = 1e6;

    /// <summary>The input without the constants, and the shop's assumptions with them.</summary>
    /// <exception cref="InputException">A key the gauge does not know, or a constant that is no sensible number.</exception>
    public static (JsonElement Input, Assumptions Assumptions) Take(Gauge gauge, JsonElement input, Assumptions shop)
    {
        Dictionary<string, PropertyInfo> constants = gauge.Uses.Select(u => typeof(Assumptions).GetProperty(u)!).ToDictionary(p => SnakeCase.Of(p.Name));
        JsonTypeInfo type = OpenJson.Options.GetTypeInfo(gauge.Input);
        HashSet<string> own = [.. type.Properties.Select(p => p.Name)];
        Assumptions assumed = shop with { };
        var rest = new JsonObject();
        foreach (JsonProperty property in input.EnumerateObject())
        {
            if (own.Contains(property.Name))
            {
                rest[property.Name] = JsonNode.Parse(property.Value.GetRawText());
                KnownInside(property.Value, type.Properties.First(p => p.Name == property.Name).PropertyType, property.Name);
            }
            else if (constants.TryGetValue(property.Name, out PropertyInfo? constant))
            {
                if (property.Value.ValueKind != JsonValueKind.Null)
                {
                    double value = Value(property, constant);
                    constant.SetValue(assumed, constant.PropertyType == typeof(int) ? (object)(int)value : value);
                }
            }
            else if (property.Name != Calculation || property.Value.ValueKind != JsonValueKind.String || property.Value.GetString() != gauge.Calculation)
            {
                throw Unknown(property.Name, property.Name, [.. own, .. constants.Keys]);
            }
        }
        return (JsonSerializer.SerializeToElement(rest), assumed);
    }

    private static double Value(JsonProperty property, PropertyInfo constant)
    {
        bool whole = constant.PropertyType == typeof(int);
        if (property.Value.ValueKind == JsonValueKind.Number && property.Value.TryGetDouble(out double value)
            && (value == 0 || (value >= Least && value <= Most)) && (!whole || value == Math.Round(value)))
        {
            return value;
        }
        throw new InputException("out_of_range", property.Name, property.Value.ToString(), $"a {(whole ? "whole " : "")}number from 0 to {Most:#,0}",
            $"The {InputException.InWords(property.Name)} is assumed; give a {(whole ? "whole " : "")}number from 0 to {Most:#,0}, or leave it out.");
    }

    /// <summary>Refuses unknown keys of the things inside an input.</summary>
    private static void KnownInside(JsonElement value, Type type, string path)
    {
        JsonTypeInfo info = OpenJson.Options.GetTypeInfo(Nullable.GetUnderlyingType(type) ?? type);
        switch (info.Kind)
        {
            case JsonTypeInfoKind.Object when value.ValueKind == JsonValueKind.Object:
                foreach (JsonProperty property in value.EnumerateObject())
                {
                    JsonPropertyInfo known = info.Properties.FirstOrDefault(p => p.Name == property.Name) ?? throw Unknown(property.Name,
                        $"{path}.{property.Name}", [.. info.Properties.Select(p => p.Name)]);
                    KnownInside(property.Value, known.PropertyType, $"{path}.{property.Name}");
                }
                break;
            case JsonTypeInfoKind.Enumerable when value.ValueKind == JsonValueKind.Array && info.ElementType is { } element:
                foreach (JsonElement item in value.EnumerateArray())
                {
                    KnownInside(item, element, path);
                }
                break;
            case JsonTypeInfoKind.Dictionary when value.ValueKind == JsonValueKind.Object && info.ElementType is { } element:
                foreach (JsonProperty item in value.EnumerateObject())
                {
                    KnownInside(item.Value, element, path);
                }
                break;
        }
    }

    private static InputException Unknown(string key, string path, List<string> known) => new("unknown_key", path, null, string.Join(", ", known),
        $"This gauge has no \"{Units.Shorten.To(key, 60)}\". It knows {string.Join(", ", known)}.")
    {
        Details = { ["unknown_key"] = key, ["known_keys"] = known },
    };
}
