using CsCheck;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Rod;

/// <summary>What a person changes on a rod, and that a fresh plan keeps it.</summary>
public sealed class HandworkTests
{
    private static readonly PlanQuestion Question = Ask(AimKind.Work, Rusty);

    private static List<PlanStep> Made() => [.. Planner.Plan(Question)];

    [Fact]
    public void Planning_again_keeps_what_is_done()
    {
        List<PlanStep> plan = Made();
        plan[0].State = StepState.Done;
        plan[1].State = StepState.Skipped;
        plan[At(plan, "soak")].State = StepState.Done;
        IReadOnlyList<PlanStep> again = Handwork.Replan(plan, Question with { Aim = AimKind.Keep });
        foreach (PlanStep old in plan.Where(s => s.State != StepState.Open))
        {
            again.First(s => s.Key == old.Key).ShouldBe(old);
        }
        again.Select(s => s.Order).ShouldBe(Enumerable.Range(1, again.Count));
        Planner.Remaining(again).P50.ShouldBeLessThan(Planner.Remaining(plan).P50);
    }

    [Fact]
    public void A_rule_that_forbids_a_move_is_named_and_nothing_moves()
    {
        List<PlanStep> plan = Made();
        MoveResult moved = Handwork.Move(plan, "wash", "soak-oil", Question);
        moved.Forbidden.ShouldNotBeNull().ShouldContain("\"Degrease the metal\" comes before");
        moved.Forbidden!.ShouldContain("rust hides under it");
        moved.Steps.ShouldBe(plan);
        Handwork.Move(plan, "sole-lap", "note-settings", Question).Forbidden.ShouldNotBeNull().ShouldContain("tension");
        Handwork.Nudge(plan, plan[0].Key, earlier: true, Question).Forbidden.ShouldNotBeNull().ShouldContain("first");
        Handwork.Nudge(plan, plan[^1].Key, earlier: false, Question).Forbidden.ShouldNotBeNull().ShouldContain("last");
    }

    [Fact]
    public void A_step_goes_where_the_rules_let_it_and_stays_there_when_it_is_planned_again()
    {
        List<PlanStep> plan = Made();
        MoveResult moved = Handwork.Move(plan, "brass", "lever-cap", Question);
        moved.Forbidden.ShouldBeNull();
        At(moved.Steps, "brass").ShouldBe(At(moved.Steps, "lever-cap") + 1);
        IReadOnlyList<PlanStep> again = Handwork.Replan(moved.Steps, Question with { Findings = [.. Rusty, F(PartIds.LeverCap, FindingKind.Packed, 2)] });
        At(again, "brass").ShouldBe(At(again, "lever-cap") + 1);
        again.ShouldContain(s => s.Key == "wash-packed");
        again.First(s => s.Key == "brass").Hand.ShouldBe(StepHand.Moved);
    }

    [Fact]
    public void An_unbroken_block_moves_as_one_and_nothing_gets_into_it()
    {
        List<PlanStep> plan = Made();
        MoveResult moved = Handwork.Move(plan, "brass", "edge-hone", Question);
        moved.Forbidden.ShouldBeNull();
        // Honing and covering are one block, so it goes behind the cover.
        moved.Steps[At(moved.Steps, "edge-hone") + 1].Key.ShouldBe("edge-cover");
        moved.Steps[At(moved.Steps, "edge-hone") + 2].Key.ShouldBe("brass");
        MoveResult block = Handwork.Move(plan, "edge-cover", "lever-cap", Question);
        block.Forbidden.ShouldBeNull();
        At(block.Steps, "edge-cover").ShouldBe(At(block.Steps, "edge-hone") + 1);
        At(block.Steps, "edge-hone").ShouldBeGreaterThan(At(block.Steps, "lever-cap"));
    }

    [Fact]
    public void What_practitioners_differ_on_is_a_warning()
    {
        List<PlanStep> plan = [.. Planner.Plan(Ask(KindIds.HandSaw, AimKind.Keep))];
        PlanQuestion question = Ask(KindIds.HandSaw, AimKind.Keep);
        MoveResult moved = Handwork.Move(plan, "protect", "wood-wax", question);
        moved.Forbidden.ShouldBeNull(moved.Forbidden);
        moved.Warning.ShouldNotBeNull().ShouldContain("wax last");
    }

