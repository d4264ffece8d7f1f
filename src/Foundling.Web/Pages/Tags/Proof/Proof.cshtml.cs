using Foundling.Core;
using Foundling.Core.Log;
using Foundling.Core.Proof;
using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>The proof: readings against a target.</summary>
public sealed class ProofModel(TagBook tags, ViewUnits units, SoleMaps maps, TimeProvider time) : TagPageModel(tags)
{
    private const int MostLetters = 4000;

    /// <inheritdoc />
    public override string Here => "proof";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Surveys;

    /// <summary>Faces that were surveyed, before and after.</summary>
    public IReadOnlyList<Flatness> Flat => Flatness.Of(Tool, Shop, Patterns, maps);

    /// <summary>What was typed, kept when it is refused.</summary>
    public (string? Readings, string? Target, string? Resolution, string? Conditions, bool AsFound) Sent { get; private set; }

    /// <summary>Proofs of this kind of tool.</summary>
    public IReadOnlyList<ProofKind> Kinds => Proofs.For(Tool.Tool(), Tool.Purpose, Shop.Assumptions);

    /// <summary>Key of the proof that is being taken.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Of { get; set; }

    /// <summary>The proof that is being taken: the one chosen, else the first not proved after the work.</summary>
    public ProofKind Chosen => Kinds.FirstOrDefault(k => k.Id == Of) ?? Kinds.FirstOrDefault(k => Tool.Proofs.All(p => p.AsFound || p.Kind != k.Id))
        ?? Kinds[0];

    /// <summary>Results, the latest first, under what they prove.</summary>
    public IEnumerable<(ProofKind? Kind, IReadOnlyList<ProofRecord> Records)> Results =>
        Tool.Proofs.GroupBy(p => p.Kind).Select(g => (Kinds.FirstOrDefault(k => k.Id == g.Key), (IReadOnlyList<ProofRecord>)[.. g.Reverse()])).OrderBy(g =>
            g.Item1 is null ? 99 : Kinds.ToList().IndexOf(g.Item1));

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
            await Book.Note(Tool.Number, BenchEvent.New(time.GetUtcNow(), EventKind.Note, $"Proof taken back: {proof.Said}"));
        }
        return ToLeaf("proof");
    }

    /// <summary>Keeps what was seen, in the words of the scale.</summary>
    public async Task<IActionResult> OnPostSeen(int? degree, string? conditions, bool asFound)
    {
        Sent = (null, null, null, conditions, asFound);
        if (Chosen is not SeenProof seen || degree is null || degree < 0 || degree >= seen.Degrees.Count)
        {
            ModelState.AddModelError("Degree", "Choose what you saw.");
        }
        CheckConditions(conditions);
        if (!ModelState.IsValid)
        {
            return Page();
        }
        DateTimeOffset now = time.GetUtcNow();
        Tool.Take(new ProofRecord
        {
            Id = Guid.CreateVersion7(now), At = now, AsFound = asFound, Conditions = (conditions ?? "").Trim(), Kind = Chosen.Id, Degree = degree,
            Seen = ((SeenProof)Chosen).Degrees[degree!.Value],
        });
        await Book.Save(Tool);
        return ToLeaf("proof");
    }

    private void CheckConditions(string? conditions)
    {
        if (conditions is { Length: > 500 })
        {
            ModelState.AddModelError("Conditions", "500 characters are the most.");
        }
    }

    /// <summary>Keeps readings.</summary>
    public async Task<IActionResult> OnPost(string? readings, string? target, string? resolution, string? conditions, bool asFound)
    {
        Sent = (readings, target, resolution, conditions, asFound);
        if (Chosen is not MeasuredProof proof)
        {
            ModelState.AddModelError("Degree", "Choose what you saw.");
            return Page();
        }
        if (readings is { Length: > MostLetters })
        {
            ModelState.AddModelError("Readings",
                $"This is {readings.Length:#,0} letters long; {MostLetters:#,0} are the most. Take a few dozen readings at once.");
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
        double? wanted = string.IsNullOrWhiteSpace(target) ? proof.TargetMm : ReadLength(target, "Target", units.Units, 0.001, 20);
        double? step = string.IsNullOrWhiteSpace(resolution) ? 0 : ReadLength(resolution, "Resolution", units.Units, 0.0001, 1);
        CheckConditions(conditions);
        if (wanted < step)
        {
            ModelState.AddModelError("Target",
                $"A target of {units.Show(wanted.Value)} is finer than a step of the instrument, {units.Show(step.Value)}: its readings could not prove it.");
        }
        if (ModelState.IsValid)
        {
            try
            {
                Thickness.Judge(new ThicknessInput(values, proof.Direction, wanted!.Value, step!.Value));
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
        Tool.Take(new ProofRecord { Id = Guid.CreateVersion7(now), At = now, AsFound = asFound, Conditions = (conditions ?? "").Trim(), Kind = proof.Id,
            Direction = proof.Direction, ReadingsMm = values, TargetMm = wanted!.Value, ResolutionMm = step!.Value });
        await Book.Save(Tool);
        return ToLeaf("proof");
    }
}
