using System.Runtime.CompilerServices;
using System.Text.RegularExpressions;
using Foundling.Core.Origin;

namespace Foundling.Core.Marks;

/// <summary>
/// Reads what stands on a tool: patent and design numbers, also partly legible ones, dates, wording of origin, addresses,
/// makers' names, materials, threads and fasteners. Says what years each reading gives, why, and whether that is a rule or a
/// tendency. Several marks in one text give several readings. Source: the public tables in <see cref="MarkTables"/>.
/// </summary>
public sealed partial class MarkReader(MarkTables tables, Assumptions assumptions)
{
    private const int LongestMark = 200;

    /// <summary>What it assumes of patents.</summary>
    public Assumptions Assumed { get; } = assumptions;

    // Hundreds of forms take a second to make ready, and belong to the tables alone.
    private static readonly ConditionalWeakTable<MarkTables, MarkWordings> Ready = [];

    private readonly MarkWordings _wordings = Ready.GetValue(tables, t => new MarkWordings(t));

    /// <summary>All sensible readings of a text: what it most likely says first, the most telling before the others; unlikely ones last.</summary>
    /// <param name="text">What was read, as it stands there.</param>
    /// <param name="book">The pattern book, to know makers by name; null for none.</param>
    /// <exception cref="InputException">Nothing was written, or far too much.</exception>
    public IReadOnlyList<MarkReading> Read(string? text, PatternBook? book = null)
    {
        string what = (text ?? "").Trim();
        if (what.Length is 0 or > LongestMark)
        {
            throw new InputException("required", "mark", what.Length, "1 to 200 letters",
                what.Length == 0 ? "Write what you read on the tool, with a ? for each figure you cannot make out."
                    : "That is too long for a mark; write the words that matter.");
        }
        var mark = new MarkText(what);
        var readings = new List<MarkReading>();
        readings.AddRange(Founded(mark));
        readings.AddRange(MarkNumbers.Yearly(mark));
        readings.AddRange(Dates(mark));
        // Addresses and standards hold figures that are no patent: wordings take theirs before numbers are read. What only announces a number
        // ("Rd. No.") is a mark of its own where no number followed.
        List<MarkReading> worded = [.. _wordings.Written(mark, key => !NeedsNumber(key) && key != "patent_applied")];
        readings.AddRange(MarkNumbers.Read(mark, tables));
        readings.AddRange(worded);
        readings.AddRange(_wordings.Written(mark, key => NeedsNumber(key) && !readings.Any(r => r.Key.StartsWith("registered", StringComparison.Ordinal)
            || r.Key.StartsWith("british", StringComparison.Ordinal))));
        readings.AddRange(MarkNames.Read(mark, book));
        readings.AddRange(_wordings.Described(mark.Rest, readings.Count == 0));
        List<MarkReading> likely = [.. readings.Where(r => r.Likely)];
        return [.. likely.Count > 1 ? likely.OrderByDescending(Tells) : likely.AsEnumerable(), .. readings.Where(r => !r.Likely)];
    }

    /// <summary>Everything the tables hold on wording, materials and fasteners, for picking from.</summary>
    public IReadOnlyList<MarkReading> All() => [.. _wordings.All()];

    /// <summary>Reads the diamond-shaped registration mark from its corners.</summary>
    /// <inheritdoc cref="DiamondMark.Read"/>
    public IReadOnlyList<MarkReading> ReadDiamond(string? top, string? left, string? right, string? bottom) => DiamondMark.Read(tables, top, left, right,
        bottom);

    private static bool NeedsNumber(string key) => key is "gb_rd_no" or "gb_patent_six_digit";

    /// <summary>How much a reading says about years, in bits.</summary>
    private double Tells(MarkReading reading) =>
        -Dating.Report(new DatingInput([.. reading.Bounds.Select((b, i) => b.ToObservation($"b{i}", "body", Confidence.Sure))], new PatternBook([], []), []),
            assumptions: Assumed).EntropyBits;

    private static IEnumerable<MarkReading> Founded(MarkText mark)
    {
        foreach (Match m in FoundedText().Matches(mark.Plain))
        {
            mark.Take(m.Index, m.Length);
            string year = m.Groups["y"].Value;
            yield return new MarkReading($"founded{m.Index}", $"The house was founded in {year}", $"not before {year}",
                "A house names the year it began; the tool can be a hundred years younger.",
                [new MarkBound(MarkKind.Window, NotBefore: int.Parse(year, System.Globalization.CultureInfo.InvariantCulture))]) { Group = "companies" };
        }
    }

