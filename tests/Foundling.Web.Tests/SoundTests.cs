using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using AngleSharp.Html.Dom;
using Foundling.Core.Log;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Store;
using Foundling.Data.Tags;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace Foundling.Web.Tests;

/// <summary>Absurd and hostile input leaves every page standing, and nothing is lost in silence.</summary>
public sealed class SoundTests(DemoHost host) : IClassFixture<DemoHost>
{
    private static readonly string[] Leaves = ["origin", "state", "aim", "rod", "log", "proof", "papers", "book", "sole", "ways", "needs", "rules",
        "condition"];

    private async Task<int> BookIn(string kind, params (string, string, HttpContent)[] pictures)
    {
        Visitor visitor = host.Visit();
        HttpResponseMessage answer = await visitor.Submit(await visitor.Page("/new"), "form[data-keep=new]", new() { ["Form.Kind"] = kind,
            ["Form.Name"] = "trial" }, pictures);
        answer.StatusCode.ShouldBe(HttpStatusCode.Found);
        return int.Parse(answer.Headers.Location!.ToString().Split('/')[2]);
    }

    private async Task Change(int number, Action<Tag> change)
    {
        await using AsyncServiceScope scope = host.Services.CreateAsyncScope();
        TagBook book = scope.ServiceProvider.GetRequiredService<TagBook>();
        Tag tag = (await book.Find(number))!;
        change(tag);
        await book.Save(tag);
    }

    private async Task AllLeavesStand(int number)
    {
        Visitor visitor = host.Visit();
        foreach (string leaf in Leaves)
        {
            HttpResponseMessage answer = await visitor.Get($"/tag/{number}/{leaf}");
            answer.StatusCode.ShouldBe(HttpStatusCode.OK, leaf);
            (await answer.Content.ReadAsStringAsync()).ShouldNotContain("cannot be shown", Case.Sensitive, leaf);
        }
    }

    private static string Said(IHtmlDocument page) => string.Join(" | ", page.QuerySelectorAll(".fault, .notice, [data-fault]").Select(f =>
        f.TextContent.Trim()).Where(t => t.Length > 0));

