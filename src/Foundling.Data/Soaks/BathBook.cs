using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Bench;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Shop;
using Foundling.Core.Soaks;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Store;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Soaks;

/// <summary>A load with its moments.</summary>
public sealed record LoadHere(LoadNow Load, SoakTimes? Times);

/// <summary>A bath with how it stands.</summary>
/// <param name="State">The bath.</param>
/// <param name="Loads">What is in it.</param>
/// <param name="Air">The shop it stands in.</param>
public sealed record BathHere(BathState State, IReadOnlyList<LoadHere> Loads, SoakAir Air)
{
    /// <summary>The bath.</summary>
    public StandingBath Bath => State.Bath;
}

/// <summary>A part that waits for a bath.</summary>
/// <param name="Part">The part.</param>
/// <param name="Limit">What it stands in the bath that was asked about.</param>
public sealed record PartWaiting(SoakedPart Part, LoadLimit Limit);

/// <summary>A tool whose rod comes to a soak.</summary>
/// <param name="Tag">The tag.</param>
/// <param name="Step">The soak.</param>
/// <param name="Parts">Its parts.</param>
/// <param name="NotYet">Why it cannot go in now, in a sentence; null when it can.</param>
public sealed record ToolWaiting(Tag Tag, PlanStep Step, IReadOnlyList<PartWaiting> Parts, string? NotYet);

/// <summary>Mixes, watches and remembers the baths of the shop, and tells the rods of the tools that are in them.</summary>
public sealed class BathBook(FoundlingDb db, TimeProvider time, TagBook tags, RodDesk rods, ShopDesk shop, StoreRoom stores)
{
    private const int MostName = 60, MostWords = 300;

    private readonly BathRods _rods = new(tags, rods);

    /// <summary>The shop its soaks stand in.</summary>
    public async Task<SoakAir> Air(CancellationToken cancel = default)
    {
        ShopContext here = await shop.Context(cancel).ConfigureAwait(false);
        return new SoakAir(here.Climate.TemperatureC, here.Climate.RelativeHumidityPercent, here.Assumptions, time.LocalTimeZone);
    }

    /// <summary>Baths that stand, the oldest first.</summary>
    public async Task<IReadOnlyList<BathHere>> Standing(CancellationToken cancel = default)
    {
        SoakAir air = await Air(cancel).ConfigureAwait(false);
        List<StandingBath> baths = await db.Baths.AsNoTracking().Include(b => b.Events).Where(b => b.PouredAt == null).OrderBy(b => b.Number)
            .ToListAsync(cancel).ConfigureAwait(false);
        return [.. baths.Select(b => Here(b, air))];
    }

    /// <summary>Baths that were poured away, the last first.</summary>
    public async Task<IReadOnlyList<StandingBath>> Poured(CancellationToken cancel = default) =>
        await db.Baths.AsNoTracking().Include(b => b.Events).Where(b => b.PouredAt != null).OrderByDescending(b => b.PouredAt).Take(20)
            .ToListAsync(cancel).ConfigureAwait(false);

    /// <summary>A bath with how it stands; null when there is none of that number.</summary>
    public async Task<BathHere?> Find(int number, CancellationToken cancel = default) =>
        await db.Baths.Include(b => b.Events).FirstOrDefaultAsync(b => b.Number == number, cancel).ConfigureAwait(false) is { } bath
            ? Here(bath, await Air(cancel).ConfigureAwait(false)) : null;

    private BathHere Here(StandingBath bath, SoakAir air)
    {
        var state = BathState.Of(bath, air.Assumptions);
        DateTimeOffset now = time.GetUtcNow();
        return new BathHere(state, [.. state.Loads.Where(l => !l.IsOut || l.OiledAt is null).Select(l =>
            new LoadHere(l, l.IsOut ? null : SoakTimes.Of(state, l, air, now)))], air);
    }

