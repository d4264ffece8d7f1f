using System.Text.Json;
using CsCheck;
using Foundling.Core.Gauges;
using Foundling.Core.Keys;
using Foundling.Core.Origin;

namespace Foundling.Core.Tests.Origin;

public sealed class DatingTests
{
    internal static readonly PatternBook Book = Read();

    private static PatternBook Read()
    {
        JsonElement input = WorkedExamples.Of("dating")[0].GetProperty("input");
        return new PatternBook(input.GetProperty("traits").Deserialize<Trait[]>(OpenJson.Options)!,
            input.GetProperty("lines").Deserialize<PatternLine[]>(OpenJson.Options)!);
    }

    /// <summary>Looks at a tool of one line and year: what it was fitted with, seen rightly.</summary>
    private static Gen<List<Observation>> Looks(string line) =>
        from year in Gen.Int[1880, 1950]
        from picks in Gen.Double[0, 1].Array[14]
        from count in Gen.Int[1, 8]
        select Take(line, year, picks, count);

    private static List<Observation> Take(string line, int year, double[] picks, int count)
    {
        var looks = new List<Observation>();
        foreach ((string trait, var variants) in Book.LineOf(line).Variants)
        {
            var used = variants.Where(v => Trapezoid.From(v.Value, trait).At(year) > 0).Select(v => v.Key).ToList();
            if (looks.Count < count && used.Count > 0)
            {
                looks.Add(new Observation("o" + looks.Count, Confidence.Sure, trait, used[(int)(picks[looks.Count] * used.Count * 0.999)]));
            }
        }
        return looks;
    }

    private static DatingReport Date(IReadOnlyList<Observation> looks, PatternBook? book = null, params string[] lines) =>
        Dating.Report(new DatingInput(looks, book ?? Book, lines.Length > 0 ? lines : ["pellow_tarn_bench", "brandreth_coy"]), Assumptions.Standard,
            lookNext: 50);

    [Fact]
    public void Belief_adds_up_to_one() => Looks("pellow_tarn_bench").Sample(looks =>
    {
        DatingReport report = Date(looks);
        report.ByYear.Sum().ShouldBe(1, 1e-9);
        report.PLine.Values.Sum().ShouldBe(1, 1e-9);
        report.PSwapped.Values.ShouldAllBe(p => p >= 0 && p <= 1);
        report.Interval90Mass.ShouldBeGreaterThanOrEqualTo(0.9 - 1e-9);
        report.MedianYear.ShouldBeInRange(report.Interval90[0], report.Interval90[1]);
    }, iter: 60);

    [Fact]
    public void The_order_of_looks_changes_nothing() => Gen.Select(Looks("pellow_tarn_bench"), Gen.Int[0, 1_000_000]).Sample((looks, seed) =>
    {
        Observation[] mixed = [.. looks];
        new Random(seed).Shuffle(mixed);
        DatingReport a = Date(looks), b = Date(mixed);
        a.Interval90.ShouldBe(b.Interval90);
        a.EntropyBits.ShouldBe(b.EntropyBits, 1e-9);
    }, iter: 40);

    [Fact]
    public void Scaling_all_shares_changes_nothing() => Looks("brandreth_coy").Sample(looks =>
    {
        var scaled = new PatternBook(Book.Traits, [.. Book.Lines.Select(l => l with { Share = l.Share * 7.3 })]);
        DatingReport a = Date(looks), b = Date(looks, scaled);
        a.ByYear.Zip(b.ByYear).Max(p => Math.Abs(p.First - p.Second)).ShouldBeLessThan(1e-12);
    }, iter: 30);

    [Fact]
    public void Another_look_at_the_same_tool_hardly_widens_the_span() => Looks("pellow_tarn_bench").Where(l => l.Count > 1).Sample(looks =>
    {
        static int Width(DatingReport r) => r.Interval90[1] - r.Interval90[0];
        DatingReport before = Date([.. looks.SkipLast(1)], null, "pellow_tarn_bench"), after = Date(looks, null, "pellow_tarn_bench");
        // Only a look that agrees: its variant was certainly in use over the whole span so far.
        Observation last = looks[^1];
        Trapezoid years = Trapezoid.From(Book.LineOf("pellow_tarn_bench").Variants[last.Trait!][last.Variant!], "");
        if (Enumerable.Range(before.Interval90[0], Width(before) + 1).All(y => years.At(y) >= 1))
        {
            Width(after).ShouldBeLessThanOrEqualTo(Width(before) + 1);
        }
    }, iter: 120);

    [Fact]
    public void A_look_never_promises_less_than_nothing() => Looks("pellow_tarn_bench").Sample(looks =>
    {
        DatingReport report = Date(looks);
        report.LookNext!.ShouldAllBe(l => l.Bits >= 1e-6 && l.Minutes > 0);
        report.LookNext!.ShouldBe(report.LookNext!.OrderByDescending(l => l.BitsPerMinute));
        report.LookNext!.Select(l => l.Trait).ShouldAllBe(t => looks.All(o => o.Trait != t));
    }, iter: 25);

    [Fact]
    public void Six_looks_narrow_the_years_each_time_or_leave_them()
    {
        var looks = new List<Observation>();
        int width = 200;
        foreach ((string trait, string variant) in new[] { ("side_wing", "peaked"), ("heel_edge", "rounded_heel"), ("cast_number", "ahead_of_knob"),
            ("wheel", "small_brass"), ("cap_hole", "pear"), ("knob_form", "low_bun") })
        {
            looks.Add(new Observation("o" + looks.Count, Confidence.Sure, trait, variant));
            DatingReport report = Date(looks, null, "pellow_tarn_bench");
            int now = report.Interval90[1] - report.Interval90[0];
            now.ShouldBeLessThanOrEqualTo(width);
            width = now;
        }
        width.ShouldBeLessThan(16);
    }

    [Theory]
    [InlineData("no_such", "x", "unknown_trait")]
    [InlineData("side_wing", "x", "unknown_variant")]
    public void Unknown_names_are_told(string trait, string variant, string key) =>
        Should.Throw<InputException>(() => Date([new Observation("o", Confidence.Sure, trait, variant)])).ErrorKey.ShouldBe(key);

    [Fact]
    public void Years_out_of_order_are_told() =>
        Should.Throw<InputException>(() => Trapezoid.From([1900, 1899, 1910, 1911], "wheel")).ErrorKey.ShouldBe("variant_years_out_of_order");

    [Fact]
    public void A_window_without_years_is_told() =>
        Should.Throw<InputException>(() => Date([new Observation("o", Mark: MarkKind.Window, Part: "body")])).Field.ShouldBe("not_before_year");

    [Fact]
    public void Two_looks_with_one_id_are_told() =>
        Should.Throw<InputException>(() => Date([new Observation("o", Trait: "wheel", Variant: "steel"), new Observation("o", Trait: "knob_form",
            Variant: "low_bun")])).ErrorKey.ShouldBe("id_twice");
}
