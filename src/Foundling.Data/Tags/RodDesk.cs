using Foundling.Core;
using Foundling.Core.Origin;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Reference;
using Foundling.Data.Shop;
using Foundling.Data.Store;
using Foundling.Data.Stores;

namespace Foundling.Data.Tags;

/// <summary>Plans tags and keeps what is done to their rods.</summary>
public sealed class RodDesk(FoundlingDb db, TimeProvider time, TagBook tags, ShopBook shop, StoreRoom stores)
{
    private const int MostWords = 500, MostReason = 150;

    /// <summary>The question a plan for this tag answers.</summary>
    public async Task<PlanQuestion> Question(Tag tag, AimKind aim, CancellationToken cancel = default) =>
        Ask(tag, aim, await shop.Read(cancel).ConfigureAwait(false), await stores.Lacking(cancel).ConfigureAwait(false),
            await tags.Patterns(cancel).ConfigureAwait(false));

    /// <summary>The question a plan for a tag answers in a shop.</summary>
    /// <param name="tag">The tag.</param>
    /// <param name="aim">How far to go.</param>
    /// <param name="settings">The shop.</param>
    /// <param name="lacking">Kit the shop has not got.</param>
    /// <param name="book">The pattern book, which says which parts are odd.</param>
    public static PlanQuestion Ask(Tag tag, AimKind aim, ShopSettings settings, IReadOnlySet<string> lacking, PatternBook book) => new(tag.Tool(), aim,
        tag.Standing(), ReferenceData.Baths)
    {
        TagWays = Choices.Read(tag.Ways), ShopWays = Choices.Read(settings.Ways), Lacking = lacking, TemperatureC = settings.TemperatureC,
        RelativeHumidityPercent = settings.HumidityPercent, LengthMm = tag.LengthMm, WidthMm = tag.IronWidthMm, Purpose = tag.Purpose,
        Measurements = tag.Measurements, Tried = tag.Tried, Dress = settings.Dress, Odd = Odd(tag, book),
    };

    /// <summary>Parts that do not belong: by their marks and traits, or because wedge and iron clash.</summary>
    private static HashSet<PartId> Odd(Tag tag, PatternBook book)
    {
        return [.. TagBook.Date(tag, book)?.PartLabel.Where(p => p.Value == "odd").Select(p => PartId.Of(p.Key)) ?? [], .. PartRules.OddByKinship(tag.Kinship(),
            Assumptions.Standard)];
    }

    /// <summary>Chooses an aim and plans for it, keeping what is done and what was changed by hand.</summary>
    public async Task Aim(Tag tag, AimKind aim, CancellationToken cancel = default)
    {
        tag.Aim = aim;
        await Keep(tag, Handwork.Replan(tag.Steps, await Question(tag, aim, cancel).ConfigureAwait(false)), cancel).ConfigureAwait(false);
    }

    /// <summary>Chooses a way for this tag, or takes the choice back, and plans anew.</summary>
    /// <exception cref="InputException">No such way, or one that is closed for this tool.</exception>
    public async Task Choose(Tag tag, string choice, string? way, CancellationToken cancel = default)
    {
        AimKind aim = tag.Aim ?? AimKind.Work;
        if (!string.IsNullOrEmpty(way) && Choices.Find(choice).Find(way).Blocked(await Question(tag, aim, cancel).ConfigureAwait(false)) is string blocked)
        {
            throw new InputException("way_blocked", choice, way, "an open way", $"{Choices.Find(choice).Find(way).Name}: {blocked}");
        }
        tag.Ways = Choices.Keep(tag.Ways, choice, way);
        // The reason was for the way that stood before.
        tag.WayReasons = Choices.KeepReason(tag.WayReasons, choice, null);
        await Aim(tag, aim, cancel).ConfigureAwait(false);
    }

    /// <summary>Keeps a rod that was changed by hand.</summary>
    public async Task Keep(Tag tag, IReadOnlyList<PlanStep> plan, CancellationToken cancel = default)
    {
        foreach (PlanStep gone in tag.Steps.Except(plan).ToList())
        {
            tag.Steps.Remove(gone);
            PlanStep? same = plan.FirstOrDefault(s => s.Key == gone.Key);
            if (same is not null)
            {
                db.Entry(gone).CurrentValues.SetValues(same);
                tag.Steps.Add(gone);
            }
            else
            {
                db.Remove(gone);
            }
        }
        foreach (PlanStep added in plan.Where(s => tag.Steps.All(t => t.Key != s.Key)))
        {
            tag.Steps.Add(added);
        }
        TagBook.Sort(tag);
        await tags.Save(tag, cancel).ConfigureAwait(false);
    }

