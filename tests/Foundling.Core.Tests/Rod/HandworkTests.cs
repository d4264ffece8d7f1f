using CsCheck;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Stores;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Rod;

/// <summary>What a person changes on a rod, and that a fresh plan keeps it.</summary>
public sealed class HandworkTests
{
    private static readonly PlanQuestion Question = Ask(AimKind.Work, Rusty).With(ChoiceId.Wood, WayId.Oil);

    private static int AtDeed(IReadOnlyList<Deed> plan, DeedId key) => plan.ToList().FindIndex(s => s.Id == key);

    private static List<PlanStep> Replan(IReadOnlyList<PlanStep> plan, PlanQuestion question) => Rods.After(plan, Handwork.Replan(plan, question));

    private static List<PlanStep> Split(IReadOnlyList<PlanStep> plan, DeedId key, string name, double minutes) =>
        Rods.After(plan, Handwork.Split(plan, key, name, minutes));

    private static List<PlanStep> Made() => [.. PlanStep.Fresh(Planner.Plan(Question))];

    [Fact]
    public void Planning_again_keeps_what_is_done()
    {
        List<PlanStep> plan = Made();
        plan = Rods.Stand(Rods.Stand(plan, StepState.Done, plan[0].Key, StepKey.Soak), StepState.Skipped, plan[1].Key);
        IReadOnlyList<Deed> deeds = Handwork.Replan(plan, Question with { Aim = AimKind.Keep });
        foreach (PlanStep old in plan.Where(s => s.State != StepState.Open))
        {
            (deeds.Single(d => d.Id == old.Key) with { After = old.Deed.After }).ShouldBe(old.Deed);
        }
        PlanStep.Remaining(Rods.After(plan, deeds), Assumptions.Standard).P50.ShouldBeLessThan(PlanStep.Remaining(plan, Assumptions.Standard).P50);
    }

    [Fact]
    public void A_rule_that_forbids_a_move_is_named_and_nothing_moves()
    {
        List<PlanStep> plan = Made();
        MoveResult moved = Handwork.Move(plan, StepKey.Wash, StepKey.SoakOil, Question);
        moved.Forbidden.ShouldNotBeNull().ShouldContain("\"Degrease the metal\" comes before");
        moved.Forbidden!.ShouldContain("rust hides under it");
        moved.Deeds.ShouldBe(plan.Select(p => p.Deed));
        Handwork.Move(plan, StepKey.SoleLap, StepKey.NoteSettings, Question).Forbidden.ShouldNotBeNull().ShouldContain("tension");
        Handwork.Nudge(plan, plan[0].Key, earlier: true, Question).Forbidden.ShouldNotBeNull().ShouldContain("first");
        Handwork.Nudge(plan, plan[^1].Key, earlier: false, Question).Forbidden.ShouldNotBeNull().ShouldContain("last");
    }

    [Fact]
    public void A_step_goes_where_the_rules_let_it_and_stays_there_when_it_is_planned_again()
    {
        List<PlanStep> plan = Made();
        MoveResult moved = Handwork.Move(plan, StepKey.Brass, StepKey.LeverCap, Question);
        moved.Forbidden.ShouldBeNull();
        AtDeed(moved.Deeds, StepKey.Brass).ShouldBe(AtDeed(moved.Deeds, StepKey.LeverCap) + 1);
        IReadOnlyList<PlanStep> again = Replan(Rods.After(plan, moved.Deeds),
            Question with { Findings = [.. Rusty, F(PartIds.LeverCap, FindingKind.Packed, 2)] });
        At(again, StepKey.Brass).ShouldBe(At(again, StepKey.LeverCap) + 1);
        again.ShouldContain(s => s.Key == StepKey.WashPacked);
        again.First(s => s.Key == StepKey.Brass).Hand.ShouldBe(StepHand.Moved);
    }

    [Fact]
    public void An_unbroken_block_moves_as_one_and_nothing_gets_into_it()
    {
        List<PlanStep> plan = Made();
        MoveResult moved = Handwork.Move(plan, StepKey.Brass, StepKey.EdgeHone, Question);
        moved.Forbidden.ShouldBeNull();
        // Honing and covering are one block, so it goes behind the cover.
        moved.Deeds[AtDeed(moved.Deeds, StepKey.EdgeHone) + 1].Id.ShouldBe(StepKey.EdgeCover);
        moved.Deeds[AtDeed(moved.Deeds, StepKey.EdgeHone) + 2].Id.ShouldBe(StepKey.Brass);
        MoveResult block = Handwork.Move(plan, StepKey.EdgeCover, StepKey.LeverCap, Question);
        block.Forbidden.ShouldBeNull();
        AtDeed(block.Deeds, StepKey.EdgeCover).ShouldBe(AtDeed(block.Deeds, StepKey.EdgeHone) + 1);
        AtDeed(block.Deeds, StepKey.EdgeHone).ShouldBeGreaterThan(AtDeed(block.Deeds, StepKey.LeverCap));
    }

