using Foundling.Core.Aim;
using Foundling.Core.Rod;
using Foundling.Core.Shop;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Stall;

/// <summary>Minutes of work at one aim, mean and variance, and what its materials cost, so that they can be added.</summary>
public sealed record StallWork(double Mean, double Variance, double Cost);

/// <summary>What one answer adds to the verdict and to the work.</summary>
/// <param name="Id">Key of the answer.</param>
/// <param name="Text">What one taps.</param>
/// <param name="Stoppers">What it stops, in sentences.</param>
/// <param name="Doubts">What it leaves in doubt.</param>
/// <param name="Work">What is only work.</param>
/// <param name="Adds">What it adds to the work at each aim.</param>
/// <param name="Share">How often this is the answer.</param>
/// <param name="Raises">Questions whose bad answers it makes more likely.</param>
public sealed record StallEffect(string Id, string Text, IReadOnlyList<string> Stoppers, IReadOnlyList<string> Doubts, IReadOnlyList<string> Work,
    IReadOnlyDictionary<string, StallWork> Adds, double Share, IReadOnlyList<string> Raises);

/// <summary>How much hangs on an answer: what a stopper, a doubt and a minute of work count for when the next question is chosen.</summary>
/// <param name="Stopper">A stopper ends the check.</param>
/// <param name="Doubt">The first doubt turns the verdict.</param>
/// <param name="FurtherDoubt">A further one only adds to it.</param>
/// <param name="Minute">A minute of work.</param>
/// <param name="Raised">How much likelier a bad answer is once another has raised it.</param>
public sealed record StallWeights(double Stopper, double Doubt, double FurtherDoubt, double Minute, double Raised)
{
    /// <summary>The weights a shop assumes.</summary>
    public static StallWeights Of(Assumptions a) => new(a.StallStopperMin, a.StallDoubtMin, a.StallFurtherDoubtMin, a.StallMinuteShare, a.StallRaisedTimes);
}

/// <summary>A question with what its answers do, and how much hangs on it.</summary>
/// <param name="Id">Key.</param>
/// <param name="Ask">The question.</param>
/// <param name="Look">How to look.</param>
/// <param name="Picture">Which picture shows it.</param>
/// <param name="NotAfter">Answers after which it is not asked.</param>
/// <param name="Pull">
/// How much hangs on it: at first, once another answer has raised it, once there is a doubt already, and with both. The open
/// question with the highest is asked next.
/// </param>
/// <param name="Answers">Its answers; the first is the good one.</param>
public sealed record StallRow(string Id, string Ask, string Look, string Picture, IReadOnlyList<string> NotAfter, IReadOnlyList<double> Pull,
    IReadOnlyList<StallEffect> Answers)
{
    /// <summary>Several answers may be true at once; the first means none of the others.</summary>
    public bool Many { get; init; }

    /// <summary>It is asked before every other.</summary>
    public bool First { get; init; }
}

/// <summary>Everything a check of a kind needs once it is away from the shop: the page looks up and adds.</summary>
/// <param name="Kind">Key of the kind.</param>
/// <param name="Name">Its name.</param>
/// <param name="Base">Work at each aim with nothing wrong.</param>
/// <param name="Rows">Questions, most telling first.</param>
public sealed record StallTable(KindId Kind, string Name, IReadOnlyDictionary<string, StallWork> Base, IReadOnlyList<StallRow> Rows)
{
    /// <summary>Works the table of a kind out from the rules of triage and of the rod.</summary>
    public static StallTable Of(ToolKind kind, ShopContext shop)
    {
        var bare = Enum.GetValues<AimKind>().ToDictionary(a => a, a => Work(kind, a, [], shop));
        List<StallRow> rows = [.. StallQuestions.For(kind).Select(q =>
        {
            List<StallEffect> effects = [.. q.Answers.Select(a => Effect(kind, a, bare, shop))];
            return new StallRow(q.Id, q.Ask, q.Look, q.Picture, q.NotAfter, Pull(effects, StallWeights.Of(shop.Assumptions)), effects)
            {
                Many = q.Many, First = q.First,
            };
        })];
        return new StallTable(kind.Id, kind.Name, bare.ToDictionary(b => b.Key.ToString(), b => b.Value),
            [.. rows.OrderByDescending(r => r.First).ThenByDescending(r => r.Pull[0])]);
    }