    /// <summary>Refuses a step whose gate is shut.</summary>
    /// <param name="tag">Its tag.</param>
    /// <param name="step">The step.</param>
    /// <param name="seen">Its cautions were seen; that is kept first.</param>
    /// <param name="cancel">Stops it.</param>
    /// <exception cref="InputException">The gate is shut.</exception>
    public async Task Pass(Tag tag, PlanStep step, bool seen, CancellationToken cancel = default)
    {
        if (seen)
        {
            tag.SeenCautions = [.. tag.SeenCautions.Union(Core.Safety.Cautions.Of(step.Caution).Select(c => c.Id))];
        }
        Gate gate = Gate.Of(tag, step, (await shop.Read(cancel).ConfigureAwait(false)).Name);
        if (!gate.Open)
        {
            throw new InputException("gate_shut", "step", step.Key, "a step that may start", gate.Sentence);
        }
    }

    /// <summary>Notes that a step which cannot be undone may be done: who agreed, and why.</summary>
    /// <exception cref="InputException">Nothing was said.</exception>
    public async Task Agree(Tag tag, PlanStep step, string? words, CancellationToken cancel = default)
    {
        string said = Said(words, "Write who agrees, and how: \"Maud, on the telephone\".");
        (step.Agreed, step.AgreedAt) = (said, time.GetUtcNow());
        Log(tag, LogKind.Note, step, $"Agreed: {step.Title}. {said}");
        await tags.Save(tag, cancel).ConfigureAwait(false);
    }

    /// <summary>What a step waited for has come.</summary>
    public async Task Arrived(Tag tag, PlanStep step, CancellationToken cancel = default)
    {
        Log(tag, LogKind.Note, step, $"It has come: {step.WaitsFor}");
        (step.WaitsFor, step.ArrivesOn) = ("", null);
        foreach (Finding finding in tag.Findings.Where(f => f.Kind == FindingKind.Missing && step.Parts.Contains(f.Part)))
        {
            (finding.OnOrder, finding.ArrivesOn) = (false, null);
        }
        await tags.Save(tag, cancel).ConfigureAwait(false);
    }

    /// <summary>Leaves a step out, with the reason.</summary>
    /// <exception cref="InputException">No reason was given.</exception>
    public async Task Skip(Tag tag, PlanStep step, string? reason, CancellationToken cancel = default)
    {
        string said = Said(reason, $"Say why \"{step.Title}\" is left out; the papers show it.");
        LeaveOut(tag, step, said);
        await tags.Save(tag, cancel).ConfigureAwait(false);
    }

    private void LeaveOut(Tag tag, PlanStep step, string reason)
    {
        (step.State, step.EndedAt, step.SkipReason) = (StepState.Skipped, time.GetUtcNow(), reason);
        Log(tag, LogKind.StepSkipped, step, $"{step.Title}: {reason}");
    }

    /// <summary>Keeps why the way of a choice was taken; no words take the reason back.</summary>
    public Task Because(Tag tag, string choice, string? reason, CancellationToken cancel = default)
    {
        tag.WayReasons = Choices.KeepReason(tag.WayReasons, choice, Shorten.To(reason, MostReason));
        return tags.Save(tag, cancel);
    }

    /// <summary>Leaves several steps out at once, all for one reason.</summary>
    /// <exception cref="InputException">No step was chosen, or no reason given.</exception>
    public async Task SkipAll(Tag tag, IReadOnlyList<PlanStep> steps, string? reason, CancellationToken cancel = default)
    {
        if (steps.Count == 0)
        {
            throw new InputException("required", "steps", null, "one step or more", "Tick the steps that are left out.");
        }
        string said = Said(reason, "Say why they are left out; the papers show it.");
        foreach (PlanStep step in steps.Where(s => s.State == StepState.Open))
        {
            LeaveOut(tag, step, said);
        }
        await tags.Save(tag, cancel).ConfigureAwait(false);
    }

