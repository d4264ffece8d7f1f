using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json;
using AngleSharp.Html.Dom;
using Foundling.Web.Door;
using Foundling.Web.Services;
using Microsoft.Extensions.DependencyInjection;

namespace Foundling.Web.Tests;

/// <summary>Who may speak to the shop, and what is said to those who may not.</summary>
public sealed class GateTests(DemoHost host) : IClassFixture<DemoHost>
{
    private static HttpRequestMessage To(HttpMethod method, string path, string? hostName = null, params (string Name, string Value)[] headers)
    {
        var request = new HttpRequestMessage(method, path);
        request.Headers.Host = hostName;
        foreach ((string name, string value) in headers)
        {
            request.Headers.TryAddWithoutValidation(name, value);
        }
        return request;
    }

    [Theory]
    [InlineData("evil.example")]
    [InlineData("evil.example:5080")]
    [InlineData("localhost.evil.example")]
    [InlineData("192.168.1.7")]
    public async Task A_foreign_name_reads_and_writes_nothing(string name)
    {
        foreach (string path in new[] { "/shop", "/api/gauges", "/css/app.css" })
        {
            HttpResponseMessage answer = await host.Visit().Send(To(HttpMethod.Get, path, name));
            answer.StatusCode.ShouldBe((HttpStatusCode)421, path);
            (await answer.Content.ReadAsStringAsync()).ShouldNotContain("Skerrow");
        }
        HttpRequestMessage note = To(HttpMethod.Post, "/tag/31/log?handler=Note", name);
        note.Content = new FormUrlEncodedContent([new("note", "from elsewhere")]);
        (await host.Visit().Send(note)).StatusCode.ShouldBe((HttpStatusCode)421);
    }

    [Theory]
    [InlineData("localhost")]
    [InlineData("LOCALHOST:5080")]
    [InlineData("127.0.0.1:5080")]
    [InlineData("[::1]")]
    public async Task The_machines_own_names_are_answered(string name) =>
        (await host.Visit().Send(To(HttpMethod.Get, "/shelf", name))).StatusCode.ShouldBe(HttpStatusCode.OK);

    [Theory]
    [InlineData("cross-site", "no-cors", "image", HttpStatusCode.Forbidden)]
    [InlineData("cross-site", "cors", "empty", HttpStatusCode.Forbidden)]
    [InlineData("same-site", "navigate", "iframe", HttpStatusCode.Forbidden)]
    [InlineData("cross-site", "navigate", "document", HttpStatusCode.OK)]
    [InlineData("same-origin", "cors", "empty", HttpStatusCode.OK)]
    [InlineData("none", "navigate", "document", HttpStatusCode.OK)]
    public async Task What_another_site_embeds_reckons_nothing(string site, string mode, string dest, HttpStatusCode expected) =>
        (await host.Visit().Send(To(HttpMethod.Get, "/gauges/state/iron_reserve?iron_kind=Solid&edge_to_slot_end_mm=30", null, ("Sec-Fetch-Site", site),
          ("Sec-Fetch-Mode",
            mode), ("Sec-Fetch-Dest", dest)))).StatusCode.ShouldBe(expected);

    [Fact]
    public async Task What_another_site_posts_changes_nothing()
    {
        HttpRequestMessage gauge = To(HttpMethod.Post, "/api/gauges/edges/bevel", null, ("Origin", "https://evil.example"));
        gauge.Content = new StringContent("""{"thickness_mm":3,"bevel_face_mm":7}""", Encoding.UTF8, "application/json");
        (await host.Visit().Send(gauge)).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        HttpRequestMessage navigated = To(HttpMethod.Post, "/units", null, ("Sec-Fetch-Site", "cross-site"), ("Sec-Fetch-Mode", "navigate"), ("Sec-Fetch-Dest",
            "document"));
        navigated.Content = new FormUrlEncodedContent([new("units", "in")]);
        (await host.Visit().Send(navigated)).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }

    private async Task<(HttpStatusCode Status, JsonElement Problem)> Gauge(string path, string body, string type = "application/json")
    {
        HttpRequestMessage request = To(HttpMethod.Post, path);
        request.Content = new StringContent(body, Encoding.UTF8, type);
        HttpResponseMessage answer = await host.Visit().Send(request);
        answer.Content.Headers.ContentType!.MediaType.ShouldBeOneOf("application/problem+json", "application/json");
        return (answer.StatusCode, JsonDocument.Parse(await answer.Content.ReadAsStringAsync()).RootElement);
    }