    /// <summary>Mixes a bath.</summary>
    /// <param name="bath">What is mixed, and in what.</param>
    /// <param name="cancel">Stops it.</param>
    /// <exception cref="InputException">What cannot be mixed, or would spill.</exception>
    public async Task<StandingBath> Mix(StandingBath bath, CancellationToken cancel = default)
    {
        Writing write = await db.Write(cancel).ConfigureAwait(false);
        await using (write.ConfigureAwait(false))
        {
            Assumptions assumed = await shop.Assumed(cancel).ConfigureAwait(false);
            Recipe.Checked(bath, assumed);
            bath.Number = (await db.Baths.MaxAsync(b => (int?)b.Number, cancel).ConfigureAwait(false) ?? 0) + 1;
            bath.Name = Shorten.To(bath.Name, MostName) is { Length: > 0 } name ? name : $"Bath {bath.Number}";
            bath.MixedAt = time.GetUtcNow();
            db.Baths.Add(bath);
            await stores.Draw(bath.Number, bath.Name, Ingredients.Of(bath.Kind, bath.Percent, bath.Litres, assumed), cancel).ConfigureAwait(false);
            await db.SaveChangesAsync(cancel).ConfigureAwait(false);
            await write.Done(cancel).ConfigureAwait(false);
            return bath;
        }
    }

    /// <summary>Tools whose rods come to a soak, with what their parts stand in a bath.</summary>
    /// <param name="bath">Which bath is asked about; null for the one each rod plans.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task<IReadOnlyList<ToolWaiting>> Waiting(BathKind? bath, CancellationToken cancel = default)
    {
        List<ToolWaiting> waiting = [];
        ShopContext here = await shop.Context(cancel).ConfigureAwait(false);
        foreach (Tag shown in await tags.InHand(cancel).ConfigureAwait(false))
        {
            if (SoakOf(shown) is not null && await tags.Show(shown.Number, Planned, cancel).ConfigureAwait(false) is { } tag && SoakOf(tag) is { } step)
            {
                waiting.Add(await Of(tag, step, bath, here, cancel).ConfigureAwait(false));
            }
        }
        return waiting;
    }

    /// <summary>The bath the rod of a tag plans for its next soak; null when it has come to none.</summary>
    public async Task<BathKind?> PlannedFor(int number, CancellationToken cancel = default) =>
        await tags.Show(number, TagParts.Rod, cancel).ConfigureAwait(false) is { } tag && SoakOf(tag) is { } step ? step.Deed.Bath : null;

    // All a plan is asked with, and what says whether it is its turn.
    private const TagParts Planned = TagParts.Head | TagParts.Waits | TagParts.Surveys;

    private static PlanStep? SoakOf(Tag tag) => tag.Steps.FirstOrDefault(s => s.Key.Step == StepKey.Soak && s.State == StepState.Open);

    private async Task<ToolWaiting> Of(Tag tag, PlanStep step, BathKind? bath, ShopContext here, CancellationToken cancel)
    {
        PlanQuestion question = await rods.Question(tag, tag.Aim ?? AimKind.Work, cancel).ConfigureAwait(false);
        BathKind kind = bath ?? step.Deed.Bath ?? BathKind.Chelating;
        Gate gate = Gate.Of(tag, step, here, time.GetUtcNow()) with { Unseen = [] };
        return new ToolWaiting(tag, step, [.. Lying.Soaked(tag.Number, question, step.Parts.Select(p => tag.Tool().Part(p)).OfType<PartDef>(), kind,
            step.Key).Select(p => new PartWaiting(p.Part, p.Limit))], gate.Open ? null : gate.Sentence);
    }

