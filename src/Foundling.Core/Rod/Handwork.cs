using Foundling.Core.Tags;

namespace Foundling.Core.Rod;

/// <summary>What came of moving a step.</summary>
/// <param name="Steps">The steps in their new order; as they were when it is forbidden.</param>
/// <param name="Forbidden">The rule that forbids it, in a sentence; null when it was moved.</param>
/// <param name="Warning">What practitioners say against it; null for nothing.</param>
public sealed record MoveResult(IReadOnlyList<PlanStep> Steps, string? Forbidden, string? Warning);

/// <summary>What a person changes on a rod, and how a fresh plan keeps it.</summary>
public static class Handwork
{
    /// <summary>
    /// Makes a fresh plan and keeps what is done or left out, what was added, split and moved by hand, and what was agreed.
    /// </summary>
    public static IReadOnlyList<PlanStep> Replan(IReadOnlyList<PlanStep> current, PlanQuestion question)
    {
        List<PlanStep> fresh = [.. Planner.Steps(question)];
        foreach (PlanStep old in current)
        {
            int at = fresh.FindIndex(s => s.Key == old.Key);
            if (old.State != StepState.Open)
            {
                if (at >= 0)
                {
                    fresh[at] = old;
                }
                else
                {
                    fresh.Add(old);
                }
            }
            else if (at >= 0)
            {
                Carry(old, fresh[at]);
            }
            else if (old.Hand == StepHand.Added || (old.Hand == StepHand.Split && (fresh.Any(s => s.Key == Whole(old.Key))
                || current.Any(s => s.Key == Whole(old.Key) && s.State != StepState.Open))))
            {
                // A piece keeps its place behind the whole, also inside an unbroken block.
                int whole = old.Hand == StepHand.Split ? fresh.FindLastIndex(s => Whole(s.Key) == Whole(old.Key)) : -1;
                fresh.Insert(whole < 0 ? fresh.Count : whole + 1, old);
            }
        }
        return Place(Sequence.Sort(fresh, question), question);
    }

    /// <summary>What planning again would put in and take out, in the titles of the steps; null when the rod still fits.</summary>
    public static (IReadOnlyList<string> In, IReadOnlyList<string> Out)? Stale(IReadOnlyList<PlanStep> current, PlanQuestion question)
    {
        List<PlanStep> fresh = [.. Planner.Steps(question)];
        List<string> comes = [.. fresh.Where(f => current.All(s => s.Key != f.Key)).Select(s => s.Title)],
            goes = [.. current.Where(s => s.State == StepState.Open && s.Hand is StepHand.Rule or StepHand.Moved && fresh.All(f => f.Key != s.Key)).Select(s =>
            s.Title)];
        return comes.Count + goes.Count == 0 ? null : (comes, goes);
    }

    private static string Whole(string key) => key.Split('/')[0];

    private static void Carry(PlanStep old, PlanStep fresh)
    {
        (fresh.Hand, fresh.After, fresh.Agreed, fresh.AgreedAt) = (old.Hand, old.After, old.Agreed, old.AgreedAt);
        if (old.Hand == StepHand.Split)
        {
            (fresh.Title, fresh.LowMin, fresh.LikelyMin, fresh.HighMin, fresh.WaitMin, fresh.LookInMin, fresh.OutByMin) = (old.Title, old.LowMin,
                old.LikelyMin, old.HighMin, old.WaitMin, old.LookInMin, old.OutByMin);
        }
    }

    /// <summary>Puts steps a person placed where the person wanted them, as far as the hard rules allow.</summary>
    private static List<PlanStep> Place(List<PlanStep> sorted, PlanQuestion question)
    {
        foreach (PlanStep placed in sorted.Where(s => s.After is not null).ToList())
        {
            List<PlanStep> unit = [.. sorted.Where(s => Sequence.Unit(s) == Sequence.Unit(placed))], rest = [.. sorted.Except(unit)];
            int at = placed.After!.Length == 0 ? 0 : rest.FindIndex(s => s.Key == placed.After) is var i and >= 0 ? EndOfUnit(rest, i) : -1;
            if (at >= 0 && Against(unit, rest.Take(at), rest.Skip(at), question).FirstOrDefault(a => !a.Rule.Soft).Rule is null)
            {
                rest.InsertRange(at, unit);
                sorted = rest;
            }
        }
        Sequence.Number(sorted);
        return sorted;
    }

    private static int EndOfUnit(List<PlanStep> steps, int at)
    {
        string unit = Sequence.Unit(steps[at]);
        while (at < steps.Count && Sequence.Unit(steps[at]) == unit)
        {
            at++;
        }
        return at;
    }

    private static IEnumerable<(OrderRule Rule, PlanStep First, PlanStep Then)> Against(List<PlanStep> unit, IEnumerable<PlanStep> before,
        IEnumerable<PlanStep> after, PlanQuestion question) =>
        before.SelectMany(b => unit.SelectMany(u => Planner.Between(u.Key, b.Key, question).Select(r => (r, u, b))))
            .Concat(after.SelectMany(a => unit.SelectMany(u => Planner.Between(a.Key, u.Key, question).Select(r => (r, a, u)))));

