using System.Globalization;
using System.IO.Compression;
using System.Text.RegularExpressions;
using OpenQA.Selenium;

namespace Foundling.Browser.Tests;

/// <summary>One rusty, nameless plane from the stall to its papers, as a person does it.</summary>
public sealed partial class JourneyTests(DemoShop demo) : IClassFixture<DemoShop>
{
    private readonly Browser _b = demo.Browser;

    private string Tag(string leaf, int number) => $"{demo.Shop.Address}/tag/{number}/{leaf}";

    private (int From, int To) Span()
    {
        Match match = Years().Match(_b.Text(".taghead .sum b"));
        return (int.Parse(match.Groups[1].Value, CultureInfo.InvariantCulture), int.Parse(match.Groups[2].Value, CultureInfo.InvariantCulture));
    }

    private void Look(string trait, string variant)
    {
        // Looks that tell little stand in a list of their own, folded away.
        foreach (string form in new[] { $"details:not(.look):has(input[value={trait}])", $"details.look:has(input[value={trait}])" })
        {
            if (_b.Has(form) && !_b.Has(form + "[open]"))
            {
                _b.Click(form + " > summary");
            }
        }
        _b.Click($"details.look:has(input[value={trait}]) button[value={variant}]");
        _b.Until(() => !_b.Has($".look input[name=trait][value={trait}]"), $"{trait} is taken");
    }

    private void Note(int number, string part, string kind, int degree)
    {
        _b.Go(Tag($"state?Part={part}", number));
        int before = _b.Driver.FindElements(By.CssSelector(".findings > li .disc")).Count;
        // Two taps: the fault, and how much of it.
        _b.Click($"[data-fault-of={kind}] > summary");
        _b.Click($"button[value='{kind}:{degree}']");
        _b.Until(() => _b.Driver.FindElements(By.CssSelector(".findings > li .disc")).Count == before + 1, "the finding is listed");
    }

