using Foundling.Core;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Services;

/// <summary>A bench that stands wholly in its address: what is typed is worked out field by field, and what cannot be is said at its field.</summary>
public abstract class BenchPageModel : PageModel
{
    /// <summary>What cannot be, by the field it is about.</summary>
    public Dictionary<string, string> Faults { get; } = [];

    /// <summary>The field on the page for the field an input calls so; the given one for any other.</summary>
    /// <param name="input">Name in snake case with its unit.</param>
    /// <param name="otherwise">The field the work is about.</param>
    protected virtual string FieldOf(string input, string otherwise) => otherwise;

    /// <summary>Works something out; a fault stands at its field, and the rest goes on.</summary>
    /// <param name="field">The field it is about where the fault names no other.</param>
    /// <param name="work">The work.</param>
    protected void Try(string field, Action work)
    {
        try
        {
            work();
        }
        catch (InputException fault)
        {
            Faults[FieldOf(fault.Field, field)] = fault.Sentence;
        }
    }

    /// <summary>Does something that is sent; what cannot be is said at its field, on the page as it is shown again.</summary>
    /// <param name="field">The field it is about where the fault names no other.</param>
    /// <param name="work">The work; where it leads.</param>
    /// <param name="shown">Shows the page.</param>
    protected async Task<IActionResult> Do(string field, Func<Task<IActionResult>> work, Func<Task<IActionResult>> shown)
    {
        try
        {
            return await work();
        }
        catch (InputException fault)
        {
            IActionResult page = await shown();
            Faults[FieldOf(fault.Field, field)] = fault.Sentence;
            return page;
        }
    }

    /// <summary>True for a field somebody filled.</summary>
    protected static bool Given(string? text) => !string.IsNullOrWhiteSpace(text);

    /// <summary>A line to type into, with its fault.</summary>
    /// <param name="name">Its name in the address.</param>
    /// <param name="label">What is typed.</param>
    /// <param name="value">What stands in it.</param>
    /// <param name="placeholder">What holds while it is empty.</param>
    /// <param name="hint">A word more.</param>
    /// <param name="number">Only figures go into it.</param>
    public BenchField Field(string name, string label, string? value, string? placeholder = null, string? hint = null, bool number = false) =>
        new(name, label, value, Faults.GetValueOrDefault(name), placeholder, hint, number);
}
