using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Rod;

/// <summary>What is particular to the rarer kinds, in situations as they come over the bench.</summary>
public sealed class ParticularTests
{
    private static IReadOnlyList<Deed> Plan(KindId kind, AimKind aim, params Found[] findings) => Planner.Plan(Asking.Ask(kind, aim, findings));

    private static int At(IReadOnlyList<Deed> plan, StepKey step) => plan.ToList().FindIndex(d => d.Id.Step == step);

    [Fact]
    public void A_moulding_plane_keeps_its_sole_and_its_iron_follows_it()
    {
        IReadOnlyList<Deed> plan = Plan(KindIds.MouldingPlane, AimKind.Work, Asking.F(PartIds.Iron, FindingKind.EdgeDamage, 3),
            Asking.F(PartIds.Boxing, FindingKind.Looseness, 2));
        plan.ShouldNotContain(d => d.Id.Step == StepKey.SoleWood || d.Id.Step == StepKey.SoleLap || d.Id.Step == StepKey.SoleCheck);
        At(plan, StepKey.Boxing).ShouldBeLessThan(At(plan, StepKey.SoleShape));
        At(plan, StepKey.SoleShape).ShouldBeLessThan(At(plan, StepKey.ProfileMatch));
        At(plan, StepKey.ProfileMatch).ShouldBeLessThan(At(plan, StepKey.EdgeGrind));
        plan.Single(d => d.Id.Step == StepKey.EdgeGrind).How.ShouldContain("never scraped to the iron");
        plan.Where(d => d.Id.Step == StepKey.WoodOil).ShouldAllBe(d => d.How.Contains("None on wedge, bed and mortise"));
    }

    [Fact]
    public void A_shoulder_plane_is_squared_cheek_sole_cheek_with_its_toe_in()
    {
        IReadOnlyList<Deed> plan = Plan(KindIds.ShoulderPlane, AimKind.Work, Asking.F(PartIds.Body, FindingKind.OutOfSquare, 2));
        foreach ((StepKey before, StepKey after) in new[] { (StepKey.Assemble, StepKey.CheekCheck), (StepKey.Tension, StepKey.CheekCheck),
            (StepKey.CheekCheck, StepKey.CheekLap), (StepKey.CheekLap, StepKey.SoleLap), (StepKey.SetMouth, StepKey.CheekLap) })
        {
            At(plan, before).ShouldBeLessThan(At(plan, after), $"{before} before {after}");
        }
        plan.Single(d => d.Id.Step == StepKey.CheekLap).Parts.ShouldContain(PartId.Of("toe_piece"));
        IReadOnlyList<Deed> show = Plan(KindIds.ShoulderPlane, AimKind.Show);
        show.Single(d => d.Id.Step == StepKey.BedFlat).How.ShouldContain("not filed");
        show.ShouldNotContain(d => d.Id.Step == StepKey.Sides, "its sides do the work");
    }

    [Fact]
    public void A_router_is_lapped_with_its_cutter_out_and_its_foot_set_to_the_sole()
    {
        IReadOnlyList<Deed> plan = Plan(KindIds.RouterPlane, AimKind.Work, Asking.F(PartId.Of("cutter"), FindingKind.EdgeDamage, 2),
            Asking.F(PartIds.Body, FindingKind.OutOfFlat, 2));
        plan.ShouldNotContain(d => d.Id.Step == StepKey.Tension || d.Id.Step == StepKey.BedFlat || d.Id.Step == StepKey.SetMouth);
        plan.Single(d => d.Id.Step == StepKey.SoleLap).Title.ShouldBe("Lap the sole, the cutter out: both ends and round the throat");
        At(plan, StepKey.SoleClean).ShouldBeLessThan(At(plan, StepKey.FootLevel));
        plan.Single(d => d.Id.Step == StepKey.EdgeHone).Parts.ShouldBe([PartId.Of("cutter")]);
    }

    [Fact]
    public void The_iron_of_a_transitional_plane_goes_to_its_bath_and_its_wood_stays_dry()
    {
        IReadOnlyList<Deed> plan = Plan(KindIds.TransitionalPlane, AimKind.Work, Asking.F(PartIds.Frame, FindingKind.Rust, 3));
        plan.Single(d => d.Id.Step == StepKey.Soak).Parts.ShouldBe([PartIds.Frame]);
        plan.Single(d => d.Id.Step == StepKey.KeepOut).Parts.ShouldContain(PartIds.Body);
        plan.Single(d => d.Id.Step == StepKey.Apart).How.ShouldContain("which screw came from which hole");
        At(plan, StepKey.FrameSeat).ShouldBeLessThan(At(plan, StepKey.Assemble));
        plan.ShouldNotContain(d => d.Id.Step == StepKey.SetMouth, "its mouth is patched, not moved");
    }

