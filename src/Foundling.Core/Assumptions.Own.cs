using System.Globalization;
using System.Reflection;
using Foundling.Core.Keys;
using Foundling.Core.Stores;

namespace Foundling.Core;

/// <summary>One assumed figure.</summary>
/// <param name="Name">Its name, as the papers and the API give it.</param>
/// <param name="Value">Its value.</param>
/// <param name="Unit">Unit, empty for a plain number.</param>
/// <param name="Reason">Why, or of what.</param>
public sealed record AssumedFigure(string Name, double Value, string Unit, string Reason);

/// <content>The list of them, and the figures a shop puts otherwise.</content>
public sealed partial record Assumptions
{
    /// <summary>A place in the list: how a figure is read and how it is put otherwise.</summary>
    private sealed record Line(string Name, string Unit, string Reason, string Heading, bool Whole, Func<Assumptions, double> Read,
        Func<Assumptions, double, Assumptions> Put);

    /// <summary>The values the book starts with; first here, because the list below is made from it.</summary>
    public static Assumptions Standard { get; } = new();

    /// <summary>What names of prices begin with.</summary>
    public const string PricePrefix = "price_";

    /// <summary>What names of figures begin with that a survey takes down as it is read in.</summary>
    public const string SurveyPrefix = "survey_";

    /// <summary>Name of the price of a supply, as <see cref="List"/> gives it.</summary>
    public static string PriceName(SupplyId id) => $"{PricePrefix}{id.Value.Replace('-', '_')}";

    private const string PriceHeading = "What materials cost", TimeHeading = "How long a step takes, likely",
        MetalHeading = "Metal a step takes off", Day = "o'clock", Times = "times";

    private static readonly List<Line> Lines = [.. Properties(), .. Materials(), .. StepMinutes(), .. StepMetal()];

    private static readonly Dictionary<string, Line> ByName = Lines.ToDictionary(l => l.Name);

    private OwnFigures<SupplyId> Prices { get; init; } = new();

    private OwnFigures<(StepKey, StepCase)> Likely { get; init; } = new();

    private OwnFigures<(StepKey, StepCase, Per)> Rates { get; init; } = new();

    private OwnFigures<(StepKey, StepCase)> Taken { get; init; } = new();

    /// <summary>What a unit of a supply costs, in the shop's money; 0 for kit.</summary>
    public double PriceOf(Supply supply) => Prices.Of(supply.Id) ?? supply.Cost;

    /// <summary>Hands-on minutes of a step on what there is to work on: as the book has them, or as the shop puts them.</summary>
    /// <param name="step">The step.</param>
    /// <param name="case">In which case.</param>
    /// <param name="work">What there is to work on.</param>
    public (double Low, double Likely, double High) MinutesOf(StepKey step, StepCase @case, Work work)
    {
        StepFigure book = StepFigures.Of(step, @case);
        bool small = book.Rates.Any(r => r.Per == Per.Small), fasteners = book.Rates.Any(r => r.Per == Per.Fastener);
        double likely = LikelyOf(book) + book.Rates.Sum(r => RateOf(book, r.Per) * work.Of(r.Per, small, fasteners));
        likely = Math.Min(likely, book.Most ?? double.PositiveInfinity);
        return (likely * (book.Quick ?? OwnLowShare), likely, likely * (book.Slow ?? OwnHighTimes));
    }

    private double LikelyOf(StepFigure figure) => Likely.Of((figure.Step, figure.Case)) ?? figure.Likely;

    private double RateOf(StepFigure figure, Per per) => Rates.Of((figure.Step, figure.Case, per)) ?? figure.Rates.First(r => r.Per == per).Minutes;

    /// <summary>Metal a step takes off, mm.</summary>
    public double MetalOf(StepKey step, StepCase @case = StepCase.Usual) => Taken.Of((step, @case)) ?? StepFigures.Of(step, @case).MetalMm;

    private static IEnumerable<Line> Properties() =>
        from property in typeof(Assumptions).GetProperties()
        let mark = property.GetCustomAttribute<AssumedAttribute>()
        where mark is not null
        let whole = property.PropertyType == typeof(int)
        select new Line(Keys.SnakeCase.Of(property.Name), mark.Unit, mark.Reason, mark.Heading, whole,
            a => Convert.ToDouble(property.GetValue(a), CultureInfo.InvariantCulture), (a, value) => Copy(a, property, whole ? (object)(int)value : value));

    private static Assumptions Copy(Assumptions one, PropertyInfo property, object value)
    {
        Assumptions other = one with { };
        property.SetValue(other, value);
        return other;
    }

    private static IEnumerable<Line> Materials() =>
        Supplies.All.Where(s => !s.Kit)
            .Select((s, i) => new Line(PriceName(s.Id), $"a {s.One}", $"what {s.Name} costs", i == 0 ? PriceHeading : "", false,
            a => a.PriceOf(s), (a, value) => a with { Prices = a.Prices.With(s.Id, value, s.Cost) }));

    private static IEnumerable<Line> StepMinutes()
    {
        string heading = TimeHeading;
        foreach (StepFigure f in StepFigures.All)
        {
            if (f.Likely > 0)
            {
                yield return new Line($"minutes_{f.Name}", "min", $"to {f.What}{f.InCase}", heading, false, a => a.LikelyOf(f),
                    (a, value) => a with { Likely = a.Likely.With((f.Step, f.Case), value, f.Likely) });
                heading = "";
            }
            foreach ((Per per, double minutes) in f.Rates)
            {
                yield return new Line($"minutes_{f.NameOf(per)}", "min", $"to {f.What}{f.InCase}, {StepFigure.For(per)}", heading, false,
                    a => a.RateOf(f, per), (a, value) => a with { Rates = a.Rates.With((f.Step, f.Case, per), value, minutes) });
                heading = "";
            }
        }
    }