    [Fact]
    public void From_the_stall_to_the_papers()
    {
        _b.Size(1280, 900);
        _b.Go(demo.Shop.Address + "/new");
        _b.Click("label.choice:has(input[value=metal-bench-plane])");
        _b.Type("#f-length", "9 5/8\"");
        _b.Type("#f-iron", "50.9");
        _b.Type("#f-sole", "60");
        _b.Type("#f-mouth", "80");
        _b.Choose("#f-purpose", "Smoothing");
        _b.Type("#f-source", "stall by the bridge");
        _b.Type("#f-price", "14");
        _b.Click("form[data-keep=new] button.do");
        _b.Until(() => _b.Driver.Url.Contains("/origin"), "booked in");
        int number = int.Parse(new Uri(_b.Driver.Url).Segments[2].TrimEnd('/'), CultureInfo.InvariantCulture);

        // Six looks; each narrows the years or leaves them.
        (string, string)[] looks = [("side_wing", "peaked"), ("heel_edge", "rounded_heel"), ("cast_number", "ahead_of_knob"), ("wheel", "small_brass"),
            ("cap_hole", "pear"), ("knob_form", "low_bun")];
        int width = 200, narrowed = 0;
        foreach ((string trait, string variant) in looks)
        {
            Look(trait, variant);
            (int from, int to) = Span();
            (to - from).ShouldBeLessThanOrEqualTo(width);
            narrowed += to - from < width ? 1 : 0;
            width = to - from;
        }
        narrowed.ShouldBeGreaterThanOrEqualTo(4);
        width.ShouldBeLessThan(20);
        _b.Driver.FindElements(By.CssSelector(".strata .band")).Count.ShouldBe(6);

        // Findings, the aim, a rod in a right order.
        Note(number, "body", "Rust", 3);
        Note(number, "iron", "EdgeDamage", 2);
        Note(number, "tote", "Looseness", 2);
        Note(number, "body", "OutOfFlat", 2);
        Note(number, "frog", "OutOfFlat", 1);
        _b.Go(Tag("aim", number));
        _b.Click("section[aria-label=Work] button.btn");
        _b.Until(() => _b.Driver.Url.EndsWith("/rod", StringComparison.Ordinal), "planned");
        List<string> steps = [.. _b.Driver.FindElements(By.CssSelector("li.step")).Select(e => e.GetAttribute("id")!)];
        steps.Count.ShouldBeGreaterThanOrEqualTo(15);
        foreach ((string before, string after) in new[] { ("photos", "apart"), ("wash", "soak"), ("soak", "soak-oil"), ("frog-seat", "assemble"),
            ("tension", "sole-lap"), ("sole-lap", "final-hone"), ("protect", "prove") })
        {
            steps.IndexOf("step-" + before).ShouldBeLessThan(steps.IndexOf("step-" + after), $"{before} before {after}");
            steps.ShouldContain("step-" + before);
        }

        // The clock runs and stops; the log shows it.
        _b.Click("#step-photos button[data-clock-button=start]");
        _b.Until(() => _b.Has(".clockchip") && _b.Has("#step-photos button[data-clock-button=stop]"), "the clock runs");
        _b.Text(".clockchip").ShouldContain("Photograph it as it came");
        _b.Click("#step-photos button[data-clock-button=stop]");
        _b.Until(() => !_b.Has(".clockchip"), "the clock stands");
        _b.Go(Tag("log", number));
        _b.Text("ul.list").ShouldContain("WORKED");

        // The sample survey.
        _b.Go(Tag("sole", number));
        _b.Find("#file").SendKeys(Tree.Path("src", "Foundling.Web", "wwwroot", "samples", "sole-sample.csv"));
        _b.Click("form[data-keep^=sole] button.do");
        _b.Until(() => _b.Has("svg.map"), "the map is drawn");
        _b.Text("[data-flatness]").ShouldMatch(@"^0\.1\d mm ± 0\.0\d+ mm$");
        _b.Driver.FindElements(By.CssSelector("svg.map .at")).Count.ShouldBe(54);

        // Three shavings.
        _b.Go(Tag("proof", number));
        _b.Type("#readings", "0.034 0.031 0.036");
        _b.Click("form[data-keep^=proof] button.do");
        _b.Until(() => _b.Has("[data-verdict=met]"), "judged");

        // Papers downloaded here and imported elsewhere give the same tag.
        _b.Go(Tag("papers", number));
        string here = Papers();
        _b.Click("a[download]");
        string file = Path.Combine(_b.Downloads, $"F-{number:0000}.zip");
        _b.Until(() => File.Exists(file), "downloaded");
        using var other = new RunningShop(demo: false);
        _b.Go(other.Address + "/shop");
        _b.Find("#bundle").SendKeys(file);
        _b.Click("form[action*='handler=Import'] button");
        _b.Until(() => _b.Driver.Url.Contains("/shop/incoming/", StringComparison.Ordinal), "shown before it is taken");
        _b.Text("main").ShouldContain($"F-{number:0000}");
        _b.Click("form[action*='/shop/incoming/'] button.do");
        _b.Until(() => _b.Driver.Url.EndsWith($"/tag/{number}/papers", StringComparison.Ordinal), "imported");
        Papers().ShouldBe(here);
        _b.Click("a[download]");
        string again = Path.Combine(_b.Downloads, $"F-{number:0000} (1).zip");
        _b.Until(() => File.Exists(again), "downloaded again");
        Document(again).ShouldBe(Document(file));
    }

    private string Papers() => _b.Text("article") + _b.Text(".taghead");

    private static string Document(string zip)
    {
        using ZipArchive archive = ZipFile.OpenRead(zip);
        using var reader = new StreamReader(archive.GetEntry("tag.json")!.Open());
        return reader.ReadToEnd();
    }

    [GeneratedRegex(@"(\d{4})–(\d{4})")]
    private static partial Regex Years();
}
