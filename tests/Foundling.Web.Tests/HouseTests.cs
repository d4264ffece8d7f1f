using System.Text.RegularExpressions;
using Foundling.Core;

namespace Foundling.Web.Tests;

/// <summary>How the house is built: which way its layers point and where its figures stand.</summary>
public sealed partial class HouseTests
{
    private const int LongestLine = 160;

    /// <summary>Sources a person writes, by path from the root, below these folders.</summary>
    private static Dictionary<string, string> Sources(string pattern, params string[] folders) => folders
        .SelectMany(f => Directory.GetFiles(Tree.Path(f), pattern, SearchOption.AllDirectories))
            .Select(f => Path.GetRelativePath(Tree.Root, f).Replace('\\', '/'))
        .Where(f => !f.Contains("/obj/", StringComparison.Ordinal) && !f.Contains("/bin/", StringComparison.Ordinal)
            && !f.Contains("/Migrations/", StringComparison.Ordinal))
        .ToDictionary(f => f, f => File.ReadAllText(Tree.Path(f)));

    [Fact]
    public void Core_references_only_mathematics_and_geometry() =>
        typeof(Check).Assembly.GetReferencedAssemblies().Select(a => a.Name!).Where(n => !n.StartsWith("System", StringComparison.Ordinal))
            .ShouldBe(["MathNet.Numerics", "NetTopologySuite"], ignoreOrder: true);

    [Fact]
    public void Data_knows_nothing_of_pages() =>
        typeof(Data.Store.FoundlingDb).Assembly.GetReferencedAssemblies().ShouldAllBe(a => a.Name != "Foundling.Web"
            && !a.Name!.StartsWith("Microsoft.AspNetCore", StringComparison.Ordinal));

    [Fact]
    public void Core_has_no_clock_and_no_hidden_chance()
    {
        Dictionary<string, string> sources = Sources("*.cs", "src/Foundling.Core");
        sources.Count.ShouldBeGreaterThan(30);
        sources.Where(s => s.Value.Contains("DateTime.Now") || s.Value.Contains("UtcNow") || s.Value.Contains("new Random()")
            || s.Value.Contains("Random.Shared"))
            .Select(s => s.Key).ShouldBeEmpty();
    }

    [Fact]
    public void The_figures_of_the_book_are_taken_in_one_place() =>
        Sources("*.cs*", "src").Where(s => Bare(s.Value).Contains("Assumptions.Standard", StringComparison.Ordinal)
            || (Bare(s.Value).Contains("new Assumptions(", StringComparison.Ordinal))).Select(s => s.Key).ShouldBeEmpty();

    /// <summary>A sentence or a pattern may run on; the code round it may not.</summary>
    [Fact]
    public void Lines_are_short_enough_to_read() =>
        Sources("*.cs", "src", "tests", "bench").Concat(Sources("*.css", "src/Foundling.Web/Styles")).Concat(Sources("*.js", "src/Foundling.Web/wwwroot/js"))
            .SelectMany(s => s.Value.Split('\n').Select((line, i) => (At: $"{s.Key}:{i + 1}", Line: line.TrimStart())))
            .Where(l => (l.Line.StartsWith("//", StringComparison.Ordinal) ? l.Line : Bare(l.Line)).Length > LongestLine).Select(l => l.At).ShouldBeEmpty();

    [Fact]
    public void No_line_of_a_page_is_longer_than_it_should_be() =>
        Sources("*.cshtml", "src/Foundling.Web/Pages").SelectMany(s => s.Value.Split('\n').Select((line, i) => (At: $"{s.Key}:{i + 1}", line.Length)))
            .Where(l => l.Length > LongestLine).Select(l => l.At).ShouldBeEmpty();

    /// <summary>
    /// A figure with a decimal point is an assumption of the trade until it is shown to be something else. These places
    /// may hold some: tables of their own, units and mathematics, how something is drawn, and limits of what may be typed.
    /// </summary>
    [Fact]
    public void Figures_of_the_trade_stand_in_the_list_of_assumptions_or_in_a_table()
    {
        Dictionary<string, int> allowed = File.ReadLines(Tree.Path("tests", "Foundling.Web.Tests", "figures-allowed.txt")).Where(l => l.Length > 0
            && l[0] != '#')
            .Select(l => l.Split(' ', 3)).ToDictionary(l => l[1], l => int.Parse(l[0], System.Globalization.CultureInfo.InvariantCulture));
        Dictionary<string, int> found = Sources("*.cs", "src").Where(s => !s.Key.Contains("/Assumptions", StringComparison.Ordinal)
            && !s.Key.Contains("/Demo/", StringComparison.Ordinal)).Select(s => (s.Key, Count: Literals().Count(Bare(s.Value))))
            .Where(s => s.Count > 0).ToDictionary(s => s.Key, s => s.Count);
        found.Where(f => f.Value > allowed.GetValueOrDefault(f.Key)).Select(f => $"{f.Value} {f.Key}, allowed {allowed.GetValueOrDefault(f.Key)}")
            .ShouldBeEmpty();
        allowed.Where(a => a.Value > found.GetValueOrDefault(a.Key)).Select(a => $"{a.Key} is allowed {a.Value} but holds {found.GetValueOrDefault(a.Key)}")
            .ShouldBeEmpty();
    }

    /// <summary>Code without its comments and words.</summary>
    private static string Bare(string code) => Words().Replace(code, m => m.Value[0] == '/' ? "" : "\"\"");

    [GeneratedRegex(@"//[^\n]*|\$?@?""(?:[^""\\\n]|\\.)*""")]
    private static partial Regex Words();

    [GeneratedRegex(@"(?<![\w.])\d+\.\d+(?![\w.])")]
    private static partial Regex Literals();
}
