using Foundling.Core;
using System.Net;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;
using Foundling.Core.Origin;
using Foundling.Data.Reference;

namespace Foundling.Web.Tests;

/// <summary>Origin, the marks desk and naming a tool, over an in-memory host.</summary>
public sealed class OriginTests(DemoHost host) : IClassFixture<DemoHost>
{
    private static string Span(IHtmlDocument page) => page.QuerySelector(".taghead .sum b")!.TextContent.Trim();

    private static Task<IHtmlDocument> Follow(Visitor visitor, HttpResponseMessage answer)
    {
        answer.StatusCode.ShouldBe(HttpStatusCode.Found);
        return visitor.Page(answer.Headers.Location!.ToString());
    }

    [Fact]
    public async Task A_look_that_cannot_be_told_steps_back_and_is_not_asked_again()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/38/origin");
        string trait = page.QuerySelector<IHtmlInputElement>("details.look input[name=trait]")!.Value;
        page = await Follow(visitor, await visitor.Submit(page, $"details.look:has(input[value={trait}]) form[action*='handler=Aside']",
            new() { ["reason"] = "CannotTell" }));
        page.QuerySelector<IHtmlInputElement>("details.look input[name=trait]")!.Value.ShouldNotBe(trait);
        page.QuerySelectorAll("details").Single(d => d.QuerySelector("summary")!.TextContent.Contains("cannot be told")).QuerySelector($"input[value={trait}]")
            .ShouldNotBeNull();
    }

    [Fact]
    public async Task A_look_that_needs_it_apart_is_kept_and_asked_for_when_it_lies_there()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/40/origin");
        page = await Follow(visitor, await visitor.Submit(page, "details.look:has(input[value=mouth_plate]) form[action*='handler=Aside']",
            new() { ["reason"] = "WhenApart" }));
        page.QuerySelectorAll("h2").ShouldContain(h => h.TextContent == "When it is apart");
        (await visitor.Page("/tag/40/rod")).QuerySelector("#step-wash")!.TextContent.ShouldContain("1 look kept for when it is apart");
    }

    [Fact]
    public async Task A_mark_is_looked_up_and_added_in_one_step()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/19/origin?mark=1,0%3F8,2%3F%3F");
        page.QuerySelector(".readings")!.TextContent.ShouldContain("not before 1911");
        string before = Span(page);
        page = await Follow(visitor, await visitor.Submit(page, ".readings form", new() { ["part"] = "iron", ["confidence"] = "Likely" }));
        page.QuerySelector(".strata")!.TextContent.ShouldContain("1,0?8,2??");
        page.QuerySelectorAll("#figures td").ShouldContain(c => c.TextContent.Contains("from 1911"));
        Span(page).ShouldBe(before, "a late number on an iron makes the iron odd, not the plane");
        // Taken back, it is gone.
        page = await Follow(visitor, await visitor.Submit(page, "#figures form:has(button[aria-label*='1,0?8'])", []));
        page.QuerySelector(".strata")!.TextContent.ShouldNotContain("1,0?8");
    }

    [Fact]
    public async Task A_makers_name_that_was_read_says_whose_it_is_where_the_book_has_such_a_tool()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument saw = await visitor.Page("/marks?mark=Quillan+cast+steel&tag=22");
        saw.QuerySelectorAll(".readings li").Length.ShouldBe(2);
        IHtmlDocument page = await Follow(visitor, await visitor.Submit(saw, ".readings form:has(button[aria-label^='Say it is theirs'])", []));
        page.QuerySelector<IHtmlSelectElement>("#line")!.Value.ShouldBe("quillan_hand");
        // On a plane the same name is a stranger, and nothing is offered that would not hold.
        IHtmlDocument plane = await visitor.Page("/marks?mark=Quillan&tag=31");
        plane.QuerySelector(".readings form").ShouldBeNull();
        plane.QuerySelector(".readings")!.TextContent.ShouldContain("no tool of this kind from them");
        // Without a tag chosen it is refused with a sentence.
        IHtmlDocument open = await visitor.Page("/marks?mark=Quillan");
        IHtmlDocument refused = await Visitor.Read(await visitor.Submit(open, ".readings form", new() { ["tag"] = "31" }));
        refused.QuerySelectorAll("[role=alert]").ShouldContain(f => f.TextContent.Contains("The book has Quillan hand saws"));
    }

    [Fact]
    public async Task A_mark_with_a_rule_and_a_tendency_adds_both()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument desk = await visitor.Page("/marks?mark=D.R.P.");
        desk.QuerySelector(".readings li")!.TextContent.ShouldContain("not before 1877; rarely after 1952");
        IHtmlDocument page = await Follow(visitor, await visitor.Submit(desk, ".readings form", new() { ["tag"] = "35", ["confidence"] = "Sure" }));
        page.QuerySelectorAll(".strata .ev").Length.ShouldBe(2);
        page.QuerySelectorAll(".strata .ev").Select(e => e.GetAttribute("aria-label")!).ShouldContain(l => l.Contains("soft"));
    }

    [Theory]
    [InlineData("/marks?mark=", "Write what you read")]
    [InlineData("/marks?top=X&right=X", "do not go together")]
    [InlineData("/marks?top=&bottom=G", "No year can be read")]
    public async Task The_desk_says_what_it_cannot_read(string path, string sentence) =>
        (await host.Visit().Page(path)).QuerySelectorAll("[role=alert]").Select(f => f.TextContent).ShouldContain(t => t.Contains(sentence));

    [Fact]
    public async Task Wedge_and_iron_that_clash_make_the_iron_odder()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/40/origin");
        double Odd(IHtmlDocument p) => double.Parse(p.QuerySelectorAll("td.n[title]").First(c =>
            c.PreviousElementSibling?.TextContent.Trim() == "Iron").GetAttribute("title")!.TrimEnd(' ', '%'));
        page = await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Kin']", new() { ["colour"] = "Match", ["shadow"] = "Match",
            ["fit"] = "Match" }));
        double matched = Odd(page);
        page = await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Kin']", new() { ["colour"] = "Clash", ["shadow"] = "Clash",
            ["fit"] = "" }));
        Odd(page).ShouldBeGreaterThan(matched);
    }

    [Fact]
    public async Task A_known_maker_leaves_no_belief_for_others()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/17/origin");
        page.Body!.TextContent.ShouldContain("a maker not in the book");
        page = await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Maker']", new() { ["line"] = "pellow_tarn_bench" }));
        page.QuerySelectorAll("table a[href^='/patterns/']").Length.ShouldBe(1);
        page.QuerySelector("main")!.TextContent.ShouldNotContain("a maker not in the book");
        page = await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Maker']", new() { ["line"] = "" }));
        page.Body!.TextContent.ShouldContain("a maker not in the book");
    }

    [Fact]
    public async Task What_is_known_of_its_past_is_evidence_and_a_look_has_its_picture()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/33/origin");
        page = await Follow(visitor, await visitor.Submit(page, "form[data-keep^=known]", new() { ["words"] = "T. Hollis apprenticed", ["notBefore"] = "",
            ["notAfter"] = "1902", ["certain"] = "true" }));
        page.QuerySelector(".strata")!.TextContent.ShouldContain("T. Hollis apprenticed");
        page.QuerySelectorAll("#figures td").ShouldContain(c => c.TextContent == "up to 1902");
        string look = page.QuerySelector<IHtmlOptionElement>("#lookid option")!.Value;
        using var bitmap = new SkiaSharp.SKBitmap(40, 30);
        byte[] png = bitmap.Encode(SkiaSharp.SKEncodedImageFormat.Png, 90).ToArray();
        page = await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Picture']", new() { ["id"] = look, ["picture"] = "" },
            ("files", "stamp.png", new ByteArrayContent(png))));
        page.QuerySelectorAll("figcaption").ShouldContain(f => f.TextContent.Contains("shows: t. hollis apprenticed"));
        IHtmlDocument refused = await Visitor.Read(await visitor.Submit(page, "form[action*='handler=Picture']", new() { ["id"] = look },
            ("files", "stamp.png", new StringContent("no picture"))));
        refused.QuerySelector(".notice.bad")!.TextContent.ShouldNotBeEmpty();
    }

    [Fact]
    public async Task Strata_can_be_drawn_close_up()
    {
        Visitor visitor = host.Visit();
        int Years(IHtmlDocument p) => p.QuerySelectorAll(".strata .rule text").Select(t =>
            int.Parse(t.TextContent)).Max() - p.QuerySelectorAll(".strata .rule text").Select(t => int.Parse(t.TextContent)).Min();
        Years(await visitor.Page("/tag/31/origin?Near=true")).ShouldBeLessThan(Years(await visitor.Page("/tag/31/origin")));
    }

    [Fact]
    public async Task A_tool_nobody_can_name_is_narrowed_down_and_booked_in()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/identify");
        page.QuerySelectorAll(".maybe li").Length.ShouldBeGreaterThan(3);
        page.QuerySelector("main .notice").ShouldBeNull("nothing was seen yet, so nothing speaks against the book");
        page.Body!.TextContent.ShouldContain("nothing seen so far narrows it to a century");
        var tool = new ToolMaker(ReferenceData.Book, "quillan_hand", 3, Assumptions.Standard)
            .Draw(1890, ["nut_form", "badge", "plate_etch", "handle_horn", "toe_shape"]);
        string looks = string.Join('&', tool.Looks.Select(l => $"look={l.Trait}:{l.Variant}"));
        page = await visitor.Page("/identify?" + looks);
        page.QuerySelector(".maybe li")!.TextContent.ShouldContain("Hand saw");
        page = await Follow(visitor, await visitor.Submit(page, "main form[method=post]", []));
        int number = int.Parse(page.QuerySelector(".tagno")!.TextContent[2..]);
        IHtmlDocument origin = await visitor.Page($"/tag/{number}/origin");
        origin.QuerySelectorAll(".strata .ev").Length.ShouldBe(tool.Looks.Count);
        (await visitor.Page("/identify?length=long")).QuerySelectorAll(".fault").ShouldContain(f => f.TextContent.Contains("is not a length"));
    }
}
