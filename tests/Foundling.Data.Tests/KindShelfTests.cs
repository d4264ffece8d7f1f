using System.IO.Compression;
using System.Text;
using System.Text.Json.Nodes;
using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;
using Foundling.Data.Kinds;
using Foundling.Data.Papers;
using Foundling.Data.Reference;
using Foundling.Data.Store;

namespace Foundling.Data.Tests;

/// <summary>Kinds of the shop's own are kept, travel with their tools, and harm nothing when they are broken.</summary>
public sealed class KindShelfTests : IDisposable
{
    private readonly TestShop _shop = new(), _other = new();

    public void Dispose()
    {
        _shop.Dispose();
        _other.Dispose();
    }

    private async Task<ToolKind> Make(string name = "Coachmaker's plane")
    {
        await using FoundlingDb db = _shop.Open();
        return await _shop.Kinds(db).Make(new KindDraft(KindIds.RebatePlane, name) { Extras = [new KindExtra("fence", Material.Brass, PartIds.Body)] });
    }

    [Fact]
    public async Task A_kind_is_kept_and_known_to_the_shop_it_was_made_in_alone()
    {
        ToolKind made = await Make();
        _shop.KindList.Own.ShouldBe([made]);
        _other.KindList.Own.ShouldBeEmpty();
        new KindList(_shop.Folder).Own.ShouldBe([made], "as after a start");
        _shop.KindList.All.Count.ShouldBe(ToolCatalogue.Kinds.Count + 1);
        await using FoundlingDb db = _shop.Open();
        (await _shop.Kinds(db).Read(KindShelf.Written(made))).ShouldBeSameAs(made);
        db.Kinds.Count().ShouldBe(1);
    }

    [Fact]
    public async Task It_travels_in_the_bundle_of_its_tool_and_its_tool_is_planned_there()
    {
        ToolKind made = await Make();
        int number = await _shop.BookIn(t => (t.Kind, t.Aim) = (made.Id, AimKind.Work));
        using var bundle = new MemoryStream();
        await using (FoundlingDb db = _shop.Open())
        {
            await _shop.Bundles(db).Write((await _shop.Tags(db).Find(number))!, bundle);
        }
        bundle.Position = 0;
        await using FoundlingDb there = _other.Open();
        Tag tag = await _other.Bring(there, bundle);
        tag.Tool().Name.ShouldBe("Coachmaker's plane");
        tag.Tool().Parts[^1].Name.ShouldBe("fence");
        _other.KindList.Own.Select(k => k.Id).ShouldBe([made.Id]);
        there.Kinds.Count().ShouldBe(1);
    }

    [Fact]
    public async Task A_kind_nothing_is_of_is_taken_away_and_one_in_use_is_not()
    {
        ToolKind made = await Make(), spare = await Make("Spare one");
        await _shop.BookIn(t => t.Kind = made.Id);
        await using FoundlingDb db = _shop.Open();
        (await Should.ThrowAsync<InputException>(_shop.Kinds(db).Remove(made.Id))).Sentence.ShouldContain("the kind stays");
        await _shop.Kinds(db).Remove(spare.Id);
        (await Should.ThrowAsync<InputException>(_shop.Kinds(db).Remove(KindIds.Axe))).Sentence.ShouldContain("none of this shop's own");
        new KindList(_shop.Folder).Own.ShouldBe([made]);
    }

    [Fact]
    public async Task A_kind_is_gone_on_with_and_its_tools_follow_but_keep_their_parts()
    {
        ToolKind made = await Make();
        int number = await _shop.BookIn(t => (t.Kind, t.Aim) = (made.Id, AimKind.Work));
        await using FoundlingDb db = _shop.Open();
        KindShelf shelf = _shop.Kinds(db);
        KindDraft draft = made.File.Draft!;
        KindTrace trace = new([0, 0], [1000, 0], 230, [new TracedPart(PartIds.Body) { Loops = [[[0, 0], [1000, 0], [1000, 300], [0, 300]]] }]);
        ToolKind now = await shelf.Change(made.Id, draft with
        {
            Name = "Coach plane", Trace = trace, Extras = [draft.Extras[0] with { Part = made.Parts[^1].Id, Name = "brass fence" }, new KindExtra("stop",
                Material.Steel, PartIds.Body)],
        });
        (now.Id, now.Name, now.NominalLengthMm).ShouldBe((made.Id, "Coach plane", 230));
        now.File.Stamp.ShouldNotBe(made.File.Stamp, "kept pictures are drawn again");
        Tag tag = (await _shop.Tags(db).Find(number))!;
        tag.Tool().Parts.Select(p => (p.Id, p.Name)).ShouldContain((made.Parts[^1].Id, "brass fence"));
        tag.Profile().Parts.ShouldHaveSingleItem();
        new KindList(_shop.Folder).Own.ShouldHaveSingleItem().Name.ShouldBe("Coach plane", "as after a start");
        // A part a tool may have findings on does not go from under it.
        (await Should.ThrowAsync<InputException>(shelf.Change(made.Id, now.File.Draft! with { Extras = [] }))).Sentence.ShouldContain("the brass fence stays");
        (await Should.ThrowAsync<InputException>(shelf.Change(KindIds.Axe, draft))).Sentence.ShouldContain("none of this shop's own");
        (await Should.ThrowAsync<InputException>(shelf.Change(made.Id, draft with { Name = " " }))).Sentence.ShouldContain("a name");
        _shop.KindList.Own.ShouldHaveSingleItem().Name.ShouldBe("Coach plane");
    }