    private List<MarkReading> Dates(MarkText mark)
    {
        var found = new List<MarkReading>();
        List<(MarkDate Date, int At, int Length)> dates = [.. MarkDate.All(mark.Plain).Where(d => mark.IsFree(d.At, d.Length))];
        Match applied = AppliedText().Match(mark.Plain);
        bool granted = MarkOffices.SpeaksOfPatent(mark.Plain) && !applied.Success;
        if (applied.Success)
        {
            // The year of filing stands behind the words; a grant named before them is another patent.
            var filed = dates.Where(d => d.At > applied.Index).Take(1).ToList();
            mark.Take(applied.Index, applied.Length);
            found.Add(Applied(filed.Count == 0 ? null : filed[0].Date));
            dates.RemoveAll(filed.Contains);
            granted = MarkOffices.SpeaksOfPatent(mark.Rest);
            filed.ForEach(f => mark.TakeWhole(f.At, f.Length));
        }
        var offices = new MarkOffices(mark);
        foreach (var (date, at, length) in dates)
        {
            string before = mark.WordsBefore(at);
            if (date.Bare && NumberWord().IsMatch(before))
            {
                // "Pat. No. 1910" is a number.
                continue;
            }
            Office office = offices.At(at);
            MarkReading reading = office == Office.Registered || CopyrightText().IsMatch(before) || (date.Bare && !granted) ? Year(date)
                : office == Office.Design ? Dated(date) with
                {
                    Title = $"Design patent of {date.Shown}", Says = $"not before {date.Year}", Bounds = [new MarkBound(MarkKind.Window, NotBefore: date.Year)],
                    Why = "Design patents ran for at most 14 years; dies stayed in use longer.",
                }
                : Dated(date);
            mark.TakeWhole(at, length);
            found.Add(reading with { Key = reading.Key + (found.Any(f => f.Key == reading.Key) ? $"@{at}" : "") });
        }
        return found;
    }

    private static MarkReading Year(MarkDate date) =>
        new("year", date.Bare ? $"The year {date.Year}" : $"A date: {date.Shown}", $"not before {date.Year}",
            "A tool cannot bear a year before its time. It may be the year it was made, issued or registered.",
            [new MarkBound(MarkKind.Window, NotBefore: date.Year)], Doubt: date.Bare ? "Without a word beside it it may also be a number." : null);

    private MarkReading Dated(MarkDate date)
    {
        string? doubt = date.Impossible is int day ? $"There is no {day} {date.Shown.Split(' ')[0]}: look at the figures again."
            : date.Guessed ? $"The century is a guess: {date.Year + (date.Year < 1900 ? 100 : -100)} is the other way to read it."
            : date.Weekday is DayOfWeek weekday and not DayOfWeek.Tuesday && date.Year >= 1848
                ? $"US patents were issued on Tuesdays and this was a {weekday}: look at the figures again."
            : null;
        return new MarkReading("dated", $"Patent of {date.Shown}", $"not before {date.Year}; fades from {date.Year + Assumed.PatentTermYears + 1:0} on",
            $"A granted patent can be named from its issue on. After the term of {Assumed.PatentTermYears:0} years the habit of printing it dies away.",
                [new MarkBound(MarkKind.PatentGranted, IssueYear: date.Year)], Doubt: doubt);
    }

    private MarkReading Applied(MarkDate? date) => date is null
        ? _wordings.Entry("patent_applied")
        : new MarkReading("applied", $"Patent applied for, {date.Year}", $"{date.Year} to {date.Year + Assumed.PatentPendingYears}",
            $"Between filing and grant, which rarely took more than {Assumed.PatentPendingYears} years. If {date.Year} is the year of grant, add the patent "
                + "itself instead.",
            [new MarkBound(MarkKind.PatentApplied, FilingYear: date.Year)]);

    [GeneratedRegex(@"\bpat\w*'?\w?\.?'? ?(?:pend\w*|app?l(?:ie)?\.?'?d\b\.?(?: for)?|appl\b\.?|app?l?\.? for|app?'?d\.? for)|\bapplied for|\bpending\b")]
    private static partial Regex AppliedText();

    [GeneratedRegex(@"\b(?:est(?:ablished|abd|d|'d)?|since|founded)\.? (?:in )?(?<y>1[678]\d\d|19\d\d)\b")]
    private static partial Regex FoundedText();

    [GeneratedRegex(@"(?:\bnos?\.?|\bnumber|#) ?$")]
    private static partial Regex NumberWord();

    [GeneratedRegex(@"©|\(c\)|\bcopyright\b|\bcopr\b")]
    private static partial Regex CopyrightText();
}
