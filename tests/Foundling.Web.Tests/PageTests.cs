using System.Net;
using AngleSharp.Html.Dom;

namespace Foundling.Web.Tests;

public sealed class PageTests(DemoHost host) : IClassFixture<DemoHost>
{
    public static TheoryData<string> Pages() =>
    [
        "/", "/shelf", "/shelf?Find=plane", "/shelf?Find=nothing+like+it", "/new", "/clock", "/shop", "/gauges", "/tag/31/origin", "/tag/31/state",
            "/tag/31/state?Part=iron", "/tag/31/aim", "/tag/31/rod", "/tag/31/log",
        "/tag/31/rod?show=stage", "/tag/31/rod?show=sitting", "/tag/31/rod?was=rust%3Dcitric", "/tag/31/rod?was=nonsense", "/tag/31/ways", "/tag/33/ways",
            "/tag/35/ways", "/tag/31/needs", "/tag/42/needs", "/tag/31/rules", "/tag/42/rules", "/tag/33/aim", "/tag/30/rod", "/tag/31/sole", "/tag/31/proof",
            "/tag/31/sole/lap", "/tag/31/sole/marks",
            "/tag/31/papers", "/tag/31/book", "/tag/17/proof", "/tag/42/origin", "/tag/42/rod", "/tag/40/origin", "/tag/22/state", "/tag/38/sole", "/stall",
            "/lots", "/grits", "/saws", "/saws?tag=22", "/edges", "/edges?tag=31", "/edges/blade", "/edges/photo?tag=31", "/saws/photo?tag=22",
              "/edges/mouth", "/edges/mouth?tag=31", "/edges/stones",
              "/edges/cutters", "/baths", "/baths/1", "/baths/load?for=28", "/baths/times", "/baths/blasting",
            "/air", "/stores", "/stores/shellac", "/stores/fine-stone", "/stores/list", "/stores/kit", "/stores/parts",
            "/tag/31/condition", "/tag/24/state?Apart=True", "/patterns", "/patterns/pellow_tarn_bench",
            "/patterns/trait/knob_form", "/patterns/trait/new?line=quillan_hand", "/marks", "/marks?mark=1,0?8,2??&tag=31", "/marks?top=X&left=G", "/identify",
            "/identify?length=245&look=side_wing:peaked&look=nonsense", "/tag/31/origin?Near=true&mark=Pat.+Apr.+19,+1910",
    ];

    [Theory]
    [MemberData(nameof(Pages))]
    public async Task Opens_without_inline_style_or_script(string path)
    {
        HttpResponseMessage answer = await host.Visit().Get(path);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        answer.Headers.GetValues("Content-Security-Policy").Single().ShouldContain("script-src 'self'");
        answer.Headers.GetValues("X-Content-Type-Options").Single().ShouldBe("nosniff");
        IHtmlDocument page = await Visitor.Read(answer);
        page.QuerySelectorAll("[style], style, script:not([src]), [onclick]").ShouldBeEmpty();
        page.QuerySelectorAll("h1").Length.ShouldBe(1);
        page.QuerySelectorAll("img:not([alt]), input:not([type=hidden]):not([id]):not([aria-label]):not([type=radio]):not([type=checkbox])").ShouldBeEmpty();
        page.QuerySelectorAll("form[method=post]").ShouldAllBe(f => f.QuerySelector("[name=__RequestVerificationToken]") != null);
        page.QuerySelectorAll("[src^=http], link[href^=http]").ShouldBeEmpty();
    }

