using System.Net;
using AngleSharp.Html.Dom;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Shop;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Shop;
using Foundling.Data.Store;
using Foundling.Data.Tags;
using Microsoft.Extensions.DependencyInjection;

namespace Foundling.Web.Tests;

/// <summary>The bench forgets nothing, however much is in hand.</summary>
public sealed class BenchTests(EmptyHost host) : IClassFixture<EmptyHost>
{
    private async Task<int> Fill(int count)
    {
        await using AsyncServiceScope scope = host.Services.CreateAsyncScope();
        FoundlingDb db = scope.ServiceProvider.GetRequiredService<FoundlingDb>();
        TagBook book = scope.ServiceProvider.GetRequiredService<TagBook>();
        int first = db.Tags.Max(t => (int?)t.Number) ?? 0;
        DateTimeOffset now = host.Time.GetUtcNow();
        for (int i = 1; i <= count; i++)
        {
            await book.BookIn(new Tag
            {
                Number = first + i, Kind = KindIds.Chisel, Name = $"Chisel {first + i}", ArrivedOn = DateOnly.FromDateTime(now.Date), BookedAt = now,
                Aim = AimKind.Work,
                Plan = new Plan(AimKind.Work, [new Deed(StepKey.Photos, Stage.AsFound, $"Photograph {first + i}", 1, 2, 3)]),
            });
        }
        return first + count;
    }

    [Fact]
    public async Task Ninety_in_hand_are_all_there_with_the_newest_soak_and_promise()
    {
        int last = await Fill(90);
        await using (AsyncServiceScope scope = host.Services.CreateAsyncScope())
        {
            TagBook book = scope.ServiceProvider.GetRequiredService<TagBook>();
            Tag newest = (await book.Find(last))!, done = (await book.Find(last - 1))!;
            newest.PromisedOn = DateOnly.FromDateTime(host.Time.GetLocalNow().Date).AddDays(2);
            newest.Owner = "Maud";
            await book.Save(newest);
            foreach ((Tag tag, string what) in new[] { (newest, "in the citric tub"), (done, "oil on the handle") })
            {
                tag.Waits.Add(new Wait { Id = Guid.NewGuid(), Step = StepKey.Soak, What = what, StartedAt = host.Time.GetUtcNow(),
                    ReadyAt = host.Time.GetUtcNow().AddHours(4) });
                await book.Save(tag);
            }
            done.Status = TagStatus.Done;
            await book.Save(done);
        }
        IHtmlDocument bench = await host.Visit().Page("/");
        string text = bench.Body!.TextContent;
        text.ShouldContain("in the citric tub");
        text.ShouldContain("oil on the handle");
        text.ShouldContain("promised");
        IHtmlDocument all = await host.Visit().Page("/?jobs=true");
        foreach (int number in Enumerable.Range(last - 89, 90).Where(n => n != last - 1))
        {
            all.QuerySelectorAll($"#jobs form input[name=number][value='{number}']").Length.ShouldBe(1, $"{number}");
            bench.QuerySelectorAll($"a[href='/tag/{number}/rod']").Length.ShouldBeGreaterThan(0, $"{number}");
        }
        bench.QuerySelectorAll("details summary").Select(s => s.TextContent).ShouldContain(s => s.Contains("more tools"));
        bench.QuerySelector("a[href='/?jobs=true#jobs']")!.TextContent.ShouldContain("more jobs");
        (await host.Visit().Page("/clock")).Body!.TextContent.ShouldContain("more jobs");
        (await host.Visit().Page("/marks?mark=1905")).QuerySelectorAll("option").ShouldContain(o => o.TextContent.Contains($"Chisel {last}"));
    }

    [Fact]
    public async Task Done_reopened_and_done_again_leaves_one_wait_and_the_log_says_so()
    {
        await using AsyncServiceScope scope = host.Services.CreateAsyncScope();
        TagBook book = scope.ServiceProvider.GetRequiredService<TagBook>();
        RodDesk rods = scope.ServiceProvider.GetRequiredService<RodDesk>();
        var made = new Tag { Kind = KindIds.Chisel, ArrivedOn = DateOnly.FromDateTime(host.Time.GetUtcNow().Date),
            Plan = new Plan(AimKind.Work, [new Deed(StepKey.Soak, Stage.Derust, "Soak it", 1, 2, 3) { Lag = Lag.Bath(240, null, null, StepKey.SoakLift) },
                new Deed(StepKey.Wash, Stage.Wash, "Wash", 1, 2, 3)]) };
        await book.BookIn(made);
        Tag tag = (await book.Find(made.Number))!;
        PlanStep soak = tag.Steps.First(s => s.Key == StepKey.Soak);
        await rods.Finish(tag, soak);
        await rods.Reopen(tag, soak);
        tag.Waits.ShouldAllBe(w => w.EndedAt != null);
        await rods.Finish(tag, soak);
        tag.Waits.Count(w => w.EndedAt is null).ShouldBe(1);
        await book.ReadLog(tag);
        tag.Log.Select(l => l.Kind).ShouldBe([EventKind.Done, EventKind.WaitBegun, EventKind.WaitEnded, EventKind.Reopened, EventKind.Done,
            EventKind.WaitBegun], ignoreOrder: true);
        (await host.Visit().Page($"/tag/{tag.Number}/log")).Body!.TextContent.ShouldContain("taken up again");
        (await host.Visit().Get("/")).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    private const int MostBytes = 120_000;

    [Fact]
    public async Task The_bench_stays_light_with_sixty_rods_in_hand_and_says_every_wait()
    {
        await using (AsyncServiceScope scope = host.Services.CreateAsyncScope())
        {
            TagBook book = scope.ServiceProvider.GetRequiredService<TagBook>();
            ShopContext shop = await scope.ServiceProvider.GetRequiredService<ShopDesk>().Context(TestContext.Current.CancellationToken);
            int first = await Fill(0);
            DateTimeOffset now = host.Time.GetUtcNow();
            foreach (int i in Enumerable.Range(1, 60))
            {
                ToolKind kind = ToolCatalogue.Kinds[i % ToolCatalogue.Kinds.Count];
                var rust = new Finding { Id = Guid.NewGuid(), Part = kind.Parts[0].Id, Kind = FindingKind.Rust, Severity = 3 };
                await book.BookIn(new Tag
                {
                    Number = first + i, Kind = kind.Id, Name = $"{kind.Name} {i}", ArrivedOn = DateOnly.FromDateTime(now.Date), BookedAt = now,
                        Aim = AimKind.Work,
                    Findings = [rust], Plan = new Plan(AimKind.Work, Planner.Plan(new PlanQuestion(new Facts(kind, [rust.Fact()]), AimKind.Work, shop))),
                    Waits = [new Wait { Id = Guid.NewGuid(), Step = StepKey.Soak, What = $"soak number {i}.", StartedAt = now, ReadyAt = now.AddMinutes(i) }],
                });
            }
        }
        string html = await (await host.Visit().Get("/")).Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        html.Length.ShouldBeLessThan(MostBytes);
        foreach (int i in Enumerable.Range(1, 60))
        {
            html.ShouldContain($"soak number {i}.");
        }
    }
}
