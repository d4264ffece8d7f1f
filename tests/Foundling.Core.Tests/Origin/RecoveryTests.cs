using Foundling.Shared;
using Foundling.Core.Origin;

namespace Foundling.Core.Tests.Origin;

/// <summary>
/// Random tools drawn from the model: how often is the true year inside the reported span, how often is a planted part
/// found and an innocent one blamed, and does the advice save looks.
/// </summary>
public sealed class RecoveryTests
{
    private const string Line = "pellow_tarn_bench";

    private static readonly PatternBook Book = DatingTests.Book;

    private static DatingReport Date(MadeUpTool tool) => Dating.Report(new DatingInput(tool.Looks, Book, [Line]), Assumptions.Standard);

    [Fact]
    public void The_true_year_lies_in_the_span_about_nine_times_in_ten()
    {
        var maker = new ToolMaker(Book, Line, 11, Assumptions.Standard);
        const int Tools = 1000;
        int inside = Enumerable.Range(0, Tools).Count(_ =>
        {
            MadeUpTool tool = maker.DrawSwapped(maker.DrawYear(), maker.DrawTraits(9), 0.01);
            int[] span = Date(tool).Interval90;
            return tool.Year >= span[0] && tool.Year <= span[1];
        });
        (inside / (double)Tools).ShouldBeInRange(0.86, 0.97);
    }

    [Fact]
    public void A_part_from_another_time_is_found_and_innocent_parts_are_not_blamed()
    {
        Planted result = Planted.Draw(Book, Line, 500, 12);
        result.Found.ShouldBeGreaterThanOrEqualTo(0.85);
        result.Blamed.ShouldBeLessThanOrEqualTo(0.06);
    }

    [Fact]
    public void Following_the_advice_takes_fewer_looks_than_any_fixed_order_tried()
    {
        var maker = new ToolMaker(Book, Line, 13, Assumptions.Standard);
        IReadOnlyList<(string Name, string[] Order)> orders = LookOrders.Fixed(Book, Line, 3, 14);
        int advised = 0;
        int[] taken = new int[orders.Count];
        for (int i = 0; i < 40; i++)
        {
            MadeUpTool tool = maker.Draw(maker.DrawYear(), maker.Line.Variants.Keys);
            advised += LookOrders.Needed(Book, Line, tool, seen => LookOrders.Advised(Book, Line, seen));
            for (int k = 0; k < taken.Length; k++)
            {
                taken[k] += LookOrders.Needed(Book, Line, tool, _ => orders[k].Order);
            }
        }
        advised.ShouldBeLessThan(taken.Min());
    }

    [Fact]
    public void The_same_seed_draws_the_same_tool()
    {
        MadeUpTool One() => new ToolMaker(Book, Line, 99, Assumptions.Standard)
            .Draw(1910, ["side_wing", "knob_form", "iron_mark"], new Dictionary<string, int> { ["iron"] = 1950 });
        One().Looks.ShouldBe(One().Looks);
        One().PartYears["body"].ShouldBe(1910);
        One().PartYears["iron"].ShouldBeInRange(1947, 1950);
    }
}
