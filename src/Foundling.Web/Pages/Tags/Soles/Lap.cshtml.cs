using Foundling.Core;
using Foundling.Core.Grits;
using Foundling.Core.Log;
using Foundling.Core.Safety;
using Foundling.Core.Shelves;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Units;
using Foundling.Data.Reference;
using Foundling.Data.Shop;
using Foundling.Data.Soles;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>Lapping, foreseen: what rubbing will do to this sole, where to press and when to stop. All that is chosen stands in the address.</summary>
public sealed class LapModel(TagBook tags, StoreRoom stores, LapBook laps, ShopBook shop, ViewUnits units) : TagPageModel(tags)
{
    private const int MostMoves = 12;

    /// <inheritdoc />
    public override string Here => "state";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Surveys;

    /// <summary>The grade of the paper.</summary>
    [BindProperty(SupportsGet = true)]
    public string Grit { get; set; } = LapAdvice.CoarsePaper;

    /// <summary>What lies under it.</summary>
    [BindProperty(SupportsGet = true)]
    public LappingPlate Plate { get; set; }

    /// <summary>How hard the hands press, N.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Force { get; set; }

    /// <summary>Where they press, from the toe.</summary>
    [BindProperty(SupportsGet = true)]
    public string? X { get; set; }

    /// <summary>Where they press, from the near edge.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Y { get; set; }

    /// <summary>Where they go later: stroke, x and y in mm, parted by bars.</summary>
    [BindProperty(SupportsGet = true)]
    public string[] Move { get; set; } = [];

    /// <summary>How long the plate is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Long { get; set; }

    /// <summary>Grades that can be chosen, and whether the shop has them.</summary>
    public IReadOnlyList<(string Grit, bool Here)> Grits { get; private set; } = [];

    /// <summary>The sole as it is laid out.</summary>
    public SoleLayout Layout { get; private set; } = null!;

    /// <summary>The run that is looked at; null where it cannot be.</summary>
    public LappingInput? Input { get; private set; }

    /// <summary>What it comes to.</summary>
    public LappingResult? Result { get; private set; }

    /// <summary>The sole after some strokes, in small.</summary>
    public IReadOnlyList<MarksView> Marks { get; private set; } = [];

    /// <summary>What comes of pressing elsewhere.</summary>
    public IReadOnlyList<HandsTried> Hands { get; private set; } = [];

    /// <summary>What cannot be, in a sentence.</summary>
    public InputException? Fault { get; private set; }

    /// <summary>What is said of the plate.</summary>
    public PlateResult? PlateSays { get; private set; }

    /// <summary>What the soles lapped in this shop say of its strokes.</summary>
    public LearnedLapping Learned { get; private set; } = new(null, null);

    /// <summary>True where nobody surveyed the sole, and a usual hollow is taken.</summary>
    public bool IsAssumed => Survey is null;

    /// <summary>The last survey of the sole; null where nobody made one.</summary>
    public Core.Tags.SoleRecord? Survey => Tool.LastSurveyOf(FlatFaces.Sole);

    /// <summary>What to mind.</summary>
    public IReadOnlyList<Caution> Minded { get; } = Cautions.Of([CautionId.Slurry]);

    /// <summary>Strokes until the first look.</summary>
    public double NextLook => LapAdvice.NextLook(Result?.StrokesThreeZones ?? Result?.Strokes90Contact, Shop.Assumptions);

    /// <summary>Sheets that so many strokes use up.</summary>
    public int Sheets(double strokes) => Removal.Sheets(Lapping.SizeOf(Input!), strokes, Shop.Assumptions);

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGet(CancellationToken cancel)
    {
        if (!KnownFacts.Tool.HasMetalSole)
        {
            return NotFound();
        }
        Layout = SoleLayout.Of(KnownFacts, Shop.Assumptions);
        Learned = await laps.Learned(cancel);
        Grits = Drawer.Papers(await stores.Shelves(cancel), ReferenceData.Grits);
        try
        {
            Input = Read();
            LapFilm film = Lapping.Film(Input, Shop.Assumptions, cancel);
            List<(LapFrame Frame, LappingSnapshot Snapshot, LappingResult? End)> frames = [.. film.Frames];
            Result = frames[^1].End;
            Marks = MarksView.Of(film.Sole, [.. frames.Select(f => (f.Frame, f.Snapshot))], Shop.Assumptions);
            Hands = LapAdvice.Hands(Input, Shop.Assumptions, cancel);
            PlateSays = units.MmOrNull(Long, "plate_length_mm") is double plate
                ? PlateCheck.Of(new PlateInput(PlateLengthMm: plate, SoleLengthMm: Layout.LengthMm), Shop.Assumptions) : null;
        }
        catch (InputException fault)
        {
            Fault = fault;
        }
        return Page();
    }

    /// <summary>Reckons with what the shop learned of its own strokes from now on, or with the book again.</summary>
    public async Task<IActionResult> OnPostUse(bool mine, CancellationToken cancel)
    {
        LearnedLapping learned = await laps.Learned(cancel);
        ShopSettings settings = await shop.ForChange(cancel);
        settings.Assumed = learned.Taken(Assumptions.Of(settings.Assumed), mine).Kept();
        await shop.Save(settings, cancel);
        return LocalRedirect($"/tag/{Tool.Number}/sole/lap");
    }

    /// <summary>The run as a film, one frame on a line, sent as it is worked out.</summary>
    public async Task<IActionResult> OnGetFilm(CancellationToken cancel)
    {
        if (!KnownFacts.Tool.HasMetalSole)
        {
            return NotFound();
        }
        Layout = SoleLayout.Of(KnownFacts, Shop.Assumptions);
        Lines lines = Lines.To(Response);
        try
        {
            LapFilm film = Lapping.Film(Read(), Shop.Assumptions, cancel);
            await lines.Say(new { columns = film.Sole.Nx, rows = FilmFrame.RowsOf(film.Sole) }, cancel);
            foreach ((LapFrame frame, LappingSnapshot snapshot, LappingResult? end) in film.Frames)
            {
                await lines.Say(FilmFrame.Of(film.Sole, frame, snapshot, end, Shop.Assumptions, mm => units.Show(mm)), cancel);
            }
        }
        catch (InputException fault)
        {
            await lines.Say(new { fault = fault.Sentence }, cancel);
        }
        return new EmptyResult();
    }

    private LappingInput Read()
    {
        LappingInput input = Layout.Lapped(Survey?.Input, Grit, Shop.Assumptions);
        return input with
        {
            Plate = Plate, ForceN = Typed.NumberOrNull(Force, "force_n"), GritUm = Removal.SizeOf(Grit) ?? ReferenceData.Grits.SizeOf(Grit),
            ForceXMm = units.MmOrNull(X, "force_x_mm"), ForceYMm = units.MmOrNull(Y, "force_y_mm"),
            Presses = [.. Move.Take(MostMoves).Select(Moved)],
        };
    }

    private static LapPress Moved(string move)
    {
        string[] three = move.Split('|');
        return three.Length == 3 && double.TryParse(three[0], Numbers, out double stroke) && double.TryParse(three[1], Numbers, out double x)
            && double.TryParse(three[2], Numbers, out double y) ? new LapPress(stroke, x, y)
            : throw new InputException("not_a_move", "move", move, "stroke, x and y", "Where the hands go later needs a stroke and a place.");
    }

    private static readonly IFormatProvider Numbers = System.Globalization.CultureInfo.InvariantCulture;
}
