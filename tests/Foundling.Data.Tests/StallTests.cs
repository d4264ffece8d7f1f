using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Rod;
using Foundling.Core.Stall;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Reference;

namespace Foundling.Data.Tests;

/// <summary>The stall check's questions and what their answers add up to, for every kind of tool.</summary>
public sealed class StallTests
{
    private static readonly IReadOnlyList<StallTable> Tables = [.. ToolCatalogue.Kinds.Select(k => StallTable.Of(k, Here))];

    private static Core.Shop.ShopContext Here => new(Core.Assumptions.Standard, new Core.Shop.Climate(), ReferenceData.Baths);

    public static TheoryData<string> Kinds() => [.. ToolCatalogue.Kinds.Select(k => k.Id.Value)];

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Every_kind_has_a_dozen_questions_at_most_about_parts_it_has(string id)
    {
        ToolKind kind = ToolCatalogue.Kind(KindId.Of(id));
        IReadOnlyList<StallQuestion> questions = StallQuestions.For(kind);
        questions.Count.ShouldBeInRange(5, StallQuestions.Most + 2);
        questions.Select(q => q.Id).Distinct().Count().ShouldBe(questions.Count);
        foreach (StallQuestion question in questions)
        {
            question.Answers.Sum(a => a.Share).ShouldBe(1, 1e-9, question.Id);
            question.Answers.Select(a => a.Id).Distinct().Count().ShouldBe(question.Answers.Count);
            (question.Ask.EndsWith('?') && question.Look.Length > 0 && question.Picture.Length > 0).ShouldBeTrue(question.Id);
            foreach (Found finding in question.Answers.SelectMany(a => a.Findings))
            {
                PartDef part = kind.Part(finding.Part).ShouldNotBeNull(question.Id);
                Faults.For(kind, part).ShouldContain(finding.Kind, $"{id} {question.Id}");
                (finding.Place.Length == 0 || PartGroups.Places(kind, part).Contains(finding.Place)).ShouldBeTrue();
            }
            question.NotAfter.ShouldAllBe(n => questions.Any(q => q.Answers.Any(a => $"{q.Id}/{a.Id}" == n)));
        }
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Worse_answers_do_not_make_less_of_it(string id)
    {
        foreach (StallRow row in Tables.Single(t => t.Kind.Value == id).Rows)
        {
            row.Answers[0].Doubts.ShouldBeEmpty();
            if (row.Many)
            {
                // Parts that may be gone stand side by side; none is worse than the next by its place.
                continue;
            }
            int[] weight = [.. row.Answers.Select(a => a.Stoppers.Count > 0 ? 2 : a.Doubts.Count > 0 ? 1 : 0)];
            weight.SequenceEqual(weight.Order()).ShouldBeTrue($"{id} {row.Id}: {string.Join(' ', weight)}");
            row.Answers[0].Stoppers.ShouldBeEmpty();
        }
    }

    [Fact]
    public void What_could_stop_it_is_asked_first()
    {
        IReadOnlyList<StallRow> rows = Tables.Single(t => t.Kind == KindIds.MetalBenchPlane).Rows;
        rows[0].Id.ShouldBe("edge_there");
        rows.Skip(1).Select(r => r.Pull[0]).ShouldBe(rows.Skip(1).Select(r => r.Pull[0]).OrderDescending());
        List<string> order = [.. rows.Select(r => r.Id)];
        order.IndexOf("crack").ShouldBeLessThan(order.IndexOf("coating"));
    }

    [Fact]
    public void What_hangs_on_a_question_is_said_for_every_case()
    {
        foreach (StallRow row in Tables.SelectMany(t => t.Rows))
        {
            row.Pull.Count.ShouldBe(4, row.Id);
            row.Pull.ShouldAllBe(p => p >= 0 && double.IsFinite(p));
            // A bad answer that is likelier makes more hang on it; a doubt that is there already makes less.
            bool better = row.Answers.Any(a => a.Stoppers.Count + a.Doubts.Count > 0) && row.Answers[0].Stoppers.Count + row.Answers[0].Doubts.Count == 0;
            (!better || row.Pull[1] > row.Pull[0]).ShouldBeTrue(row.Id);
            row.Pull[2].ShouldBeLessThanOrEqualTo(row.Pull[0], row.Id);
        }
    }

    [Fact]
    public void The_sums_of_the_table_are_those_of_the_shop()
    {
        var random = new Random(4);
        StallReckoning sums = StallReckoning.Of(Here.Assumptions);
        for (int i = 0; i < 300; i++)
        {
            double minutes = random.Next(10, 2000), sd = random.NextDouble() * 900, worth = random.Next(0, 300), materials = random.Next(0, 60),
                rate = random.Next(0, 50), selling = random.Next(0, 20);
            var figures = new Dictionary<string, double> { ["minutes"] = minutes, ["worth"] = worth, ["materials"] = materials, ["rate"] = rate,
                ["selling"] = selling };
            HighestPriceResult asked = Worth.HighestPrice(new HighestPriceInput([new ThreePoint(minutes, minutes, minutes)], worth, materials, rate, selling));
            StallReckoning.Sum(sums.Price, figures).ShouldBe(asked.BeforeFloor, 1e-6);
            StallReckoning.Sum(sums.Cost, figures).ShouldBe(materials + (rate * minutes / 60), 1e-6);
            double added = sums.Spread.First(s => sd * sd <= s[0])[1];
            added.ShouldBeInRange((Totals.Z80 * sd) - 0.01, (Totals.Z80 * sd * 1.021) + 0.85);
            double common = Here.Assumptions.CommonSpread * minutes;
            sums.Common.First(s => minutes <= s[0])[1].ShouldBeInRange((common * common) - 1, (common * common * 1.05) + 1);
        }
    }

    [Fact]
    public void Adding_up_single_answers_comes_near_the_whole_plan()
    {
        var random = new Random(6);
        double worst = 0, sum = 0;
        string where = "";
        const int Checks = 200;
        for (int i = 0; i < Checks; i++)
        {
            ToolKind kind = ToolCatalogue.Kinds[i % ToolCatalogue.Kinds.Count];
            StallTable table = Tables.Single(t => t.Kind == kind.Id);
            // Tools as stalls have them: each answer as often as it is met, and nothing asked about what is gone.
            var answers = new List<(string Key, StallEffect Effect)>();
            foreach (StallRow row in table.Rows)
            {
                if (row.NotAfter.Any(n => answers.Any(a => a.Key == n)))
                {
                    continue;
                }
                string answer = Draw(StallQuestions.For(kind).Single(q => q.Id == row.Id), random);
                // What was found stuck or rusty a moment ago is not gone now.
                if (StallCheck.Findings(kind, [$"{row.Id}/{answer}"]).Any(f => f.Kind == FindingKind.Missing
                    && StallCheck.Findings(kind, answers.Select(a => a.Key)).Any(o => o.Part == f.Part)))
                {
                    continue;
                }
                answers.Add(($"{row.Id}/{answer}", row.Answers.Single(a => a.Id == answer)));
            }
            double added = table.Base["Work"].Mean + answers.Sum(a => a.Effect.Adds["Work"].Mean);
            double whole = PlanTotals.Of(Planner.Plan(new PlanQuestion(new Facts(kind, StallCheck.Findings(kind, answers.Select(a => a.Key))),
                AimKind.Work, Here)), Here.Assumptions).Mean;
            double off = Math.Abs(added - whole) / whole;
            sum += off;
            if (off > worst)
            {
                (worst, where) = (off, $"{kind.Id}, {added:0} added, {whole:0} in all: {string.Join(" ", answers.Select(a => a.Key))}");
            }
        }
        (sum / Checks).ShouldBeLessThan(0.03);
        worst.ShouldBeLessThan(0.35, where);
    }

    private static string Draw(StallQuestion question, Random random)
    {
        double at = random.NextDouble();
        return question.Answers.FirstOrDefault(a => (at -= a.Share) <= 0)?.Id ?? question.Answers[^1].Id;
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void An_answer_is_what_was_seen_on_its_part_or_a_doubt(string id)
    {
        ToolKind kind = ToolCatalogue.Kind(KindId.Of(id));
        IReadOnlyList<StallQuestion> questions = StallQuestions.For(kind);
        // What is gone is named, and only what can be lost.
        if (questions.FirstOrDefault(q => q.Id == "complete") is { } complete)
        {
            complete.Many.ShouldBeTrue();
            foreach (StallAnswer gone in complete.Answers.Skip(1))
            {
                PartDef part = kind.Part(gone.Findings.ShouldHaveSingleItem().Part)!;
                gone.Text.ShouldBe($"no {part.Name}");
                (part.OnePiece || Faults.IsMain(kind, part)).ShouldBeFalse(part.Id.Value);
            }
        }
        string all = string.Join(' ', questions.SelectMany(q => new[] { q.Ask, q.Look, q.Picture }.Concat(q.Answers.Select(a => a.Text)))).ToLowerInvariant();
        if (kind.Parts.All(p => p.Material != Material.CastIron))
        {
            all.ShouldNotContain("casting");
        }
        if (!kind.Parts.Any(p => p.IsFastener))
        {
            all.ShouldNotContain("slot of");
        }
        // A short edge is a short edge and no broken corner; brown all over is on every part of iron that can be seen.
        if (questions.FirstOrDefault(q => q.Id == "steel") is not null)
        {
            StallCheck.Findings(kind, ["steel/little"]).ShouldHaveSingleItem().Kind.ShouldBe(FindingKind.Worn);
        }
        StallCheck.Findings(kind, ["rust/brown"]).Select(f => f.Part).ShouldBe(kind.Parts.Where(p => p.Ferrous && p.On is null && !p.InSet).Select(p => p.Id));
        // What a stall cannot show stays open.
        if (questions.Any(q => q.Id == "moves"))
        {
            Found stuck = StallCheck.Findings(kind, ["moves/stuck"]).ShouldHaveSingleItem();
            stuck.Doubt.ShouldContain("oil");
            Triage.Weigh(new Facts(kind, [stuck]), Assumptions.Standard).Doubts.ShouldHaveSingleItem().Sentence.ShouldContain("not move by hand");
        }
    }

    [Fact]
    public void Several_parts_can_be_gone_at_once()
    {
        ToolKind plane = ToolCatalogue.Kind(KindIds.MetalBenchPlane);
        StallCheck.Findings(plane, ["complete/no_knob", "complete/no_cap_iron"]).Select(f => f.Part).ShouldBe([PartIds.Knob, PartIds.CapIron]);
    }

    [Fact]
    public void Answers_become_findings_and_the_worse_of_two_counts()
    {
        ToolKind plane = ToolCatalogue.Kind(KindIds.MetalBenchPlane);
        IReadOnlyList<Found> found = StallCheck.Findings(plane, ["edge_there/yes", "steel/half", "edge/chipped", "crack/there"]);
        found.Single(f => f.Kind == FindingKind.EdgeDamage).Severity.ShouldBe(3);
        found.Single(f => f.Kind == FindingKind.Crack).Place.ShouldBe("mouth");
        Triage.Weigh(new Facts(plane, found), Assumptions.Standard).Verdict.ShouldBe(Verdict.Parts);
        Should.Throw<InputException>(() => StallCheck.Findings(plane, ["crack/perhaps"])).Sentence.ShouldContain("no answer");
        // Asking again gives fresh findings, not the ones handed out before.
        StallCheck.Findings(plane, ["edge/nicked"]).Single().Severity.ShouldBe(2);
    }
}