    [Fact]
    public void An_adze_comes_off_its_haft_and_gets_no_wedge()
    {
        IReadOnlyList<Deed> plan = Plan(KindIds.Adze, AimKind.Work, Asking.F(PartIds.Bit, FindingKind.EdgeDamage, 2), Asking.F(PartIds.Haft,
            FindingKind.Looseness, 2));
        At(plan, StepKey.Apart).ShouldBeInRange(0, At(plan, StepKey.EdgeGrind));
        plan.SelectMany(d => d.Needs).ShouldNotContain(n => n.Item == Core.Stores.SupplyIds.HardwoodWedge);
        plan.Single(d => d.Id.Step == StepKey.EdgeGrind).How.ShouldContain("inside alone");
        IReadOnlyList<Deed> hung = Plan(KindIds.Adze, AimKind.Work, Asking.F(PartIds.Haft, FindingKind.Crack, 3));
        hung.Count(d => d.Title.StartsWith("Hang the head", StringComparison.Ordinal)).ShouldBe(1);
        hung.SelectMany(d => d.Needs).ShouldNotContain(n => n.Item == Core.Stores.SupplyIds.HardwoodWedge);
    }

    [Fact]
    public void A_frame_saw_is_let_down_first_strung_last_and_its_tenons_stay_dry()
    {
        IReadOnlyList<Deed> plan = Plan(KindIds.FrameSaw, AimKind.Work, Asking.F(PartIds.Cord, FindingKind.Worn, 3),
            Asking.F(PartId.Of("blade"), FindingKind.EdgeDamage, 2));
        plan.First(d => d.Id.Step == StepKey.Apart).Title.ShouldStartWith("Let the tension off");
        At(plan, StepKey.CordNew).ShouldBeLessThan(At(plan, StepKey.StringUp));
        At(plan, StepKey.SawFile).ShouldBeLessThan(At(plan, StepKey.StringUp));
        plan.Single(d => d.Id.Step == StepKey.SawFile).Parts.ShouldBe([PartId.Of("blade")]);
        plan.Single(d => d.Id.Step == StepKey.StringUp).Cautions.ShouldContain(Core.Safety.CautionId.Strung);
        plan.ShouldNotContain(d => d.Id.Step == StepKey.Grip || d.Id.Step == StepKey.Screws || d.Id.Step == StepKey.SawNuts);
    }

    [Fact]
    public void A_pipe_wrench_is_left_to_rattle_and_what_is_bent_of_it_is_not_straightened()
    {
        IReadOnlyList<Deed> plan = Plan(KindIds.PipeWrench, AimKind.Work, Asking.F(PartId.Of("hook_jaw"), FindingKind.Looseness, 3),
            Asking.F(PartIds.Handle, FindingKind.Bent, 3), Asking.F(PartId.Of("springs"), FindingKind.Bent, 2), Asking.F(PartId.Of("hook_jaw"),
                FindingKind.Worn, 3));
        plan.ShouldNotContain(d => d.Id.Step == StepKey.JawPlay || d.Id.Step == StepKey.Straighten);
        plan.Single(d => d.Id.Step == StepKey.JawTeeth).Title.ShouldStartWith("Look for new jaws");
    }

    [Fact]
    public void A_spanner_whose_tips_measure_wider_is_closed_once_and_one_that_does_not_is_left()
    {
        PartId end = PartId.Of("large_end");
        PlanQuestion Measured(double tips) => Asking.Ask(KindIds.OpenSpanner, AimKind.Work) is var q ? q with { Facts = q.Facts with { Readings =
            [Reading(MeasureIds.OpeningTips, tips), Reading(MeasureIds.OpeningFloor, 23.8)] } } : q;
        Reading Reading(MeasureId measure, double mm) => new(end, measure, new Core.Units.Quantity(mm, Core.Units.Unit.Millimetres), Instrument.Caliper);
        Deed closed = Planner.Plan(Measured(24.2)).Single(d => d.Id.Step == StepKey.JawSpread);
        closed.Reason.ShouldContain("0.4 mm wider at its tips");
        closed.Undoable.ShouldBeFalse();
        IReadOnlyList<Deed> sound = Planner.Plan(Measured(23.9));
        sound.ShouldNotContain(d => d.Id.Step == StepKey.JawSpread || d.Id.Step == StepKey.Apart || d.Id.Step == StepKey.SlideClean
            || d.Id.Step == StepKey.RollCall);
    }

