using System.Globalization;
using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Edges;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Edges;

/// <summary>The edge bench: a section at work, to scale, and the back with its pits and what becomes of them. All of it in the address.</summary>
public sealed class IndexModel(ShopDesk shop, TagBook tags, RodDesk rods, ViewUnits units, TimeProvider time) : EdgeRoomModel(shop, tags, units, time)
{
    private const int MostHonings = 10_000;

    /// <summary>How thick the iron is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Thick { get; set; }

    /// <summary>How wide it is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Wide { get; set; }

    /// <summary>Its bed, degrees.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Bed { get; set; }

    /// <summary>The bevel faces up.</summary>
    [BindProperty(SupportsGet = true)]
    public bool? Up { get; set; }

    /// <summary>Its bevel, degrees.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Bevel { get; set; }

    /// <summary>Its bevel face as measured; it wins over nothing.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Face { get; set; }

    /// <summary>The honed bevel, degrees.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Second { get; set; }

    /// <summary>The bevel is rounded under.</summary>
    [BindProperty(SupportsGet = true)]
    public bool Round { get; set; }

    /// <summary>Times honed since the last grind.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Honings { get; set; }

    /// <summary>A shim under the iron on the stone.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Shim { get; set; }

    /// <summary>How far behind the edge it lies.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Behind { get; set; }

    /// <summary>Camber of the edge.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Camber { get; set; }

    /// <summary>From the edge to where hard steel ends.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Steel { get; set; }

    /// <summary>Pits, one on a line: depth, near side, far side, and where it begins and ends across.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Pits { get; set; }

    /// <summary>How far out of square its edge is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Square { get; set; }

    /// <summary>What steel is ground on.</summary>
    [BindProperty(SupportsGet = true)]
    public GrindOn? On { get; set; }

    /// <summary>What its back is lapped on.</summary>
    [BindProperty(SupportsGet = true)]
    public GrindOn? Lap { get; set; }

    /// <summary>It is a chisel, whose whole back guides it.</summary>
    [BindProperty(SupportsGet = true)]
    public bool? Chisel { get; set; }

    /// <summary>The section; null where it cannot be drawn.</summary>
    public EdgeView? View { get; private set; }

    /// <summary>Angles at work.</summary>
    public AnglesResult? Angles { get; private set; }

    /// <summary>Bevel and its face.</summary>
    public BevelResult? Ground { get; private set; }

    /// <summary>How far the honed bevel has grown.</summary>
    public SecondaryBevelResult? Grown { get; private set; }

    /// <summary>The back bevel of the shim.</summary>
    public ShimResult? Shimmed { get; private set; }

    /// <summary>The camber.</summary>
    public CamberResult? Cambered { get; private set; }

    /// <summary>What becomes of the pits.</summary>
    public SaveTheBackResult? Saved { get; private set; }

    /// <summary>The back as it is drawn.</summary>
    public BackView? Back { get; private set; }

    /// <summary>The bevel face, as measured or as it follows, mm.</summary>
    public double? FaceMm { get; private set; }

    /// <summary>The bevel that is reckoned with, degrees.</summary>
    public double BevelDeg { get; private set; }

    /// <summary>What grinding back asks of the hands; null where it is not compared.</summary>
    public (GroundBack Metal, GrindHeat Heat)? Grinding { get; private set; }

    /// <summary>What squaring the edge asks; null where it is square.</summary>
    public (double OffMm, double Mm3, double Minutes)? Squared { get; private set; }

    /// <summary>A rule of its own for the edge of this tool; null for none.</summary>
    public string? OwnRule => Known is { } known ? HoningWords.NoFurther(known.Tool, Assumed) : null;

    /// <summary>The iron with its pits; null while too little is known.</summary>
    public SaveTheBackInput? Iron { get; private set; }

    /// <summary>What the tag knows of its edge; null without a tag.</summary>
    public EdgeFacts? Edged { get; private set; }

    /// <summary>Depths of pits are judged by their degree: nobody measured them.</summary>
    public bool Judged { get; private set; }

    /// <summary>True where the iron works on a bed; without one it is drawn by itself.</summary>
    public bool OnABed => Of is null || Edged?.BedDeg is not null;

    /// <summary>What is still to be said before the back can be weighed up, in a sentence; null for nothing.</summary>
    public string? Lacks => !Given(Thick) || Back is not null || Faults.Count > 0 || Known?.Tool.Edge == EdgeForm.Toothed ? null
        : !Given(Wide) ? "Say how wide the iron is, and where hard steel ends: its back is drawn, and pits are placed on it."
        : !Given(Steel) ? "Say how far hard steel reaches from the edge: its back is drawn, and the routes past its pits stand side by side." : null;

    /// <inheritdoc />
    public override string Here => "/edges";

    /// <summary>Shows it.</summary>
    public override async Task<IActionResult> OnGet(CancellationToken cancel)
    {
        if (await Load(cancel) is { } elsewhere)
        {
            return elsewhere;
        }
        Try("thick", Section);
        Try("pits", Save);
        Try("square", SquareUp);
        return Page();
    }

