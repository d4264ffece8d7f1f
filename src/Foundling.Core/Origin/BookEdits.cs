using System.Text.RegularExpressions;
using Foundling.Core.Tools;

namespace Foundling.Core.Origin;

/// <summary>The years of one variant in a line.</summary>
/// <param name="Trait">Key of the trait.</param>
/// <param name="Variant">Key of the variant.</param>
/// <param name="Years">a, b, c, d.</param>
/// <param name="Said">Where they come from; null for nothing said.</param>
public sealed record VariantYears(string Trait, string Variant, int?[] Years, Statement? Said = null);

/// <summary>Changes to a pattern book. Each gives a new book, checked; the old one stays as it was.</summary>
public static partial class BookEdits
{
    /// <summary>Most lines and most traits a book may hold; every tag of a kind is weighed against all its lines.</summary>
    public const int MostEntries = 600;

    /// <summary>Most sizes and most traits of one line.</summary>
    public const int MostOfLine = 200;

    private const int LongestText = 2000;

    /// <summary>Puts a line in, in the place of one with the same key.</summary>
    /// <exception cref="InputException">The line does not hold together.</exception>
    public static PatternBook With(this PatternBook book, PatternLine line)
    {
        Verify(book, line);
        return book with { Lines = Replaced(book.Lines, line, l => l.Id) };
    }

    /// <summary>Puts a trait in, in the place of one with the same key.</summary>
    /// <exception cref="InputException">The trait does not hold together, or lines use a variant it no longer has.</exception>
    public static PatternBook With(this PatternBook book, Trait trait)
    {
        Verify(trait);
        PatternBook with = book with { Traits = Replaced(book.Traits, trait, t => t.Id) };
        foreach (PatternLine line in with.Lines.Where(l => l.Variants.ContainsKey(trait.Id)))
        {
            Verify(with, line);
        }
        return with;
    }

    /// <summary>Takes a line out.</summary>
    public static PatternBook WithoutLine(this PatternBook book, string line) => book with { Lines = [.. book.Lines.Where(l => l.Id != line)] };

    /// <summary>Gives a variant its years in a line, or takes them away with null.</summary>
    /// <param name="book">The book.</param>
    /// <param name="line">Key of the line.</param>
    /// <param name="trait">Key of the trait.</param>
    /// <param name="variant">Key of the variant.</param>
    /// <param name="years">a, b, c, d; null when the line never used it.</param>
    /// <param name="said">Where the years come from; null leaves it as it is.</param>
    /// <exception cref="InputException">Years out of order, or an unknown name.</exception>
    public static PatternBook WithYears(this PatternBook book, string line, string trait, string variant, int?[]? years, Statement? said = null)
    {
        PatternLine before = book.LineOf(line);
        _ = book.TraitOf(trait);
        return book.With(before with
        {
            Variants = Put(before.Variants, trait, variant, years),
            Statements = years is null ? Put(before.Statements, trait, variant, null)
                : said is null ? before.Statements
                : Put(before.Statements, trait, variant, said is { Source: null or "", Note: null or "" } ? null : said),
        });
    }

    /// <summary>
    /// Gives many variants of a line their years at once, so that a large file is judged once and not row by row.
    /// </summary>
    /// <exception cref="InputException">The line does not hold together with them.</exception>
    public static PatternBook WithYears(this PatternBook book, string line, IReadOnlyList<VariantYears> all)
    {
        PatternLine before = book.LineOf(line);
        var variants = before.Variants.ToDictionary(t => t.Key, t => t.Value.ToDictionary());
        var statements = (before.Statements ?? new Dictionary<string, IReadOnlyDictionary<string, Statement>>()).ToDictionary(t => t.Key, t =>
            t.Value.ToDictionary());
        foreach (VariantYears one in all)
        {
            (variants.TryGetValue(one.Trait, out Dictionary<string, int?[]>? years) ? years : variants[one.Trait] = [])[one.Variant] = one.Years;
            if (one.Said is not null)
            {
                (statements.TryGetValue(one.Trait, out Dictionary<string, Statement>? said) ? said : statements[one.Trait] = [])[one.Variant] = one.Said;
            }
        }
        return book.With(before with
        {
            Variants = variants.ToDictionary(t => t.Key, t => (IReadOnlyDictionary<string, int?[]>)t.Value),
            Statements = statements.Count == 0 ? null : statements.ToDictionary(t => t.Key, t => (IReadOnlyDictionary<string, Statement>)t.Value),
        });
    }

