using Foundling.Core.Origin;
using System.Text.Json;
using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tests.Rod;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Tools;

/// <summary>How one tool differs from its kind, and what that does to its plan, its drawing and its words.</summary>
public sealed class BuildTests
{
    private static ToolKind Kind(KindId id) => ToolCatalogue.Kind(id);

    private static ToolBuild Said(KindId kind, PartId part, PartChange change, ToolBuild? before = null)
    {
        ToolBuild build = before ?? ToolBuild.AsMade;
        return build.Said(Kind(kind), build.Of(Kind(kind)).Part(part)!, change);
    }

    private static PlanQuestion Built(PlanQuestion question, ToolBuild build) =>
        question with { Facts = question.Facts with { Tool = build.Of(question.Tool) } };

    private static Deed Step(PlanQuestion question, StepKey key) => Planner.Plan(question).First(d => d.Id == key);

    private static bool Plans(PlanQuestion question, StepKey key) => Planner.Plan(question).Any(d => d.Id.Step == key);

    [Fact]
    public void What_is_as_the_kind_has_it_is_said_no_more()
    {
        ToolBuild plain = Said(KindIds.MetalBenchPlane, PartIds.LeverCap, new PartChange(Finish: PartFinish.Bare));
        plain.Of(Kind(KindIds.MetalBenchPlane)).Part(PartIds.LeverCap)!.Finish.ShouldBe(PartFinish.Bare);
        Said(KindIds.MetalBenchPlane, PartIds.LeverCap, new PartChange(Finish: PartFinish.Plated), plain).IsAsMade.ShouldBeTrue();
        ToolBuild.AsMade.Of(Kind(KindIds.Axe)).ShouldBeSameAs(Kind(KindIds.Axe));
    }

    [Fact]
    public void A_part_of_another_material_loses_a_finish_that_material_cannot_have()
    {
        ToolBuild iron = Said(KindIds.MetalBenchPlane, PartIds.Tote, new PartChange(Material.CastIron));
        iron.Of(Kind(KindIds.MetalBenchPlane)).Part(PartIds.Tote)!.Finish.ShouldBe(PartFinish.Bare);
        Said(KindIds.MetalBenchPlane, PartIds.Tote, new PartChange(Material.Wood), iron).Of(Kind(KindIds.MetalBenchPlane)).Part(PartIds.Tote)!.Finish
            .ShouldBe(PartFinish.Varnished);
    }

    [Fact]
    public void A_bench_plane_with_a_plain_lever_cap_soaks_whole_and_with_a_plated_one_for_as_long_as_plate_stands()
    {
        PlanQuestion plated = Ask(AimKind.Work, F(PartIds.Body, FindingKind.Rust, 3), F(PartIds.LeverCap, FindingKind.Rust, 3));
        PlanQuestion plain = Built(plated, Said(KindIds.MetalBenchPlane, PartIds.LeverCap, new PartChange(Finish: PartFinish.Bare)));
        PartDef cap = plain.Tool.Part(PartIds.LeverCap)!;
        plated.Limit(BathKind.Chelating, plated.Tool.Part(PartIds.LeverCap)!).OutByHours.ShouldBe(12);
        plain.Limit(BathKind.Chelating, cap).OutByHours.ShouldBeNull();
        plain.SoakLoad.Select(p => p.Id).ShouldBe([PartIds.Body, PartIds.LeverCap], ignoreOrder: true);
    }

    [Fact]
    public void A_bare_chuck_is_not_spared_as_plate()
    {
        PlanQuestion plated = Ask(KindIds.HandDrill, AimKind.Work, F(PartIds.Chuck, FindingKind.Rust, 2));
        PlanQuestion bare = Built(plated, Said(KindIds.HandDrill, PartIds.Chuck, new PartChange(Finish: PartFinish.Bare)));
        plated.Limit(BathKind.Citric, plated.Tool.Part(PartIds.Chuck)!).OutByHours.ShouldBe(1);
        bare.Limit(BathKind.Citric, bare.Tool.Part(PartIds.Chuck)!).OutByHours.ShouldBe(14);
        Planner.Plan(bare).ShouldNotContain(d => d.How.Contains("plat", StringComparison.Ordinal) && d.Parts.Contains(PartIds.Chuck));
    }

