using Foundling.Core;
using Foundling.Core.Grits;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Reference;
using Foundling.Data.Tags;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>Marks on a sole, read beside the plate: what is gone, faint and left after some strokes, and what that says.</summary>
public sealed class MarksModel(TagBook tags, TimeProvider time) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "state";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Surveys;

    /// <summary>The sole as it is laid out.</summary>
    public SoleLayout Layout => SoleLayout.Of(KnownFacts, Shop.Assumptions);

    /// <summary>Rubs that add up to what is known now.</summary>
    public IReadOnlyList<RubRecord> Rubs => [.. Tool.RubsNow];

    /// <summary>What they say; null before the first.</summary>
    public MarksResult? Says { get; private set; }

    /// <summary>The rows as they stand, a letter for each field: g gone, f faint, l left.</summary>
    public IReadOnlyList<string> Rows { get; private set; } = [];

    /// <summary>Strokes, as typed or as advised.</summary>
    public string Strokes { get; private set; } = "";

    /// <summary>The grade of the paper.</summary>
    public string Grit { get; private set; } = LapAdvice.MarksPaper;

    /// <summary>The marks were drawn anew.</summary>
    public bool Remarked { get; private set; } = true;

    /// <summary>What lies under the paper.</summary>
    public LappingPlate Plate { get; private set; }

    /// <summary>Grades that can be chosen.</summary>
    public static IReadOnlyList<string> Grits => Removal.Grades;

    /// <summary>Shows what is known.</summary>
    public IActionResult OnGet()
    {
        if (!KnownFacts.Tool.HasMetalSole)
        {
            return NotFound();
        }
        if (Rubs is [.., var last])
        {
            (Grit, Plate) = (last.Grit, last.Plate);
            Says = Read(Rubs);
        }
        Strokes = $"{(Says is null ? Shop.Assumptions.LookStrokesFirst : LapAdvice.NextLook(Says.StrokesThreeZones, Shop.Assumptions)):0}";
        Rows = [.. Enumerable.Repeat(new string('l', MarksReader.Along), MarksReader.Across)];
        return Page();
    }

    /// <summary>Keeps what was seen.</summary>
    public async Task<IActionResult> OnPostLook(string? strokes, string?[]? row, string? grit, LappingPlate plate, bool remarked, bool anew)
    {
        if (!KnownFacts.Tool.HasMetalSole)
        {
            return NotFound();
        }
        (Strokes, Grit, Plate, Remarked) = (strokes ?? "", grit ?? Grit, plate, remarked);
        Rows = [.. (row ?? []).Select(r => r ?? "").Concat(Enumerable.Repeat("", MarksReader.Across)).Take(MarksReader.Across)];
        try
        {
            double rubbed = Typed.NumberOrNull(strokes, "strokes") ?? throw new InputException("required", "strokes", strokes, "a number of strokes",
                "Say how many strokes it was.");
            if (Removal.SizeOf(Grit) is null)
            {
                throw new InputException("unknown_grit", "grit", Grit, string.Join(", ", Grits), "Choose the paper from the list.");
            }
            bool first = anew || Rubs.Count == 0 || Rubs[^1].Grit != Grit || Rubs[^1].Plate != plate;
            DateTimeOffset now = time.GetUtcNow();
            var rub = new RubRecord
            {
                Id = Guid.CreateVersion7(now), At = now, Grit = Grit, Plate = plate, Anew = first,
                Seen = new MarksSeen(rubbed, [.. Rows.Select(Field)], Remarked: first || remarked),
            };
            MarksResult says = Read([.. first ? [] : Rubs, rub]);
            (rub.Likely, rub.Chance, rub.StrokesLeft) = (says.Likely, says.Chance, says.StrokesThreeZones);
            Tool.Take(rub);
            await Book.Save(Tool);
            return LocalRedirect($"/tag/{Tool.Number}/sole/marks");
        }
        catch (InputException fault)
        {
            ModelState.AddModelError(fault.Field == "strokes" ? "Strokes" : "Rows", fault.Sentence);
            Says = Rubs.Count > 0 ? Read(Rubs) : null;
            return Page();
        }
    }

    /// <summary>Takes the last look back.</summary>
    public async Task<IActionResult> OnPostBack()
    {
        if (Tool.Rubs is [.., var last])
        {
            Tool.Rubs.Remove(last);
            await Book.Save(Tool);
            await Book.Note(Tool.Number, Core.Log.BenchEvent.New(time.GetUtcNow(), Core.Log.EventKind.Note, $"Marks on the sole taken back: {last.Said}"));
        }
        return LocalRedirect($"/tag/{Tool.Number}/sole/marks");
    }

    private MarksResult Read(IReadOnlyList<RubRecord> rubs)
    {
        RubRecord last = rubs[^1];
        return MarksReader.Read(new MarksInput(Layout.LengthMm, Layout.WidthMm, [.. rubs.Select(r => r.Seen)], last.Grit, last.Plate,
            MouthFrontMm: Layout.MouthFrontMm, MouthOpening: Layout.Mouth, Grooves: Layout.Grooves, GritUm: ReferenceData.Grits.SizeOf(last.Grit)),
            Shop.Assumptions, HttpContext.RequestAborted);
    }

    private static IReadOnlyList<MarkLeft> Field(string row, int index)
    {
        string letters = new([.. row.Where(c => !char.IsWhiteSpace(c))]);
        if (letters.Length != MarksReader.Along)
        {
            throw new InputException("not_a_field", "row", row, $"{MarksReader.Along} letters",
                $"Row {index + 1} has {Sentences.Count(letters.Length, "field")}; each row has {MarksReader.Along}, from toe to heel.");
        }
        return [.. letters.Select(c => char.ToLowerInvariant(c) switch
        {
            'g' => MarkLeft.Gone, 'f' => MarkLeft.Faint, 'l' => MarkLeft.Left, '-' => MarkLeft.Unseen,
            _ => throw new InputException("not_a_mark", "row", c, "g, f, l or -", $"Row {index + 1}: \"{c}\" is neither g (gone), f (faint) nor l (left)."),
        })];
    }
}
