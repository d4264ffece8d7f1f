using Foundling.Core.Tools;

namespace Foundling.Core.Baths;

/// <summary>What a bath does to a material.</summary>
/// <param name="Bath">Bath.</param>
/// <param name="Material">Material or finish as the reference table names it.</param>
/// <param name="Never">True when it must not go in.</param>
/// <param name="OutByHours">Must be out by then; null for no known limit.</param>
/// <param name="Reason">Why, in one sentence.</param>
public sealed record BathRule(BathKind Bath, string Material, bool Never, double? OutByHours, string Reason);

/// <summary>What a load as a whole may stand.</summary>
public sealed record LoadLimit(bool Allowed, double? OutByHours, string? Reason);

/// <summary>The compatibility table, asked by part.</summary>
public sealed class BathTable(IReadOnlyList<BathRule> rules)
{
    /// <summary>The rules of the table.</summary>
    public IReadOnlyList<BathRule> Rules { get; } = rules;

    /// <summary>The strictest limit for one part: its metal or wood, and its finish.</summary>
    /// <param name="bath">The bath.</param>
    /// <param name="part">The part.</param>
    /// <param name="etched">It carries an etched mark that should survive.</param>
    /// <param name="dullPlate">It is plated with what may be zinc or cadmium.</param>
    public LoadLimit For(BathKind bath, PartDef part, bool etched = false, bool dullPlate = false)
    {
        List<string> materials = [part.Material switch
        {
            Material.CastIron => "bare_cast_iron",
            Material.Steel => "malleable_iron",
            Material.EdgeSteel => "hardened_edge_steel",
            Material.SpringSteel => "spring_steel",
            Material.Brass => "brass",
            Material.Wood => "wood",
            _ => "leather",
        }];
        if (dullPlate)
        {
            materials.Add("zinc_or_cadmium_plate");
        }
        if (etched)
        {
            materials.Add("etched_mark");
        }
        switch (part.Finish)
        {
            case PartFinish.Japanned:
                materials.Add("japanning");
                break;
            case PartFinish.Plated:
                materials.Add("nickel_plate");
                break;
            case PartFinish.Painted:
                materials.Add("enamel_paint");
                break;
        }
        List<BathRule> found = [.. Rules.Where(r => r.Bath == bath && materials.Contains(r.Material))];
        BathRule? never = found.FirstOrDefault(r => r.Never);
        BathRule? strictest = found.Where(r => r.OutByHours is not null).MinBy(r => r.OutByHours);
        return new LoadLimit(never is null, strictest?.OutByHours, (never ?? strictest)?.Reason);
    }

    /// <summary>The strictest of several limits.</summary>
    public static LoadLimit Strictest(IReadOnlyList<LoadLimit> limits)
    {
        LoadLimit? strictest = limits.Where(l => l.OutByHours is not null).MinBy(l => l.OutByHours);
        return new LoadLimit(limits.All(l => l.Allowed), strictest?.OutByHours, limits.FirstOrDefault(l => !l.Allowed)?.Reason ?? strictest?.Reason);
    }
}