    /// <summary>Puts parts into a bath: the soaks of their rods are done with that, and wait as long as this bath takes.</summary>
    /// <param name="number">The bath.</param>
    /// <param name="keys">Keys of the parts.</param>
    /// <param name="beforeG">What they weigh, g; null when nobody weighed them.</param>
    /// <param name="places">Where somebody laid them; null for none.</param>
    /// <param name="cancel">Stops it.</param>
    /// <exception cref="InputException">Nothing to put in, a part the bath would harm, or one whose turn it is not.</exception>
    public async Task<LoadNow> PutIn(int number, IReadOnlyList<string> keys, double? beforeG = null, IReadOnlyList<Wanted>? places = null,
        CancellationToken cancel = default)
    {
        Writing write = await db.Write(cancel).ConfigureAwait(false);
        await using (write.ConfigureAwait(false))
        {
            BathHere bath = await Known(number, cancel).ConfigureAwait(false);
            List<(ToolWaiting Tool, string KeptOut)> tools = [];
            foreach (ToolWaiting tool in await Waiting(bath.Bath.Kind, cancel).ConfigureAwait(false))
            {
                List<PartWaiting> going = [.. tool.Parts.Where(p => keys.Contains(p.Part.Key))];
                if (going.Count == 0)
                {
                    continue;
                }
                if (tool.NotYet is { } why)
                {
                    throw new InputException("gate_shut", "parts", tool.Tag.Label, "parts whose turn it is", $"{tool.Tag.Label}: {why}");
                }
                if (going.FirstOrDefault(p => !p.Limit.Allowed) is { } harmed)
                {
                    throw new InputException("bath_harms", "parts", harmed.Part.Key, "parts this bath does not harm",
                        $"{tool.Tag.Label}, {harmed.Part.Name}: {harmed.Limit.Reason}.");
                }
                tools.Add((tool with { Parts = going }, string.Join(", ", tool.Parts.Except(going).Select(p => p.Part.Name))));
            }
            List<SoakedPart> parts = [.. tools.SelectMany(t => t.Tool.Parts).Select(p => p.Part)];
            if (parts.Count == 0)
            {
                throw new InputException("required", "parts", null, "one part or more", "Tick what goes in.");
            }
            Covered(bath, parts);
            DateTimeOffset now = time.GetUtcNow();
            var load = Guid.CreateVersion7(now);
            var note = new BathNote { Parts = parts, BeforeG = Weight(beforeG), Places = places ?? [] };
            await Happened(bath.Bath, BathDeed.LoadIn, load, note, cancel).ConfigureAwait(false);
            BathHere after = Here(bath.Bath, bath.Air);
            LoadHere standing = after.Loads.First(l => l.Load.Id == load);
            foreach ((ToolWaiting tool, string keptOut) in tools)
            {
                Tag tag = (await tags.Find(tool.Tag.Number, cancel).ConfigureAwait(false))!;
                tag.SeenCautions = [.. tag.SeenCautions.Union(BathWords.Minded(tool.Step.Cautions, bath.Bath.Kind))];
                if (keptOut.Length > 0)
                {
                    tag.Happened(BenchEvent.New(now, EventKind.Note, $"Kept out of {bath.Bath.Name}, and still to be done by hand: {keptOut}", tool.Step.Key));
                }
                await rods.Finish(tag, SoakOf(tag)!, w => BathRods.Set(w, standing, tag, number), bath.Bath.Kind, cancel).ConfigureAwait(false);
            }
            await write.Done(cancel).ConfigureAwait(false);
            return standing.Load;
        }
    }

    // All that is in and all that comes must lie in it, covered.
    private static void Covered(BathHere bath, List<SoakedPart> parts)
    {
        BathArrangement lies = bath.State.Lying(parts, bath.Air.Assumptions);
        if (!lies.Fits)
        {
            throw new InputException("does_not_lie", "parts", lies.Left[0].Piece.Key, "parts that lie in it covered", lies.Left[0].Why);
        }
        if (bath.Bath.Litres + Whole.Slack < lies.LiquidL)
        {
            throw new InputException("too_little_liquid", "parts", bath.Bath.Litres, $"{lies.LiquidL:0.#} L",
                $"It takes {lies.LiquidL:0.#} L to cover all of it, and {bath.Bath.Litres:0.#} L are in it. Mix more, or put less in.");
        }
    }

    /// <summary>Keeps what somebody saw who looked in, and moves the waits of the tools that are in it.</summary>
    /// <exception cref="InputException">A share that is none, or no such load.</exception>
    public async Task Look(int number, Guid load, BathNote note, CancellationToken cancel = default)
    {
        Writing write = await db.Write(cancel).ConfigureAwait(false);
        await using (write.ConfigureAwait(false))
        {
            (BathHere bath, LoadHere here) = await In(number, load, cancel).ConfigureAwait(false);
            if (note.LeftOf.Values.Append(note.Left ?? 0).Any(left => !(left >= 0 && left <= 1)))
            {
                throw new InputException("share", "left", note.Left, "0 to 100 %", "What is left of the rust is between 0 and 100 %.");
            }
            HashSet<string> parts = [.. here.Load.Standing.Select(p => p.Key)];
            note = note with { Text = Shorten.To(note.Text, MostWords), LeftOf = note.LeftOf.Where(l => parts.Contains(l.Key)).ToDictionary() };
            await Happened(bath.Bath, BathDeed.LookedIn, load, note, cancel).ConfigureAwait(false);
            LoadHere after = Here(bath.Bath, bath.Air).Loads.First(l => l.Load.Id == load);
            foreach (Tag tag in await _rods.Tools(here.Load, cancel).ConfigureAwait(false))
            {
                tag.Happened(BenchEvent.New(time.GetUtcNow(), EventKind.LookedIn, Seen(bath.Bath, here.Load, note, tag.Number)));
                await _rods.Move(tag, after, number, cancel).ConfigureAwait(false);
            }
            await write.Done(cancel).ConfigureAwait(false);
        }
    }

