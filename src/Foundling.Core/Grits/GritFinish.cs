namespace Foundling.Core.Grits;

/// <summary>A finish, named by the grade that leaves it.</summary>
/// <param name="System">The grading system.</param>
/// <param name="Grit">The grade.</param>
/// <param name="Name">What it is called: "as from P400".</param>
public sealed record GritFinish(string System, string Grit, string Name)
{
    /// <summary>Finishes that are usually wanted, the roughest first.</summary>
    public static IReadOnlyList<GritFinish> Usual { get; } =
    [
        .. new[] { "P120", "P180", "P240", "P400", "P600", "P1200" }.Select(g => new GritFinish(Papers, g, $"as from {g}")),
        new("JIS", "4000", "as from a 4000 stone"), new("JIS", "8000", "as from an 8000 stone"),
    ];

    /// <summary>The finish a sole or a side is usually brought to.</summary>
    public static GritFinish Common { get; } = Usual.First(f => f.Grit == "P400");

    /// <summary>The finish the back of an edge is usually brought to.</summary>
    public static GritFinish Honed { get; } = Usual.First(f => f.Grit == "4000");

    /// <summary>The system papers are graded in.</summary>
    public const string Papers = "FEPA-P";
}