    [Fact]
    public void A_painted_casting_is_not_japanned_because_its_kind_is()
    {
        PlanQuestion japanned = Ask(AimKind.Show, F(PartIds.Body, FindingKind.CoatingLoss, 3));
        ToolBuild build = Said(KindIds.MetalBenchPlane, PartIds.Frog, new PartChange(Finish: PartFinish.Painted),
            Said(KindIds.MetalBenchPlane, PartIds.Body, new PartChange(Finish: PartFinish.Painted)));
        PlanQuestion painted = Built(japanned, build);
        Planner.Plan(japanned).ShouldContain(d => $"{d.Title} {d.How} {d.Reason}".Contains("japan", StringComparison.OrdinalIgnoreCase));
        Planner.Plan(painted).ShouldNotContain(d => $"{d.Title} {d.How} {d.Reason}".Contains("japan", StringComparison.OrdinalIgnoreCase));
    }

    [Fact]
    public void A_folded_steel_back_is_not_brightened_as_brass()
    {
        PlanQuestion brass = Ask(KindIds.BackSaw, AimKind.Show);
        PlanQuestion steel = Built(brass, ToolBuild.AsMade.With(FeatureIds.Back, FormIds.FoldedBack));
        bool Brightened(PlanQuestion q) => Planner.Plan(q).Any(d => d.Id.Step == StepKey.Brass && d.Parts.Contains(PartIds.Back));
        Brightened(brass).ShouldBeTrue();
        Brightened(steel).ShouldBeFalse();
        steel.Tool.Part(PartIds.Back)!.Material.ShouldBe(Material.Steel);
    }

    [Fact]
    public void A_frog_without_a_screw_is_squared_by_a_rule()
    {
        PlanQuestion unknown = Ask(AimKind.Work);
        string How(FormId form) => Step(Built(unknown, ToolBuild.AsMade.With(FeatureIds.FrogScrew, form)), StepKey.SetMouth).How;
        How(FormIds.NoFrogScrew).ShouldContain("a rule laid across the mouth");
        How(FormIds.FrogScrew).ShouldContain("The screw behind the frog moves it");
        Step(unknown, StepKey.SetMouth).How.ShouldNotContain("screw", Case.Insensitive, "nobody looked");
    }

    [Fact]
    public void A_corrugated_sole_laps_quicker()
    {
        PlanQuestion plain = Ask(AimKind.Work, F(PartIds.Body, FindingKind.OutOfFlat, 2));
        PlanQuestion grooved = Built(plain, ToolBuild.AsMade.With(FeatureIds.Sole, FormIds.Corrugated));
        Step(grooved, StepKey.SoleLap).Minutes.Likely.ShouldBeLessThan(Step(plain, StepKey.SoleLap).Minutes.Likely);
        Step(grooved, StepKey.SoleLap).How.ShouldContain("lands between the grooves");
        Step(plain, StepKey.SoleLap).How.ShouldNotContain("grooves");
    }

    [Fact]
    public void What_a_tool_never_had_is_not_looked_for_and_what_it_lost_is()
    {
        Tag tag = new() { Kind = KindIds.MetalBenchPlane };
        tag.Findings.AddRange([new Finding { Id = Guid.NewGuid(), Part = PartIds.FrogScrews, Kind = FindingKind.Missing, Severity = 3 },
            new Finding { Id = Guid.NewGuid(), Part = PartIds.LateralLever, Kind = FindingKind.Missing, Severity = 3 }]);
        PartId[] Gone() => [.. For(tag).Gone.Select(p => p.Id)];
        Gone().ShouldBe([PartIds.FrogScrews, PartIds.LateralLever], ignoreOrder: true);
        int parts = tag.Tool().Parts.Count;
        tag.Built = Said(tag.Kind, PartIds.LateralLever, new PartChange(Stand: PartStand.NeverHad));
        Gone().ShouldBe([PartIds.FrogScrews]);
        tag.Has(PartIds.LateralLever).ShouldBeFalse();
        tag.Tool().Parts.Count.ShouldBe(parts - 1);
        string rollCall = Planner.Plan(For(tag)).First(d => d.Id == StepKey.RollCall).Title;
        rollCall.ShouldContain($"{parts - 2} parts", Case.Insensitive, "one never was, one is lost");
        tag.Standing().ShouldNotContain(f => f.Part == PartIds.LateralLever);
    }

