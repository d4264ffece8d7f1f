using System.Globalization;
using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.RegularExpressions;
using AngleSharp.Html.Dom;
using Foundling.Core.Saws;

namespace Foundling.Web.Tests;

/// <summary>The saw bench over an in-memory host.</summary>
public sealed partial class SawPageTests(DemoHost host) : IClassFixture<DemoHost>
{
    private static double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);

    [Theory]
    [InlineData("points=10&rake=15&fleam=20", 9.0, 15)]
    [InlineData("points=5&rake=0", 4.0, 0)]
    public async Task Teeth_are_drawn_with_the_angles_of_the_figures(string query, double tpi, double rake)
    {
        IHtmlDocument page = await host.Visit().Page($"/saws?{query}&long=660");
        double[] xy = [.. Numbers().Matches(page.QuerySelector("svg.teeth path.line")!.GetAttribute("d")!).Select(m => Number(m.Value))];
        double[][] at = [.. xy.Chunk(2)];
        double front = Math.Atan2(at[1][0] - at[0][0], at[0][1] - at[1][1]) * 180 / Math.PI;
        front.ShouldBe(rake, 0.6, "measured on the drawing");
        (at[2][0] - at[0][0]).ShouldBe(25.4 / tpi * Number(page.QuerySelector("[data-teeth]")!.GetAttribute("data-teeth")!), 0.3);
        page.Body!.TextContent.ShouldContain("Teeth on the line");
    }

    [Fact]
    public async Task Set_jointing_and_straightness_are_said()
    {
        IHtmlDocument page = await host.Visit().Page("/saws?points=8&plate=0.9&set=0.28&heights=2+1.95+0.4+1.7&long=600&gaps=100+0.5+300+1.1+500+0.5&breast=4"
            + "&files=3+9.5");
        page.QuerySelector("[data-set]")!.TextContent.ShouldContain("too much");
        page.QuerySelector("[data-jointed]")!.TextContent.ShouldBe("0.30 mm");
        page.QuerySelector("[data-bent]")!.TextContent.ShouldContain("even bow");
        page.Body!.TextContent.ShouldContain("too small: its face does not cover a flank twice");
        page.Body!.TextContent.ShouldContain("1 tooth under half height");
    }

    [Theory]
    [InlineData("points=many", "points", "is not a number")]
    [InlineData("points=8&rake=70", "rake", "must be")]
    [InlineData("points=8&plate=thin&set=0.2", "plate", "is not a length")]
    [InlineData("points=8&heights=2+x", "heights", "is not a length")]
    [InlineData("points=8&long=600&gaps=100", "gaps", "in turn")]
    public async Task What_cannot_be_is_said_at_its_field(string query, string field, string sentence) =>
        (await host.Visit().Page($"/saws?{query}")).QuerySelector($"#{field}")!.ParentElement!.QuerySelector(".fault")!.TextContent.ShouldContain(sentence);

    [Fact]
    public async Task The_filing_strip_is_at_its_true_size_as_a_drawing_and_on_paper()
    {
        const string Query = "points=9&rake=12&fleam=20&long=400";
        string svg = await (await host.Visit().Get($"/saws?handler=Strip&{Query}")).Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        svg.ShouldContain("width=\"260mm\" height=\"40mm\" viewBox=\"0 0 260 40\"");
        HttpResponseMessage answer = await host.Visit().Get($"/saws?handler=Pdf&{Query}");
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("application/pdf");
        byte[] pdf = await answer.Content.ReadAsByteArrayAsync(TestContext.Current.CancellationToken);
        List<double[]> lines = Lines(pdf);
        const double Mm = 72 / 25.4;
        // The check rule is the one long level line that is no rim.
        lines.Count(l => Math.Abs(l[1] - l[3]) < 0.01 && Math.Abs(Math.Abs(l[2] - l[0]) - (100 * Mm)) < 0.02).ShouldBe(1,
          "100 mm of the rule are 100 mm on paper");
        double pitch = 25.4 / 8 * Mm;
        double[] marks = [.. lines.Where(l => Math.Abs(l[0] - l[2]) < 0.01 && Math.Abs(Math.Abs(l[3] - l[1]) - (5 * Mm)) < 0.02).Select(l => l[0]).Order()];
        marks.Length.ShouldBeGreaterThan(60);
        marks.Zip(marks.Skip(1), (a, b) => b - a).ShouldAllBe(d => Math.Abs((d / pitch) - Math.Round(d / pitch)) < 0.01, "a mark at each point");
        (await host.Visit().Get("/saws?handler=Pdf&points=none")).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task A_saw_fills_in_what_its_tag_knows_and_keeps_what_was_measured()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/saws?tag=22");
        page.QuerySelector<IHtmlInputElement>("#points")!.Value.ShouldNotBeEmpty();
        page = await visitor.Page("/saws?tag=22&points=11&plate=0.85");
        page.QuerySelector<IHtmlInputElement>("input[form=keep][name=points]")!.Value.ShouldBe("11");
        page.QuerySelector("[data-keeps]")!.TextContent.ShouldContain("Points to the inch 11, thickness 0.85 mm");
        (await visitor.Submit(page, "#keep", new() { ["points"] = "11", ["plate"] = "0.85" })).StatusCode.ShouldBe(HttpStatusCode.Found);
        page = await visitor.Page("/saws?tag=22");
        page.QuerySelector<IHtmlInputElement>("#points")!.Value.ShouldBe("11");
        page.QuerySelector<IHtmlInputElement>("#plate")!.Value.ShouldBe("0.85");
        page.QuerySelector("[data-keeps]").ShouldBeNull("nothing is new");
        (await visitor.Get("/saws?tag=31")).StatusCode.ShouldBe(HttpStatusCode.NotFound, "a plane has no teeth");
    }

    /// <summary>Lines of the pages of a document, x and y of both ends in points, as its streams draw them.</summary>
    private static List<double[]> Lines(byte[] pdf)
    {
        string raw = Encoding.Latin1.GetString(pdf);
        List<double[]> lines = [];
        foreach (Match stream in Streams().Matches(raw))
        {
            int from = stream.Index + stream.Length, to = raw.IndexOf("endstream", from, StringComparison.Ordinal);
            string text;
            try
            {
                using var inflated = new ZLibStream(new MemoryStream(pdf, from, to - from), CompressionMode.Decompress);
                using var reader = new StreamReader(inflated, Encoding.Latin1);
                text = reader.ReadToEnd();
            }
            catch (InvalidDataException)
            {
                continue;
            }
            lines.AddRange(Drawn().Matches(text).Select(m => Enumerable.Range(1, 4).Select(i => Number(m.Groups[i].Value)).ToArray()));
        }
        return lines;
    }

    [GeneratedRegex(@"(?<!end)stream\r?\n")]
    private static partial Regex Streams();

    [GeneratedRegex(@"(-?[\d.]+) (-?[\d.]+) m\s+(-?[\d.]+) (-?[\d.]+) l")]
    private static partial Regex Drawn();

    [GeneratedRegex(@"-?\d+(\.\d+)?")]
    private static partial Regex Numbers();

    [Fact]
    public async Task An_etch_bounds_the_grit_and_nuts_have_their_turns()
    {
        AngleSharp.Html.Dom.IHtmlDocument page = await host.Visit().Page("/saws?points=8&etch=0.06&nuts=3&long=660&breast=4");
        page.QuerySelector("[data-etch]")!.TextContent.ShouldContain("no more than 20 µm may go");
        page.QuerySelectorAll("svg .nut").Length.ShouldBe(3);
        page.QuerySelector("svg .plate").ShouldNotBeNull("the breasted line is drawn");
        (await host.Visit().Page("/saws?points=8&etch=0.0001")).QuerySelector("[data-etch]")!.TextContent.ShouldContain("nothing that is here spares it");
        (await host.Visit().Page("/saws?points=8&etch=-1")).QuerySelector("#etch-fault")!.TextContent.ShouldContain("-1");
        (await host.Visit().Page("/saws?points=8&nuts=40")).QuerySelector("#nuts-fault")!.TextContent.ShouldContain("40");
        page = await host.Visit().Page("/saws?tag=22");
        double.Parse(page.QuerySelector<AngleSharp.Html.Dom.IHtmlInputElement>("#etch")!.Value, System.Globalization.CultureInfo.InvariantCulture)
            .ShouldBeLessThan(0.03, "an etch is no stamp");
        page.Body!.TextContent.ShouldContain("judged by how well it reads");
        page.QuerySelectorAll("svg .nut").Length.ShouldBeGreaterThan(1, "its kind says how many it has");
    }

    [Fact]
    public async Task Teeth_are_counted_on_a_photograph_and_go_to_the_bench()
    {
        AngleSharp.Html.Dom.IHtmlDocument page = await host.Visit()
            .Page("/saws/photo?tag=22&one=0 200&two=400 200&long=100&tips=10 190;30 190;50 192;90 190;110 196");
        page.QuerySelector("[data-missing]")!.TextContent.ShouldBe("1");
        string use = page.QuerySelector("a.btn.do")!.GetAttribute("href")!;
        use.ShouldContain("heights=2.5%202.5%202%200%202.5%201");
        (await host.Visit().Page(use)).QuerySelector("[data-jointed]").ShouldNotBeNull();
        (await host.Visit().Page("/saws/photo?tag=22&one=0 0&two=1 0&long=100&tips=10 190")).QuerySelector(".notice.bad")!.TextContent.ShouldContain("apart");
        (await host.Visit().Get("/saws/photo?tag=31")).StatusCode.ShouldBe(System.Net.HttpStatusCode.NotFound);
    }
}
