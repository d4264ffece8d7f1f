using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Rod;

/// <summary>Every sentence of every plan, for every kind, aim and way: whole, and about this tool.</summary>
public sealed class WordsTests
{
    private static readonly Lazy<List<(ToolKind Kind, AimKind Aim, PlanStep Step)>> Steps = new(() =>
        [.. ToolCatalogue.Kinds.AsParallel().AsOrdered()
            .SelectMany(kind => Enum.GetValues<AimKind>().SelectMany(aim => Enumerable.Range(1, 4).SelectMany(degree => Plans(kind, aim, degree))))]);

    private static IEnumerable<(ToolKind Kind, AimKind Aim, PlanStep Step)> Plans(ToolKind kind, AimKind aim, int degree)
    {
        PlanQuestion q = Asking.Ask(kind.Id, aim, [.. kind.Parts.SelectMany(p => Faults.For(kind, p).Where(f => f != FindingKind.Missing).Select(f =>
            Asking.F(p.Id, f, degree)))]) with { Dress = "blue" };
        IEnumerable<PlanQuestion> all = Choices.All.Where(c => c.Asked(q)).SelectMany(c =>
            c.Ways.Where(w => w.Blocked(q) is null).Select(w => q.With(c.Id, w.Id))).Prepend(q);
        return all.SelectMany(p => PlanStep.Fresh(Planner.Plan(p))).DistinctBy(s => (s.Title, s.How, s.Reason, s.FinishTest)).Select(s => (kind, aim, s));
    }

    private static IEnumerable<(ToolKind Kind, PlanStep Step, string Text)> Sentences() =>
        Steps.Value.SelectMany(s => new[] { s.Step.How, s.Step.Reason, s.Step.FinishTest }.Where(t => t.Length > 0).Select(t => (s.Kind, s.Step, t)));

    [Fact]
    public void Sentences_begin_with_a_capital_end_with_a_stop_and_have_no_holes()
    {
        foreach ((ToolKind kind, PlanStep step, string text) in Sentences())
        {
            string where = $"{kind.Id} {step.Key}: {text}";
            (char.IsUpper(text[0]) || char.IsDigit(text[0])).ShouldBeTrue(where);
            (text[^1] is '.' or '?').ShouldBeTrue(where);
            text.ShouldNotContain("  ", customMessage: where);
            text.ShouldNotContain("..", customMessage: where);
            text.ShouldNotContain(" nothing stay", customMessage: where);
            // After a stop a new sentence begins; what a bath does comes from its table, here a stand-in.
            (step.Key.Step is not (StepKey.Soak or StepKey.DerustRest) && System.Text.RegularExpressions.Regex.IsMatch(text, @"[a-z]\. [a-z]"))
                .ShouldBeFalse(where);
        }
    }

    [Fact]
    public void A_sentence_speaks_only_of_what_the_tool_has()
    {
        (string Word, Func<ToolKind, bool> Has)[] owned =
        [
            ("casting", k => k.Parts.Any(p => p.Material == Material.CastIron)), ("machining lines", k => k.Parts.Any(p => p.Material == Material.CastIron)),
                ("Wood swells", k => k.Parts.Any(p => p.Material == Material.Wood)),
            ("brass turns pink", k => k.Parts.Any(p => p.Material == Material.Brass)), ("on a chisel", k => k.Id == KindIds.Chisel),
                ("planed", k => k.Family == Family.Plane),
                    ("Every thread", k => k.Parts.Any(p => p.IsFastener || p.Joint == Joint.LockTab || p.Id == PartIds.Chuck)),
            ("left the works baked", k => k.Parts.Any(p => p.Finish == PartFinish.Japanned)), ("lever cap", k => k.Part(PartIds.LeverCap) is not null),
                ("lateral lever", k => k.Part(PartIds.LateralLever) is not null), ("Every screw", k => k.Parts.Any(p => p.IsFastener)),
        ];
        foreach ((ToolKind kind, PlanStep step, string text) in Sentences())
        {
            foreach ((string word, Func<ToolKind, bool> has) in owned)
            {
                (text.Contains(word, StringComparison.OrdinalIgnoreCase) && !has(kind)).ShouldBeFalse($"{kind.Id} {step.Key} speaks of \"{word}\": {text}");
            }
        }
    }

    [Fact]
    public void What_a_step_is_called_agrees_with_how_it_is_done()
    {
        foreach ((ToolKind kind, _, PlanStep step) in Steps.Value)
        {
            string where = $"{kind.Id} {step.Key}: {step.Title} / {step.How}";
            (step.Title.StartsWith("Brighten", StringComparison.Ordinal) == step.How.StartsWith("Polish", StringComparison.Ordinal)
                || step.Key != StepKey.Brass).ShouldBeTrue(where);
            (step.Title.Contains(" and ", StringComparison.Ordinal) && step.Title.Contains(" is loose", StringComparison.Ordinal)).ShouldBeFalse(where);
            step.Title.ShouldNotContain("nothing", customMessage: where);
        }
    }

    [Fact]
    public void What_the_book_advises_is_open_on_a_tool_that_wants_it()
    {
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            foreach (AimKind aim in Enum.GetValues<AimKind>())
            {
                PlanQuestion q = Asking.Ask(kind.Id, aim, [.. kind.Parts.SelectMany(p => Faults.For(kind, p).Where(f =>
                    f is FindingKind.Rust or FindingKind.CoatingLoss or FindingKind.EdgeDamage).Select(f => Asking.F(p.Id, f, 2)))]);
                foreach (Choice choice in Choices.All.Where(c => c.Asked(q)))
                {
                    choice.Find(choice.Advice(q).Way).Blocked(q).ShouldBeNull($"{kind.Id} {aim} {choice.Id}");
                }
            }
        }
    }
}
