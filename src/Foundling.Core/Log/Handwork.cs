using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Units;

namespace Foundling.Core.Log;

/// <summary>What came of moving a step.</summary>
/// <param name="Deeds">The deeds in their new order; as they were when it is forbidden.</param>
/// <param name="Forbidden">The rule that forbids it, in a sentence; null when it was moved.</param>
/// <param name="Warning">What practitioners say against it; null for nothing.</param>
public sealed record MoveResult(IReadOnlyList<Deed> Deeds, string? Forbidden, string? Warning);

/// <summary>Why a rod no longer fits what is known, in the titles of steps.</summary>
/// <param name="In">What planning again would put in.</param>
/// <param name="Out">What it would take out.</param>
/// <param name="Otherwise">What it would do otherwise.</param>
public sealed record Unfit(IReadOnlyList<string> In, IReadOnlyList<string> Out, IReadOnlyList<string> Otherwise)
{
    /// <summary>What has changed since it was planned, in words; empty where that is not known.</summary>
    public IReadOnlyList<string> Causes { get; init; } = [];

    /// <summary>What its materials cost when it was planned and what they cost now, where prices alone make the difference; null for no difference.</summary>
    public (double Then, double Now)? Cost { get; init; }
}

/// <summary>What a person changes on a rod, and how a fresh plan keeps it. Nothing given is changed: each answer is a new list.</summary>
public static class Handwork
{
    private const int MostTitle = 200, MostReason = 300;
    private const double MostWaitMin = 90 * 24 * 60;

    /// <summary>
    /// Makes a fresh plan and keeps what is done or left out, and what was added, split and moved by hand. A step that was
    /// split is whole again when the fresh plan asks for another act under its key.
    /// </summary>
    public static IReadOnlyList<Deed> Replan(IReadOnlyList<PlanStep> current, PlanQuestion question)
    {
        List<Deed> fresh = [.. Planner.Steps(question)];
        HashSet<DeedId> sameAct = [.. current.Where(c => c.State != StepState.Open || fresh.Any(f => f.Id == c.Key && f.Title == c.Title)).Select(c => c.Key)];
        foreach (PlanStep old in current)
        {
            int at = fresh.FindIndex(s => s.Id == old.Key);
            if (old.State != StepState.Open)
            {
                if (at >= 0)
                {
                    fresh[at] = old.Deed;
                }
                else
                {
                    fresh.Add(old.Deed);
                }
            }
            else if (at >= 0)
            {
                fresh[at] = Carry(old.Deed, fresh[at]);
            }
            else if (old.Hand == StepHand.Added || (old.Hand == StepHand.Split && sameAct.Contains(old.Key.Whole)))
            {
                // A piece keeps its place behind the whole, also inside an unbroken block.
                int whole = old.Hand == StepHand.Split ? fresh.FindLastIndex(s => s.Id.Whole == old.Key.Whole) : -1;
                fresh.Insert(whole < 0 ? fresh.Count : whole + 1, old.Deed);
            }
        }
        Bonds bonds = Bonds.Of(fresh, question);
        return Planner.Bind(Place(Sequence.Sort(fresh, bonds), bonds), bonds);
    }