    /// <summary>What hangs on a question in each of the four cases: the mean over its answers, each as often as it is met.</summary>
    private static double[] Pull(IReadOnlyList<StallEffect> answers, StallWeights w)
    {
        double Case(bool raised, bool doubted)
        {
            double[] shares = [.. answers.Select((a, i) => (i == 0 || !raised ? 1 : w.Raised) * a.Share)];
            double Hangs(StallEffect a) => (a.Stoppers.Count * w.Stopper) + (a.Doubts.Count * (doubted ? w.FurtherDoubt : w.Doubt))
                + (w.Minute * Math.Abs(a.Adds[nameof(AimKind.Work)].Mean));
            return Math.Round(answers.Select((a, i) => shares[i] * Hangs(a)).Sum() / shares.Sum(), 3);
        }
        return [Case(false, false), Case(true, false), Case(false, true), Case(true, true)];
    }

    private static StallEffect Effect(ToolKind kind, StallAnswer answer, Dictionary<AimKind, StallWork> bare, ShopContext shop)
    {
        TriageResult triage = Triage.Weigh(new Facts(kind, answer.Findings), shop.Assumptions);
        return new StallEffect(answer.Id, answer.Text, [.. triage.Stoppers.Select(r => r.Sentence)], [.. triage.Doubts.Select(r => r.Sentence)],
            [.. triage.Work.Select(r => r.Sentence)],
            bare.ToDictionary(b => b.Key.ToString(), b =>
            {
                StallWork with = answer.Findings.Count == 0 ? b.Value : Work(kind, b.Key, answer.Findings, shop);
                return new StallWork(with.Mean - b.Value.Mean, with.Variance - b.Value.Variance, with.Cost - b.Value.Cost);
            }), answer.Share, answer.Raises);
    }

    private static StallWork Work(ToolKind kind, AimKind aim, IReadOnlyList<Found> findings, ShopContext shop)
    {
        IReadOnlyList<Deed> plan = Planner.Plan(new PlanQuestion(new Facts(kind, findings), aim, shop));
        (double mean, double variance) = PlanTotals.Moments(plan, shop.Assumptions);
        return new StallWork(mean, variance, plan.Sum(d => Needs.Cost(d, shop.Assumptions)));
    }
}

/// <summary>A check that came in from the stall.</summary>
public static class StallCheck
{
    /// <summary>The findings the answers stand for.</summary>
    /// <param name="kind">Kind of tool.</param>
    /// <param name="answers">Answers as question/answer.</param>
    /// <exception cref="InputException">An answer the questions do not have.</exception>
    public static IReadOnlyList<Found> Findings(ToolKind kind, IEnumerable<string> answers)
    {
        IReadOnlyList<StallQuestion> questions = StallQuestions.For(kind);
        var found = new List<Found>();
        foreach (string answer in answers)
        {
            string[] parts = answer.Split('/');
            StallAnswer chosen = (parts.Length == 2 ? questions.FirstOrDefault(q => q.Id == parts[0])?.Answers.FirstOrDefault(a => a.Id == parts[1]) : null)
                ?? throw new InputException("unknown_answer", "answers", answer, "answers of this check",
                    $"\"{answer}\" is no answer to a question about a {kind.Name.ToLowerInvariant()}.");
            foreach (Found f in chosen.Findings)
            {
                // Two answers about the same thing count as the worse.
                int at = found.FindIndex(o => o.Part == f.Part && o.Kind == f.Kind && o.Doubt == f.Doubt && (o.Place == f.Place || !Faults.IsSpot(f.Kind)));
                if (at < 0)
                {
                    found.Add(f);
                }
                else if (f.Severity > found[at].Severity)
                {
                    found[at] = found[at] with { Severity = f.Severity, Place = f.Place };
                }
            }
        }
        return found;
    }
}