    /// <summary>Refuses years of one variant that do not hold together with the book.</summary>
    public static void Verify(PatternBook book, VariantYears one)
    {
        Trait trait = book.TraitOf(one.Trait);
        if (!trait.Variants.Contains(one.Variant))
        {
            throw Bad("variant", one.Variant, string.Join(", ", trait.Variants), $"\"{trait.Title}\" has no form \"{Units.Shorten.To(one.Variant, 60)}\".");
        }
        Trapezoid.From(one.Years, $"\"{trait.VariantTitle(one.Variant)}\"");
        foreach (int year in one.Years.OfType<int>())
        {
            Check.Within(year, DatingEngine.FirstYear, DatingEngine.LastYear, "year");
        }
        Text("source", one.Said?.Source, one.Said?.Note);
    }

    /// <summary>A copy of a line under another name, its kinds and years kept.</summary>
    public static PatternLine Copy(this PatternBook book, string line, string maker)
    {
        PatternLine of = book.LineOf(line);
        return of with { Id = FreeId(maker, book.Lines.Select(l => l.Id)), Maker = maker };
    }

    /// <summary>Adds the lines and traits of another book: traits are joined, lines of the same key exchanged.</summary>
    public static PatternBook Join(this PatternBook book, PatternBook other)
    {
        PatternBook joined = book;
        foreach (Trait trait in other.Traits)
        {
            Trait? here = joined.Traits.FirstOrDefault(t => t.Id == trait.Id);
            joined = joined.With(here is null ? trait : trait with
            {
                Variants = [.. here.Variants, .. trait.Variants.Except(here.Variants)],
                VariantNames = Union(here.VariantNames, trait.VariantNames), Drawings = Union(here.Drawings, trait.Drawings),
                Name = trait.Name ?? here.Name, Note = trait.Note ?? here.Note, Own = trait.Own || here.Own, None = trait.None ?? here.None,
                Builds = Union(here.Builds, trait.Builds),
            });
        }
        return other.Lines.Aggregate(joined, (b, line) => b.With(line));
    }

    /// <summary>The part of the book some lines need: themselves and the traits they know.</summary>
    public static PatternBook Only(this PatternBook book, IReadOnlyCollection<string> lines)
    {
        List<PatternLine> kept = [.. book.Lines.Where(l => lines.Contains(l.Id))];
        return new PatternBook([.. book.Traits.Where(t => kept.Any(l => l.Variants.ContainsKey(t.Id)))], kept);
    }

    /// <summary>A key made from words that no other entry has.</summary>
    public static string FreeId(string words, IEnumerable<string> taken)
    {
        string id = NotId().Replace(words.ToLowerInvariant(), "_").Trim('_');
        id = id.Length == 0 ? "line" : id[..Math.Min(40, id.Length)];
        HashSet<string> used = [.. taken, PatternLine.UnknownId, PatternLine.OtherId];
        return !used.Contains(id) ? id : Enumerable.Range(2, MostEntries).Select(i => $"{id}_{i}").First(i => !used.Contains(i));
    }

