using System.Net;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;

namespace Foundling.Web.Tests;

/// <summary>Reasons are kept, money is noted, and what is missing has its day on the plan.</summary>
public sealed class ReasonsTests(DemoHost host) : IClassFixture<DemoHost>
{
    private static async Task<IHtmlDocument> Follow(Visitor visitor, HttpResponseMessage answer)
    {
        answer.StatusCode.ShouldBe(HttpStatusCode.Found, string.Join(' ', (await Visitor.Read(answer)).QuerySelectorAll(".fault, [role=alert]").Select(f =>
            f.TextContent)));
        return await visitor.Page(answer.Headers.Location!.ToString());
    }

    private static string Said(IHtmlDocument page) => string.Join(' ', page.QuerySelectorAll("[role=alert], [data-fault]").Select(f => f.TextContent));

    private static async Task<string> Planned(Visitor visitor, string kind)
    {
        HttpResponseMessage booked = await visitor.Submit(await visitor.Page("/new"), "form[data-keep=new]", new() { ["Form.Kind"] = kind,
            ["Form.Price"] = "14" });
        string tag = $"/tag/{booked.Headers.Location!.ToString().Split('/')[2]}";
        await Follow(visitor, await visitor.Submit(await visitor.Page($"{tag}/state?Part=body"), "form[data-keep^=find]", new() { ["found"] = "Rust:3" }));
        await Follow(visitor, await visitor.Submit(await visitor.Page($"{tag}/aim"), "form[action$='/aim']", new() { ["aim"] = "Work" }));
        return tag;
    }

    [Fact]
    public async Task Several_steps_are_left_out_at_once_with_one_reason()
    {
        Visitor visitor = host.Visit();
        string tag = await Planned(visitor, "metal-bench-plane");
        IHtmlDocument rod = await visitor.Page($"{tag}/rod");
        var form = (IHtmlFormElement)rod.QuerySelector("#several form")!;
        List<IHtmlInputElement> boxes = [.. form.QuerySelectorAll<IHtmlInputElement>("input[name=steps]")];
        Said(await Visitor.Read(await visitor.Submit(form, rod, new() { ["reason"] = "no time" }))).ShouldContain("Tick the steps");
        rod = await visitor.Page($"{tag}/rod");
        form = (IHtmlFormElement)rod.QuerySelector("#several form")!;
        boxes = [.. form.QuerySelectorAll<IHtmlInputElement>("input[name=steps]")];
        boxes[0].IsChecked = boxes[1].IsChecked = boxes[2].IsChecked = true;
        Said(await Visitor.Read(await visitor.Submit(form, rod, new() { ["reason"] = "" }))).ShouldContain("Say why they are left out");
        rod = await visitor.Page($"{tag}/rod");
        form = (IHtmlFormElement)rod.QuerySelector("#several form")!;
        boxes = [.. form.QuerySelectorAll<IHtmlInputElement>("input[name=steps]")];
        boxes[0].IsChecked = boxes[1].IsChecked = boxes[2].IsChecked = true;
        IHtmlDocument after = await Follow(visitor, await visitor.Submit(form, rod, new() { ["reason"] = "done at the yard" }));
        after.QuerySelectorAll(".step.gone").Count(s => s.TextContent.Contains("Left out: done at the yard")).ShouldBe(3);
        (await visitor.Page($"{tag}/log")).QuerySelectorAll(".entry").Count(e => e.TextContent.Contains("done at the yard")).ShouldBe(3);
    }

    [Fact]
    public async Task A_choice_keeps_its_reason_until_another_way_is_taken()
    {
        Visitor visitor = host.Visit();
        string tag = await Planned(visitor, "metal-bench-plane");
        IHtmlDocument ways = await visitor.Page($"{tag}/ways");
        await Follow(visitor, await visitor.Submit(ways, "#rust form[action*='handler=Take']", []));
        ways = await Follow(visitor, await visitor.Submit(await visitor.Page($"{tag}/ways"), "#rust form[action*='handler=Because']",
            new() { ["reason"] = "the bath is mixed already" }));
        ways.QuerySelector("#rust")!.TextContent.ShouldContain("Chosen for this tool: the bath is mixed already");
        await Follow(visitor, await visitor.Submit(ways, "#rust tr:not(.on) form[action*='handler=Take']", []));
        (await visitor.Page($"{tag}/ways")).QuerySelector("#rust")!.TextContent.ShouldNotContain("the bath is mixed already");
    }