    /// <summary>
    /// What planning again would put in, take out and do otherwise, and what it would cost otherwise; null when the rod still fits. A step is done otherwise
    /// when it bears another title or is about other parts, and where anything the rod rests on changed also when anything else of it differs.
    /// </summary>
    /// <param name="current">The rod.</param>
    /// <param name="question">What is known now.</param>
    /// <param name="plan">The plan it was made by; null to look at the steps alone.</param>
    /// <param name="rebuilt">The build of the tool is not the one it was planned for.</param>
    public static Unfit? Stale(IReadOnlyList<PlanStep> current, PlanQuestion question, Plan? plan = null, bool rebuilt = false)
    {
        List<Deed> fresh = [.. Planner.Steps(question)];
        Rests? now = plan?.Rests is null ? null : Rests.Of(question, fresh);
        List<string> causes = [.. now is null ? [] : plan!.Rests!.Changed(now)];
        bool shaken = rebuilt || causes.Count > 0;
        List<string> comes = [.. fresh.Where(f => current.All(s => s.Key != f.Id)).Select(s => s.Title)];
        List<string> goes = [.. current.Where(s => s.State == StepState.Open && s.Hand is StepHand.Rule or StepHand.Moved
            && fresh.All(f => f.Id != s.Key)).Select(s => s.Title)];
        bool Otherwise(Deed old, Deed now) => old.Title != now.Title || !old.Parts.ToHashSet().SetEquals(now.Parts) || (shaken && PlanDiff.Differs(old, now));
        List<string> otherwise = [.. fresh.Where(f => current.Any(s => s.Key == f.Id && s.State == StepState.Open
            && s.Hand is StepHand.Rule or StepHand.Moved && Otherwise(s.Deed, f))).Select(f => f.Title)];
        bool steps = comes.Count + goes.Count + otherwise.Count > 0;
        (double, double)? cost = !steps && now is not null && now.Cost != plan!.Rests!.Cost ? (plan.Rests.Cost, now.Cost) : null;
        return steps || cost is not null ? new Unfit(comes, goes, otherwise)
        {
            Causes = rebuilt ? ["how it is built", .. causes] : causes, Cost = cost,
        } : null;
    }

    private static Deed Carry(Deed old, Deed fresh)
    {
        Deed kept = fresh with { Behind = old.Behind, First = old.First };
        return old.Hand != StepHand.Split ? kept with { Hand = old.Hand }
            : old.Title == fresh.Title ? kept with { Hand = old.Hand, Minutes = old.Minutes, Lag = old.Lag }
            : kept;
    }

    /// <summary>Puts steps a person placed where the person wanted them, as far as the hard rules allow.</summary>
    private static List<Deed> Place(List<Deed> sorted, Bonds bonds)
    {
        foreach (Deed placed in sorted.Where(s => s.First || s.Behind is not null).ToList())
        {
            List<Deed> unit = UnitOf(sorted, placed), rest = [.. sorted.Except(unit)];
            int at = placed.First ? 0 : rest.FindIndex(s => s.Id == placed.Behind) is var i and >= 0 ? EndOfUnit(rest, i) : -1;
            if (at >= 0 && Against(unit, rest.Take(at), rest.Skip(at), bonds).All(a => a.Bond.Soft))
            {
                rest.InsertRange(at, unit);
                sorted = Windows.Missed(rest).Except(Windows.Missed(sorted)).Any() ? sorted : rest;
            }
        }
        return sorted;
    }

    private static List<Deed> UnitOf(IReadOnlyList<Deed> deeds, Deed deed) => [.. deeds.Where(s => Sequence.Unit(s) == Sequence.Unit(deed))];

    private static int EndOfUnit(List<Deed> deeds, int at)
    {
        (Block?, DeedId) unit = Sequence.Unit(deeds[at]);
        while (at < deeds.Count && Sequence.Unit(deeds[at]) == unit)
        {
            at++;
        }
        return at;
    }

    private static IEnumerable<(PlanBond Bond, Deed First, Deed Then)> Against(List<Deed> unit, IEnumerable<Deed> before, IEnumerable<Deed> after,
        Bonds bonds) =>
        before.SelectMany(b => unit.Select(u => (Bond: bonds.Between(u.Id, b.Id), First: u, Then: b)))
            .Concat(after.SelectMany(a => unit.Select(u => (Bond: bonds.Between(a.Id, u.Id), First: a, Then: u))))
            .Where(p => p.Bond is not null).Select(p => (p.Bond!, p.First, p.Then));

