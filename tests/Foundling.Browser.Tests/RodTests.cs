using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Foundling.Browser.Tests;

/// <summary>A rod at the bench on a phone, and its plan worked over at the desk.</summary>
public sealed class RodTests(DemoShop demo) : IClassFixture<DemoShop>
{
    private readonly Browser _b = demo.Browser;

    private string At(string page) => demo.Shop.Address + page;

    private List<string> Steps() => [.. _b.Driver.FindElements(By.CssSelector("ol.sheet > li.step")).Select(e => e.GetAttribute("id")!)];

    private void Open(string step)
    {
        _b.Until(() => _b.Has($"[id='step-{step}']"), step);
        _b.Driver.ExecuteScript("const d = document.getElementById('step-' + arguments[0]); d.querySelectorAll('details').forEach(x => x.open = true);", step);
    }

    [Fact]
    public void On_the_phone_a_caution_is_read_the_clock_runs_and_the_step_is_done()
    {
        _b.Size(390, 844);
        _b.Go(At("/tag/24/rod"));
        string next = Steps()[0];
        next.ShouldBe("step-wash");
        _b.Text("#step-wash .gate").ShouldContain("Solvent fumes burn");
        _b.Click("#step-wash .gate .btn.do");
        _b.Until(() => _b.Has("#step-wash [data-clock-button=stop]"), "the clock runs");
        _b.Has("#step-wash .gate").ShouldBeFalse();
        _b.Click("#step-wash [data-clock-button=stop]");
        _b.Until(() => !_b.Has(".clockchip"), "the clock stands");
        _b.Click("#step-wash button[aria-label^='Done']");
        _b.Until(() => Steps()[0] != "step-wash", "it is done");
        // Later on this tool it is not asked again, but the word of the owner is.
        _b.Click("#step-jaw-dress .gate summary");
        _b.Text("#step-jaw-dress .gate").ShouldContain("Piet Varrow's");
        _b.Type("#step-jaw-dress .gate input[name=reason]", "Piet, when he came by");
        _b.Click("#step-jaw-dress .gate .btn.do");
        _b.Until(() => _b.Text("#step-jaw-dress").Contains("Agreed: Piet, when he came by", StringComparison.Ordinal), "noted");
        _b.Size(1280, 900);
    }

    [Fact]
    public void A_way_is_taken_and_the_rod_changes_at_once_and_says_what()
    {
        _b.Size(1280, 900);
        _b.Go(At("/tag/42/aim"));
        _b.Click("section[aria-label=Work] button.btn");
        _b.Until(() => _b.Driver.Url.EndsWith("/rod", StringComparison.Ordinal), "planned");
        Steps().ShouldContain("step-derust-abrasive");
        _b.Click(".subleaves a[href$=ways]");
        _b.Until(() => _b.Has("#rust"), "the ways");
        _b.Click("#rust button[aria-label='Take: wire wheel']");
        _b.Until(() => _b.Driver.Url.Contains("/rod?was=", StringComparison.Ordinal), "taken");
        _b.Text(".notice").ShouldContain("wire wheel");
        Steps().ShouldNotContain("step-derust-abrasive");
        Steps().ShouldContain("step-derust-wire");
        _b.Click(".notice .btn");
        _b.Until(() => Steps().Contains("step-derust-abrasive"), "and back");
    }

    [Fact]
    public void Steps_are_moved_within_the_rules_and_split_by_keyboard()
    {
        _b.Size(1280, 900);
        _b.Go(At("/tag/19/rod"));
        Open("sole-lap");
        _b.Click("#step-sole-lap button[aria-label^='Earlier']");
        _b.Until(() => _b.Has(".notice.bad"), "refused");
        _b.Text(".notice.bad").ShouldContain("measure before taking metal off");
        List<string> before = Steps();
        Open("cap-fit");
        _b.Find("#step-cap-fit button[aria-label^='Earlier']").SendKeys(Keys.Enter);
        _b.Until(() => Steps().IndexOf("step-cap-fit") < before.IndexOf("step-cap-fit"), "moved up");
        Open("prove");
        _b.Type("#step-prove input[name=name]", "And across the grain");
        _b.Type("#step-prove input[name=minutes]", "4");
        new Actions(_b.Driver).SendKeys(Keys.Enter).Perform();
        _b.Until(() => _b.Has("[id='step-prove-2']"), "split");
        _b.Text("[id='step-prove-2']").ShouldContain("And across the grain");
    }

    [Fact]
    public void The_drawing_leads_to_the_step_and_zooms_to_one_sitting()
    {
        _b.Size(1280, 900);
        _b.Go(At("/tag/31/rod"));
        int all = _b.Driver.FindElements(By.CssSelector(".rod.story a")).Count;
        _b.Click(".zoom a[href$=sitting]");
        _b.Until(() => _b.Driver.FindElements(By.CssSelector(".rod.story a")).Count < all, "nearer");
        _b.Has(".rod.story .now").ShouldBeTrue();
        string first = _b.Driver.FindElement(By.CssSelector(".rod.story a")).GetDomAttribute("href")!;
        Steps()[0].ShouldBe(first[(first.IndexOf('#', StringComparison.Ordinal) + 1)..]);
    }
}
