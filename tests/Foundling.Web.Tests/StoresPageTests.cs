using System.Net;
using AngleSharp.Html.Dom;

namespace Foundling.Web.Tests;

/// <summary>The stores over an in-memory host: shelves, one thing, the shopping list, files.</summary>
public sealed class StoresPageTests : IAsyncLifetime
{
    private readonly DemoHost _host = new();

    /// <inheritdoc />
    public ValueTask InitializeAsync() => _host.InitializeAsync();

    /// <inheritdoc />
    public ValueTask DisposeAsync() => _host.DisposeAsync();

    private static async Task<IHtmlDocument> Sent(Visitor visitor, string page, string form, Dictionary<string, string> values)
    {
        HttpResponseMessage answer = await visitor.Submit(await visitor.Page(page), form, values);
        IHtmlDocument read = await Visitor.Read(answer);
        answer.StatusCode.ShouldBe(HttpStatusCode.Found, read.QuerySelector(".notice.bad")?.TextContent);
        return await visitor.Page(answer.Headers.Location!.ToString());
    }

    [Fact]
    public async Task The_shelves_say_what_is_low_and_past_its_day()
    {
        IHtmlDocument page = await _host.Visit().Page("/stores");
        page.QuerySelector("a[href='/stores/penetrating-oil'] small")!.TextContent.ShouldBe("40 mL");
        page.QuerySelector("a[href='/stores/shellac'] small")!.TextContent.ShouldBe("past its day");
        page.QuerySelectorAll(".board li.want").Length.ShouldBe(page.QuerySelectorAll("aside .plainlist li").Length);
        page.QuerySelectorAll("svg.vessel").Length.ShouldBe(page.QuerySelectorAll(".board li").Length);
    }

    [Fact]
    public async Task Something_is_counted_bought_taken_and_taken_back()
    {
        Visitor visitor = _host.Visit();
        const string Page = "/stores/white-spirit";
        (await Sent(visitor, Page, "form[action*='handler=Count']", new() { ["amount"] = "0.4 L" })).QuerySelector(".text-2xl")!.TextContent.ShouldBe("400 mL");
        IHtmlDocument bought = await Sent(visitor, Page, "form[action*='handler=Bought']", new() { ["amount"] = "1 L", ["paid"] = "£12.50" });
        bought.QuerySelector(".text-2xl")!.TextContent.ShouldBe("1,400 mL");
        bought.Body!.TextContent.ShouldContain("0.0125 a mL");
        (await visitor.Page("/shop")).QuerySelector("[name=assume-price_white_spirit]")!.GetAttribute("value").ShouldBe("0.0125");
        (await Sent(visitor, Page, "form[action*='handler=Took']", new() { ["amount"] = "150", ["what"] = "brushes" }))
            .QuerySelector(".moves")!.TextContent.ShouldContain("brushes");
        (await Sent(visitor, Page, "form[action*='handler=Back']", [])).QuerySelector(".text-2xl")!.TextContent.ShouldBe("1,400 mL");
        IHtmlDocument refused = await Visitor.Read(await visitor.Submit(await visitor.Page(Page), "form[action*='handler=Took']",
            new() { ["amount"] = "3 kg", ["what"] = "brushes" }));
        refused.QuerySelector(".notice.bad")!.TextContent.ShouldBe("White spirit is counted in mL, not in kg.");
        (await Sent(visitor, Page, "form[action*='handler=Facts']", new()
        {
            ["least"] = "300", ["pack"] = "500 mL", ["price"] = "5", ["opened"] = "2030-04-01", ["best"] = "2031-04-01", ["place"] = "under the stairs",
        })).Body!.TextContent.ShouldContain("under the stairs");
        (await visitor.Page("/shop")).QuerySelector("[name=assume-price_white_spirit]")!.GetAttribute("value").ShouldBe("0.01");
    }

    [Fact]
    public async Task The_list_shrinks_by_what_is_bought()
    {
        Visitor visitor = _host.Visit();
        IHtmlDocument list = await visitor.Page("/stores/list");
        list.Body!.TextContent.ShouldContain("40 mL here, 100 mL to keep.");
        int lines = list.QuerySelectorAll(".buy tr").Length;
        string text = await (await visitor.Get("/stores/list?handler=Text")).Content.ReadAsStringAsync();
        text.ShouldContain("- Penetrating oil: 1 pack of 400 mL");
        (await (await visitor.Get("/stores/list?handler=Csv")).Content.ReadAsStringAsync()).Split('\n').Length.ShouldBe(lines + 2, "a heading and an end");
        IHtmlDocument after = await Sent(visitor, "/stores/list", ".buy form", []);
        after.QuerySelectorAll(".buy tr").Length.ShouldBe(lines - 1);
    }

    [Fact]
    public async Task Something_of_the_shops_own_is_put_on_the_shelf_with_its_grit()
    {
        Visitor visitor = _host.Visit();
        IHtmlDocument page = await Sent(visitor, "/stores", "form[data-keep=newthing]", new()
        {
            ["name"] = "Rottenstone", ["sort"] = "Abrasive", ["unit"] = "g",
        });
        page.QuerySelector("h1")!.TextContent.ShouldBe("Rottenstone");
        string at = $"/stores/{page.QuerySelector("form[action*='handler=Facts']")!.GetAttribute("action")!.Split('/')[2].Split('?')[0]}";
        Dictionary<string, string> facts = new() { ["form"] = "Loose", ["grading"] = "polishing-compound", ["grit"] = "tripoli-bar", ["price"] = "0.3" };
        (await Sent(visitor, at, "form[action*='handler=Facts']", facts)).QuerySelector(".lead")!.TextContent.ShouldContain("about 10 µm");
        facts["grit"] = "soft";
        IHtmlDocument refused = await Visitor.Read(await visitor.Submit(await visitor.Page(at), "form[action*='handler=Facts']", facts));
        refused.QuerySelector(".notice.bad")!.TextContent.ShouldContain("polishing-compound has no grade \"soft\"");
    }

    [Fact]
    public async Task What_the_shop_does_not_keep_has_no_page() =>
        (await _host.Visit().Get("/stores/moon-dust")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
}