    [Fact]
    public async Task A_body_that_is_not_json_is_said_so()
    {
        (await Gauge("/api/gauges/state/wilson", "hits=3", "text/plain")).Status.ShouldBe(HttpStatusCode.UnsupportedMediaType);
        (await Gauge("/api/gauges/state/nothing", "{}")).Status.ShouldBe(HttpStatusCode.NotFound);
        (await Gauge("/api/nothing", "{}")).Status.ShouldBe(HttpStatusCode.NotFound);
        (await Gauge("/api/gauges/state/wilson", "{")).Problem.GetProperty("error").GetString().ShouldBe("not_json");
    }

    [Theory]
    [InlineData("state/colour_coverage", """{"pixels_srgb":[null]}""")]
    [InlineData("sole/grid_survey", """{"length_mm":245,"width_mm":60,"points_mm":[]}""")]
    [InlineData("sole/grid_survey", """{"length_mm":245,"width_mm":60,"points_mm":[[1],[2],[3]]}""")]
    [InlineData("sole/grid_survey", """{"length_mm":1e308,"width_mm":60,"points_mm":[[0,0,0],[1,1,1],[5,9,0]]}""")]
    [InlineData("sole/line_survey", """{"stations_mm":{"a":[]},"lines":[{"line":"x","readings":[["a",0]]}]}""")]
    [InlineData("sole/line_survey", """{"stations_mm":{"a":null},"lines":[]}""")]
    [InlineData("dating/date_tool", """{"observations":[{"id":"x"}]}""")]
    [InlineData("dating/date_tool", """{"observations":[null]}""")]
    [InlineData("proof/trouble", """{"causes":[{"id":"a","prior":1},{"id":"a","prior":1}],"signs":[],"seen":[]}""")]
    [InlineData("worth/totals", """{"steps":[{"low":1e308,"likely":1e308,"high":1e308},{"low":1e308,"likely":1e308,"high":1e308}]}""")]
    [InlineData("edges/bevel", """{"thickness_mm":1e308,"bevel_face_mm":1}""")]
    [InlineData("baths/soak_time", """{"bath":"citric","rust":"heavy","percent":1e-300}""")]
    [InlineData("baths/soak_time", """{"bath":"citric","rust":"heavy","percent":5,"temperature_c":20,"room_temperature_c":-300,"volume_l":5}""")]
    [InlineData("sole/lapping", """{"length_mm":100000,"width_mm":100000,"grit":"P80","shape":{},"cell_mm":1}""")]
    [InlineData("sole/lapping", """{"length_mm":2000,"width_mm":200,"grit":"P80","shape":{"lengthwise_bow_mm":0.4},"cell_mm":1}""")]
    [InlineData("sole/lapping", """{"length_mm":245,"width_mm":60,"grit":"P80","shape":{},"force_n":1e300}""")]
    [InlineData("sole/lapping", """{"length_mm":245,"width_mm":60,"grit":"P80","shape":{},"max_strokes":2000000000}""")]
    public async Task Faults_in_json_are_problem_details(string gauge, string body)
    {
        (HttpStatusCode status, JsonElement problem) = await Gauge("/api/gauges/" + gauge, body);
        status.ShouldBe(HttpStatusCode.BadRequest, problem.ToString());
        problem.GetProperty("detail").GetString()!.Length.ShouldBeGreaterThan(10);
        problem.GetProperty("error").GetString().ShouldNotBeNullOrEmpty();
    }

    [Fact]
    public async Task Large_questions_are_refused_before_they_are_reckoned()
    {
        string observations = string.Join(',', Enumerable.Range(0, 20_001).Select(i => $$"""{"id":"o{{i}}","mark":"window","not_before_year":1900}"""));
        (await Gauge("/api/gauges/dating/date_tool", $$"""{"observations":[{{observations}}]}""")).Status.ShouldBe(HttpStatusCode.BadRequest);
        string years = string.Join(',', Enumerable.Repeat("1900", 100_000));
        (await Gauge("/api/gauges/dating/date_tool", $$"""{"observations":[],"report_years":[{{years}}]}""")).Status.ShouldBe(HttpStatusCode.BadRequest);
        string points = string.Join(',', Enumerable.Range(0, 21_000).Select(i => $"[{i % 245},{i % 60},0.1]"));
        (await Gauge("/api/gauges/sole/grid_survey", $$"""{"length_mm":245,"width_mm":60,"points_mm":[{{points}}]}"""))
            .Status.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Theory]
    [InlineData("/baths/blasting?tank=50&area=1e300&high=8&low=4&gun=300&delivery=120")]
    [InlineData("/identify?look=")]
    [InlineData("/identify?look=&look=x:y&skip=")]
    [InlineData("/marks?mark=%F0%9F%98%80")]
    [InlineData("/shelf?page=-4&q=%25")]
    [InlineData("/tag/31/log?skip=-9")]
    [InlineData("/tag/31/rod?was=x%3Dy")]
    [InlineData("/tag/31/state?Part=nothing")]
    public async Task Strange_addresses_answer_a_page(string path) => (await host.Visit().Get(path)).StatusCode.ShouldBe(HttpStatusCode.OK);

