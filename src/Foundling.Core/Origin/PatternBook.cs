using System.Text.Json.Serialization;

namespace Foundling.Core.Origin;

/// <summary>What it takes to see a trait.</summary>
public enum LookEffort
{
    /// <summary>Seen as the tool lies there.</summary>
    Glance,

    /// <summary>Needs a lens or good light.</summary>
    Lens,

    /// <summary>Needs the cap taken off.</summary>
    CapOff,

    /// <summary>Needs the tool apart.</summary>
    Strip,
}

/// <summary>A small drawing of a variant in a box of 78 by 40: path data filled, pale and drawn as a line.</summary>
/// <param name="F">Filled.</param>
/// <param name="P">Pale with an outline.</param>
/// <param name="L">A line.</param>
public sealed record VariantDrawing(string? F = null, string? P = null, string? L = null);

/// <summary>Where a statement of the book comes from, and what to mind about it.</summary>
public sealed record Statement(string? Source = null, string? Note = null);

/// <summary>Something that can be looked at and that changed over time, with the ways it was made.</summary>
/// <param name="Id">Key, unique in the book.</param>
/// <param name="Part">Part it is seen on.</param>
/// <param name="Effort">What it takes to see it.</param>
/// <param name="Variants">Keys of all variants over the whole book.</param>
/// <param name="Name">What to look at, in words.</param>
/// <param name="VariantNames">What each variant looks like, in words.</param>
/// <param name="Drawings">A small drawing of each variant.</param>
/// <param name="Note">Where to look and what is easily mistaken.</param>
/// <param name="Own">A maker's own mark, which says whose a tool is; else a habit of the trade, which says years alone.</param>
/// <param name="None">The variant of an own mark that means no mark at all; null when there is none.</param>
/// <param name="Builds">What a variant says of the build of the tool, where it does.</param>
public sealed record Trait(
    string Id,
    string Part,
    LookEffort Effort,
    IReadOnlyList<string> Variants,
    string? Name = null,
    IReadOnlyDictionary<string, string>? VariantNames = null,
    IReadOnlyDictionary<string, VariantDrawing>? Drawings = null,
    string? Note = null,
    bool Own = false,
    string? None = null,
    IReadOnlyDictionary<string, VariantBuild>? Builds = null)
{
    /// <summary>What can be seen of an own mark besides the variants of the book: a mark, but none of these.</summary>
    public const string Another = "another";


    /// <summary>What can be seen of it: its variants, and of an own mark also another one.</summary>
    [JsonIgnore]
    public IReadOnlyList<string> Answers => Own ? [.. Variants, Another] : Variants;

    /// <summary>The trait in words.</summary>
    [JsonIgnore]
    public string Title => Name ?? Id.Replace('_', ' ');

    /// <summary>A variant in words.</summary>
    public string VariantTitle(string variant) =>
        VariantNames is not null && VariantNames.TryGetValue(variant, out string? name) ? name : variant == Another && Own ? "a mark, but none of these"
            : variant.Replace('_', ' ');

    /// <summary>The small drawing of a variant, or null.</summary>
    public VariantDrawing? DrawingOf(string variant) => Drawings?.GetValueOrDefault(variant);
}

/// <summary>A size a line was made in.</summary>
/// <param name="Id">The maker's number for it.</param>
/// <param name="LengthMm">Nominal length, mm.</param>
/// <param name="IronWidthMm">Nominal iron width, mm.</param>
/// <param name="FirstYear">First year made; the line's own when absent.</param>
/// <param name="LastYear">Last year made; the line's own when absent.</param>
public sealed record LineSize(string Id, double? LengthMm = null, double? IronWidthMm = null, int? FirstYear = null, int? LastYear = null)
{
    /// <summary>Stands for a size the book does not list.</summary>
    public static LineSize NotInBook { get; } = new("not_in_book");
}

