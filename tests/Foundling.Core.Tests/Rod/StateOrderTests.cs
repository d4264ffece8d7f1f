using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Rod;

/// <summary>What a plan leaves free and what it keeps in order, because of the state of the parts it touches.</summary>
public sealed class StateOrderTests
{
    private static Found F(PartId part, FindingKind kind, int severity) => Asking.F(part, kind, severity);

    private static int At(IReadOnlyList<Deed> plan, DeedId id) => plan.ToList().FindIndex(d => d.Id == id);

    /// <summary>Everything a deed comes after, over any number of others.</summary>
    private static HashSet<DeedId> Behind(IReadOnlyList<Deed> plan, Deed deed)
    {
        HashSet<DeedId> all = [];
        var open = new Stack<Deed>([deed]);
        while (open.TryPop(out Deed? next))
        {
            foreach (Follows after in next.After.Where(a => all.Add(a.Id)))
            {
                open.Push(plan[At(plan, after.Id)]);
            }
        }
        return all;
    }

    [Fact]
    public void Handles_are_stripped_and_painted_while_the_jaws_soak()
    {
        PartId[] handles = [PartId.Of("upper_handle"), PartId.Of("lower_handle")];
        PlanQuestion question = Asking.Ask(KindIds.BoltCutter, AimKind.Show,
        [
            F(PartIds.UpperJaw, FindingKind.Rust, 3), F(PartIds.LowerJaw, FindingKind.Rust, 3), .. handles.Select(p => F(p, FindingKind.CoatingLoss, 4)),
        ]).With(ChoiceId.Strip, WayId.Blast).With(ChoiceId.Rust, WayId.Chelating);
        IReadOnlyList<Deed> plan = Planner.Plan(question);
        Deed soak = plan.First(d => d.Id.Step == StepKey.Soak);
        soak.Parts.Intersect(handles).ShouldBeEmpty();
        List<Deed> coats = [.. plan.Where(d => d.Stage == Stage.Coating || d.Id.Step == StepKey.CoatStrip)];
        coats.Select(d => d.Id.Step).ShouldContain(StepKey.CoatStrip);
        coats.Select(d => d.Id.Step).ShouldContain(StepKey.Coat1);
        foreach (Deed coat in coats.Where(d => !d.Parts.Intersect(soak.Parts).Any()))
        {
            Behind(plan, coat).Intersect(plan.Where(d => d.Id.Step is StepKey.Soak or StepKey.SoakLift or StepKey.SoakOil).Select(d => d.Id))
                .ShouldBeEmpty($"{coat.Title} waits for the bath");
        }
    }

    public static TheoryData<string> Frogged => [.. ToolCatalogue.Kinds.Where(k => k.Part(PartIds.Frog) is not null && k.Part(PartIds.Knob) is not null
        && k.Parts.Any(p => p.IsFastener && p.On == PartIds.Frog)).Select(k => k.Id.Value)];

    [Theory, MemberData(nameof(Frogged))]
    public void Knob_and_lever_cap_come_off_while_the_frog_screws_are_oiled(string kind)
    {
        PartId screws = ToolCatalogue.Kind(KindId.Of(kind)).Parts.First(p => p.IsFastener && p.On == PartIds.Frog).Id;
        IReadOnlyList<Deed> plan = Planner.Plan(Asking.Ask(KindId.Of(kind), AimKind.Work, F(screws, FindingKind.Seizure, 3)));
        Deed first = plan.Single(d => d.Id == StepKey.Apart), held = plan.Single(d => d.Id == new DeedId(StepKey.Apart, "held"));
        first.Parts.ShouldContain(PartIds.LeverCap);
        first.Parts.ShouldContain(PartIds.Knob);
        first.Parts.ShouldNotContain(PartIds.Frog);
        held.Parts.ShouldContain(PartIds.Frog);
        Behind(plan, first).ShouldNotContain(d => d.Step == StepKey.FreeOil);
        Behind(plan, held).ShouldContain(d => d.Step == StepKey.FreeOil);
        // Wood that is off already is wiped while the oil creeps.
        Behind(plan, plan.First(d => d.Id.Step == StepKey.WashWood)).ShouldNotContain(d => d.Step == StepKey.FreeOil);
    }

    public static TheoryData<string> Coated =>
        [.. ToolCatalogue.Kinds.Where(k => k.Parts.Any(p => p.Ferrous && p.Finish == PartFinish.Japanned)).Select(k => k.Id.Value)];

