using CsCheck;
using Foundling.Core.Origin;

namespace Foundling.Core.Tests.Origin;

/// <summary>Changing a pattern book, explaining a dating, naming a tool nobody can name.</summary>
public sealed class BookEditsTests
{
    private static readonly PatternBook Book = DatingTests.Book;

    private const string Line = "pellow_tarn_bench";

    [Fact]
    public void Years_are_changed_and_the_old_book_stays()
    {
        PatternBook changed = Book.WithYears(Line, "side_wing", "peaked", [1890, 1895, 1925, 1930], new Statement("a list", "a note"));
        changed.LineOf(Line).Variants["side_wing"]["peaked"].ShouldBe([1890, 1895, 1925, 1930]);
        changed.LineOf(Line).StatementOn("side_wing", "peaked").ShouldBe(new Statement("a list", "a note"));
        Book.LineOf(Line).Variants["side_wing"]["peaked"].ShouldNotBe([1890, 1895, 1925, 1930]);
        PatternBook none = changed.WithYears(Line, "side_wing", "peaked", null);
        none.LineOf(Line).Variants["side_wing"].ShouldNotContainKey("peaked");
        none.LineOf(Line).StatementOn("side_wing", "peaked").ShouldBeNull();
        none.LineOf(Line).Variants.Count.ShouldBe(Book.LineOf(Line).Variants.Count);
    }

    [Theory]
    [InlineData("side_wing", "peaked", "1930,1920,1940,1950", "must rise")]
    [InlineData("side_wing", "peaked", "1930,,1940,1950", "leaves out both")]
    [InlineData("side_wing", "no_such", ",,1940,1950", "no form")]
    [InlineData("no_such", "peaked", ",,1940,1950", "no trait")]
    [InlineData("side_wing", "peaked", ",,1940,2950", "must be 1800 to 2000")]
    public void Years_that_cannot_be_are_refused_in_plain_words(string trait, string variant, string years, string sentence) =>
        Should.Throw<InputException>(() => Book.WithYears(Line, trait, variant, [.. years.Split(',').Select(y => y.Length == 0 ? (int?)null : int.Parse(y))]))
            .Sentence.ShouldContain(sentence);

    [Fact]
    public void A_line_must_hold_together()
    {
        PatternLine line = Book.LineOf(Line);
        Should.Throw<InputException>(() => Book.With(line with { LastYear = 1850 })).Sentence.ShouldContain("before it begins");
        Should.Throw<InputException>(() => Book.With(line with { Maker = " " })).Sentence.ShouldContain("maker's name");
        Should.Throw<InputException>(() => Book.With(line with { Share = 0 }));
        Should.Throw<InputException>(() => Book.With(line with { Kinds = ["submarine"] })).Sentence.ShouldContain("submarine");
        Should.Throw<InputException>(() => Book.With(line with { Id = "unknown" }));
        Should.Throw<InputException>(() => Book.With(line with { Id = "Not A Key" }));
        Should.Throw<InputException>(() => Book.With(line with { Sizes = [new LineSize("3"), new LineSize("3")] })).Sentence.ShouldContain("twice");
        Should.Throw<InputException>(() => Book.With(new Trait("t", "body", LookEffort.Glance, ["only"]))).Sentence.ShouldContain("two forms");
        Should.Throw<InputException>(() => Book.With(new Trait("t", "body", LookEffort.Glance, ["a", "b"], Drawings: new Dictionary<string,
            VariantDrawing> { ["a"] = new("M0 0L9 9\"/><script>") }))).Sentence.ShouldContain("plain lines");
    }

    [Fact]
    public void A_trait_cannot_lose_a_form_that_a_line_uses()
    {
        Trait trait = Book.TraitOf("side_wing");
        Should.Throw<InputException>(() => Book.With(trait with { Variants = [.. trait.Variants.Take(2)] }));
    }

