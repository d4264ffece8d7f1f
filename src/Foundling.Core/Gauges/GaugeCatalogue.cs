using System.Text.Json;
using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Deeds;
using Foundling.Core.Edges;
using Foundling.Core.Grits;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Proof;
using Foundling.Core.Saws;
using Foundling.Core.Soles;
using Foundling.Core.State;

namespace Foundling.Core.Gauges;

/// <summary>What a gauge may use besides its input.</summary>
/// <param name="Assumptions">The shop's assumptions.</param>
/// <param name="Book">The shop's pattern book.</param>
/// <param name="Grits">The table of grits; null where none is at hand.</param>
/// <param name="Cancel">Stops a long run when nobody waits for it any more.</param>
public sealed record GaugeContext(Assumptions Assumptions, Origin.PatternBook Book, GritTable? Grits = null,
    CancellationToken Cancel = default);

/// <summary>A calculation that works on its own, without a tag.</summary>
/// <param name="File">The room it belongs to, for example <c>edges</c>.</param>
/// <param name="Calculation">Its name, for example <c>bevel</c>.</param>
/// <param name="About">What it answers, in one sentence.</param>
/// <param name="Input">Type of its input.</param>
/// <param name="Output">Type of its result.</param>
/// <param name="Run">Runs it on a checked input.</param>
public sealed record Gauge(string File, string Calculation, string About, Type Input, Type Output, Func<object, GaugeContext, object> Run)
{
    /// <summary>Assumed constants it uses, by the name of the property; each may be given with the input and wins over the shop's.</summary>
    public IReadOnlyList<string> Uses { get; init; } = [];

    /// <summary>Where the API answers it.</summary>
    public string Path => $"/api/gauges/{File}/{Calculation}";
}