    /// <summary>Moves an open step, with its unbroken block, to right behind another; behind nothing is before every open step.</summary>
    /// <param name="steps">The rod, in order.</param>
    /// <param name="key">Key of the step to move.</param>
    /// <param name="behind">Key of the step it goes behind; empty for the front.</param>
    /// <param name="question">What the plan is made from.</param>
    /// <exception cref="InputException">A step that is not there, or is finished.</exception>
    public static MoveResult Move(IReadOnlyList<PlanStep> steps, string key, string behind, PlanQuestion question)
    {
        PlanStep moving = Open(steps, key);
        List<PlanStep> unit = [.. steps.Where(s => Sequence.Unit(s) == Sequence.Unit(moving))], rest = [.. steps.Except(unit)];
        int at = behind.Length == 0 ? rest.FindIndex(s => s.State == StepState.Open) is var first and >= 0 ? first : rest.Count
            : rest.FindIndex(s => s.Key == behind) is var i and >= 0 ? EndOfUnit(rest, i) : throw new InputException("unknown_step", "behind", behind,
                "a step of this rod", "The step it should go behind is not on this rod any more.");
        List<(OrderRule Rule, PlanStep First, PlanStep Then)> against = [.. Against(unit, rest.Take(at).Where(s => s.State == StepState.Open), rest.Skip(at),
            question)];
        string Say((OrderRule Rule, PlanStep First, PlanStep Then) a) => $"\"{a.First.Title}\" comes before \"{a.Then.Title}\": {a.Rule.Why}.";
        if (against.Where(a => !a.Rule.Soft).Select(Say).FirstOrDefault() is string forbidden)
        {
            return new MoveResult(steps, forbidden, null);
        }
        rest.InsertRange(at, unit);
        Sequence.Number(rest);
        PlanStep head = unit[0];
        (head.Hand, head.After) = (head.Hand is StepHand.Added or StepHand.Split ? head.Hand : StepHand.Moved, at == 0 ? "" : rest[at - 1].Key);
        return new MoveResult(rest, null, against.Select(Say).FirstOrDefault());
    }

    /// <summary>Moves an open step one place earlier or later.</summary>
    /// <exception cref="InputException">A step that is not there, or is finished.</exception>
    public static MoveResult Nudge(IReadOnlyList<PlanStep> steps, string key, bool earlier, PlanQuestion question)
    {
        PlanStep moving = Open(steps, key);
        List<List<PlanStep>> units = [.. steps.Where(s => s.State == StepState.Open).GroupBy(Sequence.Unit).Select(g => g.ToList())];
        int at = units.FindIndex(u => u.Contains(moving)), to = earlier ? at - 2 : at + 1;
        return earlier && at == 0 ? new MoveResult(steps, $"\"{moving.Title}\" is the first of the open steps.", null)
            : !earlier && at == units.Count - 1 ? new MoveResult(steps, $"\"{moving.Title}\" is the last step.", null)
            : Move(steps, key, to < 0 ? "" : units[to][^1].Key, question);
    }

    /// <summary>Adds a step of the person's own behind another.</summary>
    /// <exception cref="InputException">No title, or minutes that cannot be.</exception>
    public static IReadOnlyList<PlanStep> Add(IReadOnlyList<PlanStep> steps, string? title, Stage stage, double likelyMin, string? reason, string behind)
    {
        string text = (title ?? "").Trim();
        if (text.Length is 0 or > 200)
        {
            throw new InputException("required", "title", title, "1 to 200 characters", text.Length == 0 ? "Say what the step is."
                : "Say it in at most 200 characters.");
        }
        Check.Within(likelyMin, 0.5, 6000, "minutes");
        int free = steps.Select(s => s.Key).Where(k => k.StartsWith("own-step-", StringComparison.Ordinal)).Select(k =>
            int.TryParse(k[9..].Split('/')[0], out int n) ? n : 0).DefaultIfEmpty(0).Max() + 1;
        var step = new PlanStep($"own-step-{free}", stage, text, Math.Round(likelyMin * 0.6, 1), likelyMin, Math.Round(likelyMin * 2, 1))
        {
            Hand = StepHand.Added, After = behind,
            Reason = string.IsNullOrWhiteSpace(reason) ? "Added by hand." : reason.Trim()[..Math.Min(300, reason.Trim().Length)], FinishTest = "You say so.",
            Rule = "",
        };
        List<PlanStep> all = [.. steps];
        int at = behind.Length == 0 ? all.FindIndex(s => s.State == StepState.Open) is var i and >= 0 ? i : all.Count : all.FindIndex(s =>
            s.Key == behind) is var b and >= 0 ? EndOfUnit(all, b) : all.Count;
        all.Insert(at, step);
        Sequence.Number(all);
        return all;
    }