    [Fact]
    public async Task A_kind_that_is_kept_already_is_taken_again_though_the_shop_is_full()
    {
        ToolKind made = await Make();
        await using FoundlingDb db = _shop.Open();
        string file = KindShelf.Written(made);
        for (int i = 1; i < KindShelf.Most; i++)
        {
            await _shop.Kinds(db).Read(file.Replace(made.Id.Value, $"own-full-{i}-{made.Id.Value[^6..]}", StringComparison.Ordinal));
        }
        (await _shop.Kinds(db).Read(file)).ShouldBeSameAs(made);
        (await Should.ThrowAsync<InputException>(Make("One more"))).Sentence.ShouldContain("that is the most");
    }

    [Fact]
    public async Task A_broken_file_is_refused_and_nothing_is_kept()
    {
        ToolKind made = await Make();
        string good = KindShelf.Written(made);
        await using FoundlingDb db = _other.Open();
        foreach (string bad in new[]
        {
            "", "{}", good.Replace("\"rebate\"", "\"no_such_proof\"", StringComparison.Ordinal).Replace(made.Id.Value, made.Id.Value + "x",
                StringComparison.Ordinal),
            good.Replace(made.Id.Value, "rebate-plane", StringComparison.Ordinal), good.Replace("data-part", "data-bit", StringComparison.Ordinal)
                .Replace(made.Id.Value, made.Id.Value + "y", StringComparison.Ordinal), new string('x', KindReader.MostLetters + 1),
        })
        {
            (await Should.ThrowAsync<InputException>(_other.Kinds(db).Read(bad))).Sentence.ShouldEndWith(".");
        }
        db.Kinds.ShouldBeEmpty();
        _other.KindList.Own.ShouldBeEmpty();
    }

    [Fact]
    public async Task A_bundle_whose_kind_is_broken_or_anothers_is_refused()
    {
        ToolKind made = await Make();
        int number = await _shop.BookIn(t => t.Kind = made.Id);
        await using FoundlingDb db = _shop.Open();
        string document = BundleDesk.Document((await _shop.Tags(db).Find(number))!, ReferenceData.Book);
        JsonObject Tag(JsonNode node) => node["tag"]!.AsObject();
        foreach ((Action<JsonNode> change, string says) in new (Action<JsonNode>, string)[]
        {
            (d => Tag(d)["kind"] = "own-other-1", "another than its tag's"),
            (d =>
            {
                Tag(d)["kind"] = $"own-broken-{number}";
                Tag(d)["kind_file"]!["kind"] = $"own-broken-{number}";
                Tag(d)["kind_file"]!["drawing"] = "<svg/>";
            }, "cannot be taken"),
        })
        {
            JsonNode changed = JsonNode.Parse(document)!;
            change(changed);
            using var bundle = new MemoryStream();
            using (var zip = new ZipArchive(bundle, ZipArchiveMode.Create, leaveOpen: true))
            {
                using Stream entry = zip.CreateEntry("tag.json").Open();
                entry.Write(Encoding.UTF8.GetBytes(changed.ToJsonString()));
            }
            bundle.Position = 0;
            await using FoundlingDb there = _other.Open();
            string said = (await Should.ThrowAsync<InputException>(_other.Bring(there, bundle))).Sentence;
            said.ShouldContain(says);
            said.ShouldEndWith("Nothing was imported.");
            there.Tags.ShouldBeEmpty();
            there.Kinds.ShouldBeEmpty();
        }
    }
}
