using Foundling.Core.Origin;
using Foundling.Core.Soles;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;

namespace Foundling.Core.State;

/// <summary>Which hand a tool is made for.</summary>
public enum Hand
{
    /// <summary>Either, or not looked at.</summary>
    Either,

    /// <summary>Right hand.</summary>
    Right,

    /// <summary>Left hand.</summary>
    Left,
}

/// <summary>How this tool is built: its sizes as measured, mm, and what it is for. What is null was not measured.</summary>
/// <param name="LengthMm">Length.</param>
/// <param name="WidthMm">Width of its iron or blade.</param>
/// <param name="SoleWidthMm">Width of its sole.</param>
/// <param name="MouthFrontMm">Front of the mouth from the toe.</param>
/// <param name="Purpose">What its sole is for.</param>
/// <param name="Hand">Which hand it is for.</param>
public sealed record Build(double? LengthMm = null, double? WidthMm = null, double? SoleWidthMm = null, double? MouthFrontMm = null,
    SolePurpose? Purpose = null, Hand Hand = Hand.Either);

/// <summary>
/// What is known of a tool at a moment. It never changes: what is found out later makes other facts. Rules, gauges, tables
/// and estimates are asked with facts and know nothing of how they are kept.
/// </summary>
/// <param name="Tool">Its kind with its parts.</param>
/// <param name="Findings">What stands: for each part and fault what the latest look says.</param>
public sealed record Facts(ToolKind Tool, IReadOnlyList<Found> Findings)
{
    /// <summary>Findings on parts that are not to be touched: they stand in the papers, and nothing is done about them.</summary>
    public IReadOnlyList<Found> SetAside { get; init; } = [];

    /// <summary>The same facts with what was found on parts that are not to be touched set aside; what is missing is missing all the same.</summary>
    public Facts Untouched()
    {
        HashSet<PartId> spared = [.. Tool.Parts.Where(p => p.Spared is not null).Select(p => p.Id)];
        bool Aside(Found f) => f.Kind != FindingKind.Missing && spared.Contains(Tool.Key(f.Part));
        return spared.Count == 0 || !Findings.Any(Aside) ? this
            : this with { Findings = [.. Findings.Where(f => !Aside(f))], SetAside = [.. SetAside, .. Findings.Where(Aside)] };
    }

    /// <summary>How it is built.</summary>
    public Build Build { get; init; } = new();

    /// <summary>What was measured on its parts, the latest last.</summary>
    public IReadOnlyList<Reading> Readings { get; init; } = [];

    /// <summary>Surveys of its sole, the latest last.</summary>
    public IReadOnlyList<GridSurveyInput> Surveys { get; init; } = [];

    /// <summary>The latest survey of each other flat face, by the key of the face.</summary>
    public IReadOnlyList<(string Face, GridSurveyInput Survey)> FaceSurveys { get; init; } = [];

    /// <summary>How far a face that is no sole is out of flat by its survey, mm; null where it was not surveyed.</summary>
    /// <param name="face">Its key, or what its key begins with.</param>
    /// <param name="a">How surveys are read.</param>
    public double? OutOfFlatMm(string face, Assumptions a)
    {
        double? worst = null;
        foreach ((string _, GridSurveyInput survey) in FaceSurveys.Where(f => f.Face.StartsWith(face, StringComparison.Ordinal)))
        {
            worst = Math.Max(worst ?? 0, SurveysRead.Of(survey, a).FlatnessMinimumZoneMm);
        }
        return worst;
    }

    /// <summary>What the marks on its sole told last; null where nobody read any since the last survey.</summary>
    public MarkedSole? Marked { get; init; }

    /// <summary>What its looks and marks say of its origin.</summary>
    public IReadOnlyList<Observation> Looks { get; init; } = [];

    /// <summary>How wedge and iron agree; null when nobody looked.</summary>
    public Kinship? Kinship { get; init; }

    /// <summary>What it did when it was tried as found; null while it was not tried.</summary>
    public AsFoundTry? Tried { get; init; }

    /// <summary>The length that is reckoned with: as measured, else the usual one of its kind, mm.</summary>
    public double LengthMm => Build.LengthMm ?? Tool.NominalLengthMm;

