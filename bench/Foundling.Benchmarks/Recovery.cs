using Foundling.Core;
using Foundling.Shared;
using Foundling.Core.Origin;
using Foundling.Data.Reference;

namespace Foundling.Benchmarks;

/// <summary>Prints how well dating works on made-up tools of the sample lines.</summary>
internal static class Recovery
{
    public static void Print()
    {
        PatternBook book = ReferenceData.Book;
        Console.WriteLine("line                 year in span   odd part found   own part blamed");
        double found = 0, blamed = 0;
        foreach (PatternLine line in book.Lines)
        {
            var maker = new ToolMaker(book, line.Id, 21, Assumptions.Standard);
            const int Tools = 1000;
            int inside = Enumerable.Range(0, Tools).Count(_ =>
            {
                MadeUpTool tool = maker.DrawSwapped(maker.DrawYear(), maker.DrawTraits(9), 0.01);
                int[] span = Dating.Report(new DatingInput(tool.Looks, book, [line.Id]), Assumptions.Standard).Interval90;
                return tool.Year >= span[0] && tool.Year <= span[1];
            });
            Planted planted = Planted.Draw(book, line.Id, 500, 22);
            Console.WriteLine($"{line.Id,-20} {inside / (double)Tools,8:0.0 %}       {planted.Found,8:0.0 %}        {planted.Blamed,8:0.0 %}");
            (found, blamed) = (found + planted.Found, blamed + planted.Blamed);
        }
        Console.WriteLine($"{"all lines",-20} {"",8}       {found / book.Lines.Count,8:0.0 %}        {blamed / book.Lines.Count,8:0.0 %}");
        Console.WriteLine();
        Console.WriteLine("looks to a ten-year span, mean over 200 tools");
        foreach (PatternLine line in book.Lines)
        {
            Looks(book, line);
        }
    }

    private static void Looks(PatternBook book, PatternLine line)
    {
        const int Tools = 200;
        var maker = new ToolMaker(book, line.Id, 31, Assumptions.Standard);
        IReadOnlyList<(string Name, string[] Order)> orders = LookOrders.Fixed(book, line.Id, 20, 32);
        double advised = 0;
        double[] taken = new double[orders.Count];
        for (int i = 0; i < Tools; i++)
        {
            MadeUpTool tool = maker.Draw(maker.DrawYear(), line.Variants.Keys);
            advised += LookOrders.Needed(book, line.Id, tool, seen => LookOrders.Advised(book, line.Id, seen));
            for (int k = 0; k < taken.Length; k++)
            {
                taken[k] += LookOrders.Needed(book, line.Id, tool, _ => orders[k].Order);
            }
        }
        int best = Array.IndexOf(taken, taken.Min());
        Console.WriteLine($"{line.Id,-20} advised {advised / Tools,5:0.00}   best of {orders.Count} fixed orders {taken[best] / Tools,5:0.00} "
            + $"({orders[best].Name})");
    }
}
