using Microsoft.AspNetCore.Mvc.ModelBinding;

namespace Foundling.Web.Services;

/// <summary>
/// Joins what two people change in one form. The form carries what it showed; a field that was not touched keeps what stands
/// now, and only where both changed the same field the second is told what the other wrote, and chooses.
/// </summary>
/// <param name="form">The form as it was sent.</param>
/// <param name="state">Where a clash is noted.</param>
public sealed class FormMerge(IFormCollection form, ModelStateDictionary state)
{
    /// <summary>Key under which clashes are noted.</summary>
    public const string Key = "was";

    private const string Prefix = Key + ".";
    private const int MostShown = 120;

    private readonly bool _told = form.Keys.Any(k => k.StartsWith(Prefix, StringComparison.Ordinal));

    /// <summary>True when two people changed the same field.</summary>
    public bool Clashed { get; private set; }

    /// <summary>True when what was sent for a field should be written; false when what stands now stays.</summary>
    /// <param name="field">Name of the field.</param>
    /// <param name="what">What the field is, in words, for the start of a sentence.</param>
    /// <param name="sent">What was sent, as the field writes it.</param>
    /// <param name="now">What stands now, as the field writes it.</param>
    /// <param name="shown">What stands now in words, where the field writes it otherwise.</param>
    public bool Mine(string field, string what, string? sent, string? now, string? shown = null)
    {
        string mine = Plain(sent), stands = Plain(now);
        if (!_told)
        {
            return true;
        }
        string was = Plain(form[Prefix + field].ToString());
        if (mine == was || mine == stands)
        {
            return false;
        }
        if (stands == was)
        {
            return true;
        }
        Clashed = true;
        string words = Core.Units.Shorten.To(shown ?? stands, MostShown);
        state.AddModelError(Key, words.Length == 0
            ? $"{what}: someone else took it out a moment ago. Yours is still here; send it again to put it back."
            : $"{what}: someone else wrote \"{words}\" a moment ago. Yours is still here; send it again to put it in its place.");
        return false;
    }

    private static string Plain(string? text) => (text ?? "").ReplaceLineEndings("\n").Trim();
}
