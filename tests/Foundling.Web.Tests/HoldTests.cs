using System.Net;
using AngleSharp.Html.Dom;
using Foundling.Core.Log;
using Foundling.Core.Tags;
using Foundling.Data.Pictures;
using Foundling.Data.Store;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using SkiaSharp;

namespace Foundling.Web.Tests;

/// <summary>Nobody's saving holds up anybody else's.</summary>
public sealed class HoldTests(DemoHost host) : IClassFixture<DemoHost>
{
    internal static ByteArrayContent Picture(int width = 60, SKEncodedImageFormat format = SKEncodedImageFormat.Png)
    {
        using var surface = SKSurface.Create(new SKImageInfo(width, 40));
        surface.Canvas.Clear(new SKColor((uint)(0xff000000 + width)));
        using SKData data = surface.Snapshot().Encode(format, 90);
        return new ByteArrayContent(data.ToArray());
    }

    private static Task<HttpResponseMessage> Note(Visitor visitor, IHtmlDocument page, string text) => visitor.Submit(page, "form[data-keep^=note]",
        new() { ["note"] = text });

    private async Task<List<string>> Notes(int tag)
    {
        await using AsyncServiceScope scope = host.Services.CreateAsyncScope();
        return await scope.ServiceProvider.GetRequiredService<FoundlingDb>().Set<BenchEvent>().Where(e => EF.Property<int>(e, "TagNumber") == tag
            && e.Kind == EventKind.Note).Select(e => e.Text).ToListAsync();
    }

