using System.Globalization;
using System.Text.RegularExpressions;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Foundling.Browser.Tests;

/// <summary>Dating by keyboard alone, and the pattern book by hand and by file.</summary>
public sealed partial class OriginTests(DemoShop demo) : IClassFixture<DemoShop>
{
    private readonly Browser _b = demo.Browser;

    private string Address => demo.Shop.Address;

    private void Press(string key) => new Actions(_b.Driver).SendKeys(key).Perform();

    private string? Focus(string attribute) => _b.Driver.SwitchTo().ActiveElement().GetAttribute(attribute);

    /// <summary>Steps with Tab until the focus is where it should be.</summary>
    private void TabTo(Func<bool> there, string what)
    {
        for (int i = 0; i < 120; i++)
        {
            if (there())
            {
                return;
            }
            Press(Keys.Tab);
        }
        throw new InvalidOperationException($"Tab never reached {what}");
    }

    private int Width()
    {
        Match match = Years().Match(_b.Text(".taghead .sum b"));
        return int.Parse(match.Groups[2].Value, CultureInfo.InvariantCulture) - int.Parse(match.Groups[1].Value, CultureInfo.InvariantCulture);
    }

    [Fact]
    public void A_tool_is_dated_by_keyboard_alone()
    {
        _b.Size(1280, 900);
        _b.Go(Address + "/tag/42/origin");
        // Answer the first advised look five times, the second time unsure, the third with "can't tell".
        for (int i = 0; i < 5; i++)
        {
            int looks = _b.Driver.FindElements(By.CssSelector(".strata .ev")).Count;
            string first = _b.Find(".look input[name=trait]:first-of-type, .look[open] .choice").GetAttribute("value") ?? "";
            if (i == 2)
            {
                TabTo(() => Focus("value") == "CannotTell", "can't tell");
                string label = Focus("aria-label")!;
                Press(Keys.Enter);
                _b.Until(() => !_b.Has($".look[open] button[aria-label=\"{label}\"]"), "another look is asked for");
                continue;
            }
            if (i == 1)
            {
                TabTo(() => Focus("name") == "confidence", "how sure");
                Press(Keys.ArrowRight);
                new Actions(_b.Driver).KeyDown(Keys.Shift).SendKeys(Keys.Tab).KeyUp(Keys.Shift).Perform();
            }
            TabTo(() => Focus("name") == "variant", "a form to choose");
            Press(Keys.Enter);
            _b.Until(() => _b.Driver.FindElements(By.CssSelector(".strata .ev")).Count == looks + 1, $"look {i} counts ({first})");
        }
        Width().ShouldBeLessThan(120);
        _b.Driver.FindElements(By.CssSelector(".strata .ev")).Select(e => e.GetAttribute("aria-label")!).ShouldContain(l => l.Contains("likely"));

        // A band that has the focus shows the years without it.
        TabTo(() => Focus("class") == "ev", "a band");
        _b.Until(() => _b.Driver.FindElements(By.CssSelector(".strata .ev:focus text.oddtext, .strata .ev:focus g.without text")).Any(t => t.Displayed
            && t.Text.StartsWith("without it", StringComparison.Ordinal)), "the profile without it");
        _b.Driver.FindElements(By.CssSelector(".strata path.without")).Count(p => p.Displayed).ShouldBe(1);
    }

    [Fact]
    public void A_line_is_edited_by_dragging_and_by_arrow_keys_and_taken_back()
    {
        const string Band = "[data-trait=side_wing][data-variant=peaked]";
        _b.Size(1280, 900);
        _b.Go(Address + "/patterns/pellow_tarn_bench");
        string Now() => _b.Driver.FindElement(By.CssSelector(Band)).GetAttribute("data-years")!;
        string before = Now();
        int[] years = [.. before.Split(',').Select(y => int.Parse(y, CultureInfo.InvariantCulture))];
        IWebElement grip = _b.Find(Band + " [data-h=c] .knob");
        _b.Driver.ExecuteScript("arguments[0].scrollIntoView({block: 'center'})", grip);
        new Actions(_b.Driver).ClickAndHold(grip).MoveByOffset(-20, 0).MoveByOffset(-20, 0).Release().Perform();
        _b.Until(() => Now() != before, "the dragged end is kept");
        int[] dragged = [.. Now().Split(',').Select(y => int.Parse(y, CultureInfo.InvariantCulture))];
        dragged[2].ShouldBeInRange(years[2] - 12, years[2] - 3);
        dragged[3].ShouldBe(years[3]);
        _b.Until(() => _b.Has("[aria-label='Take back the last change']"), "it can be taken back");

        // The focus stays on the end that was moved; an arrow key moves it by one year.
        _b.Until(() => Focus("data-h") == "c", "the focus is still there");
        Press(Keys.ArrowRight);
        _b.Until(() => Now().Split(',')[2] == (dragged[2] + 1).ToString(CultureInfo.InvariantCulture), "one year on");

        // Reloaded, it is as it was left; taken back twice, as it was.
        _b.Driver.Navigate().Refresh();
        _b.Dressed();
        Now().Split(',')[2].ShouldBe((dragged[2] + 1).ToString(CultureInfo.InvariantCulture));
        _b.Click("[aria-label='Take back the last change']");
        _b.Until(() => Now() == string.Join(',', dragged), "taken back once");
        _b.Click("[aria-label='Take back the last change']");
        _b.Until(() => Now() == before, "taken back twice");
    }