    [Fact]
    public void A_changed_build_makes_the_rod_say_that_it_no_longer_fits_and_what_is_done_stays()
    {
        PlanQuestion question = Ask(AimKind.Work, Rusty);
        List<PlanStep> rod = [.. PlanStep.Fresh(Planner.Plan(question))];
        rod = Rods.Stand(rod, StepState.Done, StepKey.Photos);
        PlanQuestion now = Built(question, Said(KindIds.MetalBenchPlane, PartIds.Frog, new PartChange(Stand: PartStand.NeverHad)));
        Unfit stale = Handwork.Stale(rod, now).ShouldNotBeNull();
        stale.Out.ShouldContain("Flatten the frog's face");
        stale.Otherwise.ShouldContain(t => t.StartsWith("Take it apart", StringComparison.Ordinal));
        IReadOnlyList<Deed> again = Handwork.Replan(rod, now);
        again.ShouldContain(d => d.Id == StepKey.Photos);
        again.ShouldNotContain(d => d.Parts.Contains(PartIds.Frog));
        again.First(d => d.Id == StepKey.Apart).Title.ShouldNotContain("frog");
    }

    [Fact]
    public void A_build_that_changes_only_how_and_how_long_is_said_too()
    {
        PlanQuestion question = Ask(AimKind.Work, F(PartIds.Body, FindingKind.OutOfFlat, 2));
        List<PlanStep> rod = [.. PlanStep.Fresh(Planner.Plan(question))];
        ToolBuild build = ToolBuild.AsMade.With(FeatureIds.Sole, FormIds.Corrugated);
        Handwork.Stale(rod, question, rebuilt: true).ShouldBeNull("nothing differs");
        Handwork.Stale(rod, Built(question, build), rebuilt: !build.Same(null))!.Otherwise.ShouldBe([Step(question, StepKey.SoleLap).Title]);
        build.Same(ToolBuild.AsMade.With(FeatureIds.Sole, FormIds.Corrugated)).ShouldBeTrue();
        build.With(FeatureIds.Sole, null).Same(null).ShouldBeTrue();
    }

    [Fact]
    public void Stripping_stops_at_what_was_coated_over()
    {
        PlanQuestion question = Ask(AimKind.Show, F(PartIds.Body, FindingKind.CoatingLoss, 4)).With(ChoiceId.Coating, WayId.Bake);
        ToolBuild over = Said(KindIds.MetalBenchPlane, PartIds.Frog, new PartChange(Finish: PartFinish.Painted, Holding: true, Under: PartFinish.Japanned));
        Step(question, StepKey.CoatStrip).How.ShouldNotContain("stop at it");
        Step(Built(question, over), StepKey.CoatStrip).How.ShouldContain("Under the coat on the frog lies the japanning: stop at it");
        BuildWords.Of(over.Of(Kind(KindIds.MetalBenchPlane)).Part(PartIds.Frog)!).ShouldBe("cast iron, painted over the japanning");
    }

