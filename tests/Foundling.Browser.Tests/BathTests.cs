using System.Globalization;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Foundling.Browser.Tests;

/// <summary>A bath is put together by mouse and by keyboard, and emptied on the phone against its countdown.</summary>
public sealed class BathTests(DemoShop demo) : IClassFixture<DemoShop>
{
    private const string Frame = "[data-piece='28/frame']";

    private readonly Browser _b = demo.Browser;

    private string At(string page) => demo.Shop.Address + page;

    private double Of(string what) => double.Parse(_b.Find(Frame).GetAttribute(what)!, CultureInfo.InvariantCulture);

    [Fact]
    public void Parts_are_moved_by_mouse_and_by_keyboard_and_what_follows_is_shown_at_once()
    {
        _b.Size(1280, 900);
        _b.Go(At("/baths/load?part=28/frame&kind=chelating&tub=storage tub"));
        double x = Of("data-x");
        _b.Driver.ExecuteScript($"document.querySelector(\"{Frame}\").focus()");
        new Actions(_b.Driver).SendKeys(Keys.ArrowRight).Perform();
        _b.Until(() => Of("data-x") == x + 10, "an arrow key moves it a centimetre");
        new Actions(_b.Driver).SendKeys("r").Perform();
        _b.Until(() => _b.Find(Frame).GetAttribute("data-lay") == "across", "r turns it");
        _b.Driver.SwitchTo().ActiveElement().GetAttribute("data-piece").ShouldBe("28/frame", "the focus stays on it");
        double before = Of("data-x");
        new Actions(_b.Driver).MoveToElement(_b.Find($"{Frame} .hit")).ClickAndHold().MoveByOffset(60, 20).Release().Perform();
        _b.Until(() => Of("data-x") > before + 20, "it is where it was dropped");
        _b.Choose("#tub", "tall jar");
        _b.Until(() => _b.Text("[data-bath-shown]").Contains("go under here", StringComparison.Ordinal), "the jar is too small, and says so at once");
        _b.Choose("#tub", "storage tub");
        _b.Until(() => _b.Has(Frame), "it lies in the tub again");
        _b.Choose("#kind", "citric");
        _b.Until(() => _b.Has("#percent"), "an acid has a strength");
        _b.Find("#percent").SendKeys(Keys.End + "00" + Keys.Tab);
        _b.Until(() => _b.Text("[data-bath-shown]").Contains("500 % is no bath for tools", StringComparison.Ordinal), "what cannot be is said");
        _b.Find("#percent").SendKeys(Keys.End + Keys.Backspace + Keys.Backspace + Keys.Tab);
        _b.Until(() => _b.Text("[data-bath-shown]").Contains("Citric acid", StringComparison.Ordinal), "the recipe stands there");
    }

    [Fact]
    public void On_the_phone_a_load_is_taken_out_against_its_countdown()
    {
        _b.Size(390, 844);
        _b.Go(At("/baths"));
        _b.Click("#bath-1 .loads a[href*='/out/']");
        _b.Until(() => _b.Has(".run h1"), "the run begins");
        _b.Click(".run .btn.do");
        _b.Until(() => _b.Has(".run [data-until]") && System.Text.RegularExpressions.Regex.IsMatch(_b.Text(".run [data-until]"), @"^\d+:\d\d$"),
            "it counts down");
        string left = _b.Text(".run [data-until]");
        _b.Until(() => _b.Text(".run [data-until]") != left, "second by second");
        _b.Driver.Navigate().Refresh();
        _b.Until(() => _b.Has(".run [data-until]"), "a reload changes nothing");
        _b.Click(".run .btn.do");
        _b.Until(() => _b.Driver.Url.EndsWith("/baths/1", StringComparison.Ordinal), "done");
        _b.Go(At("/tag/38/rod"));
        _b.Driver.FindElements(By.CssSelector("#step-soak-oil.gone")).Count.ShouldBe(1, "the rod of the tool followed");
        _b.Size(1280, 900);
    }
}
