using Foundling.Core.Grits;

namespace Foundling.Core.Soles;

/// <summary>What is left of the marks on a field of the sole.</summary>
public enum MarkLeft
{
    /// <summary>Nobody looked, or there is no sole there.</summary>
    Unseen,

    /// <summary>The mark is gone.</summary>
    Gone,

    /// <summary>It is faint.</summary>
    Faint,

    /// <summary>It is all there.</summary>
    Left,
}

/// <summary>How a sole may be, as its marks tell it.</summary>
public enum SoleForm
{
    /// <summary>Flat.</summary>
    Flat,

    /// <summary>Hollow along its length: the ends touch.</summary>
    HollowLengthwise,

    /// <summary>Round along its length: the middle touches.</summary>
    RoundLengthwise,

    /// <summary>Hollow across: the edges touch.</summary>
    HollowCrosswise,

    /// <summary>Round across: the middle line touches.</summary>
    RoundCrosswise,

    /// <summary>In wind: two corners across from one another touch.</summary>
    Twisted,

    /// <summary>A dip somewhere in it.</summary>
    Dip,

    /// <summary>Toe and heel are worn down.</summary>
    RoundedEnds,
}

/// <summary>What was seen after some strokes.</summary>
/// <param name="Strokes">Strokes since the marks were last looked at.</param>
/// <param name="Cells">Fields in rows across, the near edge first, each from toe to heel.</param>
/// <param name="Remarked">The marks were drawn anew before these strokes; otherwise the old ones were rubbed on.</param>
public sealed record MarksSeen(double Strokes, IReadOnlyList<IReadOnlyList<MarkLeft>> Cells, bool Remarked = false);

/// <summary>Marks on a sole, read once or several times.</summary>
/// <param name="LengthMm">Its length, mm.</param>
/// <param name="WidthMm">Its width, mm.</param>
/// <param name="Seen">What was seen, in order.</param>
/// <param name="Grit">The grade of the paper.</param>
/// <param name="Plate">What lies under it.</param>
/// <param name="ForceN">How hard the hands press, N; null for as usual.</param>
/// <param name="ForceXMm">Where they press, mm from the toe; null for the middle.</param>
/// <param name="MouthFrontMm">Front of the mouth, mm from the toe.</param>
/// <param name="MouthOpening">The mouth.</param>
/// <param name="Grooves">Grooves.</param>
/// <param name="Metal">What it is made of.</param>
/// <param name="GritUm">Mean size of the grain where the grade is none of the listed, µm.</param>
public sealed record MarksInput(double LengthMm, double WidthMm, IReadOnlyList<MarksSeen> Seen, string Grit = LapAdvice.MarksPaper,
    LappingPlate Plate = LappingPlate.PaperOnGlass, double? ForceN = null, double? ForceXMm = null, double? MouthFrontMm = null,
    MouthOpening? MouthOpening = null, IReadOnlyList<Groove>? Grooves = null, LapMetal Metal = LapMetal.Iron, double? GritUm = null);

/// <summary>A form with how likely it is.</summary>
/// <param name="Form">The form.</param>
/// <param name="Chance">How likely, 0 to 1.</param>
/// <param name="AmountMm">How much of it fits best, mm.</param>
/// <param name="Shape">The shape itself.</param>
public sealed record FormChance(SoleForm Form, double Chance, double AmountMm, SoleShape Shape);

/// <summary>What the marks say.</summary>
/// <param name="Likely">The form they tell of most.</param>
/// <param name="Chance">How sure that is, 0 to 1.</param>
/// <param name="Ranked">All forms, the likeliest first.</param>
/// <param name="StrokesThreeZones">Strokes from now on to toe, mouth and heel, if it is that; null where it never comes in.</param>
/// <param name="Says">What to do next, in a sentence.</param>
public sealed record MarksResult(SoleForm Likely, double Chance, IReadOnlyList<FormChance> Ranked, double? StrokesThreeZones, string Says);

/// <summary>What the marks on a sole told last.</summary>
/// <param name="Likely">The form.</param>
/// <param name="Chance">How sure, 0 to 1.</param>
/// <param name="StrokesLeft">Strokes that were left to toe, mouth and heel; null where it would never come in.</param>
/// <param name="Grit">On which paper.</param>
public sealed record MarkedSole(SoleForm Likely, double Chance, double? StrokesLeft, string Grit);

