using System.Net;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;

namespace Foundling.Web.Tests;

/// <summary>Lots, the condition report, and two people at the same tag, over an in-memory host.</summary>
public sealed class LotPageTests(DemoHost host) : IClassFixture<DemoHost>
{
    private static async Task<IHtmlDocument> Follow(Visitor visitor, HttpResponseMessage answer)
    {
        answer.StatusCode.ShouldBe(HttpStatusCode.Found, (await Visitor.Read(answer)).QuerySelector(".notice.bad")?.TextContent);
        return await visitor.Page(answer.Headers.Location!.ToString().Split('#')[0]);
    }

    [Fact]
    public async Task A_lot_is_put_together_and_its_price_shared_out()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Follow(visitor, await visitor.Submit(await visitor.Page("/lots"), "form[data-keep=newlot]",
            new() { ["name"] = "The oak chest", ["price"] = "£50", ["story"] = "From the loft of the old ferry" }));
        foreach (string number in new[] { "19", "22", "24" })
        {
            page = await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Put']", new() { ["tag"] = number }));
        }
        page.QuerySelectorAll("section table tr").Length.ShouldBe(4);
        page = await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Share']", new() { ["price"] = "50" }));
        page.QuerySelectorAll("section td.n").Select(c => c.TextContent).ShouldBe(["16.67", "16.67", "16.66"]);
        page = await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Take']", []));
        page.QuerySelectorAll("section table tr").Length.ShouldBe(3);
    }

    [Theory]
    [InlineData("", "12", "Give the lot a name")]
    [InlineData("Bundle", "a lot", "not an amount of money")]
    public async Task A_lot_without_a_name_or_with_an_odd_price_gets_a_sentence(string name, string price, string sentence)
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Visitor.Read(await visitor.Submit(await visitor.Page("/lots"), "form[data-keep=newlot]", new() { ["name"] = name,
            ["price"] = price, ["story"] = "" }));
        page.QuerySelector(".notice.bad")!.TextContent.ShouldContain(sentence);
    }

    [Fact]
    public async Task Two_people_at_one_tag_do_not_overwrite_one_another()
    {
        Visitor here = host.Visit(), there = host.Visit();
        IHtmlDocument mine = await here.Page("/tag/38/book"), theirs = await there.Page("/tag/38/book");
        const string Form = "form[data-keep^=book]";
        Dictionary<string, string> Fields(IHtmlDocument page, string story) =>
            ((IHtmlFormElement)page.QuerySelector(Form)!).Elements.OfType<IHtmlInputElement>().Where(i => i.Type is not ("hidden" or "file" or "radio")
            && i.Name is not null)
            .ToDictionary(i => i.Name!, i => i.Value).Concat([new("Form.Kind", "adjustable-wrench"), new("Form.Story", story)]).ToDictionary();
        (await there.Submit(theirs, Form, Fields(theirs, "the jaw was filed"))).StatusCode.ShouldBe(HttpStatusCode.Found);
        IHtmlDocument refused = await Visitor.Read(await here.Submit(mine, Form, Fields(mine, "the knurl was packed")));
        refused.QuerySelectorAll("[role=alert]").ShouldContain(a => a.TextContent.Contains("Its story: someone else wrote \"the jaw was filed\""));
        refused.Body!.InnerHtml.ShouldContain("the knurl was packed");
        (await here.Page("/tag/38/book")).Body!.InnerHtml.ShouldContain("the jaw was filed");
        // Having looked, it can be saved.
        (await here.Submit(refused, Form, Fields(refused, "jaw filed, knurl packed"))).StatusCode.ShouldBe(HttpStatusCode.Found);
    }

    [Fact]
    public async Task The_condition_report_holds_what_was_found_and_how_it_is_known()
    {
        IHtmlDocument page = await host.Visit().Page("/tag/31/condition");
        string report = page.QuerySelector("article")!.TextContent;
        foreach (string expected in new[] { "43 %, 33 to 54, by 84 points", "after washing", "0.08 mm ± 0.02 mm", "chatters and tracks",
            "3.00 mm from the edge" })
        {
            report.ShouldContain(expected);
        }
        (await host.Visit().Page("/tag/31/papers")).QuerySelector("a[href='/tag/31/condition']").ShouldNotBeNull();
    }

    [Fact]
    public async Task The_drawing_comes_apart_for_noting_what_is_behind()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument apart = await visitor.Page("/tag/31/state?Part=frog&Apart=True");
        apart.QuerySelectorAll(".prof .hit").Length.ShouldBe((await visitor.Page("/tag/31/state")).QuerySelectorAll(".prof .hit").Length);
        apart.QuerySelector("main")!.TextContent.ShouldContain("May hide: rust and coating on the seat");
        apart.QuerySelector("main")!.TextContent.ShouldContain("Draw it together");
    }

    [Fact]
    public async Task Parts_worth_saving_go_into_the_box_once_and_are_offered_to_the_next_tool()
    {
        Visitor visitor = host.Visit();
        async Task<IHtmlDocument> Note(string number, string part, string kind, string degree, string place = "") => await Follow(visitor,
            await visitor.Submit(await visitor.Page($"/tag/{number}/state?Part={part}"), "form[data-keep^=find]",
            new() { ["kind"] = kind, ["severity"] = degree, ["round"] = "AsFound", ["place"] = place }));
        IHtmlDocument cracked = await Note("19", "body", "Crack", "3", "mouth");
        for (int i = 0; i < 2; i++)
        {
            (await visitor.Submit(cracked, "form[action*='SaveParts']", new() { ["_once"] = $"box-{i}" })).Headers.Location!.ToString()
                .ShouldBe("/stores/parts");
        }
        IHtmlDocument box = await visitor.Page("/stores/parts");
        box.QuerySelectorAll(".boxed li b").Count(b => b.TextContent == "Knob").ShouldBe(1);
        box.QuerySelectorAll(".boxed li b").ShouldNotContain(b => b.TextContent == "Body");
        IHtmlDocument lacking = await Note("17", "knob", "Missing", "3");
        lacking.QuerySelector("aside")!.TextContent.ShouldContain("parts box: a knob, Try plane");
        AngleSharp.Dom.IElement knob = box.QuerySelectorAll(".boxed li").First(l => l.QuerySelector("b")!.TextContent == "Knob");
        box = await Follow(visitor, await visitor.Submit((IHtmlFormElement)knob.QuerySelector("form")!, box, new() { ["tag"] = "17" }));
        box.QuerySelectorAll(".boxed li b").ShouldNotContain(b => b.TextContent == "Knob");
        (await visitor.Page("/tag/17/state")).QuerySelector("aside")!.TextContent.ShouldNotContain("parts box:");
    }

    [Theory]
    [InlineData("metal-bench-plane/propeller", "has no part")]
    [InlineData("submarine/knob", "no kind of tool")]
    [InlineData("", "no kind of tool")]
    public async Task A_part_nobody_knows_is_not_put_in(string part, string sentence)
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Visitor.Read(await visitor.Submit(await visitor.Page("/stores/parts"), "form[data-keep=newpart]", new() { ["part"] = part,
            ["note"] = "" }));
        page.QuerySelector(".notice.bad")!.TextContent.ShouldContain(sentence);
    }
}