    // What was seen on the parts of one tool.
    private string Seen(StandingBath bath, LoadNow load, BathNote note, int tag) =>
        $"{bath.Name}: {BathWords.Said(load with { Parts = [.. load.Standing.Where(p => p.Tag == tag)] }, new Seen(time.GetUtcNow(), [], note))}";

    /// <summary>Scrubs a load and puts it back: the next soak of it begins.</summary>
    public Task Scrub(int number, Guid load, CancellationToken cancel = default) => Move(number, load, BathDeed.Scrubbed, new BathNote(), cancel);

    /// <summary>Takes parts out: what is left is rinsed, dried and oiled at once.</summary>
    /// <param name="number">The bath.</param>
    /// <param name="load">The load.</param>
    /// <param name="keys">Keys of the parts; empty for all that is in.</param>
    /// <param name="cancel">Stops it.</param>
    public Task TakeOut(int number, Guid load, IReadOnlyList<string> keys, CancellationToken cancel = default) =>
        Move(number, load, BathDeed.TakenOut, new BathNote { Of = keys }, cancel);

    /// <summary>What came out is dry and oiled: the steps that say so are done with it.</summary>
    /// <param name="number">The bath.</param>
    /// <param name="load">The load.</param>
    /// <param name="afterG">What it weighs now, g; null when nobody weighed it.</param>
    /// <param name="bloom">Keys of parts that bloomed brown before the oil; null for none.</param>
    /// <param name="cancel">Stops it.</param>
    public Task Oiled(int number, Guid load, double? afterG, IReadOnlyList<string>? bloom = null, CancellationToken cancel = default) =>
        Move(number, load, BathDeed.Oiled, new BathNote { AfterG = Weight(afterG), Bloom = bloom ?? [] }, cancel);

    private async Task Move(int number, Guid load, BathDeed deed, BathNote note, CancellationToken cancel)
    {
        Writing write = await db.Write(cancel).ConfigureAwait(false);
        await using (write.ConfigureAwait(false))
        {
            (BathHere bath, LoadHere here) = await In(number, load, cancel).ConfigureAwait(false);
            IReadOnlyList<Tag> tools = await _rods.Tools(here.Load, cancel).ConfigureAwait(false);
            if (deed == BathDeed.Oiled)
            {
                note = note with { Found = BathFindings.Of(bath.Bath.Name, here.Load, note.Bloom, tools, bath.Air.Assumptions, time.GetUtcNow()) };
            }
            await Happened(bath.Bath, deed, load, note, cancel).ConfigureAwait(false);
            BathHere after = Here(bath.Bath, bath.Air);
            LoadNow now = after.State.Loads.First(l => l.Id == load);
            foreach (Tag tag in tools)
            {
                BathFindings.Put(tag, note.Found, time.GetUtcNow());
                await _rods.Follow(tag, now, after.Loads.FirstOrDefault(l => l.Load.Id == load), deed, number, bath.Bath.Kind, cancel).ConfigureAwait(false);
            }
            await write.Done(cancel).ConfigureAwait(false);
        }
    }

    /// <summary>Keeps a temperature that was measured.</summary>
    /// <exception cref="InputException">No temperature of a bath.</exception>
    public async Task Felt(int number, double c, CancellationToken cancel = default)
    {
        BathHere bath = await Known(number, cancel).ConfigureAwait(false);
        if (!(c >= -5 && c <= 100))
        {
            throw new InputException("bath_temperature", "temperature_c", c, "-5 to 100", $"No bath is {c:0.#} °C.");
        }
        await Happened(bath.Bath, BathDeed.Felt, null, new BathNote { TemperatureC = c }, cancel).ConfigureAwait(false);
    }

