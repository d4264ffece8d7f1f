using System.Globalization;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Foundling.Browser.Tests;

/// <summary>Lapping is foreseen and steered by mouse and by keyboard; marks are painted with a thumb on the phone.</summary>
public sealed class SoleTests(DemoShop demo) : IClassFixture<DemoShop>
{
    private const string Hands = "[data-lap-hands]";

    private readonly Browser _b = demo.Browser;

    private string At(string page) => demo.Shop.Address + page;

    private double X => double.Parse(_b.Find(Hands).GetAttribute("data-x")!, CultureInfo.InvariantCulture);

    private string Said => _b.Text("[data-lap-said]");

    private void Rolled() => _b.Until(() => _b.Has("[data-film][data-rolled]"), "the film is there");

    [Fact]
    public void The_film_is_played_and_the_hands_are_moved_by_keyboard_and_by_mouse()
    {
        _b.Size(1280, 1000);
        _b.Go(At("/tag/31/sole/lap"));
        Rolled();
        Said.ShouldStartWith("after 0 strokes");
        _b.Click("[data-lap-play]");
        _b.Until(() => !Said.StartsWith("after 0 strokes", StringComparison.Ordinal), "it plays");
        _b.Click("[data-lap-play]");
        string stopped = Said;
        _b.Text("[data-lap-play]").ShouldBe("Play");
        double before = X;
        _b.Driver.ExecuteScript($"document.querySelector('{Hands}').focus()");
        new Actions(_b.Driver).KeyDown(Keys.Shift).SendKeys(Keys.ArrowLeft).KeyUp(Keys.Shift).Perform();
        _b.Until(() => X == before - 25, "the hands go towards the toe");
        _b.Until(() => _b.Driver.Url.Contains("move=", StringComparison.Ordinal), "what was chosen stands in the address");
        _b.Until(() => Said.Split(" · ")[0] == stopped.Split(" · ")[0], "the stroke that was shown is shown again");
        before = X;
        new Actions(_b.Driver).MoveToElement(_b.Find($"{Hands} .press")).ClickAndHold().MoveByOffset(80, 0).Release().Perform();
        _b.Until(() => X > before + 10, "they are where they were dropped");
        _b.Until(() => _b.Find("[data-lap-again]").Displayed, "there is a way back");
        _b.Click("[data-lap-again]");
        _b.Until(() => !_b.Driver.Url.Contains("move=", StringComparison.Ordinal), "and it leads to the first place");
    }

    [Fact]
    public void A_survey_is_taken_from_the_instrument_from_the_first_place_to_the_last()
    {
        _b.Size(1280, 900);
        _b.Go(At("/tag/36/sole"));
        _b.Driver.ExecuteScript("document.querySelector('#kind').closest('details').open = true");
        _b.Choose("#kind", "simulated");
        _b.Click("form[action*='handler=Indicator'] .btn");
        _b.Until(() => _b.Has("[data-listen]"), "the stand-in can be listened to");
        _b.Driver.FindElements(By.CssSelector(".places circle.lit")).Count.ShouldBe(1, "the first place is lit");
        _b.Click("[data-listen]");
        List<string> said = [];
        _b.Until(() =>
        {
            said.Add(_b.Text("[data-live-said]"));
            return said[^1].StartsWith("All places are read", StringComparison.Ordinal);
        }, "it is led from the first place to the last");
        said.ShouldContain(s => s.Contains("no reading of this face", StringComparison.Ordinal), "the wild one was refused");
        _b.Driver.FindElements(By.CssSelector(".places circle.read")).Count.ShouldBe(24);
        _b.Click("form[data-module='survey'] button:not([type=button])");
        _b.Until(() => _b.Has("[data-flatness]"), "the map is drawn");
        _b.Text("[data-flatness]").ShouldStartWith("0.1");
        _b.Text("main").ShouldContain("Hollow along the length");
    }

