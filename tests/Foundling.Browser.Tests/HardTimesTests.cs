using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Foundling.Browser.Tests;

/// <summary>Crashes, lost connections, reloads, dirty hands.</summary>
public sealed class HardTimesTests(DemoShop demo) : IClassFixture<DemoShop>
{
    private readonly Browser _b = demo.Browser;

    private string Address => demo.Shop.Address;

    [Fact]
    public void Nothing_confirmed_is_lost_when_the_process_is_killed()
    {
        _b.Go(Address + "/tag/40/rod");
        _b.Click("button[data-clock-button=start]");
        _b.Until(() => _b.Has(".clockchip"), "the clock runs");
        _b.Go(Address + "/tag/40/log");
        _b.Type("#notetext", "written just before the lights went out");
        _b.Click("form[data-keep^=note] button");
        _b.Until(() => _b.Text("ul.list").Contains("lights went out"), "confirmed on screen");
        demo.Shop.Kill();
        demo.Shop.Start();
        _b.Go(Address + "/tag/40/log");
        _b.Text("ul.list").ShouldContain("written just before the lights went out");
        _b.Text(".clockchip").ShouldContain("F-0040");
        string before = _b.Text(".clockchip [data-ran]");
        _b.Until(() => _b.Text(".clockchip [data-ran]") != before, "the clock still runs");
        _b.Go(Address + "/clock");
        _b.Click("button[data-clock-button=stop]");
        _b.Until(() => !_b.Has(".clockchip"), "and can be stopped");
    }

    [Fact]
    public void A_lost_connection_keeps_what_is_typed_and_sends_it_once_when_it_is_back()
    {
        _b.Go(Address + "/tag/33/log");
        _b.Type("#notetext", "typed on the slipway");
        demo.Shop.Kill();
        _b.Click("form[data-keep^=note] button");
        _b.Until(() => _b.Has("#said:not([hidden])"), "the loss is told");
        _b.Text("#said").ShouldContain("No connection");
        _b.Find("#notetext").GetAttribute("value").ShouldBe("typed on the slipway");
        demo.Shop.Start();
        _b.Click("form[data-keep^=note] button");
        _b.Until(() => _b.Text("ul.list").Contains("typed on the slipway"), "sent");
        _b.Text("ul.list").Split("typed on the slipway").Length.ShouldBe(2);
    }

    [Fact]
    public void A_reload_keeps_a_half_filled_form_until_it_was_taken()
    {
        _b.Go(Address + "/new");
        _b.Type("#f-owner", "Maud Aldous");
        _b.Type("#f-story", "Half a story");
        _b.Click("label.choice:has(input[value=axe])");
        _b.Driver.Navigate().Refresh();
        _b.Dressed();
        _b.Until(() => _b.Find("#f-owner").GetAttribute("value") == "Maud Aldous", "kept");
        _b.Find("#f-story").GetAttribute("value").ShouldBe("Half a story");
        _b.Driver.FindElement(By.CssSelector("input[value=axe]")).Selected.ShouldBeTrue();
        _b.Click("form[data-keep=new] button.do");
        _b.Until(() => _b.Driver.Url.Contains("/origin"), "taken");
        _b.Go(Address + "/new");
        _b.Find("#f-owner").GetAttribute("value").ShouldBeEmpty();
    }

    [Fact]
    public void A_refused_form_puts_the_cursor_at_the_fault()
    {
        _b.Go(Address + "/tag/31/proof");
        _b.Type("#readings", "0.03 thick");
        _b.Click("form[data-keep^=proof] button.do");
        _b.Until(() => _b.Has(".field.bad"), "refused");
        _b.Text(".field.bad .fault").ShouldContain("is not a length");
        _b.Driver.SwitchTo().ActiveElement().GetAttribute("id").ShouldBe("readings");
        _b.Find("#readings").GetAttribute("value").ShouldBe("0.03 thick");
    }

