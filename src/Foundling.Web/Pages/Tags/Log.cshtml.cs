using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Tags;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>What happened at the bench.</summary>
public sealed class LogModel(TagBook tags, TimeProvider time) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "log";

    /// <summary>Minutes in all.</summary>
    public double Minutes => Core.Log.LogTotals.All(Tool.Log);

    /// <summary>The log, newest first. A start whose stop is there too says nothing more, so only the stop is shown.</summary>
    public IEnumerable<LogEntry> Shown => Enumerable.Reverse(Tool.Log)
        .Where(e => e.Kind != LogKind.Started || !Tool.Log.Any(s => s.Kind == LogKind.Stopped && s.Step == e.Step && s.At >= e.At));

    /// <summary>What was typed, kept when it is refused.</summary>
    public (string? Note, string? Minutes) Sent { get; private set; }

    /// <summary>Shows the log.</summary>
    public void OnGet()
    {
    }

    /// <summary>Adds a note.</summary>
    public async Task<IActionResult> OnPostNote(string? note, string? step)
    {
        Sent = (note, null);
        if (string.IsNullOrWhiteSpace(note) || note.Length > 4000)
        {
            ModelState.AddModelError("Note", string.IsNullOrWhiteSpace(note) ? "Write what happened; an empty note says nothing." : $"This note is {note.Length:#,0} characters long; 4,000 is the most.");
            return Page();
        }
        Add(LogKind.Note, note.Trim(), Step(step), null);
        await Book.Save(Tool);
        return ToLeaf("log");
    }

    /// <summary>Adds or takes minutes by hand.</summary>
    public async Task<IActionResult> OnPostCorrect(string? step, string? minutes)
    {
        Sent = (null, minutes);
        string text = (minutes ?? "").Trim();
        bool less = text.StartsWith('-') || text.StartsWith('−');
        if (!Typed.TryMinutes(text.TrimStart('-', '−', '+', ' '), out double value) || value == 0)
        {
            ModelState.AddModelError("Minutes", $"\"{minutes}\" is not a time. Type minutes such as 25 or -10, or hours such as 1:30.");
            return Page();
        }
        Add(LogKind.Correction, "corrected by hand", Step(step), less ? -value : value);
        await Book.Save(Tool);
        return ToLeaf("log");
    }

    /// <summary>Ends a wait.</summary>
    public async Task<IActionResult> OnPostEndWait(Guid id)
    {
        if (Tool.Waits.FirstOrDefault(w => w.Id == id) is { EndedAt: null } wait)
        {
            wait.EndedAt = time.GetUtcNow();
            Add(LogKind.WaitEnded, wait.What, wait.Step, null);
            await Book.Save(Tool);
        }
        return LocalRedirect(Request.Headers.Referer.ToString().Contains("/log", StringComparison.Ordinal) ? $"/tag/{Tool.Number}/log" : "/");
    }

    private string? Step(string? key) => Tool.Steps.Any(s => s.Key == key) ? key : null;

    private void Add(LogKind kind, string text, string? step, double? minutes)
    {
        DateTimeOffset now = time.GetUtcNow();
        Tool.Log.Add(new LogEntry { Id = Guid.CreateVersion7(now), At = now, Kind = kind, Text = text, Step = step, Minutes = minutes });
    }
}