    [Fact]
    public void A_copy_dates_as_its_model_does()
    {
        PatternLine copy = Book.Copy(Line, "Thole & Daughters");
        copy.Id.ShouldBe("thole_daughters");
        PatternBook two = Book.With(copy);
        IReadOnlyList<Observation> looks = new ToolMaker(Book, Line, 5, Assumptions.Standard).Draw(1905, ["side_wing", "cast_number", "knob_form"]).Looks;
        DatingReport mine = Dating.Report(new DatingInput(looks, two, [Line]), Assumptions.Standard),
            theirs = Dating.Report(new DatingInput(looks, two, [copy.Id]), Assumptions.Standard);
        theirs.Interval90.ShouldBe(mine.Interval90);
        theirs.ByYear.ShouldBe(mine.ByYear);
    }

    [Fact]
    public void Joining_a_book_with_itself_changes_nothing()
    {
        static string Json(PatternBook book) => System.Text.Json.JsonSerializer.Serialize(book, Keys.OpenJson.Options);
        Json(Book.Join(Book)).ShouldBe(Json(Book));
    }

    [Fact]
    public void A_key_made_from_words_is_always_good_and_free() => Gen.String.Sample(words =>
    {
        string id = BookEdits.FreeId(words, Book.Lines.Select(l => l.Id));
        Book.Lines.ShouldNotContain(l => l.Id == id);
        BookEdits.Verify(new Trait(id, "body", LookEffort.Glance, ["a", "b"]));
    });

    [Fact]
    public void What_a_look_did_is_told_with_what_would_be_without_it() => Gen.Int[0, 100_000].Sample(seed =>
    {
        var maker = new ToolMaker(Book, Line, seed, Assumptions.Standard);
        MadeUpTool tool = maker.DrawSwapped(maker.DrawYear(), maker.DrawTraits(5), 0.02);
        DatingReport report = Dating.Report(new DatingInput(tool.Looks, Book, [Line]), Assumptions.Standard, weights: true);
        foreach (Observation look in tool.Looks)
        {
            ObservationWeight weight = report.Weights![look.Id];
            DatingReport without = Dating.Report(new DatingInput([.. tool.Looks.Where(l => l != look)], Book, [Line]), Assumptions.Standard);
            weight.WithoutInterval90.ShouldBe(without.Interval90);
            weight.WithoutByYear.Zip(without.ByYear).ShouldAllBe(p => Math.Abs(p.First - p.Second) < 1e-9);
            foreach (int[] span in weight.RuledOutYears)
            {
                span[0].ShouldBeLessThanOrEqualTo(span[1]);
                // Of what a ruled out span held, little is left.
                double before = Enumerable.Range(span[0], span[1] - span[0] + 1).Sum(y => without.ByYear[y - DatingEngine.FirstYear]);
                double after = Enumerable.Range(span[0], span[1] - span[0] + 1).Sum(y => report.ByYear[y - DatingEngine.FirstYear]);
                after.ShouldBeLessThan(before);
            }
        }
    }, iter: 60);

    [Fact]
    public void A_tool_of_the_book_is_named_and_a_stranger_is_not()
    {
        var maker = new ToolMaker(Book, Line, 8, Assumptions.Standard);
        MadeUpTool tool = maker.Draw(1926, maker.Line.Variants.Keys);
        IdentificationResult named = Identification.Of(new IdentificationInput(tool.Looks, null, new Measurements(245, 50.8)), Book, Assumptions.Standard);
        named.PMaker[maker.Line.Maker!].ShouldBeGreaterThan(0.9);
        named.PMaker.Values.Sum().ShouldBe(1, 1e-9);
        // Looks that never went together, in any line.
        var random = new Random(4);
        List<Observation> odd = [.. maker.Line.Variants.Keys.Select((t, i) => new Observation($"o{i}", Confidence.Sure, t,
            Book.TraitOf(t).Variants[i % 2 == 0 ? 0 : ^1]))];
        IdentificationResult strange = Identification.Of(new IdentificationInput(odd), Book, Assumptions.Standard);
        strange.PMaker[PatternLine.OtherId].ShouldBeGreaterThan(strange.PMaker[maker.Line.Maker!]);
        named.FitsNothing.ShouldBeFalse();
        IdentificationResult hinted = Identification.Of(new IdentificationInput([odd.First(o => !Book.TraitOf(o.Trait!).Own)]), Book, Assumptions.Standard);
        hinted.PMaker[PatternLine.OtherId].ShouldBeGreaterThan(0.5);
        hinted.FitsNothing.ShouldBeFalse("one look of the book's own speaks for the lines that show it");
    }