/// <summary>
/// Reads a sole from its marks: shapes of every form and size are lapped in the same way, and each is as likely as the marks it
/// would have left agree with those that were seen. Readings add up.
/// </summary>
public static class MarksReader
{
    /// <summary>Most readings, and most fields along and across.</summary>
    public const int MostSeen = 20, MostAlong = 40, MostAcross = 12;

    /// <summary>Fields along and across that a sole is usually read in.</summary>
    public const int Along = 12, Across = 5;

    private const double MostStrokes = 5000;

    // Sizes of a form that are tried, mm: as far apart as marks can tell.
    private static readonly double[] Amounts = [0.02, 0.03, 0.045, 0.07, 0.1, 0.15, 0.22, 0.3, 0.4];

    private static readonly (double X, double Y)[] DipPlaces =
        [(0.08, 0.5), (0.25, 0.5), (0.42, 0.5), (0.6, 0.5), (0.78, 0.5), (0.92, 0.5), (0.3, 0.15), (0.3, 0.85), (0.7, 0.15), (0.7, 0.85)];

    private sealed record Candidate(SoleForm Form, double AmountMm, SoleShape Shape, double Weight);

    /// <summary>What the marks say.</summary>
    /// <exception cref="InputException">Nothing was seen, or fields that do not fit together.</exception>
    public static MarksResult Read(MarksInput input, Assumptions a, CancellationToken cancel = default)
    {
        Checked(input);
        List<Candidate> all = [.. Candidates(input)];
        double[] score = new double[all.Count];
        Parallel.For(0, all.Count, new ParallelOptions { CancellationToken = cancel },
            i => score[i] = Math.Log(all[i].Weight) + Agreement(input, all[i].Shape, a));
        double best = score.Max();
        double[] chance = [.. score.Select(s => Math.Exp(s - best))];
        double sum = chance.Sum();
        List<FormChance> ranked = [.. all.Zip(chance, (c, p) => (Of: c, Chance: p / sum)).GroupBy(c => c.Of.Form)
            .Select(g => (Best: g.MaxBy(c => c.Chance).Of, Chance: g.Sum(c => c.Chance)))
            .Select(f => new FormChance(f.Best.Form, f.Chance, f.Best.AmountMm, f.Best.Shape)).OrderByDescending(f => f.Chance)];
        HandsTried? onward = Onward(input, ranked[0].Shape, a, cancel);
        double? strokes = onward?.Strokes is double total ? Math.Max(0, total - input.Seen.Sum(s => s.Strokes)) : null;
        return new MarksResult(ranked[0].Form, ranked[0].Chance, ranked, strokes, Says(ranked, strokes, onward?.Where ?? "over the middle", a.MarksSureShare));
    }

    private static void Checked(MarksInput input)
    {
        if (input.Seen.Count is 0 or > MostSeen)
        {
            throw new InputException("nothing_seen", "seen", input.Seen.Count, $"1 to {MostSeen} readings",
                input.Seen.Count == 0 ? "Say what is left of the marks." : $"At most {MostSeen} readings are taken together.");
        }
        input.Seen.ToList().ForEach(Fits);
        (int rows, int columns) = (input.Seen[0].Cells.Count, input.Seen[0].Cells[0].Count);
        if (input.Seen.Any(s => s.Cells.Count != rows || s.Cells[0].Count != columns))
        {
            throw new InputException("not_a_field", "cells", null, $"{columns} by {rows} each time",
                "Every row has as many fields, and every reading as many rows.");
        }
        if (input.Seen.All(s => s.Cells.All(r => r.All(c => c == MarkLeft.Unseen))))
        {
            throw new InputException("nothing_seen", "cells", null, "fields that are gone, faint or left", "Tap the fields: gone, faint, or left.");
        }
    }

