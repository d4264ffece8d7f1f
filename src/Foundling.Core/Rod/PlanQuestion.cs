using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Shop;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod;

/// <summary>Everything a plan is made from.</summary>
/// <param name="Facts">What is known of the tool.</param>
/// <param name="Aim">How far to go.</param>
/// <param name="Shop">The shop it is planned in.</param>
public sealed record PlanQuestion(Facts Facts, AimKind Aim, ShopContext Shop)
{
    private static readonly Dictionary<ChoiceId, WayId> None = [];

    private readonly Facts _facts = Facts.Untouched();

    /// <summary>What is known of the tool; what was found on parts that are not to be touched asks for nothing.</summary>
    public Facts Facts { get => _facts; init => _facts = value.Untouched(); }

    /// <summary>Answers worked out once for a question; a changed question is another object and has its own.</summary>
    private static readonly ConditionalWeakTable<PlanQuestion, Answers> Known = new();

    private sealed class Answers
    {
        public ConcurrentDictionary<ChoiceId, Consulting.Answer<WayId>> Ways { get; } = new();

        public IReadOnlyList<PartDef>? Rusty { get; set; }

        public Consulting.Answer<Rust.RustPlan>? RustPlan { get; set; }

        public Consulting.Answer<IReadOnlyList<PartDef>>? Discarded { get; set; }

        public HashSet<PartId>? Sharp { get; set; }

        public ConcurrentDictionary<WayId, Consulting.Answer<Rust.SoakLoad>> Loads { get; } = new();

        public ConcurrentDictionary<PlanRule, Consulting.Answer<IReadOnlyList<Deed>>> Deeds { get; } = new();

        /// <summary>Takes over what was worked out without asking for a choice, which stays as it is whatever the way.</summary>
        public void Keep(Answers before, ChoiceId changed)
        {
            Rusty = before.Rusty;
            RustPlan = before.RustPlan?.Without(changed);
            Discarded = before.Discarded?.Without(changed);
            Sharp = before.Sharp;
            Kept(before.Ways, Ways, changed);
            Kept(before.Loads, Loads, changed);
            Kept(before.Deeds, Deeds, changed);
        }

        private static void Kept<TKey, T>(ConcurrentDictionary<TKey, Consulting.Answer<T>> from, ConcurrentDictionary<TKey, Consulting.Answer<T>> to,
            ChoiceId changed)
            where TKey : notnull
        {
            foreach ((TKey key, Consulting.Answer<T> answer) in from)
            {
                if (answer.Without(changed) is { } same)
                {
                    to[key] = same;
                }
            }
        }
    }

    private Answers Answered => Known.GetValue(this, _ => new Answers());

    /// <summary>Ways chosen for this tool, by choice.</summary>
    public IReadOnlyDictionary<ChoiceId, WayId> TagWays { get; init; } = None;

    /// <summary>Ways that were chosen for single parts, by choice and part.</summary>
    public IReadOnlyDictionary<(ChoiceId Choice, PartId Part), WayId> PartWays { get; init; } = new Dictionary<(ChoiceId, PartId), WayId>();

    /// <summary>Ways the shop prefers, by choice.</summary>
    public IReadOnlyDictionary<ChoiceId, WayId> ShopWays
    {
        get => Shop.Ways;
        init => Shop = Shop with { Ways = value };
    }

    /// <summary>Kit the shop says it has not got.</summary>
    public IReadOnlySet<SupplyId> Lacking
    {
        get => Shop.Lacking;
        init => Shop = Shop with { Lacking = value };
    }

    /// <summary>Shop temperature, °C.</summary>
    public double TemperatureC
    {
        get => Shop.Climate.TemperatureC;
        init => Shop = Shop with { Climate = Shop.Climate with { TemperatureC = value } };
    }

    /// <summary>Shop humidity, %.</summary>
    public double RelativeHumidityPercent
    {
        get => Shop.Climate.RelativeHumidityPercent;
        init => Shop = Shop with { Climate = Shop.Climate with { RelativeHumidityPercent = value } };
    }

    /// <summary>Its kind with its parts.</summary>
    public ToolKind Tool => Facts.Tool;

    /// <summary>What stands: for each part and fault what the latest look says.</summary>
    public IReadOnlyList<Found> Findings
    {
        get => Facts.Findings;
        init => Facts = Facts with { Findings = value };
    }

    /// <summary>Length of the tool as measured, mm.</summary>
    public double? LengthMm
    {
        get => Facts.Build.LengthMm;
        init => Facts = Facts with { Build = Facts.Build with { LengthMm = value } };
    }

    /// <summary>What its sole is for.</summary>
    public SolePurpose? Purpose => Facts.Build.Purpose;

    /// <summary>Parts that do not belong to it, as far as their evidence says.</summary>
    public IReadOnlySet<PartId> Odd { get; init; } = new HashSet<PartId>();

