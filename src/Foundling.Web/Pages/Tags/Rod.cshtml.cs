using Foundling.Core.Tags;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>The rod: every step in order.</summary>
public sealed class RodModel(TagBook tags, ClockBook clock, TimeProvider time) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "rod";

    /// <summary>The running clock.</summary>
    public RunningClock? Running { get; private set; }

    /// <summary>Minutes booked on each step.</summary>
    public IReadOnlyDictionary<string, double> Spent => Core.Log.LogTotals.ByStep(Tool.Log);

    /// <summary>Shows the rod.</summary>
    public async Task OnGet() => Running = await clock.Running();

    /// <summary>Starts the clock for a step.</summary>
    public async Task<IActionResult> OnPostStart(string? step)
    {
        await clock.Start(Tool.Number, step ?? "");
        return ToLeaf("rod", "step-" + step);
    }

    /// <summary>Stops the clock.</summary>
    public async Task<IActionResult> OnPostStop(string? step)
    {
        await clock.Stop();
        return ToLeaf("rod", "step-" + step);
    }

    /// <summary>Finishes a step; its clock stops with it.</summary>
    public async Task<IActionResult> OnPostDone(string? step)
    {
        PlanStep? found = Tool.Steps.FirstOrDefault(s => s.Key == step);
        if (found is null)
        {
            return NotFound();
        }
        RunningClock? running = await clock.Running();
        if (running is not null && running.TagNumber == Tool.Number && running.Step == step)
        {
            await clock.Stop();
        }
        await Book.Finish(Tool, found);
        return ToLeaf("rod", "step-" + step);
    }

    /// <summary>Leaves a step out, with the reason.</summary>
    public async Task<IActionResult> OnPostSkip(string? step, string? reason)
    {
        PlanStep? found = Tool.Steps.FirstOrDefault(s => s.Key == step);
        if (found is null)
        {
            return NotFound();
        }
        if (string.IsNullOrWhiteSpace(reason))
        {
            Running = await clock.Running();
            ModelState.AddModelError("", $"Say why \"{found.Title}\" is left out; the papers show it.");
            return Page();
        }
        DateTimeOffset now = time.GetUtcNow();
        (found.State, found.EndedAt, found.SkipReason) = (StepState.Skipped, now, reason.Trim()[..Math.Min(500, reason.Trim().Length)]);
        Tool.Log.Add(new LogEntry { Id = Guid.CreateVersion7(now), At = now, Kind = LogKind.StepSkipped, Step = step, Text = $"{found.Title}: {found.SkipReason}" });
        await Book.Save(Tool);
        return ToLeaf("rod", "step-" + step);
    }

    /// <summary>Takes a finished or skipped step back.</summary>
    public async Task<IActionResult> OnPostReopen(string? step)
    {
        PlanStep? found = Tool.Steps.FirstOrDefault(s => s.Key == step);
        if (found is null)
        {
            return NotFound();
        }
        (found.State, found.EndedAt, found.SkipReason) = (StepState.Open, null, "");
        if (Tool.Status == TagStatus.Done)
        {
            Tool.Status = TagStatus.InHand;
        }
        await Book.Save(Tool);
        return ToLeaf("rod", "step-" + step);
    }

    /// <summary>Plans again after findings changed; what is done stays.</summary>
    public async Task<IActionResult> OnPostReplan()
    {
        await Book.Aim(Tool, Tool.Aim ?? AimKind.Work);
        return ToLeaf("rod");
    }
}
