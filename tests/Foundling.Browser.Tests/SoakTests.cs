using System.Globalization;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Soaks;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Microsoft.Extensions.DependencyInjection;
using OpenQA.Selenium;

namespace Foundling.Browser.Tests;

/// <summary>A whole soak of two tools by the clock: mixed, watched, one part out early, the rest too late, and everything that follows from it.</summary>
public sealed class SoakTests(ClockedShop shop) : IClassFixture<ClockedShop>
{
    private readonly Browser _b = shop.Browser;

    private string At(string page) => shop.Address + page;

    // A plane whose iron may not stay in acid as long as its body, and a wrench.
    private async Task<(int Plane, int Wrench)> TwoRusty()
    {
        (int, int) numbers = default;
        await shop.Do(async of =>
        {
            numbers = (await Rusty(of, KindIds.MetalBenchPlane, (PartIds.Iron, 2)), await Rusty(of, KindIds.AdjustableWrench,
                (PartIds.Frame, 3)));
            await of.GetRequiredService<StoreRoom>().Count(SupplyIds.CitricAcid, 5000);
        });
        return numbers;
    }

    private async Task<int> Rusty(IServiceProvider of, KindId kind, params (PartId Part, int Degree)[] rust)
    {
        (TagBook tags, RodDesk rods) = (of.GetRequiredService<TagBook>(), of.GetRequiredService<RodDesk>());
        Tag tag = await tags.BookIn(new Tag { Kind = kind, Name = kind.Value, Status = TagStatus.InHand, BookedAt = shop.Time.GetUtcNow() });
        tag.Findings.AddRange(rust.Select(r => Finding.Of(new Found(r.Part, FindingKind.Rust, r.Degree), shop.Time.GetUtcNow())));
        await tags.Save(tag);
        await rods.Aim(tag, AimKind.Work);
        await rods.Choose(tag, "rust", "citric");
        tag.SeenCautions = [.. tag.Steps.SelectMany(s => s.Cautions).Distinct()];
        foreach (PlanStep step in tag.Steps.TakeWhile(s => s.Key.Step != StepKey.Soak).ToList())
        {
            await rods.Finish(tag, step);
        }
        return tag.Number;
    }

    private async Task<LoadHere> Load(int bath)
    {
        LoadHere? load = null;
        await shop.Do(async of => load = (await of.GetRequiredService<BathBook>().Find(bath))!.Loads is [var first, ..] ? first : null);
        return load!;
    }

    private async Task<double?> Acid()
    {
        double? there = null;
        await shop.Do(async of => there = (await of.GetRequiredService<StoreRoom>().Show(SupplyIds.CitricAcid))!.Amount);
        return there;
    }

    private void PutIn()
    {
        _b.Go(At("/baths/load?into=&kind=citric&tub=storage tub"));
        List<string> parts = [.. _b.Driver.FindElements(By.CssSelector("input[name=part]:not([disabled])")).Select(e => e.GetAttribute("value")!)];
        foreach (string value in parts)
        {
            _b.Click($"input[name=part][value='{value}']");
            _b.Until(() => _b.Has($"[data-piece='{value}']"), "it stands in the tub at once");
        }
        _b.Click("button[formaction='/baths/load']");
        _b.Until(() => System.Text.RegularExpressions.Regex.IsMatch(_b.Driver.Url, @"/baths/\d+$"), "it is mixed");
    }

    private void Lift(int bath, LoadHere load)
    {
        _b.Go(At($"/baths/{bath}/out/{load.Load.Id}"));
        _b.Click(".run .btn.do");
        _b.Until(() => _b.Has(".run [data-until]"), "it counts down");
    }

    private void Oiled(int bath)
    {
        _b.Click(".run .btn.do");
        _b.Until(() => _b.Driver.Url.EndsWith($"/baths/{bath}", StringComparison.Ordinal), "dry and oiled");
    }

    private static TimeSpan From(DateTimeOffset now, DateTimeOffset at) => at > now ? at - now : TimeSpan.Zero;

