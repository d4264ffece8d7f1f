using Foundling.Core.Origin;

namespace Foundling.Core.Tests.Origin;

/// <summary>
/// Random tools drawn from the model: how often is the true year inside the reported span, and how often is a planted
/// part found and an innocent one blamed.
/// </summary>
public sealed class RecoveryTests
{
    private const string Line = "pellow_tarn_bench";

    private static readonly PatternBook Book = DatingTests.Book;

    private static readonly PatternLine Made = Book.LineOf(Line);

    /// <summary>A variant in use in a year, in proportion to its share.</summary>
    private static string? Draw(string trait, int year, Random random)
    {
        List<(string Variant, double Share)> used = [.. Made.Variants[trait].Select(v => (v.Key, Trapezoid.From(v.Value, trait).At(year))).Where(v => v.Item2 > 0)];
        double at = random.NextDouble() * used.Sum(u => u.Share);
        foreach ((string variant, double share) in used)
        {
            at -= share;
            if (at <= 0)
            {
                return variant;
            }
        }
        return used.Count > 0 ? used[^1].Variant : null;
    }

    /// <summary>The year a part of a tool was made in: small parts lay in stock up to three years.</summary>
    private static int PartYear(int year, string part, Random random)
    {
        if (PartRules.IsCore(part))
        {
            return year;
        }
        double at = random.NextDouble() * (1 + 0.5 + 0.25 + 0.125), weight = 1;
        int lag = 0;
        while (lag < 3 && at > weight)
        {
            at -= weight;
            weight /= 2;
            lag++;
        }
        return Math.Max(Made.FirstYear, year - lag);
    }

    private static List<Observation> Looks(IEnumerable<string> traits, Func<string, int> yearOf, Random random, double misread)
    {
        var partYears = new Dictionary<string, int>();
        var looks = new List<Observation>();
        foreach (string id in traits)
        {
            Trait trait = Book.TraitOf(id);
            if (!partYears.TryGetValue(trait.Part, out int made))
            {
                partYears[trait.Part] = made = PartYear(yearOf(trait.Part), trait.Part, random);
            }
            string? seen = Draw(id, made, random);
            if (random.NextDouble() < misread)
            {
                seen = trait.Variants[random.Next(trait.Variants.Count)];
            }
            if (seen is not null)
            {
                looks.Add(new Observation("o" + looks.Count, Confidence.Sure, id, seen));
            }
        }
        return looks;
    }

    private static DatingReport Date(List<Observation> looks) => Dating.Report(new DatingInput(looks, Book, [Line]));

    private static string[] Pick(Random random, int count)
    {
        string[] traits = [.. Made.Variants.Keys];
        random.Shuffle(traits);
        return traits[..count];
    }

    /// <summary>Year of a part that may have been swapped for one of any year, as the model has it.</summary>
    private static Func<string, int> Swapping(int year, Random random)
    {
        var years = new Dictionary<string, int>();
        return part =>
        {
            if (!years.TryGetValue(part, out int of))
            {
                bool swapped = random.NextDouble() < PartRules.SwapPrior(part, null, Assumptions.Standard);
                years[part] = of = swapped ? random.Next(Made.FirstYear, Made.LastYear + 1) : year;
            }
            return of;
        };
    }

    [Fact]
    public void The_true_year_lies_in_the_span_about_nine_times_in_ten()
    {
        var random = new Random(11);
        int inside = 0;
        const int Tools = 1000;
        for (int i = 0; i < Tools; i++)
        {
            int year = random.Next(Made.FirstYear, Made.LastYear + 1);
            DatingReport report = Date(Looks(Pick(random, 9), Swapping(year, random), random, 0.01));
            inside += year >= report.Interval90[0] && year <= report.Interval90[1] ? 1 : 0;
        }
        (inside / (double)Tools).ShouldBeInRange(0.86, 0.97);
    }

    [Fact]
    public void A_part_from_another_time_is_found_and_innocent_parts_are_not_blamed()
    {
        var random = new Random(12);
        int found = 0, blamed = 0, tools = 0;
        while (tools < 500)
        {
            int year = random.Next(Made.FirstYear, Made.LastYear + 1), other = random.Next(Made.FirstYear, Made.LastYear + 1);
            string[] traits = Pick(random, 9);
            string planted = Book.TraitOf(traits[random.Next(9)]).Part;
            if (Math.Abs(year - other) < 20 || PartRules.IsCore(planted))
            {
                continue;
            }
            List<Observation> looks = Looks(traits, part => part == planted ? other : year, random, 0);
            // At least one look at the planted part is impossible in the tool's own year.
            bool impossible = looks.Any(o => Book.TraitOf(o.Trait!).Part == planted
                && Enumerable.Range(0, 4).All(k => Trapezoid.From(Made.Variants[o.Trait!][o.Variant!], "").At(Math.Max(Made.FirstYear, year - k)) <= 0));
            if (!impossible)
            {
                continue;
            }
            tools++;
            DatingReport report = Date(looks);
            found += report.PartLabel.TryGetValue(planted, out string? label) && label == "odd" ? 1 : 0;
            blamed += report.PartLabel.Any(p => p.Key != planted && p.Value == "odd") ? 1 : 0;
        }
        (found / 500.0).ShouldBeGreaterThanOrEqualTo(0.85);
        (blamed / 500.0).ShouldBeLessThanOrEqualTo(0.06);
    }

    [Fact]
    public void Following_the_advice_takes_fewer_looks_than_any_fixed_order_tried()
    {
        var random = new Random(13);
        string[][] orders = [[.. Made.Variants.Keys], [.. Made.Variants.Keys.Reverse()], [.. Made.Variants.Keys.OrderBy(t => Book.TraitOf(t).Effort)], Pick(random, Made.Variants.Count), Pick(random, Made.Variants.Count)];
        double advised = 0;
        double[] fixedOrders = new double[orders.Length];
        const int Tools = 60;
        for (int i = 0; i < Tools; i++)
        {
            int year = random.Next(1880, 1960);
            Dictionary<string, Observation> all = Looks(Made.Variants.Keys, _ => year, random, 0).ToDictionary(o => o.Trait!);
            advised += Needed(all, seen => Dating.Report(new DatingInput(seen, Book, [Line]), lookNext: 30).LookNext!.OrderByDescending(l => l.Bits).Select(l => l.Trait));
            for (int k = 0; k < orders.Length; k++)
            {
                fixedOrders[k] += Needed(all, _ => orders[k]);
            }
        }
        advised.ShouldBeLessThan(fixedOrders.Min());
    }

    private static int Needed(Dictionary<string, Observation> all, Func<List<Observation>, IEnumerable<string>> next)
    {
        var seen = new List<Observation>();
        while (seen.Count < all.Count)
        {
            DatingReport report = Dating.Report(new DatingInput(seen, Book, [Line]));
            if (report.Interval90[1] - report.Interval90[0] + 1 <= 10)
            {
                break;
            }
            string? trait = next(seen).FirstOrDefault(t => all.ContainsKey(t) && seen.All(o => o.Trait != t));
            if (trait is null)
            {
                return all.Count;
            }
            seen.Add(all[trait]);
        }
        return seen.Count;
    }
}
