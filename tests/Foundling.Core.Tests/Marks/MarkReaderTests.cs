using CsCheck;
using Foundling.Core.Marks;
using Foundling.Core.Origin;

namespace Foundling.Core.Tests.Marks;

/// <summary>Numbers, dates, wording and diamonds, on small tables made up for the purpose.</summary>
public sealed class MarkReaderTests
{
    private static readonly List<YearStart> Patents = [new(1900, 640_167), new(1901, 664_827), new(1902, 690_385), new(1910, 945_010), new(1911, 980_178),
        new(1912, 1_013_095), new(1913, 1_049_326), new(1914, 1_083_267), new(1915, 1_123_212)];

    private static readonly MarkReader Reader = new(new MarkTables(
        Patents, [new(1900, 32_055), new(1901, 33_813)], [new(1884, 1), new(1885, 19_754), new(1886, 40_480)],
        [
            new("nippon", "'Nippon' as the country name", 1891, 1921, true, "Accepted until 1921"), new("drp", "'D.R.P.' on a tool", 1877, null, false,
                "The office opened in 1877"),
            new("drp_end", "'D.R.P.' on a tool", null, 1952, true, "Grants stopped in 1945"), new("patent_applied", "'Patent applied for' or 'Patent pending'",
                1842, null, true, "A claim only"),
            new("gb_diamond_end", "Diamond-shaped mark", null, 1888, true, "Last issued in 1883"),
        ],
        [new("chromium_plate", "Cold bluish-white hard plating", 1924, 1930, null, false, "Decorative chromium came about 1925"),
            new("spring_pin", "Rolled spring pin with a slit", 1930, 1950, null, true, "Common after 1945")],
        [new(true, true, "X", 1842, null, false, ""), new(false, true, "X", 1868, null, false, ""), new(false, true, "W", 1878, 3, true, "Appears with G"),
            new(false, true, "W", 1865, null, false, ""),
            new(true, false, "G", null, 2, false, ""), new(false, false, "G", null, 2, false, ""), new(false, false, "G", 1878, 3, true, "")],
        [new("drp", "patents", @"\bd\.? ?r\.? ?p\b"), new("nippon", "origin", @"\bnippon\b")]), Assumptions.Standard);

    [Theory]
    [InlineData("1,013,095", 1912)]
    [InlineData("Pat. No. 1013094", 1911)]
    [InlineData("patent 664.827", 1901)]
    public void A_whole_number_gives_the_year_of_grant(string text, int year)
    {
        MarkReading reading = Reader.Read(text)[0];
        reading.Key.ShouldBe("patent");
        reading.Bounds.ShouldBe([new MarkBound(MarkKind.PatentGranted, IssueYear: year)]);
    }

    [Fact]
    public void A_number_with_missing_figures_gives_the_years_it_may_be_of()
    {
        MarkReading reading = Reader.Read("1,0?8,2??")[0];
        reading.Years.ShouldBe([1911, 1912, 1913, 1914], ignoreOrder: true);
        reading.Bounds.ShouldBe([new MarkBound(MarkKind.Window, NotBefore: 1911)]);
        reading.Why.ShouldContain("1,008,200 and 1,098,299");
        // With one figure more some of the years fall away, also in the middle.
        Reader.Read("1,0?8,299")[0].Years!.ShouldBe([1911, 1912, 1913, 1914], ignoreOrder: true);
        Reader.Read("1,04?,9??")[0].Years!.ShouldBe([1912, 1913]);
    }

    [Fact]
    public void The_years_of_a_partly_read_number_are_those_of_the_numbers_it_can_be() => Gen.Select(Gen.Long[640_167, 1_150_000],
        Gen.Int[0, 127]).Sample((number, hidden) =>
    {
        string digits = number.ToString();
        string read = new([.. digits.Select((c, i) => (hidden >> i & 1) == 1 ? '?' : c)]);
        if (read.All(c => c == '?'))
        {
            return;
        }
        PartialNumber part = PartialNumber.Parse(read)!;
        IReadOnlyList<int> years = part.YearsIn(Patents);
        years.ShouldContain(IssueYears.Of(number, Patents));
        years.ShouldBe(years.Order());
        (part.Least <= number && number <= part.Greatest).ShouldBeTrue();
        // Every year named holds a number that fits.
        foreach (int year in years)
        {
            long fits = part.NextFrom(Patents.First(p => p.Year == year).FirstNumber)!.Value;
            fits.ToString().Zip(part.Digits).ShouldAllBe(p => p.Second == '?' || p.First == p.Second);
        }
    });

    [Theory]
    [InlineData("Pat. Apr. 19, 1910", 1910, false)]
    [InlineData("PAT'D 19 April 1910", 1910, false)]
    [InlineData("4-19-10", 1910, false)]
    [InlineData("4-20-10", 1910, true)]
    [InlineData("19 Apl. 10", 1910, false)]
    [InlineData("Dec. 24, '67", 1867, false)]
    [InlineData("Feb. 30, 1890", 1890, true)]
    [InlineData("Apr 20 1910", 1910, true)]
    [InlineData("Pat. 1910", 1910, false)]
    public void A_date_gives_its_year_and_a_day_that_was_no_Tuesday_raises_doubt(string text, int year, bool doubt)
    {
        MarkReading reading = Reader.Read(text)[0];
        reading.Bounds.ShouldBe([new MarkBound(MarkKind.PatentGranted, IssueYear: year)]);
        (reading.Doubt is not null).ShouldBe(doubt);
    }

    [Fact]
    public void A_year_alone_bounds_a_tool_and_is_no_grant()
    {
        MarkReading year = Reader.Read("1910")[0];
        year.Bounds.ShouldBe([new MarkBound(MarkKind.Window, NotBefore: 1910)]);
        year.Doubt.ShouldNotBeNull();
        Reader.Read("Copyright 1912")[0].Bounds.ShouldBe([new MarkBound(MarkKind.Window, NotBefore: 1912)]);
    }

