using Foundling.Core;
using Foundling.Core.Proof;
using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>The proof: readings against a target.</summary>
public sealed class ProofModel(TagBook tags, ViewUnits units, TimeProvider time) : TagPageModel(tags)
{
    private const int MostLetters = 4000;

    /// <inheritdoc />
    public override string Here => "proof";

    /// <summary>What was typed, kept when it is refused.</summary>
    public (string? Readings, string? Target, string? Resolution, string? Conditions, bool AsFound) Sent { get; private set; }

    /// <summary>Target for this purpose, mm, as assumed.</summary>
    public double TargetMm => Tool.Purpose == Core.Soles.SolePurpose.Jack ? 0.2 : Tool.Purpose == Core.Soles.SolePurpose.Try ? 0.1 : 0.05;

    /// <summary>Shows the readings.</summary>
    public void OnGet()
    {
    }

    /// <summary>Takes readings back; the log says so.</summary>
    public async Task<IActionResult> OnPostForget(Guid id)
    {
        if (Tool.Proofs.FirstOrDefault(p => p.Id == id) is { } proof)
        {
            Tool.Proofs.Remove(proof);
            await Book.Save(Tool);
            await Book.Note(Tool.Number, LogEntry.New(time.GetUtcNow(), LogKind.Note, $"Proof taken back: {Words.Count(proof.ReadingsMm.Count, "reading")}{(proof.Conditions.Length > 0 ? ", " + proof.Conditions : "")}"));
        }
        return ToLeaf("proof");
    }

    /// <summary>Keeps readings.</summary>
    public async Task<IActionResult> OnPost(string? readings, string? target, string? resolution, string? conditions, bool asFound)
    {
        Sent = (readings, target, resolution, conditions, asFound);
        if (readings is { Length: > MostLetters })
        {
            ModelState.AddModelError("Readings", $"This is {readings.Length:#,0} letters long; {MostLetters:#,0} are the most. Take a few dozen readings at once.");
            return Page();
        }
        var values = new List<double>();
        foreach (string part in (readings ?? "").Split([';', '\n', ' ', '\t'], StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
            .Aggregate(new List<string>(), (list, word) =>
            {
                // "2 thou" comes apart at the blank; a unit belongs to the number before it.
                if (list.Count > 0 && (char.IsLetter(word[0]) || word[0] is '"' or '”'))
                {
                    list[^1] += " " + word;
                }
                else
                {
                    list.Add(word.TrimEnd(','));
                }
                return list;
            }))
        {
            if (Length.TryParse(part.TrimEnd(','), out double mm, units.Units))
            {
                values.Add(mm);
            }
            else
            {
                ModelState.AddModelError("Readings", Length.NotALength(part));
            }
        }
        double? wanted = string.IsNullOrWhiteSpace(target) ? TargetMm : ReadLength(target, "Target", units.Units, 0.001, 20);
        double? step = string.IsNullOrWhiteSpace(resolution) ? 0 : ReadLength(resolution, "Resolution", units.Units, 0.0001, 1);
        if (conditions is { Length: > 500 })
        {
            ModelState.AddModelError("Conditions", "500 characters are the most.");
        }
        if (ModelState.IsValid)
        {
            try
            {
                Thickness.Judge(new ThicknessInput(values, Direction.AtMost, wanted!.Value, step!.Value));
            }
            catch (InputException fault)
            {
                ModelState.AddModelError("Readings", fault.Sentence);
            }
        }
        if (!ModelState.IsValid)
        {
            return Page();
        }
        DateTimeOffset now = time.GetUtcNow();
        Tool.Proofs.Add(new ProofRecord { Id = Guid.CreateVersion7(now), At = now, AsFound = asFound, Conditions = (conditions ?? "").Trim(), ReadingsMm = values, TargetMm = wanted!.Value, ResolutionMm = step!.Value });
        await Book.Save(Tool);
        return ToLeaf("proof");
    }
}