    /// <summary>Looks at one reading by itself.</summary>
    /// <exception cref="InputException">Too many or uneven fields, or strokes as nobody takes them.</exception>
    public static void Fits(MarksSeen seen)
    {
        (int rows, int columns) = (seen.Cells.Count, seen.Cells.Count == 0 ? 0 : seen.Cells[0].Count);
        if (rows is < 1 or > MostAcross || columns is < 3 or > MostAlong || seen.Cells.Any(r => r.Count != columns))
        {
            throw new InputException("not_a_field", "cells", $"{columns} by {rows}", $"3 to {MostAlong} along and 1 to {MostAcross} across",
                $"The sole is read in 3 to {MostAlong} fields along and 1 to {MostAcross} across, every row alike.");
        }
        Check.Within(seen.Strokes, 1, MostStrokes, "strokes");
    }

    private static IEnumerable<Candidate> Candidates(MarksInput input)
    {
        yield return new Candidate(SoleForm.Flat, 0, new SoleShape(), 1);
        double share = 1.0 / Amounts.Length;
        foreach (double mm in Amounts)
        {
            yield return new Candidate(SoleForm.HollowLengthwise, mm, new SoleShape(LengthwiseBowMm: mm), share);
            yield return new Candidate(SoleForm.RoundLengthwise, mm, new SoleShape(LengthwiseBowMm: -mm), share);
            yield return new Candidate(SoleForm.HollowCrosswise, mm, new SoleShape(CrosswiseBowMm: mm), share);
            yield return new Candidate(SoleForm.RoundCrosswise, mm, new SoleShape(CrosswiseBowMm: -mm), share);
            yield return new Candidate(SoleForm.Twisted, mm, new SoleShape(TwistMm: mm), share / 2);
            yield return new Candidate(SoleForm.Twisted, mm, new SoleShape(TwistMm: -mm), share / 2);
            yield return new Candidate(SoleForm.RoundedEnds, mm, new SoleShape(EndsMm: mm), share);
            foreach ((double x, double y) in DipPlaces)
            {
                var dip = new Dip(x * input.LengthMm, y * input.WidthMm, mm, input.WidthMm * DipShare);
                yield return new Candidate(SoleForm.Dip, mm, new SoleShape(Dips: [dip]), share / DipPlaces.Length);
            }
        }
    }

    private const double DipShare = 0.35, MostCellMm = 50;

    private static LappingInput Lapped(MarksInput input, SoleShape shape, double cellMm, int strokes) => new(input.LengthMm, input.WidthMm, input.Grit, shape,
        cellMm, input.Plate, input.ForceN, input.ForceXMm, null, input.MouthFrontMm, input.MouthOpening, input.Grooves, input.Metal,
        MaxStrokes: strokes, GritUm: input.GritUm,
        // Grooves are narrower than fields: cells that are to tell them from lands must be narrower still.
        CellAcrossMm: input.Grooves is { Count: > 0 } grooves ? Math.Clamp((grooves[0].ToMm - grooves[0].FromMm) / 2, 1, MostCellMm) : null);

    /// <summary>How far the marks that a shape would have left agree with those seen, as the logarithm of their chance.</summary>
    private static double Agreement(MarksInput input, SoleShape shape, Assumptions a)
    {
        double sum = 0, agree = Math.Log(1 - a.MarkMisread), not = Math.Log(a.MarkMisread / 2);
        int rows = input.Seen[0].Cells.Count;
        foreach ((MarksSeen seen, MarkLeft[] told) in input.Seen.Zip(Left(input, shape, Within, a)))
        {
            for (int f = 0; f < told.Length; f++)
            {
                MarkLeft saw = seen.Cells[f % rows][f / rows];
                sum += saw == MarkLeft.Unseen || told[f] == MarkLeft.Unseen ? 0 : saw == told[f] ? agree : not;
            }
        }
        return sum;
    }