    [Fact]
    public void What_practitioners_differ_on_is_a_warning()
    {
        List<PlanStep> plan = [.. PlanStep.Fresh(Planner.Plan(Ask(KindIds.HandSaw, AimKind.Keep)))];
        PlanQuestion question = Ask(KindIds.HandSaw, AimKind.Keep);
        MoveResult moved = Handwork.Move(plan, StepKey.Protect, StepKey.WoodWax, question);
        moved.Forbidden.ShouldBeNull(moved.Forbidden);
        moved.Warning.ShouldNotBeNull().ShouldContain("wax last");
    }

    [Fact]
    public void Any_move_keeps_the_hard_rules() =>
        Gen.Select(Gen.Int[0, 400], Gen.Int[0, 60], Gen.Int[0, 60]).Sample(MoveKeepsTheRules, iter: 300, seed: "0N0XIzNsQ0O2");

    [Theory]
    [InlineData(102, 19, 21)]
    [InlineData(26, 12, 54)]
    public void Moves_that_once_broke_a_rule_keep_it(int seed, int from, int to) => MoveKeepsTheRules(seed, from, to);

    [Fact]
    public void What_would_make_a_coat_too_late_is_not_put_before_it()
    {
        // Oil is wiped off within a quarter of an hour: no long step fits between.
        PlanQuestion question = Asking.Ask(AimKind.Work, Rusty).With(ChoiceId.Wood, WayId.Oil);
        IReadOnlyList<PlanStep> plan = PlanStep.Fresh(Planner.Plan(question));
        PlanStep slow = plan.Single(s => s.Key == StepKey.EdgeSave), coat = plan.Single(s => s.Key == StepKey.WoodOil);
        MoveResult moved = Handwork.Move(plan, slow.Key, coat.Key, question);
        moved.Forbidden.ShouldNotBeNull().ShouldContain("comes too late");
        moved.Deeds.Select(d => d.Id).ShouldBe(plan.Select(s => s.Key), "nothing moves");
        Windows.Missed(moved.Deeds).ShouldBeEmpty();
    }

    private static void MoveKeepsTheRules(int seed, int from, int to)
    {
        PlanQuestion question = Asking.Random(new Random(seed));
        IReadOnlyList<PlanStep> plan = PlanStep.Fresh(Planner.Plan(question));
        PlanStep moving = plan[from % plan.Count], target = plan[to % plan.Count];
        bool itself = moving.Key == target.Key || (moving.Block is not null && moving.Block == target.Block);
        MoveResult moved = Handwork.Move(plan, moving.Key, itself ? null : target.Key, question);
        List<PlanStep> there = Rods.After(plan, moved.Deeds);
        RandomPlanTests.Check(moved.Forbidden is null ? Replan(there, question) : there, question);
    }

    [Fact]
    public void A_step_of_ones_own_is_kept_whatever_is_planned()
    {
        List<PlanStep> plan = Rods.After(Made(),
            Handwork.Add(Made(), "  Turn a new knob ", Stage.Wood, 40, "the old one is split", StepKey.WoodClean, Assumptions.Standard));
        PlanStep own = plan[At(plan, StepKey.WoodClean) + 1];
        (own.Title, own.LikelyMin, own.Hand).ShouldBe(("Turn a new knob", 40.0, StepHand.Added));
        own.Minutes.Ordered();
        IReadOnlyList<PlanStep> again = Replan(Replan(plan, Question with { Aim = AimKind.Show }), Question);
        At(again, own.Key).ShouldBe(At(again, StepKey.WoodClean) + 1);
        Handwork.Add(plan, "Another", Stage.Wood, 5, null, null, Assumptions.Standard).First(s => s.Title == "Another").Id.ShouldNotBe(own.Key);
        Should.Throw<InputException>(() => Handwork.Add(plan, " ", Stage.Wood, 5, null, null, Assumptions.Standard)).Sentence.ShouldBe("Say what the step is.");
        Should.Throw<InputException>(() => Handwork.Add(plan, "x", Stage.Wood, -5, null, null, Assumptions.Standard)).Field.ShouldBe("minutes");
    }

