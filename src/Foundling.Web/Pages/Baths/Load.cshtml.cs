using System.Globalization;
using Foundling.Core;
using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Safety;
using Foundling.Core.Soaks;
using Foundling.Core.Units;
using Foundling.Data.Soaks;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Baths;

/// <summary>Mixing a bath, or choosing one that stands, and putting parts of one or several tags into it.</summary>
public sealed class LoadModel(BathBook baths, ViewUnits units, TimeProvider time) : SentencePageModel
{
    private const double Px = 600;

    // A bath that much warmer than the room is drawn cooling, °C.
    private const double WarmerC = 3;

    /// <summary>The bath that stands and takes the parts; null to mix one.</summary>
    [BindProperty(SupportsGet = true)]
    public int? Into { get; set; }

    /// <summary>What the new bath is called.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Name { get; set; }

    /// <summary>Which bath.</summary>
    [BindProperty(SupportsGet = true)]
    public BathKind Kind { get; set; } = BathKind.Citric;

    /// <summary>Strength of an acid, as typed.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Percent { get; set; }

    /// <summary>How warm it is mixed, as typed; empty for as warm as the shop.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Warm { get; set; }

    /// <summary>What the power supply gives, as typed.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Amps { get; set; }

    /// <summary>A container by its name; empty for the sides as typed.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Tub { get; set; }

    /// <summary>Box or cylinder.</summary>
    [BindProperty(SupportsGet = true)]
    public ContainerShape Shape { get; set; }

    /// <summary>Inside length, or diameter.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Length { get; set; }

    /// <summary>Inside width.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Width { get; set; }

    /// <summary>Inside depth.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Depth { get; set; }

    /// <summary>Liquid to mix, as typed; empty for as much as covers the load.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Litres { get; set; }

    /// <summary>A tag whose soak is asked about: all of its parts go in, into the bath its rod plans.</summary>
    [BindProperty(SupportsGet = true)]
    public int? For { get; set; }

    /// <summary>Keys of the parts that go in.</summary>
    [BindProperty(SupportsGet = true)]
    public List<string> Part { get; set; } = [];

    /// <summary>Where parts were laid by hand: key, x, y and how, with bars between.</summary>
    [BindProperty(SupportsGet = true)]
    public List<string> At { get; set; } = [];

    /// <summary>Weight of the load before the bath, as typed.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Grams { get; set; }

    /// <summary>Containers to choose from: the shop's own first.</summary>
    public IReadOnlyList<(string Name, Container Inside)> Tubs { get; private set; } = [];

    /// <summary>Baths that stand.</summary>
    public IReadOnlyList<BathHere> Standing { get; private set; } = [];

    /// <summary>Tools whose rods come to a soak.</summary>
    public IReadOnlyList<ToolWaiting> Waiting { get; private set; } = [];

    /// <summary>The bath as it would be.</summary>
    public StandingBath Bath { get; private set; } = new();

    /// <summary>How all of it would lie.</summary>
    public BathArrangement? Lies { get; private set; }

    /// <summary>The drawing of that.</summary>
    public BathDrawing? Drawing { get; private set; }

    /// <summary>What a new bath is put together from.</summary>
    public Recipe? Recipe { get; private set; }

    /// <summary>What to mind at the steps that put the parts in.</summary>
    public IReadOnlyList<Caution> Minded { get; private set; } = [];

    /// <summary>Parts of the tools that go in which do not go along.</summary>
    public IReadOnlyList<string> KeptOut { get; private set; } = [];

    /// <summary>When to look, and when it would be ready; null for nothing to put in.</summary>
    public SoakTimes? Times { get; private set; }

    /// <summary>How it cools while it works; null for a bath as warm as the shop.</summary>
    public CoolingChart? Cooling { get; private set; }

    /// <summary>What is wrong with what was typed, in a sentence.</summary>
    public string? Fault { get; private set; }

    /// <summary>The shop.</summary>
    public SoakAir Air { get; private set; } = null!;

    /// <summary>True for the container that is taken, by its name or because nothing was said.</summary>
    public bool Chosen(string name, Container inside) => name == Tub || (string.IsNullOrEmpty(Tub) && string.IsNullOrEmpty(Length) && inside == Bath.Container);

    /// <inheritdoc />
    protected override async Task After()
    {
        Air = await baths.Air();
        Standing = await baths.Standing();
        Tubs = await Known();
        Kind = For is int asked && await baths.PlannedFor(asked) is BathKind planned ? planned : Kind;
        BathHere? into = Standing.FirstOrDefault(b => b.Bath.Number == Into);
        Waiting = await baths.Waiting(into?.Bath.Kind ?? Kind);
        if (Waiting.FirstOrDefault(w => w.Tag.Number == For) is { } tool)
        {
            List<SoakedPart> going = [.. tool.Parts.Where(p => p.Limit.Allowed).Select(p => p.Part)];
            Part = [.. going.Select(p => p.Key)];
            into ??= Standing.FirstOrDefault(b => b.Bath.Kind == Kind && b.State.Takes(going, Air.Assumptions));
            Into = into?.Bath.Number;
        }
        try
        {
            Reckon(into);
        }
        catch (InputException fault)
        {
            Fault = fault.Sentence;
        }
    }

