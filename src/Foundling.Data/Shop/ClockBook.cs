using Foundling.Core;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Tags;
using Foundling.Data.Store;
using Foundling.Data.Tags;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Shop;

/// <summary>
/// Keeps count of time while the program runs, by a source that no change of the system clock moves.
/// </summary>
public sealed class Stopwatches(TimeProvider time)
{
    private readonly Lock _gate = new();
    private (DateTimeOffset StartedAt, long Stamp)? _running;

    /// <summary>Begins counting for the clock that started at this moment.</summary>
    public void Begin(DateTimeOffset startedAt)
    {
        lock (_gate)
        {
            _running = (startedAt, time.GetTimestamp());
        }
    }

    /// <summary>Minutes counted for the clock that started at a moment; null when the program was started anew since.</summary>
    public double? Minutes(DateTimeOffset startedAt)
    {
        lock (_gate)
        {
            return _running is { } r && r.StartedAt == startedAt ? time.GetElapsedTime(r.Stamp).TotalMinutes : null;
        }
    }
}

/// <summary>What a clock shows.</summary>
/// <param name="Minutes">Minutes since it started, never below 0.</param>
/// <param name="Doubt">Why that may not be right, to be asked about; null when it can be.</param>
public sealed record ClockReading(double Minutes, string? Doubt);

/// <summary>The running clock and what it writes into the log. It lives in the database, so it outlives the process.</summary>
public sealed class ClockBook(FoundlingDb db, TagBook tags, Stopwatches watches, TimeProvider time, PlanShelf plans)
{
    /// <summary>Key of the refusal to book what cannot be right.</summary>
    public const string InDoubt = "clock_in_doubt";

    /// <summary>The running clock, or null.</summary>
    public Task<RunningClock?> Running(CancellationToken cancel = default) => db.Clock.AsNoTracking().FirstOrDefaultAsync(cancel);

    /// <summary>What a clock shows now.</summary>
    /// <param name="running">The clock.</param>
    /// <param name="likelyMin">Minutes its step takes most often; null when the step is gone.</param>
    public ClockReading Read(RunningClock running, double? likelyMin)
    {
        double? counted = watches.Minutes(running.StartedAt);
        double minutes = counted ?? (time.GetUtcNow() - running.StartedAt).TotalMinutes;
        return new ClockReading(Math.Max(0, minutes), ClockDoubts.Of(minutes, likelyMin, counted is not null));
    }

    /// <summary>Starts the clock for a step; a clock that runs for another step is stopped first.</summary>
    /// <exception cref="InputException">No such tag or step, or what ran before must be asked about first.</exception>
    public async Task<RunningClock> Start(int tagNumber, DeedId step, CancellationToken cancel = default)
    {
        Writing write = await db.Write(cancel).ConfigureAwait(false);
        await using (write.ConfigureAwait(false))
        {
            if (!await db.Tags.AnyAsync(t => t.Number == tagNumber, cancel).ConfigureAwait(false))
            {
                throw new InputException("unknown_tag", "tag", tagNumber, "a tag of this shop", $"There is no tag {Tag.LabelOf(tagNumber)}.");
            }
            Deed plan = await plans.Deed(tagNumber, step, cancel).ConfigureAwait(false)
                ?? throw new InputException("unknown_step", "step", step.ToString(), "a step of the rod",
                    $"{Tag.LabelOf(tagNumber)} has no step \"{step}\".");
            RunningClock? running = await db.Clock.FirstOrDefaultAsync(cancel).ConfigureAwait(false);
            if (running is not null && running.TagNumber == tagNumber && running.Step == step)
            {
                return running;
            }
            if (running is not null)
            {
                await Book(running, null, cancel).ConfigureAwait(false);
                db.Clock.Remove(running);
                await db.SaveChangesAsync(cancel).ConfigureAwait(false);
            }
            DateTimeOffset now = time.GetUtcNow();
            var clock = new RunningClock { TagNumber = tagNumber, Step = step, Title = plan.Title, StartedAt = now };
            db.Clock.Add(clock);
            await tags.Note(tagNumber, BenchEvent.New(now, EventKind.Started, plan.Title, step), cancel).ConfigureAwait(false);
            await write.Done(cancel).ConfigureAwait(false);
            watches.Begin(now);
            return clock;
        }
    }

    /// <summary>Stops the clock and books its minutes; null when none ran.</summary>
    /// <param name="minutes">Minutes the person says it took, where the clock cannot be right; null to take what it shows.</param>
    /// <param name="cancel">Stops it.</param>
    /// <exception cref="InputException">What it shows cannot be right, and nobody said how long it took.</exception>
    public async Task<BenchEvent?> Stop(double? minutes = null, CancellationToken cancel = default)
    {
        Writing write = await db.Write(cancel).ConfigureAwait(false);
        await using (write.ConfigureAwait(false))
        {
            RunningClock? running = await db.Clock.FirstOrDefaultAsync(cancel).ConfigureAwait(false);
            if (running is null)
            {
                return null;
            }
            BenchEvent entry = await Book(running, minutes, cancel).ConfigureAwait(false);
            db.Clock.Remove(running);
            await db.SaveChangesAsync(cancel).ConfigureAwait(false);
            await write.Done(cancel).ConfigureAwait(false);
            return entry;
        }
    }

    private async Task<BenchEvent> Book(RunningClock running, double? said, CancellationToken cancel)
    {
        DateTimeOffset now = time.GetUtcNow();
        Deed? step = await plans.Deed(running.TagNumber, running.Step, cancel).ConfigureAwait(false);
        ClockReading shown = Read(running, step?.Minutes.Likely);
        if (said is null && shown.Doubt is { } doubt)
        {
            throw new InputException(InDoubt, "minutes", shown.Minutes, "the minutes it really took", doubt);
        }
        var entry = BenchEvent.New(now, EventKind.Stopped, running.Title, running.Step, said ?? shown.Minutes);
        if (await db.Tags.AnyAsync(t => t.Number == running.TagNumber, cancel).ConfigureAwait(false))
        {
            await tags.Note(running.TagNumber, entry, cancel).ConfigureAwait(false);
        }
        return entry;
    }
}