    [Fact]
    public void A_split_step_shares_its_minutes_and_its_wait_goes_with_the_last_piece()
    {
        List<PlanStep> plan = Made();
        PlanStep whole = plan[At(plan, StepKey.WoodOil)];
        (double likely, double high, double? wait) = (whole.LikelyMin, whole.Minutes.High, whole.WaitMin);
        List<PlanStep> split = Split(plan, StepKey.WoodOil, "Oil the knob another evening", 1);
        PlanStep piece = split[At(split, StepKey.WoodOil) + 1];
        piece.Key.ToString().ShouldBe("wood-oil/2");
        PlanStep left = split[At(split, StepKey.WoodOil)];
        (left.LikelyMin + piece.LikelyMin).ShouldBe(likely);
        (left.Minutes.High + piece.Minutes.High).ShouldBe(high, 0.11);
        (left.WaitMin, piece.WaitMin).ShouldBe((null, wait));
        List<PlanStep> third = Split(split, piece.Key, "And the rest", 0.5);
        third.Select(s => s.Key).Where(k => k.Step == StepKey.WoodOil).Select(k => k.ToString()).ShouldBe(["wood-oil", "wood-oil/2", "wood-oil/3"]);
        List<PlanStep> again = Replan(third, Question);
        again.Where(s => s.Key.Step == StepKey.WoodOil).Sum(s => s.LikelyMin).ShouldBe(likely);
        At(again, new DeedId(StepKey.WoodOil, Piece: 2)).ShouldBeLessThan(At(again, StepKey.Assemble));
        // The pieces go with the whole: under Show wood is not oiled.
        Replan(again, Question with { Aim = AimKind.Show, TagWays = new Dictionary<ChoiceId, WayId>() }).ShouldNotContain(s => s.Key.Step == StepKey.WoodOil);
        Should.Throw<InputException>(() => Handwork.Split(Made(), StepKey.WoodOil, "too much", 99)).Field.ShouldBe("minutes");
        Should.Throw<InputException>(() => Handwork.Split(Made(), StepKey.WoodOil, "", 1)).Field.ShouldBe("name");
    }

    [Fact]
    public void A_piece_of_an_unbroken_block_stays_where_it_was_split()
    {
        List<PlanStep> split = Split(Made(), StepKey.SoakLift, "The corners with a brush", 2);
        DeedId[] block = [StepKey.SoakLift, new(StepKey.SoakLift, Piece: 2), StepKey.SoakDry, StepKey.SoakOil];
        split.Where(s => s.Block == Block.OutOfTheBath).Select(s => s.Key).ShouldBe(block);
        List<PlanStep> again = Replan(Replan(split, Question), Question);
        again.Where(s => s.Block == Block.OutOfTheBath).Select(s => s.Key).ShouldBe(block);
        again.Skip(At(again, StepKey.SoakLift)).Take(4).Select(s => s.Key).ShouldBe(block);
    }

    [Fact]
    public void A_rod_says_when_it_no_longer_fits()
    {
        List<PlanStep> plan = Rods.After(Made(), Handwork.Add(Made(), "My own", Stage.Wood, 5, null, StepKey.WoodClean, Assumptions.Standard));
        Handwork.Stale(plan, Question).ShouldBeNull();
        plan = Rods.Stand(plan, StepState.Done, plan[0].Key);
        (IReadOnlyList<string> comes, IReadOnlyList<string> goes, _) = Handwork.Stale(plan, Question
            with { Findings = [.. Rusty.Where(f => f.Kind != FindingKind.Seizure), F(PartIds.LeverCap, FindingKind.Packed, 2)] })!;
        comes.ShouldBe(["Pick out what is packed in lever cap"]);
        goes.ShouldBe(["Penetrating oil on depth adjuster", "Clamp depth adjuster in soft wood and turn",
            "Take off what the stuck joint held: frog, depth adjuster and yoke", "Brush and blow off the dust: what was held",
            "Degrease the metal: what was held", "Look again now that it is clean: what was held"], ignoreOrder: true);
    }

    [Fact]
    public void A_finished_step_is_neither_moved_nor_split()
    {
        List<PlanStep> plan = Made();
        plan = Rods.Stand(plan, StepState.Done, plan[0].Key);
        Should.Throw<InputException>(() => Handwork.Move(plan, plan[0].Key, StepKey.Wash, Question)).ErrorKey.ShouldBe("step_finished");
        Should.Throw<InputException>(() => Handwork.Split(plan, plan[0].Key, "x", 1)).ErrorKey.ShouldBe("step_finished");
        Should.Throw<InputException>(() => Handwork.Move(plan, new DeedId(StepKey.Own, "9"), StepKey.Wash, Question)).ErrorKey.ShouldBe("unknown_step");
    }