    /// <summary>What it did when it was tried as found.</summary>
    public AsFoundTry? Tried
    {
        get => Facts.Tried;
        init => Facts = Facts with { Tried = value };
    }

    /// <summary>How this shop dresses its own tools: a colour, a grip.</summary>
    public string Dress
    {
        get => Shop.Dress;
        init => Shop = Shop with { Dress = value };
    }

    /// <summary>Worst degree of a fault, on any part or on those given; 0 when there is none.</summary>
    public int Worst(FindingKind kind, params ReadOnlySpan<PartId> parts) => Facts.Worst(kind, parts);

    /// <summary>Worst degree of a kind of finding on these parts and no others; 0 when there is none.</summary>
    public int WorstOn(FindingKind kind, IEnumerable<PartId> parts) => parts.Select(p => Worst(kind, p)).DefaultIfEmpty(0).Max();

    /// <summary>True for a missing part that is on order.</summary>
    public bool Ordered(PartDef part) => Findings.Any(f => f.Part == part.Id && f.Kind == FindingKind.Missing && f.OnOrder);

    /// <summary>True when the tool has the part and it is not missing.</summary>
    public bool Has(PartId part) => Facts.Has(part);

    /// <summary>Parts of iron and steel that are there.</summary>
    public IEnumerable<PartDef> Ferrous => Worked.Where(p => p.Ferrous);

    /// <summary>Parts of the tool that are there and may be worked on.</summary>
    public IEnumerable<PartDef> Worked => Present.Where(p => p.Spared is null);

    /// <summary>Parts of the tool that are there and are not to be touched.</summary>
    public IEnumerable<PartDef> SparedParts => Present.Where(p => p.Spared is not null);

    /// <summary>True when the tool has the part and it may be worked on.</summary>
    public bool May(PartId part) => Has(part) && Tool.Part(part)!.Spared is null;

    /// <summary>Parts of these that are there, or do the work of one.</summary>
    public IEnumerable<PartDef> Those(params PartId[] parts) => Worked.Where(p => p.Is(parts));

    /// <summary>Parts of the tool that are there.</summary>
    public IEnumerable<PartDef> Present => Tool.Parts.Where(p => Has(p.Id));

    /// <summary>Parts with a finding of this kind at this degree or worse.</summary>
    public IEnumerable<PartDef> With(FindingKind kind, int degree = 1) => Present.Where(p => Worst(kind, p.Id) >= degree);

    /// <summary>The same without parts that are thrown away: no work is put into them.</summary>
    public IEnumerable<PartDef> Staying(FindingKind kind, int degree = 1) => With(kind, degree).Except(Discarded);

    /// <summary>Parts that are missing.</summary>
    public IEnumerable<PartDef> Gone => Tool.Parts.Where(p => Worst(FindingKind.Missing, p.Id) >= 1);

    /// <summary>The latest value of a measure, on any of these parts; null when it was not taken.</summary>
    public double? Measured(MeasureId measure, params ReadOnlySpan<PartId> parts) => Facts.Measured(measure, parts);

    /// <summary>How large its parts are.</summary>
    public IReadOnlyDictionary<PartId, PartExtent> Extents => State.Extents.Of(Facts, Shop.Assumptions);

    /// <summary>Hands-on minutes in this shop of a step that takes the same whatever the size.</summary>
    public ThreePoint Minutes(StepKey step, StepCase @case = StepCase.Usual) => Minutes(step, default(Work), @case);

    /// <summary>Hands-on minutes of a step on parts of this tool, in this shop.</summary>
    public ThreePoint Minutes(StepKey step, IEnumerable<PartDef> on, StepCase @case = StepCase.Usual) => Minutes(step, Extents.Work(on), @case);

    /// <summary>Hands-on minutes of a step in this shop, to half a minute.</summary>
    /// <param name="step">The step.</param>
    /// <param name="work">What there is to work on.</param>
    /// <param name="case">In which case.</param>
    public ThreePoint Minutes(StepKey step, Work work, StepCase @case = StepCase.Usual)
    {
        (double low, double likely, double high) = Shop.Assumptions.MinutesOf(step, @case, work);
        double times = Aim == AimKind.Show && StepSets.Seen.Has(step) ? Shop.Assumptions.ShowTimes : 1;
        return (new ThreePoint(low, likely, high) * times).Halves();
    }

    /// <summary>The sole, which is as long as the tool: its face and what runs round it.</summary>
    public Work Sole => Work.Surface(Facts.LengthMm * Facts.SoleWidthMm(Shop.Assumptions) / Mm2InDm2) with
    {
        RimDm = 2 * (Facts.LengthMm + Facts.SoleWidthMm(Shop.Assumptions)) / MmInDm,
    };