    [Fact]
    public void Any_move_keeps_the_hard_rules() => Gen.Select(Gen.Int[0, 400], Gen.Int[0, 60], Gen.Int[0, 60]).Sample((seed, from, to) =>
    {
        PlanQuestion question = Asking.Random(new Random(seed));
        IReadOnlyList<PlanStep> plan = Planner.Plan(question);
        MoveResult moved = Handwork.Move(plan, plan[from % plan.Count].Key, plan[to % plan.Count].Key is var behind
            && plan[from % plan.Count].Block is string b && plan[to % plan.Count].Block == b ? "" : behind == plan[from % plan.Count].Key ? "" : behind,
            question);
        IReadOnlyList<PlanStep> after = moved.Forbidden is null ? Handwork.Replan(moved.Steps, question) : moved.Steps;
        RandomPlanTests.Check([.. after], question);
    }, iter: 300, seed: "0N0XIzNsQ0O2");

    [Fact]
    public void A_step_of_ones_own_is_kept_whatever_is_planned()
    {
        IReadOnlyList<PlanStep> plan = Handwork.Add(Made(), "  Turn a new knob ", Stage.Wood, 40, "the old one is split", "wood-clean");
        PlanStep own = plan[At(plan, "wood-clean") + 1];
        (own.Title, own.LikelyMin, own.Hand).ShouldBe(("Turn a new knob", 40.0, StepHand.Added));
        own.Minutes.Ordered();
        IReadOnlyList<PlanStep> again = Handwork.Replan(Handwork.Replan(plan, Question with { Aim = AimKind.Show }), Question);
        At(again, own.Key).ShouldBe(At(again, "wood-clean") + 1);
        Handwork.Add(plan, "Another", Stage.Wood, 5, null, "").First(s => s.Title == "Another").Key.ShouldNotBe(own.Key);
        Should.Throw<InputException>(() => Handwork.Add(plan, " ", Stage.Wood, 5, null, "")).Sentence.ShouldBe("Say what the step is.");
        Should.Throw<InputException>(() => Handwork.Add(plan, "x", Stage.Wood, -5, null, "")).Field.ShouldBe("minutes");
    }

    [Fact]
    public void A_split_step_shares_its_minutes_and_its_wait_goes_with_the_last_piece()
    {
        List<PlanStep> plan = Made();
        PlanStep whole = plan[At(plan, "wood-oil")];
        (double likely, double high, double? wait) = (whole.LikelyMin, whole.HighMin, whole.WaitMin);
        IReadOnlyList<PlanStep> split = Handwork.Split(plan, "wood-oil", "Oil the knob another evening", 3);
        PlanStep piece = split[At(split, "wood-oil") + 1];
        piece.Key.ShouldBe("wood-oil/2");
        (whole.LikelyMin + piece.LikelyMin).ShouldBe(likely);
        (whole.HighMin + piece.HighMin).ShouldBe(high, 0.11);
        (whole.WaitMin, piece.WaitMin).ShouldBe((null, wait));
        IReadOnlyList<PlanStep> third = Handwork.Split(split, "wood-oil/2", "And the rest", 1);
        third.Select(s => s.Key).Where(k => k.StartsWith("wood-oil", StringComparison.Ordinal)).ShouldBe(["wood-oil", "wood-oil/2", "wood-oil/3"]);
        IReadOnlyList<PlanStep> again = Handwork.Replan(third, Question);
        again.Where(s => s.Key.StartsWith("wood-oil", StringComparison.Ordinal)).Sum(s => s.LikelyMin).ShouldBe(likely);
        At(again, "wood-oil/2").ShouldBeLessThan(At(again, "assemble"));
        // The pieces go with the whole: under Show wood is not oiled.
        Handwork.Replan(again, Question with { Aim = AimKind.Show }).ShouldNotContain(s => s.Key.StartsWith("wood-oil", StringComparison.Ordinal));
        Should.Throw<InputException>(() => Handwork.Split(Made(), "wood-oil", "too much", 99)).Field.ShouldBe("minutes");
        Should.Throw<InputException>(() => Handwork.Split(Made(), "wood-oil", "", 2)).Field.ShouldBe("name");
    }

    [Fact]
    public void A_piece_of_an_unbroken_block_stays_where_it_was_split()
    {
        IReadOnlyList<PlanStep> split = Handwork.Split(Made(), "soak-lift", "The corners with a brush", 2);
        string[] block = ["soak-lift", "soak-lift/2", "soak-dry", "soak-oil"];
        split.Where(s => s.Block == "out of the bath").Select(s => s.Key).ShouldBe(block);
        IReadOnlyList<PlanStep> again = Handwork.Replan(Handwork.Replan(split, Question), Question);
        again.Where(s => s.Block == "out of the bath").Select(s => s.Key).ShouldBe(block);
        again.Skip(At(again, "soak-lift")).Take(4).Select(s => s.Key).ShouldBe(block);
    }

