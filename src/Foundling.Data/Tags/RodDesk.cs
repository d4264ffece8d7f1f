using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Bench;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Origin;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Shop;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Stores;

namespace Foundling.Data.Tags;

/// <summary>Plans tags and keeps what is done to their rods.</summary>
public sealed class RodDesk(TimeProvider time, TagBook tags, ShopDesk shop, StoreRoom stores)
{
    private const int MostWords = 500, MostReason = 150;

    /// <summary>The question a plan for this tag answers.</summary>
    public async Task<PlanQuestion> Question(Tag tag, AimKind aim, CancellationToken cancel = default) =>
        Ask(tag, aim, await shop.Context(cancel).ConfigureAwait(false), await tags.Patterns(cancel).ConfigureAwait(false));

    /// <summary>The question a plan for a tag answers in a shop.</summary>
    /// <param name="tag">The tag.</param>
    /// <param name="aim">How far to go.</param>
    /// <param name="shop">The shop.</param>
    /// <param name="book">The pattern book, which says which parts are odd.</param>
    public static PlanQuestion Ask(Tag tag, AimKind aim, ShopContext shop, PatternBook book) => new(tag.Facts(), aim, shop)
    {
        TagWays = Choices.Read(tag.Ways), PartWays = PartChoices.Read(tag.Ways, tag.Tool()), Odd = OddOf(tag, tag.Tool(), book, shop.Assumptions),
    };

    /// <summary>When the sole of a tool counts as flat, by the way that is chosen for it; null while there is no aim, or it has none.</summary>
    public static WayId? FlatBy(Tag tag, ShopContext shop, PatternBook book)
    {
        PlanQuestion? question = tag.Aim is AimKind aim ? Ask(tag, aim, shop, book) : null;
        return question is not null && Choices.Find(ChoiceId.Flat).Asked(question) ? question.Way(ChoiceId.Flat) : null;
    }

    /// <summary>Parts that do not belong: by their marks and traits, or because wedge and iron clash.</summary>
    internal static HashSet<PartId> OddOf(Tag tag, ToolKind tool, PatternBook book, Assumptions assumptions) =>
    [
        .. tag.Looks.Count == 0 || !ToolCatalogue.Knows(tag.Kind) ? [] : TagBook.Date(tag, book, assumptions)?.PartLabel.Where(p => p.Value == "odd")
            .Select(p => PartId.Of(p.Key)) ?? [],
        .. PartRules.OddByKinship(tool.Made(PartIds.Wedge) ? tag.Kinship() : null, assumptions),
        .. tool.Parts.Where(p => p.Stand == PartStand.FromAnother).Select(p => p.Id),
    ];

    /// <summary>Chooses an aim and plans for it, keeping what is done and what was changed by hand.</summary>
    /// <param name="tag">The tag.</param>
    /// <param name="aim">How far to go.</param>
    /// <param name="why">Why it is planned, in a few words; null to say what the aim says.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task Aim(Tag tag, AimKind aim, string? why = null, CancellationToken cancel = default)
    {
        why ??= tag.Aim == aim ? "planned again" : $"the aim is {aim}";
        tag.Aim = aim;
        PlanQuestion question = await Question(tag, aim, cancel).ConfigureAwait(false);
        tag.Plan = (tag.Plan ?? new Plan(aim, [])) with { Built = tag.Built.IsAsMade ? null : tag.Built };
        IReadOnlyList<Deed> deeds = Handwork.Replan(tag.Steps, question);
        tag.Plan = tag.Plan with { Rests = Rests.Of(question) };
        await Keep(tag, deeds, why, question.TagWays, cancel).ConfigureAwait(false);
    }

    /// <summary>Takes an aim for the whole tool and plans for it: the road between Keep and Work is left with it.</summary>
    public async Task TakeAim(Tag tag, AimKind aim, CancellationToken cancel = default)
    {
        if (tag.Aim is AimKind now && MetalWays.IsOnMiddleRoad(await Question(tag, now, cancel).ConfigureAwait(false)))
        {
            foreach (ChoiceId choice in MetalWays.MiddleRoad.Keys)
            {
                tag.Ways = Choices.Keep(tag.Ways, choice, null);
            }
        }
        await Aim(tag, aim, cancel: cancel).ConfigureAwait(false);
    }

