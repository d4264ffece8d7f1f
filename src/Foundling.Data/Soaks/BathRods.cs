using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Soaks;
using Foundling.Core.Tags;
using Foundling.Data.Tags;

namespace Foundling.Data.Soaks;

/// <summary>Lets the rods of the tools in a bath follow what happens to it.</summary>
internal sealed class BathRods(TagBook tags, RodDesk rods)
{
    private static readonly StepKey[] Dried = [StepKey.SoakNeutralise, StepKey.SoakDry, StepKey.SoakOil];

    /// <summary>The tools of a load, for changing; one that has left the shop's book is passed over.</summary>
    public async Task<IReadOnlyList<Tag>> Tools(LoadNow load, CancellationToken cancel)
    {
        List<Tag> tools = [];
        foreach (int number in load.Parts.Select(p => p.Tag).Distinct())
        {
            if (await tags.Find(number, cancel).ConfigureAwait(false) is { } tag)
            {
                tools.Add(tag);
            }
        }
        return tools;
    }

    /// <summary>Gives a wait the moments of its tool's parts in the load: those that come out early have a wait of their own.</summary>
    public static void Set(Wait wait, LoadHere load, Tag tag, int bath)
    {
        List<PartTime> own = [.. (load.Times?.Parts ?? []).Where(p => p.Part.Tag == tag.Number)];
        bool early = wait.EndedBy.Contains(StepKey.SoakEarly) && !wait.EndedBy.Contains(StepKey.SoakLift);
        List<PartTime> parts = own.Exists(p => p.Early == early) ? own.FindAll(p => p.Early == early) : own;
        if (parts.Count == 0)
        {
            return;
        }
        (wait.Bath, wait.ReadyAt, wait.MustBeOutAt) = (bath, parts.Max(p => p.At), parts.Min(p => p.OutBy));
        wait.LookInAt = load.Times!.LookIns.Where(l => l < (wait.MustBeOutAt ?? DateTimeOffset.MaxValue)).Select(l => (DateTimeOffset?)l).FirstOrDefault();
    }

    /// <summary>Moves the waits of a tool to what is known of its load now.</summary>
    public async Task Move(Tag tag, LoadHere? load, int bath, CancellationToken cancel)
    {
        if (load?.Times is null)
        {
            return;
        }
        foreach (Wait wait in tag.Waits.Where(w => w.EndedAt is null && w.Bath == bath))
        {
            Set(wait, load, tag, bath);
        }
        await tags.Save(tag, cancel).ConfigureAwait(false);
    }

    /// <summary>The steps that something done to a load finishes: out of the bath, its lift; oiled, the rest of the block; scrubbed, the next soak.</summary>
    public async Task Follow(Tag tag, LoadNow now, LoadHere? load, BathDeed deed, int bath, BathKind kind, CancellationToken cancel)
    {
        bool out_ = now.Parts.Where(p => p.Tag == tag.Number).All(p => now.OutAt.ContainsKey(p.Key));
        StepKey[] finished = deed switch
        {
            BathDeed.TakenOut when out_ => [StepKey.SoakLift],
            BathDeed.Oiled when out_ => [StepKey.SoakEarly, .. Dried],
            BathDeed.Oiled => [StepKey.SoakEarly],
            BathDeed.Scrubbed => [StepKey.SoakAgain],
            _ => [],
        };
        foreach (StepKey step in finished)
        {
            if (Own(tag, now, step).FirstOrDefault(s => s.State == StepState.Open) is { } open)
            {
                await rods.Finish(tag, open, w => Set(w, load!, tag, bath), kind, cancel).ConfigureAwait(false);
            }
        }
        await Move(tag, load, bath, cancel).ConfigureAwait(false);
    }

    /// <summary>Opens the steps again that something taken back had finished, and lets its waits stand again.</summary>
    public async Task Undo(Tag tag, BathEvent last, LoadNow before, LoadHere? after, int bath, CancellationToken cancel)
    {
        List<PlanStep> done = [.. (last.Kind switch
        {
            BathDeed.LoadIn => Own(tag, before, StepKey.Soak),
            BathDeed.TakenOut => Own(tag, before, StepKey.SoakLift),
            BathDeed.Oiled => Own(tag, before, [StepKey.SoakEarly, .. Dried]),
            BathDeed.Scrubbed => Own(tag, before, StepKey.SoakAgain).Where(s => s.State == StepState.Done).TakeLast(1),
            _ => [],
        }).Where(s => s.State == StepState.Done)];
        foreach (PlanStep step in done)
        {
            await rods.Reopen(tag, step, cancel).ConfigureAwait(false);
        }
        if (last.Kind is BathDeed.TakenOut or BathDeed.Scrubbed && after is not null)
        {
            PlanStep? soaks = Own(tag, before, StepKey.Soak, StepKey.SoakAgain).LastOrDefault(s => s.State == StepState.Done);
            foreach (Wait wait in tag.Waits.Where(w => w.Bath == bath && (w.Step == soaks?.Key || w.EndedBy.Contains(StepKey.SoakEarly))))
            {
                wait.EndedAt = null;
            }
        }
        BathFindings.TakeBack(tag, last.Note.Found);
        await tags.Save(tag, cancel).ConfigureAwait(false);
        await Move(tag, after, bath, cancel).ConfigureAwait(false);
    }

    // A tool that goes into two baths has the steps of each, told apart by what stands behind their keys.
    private static IEnumerable<PlanStep> Own(Tag tag, LoadNow load, params StepKey[] steps)
    {
        string of = load.Parts.Where(p => p.Tag == tag.Number).Select(p => p.Step?.Of).FirstOrDefault(s => s is not null) ?? "";
        return tag.Steps.Where(s => steps.Contains(s.Key.Step) && (s.Key.Step == StepKey.SoakAgain
            ? of.Length == 0 ? !s.Key.Of.Contains('_', StringComparison.Ordinal) : s.Key.Of.StartsWith($"{of}_", StringComparison.Ordinal)
            : s.Key.Of == of));
    }
}
