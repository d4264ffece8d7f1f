using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Tools;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Rod;

/// <summary>Ways for single parts: practitioners mix methods on one tool.</summary>
public sealed class PartWayTests
{
    private static PlanQuestion With(PlanQuestion q, ChoiceId choice, PartId part, WayId way) => q with
    {
        PartWays = new Dictionary<(ChoiceId, PartId), WayId>(q.PartWays) { [(choice, part)] = way },
    };

    private static PartId[] On(IReadOnlyList<Deed> plan, StepKey step) => [.. plan.Where(d => d.Id.Step == step).SelectMany(d => d.Parts).Distinct().Order()];

    [Fact]
    public void One_coated_part_is_left_while_the_rest_is_sprayed()
    {
        PlanQuestion all = Ask(AimKind.Work, F(PartIds.Body, FindingKind.CoatingLoss, 4), F(PartIds.Frog, FindingKind.CoatingLoss, 3));
        IReadOnlyList<Deed> sprayed = Planner.Plan(all);
        On(sprayed, StepKey.Coat1).ShouldContain(PartIds.Frog);
        PlanQuestion q = With(all, ChoiceId.Coating, PartIds.Frog, WayId.Seal);
        IReadOnlyList<Deed> plan = Planner.Plan(q);
        On(plan, StepKey.Coat1).ShouldBe(On(sprayed, StepKey.Coat1).Where(p => p != PartIds.Frog));
        On(plan, StepKey.CoatStrip).ShouldNotContain(PartIds.Frog);
        On(plan, StepKey.CoatSeal).ShouldBe([PartIds.Frog]);
        double Stripping(IReadOnlyList<Deed> p) => p.Where(d => d.Id.Step == StepKey.CoatStrip).Sum(d => d.Minutes.Likely);
        Stripping(plan).ShouldBeLessThan(Stripping(sprayed));
    }

    [Fact]
    public void One_handle_is_oiled_and_the_other_left()
    {
        PlanQuestion q = With(Ask(AimKind.Work), ChoiceId.Wood, PartIds.Tote, WayId.Oil);
        IReadOnlyList<Deed> plan = Planner.Plan(q);
        On(plan, StepKey.WoodOil).ShouldBe([PartIds.Tote]);
        On(plan, StepKey.WoodScrape).ShouldBe([PartIds.Tote], "oil does not go through varnish");
        On(plan, StepKey.WoodClean).ShouldContain(PartIds.Knob);
    }

    [Fact]
    public void A_way_that_is_closed_for_a_part_is_not_taken_for_it()
    {
        PlanQuestion q = Ask(AimKind.Work, F(PartIds.Body, FindingKind.CoatingLoss, 2));
        PartDef frog = q.Tool.Part(PartIds.Frog)!;
        PartChoices.Blocked(q, ChoiceId.Coating, WayId.Touch, frog).ShouldBe("Nothing is bare.");
        PartChoices.OpenFor(q, ChoiceId.Coating, frog).Select(w => w.Id).ShouldNotContain(WayId.Touch);
        With(q, ChoiceId.Coating, PartIds.Frog, WayId.Touch).WayFor(ChoiceId.Coating, frog).ShouldBe(q.Way(ChoiceId.Coating));
    }

    [Theory]
    [InlineData("coating.frog=seal", true)]
    [InlineData("wood.tote=oil-wax", true)]
    [InlineData("rust.iron=wire", true)]
    [InlineData("coating.frog=oil", false)]
    [InlineData("flat.body=zones", false)]
    [InlineData("wood.tote", false)]
    [InlineData("wood.TOTE=oil", false)]
    public void Ways_of_parts_are_read_as_they_are_kept(string kept, bool known)
    {
        (PartChoices.Read(kept) is not null).ShouldBe(known);
        PartChoices.Read([kept], ToolCatalogue.Kind(KindIds.MetalBenchPlane)).Count.ShouldBe(known ? 1 : 0);
        if (PartChoices.Read(kept) is { } read)
        {
            List<string> list = PartChoices.Keep(["coating=leave"], read.Choice, read.Part, read.Way);
            list.ShouldBe(["coating=leave", kept]);
            PartChoices.Keep(list, read.Choice, read.Part, null).ShouldBe(["coating=leave"]);
        }
    }

    [Fact]
    public void What_is_one_piece_goes_into_one_bath_whatever_was_chosen_for_its_parts()
    {
        PlanQuestion q = With(Ask(KindIds.Adze, AimKind.Work, F(PartIds.Head, FindingKind.Rust, 2), F(PartIds.Bit, FindingKind.Rust, 3))
            .With(ChoiceId.Rust, WayId.Chelating), ChoiceId.Rust, PartIds.Head, WayId.Vinegar);
        q.RustPlan.Loads.ShouldHaveSingleItem().Way.ShouldBe(WayId.Vinegar);
        Planner.Plan(q).Count(d => d.Id.Step == StepKey.SoakLift).ShouldBe(1);
        PlanQuestion plane = With(Ask(AimKind.Work, F(PartIds.Body, FindingKind.Rust, 2), F(PartIds.Iron, FindingKind.Rust, 2))
            .With(ChoiceId.Rust, WayId.Chelating), ChoiceId.Rust, PartIds.Iron, WayId.Citric);
        plane.RustPlan.Loads.Select(l => l.Way).ShouldBe([WayId.Chelating, WayId.Citric], "what comes apart may go each its own way");
    }
}