    [Fact]
    public void A_straightedge_is_laid_line_by_line_and_another_face_is_read_by_keyboard()
    {
        _b.Size(1280, 900);
        _b.Go(At("/tag/42/sole"));
        _b.Text("h2").ShouldStartWith("Map of the back of the blade");
        _b.Driver.ExecuteScript("document.querySelector('#lines').open = true");
        System.Collections.ObjectModel.ReadOnlyCollection<IWebElement> gaps = _b.Driver.FindElements(By.CssSelector("[name=gap]"));
        gaps[0].SendKeys("0");
        _b.Until(() => _b.Driver.FindElements(By.CssSelector(".feelers path.lit")).Count == 1, "the line that is read is lit");
        _b.Driver.FindElements(By.CssSelector(".feelers circle.lit")).Count.ShouldBe(1, "and so is the place of its gap");
        foreach (IWebElement gap in gaps.Skip(1))
        {
            // Hollow along the blade: the middle of each line along it stands off the straightedge.
            new Actions(_b.Driver).SendKeys(Keys.Tab + (gap.GetAttribute("data-station")!.StartsWith('2') ? "0.04" : "0")).Perform();
        }
        gaps[^1].GetAttribute("value").ShouldBe("0");
        new Actions(_b.Driver).SendKeys(Keys.Enter).Perform();
        _b.Until(() => _b.Has("[data-flatness]"), "the map is drawn");
        _b.Text("main").ShouldContain("7 straightedge lines");
        _b.Text("main").ShouldContain("Hollow along the length");
    }

    [Fact]
    public void A_survey_changes_the_minutes_of_the_rod()
    {
        _b.Size(1280, 900);
        _b.Go(At("/tag/19/rod"));
        string Lapping() => (string)_b.Driver.ExecuteScript("return document.querySelector('#step-sole-lap')?.textContent ?? ''")!;
        string before = Lapping();
        before.ShouldNotBeEmpty();
        before.ShouldNotContain("strokes on P80");
        _b.Go(At("/tag/19/sole"));
        string bowl = string.Join("\\n", from x in Enumerable.Range(0, 12) from y in new[] { 3, 35, 66 } let u = (x - 5.5) / 5.5
            select string.Create(CultureInfo.InvariantCulture, $"{x * 50},{y},{0.25 * u * u:0.####}"));
        _b.Driver.ExecuteScript($"document.querySelector('#text').value = '{bowl}'");
        _b.Click("form[action*='handler=Import'] .btn.do");
        _b.Until(() => _b.Has("[data-flatness]"), "the map is drawn");
        _b.Go(At("/tag/19/rod"));
        _b.Click(".notice form[action*='handler=Replan'] button");
        _b.Until(() => Lapping().Contains("strokes on P80, then finer", StringComparison.Ordinal), "the plan takes its figures from the survey");
        Lapping().ShouldNotBe(before);
    }

    [Fact]
    public void Marks_painted_while_the_connection_is_lost_are_sent_once_it_is_back()
    {
        _b.Size(390, 844);
        _b.Go(At("/tag/17/sole/marks"));
        _b.Until(() => _b.Has(".fieldgrid i.m-l"), "the pad stands there, all marks left");
        _b.Driver.ExecuteScript("for (const c of [0, 1, 10, 11]) for (const r of [0, 1, 2, 3, 4]) { const f = document.querySelector("
            + "`.fieldgrid i[data-row='${r}'][data-column='${c}']`); f.scrollIntoView({ block: 'center' }); const at = f.getBoundingClientRect(), "
            + "o = { bubbles: true, cancelable: true, pointerId: 1, clientX: at.x + at.width / 2, clientY: at.y + at.height / 2 }; "
            + "f.dispatchEvent(new PointerEvent('pointerdown', o)); f.dispatchEvent(new PointerEvent('pointerup', o)); }");
        _b.Driver.FindElements(By.CssSelector(".fieldgrid i.m-g")).Count.ShouldBe(20);
        _b.Offline(true);
        _b.Click("form[data-module='marks'] .btn.do");
        _b.Until(() => _b.Text("#said").Contains("No connection to the shop", StringComparison.Ordinal), "it says so");
        _b.Driver.FindElements(By.CssSelector(".fieldgrid i.m-g")).Count.ShouldBe(20, "what was painted stays");
        _b.Offline(false);
        _b.Go(At("/tag/17/sole/marks"));
        _b.Until(() => _b.Driver.FindElements(By.CssSelector(".fieldgrid i.m-g")).Count == 20, "even when the page is opened anew");
        _b.Click("form[data-module='marks'] .btn.do");
        _b.Until(() => _b.Has("[data-marks-says]"), "sent once more, it is read");
        _b.Text("[data-marks-says]").ShouldContain("after 1 look");
        _b.Size(1280, 900);
    }

