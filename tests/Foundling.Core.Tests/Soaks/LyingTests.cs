using System.Globalization;
using Foundling.Core.Aim;
using Foundling.Core.Soaks;
using Foundling.Core.Tags;
using Foundling.Core.Tests.Rod;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Soaks;

/// <summary>What lies drawn in a bath is as large as what the bath is reckoned for.</summary>
public sealed class LyingTests
{
    // Area inside the straight rings of a path, mm²: holes run the other way; where two shapes of a part overlap in the drawing, both are metal.
    private static double Area(string path) => Math.Abs(path.Split('M', StringSplitOptions.RemoveEmptyEntries).Sum(ring =>
    {
        double[][] corners = [.. ring.TrimEnd('Z').Split('L').Select(c => c.Split(' ').Select(n => double.Parse(n, CultureInfo.InvariantCulture)).ToArray())];
        return corners.Select((c, k) => (c, Next: corners[(k + 1) % corners.Length])).Sum(e => (e.c[0] * e.Next[1]) - (e.Next[0] * e.c[1])) / 2;
    }));

    [Fact]
    public void What_is_drawn_in_the_bath_has_the_area_the_bath_is_reckoned_for()
    {
        const double Mm2InDm2 = 10_000;
        int drawn = 0;
        List<string> other = [];
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            var question = Asking.For(new Tag { Number = 1, Kind = kind.Id, Name = kind.Name, Aim = AimKind.Work });
            foreach (PartDef part in kind.Parts.Where(p => p.Material != Material.Wood))
            {
                LyingPart lies = Lying.Of(question.Facts, [part], question.Extents);
                // The drawing has finer curves than the reckoning: so the hundredths.
                // A part that lies on its edge, or of which there are several, is a plain block.
                if (lies.Path.Contains('H', StringComparison.Ordinal))
                {
                    continue;
                }
                drawn++;
                double face = question.Extents[part.Id].FaceDm2 * Mm2InDm2;
                if (Math.Abs(Area(lies.Path) - face) > (face * 0.02) + 1)
                {
                    other.Add($"{kind.Name}, {part.Name}: {Area(lies.Path):0} of {face:0} mm²");
                }
            }
        }
        other.ShouldBeEmpty();
        drawn.ShouldBeGreaterThan(40);
    }
}