/// <summary>All gauges, their names and the format they speak.</summary>
public static class GaugeCatalogue
{
    /// <summary>Every gauge of the program.</summary>
    public static IReadOnlyList<Gauge> All { get; } =
    [
        Of<DateToolInput, Origin.DatingReport>("dating", "date_tool", "Maker, size and years from looks, marks and measurements.", DatingGauges.DateTool,
            AssumedBy.Dating),
        Of<ProbeInput, ProbeResult>("dating", "probe_variants", "How far a variant was in use in a year and what seeing it says.", DatingGauges.Probe,
            AssumedBy.Misreading),
        Of<IssueYearInput, IssueYearResult>("dating", "issue_year", "The year a patent or design number was issued.", (i, _) =>
            new(Origin.IssueYears.Of(i.Number, i.FirstNumbers))),
        Of<WilsonInput, WilsonResult>("state", "wilson", "A share counted by points, with its honest error.", (i, _) => Wilson.Count(i)),
        Of<IronReserveInput, IronReserveResult>("state", "iron_reserve", "Good steel left in an iron and the sharpenings in it.", (i, c) =>
            IronReserve.Of(i, c.Assumptions), AssumedBy.Reserve),
        Of<ColourInput, ColourResult>("state", "colour_coverage", "Rust and bright metal by colour, as a starting guess.", (i, c) => ColourCoverage.Classify(i,
            c.Assumptions), AssumedBy.Colour),
        Of<PhotoScaleInput, PhotoScaleResult>("state", "scale_from_photo", "Scale and area on a photograph.", (i, _) => PhotoScale.Of(i)),
        Of<LinksInput, LinksResult>("rod", "links", "Deeds put in order by the state of their parts: what needs what, what undoes what.", (i, _) =>
            LinkGauge.Of(i)),
        Of<TotalsInput, TotalsResult>("worth", "totals", "Three-point estimates added up.", (i, _) => Totals.Of(i)),
        Of<PaceInput, PaceResult>("pace", "pace", "What a step takes you, by the book and by the jobs you did.", (i, c) => Pace.Of(i, c.Assumptions),
            AssumedBy.Pace),
        Of<HighestPriceInput, HighestPriceResult>("worth", "highest_price", "The highest sensible price.", (i, _) => Worth.HighestPrice(i)),
        Of<OverRestorationInput, OverRestorationResult>("worth", "over_restoration", "Worth after original surface is lost (assumed).", (i, c) =>
            Worth.OverRestoration(i, c.Assumptions), AssumedBy.Rarity),
        Of<BathVolumeInput, BathVolumeResult>("baths", "volume", "Liquid to cover a load, and turning a long part.", (i, c) => BathVolume.Of(i, c.Assumptions),
            AssumedBy.Volume),
        Of<MixingInput, MixingResult>("baths", "mixing", "What to put together for an acid bath.", (i, _) => Mixing.Of(i)),
        Of<SpentInput, SpentResult>("baths", "spent_and_neutralise", "How far a bath is used up, and neutralising it.", (i, c) =>
            Mixing.Spent(i, c.Assumptions), AssumedBy.Spent),
        Of<SoakInput, SoakResult>("baths", "soak_time", "How long to soak, when to look, when it must be out.", (i, c) => Soak.Time(i, c.Assumptions),
            AssumedBy.Soaking),
        Of<ElectrolysisInput, ElectrolysisResult>("baths", "electrolysis", "Current, soda and time for a load in electrolysis.", (i, c) =>
            Electrolysis.Of(i, c.Assumptions), AssumedBy.Electrolysis),
        Of<BlastingInput, BlastingResult>("baths", "blasting", "Passes and waits of blasting with a small compressor.", (i, c) =>
            Blasting.Of(i, c.Assumptions), AssumedBy.Blasting),
        Of<BevelInput, BevelResult>("edges", "bevel", "Bevel angle from the bevel face.", (i, _) => Edge.Bevel(i)),
        Of<KnifeAngleInput, KnifeAngleResult>("edges", "knife_angle", "Angle of a knife or axe.", (i, _) => Edge.KnifeAngle(i)),
        Of<ShimInput, ShimResult>("edges", "shim", "The tiny back bevel a shim gives.", (i, _) => SaveTheBack.Shim(i)),
        Of<AnglesInput, AnglesResult>("edges", "angles", "Cutting angle and clearance.", (i, c) => Edge.Angles(i, c.Assumptions), AssumedBy.Angles),
        Of<SaveTheBackInput, SaveTheBackResult>("edges", "save_the_back", "Lap, shim or grind back a pitted iron.", (i, c) => SaveTheBack.Compare(i,
            c.Assumptions), AssumedBy.Backs),
        Of<CamberInput, CamberResult>("edges", "camber", "Camber as sagitta and radius.", (i, _) => Edge.Camber(i)),
        Of<SecondaryBevelInput, SecondaryBevelResult>("edges", "secondary_bevel", "How far the secondary bevel has grown.", (i, c) => Edge.SecondaryBevel(i,
            c.Assumptions), AssumedBy.Secondary),
        Of<MouthInput, MouthResult>("edges", "mouth", "The mouth after a thicker iron or a moved frog.", (i, _) => Edge.Mouth(i)),
        Of<StopJawsInput, StopJawsResult>("edges", "stop_jaws", "Stops of a cutter whose jaws were dressed.", (i, _) => Edge.StopJaws(i)),
        Of<SquareUpInput, SquareUpResult>("edges", "square_up", "Metal and minutes to square an edge.", (i, c) => Edge.SquareUp(i, c.Assumptions),
            AssumedBy.Grinding),
        Of<ToothInput, ToothResult>("saws", "tooth", "Pitch, height and the file of a saw's teeth.", (i, _) => Tooth.Of(i)),
        Of<SetInput, SetResult>("saws", "set_and_kerf", "Set that suits the wood, and the kerf.", (i, c) => SetAndKerf.Of(i, c.Assumptions), AssumedBy.Sets),
        Of<JointingInput, JointingResult>("saws", "jointing", "What one jointing takes off, and what it buys.", (i, c) => Jointing.Of(i, c.Assumptions),
            AssumedBy.Jointing),
        Of<BreastInput, BreastResult>("saws", "breast", "Radius of a breasted tooth line.", (i, _) => Straightness.Breast(i)),
        Of<BowInput, BowResult>("saws", "bow", "Whether a plate is bowed or kinked, and where.", (i, c) => Straightness.Bow(i, c.Assumptions), AssumedBy.Bows),
        Of<GridSurveyInput, GridSurveyResult>("sole", "grid_survey", "Flatness and shape from a grid of heights.", (i, c) => GridSurvey.Read(i,
            c.Assumptions), AssumedBy.Survey),
        Of<LineSurveyInput, LineSurveyResult>("sole", "line_survey", "Heights from straightedge lines and feelers.", (i, _) => LineSurvey.Solve(i)),
        Of<LappingInput, LappingResult>("sole", "lapping", "What lapping does to a sole, stroke by stroke.", (i, c) => Lapping.Simulate(
            i with { GritUm = Grain(i.Grit, i.GritUm, c) }, c.Assumptions, c.Cancel), AssumedBy.Lapping),
        Of<MarksInput, MarksResult>("sole", "marks", "What the marks left on a sole say of its shape.", (i, c) => MarksReader.Read(
            i with { GritUm = Grain(i.Grit, i.GritUm, c) }, c.Assumptions, c.Cancel), AssumedBy.Marks),
        Of<PlateInput, PlateResult>("sole", "plate", "Whether a plate is flat and long enough.", (i, c) => PlateCheck.Of(i, c.Assumptions), AssumedBy.Plates),
        Of<LadderInput, LadderResult>("grits", "ladder", "The quickest ladder of grits from a defect to a finish.", (i, c) => Ladder.Of(i, c.Assumptions),
            AssumedBy.Ladders),
        Of<GritConvertInput, GritConvertResult>("grits", "convert", "A grade in all grading systems.", (i, c) => GritConvert.Of(i, c.Grits!, c.Assumptions),
            AssumedBy.Scratches),
        Of<WoodenSoleInput, WoodenSoleResult>("sole", "wooden_sole", "Wind, removal and mouth of a wooden sole.", (i, _) => WoodenSole.Of(i)),
        Of<ThicknessInput, ThicknessResult>("proof", "thickness", "Thickness readings against a target.", (i, _) => Thickness.Judge(i)),
        Of<TroubleInput, TroubleResult>("proof", "trouble", "Causes of a fault and what to check next.", (i, c) => Trouble.Find(i, c.Assumptions),
            AssumedBy.Troubles),
    ];

