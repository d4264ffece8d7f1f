using Foundling.Core;
using Foundling.Core.Origin;
using Foundling.Core.Tags;
using Foundling.Data.Reference;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>Who made it, when, and what does not belong.</summary>
public sealed class OriginModel(TagBook tags, TimeProvider time) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "origin";

    /// <inheritdoc />
    protected override bool Weigh => true;

    /// <summary>Lines that may be meant.</summary>
    public IReadOnlyList<PatternLine> Lines => [.. ReferenceData.Book.LinesFor(Tool.Kind)];

    /// <summary>Traits that can still be looked at, quickest look first.</summary>
    public IReadOnlyList<Trait> Open => [.. ReferenceData.Book.Traits
        .Where(t => Lines.Any(l => l.Variants.ContainsKey(t.Id)) && Tool.Looks.All(k => k.Trait != t.Id))
        .OrderBy(t => t.Effort)];

    /// <summary>The strata, or null when nothing was looked at.</summary>
    public StrataView? Strata => Dated is null ? null : new StrataView(Tool, Dated, ReferenceData.Book);

    /// <summary>What was typed as a patent number.</summary>
    public string? PatentText { get; private set; }

    /// <summary>Shows the evidence.</summary>
    public void OnGet()
    {
    }

    /// <summary>Takes a look at a trait.</summary>
    public async Task<IActionResult> OnPostLook(string? trait, string? variant, Confidence confidence = Confidence.Sure)
    {
        Trait seen = ReferenceData.Book.TraitOf(trait ?? "");
        if (!seen.Variants.Contains(variant ?? ""))
        {
            ModelState.AddModelError("", $"Choose which form of \"{seen.Title.ToLowerInvariant()}\" you see.");
            return Page();
        }
        Look? before = Tool.Looks.FirstOrDefault(l => l.Trait == trait);
        if (before is not null)
        {
            (before.Variant, before.Confidence) = (variant, confidence);
        }
        else
        {
            Add(new Look { Trait = trait, Variant = variant, Confidence = confidence });
        }
        await Book.Save(Tool);
        return ToLeaf("origin");
    }

    /// <summary>Adds a patent read on the tool: a number or a year.</summary>
    public async Task<IActionResult> OnPostPatent(string? patent, string? part)
    {
        PatentText = patent;
        string digits = new([.. (patent ?? "").Where(char.IsDigit)]);
        if (!long.TryParse(digits, out long number) || (patent ?? "").Any(char.IsLetter))
        {
            ModelState.AddModelError("Patent", $"\"{patent}\" is neither a patent number nor a year. Type what you read, for example 1,380,000 or 1911.");
            return Page();
        }
        int year = number is >= 1790 and <= 2000 ? (int)number : IssueYears.Of(number, ReferenceData.Patents);
        Add(new Look
        {
            Part = Tool.Tool().Part(part ?? "") is null ? "body" : part, Mark = MarkKind.PatentGranted, IssueYear = year, Confidence = Confidence.Sure,
            Reading = number == year ? $"Patent of {year}" : $"Patent no. {number:#,0}",
        });
        await Book.Save(Tool);
        return ToLeaf("origin");
    }

    /// <summary>Takes a look back.</summary>
    public async Task<IActionResult> OnPostForget(Guid id)
    {
        Tool.Looks.RemoveAll(l => l.Id == id);
        await Book.Save(Tool);
        return ToLeaf("origin");
    }

    private void Add(Look look)
    {
        DateTimeOffset now = time.GetUtcNow();
        (look.Id, look.At, look.Order) = (Guid.CreateVersion7(now), now, Tool.Looks.Select(l => l.Order).DefaultIfEmpty(0).Max() + 1);
        Tool.Looks.Add(look);
    }
}