    /// <summary>
    /// The width of the edge that is reckoned with, mm: as measured, else that of its kind, else as is usual. Where it is guided along a wall
    /// its iron is as wide as its sole, and none is wider.
    /// </summary>
    public double EdgeWidthMm(Assumptions assumptions) => Build.WidthMm ?? Tool.File.Fit?.WidthMm
        ?? (Tool.Works(KindTrait.CheeksGuide) || Tool.Works(KindTrait.SideGuides) ? SoleWidthMm(assumptions)
            : Tool.Family == Family.Plane ? Math.Min(assumptions.UsualIronWidthMm, SoleWidthMm(assumptions)) : assumptions.UsualIronWidthMm);

    /// <summary>The width of the sole that is reckoned with: as measured, else that of its kind, else as is usual, mm.</summary>
    public double SoleWidthMm(Assumptions assumptions) => Build.SoleWidthMm
        ?? Tool.File.Parts.FirstOrDefault(p => p.Section == Section.Sole)?.AcrossMm ?? assumptions.UsualSoleWidthMm;

    /// <summary>What its sole is for: as was said, else by its build and length; null for a plane of no particular purpose.</summary>
    public SolePurpose? SolePurpose(Assumptions a) => Build.Purpose ?? (Tool.File.Edge == EdgeForm.Burr ? Soles.SolePurpose.Scraper
        : Tool.Works(KindTrait.CheeksGuide) || Tool.Works(KindTrait.SideGuides) ? Soles.SolePurpose.Rebate
        : Tool.Works(KindTrait.CutsBelowSole) || Tool.File.Edge != EdgeForm.BackAndBevel ? null
        : Tool.File.BevelUp && Tool.Made(PartIds.ToePlate) ? Soles.SolePurpose.Block
        : LengthMm >= a.TryFromMm ? Soles.SolePurpose.Try : LengthMm >= a.JackFromMm ? Soles.SolePurpose.Jack : Soles.SolePurpose.Smoothing);

    /// <summary>The latest reading on a part; null when it was not taken.</summary>
    public Reading? Read(PartId part, MeasureId measure) => Readings.LastOrDefault(r => r.Part == part && r.Measure == measure);

    /// <summary>The latest value of a measure on any of these parts, in the unit of the measure; null when it was not taken.</summary>
    public double? Measured(MeasureId measure, params ReadOnlySpan<PartId> parts)
    {
        for (int i = Readings.Count - 1; i >= 0; i--)
        {
            if (Readings[i].Measure == measure && Tool.Names(Readings[i].Part, parts))
            {
                return Readings[i].Quantity.In(MeasureKinds.UnitOf(measure));
            }
        }
        return null;
    }

    /// <summary>Worst degree of a fault, on any part or on those given; 0 when there is none.</summary>
    public int Worst(FindingKind kind, params ReadOnlySpan<PartId> parts)
    {
        int worst = 0;
        foreach (Found f in Findings)
        {
            if (f.Kind == kind && f.Severity > worst && (parts.Length == 0 || Tool.Names(f.Part, parts)))
            {
                worst = f.Severity;
            }
        }
        return worst;
    }

    /// <summary>True when the tool has the part and it is not missing.</summary>
    public bool Has(PartId part) => Tool.Part(part) is not null && Worst(FindingKind.Missing, part) == 0;

    /// <summary>Its drawing, at what was measured on it.</summary>
    public Profile Profile() => Tools.Profile.Fitted(Tool.Id, new FitMeasures(LengthMm, Build.MouthFrontMm, Build.WidthMm,
        Tool.Edges.FirstOrDefault() is { } edge ? Measured(MeasureIds.Length, edge.Id) : null, Measured(MeasureIds.Points, PartIds.Plate))).Dressed(Tool);

    /// <summary>Steel left in its cutting part; null when it has none, or it was not measured.</summary>
    /// <param name="assumptions">What stops a restoration.</param>
    public SteelLeft? Steel(Assumptions assumptions) => SteelLeft.Of(this, assumptions);
}
