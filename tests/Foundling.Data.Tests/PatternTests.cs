using Foundling.Core.Tools;
using System.Text.Json;
using CsCheck;
using Foundling.Core;
using Foundling.Core.Gauges;
using Foundling.Core.Keys;
using Foundling.Core.Origin;
using Foundling.Data.Origin;
using Foundling.Data.Reference;
using Foundling.Data.Store;

namespace Foundling.Data.Tests;

/// <summary>The pattern book as it is kept, changed, taken back, sent and read.</summary>
public sealed class PatternTests : IDisposable
{
    private const string Line = "quillan_hand";

    private readonly TestShop _shop = new();

    public void Dispose() => _shop.Dispose();

    private static string Json(PatternBook book) => JsonSerializer.Serialize(book, OpenJson.Options);

    private async Task<T> With<T>(Func<PatternShelf, Task<T>> act)
    {
        await using FoundlingDb db = _shop.Open();
        // A cache of its own each time: what counts is what was kept.
        return await act(new PatternShelf(db, new PatternCache(), _shop.Time));
    }

    [Fact]
    public void Only_looks_that_no_line_of_the_book_shows_together_are_said_to_fit_nothing()
    {
        PatternBook book = ReferenceData.Book;
        PatternLine line = book.LineOf("pellow_tarn_bench");
        // The earliest form of one trait beside the latest of the next: no year showed both.
        List<Trait> traits = [.. line.Variants.Keys.Select(book.TraitOf).Where(t => !t.Own)];
        List<Observation> odd = [.. traits.Select((t, i) => new Observation($"o{i}", Confidence.Sure, t.Id, i % 2 == 0 ? t.Variants[0] : t.Variants[^1]))];
        IdentificationResult strange = Identification.Of(new IdentificationInput(odd), book, Assumptions.Standard);
        strange.FitsNothing.ShouldBeTrue(string.Join(", ", strange.PMaker.Select(m => $"{m.Key} {m.Value:0.000}")));
        Identification.Of(new IdentificationInput([odd[0]]), book, Assumptions.Standard)
            .FitsNothing.ShouldBeFalse("one look speaks for the lines that show it");
        Identification.Of(new IdentificationInput([]), book, Assumptions.Standard).FitsNothing.ShouldBeFalse("nothing was seen");
    }

    [Fact]
    public async Task A_new_shop_starts_with_the_sample_lines_and_nothing_to_take_back()
    {
        Json(await With(s => s.Read())).ShouldBe(Json(ReferenceData.Book));
        BookHistory history = await With(s => s.History());
        history.Undo.ShouldBeNull();
        history.Redo.ShouldBeNull();
        (await With(s => s.Undo())).ShouldBeFalse();
    }

    [Fact]
    public async Task Changes_are_kept_taken_back_and_made_again()
    {
        await With(s => s.Change("one", b => b.WithYears(Line, "nib", "nib", [null, null, 1930, 1931])));
        await With(s => s.Change("two", b => b.WithoutLine("dunmarrow_boring")));
        string two = Json(await With(s => s.Read()));
        (await With(s => s.History())).Undo.ShouldBe("two");
        (await With(s => s.Undo())).ShouldBeTrue();
        (await With(s => s.Read())).Lines.ShouldContain(l => l.Id == "dunmarrow_boring");
        (await With(s => s.History())).ShouldBeEquivalentTo(new BookHistory("one", "two", []));
        await With(s => s.Undo());
        Json(await With(s => s.Read())).ShouldBe(Json(ReferenceData.Book));
        await With(s => s.Redo());
        await With(s => s.Redo());
        Json(await With(s => s.Read())).ShouldBe(two);
        (await With(s => s.Redo())).ShouldBeFalse();
        // A change after taking back starts a new way on; the old one is not lost under it.
        await With(s => s.Undo());
        await With(s => s.Change("three", b => b.WithoutLine(Line)));
        (await With(s => s.History())).Undo.ShouldBe("three");
    }

    [Fact]
    public async Task A_refused_change_leaves_everything_as_it_was()
    {
        await Should.ThrowAsync<InputException>(() => With(s => s.Change("bad", b => b.WithYears(Line, "nib", "nib", [1950, 1940, null, null]))));
        (await With(s => s.History())).Undo.ShouldBeNull();
    }

    [Fact]
    public async Task Old_versions_are_let_go_in_time()
    {
        for (int i = 0; i < 6; i++)
        {
            await With(s => s.Change($"change {i}", b => b));
        }
        await using FoundlingDb db = _shop.Open();
        db.BookVersions.Count().ShouldBe(7);
        db.BookVersions.Count(v => v.Current).ShouldBe(1);
        db.BookVersions.Max(v => v.Book.Length).ShouldBeLessThan(60_000);
    }

