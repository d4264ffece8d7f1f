using System.Net;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;
using Foundling.Core;
using Foundling.Core.Edges;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Web.Drawings;

namespace Foundling.Web.Tests;

/// <summary>The condition of every kind of tool, over an in-memory host.</summary>
public sealed class StatePageTests(DemoHost host) : IClassFixture<DemoHost>
{
    private static async Task<IHtmlDocument> Follow(Visitor visitor, HttpResponseMessage answer)
    {
        answer.StatusCode.ShouldBe(HttpStatusCode.Found, string.Join(' ', (await Visitor.Read(answer)).QuerySelectorAll(".fault").Select(f => f.TextContent)));
        return await visitor.Page(answer.Headers.Location!.ToString());
    }

    private static async Task<int> BookIn(Visitor visitor, string kind)
    {
        HttpResponseMessage answer = await visitor.Submit(await visitor.Page("/new"), "form[data-keep=new]", new() { ["Form.Kind"] = kind });
        answer.StatusCode.ShouldBe(HttpStatusCode.Found, kind);
        return int.Parse(answer.Headers.Location!.ToString().Split('/')[2]);
    }

    private static async Task<IHtmlDocument> Note(Visitor visitor, int number, string part, FindingKind kind, int degree, Dictionary<string,
        string>? more = null)
    {
        var fields = new Dictionary<string, string> { ["kind"] = kind.ToString(), ["severity"] = degree.ToString(), ["round"] = "AsFound" };
        foreach ((string name, string value) in more ?? [])
        {
            fields[name] = value;
        }
        return await Follow(visitor, await visitor.Submit(await visitor.Page($"/tag/{number}/state?Part={Uri.EscapeDataString(part)}"),
            "form[data-keep^=find]", fields));
    }