    [Theory]
    [InlineData("/tag/999/origin")]
    [InlineData("/no/such/page")]
    [InlineData("/pictures/original/..%2Ffoundling.db")]
    public async Task What_is_not_there_says_so(string path)
    {
        HttpResponseMessage answer = await host.Visit().Get(path);
        answer.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await answer.Content.ReadAsStringAsync()).ShouldContain("no such page or tag");
    }

    [Fact]
    public async Task A_form_without_its_token_is_refused()
    {
        HttpResponseMessage answer = await host.Visit().Send(new HttpRequestMessage(HttpMethod.Post,
            "/tag/31/log?handler=Note") { Content = new FormUrlEncodedContent([new("note", "forged")]) });
        answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await (await host.Visit().Get("/tag/31/log")).Content.ReadAsStringAsync()).ShouldNotContain("forged");
    }

    [Fact]
    public async Task Units_are_switched_at_a_touch()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/31/papers");
        page.Body!.TextContent.ShouldContain("245 mm");
        HttpResponseMessage answer = await visitor.Submit(page, "form.unitswitch", new() { ["units"] = "in" });
        answer.StatusCode.ShouldBe(HttpStatusCode.Found);
        answer.Headers.Location!.ToString().ShouldBe("/tag/31/papers");
        (await visitor.Page("/tag/31/papers")).Body!.TextContent.ShouldContain("9.65 in");
    }

    [Fact]
    public async Task The_units_form_leads_nowhere_else()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/");
        var hidden = page.QuerySelector<IHtmlInputElement>("form.unitswitch [name=to]")!;
        hidden.Value = "https://elsewhere.example/";
        (await visitor.Submit(page, "form.unitswitch", new() { ["units"] = "in" })).Headers.Location!.ToString().ShouldBe("/");
    }

    [Fact]
    public async Task What_people_write_is_shown_as_text()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/33/log");
        await visitor.Submit(page, "form[action*='handler=Note']", new() { ["note"] = "<script>alert(1)</script><b>bold</b>" });
        page = await visitor.Page("/tag/33/log");
        page.QuerySelectorAll("main script, li b").ShouldAllBe(e => !e.TextContent.Contains("bold"));
        page.Body!.TextContent.ShouldContain("<script>alert(1)</script>");
    }

    [Fact]
    public async Task A_double_click_counts_once()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/38/log");
        HttpResponseMessage[] answers = await Task.WhenAll(Enumerable.Range(0, 4).Select(_ =>
            visitor.Submit(page, "form[action*='handler=Note']", new() { ["note"] = "clicked in a hurry" })));
        answers.ShouldAllBe(a => a.StatusCode == HttpStatusCode.Found && a.Headers.Location!.ToString() == "/tag/38/log");
        string text = (await visitor.Page("/tag/38/log")).QuerySelector("ul.list")!.TextContent;
        text.Split("clicked in a hurry").Length.ShouldBe(2);
    }

    [Fact]
    public async Task Time_is_corrected_by_hand()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/24/log");
        string before = page.QuerySelector(".lead h2")!.TextContent;
        IHtmlDocument refused = await Visitor.Read(await visitor.Submit(page, "form[action*='handler=Correct']", new() { ["minutes"] = "a while" }));
        refused.QuerySelector(".field.bad .fault")!.TextContent.ShouldContain("\"a while\" is not a time");
        refused.QuerySelector<IHtmlInputElement>("#minutes")!.Value.ShouldBe("a while");
        await visitor.Submit(page, "form[action*='handler=Correct']", new() { ["minutes"] = "1:30", ["step"] = "" });
        page = await visitor.Page("/tag/24/log");
        page.QuerySelector(".lead h2")!.TextContent.ShouldNotBe(before);
        page.QuerySelector("ul.list li")!.TextContent.ShouldContain("1 h 30");
    }

    [Fact]
    public async Task A_step_left_out_needs_a_reason_and_can_be_opened_again()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/40/rod");
        IHtmlDocument refused = await Visitor.Read(await visitor.Submit(page, "form[action*='handler=Skip']", new() { ["reason"] = " " }));
        refused.QuerySelector(".notice.bad")!.TextContent.ShouldContain("Say why");
        await visitor.Submit(page, "#step-photos form[action*='handler=Skip']", new() { ["reason"] = "light is gone" });
        page = await visitor.Page("/tag/40/rod");
        page.QuerySelector("#step-photos")!.TextContent.ShouldContain("Left out: light is gone");
        var open = (IHtmlFormElement)page.QuerySelector("#step-photos form")!;
        open.Action = "/tag/40/rod?handler=Reopen";
        await visitor.Submit(open, page, []);
        (await visitor.Page("/tag/40/rod")).QuerySelector("#step-photos")!.ClassList.Contains("gone").ShouldBeFalse();
    }

    private static readonly string Js = Tree.Path("src", "Foundling.Web", "wwwroot", "js");

    /// <summary>A module with all it fetches.</summary>
    private static IEnumerable<string> Fetched(string module) => File.Exists(Path.Combine(Js, module))
        ? System.Text.RegularExpressions.Regex.Matches(File.ReadAllText(Path.Combine(Js, module)), @"from '\./([a-z]+\.js)'")
            .SelectMany(m => Fetched(m.Groups[1].Value)).Prepend(module)
        : throw new InvalidOperationException($"no module {module}");

    [Theory]
    [MemberData(nameof(Pages))]
    public async Task Scripts_stay_light(string path)
    {
        IHtmlDocument page = await host.Visit().Page(path);
        HashSet<string> fetched = [.. page.QuerySelectorAll("[data-module]").SelectMany(e => e.GetAttribute("data-module")!.Split(' '))
            .Select(m => $"{m}.js").Prepend("main.js").SelectMany(Fetched)];
        fetched.Sum(f => new FileInfo(Path.Combine(Js, f)).Length).ShouldBeInRange(10_000, 60_000, string.Join(", ", fetched));
    }
}