    private static Dictionary<string, VariantBuild>? Says(Random random) => random.Next(4) switch
    {
        0 => new Dictionary<string, VariantBuild> { ["v0"] = new(Never: true), ["v1"] = new(Material.Steel) },
        1 => new Dictionary<string, VariantBuild> { ["v1"] = new(Material.CastIron, PartFinish.Japanned, Parts: ["frame", "fixed_jaw"]) },
        2 => new Dictionary<string, VariantBuild> { ["v0"] = new(Finish: PartFinish.Painted) },
        _ => null,
    };

    [Theory]
    [InlineData("v0", "no material", false, "stell", null)]
    [InlineData("v0", "gold", false, "gold", null)]
    [InlineData("v9", "no form", false, "steel", null)]
    [InlineData("v0", "either", true, "steel", null)]
    [InlineData("v0", "no finish of a part", false, "wood", "plated")]
    public void A_form_that_says_what_cannot_be_of_the_build_is_refused_with_a_sentence(string variant, string sentence, bool never, string? material,
        string? finish)
    {
        string csv = "record,trait,variant,part,effort,material,finish,never\ntrait,t,,knob,glance,,,\n"
            + string.Concat(new[] { "v0", "v1", variant == "v9" ? "v9" : "" }.Where(v => v.Length > 0 && v != "v9").Select(v => v == variant
                ? $"variant,t,{v},,,{material},{finish},{(never ? "yes" : "")}\n" : $"variant,t,{v},,,,,\n"));
        var into = new PatternBook([], []);
        if (variant == "v9")
        {
            Should.Throw<InputException>(() => into.With(new Trait("t", "knob", LookEffort.Glance, ["v0", "v1"],
                Builds: new Dictionary<string, VariantBuild> { ["v9"] = new(Material.Steel) }))).Sentence.ShouldContain(sentence);
            return;
        }
        string fault = Should.Throw<InputException>(() => PatternFile.Read(csv, into)).Sentence;
        fault.ShouldContain(sentence);
    }

    /// <summary>Books with every field filled or empty at random.</summary>
    private static readonly Gen<PatternBook> Books = Gen.Int[0, 1_000_000].Select(seed =>
    {
        var random = new Random(seed);
        string? Maybe(string text) => random.Next(3) == 0 ? null : text;
        int? Years(int from) => from;
        List<Trait> traits = [.. Enumerable.Range(0, random.Next(1, 5)).Select(t => new Trait($"t{t}", random.Next(2) == 0 ? "body" : "iron",
            (LookEffort)random.Next(4), [.. Enumerable.Range(0, random.Next(2, 5)).Select(v => $"v{v}")],
            Maybe($"A trait, \"quoted\" {t}"), random.Next(2) == 0 ? null : new Dictionary<string, string> { ["v0"] = "first; with a semicolon" },
            random.Next(2) == 0 ? null : new Dictionary<string, VariantDrawing> { ["v1"] = new("M0 0H9Z", null, Maybe("M1.5 2L3 4")) },
                Maybe("line one\nline two"), Builds: Says(random)))];
        List<PatternLine> lines = [.. Enumerable.Range(0, random.Next(0, 4)).Select(l =>
        {
            var variants = new Dictionary<string, IReadOnlyDictionary<string, int?[]>>();
            var said = new Dictionary<string, IReadOnlyDictionary<string, Statement>>();
            foreach (Trait t in traits.Where(_ => random.Next(3) > 0))
            {
                int a = random.Next(1800, 1900), b = random.Next(a, 1930), c = random.Next(b, 1960), d = random.Next(c, 2001);
                variants[t.Id] = new Dictionary<string, int?[]> { ["v0"] = random.Next(2) == 0 ? [null, null, c, d] : [a, b, c, d],
                    ["v1"] = random.Next(2) == 0 ? [a, b, null, null] : [null, null, null, null] };
                if (random.Next(2) == 0)
                {
                    said[t.Id] = new Dictionary<string, Statement> { ["v1"] = new(Maybe("a list of 1902") ?? "x", Maybe("=not a formula")) };
                }
            }
            return new PatternLine($"l{l}", 1820 + l, 1950 + l, variants, $"Maker {l}", Maybe("planes, long"), random.NextDouble() + 0.1,
                random.Next(2) == 0 ? null : [new LineSize("No. 3", 245.5, null, Years(1900), null), new LineSize("x", null, 50.8)], random.Next(2) == 0 ? null
                    : ["chisel", "axe"], Maybe("source"), Maybe("über, note"), said.Count == 0 ? null : said);
        })];
        return new PatternBook(traits, lines);
    });

