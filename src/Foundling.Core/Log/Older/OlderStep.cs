using System.Globalization;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Safety;
using Foundling.Core.Stores;

namespace Foundling.Core.Log.Older;

/// <summary>
/// A step as shops and bundles of the first format kept it: the deed, what a person did to it and how it stands, all in one,
/// with texts for keys. It is only read.
/// </summary>
public sealed record OlderStep(string Key, int Order, Stage Stage, string Title, double LowMin, double LikelyMin, double HighMin)
{
    private const string OwnPrefix = "own-step-", FindPrefix = "find-", FitPrefix = "irons-fit-";

    /// <summary>Parts it is about.</summary>
    public IReadOnlyList<string> Parts { get; init; } = [];

    /// <summary>Waiting after it, minutes.</summary>
    public double? WaitMin { get; init; }

    /// <summary>Look in after so many minutes.</summary>
    public double? LookInMin { get; init; }

    /// <summary>The wait must end by then, minutes.</summary>
    public double? OutByMin { get; init; }

    /// <summary>Why.</summary>
    public string Reason { get; init; } = "";

    /// <summary>How.</summary>
    public string How { get; init; } = "";

    /// <summary>What it needs, each as "name: amount unit".</summary>
    public IReadOnlyList<string> Materials { get; init; } = [];

    /// <summary>Keys of cautions, parted by spaces.</summary>
    public string Caution { get; init; } = "";

    /// <summary>How to know that it is finished.</summary>
    public string FinishTest { get; init; } = "";

    /// <summary>False when it cannot be undone.</summary>
    public bool Undoable { get; init; } = true;

    /// <summary>Original surface it costs.</summary>
    public string SurfaceLost { get; init; } = "";

    /// <summary>Metal it takes off, mm.</summary>
    public double MetalRemovedMm { get; init; }

    /// <summary>Unbroken block, in words.</summary>
    public string? Block { get; init; }

    /// <summary>Rule that put it in.</summary>
    public string Rule { get; init; } = "";

    /// <summary>Choice it follows from.</summary>
    public string Choice { get; init; } = "";

    /// <summary>What a person did to it.</summary>
    public StepHand Hand { get; init; }

    /// <summary>Key of the step a person put it behind; empty for the very first place.</summary>
    public string? After { get; init; }

    /// <summary>What it waits for.</summary>
    public string WaitsFor { get; init; } = "";

    /// <summary>When that should come.</summary>
    public DateOnly? ArrivesOn { get; init; }

    /// <summary>When it was agreed to.</summary>
    public DateTimeOffset? AgreedAt { get; init; }

    /// <summary>Who agreed and why.</summary>
    public string Agreed { get; init; } = "";

    /// <summary>Where it stands.</summary>
    public StepState State { get; init; }

    /// <summary>When it was finished or left out.</summary>
    public DateTimeOffset? EndedAt { get; init; }

    /// <summary>Why it was left out.</summary>
    public string SkipReason { get; init; } = "";

    /// <summary>The key of a step as it is written now; null for one this version does not know.</summary>
    public static DeedId? IdOf(string? key)
    {
        string text = key ?? "";
        string now = text.StartsWith(OwnPrefix, StringComparison.Ordinal) ? "own:" + text[OwnPrefix.Length..]
            : text.StartsWith(FindPrefix, StringComparison.Ordinal) ? "find:" + text[FindPrefix.Length..]
            : text.StartsWith(FitPrefix, StringComparison.Ordinal) ? "irons-fit:" + text[FitPrefix.Length..]
            : text;
        return DeedId.TryParse(now, null, out DeedId id) ? id : null;
    }

    /// <summary>How a wait after a step ended in the first format, where only its step and its limit said so.</summary>
    public static LagKind LagOf(DeedId step, bool limited) => step.Step switch
    {
        StepKey.NextLook => LagKind.LookAgain,
        StepKey.Soak => LagKind.OutBy,
        _ when !limited => LagKind.Cure,
        StepKey.WoodOil => LagKind.WipeOff,
        StepKey.CoatPrime or StepKey.Coat1 or StepKey.Coat2 => LagKind.RecoatBefore,
        _ => LagKind.OutBy,
    };