    private void Section()
    {
        if (!Given(Thick))
        {
            return;
        }
        double t = Units.Mm(Thick, "thickness_mm");
        // A face that was measured now wins over a bevel that was kept.
        bool keptBevel = Given(Face) && !Anew("bevel", Bevel);
        double? typed = keptBevel ? null : Typed.NumberOrNull(Bevel, "bevel_deg"), second = Typed.NumberOrNull(Second, "secondary_bevel_deg");
        double? face = FaceMm = Units.MmOrNull(Face, "bevel_face_mm");
        Ground = Edge.Bevel(new BevelInput(t, face, typed ?? (face is null ? Assumed.UsualBevelDeg : null)));
        FaceMm ??= Ground.BevelFaceMm;
        BevelDeg = typed ?? Ground.BevelDeg ?? Assumed.UsualBevelDeg;
        if (Units.MmOrNull(Shim, "shim_mm") is double shim && Units.MmOrNull(Behind, "edge_to_shim_mm") is double behind)
        {
            Shimmed = SaveTheBack.Shim(new ShimInput(shim, behind, PitList()));
        }
        if (Round)
        {
            second ??= Math.Max(Assumed.UsualSecondaryDeg, BevelDeg);
        }
        double land = EdgeSection.UsualLandMm(Assumed), back = Shimmed?.BackBevelDeg ?? 0;
        if (second is double honed && Typed.NumberOrNull(Honings, "honings") is double times)
        {
            Grown = Edge.SecondaryBevel(new SecondaryBevelInput(BevelDeg, honed, t, (int)Check.Within(times, 0, MostHonings, "honings")), Assumed);
            land = Grown.LandMm;
        }
        // Without a bed it lies with its back on the work, and only its own angles are told.
        double bed = OnABed ? Typed.NumberOrNull(Bed, "bed_deg") ?? Assumed.UsualBedDeg : 0;
        bool up = !OnABed || Up == true;
        Angles = OnABed ? Edge.Angles(new AnglesInput(bed, BevelDeg, second, back, up), Assumed) : null;
        View = new EdgeView(new EdgeSectionInput(t, Math.Max(bed, Whole.Slack), BevelDeg, second, land, back, back > 0 ? land : 0, up, Round), Angles);
        if (Units.MmOrNull(Camber, "sagitta_mm") is double camber && Units.MmOrNull(Wide, "width_mm") is double wide)
        {
            Cambered = Edge.Camber(new CamberInput(wide, camber));
        }
    }

    private void Save()
    {
        // A grooved back has no routes past its pits: it is left grooved.
        if (Known?.Tool.Edge == EdgeForm.Toothed || BevelDeg <= 0 || Units.MmOrNull(Wide, "width_mm") is not double wide
            || Units.MmOrNull(Steel, "reserve_mm") is not double steel)
        {
            return;
        }
        SaveTheBackInput input = Iron = new SaveTheBackInput(wide, Units.Mm(Thick, "thickness_mm"), BevelDeg, steel, PitList(), Of is null ? Chisel == true
            : Edged!.WhyNotLifted is not null, Lap ?? GrindOn.P100OnGlass, On ?? GrindOn.BenchGrinder, CamberMm: Units.MmOrNull(Camber, "camber_mm"));
        Saved = SaveTheBack.Compare(input, Assumed);
        Back = new BackView(input, Assumed);
        if (Saved.Ways.TryGetValue("grind_back", out BackWay? ground))
        {
            Grinding = (GroundBack.Of(wide, input.ThicknessMm, BevelDeg, ground.SetbackMm), GrindHeat.Of(ground.MetalMm3, input.GrindOn, Assumed));
        }
    }

    private void SquareUp()
    {
        if (Units.MmOrNull(Square, "out_of_square_mm") is double off and > 0 && Given(Wide) && Given(Thick))
        {
            SquareUpResult up = Edge.SquareUp(new SquareUpInput(Units.Mm(Wide, "width_mm"), Units.Mm(Thick, "thickness_mm"), off, On
                ?? GrindOn.BenchGrinder), Assumed);
            Squared = (off, up.VolumeMm3, up.Minutes);
        }
    }

