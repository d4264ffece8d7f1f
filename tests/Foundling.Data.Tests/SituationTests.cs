using Foundling.Core.Aim;
using Foundling.Core.Bench;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Tests;

/// <summary>Twelve tools of the demo loft, each with the plan a careful master would write for it.</summary>
public sealed class SituationTests(DemoLoft loft) : IClassFixture<DemoLoft>
{
    private (Tag Tag, IReadOnlyList<PlanStep> Plan, PlanQuestion Question) Of(int number, AimKind? aim = null)
    {
        Tag tag = loft.Tags[number];
        PlanQuestion question = loft.Asked(tag, aim ?? tag.Aim ?? AimKind.Work);
        return (tag, PlanStep.Fresh(Planner.Plan(question)), question);
    }

    private static PlanStep Step(IReadOnlyList<PlanStep> plan, string key) => plan.FirstOrDefault(s =>
        s.Key == DeedId.Read(key)).ShouldNotBeNull($"no step {key} in {string.Join(' ', plan.Select(s => s.Key))}");

    private static void Not(IReadOnlyList<PlanStep> plan, params string[] keys) => plan.Select(s => s.Key.ToString()).Intersect(keys).ShouldBeEmpty();

    private static void InOrder(IReadOnlyList<PlanStep> plan, params string[] keys) =>
        keys.Select(k => Step(plan, k).Order).ShouldBe(keys.Select(k => Step(plan, k).Order).Order());

    [Fact]
    public void A_scarce_spokeshave_is_kept_as_it_is_though_its_owner_wants_it_new()
    {
        (Tag tag, IReadOnlyList<PlanStep> plan, PlanQuestion question) = Of(33);
        tag.Wish.ShouldContain("new");
        plan.ShouldAllBe(s => s.Undoable);
        Not(plan, "soak", "coat-strip", "edge-hone", "dark-remove");
        Step(plan, "derust-scrape").How.ShouldContain("stop at brown");
        Step(plan, "coat-seal");
        // His wish beside it: what it would cost in worth, and that each final step needs his word.
        AimReview wished = AimReview.Of(question with { Aim = AimKind.Show }, (double?)tag.WorthSound, tag.Rarity!.Value), kept = AimReview.Of(question,
            (double?)tag.WorthSound, tag.Rarity!.Value);
        wished.WorthAfter!.Value.ShouldBeLessThan(kept.WorthAfter!.Value - 15);
        Consent.Asked(tag, PlanStep.Fresh(wished.Final)[0], "Skerrow Slip").ShouldNotBeNull().ShouldContain("Piet Varrow");
    }

    [Fact]
    public void A_paring_chisel_with_little_hard_steel_has_its_pits_lapped_not_ground()
    {
        (_, IReadOnlyList<PlanStep> plan, PlanQuestion question) = Of(42);
        PlanStep save = Step(plan, "edge-save");
        save.Title.ShouldStartWith("Lap the pits out");
        save.How.ShouldContain("9 mm of hard steel");
        Choices.Find(ChoiceId.Back).Find(WayId.Shim).Blocked(question).ShouldNotBeNull().ShouldContain("never on a chisel");
        Step(plan, "leave-on").Title.ShouldContain("handle");
        // The handle stays on, so the blade is worked by hand.
        Not(plan, "soak");
        Step(plan, "derust-abrasive").Parts.ShouldContain(PartIds.Blade);
        Step(plan, "mushroom").Title.ShouldContain("handle");
        Step(plan, "edge-back").How.ShouldContain("never lift");
        Not(plan, "apart", "assemble");
    }

    [Fact]
    public void A_try_planes_loose_knob_has_its_rod_shortened_in_two_bites()
    {
        (_, IReadOnlyList<PlanStep> plan, _) = Of(19);
        PlanStep rod = Step(plan, "rod-shorten");
        // The gap is 1.1 mm: 0.95 first, 1.9 in all.
        rod.How.ShouldContain("1.1 mm");
        rod.How.ShouldContain("1.9 mm in all");
        rod.Parts.ShouldBe([PartIds.Knob, PartIds.KnobBolt]);
        Not(plan, "rod-why", "wood-glue");
        Step(plan, "sole-lap").Cautions.ShouldContain(CautionId.Heavy);
        InOrder(plan, "rod-shorten", "assemble", "tension", "sole-check", "sole-lap");
    }

