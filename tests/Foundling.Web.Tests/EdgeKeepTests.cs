using AngleSharp.Html.Dom;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Tags;
using Microsoft.Extensions.DependencyInjection;

namespace Foundling.Web.Tests;

/// <summary>What is measured on a bench is written back to the tag, once, and fills every bench from then on.</summary>
public sealed class EdgeKeepTests(EmptyHost host) : IClassFixture<EmptyHost>
{
    private async Task<int> Book(KindId kind)
    {
        await using AsyncServiceScope scope = host.Services.CreateAsyncScope();
        var tag = new Tag { Kind = kind, Name = kind.Value, ArrivedOn = DateOnly.FromDateTime(host.Time.GetUtcNow().Date), BookedAt = host.Time.GetUtcNow() };
        await scope.ServiceProvider.GetRequiredService<TagBook>().BookIn(tag);
        return tag.Number;
    }

    private async Task<T> Of<T>(int number, Func<Tag, T> read)
    {
        await using AsyncServiceScope scope = host.Services.CreateAsyncScope();
        return read((await scope.ServiceProvider.GetRequiredService<TagBook>().Find(number))!);
    }

    private static List<(string, string)> Offered(IHtmlDocument page) =>
        [.. page.QuerySelectorAll<IHtmlInputElement>("[data-keeps] input[form=keep]").Select(i => (i.Name!, i.Value))];