    private static IEnumerable<Line> StepMetal() => StepFigures.All.Where(f => f.MetalMm > 0).Select((f, i) => new Line($"metal_{f.Name}", "mm",
        $"to {f.What}{f.InCase}", i == 0 ? MetalHeading : "", false, a => a.MetalOf(f.Step, f.Case),
        (a, value) => a with { Taken = a.Taken.With((f.Step, f.Case), value, f.MetalMm) }));

    /// <summary>Every assumption with its unit and reason, for the Shop page, the papers and the API.</summary>
    public IEnumerable<AssumedFigure> List() => Lines.Select(l => new AssumedFigure(l.Name, l.Read(this), l.Unit, l.Reason));

    /// <summary>The figures of the book.</summary>
    public static IReadOnlyList<AssumedFigure> Book { get; } = [.. Standard.List()];

    /// <summary>Names of the figures under their headings.</summary>
    public static IReadOnlyList<(string Heading, IReadOnlyList<string> Names)> Headed { get; } = UnderHeadings();

    private static List<(string, IReadOnlyList<string>)> UnderHeadings()
    {
        List<(string, IReadOnlyList<string>)> all = [];
        List<string> names = [];
        foreach (Line line in Lines)
        {
            if (line.Heading.Length > 0)
            {
                all.Add((line.Heading, names = []));
            }
            names.Add(line.Name);
        }
        return all;
    }

    /// <summary>True for a name of one of them, as <see cref="List"/> gives it.</summary>
    public static bool Knows(string name) => ByName.ContainsKey(name);

    /// <summary>The same assumptions with one of them put otherwise.</summary>
    /// <param name="name">Its name, as <see cref="List"/> gives it.</param>
    /// <param name="value">Its value, in its unit.</param>
    /// <exception cref="InputException">No such assumption, or a value no workshop would assume.</exception>
    public Assumptions With(string name, double value)
    {
        Line line = ByName.GetValueOrDefault(name) ?? throw new InputException("unknown_assumption", "name", name, "an assumption of the list",
            $"Nothing called \"{name}\" is assumed.");
        if (!Fits(line, value))
        {
            (double least, double most) = Range(line);
            string allowed = $"a {(line.Whole ? "whole " : "")}number from {Figure(least)} to {Figure(most)}";
            throw new InputException("out_of_range", name, value, allowed, $"Give {allowed}.");
        }
        return line.Put(this, value);
    }

    /// <summary>
    /// The assumptions of the book with those a shop has put otherwise, kept as "name=value"; what the book no longer has or allows is left out.
    /// </summary>
    public static Assumptions Of(IEnumerable<string> kept)
    {
        Assumptions all = Standard;
        foreach (string[] pair in kept.Select(k => k.Split('=')))
        {
            if (pair.Length == 2 && ByName.TryGetValue(pair[0], out Line? line)
                && double.TryParse(pair[1], NumberStyles.Float, CultureInfo.InvariantCulture, out double value) && Fits(line, value))
            {
                all = line.Put(all, value);
            }
        }
        return all;
    }

    /// <summary>What of these differs from the book, as "name=value".</summary>
    public List<string> Kept() =>
        [.. List().Zip(Book).Where(p => p.First.Value != p.Second.Value)
            .Select(p => string.Create(CultureInfo.InvariantCulture, $"{p.First.Name}={p.First.Value:R}"))];

    /// <summary>From and to which value an assumption may be put: a hundredth to a hundredfold of the book, and what is a share stays one.</summary>
    private static (double Least, double Most) Range(Line line)
    {
        double book = line.Read(Standard);
        (double least, double most) = line.Unit switch
        {
            "" when book < 1 => (book / 100, 0.99),
            "%" => (1, 99),
            "deg" => (Math.Max(Math.Min(1, book / 2), book / 10), Math.Min(89, book * 10)),
            Day => (0, 23),
            Times => (1, book * 100),
            _ => (book / 100, book * 100),
        };
        return line.Whole ? (Math.Ceiling(least), Math.Floor(most)) : (least, most);
    }

    private static bool Fits(Line line, double value)
    {
        (double least, double most) = Range(line);
        return value >= least && value <= most && (!line.Whole || value == Math.Round(value));
    }

    private static string Figure(double value) => value.ToString("#,0.######", CultureInfo.InvariantCulture);

    /// <summary>Sees that what begins and what ends stand the right way round.</summary>
    /// <exception cref="InputException">An "until" before its "from", or a greatest below its least.</exception>
    public Assumptions InOrder()
    {
        foreach ((Line from, Line until) in Pairs)
        {
            double low = from.Read(this), high = until.Read(this);
            if (low > high)
            {
                throw new InputException("wrong_way_round", until.Name, high, $"at least {Figure(low)}",
                    $"This is less than {Figure(low)}, {from.Reason}.");
            }
        }
        return this;
    }

    private static readonly (Line From, Line Until)[] Pairs =
    [
        .. from line in Lines
           from words in new[] { ("_low", "_high"), ("_from", "_until") }
           let until = line.Name.Replace(words.Item1, words.Item2, StringComparison.Ordinal)
           where until != line.Name && ByName.ContainsKey(until)
           select (line, ByName[until]),
    ];
}