    /// <summary>Splits an open step: a second piece with its own name and minutes comes right behind it. The wait stays with the last piece.</summary>
    /// <exception cref="InputException">A step that is not there or finished, a piece without a name, or minutes that leave nothing.</exception>
    public static IReadOnlyList<PlanStep> Split(IReadOnlyList<PlanStep> steps, string key, string? name, double minutes)
    {
        PlanStep whole = Open(steps, key);
        string text = (name ?? "").Trim();
        if (text.Length is 0 or > 200)
        {
            throw new InputException("required", "name", name, "1 to 200 characters", text.Length == 0 ? "Say what the second piece is."
                : "Say it in at most 200 characters.");
        }
        if (!(minutes > 0 && minutes < whole.LikelyMin))
        {
            throw new InputException("out_of_range", "minutes", minutes, $"more than 0 and less than {whole.LikelyMin:0.#}",
                $"The second piece takes more than 0 and less than {whole.LikelyMin:0.#} minutes; the step has no more.");
        }
        double share = minutes / whole.LikelyMin;
        string root = Whole(key);
        int free = steps.Select(s => s.Key).Where(k => k.StartsWith(root + "/", StringComparison.Ordinal)).Select(k =>
            int.TryParse(k[(root.Length + 1)..], out int n) ? n : 1).DefaultIfEmpty(1).Max() + 1;
        var piece = new PlanStep($"{root}/{free}", whole.Stage, text, Math.Round(whole.LowMin * share, 1), minutes, Math.Round(whole.HighMin * share, 1))
        {
            Parts = [.. whole.Parts], WaitMin = whole.WaitMin, LookInMin = whole.LookInMin, OutByMin = whole.OutByMin, Reason = whole.Reason, How = whole.How,
            Materials = [.. whole.Materials], Caution = whole.Caution, FinishTest = whole.FinishTest,
            Undoable = whole.Undoable, SurfaceLost = whole.SurfaceLost, MetalRemovedMm = whole.MetalRemovedMm, Block = whole.Block, Rule = whole.Rule,
            Choice = whole.Choice, Hand = StepHand.Split, After = whole.Key,
        };
        (whole.LowMin, whole.LikelyMin, whole.HighMin) = (Math.Round(whole.LowMin - piece.LowMin, 1), Math.Round(whole.LikelyMin - minutes, 1),
            Math.Round(whole.HighMin - piece.HighMin, 1));
        (whole.WaitMin, whole.LookInMin, whole.OutByMin) = (null, null, null);
        whole.Hand = whole.Hand == StepHand.Added ? StepHand.Added : StepHand.Split;
        List<PlanStep> all = [.. steps];
        all.Insert(all.IndexOf(whole) + 1, piece);
        Sequence.Number(all);
        return all;
    }

    private static PlanStep Open(IReadOnlyList<PlanStep> steps, string key)
    {
        PlanStep step = steps.FirstOrDefault(s => s.Key == key) ?? throw new InputException("unknown_step", "step", key, "a step of this rod",
            "That step is not on this rod any more.");
        return step.State == StepState.Open ? step : throw new InputException("step_finished", "step", key, "an open step",
            $"\"{step.Title}\" is finished; open it again first.");
    }
}

/// <summary>What a change makes of a rod.</summary>
/// <param name="Added">Steps that come in.</param>
/// <param name="Gone">Steps that fall away.</param>
/// <param name="Changed">Steps that stay but are done differently, as they will be.</param>
/// <param name="Minutes">Likely hands-on minutes more, or less.</param>
/// <param name="WaitMinutes">Minutes of waiting more, or less.</param>
public sealed record PlanDiff(IReadOnlyList<PlanStep> Added, IReadOnlyList<PlanStep> Gone, IReadOnlyList<PlanStep> Changed, double Minutes, double WaitMinutes)
{
    /// <summary>Compares two rods step by step.</summary>
    public static PlanDiff Of(IReadOnlyList<PlanStep> before, IReadOnlyList<PlanStep> after)
    {
        Dictionary<string, PlanStep> was = before.ToDictionary(s => s.Key), now = after.ToDictionary(s => s.Key);
        bool Differs(PlanStep a, PlanStep b) => a.Title != b.Title || a.How != b.How || a.LikelyMin != b.LikelyMin || a.WaitMin != b.WaitMin
            || !a.Materials.SequenceEqual(b.Materials);
        return new PlanDiff(
            [.. after.Where(s => !was.ContainsKey(s.Key))], [.. before.Where(s => !now.ContainsKey(s.Key))], [.. after.Where(s => was.TryGetValue(s.Key, out PlanStep? old) && Differs(old, s))],
            after.Sum(s => s.LikelyMin) - before.Sum(s => s.LikelyMin), after.Sum(s => s.WaitMin ?? 0) - before.Sum(s => s.WaitMin ?? 0));
    }

    /// <summary>True when nothing changes.</summary>
    public bool Nothing => Added.Count + Gone.Count + Changed.Count == 0;
}