    private async Task<IHtmlDocument> Keep(string address)
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page(address);
        Offered(page).ShouldNotBeEmpty();
        (await visitor.SubmitMany(page, "#keep", [.. Offered(page)])).StatusCode.ShouldBe(System.Net.HttpStatusCode.Found);
        return await visitor.Page(address[..(address.Contains('&', StringComparison.Ordinal) ? address.IndexOf('&', StringComparison.Ordinal)
            : address.Length)]);
    }

    [Fact]
    public async Task What_is_measured_on_the_edge_bench_is_kept_and_what_is_only_usual_is_not()
    {
        int tag = await Book(KindIds.MetalBenchPlane);
        (await host.Visit().Page($"/edges?tag={tag}")).QuerySelector("[data-keeps]").ShouldBeNull("the usual thickness is no measurement");
        IHtmlDocument page = await host.Visit().Page($"/edges?tag={tag}&thick=3.1&face=6.5&square=0.4&steel=22&camber=0.3&pits=0.1 2 3 20 24");
        page.QuerySelector("[data-keeps]")!.TextContent.ShouldContain("Thickness 3.10 mm, angle it is ground to 28.5°");
        page.QuerySelector("[data-keeps]")!.TextContent.ShouldContain("1 pit where drawn");
        page = await Keep($"/edges?tag={tag}&thick=3.1&face=6.5&square=0.4&steel=22&camber=0.3&pits=0.1 2 3 20 24");
        page.QuerySelector("[data-keeps]").ShouldBeNull("nothing is new any more");
        page.QuerySelector<IHtmlInputElement>("#bevel")!.Value.ShouldBe("28.5");
        page.QuerySelector("#pits")!.TextContent.ShouldBe("0.1 2 3 20 24");
        (await Of(tag, t => t.Facts().Measured(MeasureIds.Bevel, PartIds.Iron))).ShouldBe(28.5);
        (await Of(tag, t => t.Facts().Measured(MeasureIds.Camber, PartIds.Iron))).ShouldBe(0.3);
        (await Of(tag, t => t.Measurements.Count)).ShouldBe(5);
        (await Keep($"/edges?tag={tag}&thick=3.2&bevel=28.5")).QuerySelector<IHtmlInputElement>("#thick")!.Value.ShouldBe("3.2");
        (await Of(tag, t => t.Measurements.Count)).ShouldBe(6, "the bevel that is known is not taken twice");
        page = await host.Visit().Page($"/tag/{tag}/state");
        page.Body!.TextContent.ShouldContain("28.5° ± 0.5°");
        page.Body.TextContent.ShouldContain("20 mm to 24 mm across");
    }

    [Theory]
    [InlineData("hewing-hatchet", "blade", "&thick=4&behind=10", "angle", "21.8")]
    [InlineData("axe", "blade", "&thick=5&behind=10", "angle", "28.1")]
    [InlineData("metal-bench-plane", "mouth", "&mouth=1.4&iron=2.1&back=0.5", "mouth", "1.4")]
    [InlineData("pruner", "cutters", "&opens=0.6&notch=3", "opens", "0.6")]
    public async Task Every_bench_keeps_what_was_measured_on_it(string kind, string bench, string query, string field, string value)
    {
        int tag = await Book(KindId.Of(kind));
        IHtmlDocument page = await Keep($"/edges/{bench}?tag={tag}{query}");
        page.QuerySelector<IHtmlInputElement>($"#{field}")!.Value.ShouldBe(value);
        page.QuerySelector("[data-keeps]").ShouldBeNull();
    }

    [Fact]
    public async Task A_reading_that_cannot_be_is_said_at_its_field_and_nothing_is_kept()
    {
        int tag = await Book(KindIds.MetalBenchPlane);
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page($"/edges?tag={tag}&bevel=120");
        page.QuerySelector("#bevel-fault")!.TextContent.ShouldNotBeEmpty();
        page.QuerySelector("[data-keeps]").ShouldBeNull();
        page = await Visitor.Read(await visitor.SubmitMany(page, "#keep", [("thick", "2"), ("square", "9 miles")]));
        page.QuerySelector("#square-fault")!.TextContent.ShouldContain("9 miles");
        (await Of(tag, t => t.Measurements.Count)).ShouldBe(0);
    }

    [Fact]
    public async Task A_burr_is_counted_and_a_filed_bevel_begins_anew()
    {
        int tag = await Book(KindIds.ScraperPlane);
        Visitor visitor = host.Visit();
        async Task Turned(bool filed) => (await visitor.SubmitMany(await visitor.Page($"/edges/stones?tag={tag}"), "#turned-form", [("filed",
            filed ? "true" : "false"), ("passes", "4"), ("first", "6"), ("last", "12"), ("turned", (await visitor.Page($"/edges/stones?tag={tag}"))
                .QuerySelector<IHtmlInputElement>("#turned")!.Value)])).StatusCode.ShouldBe(System.Net.HttpStatusCode.Found);
        for (int i = 1; i <= 6; i++)
        {
            await Turned(false);
            (await Of(tag, t => t.Facts().Measured(MeasureIds.BurrTurns, PartIds.Iron))).ShouldBe(i);
        }
        IHtmlDocument page = await visitor.Page($"/edges/stones?tag={tag}");
        page.QuerySelector("[data-burr]")!.TextContent.ShouldContain("File the bevel to 45°");
        page.QuerySelector<IHtmlInputElement>("#passes")!.Value.ShouldBe("4");
        page.QuerySelector<IHtmlInputElement>("#last")!.Value.ShouldBe("12");
        await Turned(true);
        (await visitor.Page($"/edges/stones?tag={tag}")).QuerySelector("[data-burr]")!.TextContent.ShouldContain("Burnish the old burr flat");
        page = await Visitor.Read(await visitor.SubmitMany(page, "#turned-form", [("filed", "false"), ("passes", "9"), ("turned", "1")]));
        page.QuerySelector("#passes-fault")!.TextContent.ShouldNotBeEmpty();
        (await Of(tag, t => t.Facts().Measured(MeasureIds.BurrPasses, PartIds.Iron))).ShouldBe(4);
    }

    [Theory]
    [InlineData("lap", "lap", "CoarseDiamond", "coarse diamond plate")]
    [InlineData("grind_back", "on", "Belt", "belt")]
    public async Task A_route_goes_into_the_rod_with_what_it_was_compared_on(string route, string field, string on, string needs)
    {
        int tag = await Book(KindIds.MetalBenchPlane);
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page($"/edges?tag={tag}&steel=28&pits=0.1 2 3&{field}={on}");
        double minutes = double.Parse(page.QuerySelector($"[data-route={route}] dd")!.TextContent.Split(' ')[0],
            System.Globalization.CultureInfo.InvariantCulture);
        List<(string, string)> sent = [("route", route), .. page.QuerySelectorAll<IHtmlInputElement>("input[form=take]").Select(i => (i.Name!, i.Value))];
        (await visitor.SubmitMany(page, "#take", [.. sent])).StatusCode.ShouldBe(System.Net.HttpStatusCode.Found);
        string step = (await visitor.Page($"/tag/{tag}/rod")).QuerySelector("#step-edge-save")!.TextContent;
        step.ShouldContain($"{Math.Round(Math.Round(minutes * 2) / 2, MidpointRounding.AwayFromZero):0} min");
        step.ShouldContain(needs);
        (await visitor.Page($"/edges?tag={tag}")).QuerySelector<IHtmlOptionElement>($"#{field} option[selected]")!.Value.ShouldBe(on);
    }

    [Theory]
    [InlineData("adze", "blade", "&thick=4&behind=10", "On the inside alone, towards the haft", "rolled so that")]
    [InlineData("gouge", "blade", "&thick=4&behind=10", "one even band from corner to corner", "flat side")]
    [InlineData("axe", "stones", "&wide=90", "the stone goes over it in small circles", "of one width")]
    [InlineData("drawknife", "stones", "&wide=200", "one handle against the bench", "lanes")]
    [InlineData("metal-bench-plane", "stones", "&wide=51&stone=60", "lanes", "small circles")]
    [InlineData("scraper-plane", "stones", "", "The burr of a scraper", "Mouth")]
    [InlineData("transitional-plane", "mouth", "&mouth=1&iron=2&next=2.8&shaving=0.1", "off the front wall", "as open as it should be")]
    public async Task Words_of_a_bench_speak_of_the_tool_on_it(string kind, string bench, string query, string said, string never)
    {
        string page = (await host.Visit().Page($"/edges/{bench}?tag={await Book(KindId.Of(kind))}{query}")).QuerySelector("main")!.TextContent;
        page.ShouldContain(said);
        page.ShouldNotContain(never);
    }
}
