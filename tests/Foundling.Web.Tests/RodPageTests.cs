using System.Net;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;

namespace Foundling.Web.Tests;

/// <summary>The rod and its ways, needs and rules over an in-memory host: what a person may do to a plan, and what is refused.</summary>
public sealed class RodPageTests(DemoHost host) : IClassFixture<DemoHost>
{
    private static async Task<IHtmlDocument> Post(Visitor visitor, IHtmlDocument page, string form, string handler, Dictionary<string, string> values,
        bool refused = false)
    {
        IHtmlFormElement found = page.QuerySelector<IHtmlFormElement>(form) ?? throw new InvalidOperationException($"no {form}");
        found.SetAttribute("action", $"{found.GetAttribute("action")!.Split('?')[0]}?handler={handler}");
        HttpResponseMessage answer = await visitor.Submit(found, page, values);
        IHtmlDocument read = await Visitor.Read(answer);
        answer.StatusCode.ShouldBe(refused ? HttpStatusCode.OK : HttpStatusCode.Found, read.QuerySelector(".notice.bad")?.TextContent);
        return refused ? read : await visitor.Page(answer.Headers.Location!.ToString().Split('#')[0]);
    }

    private static string Said(IHtmlDocument page) => page.QuerySelector(".notice.bad")?.TextContent.Trim() ?? "";

