using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;

namespace Foundling.Core.Tests.Rod;

/// <summary>A plan with another way is the same whether it was made from what was known or from nothing.</summary>
public sealed class ConsultingTests
{
    [Fact]
    public void What_is_taken_over_is_what_would_be_worked_out_again()
    {
        Enum.GetValues<ChoiceId>().Length.ShouldBeLessThanOrEqualTo(64, "a bit for each choice");
        var random = new Random(404);
        int compared = 0;
        for (int i = 0; i < 150; i++)
        {
            PlanQuestion question = Asking.Random(random);
            Planner.Plan(question);
            foreach (Choice choice in Choices.All.Where(c => c.Asked(question)))
            {
                Way way = choice.Ways[random.Next(choice.Ways.Count)];
                PlanQuestion quick = question.With(choice.Id, way.Id), fresh = question with { TagWays = quick.TagWays };
                string[] Told(PlanQuestion q) => [.. Planner.Plan(q).Select(d => System.Text.Json.JsonSerializer.Serialize(d, OpenJson.Options))];
                Told(quick).ShouldBe(Told(fresh), $"{question.Tool.Name}, {choice.Question} {way.Name}");
                compared++;
            }
        }
        compared.ShouldBeGreaterThan(800);
    }
}