    /// <summary>Refuses a trait that does not hold together.</summary>
    public static void Verify(Trait trait)
    {
        Id("trait", trait.Id);
        Text("name", trait.Title, trait.Note);
        if (trait.Variants.Count < 2)
        {
            throw Bad("variants", trait.Variants.Count, "2 or more", $"\"{trait.Title}\" needs at least two forms to tell apart.");
        }
        if (trait.Variants.Distinct().Count() != trait.Variants.Count || trait.Variants.Count > 40)
        {
            throw Bad("variants", trait.Variants.Count, "each once, at most 40", $"\"{trait.Title}\" names a form twice, or more than 40 of them.");
        }
        foreach (string variant in trait.Variants)
        {
            Id("variant", variant);
            Text("variant", trait.VariantTitle(variant));
            foreach (string path in new[] { trait.DrawingOf(variant)?.F, trait.DrawingOf(variant)?.P, trait.DrawingOf(variant)?.L }.OfType<string>())
            {
                if (path.Length > 6000 || !PathData().IsMatch(path))
                {
                    throw Bad("drawing", path, "path data of lines and curves",
                        $"The drawing of \"{trait.VariantTitle(variant)}\" is not made of plain lines and curves.");
                }
            }
        }
        Id("part", trait.Part);
        foreach ((string variant, VariantBuild says) in trait.Builds ?? new Dictionary<string, VariantBuild>())
        {
            Verify(trait, variant, says);
        }
        if (trait.None is not null && !trait.Variants.Contains(trait.None))
        {
            throw Bad("none", trait.None, string.Join(", ", trait.Variants), $"\"{trait.Title}\" has no form \"{trait.None}\" that could mean no mark.");
        }
        if (trait.Own && trait.Variants.Contains(Trait.Another))
        {
            throw Bad("variants", Trait.Another, "another key", $"\"{Trait.Another}\" is kept for marks the book does not have.");
        }
    }

    private static void Verify(Trait trait, string variant, VariantBuild says)
    {
        if (!trait.Variants.Contains(variant))
        {
            throw Bad("builds", variant, string.Join(", ", trait.Variants), $"\"{trait.Title}\" has no form \"{Units.Shorten.To(variant, 60)}\".");
        }
        if (says is null)
        {
            throw Bad("builds", variant, "what it says", $"\"{trait.VariantTitle(variant)}\" says nothing of the build.");
        }
        if (says.Never ? says.Material is not null || says.Finish is not null : says.Material is null && says.Finish is null)
        {
            throw Bad("builds", variant, "a material, a finish, or that it was never there",
                $"\"{trait.VariantTitle(variant)}\" says of the build either what the part is made of and how it is finished, or that it was never there.");
        }
        if (says is { Material: { } material, Finish: { } finish } && !Materials.Finishes(material).Contains(finish))
        {
            throw Bad("finish", finish, string.Join(", ", Materials.Finishes(material)), $"{finish} is no finish of a part of {material}.");
        }
        if (says.Parts is { Count: 0 or > VariantBuild.MostParts })
        {
            throw Bad("parts", says.Parts.Count, $"1 to {VariantBuild.MostParts}", $"A form speaks of 1 to {VariantBuild.MostParts} parts.");
        }
        foreach (string part in says.Parts ?? [])
        {
            Id("part", part);
        }
    }

    /// <summary>Refuses a line that does not hold together with its book.</summary>
    public static void Verify(PatternBook book, PatternLine line)
    {
        Id("line", line.Id);
        if (!PatternLine.IsOfBook(line.Id))
        {
            throw Bad("line", line.Id, "another name", $"\"{line.Id}\" is kept for tools of no known maker; choose another name.");
        }
        Text("maker", line.Maker, line.Range, line.Source, line.Note);
        if (string.IsNullOrWhiteSpace(line.Maker))
        {
            throw Bad("maker", line.Maker, "a name", "A line needs the maker's name.");
        }
        Check.Within(line.FirstYear, DatingEngine.FirstYear, DatingEngine.LastYear, "first_year");
        Check.Within(line.LastYear, DatingEngine.FirstYear, DatingEngine.LastYear, "last_year");
        Check.Between(line.Share, 0, 1000, "share");
        if (line.SizesOrNone.Count > MostOfLine || line.Variants.Count > MostOfLine || line.Kinds?.Count > ToolCatalogue.Kinds.Count)
        {
            throw Bad("line", line.Variants.Count, $"at most {MostOfLine} sizes and {MostOfLine} traits",
                $"{line.Title} has more than {MostOfLine} sizes or traits, or a kind twice.");
        }
        Ordered(line.FirstYear, line.LastYear, "last_year", line.Title);
        if ((line.Kinds ?? []).FirstOrDefault(k => !ToolCatalogue.Kinds.Any(t => t.Id.Value == k)) is { } strange)
        {
            throw Bad("kinds", strange, "kinds the program knows", $"\"{strange}\" is no kind of tool the program knows.");
        }
        foreach (IGrouping<string, LineSize> size in line.SizesOrNone.GroupBy(s => s.Id))
        {
            if (size.Count() > 1 || string.IsNullOrWhiteSpace(size.Key) || size.Key.Length > 40)
            {
                throw Bad("size", size.Key, "each number once", $"The size \"{size.Key}\" of {line.Title} stands there twice, or has no number.");
            }
            LineSize s = size.First();
            _ = s.LengthMm is double length ? Check.Between(length, 0, 5000, "length_mm") : 0;
            _ = s.IronWidthMm is double width ? Check.Between(width, 0, 1000, "iron_width_mm") : 0;
            Ordered(s.FirstYear ?? line.FirstYear, s.LastYear ?? line.LastYear, "last_year", $"the size {s.Id}");
        }
        foreach ((string trait, IReadOnlyDictionary<string, int?[]> variants) in line.Variants)
        {
            foreach ((string variant, int?[] years) in variants)
            {
                Verify(book, new VariantYears(trait, variant, years));
            }
        }
        foreach (Statement said in (line.Statements ?? new Dictionary<string, IReadOnlyDictionary<string, Statement>>()).Values.SelectMany(v => v.Values))
        {
            Text("source", said.Source, said.Note);
        }
    }