    [Theory]
    [InlineData("/tag/31/log?x=%00")]
    [InlineData("/identify?length=%00")]
    public async Task What_is_no_letter_in_an_address_is_refused(string path) => (await host.Visit().Get(path)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);

    [Fact]
    public async Task Forms_that_cannot_be_taken_are_sentences()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/31/log");
        async Task<string> Sent(Dictionary<string, string> values, HttpStatusCode expected)
        {
            HttpResponseMessage answer = await visitor.Submit(page, "form[data-keep^=note]", values);
            answer.StatusCode.ShouldBe(expected);
            return (await Visitor.Read(answer)).QuerySelector("[data-fault]")!.TextContent;
        }
        (await Sent(new() { ["note"] = "a\0b" }, HttpStatusCode.BadRequest)).ShouldContain("no letter");
        (await Sent(new() { ["note"] = new string('x', 3_000_000) }, HttpStatusCode.RequestEntityTooLarge)).ShouldContain("more than 2 MB");
        (await Sent(Enumerable.Range(0, 5000).ToDictionary(i => $"f{i}", _ => "1"), HttpStatusCode.RequestEntityTooLarge)).ShouldContain("too many fields");
    }

    [Fact]
    public async Task Addresses_with_strange_letters_lead_back_all_the_same()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/tag/31/rod");
        var form = (IHtmlFormElement)page.QuerySelector(".unitswitch")!;
        HttpResponseMessage back = await visitor.Submit(form, page, new() { ["units"] = "mm", ["to"] = "/shelf?q=é" });
        back.StatusCode.ShouldBe(HttpStatusCode.Found);
        back.Headers.Location!.OriginalString.ShouldBe("/shelf?q=%C3%A9");
        (await visitor.Submit(page, "form[action*='handler=Replan']", new() { ["step"] = "é" })).StatusCode.ShouldBe(HttpStatusCode.Found);
    }
}

/// <summary>A shop that is open to other machines.</summary>
public sealed class GuardTests(GuardedHost host) : IClassFixture<GuardedHost>
{
    private async Task<Visitor> SignedIn()
    {
        Visitor visitor = host.Visit();
        await visitor.Submit(await visitor.Page("/signin"), "form", new() { ["passphrase"] = GuardedHost.Secret });
        (await visitor.Get("/shelf")).StatusCode.ShouldBe(HttpStatusCode.OK);
        return visitor;
    }

    [Fact]
    public async Task A_ticket_dies_with_signing_out()
    {
        Visitor visitor = await SignedIn();
        string cookie = visitor.Cookie("foundling");
        await visitor.Submit(await visitor.Page("/shop"), "form[action*='handler=Out']", []);
        Visitor thief = host.Visit();
        thief.SetCookie("foundling", cookie);
        (await thief.Get("/shelf")).StatusCode.ShouldBe(HttpStatusCode.Found);
    }

    [Fact]
    public async Task Signing_out_everywhere_ends_every_ticket()
    {
        Visitor one = await SignedIn(), two = await SignedIn();
        await one.Submit(await one.Page("/shop"), "form[action*='handler=Everywhere']", []);
        (await one.Get("/shelf")).StatusCode.ShouldBe(HttpStatusCode.Found);
        (await two.Get("/shelf")).StatusCode.ShouldBe(HttpStatusCode.Found);
    }

    [Fact]
    public async Task A_ticket_dies_with_another_passphrase_and_outlives_a_restart()
    {
        Tickets before = host.Services.GetRequiredService<Tickets>();
        string key = await before.Issue();
        var folder = new Data.Store.DataFolder(host.Folder);
        new Tickets(folder, host.Options, host.Time).Holding(key).ShouldBeTrue();
        new Tickets(folder, host.Options with { Passphrase = "quite another one" }, host.Time).Holding(key).ShouldBeFalse();
    }

