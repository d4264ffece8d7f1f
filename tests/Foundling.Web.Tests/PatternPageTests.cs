using System.Net;
using System.Text;
using AngleSharp.Html.Dom;
using Foundling.Core.Origin;
using Foundling.Data.Origin;
using Foundling.Web.Drawings;
using Foundling.Data.Reference;

namespace Foundling.Web.Tests;

/// <summary>The pattern book's pages over an in-memory host.</summary>
public sealed class PatternPageTests(DemoHost host) : IClassFixture<DemoHost>
{
    private const string Line = "/patterns/ottermere_adjust";

    private static async Task<IHtmlDocument> Follow(Visitor visitor, HttpResponseMessage answer)
    {
        answer.StatusCode.ShouldBe(HttpStatusCode.Found, (await Visitor.Read(answer)).QuerySelector(".notice.bad")?.TextContent);
        return await visitor.Page(answer.Headers.Location!.ToString());
    }

    private static string Years(IHtmlDocument page, string trait, string variant) =>
        page.QuerySelector($"[data-trait={trait}][data-variant={variant}]")!.GetAttribute("data-years")!;

    [Fact]
    public async Task Years_change_from_the_chart_and_can_be_taken_back()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page(Line);
        string before = Years(page, "jaw_back", "rounded");
        page = await Follow(visitor, await visitor.Submit(page, "#years-form", new() { ["trait"] = "jaw_back", ["variant"] = "rounded", ["a"] = "1900",
            ["b"] = "1902", ["c"] = "1920", ["d"] = "1925" }));
        Years(page, "jaw_back", "rounded").ShouldBe("1900,1902,1920,1925");
        page = await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Undo']", []));
        Years(page, "jaw_back", "rounded").ShouldBe(before);
        page = await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Redo']", []));
        Years(page, "jaw_back", "rounded").ShouldBe("1900,1902,1920,1925");
        page = await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Undo']", []));
        Years(page, "jaw_back", "rounded").ShouldBe(before);
    }

    [Theory]
    [InlineData("1930", "1920", "", "", "must rise")]
    [InlineData("soon", "1920", "", "", "is not a year")]
    [InlineData("1900", "", "", "", "leaves out both")]
    public async Task Years_that_cannot_be_get_a_sentence(string a, string b, string c, string d, string sentence)
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Visitor.Read(await visitor.Submit(await visitor.Page(Line), "#years-form", new() { ["trait"] = "jaw_back",
            ["variant"] = "ribbed", ["a"] = a, ["b"] = b, ["c"] = c, ["d"] = d }));
        page.QuerySelector(".notice.bad")!.TextContent.ShouldContain(sentence);
    }

    [Fact]
    public async Task Figures_carry_years_and_sources_of_a_whole_trait()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/patterns/dunmarrow_boring");
        var form = (IHtmlFormElement)page.QuerySelector("form:has(input[name=trait][value=pinions]) table")!.Closest("form")!;
        var fields = new FormUrlEncodedContent([
            new("__RequestVerificationToken", form.QuerySelector<IHtmlInputElement>("[name=__RequestVerificationToken]")!.Value), new("trait", "pinions"),
            new("variant", "single"), new("a", ""), new("b", ""), new("c", "1900"), new("d", "1905"), new("source", "a catalogue"), new("note", ""),
                new("used", "single"),
            new("variant", "double"), new("a", "1899"), new("b", "1904"), new("c", ""), new("d", ""), new("source", ""), new("note", ""), new("used", "double"),
            new("variant", "idler"), new("a", ""), new("b", ""), new("c", ""), new("d", ""), new("source", ""), new("note", ""),
        ]);
        page = await Follow(visitor, await visitor.Send(new HttpRequestMessage(HttpMethod.Post, form.GetAttribute("action")) { Content = fields }));
        Years(page, "pinions", "single").ShouldBe(",,1900,1905");
        Years(page, "pinions", "double").ShouldBe("1899,1904,,");
        Years(page, "pinions", "idler").ShouldBe("");
        page.QuerySelectorAll("input[name=source]").OfType<IHtmlInputElement>().ShouldContain(i => i.Value == "a catalogue");
        await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Undo']", []));
    }

    [Fact]
    public async Task A_line_is_started_given_a_new_trait_copied_and_taken_out()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Follow(visitor, await visitor.Submit(await visitor.Page("/patterns"), "form[data-keep=newline]",
            new() { ["maker"] = "Thole & Daughters", ["range"] = "braces", ["first"] = "1880", ["last"] = "1930", ["kind"] = "brace" }));
        page.QuerySelector("h1")!.TextContent.ShouldBe("Thole & Daughters");
        page = await visitor.Page("/patterns/trait/new?line=thole_daughters_braces");
        var form = (IHtmlFormElement)page.QuerySelector("main form:has(#name)")!;
        page = await Follow(visitor, await visitor.Send(new HttpRequestMessage(HttpMethod.Post, form.GetAttribute("action"))
        {
            Content = new FormUrlEncodedContent([
                new("__RequestVerificationToken", form.QuerySelector<IHtmlInputElement>("[name=__RequestVerificationToken]")!.Value),
                    new("name", "Head of the brace"), new("part", "body"), new("effort", "Glance"), new("note", "turn it over"),
                new("id", ""), new("title", "flat"), new("drawn", "M1 1L20 20"), new("filled", ""), new("pale", ""), new("like", ""), new("id", ""),
                    new("title", "domed"), new("drawn", ""), new("filled", ""), new("pale", ""), new("like", "knob_form/low_bun"),
            ]),
        }));
        page.QuerySelectorAll("[data-trait=head_of_the_brace]").Length.ShouldBe(2);
        page = await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Copy']", new() { ["maker"] = "Sister Works" }));
        page.QuerySelectorAll("[data-trait=head_of_the_brace]").Length.ShouldBe(2);
        page = await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Drop']", []));
        page.QuerySelectorAll("[data-trait]").ShouldBeEmpty();
        page = await Follow(visitor, await visitor.Submit(page, "form[action*='handler=Delete']", []));
        page.QuerySelector(".lines")!.TextContent.ShouldNotContain("Sister Works");
        (await visitor.Get("/patterns/sister_works")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task The_book_is_downloaded_as_it_is()
    {
        Visitor visitor = host.Visit();
        string csv = await (await visitor.Get("/patterns/hexholm_edge?handler=Csv")).Content.ReadAsStringAsync();
        PatternImport import = PatternFile.Read(csv, new PatternBook([], []));
        import.Lines.ShouldBe(["hexholm_edge"]);
        import.Book.LineOf("hexholm_edge").Variants.Count.ShouldBe(11);
        HttpResponseMessage json = await visitor.Get("/patterns?handler=Json");
        json.Content.Headers.ContentDisposition!.FileName.ShouldBe("pattern-book.json");
    }

    [Theory]
    [InlineData("", "Choose a file")]
    [InlineData("GIF89a", "must name the columns")]
    public async Task A_file_that_is_no_book_gets_a_sentence(string text, string sentence)
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Visitor.Read(await visitor.Submit(await visitor.Page("/patterns"), "form[action*='handler=Import']", [],
            ("file", "x.csv", new ByteArrayContent(Encoding.UTF8.GetBytes(text)))));
        page.QuerySelector(".notice.bad")!.TextContent.ShouldContain(sentence);
    }

    [Fact]
    public void The_chart_places_every_form_on_its_years()
    {
        foreach (PatternLine line in ReferenceData.Book.Lines)
        {
            var chart = new PatternChart(line, ReferenceData.Book);
            chart.Rows.Count.ShouldBe(line.Variants.Count);
            foreach (ChartBand band in chart.Rows.SelectMany(r => r.Bands).Where(b => b.Years is not null))
            {
                band.Handles.Select(h => h.X).ShouldBe(band.Handles.Select(h => h.X).Order());
                band.Handles.ShouldAllBe(h => h.X >= PatternChart.Left && h.X <= PatternChart.Left + PatternChart.Span);
                band.Handles.Where(h => h.Year is not null).ShouldAllBe(h => Math.Abs(h.X - chart.Rule.At(h.Year!.Value)) < 1e-9);
            }
            double[] rows = [.. chart.Rows.SelectMany(r => r.Bands).Select(b => b.Y)];
            rows.Zip(rows.Skip(1)).ShouldAllBe(p => p.Second - p.First >= PatternChart.BandHeight);
        }
    }
}
