using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Foundling.Browser.Tests;

/// <summary>The stall check on a phone without a connection, and counting points by keyboard.</summary>
public sealed class StallTests(DemoShop demo) : IClassFixture<DemoShop>
{
    private readonly Browser _b = demo.Browser;

    private string Address => demo.Shop.Address;

    private bool Shown(string css) => _b.Driver.FindElements(By.CssSelector(css)).Any(e => e.Displayed);

    [Fact]
    public void From_open_to_verdict_without_a_connection_and_the_result_arrives_once()
    {
        _b.Size(390, 844);
        _b.Go(Address + "/shelf");
        int before = int.Parse(_b.Text(".lead span").Split(' ')[0]);
        _b.Go(Address + "/stall");
        _b.Until(() => (bool)_b.Driver.ExecuteScript("return navigator.serviceWorker.controller !== null || performance.getEntriesByType('resource').some(r "
            + "=> r.name.includes('handler=Data') && r.responseEnd > 0)")!, "the check is open");
        _b.Until(() => (bool)_b.Driver.ExecuteAsyncScript("const done = arguments[0]; navigator.serviceWorker.ready.then(() => "
            + "caches.match('/stall?handler=Data')).then(hit => done(hit !== undefined));")!, "and kept");
        _b.Offline(true);
        try
        {
            // The page can even be opened again.
            _b.Driver.Navigate().Refresh();
            _b.Dressed();
            _b.Click("[data-kind=metal-bench-plane]");
            int taps = 1;
            _b.Until(() => Shown("[data-stall-ask]"), "the first question");
            while (Shown("[data-stall-ask]"))
            {
                string question = _b.Text("[data-stall-question]");
                // Sound, but for brown rust and a loose handle.
                var answers = _b.Driver.FindElements(By.CssSelector("[data-answer]"));
                string wanted = answers.Select(a => a.GetAttribute("data-answer")!).FirstOrDefault(a => a is "rust/brown" or "wood/loose")
                    ?? answers[0].GetAttribute("data-answer")!;
                _b.Click($"[data-answer='{wanted}']");
                taps++;
                _b.Until(() => !Shown("[data-stall-ask]") || _b.Text("[data-stall-question]") != question, "the next question");
                taps.ShouldBeLessThanOrEqualTo(14);
            }
            _b.Text("[data-verdict=go]").ShouldBe("Worth restoring");
            _b.Text("[data-stall-aims]").ShouldContain("Work");
            // The shop's own rate stands there; a hobby counts none.
            _b.Find("#s-rate").GetAttribute("value").ShouldNotBeNullOrEmpty();
            _b.Type("#s-rate", "0");
            _b.Type("#s-worth", "60");
            _b.Text("[data-stall-price]").ShouldMatch("Pay at most [45][0-9], to make it work, with about [0-9]+ for materials counted");
            _b.Type("#s-rate", "60");
            _b.Text("[data-stall-price]").ShouldContain("Not at any price");
            // Hours at their rate and materials stand beside the work of every aim.
            _b.Text("[data-stall-aims] tr:nth-child(2)").ShouldMatch(@"^Work \d+ h( \d\d)?, up to \d+ h( \d\d)? \d{3} to \d{3}$");
            _b.Type("#s-price", "12");
            _b.Click("[data-stall-send] .btn.do");
            _b.Until(() => Shown("[data-stall-waiting]"), "it waits");
            _b.Text("[data-stall-waiting]").ShouldContain("1 waiting");
            // Nothing is lost when the phone is put away meanwhile.
            _b.Driver.Navigate().Refresh();
            _b.Dressed();
            _b.Until(() => Shown("[data-stall-waiting]"), "it still waits");
        }
        finally
        {
            _b.Offline(false);
        }
        _b.Driver.ExecuteScript("dispatchEvent(new Event('online'))");
        _b.Until(() => (string)_b.Driver.ExecuteScript("return localStorage.getItem('stall:queue')")! == "[]", "sent");
        _b.Go(Address + "/stall");
        _b.Go(Address + "/shelf");
        int.Parse(_b.Text(".lead span").Split(' ')[0]).ShouldBe(before + 1);
        _b.Driver.FindElements(By.CssSelector(".stood"))[0].Click();
        _b.Until(() => _b.Driver.Url.Contains("/tag/"), "its tag");
        _b.Go(_b.Driver.Url.Replace("/origin", "/state", StringComparison.Ordinal));
        _b.Text(".findings").ShouldContain("seen at the stall");
        _b.Size(1280, 900);
    }

