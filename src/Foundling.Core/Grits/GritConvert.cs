namespace Foundling.Core.Grits;

/// <summary>A grade, or a size of grain, that is looked up in all grading systems.</summary>
/// <param name="System">The grading system; null when the size is given.</param>
/// <param name="Grit">The grade in it; null when the size is given.</param>
/// <param name="MeanUm">Mean size of the grain, µm; null when the grade is given.</param>
public sealed record GritConvertInput(string? System = null, string? Grit = null, double? MeanUm = null);

/// <summary>The grade of a system that comes nearest.</summary>
/// <param name="System">The grading system.</param>
/// <param name="Grit">The grade.</param>
/// <param name="MeanUm">Its size, µm.</param>
/// <param name="Times">Its size over the one asked for.</param>
/// <param name="Exact">The size is laid down by a standard.</param>
/// <param name="Flat">It cuts flat on a flat backing; otherwise only its scratch is alike.</param>
public sealed record GritNear(string System, string Grit, double MeanUm, double Times, bool Exact, bool Flat);

/// <summary>What a grade is in every other system.</summary>
/// <param name="MeanUm">Mean size of the grain, µm.</param>
/// <param name="ScratchUm">Depth of the scratch it leaves, µm.</param>
/// <param name="Near">The nearest grade of each system.</param>
public sealed record GritConvertResult(double MeanUm, double ScratchUm, IReadOnlyList<GritNear> Near);

/// <summary>Looks a grade up in all grading systems.</summary>
public static class GritConvert
{
    private const double LeastUm = 0.01, MostUm = 5000;

    /// <summary>The nearest grade of each system by mean size of grain.</summary>
    /// <param name="input">A grade, or a size.</param>
    /// <param name="table">The table of grits.</param>
    /// <param name="a">How deep grains scratch.</param>
    /// <exception cref="InputException">Neither, both, or no such grade.</exception>
    public static GritConvertResult Of(GritConvertInput input, GritTable table, Assumptions a)
    {
        if (input.MeanUm is null == (input.System is null && input.Grit is null))
        {
            throw new InputException("grade_or_size", "grit", input.Grit, "a grade with its system, or a size",
                "Give a grade with its system, or a size of grain, and not both.");
        }
        double um = input.MeanUm is double size ? Check.Within(size, LeastUm, MostUm, "mean_um") : table.Of(input.System ?? "", input.Grit ?? "").Um;
        return new GritConvertResult(um, um * a.ScratchShare, [.. table.Systems.Select(s => Nearest(table, s, um))]);
    }

    private static GritNear Nearest(GritTable table, string system, double um)
    {
        GritSize near = table.Sizes.Where(s => s.System == system).MinBy(s => Math.Abs(Math.Log(s.Um / um)))!;
        return new GritNear(system, near.Grit, near.Um, near.Um / um, near.Exact, near.Flat);
    }
}