    [Fact]
    public async Task While_pictures_are_unpacked_notes_clocks_and_findings_are_taken()
    {
        PictureStore store = host.Services.GetRequiredService<PictureStore>();
        Visitor sender = host.Visit(), other = host.Visit();
        IHtmlDocument book = await sender.Page("/tag/38/book");
        await store.Turn.WaitAsync();
        Task<HttpResponseMessage> upload = sender.Submit(book, "form[action*='handler=Pictures']", [], ("pictures", "a.png", Picture(61)),
            ("pictures", "b.png", Picture(62)));
        try
        {
            (await Note(other, await other.Page("/tag/38/log"), "written meanwhile")).StatusCode.ShouldBe(HttpStatusCode.Found);
            (await other.Submit(await other.Page("/tag/38/state?Part=fixed_jaw"), "form[action*='handler=Find']", new() { ["kind"] = "Rust",
                ["severity"] = "2", ["round"] = "AsFound" })).StatusCode.ShouldBe(HttpStatusCode.Found);
            (await other.Submit(await other.Page("/shop"), "form[data-keep=shop]", new() { ["name"] = "Skerrow Slip", ["temperature"] = "15",
                ["humidity"] = "66", ["rate"] = "12", ["dress"] = "the loft's blue" })).StatusCode.ShouldBe(HttpStatusCode.Found);
            upload.IsCompleted.ShouldBeFalse();
        }
        finally
        {
            store.Turn.Release();
        }
        (await upload).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await Notes(38)).ShouldContain("written meanwhile");
        (await sender.Page("/tag/38/book")).QuerySelectorAll(".shots img").Length.ShouldBeGreaterThanOrEqualTo(3);
    }

    [Fact]
    public async Task Notes_sent_at_once_are_all_taken()
    {
        Visitor[] visitors = [.. Enumerable.Range(0, 10).Select(_ => host.Visit())];
        IHtmlDocument[] pages = await Task.WhenAll(visitors.Select(v => v.Page("/tag/40/log")));
        HttpResponseMessage[] answers = await Task.WhenAll(visitors.Select((v, i) => Note(v, pages[i], $"at once {i}")));
        answers.ShouldAllBe(a => a.StatusCode == HttpStatusCode.Found);
        (await Notes(40)).Count(n => n.StartsWith("at once", StringComparison.Ordinal)).ShouldBe(10);
    }

    [Fact]
    public async Task A_busy_store_is_a_sentence_and_the_form_can_be_sent_again()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/33/log");
        using (var neighbour = new SqliteConnection($"Data Source={new DataFolder(host.Folder).Database};Pooling=False"))
        {
            neighbour.Open();
            using SqliteCommand command = neighbour.CreateCommand();
            command.CommandText = "BEGIN IMMEDIATE";
            command.ExecuteNonQuery();
            HttpResponseMessage busy = await Note(visitor, page, "sent twice");
            busy.StatusCode.ShouldBe(HttpStatusCode.ServiceUnavailable);
            busy.Headers.RetryAfter.ShouldNotBeNull();
            IHtmlDocument said = await Visitor.Read(busy);
            said.QuerySelector("[data-fault]")!.TextContent.ShouldContain("Someone is saving");
            said.Body!.TextContent.ShouldNotContain("Skerrow");
            // Reading goes on meanwhile.
            (await visitor.Get("/tag/33/state")).StatusCode.ShouldBe(HttpStatusCode.OK);
        }
        (await Note(visitor, page, "sent twice")).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await Notes(33)).Count(n => n == "sent twice").ShouldBe(1);
    }

    [Fact]
    public async Task What_two_people_change_on_a_tag_at_once_is_joined()
    {
        await using AsyncServiceScope first = host.Services.CreateAsyncScope(), second = host.Services.CreateAsyncScope();
        Data.Tags.TagBook here = first.ServiceProvider.GetRequiredService<Data.Tags.TagBook>(),
            there = second.ServiceProvider.GetRequiredService<Data.Tags.TagBook>();
        Tag mine = (await here.Find(35))!, theirs = (await there.Find(35))!;
        mine.Wish = "as new";
        theirs.Story = "from the sail loft";
        await there.Save(theirs);
        await here.Save(mine);
        await using AsyncServiceScope third = host.Services.CreateAsyncScope();
        Tag kept = (await third.ServiceProvider.GetRequiredService<Data.Tags.TagBook>().Find(35))!;
        (kept.Wish, kept.Story).ShouldBe(("as new", "from the sail loft"));
        // The same thing twice is not joined: it is sent again and looked at anew.
        mine.Story = "mine";
        kept.Story = "theirs";
        await third.ServiceProvider.GetRequiredService<Data.Tags.TagBook>().Save(kept);
        await Should.ThrowAsync<DbUpdateConcurrencyException>(() => here.Save(mine));
    }

    [Fact]
    public async Task Another_persons_change_is_told_and_the_rest_is_joined()
    {
        Visitor here = host.Visit(), there = host.Visit();
        const string Form = "form[data-keep^=wish]";
        IHtmlDocument mine = await here.Page("/tag/42/aim"), stale = await here.Page("/tag/42/aim"), theirs = await there.Page("/tag/42/aim");
        (await there.Submit(theirs, Form, new() { ["wish"] = "sharp by Easter", ["worth"] = "", ["rarity"] = "" })).StatusCode.ShouldBe(HttpStatusCode.Found);
        // Only the worth was touched here, so the wish stays theirs.
        (await here.Submit(mine, Form, new() { ["wish"] = "", ["worth"] = "40", ["rarity"] = "" })).StatusCode.ShouldBe(HttpStatusCode.Found);
        IHtmlDocument joined = await here.Page("/tag/42/aim");
        joined.QuerySelector<IHtmlInputElement>("#wish")!.Value.ShouldBe("sharp by Easter");
        joined.QuerySelector<IHtmlInputElement>("#worth")!.Value.ShouldBe("40");
        // The same field: told, kept, and taken when it is sent again.
        IHtmlDocument clash = await Visitor.Read(await here.Submit(stale, Form, new() { ["wish"] = "leave the patina", ["worth"] = "40", ["rarity"] = "" }));
        clash.QuerySelector(Form + " .notice.bad")!.TextContent.ShouldContain("someone else wrote \"sharp by Easter\"");
        clash.QuerySelector<IHtmlInputElement>("#wish")!.Value.ShouldBe("leave the patina");
        (await here.Submit(clash, Form, new() { ["wish"] = "leave the patina", ["worth"] = "40", ["rarity"] = "" })).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await here.Page("/tag/42/aim")).QuerySelector<IHtmlInputElement>("#wish")!.Value.ShouldBe("leave the patina");
    }

    [Fact]
    public async Task A_finding_is_not_overwritten_unseen()
    {
        Visitor here = host.Visit(), there = host.Visit();
        const string Form = "form[action*='handler=Find']";
        IHtmlDocument mine = await here.Page("/tag/42/state?Part=blade"), theirs = await there.Page("/tag/42/state?Part=blade");
        (await there.Submit(theirs, Form, new() { ["kind"] = "Rust", ["severity"] = "4", ["note"] = "deep, by the edge", ["round"] = "Washed" }))
            .StatusCode.ShouldBe(HttpStatusCode.Found);
        IHtmlDocument told = await Visitor.Read(await here.Submit(mine, Form, new() { ["kind"] = "Rust", ["severity"] = "1", ["note"] = "",
            ["round"] = "Washed" }));
        told.QuerySelector(Form + " .notice.bad")!.TextContent.ShouldContain("deep, by the edge");
        (await here.Page("/tag/42/state")).Body!.TextContent.ShouldContain("deep, by the edge");
        // Another finding on the same part is in nobody's way.
        (await here.Submit(mine, Form, new() { ["kind"] = "Pitting", ["severity"] = "2", ["note"] = "", ["round"] = "Washed" }))
            .StatusCode.ShouldBe(HttpStatusCode.Found);
    }

    [Fact]
    public async Task Shop_settings_and_pattern_pages_are_joined_too()
    {
        Visitor here = host.Visit(), there = host.Visit();
        IHtmlDocument mine = await here.Page("/shop"), theirs = await there.Page("/shop");
        Dictionary<string, string> Shop(string temperature, string humidity) => new() { ["name"] = "Skerrow Slip", ["dress"] = "the loft's blue",
            ["rate"] = "12", ["temperature"] = temperature, ["humidity"] = humidity };
        string t = mine.QuerySelector<IHtmlInputElement>("#temperature")!.Value, h = mine.QuerySelector<IHtmlInputElement>("#humidity")!.Value;
        (await there.Submit(theirs, "form[data-keep=shop]", Shop("17", h))).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await here.Submit(mine, "form[data-keep=shop]", Shop(t, "71"))).StatusCode.ShouldBe(HttpStatusCode.Found);
        IHtmlDocument shop = await here.Page("/shop");
        (shop.QuerySelector<IHtmlInputElement>("#temperature")!.Value, shop.QuerySelector<IHtmlInputElement>("#humidity")!.Value).ShouldBe(("17", "71"));

        string line = (await here.Page("/patterns"))
            .QuerySelector<IHtmlAnchorElement>("a[href^='/patterns/']:not([href*='trait']):not([href*='?'])")!.GetAttribute("href")!;
        IHtmlDocument a = await here.Page(line), stale = await here.Page(line), b = await there.Page(line);
        Dictionary<string, string> About(IHtmlDocument page, string note, string source) => new[] { "maker", "range", "first", "last",
            "share" }.ToDictionary(f => f, f => page.QuerySelector<IHtmlInputElement>("#" + f)!.Value)
            .Concat([new("note", note), new("source", source), new("kinds", page.QuerySelector<IHtmlInputElement>("input[name=kinds][checked]")!.Value)])
                .ToDictionary();
        string noted = a.QuerySelector<IHtmlTextAreaElement>("#note")!.Value, from = a.QuerySelector<IHtmlInputElement>("#source")!.Value;
        (await there.Submit(b, "form[data-keep^=line]", About(b, "moved works in 1911", from))).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await here.Submit(a, "form[data-keep^=line]", About(a, noted, "a catalogue"))).StatusCode.ShouldBe(HttpStatusCode.Found);
        IHtmlDocument both = await here.Page(line);
        (both.QuerySelector<IHtmlTextAreaElement>("#note")!.Value, both.QuerySelector<IHtmlInputElement>("#source")!.Value)
            .ShouldBe(("moved works in 1911", "a catalogue"));
        (await Visitor.Read(await here.Submit(stale, "form[data-keep^=line]", About(stale, "bought by others", "a catalogue"))))
            .QuerySelector("form[data-keep^=line] .notice.bad")!.TextContent.ShouldContain("moved works in 1911");

        var size = new Dictionary<string, string> { ["size"] = "PT-99", ["length"] = "300", ["iron"] = "50", ["from"] = "", ["to"] = "" };
        (await there.Submit(await there.Page(line), "form[data-keep^=sizes]", size)).StatusCode.ShouldBe(HttpStatusCode.Found);
        // The second browser still shows no PT-99: saving there neither takes it out nor hides it.
        (await here.Submit(a, "form[data-keep^=sizes]", new(size) { ["size"] = "PT-98" })).StatusCode.ShouldBe(HttpStatusCode.Found);
        string[] sizes = [.. (await here.Page(line)).QuerySelectorAll<IHtmlInputElement>("input[name=size]").Select(i => i.Value)];
        sizes.ShouldContain("PT-99");
        sizes.ShouldContain("PT-98");
    }
}