    [Fact]
    public async Task Money_spent_and_the_price_it_went_for_are_reckoned_but_stay_in_the_shop()
    {
        Visitor visitor = host.Visit();
        string tag = await Planned(visitor, "metal-bench-plane");
        Said(await Visitor.Read(await visitor.Submit(await visitor.Page($"{tag}/log"), "form[action*='handler=Spent']", new() { ["what"] = "",
            ["amount"] = "much" }))).ShouldContain("not an amount of money");
        await Follow(visitor, await visitor.Submit(await visitor.Page($"{tag}/log"), "form[action*='handler=Spent']", new() { ["what"] = "cap iron screw",
            ["amount"] = "6.50" }));
        Said(await Visitor.Read(await visitor.Submit(await visitor.Page($"{tag}/papers"), "form[action*='handler=Status']", new() { ["status"] = "Left",
            ["sold"] = "sixty" }))).ShouldContain("not an amount of money");
        IHtmlDocument papers = await Follow(visitor, await visitor.Submit(await visitor.Page($"{tag}/papers"), "form[action*='handler=Status']",
            new() { ["status"] = "Left", ["sold"] = "60" }));
        string money = (await visitor.Page($"{tag}/log")).QuerySelector("#money + .sheet")!.TextContent;
        money.ShouldContain("Paid 14, spent since 6.5; sold for 60, so 40 is left");
        papers.QuerySelector("article")!.TextContent.ShouldNotContain("6.5");
    }

    [Fact]
    public async Task What_is_missing_has_its_day_on_the_plan()
    {
        Visitor visitor = host.Visit();
        string tag = await Planned(visitor, "metal-bench-plane");
        IHtmlDocument needs = await visitor.Page($"{tag}/needs");
        var form = (IHtmlFormElement)needs.QuerySelectorAll(".needs form").First(f =>
            f.QuerySelector<IHtmlInputElement>("input[name=item]")!.Value == "light-oil");
        await Follow(visitor, await visitor.Submit(form, needs, new() { ["stock"] = "None" }));
        IHtmlDocument rod = await visitor.Page($"{tag}/rod");
        rod.QuerySelectorAll(".step").First(s => s.TextContent.Contains("The shop has none of this: light oil.")).ShouldNotBeNull();
        form = (IHtmlFormElement)rod.QuerySelectorAll(".step .notyet form[action*='handler=Stock']").First(f =>
            f.QuerySelector<IHtmlInputElement>("input[name=item]")!.Value == "light-oil");
        rod = await Follow(visitor, await visitor.Submit(form, rod, new() { ["stock"] = "OnOrder", ["arrives"] = "2026-12-05" }));
        rod.QuerySelector("main")!.TextContent.ShouldContain("It waits for what is on order: light oil, expected 5 December.");
        // It holds the steps that need it, until one goes on with what stands in for it, or without, or it is here.
        IElement First() => rod.QuerySelectorAll(".step").First(s => s.QuerySelector("[id$=light-oil]") is not null);
        string id = First().Id!;
        First().QuerySelector(".gatesign")!.TextContent.ShouldBe("not there");
        Said(await Visitor.Read(await visitor.Submit((IHtmlFormElement)First().QuerySelector(".notyet form[action*='handler=Without']")!, rod,
            new() { ["words"] = " " }))).ShouldContain("Say why it is done without: light oil.");
        rod = await Follow(visitor, await visitor.Submit((IHtmlFormElement)First().QuerySelector(".row > form[action*='handler=Without']")!, rod, []));
        rod.QuerySelector($"#{id} [id$=light-oil]").ShouldBeNull();
        (await visitor.Page($"{tag}/log")).QuerySelector("main")!.TextContent.ShouldContain("without light oil, with sewing machine oil");
        int held = rod.QuerySelectorAll("[id$=light-oil]").Length;
        held.ShouldBeGreaterThan(0);
        rod = await Follow(visitor, await visitor.Submit((IHtmlFormElement)First().QuerySelector(".row > form[action*='handler=Stock']")!, rod,
            new() { ["stock"] = "Have" }));
        rod.QuerySelectorAll("[id$=light-oil]").ShouldBeEmpty();
    }