    [Fact]
    public async Task Two_tools_soak_by_the_clock_one_part_is_out_early_and_the_rest_too_late()
    {
        (int plane, int wrench) = await TwoRusty();
        _b.Size(1280, 900);
        PutIn();
        int bath = int.Parse(_b.Driver.Url.Split('/')[^1], CultureInfo.InvariantCulture);
        (await Acid())!.Value.ShouldBeLessThan(5000, "the acid came out of the stores");
        _b.Text(".loads").ShouldContain(Tag.LabelOf(plane));
        _b.Text(".loads").ShouldContain(Tag.LabelOf(wrench));
        LoadHere load = await Load(bath);
        load.Times!.Parts.ShouldContain(p => p.Early, $"the iron comes out before the rest: {string.Join(", ",
            load.Load.Parts.Select(p => $"{p.Key} {p.Rust} {p.LimitHours} h"))} in {load.Times.Hours:0.#} h");

        // A look rings when its time has come, in a page that is opened then too.
        shop.Advance(From(shop.Time.GetUtcNow(), load.Times.LookIns[0]) + TimeSpan.FromSeconds(20));
        _b.Go(At("/baths"));
        _b.Until(() => _b.Driver.Title.StartsWith("Look in", StringComparison.Ordinal), "it rings");
        _b.Go(At($"/baths/{bath}"));
        string frame = load.Load.Parts.First(p => p.Part == PartIds.Frame).Key;
        _b.Driver.ExecuteScript($"document.querySelector(\"input[name='left:{frame}'][value='50']\").click()");
        _b.Driver.ExecuteScript("document.querySelector(\"input[name=colour][value=yellow]\").click()");
        _b.Click("form[id^=look-] .btn.do");
        _b.Until(() => _b.Text("main").Contains("50 % of the rust left", StringComparison.Ordinal), "what was seen stands there");

        // The part that may not stay comes out first, and is oiled in time.
        load = await Load(bath);
        shop.Advance(From(shop.Time.GetUtcNow(), load.Times!.Parts.First(p => p.Early).At) + TimeSpan.FromSeconds(1));
        Lift(bath, load);
        _b.Has(".run.late").ShouldBeFalse();
        Oiled(bath);
        _b.Text(".loads").ShouldContain("(out)");

        // The rest is forgotten, and then oiled too late.
        load = await Load(bath);
        shop.Advance(From(shop.Time.GetUtcNow(), load.Times!.OutBy ?? load.Times.ReadyAt) + TimeSpan.FromHours(1));
        _b.Go(At("/baths"));
        _b.Text(".loads li.late").ShouldContain("Overdue");
        Lift(bath, load);
        shop.Advance(TimeSpan.FromMinutes(30));
        _b.Go(At($"/baths/{bath}/out/{load.Load.Id}"));
        _b.Text(".run.late").ShouldContain("brown bloom");
        _b.Click($".run input[name=bloom][value='{frame}']");
        Oiled(bath);

        // Both rods, the history of the bath and the tool know it.
        foreach (int number in new[] { plane, wrench })
        {
            _b.Go(At($"/tag/{number}/rod"));
            _b.Driver.FindElements(By.CssSelector("[id^=step-soak-oil].gone")).Count.ShouldBe(1, Tag.LabelOf(number));
        }
        _b.Go(At($"/tag/{wrench}/state"));
        _b.Driver.PageSource.ShouldContain("flash rust: oiled too late");
        _b.Go(At($"/baths/{bath}"));
        _b.Text("main").ShouldContain("Nothing is in it.");
        _b.Text("main").ShouldContain("estimated");

        // The last step is taken back everywhere.
        _b.Click("form[action$='handler=Back'] button");
        _b.Until(() => _b.Text("main").Contains("Out, and not yet oiled", StringComparison.Ordinal), "taken back");
        _b.Go(At($"/tag/{plane}/rod"));
        _b.Driver.FindElements(By.CssSelector("[id^=step-soak-oil].gone")).Count.ShouldBe(0);
        _b.Go(At($"/tag/{wrench}/state"));
        _b.Driver.PageSource.ShouldNotContain("flash rust: oiled too late");
    }

    [Fact]
    public async Task On_the_phone_the_same_by_touch_with_the_connection_lost_once()
    {
        await TwoRusty();
        _b.Size(390, 844);
        PutIn();
        int bath = int.Parse(_b.Driver.Url.Split('/')[^1], CultureInfo.InvariantCulture);
        LoadHere load = await Load(bath);
        shop.Advance(From(shop.Time.GetUtcNow(), load.Times!.Parts.First(p => p.Early).At) + TimeSpan.FromSeconds(1));
        _b.Go(At($"/baths/{bath}/out/{load.Load.Id}"));
        _b.Offline(true);
        _b.Click(".run .btn.do");
        _b.Until(() => _b.Text("#said").Contains("No connection to the shop", StringComparison.Ordinal), "it says so, and keeps what was ticked");
        _b.Driver.FindElements(By.CssSelector(".run input[name=part]:checked")).Count.ShouldBeGreaterThan(0);
        _b.Offline(false);
        _b.Click(".run .btn.do");
        _b.Until(() => _b.Has(".run [data-until]"), "sent once more, it counts down");
        (await Load(bath)).Load.OutAt.Count.ShouldBe(load.Times.Due(shop.Time.GetUtcNow()).Count);
        _b.Driver.FindElements(By.CssSelector(".run .btn.do")).ShouldAllBe(b => b.Size.Height >= 44, "a thumb hits it");
        Oiled(bath);
        load = await Load(bath);
        shop.Advance(From(shop.Time.GetUtcNow(), load.Times!.ReadyAt));
        Lift(bath, load);
        Oiled(bath);
        _b.Text("main").ShouldContain("Nothing is in it.");
        _b.Size(1280, 900);
    }
}