    [Fact]
    public void A_rebate_plane_in_wind_has_its_strange_wedge_fitted_before_its_sole_is_trued()
    {
        (_, IReadOnlyList<PlanStep> plan, _) = Of(36);
        Step(plan, "wedge-fit").Title.ShouldContain("from another plane");
        Step(plan, "wedge-note");
        InOrder(plan, "abutments", "wedge-fit", "assemble", "sole-check", "sole-wood", "mouth-check", "final-hone");
        Step(plan, "sole-check").How.ShouldContain("Wedge driven as in use");
        Step(plan, "sole-wood").Undoable.ShouldBeFalse();
        Not(plan, "soak", "sole-lap");
    }

    [Fact]
    public void A_seized_chuck_is_oiled_clamped_in_wood_and_tapped_but_its_plating_is_not_heated()
    {
        (_, IReadOnlyList<PlanStep> plan, _) = Of(28);
        InOrder(plan, "free-oil", "free-clamp", "free-shock", "free-stop", "apart", "photo-chuck", "chuck-clean");
        Step(plan, "free-clamp").How.ShouldContain("softwood");
        Step(plan, "free-oil").WaitMin.ShouldBe(24 * 60);
        Step(plan, "free-shock").Title.ShouldStartWith("If it still sits");
        Not(plan, "free-heat", "free-pins", "try-as-found");
        Step(plan, "photo-pins").Title.ShouldContain("ratchet");
    }

    [Fact]
    public void A_faint_etch_under_dark_rust_keeps_the_back_saw_out_of_the_bath()
    {
        (_, IReadOnlyList<PlanStep> plan, PlanQuestion question) = Of(35);
        Not(plan, "soak", "derust-wire", "derust-blast", "dark-remove");
        InOrder(plan, "wash", "etch-find", "derust-abrasive", "saw-file", "assemble", "saw-nuts");
        Step(plan, "derust-abrasive").How.ShouldContain("length of the plate");
        Choices.Find(ChoiceId.Rust).Find(WayId.Wire).Blocked(question).ShouldNotBeNull().ShouldContain("etched");
        Choices.Find(ChoiceId.Rust).Find(WayId.Citric).Blocked(question).ShouldNotBeNull();
        plan.Where(s => s.Stage == Stage.Edge).ShouldAllBe(s => s.Cautions.Contains(CautionId.Teeth));
    }

    [Fact]
    public void A_drawknife_handle_that_turns_is_bedded_and_the_sound_one_is_left_on()
    {
        (_, IReadOnlyList<PlanStep> plan, _) = Of(27);
        PlanStep bed = Step(plan, "tang-bed");
        bed.Parts.ShouldBe([PartIds.HandleLeft]);
        bed.Cautions.ShouldContain(CautionId.Epoxy);
        Not(plan, "open-joint", "refit-plan", "apart");
        Step(plan, "leave-on").Parts.ShouldContain(PartIds.HandleRight);
        // Handles on peened tangs stay on, so no bath: the blade is worked by hand.
        Not(plan, "soak");
        Step(plan, "derust-abrasive").Parts.ShouldBe([PartIds.Blade]);
        InOrder(plan, "derust-abrasive", "edge-hone", "edge-cover", "tang-bed", "wood-oil", "wood-wipe", "prove");
    }

    [Fact]
    public void A_wrench_with_play_has_it_traced_and_is_not_promised_more()
    {
        (_, IReadOnlyList<PlanStep> plan, _) = Of(38);
        PlanStep play = Step(plan, "jaw-play");
        play.How.ShouldContain("1.2 mm");
        play.How.ShouldContain("stays a wrench for light nuts");
        InOrder(plan, "soak-oil", "slide-clean", "jaw-play", "assemble", "prove");
        Step(plan, "knurl").How.ShouldContain("No abrasive");
        Not(plan, "keep-out", "edge-hone", "store");
    }