    [Fact]
    public void A_book_comes_back_exactly_from_CSV() => Books.Sample(book =>
    {
        PatternImport import = PatternFile.Read(PatternFile.WriteCsv(book), new PatternBook([], []));
        import.Faults.ShouldBeEmpty();
        Json(import.Book).ShouldBe(Json(book));
    }, iter: 200);

    [Fact]
    public void A_book_comes_back_exactly_from_JSON() => Books.Sample(book =>
    {
        PatternImport import = PatternFile.Read(PatternFile.WriteJson(book), new PatternBook([], []));
        import.Faults.ShouldBeEmpty();
        Json(import.Book).ShouldBe(Json(book));
    }, iter: 200);

    [Fact]
    public void The_shipped_book_comes_back_exactly()
    {
        Json(PatternFile.Read(PatternFile.WriteCsv(ReferenceData.Book), new PatternBook([], [])).Book).ShouldBe(Json(ReferenceData.Book));
        Json(PatternFile.Read(PatternFile.WriteJson(ReferenceData.Book), new PatternBook([], [])).Book).ShouldBe(Json(ReferenceData.Book));
    }

    [Fact]
    public async Task Bad_rows_are_named_and_the_rest_is_kept()
    {
        const string file = """
            record,line,trait,variant,name,kinds,from,full_from,full_to,to,part,effort
            trait,,horn,,Horn of the handle,,,,,,handle,glance
            variant,,horn,long,long,,,,,,,
            variant,,horn,short,short,,,,,,,
            line,orlass,,,Orlass Saw Works,hand-saw,1880,,,1950,,
            years,orlass,horn,long,,,,,1910,1905,,
            years,orlass,horn,short,,,1903,1911,,,,
            years,orlass,horn,medium,,,,,1910,1915,,
            """;
        await With(s => s.Import("orlass.csv", file));
        BookHistory history = await With(s => s.History());
        history.Undo.ShouldBe("Import of orlass.csv");
        history.LeftOut.Count.ShouldBe(2);
        history.LeftOut[0].ShouldStartWith("Row 6: ");
        history.LeftOut[0].ShouldContain("must rise");
        history.LeftOut[1].ShouldStartWith("Row 8: ");
        history.LeftOut[1].ShouldContain("medium");
        PatternLine line = (await With(s => s.Read())).LineOf("orlass");
        line.Variants["horn"].Keys.ShouldBe(["short"]);
        await With(s => s.Undo());
        (await With(s => s.Read())).Lines.ShouldNotContain(l => l.Id == "orlass");
    }

    [Theory]
    [InlineData("", "nothing in this file")]
    [InlineData("just words", "must name the columns")]
    [InlineData("record,line", "no rows")]
    [InlineData("{ \"traits\": 3 }", "cannot be read")]
    [InlineData("{ \"format\": \"other\", \"version\": 1, \"traits\": [], \"lines\": [] }", "reads foundling-pattern-book")]
    [InlineData("record,line,name,from,to\nline,a b,Maker,1900,1910", "Nothing in this file")]
    public void A_file_that_is_no_pattern_book_gets_a_sentence(string text, string sentence) =>
        Should.Throw<InputException>(() => PatternFile.Read(text, ReferenceData.Book)).Sentence.ShouldContain(sentence);

    [Fact]
    public void No_text_makes_the_reader_fail_otherwise() => Gen.String[Gen.Char["record,line\n\"years;19{}'[]:"], 0, 120].Sample(text =>
    {
        try
        {
            PatternFile.Read("record,line,from\n" + text, new PatternBook([], []));
        }
        catch (InputException fault)
        {
            fault.Sentence.ShouldNotBeEmpty();
        }
    });

    [Fact]
    public async Task A_bundle_brings_the_pages_a_shop_does_not_have_and_leaves_its_own()
    {
        int number = await _shop.BookIn(t => t.Looks.Add(new Core.Tags.Look { Id = Guid.NewGuid(), Trait = "side_wing", Variant = "peaked" }));
        using var bundle = new MemoryStream();
        await using (FoundlingDb db = _shop.Open())
        {
            await _shop.Bundles(db).Write((await _shop.Tags(db).Find(number))!, bundle);
        }
        using var other = new TestShop();
        await using (FoundlingDb db = other.Open())
        {
            await other.Patterns(db).Change("less", b => b.WithoutLine("pellow_tarn_bench").WithYears("brandreth_coy", "wheel", "steel",
                [1950, 1951, null, null]));
            bundle.Position = 0;
            await other.Bring(db, bundle);
            PatternBook there = await other.Patterns(db).Read();
            there.Lines.ShouldContain(l => l.Id == "pellow_tarn_bench");
            there.LineOf("brandreth_coy").Variants["wheel"]["steel"][0].ShouldBe(1950);
        }
    }
}
