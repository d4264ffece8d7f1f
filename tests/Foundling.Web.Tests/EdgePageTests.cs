using System.Globalization;
using System.Net;
using System.Text.RegularExpressions;
using AngleSharp.Html.Dom;

namespace Foundling.Web.Tests;

/// <summary>The edge bench over an in-memory host.</summary>
public sealed partial class EdgePageTests(DemoHost host) : IClassFixture<DemoHost>
{
    private const string Iron = "thick=2.1&bevel=25&bed=45&wide=50.8&steel=28";

    [Theory]
    [InlineData("mm", "bevel=25&second=30&bed=45", 45, 15)]
    [InlineData("in", "bevel=25&second=30&bed=45", 45, 15)]
    [InlineData("mm", "bevel=25&second=38&bed=12&up=true", 50, 12)]
    public async Task The_drawing_has_the_angles_of_the_figures_in_both_units(string unit, string query, double cutting, double clearance)
    {
        Visitor visitor = host.Visit();
        await visitor.Submit(await visitor.Page("/edges"), ".unitswitch", new() { ["units"] = unit });
        IHtmlDocument page = await visitor.Page($"/edges?thick={(unit == "in" ? "0.0866" : "2.2")}&{query}");
        double[][] at = [.. Numbers().Matches(page.QuerySelector("svg.edge .iron")!.GetAttribute("d")!).Select(m => double.Parse(m.Value,
            CultureInfo.InvariantCulture)).Chunk(2)];
        double Angle(int from, int to) => Math.Atan2(at[from][1] - at[to][1], at[to][0] - at[from][0]) * 180 / Math.PI;
        bool up = query.Contains("up=true", StringComparison.Ordinal);
        (up ? Angle(2, 3) : Angle(2, 0)).ShouldBe(cutting, 0.5);
        (up ? Angle(2, 0) : Angle(2, 3)).ShouldBe(clearance, 0.5);
        page.Body!.TextContent.ShouldContain($"{clearance:0}° clearance");
        await visitor.Submit(page, ".unitswitch", new() { ["units"] = "mm" });
    }

    [Fact]
    public async Task Routes_are_compared_and_the_line_of_the_steel_decides()
    {
        const string Pits = "&pits=0.05+0.4+1.1%0A0.04+6+8%0A0.3+13.5+15";
        IHtmlDocument page = await host.Visit().Page($"/edges?{Iron}{Pits}");
        page.QuerySelector("[data-recommend]")!.GetAttribute("data-recommend").ShouldBe("shim");
        page.QuerySelectorAll("rect.pit").Length.ShouldBe(3);
        page = await host.Visit().Page($"/edges?{Iron.Replace("steel=28", "steel=1.2", StringComparison.Ordinal)}{Pits}");
        page.QuerySelector("[data-recommend]")!.GetAttribute("data-recommend").ShouldBe("rack_or_replacement");
        page.QuerySelector("[data-route=grind_back]")!.TextContent.ShouldContain("past the hard steel");
        page = await host.Visit().Page($"/edges?{Iron}&chisel=true{Pits}");
        page.QuerySelector("[data-route=shim]")!.TextContent.ShouldContain("never on a chisel");
        (await host.Visit().Page($"/edges?{Iron}&pits=0.01+1+2")).QuerySelector("[data-recommend]")!.GetAttribute("data-recommend").ShouldBe("nothing_to_do");
    }

    [Theory]
    [InlineData("thick=2&bevel=30&second=25", "second", "flatter than the bevel")]
    [InlineData("thick=2&face=1", "face", "cannot be shorter")]
    [InlineData("thick=2&bevel=steep", "bevel", "is not a number")]
    [InlineData(Iron + "&pits=0.1+2", "pits", "is no pit")]
    [InlineData(Iron + "&pits=0.1+3+2", "pits", "cannot end")]
    public async Task What_cannot_be_is_said_at_its_field(string query, string field, string sentence) =>
        (await host.Visit().Page($"/edges?{query}")).QuerySelector($"#{field}")!.ParentElement!.QuerySelector(".fault")!.TextContent.ShouldContain(sentence);