    private const double Mm2InDm2 = 10_000, MmInDm = 100;

    /// <summary>Metal a step takes off, mm.</summary>
    public double Metal(StepKey step, StepCase @case = StepCase.Usual) => Shop.Assumptions.MetalOf(step, @case);

    /// <summary>The cutting parts that are there.</summary>
    public IEnumerable<PartDef> Edges => Tool.Edges.Where(p => May(p.Id));

    /// <summary>
    /// The way taken for a choice: the one chosen for this tool, else the shop's, else the one the book advises; one that is closed gives way to the next open
    /// one.
    /// </summary>
    public WayId Way(ChoiceId choice) => Consulting.Read(Answered.Ways, choice, c =>
    {
        Consulting.Note(c);
        return Choices.Find(c).Take(this).Id;
    });

    /// <summary>The same question with another way chosen for this tool.</summary>
    public PlanQuestion With(ChoiceId choice, WayId way)
    {
        PlanQuestion other = this with { TagWays = new Dictionary<ChoiceId, WayId>(TagWays) { [choice] = way } };
        other.Answered.Keep(Answered, choice);
        return other;
    }

    /// <summary>The deeds a rule gives for this tool, worked out once.</summary>
    internal IReadOnlyList<Deed> DeedsOf(PlanRule rule, Func<PlanRule, IReadOnlyList<Deed>> work) => Consulting.Read(Answered.Deeds, rule, work);

    /// <summary>Ferrous parts with rust that pays for more than a wipe.</summary>
    public IReadOnlyList<PartDef> Rusty => Answered.Rusty ??= [.. With(FindingKind.Rust, 2).Where(p => p.Ferrous)];

    /// <summary>Ferrous parts with a light bloom that a wipe takes off.</summary>
    public IEnumerable<PartDef> Bloomed => With(FindingKind.Rust).Where(p => p.Ferrous && Worst(FindingKind.Rust, p.Id) == 1);

    /// <summary>The way of a choice for a part: the one chosen for it where it is open, else that of the whole tool.</summary>
    /// <param name="choice">Rust, coating or wood.</param>
    /// <param name="part">The part.</param>
    public WayId WayFor(ChoiceId choice, PartDef part) => PartWays.TryGetValue((choice, part.Id), out WayId own) && Aim != AimKind.Keep
        && (choice == ChoiceId.Rust || Ways.PartChoices.Blocked(this, choice, own, part) is null) ? own : Way(choice);

    /// <summary>The way rust comes off a part: the one chosen for it, else that of the whole tool.</summary>
    public WayId RustWay(PartDef part) => WayFor(ChoiceId.Rust, part);

    /// <summary>How the rust of this tool comes off, part by part.</summary>
    public Rust.RustPlan RustPlan
    {
        get
        {
            Consulting.Answer<Rust.RustPlan> answer = Answered.RustPlan ??= Consulting.Listen(() => Rust.RustPlan.Of(this));
            Consulting.Note(answer.Asked);
            return answer.Value;
        }
    }

    /// <summary>What would go into the bath of a way if all that is rusty went that way; for a dip, all that has a bloom.</summary>
    public Rust.SoakLoad LoadBy(WayId way) =>
        Consulting.Read(Answered.Loads, way, w => Rust.SoakLoad.Of(this, w, w == WayId.Dip ? [.. Bloomed] : Rusty));

    /// <summary>Parts that go into a bath.</summary>
    public IReadOnlyList<PartDef> SoakLoad => RustPlan.Soaked;

    /// <summary>What a part stands in a bath, with the mark on it taken into account; a coat that is stripped or covered sets no limit.</summary>
    public LoadLimit Limit(BathKind bath, PartDef part) => part.Spared is not null ? new LoadLimit(false, null, "It is not to be touched") :
        Shop.Baths.For(bath, SurfaceWays.Renews(this, part) ? part with { Finish = PartFinish.Bare } : part, Etched(part),
            DullPlate(part));

    /// <summary>True for a part with an etched mark that should be kept. Saw plates are etched; other marks are struck.</summary>
    public bool Etched(PartDef part) => part.Is(PartIds.Plate) && Worst(FindingKind.Mark, part.Id) >= 1;

    /// <summary>True for a screw, nut or pin losing a plating that nobody can tell by eye.</summary>
    public bool DullPlate(PartDef part) => part.IsFastener && Worst(FindingKind.PlatingLoss, part.Id) >= 1;

    /// <summary>True when a joint that opening destroys is opened: what it holds is broken, gone or past seating again, or it is wanted off.</summary>
    public bool Opened => HandleWays.Opened(this);

    /// <summary>Parts that are thrown away because new ones take their place: a broken haft and its wedge, a broken handle.</summary>
    public IReadOnlyList<PartDef> Discarded
    {
        get
        {
            Consulting.Answer<IReadOnlyList<PartDef>> answer = Answered.Discarded ??= Consulting.Listen<IReadOnlyList<PartDef>>(() => [.. Replaced()]);
            Consulting.Note(answer.Asked);
            return answer.Value;
        }
    }