    [Fact]
    public async Task Every_kind_is_booked_in_drawn_examined_and_judged()
    {
        Visitor visitor = host.Visit();
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            int number = await BookIn(visitor, kind.Id.Value);
            if (kind.Parts.LastOrDefault(p => Faults.Can(kind, p, FindingKind.Missing)) is not { } part)
            {
                // Of one forging nothing can be gone; a crack in it is the end.
                IHtmlDocument cracked = await Note(visitor, number, kind.Parts[^1].Id.Value, FindingKind.Crack, 3);
                cracked.QuerySelector("aside")!.TextContent.ShouldContain("grows with every stroke");
                continue;
            }
            IHtmlDocument page = await Note(visitor, number, part.Id.Value, FindingKind.Missing, 3);
            page.QuerySelectorAll(".prof [data-part]").Length.ShouldBeGreaterThan(1, kind.Id.Value);
            page.QuerySelectorAll(".findings .disc").Length.ShouldBe(1);
            page.QuerySelector("aside")!.TextContent.ShouldContain("Restore, if the doubts are cleared");
            page.QuerySelector("aside")!.TextContent.ShouldContain($"The {part.Name}: gone, must be found");
        }
    }

    [Fact]
    public async Task A_finding_for_all_screws_is_noted_on_each()
    {
        Visitor visitor = host.Visit();
        int number = await BookIn(visitor, "metal-bench-plane");
        IHtmlDocument page = await Note(visitor, number, "*screws", FindingKind.Burred, 2);
        // One row for what was noted at once, a finding for each screw, and it is taken back as one.
        page.QuerySelectorAll(".findings .disc").Length.ShouldBe(1);
        page.QuerySelector(".findings")!.TextContent.ShouldContain("All screws, nuts and pins");
        page.QuerySelectorAll(".prof .pin").Length.ShouldBeGreaterThan(3);
        page = await Follow(visitor, await visitor.Submit(page, ".findings form[action*='handler=Forget']", []));
        page.QuerySelectorAll(".findings .disc").Length.ShouldBe(0);
    }

    [Fact]
    public async Task Two_pits_stand_beside_each_other_and_a_whole_part_is_changed_with_a_word()
    {
        Visitor visitor = host.Visit();
        int number = await BookIn(visitor, "metal-bench-plane");
        string part = $"/tag/{number}/state?Part=iron";
        async Task<IHtmlDocument> Tap(string found, Dictionary<string, string>? more = null) =>
            await Follow(visitor, await visitor.Submit(await visitor.Page(part), "form[data-keep^=find]", new(more ?? []) { ["found"] = found,
                ["round"] = "AsFound" }));
        await Tap("Pitting:2", new() { ["place-Pitting"] = "back" });
        IHtmlDocument page = await Tap("Pitting:3", new() { ["place-Pitting"] = "edge" });
        // The part stays chosen, and both stand there.
        page.QuerySelector("#find")!.TextContent.ShouldContain("the iron");
        page.QuerySelectorAll(".noted li").Select(l => l.QuerySelector("span")!.TextContent)
            .ShouldBe(["Pitting pits that catch a fingernail, away from the edge, at the back", "Pitting pits near the edge"], ignoreOrder: true);
        // Each has its own depth and size.
        page = await visitor.Page(page.QuerySelectorAll(".noted li").First(l =>
            l.TextContent.Contains("near the edge")).QuerySelector("a")!.GetAttribute("href")!);
        page = await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Change']", new() { ["severity"] = "3", ["place"] = "edge",
            ["Depth"] = "0.4", ["Size"] = "2", ["FromEdge"] = "3", ["round"] = "AsFound" }));
        page.QuerySelectorAll(".noted li").First(l => l.TextContent.Contains("near the edge")).TextContent.ShouldContain("0.40 mm deep");
        page.QuerySelectorAll(".findings .disc").Length.ShouldBe(2);
        page.QuerySelector(".findings")!.TextContent.ShouldContain("3.00 mm from the edge · 2.00 mm long · 0.40 mm deep");
        // Rust is of the whole part: another degree takes the place of the first, and it is said.
        await Tap("Rust:2", new() { ["Note"] = "along the left side" });
        page = await Tap("Rust:3");
        page.QuerySelectorAll(".noted li").First(l => l.TextContent.Contains("Rust")).TextContent.ShouldContain("along the left side",
            customMessage: "what was said about it stays");
        page.QuerySelectorAll(".noted li").Count(l => l.TextContent.Contains("Rust")).ShouldBe(1);
        page.QuerySelector(".notice")!.TextContent.ShouldContain("Rust on the iron was noted as 2");
    }

    [Fact]
    public async Task Only_faults_a_part_can_have_are_offered_in_its_own_words()
    {
        Visitor visitor = host.Visit();
        int saw = await BookIn(visitor, "hand-saw");
        IHtmlDocument plate = await visitor.Page($"/tag/{saw}/state?Part=plate");
        plate.QuerySelector("[data-fault-of=EdgeDamage]")!.TextContent.ShouldContain("some missing or broken");
        plate.QuerySelector("[data-fault-of=Mushroomed], [data-fault-of=BentTab], [data-fault-of=Missing]").ShouldBeNull();
        int plane = await BookIn(visitor, "metal-bench-plane");
        IHtmlDocument body = await visitor.Page($"/tag/{plane}/state?Part=body");
        body.QuerySelector("[data-fault-of=Bent], [data-fault-of=Seizure], [data-fault-of=EdgeDamage]").ShouldBeNull("a casting does not bend");
        body.QuerySelector("[data-fault-of=OutOfFlat]")!.QuerySelectorAll("input").Select(i => i.GetAttribute("value")).ShouldBe(["sole", "cheek", "toe"]);
        (await visitor.Page($"/tag/{plane}/state?Part=frog")).QuerySelector("[data-fault-of=OutOfFlat]")!.TextContent.ShouldContain("on the face");
        (await visitor.Page($"/tag/{plane}/state?Part=tote")).QuerySelector("[data-fault-of=Crack]")!.TextContent.ShouldContain("hairline along the grain");
    }

    [Fact]
    public async Task A_try_noted_here_finishes_its_step_and_a_try_on_the_rod_stands_here()
    {
        Visitor visitor = host.Visit();
        int number = await BookIn(visitor, "chisel");
        await Follow(visitor, await visitor.Submit(await visitor.Page($"/tag/{number}/aim"), "form[action$='/aim']", new() { ["aim"] = "Work" }));
        await Follow(visitor, await visitor.Submit(await visitor.Page($"/tag/{number}/state"), "form[data-keep^=decide]", new() { ["tried"] = "Badly",
            ["triedNote"] = "skates on end grain" }));
        (await visitor.Page($"/tag/{number}/rod")).QuerySelector("#step-try-as-found")!.TextContent.ShouldContain("Open again");
        int other = await BookIn(visitor, "chisel");
        await Follow(visitor, await visitor.Submit(await visitor.Page($"/tag/{other}/aim"), "form[action$='/aim']", new() { ["aim"] = "Work" }));
        IHtmlDocument rod = await visitor.Page($"/tag/{other}/rod");
        var photographed = (IHtmlFormElement)rod.QuerySelector("#step-photos form")!;
        photographed.Action = $"/tag/{other}/rod?handler=Done";
        await Follow(visitor, await visitor.Submit(photographed, rod, []));
        rod = await visitor.Page($"/tag/{other}/rod");
        rod.QuerySelectorAll("#step-try-as-found button[name=tried]").Length.ShouldBeGreaterThanOrEqualTo(3);
        var button = (IHtmlButtonElement)rod.QuerySelector("#step-try-as-found button[name=tried][value=Well]")!;
        var form = (IHtmlFormElement)button.Closest("form")!;
        form.Action = button.GetAttribute("formaction")!;
        await Follow(visitor, await visitor.Submit(form, rod, new() { ["tried"] = "Well" }));
        (await visitor.Page($"/tag/{other}/state")).QuerySelector<IHtmlSelectElement>("#tried")!.Value.ShouldBe("Well");
    }

    [Fact]
    public async Task A_look_after_washing_is_set_against_the_first()
    {
        Visitor visitor = host.Visit();
        int number = await BookIn(visitor, "metal-bench-plane");
        await Note(visitor, number, "body", FindingKind.CoatingLoss, 3);
        IHtmlDocument page = await Note(visitor, number, "body", FindingKind.CoatingLoss, 1, new() { ["round"] = "Washed" });
        page.QuerySelectorAll(".findings .disc").Length.ShouldBe(1);
        page.QuerySelector(".findings")!.TextContent.ShouldContain("after washing; as it came it was 3");
        // The next finding is taken to be of the same round.
        (await visitor.Page($"/tag/{number}/state?Part=iron")).QuerySelector<IHtmlSelectElement>("#round")!.Value.ShouldBe("Washed");
    }

    [Fact]
    public async Task A_crack_at_the_mouth_stops_it_and_the_person_still_decides()
    {
        Visitor visitor = host.Visit();
        int number = await BookIn(visitor, "metal-bench-plane");
        IHtmlDocument page = await Note(visitor, number, "body", FindingKind.Crack, 3, new() { ["place"] = "mouth" });
        page.QuerySelector("aside")!.TextContent.ShouldContain("Keep it for its parts");
        page.QuerySelector("aside")!.TextContent.ShouldContain("Worth saving");
        page = await Follow(visitor, await visitor.Submit(page, "form[data-keep^=decide]", new() { ["tried"] = "Badly", ["triedNote"] = "chatters",
            ["decision"] = "Restore", ["why"] = "it was my grandfather's" }));
        page.QuerySelector("aside")!.TextContent.ShouldContain("decided: restore");
        page.QuerySelector<IHtmlInputElement>("#why")!.Value.ShouldBe("it was my grandfather's");
    }

    [Fact]
    public async Task A_measured_iron_shows_the_steel_that_is_left()
    {
        Visitor visitor = host.Visit();
        int number = await BookIn(visitor, "metal-bench-plane");
        async Task<IHtmlDocument> Measure(string kind, string value, string off = "") => await Follow(visitor,
            await visitor.Submit(await visitor.Page($"/tag/{number}/state?Part=iron"), "form[data-keep^=measure]", new() { ["kind"] = kind, ["value"] = value,
            ["instrument"] = "", ["off"] = off }));
        IHtmlDocument page = await Measure("edge_to_slot", "1 3/8\"");
        page.QuerySelector("aside")!.TextContent.ShouldContain("361 sharpenings");
        page = await Measure("edge_to_hard_end", "9", "0.5");
        page.QuerySelector("aside")!.TextContent.ShouldContain("112 sharpenings");
        page.QuerySelector("main")!.TextContent.ShouldContain("9.0 mm ± 0.5 mm");
        page = await Note(visitor, number, "iron", FindingKind.Pitting, 3, new() { ["fromEdge"] = "8" });
        page.QuerySelector("aside")!.TextContent.ShouldContain("6 sharpenings");
        page.QuerySelector("aside")!.TextContent.ShouldContain("Keep it for its parts");
        page.QuerySelectorAll(".ironview .pit").Length.ShouldBe(1);
        string[] log = [.. (await visitor.Page($"/tag/{number}/log")).QuerySelectorAll(".entry").Select(e => e.TextContent)];
        log.Count(e => e.Contains("measured", StringComparison.Ordinal)).ShouldBe(2);
        log.ShouldContain(e => e.Contains("edge to where a file bites: 9 mm", StringComparison.Ordinal));
    }

    private static async Task<IHtmlDocument> Say(Visitor visitor, int number, string part, string name, string value) => await Follow(visitor,
        await visitor.Submit(await visitor.Page($"/tag/{number}/state?Part={part}"), "#build", new() { [name] = value }));

    [Fact]
    public async Task How_a_part_is_built_is_said_at_one_tap_and_the_drawing_and_the_papers_follow()
    {
        Visitor visitor = host.Visit();
        int number = await BookIn(visitor, "metal-bench-plane");
        IHtmlDocument page = await visitor.Page($"/tag/{number}/state?Part=lever_cap");
        page.QuerySelector("#build p")!.TextContent.ShouldContain("Lever cap: cast iron, plated");
        page = await Say(visitor, number, "lever_cap", "finish", "Bare");
        page.QuerySelector("#build p")!.TextContent.ShouldContain("cast iron, bare");
        page.QuerySelector(".prof [data-part=lever_cap] path")!.ClassName!.ShouldStartWith("iron");
        page.QuerySelector("#build [name=finish][value=Bare]")!.GetAttribute("aria-pressed").ShouldBe("true");
        // Lost and never had are two things: one is a finding, the other no part at all.
        page = await Say(visitor, number, "knob", "lost", "true");
        page.QuerySelector(".findings")!.TextContent.ShouldContain("Knob");
        page.QuerySelectorAll("[data-parts] .gone[data-part=knob]").Length.ShouldBe(1);
        page = await Say(visitor, number, "lateral_lever", "stand", "NeverHad");
        page.QuerySelectorAll(".prof [data-part=lateral_lever]").ShouldBeEmpty();
        page.QuerySelector("#built")!.TextContent.ShouldContain("Lateral lever: never had one");
        string papers = (await visitor.Page($"/tag/{number}/papers")).QuerySelector("main")!.TextContent;
        papers.ShouldContain("Lateral lever: not on this one when it was made");
        papers.ShouldContain("Lever cap: cast iron, bare");
        (await visitor.Page("/shelf")).QuerySelectorAll<IHtmlImageElement>("img").ShouldContain(i =>
            i.Source!.Contains("not=lateral_lever&tone=lever_cap.iron", StringComparison.Ordinal));
        page = await Follow(visitor, await visitor.Submit(await visitor.Page($"/tag/{number}/state"), "#built form[action*=Had]", []));
        page.QuerySelectorAll("[data-parts] [data-part=lateral_lever]").Length.ShouldBe(1);
    }

    [Fact]
    public async Task A_feature_is_said_and_taken_back_and_something_added_is_a_part()
    {
        Visitor visitor = host.Visit();
        int number = await BookIn(visitor, "metal-bench-plane");
        Task<IHtmlDocument> Form(IHtmlDocument on) => Submit(on, "form[aria-label=Sole]", new() { ["form"] = "corrugated_sole" });
        async Task<IHtmlDocument> Submit(IHtmlDocument on, string form, Dictionary<string, string> fields) =>
            await Follow(visitor, await visitor.Submit(on, form, fields));
        IHtmlDocument page = await Form(await visitor.Page($"/tag/{number}/state"));
        page.QuerySelector("#built summary")!.TextContent.ShouldContain("Sole: corrugated");
        page = await Form(page);
        page.QuerySelector("#built summary")!.TextContent.ShouldContain("as its kind usually is");
        page = await Submit(page, "#built form[action*=Add]", new() { ["name"] = "brass fence", ["material"] = "Brass", ["on"] = "body" });
        page.QuerySelector("#build p")!.TextContent.ShouldContain("Brass fence: brass, added later");
        page = await Note(visitor, number, "added_1", FindingKind.Bent, 2);
        page.QuerySelector(".findings")!.TextContent.ShouldContain("Brass fence");
        IHtmlDocument refused = await Visitor.Read(await visitor.Submit(await visitor.Page($"/tag/{number}/state"), "#built form[action*=Add]",
            new() { ["name"] = " ", ["material"] = "Brass", ["on"] = "body" }));
        refused.QuerySelector("#built .fault")!.TextContent.ShouldContain("Say what it is");
        refused = await Visitor.Read(await visitor.Submit(await visitor.Page($"/tag/{number}/state?Part=iron"), "#build", new() { ["stand"] = "NeverHad" }));
        refused.QuerySelector("main")!.TextContent.ShouldContain("Every metal bench plane had an iron; what it lost is lost.");
    }

    [Theory]
    [InlineData("stand", "Added")]
    [InlineData("finish", "Varnished")]
    public async Task What_no_part_can_be_is_refused_with_a_sentence_and_nothing_changes(string name, string value)
    {
        Visitor visitor = host.Visit();
        int number = await BookIn(visitor, "metal-bench-plane");
        IHtmlDocument refused = await Visitor.Read(await visitor.Submit(await visitor.Page($"/tag/{number}/state?Part=frog"), "#build",
            new() { [name] = value }));
        refused.QuerySelector("main")!.TextContent.ShouldContain("one of the ways that are shown");
        (await visitor.Page($"/tag/{number}/state?Part=frog")).QuerySelector("#build p")!.TextContent.ShouldContain("Frog: cast iron, japanned;");
    }

    [Fact]
    public async Task A_look_on_Origin_says_how_it_is_built()
    {
        Visitor visitor = host.Visit();
        int number = await BookIn(visitor, "metal-bench-plane");
        async Task See(string trait, string variant) => (await visitor.Submit(await visitor.Page($"/tag/{number}/origin?Trait={trait}"),
            "form[action*=Look]", new() { ["trait"] = trait, ["variant"] = variant })).StatusCode.ShouldBe(HttpStatusCode.Found);
        await See("wheel", "steel");
        (await visitor.Page($"/tag/{number}/state?Part=adjuster")).QuerySelector("#build p")!.TextContent.ShouldContain("Depth adjuster: steel");
        await See("wheel", "large_brass");
        (await visitor.Page($"/tag/{number}/state?Part=adjuster")).QuerySelector("#build p")!.TextContent.ShouldContain("Depth adjuster: brass");
    }

    [Theory]
    [InlineData("thickness", "thick", "is not a length")]
    [InlineData("thickness", "", "Write the reading")]
    [InlineData("bevel", "sharp", "is not a number")]
    [InlineData("bevel", "120", "90")]
    [InlineData("no_such", "3", "what was measured")]
    public async Task A_reading_that_is_none_gets_a_sentence(string kind, string value, string sentence)
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Visitor.Read(await visitor.Submit(await visitor.Page("/tag/31/state?Part=iron"), "form[data-keep^=measure]",
            new() { ["kind"] = kind, ["value"] = value, ["off"] = "" }));
        page.QuerySelectorAll(".fault").ShouldContain(f => f.TextContent.Contains(sentence));
    }

    [Fact]
    public void The_drawn_iron_keeps_its_order_from_edge_to_slot()
    {
        var tag = new Tag { Kind = KindIds.MetalBenchPlane, IronWidthMm = 51 };
        IronView.Of(tag, Assumptions.Standard).ShouldBeNull();
        tag.Measurements.Add(new Measurement { Part = PartIds.Iron, Kind = MeasureIds.EdgeToSlot, Value = 30 });
        tag.Findings.Add(new Finding { Id = Guid.NewGuid(), Part = PartIds.Iron, Kind = FindingKind.Pitting, Severity = 2, FromEdgeMm = 3 });
        IronView iron = IronView.Of(tag, Assumptions.Standard)!;
        iron.Steel.Reserve.ReserveMm.ShouldBe(24);
        iron.Steel.SetbackMm.ShouldBe(3.5);
        double[] down = [iron.Y(30), iron.Y(24), iron.Y(3.5), iron.Y(3), iron.Y(0)];
        down.ShouldBe(down.Order());
        down[^1].ShouldBeLessThan(iron.Height);
        iron.Steel.Reserve.SharpeningsLeft.ShouldBe(IronReserve.SharpeningsIn(20.5, Assumptions.Standard));
    }
}
