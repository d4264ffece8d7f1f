using System.Collections.ObjectModel;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Foundling.Browser.Tests;

/// <summary>A kind of the shop's own, traced on a photograph.</summary>
public sealed class KindTests(DemoShop demo) : IClassFixture<DemoShop>, IDisposable
{
    private readonly Browser _b = demo.Browser;
    private readonly string _photo = Path.Combine(Path.GetTempPath(), $"foundling-{Guid.NewGuid():N}.png");

    private string Address => demo.Shop.Address;

    public void Dispose() => File.Delete(_photo);

    /// <summary>Takes a picture of a tool, and says where points round its parts are on it.</summary>
    private Dictionary<string, List<(double X, double Y)>> Photograph(string kind, Dictionary<string, int> parts)
    {
        _b.Size(1280, 900);
        _b.Go($"{Address}/kinds?near={kind}");
        _b.Driver.GetScreenshot().SaveAsFile(_photo);
        Dictionary<string, List<(double X, double Y)>> all = [];
        foreach ((string part, int points) in parts)
        {
            var found = (ReadOnlyCollection<object>)_b.Driver.ExecuteScript("""
                const path = document.querySelector(`svg.prof [data-part=${arguments[0]}] path.o`), end = path.getTotalLength(), all = [];
                for (let i = 0; i < arguments[1]; i++) {
                  const p = path.getPointAtLength(end * i / arguments[1]).matrixTransform(path.getScreenCTM());
                  all.push(p.x, p.y);
                }
                return all;
                """, part, points)!;
            double[] numbers = [.. found.Select(Convert.ToDouble)];
            all[part] = [.. numbers.Chunk(2).Select(p => (p[0], p[1]))];
        }
        return all;
    }

    private void Tap(double x, double y)
    {
        // Where a place on the picture is on the screen.
        var at = (ReadOnlyCollection<object>)_b.Driver.ExecuteScript("""
            const stage = document.querySelector('.trace-stage');
            const p = new DOMPoint(arguments[0], arguments[1]).matrixTransform(stage.getScreenCTM());
            return [p.x, p.y];
            """, x, y)!;
        new Actions(_b.Driver).MoveToLocation((int)Math.Round(Convert.ToDouble(at[0])), (int)Math.Round(Convert.ToDouble(at[1]))).Click().Perform();
    }

    private void Choose(string part) => _b.Find($"[data-trace-parts] [data-part=\"{part}\"]").Click();

    [Fact]
    public void A_silhouette_is_traced_on_a_photograph_and_the_kind_works_as_any_other()
    {
        Dictionary<string, List<(double X, double Y)>> seen = Photograph("rebate-plane", new() { ["body"] = 40, ["iron"] = 14, ["wedge"] = 1 });
        _b.Go($"{Address}/kinds?near=rebate-plane");
        _b.Find("#name").SendKeys("Carriage rebate plane");
        _b.Find("[name=traced][value=true]").Click();
        _b.Find("#photo").SendKeys(_photo);
        _b.Until(() => _b.Find("[data-trace-photo]").GetAttribute("href") is { Length: > 0 }, "the photograph is shown");
        _b.Driver.ExecuteScript("document.querySelector('.trace-stage').scrollIntoView({block: 'center'})");
        Tap(seen["body"].Min(p => p.X), seen["body"].Max(p => p.Y));
        Tap(seen["body"].Max(p => p.X), seen["body"].Max(p => p.Y));
        foreach (string part in new[] { "body", "iron", "wedge" })
        {
            Choose(part);
            _b.Driver.ExecuteScript("document.querySelector('.trace-stage').scrollIntoView({block: 'center'})");
            seen[part].ForEach(p => Tap(p.X, p.Y));
        }
        _b.Find("#known").SendKeys("240");
        _b.Until(() => _b.Has("[data-trace-drawn] svg [data-part=iron]"), "the trace is drawn");
        _b.Driver.FindElements(By.CssSelector("[data-trace-drawn] svg [data-part]")).Count.ShouldBe(3);
        LookTests.ShutsNobodyOut(_b);
        // By keyboard: the last point is chosen, moved, made a corner and taken away.
        IWebElement stage = _b.Find(".trace-stage"), kept = _b.Driver.FindElement(By.CssSelector(".trace textarea"));
        string Kept() => kept.GetAttribute("value")!;
        Choose("iron");
        string before = Kept();
        stage.SendKeys("," + Keys.ArrowRight);
        string moved = Kept();
        moved.ShouldNotBe(before);
        stage.SendKeys(Keys.Delete);
        Points(Kept()).ShouldBe(Points(before) - 1);
        stage.SendKeys(Keys.ArrowDown + Keys.Enter);
        Points(Kept()).ShouldBe(Points(before));
        // What was tapped outlives a reload; the photograph is chosen again.
        _b.Driver.Navigate().Refresh();
        _b.Dressed();
        _b.Until(() => _b.Has("[data-trace-drawn] svg [data-part=iron]"), "the trace is drawn again");
        _b.Find("form[data-keep] .btn.do").Click();
        _b.Until(() => _b.Driver.Url.Contains("/new?kind=own-carriage-rebate-plane"), "the kind is made");
        _b.Driver.FindElements(By.CssSelector("input[name='Form.Kind']:checked")).ShouldHaveSingleItem().GetAttribute("value")!.ShouldStartWith("own-carriage");
    }

    private static int Points(string trace)
    {
        using var read = System.Text.Json.JsonDocument.Parse(trace);
        return read.RootElement.GetProperty("parts").EnumerateArray().Where(p => p.GetProperty("part").GetString() == "iron")
            .Sum(p => p.GetProperty("loops").EnumerateArray().Sum(l => l.GetArrayLength()));
    }
}
