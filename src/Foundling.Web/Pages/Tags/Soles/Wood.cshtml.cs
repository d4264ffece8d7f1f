using Foundling.Core;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>A wooden sole under winding sticks: what is planed off where, and what that does to the mouth. What is typed stands in the address.</summary>
public sealed class WoodModel(TagBook tags, ViewUnits units, TimeProvider time) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "state";

    /// <summary>How far the heel's stick stands higher over the far edge than the toe's; below nothing for the near edge.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Sticks { get; set; }

    /// <summary>How long the sticks are.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Long { get; set; }

    /// <summary>Light under a straightedge along it.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Hollow { get; set; }

    /// <summary>The mouth now.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Mouth { get; set; }

    /// <summary>What was read and what the tool is; null before anything was typed.</summary>
    public WoodenSoleInput? Input { get; private set; }

    /// <summary>What it comes to.</summary>
    public WoodenSoleResult? Result { get; private set; }

    /// <summary>What is planed off the corners.</summary>
    public WoodenCorners? Corners { get; private set; }

    /// <summary>Length of the sole, mm.</summary>
    public double LengthMm => KnownFacts.LengthMm;

    /// <summary>Width of the sole, mm.</summary>
    public double WidthMm => KnownFacts.SoleWidthMm(Shop.Assumptions);

    /// <summary>Where the mouth begins, mm from the toe.</summary>
    public double? MouthFrontMm => SoleLayout.Of(KnownFacts, Shop.Assumptions).MouthFrontMm;

    /// <summary>Shows it.</summary>
    public IActionResult OnGet()
    {
        if (!KnownFacts.Tool.HasWoodenSole)
        {
            return NotFound();
        }
        bool said = !string.IsNullOrWhiteSpace(Sticks);
        Sticks ??= KnownFacts.Measured(MeasureIds.Wind, PartIds.Body) is double wind ? Typed(wind) : null;
        Mouth ??= KnownFacts.Measured(MeasureIds.Mouth, PartIds.Body) is double open ? Typed(open) : null;
        Read();
        // What was kept is how much the sticks differ, not which way.
        Corners = said || Input?.HollowMm > 0 ? Corners : null;
        return Page();
    }

    private string Typed(double mm) => Length.Typed(mm, units.Units);

    private void Read()
    {
        if (string.IsNullOrWhiteSpace(Sticks) && string.IsNullOrWhiteSpace(Hollow))
        {
            return;
        }
        try
        {
            Assumptions a = Shop.Assumptions;
            double Given(string? text, string field, double usual) => string.IsNullOrWhiteSpace(text) ? usual : Length.Parse(text, field, units.Units);
            Input = new WoodenSoleInput(Given(Sticks, "stick_difference_mm", 0), Given(Long, "stick_length_mm", a.UsualStickMm), WidthMm,
                KnownFacts.Tool.BedDeg, a.MouthWearDeg, Given(Mouth, "mouth_mm", a.UsualMouthMm), Given(Hollow, "hollow_mm", 0));
            (Result, Corners) = (WoodenSole.Of(Input), WoodenSole.Corners(Input));
        }
        catch (InputException fault)
        {
            ModelState.AddModelError("Sole", fault.Sentence);
        }
    }

    /// <summary>Keeps what was read as measurements of the body; the plan goes by them.</summary>
    public async Task<IActionResult> OnPostKeep()
    {
        Read();
        if (Input is null || Result is null)
        {
            return Page();
        }
        DateTimeOffset now = time.GetUtcNow();
        (MeasureId, double, string?)[] read = [(MeasureIds.Wind, Math.Abs(Input.StickDifferenceMm), Sticks), (MeasureIds.Mouth, Input.MouthMm, Mouth)];
        foreach ((MeasureId kind, double mm, string? said) in read)
        {
            if (!string.IsNullOrWhiteSpace(said))
            {
                Tool.Take(new Measurement
                {
                    Id = Guid.CreateVersion7(now), Part = PartIds.Body, Kind = kind, Value = mm, Instrument = Instrument.Rule,
                    UncertaintyMm = MeasureKinds.UncertaintyMm(Instrument.Rule, Shop.Assumptions), At = now,
                });
            }
        }
        await Book.Save(Tool);
        return RedirectToPage(new { Tool.Number, Sticks, Long, Hollow, Mouth });
    }
}
