using Foundling.Core.Bench;
using Foundling.Core.Log;
using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages;

/// <summary>The running step, large enough for dirty hands.</summary>
public sealed class ClockModel(ClockBook clock, TagBook tags, RodDesk rods, ShopDesk shop, TimeProvider time) : SentencePageModel
{
    /// <summary>What the clock shows, and why it may not be right.</summary>
    public ClockReading? Reading { get; private set; }

    /// <summary>Minutes typed in the place of what the clock shows, kept when they are refused.</summary>
    public string? Minutes { get; private set; }

    /// <summary>The running clock.</summary>
    public RunningClock? Running { get; private set; }

    /// <summary>Its tag.</summary>
    public Tag? Tool { get; private set; }

    /// <summary>Its step.</summary>
    public PlanStep? Step { get; private set; }

    /// <summary>Tags with a step that can be started.</summary>
    public List<Job> Ready { get; private set; } = [];

    /// <summary>Reads the clock.</summary>
    public void OnGet()
    {
    }

    /// <inheritdoc />
    protected override async Task After()
    {
        Running = await clock.Running();
        if (Running is not null)
        {
            Tool = await tags.Show(Running.TagNumber, TagParts.Head | TagParts.Waits);
            Step = Tool?.Steps.FirstOrDefault(s => s.Key == Running.Step);
            Reading = clock.Read(Running, Step?.LikelyMin);
        }
        else
        {
            Ready = [.. Jobs.Ready(await tags.InHand(), await shop.Context(), time.GetUtcNow())];
        }
    }

    /// <summary>Starts the clock.</summary>
    public async Task<IActionResult> OnPostStart(int number, string? step)
    {
        if (await tags.Find(number) is Tag tag && tag.StepNamed(step) is PlanStep plan && !Gate.Of(tag, plan,
            await shop.Context(), time.GetUtcNow()).Open)
        {
            // What must be seen or agreed first stands at the step.
            return LocalRedirect($"/tag/{number}/rod#{plan.Key.Anchor}");
        }
        await clock.Start(number, Core.Rod.DeedId.Read(step));
        return Back();
    }

    /// <summary>Stops the clock.</summary>
    /// <param name="minutes">How long it took, where the clock cannot be right.</param>
    public async Task<IActionResult> OnPostStop(string? minutes)
    {
        Minutes = minutes;
        await clock.Stop(Typed.MinutesOrNull(minutes));
        return Back();
    }

    /// <summary>Stops the clock and finishes its step.</summary>
    /// <param name="minutes">How long it took, where the clock cannot be right.</param>
    public async Task<IActionResult> OnPostDone(string? minutes)
    {
        Minutes = minutes;
        RunningClock? running = await clock.Running();
        await clock.Stop(Typed.MinutesOrNull(minutes));
        if (running is not null && await tags.Find(running.TagNumber) is Tag tag && tag.Steps.FirstOrDefault(s => s.Key == running.Step) is PlanStep step)
        {
            await rods.Finish(tag, step);
            return LocalRedirect($"/tag/{tag.Number}/rod");
        }
        return LocalRedirect("/clock");
    }

    private LocalRedirectResult Back()
    {
        string? from = Request.Headers.Referer.ToString() is { Length: > 0 } referer && Uri.TryCreate(referer, UriKind.Absolute, out Uri? uri)
            && uri.Host == Request.Host.Host ? uri.PathAndQuery : null;
        return LocalRedirect(Url.IsLocalUrl(from) ? from! : "/clock");
    }
}
