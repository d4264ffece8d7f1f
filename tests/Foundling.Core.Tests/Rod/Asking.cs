using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Shop;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;

namespace Foundling.Core.Tests.Rod;

/// <summary>Questions for plans, and made-up tools to ask them of.</summary>
internal static class Asking
{
    public static BathTable Baths { get; } = new([.. Rows().Select(r => r.Split(' ')).Select(r =>
        new BathRule(Enum.Parse<BathKind>(r[0]), r[1], r[2] == "never", r.Length > 3 ? double.Parse(r[3], System.Globalization.CultureInfo.InvariantCulture)
        : null, $"{r[1]} in {r[0]}"))]);

    private static IEnumerable<string> Rows() =>
    [
        "Chelating bare_cast_iron ok", "Chelating malleable_iron ok", "Chelating hardened_edge_steel ok 48", "Chelating spring_steel ok 24",
        "Chelating brass ok 2", "Chelating zinc_or_cadmium_plate never", "Chelating nickel_plate ok 12", "Chelating japanning ok 30",
        "Chelating enamel_paint ok 24", "Chelating etched_mark ok 4", "Chelating wood never", "Chelating leather never",
        "Citric bare_cast_iron ok 14", "Citric malleable_iron ok 14", "Citric hardened_edge_steel ok 6", "Citric spring_steel never",
        "Citric brass ok 0.25", "Citric zinc_or_cadmium_plate never", "Citric nickel_plate ok 1", "Citric japanning ok 4",
        "Citric enamel_paint ok 2", "Citric etched_mark never", "Citric wood never", "Citric leather never", "Acetic bare_cast_iron ok 26",
        "Acetic malleable_iron ok 26", "Acetic hardened_edge_steel ok 12", "Acetic spring_steel never", "Acetic brass ok 0.25",
        "Acetic zinc_or_cadmium_plate never", "Acetic nickel_plate ok 1", "Acetic japanning ok 6", "Acetic enamel_paint ok 3",
        "Acetic etched_mark never", "Acetic wood never", "Acetic leather never", "Electrolysis bare_cast_iron ok 24",
        "Electrolysis malleable_iron ok 24", "Electrolysis hardened_edge_steel ok 4", "Electrolysis spring_steel never", "Electrolysis brass never",
        "Electrolysis zinc_or_cadmium_plate never", "Electrolysis nickel_plate ok 2", "Electrolysis japanning never",
        "Electrolysis enamel_paint never", "Electrolysis etched_mark ok 4", "Electrolysis wood never", "Electrolysis leather never",
    ];

    /// <summary>A cool, moist shop with the usual figures.</summary>
    public static ShopContext Shop { get; } = new(Assumptions.Standard, new Climate(16, 60), Baths);

    public static Found F(PartId part, FindingKind kind, int severity, bool ordered = false) => new(part, kind, severity) { OnOrder = ordered };

    public static PlanQuestion Ask(KindId kind, AimKind aim, params Found[] findings) => new(new Facts(ToolCatalogue.Kind(kind), findings), aim, Shop);

    /// <summary>The question a tag asks.</summary>
    public static PlanQuestion For(Tag tag) => new(tag.Facts(), tag.Aim ?? AimKind.Work, Shop)
    {
        TemperatureC = 18, RelativeHumidityPercent = 55,
    };

    /// <summary>A tag of which just this is known.</summary>
    public static Tag Tag(Facts facts) => new()
    {
        Kind = facts.Tool.Id, Findings = [.. facts.Findings.Select(f => Finding.Of(f, DateTimeOffset.UnixEpoch))], LengthMm = facts.Build.LengthMm,
        Measurements = [.. facts.Readings.Select(r => new Measurement { Part = r.Part, Kind = r.Measure, Value = r.Quantity.Value, Instrument = r.With })],
    };

    public static PlanQuestion Ask(AimKind aim, params Found[] findings) => Ask(KindIds.MetalBenchPlane, aim, findings) with { LengthMm = 245 };

