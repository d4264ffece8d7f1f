using System.Globalization;
using Foundling.Core.Stores;
using Foundling.Core.Units;

namespace Foundling.Core.Grits;

/// <summary>A grade of the table of grits.</summary>
/// <param name="System">The grading system.</param>
/// <param name="Grit">The grade.</param>
/// <param name="Um">Mean particle size, or for what has no flat backing the size whose scratch it leaves, µm.</param>
/// <param name="Exact">The size is laid down by a standard; otherwise it is as makers usually grade.</param>
/// <param name="Flat">It cuts flat on a flat backing.</param>
public sealed record GritSize(string System, string Grit, double Um, bool Exact, bool Flat);

/// <summary>Sizes of grains in all grading systems. Source: the shipped tables of abrasive grits and of soft abrasives.</summary>
public sealed class GritTable(IReadOnlyList<GritSize> sizes)
{
    /// <summary>All grades, the coarsest of each system first.</summary>
    public IReadOnlyList<GritSize> Sizes { get; } = sizes;

    /// <summary>The grading systems.</summary>
    public IReadOnlyList<string> Systems { get; } = [.. sizes.Select(s => s.System).Distinct()];

    /// <summary>A grade, however it is spelt: "p 400", "400"; null for none of the table.</summary>
    public GritSize? Find(string system, string grit)
    {
        string asked = Plain(grit);
        return Sizes.FirstOrDefault(s => s.System == system && (Plain(s.Grit) == asked || Plain(s.Grit).TrimStart('p', 'f', '#') == asked));
    }

    /// <summary>A grain that the table knows, spelt its way.</summary>
    /// <exception cref="InputException">No such grading system, or no such grade in it.</exception>
    public Grain Checked(Grain grain)
    {
        GritSize size = Of(grain.System, grain.Grit);
        return grain with { System = size.System, Grit = size.Grit };
    }

    /// <summary>A grade of the table.</summary>
    /// <exception cref="InputException">No such grading system, or no such grade in it.</exception>
    public GritSize Of(string asked, string grit)
    {
        string system = Systems.FirstOrDefault(s => string.Equals(s, asked.Trim(), StringComparison.OrdinalIgnoreCase))
            ?? throw new InputException("unknown_grading", "system", asked, string.Join(", ", Systems),
                $"\"{Shorten.To(asked, 40)}\" is no grading system of the table: {string.Join(", ", Systems)}.");
        return Find(system, grit) ?? throw new InputException("unknown_grit", "grit", grit,
            string.Join(", ", Sizes.Where(s => s.System == system).Select(s => s.Grit)),
            $"{system} has no grade \"{Shorten.To(grit, 20)}\": from {Sizes.First(s => s.System == system).Grit} to "
                + $"{Sizes.Last(s => s.System == system).Grit}.");
    }

    /// <summary>Mean particle size of a grade named without its system, as "P80" is, µm; null for none of the table.</summary>
    public double? SizeOf(string grit) => Sizes.FirstOrDefault(s => string.Equals(s.Grit, grit.Trim(), StringComparison.OrdinalIgnoreCase))?.Um;

    private static string Plain(string text) => text.Replace(" ", "", StringComparison.Ordinal).ToLower(CultureInfo.InvariantCulture);
}