    [Fact]
    public void A_date_in_words_is_never_also_a_number()
    {
        foreach (string text in new[] { "Apr. 19, 1910", "Pat'd Dec. 24, 1867", "4-19-10" })
        {
            Reader.Read(text).ShouldAllBe(r => r.Key == "dated");
        }
    }

    [Fact]
    public void Every_date_of_a_text_is_read_in_any_form() => Gen.Select(Gen.DateOnly[new DateOnly(1850, 1, 1), new DateOnly(1949, 12, 31)].Array[1, 3],
        Gen.Int[0, 3]).Sample((days, form) =>
    {
        System.Globalization.CultureInfo plain = System.Globalization.CultureInfo.InvariantCulture;
        string[] formats = ["MMM. d, yyyy", "d MMMM yyyy", "MMM-d-yyyy", "MMMM d yyyy"];
        string text = "Pat'd " + string.Join(" & ", days.Select(d => d.ToString(formats[form], plain)));
        MarkDate.All(text.ToLowerInvariant()).Select(f => (f.Date.Year, f.Date.Month, f.Date.Day))
            .ShouldBe(days.Select(d => (d.Year, (int?)d.Month, (int?)d.Day)));
    });

    [Fact]
    public void Words_tell_which_office_a_number_is_from()
    {
        Reader.Read("Rd. No. 20000").ShouldContain(r => r.Key == "registered" && r.Bounds[0].NotBefore == 1885);
        Reader.Read("Rd. No. 20000").ShouldNotContain(r => r.Key == "patent" || r.Key == "design");
        Reader.Read("Des. 33,000").ShouldContain(r => r.Key == "design" && r.Bounds[0].NotBefore == 1900);
        Reader.Read("33,000").Select(r => r.Key).ShouldBe(["design", "registered"]);
    }

    [Fact]
    public void A_patent_applied_for_lies_between_filing_and_grant()
    {
        Reader.Read("Pat. applied for 1911")[0].Bounds.ShouldBe([new MarkBound(MarkKind.PatentApplied, FilingYear: 1911)]);
        Reader.Read("Patent pending")[0].Key.ShouldBe("mark_patent_applied");
    }

    [Fact]
    public void Wording_and_materials_are_found_by_their_words()
    {
        MarkReading drp = Reader.Read("D.R.P.")[0];
        drp.Bounds.ShouldBe([new MarkBound(MarkKind.Window, false, 1877), new MarkBound(MarkKind.Window, true, null, 1952)]);
        drp.Says.ShouldBe("not before 1877; rarely after 1952");
        Reader.Read("nippon")[0].Bounds.ShouldBe([new MarkBound(MarkKind.Window, true, 1891, 1921)]);
        Reader.Read("bluish plating")[0].Bounds[0].ShouldBe(new MarkBound(MarkKind.Window, false, 1924));
        // A guide is never a rule.
        Reader.Read("spring pin")[0].Bounds.ShouldAllBe(b => b.Soft);
        Reader.Read("zzyzx").ShouldBeEmpty();
    }

    [Fact]
    public void A_diamond_is_read_by_its_cycle()
    {
        Reader.ReadDiamond("X", "G", "4", "2").Single().Title.ShouldBe("Diamond mark of February 1842");
        Reader.ReadDiamond("4", "2", "x", "").Single().Bounds[0].NotBefore.ShouldBe(1868);
        // Top unreadable and right too: both cycles are possible when both letters are there to be read.
        Should.Throw<InputException>(() => Reader.ReadDiamond("X", null, "X", null)).ErrorKey.ShouldBe("diamond_clash");
        Should.Throw<InputException>(() => Reader.ReadDiamond("", "", "", "G")).ErrorKey.ShouldBe("diamond_unread");
        // The exception of March 1878 is offered with its month letter only.
        Reader.ReadDiamond("3", "1", "W", "G").ShouldContain(r => r.Title.Contains("1878") && r.Doubt != null);
        Reader.ReadDiamond("3", "1", "W", "C").ShouldNotContain(r => r.Title.Contains("1878"));
    }

    [Fact]
    public void No_text_makes_the_reader_fail_otherwise() => Gen.String[Gen.Char["0123456789?,. abcdprmJan/-'\"<>&\n"], 0, 60].Sample(text =>
    {
        try
        {
            Reader.Read(text).ShouldAllBe(r => r.Bounds.Count > 0 && r.Says != "" && r.Title != "");
        }
        catch (InputException fault)
        {
            fault.Sentence.ShouldNotBeEmpty();
        }
    });

    [Theory]
    [InlineData("J<<6'-7m0a<ban7 &'0.9/33 9-9c<<r0")]
    [InlineData("9.0/33")]
    public void A_day_or_month_of_nought_is_no_date(string text) => Reader.Read(text).ShouldAllBe(r => !r.Title.Contains("1933", StringComparison.Ordinal));

    [Fact]
    public void Every_reading_makes_evidence_that_can_be_weighed()
    {
        foreach (MarkReading reading in new[] { "1,013,095", "4-19-10", "nippon", "D.R.P.", "spring pin", "applied for 1905" }.SelectMany(t => Reader.Read(t)))
        {
            List<Observation> evidence = [.. reading.Bounds.Select((b, i) => b.ToObservation($"o{i}", "body", Confidence.Sure))];
            DatingReport report = Dating.Report(new DatingInput(evidence, new PatternBook([], []), []), Assumptions.Standard);
            report.EntropyBits.ShouldBeLessThan(Math.Log2(201));
        }
    }
}
