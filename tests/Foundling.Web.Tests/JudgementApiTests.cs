using System.Net;
using System.Text;
using System.Text.Json;
using Foundling.Data.Judgements;

namespace Foundling.Web.Tests;

/// <summary>Whole judgements for other programs: a tool goes in as a tag has it, a plan, ways, aims or a verdict come out.</summary>
public sealed class JudgementApiTests(DemoHost host) : IClassFixture<DemoHost>
{
    private const string Plane = """
        "kind": "metal-bench-plane", "length_mm": 245, "worth_sound": 80, "rarity": "common",
        "findings": [
          { "part": "body", "kind": "rust", "severity": 2 }, { "part": "body", "kind": "coating_loss", "severity": 4 },
          { "part": "iron", "kind": "rust", "severity": 2 }, { "part": "iron", "kind": "edge_damage", "severity": 2 },
          { "part": "tote", "kind": "crack", "severity": 2 } ]
        """;

    private async Task<(HttpStatusCode Status, JsonElement Body)> Ask(string judgement, string json)
    {
        HttpResponseMessage answer = await host.Visit().Send(new HttpRequestMessage(HttpMethod.Post, $"/api/gauges/{judgement}")
        {
            Content = new StringContent(json, Encoding.UTF8, "application/json"),
        });
        return (answer.StatusCode, JsonDocument.Parse(await answer.Content.ReadAsStringAsync()).RootElement);
    }

    [Fact]
    public async Task A_plan_comes_with_steps_that_hang_together()
    {
        (HttpStatusCode status, JsonElement plan) = await Ask("rod/plan", $$"""
            { "tag": { {{Plane}}, "ways": ["rust=citric", "rust.iron=wire", "metal-coats=three-coats"] }, "aim": "work",
              "shop": { "temperature_c": 20, "relative_humidity_percent": 50, "assumed": { "acid_percent": 10 } } }
            """);
        status.ShouldBe(HttpStatusCode.OK);
        List<JsonElement> steps = [.. plan.GetProperty("steps").EnumerateArray()];
        Dictionary<string, int> at = steps.Select((s, i) => (s.GetProperty("id").GetString()!, i)).ToDictionary();
        foreach (JsonElement step in steps)
        {
            foreach (JsonElement after in step.GetProperty("after").EnumerateArray())
            {
                at[after.GetProperty("id").GetString()!].ShouldBeLessThan(at[step.GetProperty("id").GetString()!]);
            }
            step.GetProperty("reason").GetString().ShouldNotBeNullOrEmpty();
            step.GetProperty("minutes").GetProperty("likely").GetDouble().ShouldBeGreaterThan(0);
        }
        at.Keys.ShouldBeSubsetOf(at.Keys);
        new[] { "coat-1", "coat-2", "coat-2:3", "derust-wire", "soak", "soak-neutralise" }.ShouldBeSubsetOf(at.Keys);
        JsonElement soak = steps[at["soak"]];
        // Twice the strength, at 20 °C: 5 h shortened by (5/10)^0.7.
        soak.GetProperty("wait").GetProperty("least_min").GetDouble().ShouldBe(Math.Round(300 * Math.Pow(0.5, 0.7)), 1);
        soak.GetProperty("parts").EnumerateArray().Select(p => p.GetString()).ShouldNotContain("iron");
        steps[at["derust-wire"]].GetProperty("parts").EnumerateArray().Select(p => p.GetString()).ShouldBe(["iron"]);
        plan.GetProperty("ways").EnumerateArray().Single(w => w.GetProperty("choice").GetString() == "rust").GetProperty("by").GetString().ShouldBe("tag");
        plan.GetProperty("findings").EnumerateArray().ShouldAllBe(f => f.GetProperty("by").GetArrayLength() > 0);
        plan.GetProperty("elapsed_min").GetDouble().ShouldBeGreaterThan(48 * 60, "paint cures two days");
    }

    [Fact]
    public async Task Ways_stand_side_by_side_open_and_closed()
    {
        (_, JsonElement ways) = await Ask("rod/ways", """
            { "tag": { "kind": "chisel", "findings": [{ "part": "blade", "kind": "rust", "severity": 2 }] }, "choice": "rust" }
            """);
        JsonElement rust = ways.GetProperty("choices").EnumerateArray().Single();
        List<JsonElement> all = [.. rust.GetProperty("ways").EnumerateArray()];
        all.Single(w => w.GetProperty("way").GetString() == "citric").GetProperty("blocked").GetString()!.ShouldContain("cannot be parted from the");
        JsonElement wheel = all.Single(w => w.GetProperty("way").GetString() == "wire");
        wheel.GetProperty("minutes").GetProperty("p50").GetDouble().ShouldBeGreaterThan(0);
        wheel.GetProperty("adds").EnumerateArray().Select(a => a.GetString()).ShouldBe(["derust-wire"]);
        all.Single(w => w.GetProperty("taken").GetBoolean()).GetProperty("way").GetString().ShouldBe("abrasive");
    }