    [Fact]
    public async Task Ten_thousand_readings_are_kept_shown_and_taken_back()
    {
        int number = await BookIn("metal-bench-plane");
        Visitor visitor = host.Visit();
        var random = new Random(3);
        string text = string.Join('\n', Enumerable.Range(0, 10_000).Select(_ =>
            FormattableString.Invariant($"{random.NextDouble() * 240:0.##},{random.NextDouble() * 55:0.##},{random.NextDouble() * 0.1:0.####}")));
        (await visitor.Submit(await visitor.Page($"/tag/{number}/sole"), "form[action*='handler=Import']", new() { ["text"] = text }))
            .StatusCode.ShouldBe(HttpStatusCode.Found);
        IHtmlDocument page = await visitor.Page($"/tag/{number}/sole");
        page.QuerySelectorAll("svg.map .at").Length.ShouldBeInRange(100, 401);
        page.QuerySelector("[data-flatness]").ShouldNotBeNull();
        await AllLeavesStand(number);
        (await visitor.Submit(page, "form[action*='handler=Forget']", [])).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await visitor.Page($"/tag/{number}/sole")).QuerySelector("svg.map").ShouldBeNull();
        (await visitor.Page($"/tag/{number}/log")).Body!.TextContent.ShouldContain("Survey of the sole taken back: 10000 readings");
    }

    [Theory]
    [InlineData("1000000000 1000000000 1000000000", "must be")]
    [InlineData("200 200 200", "must be")]
    public async Task Proofs_no_workshop_ever_saw_are_refused(string readings, string sentence)
    {
        Visitor visitor = host.Visit();
        Said(await Visitor.Read(await visitor.Submit(await visitor.Page("/tag/31/proof"), "form[data-keep^=proof]", new() { ["readings"] = readings })))
            .ShouldContain(sentence);
    }

    [Fact]
    public async Task Sixty_thousand_readings_in_one_field_are_a_sentence()
    {
        Visitor visitor = host.Visit();
        Said(await Visitor.Read(await visitor.Submit(await visitor.Page("/tag/31/proof"), "form[data-keep^=proof]",
            new() { ["readings"] = string.Concat(Enumerable.Repeat("0.03 ", 60_000)) }))).ShouldContain("letters long");
    }

    [Fact]
    public async Task A_proof_can_be_taken_back_and_the_log_says_so()
    {
        int number = await BookIn("metal-bench-plane");
        Visitor visitor = host.Visit();
        await visitor.Submit(await visitor.Page($"/tag/{number}/proof"), "form[data-keep^=proof]", new() { ["readings"] = "0.03 0.031 0.032",
            ["conditions"] = "larch" });
        IHtmlDocument page = await visitor.Page($"/tag/{number}/proof");
        page.QuerySelectorAll("[data-verdict]").Length.ShouldBe(1);
        (await visitor.Submit(page, "form[action*='handler=Forget']", [])).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await visitor.Page($"/tag/{number}/proof")).QuerySelectorAll("[data-verdict]").Length.ShouldBe(0);
        (await visitor.Page($"/tag/{number}/log")).Body!.TextContent.ShouldContain("Proof taken back: 3 readings, larch");
    }

    [Theory]
    [InlineData("/tag/40/aim", "form[action$='/aim']", "aim", "Destroy")]
    [InlineData("/tag/40/papers", "form[action*='handler=Status']", "status", "stolen")]
    [InlineData("/tag/40/papers", "form[action*='handler=Status']", "status", "7")]
    [InlineData("/stores/kit", "form[action*='handler=Stock']", "stock", "plenty")]
    [InlineData("/stores/kit", "form[action*='handler=Stock']", "arrives", "soon")]
    [InlineData("/tag/40/aim", "form[action*='handler=Wish']", "rarity", "unique")]
    public async Task Words_that_are_not_understood_change_nothing(string path, string form, string field, string value)
    {
        Visitor visitor = host.Visit();
        string before = (await visitor.Page("/tag/40/papers")).QuerySelector("article")!.TextContent;
        HttpResponseMessage answer = await visitor.Submit(await visitor.Page(path), form, new() { [field] = value, ["stock"] = field == "stock" ? value
            : "OnOrder" });
        answer.StatusCode.ShouldNotBe(HttpStatusCode.Found);
        ((int)answer.StatusCode).ShouldBeLessThan(500);
        Said(await Visitor.Read(answer)).ShouldContain($"\"{value}\" is not understood as {field}");
        (await visitor.Page("/tag/40/papers")).QuerySelector("article")!.TextContent.ShouldBe(before);
    }

    public static TheoryData<string, string> Pairs()
    {
        string[] kinds = [.. ToolCatalogue.Kinds.DistinctBy(k => k.Family).Select(k => k.Id.Value)];
        var pairs = new TheoryData<string, string>();
        for (int i = 0; i < kinds.Length; i++)
        {
            pairs.Add(kinds[i], kinds[(i + 1) % kinds.Length]);
        }
        return pairs;
    }

    [Theory]
    [MemberData(nameof(Pairs))]
    public async Task A_kind_put_right_leaves_every_page_standing(string from, string to)
    {
        int number = await BookIn(from);
        await Change(number, tag =>
        {
            foreach (PartDef part in tag.Tool().Parts)
            {
                tag.Findings.Add(new Finding { Id = Guid.NewGuid(), Part = part.Id, Kind = Faults.For(tag.Tool(), part)[0], Severity = 2,
                    At = host.Time.GetUtcNow() });
                tag.Measurements.Add(new Measurement { Id = Guid.NewGuid(), Part = part.Id, Kind = MeasureKinds.For(tag.Tool(), part)[0].Id, Value = 2,
                    At = host.Time.GetUtcNow() });
            }
        });
        Visitor visitor = host.Visit();
        await visitor.Submit(await visitor.Page($"/tag/{number}/aim"), "form[action$='/aim']", new() { ["aim"] = "Work" });
        IHtmlDocument book = await visitor.Page($"/tag/{number}/book");
        (await visitor.Submit(book, "form[data-keep^=book]", new() { ["Form.Kind"] = to, ["Form.Name"] = "trial",
            ["Form.ArrivedOn"] = book.QuerySelector<IHtmlInputElement>("#f-arrived")!.Value, ["Form.Hand"] = "Either" }))
            .StatusCode.ShouldBe(HttpStatusCode.Found);
        Said(await visitor.Page($"/tag/{number}/book")).ShouldContain("Set aside");
        await AllLeavesStand(number);
    }

    [Fact]
    public async Task Of_several_pictures_the_good_ones_are_kept_and_the_bad_one_named()
    {
        int number = await BookIn("axe", ("Pictures", "one.png", HoldTests.Picture(71)), ("Pictures", "two.heic", new StringContent("ftypheic")),
            ("Pictures", "three.png", HoldTests.Picture(72)));
        Visitor visitor = host.Visit();
        (await visitor.Page($"/tag/{number}/book")).QuerySelectorAll(".shots img").Length.ShouldBe(2);
        IHtmlDocument page = await visitor.Page($"/tag/{number}/book");
        await visitor.Submit(page, "form[action*='handler=Pictures']", [], ("pictures", "four.png", HoldTests.Picture(73)), ("pictures", "five.png",
            new StringContent("no")));
        IHtmlDocument after = await visitor.Page($"/tag/{number}/book");
        Said(after).ShouldContain("\"five.png\" is not a picture");
        after.QuerySelectorAll(".shots img").Length.ShouldBe(3);
    }

    [Fact]
    public async Task Pictures_that_came_need_not_be_sent_again_when_something_else_is_put_right()
    {
        Visitor visitor = host.Visit();
        HttpResponseMessage refused = await visitor.Submit(await visitor.Page("/new"), "form[data-keep=new]", new() { ["Form.Kind"] = "axe",
            ["Form.Length"] = "long" }, ("Pictures", "a.png", HoldTests.Picture(81)));
        IHtmlDocument page = await Visitor.Read(refused);
        Said(page).ShouldContain("is not a length");
        page.Body!.TextContent.ShouldContain("1 picture came already");
        string to = (await visitor.Submit(page, "form[data-keep=new]", new() { ["Form.Kind"] = "axe" })).Headers.Location!.ToString();
        (await visitor.Page($"/tag/{to.Split('/')[2]}/book")).QuerySelectorAll(".shots img").Length.ShouldBe(1);
    }

    [Fact]
    public async Task A_picture_whose_file_is_gone_is_said_where_it_is_shown()
    {
        int number = await BookIn("axe", ("Pictures", "lost.png", HoldTests.Picture(91)));
        string file = (await host.Visit().Page($"/tag/{number}/book")).QuerySelector<IHtmlImageElement>(".shots img")!.GetAttribute("src")!.Split('/')[^1];
        await File.WriteAllBytesAsync(Path.Combine(new DataFolder(host.Folder).Pictures, file), []);
        (await host.Visit().Page($"/tag/{number}/book")).Body!.TextContent.ShouldContain("is gone or not whole");
        await AllLeavesStand(number);
        Visitor visitor = host.Visit();
        await visitor.Submit(await visitor.Page($"/tag/{number}/book"), "form[action*='handler=Pictures']", [], ("pictures", "lost.png",
            HoldTests.Picture(91)));
        (await visitor.Page($"/tag/{number}/book")).QuerySelectorAll(".shots img").Length.ShouldBe(1);
    }

    [Fact]
    public async Task A_clock_behind_or_ahead_does_not_stand_in_the_way_of_editing()
    {
        int number = await BookIn("chisel");
        await Change(number, tag => tag.ArrivedOn = DateOnly.FromDateTime(DateTime.UtcNow).AddDays(400));
        Visitor visitor = host.Visit();
        IHtmlDocument book = await visitor.Page($"/tag/{number}/book");
        Dictionary<string, string> Fields(string name, string arrived) => new() { ["Form.Kind"] = "chisel", ["Form.Name"] = name, ["Form.ArrivedOn"] = arrived,
            ["Form.Hand"] = "Either" };
        string stands = book.QuerySelector<IHtmlInputElement>("#f-arrived")!.Value;
        (await visitor.Submit(book, "form[data-keep^=book]", Fields("renamed", stands))).StatusCode.ShouldBe(HttpStatusCode.Found);
        book = await visitor.Page($"/tag/{number}/book");
        string Day(int ahead) => DateOnly.FromDateTime(host.Time.GetLocalNow().Date).AddDays(ahead).ToString("yyyy-MM-dd");
        Said(await Visitor.Read(await visitor.Submit(book, "form[data-keep^=book]", Fields("renamed", Day(3))))).ShouldContain("cannot have come after today");
        (await visitor.Submit(await visitor.Page($"/tag/{number}/book"), "form[data-keep^=book]", Fields("renamed", Day(1))))
            .StatusCode.ShouldBe(HttpStatusCode.Found);
    }

    [Fact]
    public async Task What_is_stored_badly_breaks_its_page_only_and_can_be_taken_out()
    {
        int number = await BookIn("metal-bench-plane");
        await using (AsyncServiceScope scope = host.Services.CreateAsyncScope())
        {
            // Past every check, as an older program or a rescue may leave it.
            FoundlingDb db = scope.ServiceProvider.GetRequiredService<FoundlingDb>();
            var proof = new ProofRecord { Id = Guid.NewGuid(), At = host.Time.GetUtcNow(), ReadingsMm = [], TargetMm = 0.05 };
            db.Entry(proof).Property("TagNumber").CurrentValue = number;
            db.Add(proof);
            await db.SaveChangesAsync();
        }
        Visitor visitor = host.Visit();
        IHtmlDocument broken = await Visitor.Read(await visitor.Get($"/tag/{number}/proof"));
        broken.QuerySelector("[data-fault]")!.TextContent.ShouldContain("does not hold together");
        string to = broken.QuerySelector<IHtmlAnchorElement>("a.btn.do")!.GetAttribute("href")!;
        IHtmlDocument mend = await visitor.Page(to);
        (await visitor.Submit(mend, "form[action*='handler=Out']", [])).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await visitor.Page(to)).Body!.TextContent.ShouldContain("Nothing is wrong");
        await AllLeavesStand(number);
    }

    [Fact]
    public async Task A_bundle_is_shown_before_it_is_taken_and_can_be_taken_out_again()
    {
        Visitor visitor = host.Visit();
        byte[] zip = await (await visitor.Get("/tag/31/papers?handler=Bundle")).Content.ReadAsByteArrayAsync();
        HttpResponseMessage received = await visitor.Submit(await visitor.Page("/shop"), "form[action*='handler=Import']", [], ("bundle", "papers.zip",
            new ByteArrayContent(zip)));
        string waiting = received.Headers.Location!.ToString();
        waiting.ShouldStartWith("/shop/incoming/");
        IHtmlDocument shown = await visitor.Page(waiting);
        shown.Body!.TextContent.ShouldContain("because F-0031 is taken here");
        string taken = (await visitor.Submit(shown, "form[action*='/shop/incoming/']", [])).Headers.Location!.ToString();
        int number = int.Parse(taken.Split('/')[2]);
        await AllLeavesStand(number);
        IHtmlDocument papers = await visitor.Page(taken);
        papers.Body!.TextContent.ShouldContain("Came from another shop");
        (await visitor.Submit(papers, "form[action*='handler=Out']", [])).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await visitor.Get($"/tag/{number}/papers")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await visitor.Page("/tag/31/papers")).QuerySelector("form[action*='handler=Out']").ShouldBeNull();
    }

    [Fact]
    public async Task Twenty_thousand_entries_of_a_log_are_leafed_through()
    {
        int number = await BookIn("brace");
        await using (AsyncServiceScope scope = host.Services.CreateAsyncScope())
        {
            FoundlingDb db = scope.ServiceProvider.GetRequiredService<FoundlingDb>();
            for (int i = 0; i < 20_000; i++)
            {
                var entry = new BenchEvent { Id = Guid.NewGuid(), At = host.Time.GetUtcNow().AddMinutes(-i), Kind = i % 2 == 0 ? EventKind.Note
                    : EventKind.Stopped,
                    Minutes = i % 2 == 0 ? null : 1, Text = $"entry {i}", Step = i % 2 == 0 ? null : (Core.Rod.DeedId?)Core.Keys.StepKey.Wash };
                db.Entry(entry).Property("TagNumber").CurrentValue = number;
                db.Add(entry);
            }
            await db.SaveChangesAsync();
        }
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page($"/tag/{number}/log");
        page.QuerySelectorAll("ul.sheet.list:first-of-type > li").Length.ShouldBeInRange(200, 201);
        page.Body!.TextContent.ShouldContain("166 h 40");
        IHtmlDocument older = await visitor.Page(page.QuerySelector<IHtmlAnchorElement>("a[href*='skip=200']")!.GetAttribute("href")!);
        older.Body!.TextContent.ShouldContain("entry 200");
        await AllLeavesStand(number);
    }

    [Fact]
    public async Task A_full_disk_is_said_in_words()
    {
        using var full = new FullHost();
        await full.InitializeAsync();
        Visitor visitor = full.Visit();
        IHtmlDocument page = await visitor.Page("/new");
        full.Full = true;
        var told = new Dictionary<string, string> { ["Form.Kind"] = "axe", ["Form.Story"] = new string('x', 19_000) };
        HttpResponseMessage answer = await visitor.Submit(page, "form[data-keep=new]", told);
        answer.StatusCode.ShouldBe((HttpStatusCode)507);
        Said(await Visitor.Read(answer)).ShouldContain("The disk is full: nothing was kept, what you typed is here");
        (await visitor.Get("/shelf")).StatusCode.ShouldBe(HttpStatusCode.OK);
        full.Full = false;
        (await visitor.Submit(page, "form[data-keep=new]", told)).StatusCode.ShouldBe(HttpStatusCode.Found);
    }
}
