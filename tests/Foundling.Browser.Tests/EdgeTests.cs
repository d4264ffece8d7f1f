using System.Globalization;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Foundling.Browser.Tests;

/// <summary>The edge bench by mouse, by keyboard and by touch.</summary>
public sealed class EdgeTests(DemoShop demo) : IClassFixture<DemoShop>
{
    private readonly Browser _b = demo.Browser;

    private string At(string page) => demo.Shop.Address + page;

    private double Bevel => double.Parse(_b.Find("#bevel").GetAttribute("value")!, CultureInfo.InvariantCulture);

    private string Recommended => _b.Find("[data-recommend]").GetAttribute("data-recommend")!;

    [Fact]
    public void A_bevel_is_dragged_until_there_is_no_clearance_left()
    {
        _b.Size(1280, 900);
        _b.Go(At("/edges?thick=2.2&bevel=30&bed=45"));
        _b.Driver.FindElements(By.CssSelector("[data-clearance]")).Count.ShouldBe(0);
        _b.Driver.ExecuteScript("document.querySelector('[data-field=bevel]').focus()");
        new Actions(_b.Driver).SendKeys(Keys.ArrowUp + Keys.ArrowUp).Perform();
        _b.Until(() => Bevel == 31, "it follows the keys");
        _b.Until(() => _b.Text("#edge-shown").Contains("14° clearance", StringComparison.Ordinal), "and so does the drawing");
        _b.Until(() => _b.Driver.Url.Contains("bevel=31", StringComparison.Ordinal), "what was chosen stands in the address");
        new Actions(_b.Driver).MoveToElement(_b.Find("[data-field=bevel] .grip")).ClickAndHold().MoveByOffset(20, 16).MoveByOffset(20, 16).Release().Perform();
        _b.Until(() => Bevel > 34, "it follows the mouse");
        _b.Until(() => _b.Has("[data-clearance]"), "little clearance is said");
    }

    [Fact]
    public void Three_pits_and_the_line_of_the_steel_decide_the_route_and_the_rod_follows()
    {
        _b.Size(1280, 900);
        _b.Go(At("/edges?tag=31"));
        _b.Find("#pits").Clear();
        _b.Find("#pits").SendKeys("0.05 0.4 1.1" + Keys.Enter + "0.04 6 8" + Keys.Enter + "0.1 2 3");
        _b.Until(() => _b.Driver.FindElements(By.CssSelector("rect.pit")).Count == 3, "three pits are drawn");
        Recommended.ShouldNotBe("rack_or_replacement");
        _b.Driver.ExecuteScript("document.querySelector('[data-field=steel]').scrollIntoView({ block: 'center' })");
        new Actions(_b.Driver).MoveToElement(_b.Find("[data-field=steel] .hitline")).ClickAndHold().MoveByOffset(-60, 0).MoveByOffset(-60, 0).Release().Perform();
        double Steel() => double.Parse(_b.Find("#steel").GetAttribute("value")!, CultureInfo.InvariantCulture);
        _b.Until(() => Steel() < 20, "the line follows the mouse");
        _b.Driver.ExecuteScript("document.querySelector('#steel').value = '1'; document.querySelector('#steel').dispatchEvent(new Event('input', { bubbles: true }))");
        _b.Until(() => Recommended == "rack_or_replacement", "too little steel is left for any route");
        _b.Driver.ExecuteScript("document.querySelector('#steel').value = '28'; document.querySelector('#steel').dispatchEvent(new Event('input', { bubbles: true }))");
        _b.Until(() => Recommended != "rack_or_replacement", "and enough again");
        _b.Click("[data-route=lap] button");
        _b.Until(() => _b.Driver.Url.Contains("/tag/31/rod", StringComparison.Ordinal), "the rod is made anew");
    }

    [Fact]
    public void Teeth_follow_what_is_typed_on_the_phone()
    {
        _b.Size(390, 844);
        _b.Go(At("/saws?points=8"));
        string before = _b.Find("svg.teeth path.line").GetAttribute("d")!;
        _b.Find("#rake").SendKeys("15");
        _b.Until(() => _b.Find("svg.teeth path.line").GetAttribute("d") != before, "the drawing follows");
        ((long)_b.Driver.ExecuteScript("return document.documentElement.scrollWidth")!).ShouldBeLessThanOrEqualTo(390);
        _b.Size(1280, 900);
    }
}