    [Fact]
    public async Task Aims_triage_and_the_stall_answer_too()
    {
        (_, JsonElement aims) = await Ask("aim/review", $$"""{ "tag": { {{Plane}} } }""");
        aims.GetProperty("advised").GetString().ShouldBe("work");
        aims.GetProperty("aims").EnumerateArray().Select(a => a.GetProperty("aim").GetString()).ShouldBe(["keep", "work", "show", "own"]);
        aims.GetProperty("aims")[0].GetProperty("final").GetArrayLength().ShouldBe(0, "Keep does nothing that cannot be undone");
        (_, JsonElement triage) = await Ask("state/triage", """
            { "tag": { "kind": "hand-saw", "findings": [{ "part": "plate", "kind": "bent", "severity": 4 }] } }
            """);
        triage.GetProperty("verdict").GetString().ShouldNotBe("restore");
        (_, JsonElement stall) = await Ask("stall/verdict", $$"""{ "tag": { {{Plane}} }, "asking_price": 500, "shop": { "hour_rate": 0 } }""");
        stall.GetProperty("worth_buying_at_asking").GetBoolean().ShouldBeFalse();
        stall.GetProperty("highest_price").GetDouble().ShouldBeInRange(50, 80, "its worth less the materials");
    }

    [Fact]
    public async Task A_kind_that_is_in_no_book_brings_its_file_along()
    {
        string file = JsonSerializer.Serialize(Core.Tools.ToolCatalogue.Kind(Core.Tools.KindIds.Chisel).File with { Kind = KindId.Of("slick"), Name = "Slick" },
            Core.Keys.OpenJson.Options);
        (HttpStatusCode status, JsonElement plan) = await Ask("rod/plan",
            $$"""{ "tag": { "kind": "slick", "kind_file": {{file}}, "findings": [{ "part": "blade", "kind": "rust", "severity": 2 }] } }""");
        status.ShouldBe(HttpStatusCode.OK, plan.ToString());
        plan.GetProperty("steps").EnumerateArray().ShouldContain(s => s.GetProperty("id").GetString() == "derust-abrasive");
        Core.Tools.ToolCatalogue.Knows(KindId.Of("slick")).ShouldBeFalse("asking keeps nothing");
    }

    [Theory]
    [InlineData("{}", "required")]
    [InlineData("""{"tag":{}}""", "required")]
    [InlineData("""{"tag":{"kind":"nope"}}""", "unknown_kind")]
    [InlineData("""{"tag":{"kind":"chisel","findings":[{"part":"frog","kind":"rust","severity":2}]}}""", "unknown_part")]
    [InlineData("""{"tag":{"kind":"chisel","findings":[{"part":"blade","kind":"rust","severity":9}]}}""", "out_of_range")]
    [InlineData("""{"tag":{"kind":"chisel","ways":["rust=blah"]}}""", "unknown_way")]
    [InlineData("""{"tag":{"kind":"chisel","ways":["rust.frog=wire"]}}""", "unknown_part")]
    [InlineData("""{"tag":{"kind":"chisel","measurements":[{"part":"blade","kind":"charm","value":2}]}}""", "unknown_measure")]
    [InlineData("""{"tag":{"kind":"chisel","length_mm":-3}}""", "out_of_range")]
    [InlineData("""{"tag":{"kind":"chisel","foo":1}}""", "unknown_key")]
    [InlineData("""{"tag":{"kind":"chisel"},"shop":{"assumed":{"xx":1}}}""", "unknown_assumption")]
    [InlineData("""{"tag":{"kind":"chisel"},"shop":{"temperature_c":400}}""", "out_of_range")]
    [InlineData("""{"tag":{"kind":"chisel","findings":[null]}}""", "")]
    public async Task What_cannot_be_is_said_in_a_sentence(string json, string error)
    {
        (HttpStatusCode status, JsonElement body) = await Ask("rod/plan", json);
        status.ShouldBe(HttpStatusCode.BadRequest);
        body.GetProperty("detail").GetString().ShouldNotBeNullOrEmpty();
        body.GetProperty("error").GetString()!.ShouldContain(error);
    }

    [Fact]
    public async Task They_are_listed_with_the_gauges_and_documented()
    {
        string list = await (await host.Visit().Send(new HttpRequestMessage(HttpMethod.Get, "/api/gauges"))).Content.ReadAsStringAsync(),
            docs = await File.ReadAllTextAsync(Tree.Path("docs", "formats.md"));
        foreach ((Core.Gauges.Gauge gauge, _) in Judging.All)
        {
            list.ShouldContain(gauge.Path);
            docs.ShouldContain($"`{gauge.File}/{gauge.Calculation}`");
        }
    }
}
