using Foundling.Core.Baths;
using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod;

/// <summary>How a shop takes rust off.</summary>
public enum RustSchool
{
    /// <summary>Chelating bath: slow, gentle, dear.</summary>
    Chelating,

    /// <summary>Citric acid: quicker, must be watched.</summary>
    Citric,

    /// <summary>No bath: wire, wool and blade.</summary>
    ByHand,
}

/// <summary>Everything a plan is made from.</summary>
/// <param name="Tool">Kind of tool with its parts.</param>
/// <param name="Aim">How far to go.</param>
/// <param name="Findings">What is wrong.</param>
/// <param name="Baths">Bath compatibility.</param>
/// <param name="Rust">How the shop takes rust off.</param>
/// <param name="TemperatureC">Shop temperature, °C.</param>
/// <param name="RelativeHumidityPercent">Shop humidity, %.</param>
/// <param name="LengthMm">Length of the tool, mm.</param>
public sealed record PlanQuestion(
    ToolKind Tool,
    AimKind Aim,
    IReadOnlyList<Finding> Findings,
    BathTable Baths,
    RustSchool Rust = RustSchool.Chelating,
    double TemperatureC = 20,
    double RelativeHumidityPercent = 50,
    double? LengthMm = null)
{
    /// <summary>Worst degree of a kind of finding, on any part or on those given; 0 when there is none.</summary>
    public int Worst(FindingKind kind, params string[] parts) => Findings
        .Where(f => f.Kind == kind && (parts.Length == 0 || parts.Contains(f.Part)))
        .Select(f => f.Severity).DefaultIfEmpty(0).Max();

    /// <summary>True when the tool has the part and it is not missing.</summary>
    public bool Has(string part) => Tool.Part(part) is not null && Worst(FindingKind.Missing, part) == 0;

    /// <summary>Parts of the tool that are there.</summary>
    public IEnumerable<PartDef> Present => Tool.Parts.Where(p => Has(p.Id));

    /// <summary>Parts with a finding of this kind at this degree or worse.</summary>
    public IEnumerable<PartDef> With(FindingKind kind, int degree = 1) => Present.Where(p => Worst(kind, p.Id) >= degree);

    /// <summary>Ferrous parts with rust a bath would pay for.</summary>
    public IReadOnlyList<PartDef> Rusty => [.. With(FindingKind.Rust, 2)];

    /// <summary>The bath the shop's school uses, or null when it works by hand or the aim forbids it.</summary>
    public BathKind? Bath => Aim == AimKind.Keep ? null : Rust switch
    {
        RustSchool.Chelating => BathKind.Chelating,
        RustSchool.Citric => BathKind.Citric,
        _ => null,
    };

    /// <summary>Rusty parts that may go into the bath.</summary>
    public IReadOnlyList<PartDef> SoakLoad => Bath is BathKind bath ? [.. Rusty.Where(p => Baths.For(bath, p).Allowed)] : [];

    /// <summary>How rusty the load is.</summary>
    public RustLevel RustLevel => Worst(FindingKind.Rust) switch { <= 1 => RustLevel.Light, 2 => RustLevel.Medium, _ => RustLevel.Heavy };

    /// <summary>Part names in a sentence.</summary>
    public static string Names(IEnumerable<PartDef> parts)
    {
        List<string> names = [.. parts.Select(p => p.Name)];
        return names.Count switch { 0 => "nothing", 1 => names[0], <= 4 => string.Join(", ", names[..^1]) + " and " + names[^1], _ => string.Join(", ", names[..3]) + $" and {names.Count - 3} more" };
    }
}

/// <summary>A rule that puts steps into a plan.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Why">Why it is in the book.</param>
/// <param name="When">When it applies.</param>
/// <param name="Steps">The steps it gives.</param>
public sealed record PlanRule(string Name, string Why, Func<PlanQuestion, bool> When, Func<PlanQuestion, IEnumerable<PlanStep>> Steps)
{
    /// <summary>A rule that gives one step.</summary>
    public static PlanRule One(string name, string why, Func<PlanQuestion, bool> when, Func<PlanQuestion, PlanStep> step) =>
        new(name, why, when, q => [step(q)]);
}

/// <summary>A rule of order between steps.</summary>
/// <param name="Before">Key of the earlier step; a trailing star stands for any ending.</param>
/// <param name="After">Key of the later step.</param>
/// <param name="Why">Why this order.</param>
public sealed record OrderRule(string Before, string After, string Why)
{
    /// <summary>True when a key matches a pattern.</summary>
    public static bool Matches(string pattern, string key) =>
        pattern.EndsWith('*') ? key.StartsWith(pattern[..^1], StringComparison.Ordinal) : key == pattern;
}
