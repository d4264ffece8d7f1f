using System.IO.Compression;
using System.Net;
using System.Text;
using AngleSharp.Html.Dom;

namespace Foundling.Web.Tests;

public sealed class BadInputTests(DemoHost host) : IClassFixture<DemoHost>
{
    private static async Task<IHtmlDocument> Refused(HttpResponseMessage answer)
    {
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        return await Visitor.Read(answer);
    }

    private static string Faults(IHtmlDocument page) => string.Join(" | ", page.QuerySelectorAll(".fault, .notice.bad").Select(f =>
        f.TextContent.Trim()).Where(t => t.Length > 0));

    [Fact]
    public async Task An_empty_form_asks_for_the_kind()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Refused(await visitor.Submit(await visitor.Page("/new"), "form[data-keep=new]", []));
        Faults(page).ShouldContain("Choose what kind of tool it is");
    }

    [Fact]
    public async Task Letters_in_a_number_keep_everything_else()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Refused(await visitor.Submit(await visitor.Page("/new"), "form[data-keep=new]", new()
        {
            ["Form.Kind"] = "chisel", ["Form.Length"] = "about ten", ["Form.IronWidth"] = "1/16\"", ["Form.Price"] = "a fiver",
                ["Form.ArrivedOn"] = "yesterday", ["Form.Owner"] = "Maud", ["Form.Story"] = "From a chest.",
        }));
        string faults = Faults(page);
        faults.ShouldContain("\"about ten\" is not a length");
        faults.ShouldContain("\"a fiver\" is not an amount");
        faults.ShouldContain("\"yesterday\" is not a date");
        page.QuerySelector<IHtmlInputElement>("#f-owner")!.Value.ShouldBe("Maud");
        page.QuerySelector<IHtmlInputElement>("#f-length")!.Value.ShouldBe("about ten");
        page.QuerySelector<IHtmlInputElement>("#f-iron")!.Value.ShouldBe("1/16\"");
        page.QuerySelector<IHtmlTextAreaElement>("#f-story")!.Value.ShouldBe("From a chest.");
        page.QuerySelector<IHtmlInputElement>("input[value=chisel]")!.IsChecked.ShouldBeTrue();
    }

    [Fact]
    public async Task Inches_and_thou_are_understood()
    {
        Visitor visitor = host.Visit();
        HttpResponseMessage answer = await visitor.Submit(await visitor.Page("/new"), "form[data-keep=new]", new() { ["Form.Kind"] = "metal-bench-plane",
            ["Form.Length"] = "9 5/8\"", ["Form.IronWidth"] = "2 in" });
        answer.StatusCode.ShouldBe(HttpStatusCode.Found);
        string tag = answer.Headers.Location!.ToString().Split('/')[2];
        (await visitor.Page($"/tag/{tag}/book")).QuerySelector<IHtmlInputElement>("#f-length")!.Value.ShouldBe("244.48");
        IHtmlDocument page = await visitor.Page($"/tag/{tag}/proof");
        (await visitor.Submit(page, "form[data-keep^=proof]", new() { ["readings"] = "1.2 thou, 1.4 thou 0.033", ["target"] = "2 thou",
            ["resolution"] = "0.5 thou" })).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await visitor.Page($"/tag/{tag}/proof")).QuerySelector("[data-verdict]")!.GetAttribute("data-verdict").ShouldBe("met");
    }

    [Fact]
    public async Task A_fake_picture_is_refused_and_the_rest_stays()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Refused(await visitor.Submit(await visitor.Page("/new"), "form[data-keep=new]", new() { ["Form.Kind"] = "axe",
            ["Form.Source"] = "shed" },
            ("Pictures", "axe.jpg", new StringContent("<html>not a picture</html>"))));
        Faults(page).ShouldContain("\"axe.jpg\" is not a picture");
        page.QuerySelector<IHtmlInputElement>("#f-source")!.Value.ShouldBe("shed");
    }

    [Fact]
    public async Task A_400_MB_picture_is_refused_and_the_rest_stays()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Refused(await visitor.Submit(await visitor.Page("/new"), "form[data-keep=new]", new() { ["Form.Kind"] = "axe",
            ["Form.Source"] = "barn" },
            ("Pictures", "huge.jpg", new ZeroContent(400L * 1024 * 1024))));
        Faults(page).ShouldContain("\"huge.jpg\" is larger than 40 MB");
        page.QuerySelector<IHtmlInputElement>("#f-source")!.Value.ShouldBe("barn");
    }

    [Fact]
    public async Task A_broken_row_is_named_by_its_line_and_the_text_stays()
    {
        Visitor visitor = host.Visit();
        const string Text = "x,y,height\n2,3,0.1\n20,3,high\n40,30,0.1\n60,57,0.2";
        IHtmlDocument page = await Refused(await visitor.Submit(await visitor.Page("/tag/19/sole"), "form[action*='handler=Import']",
            new() { ["text"] = Text }));
        Faults(page).ShouldContain("Line 3: \"high\" in the height column is not a length");
        page.QuerySelector<IHtmlTextAreaElement>("#text")!.Value.ReplaceLineEndings("\n").ShouldBe(Text);
    }

    [Theory]
    [InlineData("2,3,0.1\n20,3,0.1\n40,3,0.1", "lie on one line")]
    [InlineData("2,3,0.1\n900,3,0.1\n40,50,0.1", "lies off a sole")]
    [InlineData("", "Choose a file")]
    public async Task Readings_that_say_nothing_are_refused(string text, string sentence)
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Refused(await visitor.Submit(await visitor.Page("/tag/19/sole"), "form[action*='handler=Import']",
            new() { ["text"] = text }));
        Faults(page).ShouldContain(sentence);
    }

    [Fact]
    public async Task A_bundle_with_a_stray_path_is_refused()
    {
        var memory = new MemoryStream();
        await using (var zip = new ZipArchive(memory, ZipArchiveMode.Create, leaveOpen: true))
        {
            await using Stream entry = await zip.CreateEntry("../../evil.sh").OpenAsync();
            await entry.WriteAsync("x"u8.ToArray());
        }
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Refused(await visitor.Submit(await visitor.Page("/shop"), "form[action*='handler=Import']", [], ("bundle", "papers.zip",
            new ByteArrayContent(memory.ToArray()))));
        Faults(page).ShouldContain("has no place in it");
    }

    [Theory]
    [InlineData("0.03 0.04", "at least three readings")]
    [InlineData("0.03 0.04 thick", "is not a length")]
    [InlineData("0.03 0.04 -0.1", "more than 0")]
    public async Task Poor_proof_readings_get_a_sentence(string readings, string sentence)
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Refused(await visitor.Submit(await visitor.Page("/tag/31/proof"), "form[data-keep^=proof]", new() { ["readings"] = readings,
            ["conditions"] = "larch" }));
        Faults(page).ShouldContain(sentence);
        page.QuerySelector<IHtmlTextAreaElement>("#readings")!.Value.ShouldBe(readings);
        page.QuerySelector<IHtmlInputElement>("#conditions")!.Value.ShouldBe("larch");
    }

    [Theory]
    [InlineData("hand-saw", "drift,feel")]
    [InlineData("hewing-hatchet", "notch,edge,head")]
    [InlineData("hand-drill", "hole-wood,hole-steel,runout")]
    [InlineData("plough-plane", "groove,depth")]
    public async Task A_proof_is_asked_of_each_kind_in_its_own_way(string kind, string proofs)
    {
        Visitor visitor = host.Visit();
        HttpResponseMessage booked = await visitor.Submit(await visitor.Page("/new"), "form[data-keep=new]", new() { ["Form.Kind"] = kind });
        string tag = $"/tag/{booked.Headers.Location!.ToString().Split('/')[2]}";
        IHtmlDocument page = await visitor.Page($"{tag}/proof");
        page.QuerySelectorAll(".proofs a").Select(a => a.GetAttribute("href")!.Split('=')[1].Split('#')[0]).ShouldBe(proofs.Split(','));
        page.QuerySelector("main")!.TextContent.ShouldNotContain("shaving thickness", Case.Insensitive);
        // What was seen is kept in the words it was chosen by, and stands in the papers.
        string seen = proofs.Split(',').First(p => p is not ("drift" or "runout" or "depth"));
        IHtmlDocument form = await visitor.Page($"{tag}/proof?Of={seen}");
        Faults(await Visitor.Read(await visitor.Submit(form, "#take", []))).ShouldContain("Choose what you saw");
        (await visitor.Submit(form, "#take", new() { ["degree"] = "0", ["conditions"] = "larch" })).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await visitor.Page($"{tag}/proof")).QuerySelector("[data-verdict]")!.GetAttribute("data-verdict").ShouldBe("met");
        (await visitor.Page($"{tag}/papers")).QuerySelector("article")!.TextContent.ShouldContain("proved (larch)");
    }

    [Fact]
    public async Task A_target_finer_than_the_instrument_is_refused()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Refused(await visitor.Submit(await visitor.Page("/tag/31/proof"), "form[data-keep^=proof]",
            new() { ["readings"] = "0.03 0.04 0.05", ["target"] = "0.005", ["resolution"] = "0.01" }));
        Faults(page).ShouldContain("finer than a step of the instrument");
    }

    [Theory]
    [InlineData("9", "5", "The scale runs")]
    [InlineData("", "", "Choose what is wrong")]
    [InlineData("2", "five", "not a whole number")]
    [InlineData("2", "90", "hits must be 0 to 50")]
    public async Task Poor_findings_get_a_sentence(string severity, string hits, string sentence)
    {
        Visitor visitor = host.Visit();
        string more = (await visitor.Page("/tag/31/state?Part=body"))
            .QuerySelector<IHtmlAnchorElement>(".noted a[aria-label^='Say more about rust']")!.GetAttribute("href")!;
        IHtmlDocument page = await Refused(await visitor.Submit(await visitor.Page(more), "form[action*='handler=Change']", new() { ["severity"] = severity,
            ["hits"] = hits, ["points"] = hits.Length > 0 ? "50" : "", ["note"] = "near the toe" }));
        Faults(page).ShouldContain(sentence);
        page.QuerySelector<IHtmlInputElement>("#note")!.Value.ShouldBe("near the toe");
    }

    [Theory]
    [InlineData("", "18", "1910", "in a few words")]
    [InlineData("apprenticed", "eighteen", "", "is not a year")]
    [InlineData("apprenticed", "", "", "first year it can be of")]
    [InlineData("apprenticed", "1910", "1890", "1890 is before 1910")]
    public async Task What_is_known_of_its_past_needs_words_and_years(string words, string from, string to, string sentence)
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Refused(await visitor.Submit(await visitor.Page("/tag/31/origin"), "form[data-keep^=known]", new() { ["words"] = words,
            ["notBefore"] = from, ["notAfter"] = to }));
        Faults(page).ShouldContain(sentence);
        page.QuerySelector<IHtmlInputElement>("#notafter")!.Value.ShouldBe(to);
    }

    [Theory]
    [InlineData("warm", "50", "not a shop temperature")]
    [InlineData("18", "130", "not a humidity")]
    public async Task A_shop_cannot_be_boiling_or_under_water(string temperature, string humidity, string sentence)
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Refused(await visitor.Submit(await visitor.Page("/shop"), "form[data-swap]", new() { ["name"] = "Loft",
            ["temperature"] = temperature, ["humidity"] = humidity, ["rust"] = "Citric" }));
        Faults(page).ShouldContain(sentence);
    }

    private sealed class ZeroContent(long length) : HttpContent
    {
        protected override async Task SerializeToStreamAsync(Stream stream, TransportContext? context)
        {
            byte[] zeros = new byte[1 << 20];
            for (long sent = 0; sent < length; sent += zeros.Length)
            {
                await stream.WriteAsync(zeros);
            }
        }

        protected override bool TryComputeLength(out long computed)
        {
            computed = length;
            return true;
        }
    }
}