    /// <summary>Chooses a way for this tag, or takes the choice back, and plans anew.</summary>
    /// <exception cref="InputException">No such choice or way, or one that is closed for this tool.</exception>
    public async Task Choose(Tag tag, string? choice, string? way, CancellationToken cancel = default)
    {
        AimKind aim = tag.Aim ?? AimKind.Work;
        Choice asked = Choices.Read(choice);
        Way? taken = string.IsNullOrEmpty(way) ? null : asked.Read(way);
        if (taken?.Blocked(await Question(tag, aim, cancel).ConfigureAwait(false)) is string blocked)
        {
            throw new InputException("way_blocked", choice!, way, "an open way", $"{taken.Name}: {blocked}");
        }
        tag.Ways = Choices.Keep(tag.Ways, asked.Id, taken?.Id);
        // The reason was for the way that stood before.
        tag.WayReasons = Choices.KeepReason(tag.WayReasons, asked.Id, null);
        string why = $"{asked.Question.ToLowerInvariant()}: {taken?.Name ?? "as the book advises"}";
        await Aim(tag, aim, why, cancel).ConfigureAwait(false);
    }

    /// <summary>Chooses a way where its choice is asked for this tag, it is open, and another stands; else all stays as it is.</summary>
    /// <exception cref="InputException">No way of that choice.</exception>
    public async Task ChooseWhereAsked(Tag tag, ChoiceId choice, WayId way, CancellationToken cancel = default)
    {
        PlanQuestion question = await Question(tag, tag.Aim ?? AimKind.Work, cancel).ConfigureAwait(false);
        Choice asked = Choices.Find(choice);
        if (asked.Asked(question) && question.Way(choice) != way && asked.Find(way).Blocked(question) is null)
        {
            await Choose(tag, asked.Key, KeyText.Of(way), cancel).ConfigureAwait(false);
        }
    }

    /// <summary>Chooses a way for one part, or takes that back, and plans anew.</summary>
    /// <param name="tag">Its tag.</param>
    /// <param name="choice">Rust, coating or wood.</param>
    /// <param name="part">The part.</param>
    /// <param name="way">The way; null or empty for as the rest.</param>
    /// <param name="cancel">Stops it.</param>
    /// <exception cref="InputException">No such choice, part or way, or one that would harm it.</exception>
    public async Task ChooseFor(Tag tag, string? choice, PartId part, string? way, CancellationToken cancel = default)
    {
        AimKind aim = tag.Aim ?? AimKind.Work;
        PlanQuestion question = await Question(tag, aim, cancel).ConfigureAwait(false);
        Choice asked = Choices.Read(choice);
        PartDef of = PartChoices.Of(question, asked.Id).FirstOrDefault(p => p.Id == part) ?? throw new InputException("unknown_part", "part", part.Value,
            "a part the choice is about", "That part is not one this choice is about.");
        Way? taken = string.IsNullOrEmpty(way) ? null : asked.Read(way);
        if (taken is not null && PartChoices.Blocked(question, asked.Id, taken.Id, of) is string shut)
        {
            throw new InputException("way_blocked", "way", way, "an open way", $"{taken.Name}, {of.Name}: {shut}");
        }
        tag.Ways = PartChoices.Keep(tag.Ways, asked.Id, part, taken?.Id);
        await Aim(tag, aim, $"{of.Name}: {asked.Question.ToLowerInvariant()} {taken?.Name ?? "as the rest"}", cancel).ConfigureAwait(false);
    }

    /// <summary>Takes the road between Keep and Work, and plans anew.</summary>
    public Task TakeMiddleRoad(Tag tag, CancellationToken cancel = default)
    {
        foreach ((ChoiceId choice, WayId way) in MetalWays.MiddleRoad)
        {
            tag.Ways = Choices.Keep(tag.Ways, choice, way);
        }
        return Aim(tag, AimKind.Work, "the road between Keep and Work", cancel);
    }

    /// <summary>Says that a part stays on, or is not to be touched at all, and plans anew.</summary>
    /// <exception cref="InputException">No such part, no reason, or nothing that can be said of it.</exception>
    public Task Leave(Tag tag, PartId part, bool staysOn, string? why, CancellationToken cancel = default) =>
        Leave(tag, part, staysOn, Said(why, "Say why it is left; the papers show it."), staysOn ? "stays on" : "is not to be touched", cancel);

