namespace Foundling.Core.Grits;

/// <summary>A face among several that are done in one go.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Face">From what to what; all faces share the abrasives of the first.</param>
public sealed record LadderFace(string Name, LadderInput Face);

/// <summary>Several faces done in one go: each grit comes out once, for all faces that want it.</summary>
/// <param name="Grits">Abrasives in the order they come out.</param>
/// <param name="Faces">Each face, with its own stages; their minutes are rubbing alone.</param>
/// <param name="TotalMinutes">Minutes for all, each change counted once.</param>
/// <param name="SavesMinutes">Minutes that this saves against one face after the other.</param>
public sealed record TogetherResult(IReadOnlyList<string> Grits, IReadOnlyList<(string Name, IReadOnlyList<LadderStage> Stages)> Faces, double TotalMinutes,
    double SavesMinutes);

/// <summary>The quickest set of grits for several faces at once.</summary>
public static class LadderTogether
{
    /// <summary>Most abrasives of which every choice is tried; of more, those of the single ladders and their neighbours.</summary>
    public const int MostTried = 12;

    /// <summary>The set of abrasives with which all faces are done soonest.</summary>
    /// <param name="faces">The faces, 1 or more.</param>
    /// <param name="a">How fast grains cut, and what a change takes.</param>
    /// <exception cref="InputException">A face that cannot be done with what is owned.</exception>
    public static TogetherResult Of(IReadOnlyList<LadderFace> faces, Assumptions a)
    {
        LadderAbrasive[] own = [.. faces[0].Face.Abrasives.OrderByDescending(x => x.CountsUm(a)).ThenByDescending(x => x.Flattens)
            .DistinctBy(x => (x.CountsUm(a), x.Flattens))];
        List<LadderResult> alone = [.. faces.Select(f => Ladder.Of(f.Face with { Abrasives = own }, a))];
        LadderAbrasive[] tried = Tried(own, [.. alone.SelectMany(l => l.Ladder).Distinct()]);
        Assumptions rubbing = a with { GritChangeMin = 0, GritCleanMin = 0 };
        double change = a.GritChangeMin + a.GritCleanMin;
        (double Total, List<LadderResult> Each)? best = null;
        for (int set = 1; set < 1 << tried.Length; set++)
        {
            LadderAbrasive[] these = [.. tried.Where((_, i) => (set & (1 << i)) != 0)];
            if (best is { } so && these.Length * change >= so.Total)
            {
                continue;
            }
            List<LadderResult> each = [];
            foreach (LadderFace face in faces)
            {
                if (Ladder.Try(face.Face with { Abrasives = these }, rubbing) is not { } one)
                {
                    break;
                }
                each.Add(one);
            }
            int used = each.SelectMany(l => l.Ladder).Distinct().Count();
            double total = each.Sum(l => l.TotalMinutes) + (used * change);
            if (each.Count == faces.Count && (best is null || total < best.Value.Total - Whole.Slack))
            {
                best = (total, each);
            }
        }
        (double minutes, List<LadderResult> ladders) = best!.Value;
        HashSet<string> grits = [.. ladders.SelectMany(l => l.Ladder)];
        return new TogetherResult([.. own.Select(x => x.Name).Where(grits.Contains)],
            [.. faces.Zip(ladders, (f, l) => (f.Name, l.Stages))], minutes, alone.Sum(l => l.TotalMinutes) - minutes);
    }

    private static LadderAbrasive[] Tried(LadderAbrasive[] own, List<string> used)
    {
        if (own.Length <= MostTried)
        {
            return own;
        }
        int[] at = [.. own.Select((x, i) => (x.Name, i)).Where(x => used.Contains(x.Name)).Select(x => x.i)];
        return [.. Enumerable.Range(0, own.Length).OrderBy(i => at.Min(u => Math.Abs(u - i))).ThenBy(i => i).Take(Math.Max(MostTried, at.Length)).Order()
            .Select(i => own[i])];
    }
}
