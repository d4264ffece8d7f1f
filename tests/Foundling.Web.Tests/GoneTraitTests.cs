using System.Net;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;

namespace Foundling.Web.Tests;

/// <summary>Tags whose looks speak of something the pattern book no longer has.</summary>
public sealed class GoneTraitTests(DemoHost host) : IClassFixture<DemoHost>
{
    private static async Task<IHtmlDocument> Follow(Visitor visitor, HttpResponseMessage answer)
    {
        answer.StatusCode.ShouldBe(HttpStatusCode.Found);
        return await visitor.Page(answer.Headers.Location!.ToString());
    }

    [Fact]
    public async Task A_tag_keeps_its_looks_when_its_line_is_taken_out_and_dates_again_when_it_is_back()
    {
        Visitor visitor = host.Visit();
        string before = (await visitor.Page("/tag/38/origin")).QuerySelector(".taghead .sum b")!.TextContent;
        IHtmlDocument line = await visitor.Page("/patterns/ottermere_adjust");
        IHtmlDocument book = await Follow(visitor, await visitor.Submit(line, "form[action*='handler=Delete']", []));
        foreach (string leaf in new[] { "origin", "state", "papers", "rod", "condition" })
        {
            (await visitor.Get($"/tag/38/{leaf}")).StatusCode.ShouldBe(HttpStatusCode.OK, leaf);
        }
        IHtmlDocument origin = await visitor.Page("/tag/38/origin");
        origin.QuerySelectorAll(".strata .ev").Length.ShouldBe(3, "the looks are kept");
        origin.QuerySelector("main")!.TextContent.ShouldContain("maker not known");
        (await visitor.Get("/shelf")).StatusCode.ShouldBe(HttpStatusCode.OK);
        await Follow(visitor, await visitor.Submit(book, "form[action*='handler=Undo']", []));
        (await visitor.Page("/tag/38/origin")).QuerySelector(".taghead .sum b")!.TextContent.ShouldBe(before);
    }

    [Fact]
    public async Task A_papers_bundle_of_such_a_tag_still_leaves_the_shop()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument book = await Follow(visitor, await visitor.Submit(await visitor.Page("/patterns/hexholm_edge"), "form[action*='handler=Delete']", []));
        HttpResponseMessage bundle = await visitor.Get("/tag/27/papers?handler=Bundle");
        bundle.StatusCode.ShouldBe(HttpStatusCode.OK);
        (await bundle.Content.ReadAsByteArrayAsync()).Length.ShouldBeGreaterThan(1000);
        await Follow(visitor, await visitor.Submit(book, "form[action*='handler=Undo']", []));
    }
}