    [Fact]
    public void A_change_of_way_is_told_step_by_step()
    {
        PlanDiff diff = PlanDiff.Of(Planner.Plan(Question), Planner.Plan(Question.With(ChoiceId.Rust, WayId.Wire)));
        diff.Gone.Select(s => s.Id.Step).ShouldBeSubsetOf([StepKey.KeepOut, StepKey.Soak, StepKey.SoakAgain, StepKey.SoakEarly, StepKey.SoakLift,
            StepKey.SoakDry, StepKey.SoakOil, StepKey.DerustRest]);
        diff.Gone.ShouldContain(s => s.Id == StepKey.Soak);
        diff.Added.Select(s => s.Id).ShouldBe([StepKey.DerustWire]);
        diff.WaitMinutes.ShouldBeLessThan(-60);
        PlanDiff.Of(Planner.Plan(Question), Planner.Plan(Question)).Nothing.ShouldBeTrue();
        PlanDiff.Of(Planner.Plan(Question), Planner.Plan(Question.With(ChoiceId.Cap, WayId.Two))).Changed.Select(s => s.Id).ShouldBe([StepKey.SetCap]);
    }

    [Fact]
    public void Ways_are_kept_in_words_and_what_the_book_lost_is_left_out()
    {
        List<string> kept = Choices.Keep(Choices.Keep([], ChoiceId.Rust, WayId.Citric), ChoiceId.Rust, WayId.Wire);
        kept.ShouldBe(["rust=wire"]);
        Choices.Keep(kept, ChoiceId.Rust, null).ShouldBeEmpty();
        Choices.Read(["rust=wire", "rust=sandblast", "gone=x", "nonsense", "dark=wire"])
            .ShouldBe(new Dictionary<ChoiceId, WayId> { [ChoiceId.Rust] = WayId.Wire });
        Should.Throw<InputException>(() => Choices.Find(ChoiceId.Rust).Read("prayer")).ErrorKey.ShouldBe("unknown_way");
        Should.Throw<InputException>(() => Choices.Keep([], ChoiceId.Rust, WayId.Zones)).ErrorKey.ShouldBe("unknown_way");
        Should.Throw<InputException>(() => Choices.Read("weather")).ErrorKey.ShouldBe("unknown_choice");
    }

    [Fact]
    public void The_tag_wins_over_the_shop_and_the_shop_over_the_book()
    {
        Choice rust = Choices.Find(ChoiceId.Rust);
        rust.Taken(Question).By.ShouldBe(ChosenBy.Book);
        PlanQuestion shop = Question with { ShopWays = new Dictionary<ChoiceId, WayId> { [ChoiceId.Rust] = WayId.Citric } };
        (rust.Taken(shop).Way.Id, rust.Taken(shop).By).ShouldBe((WayId.Citric, ChosenBy.Shop));
        PlanQuestion tag = shop.With(ChoiceId.Rust, WayId.Wire);
        (rust.Taken(tag).Way.Id, rust.Taken(tag).By).ShouldBe((WayId.Wire, ChosenBy.Tag));
        // No wheel in the shop: the wish gives way.
        rust.Taken(tag with { Lacking = new HashSet<SupplyId> { SupplyIds.WireWheel } }).Way.Id.ShouldBe(WayId.Citric);
        rust.Taken(shop with { Aim = AimKind.Keep }).Way.Id.ShouldBe(WayId.Scrape);
    }

    [Fact]
    public void A_change_by_hand_changes_nothing_it_was_given()
    {
        List<PlanStep> plan = Made();
        string before = PlanText.Write(new Plan(AimKind.Work, [.. plan.Select(s => s.Deed)]));
        Handwork.Split(plan, StepKey.WoodOil, "another evening", 1);
        Handwork.Move(plan, StepKey.Brass, StepKey.LeverCap, Question);
        Handwork.Add(plan, "mine", Stage.Wood, 5, null, StepKey.WoodClean, Assumptions.Standard);
        Handwork.Replan(plan, Question with { Aim = AimKind.Show });
        PlanText.Write(new Plan(AimKind.Work, [.. plan.Select(s => s.Deed)])).ShouldBe(before);
    }

    [Fact]
    public void A_split_step_is_whole_again_when_another_act_takes_its_key()
    {
        PlanQuestion pitted = Ask(KindIds.MetalBenchPlane, AimKind.Work, F(PartIds.Iron, FindingKind.Pitting, 4));
        List<PlanStep> plan = [.. PlanStep.Fresh(Planner.Plan(pitted.With(ChoiceId.Back, WayId.Lap)))];
        List<PlanStep> split = Split(plan, StepKey.EdgeSave, "the rest another evening", 5);
        split.Count(s => s.Key.Step == StepKey.EdgeSave).ShouldBe(2);
        PlanStep ground = Replan(split, pitted.With(ChoiceId.Back, WayId.Grind)).Single(s => s.Key.Step == StepKey.EdgeSave);
        (ground.Title, ground.How).ShouldSatisfyAllConditions(x => x.Title.ShouldStartWith("Grind"), x => x.How.ShouldContain("Dip"));
    }
}
