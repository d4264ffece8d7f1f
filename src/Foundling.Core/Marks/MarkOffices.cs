using System.Text.RegularExpressions;

namespace Foundling.Core.Marks;

/// <summary>Whose a number or a date is, from the words before it.</summary>
internal enum Office
{
    /// <summary>The words do not say.</summary>
    Any,

    /// <summary>A US patent, or one of a country not named.</summary>
    Patent,

    /// <summary>A US design patent.</summary>
    Design,

    /// <summary>A British registered design.</summary>
    Registered,

    /// <summary>A British patent.</summary>
    British,

    /// <summary>An office whose numbers no table here dates, or a reissue.</summary>
    Untold,
}

/// <summary>Tells from the words of a mark whose its numbers and dates are, one after another.</summary>
internal sealed partial class MarkOffices(MarkText text)
{
    private Office _before;
    private bool _list;

    /// <summary>True when a text speaks of a patent at all.</summary>
    public static bool SpeaksOfPatent(string words) => PatentWords().IsMatch(Deaf(words));

    /// <summary>Whose the number or date at a place is; a list of them goes on in the same office.</summary>
    public Office At(int at)
    {
        string words = text.WordsBefore(at);
        Office said = Of(Deaf(words));
        bool goesOn = said == Office.Any && _list && words.All(c => !char.IsLetter(c) || c is 'a' or 'n' or 'd');
        (_before, _list) = (goesOn ? _before : said, true);
        return _before;
    }

    /// <summary>The words without those that name an office but not a number: "Reg. U.S. Pat. Off.", "Regd. Trade Mark".</summary>
    private static string Deaf(string words) => NoNumber().Replace(words, " ");

    private static Office Of(string words) =>
        UntoldWords().IsMatch(words) ? Office.Untold
        : RegisteredWords().IsMatch(words) ? Office.Registered
        : BritishWords().IsMatch(words) ? Office.British
        : DesignWords().IsMatch(words) ? Office.Design
        : PatentWords().IsMatch(words) ? Office.Patent
        : Office.Any;

    [GeneratedRegex(@"\breg(?:istere|')?d?\.? ?(?:in )?(?:the )?u\.? ?s\.? ?pat\w*\.? ?off\w*"
        + @"|\br(?:e?g(?:istere)?)?'?d?\.? ?t(?:rade|\.)? ?-?m(?:ark|k)?\b|\btrade ?-?mark,? reg\w*")]
    private static partial Regex NoNumber();

    [GeneratedRegex(@"\bpat")]
    private static partial Regex PatentWords();

    [GeneratedRegex(@"\bdes(?:ign)?s?\b|(?<!['\w])d\.? ?$")]
    private static partial Regex DesignWords();

    [GeneratedRegex(@"\br(?:e?g)?'?d\b|\breg(?:istered)?\b")]
    private static partial Regex RegisteredWords();

    [GeneratedRegex(@"\b(?:british|brit|gb|g\.b\.|b\.) ?\.? ?pat")]
    private static partial Regex BritishWords();

    [GeneratedRegex(@"\bre-?iss|\bre\.? ?$|\bd\.? ?r\.? ?p|\bd\.? ?r\.? ?g\.? ?m|\bd\.? ?b\.? ?g?\.? ?[pm]\b|brevet"
        + @"|s\.? ?g\.? ?d\.? ?g|\bswiss|\+ ?pat|\bcanad|\bfrench|\bgerman|\bdin\b|\btel|\bphone|\bbox\b|\bcat(?:alog\w*)?\b|\bserial")]
    private static partial Regex UntoldWords();
}
