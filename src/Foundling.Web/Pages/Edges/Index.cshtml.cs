using System.Globalization;
using Foundling.Core;
using Foundling.Core.Edges;
using Foundling.Core.Keys;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages.Edges;

/// <summary>The edge bench: a section at work, to scale, and the back with its pits and what becomes of them. All of it in the address.</summary>
public sealed class IndexModel(ShopDesk shop, TagBook tags, RodDesk rods, ViewUnits units, TimeProvider time) : PageModel
{
    /// <summary>The tag; null for none.</summary>
    [BindProperty(SupportsGet = true, Name = "tag")]
    public int? Number { get; set; }

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

    /// <summary>It is a chisel, whose whole back guides it.</summary>
    [BindProperty(SupportsGet = true)]
    public bool? Chisel { get; set; }

    /// <summary>The tool; null for none.</summary>
    public Tag? Of { get; private set; }

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

    /// <summary>The bevel that is reckoned with, degrees.</summary>
    public double BevelDeg { get; private set; }

    /// <summary>What cannot be, by the field it is about.</summary>
    public Dictionary<string, string> Faults { get; } = [];

    /// <summary>The shop's assumptions.</summary>
    public Assumptions Assumed { get; private set; } = null!;

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGet(CancellationToken cancel)
    {
        Assumed = await shop.Assumed(cancel);
        if (Number is int number)
        {
            Of = await tags.Show(number, TagParts.Head, cancel);
            if (Of is null || !Of.Tool().Edges.Any())
            {
                return NotFound();
            }
            Fill(Of.Facts());
        }
        Try("thick", Section);
        Try("pits", Save);
        return Page();
    }

    private void Section()
    {
        if (!Given(Thick))
        {
            return;
        }
        double t = Mm(Thick, "thickness_mm"), bed = Deg(Bed, "bed_deg") ?? Assumed.UsualBedDeg;
        Ground = Edge.Bevel(new BevelInput(t, Given(Face) ? Mm(Face, "bevel_face_mm") : null, Deg(Bevel, "bevel_deg")
            ?? (Given(Face) ? null : Assumed.UsualBevelDeg)));
        BevelDeg = Deg(Bevel, "bevel_deg") ?? Ground.BevelDeg ?? Assumed.UsualBevelDeg;
        double? second = Deg(Second, "secondary_bevel_deg");
        bool up = Up == true;
        if (Given(Shim) && Given(Behind))
        {
            Shimmed = SaveTheBack.Shim(new ShimInput(Mm(Shim, "shim_mm"), Mm(Behind, "edge_to_shim_mm"), PitList()));
        }
        double back = Shimmed?.BackBevelDeg ?? 0;
        double land = Assumed.RegrindLandMm / 2;
        if (second is double honed && Typed.NumberOrNull(Honings, "honings") is double times)
        {
            Grown = Edge.SecondaryBevel(new SecondaryBevelInput(BevelDeg, honed, t, (int)times), Assumed);
            land = Grown.LandMm;
        }
        Angles = Edge.Angles(new AnglesInput(bed, BevelDeg, second, back, up), Assumed);
        View = new EdgeView(new EdgeSectionInput(t, bed, BevelDeg, second, land, back, back > 0 ? land : 0, up), Angles);
        if (Given(Camber) && Given(Wide))
        {
            Cambered = Edge.Camber(new CamberInput(Mm(Wide, "width_mm"), Mm(Camber, "sagitta_mm")));
        }
    }

    private void Save()
    {
        if (!Given(Wide) || !Given(Thick) || !Given(Steel) || BevelDeg <= 0)
        {
            return;
        }
        var input = new SaveTheBackInput(Mm(Wide, "width_mm"), Mm(Thick, "thickness_mm"), BevelDeg, Mm(Steel, "reserve_mm"), PitList(), Chisel == true,
            CamberMm: Given(Camber) ? Mm(Camber, "camber_mm") : null);
        Saved = SaveTheBack.Compare(input, Assumed);
        Back = new BackView(input, Assumed.StoppingPitWithinMm);
    }