    private List<Pit> PitList()
    {
        List<Pit> pits = [];
        foreach (string line in (Pits ?? "").Split(['\n', ';'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            double[] v = [.. line.Split([' ', '\t'], StringSplitOptions.RemoveEmptyEntries).Select(x => Units.Mm(x, "pits"))];
            pits.Add(v.Length is 3 or 5 ? new Pit(v[0], v[2], v[1], v.Length == 5 ? v[3] : null, v.Length == 5 ? v[4] : null)
                : throw new InputException("not_a_pit", "pits", line, "depth, near side, far side",
                    $"\"{Shorten.To(line, 40)}\" is no pit: give how deep it is, where it begins and where it ends behind the edge."));
        }
        return pits;
    }

    /// <summary>Takes a route: the rod is made anew with it. Pits and the line of the steel that are others than the tag knows are kept with it.</summary>
    public async Task<IActionResult> OnPostTake(string? route, CancellationToken cancel)
    {
        if (Number is not int number || await Load(cancel) is not null || await Tags.Find(number, cancel) is not { } tag)
        {
            return NotFound();
        }
        return await Do("pits", async () =>
        {
            WayId way = EdgeWays.WayOf(route) ?? throw new InputException("unknown_route", "route", route, "lap, shim or grind_back",
                "Choose one of the routes.");
            KeepSent(tag);
            PlanQuestion question = await rods.Question(tag, tag.Aim ?? AimKind.Work, cancel);
            if (!Choices.Find(ChoiceId.Back).Asked(question))
            {
                throw new InputException("no_pits_found", "route", route, "pits that stop the edge",
                    "No pit that was found stops this edge: put them where they are, and take the route then.");
            }
            string was = question.Way(ChoiceId.Back) == way ? "" : $"?was={KeyText.Of(ChoiceId.Back)}%3D{KeyText.Of(question.Way(ChoiceId.Back))}";
            await rods.Choose(tag, KeyText.Of(ChoiceId.Back), KeyText.Of(way), cancel);
            if (EdgeWays.WorkedOn(way, On, Lap) is { } on)
            {
                await rods.ChooseWhereAsked(tag, on.Choice, on.Way, cancel);
            }
            return LocalRedirect($"/tag/{number}/rod{was}");
        }, () => OnGet(cancel));
    }

    private string Written(EdgeFacts known) => string.Join('\n', known.Pits.Select(p => string.Join(' ', new[] { p.DepthMm, p.NearSideMm, p.FarSideMm,
        p.FromLeftMm, p.ToLeftMm }.OfType<double>().Select(mm => Units.InField(mm)))));

    /// <inheritdoc />
    protected override async Task Fill(Facts known, CancellationToken cancel)
    {
        EdgeFacts edge = Edged = EdgeFacts.Of(known, Assumed)!;
        string? Deg(double? v) => v?.ToString("0.##", CultureInfo.InvariantCulture);
        Thick = Filled("thick", Thick, Units.InField(edge.ThicknessMm));
        Wide = Filled("wide", Wide, Units.InField(edge.WidthMm));
        Bed ??= Deg(edge.BedDeg);
        Up ??= edge.BevelUp;
        Bevel = Filled("bevel", Bevel, Deg(edge.BevelDeg));
        Camber = Filled("camber", Camber, Units.InField(edge.CamberMm));
        Steel = Filled("steel", Steel, Units.InField(edge.ReserveMm));
        Square = Filled("square", Square, Units.InField(known.Measured(MeasureIds.OutOfSquare, edge.Part.Id)));
        Judged = Pits is null && EdgePits.Judged(known, edge.Part);
        Pits = Filled("pits", Pits, Written(edge));
        PlanQuestion question = await rods.Question(Of!, Of!.Aim ?? AimKind.Work, cancel);
        On ??= EdgeWays.GroundOn(question);
        Lap ??= EdgeWays.LappedOn(question);
    }

    /// <inheritdoc />
    protected override IEnumerable<BenchReading> Readings(Facts known) => EdgeFacts.Of(known, Assumed)?.Part.Id is not PartId part ? [] :
    [
        new("thick", Thick, part, MeasureIds.Thickness), new("bevel", Given(Face) && Ground?.BevelDeg is double face
            ? face.ToString("0.#", CultureInfo.InvariantCulture) : Bevel, part, MeasureIds.Bevel), new("camber", Camber, part, MeasureIds.Camber),
        new("steel", Steel, part, MeasureIds.EdgeToHardEnd), new("square", Square, part, MeasureIds.OutOfSquare),
    ];

    /// <inheritdoc />
    protected override IEnumerable<(string Field, string Text, string Said)> MoreToKeep(Facts known) => Back is { } back && Anew("pits",
        Pits?.ReplaceLineEndings("\n")) ? [("pits", Pits!, Words.Count(back.Pits.Count, "pit", "pits") + " where drawn")] : [];

    /// <inheritdoc />
    protected override void KeepMore(Tag tag, Func<string, string?> field)
    {
        if (Anew("pits", field("pits")?.ReplaceLineEndings("\n")) && EdgeFacts.Of(tag.Facts(), Assumed) is { } edge)
        {
            Pits = field("pits");
            PitNotes.Put(tag, edge.Part, PitList(), edge.WidthMm, edge.CamberMm ?? 0, Assumed, Time.GetUtcNow());
        }
    }

    /// <inheritdoc />
    protected override string FieldOf(string input, string otherwise) => input switch
    {
        "thickness_mm" => "thick", "width_mm" => "wide", "bed_deg" => "bed", "bevel_deg" => "bevel", "bevel_face_mm" => "face",
        "secondary_bevel_deg" => "second", "honings" => "honings", "shim_mm" => "shim", "edge_to_shim_mm" => "behind",
        "sagitta_mm" or "camber_mm" => "camber", "reserve_mm" => "steel", "out_of_square_mm" => "square", _ => base.FieldOf(input, otherwise),
    };
}