    [Fact]
    public async Task A_step_that_was_done_before_says_how_long_it_took_here()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument shelf = await visitor.Page("/shelf");
        List<string> said = [];
        foreach (string tag in shelf.QuerySelectorAll("a[href^='/tag/']").Select(a => string.Join('/', a.GetAttribute("href")!.Split('/', '#', '?').Take(3)))
            .Distinct().Take(40))
        {
            said.AddRange((await visitor.Page($"{tag}/rod")).QuerySelectorAll("th").Where(th => th.TextContent == "Your pace")
                .Select(th => th.NextElementSibling!.TextContent.Trim()));
        }
        said.ShouldNotBeEmpty();
        said.ShouldAllBe(s => System.Text.RegularExpressions.Regex.IsMatch(s,
            @"^[\d a-z]+ by the (one time|last \d+ times) it was done here, mostly .+ to .+$"));
    }

    [Fact]
    public async Task A_caution_is_read_once_and_then_the_step_starts()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/31/rod");
        IElement oil = page.QuerySelector("#step-wood-oil").ShouldNotBeNull();
        oil.QuerySelector(".notyet")!.TextContent.ShouldContain("comes first");
        oil.QuerySelector(".notyet")!.TextContent.ShouldContain("Lay each one flat outdoors");
        oil.QuerySelector("button[data-clock-button=start]").ShouldBeNull();
        // What is not its turn needs a reason, and without having read the caution the server starts nothing.
        IHtmlDocument refused = await Post(visitor, page, "#step-wood-clean form", "Start", new() { ["step"] = "wood-oil" }, refused: true);
        Said(refused).ShouldContain("comes first");
        refused = await Post(visitor, page, "#step-wood-clean form", "Start",
            new() { ["step"] = "wood-oil", ["overrule"] = "the wood is clean", ["seen"] = "false",
            ["_once"] = "unread" }, refused: true);
        Said(refused).ShouldBe("Read the caution first: rags with drying oil.");
        page = await Post(visitor, page, "#step-wood-oil .notyet form", "Start", new() { ["_once"] = "read", ["overrule"] = "the wood is clean" });
        (await visitor.Page("/tag/31/log")).Body!.TextContent.ShouldContain("Done all the same: the wood is clean");
        page.QuerySelector("#step-wood-oil .gate").ShouldBeNull();
        page.QuerySelector("#step-wood-oil [data-clock-button=stop]").ShouldNotBeNull();
        (await visitor.Page("/clock")).QuerySelector(".caution")!.TextContent.ShouldContain("set fire to a bin");
        page = await Post(visitor, page, "#step-wood-oil form", "Stop", []);
        // Another step with the same caution asks no more.
        page.QuerySelectorAll(".gate").ShouldAllBe(g => !g.TextContent.Contains("flat outdoors"));
    }

    [Fact]
    public async Task What_cannot_be_undone_on_anothers_tool_waits_for_a_word()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/24/rod");
        page.QuerySelector("#step-jaw-dress .gate")!.TextContent.ShouldContain("the tool is Piet Varrow's");
        Said(await Post(visitor, page, "#step-jaw-dress .gate form", "Agree", new() { ["reason"] = " " }, refused: true)).ShouldContain("Write who agrees");
        page = await Post(visitor, page, "#step-jaw-dress .gate form", "Agree", new() { ["reason"] = "Piet, at the slip", ["_once"] = "a2" });
        page.QuerySelector("#step-jaw-dress")!.TextContent.ShouldContain("Agreed: Piet, at the slip");
        // Its turn and the caution still stand between.
        page.QuerySelector("#step-jaw-dress .notyet")!.TextContent.ShouldContain("Face shield on");
        (await visitor.Page("/tag/24/log")).Body!.TextContent.ShouldContain("Piet, at the slip");
    }

    [Fact]
    public async Task The_bench_leads_to_the_step_when_something_must_be_seen_first()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument bench = await visitor.Page("/");
        IHtmlFormElement form = bench.QuerySelector<IHtmlFormElement>(".sit form")!;
        HttpResponseMessage answer = await visitor.Submit(form, bench, new() { ["number"] = "24", ["step"] = "jaw-dress" });
        answer.Headers.Location!.ToString().ShouldBe("/tag/24/rod#step-jaw-dress");
        (await visitor.Page("/clock")).QuerySelector(".clockchip").ShouldBeNull();
    }

    [Fact]
    public async Task A_move_against_a_rule_is_refused_with_the_rule_and_one_within_it_is_kept()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/19/rod");
        IHtmlDocument refused = await Post(visitor, page, "#step-sole-lap form[action*=Move]", "Move", new() { ["to"] = "earlier" }, refused: true);
        Said(refused).ShouldBe("\"Survey the sole and decide\" comes before \"Lap the sole under tension: toe, mouth and heel\": measure before taking metal "
            + "off.");
        page = await Post(visitor, page, "#step-cap-fit form[action*=Move]", "Move", new() { ["to"] = "earlier", ["_once"] = "up" });
        List<string> keys = [.. page.QuerySelectorAll("ol.sheet > li.step").Select(l => l.Id!)];
        keys.IndexOf("step-cap-fit").ShouldBeLessThan(keys.IndexOf("step-edge-hone"));
        page.QuerySelector("#step-cap-fit")!.TextContent.ShouldContain("moved by hand");
        page = await Post(visitor, page, "form[action*=Replan]", "Replan", []);
        keys = [.. page.QuerySelectorAll("ol.sheet > li.step").Select(l => l.Id!)];
        keys.IndexOf("step-cap-fit").ShouldBeLessThan(keys.IndexOf("step-edge-hone"));
    }

    [Fact]
    public async Task Steps_are_added_split_and_left_out_and_nothing_typed_is_lost()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/22/rod");
        IHtmlDocument refused = await Post(visitor, page, "form[data-keep^=addstep]", "Add", new() { ["title"] = "Sharpen the nib", ["minutes"] = "a while",
            ["behind"] = "" }, refused: true);
        Said(refused).ShouldContain("\"a while\" is not a time");
        refused.QuerySelector<IHtmlInputElement>("#add-title")!.Value.ShouldBe("Sharpen the nib");
        page = await Post(visitor, refused, "form[data-keep^=addstep]", "Add", new() { ["title"] = "Sharpen the nib", ["minutes"] = "7",
            ["behind"] = "saw-nuts", ["_once"] = "add" });
        IElement own = page.QuerySelectorAll("ol.sheet > li.step").First(l => l.TextContent.Contains("Sharpen the nib", StringComparison.Ordinal));
        own.PreviousElementSibling!.Id.ShouldBe("step-saw-nuts");
        own.TextContent.ShouldContain("your own");
        Said(await Post(visitor, page, "#step-prove form[action*=Split]", "Split", new() { ["name"] = "The rip too", ["minutes"] = "60" }, refused: true))
            .ShouldContain("less than 7 minutes");
        page = await Post(visitor, page, "#step-prove form[action*=Split]", "Split", new() { ["name"] = "A rip cut too", ["minutes"] = "4",
            ["_once"] = "split" });
        page.QuerySelector("[id='step-prove-2']")!.TextContent.ShouldContain("A rip cut too");
        page.QuerySelector("#step-prove .num")!.TextContent.ShouldStartWith("3 min");
    }

    [Fact]
    public async Task A_way_taken_changes_the_rod_says_what_and_can_be_taken_back()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/42/ways");
        page.QuerySelector("#rust")!.TextContent.ShouldContain("cannot be parted from the");
        page.QuerySelector("#back")!.TextContent.ShouldContain("never on a chisel");
        page = await Post(visitor, page, "#rust form:has([value=wire])", "Take", []);
        string notice = page.QuerySelector(".notice")!.TextContent;
        notice.ShouldContain("wire wheel");
        notice.ShouldContain("before it was fine abrasive and oil");
        notice.ShouldContain("Wire wheel on blade");
        notice.ShouldContain("Out: Fine abrasive and oil");
        page.QuerySelector("#step-derust-wire").ShouldNotBeNull();
        page.QuerySelector("#step-derust-abrasive").ShouldBeNull();
        (await visitor.Page("/tag/42/ways")).QuerySelector("#rust")!.TextContent.ShouldContain("chosen for this tool");
        page = await Post(visitor, page, ".notice form", "Take", new() { ["_once"] = "back" });
        page.QuerySelector("#step-derust-abrasive").ShouldNotBeNull();
        // The plan by the wire wheel is kept, and set beside the one that stands.
        IElement since = (await visitor.Page("/tag/42/rules")).QuerySelectorAll(".since tr").ShouldHaveSingleItem();
        since.TextContent.ShouldContain("wire wheel");
        since.TextContent.ShouldContain("Out: Wire wheel on blade");
        since.TextContent.ShouldContain("In: Fine abrasive and oil");
        since.TextContent.ShouldContain("at the bench");
    }

    [Fact]
    public async Task A_closed_way_is_not_taken_whatever_is_sent()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/35/ways");
        page.QuerySelector("#rust tr.shut")!.TextContent.ShouldContain("Closed.");
        Said(await Post(visitor, page, "#wood form", "Take", new() { ["choice"] = "rust", ["way"] = "wire" }, refused: true))
            .ShouldBe("wire wheel: A wheel wipes an etched mark away.");
        Said(await Post(visitor, page, "#wood form", "Take", new() { ["choice"] = "rust", ["way"] = "prayer" }, refused: true)).ShouldContain("is no way");
        Said(await Post(visitor, page, "#wood form", "Take", new() { ["choice"] = "weather", ["way"] = "dry" }, refused: true))
            .ShouldContain("There is no choice");
    }

    [Fact]
    public async Task Rules_say_what_made_the_plan_and_what_kept_others_out()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/28/rules");
        page.Body!.TextContent.ShouldContain("not here: only when what is stuck may be heated and was not yet: no spring, edge, brass or plating");
        IHtmlAnchorElement made = page.QuerySelectorAll<IHtmlAnchorElement>(".rules a").First(a =>
            a.TextContent.Contains("in soft wood", StringComparison.Ordinal));
        made.GetAttribute("href").ShouldBe("/tag/28/rod#step-free-clamp");
        page.QuerySelectorAll(".rules tr").Length.ShouldBe(Core.Rod.Planner.Rules.Count);
    }

    [Fact]
    public async Task What_is_missing_is_listed_with_its_stand_in_and_closes_its_way()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/42/needs");
        IHtmlFormElement stone = page.QuerySelectorAll<IHtmlFormElement>(".needs form").First(f =>
            f.QuerySelector<IHtmlInputElement>("[name=item]")!.Value == "medium-stone");
        HttpResponseMessage answer = await visitor.Submit(stone, page, new() { ["stock"] = "None" });
        page = await visitor.Page(answer.Headers.Location!.ToString());
        page.QuerySelector(".plainlist")!.TextContent.ShouldContain("could stand in: P1000 on glass");
        IHtmlFormElement any = page.QuerySelector<IHtmlFormElement>(".needs form")!;
        (await Visitor.Read(await visitor.Submit(any, page, new() { ["item"] = "unicorn hair", ["stock"] = "Have", ["_once"] = "u" })))
            .QuerySelector(".notice.bad")!.TextContent.ShouldContain("nothing the rules speak of");
        // The loft has no oven, so nothing is baked there.
        (await visitor.Page("/tag/31/ways")).QuerySelector("#coating")!.TextContent.ShouldContain("The shop has no shop oven.");
    }

    [Fact]
    public async Task Wish_and_worth_stand_beside_the_advice()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/33/aim");
        page.Body!.TextContent.ShouldContain("the book would say Keep");
        page.Body.TextContent.ShouldContain("Like new, please");
        page.QuerySelectorAll(".aims section").Select(s => s.GetAttribute("aria-label")).ShouldBe(["Keep", "Work", "Show", "Own"]);
        page.QuerySelector(".aims section")!.TextContent.ShouldContain("160 of 160");
        page.QuerySelectorAll(".aims section")[2].TextContent.ShouldContain("each agreed first");
        IHtmlDocument refused = await Post(visitor, page, "form[data-keep^=wish]", "Wish", new() { ["worth"] = "a lot", ["wish"] = "Bright",
            ["rarity"] = "Rare" }, refused: true);
        refused.QuerySelector(".field.bad .fault")!.TextContent.ShouldContain("is not a sum of money");
        refused.QuerySelector<IHtmlInputElement>("#wish")!.Value.ShouldBe("Bright");
        page = await Post(visitor, refused, "form[data-keep^=wish]", "Wish", new() { ["worth"] = "200", ["wish"] = "Bright", ["rarity"] = "Rare",
            ["_once"] = "w" });
        page.QuerySelectorAll(".aims section")[2].TextContent.ShouldContain("as a rare tool");
    }

    [Fact]
    public async Task What_is_on_order_waits_until_it_has_come()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/30/rod");
        IElement step = page.QuerySelector("#step-irons-fit-set_7")!;
        step.TextContent.ShouldContain("It waits for: no. 7 iron");
        Said(await Post(visitor, page, "#step-irons-fit-set_7 form", "Start", new() { ["step"] = "irons-fit:set_7", ["seen"] = "true" }, refused: true))
            .ShouldContain("It waits for");
        page = await Post(visitor, page, "#step-irons-fit-set_7 form", "Arrived", new() { ["_once"] = "come" });
        page.QuerySelector("#step-irons-fit-set_7")!.TextContent.ShouldNotContain("It waits for");
    }

    [Fact]
    public async Task A_missing_part_is_put_on_order_and_the_rod_says_it_would_change()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/25/state");
        page = await Post(visitor, page, "form[action*=Order]", "Order", new() { ["on"] = "true", ["arrives"] = "2031-05-04" });
        page.QuerySelector(".findings")!.TextContent.ShouldContain("on order, expected 4 May");
        // A new finding makes the rod stale, which says what would come in; planning again brings it.
        HttpResponseMessage noted = await visitor.Submit(await visitor.Page("/tag/25/state?Part=chuck"), "form[data-keep^=find]", new() { ["kind"] = "Seizure",
            ["severity"] = "2", ["round"] = "Washed" });
        noted.StatusCode.ShouldBe(HttpStatusCode.Found);
        IHtmlDocument rod = await visitor.Page("/tag/25/rod");
        rod.QuerySelector(".notice")!.TextContent.ShouldContain("Clamp chuck shell in soft wood and turn");
        rod = await Post(visitor, rod, ".notice form", "Replan", []);
        rod.QuerySelector("#step-free-clamp").ShouldNotBeNull();
        rod.QuerySelector("#step-find-crank_screw")!.TextContent.ShouldContain("It waits for: crank screw, on order, expected 4 May");
        rod.QuerySelectorAll(".notice").ShouldAllBe(n => !n.TextContent.Contains("has changed since"));
        rod.QuerySelectorAll("li.step.gone").Length.ShouldBeGreaterThan(5);
    }

    [Fact]
    public async Task Stores_say_what_is_there_and_what_could_stand_in()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/stores/kit");
        page.QuerySelectorAll("tr.lack").ShouldContain(r => r.TextContent.Contains("Saw files"));
        page.QuerySelectorAll(".needs tr").Length.ShouldBe(Core.Stores.Supplies.All.Count(s => s.Kit));
        page = await Post(visitor, page, ".needs form", "Stock", new() { ["item"] = "winding-sticks", ["stock"] = "OnOrder", ["arrives"] = "2031-02-03" });
        page.QuerySelectorAll("tr.lack").First(r => r.TextContent.Contains("Winding sticks", StringComparison.Ordinal))
            .TextContent.ShouldContain("expected 3 Feb");
        page.QuerySelectorAll("tr.lack").First(r => r.TextContent.Contains("Winding sticks", StringComparison.Ordinal))
            .TextContent.ShouldContain("two straight strips of wood");
    }

    [Fact]
    public async Task A_step_opens_to_gauges_that_answer()
    {
        Visitor visitor = host.Visit();
        foreach (int number in new[] { 17, 19, 24, 28, 31, 36, 38, 42 })
        {
            foreach (IHtmlAnchorElement link in (await visitor.Page($"/tag/{number}/rod")).QuerySelectorAll<IHtmlAnchorElement>("a[href^='/gauges/']"))
            {
                IHtmlDocument gauge = await visitor.Page(link.GetAttribute("href")!);
                gauge.QuerySelectorAll(".fault").ShouldAllBe(f => f.TextContent.Trim().Length == 0);
                gauge.QuerySelectorAll("td.n").Length.ShouldBeGreaterThan(0, link.GetAttribute("href"));
            }
        }
    }
}
