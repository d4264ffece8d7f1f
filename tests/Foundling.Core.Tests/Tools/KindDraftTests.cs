using Foundling.Core.Aim;
using Foundling.Core.Rod;
using Foundling.Core.Stall;
using Foundling.Core.Tests.Rod;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;

namespace Foundling.Core.Tests.Tools;

/// <summary>Kinds of the shop's own, said by how they differ from the nearest.</summary>
public sealed class KindDraftTests
{
    private static int _made;

    private static string Next() => $"t{Interlocked.Increment(ref _made)}";

    [Fact]
    public void A_coachmakers_plane_is_a_bench_plane_without_a_frog_and_with_a_fence()
    {
        KindFile file = new KindDraft(KindIds.MetalBenchPlane, "Coachmaker's plane")
        {
            Without = [PartIds.Frog, PartIds.Knob], Called = new Dictionary<PartId, string> { [PartIds.Tote] = "handle" },
            Extras = [new KindExtra("brass fence", Material.Brass, PartIds.Body)],
        }.File(Next());
        ToolKind kind = ToolCatalogue.Learn(file);
        kind.Id.Value.ShouldStartWith("own-coachmaker-s-plane-");
        // What goes with the frog and the knob goes with them.
        PartId[] gone = [PartIds.Frog, PartIds.FrogScrews, PartIds.Yoke, PartIds.YokePin, PartIds.LateralLever, PartIds.Adjuster, PartIds.Knob,
            PartIds.KnobBolt];
        kind.Parts.Select(p => p.Id).Intersect(gone).ShouldBeEmpty();
        kind.Part(PartIds.Tote)!.Name.ShouldBe("handle");
        kind.Parts[^1].Name.ShouldBe("brass fence");
        ToolCatalogue.Drawing(kind.Id).Parts.Select(p => p.Part).ShouldBe(kind.Parts.Where(p => p.On is null).Select(p => p.Id), ignoreOrder: true);
        IReadOnlyList<Deed> plan = Planner.Plan(Asking.Ask(kind.Id, AimKind.Work, Asking.F(PartIds.Body, FindingKind.Rust, 2)));
        plan.ShouldNotContain(d => d.Title.Contains("frog", StringComparison.Ordinal) || d.How.Contains("frog", StringComparison.Ordinal));
        plan.ShouldContain(d => d.Title == "Clean brass: tote rod and nut and brass fence");
        ToolCatalogue.Learn(KindReader.Read(System.Text.Json.JsonSerializer.Serialize(file, Core.Keys.OpenJson.Options))).ShouldBeSameAs(kind);
    }

    [Fact]
    public void Whatever_is_taken_away_or_added_is_a_kind_or_a_sentence()
    {
        var random = new Random(33);
        for (int i = 0; i < 400; i++)
        {
            ToolKind near = ToolCatalogue.Kinds[random.Next(ToolCatalogue.Kinds.Count)];
            var draft = new KindDraft(near.Id, "Strange one")
            {
                Without = [.. near.Parts.Where(_ => random.Next(4) == 0).Select(p => p.Id)],
                Extras = random.Next(2) == 0 ? [] : [new KindExtra("knocker", (Material)random.Next(7), near.Parts[random.Next(near.Parts.Count)].Id)],
            };
            try
            {
                KindFile file = draft.File(Next());
                ToolKind kind = KindReader.Kind(file);
                KindDrawing.Read(file.Drawing!, file).Parts.ShouldNotBeEmpty();
                StallQuestions.For(kind).SelectMany(q => q.Answers).SelectMany(a => a.Findings).ShouldAllBe(f => kind.Made(f.Part));
                foreach (AimKind aim in Enum.GetValues<AimKind>())
                {
                    PlanQuestion question = Asking.Ask(KindIds.Brace, aim);
                    question = question with { Facts = new Core.State.Facts(kind, [.. kind.Parts.Where(p => p.Ferrous).Select(p => Asking.F(p.Id,
                        FindingKind.Rust, 2))]) };
                    Planner.Plan(question).SelectMany(d => d.Parts).ShouldAllBe(p => kind.Made(p));
                }
            }
            catch (InputException fault)
            {
                fault.ErrorKey.ShouldBe("kind_file");
                (draft.Without.Contains(near.Parts[0].Id) || draft.Extras.Count > 0).ShouldBeTrue($"{near.Id}: {fault.Sentence}");
            }
        }
    }

    [Fact]
    public void A_tool_all_of_wood_is_not_asked_how_rusty_it_is()
    {
        ToolKind kind = KindReader.Kind(new KindDraft(KindIds.RebatePlane, "Pattern of a plane") { Without = [PartIds.Iron] }.File(Next()));
        StallQuestions.For(kind).ShouldNotContain(q => q.Id == "rust" || q.Id == "pits");
        ToolKind frame = KindReader.Kind(new KindDraft(KindIds.FrameSaw, "Frame of a saw") { Without = [PartId.Of("blade")] }.File(Next()));
        StallQuestions.For(frame).ShouldNotContain(q => q.Id == "teeth" || q.Id == "straight");
    }

    [Theory]
    [InlineData(" ", "body", "Give it a name")]
    [InlineData("Jack", "body", "holds the others together")]
    public void What_makes_no_kind_is_said(string name, string without, string says) => Should.Throw<InputException>(() =>
        new KindDraft(KindIds.MetalBenchPlane, name) { Without = [PartId.Of(without)] }.File(Next())).Sentence.ShouldContain(says);

    [Fact]
    public void A_kind_from_elsewhere_cannot_take_the_place_of_one_that_is_shipped()
    {
        KindFile file = new KindDraft(KindIds.Chisel, "Slick").File(Next());
        Should.Throw<InputException>(() => ToolCatalogue.Learn(file with { Kind = KindIds.Chisel })).Sentence.ShouldContain("has of its own");
        Should.Throw<InputException>(() => ToolCatalogue.Learn(file with { Kind = KindId.Of("slick") })).Sentence.ShouldContain("begins with");
        Should.Throw<InputException>(() => ToolCatalogue.Learn(file with { Drawing = null })).Sentence.ShouldContain("its drawing in it");
        ToolCatalogue.Kinds.ShouldNotContain(k => k.Name == "Slick");
    }
}