    [Fact]
    public void A_bolt_cutter_with_a_chipped_jaw_has_both_dressed_and_its_stops_moved()
    {
        (Tag tag, IReadOnlyList<PlanStep> plan, _) = Of(24);
        PlanStep dress = Step(plan, "jaw-dress"), stops = Step(plan, "set-stops");
        dress.Title.ShouldContain("both jaws alike");
        dress.Cautions.ShouldBe([CautionId.Grinder], "the wheel is what hurts; no hammer goes near the jaws");
        (dress.Undoable, stops.Undoable).ShouldBe((false, false));
        stops.How.ShouldContain("the stops must too");
        InOrder(plan, "free-oil", "free-driver:hexagon", "apart", "jaw-dress", "assemble", "set-stops", "prove");
        // It is Piet's: nothing final without his word.
        Consent.Asked(tag, dress, "Skerrow Slip").ShouldNotBeNull().ShouldContain("Piet Varrow");
        Not(plan, "edge-hone");
    }

    [Fact]
    public void A_plough_works_with_the_irons_it_has_while_one_is_on_order()
    {
        (_, IReadOnlyList<PlanStep> plan, _) = Of(30);
        PlanStep coming = Step(plan, "irons-fit:set_7");
        coming.WaitsFor.ShouldContain("no. 7 iron");
        coming.ArrivesOn.ShouldNotBeNull();
        Step(plan, "irons-find").Title.ShouldContain("no. 4 iron");
        Step(plan, "irons-hone").Title.ShouldContain("5 irons");
        Step(plan, "irons-hone").Title.ShouldContain("to the grit that cuts");
        InOrder(plan, "assemble", "prove", "irons-fit:set_7");
        plan.Where(s => s.WaitsFor.Length > 0).ShouldHaveSingleItem();
        Step(plan, "slides");
    }

    [Fact]
    public void A_block_planes_sound_coat_is_dulled_and_painted_over_not_stripped()
    {
        (_, IReadOnlyList<PlanStep> plan, PlanQuestion question) = Of(20);
        question.Aim.ShouldBe(AimKind.Own);
        Not(plan, "coat-strip", "coat-prime", "coat-bake", "soak");
        InOrder(plan, "coat-colour", "coat-scuff", "coat-mask", "coat-1", "coat-2", "overspill", "assemble", "tension", "sole-check", "own-papers");
        Not(plan, "bed-flat", "sole-lap");
        Step(plan, "coat-1").Title.ShouldContain("the loft's blue");
        Step(plan, "coat-scuff").How.ShouldContain("No primer over a sound coat");
        Step(plan, "coat-mask").Title.ShouldContain("sole, cheeks");
        Step(plan, "coat-1").WaitMin!.Value.ShouldBeLessThan(Step(plan, "coat-1").Deed.Lag!.MostMin!.Value);
        Step(plan, "own-papers").How.ShouldContain("blue");
    }

    [Fact]
    public void A_hand_drill_without_its_odd_screw_gets_it_matched_before_assembly()
    {
        (_, IReadOnlyList<PlanStep> plan, _) = Of(25);
        PlanStep find = Step(plan, "find:crank_screw");
        find.How.ShouldContain("Parts box first");
        find.How.ShouldContain("old threads are often odd");
        InOrder(plan, "roll-call", "find:crank_screw", "assemble");
        Step(plan, "wash-sap").Parts.ShouldBe([PartIds.Gear]);
        Step(plan, "chuck-clean").Cautions.ShouldContain(CautionId.Spring);
        Step(plan, "coat-touch");
    }

    [Fact]
    public void Every_demo_rod_is_the_plan_of_its_rules()
    {
        foreach (Tag tag in loft.Tags.Values.Where(t => t.Aim is not null))
        {
            tag.Steps.Select(s => s.Key).ShouldBe(Of(tag.Number).Plan.Select(s => s.Key), tag.Label);
        }
        loft.Tags.Count.ShouldBe(16);
    }
}

/// <summary>The demo loft, loaded once.</summary>
public sealed class DemoLoft : IDisposable
{
    private readonly TestShop _shop = new();

    public DemoLoft()
    {
        using FoundlingDb db = _shop.Open();
        _shop.Demo(db).Load().GetAwaiter().GetResult();
        foreach (int number in db.Tags.Select(t => t.Number).ToList())
        {
            Tags[number] = _shop.Tags(db).Find(number).GetAwaiter().GetResult()!;
        }
    }

    public Dictionary<int, Tag> Tags { get; } = [];

    public PlanQuestion Asked(Tag tag, AimKind aim)
    {
        using FoundlingDb db = _shop.Open();
        return _shop.Rods(db).Question(tag, aim).GetAwaiter().GetResult();
    }

    public void Dispose() => _shop.Dispose();
}