    /// <summary>What a shape leaves of the marks of each field at each look, fields column by column.</summary>
    private static List<MarkLeft[]> Left(MarksInput input, SoleShape shape, int within, Assumptions a)
    {
        (int rows, int columns) = (input.Seen[0].Cells.Count, input.Seen[0].Cells[0].Count);
        double total = 0, cell = Math.Clamp(Math.Min(input.LengthMm / columns, input.WidthMm / rows) / within, 1, MostCellMm);
        double[] looks = [.. input.Seen.Select(s => total += s.Strokes)];
        (LapSole sole, IReadOnlyList<double[]> wears) = Lapping.Wears(Lapped(input, shape, cell, (int)Math.Ceiling(total)), looks, a);
        double[] marked = new double[sole.Index.Count];
        List<MarkLeft[]> told = [];
        for (int k = 0; k < looks.Length; k++)
        {
            marked = input.Seen[k].Remarked && k > 0 ? wears[k - 1] : marked;
            told.Add(MarkFields.Of(sole, wears[k], columns, rows, a, marked));
        }
        return told;
    }

    // Cells of the reckoning to a field that is tapped, each way.
    private const int Within = 2;

    /// <summary>What somebody would see who read a sole of this shape without a slip: rows across, each from toe to heel.</summary>
    /// <param name="input">The sole and the looks; their fields are counted, not read.</param>
    /// <param name="shape">Its shape.</param>
    /// <param name="a">Hands and paper.</param>
    public static IReadOnlyList<MarkLeft[][]> WouldSee(MarksInput input, SoleShape shape, Assumptions a)
    {
        int rows = input.Seen[0].Cells.Count;
        return [.. Left(input, shape, FineWithin, a).Select(told =>
            Enumerable.Range(0, rows).Select(j => told.Where((_, f) => f % rows == j).ToArray()).ToArray())];
    }

    private const int FineWithin = 4;

    /// <summary>The same sole lapped on: where to press, and strokes from the first on; null where it never comes in.</summary>
    private static HandsTried? Onward(MarksInput input, SoleShape shape, Assumptions a, CancellationToken cancel) =>
        LapAdvice.Best(LapAdvice.Hands(Lapped(input, shape, Math.Clamp(input.LengthMm / MostAlong, 1, MostCellMm), MostForeseen), a, cancel));

    private const int MostForeseen = 20_000;

    private static string Says(List<FormChance> ranked, double? strokes, string press, double sure)
    {
        if (ranked[0].Chance < sure)
        {
            return $"Not sure yet: it may be {Words(ranked[0].Form)} or {Words(ranked[1].Form)}. A few strokes more, and look again.";
        }
        string on = strokes is double s ? s < 1 ? "" : $" About {Math.Max(10, Math.Round(s / 10) * 10):0} strokes more to toe, mouth and heel." : "";
        return ranked[0].Form switch
        {
            SoleForm.Flat => "Flat, as far as these marks can tell. Try it: leaving it is an answer.",
            SoleForm.HollowLengthwise => $"Hollow: press {press}; it is in when the marks before the mouth go.{on}",
            SoleForm.RoundLengthwise => $"Round: press {press}, lightly and evenly: a sole that is let rock only gets rounder.{on}",
            SoleForm.HollowCrosswise => $"Hollow across: the edges go first. Press {press}, and turn it end for end now and then.{on}",
            SoleForm.RoundCrosswise => $"Round across: do not lean to either side; short strokes, both hands on the middle line.{on}",
            SoleForm.Twisted => $"In wind: two corners touch. Press {press}, and never lean on a corner that still has its marks.{on}",
            SoleForm.Dip => $"A dip, the rest bears. Before the mouth it has to come in; anywhere else it may stay.{on}",
            _ => $"The ends are worn down. They need not come in: where they carry nothing, leave them out.{on}",
        };
    }

    /// <summary>How sure, in words: fields side by side tell less than fields apart would, so nothing is said to be certain.</summary>
    public static string Sure(double chance) => chance > MostSaid ? "almost sure" : $"{Math.Round(chance * Percent):0} % sure";

    private const double MostSaid = 0.985, Percent = 100;

    /// <summary>A form in words: "hollow along its length".</summary>
    public static string Words(SoleForm form) => form switch
    {
        SoleForm.Flat => "flat", SoleForm.HollowLengthwise => "hollow along its length", SoleForm.RoundLengthwise => "round along its length",
        SoleForm.HollowCrosswise => "hollow across", SoleForm.RoundCrosswise => "round across", SoleForm.Twisted => "in wind",
        SoleForm.Dip => "dipped in one place", _ => "worn down at the ends",
    };
}