    [Fact]
    public void What_carries_or_cuts_was_never_missing_when_made_and_what_is_one_piece_is_not_lost()
    {
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            foreach (PartDef part in kind.Parts)
            {
                Action never = () => ToolBuild.AsMade.Said(kind, part, new PartChange(Stand: PartStand.NeverHad));
                Tag tag = new() { Kind = kind.Id };
                Action lose = () => tag.Lose(part, Round.AsFound, DateTimeOffset.UnixEpoch);
                if (!Faults.Can(kind, part, FindingKind.Missing))
                {
                    Should.Throw<InputException>(never).ErrorKey.ShouldBe("main_part", $"{kind.Id} {part.Id}");
                    Should.Throw<InputException>(lose).ErrorKey.ShouldBe("main_part", $"{kind.Id} {part.Id}");
                    continue;
                }
                lose();
                lose();
                tag.Findings.Single().Severity.ShouldBe(Faults.GoneUsually(part));
                tag.Say(part, new PartChange(Stand: PartStand.FromAnother));
                tag.Findings.ShouldBeEmpty("it is there");
                tag.Tool().Part(part.Id)!.Stand.ShouldBe(PartStand.FromAnother);
            }
            kind.Edges.ShouldAllBe(e => !Faults.CanNeverHave(kind, e), kind.Id.Value);
        }
    }

    [Fact]
    public void An_added_part_of_another_material_loses_a_finish_that_material_cannot_have()
    {
        ToolKind kind = Kind(KindIds.Chisel);
        ToolBuild build = ToolBuild.AsMade.Adding("collar", Material.Wood, PartFinish.Varnished, PartIds.Handle);
        build = build.Said(kind, build.Of(kind).Parts[^1], new PartChange(Material.Brass));
        (build.Of(kind).Parts[^1].Material, build.Of(kind).Parts[^1].Finish).ShouldBe((Material.Brass, PartFinish.Bare));
    }

    [Fact]
    public void A_rebate_plane_all_of_metal_has_a_sole_of_metal_and_no_wedge_when_it_never_had_one()
    {
        PlanQuestion wood = Ask(KindIds.RebatePlane, AimKind.Show);
        PlanQuestion metal = Built(wood, Said(KindIds.RebatePlane, PartIds.Wedge, new PartChange(Stand: PartStand.NeverHad),
            Said(KindIds.RebatePlane, PartIds.Body, new PartChange(Material.CastIron))));
        (wood.Tool.HasWoodenSole, metal.Tool.HasWoodenSole, metal.Tool.HasMetalSole).ShouldBe((true, false, true));
        (Plans(wood, StepKey.Abutments), Plans(metal, StepKey.Abutments)).ShouldBe((true, false));
        (Plans(wood, StepKey.SoleLap), Plans(metal, StepKey.SoleLap)).ShouldBe((false, true));
    }

    [Fact]
    public void As_found_settings_are_shown_again_when_the_tool_goes_together()
    {
        PlanQuestion question = Ask(AimKind.Work);
        question = question with { Facts = question.Facts with { Readings =
        [
            new(PartIds.CapIron, MeasureIds.CapSetBack, new Quantity(1.2, Unit.Millimetres, 0.5), Instrument.Rule),
            new(PartIds.Body, MeasureIds.Mouth, new Quantity(0.8, Unit.Millimetres, 0.02), Instrument.Feeler),
        ] } };
        Step(question, StepKey.SetCap).How.ShouldContain("As found it sat back by 1.2 mm.");
        Step(question, StepKey.SetMouth).How.ShouldContain("As found it was open by 0.8 mm.");
    }

    [Fact]
    public void The_drawing_leaves_out_what_was_never_there_and_shows_steel_as_steel()
    {
        ToolBuild build = Said(KindIds.MetalBenchPlane, PartIds.KnobBolt, new PartChange(Material.Steel),
            Said(KindIds.MetalBenchPlane, PartIds.LateralLever, new PartChange(Stand: PartStand.NeverHad)));
        Profile usual = Profile.Of(KindIds.MetalBenchPlane), drawn = usual.Dressed(build.Of(Kind(KindIds.MetalBenchPlane)));
        drawn.Parts.Select(p => p.Part).ShouldBe(usual.Parts.Select(p => p.Part).Where(p => p != PartIds.LateralLever));
        drawn.Parts.First(p => p.Part == PartIds.KnobBolt).Shapes[0].Class.ShouldBe("steel o");
        drawn.Parts.First(p => p.Part == PartIds.ToteBolt).ShouldBeSameAs(usual.Parts.First(p => p.Part == PartIds.ToteBolt));
        Exploded.Of(drawn).Parts.Count.ShouldBe(drawn.Parts.Count);
    }

    [Fact]
    public void An_added_part_rusts_and_is_planned_for_like_any_other()
    {
        ToolBuild build = ToolBuild.AsMade.Adding("sole plate", Material.Steel, PartFinish.Bare, PartIds.Body);
        PartId added = build.Parts.Single().Part;
        PlanQuestion question = Built(Ask(KindIds.WoodenBenchPlane, AimKind.Work, F(added, FindingKind.Rust, 3)), build);
        question.Rusty.Select(p => p.Name).ShouldBe(["sole plate"]);
        question.Tool.Part(added)!.DrawnAs.ShouldBe(PartIds.Body);
        BuildWords.Differs(Kind(KindIds.WoodenBenchPlane), question.Tool).ShouldBe(["Sole plate: steel or malleable iron, bare, added later"]);
        build.Said(Kind(KindIds.WoodenBenchPlane), question.Tool.Part(added)!, new PartChange(Stand: PartStand.NeverHad)).IsAsMade.ShouldBeTrue();
    }

    [Fact]
    public void A_look_says_both_when_and_what_and_a_person_has_the_last_word()
    {
        var book = new PatternBook([
            new Trait("lever", "lateral_lever", LookEffort.Glance, ["absent", "bent"], Builds: new Dictionary<string,
                VariantBuild> { ["absent"] = new(Never: true) }),
            new Trait("wheel", "adjuster", LookEffort.Glance, ["brass", "steel"], Builds: new Dictionary<string,
                VariantBuild> { ["steel"] = new(Material.Steel) }),
        ], []);
        ToolKind kind = Kind(KindIds.MetalBenchPlane);
        ToolBuild See(ToolBuild build, params (string? Trait, string? Variant, Confidence Sure)[] looks) => build.Seen(kind, looks, book);
        ToolBuild seen = See(ToolBuild.AsMade, ("lever", "absent", Confidence.Sure), ("wheel", "steel", Confidence.Likely));
        seen.Of(kind).Part(PartIds.LateralLever).ShouldBeNull();
        seen.Of(kind).Part(PartIds.Adjuster)!.Material.ShouldBe(Material.Steel);
        See(seen, ("lever", "absent", Confidence.Sure), ("wheel", "steel", Confidence.Likely)).ShouldBeSameAs(seen);
        See(seen, ("lever", "bent", Confidence.Sure)).IsAsMade.ShouldBeTrue("it was seen otherwise, and the other look was taken back");
        See(ToolBuild.AsMade, ("lever", "absent", Confidence.Unsure)).IsAsMade.ShouldBeTrue("nobody is sure");
        ToolBuild said = Said(KindIds.MetalBenchPlane, PartIds.Adjuster, new PartChange(Finish: PartFinish.Plated), seen);
        See(said, ("wheel", "steel", Confidence.Sure)).Of(kind).Part(PartIds.Adjuster)!.Finish.ShouldBe(PartFinish.Plated, "a person said it");
        // Also where what the person says is just what the kind has, and for as long as the look stands.
        ToolBuild there = seen.Said(kind, seen.Of(kind).Never.Single(), new PartChange(Stand: PartStand.AsMade));
        there = There(there).Said(kind, kind.Part(PartIds.Adjuster)!, new PartChange(Material.Brass));
        ToolBuild There(ToolBuild build) => See(build, ("lever", "absent", Confidence.Sure), ("wheel", "steel", Confidence.Sure));
        There(there).Of(kind).Part(PartIds.LateralLever).ShouldNotBeNull();
        There(there).Of(kind).Part(PartIds.Adjuster)!.Material.ShouldBe(Material.Brass);
        See(there).IsAsMade.ShouldBeTrue("the looks were taken back, and nothing is said against them any more");
        ToolBuild.AsMade.Seen(Kind(KindIds.Axe), [("lever", "absent", Confidence.Sure)], book).IsAsMade.ShouldBeTrue("an axe has no such part");
        var plated = new PatternBook([new Trait("t", "handle", LookEffort.Glance, ["a", "b"],
            Builds: new Dictionary<string, VariantBuild> { ["a"] = new(Finish: PartFinish.Plated) })], []);
        ToolBuild.AsMade.Seen(Kind(KindIds.Chisel), [("t", "a", Confidence.Sure)], plated).IsAsMade.ShouldBeTrue("wood is not plated");
    }

    [Fact]
    public void Any_build_of_any_kind_gives_a_tool_that_holds_together_and_a_plan_that_speaks_of_its_parts_alone()
    {
        var random = new Random(1205);
        for (int i = 0; i < 1500; i++)
        {
            PlanQuestion asked = Asking.Random(random);
            ToolKind kind = asked.Tool;
            ToolBuild build = Random(random, kind);
            string where = $"{i} {kind.Id} {JsonSerializer.Serialize(build, OpenJson.Options)}";
            ToolBuild read = JsonSerializer.Deserialize<ToolBuild>(JsonSerializer.Serialize(build, OpenJson.Options), OpenJson.Options)!;
            ToolKind tool = build.Of(kind);
            read.Of(kind).Parts.ShouldBe(tool.Parts, where);
            read.Of(kind).Forms.ShouldBe(tool.Forms, ignoreOrder: true, where);
            TagCheck.Of(new Tag { Number = 1, Kind = kind.Id, Built = build, ArrivedOn = new DateOnly(2020, 1, 1) }, Assumptions.Standard)
                .ShouldBeEmpty(where);
            tool.Parts.Select(p => p.Id).ShouldBeUnique(where);
            tool.Parts.ShouldAllBe(p => Materials.Finishes(p.Material).Contains(p.Finish), where);
            PlanQuestion question = asked with { Facts = asked.Facts with
            {
                Tool = tool, Findings = [.. asked.Findings.Where(f => tool.Part(f.Part) is not null)],
            } };
            IReadOnlyList<PlanStep> plan = PlanStep.Fresh(Planner.Plan(question));
            plan.SelectMany(s => s.Parts).ShouldAllBe(p => tool.Part(p) != null, where);
            RandomPlanTests.Check(plan, question);
            kind.Parts.Select(p => p.Id).ShouldContain(tool.Parts[0].Id);
        }
    }

    private static ToolBuild Random(Random random, ToolKind kind)
    {
        ToolBuild build = ToolBuild.AsMade;
        foreach (Feature feature in Feature.Of(kind).Where(_ => random.Next(2) == 0))
        {
            build = build.With(feature.Id, feature.Forms[random.Next(feature.Forms.Count)].Id);
        }
        for (int n = random.Next(6); n > 0; n--)
        {
            ToolKind tool = build.Of(kind);
            PartDef part = tool.Parts[random.Next(tool.Parts.Count)];
            build = random.Next(5) switch
            {
                0 when part.Stand == PartStand.Added || Faults.CanNeverHave(kind, part) => build.Said(kind, part, new PartChange(Stand: PartStand.NeverHad)),
                1 => build.Said(kind, part, new PartChange(Stand: PartStand.HomeMade)),
                2 => build.Said(kind, part, new PartChange(Finish: Materials.Finishes(part.Material)[random.Next(Materials.Finishes(part.Material).Count)])),
                3 => build.Said(kind, part, new PartChange(BuildWords.Others(part)[random.Next(BuildWords.Others(part).Count)])),
                _ => build.Adding($"thing {n}", (Material)random.Next(7), PartFinish.Bare, part.Id),
            };
        }
        return build;
    }
}
