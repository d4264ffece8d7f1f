namespace Foundling.Core.Soles;

/// <summary>What is left of marks, cell by cell and field by field.</summary>
public static class MarkFields
{
    private const double UmInMm = 1000;

    /// <summary>What is left of a mark after some wear.</summary>
    /// <param name="wearMm">Metal gone since it was drawn, mm.</param>
    /// <param name="a">When a mark is gone, and when it is faint.</param>
    public static MarkLeft Of(double wearMm, Assumptions a) => wearMm * UmInMm >= a.MarkGoneUm ? MarkLeft.Gone
        : wearMm * UmInMm >= a.MarkFaintUm ? MarkLeft.Faint : MarkLeft.Left;

    /// <summary>What is left of the marks of a sole in so many fields: of each, what most of its cells are.</summary>
    /// <param name="sole">The sole.</param>
    /// <param name="wearMm">Metal gone from each of its cells, mm.</param>
    /// <param name="columns">Fields along it.</param>
    /// <param name="rows">Fields across.</param>
    /// <param name="a">When a mark is gone, and when it is faint.</param>
    /// <param name="markedMm">Metal gone from each when the marks were drawn, mm; null for none.</param>
    /// <returns>Fields column by column from the toe, each from the near edge; unseen where there is no sole.</returns>
    public static MarkLeft[] Of(LapSole sole, IReadOnlyList<double> wearMm, int columns, int rows, Assumptions a, IReadOnlyList<double>? markedMm = null)
    {
        int[] gone = new int[columns * rows], faint = new int[columns * rows], there = new int[columns * rows];
        for (int i = 0; i < wearMm.Count; i++)
        {
            (int field, MarkLeft left) = (sole.Field(i, columns, rows), Of(wearMm[i] - (markedMm?[i] ?? 0), a));
            there[field]++;
            gone[field] += left == MarkLeft.Gone ? 1 : 0;
            faint[field] += left != MarkLeft.Left ? 1 : 0;
        }
        return [.. there.Select((n, f) => n == 0 ? MarkLeft.Unseen : 2 * gone[f] >= n ? MarkLeft.Gone : 2 * faint[f] >= n ? MarkLeft.Faint : MarkLeft.Left)];
    }

    /// <summary>Where a sole touches, in so many fields: where most of the cells of a field do.</summary>
    /// <param name="sole">The sole.</param>
    /// <param name="sinkMm">How far each of its cells is pressed in, mm.</param>
    /// <param name="columns">Fields along it.</param>
    /// <param name="rows">Fields across.</param>
    public static bool[] Touching(LapSole sole, IReadOnlyList<double> sinkMm, int columns, int rows)
    {
        int[] touch = new int[columns * rows], there = new int[columns * rows];
        for (int i = 0; i < sinkMm.Count; i++)
        {
            int field = sole.Field(i, columns, rows);
            there[field]++;
            touch[field] += sinkMm[i] > 0 ? 1 : 0;
        }
        return [.. there.Select((n, f) => n > 0 && 2 * touch[f] >= n)];
    }
}