    /// <summary>Steps that end a wait after a step.</summary>
    public static IReadOnlyList<StepKey> EndedBy(DeedId step, bool limited) => LagOf(step, limited) switch
    {
        LagKind.OutBy => [StepKey.SoakLift],
        LagKind.WipeOff => [StepKey.WoodWipe],
        LagKind.RecoatBefore => step.Step == StepKey.CoatPrime ? [StepKey.Coat1, StepKey.Coat2] : [StepKey.Coat2],
        _ => [],
    };

    /// <summary>The deed of it; a key this version does not know becomes a step of the person's own, so that nothing is lost.</summary>
    public Deed Deed(int free) => new(IdOf(Key) ?? new DeedId(StepKey.Own, $"{free}"), Stage, Title, new ThreePoint(LowMin, LikelyMin, HighMin))
    {
        Parts = [.. Parts.Select(PartId.Of)], Needs = [.. Materials.Select(Needed)], Reason = Reason, How = How, FinishTest = FinishTest, Final = !Undoable,
        Cautions = [.. Caution.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(c => KeyText.Read<CautionId>(c)).OfType<CautionId>()],
        OnlyIfNeeded = Title.StartsWith("If ", StringComparison.Ordinal), SurfaceLost = Surfaces.Read(SurfaceLost), MetalRemovedMm = MetalRemovedMm,
        Rule = Rule,
        Block = Block switch
        {
            "out of the bath" => Rod.Block.OutOfTheBath, "out of the cabinet" => Rod.Block.OutOfTheCabinet, "honed and covered" => Rod.Block.HonedAndCovered,
            _ => null,
        },
        Choice = KeyText.Read<ChoiceId>(Choice), Hand = Hand, First = After is "", Behind = After is "" ? null : IdOf(After), WaitsFor = WaitsFor,
        ArrivesOn = ArrivesOn, Lag = Waiting(), Bath = IdOf(Key)?.Step == StepKey.Soak ? Bathed() : null,
    };

    /// <summary>How it stands; null for a step nothing happened to.</summary>
    public StepMark? Mark(Deed deed) => State == StepState.Open && AgreedAt is null ? null : new StepMark
    {
        Deed = deed.Id, State = State, EndedAt = EndedAt, SkipReason = SkipReason, AgreedAt = AgreedAt, Agreed = Agreed,
        AgreedTo = AgreedAt is null ? "" : deed.Content,
    };

    private Lag? Waiting()
    {
        DeedId id = IdOf(Key) ?? default;
        return id.Step == StepKey.NextLook && LookInMin is double look ? Lag.LookAgain(look)
            : WaitMin is not double wait ? null
            : new Lag(LagOf(id, OutByMin is not null), wait, OutByMin, LookInMin, EndedBy(id, OutByMin is not null));
    }

    private Baths.BathKind Bathed() => Materials.Select(m => Needed(m).Item).Select(i =>
        i == SupplyIds.CitricAcid ? Baths.BathKind.Citric : i == SupplyIds.Vinegar ? Baths.BathKind.Acetic
        : i == SupplyIds.WashingSoda ? Baths.BathKind.Electrolysis : (Baths.BathKind?)null).FirstOrDefault(b => b is not null) ?? Baths.BathKind.Chelating;

    private static Need Needed(string text)
    {
        int at = text.LastIndexOf(": ", StringComparison.Ordinal);
        string[] amount = at > 0 ? text[(at + 2)..].Split(' ', 2) : [];
        bool counted = amount.Length == 2;
        double value = 0;
        counted = counted && double.TryParse(amount[0], NumberStyles.Float, CultureInfo.InvariantCulture, out value);
        string name = counted ? text[..at] : text;
        return new Need(Supplies.Named(name)?.Id ?? SupplyId.Of(name), counted ? value : null);
    }
}

