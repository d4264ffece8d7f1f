using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Proof;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for the end: protect, prove, put away, look again.</summary>
internal static class FinishRules
{
    private static string Title(IReadOnlyList<ProofKind> proofs) => "Prove it: " + string.Join(", ", proofs.Select(p =>
        Sentences.Middle(p.Name)));

    private static string Test(IReadOnlyList<ProofKind> proofs)
    {
        string said = string.Join("; ", proofs.Select(p => p is SeenProof seen ? seen.Degrees[0]
            : $"{((MeasuredProof)p).Measures.ToLowerInvariant()} within the target beyond its error").Distinct());
        return Sentences.Start(said) + ".";
    }

    private static string Protect(PlanQuestion q) => q.Tool.Family switch
    {
        _ when q.Aim == AimKind.Keep => "Oil the metal thinly, wax over it",
        _ when q.Tool.Manner.Protect is { } protect => protect,
        Family.Plane when q.Tool.HasWoodenSole => "Wax the sole, oil the iron",
        Family.Plane when q.Tool.Part(PartIds.Fence) is not null => q.Tool.HasSkate ? "Wax fence and stems, oil skate and irons"
            : "Wax fence and stems, oil the irons",
        Family.Plane when q.Tool.Part(PartIds.Body)?.Material == Material.Wood => "Wax the wood, oil the iron",
        Family.Plane => q.Tool.Made(PartIds.Adjuster) ? "Wax sole and sides, oil threads and adjuster" : "Wax sole and sides, oil the iron and the threads",
        Family.Saw => $"Wax the {q.Tool.Part(PartIds.Plate)?.Name ?? "plate"}",
        Family.EdgeTool => q.Tool.Parts.Any(p => p.Material == Material.Wood) ? "Oil the steel, wax the handle" : "Oil the steel",
        Family.Wrench => "Oil the slide, wax the rest",
        _ => "Oil pivots and threads, wax the rest",
    };

    /// <summary>A tool of steel alone is oiled and not waxed.</summary>
    private static bool OnlyOil(PlanQuestion q) => q.Aim != AimKind.Keep && q.Tool.Manner.Protect is null && q.Tool.Family == Family.EdgeTool
        && q.Tool.Parts.All(p => p.Material != Material.Wood);

    private const double MinutesAMonth = 365.25 / 12 * 24 * 60;

    private static double NextLookMonths(PlanQuestion q) => q.RelativeHumidityPercent > q.Shop.Assumptions.DampPercent ? q.Shop.Assumptions.NextLookMonths / 2
        : q.Shop.Assumptions.NextLookMonths;

    /// <summary>A proof that is measured takes longer than one that is looked at.</summary>
    private static Aim.ThreePoint Proving(PlanQuestion q)
    {
        IReadOnlyList<ProofKind> proofs = Proofs.For(q.Tool, q.Purpose, q.Shop.Assumptions);
        int measured = proofs.Count(p => p is MeasuredProof);
        return q.Minutes(StepKey.Prove, Work.Count(proofs.Count - measured)) + q.Minutes(StepKey.Prove, Work.Count(measured), StepCase.Measured);
    }

