using Foundling.Core.Tools;
using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>The ways of each choice side by side.</summary>
public sealed class WaysModel(TagBook tags, RodDesk rods) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "rod";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Surveys;

    /// <summary>What the plan is made from.</summary>
    public PlanQuestion Asked { get; private set; } = null!;

    /// <summary>The choices this tool asks, with their ways.</summary>
    public List<(Choice Choice, Way Way, ChosenBy By, string Why, IReadOnlyList<WayReview> Ways)> Open { get; } = [];

    /// <summary>The choice that was asked for by its name; null for none.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Of { get; set; }

    /// <summary>Choices that change a rod most stand open, with those that were made here and the one that was asked for.</summary>
    public bool Unfolded(Choice choice, ChosenBy by) => choice.Key == Of || by is ChosenBy.Tag or ChosenBy.StandIn
        || choice.Id is ChoiceId.Rust or ChoiceId.Coating or ChoiceId.Wood;

    /// <summary>Why a way was chosen for this tool; empty when nothing was said.</summary>
    public string ReasonFor(ChoiceId choice) => Choices.ReasonFor(Tool.WayReasons, choice) ?? "";

    /// <summary>Shows the ways.</summary>
    public Task OnGet() => Read();

    private async Task Read()
    {
        Asked = await rods.Question(Tool, Tool.Aim ?? AimKind.Work);
        foreach (Choice choice in Choices.All.Where(c => c.Asked(Asked)))
        {
            (Way way, ChosenBy by) = choice.Taken(Asked);
            Open.Add((choice, way, by, Says(choice, way), WayReview.Of(choice, Asked)));
        }
    }

    /// <summary>Parts a choice is about, each with the ways that are open for it and the one taken.</summary>
    public IReadOnlyList<(PartDef Part, WayId Taken, bool Own, IReadOnlyList<Way> Open)> Parts(ChoiceId choice) => [.. PartChoices.Of(Asked, choice)
        .Select(p => (p, Asked.WayFor(choice, p), Asked.PartWays.ContainsKey((choice, p.Id)), PartChoices.OpenFor(Asked, choice, p)))];

    /// <summary>Takes a way for one part; no way goes back to that of the rest.</summary>
    public async Task<IActionResult> OnPostPart(string? choice, string? part, string? way)
    {
        try
        {
            PlanQuestion question = await rods.Question(Tool, Tool.Aim ?? AimKind.Work);
            (ChoiceId asked, PartId of) = (Choices.Read(choice).Id, PartId.Of(part ?? ""));
            string was = $"{choice}.{of}={(question.PartWays.TryGetValue((asked, of), out WayId had) ? Core.Keys.KeyText.Of(had) : "")}";
            await rods.ChooseFor(Tool, choice, of, way);
            return LocalRedirect($"/tag/{Tool.Number}/rod?was={Uri.EscapeDataString(was)}");
        }
        catch (InputException fault)
        {
            await Read();
            ModelState.AddModelError("", fault.Sentence);
            return Page();
        }
    }

    /// <summary>What was typed of a part that is left, kept when it is refused.</summary>
    public (string? Part, string? What, string? Why) Sent { get; private set; }

    /// <summary>Says that a part stays on or is not to be touched, with the reason.</summary>
    public Task<IActionResult> OnPostLeave(string? part, string? what, string? why)
    {
        Sent = (part, what, why);
        return Left(() => rods.Leave(Tool, PartId.Of(part ?? ""), what == "on", why));
    }

    /// <summary>Takes that back.</summary>
    public Task<IActionResult> OnPostUnleave(string? part, string? what) => Left(() => rods.Unleave(Tool, PartId.Of(part ?? ""), what == "on"));

    private async Task<IActionResult> Left(Func<Task> what)
    {
        try
        {
            await what();
            return LocalRedirect($"/tag/{Tool.Number}/ways#left");
        }
        catch (InputException fault)
        {
            await Read();
            ModelState.AddModelError("", fault.Sentence);
            return Page();
        }
    }

    /// <summary>Keeps why a way was chosen.</summary>
    public async Task<IActionResult> OnPostBecause(string? choice, string? reason)
    {
        await rods.Because(Tool, Choices.Read(choice).Id, reason);
        return LocalRedirect($"/tag/{Tool.Number}/ways?of={Choices.Read(choice).Key}#{Choices.Read(choice).Key}");
    }

    /// <summary>What the book says beside the way that is taken; what it would take but is closed here is said to be closed.</summary>
    private string Says(Choice choice, Way taken)
    {
        (WayId advised, string why) = choice.Advice(Asked);
        return advised == taken.Id ? why
            : choice.Find(advised).Blocked(Asked) is string shut
                ? $"The book's first choice, {choice.Find(advised).Name}, is closed here: {Words.Uncap(shut)}"
            : $"The book would take: {choice.Find(advised).Name}. {why}";
    }

    /// <summary>Takes a way for this tool; no way goes back to the shop's or the book's.</summary>
    public async Task<IActionResult> OnPostTake(string? choice, string? way)
    {
        try
        {
            PlanQuestion question = await rods.Question(Tool, Tool.Aim ?? AimKind.Work);
            string was = $"{choice}={Core.Keys.KeyText.Of(question.Way(Choices.Read(choice).Id))}";
            await rods.Choose(Tool, choice, way);
            return LocalRedirect($"/tag/{Tool.Number}/rod?was={Uri.EscapeDataString(was)}");
        }
        catch (InputException fault)
        {
            await Read();
            ModelState.AddModelError("", fault.Sentence);
            return Page();
        }
    }
}
