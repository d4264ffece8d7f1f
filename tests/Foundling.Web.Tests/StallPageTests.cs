using System.Net;
using System.Text.Json;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;

namespace Foundling.Web.Tests;

/// <summary>The stall check as it leaves the shop and comes back, over an in-memory host.</summary>
public sealed class StallPageTests(DemoHost host) : IClassFixture<DemoHost>
{
    private static async Task<HttpResponseMessage> Send(Visitor visitor, string key, string kind, string answers, string price = "")
    {
        IHtmlDocument page = await visitor.Page("/stall");
        return await visitor.Submit(page, "[data-stall-send]", new() { ["_once"] = key, ["kind"] = kind, ["answers"] = answers, ["price"] = price,
            ["source"] = "quay market" });
    }

    [Fact]
    public async Task What_it_takes_along_holds_every_kind()
    {
        JsonElement data = JsonSerializer.Deserialize<JsonElement>(await (await host.Visit().Get("/stall?handler=Data")).Content.ReadAsStringAsync());
        data.GetProperty("tables").GetArrayLength().ShouldBe(32);
        JsonElement sums = data.GetProperty("sums");
        sums.GetProperty("most").GetInt32().ShouldBe(12);
        sums.GetProperty("price").GetArrayLength().ShouldBe(4);
        sums.GetProperty("spread")[0][1].GetDouble().ShouldBe(0);
        data.GetProperty("tables")[0].GetProperty("rows")[0].GetProperty("pull").GetArrayLength().ShouldBe(4);
        data.GetProperty("on_shelf").GetProperty("metal-bench-plane").GetInt32().ShouldBeGreaterThanOrEqualTo(3);
        data.GetProperty("tables")[0].GetProperty("rows")[0].GetProperty("answers")[0].GetProperty("adds").GetProperty("Work").GetProperty("mean").GetDouble()
            .ShouldBe(0);
    }

    [Fact]
    public async Task A_check_becomes_one_tag_however_often_it_is_sent()
    {
        Visitor visitor = host.Visit();
        HttpResponseMessage first = await Send(visitor, "stall-abc-1", "metal-bench-plane", "rust/brown crack/there wood/broken", "£14");
        HttpResponseMessage again = await Send(visitor, "stall-abc-1", "metal-bench-plane", "rust/brown crack/there wood/broken", "£14");
        again.Headers.Location.ShouldBe(first.Headers.Location);
        IHtmlDocument state = await visitor.Page(first.Headers.Location!.ToString());
        state.QuerySelectorAll(".findings .disc").Length.ShouldBe(3);
        state.QuerySelector("aside")!.TextContent.ShouldContain("Keep it for its parts");
        string book = first.Headers.Location!.ToString().Replace("state", "book", StringComparison.Ordinal);
        IHtmlDocument tag = await visitor.Page(book);
        tag.QuerySelectorAll("input").OfType<IHtmlInputElement>().ShouldContain(i => i.Value == "quay market");
        tag.QuerySelectorAll("input").OfType<IHtmlInputElement>().ShouldContain(i => i.Value == "14");
        (await Send(visitor, "stall-abc-2", "axe", "")).Headers.Location.ShouldNotBe(first.Headers.Location);
    }

    [Theory]
    [InlineData("submarine", "", "no kind of tool")]
    [InlineData("axe", "crack/perhaps", "no answer")]
    [InlineData("axe", "<script>", "no answer")]
    public async Task What_the_check_does_not_know_gets_a_sentence(string kind, string answers, string sentence)
    {
        HttpResponseMessage answer = await Send(host.Visit(), $"stall-bad-{kind}{answers.Length}", kind, answers);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Visitor.Read(answer)).QuerySelector("[role=alert]")!.TextContent.ShouldContain(sentence);
    }

    [Fact]
    public async Task Everything_the_check_needs_is_kept_for_when_the_connection_is_gone()
    {
        Visitor visitor = host.Visit();
        string worker = await (await visitor.Get("/stall-worker.js")).Content.ReadAsStringAsync();
        string[] kept = System.Text.Json.JsonSerializer.Deserialize<string[]>(worker[worker.IndexOf('[', StringComparison.Ordinal)..(worker.IndexOf(']',
            StringComparison.Ordinal) + 1)])!;
        kept.ShouldContain("/stall?handler=Data");
        kept.Where(k => k.StartsWith("/js/", StringComparison.Ordinal)).ShouldContain("/js/stall.js");
        foreach (string path in kept)
        {
            string answer = await (await visitor.Get(path)).EnsureSuccessStatusCode().Content.ReadAsStringAsync();
            // Whatever a script takes in is kept too.
            foreach (string taken in answer.Split("from './").Skip(1).Select(f => f[..f.IndexOf('\'', StringComparison.Ordinal)]))
            {
                kept.ShouldContain($"/js/{taken}", path);
            }
        }
    }
}