    private static PlanQuestion Recoated(string kind, AimKind aim, WayId way)
    {
        ToolKind tool = ToolCatalogue.Kind(KindId.Of(kind));
        return Asking.Ask(tool.Id, aim, [.. tool.Parts.Where(p => p.Ferrous && p.Finish == PartFinish.Japanned)
            .Select(p => F(p.Id, FindingKind.CoatingLoss, 4))]).With(ChoiceId.Coating, way);
    }

    [Theory, MemberData(nameof(Coated))]
    public void Nothing_is_taken_off_a_masked_face_because_the_rest_was_painted(string kind)
    {
        foreach (AimKind aim in new[] { AimKind.Work, AimKind.Own })
        {
            IReadOnlyList<Deed> plan = Planner.Plan(Recoated(kind, aim, WayId.Respray));
            plan.ShouldContain(d => d.Id.Step == StepKey.CoatMask);
            plan.ShouldNotContain(d => d.Id.Step == StepKey.FrogSeat || d.Id.Step == StepKey.FrogFace || d.Id.Step == StepKey.BedFlat
                || d.Id.Step == StepKey.SoleLap || d.Id.Step == StepKey.LeverCap);
        }
    }

    [Theory, MemberData(nameof(Coated))]
    public void Tape_is_off_before_the_oven_and_on_again_before_the_next_coat(string kind)
    {
        IReadOnlyList<Deed> plan = Planner.Plan(Recoated(kind, AimKind.Show, WayId.Bake));
        List<StepKey> coats = [.. plan.Select(d => d.Id.Step)
            .Where(s => s is StepKey.CoatMask or StepKey.CoatLay or StepKey.CoatUnmask or StepKey.CoatBake)];
        int rounds = coats.Count(s => s == StepKey.CoatBake);
        rounds.ShouldBeGreaterThan(0);
        coats.ShouldBe(Enumerable.Repeat(new[] { StepKey.CoatMask, StepKey.CoatLay, StepKey.CoatUnmask, StepKey.CoatBake }, rounds).SelectMany(r => r));
        foreach (Deed bake in plan.Where(d => d.Id.Step == StepKey.CoatBake))
        {
            Follows laid = bake.After.Single(a => a.Id.Step == StepKey.CoatLay && a.Lag is not null);
            laid.Lag!.HoldsMin.ShouldBeGreaterThan(0, "it flashes off before the oven");
        }
    }

    [Theory]
    [InlineData("axe")]
    [InlineData("hewing-hatchet")]
    [InlineData("adze")]
    public void A_new_haft_is_hung_before_it_is_oiled(string kind)
    {
        foreach (AimKind aim in new[] { AimKind.Work, AimKind.Show, AimKind.Own })
        {
            IReadOnlyList<Deed> plan = Planner.Plan(Asking.Ask(KindId.Of(kind), aim, F(PartIds.Haft, FindingKind.Crack, 4)).With(ChoiceId.Wood, WayId.Oil));
            int hung = At(plan, StepKey.HaftHang);
            hung.ShouldBeGreaterThan(0);
            plan.Take(hung).ShouldNotContain(d => d.Id.Step == StepKey.WoodOil || d.Id.Step == StepKey.WoodWipe, $"{kind} {aim}");
            plan.Skip(hung).ShouldContain(d => d.Id.Step == StepKey.WoodOil, $"{kind} {aim}");
        }
    }

    [Theory]
    [InlineData(AimKind.Work)]
    [InlineData(AimKind.Show)]
    [InlineData(AimKind.Own)]
    public void Boxing_is_glued_before_the_wood_is_oiled(AimKind aim)
    {
        PartId boxing = PartId.Of("boxing");
        IReadOnlyList<Deed> plan = Planner.Plan(Asking.Ask(KindIds.MouldingPlane, aim, F(boxing, FindingKind.Looseness, 3),
            F(PartIds.Body, FindingKind.CoatingLoss, 3)).With(ChoiceId.Wood, WayId.Oil));
        int glued = At(plan, StepKey.Boxing);
        glued.ShouldBeGreaterThan(0);
        plan.Skip(glued).ShouldContain(d => d.Id.Step == StepKey.WoodOil);
        plan.Take(glued).ShouldNotContain(d => d.Id.Step == StepKey.WoodOil);
    }
}