    [Fact]
    public async Task Pages_before_signing_in_show_nothing_of_the_shop()
    {
        Visitor stranger = host.Visit();
        foreach (string path in new[] { "/signin", "/nowhere", "/oops", "/signin?to=%00" })
        {
            string text = await (await stranger.Get(path)).Content.ReadAsStringAsync();
            text.ShouldNotContain("Skerrow");
            text.ShouldNotContain("F-00");
            text.ShouldNotContain(host.Folder);
        }
    }

    [Fact]
    public async Task The_api_says_sign_in_first_in_its_own_tongue()
    {
        HttpResponseMessage answer = await host.Visit().Get("/api/gauges");
        answer.StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("application/problem+json");
    }

    [Fact]
    public async Task A_stranger_writes_nothing_to_the_disk()
    {
        foreach (string path in new[] { "/signin", "/oops", "/tag/31/book?handler=Pictures" })
        {
            using var content = new MultipartFormDataContent { { new ByteArrayContent(new byte[64 * 1024]), "pictures", "a.png" } };
            HttpResponseMessage answer = await host.Visit().Send(new HttpRequestMessage(HttpMethod.Post, path) { Content = content });
            answer.StatusCode.ShouldBeOneOf(HttpStatusCode.RequestEntityTooLarge, HttpStatusCode.Found, HttpStatusCode.NotFound);
        }
    }

    [Fact]
    public async Task Wrong_passphrases_are_slowed_and_the_owner_is_not_locked_out()
    {
        Visitor visitor = host.Visit();
        // Looking at the door counts for nothing.
        for (int i = 0; i < 20; i++)
        {
            (await visitor.Get("/signin")).StatusCode.ShouldBe(HttpStatusCode.OK);
        }
        HttpStatusCode last = HttpStatusCode.OK;
        for (int i = 0; i < 8 && last == HttpStatusCode.OK; i++)
        {
            last = (await visitor.Submit(await visitor.Page("/signin"), "form", new() { ["passphrase"] = $"guess {i}" })).StatusCode;
        }
        last.ShouldBe(HttpStatusCode.TooManyRequests);
        (await (await visitor.Submit(await visitor.Page("/signin"), "form", new() { ["passphrase"] = "again" })).Content.ReadAsStringAsync())
            .ShouldContain("then try again");
        host.Time.Advance(TimeSpan.FromMinutes(2));
        (await visitor.Submit(await visitor.Page("/signin"), "form", new() { ["passphrase"] = GuardedHost.Secret })).StatusCode.ShouldBe(HttpStatusCode.Found);
    }

    [Fact]
    public void Each_address_waits_for_its_own_mistakes_and_longer_each_time()
    {
        var wrong = new WrongPassphrases(host.Time);
        for (int i = 0; i < 5; i++)
        {
            wrong.Wait("a").ShouldBe(TimeSpan.Zero);
            wrong.Wrong("a");
        }
        TimeSpan first = wrong.Wait("a");
        first.ShouldBeGreaterThan(TimeSpan.Zero);
        wrong.Wait("b").ShouldBe(TimeSpan.Zero);
        wrong.Wrong("a");
        wrong.Wait("a").ShouldBeGreaterThan(first);
        Enumerable.Range(0, 100).ToList().ForEach(_ => wrong.Wrong("a"));
        wrong.Wait("a").ShouldBeLessThanOrEqualTo(TimeSpan.FromMinutes(1));
        wrong.Right("a");
        wrong.Wait("a").ShouldBe(TimeSpan.Zero);
    }

    [Fact]
    public void The_start_line_says_where_it_listens_and_that_others_can_read_along()
    {
        string open = FoundlingApp.StartLine(host.Options with { Hosts = ["shed.local"] });
        open.ShouldContain("http://shed.local:5080");
        open.ShouldContain("not encrypted");
        FoundlingApp.StartLine(host.Options with { Passphrase = null }).ShouldContain("on this machine only");
    }

    [Theory]
    [InlineData("--port", "abc")]
    [InlineData("--port", "0")]
    [InlineData("--port", "70000")]
    [InlineData("--port")]
    [InlineData("--data")]
    [InlineData("--data", "--demo")]
    [InlineData("--speed", "9")]
    [InlineData("shop")]
    public void A_wrong_option_is_a_sentence(params string[] args) => Should.Throw<Data.Store.CannotOpenException>(() =>
        ShopOptions.From(args, _ => null)).Message.ShouldNotContain("\n");
}
