namespace Foundling.Core.Proof;

/// <summary>A possible cause with its weight before any sign.</summary>
public sealed record TroubleCause(string Id, double Prior);

/// <summary>Something to look for; no minutes means it is only ever fed from a measurement.</summary>
public sealed record TroubleSign(string Id, double? Minutes, IReadOnlyDictionary<string, double> PGivenCause, double PGivenOther);

/// <summary>A sign that was looked for.</summary>
public sealed record SeenSign(string Sign, bool Present);

/// <summary>Everything known about a tool that does not work.</summary>
public sealed record TroubleInput(IReadOnlyList<TroubleCause> Causes, IReadOnlyList<TroubleSign> Signs, IReadOnlyList<SeenSign> Seen);

/// <summary>A check not yet made.</summary>
public sealed record NextCheck(string Sign, double Bits, double Minutes, double BitsPerMinute);

/// <summary>Causes by belief and what to check next.</summary>
public sealed record TroubleResult(IReadOnlyDictionary<string, double> Posterior, string MostLikely, IReadOnlyList<NextCheck> NextChecks);

/// <summary>Ranks the causes of a fault: one cause, with room for something not on the list.</summary>
public static class Trouble
{
    private const string Other = "something_else";
    private const int MostNamed = 300;

    /// <summary>Weighs the signs seen so far.</summary>
    public static TroubleResult Find(TroubleInput input, Assumptions assumptions)
    {
        Assumptions a = assumptions;
        double sum = input.Causes.Sum(c => Check.Positive(c.Prior));
        if (input.Causes.Count is 0 or > MostNamed || input.Signs.Count > MostNamed)
        {
            throw new InputException("required", "causes", input.Causes.Count, $"1 to {MostNamed}",
                $"Name at least one cause, and at most {MostNamed} causes and signs.");
        }
        if (input.Causes.Select(c => c.Id).Append(Other).Concat(input.Signs.Select(s => "sign " + s.Id)).GroupBy(id => id).FirstOrDefault(g =>
            g.Count() > 1) is { } twice)
        {
            throw new InputException("id_twice", "causes", twice.Key, "each name once", $"\"{twice.Key}\" is named twice.");
        }
        var belief = input.Causes.ToDictionary(c => c.Id, c => c.Prior / sum * (1 - a.TroubleLeak));
        belief[Other] = a.TroubleLeak;
        foreach (SeenSign seen in input.Seen)
        {
            TroubleSign sign = input.Signs.FirstOrDefault(s => s.Id == seen.Sign)
                ?? throw new InputException("unknown_sign", "seen", seen.Sign, string.Join(", ", input.Signs.Select(s => s.Id)),
                    $"There is no sign \"{seen.Sign}\".");
            belief = After(belief, sign, seen.Present).Belief;
        }
        double now = Entropy(belief);
        HashSet<string> done = [.. input.Seen.Select(s => s.Sign)];
        var checks = new List<NextCheck>();
        foreach (TroubleSign sign in input.Signs.Where(s => s.Minutes is not null && !done.Contains(s.Id)))
        {
            (Dictionary<string, double> yes, double pYes) = After(belief, sign, true);
            (Dictionary<string, double> no, double pNo) = After(belief, sign, false);
            double bits = now - (pYes * Entropy(yes)) - (pNo * Entropy(no));
            if (bits >= 1e-6)
            {
                checks.Add(new NextCheck(sign.Id, bits, sign.Minutes!.Value, bits / Check.Positive(sign.Minutes.Value, "minutes")));
            }
        }
        return new TroubleResult(belief, belief.MaxBy(b => b.Value).Key,
            [.. checks.OrderByDescending(c => c.BitsPerMinute).ThenBy(c => c.Sign, StringComparer.Ordinal)]);
    }

    private static (Dictionary<string, double> Belief, double P) After(Dictionary<string, double> belief, TroubleSign sign, bool present)
    {
        var joint = belief.ToDictionary(b => b.Key, b =>
        {
            double p = Check.Within(sign.PGivenCause.TryGetValue(b.Key, out double given) ? given : sign.PGivenOther, 0, 1, "p_given_cause");
            return b.Value * (present ? p : 1 - p);
        });
        double total = joint.Values.Sum();
        return total <= 0 ? (belief, 0) : (joint.ToDictionary(j => j.Key, j => j.Value / total), total);
    }

    private static double Entropy(Dictionary<string, double> belief) => -belief.Values.Where(p => p > 0).Sum(p => p * Math.Log2(p));
}
