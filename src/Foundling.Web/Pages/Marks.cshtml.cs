using Foundling.Core;
using Foundling.Core.Marks;
using Foundling.Core.Origin;
using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Web.Pages;

/// <summary>The marks desk: what a number, a wording, a diamond mark or a detail says about years.</summary>
public sealed class MarksModel(TagBook tags, MarkDesk desk) : PageModel
{
    /// <summary>The mark as read.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Mark { get; set; }

    /// <summary>Corners of a diamond mark.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Top { get; set; }

    /// <inheritdoc cref="Top"/>
    [BindProperty(SupportsGet = true)]
    public string? Left { get; set; }

    /// <inheritdoc cref="Top"/>
    [BindProperty(SupportsGet = true)]
    public string? Right { get; set; }

    /// <inheritdoc cref="Top"/>
    [BindProperty(SupportsGet = true)]
    public string? Bottom { get; set; }

    /// <summary>Tag the evidence goes to, when the desk was opened from one.</summary>
    [BindProperty(SupportsGet = true, Name = "tag")]
    public int? Number { get; set; }

    /// <summary>What came of it.</summary>
    public ReadingsView? Readings { get; private set; }

    /// <summary>What is wrong with the mark, or with the diamond.</summary>
    public (string? Mark, string? Diamond) Faults { get; private set; }

    /// <summary>Everything the tables hold, by picking, in groups.</summary>
    public IEnumerable<IGrouping<string, MarkReading>> All => Reader.All().GroupBy(r => r.Group);

    /// <summary>Reads marks as this shop does.</summary>
    public MarkReader Reader { get; private set; } = null!;

    /// <summary>True when corners of a diamond were given.</summary>
    public bool IsDiamond => !Request.Query.ContainsKey("mark") && Request.Query.ContainsKey("top");

    /// <summary>Shows the desk and what was asked.</summary>
    public async Task OnGet()
    {
        Reader = await desk.Reader();
        Tag? tag = Number is int number ? await tags.Show(number, TagParts.Head) : null;
        Number = tag?.Number;
        if (!Request.Query.ContainsKey("mark") && !IsDiamond)
        {
            return;
        }
        try
        {
            PatternBook book = await tags.Patterns();
            List<Tag> inHand = tag is null ? await tags.Here() : [];
            string asked = string.Join('&', new[] { ("mark", Mark), ("top", Top), ("left", Left), ("right", Right), ("bottom", Bottom) }.Where(a =>
                a.Item2 is not null).Select(a => $"{a.Item1}={Uri.EscapeDataString(a.Item2!)}"));
            Readings = new ReadingsView(Read(book), Number, [.. inHand.Select(t => (t.Number, t.Title))], asked)
            {
                Assumed = Reader.Assumed, Parts = tag is null ? [("body", "")] : MarkDesk.Parts(tag), Lines = tag is null ? null
                    : [.. book.LinesFor(tag.Kind).Select(l => l.Id)],
            };
        }
        catch (InputException fault)
        {
            Faults = IsDiamond ? (null, fault.Sentence) : (fault.Sentence, null);
        }
    }

    /// <summary>Adds a reading to a tag as evidence.</summary>
    public async Task<IActionResult> OnPostAdd(string? key, int tag, string? part, Confidence confidence = Confidence.Sure)
    {
        Reader = await desk.Reader();
        PatternBook book = await tags.Patterns();
        MarkReading? reading = null;
        try
        {
            reading = Read(book).FirstOrDefault(r => r.Key == key);
        }
        catch (InputException)
        {
            // The same sentence as for a reading that is not there.
        }
        if (reading is null || await tags.Find(tag) is not Tag tool)
        {
            Faults = ("That reading or tag is not there any more; look the mark up again.", null);
            return Page();
        }
        if (reading.Line is string line && book.LinesFor(tool.Kind).All(l => l.Id != line))
        {
            Faults = ($"The book has {reading.Title}, not {Articles.A(tool.Tool().Name.ToLowerInvariant())} of theirs. Add a line to the pattern book first, "
                + "or say at Origin that the book does not have the name.", null);
            return Page();
        }
        desk.Add(tool, reading, MarkDesk.Parts(tool).Any(p => p.Id == part) ? part! : "body", confidence);
        try
        {
            await tags.Save(tool);
        }
        catch (DbUpdateConcurrencyException)
        {
            Faults = ("Someone else changed this tag a moment ago; add the mark again.", null);
            return Page();
        }
        return LocalRedirect($"/tag/{tool.Number}/origin");
    }

    private IReadOnlyList<MarkReading> Read(PatternBook book) => IsDiamond ? Reader.ReadDiamond(Top, Left, Right, Bottom) : Reader.Read(Mark, book);
}