    [Fact]
    public async Task A_blade_has_the_angle_of_its_figures_and_hewing_heads_a_flat_side()
    {
        IHtmlDocument page = await host.Visit().Page("/edges/blade?thick=3.1&behind=6&wide=110&curve=9");
        double[][] at = Points(page, ".iron");
        double half = Math.Atan2(at[^1][1] - at[^2][1], at[^1][0] - at[^2][0]) * 180 / Math.PI;
        half.ShouldBe(28.969 / 2, 0.1);
        page.QuerySelector("table.figures")!.TextContent.ShouldContain("29°");
        page.QuerySelector("table.figures")!.TextContent.ShouldContain("173 mm");
        Points(await host.Visit().Page("/edges/blade?angle=25&side=RightSide"), ".iron")[^1][1].ShouldBe(Points(page, ".iron")[1][1], 40, "flat below");
        (await host.Visit().Page("/edges/blade?angle=30&honed=20")).QuerySelector("#honed-fault")!.TextContent.ShouldContain("would not be reached");
    }

    [Theory]
    [InlineData("mm", "1", "2", "3")]
    [InlineData("in", "0.03937", "0.07874", "0.11811")]
    public async Task A_mouth_is_drawn_as_open_as_it_becomes_in_both_units(string unit, string mouth, string iron, string next)
    {
        Visitor visitor = host.Visit();
        await visitor.Submit(await visitor.Page("/edges"), ".unitswitch", new() { ["units"] = unit });
        IHtmlDocument page = await visitor.Page($"/edges/mouth?mouth={mouth}&iron={iron}&bed=45&forward={(unit == "in" ? "-0.03937" : "-1")}");
        double times = double.Parse(page.QuerySelector("[data-mouth]")!.GetAttribute("data-mouth")!, CultureInfo.InvariantCulture);
        double Open(IHtmlDocument p) => (Points(p, ".iron")[2][0] - Points(p, ".body")[1][0]) / times;
        Open(page).ShouldBe(2, 0.05, "drawn back by 1 mm it opens by as much");
        page = await visitor.Page($"/edges/mouth?mouth={mouth}&iron={iron}&next={next}&bed=45&wanted=One");
        page.QuerySelector("[data-mouth-mm]")!.TextContent.ShouldContain("shut");
        page.QuerySelector("[role=alert].notice")!.TextContent.ShouldContain("fouls the front wall");
        page.QuerySelector("[data-do]")!.TextContent.ShouldContain("Draw the frog back by");
        await visitor.Submit(page, ".unitswitch", new() { ["units"] = "mm" });
    }

    [Theory]
    [InlineData("mouth", "mouth=1&iron=2&across=51&wide=51.5", "wide", "too wide for the mouth")]
    [InlineData("mouth", "mouth=1&iron=2&yoke=1", "yoke", "would not be moved")]
    [InlineData("mouth", "mouth=1&iron=0", "iron", "iron")]
    [InlineData("mouth", "mouth=1&iron=2&back=zzz", "back", "zzz")]
    [InlineData("cutters", "chip=0.4&face=0&stop=10", "face", "0")]
    [InlineData("cutters", "opens=fast", "opens", "is not a number")]
    [InlineData("stones", "passes=1", "passes", "1")]
    [InlineData("stones", "wide=50&land=-1", "land", "-1")]
    public async Task What_cannot_be_is_said_at_its_field_on_every_bench(string bench, string query, string field, string sentence)
    {
        IHtmlDocument page = await host.Visit().Page($"/edges/{bench}?{query}");
        page.QuerySelector($"#{field}-fault")!.TextContent.ShouldContain(sentence);
        page.QuerySelectorAll(".fault:not(:empty)").Length.ShouldBe(1, "and nowhere else");
    }

    [Fact]
    public async Task A_school_of_something_else_is_none_of_cap_irons()
    {
        IHtmlDocument page = await host.Visit().Page("/edges/mouth?mouth=1&iron=2&cap=Lap&wanted=Lap");
        page.QuerySelector<IHtmlOptionElement>("#cap option[selected]")!.Value.ShouldBe("One");
        page.QuerySelector("[data-mouth-mm]")!.TextContent.ShouldBe("1.00 mm");
    }