    [Fact]
    public void The_next_question_follows_from_the_answers_so_far()
    {
        List<string> Asked(string rust)
        {
            _b.Go(Address + "/stall");
            _b.Click("[data-kind=adjustable-wrench]");
            _b.Until(() => Shown("[data-stall-ask]"), "the first question");
            var asked = new List<string>();
            while (Shown("[data-stall-ask]"))
            {
                string question = _b.Text("[data-stall-question]");
                var answers = _b.Driver.FindElements(By.CssSelector("[data-answer]")).Select(a => a.GetAttribute("data-answer")!).ToList();
                asked.Add(answers[0].Split('/')[0]);
                _b.Click($"[data-answer='{(answers.Contains("rust/" + rust) ? "rust/" + rust : answers[0])}']");
                _b.Until(() => !Shown("[data-stall-ask]") || _b.Text("[data-stall-question]") != question, "the next question");
            }
            _b.Click("[data-stall-again]");
            _b.Until(() => Shown("[data-kind=adjustable-wrench]"), "ready for another one");
            return asked;
        }
        List<string> bright = Asked("bright"), crust = Asked("crust");
        bright.Order().ShouldBe(crust.Order());
        int after = bright.IndexOf("rust");
        bright.Take(after + 1).ShouldBe(crust.Take(after + 1));
        // Heavy rust speaks for a stuck knurl, so that is asked sooner.
        crust.IndexOf("moves").ShouldBeLessThanOrEqualTo(bright.IndexOf("moves"));
    }

    [Fact]
    public void Points_are_counted_by_keyboard_alone_and_kept()
    {
        void Press(string key) => new Actions(_b.Driver).SendKeys(key).Perform();
        _b.Size(1280, 900);
        _b.Go(Address + "/tag/31/state");
        _b.Go(_b.Find("figcaption a").GetAttribute("href")!);
        // Corners with the arrow keys and Enter.
        _b.Find("svg[data-outline]");
        _b.Driver.ExecuteScript("document.querySelector('svg[data-outline]').focus()");
        foreach (string move in new[] { "", new string('R', 4), new string('D', 3), new string('L', 4) })
        {
            foreach (char step in move)
            {
                Press(Keys.Shift + (step switch { 'R' => Keys.ArrowRight, 'D' => Keys.ArrowDown, _ => Keys.ArrowLeft }) + Keys.Null);
            }
            Press(Keys.Enter);
        }
        _b.Find("#outline").GetAttribute("value")!.Split(' ').Length.ShouldBe(4);
        _b.Choose("#part", "body");
        _b.Click("form[action*='handler=Start'] .btn.do");
        _b.Until(() => _b.Has("[data-count]"), "the points are laid");
        string address = _b.Driver.Url;
        _b.Until(() => _b.Has(".pt.here"), "the first point");
        foreach (char key in "  n  s n ")
        {
            Press(key.ToString());
        }
        _b.Until(() => _b.Text("[data-share]") == "75 %", "six of eight hit");
        _b.Text("[data-done]").ShouldBe("9");
        Press("u");
        _b.Until(() => _b.Text("[data-done]") == "8", "one back");
        _b.Until(() => _b.Text("[data-share]") == "71 %", "five of seven");
        // Another page and back: the answers are where they were.
        _b.Go(Address + "/");
        _b.Go(address);
        _b.Until(() => _b.Text("[data-done]") == "8", "kept");
        _b.Driver.FindElements(By.CssSelector(".pt.y")).Count.ShouldBe(5);
    }

    [Fact]
    public void The_outline_starts_from_the_drawing_laid_between_two_points_and_the_picture_comes_nearer()
    {
        _b.Go(Address + "/tag/31/state");
        _b.Click("a[href*='/count/']");
        IWebElement picture = _b.Find("svg[data-zoom]");
        string Shown() => picture.GetDomAttribute("viewBox")!;
        string first = Shown();
        _b.Click("[data-zoom-by='0.7']");
        _b.Until(() => Shown() != first && double.Parse(Shown().Split(' ')[2],
            System.Globalization.CultureInfo.InvariantCulture) < double.Parse(first.Split(' ')[2], System.Globalization.CultureInfo.InvariantCulture),
            "nearer");
        string near = Shown();
        new Actions(_b.Driver).MoveToElement(picture).ClickAndHold().MoveByOffset(60, 10).Release().Perform();
        _b.Until(() => Shown() != near, "moved");
        _b.Find("#outline").GetAttribute("value").ShouldBeEmpty("a drag sets no corner");
        _b.Click("[data-zoom-by='0']");
        _b.Until(() => Shown().StartsWith("0 0 ", StringComparison.Ordinal), "the whole picture");
        _b.Choose("#part", "body");
        _b.Click("input[name=tap][value=ends]");
        int width = picture.Size.Width, height = picture.Size.Height;
        foreach (int side in new[] { -1, 1 })
        {
            new Actions(_b.Driver).MoveToElement(picture, side * (int)(width * 0.45), (int)(height * 0.3)).Click().Perform();
        }
        _b.Until(() => _b.Find("#outline").GetAttribute("value")!.Split(' ').Length > 8, "the body's outline is laid");
        double[] xs = [.. _b.Find("#outline").GetAttribute("value")!.Split(' ').Select(p =>
            double.Parse(p.Split(',')[0], System.Globalization.CultureInfo.InvariantCulture))];
        double whole = double.Parse(Shown().Split(' ')[2], System.Globalization.CultureInfo.InvariantCulture);
        (xs.Max() - xs.Min()).ShouldBeGreaterThan(whole * 0.7);
        _b.Click("form[action*='handler=Start'] .btn.do");
        _b.Until(() => _b.Has("[data-count]"), "the points are laid");
    }
}