    [Fact]
    public void Sections_are_cut_by_keyboard_and_by_mouse()
    {
        _b.Size(1280, 900);
        _b.Go(At("/tag/31/sole"));
        string Cut(string name) => _b.Find($"[data-section='{name}']").GetAttribute("d") ?? "";
        _b.Until(() => Cut("along").Length > 0 && Cut("across").Length > 0, "both sections are drawn");
        string along = Cut("along"), across = Cut("across");
        _b.Driver.ExecuteScript("document.querySelector('[data-cut=along]').focus()");
        new Actions(_b.Driver).SendKeys(Keys.ArrowDown + Keys.ArrowDown).Perform();
        _b.Until(() => Cut("along") != along, "it follows the keys");
        Cut("across").ShouldBe(across);
        new Actions(_b.Driver).MoveToElement(_b.Find("[data-cut=across] .hitline"), 0, 40).ClickAndHold().MoveByOffset(-90, 0).Release().Perform();
        _b.Until(() => Cut("across") != across, "and the mouse");
        _b.Click("#numbers");
        _b.Find(".map .numbers").Displayed.ShouldBeTrue();
    }

    [Fact]
    public void Marks_are_painted_by_touch_on_the_phone_and_read()
    {
        _b.Size(390, 844);
        _b.Go(At("/tag/20/sole/marks"));
        _b.Until(() => _b.Has(".fieldgrid i.m-l"), "the pad stands there, all marks left");
        _b.Driver.ExecuteScript("document.querySelector('[data-marks-pad]').scrollIntoView({ block: 'center' })");
        IWebElement Field(int row, int column) => _b.Find($".fieldgrid i[data-row='{row}'][data-column='{column}']");
        var thumb = new PointerInputDevice(PointerKind.Touch, "thumb");
        void Paint(int column)
        {
            var stroke = new ActionSequence(thumb);
            stroke.AddAction(thumb.CreatePointerMove(Field(0, column), 0, 0, TimeSpan.Zero));
            stroke.AddAction(thumb.CreatePointerDown(MouseButton.Touch));
            foreach (int row in Enumerable.Range(1, 4))
            {
                stroke.AddAction(thumb.CreatePointerMove(Field(row, column), 0, 0, TimeSpan.FromMilliseconds(40)));
            }
            stroke.AddAction(thumb.CreatePointerUp(MouseButton.Touch));
            _b.Driver.PerformActions([stroke]);
        }
        Paint(0);
        Paint(1);
        Paint(10);
        Paint(11);
        _b.Driver.FindElements(By.CssSelector(".fieldgrid i.m-g")).Count.ShouldBe(20);
        _b.Click("[data-brush='f']");
        Paint(2);
        Paint(9);
        _b.Driver.FindElements(By.CssSelector(".fieldgrid i.m-f")).Count.ShouldBe(10);
        _b.Click("form[data-module='marks'] .btn.do");
        _b.Until(() => _b.Has("[data-marks-says]"), "it is read");
        _b.Text("[data-marks-says]").ShouldContain("Hollow along its length");
    }
}