    private static bool WasTried(PlanQuestion q) => q.Tried is not null || ArrivalRules.Tryable.Holds(q);

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("protect", "Bare iron rusts in one damp night.", [Always], q => new Deed(StepKey.Protect, Stage.Finish, Protect(q),
            q.Minutes(StepKey.Protect, q.Ferrous))
        {
            Needs = [.. OnlyOil(q) ? [] : new[] { q.On(SupplyIds.PasteWax, q.Ferrous) }, q.On(SupplyIds.LightOil, q.Ferrous),
                Need.Of(SupplyIds.LintFreeCloth, 1)],
                How = OnlyOil(q) ? "A thin film with a cloth that is barely wet." : "Thin coat, wait for the haze, buff.",
            Lag = OnlyOil(q) ? null : Lag.Cure(Finishes.Drying.Wax(q.Shop.Assumptions).In(q.TemperatureC,
                    q.RelativeHumidityPercent).RecoatFromMin),
            Reason = OnlyOil(q) ? "A film of oil keeps damp off." : "Wax slides and keeps damp off.",
            FinishTest = OnlyOil(q) ? "A film one feels and does not see." : "Dry to the touch, no streaks.",
            Cautions = q.Edges.Any() ? [CautionId.BareEdge] : q.Tool.Family == Family.Saw ? [CautionId.Teeth] : [],
        }, buys: 6),
        PlanRule.One("prove it by feel", "What was not trued is not measured; it is felt.", [NotKeep, If("no metal is taken off", MetalWays.Spares)], q =>
            new Deed(StepKey.Prove, Stage.Finish, WasTried(q) ? "Try it as it was tried when it came, and say what is better"
                : "Try it, and say how it feels", q.Minutes(StepKey.Prove, Work.Count(1)))
        {
            Parts = Ids(q.Edges), Needs = [.. Proofs.For(q.Tool, q.Purpose, q.Shop.Assumptions).SelectMany(p => p.Kit).Distinct()
                .Where(k => k != SupplyIds.Caliper).Select(k => Need.Of(k))],
            How = WasTried(q) ? "The same test, by hand and eye. Nothing is measured against a target: what it could not do before, does it do now?"
                : "By hand and eye, on what it is for. Nothing is measured against a target.",
            Reason = "Nothing was trued, so there is no target to meet; the papers say how it feels.", FinishTest = "It is written down what it does.",
            Cautions = Dangers.InUse(q.Tool),
        }, buys: 4),
        PlanRule.One("prove it", "The proof is what it does.", [NotKeep, MetalWays.Asks], q =>
            new Deed(StepKey.Prove, Stage.Finish, Title(Proofs.For(q.Tool, q.Purpose, q.Shop.Assumptions)), Proving(q))
        {
            Parts = Ids(q.Edges), Needs = [.. Proofs.For(q.Tool, q.Purpose, q.Shop.Assumptions).SelectMany(p => p.Kit).Distinct().Select(k => Need.Of(k))],
            How = $"{(WasTried(q) ? "The same test as the try as found; what" : "What")} it was tried on belongs to the reading.",
            Reason = "Someone else should be able to trust the papers.", FinishTest = Test(Proofs.For(q.Tool, q.Purpose, q.Shop.Assumptions)),
            Cautions = Dangers.InUse(q.Tool),
        }, buys: 4),
        PlanRule.One("put away", "A proved edge is covered again.", [NotKeep, If("it has an edge or teeth", q => q.Edges.Any()
            || q.Tool.Family == Family.Saw)], q => new Deed(StepKey.Store, Stage.Finish, q.Tool.Family == Family.Plane ? "Draw the iron back"
            : q.Tool.Family == Family.Saw ? "Cover the teeth and hang it dry" : "Cover the edge and hang it dry", q.Minutes(StepKey.Store))
        {
            Parts = Ids(q.Edges), Needs = q.Tool.Family == Family.Plane ? [] : [Need.Of(SupplyIds.TapeOrCorkStrip, 1)],
            Reason = "Nobody gets cut reaching for it.", FinishTest = "Nothing bare.",
            Cautions = q.Tool.Family == Family.Saw ? [CautionId.Teeth] : [CautionId.BareEdge],
        }),
        PlanRule.One("pictures after", "Before means nothing without after.", [Always], q =>
            new Deed(StepKey.PicturesAfter, Stage.Finish, "Photograph it finished, same views", q.Minutes(StepKey.PicturesAfter, q.Present))
        {
            Needs = [Need.Of(SupplyIds.CameraAndRule)], Reason = "The papers show both.", FinishTest = "Same views as the first set.",
        }),
        PlanRule.One("say what is ours", "A tool dressed to taste says so.", [AimIs(AimKind.Own), If("something on it is dressed to this shop's taste",
            q => SurfaceWays.Renews(q) || q.Tool.Parts.Any(p => p.Material is Material.Wood or Material.Soft))], q =>
            new Deed(StepKey.OwnPapers, Stage.Finish, "Say in the papers what is this shop's own dress", q.Minutes(StepKey.OwnPapers))
        {
            How = q.Dress.Length > 0 ? $"This shop dresses its tools in {q.Dress}. Colour, grip, finish: each with what was there before."
                : "Colour, grip, finish: each with what was there before.", Reason = "Nobody should take it for the works' own.",
            FinishTest = "The papers name each change.",
        }),
        PlanRule.One("next look", "Rust comes back where it came first.", [Always], q =>
            new Deed(StepKey.NextLook, Stage.Finish, $"Set the next look in {NextLookMonths(q):0} months", q.Minutes(StepKey.NextLook))
        {
            Lag = Lag.LookAgain(NextLookMonths(q) * MinutesAMonth),
            Reason = q.RelativeHumidityPercent > q.Shop.Assumptions.DampPercent ? "This shop is damp: sooner than usual."
                : "A minute then saves an evening later.",
            FinishTest = "It stands on the Bench when its day comes.",
        }),
    ];
}
