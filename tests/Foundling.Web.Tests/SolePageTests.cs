using System.Net;
using System.Text.Json;
using AngleSharp.Html.Dom;

namespace Foundling.Web.Tests;

/// <summary>The sole over an in-memory host: lapping foreseen, and marks that are read.</summary>
public sealed class SolePageTests(DemoHost host) : IClassFixture<DemoHost>
{
    private static readonly string[] Ends = ["ggfllllllfgg", "ggfllllllfgg", "gfllllllllfg", "ggfllllllfgg", "ggfllllllfgg"];

    [Fact]
    public async Task Lapping_is_foreseen_from_the_survey_and_where_to_press_is_said()
    {
        IHtmlDocument page = await host.Visit().Page("/tag/31/sole/lap");
        string text = page.Body!.TextContent;
        text.ShouldContain("by the survey of");
        page.QuerySelectorAll(".markstrip figure").Length.ShouldBeGreaterThan(3);
        page.QuerySelectorAll("button[name=x]").Length.ShouldBe(4);
        text.ShouldContain("it brings the sole in with the least metal off its deepest spot");
        (await host.Visit().Page("/tag/19/sole/lap")).Body!.TextContent.ShouldContain("nobody surveyed this sole");
        (await host.Visit().Page("/tag/31/sole/lap?long=200")).QuerySelector(".notice.bad")!.TextContent.ShouldContain("too short");
    }

    [Fact]
    public async Task The_film_comes_frame_by_frame_and_follows_the_hands()
    {
        async Task<List<JsonElement>> Film(string query)
        {
            HttpResponseMessage answer = await host.Visit().Get($"/tag/31/sole/lap?handler=film{query}");
            answer.Content.Headers.ContentType!.MediaType.ShouldBe("application/x-ndjson");
            return [.. (await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)).Split('\n', StringSplitOptions.RemoveEmptyEntries)
                .Select(l => JsonSerializer.Deserialize<JsonElement>(l))];
        }
        List<JsonElement> film = await Film("");
        int cells = film[0].GetProperty("cells").GetArrayLength();
        film.Skip(1).ShouldAllBe(f => f.GetProperty("c").GetString()!.Length == cells);
        film[^1].GetProperty("end").GetBoolean().ShouldBeTrue();
        film[1].GetProperty("said").GetString()!.ShouldStartWith("after 0 strokes");
        (await Film("&move=50|40|30"))[^1].GetProperty("n").GetDouble().ShouldNotBe(film[^1].GetProperty("n").GetDouble());
        (await Film("&x=9000"))[0].GetProperty("fault").GetString()!.ShouldContain("outside the sole");
        (await Film("&move=once"))[0].GetProperty("fault").GetString()!.ShouldContain("a stroke and a place");
    }

    [Theory]
    [InlineData("x=9000", "outside the sole")]
    [InlineData("force=much", "is not a number")]
    [InlineData("force=100000", "it must be 0.1 to 2000")]
    [InlineData("grit=P7", "not on the list")]
    [InlineData("long=long", "is not a length")]
    public async Task What_cannot_be_is_said(string query, string sentence) =>
        (await host.Visit().Page($"/tag/31/sole/lap?{query}")).QuerySelector(".notice.bad")!.TextContent.ShouldContain(sentence);

    [Fact]
    public async Task Marks_are_read_kept_added_up_and_taken_back()
    {
        Visitor visitor = host.Visit();
        async Task<HttpResponseMessage> Look(string strokes, IEnumerable<string> rows) => await visitor.SubmitMany(await visitor.Page("/tag/20/sole/marks"),
            "form[action*='handler=Look']", [("strokes", strokes), .. rows.Select(r => ("row", r)), ("grit", "P120"), ("plate", "PaperOnGlass"),
                ("remarked", "true")]);
        (await Look("30", Ends)).StatusCode.ShouldBe(HttpStatusCode.Found);
        IHtmlDocument page = await visitor.Page("/tag/20/sole/marks");
        page.QuerySelector("[data-marks-says]")!.TextContent.ShouldContain("Hollow along its length");
        page.QuerySelector("[data-marks-says]")!.TextContent.ShouldContain("after 1 look");
        (await Look("60", Ends)).StatusCode.ShouldBe(HttpStatusCode.Found);
        page = await visitor.Page("/tag/20/sole/marks");
        page.QuerySelector("[data-marks-says]")!.TextContent.ShouldContain("after 2 looks");
        (await visitor.Submit(page, "form[action*='handler=Back']", [])).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await visitor.Page("/tag/20/sole/marks")).QuerySelector("[data-marks-says]")!.TextContent.ShouldContain("after 1 look");
        (await visitor.Page("/tag/20/log")).Body!.TextContent.ShouldContain("Marks on the sole taken back: 60 strokes on P120");
    }

    [Theory]
    [InlineData("30", "ggffllllllx", "Row 1 has 11 fields")]
    [InlineData("30", "ggffllllllxl", "neither g (gone)")]
    [InlineData("", "ggfflllllllg", "how many strokes")]
    [InlineData("-4", "ggfflllllllg", "strokes")]
    public async Task A_row_that_cannot_be_read_stays_as_it_was_typed(string strokes, string row, string sentence)
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Visitor.Read(await visitor.SubmitMany(await visitor.Page("/tag/19/sole/marks"), "form[action*='handler=Look']",
            [("strokes", strokes), ("row", row), .. Ends.Skip(1).Select(r => ("row", r)), ("grit", "P120"), ("plate", "PaperOnGlass")]));
        string.Join(' ', page.QuerySelectorAll(".fault").Select(f => f.TextContent)).ShouldContain(sentence);
        page.QuerySelector<IHtmlInputElement>("[data-marks-rows] input")!.Value.ShouldBe(row);
    }

    [Fact]
    public async Task A_tool_without_a_metal_sole_has_no_such_leaf()
    {
        (await host.Visit().Get("/tag/24/sole/lap")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await host.Visit().Get("/tag/24/sole/marks")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await host.Visit().Get("/tag/24/sole/lap?handler=film")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
