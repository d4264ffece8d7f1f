using Foundling.Core;
using Foundling.Core.Origin;
namespace Foundling.Shared;

/// <summary>How well a part planted from another time is told from the tool's own.</summary>
/// <param name="Tools">Tools drawn.</param>
/// <param name="Found">Share of them in which the planted part was called odd.</param>
/// <param name="Blamed">Share of them in which a part of the tool's own was called odd.</param>
public sealed record Planted(int Tools, double Found, double Blamed)
{
    /// <summary>
    /// Draws tools with nine sure looks, one part of each from at least twenty years away with at least one look that is
    /// impossible in the tool's own year.
    /// </summary>
    public static Planted Draw(PatternBook book, string line, int tools, int seed)
    {
        const int Looks = 9, YearsAway = 20;
        var maker = new ToolMaker(book, line, seed, Assumptions.Standard);
        int found = 0, blamed = 0, drawn = 0;
        while (drawn < tools)
        {
            (int year, int other) = (maker.DrawYear(), maker.DrawYear());
            string[] traits = maker.DrawTraits(Looks);
            string planted = book.TraitOf(maker.DrawOne(traits)).Part;
            if (Math.Abs(year - other) < YearsAway || PartRules.IsCore(planted))
            {
                continue;
            }
            MadeUpTool tool = maker.Draw(year, traits, new Dictionary<string, int> { [planted] = other });
            if (!tool.Looks.Any(o => book.TraitOf(o.Trait!).Part == planted && maker.Impossible(o, year)))
            {
                continue;
            }
            drawn++;
            DatingReport report = Dating.Report(new DatingInput(tool.Looks, book, [line]), Assumptions.Standard);
            found += report.PartLabel.TryGetValue(planted, out string? label) && label == "odd" ? 1 : 0;
            blamed += report.PartLabel.Any(p => p.Key != planted && p.Value == "odd") ? 1 : 0;
        }
        return new Planted(tools, found / (double)tools, blamed / (double)tools);
    }
}
