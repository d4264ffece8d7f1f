using AngleSharp.Html.Dom;
using System.Net;
using System.Text;
using System.Text.Json;
using Foundling.Core.Gauges;

namespace Foundling.Web.Tests;

public sealed class GaugeApiTests(EmptyHost host) : IClassFixture<EmptyHost>
{
    private async Task<(HttpStatusCode Status, JsonElement Body, string? Type)> Ask(string path, string json)
    {
        HttpResponseMessage answer = await host.Visit().Send(new HttpRequestMessage(HttpMethod.Post, path) { Content = new StringContent(json, Encoding.UTF8,
            "application/json") });
        string text = await answer.Content.ReadAsStringAsync();
        return (answer.StatusCode, JsonSerializer.Deserialize<JsonElement>(text), answer.Content.Headers.ContentType?.MediaType);
    }

    [Fact]
    public async Task Every_gauge_answers_its_worked_examples_over_the_wire()
    {
        int asked = 0;
        foreach (string file in Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "worked-examples"), "*.json"))
        {
            string room = Path.GetFileNameWithoutExtension(file);
            using JsonDocument document = JsonDocument.Parse(await File.ReadAllTextAsync(file));
            foreach (JsonElement example in document.RootElement.EnumerateArray())
            {
                JsonElement input = example.GetProperty("input");
                string calculation = input.GetProperty("calculation").GetString()!;
                if (GaugeCatalogue.Find(room, calculation) is null)
                {
                    continue;
                }
                string json = input.GetRawText();
                if (input.TryGetProperty("pattern_book", out _))
                {
                    JsonElement book = document.RootElement[0].GetProperty("input");
                    json = json.Replace("\"pattern_book\": \"pattern_book\"",
                        $"\"pattern_book\": {{ \"traits\": {book.GetProperty("traits")}, \"lines\": {book.GetProperty("lines")} }}", StringComparison.Ordinal);
                }
                (HttpStatusCode status, JsonElement body, string? type) = await Ask($"/api/gauges/{room}/{calculation}", json);
                JsonElement expected = example.GetProperty("expected");
                string name = $"{room}/{example.GetProperty("name")}";
                if (expected.TryGetProperty("error", out JsonElement error))
                {
                    status.ShouldBe(HttpStatusCode.BadRequest, name);
                    type.ShouldBe("application/problem+json");
                    body.GetProperty("error").GetString().ShouldBe(error.GetString(), name);
                    body.GetProperty("field").GetString().ShouldNotBeNullOrEmpty();
                    body.GetProperty("allowed").GetString().ShouldNotBeNullOrEmpty();
                    body.GetProperty("detail").GetString()!.Length.ShouldBeGreaterThan(20);
                }
                else
                {
                    status.ShouldBe(HttpStatusCode.OK, name);
                    expected.EnumerateObject().Select(p => p.Name).ShouldBeSubsetOf(body.EnumerateObject().Select(p => p.Name), name);
                }
                asked++;
            }
        }
        asked.ShouldBeGreaterThan(70);
    }

    [Theory]
    [InlineData("/api/gauges/edges/bevel", "{\"thickness_mm\": \"two\", \"bevel_face_mm\": 5}", "thickness_mm")]
    [InlineData("/api/gauges/edges/bevel", "{\"bevel_face_mm\": 5}", "thickness_mm")]
    [InlineData("/api/gauges/edges/bevel", "{\"thickness_mm\": -1, \"bevel_face_mm\": 5}", "thickness_mm")]
    [InlineData("/api/gauges/edges/bevel", "[1, 2]", "input")]
    [InlineData("/api/gauges/edges/bevel", "no json", "input")]
    [InlineData("/api/gauges/state/wilson", "{\"hits\": 9, \"points\": 5}", "hits")]
    [InlineData("/api/gauges/dating/date_tool", "{\"observations\": [{\"id\": \"a\", \"trait\": \"nothing\", \"variant\": \"x\"}]}", "trait")]
    [InlineData("/api/gauges/baths/soak_time", "{\"bath\": \"tea\", \"rust\": \"heavy\"}", "bath")]
    [InlineData("/api/gauges/sole/grid_survey", "{\"length_mm\": 100, \"width_mm\": 40, \"points_mm\": null}", "points_mm")]
    public async Task Bad_input_names_the_field(string path, string json, string field)
    {
        (HttpStatusCode status, JsonElement body, string? type) = await Ask(path, json);
        status.ShouldBe(HttpStatusCode.BadRequest);
        type.ShouldBe("application/problem+json");
        body.GetProperty("field").GetString()!.ShouldContain(field);
        body.GetProperty("error").GetString().ShouldNotBeNullOrEmpty();
    }

    [Fact]
    public async Task Without_a_book_the_shops_own_is_used()
    {
        (HttpStatusCode status, JsonElement body, _) = await Ask("/api/gauges/dating/date_tool", """
            { "candidate_lines": ["pellow_tarn_bench"], "observations": [{ "id": "a", "trait": "side_wing", "variant": "peaked" }] }
            """);
        status.ShouldBe(HttpStatusCode.OK);
        body.GetProperty("median_year").GetInt32().ShouldBeInRange(1896, 1931);
    }

    [Fact]
    public async Task The_list_and_the_description_name_every_gauge()
    {
        string list = await (await host.Visit().Get("/api/gauges")).Content.ReadAsStringAsync();
        string description = await (await host.Visit().Get("/openapi/v1.json")).Content.ReadAsStringAsync();
        foreach (Gauge gauge in GaugeCatalogue.All)
        {
            list.ShouldContain($"\"{gauge.Path}\"");
            description.ShouldContain($"\"{gauge.Path}\"");
        }
        description.ShouldContain("\"bevel_face_mm\"");
        JsonElement schemas = JsonDocument.Parse(description).RootElement.GetProperty("components").GetProperty("schemas");
        schemas.GetProperty("BevelInput").GetProperty("properties").GetProperty("thickness_mm").GetProperty("description").GetString()
            .ShouldBe("Of the steel, at the place measured, mm.");
        schemas.EnumerateObject().SelectMany(s => s.Value.TryGetProperty("properties", out JsonElement fields)
            ? fields.EnumerateObject().Where(f => !f.Value.TryGetProperty("$ref", out _) && !f.Value.TryGetProperty("oneOf", out _)
                && !f.Value.TryGetProperty("description", out _)).Select(f => $"{s.Name}.{f.Name}")
            : []).ShouldBeEmpty();
    }

    [Fact]
    public async Task An_unknown_gauge_is_told()
    {
        (HttpStatusCode status, JsonElement body, _) = await Ask("/api/gauges/edges/spoon", "{}");
        status.ShouldBe(HttpStatusCode.NotFound);
        body.GetProperty("error").GetString().ShouldBe("unknown_gauge");
    }

    [Fact]
    public async Task Every_gauge_with_plain_fields_has_a_page_that_answers()
    {
        Visitor visitor = host.Visit();
        int pages = 0;
        foreach (Gauge gauge in GaugeCatalogue.All.Where(g => Services.GaugeForm.Fields(g) is not null))
        {
            // What has a room of its own is worked there.
            if (Pages.Gauges.IndexModel.PageOf(gauge) is { } room)
            {
                (await visitor.Get($"/gauges/{gauge.File}/{gauge.Calculation}")).Headers.Location!.ToString().ShouldBe(room);
                (await visitor.Page(room)).QuerySelector("h1").ShouldNotBeNull();
                continue;
            }
            IHtmlDocument page = await visitor.Page($"/gauges/{gauge.File}/{gauge.Calculation}");
            page.QuerySelector("form .btn")!.TextContent.ShouldBe("Work it out");
            // Each field says what it means, and what must be given stands before what may be.
            Services.GaugeForm.Fields(gauge)!.Where(f => string.IsNullOrEmpty(f.Means)).Select(f => $"{gauge.Calculation}: {f.Name}").ShouldBeEmpty();
            page.QuerySelectorAll("main form [name]:not([type=hidden])").Select(f => f.GetAttribute("name")).ShouldBe(
                Services.GaugeForm.Fields(gauge)!.OrderByDescending(f => f.Required && !f.YesNo).Select(f => f.Name));
            pages++;
        }
        pages.ShouldBeGreaterThan(5);
        (await visitor.Page("/gauges/state/iron_reserve?iron_kind=LaidOn&edge_to_bit_line_mm=16")).QuerySelector("table")!.TextContent
            .ShouldContain("200");
        (await visitor.Page("/gauges/state/iron_reserve?iron_kind=LaidOn&edge_to_bit_line_mm=two"))
            .QuerySelector(".fault:not(:empty)")!.TextContent.ShouldContain("\"two\" is not a length");
        (await visitor.Get("/gauges/edges/spoon")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        foreach (Gauge gauge in GaugeCatalogue.All.Where(g => g.File is "edges" or "saws"))
        {
            HttpResponseMessage led = await visitor.Get($"/gauges/{gauge.File}/{gauge.Calculation}");
            led.StatusCode.ShouldBe(HttpStatusCode.Found, $"{gauge.Calculation} has a bench, and no form beside it");
            (await visitor.Get(led.Headers.Location!.ToString())).StatusCode.ShouldBe(HttpStatusCode.OK, gauge.Calculation);
        }
    }

    [Fact]
    public async Task A_list_that_may_be_empty_is_typed_line_by_line()
    {
        Visitor visitor = host.Visit();
        const string Sole = "/gauges/sole/grid_survey?length_mm=245&width_mm=60&mouth_front_mm=76&points_mm=5+5+0%0A70+5+0.1%0A240+5+0%0A5+55+0%0A240+55+0.1"
            + "%0A70+30+0";
        (await visitor.Page(Sole + "&left_out_mm=")).QuerySelector("table").ShouldNotBeNull();
        (await visitor.Page(Sole)).QuerySelector("table")!.TextContent.ShouldNotContain("{", customMessage: "a result within a result is a table, too");
        (await visitor.Page(Sole + "&left_out_mm=5+20+0.3%0A5+30+0.4")).QuerySelector("table").ShouldNotBeNull();
        (await visitor.Page(Sole + "&left_out_mm=0.1")).QuerySelector(".fault:not(:empty)").ShouldNotBeNull();
        (await visitor.Page(Sole + "&left_out_mm=deep+3+1")).QuerySelector(".fault:not(:empty)")!.TextContent.ShouldContain("\"deep\" is not a length");
        (await visitor.Page("/gauges/proof/thickness?readings_mm=0.031+0.034+2+thou&direction=at_most&target_mm=0.05")).QuerySelector(".fault:not(:empty)")
            .ShouldNotBeNull();
        (await visitor.Page("/gauges/proof/thickness?readings_mm=0.031+0.034+0.03&direction=at_most&target_mm=0.05"))
            .QuerySelector("table")!.TextContent.ShouldContain("met");
    }
}