    private IEnumerable<PartDef> Replaced() => HandleWays.Remade(this) is { Count: > 0 } remade
        ? Present.Where(p => remade.Contains(p) || (p.Is(PartIds.Wedge) && Tool.Part(PartIds.Haft) is not null))
        : HandleWays.WedgeIsPast(this) ? Those(PartIds.Wedge) : [];

    /// <summary>Keys of what cuts the hand that holds it: edges, and those of a set.</summary>
    public IReadOnlySet<PartId> Sharp => Answered.Sharp ??= [.. Edges.Concat(Tool.Set).Select(p => p.Id)];

    /// <summary>How rusty the parts are.</summary>
    public RustLevel RustLevel => LevelOf(Worst(FindingKind.Rust));

    /// <summary>How rusty a degree of the written scale is.</summary>
    public static RustLevel LevelOf(int degree) => degree switch { <= 1 => RustLevel.Light, 2 => RustLevel.Medium, _ => RustLevel.Heavy };

    /// <summary>Length over which a metal-soled body is heavy enough to hurt, mm.</summary>
    private const double HeavyFromMm = 500;

    /// <summary>True for a casting that crushes fingers when it slips.</summary>
    public bool Heavy => Tool.HasMetalSole && Facts.LengthMm > HeavyFromMm;

    /// <summary>Keys of the cautions that go with handling the whole tool: its springs, its edge or teeth, its weight.</summary>
    public IReadOnlyList<CautionId> Handling(bool heavy = false) =>
    [
        .. Present.Any(p => p.Joint == Joint.Sprung) ? [CautionId.Spring] : Array.Empty<CautionId>(),
        .. Edges.Any() ? [CautionId.BareEdge] : Array.Empty<CautionId>(),
        .. Tool.Family == Family.Saw ? [CautionId.Teeth] : Array.Empty<CautionId>(),
        .. heavy && Heavy ? [CautionId.Heavy] : Array.Empty<CautionId>(),
    ];

    /// <summary>Part names in a sentence.</summary>
    public static string Names(IEnumerable<PartDef> parts)
    {
        List<string> names = [.. parts.Select(p => p.Name)];
        return names.Count switch { 0 => "nothing", 1 => names[0], <= 4 => string.Join(", ", names[..^1]) + " and " + names[^1], _ =>
            string.Join(", ", names[..3]) + $" and {names.Count - 3} more" };
    }

    /// <summary>
    /// Parts of this tool in a sentence, many of them by what they have in common: "all iron and steel but the springs",
    /// "all wood and all brass".
    /// </summary>
    public string Called(IEnumerable<PartDef> parts)
    {
        List<PartDef> left = [.. parts];
        if (left.Count <= MostNamed)
        {
            return Names(left);
        }
        List<(string Name, HashSet<PartDef> Parts)> groups = [.. PartGroups.Of(Tool).Select(g => (g.Name, g.Parts.Where(p => Has(p.Id)).ToHashSet()))
            .Where(g => g.Item2.Count > 1).OrderByDescending(g => g.Item2.Count)];
        foreach ((string name, HashSet<PartDef> all) in groups.Where(g => left.All(g.Parts.Contains)))
        {
            List<PartDef> but = [.. all.Except(left)];
            if (but.Count <= MostExcepted)
            {
                return but.Count == 0 ? name : $"{name} but the {Names(but)}";
            }
        }
        List<string> said = [];
        foreach ((string name, HashSet<PartDef> all) in groups.Where(g => g.Parts.Count > 0))
        {
            if (all.All(left.Contains))
            {
                said.Add(name);
                left.RemoveAll(all.Contains);
            }
        }
        said.AddRange(left.Select(p => p.Name));
        return said.Count <= MostNamed ? Units.Sentences.List(said) : Names(parts);
    }

    private const int MostNamed = 4, MostExcepted = 2;

    /// <summary>The verb that agrees with parts in a sentence: "is" for one thing, "are" for several.</summary>
    public static string Verb(IEnumerable<PartDef> parts, string one = "is", string several = "are") =>
        parts.Take(2).ToList() is [var only] && !only.Name.EndsWith('s') ? one : several;

    /// <summary>How hand work runs on parts: along the machining of a casting, lengthwise on what was forged or rolled.</summary>
    public static string Along(IEnumerable<PartDef> parts) => parts.Any(p => p.Material == Material.CastIron) ? "With the machining lines" : "Lengthwise";

    /// <summary>Keys of parts.</summary>
    public static List<PartId> Ids(IEnumerable<PartDef> parts) => [.. parts.Select(p => p.Id)];
}