    // A grade that is not among the listed is looked up in the table.
    private static double? Grain(string grit, double? um, GaugeContext c) => um ?? (Removal.SizeOf(grit) is null ? c.Grits?.SizeOf(grit) : null);

    /// <summary>Finds a gauge by room and name.</summary>
    public static Gauge? Find(string file, string calculation) => All.FirstOrDefault(g => g.File == file && g.Calculation == calculation);

    /// <summary>Reads an input and runs the gauge on it.</summary>
    /// <exception cref="InputException">The input is malformed or out of range.</exception>
    public static object Run(Gauge gauge, JsonElement input, GaugeContext context)
    {
        if (input.ValueKind != JsonValueKind.Object)
        {
            throw new InputException("not_an_object", "input", null, "a JSON object", "Send the input as a JSON object.");
        }
        try
        {
            (JsonElement own, Assumptions assumed) = GivenAssumptions.Take(gauge, input, context.Assumptions);
            return InputGuard.Reckoned(gauge.Run(InputGuard.Check(own.Deserialize(gauge.Input, OpenJson.Options)!), context with { Assumptions = assumed }));
        }
        catch (OverflowException)
        {
            throw new InputException("beyond_reckoning", "input", null, "figures of a workshop", "These figures lead to no number; look at them again.");
        }
        catch (JsonException fault)
        {
            string field = (fault.Path ?? "").TrimStart('$', '.');
            throw field.Length > 0
                ? new InputException("not_readable", field, null, "a value of the right kind",
                    $"\"{field}\" has a value that cannot be read. Numbers are written plainly, with the unit in the field's name.")
                : new InputException("required", Missing(fault.Message), null, "present",
                    $"Missing: {Missing(fault.Message).Replace(",", ", ", StringComparison.Ordinal)}.");
        }
    }

    private static string Missing(string message)
    {
        string[] quoted = message.Split('\'');
        return quoted.Length > 2 ? string.Join(",", quoted.Where((_, i) => i % 2 == 1).Where(q => !q.Contains("Foundling", StringComparison.Ordinal)))
            : "input";
    }

    private static Gauge Of<TIn, TOut>(string file, string calculation, string about, Func<TIn, GaugeContext, TOut> run, IReadOnlyList<string>? uses = null)
        where TIn : notnull
        where TOut : notnull =>
        new(file, calculation, about, typeof(TIn), typeof(TOut), (input, context) => run((TIn)input, context)) { Uses = uses ?? [] };
}
