using System.IO.Compression;
using System.Text;
using CsCheck;
using Foundling.Core;
using Foundling.Core.Log;
using Foundling.Core.Tags;
using Foundling.Data.Demo;
using Foundling.Data.Papers;
using Foundling.Data.Reference;
using Foundling.Data.Shop;
using Foundling.Data.Soles;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Tests;

public sealed class PapersTests : IDisposable
{
    private readonly TestShop _shop = new();

    public void Dispose() => _shop.Dispose();

    private async Task LoadDemo()
    {
        await using FoundlingDb db = _shop.Open();
        await _shop.Demo(db).Load();
    }

    private async Task<(byte[] Zip, string Document)> Export(int number)
    {
        await using FoundlingDb db = _shop.Open();
        Tag tag = (await _shop.Tags(db).Find(number))!;
        using var stream = new MemoryStream();
        await _shop.Bundles(db).Write(tag, stream);
        return (stream.ToArray(), BundleDesk.Document(tag, ReferenceData.Book));
    }

    private static async Task<Tag> Import(TestShop shop, byte[] zip)
    {
        await using FoundlingDb db = shop.Open();
        using var stream = new MemoryStream(zip);
        return await shop.Bring(db, stream);
    }

    private static byte[] Zip(params (string Name, string Text)[] entries)
    {
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach ((string name, string text) in entries)
            {
                using Stream entry = zip.CreateEntry(name).Open();
                entry.Write(Encoding.UTF8.GetBytes(text));
            }
        }
        return stream.ToArray();
    }

    [Fact]
    public async Task The_build_of_a_tool_travels_with_it()
    {
        int number = await _shop.BookIn(t => t.Built = t.Built.Adding("brass fence", Core.Tools.Material.Brass, Core.Tools.PartFinish.Bare,
            Core.Tools.PartIds.Body).With(Core.Tools.FeatureIds.FrogScrew, Core.Tools.FormIds.NoFrogScrew));
        (byte[] zip, string document) = await Export(number);
        document.ShouldContain("\"no_frog_screw\"");
        using var other = new TestShop();
        Tag come = await Import(other, zip);
        come.Tool().Is(Core.Tools.FormIds.NoFrogScrew).ShouldBeTrue();
        come.Tool().Parts[^1].Name.ShouldBe("brass fence");
    }

    [Fact]
    public async Task What_another_version_says_of_the_build_is_kept_and_written_again()
    {
        int number = await _shop.BookIn(t => t.Built = t.Built.With(Core.Tools.FeatureIds.FrogScrew, Core.Tools.FormIds.NoFrogScrew));
        (_, string document) = await Export(number);
        using var other = new TestShop();
        Tag come = await Import(other, Zip((BundleDesk.DocumentName, document.Replace("\"forms\":", "\"hallmarks\": 3, \"forms\":",
            StringComparison.Ordinal))));
        await using FoundlingDb db = other.Open();
        BundleDesk.Document((await other.Tags(db).Find(come.Number))!, ReferenceData.Book).ShouldContain("\"hallmarks\": 3");
    }

    [Theory]
    [InlineData("\"stand\": \"added\"", "\"stand\": \"as_made\"", "neither one of its kind nor an added one")]
    [InlineData("\"no_frog_screw\"", "\"wings\"", "no form of")]
    [InlineData("\"part\": \"added_1\",\n", "\"part\": \"body\", \"stand\": \"never_had\" }, { \"part\": \"added_1\",\n", "made without its body")]
    [InlineData("\"part\": \"added_1\"", "\"part\": \"tailpipe\"", "no part the program knows")]
    [InlineData("\"finish\": \"bare\"", "\"finish\": \"varnished\"", "no finish of a part")]
    public async Task A_build_that_does_not_hold_together_is_refused_with_a_sentence(string right, string wrong, string sentence)
    {
        int number = await _shop.BookIn(t => t.Built = t.Built.Adding("brass fence", Core.Tools.Material.Brass, Core.Tools.PartFinish.Bare,
            Core.Tools.PartIds.Body).With(Core.Tools.FeatureIds.FrogScrew, Core.Tools.FormIds.NoFrogScrew));
        (_, string document) = await Export(number);
        document.ShouldContain(right);
        using var other = new TestShop();
        byte[] zip = Zip((BundleDesk.DocumentName, document.Replace(right, wrong, StringComparison.Ordinal)));
        (await Should.ThrowAsync<InputException>(() => Import(other, zip))).Sentence.ShouldContain(sentence);
    }

    [Fact]
    public async Task The_demo_loft_holds_tags_at_every_stage()
    {
        await LoadDemo();
        await LoadDemo();
        await using FoundlingDb db = _shop.Open();
        List<Tag> tags = await db.Tags.Include(t => t.Marks).Include(t => t.Pictures).Include(t => t.Waits).ToListAsync();
        await _shop.Plans(db).Fetch(tags);
        tags.Count.ShouldBe(16);
        tags.ShouldAllBe(t => t.Pictures.Count > 0 && t.ArrivedOn <= new DateOnly(2026, 3, 3) && t.Story.Length > 0);
        tags.Select(t => t.Owner).Distinct().Count().ShouldBe(3);
        tags.ShouldContain(t => t.Status == TagStatus.Done && t.Steps.All(s => s.State == StepState.Done));
        tags.ShouldContain(t => t.Aim == null);
        tags.SelectMany(t => t.Waits).Count(w => w.EndedAt == null).ShouldBe(2);
        tags.SelectMany(t => t.Waits).ShouldAllBe(w => w.StartedAt < _shop.Time.GetUtcNow());
    }

    [Fact]
    public async Task A_bundle_gives_the_same_tag_in_an_empty_shop()
    {
        await LoadDemo();
        using var other = new TestShop();
        foreach (int number in new[] { 17, 31, 35 })
        {
            (byte[] zip, string document) = await Export(number);
            Tag tag = await Import(other, zip);
            tag.Number.ShouldBe(number);
            await using FoundlingDb db = other.Open();
            Tag kept = (await other.Tags(db).Find(number))!;
            await other.Tags(db).ReadLog(kept);
            BundleDesk.Document(kept, ReferenceData.Book).ShouldBe(document);
            other.Pictures.Find(kept.Pictures[0].File, Pictures.PictureSize.Thumb).ShouldNotBeNull();
        }
    }

    [Fact]
    public async Task A_number_already_taken_is_exchanged()
    {
        await LoadDemo();
        (byte[] zip, _) = await Export(31);
        Tag again = await Import(_shop, zip);
        again.Number.ShouldBe(43);
        await using FoundlingDb db = _shop.Open();
        (await _shop.Tags(db).Find(31))!.Looks.Count.ShouldBe((await _shop.Tags(db).Find(43))!.Looks.Count);
    }

    [Theory]
    [InlineData("../evil.json")]
    [InlineData("pictures/../../evil.jpg")]
    [InlineData("/etc/cron.d/x")]
    [InlineData("C:\\evil.jpg")]
    [InlineData("pictures/readme.txt")]
    public async Task Stray_paths_are_refused_and_nothing_is_written(string name)
    {
        int number = await _shop.BookIn();
        (_, string document) = await Export(number);
        using var other = new TestShop();
        InputException fault = await Should.ThrowAsync<InputException>(() => Import(other, Zip(("tag.json", document), (name, "x"))));
        fault.Sentence.ShouldContain("has no place in it");
        await using FoundlingDb db = other.Open();
        (await db.Tags.CountAsync()).ShouldBe(0);
        Directory.GetFiles(other.Folder.Path, "evil*", SearchOption.AllDirectories).ShouldBeEmpty();
    }

    [Fact]
    public async Task Broken_bundles_get_a_sentence()
    {
        int number = await _shop.BookIn(t => t.Pictures.Add(new Picture { Id = Guid.NewGuid(), File = new string('a', 32) + ".jpg", Width = 4, Height = 4,
            At = _shop.Time.GetUtcNow() }));
        (_, string document) = await Export(number);
        async Task<string> Refusal(byte[] zip) => (await Should.ThrowAsync<InputException>(() => Import(_shop, zip))).Sentence;
        (await Refusal(Encoding.UTF8.GetBytes("not a zip"))).ShouldContain("not a zip");
        (await Refusal(Zip(("readme.txt", "x")))).ShouldContain("no place");
        (await Refusal(Zip())).ShouldContain("no tag.json");
        (await Refusal(Zip(("tag.json", "{")))).ShouldContain("cannot be read");
        (await Refusal(Zip(("tag.json", document.Replace("\"version\": 2", "\"version\": 9", StringComparison.Ordinal))))).ShouldContain("version 9");
        (await Refusal(Zip(("tag.json", document), ($"pictures/{new string('a', 32)}.jpg", "no picture")))).ShouldContain("not a picture");
        (await Refusal(Zip(("tag.json", document.Replace("metal-bench-plane", "spaceship", StringComparison.Ordinal))))).ShouldContain("spaceship");
        (await Refusal(Zip(("tag.json", document), ("tag.json", new string(' ', 20_000_000))))).ShouldNotBeEmpty();
    }

    [Fact]
    public async Task A_document_that_unpacks_without_end_is_refused() =>
        (await Should.ThrowAsync<InputException>(() => Import(_shop, Zip(("tag.json", new string(' ', 40_000_000)))))).Sentence.ShouldContain("too large");

    [Fact]
    public void Readings_are_read_with_and_without_a_heading()
    {
        ReadingsFile.Read("x,y,height\n0,3,0.12\n10, 3, 2 thou\n").Points.Select(p => p[2]).ShouldBe([0.12, 0.0508]);
        ReadingsFile.Read("0;3;0,12\r\n10;3;0,05").Points.Select(p => p[2]).ShouldBe([0.12, 0.05]);
        ReadingsFile.Read("\uFEFF0\t3\t0.1").Points.ShouldHaveSingleItem().ShouldBe([0, 3, 0.1]);
    }

    [Fact]
    public void Bad_lines_are_named()
    {
        ReadingsResult read = ReadingsFile.Read("x,y,height\n0,3,0.12\n10,three,0.1\n\n20,3\n30,3,0.1,7\n40,3,0.2");
        read.Points.Count.ShouldBe(2);
        read.Faults.Count.ShouldBe(3);
        read.Faults[0].ShouldBe("Line 3: \"three\" in the y column is not a length.");
        read.Faults[1].ShouldStartWith("Line 5 has 2 values");
        read.Faults[2].ShouldStartWith("Line 6 has 4 values");
    }

    [Fact]
    public void An_empty_file_gets_a_sentence() => Should.Throw<InputException>(() => ReadingsFile.Read("x,y,z\n\n")).Sentence.ShouldContain("no readings");

    [Fact]
    public void No_text_makes_the_reader_fail_otherwise() => Gen.String[Gen.Char["0123456789.,;\t\n\r\"'xyz -/"], 0, 200].Sample(text =>
    {
        try
        {
            ReadingsResult read = ReadingsFile.Read(text);
            (read.Points.Count + read.Faults.Count).ShouldBeGreaterThan(0);
        }
        catch (InputException fault)
        {
            fault.Sentence.ShouldNotBeEmpty();
        }
    }, iter: 3000);
}
