using System.Net;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;
using Foundling.Data.Shop;
using Microsoft.Extensions.DependencyInjection;

namespace Foundling.Web.Tests;

/// <summary>The shop puts assumed figures otherwise, and what is reckoned follows.</summary>
public sealed class ShopPageTests(DemoHost host) : IClassFixture<DemoHost>
{
    private const string Form = "form[action*='handler=Assume']";

    private async Task<List<string>> Kept()
    {
        await using AsyncServiceScope scope = host.Services.CreateAsyncScope();
        return (await scope.ServiceProvider.GetRequiredService<ShopBook>().Read(TestContext.Current.CancellationToken)).Assumed;
    }

    private static IElement Line(IHtmlDocument page, string name) => page.GetElementById($"assume-{name}")!.ParentElement!;

    [Fact]
    public async Task A_figure_put_otherwise_is_marked_reckoned_with_and_goes_back()
    {
        Visitor visitor = host.Visit();
        IHtmlDocument page = await visitor.Page("/shop");
        page.QuerySelectorAll("details.assumed input").Length.ShouldBe(Core.Assumptions.Book.Count);
        page.QuerySelectorAll("details.assumed .own").ShouldBeEmpty();

        (await visitor.Submit(page, Form, new() { ["assume-fine_shaving_mm"] = "0.08", ["assume-price_light_oil"] = "0.03" }))
            .StatusCode.ShouldBe(HttpStatusCode.Redirect);
        (await Kept()).ShouldBe(["fine_shaving_mm=0.08", "price_light_oil=0.03"], ignoreOrder: true);
        page = await visitor.Page("/shop");
        Line(page, "fine_shaving_mm").ClassList.ShouldContain("own");
        Line(page, "fine_shaving_mm").TextContent.ShouldContain("The book says 0.05 mm");
        page.QuerySelectorAll("details.assumed .own").Length.ShouldBe(2);
        // What Enter in a field presses is the first button; it must not be the one that throws everything away.
        page.QuerySelector($"{Form} button")!.HasAttribute("name").ShouldBeFalse();
        page.QuerySelector($"{Form} button[name=reset]").ShouldNotBeNull();
        (await visitor.Page("/stores/light-oil")).Body!.TextContent.ShouldContain("0.03 a mL");

        // One goes back when its field is emptied; the other stays.
        await visitor.Submit(page, Form, new() { ["assume-fine_shaving_mm"] = "" });
        (await Kept()).ShouldBe(["price_light_oil=0.03"]);
        await visitor.Submit(await visitor.Page("/shop"), Form, new() { ["reset"] = "true" });
        (await Kept()).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_figure_that_cannot_be_is_said_at_its_field_and_nothing_typed_is_lost()
    {
        Visitor visitor = host.Visit();
        HttpResponseMessage answer = await visitor.Submit(await visitor.Page("/shop"), Form,
            new() { ["assume-swap_iron"] = "1.5", ["assume-glue_cure_hours"] = "a day", ["assume-lens_minutes"] = "3" });
        IHtmlDocument page = await Visitor.Read(answer);
        Line(page, "swap_iron").QuerySelector(".fault")!.TextContent.ShouldBe("Give a number from 0.0035 to 0.99.");
        Line(page, "glue_cure_hours").QuerySelector(".fault")!.TextContent.ShouldBe("\"a day\" is no number.");
        page.GetElementById("assume-swap_iron")!.GetAttribute("value").ShouldBe("1.5");
        page.GetElementById("assume-lens_minutes")!.GetAttribute("value").ShouldBe("3");
        Line(page, "swap_iron").Closest("details")!.HasAttribute("open").ShouldBeTrue();
        (await Kept()).ShouldBeEmpty();

        page = await Visitor.Read(await visitor.Submit(await visitor.Page("/shop"), Form, new() { ["assume-enamel_recoat_from_hours"] = "30" }));
        Line(page, "enamel_recoat_until_hours").QuerySelector(".fault")!.TextContent.ShouldContain("less than 30");
    }
}