    [Fact]
    public void A_rod_says_when_it_no_longer_fits()
    {
        List<PlanStep> plan = [.. Handwork.Add(Made(), "My own", Stage.Wood, 5, null, "wood-clean")];
        Handwork.Stale(plan, Question).ShouldBeNull();
        plan[0].State = StepState.Done;
        (IReadOnlyList<string> comes, IReadOnlyList<string> goes) = Handwork.Stale(plan, Question
            with { Findings = [.. Rusty.Where(f => f.Kind != FindingKind.Seizure), F(PartIds.LeverCap, FindingKind.Packed, 2)] })!.Value;
        comes.ShouldBe(["Pick out what is packed in lever cap"]);
        goes.ShouldBe(["Penetrating oil on depth adjuster", "Clamp depth adjuster in soft wood and turn"], ignoreOrder: true);
    }

    [Fact]
    public void A_finished_step_is_neither_moved_nor_split()
    {
        List<PlanStep> plan = Made();
        plan[0].State = StepState.Done;
        Should.Throw<InputException>(() => Handwork.Move(plan, plan[0].Key, "wash", Question)).ErrorKey.ShouldBe("step_finished");
        Should.Throw<InputException>(() => Handwork.Split(plan, plan[0].Key, "x", 1)).ErrorKey.ShouldBe("step_finished");
        Should.Throw<InputException>(() => Handwork.Move(plan, "nothing", "wash", Question)).ErrorKey.ShouldBe("unknown_step");
    }

    [Fact]
    public void A_change_of_way_is_told_step_by_step()
    {
        PlanDiff diff = PlanDiff.Of(Planner.Plan(Question), Planner.Plan(Question.With("rust", "wire")));
        diff.Gone.Select(s => s.Key).ShouldBe(["keep-out", "soak", "soak-lift", "soak-dry", "soak-oil"], ignoreOrder: true);
        diff.Added.Select(s => s.Key).ShouldBe(["derust-wire"]);
        diff.WaitMinutes.ShouldBeLessThan(-60);
        PlanDiff.Of(Planner.Plan(Question), Planner.Plan(Question)).Nothing.ShouldBeTrue();
        PlanDiff.Of(Planner.Plan(Question), Planner.Plan(Question.With("cap", "two"))).Changed.Select(s => s.Key).ShouldBe(["set-cap"]);
    }

    [Fact]
    public void Ways_are_kept_in_words_and_what_the_book_lost_is_left_out()
    {
        List<string> kept = Choices.Keep(Choices.Keep([], "rust", "citric"), "rust", "wire");
        kept.ShouldBe(["rust=wire"]);
        Choices.Keep(kept, "rust", "").ShouldBeEmpty();
        Choices.Read(["rust=wire", "rust=sandblast", "gone=x", "nonsense"]).ShouldBe(new Dictionary<string, string> { ["rust"] = "wire" });
        Should.Throw<InputException>(() => Choices.Keep([], "rust", "prayer")).ErrorKey.ShouldBe("unknown_way");
        Should.Throw<InputException>(() => Choices.Keep([], "weather", "dry")).ErrorKey.ShouldBe("unknown_choice");
    }

    [Fact]
    public void The_tag_wins_over_the_shop_and_the_shop_over_the_book()
    {
        Choice rust = Choices.Find("rust");
        rust.Taken(Question).By.ShouldBe(ChosenBy.Book);
        PlanQuestion shop = Question with { ShopWays = new Dictionary<string, string> { ["rust"] = "citric" } };
        (rust.Taken(shop).Way.Id, rust.Taken(shop).By).ShouldBe(("citric", ChosenBy.Shop));
        (rust.Taken(shop.With("rust", "wire")).Way.Id, rust.Taken(shop.With("rust", "wire")).By).ShouldBe(("wire", ChosenBy.Tag));
        // No wheel in the shop: the wish gives way.
        rust.Taken(shop.With("rust", "wire") with { Lacking = new HashSet<string> { "wire wheel" } }).Way.Id.ShouldBe("citric");
        rust.Taken(shop with { Aim = AimKind.Keep }).Way.Id.ShouldBe("scrape");
    }
}
