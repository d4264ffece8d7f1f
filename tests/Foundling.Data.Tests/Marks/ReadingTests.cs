using Foundling.Core;
using Foundling.Core.Marks;
using Foundling.Data.Reference;

namespace Foundling.Data.Tests.Marks;

/// <summary>What people type off a tool, read with the shipped tables and the sample pattern book.</summary>
public sealed class ReadingTests
{
    private static readonly MarkReader Reader = new(ReferenceData.Marks, Assumptions.Standard);

    /// <summary>Text, key of the first likely reading with its year where it has one, and a second reading that must stand there too.</summary>
    public static TheoryData<string, string, string> Typed()
    {
        using var stream = new StreamReader(typeof(ReadingTests).Assembly.GetManifestResourceStream("readings.csv")!);
        using CsvHelper.CsvReader csv = CsvHelper.CsvReader.Create(stream, new CsvHelper.CsvReaderOptions());
        var rows = new TheoryData<string, string, string>();
        while (csv.Read())
        {
            rows.Add(csv.GetString(0), csv.GetString(1), csv.FieldCount > 2 ? csv.GetString(2) : "");
        }
        return rows;
    }

    [Theory]
    [MemberData(nameof(Typed))]
    public void The_first_reading_is_the_right_one(string text, string first, string also)
    {
        List<string> said = [.. Reader.Read(text, ReferenceData.Book).Where(r => r.Likely).Select(Short)];
        string all = string.Join(" ", said);
        if (first == "none")
        {
            said.ShouldBeEmpty();
            return;
        }
        said.ShouldNotBeEmpty();
        said[0].ShouldBe(first, all);
        if (also.Length > 0)
        {
            said.Skip(1).ShouldContain(also, all);
        }
    }

    [Fact]
    public void There_are_enough_of_them() => Typed().Count.ShouldBeGreaterThanOrEqualTo(60);

    [Fact]
    public void Every_mark_and_material_has_a_form_and_a_group_and_no_form_is_of_nothing()
    {
        MarkTables tables = ReferenceData.Marks;
        string[] keys = [.. tables.Marks.Where(m => !m.Key.EndsWith("_end", StringComparison.Ordinal)).Select(m => m.Key), .. tables.Materials.Select(m =>
            m.Key)];
        tables.Forms.Select(f => f.Key).ShouldBe(keys, ignoreOrder: true);
        tables.Forms.ShouldAllBe(f => f.Group.Length > 0);
    }

    [Fact]
    public void Every_entry_of_the_list_is_found_again_by_its_own_words() =>
        Reader.All().Where(entry => Reader.Read(entry.Title).All(r => r.Key != entry.Key)).Select(entry => entry.Title).ShouldBeEmpty();

    [Fact]
    public void A_sentence_gives_each_mark_once_and_folds_away_the_unlikely()
    {
        IReadOnlyList<MarkReading> readings = Reader.Read("Quillan, cast steel, Pat. Dec. 24 1867, made in USA, No. 8", ReferenceData.Book);
        readings.Where(r => r.Likely).Select(Short).ShouldBe(["dated:1867", "maker_quillan_hand", "detail_cast_steel_mark", "mark_made_in_wording"],
            ignoreOrder: true);
        readings.Where(r => !r.Likely).ShouldAllBe(r => r.Title.Contains("no. 8", StringComparison.Ordinal));
        readings.Select(r => r.Key).ShouldBeUnique();
    }

    private static string Short(MarkReading r)
    {
        string key = r.Key.Split('@')[0].TrimEnd('0', '1', '2', '3', '4', '5', '6', '7', '8', '9');
        return r.Bounds is [{ } b] && !key.StartsWith("mark_", StringComparison.Ordinal) && !key.StartsWith("detail_", StringComparison.Ordinal)
            && r.Line is null
            ? $"{key}:{b.IssueYear ?? b.FilingYear ?? b.NotBefore}" : r.Key;
    }
}