    private List<Pit> PitList()
    {
        List<Pit> pits = [];
        foreach (string line in (Pits ?? "").Split(['\n', ';'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            double[] v = [.. line.Split([' ', '\t'], StringSplitOptions.RemoveEmptyEntries).Select(x => Mm(x, "pits"))];
            pits.Add(v.Length is 3 or 5 ? new Pit(v[0], v[2], v[1], v.Length == 5 ? v[3] : null, v.Length == 5 ? v[4] : null)
                : throw new InputException("not_a_pit", "pits", line, "depth, near side, far side",
                    $"\"{Shorten.To(line, 40)}\" is no pit: give how deep it is, where it begins and where it ends behind the edge."));
        }
        return pits;
    }

    /// <summary>Takes a route: the rod is made anew with it, and the line of the steel is kept as it was measured.</summary>
    public async Task<IActionResult> OnPostTake(string? route, string? steel, CancellationToken cancel)
    {
        if (Number is not int number || await tags.Find(number, cancel) is not { } tag || tag.Tool().Edges.FirstOrDefault() is not { } part)
        {
            return NotFound();
        }
        try
        {
            if (Given(steel))
            {
                DateTimeOffset now = time.GetUtcNow();
                tag.Take(new Measurement { Id = Guid.CreateVersion7(now), Part = part.Id, Kind = MeasureIds.EdgeToHardEnd, Value = Mm(steel, "reserve_mm"),
                    Instrument = Instrument.Rule, At = now, UncertaintyMm = MeasureKinds.UncertaintyMm(Instrument.Rule, await shop.Assumed(cancel)) });
                await tags.Save(tag, cancel);
            }
            WayId way = route switch { "lap" => WayId.Lap, "shim" => WayId.Shim, "grind_back" => WayId.Grind, _ => throw new InputException("unknown_route",
                "route", route, "lap, shim or grind_back", "Choose one of the routes.") };
            await rods.Choose(tag, KeyText.Of(ChoiceId.Back), KeyText.Of(way), cancel);
            return LocalRedirect($"/tag/{number}/rod?was={KeyText.Of(ChoiceId.Back)}%3D{KeyText.Of(way)}");
        }
        catch (InputException fault)
        {
            IActionResult shown = await OnGet(cancel);
            Faults["pits"] = fault.Sentence;
            return shown;
        }
    }

    // What the tag knows stands in the fields that nobody filled.
    private void Fill(Facts facts)
    {
        PartDef part = facts.Tool.Edges.First();
        string Length(double mm) => Core.Units.Length.Typed(mm, units.Units);
        Thick ??= Length(facts.Measured(MeasureIds.Thickness, part.Id) ?? Assumed.UsualIronMm);
        Wide ??= Length(facts.EdgeWidthMm(Assumed));
        Bed ??= facts.Tool.HasBed ? facts.Tool.BedDeg.ToString("0.##", CultureInfo.InvariantCulture) : null;
        Up ??= facts.Tool.File.BevelUp;
        Steel ??= facts.Steel(Assumed) is { } left ? Length(left.Reserve.ReserveMm) : null;
        Chisel ??= facts.Tool.Family == Family.EdgeTool && facts.Tool.Made(PartIds.Bolster);
        Pits ??= string.Join('\n', facts.Findings.Where(f => f.Part == part.Id && f.Kind == FindingKind.Pitting && f.FromEdgeMm is not null).Select(f =>
            string.Create(CultureInfo.InvariantCulture,
                $"{f.DepthMm ?? Assumed.PitNailMm:0.###} {f.FromEdgeMm:0.##} {f.FromEdgeMm + (f.SizeMm ?? Assumed.PitWideMm):0.##}")));
    }

    private void Try(string field, Action work)
    {
        try
        {
            work();
        }
        catch (InputException fault)
        {
            Faults[fault.Field switch { "thickness_mm" => "thick", "width_mm" => "wide", "bed_deg" => "bed", "bevel_deg" => "bevel", "bevel_face_mm" => "face",
                "secondary_bevel_deg" => "second", "honings" => "honings", "shim_mm" => "shim", "edge_to_shim_mm" => "behind", "sagitta_mm" or "camber_mm"
                => "camber", "reserve_mm" => "steel", _ => field }] = fault.Sentence;
        }
    }

    private static bool Given(string? text) => !string.IsNullOrWhiteSpace(text);

    private static double? Deg(string? text, string field) => Typed.NumberOrNull(text, field);

    private double Mm(string? text, string field) => Length.Parse(text, field, units.Units);
}
