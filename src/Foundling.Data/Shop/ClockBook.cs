using Foundling.Core;
using Foundling.Core.Tags;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Shop;

/// <summary>The running clock and what it writes into the log. It lives in the database, so it outlives the process.</summary>
public sealed class ClockBook(FoundlingDb db, TimeProvider time)
{
    /// <summary>The running clock, or null.</summary>
    public Task<RunningClock?> Running(CancellationToken cancel = default) => db.Clock.AsNoTracking().FirstOrDefaultAsync(cancel);

    /// <summary>Starts the clock for a step; a clock that runs for another step is stopped first.</summary>
    /// <exception cref="InputException">No such tag or step.</exception>
    public async Task<RunningClock> Start(int tagNumber, string step, CancellationToken cancel = default)
    {
        Tag tag = await db.Tags.Include(t => t.Steps).FirstOrDefaultAsync(t => t.Number == tagNumber, cancel).ConfigureAwait(false)
            ?? throw new InputException("unknown_tag", "tag", tagNumber, "a tag of this shop", $"There is no tag {Tag.LabelOf(tagNumber)}.");
        PlanStep plan = tag.Steps.FirstOrDefault(s => s.Key == step)
            ?? throw new InputException("unknown_step", "step", step, "a step of the rod", $"{tag.Label} has no step \"{step}\".");
        RunningClock? running = await db.Clock.FirstOrDefaultAsync(cancel).ConfigureAwait(false);
        if (running is not null && running.TagNumber == tagNumber && running.Step == step)
        {
            return running;
        }
        if (running is not null)
        {
            await Book(running, cancel).ConfigureAwait(false);
            db.Clock.Remove(running);
            await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        }
        DateTimeOffset now = time.GetUtcNow();
        var clock = new RunningClock { TagNumber = tagNumber, Step = step, Title = plan.Title, StartedAt = now };
        db.Clock.Add(clock);
        db.Entry(tag).Collection(t => t.Log).IsLoaded = true;
        tag.Log.Add(new LogEntry { Id = Guid.CreateVersion7(now), At = now, Kind = LogKind.Started, Step = step, Text = plan.Title });
        tag.Version++;
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        return clock;
    }

    /// <summary>Stops the clock and books its minutes; null when none ran.</summary>
    public async Task<LogEntry?> Stop(CancellationToken cancel = default)
    {
        RunningClock? running = await db.Clock.FirstOrDefaultAsync(cancel).ConfigureAwait(false);
        if (running is null)
        {
            return null;
        }
        LogEntry entry = await Book(running, cancel).ConfigureAwait(false);
        db.Clock.Remove(running);
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        return entry;
    }

    private async Task<LogEntry> Book(RunningClock running, CancellationToken cancel)
    {
        DateTimeOffset now = time.GetUtcNow();
        var entry = new LogEntry
        {
            Id = Guid.CreateVersion7(now), At = now, Kind = LogKind.Stopped, Step = running.Step, Text = running.Title,
            Minutes = Math.Max(0, (now - running.StartedAt).TotalMinutes),
        };
        Tag? tag = await db.Tags.FirstOrDefaultAsync(t => t.Number == running.TagNumber, cancel).ConfigureAwait(false);
        if (tag is not null)
        {
            tag.Log.Add(entry);
            tag.Version++;
        }
        return entry;
    }
}
