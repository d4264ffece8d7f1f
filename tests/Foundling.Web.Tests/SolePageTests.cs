using System.Net;
using System.Net.Sockets;
using System.Text;
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
        int fields = film[0].GetProperty("columns").GetInt32() * film[0].GetProperty("rows").GetInt32();
        film.Skip(1).ShouldAllBe(f => f.GetProperty("marks").GetString()!.Length == fields && f.GetProperty("touch").GetString()!.Length == fields);
        film[1].GetProperty("marks").GetString()!.Count(m => m == 'l').ShouldBeGreaterThan(fields / 2, "all marks are there at first");
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

    private static Task<HttpResponseMessage> Import(Visitor visitor, IHtmlDocument page, string text, params (string Name, string Value)[] more) =>
        visitor.SubmitMany(page, "form[action*='handler=Import']", [("text", text), .. more]);

    private static string Faults(IHtmlDocument page) => string.Join(' ', page.QuerySelectorAll(".fault").Select(f => f.TextContent));

    private static string Bowl(double mm) => string.Join('\n', from x in Enumerable.Range(0, 9) from y in new[] { 3, 25, 45 } let u = (x - 4) / 4.0
        select string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{x * 18},{y},{mm * u * u:0.####}"));

    [Fact]
    public async Task Heights_that_are_micrometres_are_asked_about_and_taken_as_such()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Visitor.Read(await Import(visitor, await visitor.Page("/tag/20/sole"), Bowl(40)));
        Faults(page).ShouldContain("40 mm apart, and no flat face is");
        page.QuerySelector("#file-error").ShouldNotBeNull();
        page.QuerySelector("[name='said.Sure']").ShouldNotBeNull("it can be so all the same");
        (await Import(visitor, page, Bowl(40), ("said.Heights", "Micrometres"), ("said.State", ""))).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await Import(visitor, await visitor.Page("/tag/20/sole"), Bowl(40), ("said.Heights", "Micrometres"), ("said.Error", "0.003"), ("said.Plate", "0.004"),
            ("said.State", "as a bare body"))).StatusCode.ShouldBe(HttpStatusCode.Found);
        page = await visitor.Page("/tag/20/sole");
        page.QuerySelector("[data-flatness]")!.TextContent.ShouldStartWith("0.040 mm ± 0.00");
        page.Body!.TextContent.ShouldContain("as a bare body");
        page.QuerySelectorAll("path.contour").Length.ShouldBeGreaterThan(2);
    }

    [Fact]
    public async Task A_survey_goes_on_tomorrow_leaves_out_what_is_ticked_and_goes_out_as_it_came()
    {
        Visitor visitor = host.Visit();
        (await Import(visitor, await visitor.Page("/tag/17/sole"), Bowl(0.05))).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await Import(visitor, await visitor.Page("/tag/17/sole"), "90,10,-0.6\n0,3,0.05", ("said.More", "true"))).StatusCode.ShouldBe(HttpStatusCode.Found);
        IHtmlDocument page = await visitor.Page("/tag/17/sole");
        page.QuerySelector(".lead span")!.TextContent.ShouldContain("28 readings");
        page.QuerySelectorAll("form[action*='handler=Forget']").Length.ShouldBe(1, "it goes on with the one of yesterday, and stands for it");
        int pit = page.QuerySelectorAll("input[name=left]").Length - 2;
        (await visitor.SubmitMany(page, "form[action*='handler=LeaveOut']", [("left", $"{pit}")])).StatusCode.ShouldBe(HttpStatusCode.Found);
        page = await visitor.Page("/tag/17/sole");
        page.QuerySelector(".lead span")!.TextContent.ShouldContain("1 left out");
        page.QuerySelectorAll("path.leftout").Length.ShouldBe(1);
        (await visitor.Page("/tag/17/log")).Body!.TextContent.ShouldContain("1 reading left out of the survey of the sole: 27 readings");
        string csv = await (await visitor.Get("/tag/17/sole?handler=Csv")).Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        csv.Split('\n', StringSplitOptions.RemoveEmptyEntries).Length.ShouldBe(28, "a heading and the readings that count");
        string svg = await (await visitor.Get("/tag/17/sole?handler=Svg")).Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        System.Xml.Linq.XDocument.Parse(svg).Root!.Name.LocalName.ShouldBe("svg");
        page = await Visitor.Read(await visitor.SubmitMany(page, "form[action*='handler=LeaveOut']", Enumerable.Range(0, 28).Select(i => ("left", $"{i}"))));
        Faults(page).ShouldContain("cannot show a plane");
    }

    [Fact]
    public async Task A_survey_changes_the_minutes_of_the_plan()
    {
        Visitor visitor = host.Visit();
        async Task<string> Lapping() => (await visitor.Page("/tag/19/rod")).QuerySelector("#step-sole-lap")!.TextContent;
        (await Lapping()).ShouldNotContain("strokes on P80");
        (await visitor.Page("/tag/19/sole/lap")).Body!.TextContent.ShouldContain("nobody surveyed this sole");
        string bowl = string.Join('\n', from x in Enumerable.Range(0, 12) from y in new[] { 3, 35, 66 } let u = (x - 5.5) / 5.5
            select string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{x * 50},{y},{0.25 * u * u:0.####}"));
        (await Import(visitor, await visitor.Page("/tag/19/sole"), bowl)).StatusCode.ShouldBe(HttpStatusCode.Found);
        IHtmlDocument rod = await visitor.Page("/tag/19/rod");
        rod.QuerySelector(".notice")!.TextContent.ShouldContain("What was measured changed since this was planned");
        (await visitor.Submit(rod, ".notice form[action*='handler=Replan']", [])).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await Lapping()).ShouldContain("strokes on P80, then finer");
    }

    [Fact]
    public async Task An_indicator_is_heard_line_by_line_and_what_is_no_reading_is_said()
    {
        using var port = new TcpListener(IPAddress.Loopback, 0);
        port.Start();
        Visitor visitor = host.Visit();
        IHtmlDocument page = await Visitor.Read(await visitor.Submit(await visitor.Page("/tag/36/sole"), "form[action*='handler=Indicator']",
            new() { ["kind"] = "device", ["address"] = "/etc/passwd", ["unit"] = "Millimetres" }));
        Faults(page).ShouldContain("is no device");
        (await visitor.Submit(page, "form[action*='handler=Indicator']", new()
        {
            ["kind"] = "device", ["address"] = $"127.0.0.1:{((IPEndPoint)port.LocalEndpoint).Port}", ["unit"] = "Micrometres",
        })).StatusCode.ShouldBe(HttpStatusCode.Found);
        Task<HttpResponseMessage> heard = visitor.Get("/tag/36/sole?handler=Live");
        using var patience = new CancellationTokenSource(TimeSpan.FromSeconds(30));
        using (TcpClient device = await port.AcceptTcpClientAsync(patience.Token))
        {
            string lines = string.Join('\n', ["900", "12", "12", "oops", "12", "13", "12", "12", "900", "-30", "-30", "-30", "-30", "-30", ""]);
            await device.GetStream().WriteAsync(Encoding.ASCII.GetBytes(lines), patience.Token);
        }
        List<JsonElement> said = [.. (await (await heard).Content.ReadAsStringAsync(patience.Token)).Split('\n', StringSplitOptions.RemoveEmptyEntries)
            .Select(l => JsonSerializer.Deserialize<JsonElement>(l))];
        static string? Of(JsonElement line, string name) => line.TryGetProperty(name, out JsonElement value) ? value.ToString() : null;
        said.Select(l => Of(l, "steady")).Where(s => s is { Length: > 0 }).ShouldBe(["0.012 mm", "-0.03 mm"]);
        said.Count(l => Of(l, "over") is null && Of(l, "shown") is null or "").ShouldBe(1, "one line was no reading");
        Of(said[^1], "over")!.ShouldContain("said its last");
    }

    [Fact]
    public async Task Other_faces_are_surveyed_at_their_own_size_and_judged_as_what_they_are()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/31/sole?face=frog_face");
        page.QuerySelector("h2")!.TextContent.ShouldBe("Map of the face of the frog");
        string rows = string.Join('\n', from x in Enumerable.Range(0, 5) from y in new[] { 3, 25, 47 } select string.Create(
            System.Globalization.CultureInfo.InvariantCulture, $"{x * 20},{y},{(x == 2 ? 0.2 : 0):0.###}"));
        (await Import(visitor, page, rows)).Headers.Location!.ToString().ShouldBe("/tag/31/sole?face=frog_face");
        page = await visitor.Page("/tag/31/sole?face=frog_face");
        page.QuerySelector("[data-flatness]")!.TextContent.ShouldStartWith("0.2");
        page.QuerySelector("[data-says]")!.TextContent.ShouldContain("only until the iron lies without rocking");
        page.Body!.TextContent.ShouldContain("wanted for the face of the frog");
        page.QuerySelector("form[action*='handler=Leave']:not([action*='LeaveOut'])").ShouldBeNull("only a sole is left by the plan");
        (await visitor.Page("/tag/31/sole")).QuerySelector(".faces")!.TextContent.ShouldContain("Face of the frog · 1");
        (await visitor.Page("/tag/31/state")).Body!.TextContent.ShouldContain("out of flat over the face of the frog");
        (await visitor.Page("/tag/31/proof")).QuerySelectorAll(".flatness").Select(f => f.GetAttribute("data-face")).ShouldBe(["sole", "frog_face"]);
        (await visitor.Page("/tag/31/papers")).QuerySelectorAll(".flatness").Length.ShouldBe(2);
        page = await visitor.Page("/tag/31/sole?face=left_cheek&long=200&wide=40");
        page.QuerySelector<IHtmlInputElement>("#size-long")!.Value.ShouldBe("200");
        page.QuerySelector(".grid-in th:last-child")!.TextContent.ShouldBe("198 mm");
        (await visitor.Page("/tag/31/sole?face=left_cheek&long=broad")).QuerySelector("#size-long + .fault, .fault")!.TextContent.ShouldContain("broad");
        (await visitor.Get("/tag/31/sole?face=handle")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await visitor.Page("/tag/22/sole")).QuerySelector("[data-none]").ShouldNotBeNull("a saw has no face that is read");
    }

    [Fact]
    public async Task Straightedge_lines_say_what_they_leave_unseen_and_how_they_close()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/27/sole");
        int many = page.QuerySelectorAll("[name=gap]").Length;
        Task<HttpResponseMessage> Lay(IHtmlDocument on, Func<string, string, string> gap) => visitor.SubmitMany(on, "form[action*='handler=Lines']",
            page.QuerySelectorAll("[name=gap]").Select(g => ("gap", gap(g.GetAttribute("data-line")!, g.GetAttribute("data-station")!))));
        IHtmlDocument bad = await Visitor.Read(await Lay(page, (line, _) => line is "down" or "up" ? "" : "0"));
        Faults(bad).ShouldContain("Twist cannot be seen: add both diagonals.");
        bad.QuerySelectorAll<IHtmlInputElement>("[name=gap]").Count(g => g.Value == "0").ShouldBe(many - 6, "nothing that was typed is lost");
        Faults(await Visitor.Read(await Lay(page, (line, station) => line == "near" && station == "0/0" ? "0" : ""))).ShouldContain("Only one gap");
        Faults(await Visitor.Read(await Lay(page, (line, _) => line == "near" ? "thin" : ""))).ShouldContain("thin");
        Faults(await Visitor.Read(await Lay(page, (_, _) => ""))).ShouldContain("at least six lines");
        HttpResponseMessage kept = await Lay(await visitor.Page("/tag/27/sole"), (line, station) => station.StartsWith('2')
            ? line == "down" ? "0.05" : "0.03" : "0");
        kept.StatusCode.ShouldBe(HttpStatusCode.Found);
        (await visitor.Page("/tag/27/sole")).QuerySelector(".lead span")!.TextContent.ShouldContain("straightedge lines; where they cross they agree within");
    }

    [Fact]
    public async Task Leaving_the_sole_is_an_answer()
    {
        Visitor visitor = host.Visit();
        (await visitor.Submit(await visitor.Page("/tag/31/sole"), "form[action*='handler=Leave']:not([action*='LeaveOut'])", []))
            .StatusCode.ShouldBe(HttpStatusCode.Found);
        (await visitor.Page("/tag/31/sole")).QuerySelector("[data-says]")!.TextContent.ShouldContain("left as it is");
        (await visitor.Page("/tag/31/ways")).Body!.TextContent.ShouldContain("left as it is");
    }

    [Fact]
    public async Task A_plate_is_surveyed_and_surveys_reckon_with_it_from_then_on()
    {
        Visitor visitor = host.Visit();
        Task<HttpResponseMessage> Post(IHtmlDocument on, string text) => visitor.SubmitMany(on, "form[action*='handler=Plate']", [("text", text),
            ("heights", "Micrometres")]);
        IHtmlDocument page = await visitor.Page("/grits");
        (await Visitor.Read(await Post(page, "0,0,zero"))).QuerySelector("#surveyed .fault")!.TextContent.ShouldContain("Line 1");
        (await Visitor.Read(await Post(await visitor.Page("/grits"),
          "0,0,1"))).QuerySelector("#surveyed .fault")!.TextContent.ShouldContain("cannot show a plane");
        page = await Visitor.Read(await Post(await visitor.Page("/grits"),
          "0,0,0\n200,0,12\n400,0,0\n0,150,0\n200,150,12\n400,150,0\n0,300,0\n200,300,12\n400,300,0"));
        page.QuerySelector("[data-plate-flat]")!.TextContent.ShouldContain("0.012 mm out of flat, round along it");
        (await visitor.Submit(page, "form[action*='handler=Reckon']", [])).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await visitor.Page("/grits")).QuerySelector("#surveyed")!.TextContent.ShouldContain("flat within 0.012 mm");
        (await visitor.Page("/tag/42/sole")).QuerySelector<IHtmlInputElement>("#grid-plate")!.Value.ShouldBe("0.012");
    }

    [Fact]
    public async Task Several_faces_go_up_the_grits_together_and_a_tag_fills_them_in()
    {
        IHtmlDocument page = await host.Visit().Page("/grits?name=sole&area=1.47&defect=0.1&metal=CastIron&finish=FEPA-P|P400"
            + "&name=back&area=0.12&defect=0.05&metal=HardenedSteel&finish=JIS|4000");
        page.QuerySelector("h2")!.TextContent.ShouldBe("In one go");
        page.QuerySelectorAll("table.plain th").Select(h => h.TextContent).Take(3).ShouldBe(["with", "Sole", "Back"]);
        page = await host.Visit().Page("/grits?tag=19");
        page.QuerySelectorAll<IHtmlInputElement>("[name=area]").First().Value.ShouldNotBeEmpty();
        page.Body!.TextContent.ShouldContain("F-0019");
        page.QuerySelector("svg.gritrule .used").ShouldNotBeNull();
    }

    [Fact]
    public async Task Grits_are_laddered_looked_up_and_plates_are_read()
    {
        IHtmlDocument page = await host.Visit().Page("/grits?area=1.47&defect=0.1&finish=FEPA-P|P400");
        page.QuerySelectorAll("svg.gritrule circle.used").Length.ShouldBeGreaterThan(1);
        page.Body!.TextContent.ShouldContain("Left out, because changing costs more than it saves");
        page.Body!.TextContent.ShouldContain("would save most");
        (await host.Visit().Page("/grits?area=1.47&defect=0.1&stamp=0.05"))
            .QuerySelector(".notice.bad")!.TextContent.ShouldContain("No ladder spares the stamp");
        (await host.Visit().Page("/grits?area=none")).QuerySelector(".notice.bad")!.TextContent.ShouldContain("is not a number");
        (await host.Visit().Page("/grits?system=JIS&grit=1000")).QuerySelector("#convert")!.TextContent.ShouldContain("11.5 µm");
        (await host.Visit().Page("/grits?system=JIS&grit=7")).QuerySelector("#convert .fault")!.TextContent.ShouldContain("has no grade");
        (await host.Visit().Page("/grits?gap=0.1&gap=0.2&gap=0.1")).QuerySelector("#plate")!.TextContent.ShouldContain("Bows: a 0.10 mm");
        (await host.Visit().Page("/grits?long=200&sole=245")).QuerySelector("#plate .bad")!.TextContent.ShouldContain("too short");
        (await host.Visit().Page("/grits?gap=0.1")).QuerySelector("#plate .fault")!.TextContent.ShouldContain("all three pairs");
    }

    [Fact]
    public async Task A_wooden_sole_is_read_by_sticks_and_what_is_kept_is_planned_with()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/40/sole/wood?sticks=1.1&long=400&mouth=2.4");
        page.QuerySelectorAll(".woodsole path.off").Length.ShouldBe(2, "two corners across from one another");
        page.QuerySelector(".woodsole title")!.TextContent.ShouldContain("toe, near");
        (await visitor.Page("/tag/40/sole/wood?sticks=-1.1&long=400")).QuerySelector(".woodsole title")!.TextContent.ShouldContain("toe, far");
        (await visitor.Page("/tag/40/sole/wood?sticks=0.1&hollow=0.6")).QuerySelectorAll(".woodsole path.off").Length.ShouldBe(4);
        (await visitor.Page("/tag/40/sole/wood?sticks=0.1&mouth=12")).Body!.TextContent.ShouldContain("let a piece into the sole");
        Faults(await visitor.Page("/tag/40/sole/wood?sticks=wide")).ShouldContain("not a length");
        page = await visitor.Page("/tag/40/sole/wood?sticks=-1.1&long=400&mouth=2.4");
        HttpResponseMessage kept = await visitor.Submit(page, "form[action*='handler=Keep']", []);
        (await visitor.Page(kept.Headers.Location!.ToString())).QuerySelector(".woodsole title")!.TextContent.ShouldContain("toe, far", Case.Insensitive,
            "what was said stays in the address");
        page = await visitor.Page("/tag/40/sole/wood");
        page.QuerySelector<IHtmlInputElement>("#sticks")!.Value.ShouldBe("1.1");
        page.QuerySelectorAll(".woodsole path.off").ShouldBeEmpty("how much was kept, not which way");
        (await visitor.Get("/tag/31/sole/wood")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_tool_without_a_metal_sole_has_no_such_leaf()
    {
        (await host.Visit().Get("/tag/24/sole/lap")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await host.Visit().Get("/tag/24/sole/marks")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        Visitor visitor = host.Visit();
        IHtmlDocument other = await visitor.Page("/tag/31/sole/marks");
        var form = (IHtmlFormElement)other.QuerySelector("form[action*='handler=Look']")!;
        form.Action = "/tag/24/sole/marks?handler=Look";
        (await Visitor.Read(await visitor.Submit(form, other, new() { ["strokes"] = "30" }))).Title.ShouldBe("This page cannot be shown · Foundling");
        (await visitor.Page("/tag/24/log")).Body!.TextContent.ShouldNotContain("Marks on the sole");
        (await host.Visit().Get("/tag/24/sole/lap?handler=film")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
