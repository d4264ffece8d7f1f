using System.IO.Compression;
using System.Text;
using System.Text.Json.Nodes;
using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Papers;
using Foundling.Data.Reference;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;
using SkiaSharp;

namespace Foundling.Data.Tests;

/// <summary>Bundles from others are judged whole before anything of them is kept.</summary>
public sealed class IncomingTests : IDisposable
{
    private readonly TestShop _shop = new();

    public void Dispose() => _shop.Dispose();

    private static byte[] Zip(string document, params (string Name, byte[] Bytes)[] more)
    {
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach ((string name, byte[] bytes) in more.Prepend(("tag.json", Encoding.UTF8.GetBytes(document))))
            {
                using Stream entry = zip.CreateEntry(name).Open();
                entry.Write(bytes);
            }
        }
        return stream.ToArray();
    }

    /// <summary>A sound tag with one of everything, as a document to be spoiled.</summary>
    private static JsonObject Sound()
    {
        var at = new DateTimeOffset(2026, 3, 1, 9, 0, 0, TimeSpan.Zero);
        var tag = new Tag
        {
            Number = 7, Kind = KindIds.MetalBenchPlane, Name = "Smoother", LengthMm = 245, ArrivedOn = new DateOnly(2026, 3, 1), BookedAt = at,
            Looks = [new Look { Id = Guid.NewGuid(), Mark = Core.Origin.MarkKind.Window, NotBeforeYear = 1900, Part = "body", Reading = "x", At = at }],
            Findings = [new Finding { Id = Guid.NewGuid(), Part = PartIds.Body, Kind = FindingKind.Rust, Severity = 2, CountHits = 4, CountPoints = 10,
                At = at }],
            Measurements = [new Measurement { Id = Guid.NewGuid(), Part = PartIds.Iron, Kind = MeasureIds.Thickness, Value = 2, At = at }],
            Plan = new Plan(AimKind.Work, [new Deed(StepKey.Photos, Stage.AsFound, "Photograph it", 1, 2, 3)
            {
                Parts = [PartIds.Body], Needs = [Need.Of(SupplyIds.LightOil, 5)], Lag = Lag.Cure(60),
            }]),
            Marks = [new StepMark { Deed = StepKey.Photos, State = StepState.Done, EndedAt = at }],
            Log = [new BenchEvent { Id = Guid.NewGuid(), At = at, Kind = EventKind.Note, Text = "hello" }],
            Proofs = [new ProofRecord { Id = Guid.NewGuid(), At = at, ReadingsMm = [0.03, 0.031, 0.029], TargetMm = 0.05 }],
            Surveys = [new SoleRecord { Id = Guid.NewGuid(), At = at, Source = "x", Input = new Core.Soles.GridSurveyInput(245, 60,
                [[1, 1, 0], [200, 1, 0], [100, 50, 0]]) }],
            Rubs = [new RubRecord { Id = Guid.NewGuid(), At = at, Grit = "P120", Anew = true, Likely = Core.Soles.SoleForm.HollowLengthwise, Chance = 0.9,
                StrokesLeft = 300, Seen = new Core.Soles.MarksSeen(30, [[Core.Soles.MarkLeft.Gone, Core.Soles.MarkLeft.Left, Core.Soles.MarkLeft.Gone]]) }],
        };
        return JsonNode.Parse(BundleDesk.Document(tag, ReferenceData.Book))!.AsObject();
    }

    private async Task<string?> Refusal(byte[] zip)
    {
        await using FoundlingDb db = _shop.Open();
        try
        {
            using var stream = new MemoryStream(zip);
            await _shop.Incoming(db).Receive(stream);
            return null;
        }
        catch (InputException fault)
        {
            (await db.Tags.CountAsync()).ShouldBe(0);
            Directory.GetFiles(_shop.Folder.Incoming).ShouldBeEmpty();
            return fault.Sentence;
        }
    }

    [Fact]
    public async Task A_sound_bundle_is_shown_and_taken_once_it_is_wanted()
    {
        byte[] zip = Zip(Sound().ToJsonString());
        await using FoundlingDb db = _shop.Open();
        using var stream = new MemoryStream(zip);
        BundleView view = await _shop.Incoming(db).Receive(stream);
        view.Number.ShouldBe(7);
        (await db.Tags.CountAsync()).ShouldBe(0);
        (await _shop.Incoming(db).Held(view.Id))!.Tag.Name.ShouldBe("Smoother");
        Tag taken = await _shop.Incoming(db).Take(view.Id, []);
        taken.ImportedAt.ShouldNotBeNull();
        // Taken again it gets another number and other keys, and each can be taken out.
        db.ChangeTracker.Clear();
        Tag twice = await _shop.Incoming(db).Take(view.Id, []);
        twice.Number.ShouldBe(8);
        await _shop.Incoming(db).TakeOut((await _shop.Tags(db).Find(7))!);
        (await db.Tags.Select(t => t.Number).ToListAsync()).ShouldBe([8]);
        (await db.Set<Finding>().CountAsync()).ShouldBe(1);
        _shop.Incoming(db).LetGo(view.Id);
        (await _shop.Incoming(db).Held(view.Id)).ShouldBeNull();
        (await _shop.Incoming(db).Held("../../foundling")).ShouldBeNull();
    }

    [Fact]
    public async Task Keys_used_already_are_exchanged_under_a_free_number()
    {
        JsonObject document = Sound();
        await using FoundlingDb db = _shop.Open();
        async Task<Tag> Take()
        {
            using var stream = new MemoryStream(Zip(document.ToJsonString()));
            BundleView view = await _shop.Incoming(db).Receive(stream);
            db.ChangeTracker.Clear();
            return await _shop.Incoming(db).Take(view.Id, []);
        }
        (await Take()).Number.ShouldBe(7);
        document["tag"]!["number"] = 99;
        (await Take()).Number.ShouldBe(99);
        (await db.Set<Finding>().Select(f => f.Id).Distinct().CountAsync()).ShouldBe(2);
    }

    [Fact]
    public async Task What_this_version_does_not_know_is_said_kept_and_goes_out_again()
    {
        JsonObject document = Sound();
        JsonNode tag = document["tag"]!;
        tag["gloss"] = JsonNode.Parse("""{"left":[1,2,"three"]}""");
        tag["findings"]![0]!["smell"] = "of fish oil";
        tag["log"]![0]!["noise_db"] = 71.5;
        tag["plan"]!["mood"] = "hopeful";
        tag["plan"]!["deeds"]![0]!["needs_daylight"] = true;
        await using FoundlingDb db = _shop.Open();
        async Task<string> Out(Tag from)
        {
            db.ChangeTracker.Clear();
            Tag kept = (await _shop.Tags(db).Find(from.Number))!;
            await _shop.Tags(db).ReadLog(kept);
            return BundleDesk.Document(kept, ReferenceData.Book);
        }
        using var stream = new MemoryStream(Zip(document.ToJsonString()));
        BundleView view = await _shop.Incoming(db).Receive(stream);
        view.Unknown.ShouldBe(["gloss", "smell of findings", "noise db of log", "mood of plan", "needs daylight of deeds"]);
        JsonNode once = JsonNode.Parse(await Out(await _shop.Incoming(db).Take(view.Id, [])))!["tag"]!;
        // Under other keys it stays with what it was said of.
        JsonNode twice = JsonNode.Parse(await Out(await _shop.Incoming(db).Take(view.Id, [])))!["tag"]!;
        twice["findings"]![0]!["id"]!.GetValue<string>().ShouldNotBe(once["findings"]![0]!["id"]!.GetValue<string>());
        foreach (JsonNode written in new[] { once, twice })
        {
            JsonNode.DeepEquals(written["gloss"], tag["gloss"]).ShouldBeTrue(written.ToJsonString());
            ((string)written["findings"]![0]!["smell"]!).ShouldBe("of fish oil");
            ((double)written["log"]![0]!["noise_db"]!).ShouldBe(71.5);
            ((string)written["plan"]!["mood"]!).ShouldBe("hopeful");
            ((bool)written["plan"]!["deeds"]![0]!["needs_daylight"]!).ShouldBeTrue();
        }
    }

    [Fact]
    public async Task More_than_is_kept_of_what_nobody_knows_is_refused()
    {
        JsonObject document = Sound();
        document["tag"]!["gloss"] = new JsonArray([.. Enumerable.Repeat(0, 6).Select(_ => (JsonNode)new string('x', 15_000))]);
        (await Refusal(Zip(document.ToJsonString())))!.ShouldContain("does not know");
    }

    [Fact]
    public async Task Only_its_own_guests_are_taken_out()
    {
        int number = await _shop.BookIn();
        await using FoundlingDb db = _shop.Open();
        Tag tag = (await _shop.Tags(db).Find(number))!;
        await Should.ThrowAsync<InputException>(() => _shop.Incoming(db).TakeOut(tag));
    }

    public static TheoryData<string, string> Spoilt => new()
    {
        { "findings.0.count_hits=0;findings.0.count_points=0", "" }, { "findings.0.count_points=-1", "" }, { "findings.0.part=\"zzz\"", "no part" },
            { "findings.0.severity=9", "" }, { "findings.0=null", "gap" },
        { "findings.0.count_points=null", "both numbers" }, { "findings.0.from_edge_mm=1e9", "" },
            { "findings.0.picture_id=\"00000000-0000-0000-0000-000000000001\"", "does not have" },
        { "measurements.0={}", "" }, { "measurements.0.part=\"zzz\"", "" }, { "measurements.0.kind=\"speed\"", "speed" }, { "measurements.0.value=1e308", "" },
        { "ways=[null]", "gap" }, { "ways=[\"rust=magic\"]", "none the program knows" }, { "plan.deeds.0.choice=\"zzz\"", "choice" },
            { "plan.deeds.0.needs=[null]",
            "gap" }, { "plan.deeds.0.minutes.low=5", "rise" },
        { "plan.deeds.0.minutes.likely=1e308;plan.deeds.0.minutes.high=1e308", "" }, { "plan.deeds.0.id=\"a\\nb\"", "id" },
            { "plan.deeds.0.parts=[\"zzz\"]", "zzz" },
            { "plan.deeds.0.lag.least_min=-1", "" }, { "marks.0.deed=\"nothing\"", "deed" }, { "marks.0=null", "gap" }, { "plan.deeds=null", "deeds" },
            { "plan.deeds.0=null", "" }, { "log.0.minutes=1e12", "" },
        { "length_mm=-5", "" }, { "length_mm=1e308", "" }, { "price=-5", "" }, { "number=0", "" }, { "kind=\"spaceship\"", "spaceship" },
            { "proofs.0.readings_mm=[1e9,1e9,1e9]", "" }, { "proofs.0.readings_mm=[]", "three" },
        { "surveys.0.input.points_mm=[[1],[2],[3]]", "three numbers" }, { "looks.0.not_before_year=99999", "" }, { "looks.0.mark=null", "" },
            { "name=null", "" }, { "log.0.text=null", "" }, { "story=null", "" },
        { "mouth_front_mm=300", "behind its heel" }, { "status=\"stolen\"", "status" }, { "status=3", "status" }, { "arrived_on=\"0001-01-01\"", "" },
            { "findings=null", "" },
    };

    [Theory]
    [MemberData(nameof(Spoilt))]
    public async Task What_does_not_hold_together_is_refused_whole(string changes, string expected)
    {
        JsonObject document = Sound();
        foreach (string change in changes.Split(';'))
        {
            string[] sides = change.Split('=', 2), path = sides[0].Split('.');
            JsonNode at = path[..^1].Aggregate(document["tag"]!, (node, name) => int.TryParse(name, out int i) ? node[i]! : node[name]!);
            if (int.TryParse(path[^1], out int last))
            {
                at[last] = JsonNode.Parse(sides[1]);
            }
            else
            {
                at[path[^1]] = JsonNode.Parse(sides[1]);
            }
        }
        string? said = await Refusal(Zip(document.ToJsonString()));
        said.ShouldNotBeNull(changes);
        said.ShouldContain(expected);
        said.ShouldContain("Nothing was imported");
    }

    [Fact]
    public async Task Too_many_children_and_endless_stories_are_refused_with_the_limit()
    {
        JsonObject document = Sound();
        JsonNode entry = document["tag"]!["log"]![0]!;
        document["tag"]!["log"] = new JsonArray([.. Enumerable.Range(0, 26_000).Select(_ =>
            { JsonNode copy = entry.DeepClone(); copy["id"] = Guid.NewGuid(); return copy; })]);
        (await Refusal(Zip(document.ToJsonString())))!.ShouldContain("25,000 are the most");
        document = Sound();
        document["tag"]!["story"] = new string('x', 15_000_000);
        (await Refusal(Zip(document.ToJsonString())))!.ShouldContain("20,000");
    }

    [Theory]
    [InlineData("""{"traits":[],"lines":[null]}""")]
    [InlineData("""{"traits":[{"id":"t","part":"body","effort":"glance","variants":["a",null]}],"lines":[]}""")]
    [InlineData("""{"traits":[],"lines":[{"id":"l","first_year":1900,"last_year":1920,"variants":{},"maker":"M","kinds":[null]}]}""")]
    [InlineData("""{"traits":[],"lines":[{"id":"l","first_year":1900,"last_year":1920,"variants":{"t":null},"maker":"M"}]}""")]
    [InlineData("""{"traits":[],"lines":[{"id":"l\n","first_year":1900,"last_year":1920,"variants":{},"maker":"M"}]}""")]
    [InlineData("""{"traits":[],"lines":[{"id":"l","first_year":1,"last_year":1920,"variants":{},"maker":"M"}]}""")]
    public async Task Pattern_pages_in_a_bundle_are_judged_too(string pages)
    {
        JsonObject document = Sound();
        document["pattern_book"] = JsonNode.Parse(pages);
        (await Refusal(Zip(document.ToJsonString()))).ShouldNotBeNull();
        string file = $$"""{"format":"foundling-pattern-book","version":1,{{pages[1..^1]}}}""";
        try
        {
            Origin.PatternImport import = Origin.PatternFile.Read(file, ReferenceData.Book);
            import.Faults.ShouldNotBeEmpty();
            import.Book.Lines.Count.ShouldBe(ReferenceData.Book.Lines.Count);
        }
        catch (InputException fault)
        {
            fault.Sentence.ShouldNotBeEmpty();
        }
    }

    [Fact]
    public async Task Pages_come_only_when_they_are_asked_for()
    {
        JsonObject document = Sound();
        document["pattern_book"] = JsonNode.Parse("""
            {"traits":[],"lines":[
              {"id":"one","first_year":1900,"last_year":1920,"variants":{},"maker":"One","kinds":["axe"]},
              {"id":"two","first_year":1900,"last_year":1920,"variants":{},"maker":"Two","kinds":["axe"]}]}
            """);
        await using FoundlingDb db = _shop.Open();
        using var stream = new MemoryStream(Zip(document.ToJsonString()));
        BundleView view = await _shop.Incoming(db).Receive(stream);
        view.Pages.Lines.Select(l => l.Id).ShouldBe(["one", "two"]);
        await _shop.Incoming(db).Take(view.Id, ["two"]);
        (await _shop.Patterns(db).Read()).Lines.Select(l => l.Id).Intersect(["one", "two"]).ShouldBe(["two"]);
    }

    private static byte[] Jpeg(bool withPlace, byte held = 1)
    {
        using var surface = SKSurface.Create(new SKImageInfo(64, 32));
        surface.Canvas.Clear(SKColors.Teal);
        byte[] plain = surface.Snapshot().Encode(SKEncodedImageFormat.Jpeg, 90).ToArray();
        if (!withPlace)
        {
            return plain;
        }
        // Orientation, and a pointer to a directory of places with one latitude reference.
        byte[] tiff = [.. "MM\0*"u8, 0, 0, 0, 8, 0, 2, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, held, 0, 0, 0x88, 0x25, 0, 4, 0, 0, 0, 1, 0, 0, 0, 38, 0, 0, 0, 0, 0,
            1, 0, 1, 0, 2, 0, 0, 0, 2, (byte)'N', 0, 0, 0, 0, 0, 0, 0];
        byte[] exif = [0xFF, 0xE1, 0, (byte)(8 + tiff.Length), .. "Exif\0\0"u8, .. tiff];
        return [.. plain[..2], .. exif, .. plain[2..]];
    }

    [Theory]
    [InlineData(1)]
    [InlineData(6)]
    public async Task Where_pictures_were_taken_stays_here_unless_asked_for(byte held)
    {
        await using FoundlingDb db = _shop.Open();
        Picture picture = await _shop.Pictures.Add(new MemoryStream(Jpeg(true, held)), "phone.jpg", "sole");
        int number = await _shop.BookIn(t => t.Pictures.Add(picture));
        async Task<(byte[] Zip, byte[] Picture)> Send(bool places)
        {
            using var stream = new MemoryStream();
            await _shop.Bundles(db).Write((await _shop.Tags(db).Find(number))!, stream, places);
            using var zip = new ZipArchive(new MemoryStream(stream.ToArray()));
            using var bytes = new MemoryStream();
            zip.Entries.Single(e => e.FullName.StartsWith("pictures/", StringComparison.Ordinal)).Open().CopyTo(bytes);
            return (stream.ToArray(), bytes.ToArray());
        }
        (await Send(true)).Picture.ShouldBe(Jpeg(true, held));
        (byte[] sent, byte[] plain) = await Send(false);
        Encoding.Latin1.GetString(plain).ShouldNotContain("\x88\x25");
        using SKCodec codec = SKCodec.Create(new SKMemoryStream(plain));
        ((int)codec.EncodedOrigin).ShouldBe(held);
        // The other shop takes it all the same.
        using var other = new TestShop();
        await using FoundlingDb there = other.Open();
        BundleView view = await other.Incoming(there).Receive(new MemoryStream(sent));
        view.Gone.ShouldBeEmpty();
        (await other.Incoming(there).Take(view.Id, [])).Pictures.ShouldHaveSingleItem().Caption.ShouldBe("sole");
    }

    [Fact]
    public async Task A_missing_original_is_said_and_the_rest_travels()
    {
        await using FoundlingDb db = _shop.Open();
        Picture kept = await _shop.Pictures.Add(new MemoryStream(Jpeg(false)), "a.jpg", "kept"), lost = await _shop.Pictures.Add(new MemoryStream(Jpeg(true)),
            "b.jpg", "lost");
        int number = await _shop.BookIn(t => t.Pictures.AddRange([kept, lost]));
        File.Delete(_shop.Pictures.Find(lost.File, Pictures.PictureSize.Original)!);
        using var stream = new MemoryStream();
        await _shop.Bundles(db).Write((await _shop.Tags(db).Find(number))!, stream);
        using var other = new TestShop();
        await using FoundlingDb there = other.Open();
        BundleView view = await other.Incoming(there).Receive(new MemoryStream(stream.ToArray()));
        view.Gone.ShouldHaveSingleItem().ShouldBe(lost.File);
        (await other.Incoming(there).Take(view.Id, [])).Pictures.Count.ShouldBe(2);
    }

    [Fact]
    public void Large_pattern_files_are_read_in_a_moment()
    {
        // One line with 10,000 rows of years, good ones and bad ones: each row is judged once.
        var text = new StringBuilder("record,line,trait,variant,name,kinds,part,effort,from,full_from,full_to,to\n");
        text.AppendLine("line,big,,,Big,axe,,,1850,,,1950");
        foreach (int t in Enumerable.Range(0, 150))
        {
            text.AppendLine($"trait,,t{t},,trait {t},,body,glance,,,,");
            Enumerable.Range(0, 20).ToList().ForEach(v => text.AppendLine($"variant,,t{t},v{v},form {v},,,,,,,"));
        }
        foreach (int i in Enumerable.Range(0, 10_000))
        {
            text.AppendLine($"years,big,t{i % 150},v{i / 150 % 20},,,,,1860,1861,1900,1901");
        }
        Origin.PatternImport import = Origin.PatternFile.Read(text.ToString(), new Core.Origin.PatternBook([], []));
        import.Faults.ShouldBeEmpty();
        import.Book.Lines.Single().Variants.Sum(t => t.Value.Count).ShouldBe(3000);
        Should.Throw<InputException>(() => Origin.PatternFile.Read("record,line,trait\n" + string.Concat(Enumerable.Repeat("years,nowhere,t\n", 20_000)),
            ReferenceData.Book)).Sentence.ShouldNotBeEmpty();
    }
}