    // What the shop has mixed in before, and what most shops have.
    private async Task<IReadOnlyList<(string Name, Container Inside)>> Known() =>
    [
        .. (await baths.Standing()).Select(b => b.Bath).Concat(await baths.Poured()).Select(b => (b.Name, b.Container)).Concat(Containers.Usual)
            .DistinctBy(t => t.Name),
    ];

    private void Reckon(BathHere? into)
    {
        List<SoakedPart> going = [.. Waiting.Where(w => w.NotYet is null).SelectMany(w => w.Parts).Where(p => p.Limit.Allowed && Part.Contains(p.Part.Key))
            .Select(p => p.Part)];
        Bath = into?.Bath ?? Draft();
        var state = into?.State ?? BathState.Of(Bath, Air.Assumptions);
        Lies = state.Lying(going, Air.Assumptions, Places());
        Drawing = new BathDrawing(Lies, state.In.SelectMany(l => l.Standing).Concat(going).DistinctBy(p => p.Key).ToDictionary(p => p.Key), Px)
        {
            Litres = into?.Bath.Litres ?? (Bath.Litres > 0 ? Bath.Litres : null), Movable = true,
        };
        KeptOut = [.. Waiting.Where(w => w.Parts.Any(p => Part.Contains(p.Part.Key))).SelectMany(w => w.Parts.Where(p => !going.Contains(p.Part)))
            .Select(p => p.Part.Name)];
        Minded = going.Count == 0 ? []
            : Cautions.Of(BathWords.Minded(Waiting.Where(w => w.Parts.Any(p => going.Contains(p.Part))).SelectMany(w => w.Step.Cautions), Bath.Kind));
        if (into is null)
        {
            Bath.Litres = Bath.Litres > 0 ? Bath.Litres : Lies.LiquidL > 0 ? Math.Ceiling((Lies.LiquidL * 10) - Whole.Slack) / 10 : 0;
            Recipe = Bath.Litres > 0 ? Core.Soaks.Recipe.Of(Bath, Air.Assumptions) : null;
        }
        going.RemoveAll(p => Lies.Left.Any(l => l.Piece.Key == p.Key));
        if (going.Count > 0 && Bath.Litres > 0)
        {
            DateTimeOffset now = time.GetUtcNow();
            var load = new LoadNow(Guid.Empty, now, going) { SpentBefore = state.Spent(Air.Assumptions) };
            Times = SoakTimes.Of(state with { Loads = [.. state.Loads, load] }, load, Air, now);
            double warm = state.TemperatureC(now, Air.RoomC, Air.Assumptions);
            Cooling = Bath.Kind != BathKind.Electrolysis && warm - Air.RoomC > WarmerC
                ? new CoolingChart(CoolingCurve.Of(warm, Air.RoomC, Bath.Litres, Times.Hours, Air.Assumptions), Air.RoomC) : null;
        }
    }

    private StandingBath Draft()
    {
        (string _, Container Inside) chosen = Tubs.FirstOrDefault(t => t.Name == Tub);
        bool typed = string.IsNullOrWhiteSpace(Tub) && !string.IsNullOrWhiteSpace(Length);
        Container tub = typed ? (Shape == ContainerShape.Cylinder ? Container.Upright(Mm(Length, "length"), Mm(Depth, "depth"))
                : Container.Box(Mm(Length, "length"), Mm(Width, "width"), Mm(Depth, "depth"))).Checked()
            : chosen.Inside ?? Containers.Usual[1].Inside;
        bool acid = Kind is BathKind.Citric or BathKind.Acetic;
        return new StandingBath
        {
            Name = Name ?? "", Kind = Kind, Container = tub, MixedAt = time.GetUtcNow(), Litres = Typed.NumberOrNull(Litres, "litres") ?? 0,
            Percent = acid ? Typed.NumberOrNull(Percent, "percent") ?? Air.Assumptions.AcidPercent : null,
            WarmC = Kind == BathKind.Electrolysis ? null : Typed.NumberOrNull(Warm, "warm"),
            SupplyA = Kind == BathKind.Electrolysis ? Typed.NumberOrNull(Amps, "amps") : null,
        };
    }

    private double Mm(string? text, string field) => string.IsNullOrWhiteSpace(text) ? throw new InputException("required", field, text, "a length",
        "Say how large the container is inside.") : Core.Units.Length.Parse(text, field, units.Units);

    private IEnumerable<Wanted> Places()
    {
        foreach (string[] at in At.Select(a => a.Split('|')).Where(a => a.Length == 4))
        {
            if (double.TryParse(at[1], CultureInfo.InvariantCulture, out double x) && double.TryParse(at[2], CultureInfo.InvariantCulture, out double y)
                && KeyText.Read<Lay>(at[3]) is Lay lay)
            {
                yield return new Wanted(at[0], x, y, lay);
            }
        }
    }

    /// <summary>Shows it.</summary>
    public void OnGet()
    {
    }

    /// <summary>Mixes it, or takes the one that stands, and puts the parts in.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        Air = await baths.Air();
        int number;
        if (Into is int into)
        {
            number = into;
        }
        else
        {
            Tubs = await Known();
            Waiting = await baths.Waiting(Kind);
            Reckon(null);
            number = (await baths.Mix(Bath)).Number;
        }
        if (Part.Count > 0)
        {
            await baths.PutIn(number, Part, Typed.NumberOrNull(Grams, "grams"), [.. Places()]);
        }
        return LocalRedirect($"/baths/{number}");
    }
}
