using System.Net;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;
using Ical.Net;
using Ical.Net.CalendarComponents;

namespace Foundling.Web.Tests;

/// <summary>The baths room over an in-memory host with the test clock: what is mixed, put in, seen, taken out and taken back.</summary>
public sealed class BathPageTests : IAsyncLifetime
{
    private readonly DemoHost _host = new();

    /// <inheritdoc />
    public ValueTask InitializeAsync() => _host.InitializeAsync();

    /// <inheritdoc />
    public ValueTask DisposeAsync() => _host.DisposeAsync();

    private static async Task<IHtmlDocument> Sent(Visitor visitor, HttpResponseMessage answer)
    {
        IHtmlDocument read = await Visitor.Read(answer);
        answer.StatusCode.ShouldBe(HttpStatusCode.Found, read.QuerySelector(".notice.bad")?.TextContent);
        return await visitor.Page(answer.Headers.Location!.ToString().Split('#')[0]);
    }

    private static async Task<HttpResponseMessage> Load(Visitor visitor, string query, Dictionary<string, string>? values = null)
    {
        IHtmlDocument page = await visitor.Page($"/baths/load?{query}");
        IHtmlFormElement form = page.QuerySelector<IHtmlFormElement>("form[data-bath-form]")!;
        form.SetAttribute("action", "/baths/load");
        Dictionary<string, string> fields = form.QuerySelectorAll<IHtmlSelectElement>("select").ToDictionary(s => s.Name!, s => s.Value ?? "");
        foreach (IHtmlInputElement typed in form.QuerySelectorAll<IHtmlInputElement>("input[type=text]"))
        {
            fields[typed.Name!] = typed.Value;
        }
        foreach ((string key, string value) in values ?? [])
        {
            fields[key] = value;
        }
        return await visitor.Submit(form, page, fields);
    }

    [Fact]
    public async Task The_cautions_are_those_of_the_bath_that_is_mixed()
    {
        Visitor visitor = _host.Visit();
        string citric = (await visitor.Page("/baths/load?part=28/frame&kind=citric&tub=storage tub&into=")).Body!.TextContent;
        citric.ShouldContain("Acid and its mist");
        citric.ShouldNotContain("The bath is mild");
        (await visitor.Page("/baths/load?part=28/frame&kind=chelating&tub=storage tub&into=")).Body!.TextContent.ShouldContain("The bath is mild");
    }

    [Fact]
    public async Task Blasting_is_drawn_and_what_cannot_be_is_said()
    {
        Visitor visitor = _host.Visit();
        const string Small = "/baths/blasting?tank=50&area=12&high=8&gun=300&delivery=120";
        IHtmlDocument page = await visitor.Page($"{Small}&low=4");
        page.QuerySelectorAll("svg rect.pass").Length.ShouldBeGreaterThan(1);
        page.Body!.TextContent.ShouldContain("Tar and grease come off first");
        (await visitor.Page($"{Small}&low=9")).QuerySelector(".notice.bad")!.TextContent.ShouldContain("there is nothing between");
        (await visitor.Page("/baths/blasting?tank=50")).QuerySelector(".notice.bad")!.TextContent.ShouldContain("Say ");
        (await visitor.Get("/gauges/baths/blasting")).Headers.Location!.ToString().ShouldBe("/baths/blasting");
        (await visitor.Get("/gauges/baths/soak_time?bath=citric")).Headers.Location!.ToString().ShouldStartWith("/baths/load");
    }

