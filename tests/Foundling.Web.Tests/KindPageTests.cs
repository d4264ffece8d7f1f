using System.Net;
using AngleSharp.Html.Dom;

namespace Foundling.Web.Tests;

/// <summary>A kind of the shop's own, from nothing to the papers of a tool of it.</summary>
public sealed class KindPageTests(DemoHost host) : IClassFixture<DemoHost>
{
    private static async Task<HttpResponseMessage> Make(Visitor visitor, string near, string name, string[] without, string? more = null, string once = "k")
    {
        IHtmlDocument page = await visitor.Page($"/kinds?near={near}");
        foreach (string part in without)
        {
            page.QuerySelector<IHtmlInputElement>($"input[name=has][value={part}]")!.IsChecked = false;
        }
        return await visitor.Submit(page, "form[action*='handler=Make']", new() { ["name"] = name, ["more"] = more ?? "", ["of"] = "Brass",
            ["on"] = near == "chisel" ? "blade" : "body", ["_once"] = $"{once}-{name}" });
    }

    [Fact]
    public async Task A_kind_is_made_booked_in_drawn_planned_and_its_papers_say_it()
    {
        Visitor visitor = host.Visit();
        HttpResponseMessage made = await Make(visitor, "metal-bench-plane", "Coachmaker's plane", ["frog", "knob"], "brass fence");
        made.StatusCode.ShouldBe(HttpStatusCode.Found, (await Visitor.Read(made)).QuerySelector(".notice.bad")?.TextContent);
        IHtmlDocument form = await visitor.Page(made.Headers.Location!.ToString());
        IHtmlInputElement tile = form.QuerySelectorAll<IHtmlInputElement>("input[name='Form.Kind']").Single(i => i.Value.StartsWith("own-coachmaker",
            StringComparison.Ordinal));
        tile.IsChecked.ShouldBeTrue("it was just made to be booked in");
        HttpResponseMessage booked = await visitor.Submit(form, "form[action='/new']", new() { ["Form.Kind"] = tile.Value, ["Form.Length"] = "300" });
        string tag = string.Join('/', booked.Headers.Location!.ToString().Split('/').Take(3));
        foreach (string leaf in new[] { "origin", "state", "aim", "rod", "log", "proof", "papers" })
        {
            IHtmlDocument page = await visitor.Page($"{tag}/{leaf}");
            page.QuerySelector("h1")!.TextContent.ShouldContain("Coachmaker's plane");
        }
        IHtmlDocument state = await visitor.Page($"{tag}/state?Part=body");
        state.QuerySelectorAll(".prof [data-part=frog]").ShouldBeEmpty();
        state.QuerySelectorAll("select option").Select(o => o.TextContent.Trim()).ShouldContain(t => t.Contains("brass fence"));
        IHtmlDocument aim = await visitor.Page($"{tag}/aim");
        HttpResponseMessage chosen = await visitor.Submit(aim, "form[action*='/aim']", new() { ["aim"] = "Work" });
        chosen.StatusCode.ShouldBe(HttpStatusCode.Found);
        // The name of a rule for tools without one stands there, and nothing else.
        (await visitor.Page($"{tag}/rod")).Body!.TextContent.Replace("bed without a frog", "", StringComparison.Ordinal).ShouldNotContain("frog");
        (await visitor.Page("/shelf?Find=coachmaker")).Body!.TextContent.ShouldContain("Coachmaker's plane");
        (await visitor.Get($"/drawings/{tile.Value}.svg")).StatusCode.ShouldBe(HttpStatusCode.OK);
        HttpResponseMessage file = await visitor.Get($"/kinds?handler=File&kind={tile.Value}");
        (await file.Content.ReadAsStringAsync()).ShouldContain("\"drawing\"");
        // A tool is of it, so it stays.
        IHtmlDocument kinds = await visitor.Page("/kinds");
        IHtmlDocument refused = await Visitor.Read(await visitor.Submit(kinds, "form[action*='handler=Remove']", new() { ["kind"] = tile.Value }));
        refused.QuerySelector(".notice.bad")!.TextContent.ShouldContain("the kind stays");
    }

    [Fact]
    public async Task What_makes_no_kind_is_said_and_what_was_typed_stays()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument refused = await Visitor.Read(await Make(visitor, "chisel", " ", ["end_cap"], "stop collar"));
        refused.QuerySelector(".notice.bad")!.TextContent.ShouldContain("Give it a name");
        refused.QuerySelector<IHtmlInputElement>("input[name=has][value=end_cap]")!.IsChecked.ShouldBeFalse();
        refused.QuerySelector<IHtmlInputElement>("input[name=more]")!.Value.ShouldBe("stop collar");
        (await visitor.Get("/kinds?near=../../etc")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await visitor.Get("/kinds?handler=File&kind=metal-bench-plane")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
