using Foundling.Core.Tools;

namespace Foundling.Core.State;

/// <summary>What to do with a tool.</summary>
public enum Verdict
{
    /// <summary>Restore it.</summary>
    Restore,

    /// <summary>Restore it if the doubts are cleared.</summary>
    RestoreIf,

    /// <summary>Keep it for its parts.</summary>
    Parts,

    /// <summary>Leave it as it is.</summary>
    LeaveAsItIs,
}

/// <summary>One reason for a verdict.</summary>
/// <param name="Part">Part it is about.</param>
/// <param name="Sentence">What, and why it matters.</param>
public sealed record TriageReason(PartId Part, string Sentence);

/// <summary>The verdict with its reasons.</summary>
/// <param name="Verdict">What the findings say.</param>
/// <param name="Stoppers">What stops a restoration.</param>
/// <param name="Doubts">What must be looked at before deciding.</param>
/// <param name="Work">What is only work.</param>
/// <param name="WorthSaving">Sound parts worth keeping when the verdict is Parts.</param>
public sealed record TriageResult(Verdict Verdict, IReadOnlyList<TriageReason> Stoppers, IReadOnlyList<TriageReason> Doubts, IReadOnlyList<TriageReason> Work,
    IReadOnlyList<PartId> WorthSaving);

/// <summary>Collects stoppers, doubts and work from what was found.</summary>
public static class Triage
{
    private static readonly FindingKind[] Sound = [FindingKind.Rust, FindingKind.CoatingLoss, FindingKind.PlatingLoss, FindingKind.PaintSplash,
        FindingKind.Sap, FindingKind.Packed, FindingKind.Looseness];

    /// <summary>Weighs everything that is known of a tool.</summary>
    /// <param name="facts">What is known of it.</param>
    /// <param name="assumptions">What makes an iron worth saving.</param>
    public static TriageResult Of(Facts facts, Assumptions assumptions) => Weigh(facts, assumptions, facts.Steel(assumptions)?.Reserve.SharpeningsLeft);