    /// <summary>Takes a finished or skipped step back: what waits because of it ends, and the log says so.</summary>
    public async Task Reopen(Tag tag, PlanStep step, CancellationToken cancel = default)
    {
        if (step.State == StepState.Open)
        {
            return;
        }
        DateTimeOffset now = time.GetUtcNow();
        (step.State, step.EndedAt, step.SkipReason) = (StepState.Open, null, "");
        foreach (Wait wait in tag.Waits.Where(w => w.Step == step.Key && w.EndedAt is null))
        {
            End(tag, wait, now);
        }
        Log(tag, LogKind.StepReopened, step, step.Title);
        if (tag.Status == TagStatus.Done)
        {
            tag.Status = TagStatus.InHand;
        }
        await tags.Save(tag, cancel).ConfigureAwait(false);
    }

    /// <summary>Finishes a step: books it and starts its wait.</summary>
    public async Task Finish(Tag tag, PlanStep step, CancellationToken cancel = default)
    {
        if (step.State == StepState.Done)
        {
            return;
        }
        DateTimeOffset now = time.GetUtcNow();
        step.State = StepState.Done;
        step.EndedAt = now;
        Log(tag, LogKind.StepDone, step, step.Title);
        foreach (Wait ended in tag.Waits.Where(w => WaitEnds.EndedBy(w, step)))
        {
            End(tag, ended, now);
        }
        if ((WaitEnds.Of(step.Key, false) == WaitEnd.LookAgain ? step.LookInMin : step.WaitMin) is double wait and > 0)
        {
            DateTimeOffset local = TimeZoneInfo.ConvertTime(now, time.LocalTimeZone);
            tag.Waits.Add(new Wait
            {
                Id = Guid.CreateVersion7(now), Step = step.Key, What = WaitEnds.What(step), StartedAt = now, ReadyAt = now.AddMinutes(wait),
                LookInAt = step.WaitMin > 0 && step.LookInMin is double look ? Core.Baths.Soak.LookInAt(local, look).ToUniversalTime() : null,
                MustBeOutAt = step.OutByMin is double outBy ? now.AddMinutes(outBy) : null,
            });
            Log(tag, LogKind.WaitBegun, step, WaitEnds.What(step));
        }
        if (tag.Steps.All(s => s.State != StepState.Open))
        {
            tag.Status = TagStatus.Done;
        }
        await tags.Save(tag, cancel).ConfigureAwait(false);
    }

    /// <summary>Keeps what the tool did as found: the step that asks for it is finished with it, or taken up again without.</summary>
    public async Task Tried(Tag tag, CancellationToken cancel = default)
    {
        PlanStep? step = tag.Steps.FirstOrDefault(s => s.Key == PlanStep.TryAsFound);
        if (step is { State: StepState.Open } && tag.Tried is not null)
        {
            await Finish(tag, step, cancel).ConfigureAwait(false);
        }
        else if (step is { State: StepState.Done } && tag.Tried is null)
        {
            await Reopen(tag, step, cancel).ConfigureAwait(false);
        }
        else
        {
            await tags.Save(tag, cancel).ConfigureAwait(false);
        }
    }

    /// <summary>Ends a wait; a look that was taken sets the next one as far ahead, while the tool is here.</summary>
    public async Task EndWait(Tag tag, Guid id, CancellationToken cancel = default)
    {
        if (tag.Waits.FirstOrDefault(w => w.Id == id) is not { EndedAt: null } wait)
        {
            return;
        }
        DateTimeOffset now = time.GetUtcNow();
        End(tag, wait, now);
        if (WaitEnds.Of(wait) == WaitEnd.LookAgain && tag.Status != TagStatus.Left)
        {
            tag.Waits.Add(new Wait { Id = Guid.CreateVersion7(now), Step = wait.Step, What = wait.What, StartedAt = now,
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

    private static void End(Tag tag, Wait wait, DateTimeOffset now)
    {
        wait.EndedAt = now;
        tag.Log.Add(LogEntry.New(now, LogKind.WaitEnded, wait.What, wait.Step));
    }

    private static string Said(string? words, string otherwise) => string.IsNullOrWhiteSpace(words)
        ? throw new InputException("required", "words", null, "a few words", otherwise)
        : Shorten.To(words, MostWords);

    private void Log(Tag tag, LogKind kind, PlanStep step, string text) => tag.Log.Add(LogEntry.New(time.GetUtcNow(), kind, text, step.Key));
}