/// <summary>What the steps of the first format become: a plan, how its deeds stand, and the events that say so.</summary>
public static class OlderRod
{
    private static readonly TimeSpan SameMoment = TimeSpan.FromSeconds(5);

    /// <summary>Reads the steps of a tag.</summary>
    /// <param name="steps">The steps, in order.</param>
    /// <param name="aim">How far the plan went.</param>
    /// <param name="ways">Ways chosen for the tag.</param>
    public static (Plan Plan, IReadOnlyList<StepMark> Marks) Read(IReadOnlyList<OlderStep> steps, AimKind aim, IReadOnlyDictionary<ChoiceId, WayId> ways)
    {
        int own = steps.Count(s => OlderStep.IdOf(s.Key)?.Step == StepKey.Own) + 1;
        List<(OlderStep Step, Deed Deed)> all = [.. steps.OrderBy(s => s.Order).Select(s => (s, s.Deed(OlderStep.IdOf(s.Key) is null ? own++ : own)))];
        return (new Plan(aim, InTurn([.. all.Select(a => a.Deed)])) { Ways = ways, Why = "kept from before" },
            [.. all.Select(a => a.Step.Mark(a.Deed)).OfType<StepMark>()]);
    }

    /// <summary>Each deed after the last one before it on each of its parts: the order it was planned in, and its waits.</summary>
    private static List<Deed> InTurn(IReadOnlyList<Deed> deeds)
    {
        Dictionary<PartId, Deed> last = [];
        Deed? whole = null;
        List<Deed> bound = [];
        foreach (Deed deed in deeds)
        {
            IEnumerable<Deed> before = deed.Parts.Count == 0 ? [.. last.Values, .. whole is null ? Array.Empty<Deed>() : [whole]]
                : deed.Parts.Select(p => last.GetValueOrDefault(p) ?? whole).OfType<Deed>();
            bound.Add(deed with
            {
                After = [.. before.DistinctBy(d => d.Id).Select(d => new Follows(d.Id, "it was planned before it",
                    d.Lag is { Kind: not LagKind.LookAgain } ? d.Lag : null))],
            });
            if (deed.Parts.Count == 0)
            {
                last.Clear();
                whole = deed;
            }
            foreach (PartId part in deed.Parts)
            {
                last[part] = deed;
            }
        }
        return bound;
    }

    /// <summary>
    /// The log in today's words: a step left out carries its reason alone, and what the steps said but no event did is told.
    /// </summary>
    public static IReadOnlyList<BenchEvent> Events(IEnumerable<BenchEvent> log, IReadOnlyList<StepMark> marks, Plan plan)
    {
        List<BenchEvent> events = [.. log.Select(e => e.Kind == EventKind.LeftOut && e.Step is DeedId id && plan.Find(id) is { } deed
            && e.Text.StartsWith(deed.Title + ": ", StringComparison.Ordinal) ? e.Copy(text: e.Text[(deed.Title.Length + 2)..]) : e)];
        IReadOnlyDictionary<DeedId, StepMark> told = Log.Standings.Of(events);
        foreach (StepMark mark in marks)
        {
            StepMark? said = told.GetValueOrDefault(mark.Deed);
            if (mark.AgreedAt is DateTimeOffset agreed)
            {
                events.Add(BenchEvent.New(agreed, EventKind.Agreed, mark.Agreed, mark.Deed).Copy(bound: mark.AgreedTo));
            }
            if (mark.EndedAt is DateTimeOffset ended && said?.State == mark.State && said.SkipReason == mark.SkipReason
                && said.EndedAt is DateTimeOffset toldAt && (toldAt - ended).Duration() < SameMoment)
            {
                // The step and its event were written one after the other; the event's moment is the one that counts.
                mark.EndedAt = toldAt;
            }
            else if (mark.EndedAt is not null)
            {
                bool done = mark.State == StepState.Done;
                events.Add(BenchEvent.New(mark.EndedAt.Value, done ? EventKind.Done : EventKind.LeftOut, done ? plan.Find(mark.Deed)?.Title ?? ""
                    : mark.SkipReason, mark.Deed));
            }
        }
        return events;
    }
}