    /// <summary>Moves the waits of all that is in to what the shop's air is now.</summary>
    public async Task Retime(CancellationToken cancel = default)
    {
        foreach (BathHere bath in await Standing(cancel).ConfigureAwait(false))
        {
            foreach (LoadHere load in bath.Loads.Where(l => l.Times is not null))
            {
                foreach (Tag tag in await _rods.Tools(load.Load, cancel).ConfigureAwait(false))
                {
                    await _rods.Move(tag, load, bath.Bath.Number, cancel).ConfigureAwait(false);
                }
            }
        }
    }

    /// <summary>Pours a bath away.</summary>
    /// <exception cref="InputException">Something is in it.</exception>
    public async Task Pour(int number, string? words, CancellationToken cancel = default)
    {
        BathHere bath = await Known(number, cancel).ConfigureAwait(false);
        if (bath.State.In.Any())
        {
            throw new InputException("bath_in_use", "number", number, "an empty bath", $"{bath.Bath.Name} is not empty: take out what is in it first.");
        }
        bath.Bath.PouredAt = time.GetUtcNow();
        await Happened(bath.Bath, BathDeed.PouredAway, null, new BathNote { Text = Shorten.To(words, MostWords) }, cancel).ConfigureAwait(false);
    }

    /// <summary>
    /// Takes the last thing that happened to a bath back, on the rods of its tools too. One to which nothing ever happened was never mixed: it goes, and
    /// what it was mixed from is in the stores again.
    /// </summary>
    /// <returns>True while the bath stands; false when it was never mixed.</returns>
    /// <exception cref="InputException">All that happened to it is taken back already.</exception>
    public async Task<bool> TakeBack(int number, CancellationToken cancel = default)
    {
        Writing write = await db.Write(cancel).ConfigureAwait(false);
        await using (write.ConfigureAwait(false))
        {
            BathHere bath = await Known(number, cancel, poured: true).ConfigureAwait(false);
            if (bath.Bath.Events.Count == 0)
            {
                await stores.PutBack(number, cancel).ConfigureAwait(false);
                db.Baths.Remove(bath.Bath);
                await db.SaveChangesAsync(cancel).ConfigureAwait(false);
                await write.Done(cancel).ConfigureAwait(false);
                return false;
            }
            BathEvent last = BathState.Last(bath.Bath) ?? throw new InputException("nothing_to_take_back", "number", number, "a bath with a past",
                "Nothing has happened to this bath yet.");
            bath.Bath.PouredAt = last.Kind == BathDeed.PouredAway ? null : bath.Bath.PouredAt;
            LoadNow? before = bath.State.Loads.FirstOrDefault(l => l.Id == last.Load);
            await Happened(bath.Bath, BathDeed.TakenBack, null, new BathNote { TakesBack = last.Id }, cancel).ConfigureAwait(false);
            if (before is not null)
            {
                LoadHere? after = Here(bath.Bath, bath.Air).Loads.FirstOrDefault(l => l.Load.Id == before.Id);
                foreach (Tag tag in await _rods.Tools(before, cancel).ConfigureAwait(false))
                {
                    await _rods.Undo(tag, last, before, after, number, cancel).ConfigureAwait(false);
                }
            }
            await write.Done(cancel).ConfigureAwait(false);
            return true;
        }
    }

    private Task<int> Happened(StandingBath bath, BathDeed kind, Guid? load, BathNote note, CancellationToken cancel)
    {
        bath.Happened(time.GetUtcNow(), kind, load, note);
        return db.SaveChangesAsync(cancel);
    }

    private async Task<BathHere> Known(int number, CancellationToken cancel, bool poured = false) =>
        await Find(number, cancel).ConfigureAwait(false) is { } bath && (poured || bath.Bath.PouredAt is null) ? bath
            : throw new InputException("unknown_bath", "bath", number, "a bath that stands", "That bath does not stand here any more.");

    private async Task<(BathHere Bath, LoadHere Load)> In(int number, Guid load, CancellationToken cancel)
    {
        BathHere bath = await Known(number, cancel).ConfigureAwait(false);
        return (bath, bath.Loads.FirstOrDefault(l => l.Load.Id == load) ?? throw new InputException("unknown_load", "load", load, "a load that is in",
            "That load is not in this bath any more."));
    }

    private static double? Weight(double? grams) => grams is null or (> 0 and < 200_000) ? grams
        : throw new InputException("weight", "grams", grams, "0 to 200 000", $"No load weighs {grams:0.#} g.");
}
