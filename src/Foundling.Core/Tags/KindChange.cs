using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Tools;
using Foundling.Core.Units;

namespace Foundling.Core.Tags;

/// <summary>
/// What became of a tag whose kind was put right. Nothing that was seen or measured is thrown away: what speaks of a part the
/// new kind has not got is set aside, says nothing, and counts again when the kind is changed back. The open steps of the old
/// plan go; what was done, left out or added by hand stays.
/// </summary>
/// <param name="From">The kind it was.</param>
/// <param name="To">The kind it is now.</param>
/// <param name="Findings">Findings set aside.</param>
/// <param name="Measurements">Measurements and counts set aside.</param>
/// <param name="Steps">Open steps taken out of the rod.</param>
public sealed record KindChange(ToolKind From, ToolKind To, int Findings, int Measurements, int Steps)
{
    /// <summary>Makes a tag whose kind was just changed hold together again.</summary>
    /// <param name="tag">The tag, already of its new kind.</param>
    /// <param name="from">The kind it was.</param>
    public static KindChange Of(Tag tag, KindId from)
    {
        HashSet<DeedId> open = [.. tag.Steps.Where(s => s.State == StepState.Open && s.Hand != StepHand.Added).Select(s => s.Key)];
        if (open.Count > 0)
        {
            tag.Plan = tag.Plan!.With([.. tag.Plan.Deeds.Where(d => !open.Contains(d.Id))], "the kind was put right");
        }
        return new KindChange(ToolCatalogue.Kind(from), tag.Tool(), tag.Findings.Count(f => !tag.Has(f.Part)),
            tag.Measurements.Count(m => !tag.Has(m.Part)) + tag.Counts.Count(c => !tag.Has(c.Part)), open.Count);
    }

    /// <summary>What was done, in a sentence or two.</summary>
    public string Sentence
    {
        get
        {
            List<string> aside = [];
            if (Findings > 0)
            {
                aside.Add(Findings == 1 ? "1 finding" : $"{Findings} findings");
            }
            if (Measurements > 0)
            {
                aside.Add(Measurements == 1 ? "1 measurement" : $"{Measurements} measurements");
            }
            string to = Articles.A(To.Name.ToLowerInvariant()), from = Articles.A(From.Name.ToLowerInvariant());
            string now = $"It is {to} now.";
            string set = aside.Count == 0 ? ""
                : $" Set aside, because {to} has no such part: {string.Join(" and ", aside)}; they count again if it turns out to be {from} after all.";
            string plan = Steps == 0 ? "" : $" The open steps of the old plan are gone ({Steps}); choose the aim again to plan anew.";
            return now + set + plan;
        }
    }
}