    /// <summary>Takes that back, and plans anew.</summary>
    /// <exception cref="InputException">No such part.</exception>
    public Task Unleave(Tag tag, PartId part, bool staysOn, CancellationToken cancel = default) =>
        Leave(tag, part, staysOn, null, staysOn ? "may come off again" : "may be worked on again", cancel);

    private Task Leave(Tag tag, PartId part, bool staysOn, string? why, string what, CancellationToken cancel)
    {
        PartDef of = tag.Tool().Part(part) ?? throw new InputException("unknown_part", "part", part.Value, "a part of this tool",
            "That part is not on this tool.");
        tag.Built = tag.Built.Leaving(tag.Tool(), of, staysOn, why);
        return Aim(tag, tag.Aim ?? AimKind.Work, $"the {of.Name} {what}", cancel);
    }

    /// <summary>Keeps a rod that was changed.</summary>
    /// <param name="tag">Its tag.</param>
    /// <param name="deeds">The deeds in their order.</param>
    /// <param name="why">Why it was changed.</param>
    /// <param name="ways">Ways it was made by; null for those it had.</param>
    /// <param name="cancel">Stops it.</param>
    public Task Keep(Tag tag, IReadOnlyList<Deed> deeds, string why, IReadOnlyDictionary<ChoiceId, WayId>? ways = null, CancellationToken cancel = default)
    {
        Plan before = tag.Plan ?? new Plan(tag.Aim ?? AimKind.Work, []);
        tag.Plan = (before with { Aim = tag.Aim ?? before.Aim, Ways = ways ?? before.Ways }).With(deeds, why);
        return tags.Save(tag, cancel);
    }

    /// <summary>Refuses a step whose gate is shut. A rule of order gives way to a reason, which is kept.</summary>
    /// <param name="tag">Its tag.</param>
    /// <param name="step">The step.</param>
    /// <param name="seen">Its cautions were seen, which is kept with what is done next.</param>
    /// <param name="overrule">Why it is done though it is not its turn; null or empty for no reason.</param>
    /// <param name="cancel">Stops it.</param>
    /// <exception cref="InputException">The gate is shut.</exception>
    public async Task Pass(Tag tag, PlanStep step, bool seen, string? overrule = null, CancellationToken cancel = default)
    {
        if (seen && step.Cautions.Except(tag.SeenCautions).Any())
        {
            tag.SeenCautions = [.. tag.SeenCautions.Union(step.Cautions)];
        }
        Gate gate = Gate.Of(tag, step, await shop.Context(cancel).ConfigureAwait(false), time.GetUtcNow());
        bool against = gate.Order is not null && !string.IsNullOrWhiteSpace(overrule);
        Gate left = against ? gate with { Order = null } : gate;
        if (!left.Open)
        {
            throw new InputException(left.WaitsFor is null && left.Lacks.Count == 0 && left.Order is not null ? "order_rule" : "gate_shut", "step",
                step.Key.ToString(),
                "a step that may start", left.Sentence);
        }
        if (against)
        {
            tag.Happened(Event(EventKind.Overruled, step, $"{gate.Order} Done all the same: {Shorten.To(overrule, MostWords)}"));
        }
    }

    /// <summary>Notes that a step which cannot be undone may be done: who agreed, and why. It holds for this act and no other.</summary>
    /// <exception cref="InputException">Nothing was said.</exception>
    public Task Agree(Tag tag, PlanStep step, string? words, CancellationToken cancel = default)
    {
        string said = Said(words, "Write who agrees, and how: \"Maud, on the telephone\".");
        tag.Happened(Event(EventKind.Agreed, step, said).Copy(bound: step.Deed.Content));
        return tags.Save(tag, cancel);
    }