    /// <summary>Moves an open step, with its unbroken block, to right behind another.</summary>
    /// <param name="steps">The rod, in order.</param>
    /// <param name="key">The step to move.</param>
    /// <param name="behind">The step it goes behind; null for before every open step.</param>
    /// <param name="question">What the plan is made from.</param>
    /// <exception cref="InputException">A step that is not there, or is finished.</exception>
    public static MoveResult Move(IReadOnlyList<PlanStep> steps, DeedId key, DeedId? behind, PlanQuestion question)
    {
        Deed moving = Open(steps, key).Deed;
        List<Deed> all = [.. steps.Select(s => s.Deed)], unit = UnitOf(all, moving), rest = [.. all.Except(unit)];
        HashSet<DeedId> open = [.. steps.Where(s => s.State == StepState.Open).Select(s => s.Key)];
        int at = behind is null ? rest.FindIndex(s => open.Contains(s.Id)) is var first and >= 0 ? first : rest.Count
            : rest.FindIndex(s => s.Id == behind) is var i and >= 0 ? EndOfUnit(rest, i)
            : throw new InputException("unknown_step", "behind", behind.ToString(), "a step of this rod",
                "The step it should go behind is not on this rod any more.");
        List<(PlanBond Bond, Deed First, Deed Then)> against =
            [.. Against(unit, rest.Take(at).Where(s => open.Contains(s.Id)), rest.Skip(at), Bonds.Of(all, question))];
        string Say((PlanBond Bond, Deed First, Deed Then) a) => $"\"{a.First.Title}\" comes before \"{a.Then.Title}\": {a.Bond.Why}.";
        if (against.Where(a => !a.Bond.Soft).Select(Say).FirstOrDefault() is string forbidden)
        {
            return new MoveResult(all, forbidden, null);
        }
        unit[0] = unit[0] with
        {
            Hand = unit[0].Hand is StepHand.Added or StepHand.Split ? unit[0].Hand : StepHand.Moved,
            First = at == 0, Behind = at == 0 ? null : rest[at - 1].Id,
        };
        rest.InsertRange(at, unit);
        return Windows.Missed(rest).Except(Windows.Missed(all)).FirstOrDefault() is { } missed ? new MoveResult(all, missed.Sentence, null)
            : new MoveResult(rest, null, against.Select(Say).FirstOrDefault());
    }

    /// <summary>Moves an open step one place earlier or later.</summary>
    /// <exception cref="InputException">A step that is not there, or is finished.</exception>
    public static MoveResult Nudge(IReadOnlyList<PlanStep> steps, DeedId key, bool earlier, PlanQuestion question)
    {
        PlanStep moving = Open(steps, key);
        List<List<PlanStep>> units = [.. steps.Where(s => s.State == StepState.Open).GroupBy(s => Sequence.Unit(s.Deed)).Select(g => g.ToList())];
        int at = units.FindIndex(u => u.Any(s => s.Key == key)), to = earlier ? at - 2 : at + 1;
        MoveResult Stays(string why) => new([.. steps.Select(s => s.Deed)], why, null);
        return earlier && at == 0 ? Stays($"\"{moving.Title}\" is the first of the open steps.")
            : !earlier && at == units.Count - 1 ? Stays($"\"{moving.Title}\" is the last step.")
            : Move(steps, key, to < 0 ? null : units[to][^1].Key, question);
    }

    /// <summary>Adds a step of the person's own behind another.</summary>
    /// <param name="steps">The rod, in order.</param>
    /// <param name="title">What it is.</param>
    /// <param name="stage">Its stage.</param>
    /// <param name="likelyMin">Hands-on minutes, likely.</param>
    /// <param name="reason">Why; may be left out.</param>
    /// <param name="behind">The step it goes behind; null for before every open step.</param>
    /// <param name="assumptions">How much quicker or slower a step of one's own may go.</param>
    /// <param name="waitMin">
    /// Minutes that pass by themselves after it; 0 for none. They hold what comes later on the parts of the step it is put behind.
    /// </param>
    /// <exception cref="InputException">No title, or minutes that cannot be.</exception>
    public static IReadOnlyList<Deed> Add(IReadOnlyList<PlanStep> steps, string? title, Stage stage, double likelyMin, string? reason, DeedId? behind,
        Assumptions assumptions, double waitMin = 0)
    {
        string text = Named(title, "title", "Say what the step is.");
        Check.Within(likelyMin, 0.5, 6000, "minutes");
        Check.Within(waitMin, 0, MostWaitMin, "wait");
        int free = steps.Where(s => s.Key.Step == StepKey.Own).Select(s => int.TryParse(s.Key.Of, out int n) ? n : 0).DefaultIfEmpty(0).Max() + 1;
        var deed = new Deed(new DeedId(StepKey.Own, $"{free}"), stage, text, Math.Round(likelyMin * assumptions.OwnLowShare, 1), likelyMin,
            Math.Round(likelyMin * assumptions.OwnHighTimes, 1))
        {
            Hand = StepHand.Added, First = behind is null, Behind = behind, Lag = waitMin > 0 ? Lag.Cure(waitMin) : null,
            Parts = waitMin > 0 ? steps.FirstOrDefault(s => s.Key == behind)?.Parts ?? [] : [],
            Reason = string.IsNullOrWhiteSpace(reason) ? "Added by hand." : Shorten.To(reason, MostReason), FinishTest = "You say so.",
        };
        List<Deed> all = [.. steps.Select(s => s.Deed)];
        int at = behind is null ? steps.ToList().FindIndex(s => s.State == StepState.Open) is var i and >= 0 ? i : all.Count
            : all.FindIndex(s => s.Id == behind) is var b and >= 0 ? EndOfUnit(all, b) : all.Count;
        all.Insert(at, deed);
        return [.. all.Select((d, i) => i > at && Planner.Waited(deed, d) is { } bond ? d with { After = [.. d.After, bond] } : d)];
    }