    [Fact]
    public async Task A_bath_is_mixed_loaded_watched_emptied_and_taken_back()
    {
        Visitor visitor = _host.Visit();
        IHtmlDocument shown = await visitor.Page("/baths/load?for=28&into=");
        shown.QuerySelector("select[name=into] option[selected]")!.TextContent.ShouldContain("the green tub",
            customMessage: "what stands and fits is taken first");
        shown.QuerySelector("svg.bath [data-piece='28/frame']").ShouldNotBeNull("the part is drawn in it");
        shown.Body!.TextContent.ShouldContain("The plating itself holds, but flakes where rust has crept under it");
        IHtmlDocument bath = await Sent(visitor, await Load(visitor, "part=28/frame&kind=chelating&tub=storage tub&litres=12",
            new() { ["name"] = "a new one" }));
        bath.QuerySelector("h1")!.TextContent.ShouldBe("a new one");
        bath.QuerySelector(".loads")!.TextContent.ShouldContain("F-0028");
        (await visitor.Page("/tag/28/rod")).QuerySelector("#step-soak.gone").ShouldNotBeNull("the soak of its rod is done with it");
        _host.Time.Advance(TimeSpan.FromHours(5));
        string look = bath.QuerySelector("form[id^=look-] input[name=load]")!.GetAttribute("value")!;
        IHtmlDocument seen = await Sent(visitor, await visitor.Submit(bath, "form[id^=look-]", new() { ["left:28/frame"] = "0", ["colour"] = "brown",
            ["bubbles"] = "few" }));
        seen.Body!.TextContent.ShouldContain("Take it out: no rust is left");
        IHtmlDocument run = await visitor.Page($"/baths/5/out/{look}");
        run = await Sent(visitor, await visitor.Submit(run, ".run form", new()));
        run.QuerySelector("[data-until]").ShouldNotBeNull("it counts down");
        run.QuerySelector(".run.late").ShouldBeNull();
        _host.Time.Advance(TimeSpan.FromMinutes(30));
        (await visitor.Page($"/baths/5/out/{look}")).QuerySelector(".run.late")!.TextContent.ShouldContain("look for a brown bloom");
        IHtmlDocument late = await visitor.Page($"/baths/5/out/{look}");
        bath = await Sent(visitor, await visitor.Submit(late, ".run form", new() { ["bloom"] = "28/frame" }));
        bath.Body!.TextContent.ShouldContain("Nothing is in it.");
        (await visitor.Page("/tag/28/state")).Body!.TextContent.ShouldContain("flash rust: oiled too late out of a new one");
        IHtmlDocument times = await visitor.Page("/baths/times");
        times.QuerySelector("table")!.TextContent.ShouldContain("from 1 soak");
        times = await Sent(visitor, await visitor.Submit(times, "form[action*='handler=Use']", new() { ["mine"] = "true" }));
        times.QuerySelector("table")!.TextContent.ShouldContain("reckoned with");
        times = await Sent(visitor, await visitor.Submit(times, "form[action*='handler=Use']", new() { ["mine"] = "false" }));
        times.QuerySelector("table")!.TextContent.ShouldNotContain("reckoned with");
        (await visitor.Page("/tag/28/rod")).QuerySelector("#step-soak-oil.gone").ShouldNotBeNull();
        bath = await Sent(visitor, await visitor.Submit(bath, "form[action$='handler=Back']", new()));
        (await visitor.Page("/tag/28/rod")).QuerySelector("#step-soak-oil.gone").ShouldBeNull("the last step is taken back");
        bath.QuerySelector(".loads")!.TextContent.ShouldContain("Out, and not yet oiled.");
    }

    [Fact]
    public async Task The_calendar_has_the_same_moments_as_the_bath()
    {
        Visitor visitor = _host.Visit();
        await Sent(visitor, await Load(visitor, "part=28/frame&kind=citric&tub=storage tub&litres=12"));
        HttpResponseMessage file = await visitor.Get("/baths/calendar.ics");
        file.Content.Headers.ContentType!.MediaType.ShouldBe("text/calendar");
        Calendar calendar = Calendar.Load(await file.Content.ReadAsStringAsync())!;
        CalendarEvent must = calendar.Events.Where(e => e.Summary!.StartsWith("Must be out", StringComparison.Ordinal)).ShouldHaveSingleItem();
        must.Start!.AsUtc.ShouldBe(_host.Time.GetUtcNow().UtcDateTime.AddHours(1), TimeSpan.FromSeconds(1),
            "a plated part may be in citric acid for an hour");
        must.Alarms.ShouldHaveSingleItem();
        calendar.Events.Select(e => e.Uid).Distinct().Count().ShouldBe(calendar.Events.Count);
        calendar.Events.ShouldContain(e => e.Summary == "Ready: the green tub");
    }

    [Theory, InlineData("kind=citric&percent=120&litres=5", "120 % is no bath for tools"), InlineData("kind=acetic&warm=100&litres=5", "too hot"),
        InlineData("kind=citric&length=20 miles&width=100&depth=90&litres=5", "length"), InlineData("kind=chelating&litres=-3",
            "Say how much liquid is mixed"),
        InlineData("kind=chelating&litres=lots", "is not a number"), InlineData("kind=chelating&tub=photo tray&litres=900", "do not fit")]
    public async Task What_cannot_be_is_said_and_nothing_is_mixed(string query, string said)
    {
        Visitor visitor = _host.Visit();
        HttpResponseMessage answer = await Load(visitor, query, query.Split('&').Select(p => p.Split('=')).ToDictionary(p => p[0], p => p[1]));
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Visitor.Read(answer)).QuerySelector(".notice.bad")!.TextContent.ShouldContain(said);
        (await visitor.Page("/baths")).QuerySelectorAll(".bathcard").Length.ShouldBe(4);
    }

    [Fact]
    public async Task A_container_that_is_too_small_says_what_would_do()
    {
        IHtmlDocument page = await _host.Visit().Page("/baths/load?part=28/frame&kind=chelating&tub=tall jar");
        page.Body!.TextContent.ShouldContain("up to 175 mm go under here");
        page.Body.TextContent.ShouldContain("inside would hold all of it");
        page.QuerySelectorAll(".notice.bad").ShouldBeEmpty();
    }

    [Fact]
    public async Task What_is_in_is_not_poured_away()
    {
        Visitor visitor = _host.Visit();
        IHtmlDocument bath = await visitor.Page("/baths/1");
        HttpResponseMessage refused = await visitor.Submit(bath, "form[action*='handler=Pour']", new() { ["words"] = "down the drain" });
        (await Visitor.Read(refused)).QuerySelector(".notice.bad")!.TextContent.ShouldContain("the green tub is not empty");
        IHtmlDocument jar = await visitor.Page("/baths/3");
        (await Sent(visitor, await visitor.Submit(jar, "form[action*='handler=Pour']", new() { ["words"] = "to the waste point" }))).Body!.TextContent
            .ShouldContain("1 bath poured away");
        (await visitor.Get("/baths/77")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
