using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Units;
using Foundling.Data.Tags;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>What happened at the bench.</summary>
public sealed class LogModel(TagBook tags, RodDesk rods, TimeProvider time) : TagPageModel(tags)
{
    private const int PerPage = 200;

    /// <inheritdoc />
    public override string Here => "log";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Waits;

    /// <summary>Minutes in all.</summary>
    public double Minutes => Booked.All;

    /// <summary>The log, newest first, as far as this page shows it.</summary>
    public IReadOnlyList<BenchEvent> Shown { get; private set; } = [];

    /// <summary>Entries passed over before those shown.</summary>
    public int Skipped { get; private set; }

    /// <summary>True when there are older entries.</summary>
    public bool More { get; private set; }

    /// <summary>What was typed, kept when it is refused.</summary>
    public (string? Note, string? Minutes, bool Papers) Sent { get; private set; }

    /// <summary>What was typed as money spent, kept when it is refused.</summary>
    public (string? What, string? Amount) SentMoney { get; private set; }

    /// <summary>What it cost and brought.</summary>
    public Money Money { get; private set; } = new(null, 0, null);

    /// <summary>What was used up by the steps that are done.</summary>
    public IReadOnlyList<Need> Used { get; private set; } = [];

    /// <summary>What that costs, in the shop's money.</summary>
    public double UsedCost => Used.Sum(n => Needs.Cost(n, Shop.Assumptions));

    /// <summary>Shows the log.</summary>
    public Task OnGet(int skip) => Read(skip);

    private async Task Read(int skip = 0)
    {
        Skipped = Math.Clamp(skip, 0, 10_000_000);
        IReadOnlyList<BenchEvent> read = await Book.Log(Tool.Number, Skipped, PerPage + 1);
        Money = Money.Of(Tool.Price, Tool.SoldFor, await Book.Spent(Tool.Number));
        Used = await Book.Used(Tool.Number, Shop.Assumptions);
        (Shown, More) = ([.. read.Take(PerPage)], read.Count > PerPage);
    }

    /// <summary>Adds a note; one for the papers goes with the tool.</summary>
    public async Task<IActionResult> OnPostNote(string? note, string? step, bool papers)
    {
        Sent = (note, null, papers);
        if (string.IsNullOrWhiteSpace(note) || note.Length > 4000)
        {
            ModelState.AddModelError("Note", string.IsNullOrWhiteSpace(note) ? "Write what happened; an empty note says nothing."
                : $"This note is {note.Length:#,0} characters long; 4,000 is the most.");
            await Read();
            return Page();
        }
        await Add(papers ? EventKind.PapersNote : EventKind.Note, note.Trim(), Step(step), null);
        return ToLeaf("log");
    }

    /// <summary>Notes money spent on it.</summary>
    public async Task<IActionResult> OnPostSpent(string? what, string? amount)
    {
        SentMoney = (what, amount);
        if (!Typed.TryMoney(amount, out decimal money) || money == 0)
        {
            ModelState.AddModelError("Amount", $"\"{Shorten.To(amount, 40)}\" is not an amount of money. Type a number such as 6 or 12.50.");
        }
        if (string.IsNullOrWhiteSpace(what) || what.Length > 200)
        {
            ModelState.AddModelError("What", "Say in a few words what it went for.");
        }
        if (!ModelState.IsValid)
        {
            await Read();
            return Page();
        }
        await Book.Note(Tool.Number, BenchEvent.Money(time.GetUtcNow(), what!.Trim(), money));
        return ToLeaf("log");
    }

    /// <summary>Adds or takes minutes by hand.</summary>
    public async Task<IActionResult> OnPostCorrect(string? step, string? minutes)
    {
        Sent = (null, minutes, false);
        string text = (minutes ?? "").Trim();
        bool less = text.StartsWith('-') || text.StartsWith('−');
        if (!Typed.TryMinutes(text.TrimStart('-', '−', '+', ' '), out double value) || value == 0)
        {
            ModelState.AddModelError("Minutes", $"\"{minutes}\" is not a time. Type minutes such as 25 or -10, or hours such as 1:30.");
            await Read();
            return Page();
        }
        await Add(EventKind.Corrected, "corrected by hand", Step(step), less ? -value : value);
        return ToLeaf("log");
    }

    /// <summary>Ends a wait.</summary>
    public async Task<IActionResult> OnPostEndWait(Guid id)
    {
        await rods.EndWait(Tool, id);
        return LocalRedirect(Request.Headers.Referer.ToString().Contains("/log", StringComparison.Ordinal) ? $"/tag/{Tool.Number}/log" : "/");
    }

    private DeedId? Step(string? key) => Tool.StepNamed(key)?.Key;

    private Task Add(EventKind kind, string text, DeedId? step, double? minutes) => Book.Note(Tool.Number,
        BenchEvent.New(time.GetUtcNow(), kind, text, step, minutes));
}