    /// <summary>Splits an open step: a second piece with its own name and minutes comes right behind it. The wait stays with the last piece.</summary>
    /// <exception cref="InputException">A step that is not there or finished, a piece without a name, or minutes that leave nothing.</exception>
    public static IReadOnlyList<Deed> Split(IReadOnlyList<PlanStep> steps, DeedId key, string? name, double minutes)
    {
        Deed whole = Open(steps, key).Deed;
        string text = Named(name, "name", "Say what the second piece is.");
        double likely = whole.Minutes.Likely;
        if (!(minutes > 0 && minutes < likely))
        {
            throw new InputException("out_of_range", "minutes", minutes, $"more than 0 and less than {likely:0.#}",
                $"The second piece takes more than 0 and less than {likely:0.#} minutes; the step has no more.");
        }
        int free = steps.Where(s => s.Key.Whole == key.Whole).Max(s => s.Key.Piece) + 1;
        ThreePoint part = new(Math.Round(whole.Minutes.Low * minutes / likely, 1), minutes, Math.Round(whole.Minutes.High * minutes / likely, 1));
        Deed piece = whole with
        {
            Id = key with { Piece = free }, Title = text, Minutes = part, Hand = StepHand.Split, First = false, Behind = whole.Id,
            After = [.. whole.After, new Follows(whole.Id, "the first piece comes first")],
        };
        Deed left = whole with
        {
            Minutes = new ThreePoint(Math.Round(whole.Minutes.Low - part.Low, 1), Math.Round(likely - minutes, 1),
                Math.Round(whole.Minutes.High - part.High, 1)),
            Lag = null, Hand = whole.Hand == StepHand.Added ? StepHand.Added : StepHand.Split,
        };
        List<Deed> all = [.. steps.Select(s => s.Key == key ? left : Behind(s.Deed, whole, piece))];
        all.Insert(all.IndexOf(left) + 1, piece);
        return all;
    }

    // What came after the whole comes after its last piece too, which has the wait now.
    private static Deed Behind(Deed deed, Deed whole, Deed piece) => deed.After.FirstOrDefault(a => a.Id == whole.Id) is not { } bond ? deed
        : deed with { After = [.. deed.After.Select(a => a.Id == whole.Id ? a with { Lag = null } : a), bond with { Id = piece.Id }] };

    private static string Named(string? words, string field, string otherwise)
    {
        string text = (words ?? "").Trim();
        return text.Length is > 0 and <= MostTitle ? text : throw new InputException("required", field, words, $"1 to {MostTitle} characters",
            text.Length == 0 ? otherwise : $"Say it in at most {MostTitle} characters.");
    }

    private static PlanStep Open(IReadOnlyList<PlanStep> steps, DeedId key)
    {
        PlanStep step = steps.FirstOrDefault(s => s.Key == key) ?? throw new InputException("unknown_step", "step", key.ToString(), "a step of this rod",
            "That step is not on this rod any more.");
        return step.State == StepState.Open ? step : throw new InputException("step_finished", "step", key.ToString(), "an open step",
            $"\"{step.Title}\" is finished; open it again first.");
    }
}