/// <summary>One maker's range: a page in the pattern book.</summary>
/// <param name="Id">Key, unique in the book.</param>
/// <param name="FirstYear">First year of production.</param>
/// <param name="LastYear">Last year of production.</param>
/// <param name="Variants">For each trait the book knows, the years of each variant as a, b, c, d (null ends are open).</param>
/// <param name="Maker">The maker's name.</param>
/// <param name="Range">What the range is.</param>
/// <param name="Share">Prior share against the other lines.</param>
/// <param name="Sizes">Sizes made.</param>
/// <param name="Kinds">Tool kinds the line covers.</param>
/// <param name="Source">Where the line's own years and sizes come from.</param>
/// <param name="Note">What to know about the line: takeovers, relaunches.</param>
/// <param name="Statements">For each trait and variant, where its years come from.</param>
public sealed record PatternLine(
    string Id,
    int FirstYear,
    int LastYear,
    IReadOnlyDictionary<string, IReadOnlyDictionary<string, int?[]>> Variants,
    string? Maker = null,
    string? Range = null,
    double Share = 1,
    IReadOnlyList<LineSize>? Sizes = null,
    IReadOnlyList<string>? Kinds = null,
    string? Source = null,
    string? Note = null,
    IReadOnlyDictionary<string, IReadOnlyDictionary<string, Statement>>? Statements = null)
{
    /// <summary>Key of the line that stands in when no line is a candidate.</summary>
    public const string UnknownId = "unknown";

    /// <summary>Key of the line that stands for a maker the book does not have.</summary>
    public const string OtherId = "other";

    /// <summary>True for a line of the book, and not one that stands in for a maker nobody knows.</summary>
    public static bool IsOfBook(string id) => id is not (UnknownId or OtherId);

    /// <summary>The line for a tool of no known maker: all years, universal marks only.</summary>
    public static PatternLine Unknown { get; } = new(
        UnknownId, DatingEngine.FirstYear, DatingEngine.LastYear,
        new Dictionary<string, IReadOnlyDictionary<string, int?[]>>(), "unknown maker");

    /// <summary>The line that stands for a maker the book does not have, for its name alone.</summary>
    public static PatternLine Other { get; } = Unknown with { Id = OtherId, Maker = "a maker not in the book" };

    /// <summary>Sizes made, empty when none are listed.</summary>
    [JsonIgnore]
    public IReadOnlyList<LineSize> SizesOrNone => Sizes ?? [];

    /// <summary>Where a statement comes from, or null when nothing is noted.</summary>
    public Statement? StatementOn(string trait, string variant) => Statements?.GetValueOrDefault(trait)?.GetValueOrDefault(variant);

    /// <summary>Maker and range in words.</summary>
    [JsonIgnore]
    public string Title => Range is null ? Maker ?? Id : $"{Maker ?? Id} {Range}";
}

/// <summary>All traits and lines the shop knows.</summary>
/// <param name="Traits">Traits with their variants.</param>
/// <param name="Lines">Pattern lines.</param>
public sealed record PatternBook(IReadOnlyList<Trait> Traits, IReadOnlyList<PatternLine> Lines)
{
    /// <summary>Finds a trait or says that the book has none of that name.</summary>
    public Trait TraitOf(string id) =>
        Traits.FirstOrDefault(t => t.Id == id)
        ?? throw new InputException("unknown_trait", "trait", id, "a trait of the pattern book", $"The pattern book has no trait \"{id}\".");

    /// <summary>Finds a line or says that the book has none of that name.</summary>
    public PatternLine LineOf(string id) =>
        Lines.FirstOrDefault(l => l.Id == id)
        ?? (id == PatternLine.UnknownId ? PatternLine.Unknown : id == PatternLine.OtherId ? PatternLine.Other : null)
        ?? throw new InputException("unknown_line", "line", id, "a line of the pattern book", $"The pattern book has no line \"{id}\".");

    /// <summary>Lines that cover a kind of tool.</summary>
    public IEnumerable<PatternLine> LinesFor(KindId kind) => Lines.Where(l => l.Kinds?.Contains(kind.Value) == true);
}

/// <summary>The years of one variant: rises from a to b, holds to c, falls to d.</summary>
/// <param name="A">Last year before the rise, or the first year at a step.</param>
/// <param name="B">First full year; null with <paramref name="A"/> for an open start.</param>
/// <param name="C">Last full year; null with <paramref name="D"/> for an open end.</param>
/// <param name="D">First year after the fall, or the last year at a step.</param>
public readonly record struct Trapezoid(int? A, int? B, int? C, int? D)
{
    /// <summary>Reads <c>[a, b, c, d]</c>; refuses years out of order.</summary>
    public static Trapezoid From(int?[] years, string where)
    {
        bool shaped = years.Length == 4 && years[0].HasValue == years[1].HasValue && years[2].HasValue == years[3].HasValue;
        int?[] known = shaped ? [.. years.Where(y => y.HasValue)] : [];
        if (!shaped || known.Zip(known.Skip(1)).Any(p => p.First > p.Second))
        {
            throw new InputException("variant_years_out_of_order", where,
                string.Join(", ", years.Select(y => y?.ToString(System.Globalization.CultureInfo.InvariantCulture) ?? "open")),
                "four years a <= b <= c <= d, open ends left out in pairs",
                $"The years of {where} must rise: begins, in full, still in full, ended. An open end leaves out both of its years.");
        }
        return new Trapezoid(years[0], years[1], years[2], years[3]);
    }

    /// <summary>How far this variant was in use in a year, 0 to 1.</summary>
    public double At(int year)
    {
        double rise = A is null || year >= B ? 1 : year < A ? 0 : (double)(year - A.Value) / (B!.Value - A.Value);
        double fall = D is null || year <= C ? 1 : year > D ? 0 : (double)(D.Value - year) / (D.Value - C!.Value);
        return Math.Min(rise, fall);
    }

    /// <summary>First year with any use, or null when open.</summary>
    public int? FirstUsed => A is null ? null : A == B ? A : A + 1;

    /// <summary>Last year with any use, or null when open.</summary>
    public int? LastUsed => D is null ? null : C == D ? D : D - 1;
}