    [Fact]
    public void The_rooms_and_leaves_are_reached_by_single_keys()
    {
        void Press(string key) => new Actions(_b.Driver).SendKeys(key).Perform();
        _b.Go(Address + "/");
        Press("s");
        _b.Until(() => _b.Driver.Url.EndsWith("/shelf", StringComparison.Ordinal), "shelf");
        Press("f");
        _b.Driver.SwitchTo().ActiveElement().GetAttribute("id").ShouldBe("find");
        Press("b");
        _b.Driver.Url.ShouldEndWith("/shelf");
        _b.Go(Address + "/tag/31/origin");
        foreach ((string key, string leaf) in new[] { ("2", "state"), ("3", "aim"), ("4", "rod"), ("5", "log"), ("6", "proof"), ("7", "papers"),
            ("1", "origin") })
        {
            Press(key);
            _b.Until(() => _b.Driver.Url.EndsWith(leaf, StringComparison.Ordinal), leaf);
        }
        void Question(string type) => _b.Driver.ExecuteCdpCommand("Input.dispatchKeyEvent", new() { ["type"] = type, ["key"] = "?",
            ["text"] = type == "keyDown" ? "?" : "" });
        Question("keyDown");
        _b.Find("#keys").Text.ShouldContain("start or stop the clock");
        Question("keyUp");
        _b.Until(() => !_b.Has("#keys[open]"), "let go");
    }

    [Fact]
    public void A_tool_is_examined_by_keyboard_alone()
    {
        void Press(string key) => new Actions(_b.Driver).SendKeys(key).Perform();
        _b.Go(Address + "/tag/19/state");
        for (int i = 0; i < 60 && _b.Driver.SwitchTo().ActiveElement().GetAttribute("data-part") != "knob"; i++)
        {
            Press(Keys.Tab);
        }
        Press(Keys.Enter);
        _b.Until(() => _b.Driver.Url.Contains("Part=knob"), "the knob is chosen");
        _b.Text("#find").ShouldContain("knob");
    }

    [Fact]
    public void Booking_in_asks_only_what_the_kind_has_and_loses_nothing()
    {
        _b.Go(Address + "/new");
        bool Asked(string id) => _b.Driver.FindElement(By.Id(id)).Displayed;
        Asked("f-sole").ShouldBeTrue("nothing is chosen yet");
        _b.Click("label.choice:has(input[value=metal-bench-plane])");
        _b.Type("#f-sole", "60");
        _b.Click("label.choice:has(input[value=adjustable-wrench])");
        _b.Until(() => !Asked("f-sole"), "a wrench has no sole");
        (Asked("f-iron") || Asked("f-mouth") || Asked("f-purpose") || Asked("f-hand")).ShouldBeFalse();
        _b.Text("[data-length-is]").ShouldBe("Length over all");
        _b.Click("label.choice:has(input[value=axe])");
        _b.Until(() => Asked("f-iron"), "an axe has an edge");
        _b.Text("[data-width-is]").ShouldBe("Length of the edge");
        _b.Click("label.choice:has(input[value=metal-bench-plane])");
        _b.Until(() => Asked("f-sole"), "a plane has a sole");
        _b.Find("#f-sole").GetAttribute("value").ShouldBe("60");
    }

    [Fact]
    public void Every_room_can_be_reached_on_a_phone()
    {
        _b.Size(390, 844);
        try
        {
            foreach (string room in new[] { "/gauges", "/patterns", "/stores", "/stores/list", "/baths", "/shop", "/new", "/marks", "/lots" })
            {
                _b.Go(Address + "/");
                _b.Click(".rooms summary");
                _b.Click($".rooms a[href='{room}']");
                _b.Until(() => new Uri(_b.Driver.Url).AbsolutePath == room, room);
            }
        }
        finally
        {
            _b.Size(1280, 900);
        }
    }

    [Fact]
    public void The_list_of_marks_is_narrowed_as_one_types()
    {
        _b.Go(Address + "/marks");
        int Shown() => _b.Driver.FindElements(By.CssSelector("[data-narrow-row]")).Count(r => r.Displayed);
        int all = Shown();
        _b.Type("#narrow", "plating");
        _b.Until(() => Shown() is > 0 and < 12, "only platings are left");
        _b.Text("[data-narrow-count]").ShouldContain("left");
        _b.Driver.FindElements(By.CssSelector(".marks tbody")).Count(t => t.Displayed).ShouldBeLessThan(4);
        _b.Type("#narrow", "zzyzx");
        _b.Until(() => Shown() == 0, "nothing has that");
        _b.Type("#narrow", "");
        _b.Find("#narrow").SendKeys(Keys.Space + Keys.Backspace);
        _b.Until(() => Shown() == all, "all are back");
    }
}