    [Fact]
    public async Task A_pit_that_goes_with_the_corner_is_not_lived_with_and_what_lacks_is_said()
    {
        IHtmlDocument page = await host.Visit().Page($"/edges?{Iron}&camber=0.4&pits=0.1 0 0.25 0 2;0.1 2 3");
        page.QuerySelector("[data-route=live]")!.TextContent.ShouldContain("after about 25 sharpenings");
        (await host.Visit().Page("/edges?thick=2&bevel=25")).Body!.TextContent.ShouldContain("Say how wide the iron is");
        (await host.Visit().Page("/edges?thick=2&bevel=25&wide=50")).Body!.TextContent.ShouldContain("how far hard steel reaches");
    }

    [Fact]
    public async Task Mouth_and_cap_iron_go_into_the_rod_as_they_are_chosen()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/edges/mouth?tag=17&wanted=Open&cap=Two");
        (await visitor.SubmitMany(page, "#take", [("mouth", "Open"), ("cap", "Two")])).StatusCode.ShouldBe(HttpStatusCode.Found);
        page = await visitor.Page("/edges/mouth?tag=17");
        page.QuerySelector<IHtmlOptionElement>("#wanted option[selected]")!.Value.ShouldBe("Open");
        page.QuerySelector<IHtmlOptionElement>("#cap option[selected]")!.Value.ShouldBe("Two");
    }

    [Fact]
    public async Task Pits_that_were_placed_are_kept_with_the_route_and_the_rod_takes_its_minutes()
    {
        Visitor visitor = host.Visit();
        const string Pits = "0.1 2 3\n0.04 6 8";
        IHtmlDocument page = await visitor.Page($"/edges?tag=17&steel=28&pits={Uri.EscapeDataString(Pits)}");
        string minutes = page.QuerySelector("[data-route=lap] dd")!.TextContent;
        (await visitor.SubmitMany(page, "#take", [("route", "lap"), ("steel", "28"), ("pits", Pits)])).StatusCode.ShouldBe(HttpStatusCode.Found);
        IHtmlDocument rod = await visitor.Page("/tag/17/rod");
        double said = double.Parse(minutes.Split(' ')[0], CultureInfo.InvariantCulture);
        rod.QuerySelector("#step-edge-save")!.TextContent.ShouldContain($"{Math.Round(Math.Round(said * 2) / 2, MidpointRounding.AwayFromZero):0} min");
        page = await visitor.Page("/edges?tag=17");
        page.QuerySelector("#pits")!.TextContent.ShouldBe("0.1 2 3\n0.04 6 8");
        page.Body!.TextContent.ShouldNotContain("judged by their degree");
    }

    [Fact]
    public async Task Benches_suit_the_tool_and_lead_to_the_one_that_does()
    {
        Visitor visitor = host.Visit();
        (await visitor.Get("/edges?tag=24")).Headers.Location!.ToString().ShouldBe("/edges/cutters?tag=24", "a bolt cutter has no iron");
        (await visitor.Get("/edges/mouth?tag=42")).Headers.Location!.ToString().ShouldBe("/edges?tag=42", "a chisel has no mouth");
        (await visitor.Get("/edges?tag=22")).StatusCode.ShouldBe(HttpStatusCode.NotFound, "a saw has a bench of its own");
        IHtmlDocument page = await visitor.Page("/edges/cutters?tag=24&chip=0.4&face=34&stop=10&left=0.3");
        page.QuerySelector("[data-recommend]")!.GetAttribute("data-recommend").ShouldBe("Stops");
        page.QuerySelectorAll("nav.leaves a").Length.ShouldBe(0, "one bench needs no leaves");
    }

    [Theory]
    [InlineData("mm", "0.4", "34", "10")]
    [InlineData("in", "0.016", "1.34", "0.4")]
    public async Task Dressed_jaws_are_drawn_as_far_apart_as_is_said(string unit, string chip, string face, string stop)
    {
        Visitor visitor = host.Visit();
        await visitor.Submit(await visitor.Page("/edges"), ".unitswitch", new() { ["units"] = unit });
        IHtmlDocument page = await visitor.Page($"/edges/cutters?chip={chip}&face={face}&stop={stop}&left=1");
        double each = unit == "in" ? 25.4 : 1, d = Number(chip) * each, follow = d * Number(stop) / Number(face);
        double times = Number(page.QuerySelector("svg.edge")!.GetAttribute("data-times")!);
        double[] gap = [.. Numbers().Matches(page.QuerySelector("svg.edge .span")!.GetAttribute("d")!).Select(m => Number(m.Value))];
        ((gap[2] - gap[1]) / times).ShouldBe(2 * d, 0.02);
        (Number(page.QuerySelector("svg.edge rect.off")!.GetAttribute("height")!) / times).ShouldBe(2 * follow, 0.02, "and the stops lose what is said");
    }

    private static double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);

    [Theory]
    [InlineData(30, "/edges?tag=30", "At the bottom of a groove nobody sees a polish")]
    [InlineData(24, "/edges?tag=24", null)]
    [InlineData(22, "/saws?tag=22", null)]
    public async Task A_tag_leads_to_its_bench_and_irons_with_a_rule_of_their_own_say_it(int tag, string bench, string? rule)
    {
        Visitor visitor = host.Visit();
        (await visitor.Page($"/tag/{tag}/state")).QuerySelectorAll("main a.btn").Select(a => a.GetAttribute("href")).ShouldContain(bench);
        if (rule is not null)
        {
            (await visitor.Page(bench)).QuerySelector("[data-own]")!.TextContent.ShouldContain(rule);
        }
    }

    [Fact]
    public async Task A_camber_is_drawn_from_the_front_and_a_rounded_bevel_in_section()
    {
        IHtmlDocument page = await host.Visit().Page($"/edges?{Iron}&camber=1&round=true&second=32");
        page.QuerySelector("svg.edge .iron")!.GetAttribute("d")!.ShouldContain("Q");
        string front = page.QuerySelector("svg[data-times] .iron")!.GetAttribute("d")!;
        double times = double.Parse(page.QuerySelector("svg[data-times]")!.GetAttribute("data-times")!, CultureInfo.InvariantCulture);
        double[] at = [.. Numbers().Matches(front).Select(m => double.Parse(m.Value, CultureInfo.InvariantCulture))];
        (at[0] / times).ShouldBe(1, 0.05, "the corners lie back by the camber");
        (at[2] / times).ShouldBe(((50.8 * 50.8 / 4) + 1) / 2, 3, "and the edge has the radius that is said");
        page.QuerySelector("[data-clearance]").ShouldBeNull("13 degrees are enough");
    }

    [Fact]
    public async Task A_photograph_is_measured_on_and_leads_to_the_section()
    {
        IHtmlDocument page = await host.Visit().Page("/edges/photo?tag=31&tip=100 100&one=300 100&two=300 200&long=20");
        page.QuerySelector("[data-angle]")!.TextContent.ShouldBe("26.6°");
        page.QuerySelector("a.btn.do")!.GetAttribute("href").ShouldBe("/edges?tag=31&bevel=26.6");
        page.QuerySelector("table.figures")!.TextContent.ShouldContain("10 mm");
        (await host.Visit().Page("/edges/photo?tag=31&tip=100 100&one=101 100&two=300 200")).QuerySelector(".notice.bad")!.TextContent
            .ShouldContain("Put the points apart");
        (await host.Visit().Get("/edges/photo")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    private static double[][] Points(IHtmlDocument page, string of) => [.. Numbers().Matches(page.QuerySelector($"svg.edge {of}")!.GetAttribute("d")!)
        .Select(m => double.Parse(m.Value, CultureInfo.InvariantCulture)).Chunk(2)];

    [Fact]
    public async Task No_clearance_is_said_and_a_land_that_has_grown()
    {
        IHtmlDocument page = await host.Visit().Page("/edges?thick=2.2&bevel=30&second=45&bed=45&honings=6");
        page.QuerySelector("[data-clearance]")!.TextContent.ShouldContain("rides on the wood");
        page = await host.Visit().Page("/edges?thick=2.2&bevel=25&second=30&bed=45&honings=6");
        page.Body!.TextContent.ShouldContain("time to grind");
    }

    [Fact]
    public async Task A_route_that_is_taken_stands_in_the_rod()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/edges?tag=31");
        page.QuerySelector<IHtmlInputElement>("#thick")!.Value.ShouldNotBeEmpty("the tag knows it");
        page.QuerySelector("#pits")!.TextContent.ShouldNotBeEmpty("and the pits that were found");
        page = await Visitor.Read(await visitor.Submit(page, "#take", new() { ["route"] = "pray", ["steel"] = "11" }));
        page.QuerySelector("#pits-fault")!.TextContent.ShouldContain("Choose one of the routes");
        (await visitor.Page("/edges?tag=31")).QuerySelector<IHtmlInputElement>("#steel")!.Value.ShouldNotBe("11", "nothing was kept of it");
        HttpResponseMessage taken = await visitor.Submit(await visitor.Page("/edges?tag=31"), "#take", new() { ["route"] = "grind_back", ["steel"] = "26" });
        taken.StatusCode.ShouldBe(HttpStatusCode.Found);
        taken.Headers.Location!.ToString().ShouldBe("/tag/31/rod?was=back%3Dlap", "the rod says what the change did");
        (await visitor.Page("/tag/31/ways")).Body!.TextContent.ShouldContain("ground back past");
        (await visitor.Page("/edges?tag=31")).QuerySelector<IHtmlInputElement>("#steel")!.Value.ShouldBe("26", "the line is kept as it was read");
        (await visitor.Get("/edges?tag=22")).StatusCode.ShouldBe(HttpStatusCode.NotFound, "a saw has no such edge");
    }

    [Fact]
    public async Task A_line_nobody_moved_is_no_measurement_and_a_route_wants_pits_that_were_found()
    {
        Visitor visitor = host.Visit();
        async Task<int> Measured() => (await visitor.Page("/tag/19/state")).Body!.TextContent.Split("where a file bites").Length;
        int before = await Measured();
        IHtmlDocument page = await visitor.Page("/edges?tag=19");
        string steel = page.QuerySelector<IHtmlInputElement>("#steel")!.Value;
        HttpResponseMessage answer = await visitor.Submit(page, "#take", new() { ["route"] = "lap", ["steel"] = steel });
        (await Visitor.Read(answer)).QuerySelector("#pits-fault")!.TextContent.ShouldContain("No pit that was found stops this edge");
        (await Measured()).ShouldBe(before);
    }

    [Fact]
    public async Task In_inches_the_same_pits_are_the_same_pits()
    {
        Visitor visitor = host.Visit();
        async Task<double> Minutes() => double.Parse((await visitor.Page("/edges?tag=31")).QuerySelector("[data-route=grind_back]")!.QuerySelector("dd")!
            .TextContent.Split(' ')[0], CultureInfo.InvariantCulture);
        double mm = await Minutes();
        await visitor.Submit(await visitor.Page("/edges"), ".unitswitch", new() { ["units"] = "in" });
        (await Minutes()).ShouldBe(mm, 0.05 * mm, "as many minutes, but for the last place they are written with");
        await visitor.Submit(await visitor.Page("/edges"), ".unitswitch", new() { ["units"] = "mm" });
    }

    [Fact]
    public async Task An_edge_without_a_bed_is_drawn_by_itself()
    {
        IHtmlDocument page = await host.Visit().Page("/edges?tag=42&bevel=25");
        page.QuerySelectorAll("svg.edge .wood").ShouldBeEmpty("a chisel lies on no bed");
        page.QuerySelector("#bed").ShouldBeNull();
        page.QuerySelector("[data-clearance]").ShouldBeNull("nor has it a clearance");
        page.Body!.TextContent.ShouldNotContain("Meets the wood at");
        page.Body.TextContent.ShouldContain("25°");
    }

    [GeneratedRegex(@"-?\d+(\.\d+)?")]
    private static partial Regex Numbers();
}
