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

    private const string Trace = """
        {"from":[0,200],"to":[900,200],"mm":225,"whole":true,"mirrored":false,"parts":[{"part":"body","loops":[[[0,0],[900,0],[900,200],[0,200]]]},
        {"part":"extra_1","at":[450,40]}]}
        """;

    [Fact]
    public async Task A_kind_is_traced_shown_as_it_will_be_drawn_and_changed_later()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/kinds?near=rebate-plane");
        async Task<string> Drawn(string trace)
        {
            // As the page's script sends it.
            var form = (IHtmlFormElement)page.QuerySelector("form[data-keep]")!;
            form.Action = "/kinds?handler=Traced";
            HttpResponseMessage answer = await visitor.Submit(form, page, new() { ["trace"] = trace, ["more"] = "fence", ["on"] = "body" });
            answer.StatusCode.ShouldBe(HttpStatusCode.OK);
            return await answer.Content.ReadAsStringAsync();
        }
        string drawn = await Drawn(Trace);
        drawn.ShouldContain("data-part=\"body\"");
        drawn.ShouldContain("data-part=\"extra_1\"");
        (await Drawn("")).ShouldStartWith("Choose a photograph");
        (await Drawn("{\"from\":[1e999]}")).ShouldStartWith("Choose a photograph");
        (await Drawn(Trace.Replace("\"body\"", "\"no_such\"", StringComparison.Ordinal))).ShouldContain("Tap round the body");
        IHtmlDocument fresh = await visitor.Page("/kinds?near=rebate-plane");
        HttpResponseMessage made = await visitor.Submit(fresh, "form[action*='handler=Make']", new()
        {
            ["name"] = "Traced plane", ["traced"] = "true", ["trace"] = Trace, ["more"] = "fence", ["on"] = "body", ["_once"] = "traced",
        });
        made.StatusCode.ShouldBe(HttpStatusCode.Found);
        string key = made.Headers.Location!.ToString().Split('=')[1], picture = Picture(await visitor.Page("/kinds"), key);
        IHtmlDocument change = await visitor.Page($"/kinds?own={key}");
        change.QuerySelector<IHtmlInputElement>("#name")!.Value.ShouldBe("Traced plane");
        change.QuerySelector<IHtmlInputElement>("input[name=more]")!.Value.ShouldBe("fence");
        change.QuerySelector<IHtmlTextAreaElement>("textarea[name=trace]")!.Value.ShouldContain("[900,200]");
        HttpResponseMessage changed = await visitor.Submit(change, "form[action*='handler=Make']", new()
        {
            ["name"] = "Carriage plane", ["trace"] = Trace.Replace("900,0", "860,20", StringComparison.Ordinal), ["_once"] = "changed",
        });
        changed.Headers.Location!.ToString().ShouldBe("/kinds");
        IHtmlDocument after = await visitor.Page("/kinds");
        after.Body!.TextContent.ShouldContain("Carriage plane");
        Picture(after, key).ShouldNotBe(picture, "a browser that keeps the old drawing asks anew");
        (await visitor.Page("/kinds?own=chisel")).QuerySelector("#name").ShouldBeNull("a shipped kind is not changed");
    }

    private static string Picture(IHtmlDocument page, string key) => page.QuerySelectorAll("img, image").Select(i => i.GetAttribute("src")
        ?? i.GetAttribute("href") ?? "").First(a => a.Contains(key, StringComparison.Ordinal));

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