    [Fact]
    public void A_look_at_a_part_a_kind_does_not_have_speaks_against_it()
    {
        var book = new PatternBook([new Trait("nuts", "saw_nuts", LookEffort.Glance, ["a", "b"]), new Trait("wing", "body", LookEffort.Glance, ["a", "b"])],
        [
            new PatternLine("saw", 1850, 1950, new Dictionary<string, IReadOnlyDictionary<string, int?[]>>(), "S", Kinds: ["hand-saw"]),
            new PatternLine("plane", 1850, 1950, new Dictionary<string, IReadOnlyDictionary<string, int?[]>>(), "P", Kinds: ["metal-bench-plane"]),
        ]);
        IReadOnlyDictionary<string, double> kinds = Identification.Of(new IdentificationInput([new Observation("o", Confidence.Sure, "nuts", "a")]),
            book, Assumptions.Standard).PKind;
        kinds["hand-saw"].ShouldBe(100 * kinds["metal-bench-plane"], 1e-6);
    }

    [Fact]
    public void A_maker_not_in_the_book_is_likely_until_a_name_is_read()
    {
        IdentificationResult nothing = Identification.Of(new IdentificationInput([]), Book, Assumptions.Standard);
        nothing.PMaker[PatternLine.OtherId].ShouldBe(Assumptions.Standard.NamelessShare, 1e-9);
        nothing.FitsNothing.ShouldBeFalse("nothing was seen that could speak against the book");
        double Other(params Observation[] looks) => OtherMaker.ShareFor(looks, Book, false, Assumptions.Standard);
        Trait mark = Book.Traits.First(t => t is { Own: true, None: not null });
        Other(new Observation("a", Confidence.Sure, mark.Id, mark.None)).ShouldBe(Assumptions.Standard.NamelessShare);
        Other(new Observation("a", Confidence.Sure, mark.Id, Trait.Another)).ShouldBe(Assumptions.Standard.NamelessShare);
        Other(new Observation("a", Confidence.Sure, mark.Id, mark.Variants.First(v => v != mark.None))).ShouldBe(Assumptions.Standard.UnknownShare);
        OtherMaker.ShareFor([], Book, true, Assumptions.Standard).ShouldBe(1);
    }

    [Fact]
    public void A_nameless_tool_gets_years_from_the_habits_of_the_trade_but_no_maker()
    {
        PatternLine only = Book.Lines.First(l => Book.Traits.Any(t => t.Own && t.None is not null && l.Variants.ContainsKey(t.Id)));
        Trait habit = Book.Traits.First(t => !t.Own && only.Variants.ContainsKey(t.Id));
        string seen = only.Variants[habit.Id].Keys.First();
        DatingReport report = Dating.Report(new DatingInput([new Observation("a", Confidence.Sure, habit.Id, seen)], Book, [only.Id], OtherShare: 0.6,
            OddSizeShare: 0.1), Assumptions.Standard);
        report.PLine[PatternLine.OtherId].ShouldBeGreaterThan(0.3);
        // A mark of the book says whose it is; another one says whose it is not.
        Trait mark = Book.Traits.First(t => t.Own && only.Variants.ContainsKey(t.Id));
        DatingReport With(string variant, double other) => Dating.Report(new DatingInput([new Observation("a", Confidence.Sure, habit.Id, seen),
            new Observation("b", Confidence.Sure, mark.Id, variant)], Book, [only.Id], OtherShare: other), Assumptions.Standard);
        With(only.Variants[mark.Id].Keys.First(v => v != mark.None), 0.05).NamesMaker.ShouldBeTrue();
        With(Trait.Another, 0.6).NamesMaker.ShouldBeFalse();
        With(Trait.Another, 0.6).PLine[only.Id].ShouldBeLessThan(report.PLine[only.Id]);
        Dating.Report(new DatingInput([], Book, [only.Id], OtherShare: 1), Assumptions.Standard).PLine.Keys.ShouldBe([PatternLine.OtherId]);
        Dating.Report(new DatingInput([], Book, []), Assumptions.Standard).IsDated.ShouldBeFalse();
    }
}
