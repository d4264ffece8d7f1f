using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Bench;
using Foundling.Core.Gauges;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Stores;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>The rod: every step in order.</summary>
public sealed class RodModel(TagBook tags, RodDesk rods, StoreRoom stores, ClockBook clock, SoleMaps maps, TimeProvider time)
    : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "rod";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Waits | TagParts.Aside | TagParts.Surveys;

    /// <summary>The running clock.</summary>
    public RunningClock? Running { get; private set; }

    /// <summary>How much of the rod is drawn.</summary>
    public RodZoom Zoom { get; private set; }

    /// <summary>What the last change of a way made of the rod; null when none was made just now.</summary>
    public RodChange? Changed { get; private set; }

    /// <summary>What the plan is made from, where it was asked.</summary>
    public PlanQuestion? Asked { get; private set; }

    /// <summary>What was typed, kept when it is refused.</summary>
    public (string? Title, string? Minutes, string? Reason, string? Step) Sent { get; private set; }

    /// <summary>What practitioners say against the last move; null for nothing.</summary>
    [TempData]
    public string? Warning { get; set; }

    /// <summary>What planning again would put in and take out; null when nothing.</summary>
    public Unfit? Stale { get; private set; }

    /// <summary>Minutes booked on each step.</summary>
    public IReadOnlyDictionary<DeedId, double> Spent => Booked.ByStep;

    /// <summary>The next step that can be done; null when there is none.</summary>
    public PlanStep? Next => Order.Next(Tool, Shop, time.GetUtcNow());

    /// <summary>A step as a line of the list.</summary>
    public StepView View(PlanStep step, PlanStep? next) => new(
        Tool, step, Running?.TagNumber == Tool.Number && Running.Step == step.Key, step == next, Spent.TryGetValue(step.Key, out double took) ? took : null,
            Gate.Of(Tool, step, Shop, time.GetUtcNow()),
        step.State == StepState.Open ? StepGauges.For(KnownFacts, Choices.Read(Tool.Ways), step.Deed, Shop) : [], Sent.Step == step.Key.ToString())
    {
        Pace = _pace?.Step == step.Key ? _pace.Value.Pace : null,
        Surveyed = step.Key.Step != StepKey.SoleLap ? null : Flatness.Of(Tool, Shop, Patterns, maps).FirstOrDefault(f => f.Face.IsSole),
    };

    private async Task Read()
    {
        Running = await clock.Running();
        PlanStep? running = Running?.TagNumber == Tool.Number ? Tool.Steps.FirstOrDefault(s => s.Key == Running.Step) : null;
        if ((running ?? Next) is { LikelyMin: > 0 } at && Pace.Tells(at.Key))
        {
            _pace = (at.Key, Pace.Of(new PaceInput(at.LikelyMin, await Book.Took(at.Key)), Shop.Assumptions));
        }
    }

    private (DeedId Step, PaceResult Pace)? _pace;

    /// <summary>The wait of a step of one's own as it was typed.</summary>
    public string? SentWait { get; private set; }

    /// <summary>Shows the rod.</summary>
    /// <param name="show">How much is drawn: job, stage or sitting.</param>
    /// <param name="was">A choice and the way it had, as "choice=way", to show what its change did.</param>
    public async Task OnGet(string? show, string? was)
    {
        await Read();
        if (Tool.Aim is AimKind planned && Tool.Steps.Count > 0)
        {
            Stale = Handwork.Stale(Tool.Steps, await rods.Question(Tool, planned), Tool.Plan, !Tool.Built.Same(Tool.Plan?.Built));
        }
        Zoom = Enum.TryParse(show, true, out RodZoom zoom) && Enum.IsDefined(zoom) ? zoom : RodZoom.Job;
        if (was is not null && Tool.Aim is AimKind aim && Choices.Read([was]) is { Count: 1 } before)
        {
            (ChoiceId choice, WayId way) = before.First();
            PlanQuestion now = Asked = await rods.Question(Tool, aim);
            Changed = new RodChange(Choices.Find(choice).Question.ToLowerInvariant(), Choices.Find(choice).Take(now).Name, Choices.Find(choice).Find(way).Name,
                PlanDiff.Of(Planner.Plan(now.With(choice, way)), Planner.Plan(now)),
                "Take", [("choice", Choices.Find(choice).Key), ("way", Choices.Find(choice).Find(way).Key)]);
        }
        else if (was is not null && Tool.Aim is AimKind chosen && PartChoices.Read(was) is { } part && Tool.Tool().Part(part.Part) is { } of)
        {
            PlanQuestion now = Asked = await rods.Question(Tool, chosen);
            Dictionary<(ChoiceId, PartId), WayId> waysThen = new(now.PartWays);
            waysThen.Remove((part.Choice, part.Part));
            if (part.Way is WayId had)
            {
                waysThen[(part.Choice, part.Part)] = had;
            }
            PlanQuestion then = now with { PartWays = waysThen };
            Choice choice = Choices.Find(part.Choice);
            string Named(PlanQuestion q) => choice.Find(q.WayFor(part.Choice, of)).Name;
            Changed = new RodChange($"{of.Name}: {choice.Question.ToLowerInvariant()}", Named(now), Named(then),
                PlanDiff.Of(Planner.Plan(then), Planner.Plan(now)), "Part",
                [("choice", choice.Key), ("part", part.Part.Value), ("way", part.Way is WayId kept ? Core.Keys.KeyText.Of(kept) : "")]);
        }
    }

    /// <summary>Starts the clock for a step.</summary>
    public async Task<IActionResult> OnPostStart(string? step, bool seen, string? overrule)
    {
        if (Find(step) is not { } found)
        {
            return NotFound();
        }
        await Read();
        Sent = (null, null, overrule, step);
        await rods.Pass(Tool, found, seen, overrule);
        await Book.Save(Tool);
        return await Clocked(() => clock.Start(Tool.Number, found.Key)) ?? ToLeaf("rod", found.Key.Anchor);
    }

    /// <summary>Stops the clock.</summary>
    public async Task<IActionResult> OnPostStop(string? step)
    {
        return await Clocked(() => clock.Stop()) ?? ToLeaf("rod", Find(step) is { } found ? found.Key.Anchor : null);
    }

    /// <summary>Does something with the clock; where it cannot be right, the clock's own page asks.</summary>
    private async Task<IActionResult?> Clocked(Func<Task> what)
    {
        try
        {
            await what();
            return null;
        }
        catch (InputException fault) when (fault.ErrorKey == ClockBook.InDoubt)
        {
            return LocalRedirect("/clock");
        }
    }

    /// <summary>Finishes a step; its clock stops with it.</summary>
    public async Task<IActionResult> OnPostDone(string? step, bool seen, Foundling.Core.State.AsFoundTry? tried = null, string? overrule = null)
    {
        if (Find(step) is not { } found)
        {
            return NotFound();
        }
        await Read();
        Sent = (null, null, overrule, step);
        await rods.Pass(Tool, found, seen, overrule);
        if (Running is not null && Running.TagNumber == Tool.Number && Running.Step == found.Key)
        {
            if (await Clocked(() => clock.Stop()) is { } asked)
            {
                return asked;
            }
        }
        Tool.Tried = found.Key.Step == StepKey.TryAsFound ? tried ?? Tool.Tried : Tool.Tried;
        await rods.Finish(Tool, found);
        return ToLeaf("rod", found.Key.Anchor);
    }

    /// <summary>Leaves a step out, with the reason.</summary>
    public Task<IActionResult> OnPostSkip(string? step, string? reason) => Do(step, found => rods.Skip(Tool, found, reason), reason: reason);

    /// <summary>Leaves several steps out at once.</summary>
    public async Task<IActionResult> OnPostSkipAll(List<string> steps, string? reason)
    {
        Sent = (null, null, reason, null);
        await Read();
        await rods.SkipAll(Tool, [.. Tool.Steps.Where(s => steps.Contains(s.Key.ToString()))], reason);
        return ToLeaf("rod");
    }

    /// <summary>Says how much of something there is, and when it should come.</summary>
    public async Task<IActionResult> OnPostStock(string? item, Stock stock, DateOnly? arrives)
    {
        await Read();
        await stores.Say(SupplyId.Of(item), stock, arrives);
        return ToLeaf("rod");
    }

    /// <summary>Notes that a step which cannot be undone may be done.</summary>
    public Task<IActionResult> OnPostAgree(string? step, string? reason) => Do(step, found => rods.Agree(Tool, found, reason), reason: reason);

    /// <summary>Notes one word that covers what is ticked of all that cannot be undone.</summary>
    public async Task<IActionResult> OnPostAgreeAll(List<string> steps, string? who)
    {
        SentWho = who;
        await Read();
        await rods.AgreeAll(Tool, [.. Tool.Steps.Where(s => steps.Contains(s.Key.ToString()))], who);
        return ToLeaf("rod");
    }

    /// <summary>Who agrees, as it was typed.</summary>
    public string? SentWho { get; private set; }

    /// <summary>Steps that cannot be undone and still need someone's word.</summary>
    public IReadOnlyList<PlanStep> Consents => Consent.Open(Tool, Shop.Name);

    /// <summary>Lets a step go on without something it needs.</summary>
    public Task<IActionResult> OnPostWithout(string? step, string? item, string? words) => Do(step, found => rods.Without(Tool, found, SupplyId.Of(item),
        words),
        reason: words);

    /// <summary>What a step waited for has come.</summary>
    public Task<IActionResult> OnPostArrived(string? step) => Do(step, found => rods.Arrived(Tool, found));

    /// <summary>Takes a finished or skipped step back.</summary>
    public Task<IActionResult> OnPostReopen(string? step) => Do(step, found => rods.Reopen(Tool, found));

    /// <summary>Moves a step earlier, later or behind another; a rule that forbids it is named.</summary>
    public Task<IActionResult> OnPostMove(string? step, string? to) => Do(step, async found =>
    {
        PlanQuestion question = await rods.Question(Tool, Tool.Aim ?? AimKind.Work);
        MoveResult moved = to is "earlier" or "later" ? Handwork.Nudge(Tool.Steps, found.Key, to == "earlier", question) : Handwork.Move(Tool.Steps, found.Key,
            Behind(to), question);
        if (moved.Forbidden is string rule)
        {
            throw new InputException("order_rule", "step", found.Key.ToString(), "a place the order rules allow", rule);
        }
        Warning = moved.Warning;
        await rods.Keep(Tool, moved.Deeds, $"\"{found.Title}\" was moved");
    });

    /// <summary>Splits a step into two.</summary>
    public Task<IActionResult> OnPostSplit(string? step, string? name, string? minutes) => Do(step, async found =>
        await rods.Keep(Tool, Handwork.Split(Tool.Steps, found.Key, name, Typed.Minutes(minutes)), $"\"{found.Title}\" was split"), name, minutes);

    /// <summary>Adds a step of one's own.</summary>
    public async Task<IActionResult> OnPostAdd(string? title, string? minutes, string? reason, string? behind, string? wait, Stage stage = default)
    {
        Sent = (title, minutes, reason, null);
        SentWait = wait;
        await Read();
        Stage where = Tool.StepNamed(behind)?.Stage ?? stage;
        await rods.Keep(Tool, Handwork.Add(Tool.Steps, title, where, Typed.Minutes(minutes), reason, Behind(behind), Shop.Assumptions,
            string.IsNullOrWhiteSpace(wait) ? 0 : Typed.Minutes(wait, "wait")), "a step was added");
        return ToLeaf("rod");
    }

    /// <summary>Plans again after findings changed; what is done and what was changed by hand stays.</summary>
    public async Task<IActionResult> OnPostReplan()
    {
        await rods.Aim(Tool, Tool.Aim ?? AimKind.Work);
        return ToLeaf("rod");
    }

    private PlanStep? Find(string? step) => Tool.StepNamed(step);

    private static DeedId? Behind(string? key) => string.IsNullOrEmpty(key) ? null : DeedId.Read(key);

    private async Task<IActionResult> Do(string? step, Func<PlanStep, Task> what, string? title = null, string? minutes = null, string? reason = null)
    {
        if (Find(step) is not { } found)
        {
            return NotFound();
        }
        Sent = (title, minutes, reason, step);
        await Read();
        await what(found);
        return ToLeaf("rod", found.Key.Anchor);
    }
}