    [Fact]
    public void Many_parts_are_called_by_what_they_have_in_common()
    {
        PlanQuestion q = Asking.Ask(KindIds.MetalBenchPlane, AimKind.Work);
        string Called(Func<PartDef, bool> which) => q.Called(q.Tool.Parts.Where(which));
        Called(p => p.Ferrous).ShouldBe("all iron and steel");
        Called(p => p.Ferrous && !p.Is(PartIds.LeverCap)).ShouldBe("all iron and steel but the lever cap");
        Called(p => p.Material is Material.Wood or Material.Brass).ShouldBe("all brass and all wood");
        Called(p => p.Is(PartIds.Body, PartIds.Frog)).ShouldBe("body and frog");
        Found[] rusty = [.. q.Tool.Parts.Where(p => p.Ferrous).Select(p => Asking.F(p.Id, FindingKind.Rust, 2))];
        Planner.Plan(Asking.Ask(KindIds.MetalBenchPlane, AimKind.Work, rusty)).Single(d => d.Id.Step == StepKey.Soak).Title
            .ShouldBe("Into the chelating bath: all iron and steel");
        // Whatever is named is what is meant, and nothing else.
        var random = new Random(5);
        for (int i = 0; i < 2000; i++)
        {
            ToolKind kind = ToolCatalogue.Kinds[random.Next(ToolCatalogue.Kinds.Count)];
            PlanQuestion any = Asking.Ask(kind.Id, AimKind.Work);
            List<PartDef> parts = [.. kind.Parts.Where(_ => random.Next(3) > 0)];
            string said = any.Called(parts);
            PartGroup? group = PartGroups.Of(kind).FirstOrDefault(g => said == g.Name || said.StartsWith(g.Name + " but", StringComparison.Ordinal));
            if (group is not null)
            {
                parts.ShouldBeSubsetOf(group.Parts);
                group.Parts.Except(parts).ShouldAllBe(p => said.Contains(p.Name));
            }
        }
    }

    [Fact]
    public void A_gouge_ground_inside_is_trued_outside()
    {
        PlanQuestion q = Asking.Ask(KindIds.Gouge, AimKind.Work, Asking.F(PartIds.Blade, FindingKind.Pitting, 3), Asking.F(PartIds.Blade,
            FindingKind.EdgeDamage, 2));
        PlanQuestion inside = q with { Facts = q.Facts with { Tool = ToolBuild.AsMade.With(FeatureIds.Cannel, FormIds.InCannel).Of(q.Tool) } };
        Planner.Plan(q).Single(d => d.Id.Step == StepKey.EdgeBack).Title.ShouldBe("True the hollow behind the edge");
        IReadOnlyList<Deed> plan = Planner.Plan(inside);
        plan.Single(d => d.Id.Step == StepKey.EdgeBack).Title.ShouldBe("True the outside behind the edge");
        plan.Single(d => d.Id.Step == StepKey.EdgeGrind).How.ShouldContain("On the inside");
        plan.Single(d => d.Id.Step == StepKey.EdgeSave).Title.ShouldBe("Stone the pits out of the last part of the outside");
    }

    [Fact]
    public void A_cracked_neck_tang_or_jaw_stops_a_restoration()
    {
        foreach ((KindId kind, string part, string place) in new[] { (KindIds.Billhook, "tang", ""), (KindIds.PipeWrench, "handle", ""), (KindIds.OpenSpanner,
            "large_end", ""),
            (KindIds.Adze, "head", "eye"), (KindIds.ShoulderPlane, "body", "bed"), (KindIds.RouterPlane, "body", "throat") })
        {
            Found crack = Asking.F(PartId.Of(part), FindingKind.Crack, 3) with { Place = place };
            Triage.Of(new Facts(ToolCatalogue.Kind(kind), [crack]), Assumptions.Standard).Stoppers.ShouldNotBeEmpty($"{kind} {part}");
        }
    }
}
