using System.Globalization;
using Foundling.Core;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Pictures;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>How much of a part is rusty or bare, counted by points on a picture.</summary>
public sealed class CountModel(TagBook tags, PictureStore store, ViewUnits units, TimeProvider time) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "state";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Counts | TagParts.Pictures;

    /// <summary>The picture.</summary>
    public Picture Photo { get; private set; } = null!;

    /// <summary>The count that is under way, or null while the outline is marked.</summary>
    public CountRecord? Count { get; private set; }

    /// <summary>Points to look at.</summary>
    public PointGridResult? Grid { get; private set; }

    /// <summary>Thresholds of the colour of rust, as asked for.</summary>
    public Assumptions Colour { get; private set; } = null!;

    /// <summary>True when the guess by colour is shown.</summary>
    public bool Guessing => Request.Query.ContainsKey("hueLow");

    /// <summary>What colour says, 0 to 1.</summary>
    public double? Guess { get; private set; }

    /// <summary>What was typed, kept when it is refused.</summary>
    public (string? Outline, string? Reference, string? Length, string? Points, string? Part) Typed { get; private set; }

    /// <summary>Part of the picture that holds the tool: where it was outlined before, else where its contrast lies.</summary>
    public PictureFrame Frame
    {
        get
        {
            List<double[]> marked = [.. Tool.Counts.Where(c => c.PictureId == Photo.Id).SelectMany(c => c.OutlinePx)];
            return marked.Count < 3 ? FrameFinder.Of(store.Find(Photo.File, PictureSize.Thumb))
                : new PictureFrame(marked.Min(p => p[0]) / Photo.Width, marked.Min(p => p[1]) / Photo.Height, marked.Max(p => p[0]) / Photo.Width,
                    marked.Max(p => p[1]) / Photo.Height);
        }
    }

    /// <summary>The part of the picture that is shown first, as an SVG view box.</summary>
    public string ViewBox
    {
        get
        {
            PictureFrame f = Frame;
            return string.Create(CultureInfo.InvariantCulture,
                $"{f.Left * Photo.Width:0.#} {f.Top * Photo.Height:0.#} {Math.Max(0.05, f.Right - f.Left) * Photo.Width:0.#} "
                    + $"{Math.Max(0.05, f.Bottom - f.Top) * Photo.Height:0.#}");
        }
    }

    /// <summary>Kinds of finding that cover a share of a surface.</summary>
    public static IReadOnlyList<FindingKind> Kinds { get; } = [FindingKind.Rust, FindingKind.CoatingLoss, FindingKind.Pitting];

    /// <summary>Marks the outline, or goes on counting.</summary>
    public IActionResult OnGet(Guid picture, Guid? id)
    {
        if (!Find(picture, id))
        {
            return NotFound();
        }
        if (Count is not null && Guessing)
        {
            Guess = Mask()?.RustShare;
        }
        return Page();
    }

    /// <summary>The guess by colour as a picture to lay over.</summary>
    public IActionResult OnGetMask(Guid picture, Guid? id) =>
        Find(picture, id) && Count is not null && Mask() is { } mask ? File(mask.Png, "image/png") : NotFound();

    /// <summary>The outline of a part, from its drawing laid between the two ends of the tool; empty until all three are known.</summary>
    public IActionResult OnGetLaid(Guid picture, string? part, string? ends)
    {
        if (!Find(picture, null))
        {
            return NotFound();
        }
        List<double[]> at = Corners(ends, "Ends");
        IReadOnlyList<Spot> laid = at.Count < 2 ? [] : Overlay.Of(Tool.Profile())
            .Laid(PartId.Of(part), new Spot(at[0][0], at[0][1]), new Spot(at[1][0], at[1][1]));
        return Content(string.Join(' ', laid.Select(c => string.Create(CultureInfo.InvariantCulture,
            $"{Math.Clamp(c.X, 0, Photo.Width):0.#},{Math.Clamp(c.Y, 0, Photo.Height):0.#}"))));
    }

    /// <summary>Begins a count.</summary>
    public async Task<IActionResult> OnPostStart(Guid picture, string? part, FindingKind kind, Round round, string? points, string? outline, string? reference,
        string? length)
    {
        if (!Find(picture, null))
        {
            return NotFound();
        }
        Typed = (outline, reference, length, points, part);
        DateTimeOffset now = time.GetUtcNow();
        var count = new CountRecord
        {
            Id = Guid.CreateVersion7(now), PictureId = Photo.Id, Part = PartId.Of(part), Kind = kind, Round = round, At = now,
            Seed = BitConverter.ToUInt16(Guid.NewGuid().ToByteArray()),
            OutlinePx = Corners(outline, "Outline"), ReferencePx = Corners(reference, "Reference"), ReferenceMm = ReadLength(length, "Length", units.Units),
            Points = int.TryParse(points, CultureInfo.InvariantCulture, out int n) ? n : 80,
        };
        if (Tool.Tool().Part(count.Part) is null)
        {
            ModelState.AddModelError("Part", "Choose the part inside the outline.");
        }
        if (ModelState.IsValid)
        {
            try
            {
                count.Grid();
                count.Scale();
            }
            catch (InputException fault)
            {
                ModelState.AddModelError(fault.Field == "points" ? "Points" : fault.Field.StartsWith("reference", StringComparison.Ordinal) ? "Reference"
                    : "Outline", fault.Sentence);
            }
        }
        if (!ModelState.IsValid)
        {
            return Page();
        }
        Tool.Counts.Add(count);
        await Book.Save(Tool);
        return LocalRedirect($"/tag/{Tool.Number}/count/{Photo.Id}?id={count.Id}");
    }

    /// <summary>Keeps the answers so far; scripts send them as they come.</summary>
    public async Task<IActionResult> OnPostAnswers(Guid picture, Guid id, string? answers)
    {
        if (!Find(picture, id) || Count is null || Grid is null)
        {
            return NotFound();
        }
        string kept = new([.. (answers ?? "").Where(c => c is 'y' or 'n' or 's').Take(Grid.PointsPx.Count)]);
        Count.Answers = kept;
        await Book.Save(Tool);
        return new JsonResult(new { counted = kept.Length, result = Count.Result() }, Core.Keys.OpenJson.Options);
    }

    /// <summary>Takes the count over into the findings.</summary>
    public async Task<IActionResult> OnPostUse(Guid picture, Guid id)
    {
        if (!Find(picture, id) || Count?.Result() is not { } result)
        {
            ModelState.AddModelError("", "Count some points first.");
            return Photo is null ? NotFound() : Page();
        }
        // A count is of the whole part: it goes to the finding that was counted before, or stands beside those at a spot.
        Finding? finding = Tool.Findings.FirstOrDefault(f => f.Part == Count.Part && f.Kind == Count.Kind && f.Round == Count.Round
            && (f.CountPoints is not null || f.Place.Length == 0));
        if (finding is null)
        {
            DateTimeOffset now = time.GetUtcNow();
            Tool.Note(finding = new Finding { Id = Guid.CreateVersion7(now), Part = Count.Part, Kind = Count.Kind, Round = Count.Round, At = now,
                Severity = 2 });
        }
        (finding.CountHits, finding.CountPoints) = (Count.Counted().Hits, Count.Counted().Points);
        finding.Severity = Count.Kind == FindingKind.CoatingLoss ? FindingScales.CoatingDegree(result.Share) : finding.Severity;
        await Book.Save(Tool);
        return ToLeaf("state");
    }

    private bool Find(Guid picture, Guid? id)
    {
        Photo = Tool.Pictures.FirstOrDefault(p => p.Id == picture)!;
        Count = Tool.Counts.FirstOrDefault(c => c.Id == id && c.PictureId == picture);
        Grid = Count?.Grid();
        Assumptions s = Shop.Assumptions;
        double Asked(string name, double standard) => double.TryParse(Request.Query[name], CultureInfo.InvariantCulture, out double value)
            && value is >= 0 and <= 360 ? value : standard;
        Colour = s with
        {
            RustHueLow = Asked("hueLow", s.RustHueLow), RustHueHigh = Asked("hueHigh", s.RustHueHigh), RustChromaLow = Asked("chromaLow", s.RustChromaLow),
            RustChromaHigh = Asked("chromaHigh", s.RustChromaHigh), RustLightLow = Asked("lightLow", s.RustLightLow),
            RustLightHigh = Asked("lightHigh", s.RustLightHigh),
        };
        return Photo is not null && (id is null || Count is not null);
    }

    private ColourMaskResult? Mask() => store.Find(Photo.File, PictureSize.View) is not string path ? null
        : ColourMask.Of(System.IO.File.ReadAllBytes(path), (x, y) => Core.Tools.Corners.Inside(Count!.OutlinePx, x * Photo.Width, y * Photo.Height), Colour);

    private List<double[]> Corners(string? text, string field)
    {
        var corners = new List<double[]>();
        foreach (string corner in (text ?? "").Split(' ', StringSplitOptions.RemoveEmptyEntries))
        {
            string[] xy = corner.Split(',');
            if (corners.Count < 400 && xy.Length == 2 && double.TryParse(xy[0], CultureInfo.InvariantCulture, out double x) && double.TryParse(xy[1],
                CultureInfo.InvariantCulture, out double y) && x >= 0 && y >= 0 && x <= Photo.Width && y <= Photo.Height)
            {
                corners.Add([x, y]);
            }
            else
            {
                ModelState.AddModelError(field, $"\"{corner}\" is no place on this picture; write x,y in pixels, up to {Photo.Width},{Photo.Height}.");
                return [];
            }
        }
        return corners;
    }
}