    [Fact]
    public void Pages_come_in_from_a_file_with_two_bad_rows_named_and_the_rest_kept()
    {
        string file = Path.Combine(_b.Downloads, "bellwether.csv");
        File.WriteAllText(file, """
            record,line,trait,variant,name,range,kinds,from,full_from,full_to,to,part,effort,source
            trait,,bw_cap,,Cap of the head,,,,,,,body,glance,
            variant,,bw_cap,brass,brass,,,,,,,,,
            variant,,bw_cap,steel,steel,,,,,,,,,
            line,bellwether,,,Bellwether Yard,braces,brace,1875,,,1940,,,a ledger
            years,bellwether,bw_cap,brass,,,,,,1905,1910,,,
            years,bellwether,bw_cap,steel,,,,1912,1906,,,,,
            years,bellwether,bw_shank,steel,,,,,,1905,1910,,,
            size,bellwether,,,No. 8,,,1880,,,1920,,,
            """);
        _b.Go(Address + "/patterns");
        _b.Find("#file").SendKeys(file);
        _b.Click("form[action*='handler=Import'] button");
        _b.Until(() => _b.Has("#leftout"), "what was left out is named");
        string said = _b.Text("#leftout");
        said.ShouldContain("Row 7:");
        said.ShouldContain("must rise");
        said.ShouldContain("Row 8:");
        said.ShouldContain("bw_shank");
        _b.Driver.FindElements(By.CssSelector("#leftout li")).Count.ShouldBe(2);
        _b.Go(Address + "/patterns/bellwether");
        _b.Text("h1").ShouldBe("Bellwether Yard");
        _b.Find("[data-trait=bw_cap][data-variant=brass]").GetAttribute("data-years").ShouldBe(",,1905,1910");
        _b.Driver.FindElements(By.CssSelector("input[name=size]")).Select(i => i.GetAttribute("value")).ShouldContain("No. 8");
        _b.Click("[aria-label='Take back the last change']");
        _b.Until(() => _b.Driver.Url.EndsWith("/patterns", StringComparison.Ordinal), "the line went with the change");
        _b.Text(".lines").ShouldNotContain("Bellwether");
    }

    [Fact]
    public void A_form_is_drawn_on_the_pad()
    {
        _b.Go(Address + "/patterns/trait/nib?line=quillan_hand");
        IWebElement pad = _b.Find("[data-pad] svg");
        _b.Driver.ExecuteScript("arguments[0].scrollIntoView({block: 'center'})", pad);
        _b.Click("[data-pad] [data-do=clear]");
        new Actions(_b.Driver).MoveToElement(pad, -60, -20).ClickAndHold().MoveByOffset(40, 30).MoveByOffset(40, -20).Release().Perform();
        _b.Until(() => _b.Driver.FindElement(By.CssSelector("[data-pad] [data-drawn]")).GetAttribute("value")!.Split('L').Length == 3,
            "a stroke of three points");
        _b.Click("form:has(#name) > .btn.do");
        _b.Until(() => _b.Driver.Url.EndsWith("/patterns/quillan_hand", StringComparison.Ordinal), "kept");
        _b.Go(Address + "/patterns/trait/nib");
        _b.Driver.FindElement(By.CssSelector("[data-pad] .var-line")).GetAttribute("d")!.ShouldStartWith("M");
        _b.Driver.FindElement(By.CssSelector("[data-pad] [data-filled]")).GetAttribute("value")!.ShouldBeEmpty();
    }

    [GeneratedRegex(@"(\d{4})–(\d{4})")]
    private static partial Regex Years();
}