    /// <summary>
    /// Notes one word that covers several steps which cannot be undone. It holds for each as it is now: a step that changes is asked about again.
    /// </summary>
    /// <exception cref="InputException">Nothing was said, or no step was ticked.</exception>
    public Task AgreeAll(Tag tag, IReadOnlyList<PlanStep> steps, string? words, CancellationToken cancel = default)
    {
        if (steps.Count == 0)
        {
            throw new InputException("required", "steps", null, "one step or more", "Tick what is agreed to.");
        }
        string said = Said(words, "Write who agrees, and how: \"Maud, on the telephone\".");
        foreach (PlanStep step in steps.Where(s => s is { State: StepState.Open, Undoable: false, AgreedAt: null }).ToList())
        {
            tag.Happened(Event(EventKind.Agreed, step, said).Copy(bound: step.Deed.Content));
        }
        return tags.Save(tag, cancel);
    }

    /// <summary>Lets a step go on without something it needs: what stands in for it, or why.</summary>
    /// <exception cref="InputException">It does not need that, or nothing was said.</exception>
    public Task Without(Tag tag, PlanStep step, SupplyId item, string? words, CancellationToken cancel = default)
    {
        Need need = step.Needs.FirstOrDefault(n => n.Item == item)
            ?? throw new InputException("unknown_supply", "item", item.Value, "something the step needs", "That step does not need it.");
        tag.Happened(BenchEvent.Without(time.GetUtcNow(), step.Key, item, Said(words, $"Say why it is done without: {need.Name}.")));
        return tags.Save(tag, cancel);
    }

    /// <summary>What a step waited for has come.</summary>
    public Task Arrived(Tag tag, PlanStep step, CancellationToken cancel = default)
    {
        tag.Happened(Event(EventKind.Arrived, step, step.WaitsFor));
        foreach (Finding finding in tag.Findings.Where(f => f.Kind == FindingKind.Missing && step.Parts.Contains(f.Part)))
        {
            (finding.OnOrder, finding.ArrivesOn) = (false, null);
        }
        return tags.Save(tag, cancel);
    }

    /// <summary>Leaves a step out, with the reason.</summary>
    /// <exception cref="InputException">No reason was given.</exception>
    public Task Skip(Tag tag, PlanStep step, string? reason, CancellationToken cancel = default)
    {
        tag.Happened(Event(EventKind.LeftOut, step, Said(reason, $"Say why \"{step.Title}\" is left out; the papers show it.")));
        return tags.Save(tag, cancel);
    }

    /// <summary>Keeps why the way of a choice was taken; no words take the reason back.</summary>
    public Task Because(Tag tag, ChoiceId choice, string? reason, CancellationToken cancel = default)
    {
        tag.WayReasons = Choices.KeepReason(tag.WayReasons, choice, Shorten.To(reason, MostReason));
        return tags.Save(tag, cancel);
    }

    /// <summary>Leaves several steps out at once, all for one reason.</summary>
    /// <exception cref="InputException">No step was chosen, or no reason given.</exception>
    public Task SkipAll(Tag tag, IReadOnlyList<PlanStep> steps, string? reason, CancellationToken cancel = default)
    {
        if (steps.Count == 0)
        {
            throw new InputException("required", "steps", null, "one step or more", "Tick the steps that are left out.");
        }
        string said = Said(reason, "Say why they are left out; the papers show it.");
        foreach (PlanStep step in steps.Where(s => s.State == StepState.Open).ToList())
        {
            tag.Happened(Event(EventKind.LeftOut, step, said));
        }
        return tags.Save(tag, cancel);
    }

    /// <summary>Takes a finished or skipped step back: what waits because of it ends, and the log says so.</summary>
    public async Task Reopen(Tag tag, PlanStep step, CancellationToken cancel = default)
    {
        if (step.State == StepState.Open)
        {
            return;
        }
        DateTimeOffset now = time.GetUtcNow();
        foreach (Wait wait in tag.Waits.Where(w => w.Step == step.Key && w.EndedAt is null))
        {
            End(tag, wait, now);
        }
        tag.Happened(Event(EventKind.Reopened, step, step.Title));
        await stores.PutBack(tag, step.Key, cancel).ConfigureAwait(false);
        if (tag.Status == TagStatus.Done)
        {
            tag.Status = TagStatus.InHand;
        }
        await tags.Save(tag, cancel).ConfigureAwait(false);
    }

    /// <summary>Finishes a step: ends the waits it was for, and begins its own.</summary>
    public Task Finish(Tag tag, PlanStep step, CancellationToken cancel = default) => Finish(tag, step, _ => { }, null, cancel);