    public static Found[] Rusty { get; } =
    [
        F(PartIds.Body, FindingKind.Rust, 3), F(PartIds.Frog, FindingKind.Rust, 2), F(PartIds.Iron, FindingKind.Rust, 2),
            F(PartIds.Iron, FindingKind.Pitting, 3),
            F(PartIds.Iron, FindingKind.EdgeDamage, 2), F(PartIds.CapIron, FindingKind.Rust, 2),
        F(PartIds.Body, FindingKind.CoatingLoss, 3), F(PartIds.Tote, FindingKind.Crack, 2), F(PartIds.Knob, FindingKind.Looseness, 2),
            F(PartIds.Adjuster, FindingKind.Seizure, 2), F(PartIds.Body, FindingKind.OutOfFlat, 2), F(PartIds.Frog, FindingKind.OutOfFlat, 1),
        F(PartIds.LeverCap, FindingKind.Pitting, 1),
    ];

    public static int At(IReadOnlyList<PlanStep> plan, string key) => At(plan, DeedId.Read(key));

    public static int At(IReadOnlyList<PlanStep> plan, DeedId key) => plan.ToList().FindIndex(s => s.Key == key);

    /// <summary>A made-up tool of any kind in any state, with any ways chosen.</summary>
    public static PlanQuestion Random(Random random)
    {
        ToolKind kind = ToolCatalogue.Kinds[random.Next(ToolCatalogue.Kinds.Count)];
        Found[] findings = [.. Enumerable.Range(0, random.Next(12)).Select(_ =>
        {
            PartDef part = kind.Parts[random.Next(kind.Parts.Count)];
            FindingKind[] possible = [.. Faults.For(kind, part)];
            return F(part.Id, possible[random.Next(possible.Length)], random.Next(5), random.Next(3) == 0) with
            {
                FromEdgeMm = random.Next(2) == 0 ? random.Next(1, 12) : null,
            };
        }).GroupBy(f => (f.Part, f.Kind)).Select(g => g.First())];
        Dictionary<ChoiceId, WayId> Wishes(int one) => Choices.All.Where(_ => random.Next(one) == 0).ToDictionary(c => c.Id, c =>
            c.Ways[random.Next(c.Ways.Count)].Id);
        AimKind aim = (AimKind)random.Next(4);
        Dictionary<ChoiceId, WayId> own = Wishes(3), shops = Wishes(3);
        Dictionary<(ChoiceId, PartId), WayId> parts = random.Next(3) > 0 ? [] : kind.Parts.Where(_ => random.Next(3) == 0)
            .Select(p => (Of: PartChoices.All[random.Next(3)], p.Id)).ToDictionary(p => (p.Of, p.Id), p =>
                Choices.Find(p.Of).Ways[random.Next(Choices.Find(p.Of).Ways.Count)].Id);
        (double temperature, double humidity) = (random.Next(5, 28), random.Next(30, 90));
        double? length = random.Next(3) == 0 ? null : kind.NominalLengthMm * (0.6 + (2 * random.NextDouble()));
        var lacking = random.Next(4) == 0 ? new HashSet<SupplyId> { SupplyIds.ShopOven, SupplyIds.BenchGrinder, SupplyIds.BlastCabinet } : [];
        AsFoundTry? tried = random.Next(3) switch { 0 => AsFoundTry.Well, 1 => AsFoundTry.Badly, _ => null };
        var odd = random.Next(5) == 0 ? new HashSet<PartId> { PartIds.Wedge } : [];
        Reading[] readings = random.Next(2) == 0 ? [new Reading(kind.Edges.FirstOrDefault()?.Id ?? PartIds.Body, MeasureIds.EdgeToHardEnd,
            new Quantity(random.Next(3, 40), Unit.Millimetres), Instrument.Rule)] : [];
        return new PlanQuestion(new Facts(kind, findings) { Build = new Build(length), Readings = readings, Tried = tried }, aim, Shop)
        {
            TagWays = own, ShopWays = shops, TemperatureC = temperature, RelativeHumidityPercent = humidity, Lacking = lacking, Odd = odd, Dress = "blue",
            PartWays = parts,
        };
    }
}
