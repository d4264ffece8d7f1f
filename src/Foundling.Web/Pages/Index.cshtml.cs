using Foundling.Core.Log;
using Foundling.Core.Shop;
using Foundling.Core.Tags;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages;

/// <summary>The bench: what to do next, what stands, what is owed, what is in hand.</summary>
public sealed class IndexModel(TagBook tags, ClockBook clock, ShopDesk shop, TimeProvider time) : PageModel
{
    /// <summary>What the shop assumes.</summary>
    public Core.Assumptions Assumed { get; private set; } = null!;

    /// <summary>Jobs and tools shown at once; the rest is one touch away.</summary>
    public const int JobsShown = 8, ToolsShown = 16, WaitsShown = 24;

    /// <summary>True to show every job that can be done now.</summary>
    [BindProperty(SupportsGet = true)]
    public bool Jobs { get; set; }

    /// <summary>Tags in hand, newest first.</summary>
    public List<Tag> InHand { get; private set; } = [];

    /// <summary>The next step of each tag that can be worked on now, the running one first.</summary>
    public List<(Tag Tag, PlanStep Step, bool Running)> Next { get; private set; } = [];

    /// <summary>What stands, soonest first.</summary>
    public List<(Tag Tag, Wait Wait)> Standing { get; private set; } = [];

    /// <summary>Looks again that lie further ahead, soonest first.</summary>
    public List<(Tag Tag, Wait Wait)> Later { get; private set; } = [];

    /// <summary>Promised tags, soonest first.</summary>
    public List<Tag> Owed { get; private set; } = [];

    /// <summary>The running clock.</summary>
    public RunningClock? Running { get; private set; }

    /// <summary>Reads the bench.</summary>
    public async Task OnGet()
    {
        ShopContext here = await shop.Context();
        Assumed = here.Assumptions;
        InHand = await tags.InHand();
        Running = await clock.Running();
        DateTimeOffset now = time.GetUtcNow();
        if (InHand.Find(t => t.Number == Running?.TagNumber) is { } tool && tool.Steps.FirstOrDefault(s => s.Key == Running!.Step) is { } running)
        {
            Next.Add((tool, running, true));
        }
        Next.AddRange(Core.Bench.Jobs.Ready(InHand.Where(t => Next.All(n => n.Tag != t)), here, now).Select(j => (j.Tag, j.Step, false)));
        List<(Tag Tag, Wait Wait)> standing = await tags.Standing();
        Standing = [.. standing.Where(s => !Waits.IsFar(s.Wait, now))];
        Later = [.. standing.Where(s => Waits.IsFar(s.Wait, now))];
        Owed = [.. InHand.Where(t => t.PromisedOn is not null).OrderBy(t => t.PromisedOn)];
        Today = DateOnly.FromDateTime(time.GetLocalNow().Date);
    }

    /// <summary>Today.</summary>
    public DateOnly Today { get; private set; }
}