    /// <summary>Weighs what is known, with the sharpenings left given.</summary>
    /// <param name="facts">What is known of the tool.</param>
    /// <param name="assumptions">What makes an iron worth saving.</param>
    /// <param name="sharpeningsLeft">Sharpenings left in the cutting part, where known.</param>
    public static TriageResult Weigh(Facts facts, Assumptions assumptions, int? sharpeningsLeft = null)
    {
        (Assumptions a, ToolKind kind, IReadOnlyList<Found> findings, AsFoundTry? tried) = (assumptions, facts.Tool, facts.Findings, facts.Tried);
        List<TriageReason> stoppers = [], doubts = [], work = [];
        // A mark to keep is worth noting, but nothing is wrong with it.
        findings = [.. findings.Where(f => f.Kind != FindingKind.Mark)];
        foreach (Found f in findings.Where(f => f.Severity > 0 && kind.Part(f.Part) is not null))
        {
            PartDef part = kind.Part(f.Part)!;
            string name = part.Name, sight = f.Doubt.Length > 0 ? f.Note : FindingScales.Sight(f.Kind, f.Severity, part), where = PartGroups.At(f.Place,
                sight) is { Length: > 0 } at ? " " + at : "";
            TriageReason Because(string why) => new(part.Id, $"The {name}{where}: {sight}{(why.Length > 0 ? "; " + why : "")}{(why.EndsWith('?') ? "" : ".")}");
            bool cuts = kind.Edges.Contains(part) || part.Is(PartIds.Plate);
            if (f.Doubt.Length > 0)
            {
                doubts.Add(Because(f.Doubt));
                continue;
            }
            switch (f.Kind)
            {
                case FindingKind.Crack when f.Severity >= 2 && Decides(kind, part, f.Place):
                    stoppers.Add(Because("a crack there grows with every stroke"));
                    break;
                case FindingKind.Crack when f.Severity >= 2 && !Replaceable(part):
                    doubts.Add(Because(f.Place.Length == 0 && Deciding(kind, part) is { Count: > 0 } deciding
                        ? $"where it runs decides: look {string.Join(" and ", deciding.Select(PartGroups.At))}" : "see whether it opens under load"));
                    break;
                case FindingKind.Worn when cuts && f.Severity == FindingScales.Worst && sharpeningsLeft is null or 0:
                    (part.Is(PartIds.Iron, PartIds.Blade) && kind.Family == Family.Plane ? doubts
                        : stoppers).Add(Because(kind.Family == Family.Plane ? "is there another iron for it?" : "it cannot be sharpened again"));
                    break;
                case FindingKind.Worn when cuts && f.Severity == 3 && sharpeningsLeft is null:
                    doubts.Add(Because("measure it: how many sharpenings are left?"));
                    break;
                case FindingKind.Worn when cuts && f.Severity == 3 && sharpeningsLeft < a.SharpeningsWorthSaving:
                    doubts.Add(Because($"only {Math.Max(0, sharpeningsLeft!.Value)} sharpenings left"));
                    break;
                case FindingKind.Missing when f.Severity == FindingScales.Worst:
                    stoppers.Add(Because("without it the tool does nothing"));
                    break;
                case FindingKind.Missing when f.Severity == 3:
                    doubts.Add(Because("is there one to be had?"));
                    break;
                case FindingKind.EdgeDamage or FindingKind.Pitting when cuts && f.Severity >= 3 && sharpeningsLeft < a.SharpeningsWorthSaving:
                    stoppers.Add(Because($"only {Math.Max(0, sharpeningsLeft!.Value)} sharpenings would be left"));
                    break;
                case FindingKind.EdgeDamage or FindingKind.Pitting when cuts && f.Severity >= 3 && sharpeningsLeft is null:
                    doubts.Add(Because("how much hard steel is left behind it?"));
                    break;
                case FindingKind.Bent when f.Severity == FindingScales.Worst && part.Is(PartIds.Plate):
                    stoppers.Add(Because("a creased plate never runs straight again"));
                    break;
                case FindingKind.Bent when f.Severity >= 3:
                    doubts.Add(Because(part.Material == Material.Wood ? "can it be planed or steamed straight, or made anew?" : "can it be drawn straight?"));
                    break;
                case FindingKind.Seizure when f.Severity >= 3:
                    doubts.Add(Because("oil, heat and time before deciding"));
                    break;
                case FindingKind.Burred when f.Severity == FindingScales.Worst && part.IsFastener:
                    doubts.Add(Because("it may have to be drilled out"));
                    break;
                case FindingKind.Repair when f.Severity >= 3:
                    doubts.Add(Because("what is under it?"));
                    break;
                case FindingKind.Damp when f.Severity == FindingScales.Worst:
                    doubts.Add(Because("rotten wood holds no screw"));
                    break;
                default:
                    work.Add(Because(""));
                    break;
            }
        }
        List<PartId> saving = [.. kind.Parts.Where(p => findings.All(f => f.Part != p.Id || f.Severity < 2 || (Sound.Contains(f.Kind)
            && f.Severity < FindingScales.Worst))).Select(p => p.Id)];
        Verdict verdict = stoppers.Count > 0 ? (saving.Count > 0 ? Verdict.Parts : Verdict.LeaveAsItIs)
            : doubts.Count > 0 ? Verdict.RestoreIf
            : tried == AsFoundTry.Well && findings.All(f => f.Severity < 2) ? Verdict.LeaveAsItIs
            : Verdict.Restore;
        return new TriageResult(verdict, stoppers, doubts, work, stoppers.Count > 0 ? saving : []);
    }

    private static bool Decides(ToolKind kind, PartDef part, string place) => (kind.Family, place) switch
    {
        (Family.Plane, "mouth" or "frog seat" or "abutments" or "bed" or "throat") => part.Is(PartIds.Body),
        (Family.Saw, "tooth line") => part.Is(PartIds.Plate),
        (_, "eye") => part.Is(PartIds.Head, PartIds.Bit),
        (Family.Wrench, _) => part.Is(PartIds.Frame, PartIds.SlidingJaw, PartIds.FixedJaw) || part.Id == kind.Parts[0].Id,
        (Family.EdgeTool, _) => part.Is(PartIds.Tang),
        (Family.Cutter, _) => part.Is(PartIds.UpperJaw, PartIds.LowerJaw, PartIds.Blade),
        _ => false,
    };

    private static List<string> Deciding(ToolKind kind, PartDef part) => [.. PartGroups.Places(kind, part).Where(p => Decides(kind, part, p))];

    private static bool Replaceable(PartDef part) => part.Material is Material.Wood or Material.Soft && !part.Is(PartIds.Body) || part.IsFastener;
}