    private static void Ordered(int first, int last, string field, string what)
    {
        if (first > last)
        {
            throw Bad(field, last, $"{first} or later", $"{what} would end in {last}, before it begins in {first}.");
        }
    }

    private static void Id(string field, string id)
    {
        if (!GoodId().IsMatch(id))
        {
            throw Bad(field, id, "small letters, digits, _ and -, at most 60", $"The key \"{id}\" must be small letters, digits and underscores, at most 60.");
        }
    }

    private static void Text(string field, params string?[] texts)
    {
        if (texts.FirstOrDefault(t => t?.Length > LongestText) is { } text)
        {
            throw Bad(field, text.Length, $"at most {LongestText} letters", $"That is {text.Length} letters; at most {LongestText} are kept.");
        }
    }

    private static InputException Bad(string field, object? value, string allowed, string sentence) => new("bad_pattern", field, value, allowed, sentence);

    private static List<T> Replaced<T>(IReadOnlyList<T> list, T item, Func<T, string> id)
    {
        if (list.Count >= MostEntries)
        {
            throw Bad("book", list.Count, $"at most {MostEntries}", $"The book is full: {MostEntries} entries.");
        }
        List<T> result = [.. list];
        int at = result.FindIndex(x => id(x) == id(item));
        if (at < 0)
        {
            result.Add(item);
        }
        else
        {
            result[at] = item;
        }
        return result;
    }

    private static Dictionary<string, IReadOnlyDictionary<string, T>> Put<T>(IReadOnlyDictionary<string, IReadOnlyDictionary<string, T>>? all, string outer,
        string inner, T? value)
        where T : class
    {
        var result = new Dictionary<string, IReadOnlyDictionary<string, T>>(all ?? new Dictionary<string, IReadOnlyDictionary<string, T>>());
        var within = new Dictionary<string, T>(result.GetValueOrDefault(outer) ?? new Dictionary<string, T>());
        if (value is null)
        {
            within.Remove(inner);
        }
        else
        {
            within[inner] = value;
        }
        if (within.Count == 0)
        {
            result.Remove(outer);
        }
        else
        {
            result[outer] = within;
        }
        return result;
    }

    private static Dictionary<string, T>? Union<T>(IReadOnlyDictionary<string, T>? a, IReadOnlyDictionary<string, T>? b)
    {
        if (a is null && b is null)
        {
            return null;
        }
        var result = new Dictionary<string, T>(a ?? new Dictionary<string, T>());
        foreach ((string key, T value) in b ?? new Dictionary<string, T>())
        {
            result[key] = value;
        }
        return result;
    }

    [GeneratedRegex(@"^[a-z0-9][a-z0-9_-]{0,59}\z")]
    private static partial Regex GoodId();

    [GeneratedRegex("[^a-z0-9]+")]
    private static partial Regex NotId();

    [GeneratedRegex(@"^[MmLlHhVvCcSsQqTtAaZz0-9eE+., -]*\z")]
    private static partial Regex PathData();
}
