using System.Text.Json;
using OpenQA.Selenium;

namespace Foundling.Browser.Tests;

/// <summary>Every page at both sizes: nothing overflows, nothing is refused by the browser, nothing shuts anyone out.</summary>
public sealed class LookTests(DemoShop demo) : IClassFixture<DemoShop>
{
    private static readonly string Axe = File.ReadAllText(Tree.Path("node_modules", "axe-core", "axe.min.js"));

    public static TheoryData<string, int> Pages()
    {
        var data = new TheoryData<string, int>();
        foreach (string page in new[] { "/", "/shelf", "/new", "/clock", "/shop", "/gauges", "/gauges/state/iron_reserve",
            "/gauges/sole/grid_survey?length_mm=245&width_mm=60&points_mm=5+5+0%0A70+5+0.1%0A240+5+0%0A5+55+0", "/tag/31/origin",
            "/tag/31/state?Part=body", "/tag/31/aim", "/tag/31/rod", "/tag/24/rod?show=sitting", "/tag/33/aim", "/tag/31/ways", "/tag/25/needs",
            "/tag/28/rules", "/tag/31/log", "/tag/31/sole", "/tag/31/sole?face=frog_face",
            "/tag/31/sole/lap", "/grits?tag=31", "/saws?tag=22&plate=0.9&set=0.2&heights=2+1.9+0.4", "/edges?tag=31&second=30&honings=6",
            "/edges/blade?thick=4&behind=9&wide=110&curve=9", "/edges/mouth?tag=31&next=3&back=0.5", "/edges/photo?tag=31",
              "/saws/photo?tag=22&long=100&tips=40+40", "/edges/stones?tag=31",
            "/edges/cutters?chip=0.4&face=34&stop=10&left=0.3&marked=8&light=Tip",
            "/tag/31/sole/marks", "/grits?area=1.47&defect=0.1", "/tag/31/proof", "/tag/24/proof?Of=bolt", "/tag/31/papers", "/tag/31/book", "/tag/42/origin",
            "/tag/40/origin?Near=true&mark=1910", "/stall", "/lots", "/baths", "/baths/1",
            "/baths/load?for=28", "/baths/times", "/baths/blasting?tank=50&area=12&high=8&low=4&gun=300&delivery=120", "/air",
            "/stores", "/stores/shellac", "/stores/fine-stone", "/stores/list", "/stores/kit", "/stores/parts", "/tag/31/condition",
            "/tag/31/state?Part=frog&Apart=True", "/patterns", "/patterns/ottermere_adjust", "/patterns/trait/knob_form?line=pellow_tarn_bench",
            "/marks?mark=Made+in", "/kinds?near=gouge", "/identify?look=nut_form:flat_split", "/no/such/page" })
        {
            data.Add(page, 1280);
            data.Add(page, 390);
        }
        return data;
    }

    [Theory]
    [MemberData(nameof(Pages))]
    public void Fits_and_shuts_nobody_out(string page, int width)
    {
        Browser b = demo.Browser;
        b.Size(width, width > 500 ? 800 : 844);
        b.Go(demo.Shop.Address + page);
        b.Find("main h1");
        Convert.ToInt32(b.Driver.ExecuteScript("return document.documentElement.scrollWidth")).ShouldBeLessThanOrEqualTo(width,
            "the page is wider than the screen");
        b.Driver.Manage().Logs.GetLog(LogType.Browser).Where(l => !l.Message.Contains("404")).Select(l => l.Message).ShouldBeEmpty();

        ShutsNobodyOut(b);

        if (width < 500)
        {
            string small = (string)b.Driver.ExecuteScript("return [...document.querySelectorAll('.btn, .rail a, select, input[type=text]')].filter(e => "
                + "e.offsetParent && e.getBoundingClientRect().height < 43).map(e => e.outerHTML.slice(0, 80)).join('\\n')")!;
            small.ShouldBeEmpty("targets must be large enough for dirty hands");
        }
    }

    [Fact]
    public void A_part_too_small_for_a_finger_takes_the_taps_round_it()
    {
        Browser b = demo.Browser;
        b.Size(390, 844);
        b.Driver.ExecuteCdpCommand("Emulation.setTouchEmulationEnabled", new() { ["enabled"] = true, ["maxTouchPoints"] = 1 });
        try
        {
            b.Go(demo.Shop.Address + "/tag/31/state");
            ((bool)b.Driver.ExecuteScript("return matchMedia('(pointer: coarse)').matches")!).ShouldBeTrue("a finger is what points");
            // Beside the nut of the knob, where nothing is drawn.
            var at = (IReadOnlyCollection<object>)b.Driver.ExecuteScript("""
                const part = document.querySelector('[data-parts] [data-part=knob_bolt]');
                part.scrollIntoView({ block: 'center' });
                const box = part.getBoundingClientRect();
                const x = box.left + box.width / 2, y = box.top - 10;
                return [x, y, document.elementFromPoint(x, y).closest('[data-part]') ? 1 : 0];
                """)!;
            double[] spot = [.. at.Select(Convert.ToDouble)];
            spot[2].ShouldBe(0, "the tap falls on nothing");
            var finger = new Dictionary<string, object> { ["x"] = spot[0], ["y"] = spot[1] };
            b.Driver.ExecuteCdpCommand("Input.dispatchTouchEvent", new() { ["type"] = "touchStart", ["touchPoints"] = new object[] { finger } });
            b.Driver.ExecuteCdpCommand("Input.dispatchTouchEvent", new() { ["type"] = "touchEnd", ["touchPoints"] = Array.Empty<object>() });
            b.Until(() => b.Driver.Url.Contains("Part=knob_bolt", StringComparison.Ordinal), "the small part was chosen");
        }
        finally
        {
            b.Driver.ExecuteCdpCommand("Emulation.setTouchEmulationEnabled", new() { ["enabled"] = false });
        }
    }

    [Theory]
    [InlineData(1280)]
    [InlineData(390)]
    public void What_opens_on_a_tap_shuts_nobody_out_either(int width)
    {
        Browser b = demo.Browser;
        b.Size(width, width > 500 ? 800 : 844);
        b.Go(demo.Shop.Address + "/tag/31/state?Part=iron");
        b.Click("[data-fault-of=Pitting] > summary");
        ShutsNobodyOut(b);
        b.Click(".noted a");
        b.Find("#edit");
        ShutsNobodyOut(b);
        b.Go(demo.Shop.Address + "/tag/31/state");
        b.Click("a[href*='/count/']");
        b.Find("svg[data-zoom]");
        ShutsNobodyOut(b);
        if (width < 500)
        {
            b.Click(".rooms summary");
            ShutsNobodyOut(b);
        }
    }

    internal static void ShutsNobodyOut(Browser b)
    {
        b.Driver.ExecuteScript(Axe);
        string result = (string)b.Driver.ExecuteAsyncScript("const done = arguments[arguments.length - 1]; axe.run().then(r => "
            + "done(JSON.stringify(r.violations.filter(v => v.impact === 'serious' || v.impact === 'critical').map(v => v.id + ': ' + v.nodes.map(n => "
            + "n.target.join(' ')).join(', ')))));")!;
        JsonSerializer.Deserialize<string[]>(result)!.ShouldBeEmpty();
    }
}
