using Foundling.Core;
using Foundling.Core.Log;
using Foundling.Core.Origin;
using Foundling.Core.Shop;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages.Tags;

/// <summary>One of the leaves of a tag.</summary>
/// <param name="Key">Address of the leaf.</param>
/// <param name="Name">Its name.</param>
/// <param name="Standing">How it stands, in a word or two.</param>
public sealed record Leaf(string Key, string Name, string Standing);

/// <summary>A page that shows one tag.</summary>
public abstract class TagPageModel(TagBook tags) : PageModel
{
    /// <summary>Reads and keeps tags.</summary>
    protected TagBook Book { get; } = tags;

    /// <summary>The tag.</summary>
    public Tag Tool { get; private set; } = null!;

    /// <summary>The shop's pattern book.</summary>
    public PatternBook Patterns { get; private set; } = null!;

    /// <summary>The shop it is worked in.</summary>
    public ShopContext Shop { get; private set; } = null!;

    /// <summary>Minutes booked on it.</summary>
    public Core.Log.LogTotals Booked { get; private set; } = Core.Log.LogTotals.Of([]);

    /// <summary>Joins what was sent with what someone else changed meanwhile.</summary>
    protected FormMerge Merge => _merge ??= new FormMerge(Request.Form, ModelState);

    private FormMerge? _merge;

    /// <summary>What its evidence adds up to, or null when nothing was looked at. Worked out when it is first asked for.</summary>
    public DatingReport? Dated => (_dated ??= new Lazy<DatingReport?>(() => HttpMethods.IsGet(Request.Method)
        ? HttpContext.RequestServices.GetRequiredService<Datings>().Of(Tool, Patterns, Shop.Assumptions, Weigh)
        : TagBook.Date(Tool, Patterns, Shop.Assumptions, Weigh ? int.MaxValue : 0, Weigh))).Value;

    private Lazy<DatingReport?>? _dated;

    /// <summary>What is known of it, gathered when it is first asked for.</summary>
    protected Facts KnownFacts => _known ??= Tool.Facts();

    private Facts? _known;

    /// <summary>Key of this leaf.</summary>
    public abstract string Here { get; }

    /// <summary>Weights and looks cost time; only Origin asks for them.</summary>
    protected virtual bool Weigh => false;

    /// <summary>What it shows of the tag beyond what every leaf does.</summary>
    protected virtual TagParts Shows => TagParts.None;

    // What is only looked at is read without being watched, and no more of it than the leaf shows.
    private Task<Tag?> Read(int number) => HttpMethods.IsGet(Request.Method) || HttpMethods.IsHead(Request.Method)
        ? Book.Show(number, HttpContext.RequestServices.GetRequiredService<LeafReading>().Of(TagParts.Head | Shows)) : Book.Find(number);

    /// <inheritdoc />
    public override async Task OnPageHandlerExecutionAsync(PageHandlerExecutingContext context, PageHandlerExecutionDelegate next)
    {
        if (!int.TryParse(RouteData.Values["number"]?.ToString(), out int number) || await Read(number) is not Tag tag)
        {
            context.Result = NotFound();
            return;
        }
        Tool = tag;
        Patterns = await Book.Patterns();
        Shop = await HttpContext.RequestServices.GetRequiredService<ShopDesk>().Context();
        Booked = await Book.Booked(number);
        try
        {
            PageHandlerExecutedContext done = await next();
            if (done.Exception is InputException fault)
            {
                done.ExceptionHandled = true;
                ModelState.AddModelError("", fault.Sentence);
                done.Result = Page();
            }
        }
        finally
        {
            if (Request.Method == HttpMethods.Post)
            {
                // A form may have changed what is known.
                (_dated, _known) = (null, null);
            }
        }
    }

    /// <summary>Reads a length that may be left empty; a bad one leaves a sentence at its field.</summary>
    protected double? ReadLength(string? text, string field, LengthUnits units, double least = 0.001, double most = 5000)
    {
        if (string.IsNullOrWhiteSpace(text))
        {
            return null;
        }
        if (!Length.TryParse(text, out double mm, units))
        {
            ModelState.AddModelError(field, Length.NotALength(text));
            return null;
        }
        if (mm < least || mm > most)
        {
            ModelState.AddModelError(field, $"{Length.Show(mm, units)} cannot be; it must be {Length.Show(least, units)} to {Length.Show(most, units)}.");
            return null;
        }
        return mm;
    }

    /// <summary>Leads back to a leaf of this tag.</summary>
    protected LocalRedirectResult ToLeaf(string leaf, string? anchor = null) =>
        LocalRedirect($"/tag/{Tool.Number}/{leaf}{(anchor is null ? "" : "#" + anchor)}");

    /// <summary>The leaves with how they stand.</summary>
    public IReadOnlyList<Leaf> Leaves
    {
        get
        {
            int done = Tool.Steps.Count(s => s.State != StepState.Open);
            double minutes = Booked.All;
            return
            [
                new("origin", "Origin", Dated is null ? "no looks yet" : Here == "origin" ? Words.Count(Tool.Looks.Count, "look") : Dated.IsDated
                    ? $"{Dated.Interval90[0]}–{Dated.Interval90[1]}" : "not known yet"),
                new("state", "State", Words.Count(Tool.Standing().Count, "finding")),
                new("aim", "Aim", Tool.Aim?.ToString() ?? "not chosen"),
                new("rod", "Rod", Tool.Steps.Count == 0 ? "no plan yet" : $"{done} of {Tool.Steps.Count}"),
                new("log", "Log", minutes < 1 ? "nothing yet" : Typed.Hours(minutes)),
                new("proof", "Proof", Tool.Proofs.Count == 0 ? "not tried" : Tool.Proofs.LastOrDefault(p => !p.AsFound) is { } proved ? Words.Proved(proved)
                    : "as found"),
                new("papers", "Papers", Tool.Status == TagStatus.Left ? "left" : Tool.Status == TagStatus.Done ? "ready" : "draft"),
            ];
        }
    }
}
