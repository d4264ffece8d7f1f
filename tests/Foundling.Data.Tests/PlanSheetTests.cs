using System.Globalization;
using System.Text;
using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Safety;
using Foundling.Core.Shop;
using Foundling.Core.State;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Reference;
using Foundling.Shared;

namespace Foundling.Data.Tests;

/// <summary>Every plan of the book written out, so that it can be read aloud: each kind in a typical state, at each aim.</summary>
public sealed class PlanSheetTests
{
    /// <summary>How such a tool mostly comes: brown all over, worn where hands go, dull, one thing loose and one stiff.</summary>
    internal static Found[] Typical(ToolKind kind)
    {
        List<Found> found = [];
        void Add(PartDef? part, FindingKind fault, int degree)
        {
            if (part is not null && Faults.Can(kind, part, fault))
            {
                found.Add(new Found(part.Id, fault, degree));
            }
        }
        PartDef? main = kind.Parts.FirstOrDefault(p => p.Ferrous);
        foreach (PartDef part in kind.Parts.Where(p => p.Ferrous && !p.InSet))
        {
            Add(part, FindingKind.Rust, part == main || kind.Edges.Contains(part) ? 2 : 1);
        }
        Add(kind.Edges.FirstOrDefault() ?? kind.Part(PartIds.Plate), FindingKind.EdgeDamage, 2);
        Add(kind.Parts.FirstOrDefault(p => p.Finish is PartFinish.Japanned or PartFinish.Painted), FindingKind.CoatingLoss, 2);
        Add(kind.Parts.FirstOrDefault(p => p.Material == Material.Wood && !p.Is(PartIds.Wedge)), FindingKind.CoatingLoss, 2);
        Add(kind.Parts.FirstOrDefault(p => p.Material == Material.Wood && Faults.Can(kind, p, FindingKind.Looseness)), FindingKind.Looseness, 2);
        Add(kind.Parts.LastOrDefault(p => Faults.Can(kind, p, FindingKind.Seizure) && p.Material != Material.Wood), FindingKind.Seizure, 1);
        Add(kind.Part(PartIds.Body), FindingKind.OutOfFlat, 2);
        return [.. found];
    }

    [Fact]
    public void Every_plan_stands_in_docs_as_the_book_gives_it()
    {
        var shop = new ShopContext(Assumptions.Standard, new Climate(18, 55), ReferenceData.Baths);
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            SchemaTests.Written($"docs/plans/{kind.Id}.md", Sheet(kind, shop));
        }
        Directory.GetFiles(Tree.Path("docs", "plans"), "*.md").Length.ShouldBe(ToolCatalogue.Kinds.Count, "a kind that is gone has no sheet");
    }

    private static string Sheet(ToolKind kind, ShopContext shop)
    {
        Found[] found = Typical(kind);
        var text = new StringBuilder($"# {kind.Name}\n\nFound: "
            + string.Join("; ", found.Select(f => $"{kind.Part(f.Part)!.Name}, {FindingScales.Sight(f.Kind, f.Severity, kind.Part(f.Part))}"))
            + ".\nWritten by the tests from the rules, in a shop of 18 °C and 55 %.\n");
        foreach (AimKind aim in Enum.GetValues<AimKind>())
        {
            PlanQuestion q = new(new Facts(kind, found), aim, shop);
            IReadOnlyList<Deed> plan = Planner.Plan(q);
            TotalsResult total = PlanTotals.Of(plan, shop.Assumptions);
            text.Append(CultureInfo.InvariantCulture, $"\n## {aim}\n\n{Sentences.Start(Typed.About(total.P50, total.P80))}; "
                + $"{(PlanTime.WaitsAdd(plan) ? $"{Typed.Wait(PlanTime.Elapsed(plan))} with its waits" : "no wait adds to it")}.\n\n");
            foreach (Deed d in plan)
            {
                text.Append(CultureInfo.InvariantCulture, $"- **{d.Title}** "
                    + $"{Typed.Hours(d.Minutes.Likely)}{(d.Lag is { HoldsMin: > 0 } lag ? $", waits {Typed.Wait(lag.LeastMin)}" : "")}"
                    + $"{(d.Final ? ", not undone" : "")}. {d.Reason} {d.How} *{d.FinishTest}*");
                text.Append(d.Needs.Count == 0 ? "" : $" Needs {string.Join(", ", d.Needs.Select(n => n.Amount is double amount
                    ? string.Create(CultureInfo.InvariantCulture, $"{n.Name} {amount:0.##} {(amount == 1 ? n.Unit.TrimEnd('s') : n.Unit)}") : n.Name))}.");
                text.Append(d.Cautions.Count == 0 ? "\n" : $" Mind: {string.Join(", ", Cautions.Of(d.Cautions).Select(c => c.About))}.\n");
            }
            foreach (FindingAnswer silent in FindingAnswers.Of(q, plan).Where(f => f.WhyNot is not null))
            {
                text.Append($"- Left: {kind.Part(silent.Finding.Part)!.Name}, "
                    + $"{FindingScales.Sight(silent.Finding.Kind, silent.Finding.Severity, kind.Part(silent.Finding.Part))}. "
                    + $"{silent.WhyNot}\n");
            }
        }
        return text.ToString().Replace("  ", " ", StringComparison.Ordinal);
    }
}
