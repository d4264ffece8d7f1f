using System.Net;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;

namespace Foundling.Web.Tests;

/// <summary>What a way does to a rod is said, done and can be taken back: for the whole tool, for one part, for the number of coats.</summary>
public sealed class RodWaysTests(DemoHost host) : IClassFixture<DemoHost>
{
    private static async Task<IHtmlDocument> Post(Visitor visitor, IHtmlDocument page, string form, Dictionary<string, string> values, bool refused = false)
    {
        IHtmlFormElement found = page.QuerySelector<IHtmlFormElement>(form) ?? throw new InvalidOperationException($"no {form}");
        HttpResponseMessage answer = await visitor.Submit(found, page, values);
        IHtmlDocument read = await Visitor.Read(answer);
        answer.StatusCode.ShouldBe(refused ? HttpStatusCode.OK : HttpStatusCode.Found, read.QuerySelector(".notice.bad")?.TextContent);
        return refused ? read : await visitor.Page(answer.Headers.Location!.ToString().Split('#')[0]);
    }

    private static List<string> Keys(IHtmlDocument rod) => [.. rod.QuerySelectorAll("li.step").Select(l => l.Id!)];

    [Fact]
    public async Task One_part_goes_from_the_bath_to_the_wheel_and_only_its_steps_change()
    {
        Visitor visitor = host.Visit();
        List<string> before = Keys(await visitor.Page("/tag/24/rod"));
        IHtmlDocument ways = await visitor.Page("/tag/24/ways");
        IHtmlDocument rod = await Post(visitor, ways, "#rust form:has(input[name=part][value=strap])", new() { ["way"] = "wire" });
        IElement notice = rod.QuerySelector(".notice")!;
        notice.TextContent.ShouldContain("straps: rust comes off by wire wheel");
        notice.TextContent.ShouldContain("before it was chelating bath");
        Keys(rod).Except(before).ShouldBe(["step-derust-wire"]);
        before.Except(Keys(rod)).ShouldBeEmpty();
        rod.QuerySelector("#step-soak")!.TextContent.ShouldNotContain("straps");
        (await visitor.Page("/tag/24/ways")).QuerySelector("#rust details")!.HasAttribute("open").ShouldBeTrue("a part has a way of its own");
        rod = await Post(visitor, rod, ".notice form", new() { ["_once"] = "back" });
        Keys(rod).ShouldBe(before);
    }

    [Fact]
    public async Task A_way_that_would_harm_a_part_is_not_offered_and_not_taken()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument ways = await visitor.Page("/tag/24/ways");
        ways.QuerySelectorAll("#rust form:has(input[name=part][value=upper_jaw]) option").Select(o => o.GetAttribute("value")).ShouldNotContain("blast");
        IHtmlDocument refused = await Post(visitor, ways, "#rust form:has(input[name=part][value=upper_jaw])", new() { ["way"] = "blast" }, refused: true);
        refused.QuerySelector(".notice.bad")!.TextContent.ShouldContain("faces that make the edge");
    }

    [Fact]
    public async Task Three_coats_become_two_in_one_tap()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument ways = await visitor.Page("/tag/20/ways");
        IHtmlDocument three = await Post(visitor, ways, "#metal-coats form:has([value=three-coats])", []);
        three.QuerySelector("#step-coat-2-3")!.TextContent.ShouldContain("Third thin coat");
        IHtmlDocument two = await Post(visitor, await visitor.Page("/tag/20/ways"), "#metal-coats form:has([value=two-coats])", new() { ["_once"] = "two" });
        two.QuerySelector("#step-coat-2-3").ShouldBeNull();
        two.QuerySelector("#step-coat-2")!.TextContent.ShouldContain("Second thin coat");
        two.QuerySelector(".notice")!.TextContent.ShouldContain("Out: Third thin coat");
    }

    [Fact]
    public async Task The_sole_can_be_left_as_it_is()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument rod = await visitor.Page("/tag/19/rod");
        rod.QuerySelector("#step-sole-lap").ShouldNotBeNull();
        rod = await Post(visitor, await visitor.Page("/tag/19/ways"), "#flat form:has([value=leave])", []);
        new[] { "#step-sole-check", "#step-sole-lap", "#step-sole-clean", "#step-arris", "#step-tension" }.ShouldAllBe(s => rod.QuerySelector(s) == null);
        rod.QuerySelector("#step-prove").ShouldNotBeNull();
    }

    [Fact]
    public async Task An_unfinished_wait_says_so()
    {
        IHtmlDocument rod = await host.Visit().Page("/tag/38/rod");
        rod.QuerySelector("#step-soak-lift .notyet")!.TextContent.ShouldContain("still stands, and is not ready");
    }

    [Fact]
    public async Task A_step_of_ones_own_may_have_a_wait_of_its_own()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/22/rod");
        IHtmlDocument refused = await Post(visitor, page, "form[data-keep^=addstep]", new() { ["title"] = "Glue the horn", ["minutes"] = "10",
            ["wait"] = "a night",
            ["behind"] = "wood-clean" }, refused: true);
        refused.QuerySelector(".notice.bad")!.TextContent.ShouldContain("\"a night\" is not a time");
        refused.QuerySelector<IHtmlInputElement>("#add-wait")!.Value.ShouldBe("a night");
        page = await Post(visitor, refused, "form[data-keep^=addstep]", new() { ["title"] = "Glue the horn", ["minutes"] = "10", ["wait"] = "24 h",
            ["behind"] = "wood-clean", ["_once"] = "own" });
        IElement own = page.QuerySelector("#step-own-1")!;
        own.TextContent.ShouldContain("Glue the horn");
        own.TextContent.ShouldContain("24 h wait");
        page.QuerySelector("#lanes svg")!.TextContent.ShouldContain("Glue the horn");
        page.QuerySelector("#step-assemble .notyet")!.TextContent.ShouldNotBeEmpty();
    }
}