    /// <summary>Finishes a step: ends the waits it was for, begins its own, and draws what it used from the stores.</summary>
    /// <param name="tag">Its tag.</param>
    /// <param name="step">The step.</param>
    /// <param name="begun">Looks at each wait that begins, where more is known of it than was planned.</param>
    /// <param name="bath">The bath it was done in, whose making drew on the stores already; null for none.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task Finish(Tag tag, PlanStep step, Action<Wait> begun, BathKind? bath, CancellationToken cancel = default)
    {
        if (step.State == StepState.Done)
        {
            return;
        }
        DateTimeOffset now = time.GetUtcNow();
        tag.Happened(Event(EventKind.Done, step, step.Title));
        List<Need> used = [.. step.Deed.UsesUp.Where(n => !step.Without.Contains(n.Item))];
        tag.Log.AddRange(used.Select(n => BenchEvent.Used(now, step.Key, n)));
        await stores.Draw(tag, step.Key, used.Where(n => bath is not BathKind mixed || !Ingredients.Are(mixed, n.Item))
            .Select(n => (n.Item, n.Amount ?? 0)), cancel).ConfigureAwait(false);
        foreach (Wait ended in tag.Waits.Where(w => Waits.EndedBy(w, step.Deed)))
        {
            End(tag, ended, now);
        }
        foreach (Wait wait in Waits.After(step.Deed, tag.Steps.Select(s => s.Deed), now, time.LocalTimeZone, await shop.Assumed(cancel).ConfigureAwait(false)))
        {
            begun(wait);
            tag.Waits.Add(wait);
            tag.Happened(Event(EventKind.WaitBegun, step, wait.What));
        }
        if (tag.Steps.All(s => s.State != StepState.Open))
        {
            tag.Status = TagStatus.Done;
        }
        await tags.Save(tag, cancel).ConfigureAwait(false);
    }

    /// <summary>Keeps what the tool did as found: the step that asks for it is finished with it, or taken up again without.</summary>
    public Task Tried(Tag tag, CancellationToken cancel = default) => tag.Step(StepKey.TryAsFound) switch
    {
        { State: StepState.Open } step when tag.Tried is not null => Finish(tag, step, cancel),
        { State: StepState.Done } step when tag.Tried is null => Reopen(tag, step, cancel),
        _ => tags.Save(tag, cancel),
    };

    /// <summary>Ends a wait; a look that was taken sets the next one as far ahead, while the tool is here.</summary>
    public async Task EndWait(Tag tag, Guid id, CancellationToken cancel = default)
    {
        if (tag.Waits.FirstOrDefault(w => w.Id == id) is not { EndedAt: null } wait)
        {
            return;
        }
        DateTimeOffset now = time.GetUtcNow();
        bool looked = wait.Kind == LagKind.LookAgain;
        End(tag, wait, now, looked ? EventKind.LookedIn : EventKind.WaitEnded);
        if (looked && tag.Status != TagStatus.Left)
        {
            tag.Waits.Add(new Wait { Id = Guid.CreateVersion7(now), Step = wait.Step, Kind = wait.Kind, What = wait.What, StartedAt = now,
                ReadyAt = now + (wait.ReadyAt - wait.StartedAt) });
        }
        await tags.Save(tag, cancel).ConfigureAwait(false);
    }

    /// <summary>Says where a tag stands; what has left the shop is waited for no more.</summary>
    public Task Stand(Tag tag, TagStatus status, CancellationToken cancel = default)
    {
        tag.Status = status;
        foreach (Wait wait in tag.Waits.Where(w => status == TagStatus.Left && w.EndedAt is null))
        {
            End(tag, wait, time.GetUtcNow());
        }
        return tags.Save(tag, cancel);
    }

    private static void End(Tag tag, Wait wait, DateTimeOffset now, EventKind kind = EventKind.WaitEnded)
    {
        wait.EndedAt = now;
        tag.Happened(BenchEvent.New(now, kind, wait.What, wait.Step));
    }

    private static string Said(string? words, string otherwise) => string.IsNullOrWhiteSpace(words)
        ? throw new InputException("required", "words", null, "a few words", otherwise)
        : Shorten.To(words, MostWords);

    private BenchEvent Event(EventKind kind, PlanStep step, string text) => BenchEvent.New(time.GetUtcNow(), kind, text, step.Key);
}
