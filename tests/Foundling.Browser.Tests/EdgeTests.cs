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
        new Actions(_b.Driver).MoveToElement(_b.Find("[data-field=bevel] .grip")).ClickAndHold().MoveByOffset(20, 16).MoveByOffset(20, 16).Release()
            .Perform();
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
        new Actions(_b.Driver).MoveToElement(_b.Find("[data-field=steel] .hitline")).ClickAndHold().MoveByOffset(-60, 0).MoveByOffset(-60,
          0).Release().Perform();
        string Steel() => _b.Find("#steel").GetAttribute("value")!;
        _b.Until(() => Steel().EndsWith(" mm", StringComparison.Ordinal), "the line follows the mouse");
        void Type(string steel)
        {
            _b.Find("#steel").Clear();
            _b.Find("#steel").SendKeys(steel);
        }
        Type("1");
        _b.Until(() => Recommended == "rack_or_replacement", "too little steel is left for any route");
        Type("21.5");
        _b.Until(() => Recommended != "rack_or_replacement", "and enough again");
        double minutes = double.Parse(_b.Text("[data-route=grind_back] dd").Split(' ')[0], CultureInfo.InvariantCulture);
        _b.Click("[data-route=grind_back] button");
        _b.Until(() => _b.Driver.Url.Contains("/tag/31/rod", StringComparison.Ordinal), "the rod is made anew");
        _b.Text("#step-edge-save").ShouldContain($"{Math.Round(Math.Round(minutes * 2) / 2, MidpointRounding.AwayFromZero):0} min", Case.Sensitive,
          "its minutes follow");
        _b.Go(At("/edges?tag=31"));
        Steel().ShouldBe("21.5", "the line that was moved is the one that is kept");
    }

    private void Touch(IWebElement from, params (int X, int Y)[] steps)
    {
        var thumb = new PointerInputDevice(PointerKind.Touch, "thumb");
        var stroke = new ActionSequence(thumb);
        (int x, int y) = (steps[0].X, steps[0].Y);
        stroke.AddAction(thumb.CreatePointerMove(from, x, y, TimeSpan.Zero));
        stroke.AddAction(thumb.CreatePointerDown(MouseButton.Touch));
        foreach ((int dx, int dy) in steps.Skip(1))
        {
            stroke.AddAction(thumb.CreatePointerMove(CoordinateOrigin.Pointer, dx, dy, TimeSpan.FromMilliseconds(40)));
        }
        stroke.AddAction(thumb.CreatePointerUp(MouseButton.Touch));
        _b.Driver.PerformActions([stroke]);
    }

    [Fact]
    public void Pits_are_tapped_dragged_and_changed_by_touch_at_phone_width()
    {
        _b.Size(390, 844);
        _b.Go(At("/edges?thick=2.1&bevel=25&bed=45&wide=50&steel=28"));
        int Pits() => _b.Driver.FindElements(By.CssSelector("rect.pit")).Count;
        string[] Typed() => _b.Find("#pits").GetAttribute("value")!.Split('\n', StringSplitOptions.RemoveEmptyEntries);
        void Middle() => _b.Driver.ExecuteScript("document.querySelector('svg[data-times]').scrollIntoView({ block: 'center' })");
        Middle();
        for (int i = 1; i <= 3; i++)
        {
            Touch(_b.Find("svg[data-times] .iron"), (-60, (20 * i) - 40));
            _b.Until(() => Pits() == i, "a tap places a pit");
        }
        string first = Typed()[0];
        Touch(_b.Find("[data-pit='0']"), (0, 0), (20, 0), (15, 0));
        _b.Until(() => Typed()[0] != first, "a finger drags it");
        string moved = Typed()[0];
        moved.Split(' ')[0].ShouldBe(first.Split(' ')[0], "as deep as before");
        _b.Click("[data-pit-key='+']");
        _b.Until(() => Typed()[0].StartsWith("0.06 ", StringComparison.Ordinal), "a button makes deeper what was touched last");
        _b.Click("[data-pit-key='Delete']");
        _b.Until(() => Pits() == 2 && Typed().All(p => p.StartsWith("0.05 ", StringComparison.Ordinal)), "and takes it away");
        Middle();
        string Steel() => _b.Find("#steel").GetAttribute("value")!;
        Touch(_b.Find("[data-field=steel] .hitline"), (0, 0), (-40, 0), (-40, 0));
        _b.Until(() => Steel().EndsWith(" mm", StringComparison.Ordinal), "so is the line of the steel dragged");
        double bevel = Bevel;
        _b.Driver.ExecuteScript("document.querySelector('[data-field=bevel]').scrollIntoView({ block: 'center' })");
        Touch(_b.Find("[data-field=bevel] .grip"), (0, 0), (8, 10), (8, 10));
        _b.Until(() => Bevel != bevel, "and the bevel");
        ((long)_b.Driver.ExecuteScript("return document.documentElement.scrollWidth")!).ShouldBeLessThanOrEqualTo(390);
        _b.Size(1280, 900);
    }

    [Fact]
    public void Pits_are_moved_and_deepened_with_the_keys_and_the_focus_stays()
    {
        _b.Size(1280, 900);
        _b.Go(At("/edges?thick=2.1&bevel=25&bed=45&wide=50&steel=28&pits=0.05+2+3+20+24"));
        string Typed() => _b.Find("#pits").GetAttribute("value")!;
        _b.Driver.ExecuteScript("document.querySelector('[data-pit=\"0\"]').focus()");
        new Actions(_b.Driver).SendKeys(Keys.ArrowRight + "+").Perform();
        _b.Until(() => Typed() == "0.06 2.5 3.5 20 24", "keys move it and make it deeper");
        _b.Until(() => _b.Driver.FindElements(By.CssSelector("[data-pit='0']:focus")).Count == 1, "and the focus stays on it");
        new Actions(_b.Driver).SendKeys(Keys.ArrowDown + "-").Perform();
        _b.Until(() => Typed() == "0.05 2.5 3.5 20.5 24.5", "and again");
        new Actions(_b.Driver).SendKeys(Keys.Delete).Perform();
        _b.Until(() => Typed().Length == 0, "and take it away");
    }

    [Fact]
    public void A_frog_is_moved_with_the_keys_and_the_mouth_closes()
    {
        _b.Size(1280, 900);
        _b.Go(At("/edges/mouth?mouth=1&iron=2&bed=45"));
        string Mouth() => _b.Text("[data-mouth-mm]");
        Mouth().ShouldBe("1.00 mm");
        _b.Driver.ExecuteScript("document.querySelector('[data-field=forward]').focus()");
        new Actions(_b.Driver).SendKeys(Keys.ArrowRight + Keys.ArrowRight + Keys.ArrowRight).Perform();
        _b.Until(() => Mouth() == "0.70 mm", "three tenths forward close it by as much");
        _b.Find("#next").SendKeys("3");
        _b.Until(() => _b.Has(".notice.bad"), "a thicker iron no longer goes through");
    }

    [Fact]
    public void What_cannot_be_is_said_at_its_field_while_it_is_typed()
    {
        _b.Size(1280, 900);
        _b.Go(At("/edges?thick=2&bevel=30"));
        _b.Find("#second").SendKeys("25");
        string Said() => (string)_b.Driver.ExecuteScript("return document.querySelector('#second-fault').textContent")!;
        _b.Until(() => Said().Contains("flatter than the bevel", StringComparison.Ordinal), "a secondary below the primary is said");
        _b.Find("#second").SendKeys(Keys.Backspace + Keys.Backspace + "35");
        _b.Until(() => Said().Length == 0 && _b.Has("svg.edge .iron"), "and goes when it is put right");
    }

    [Fact]
    public void Teeth_follow_what_is_typed_on_the_phone()
    {
        _b.Size(390, 844);
        _b.Go(At("/saws?points=8"));
        string before = _b.Find("svg.teeth path.line").GetAttribute("d")!;
        _b.Find("#rake").SendKeys("15");
        _b.Until(() => _b.Find("svg.teeth path.line").GetAttribute("d") != before, "the drawing follows");
        _b.Go(At("/saws?tag=22"));
        _b.Find("#points").Clear();
        _b.Find("#points").SendKeys("11");
        _b.Until(() => _b.Text("#saw-shown").Contains("11 points", StringComparison.Ordinal), "the figures follow");
        _b.Until(() => _b.Has("[data-keeps]"), "what is new is offered");
        _b.Click("[data-keeps] .btn");
        _b.Until(() => !_b.Driver.Url.Contains("points", StringComparison.Ordinal), "it is kept");
        _b.Find("#points").GetAttribute("value").ShouldBe("11", "what was typed is what is kept");
        ((long)_b.Driver.ExecuteScript("return document.documentElement.scrollWidth")!).ShouldBeLessThanOrEqualTo(390);
        _b.Size(1280, 900);
    }
}