    [Fact]
    public async Task One_word_covers_all_that_cannot_be_undone_and_each_line_can_be_left_out_of_it()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument rod = await visitor.Page("/tag/24/rod");
        var lines = rod.QuerySelectorAll<IHtmlInputElement>("#consent input[name=steps]").ToList();
        lines.Count.ShouldBeGreaterThan(2);
        lines.ShouldAllBe(l => l.IsChecked);
        string asked = rod.QuerySelector("#consent summary")!.TextContent;
        asked.ShouldContain("the tool is Piet Varrow's");
        lines[0].IsChecked = false;
        Said(await Visitor.Read(await visitor.Submit(rod, "#consent form", new() { ["who"] = "" }))).ShouldContain("Write who agrees");
        rod = await Follow(visitor, await visitor.Submit(rod, "#consent form", new() { ["who"] = "Piet, by letter" }));
        rod.QuerySelector("#consent").ShouldBeNull("one line is left, which asks at its step");
        rod.QuerySelectorAll(".step").Count(s => s.TextContent.Contains("Agreed: Piet, by letter.")).ShouldBe(lines.Count - 1);
        (await visitor.Page("/tag/24/papers")).QuerySelector("article")!.TextContent.ShouldContain("Piet, by letter");
    }

    [Fact]
    public async Task The_rod_says_what_changed_under_it()
    {
        Visitor visitor = host.Visit();
        string tag = await Planned(visitor, "metal-bench-plane");
        await Follow(visitor, await visitor.Submit(await visitor.Page($"{tag}/state?Part=iron"), "form[data-keep^=find]", new() { ["found"] = "Rust:3" }));
        IHtmlDocument rod = await visitor.Page($"{tag}/rod");
        string Main() => System.Text.RegularExpressions.Regex.Replace(rod.QuerySelector("main")!.TextContent, @"\s+", " ");
        Main().ShouldContain("What was found changed since this was planned.");
        rod = await Follow(visitor, await visitor.Submit(rod, ".notice form[action*='handler=Replan']", []));
        Main().ShouldNotContain("changed since this was planned");
    }

    [Fact]
    public async Task What_is_not_to_be_touched_binds_the_plan_and_stands_in_the_papers()
    {
        Visitor visitor = host.Visit();
        string tag = await Planned(visitor, "metal-bench-plane");
        IHtmlDocument ways = await visitor.Page($"{tag}/ways");
        Said(await Visitor.Read(await visitor.Submit(ways, "#left form[data-keep]", new() { ["part"] = "tote", ["what"] = "untouched", ["why"] = "" })))
            .ShouldContain("Say why it is left");
        await Follow(visitor, await visitor.Submit(ways, "#left form[data-keep]", new() { ["part"] = "tote", ["what"] = "untouched",
            ["why"] = "initials of its first owner" }));
        IHtmlDocument rod = await visitor.Page($"{tag}/rod");
        rod.QuerySelector("#step-leave-on")!.TextContent.ShouldContain("to be touched: tote");
        rod.QuerySelectorAll(".step b").Select(b => b.TextContent).ShouldNotContain(t => t.Contains("Wipe the wood") && t.Contains("tote"));
        (await visitor.Page($"{tag}/papers")).QuerySelector("article")!.TextContent.ShouldContain("not to be touched, initials of its first owner");
        ways = await visitor.Page($"{tag}/ways");
        await Follow(visitor, await visitor.Submit(ways, "#left form:not([data-keep])", []));
        (await visitor.Page($"{tag}/ways")).QuerySelector("#left form:not([data-keep])").ShouldBeNull();
    }

    [Fact]
    public async Task Between_Keep_and_Work_there_is_a_road()
    {
        Visitor visitor = host.Visit();
        string tag = await Planned(visitor, "metal-bench-plane");
        IHtmlDocument aim = await visitor.Page($"{tag}/aim");
        aim.QuerySelector("#between")!.TextContent.ShouldContain("metal off none");
        IHtmlDocument rod = await Follow(visitor, await visitor.Submit(aim, "#between form", []));
        rod.QuerySelector("#step-prove")!.TextContent.ShouldContain("Try it as it was tried when it came");
        rod.QuerySelector("#step-sole-lap").ShouldBeNull();
        aim = await visitor.Page($"{tag}/aim");
        aim.QuerySelector("#between h3")!.TextContent.ShouldContain("taken");
        aim.QuerySelector(".aims section[aria-label=Work] h2")!.TextContent.ShouldNotContain("chosen");
        aim.QuerySelector(".aims section[aria-label=Work]")!.TextContent.ShouldNotContain("Metal offnone", customMessage: "Work is told as it would be");
        // Another aim leaves the road.
        rod = await Follow(visitor, await visitor.Submit(aim, ".aims section[aria-label=Work] form", []));
        rod.QuerySelector("#step-prove")!.TextContent.ShouldContain("Prove it");
        (await visitor.Page($"{tag}/aim")).QuerySelector("#between h3")!.TextContent.ShouldNotContain("taken");
    }
}
