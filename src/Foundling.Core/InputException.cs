using System.Runtime.CompilerServices;
using System.Text.RegularExpressions;

namespace Foundling.Core;

/// <summary>
/// An input a computation cannot take. Names the quantity, the value and what is allowed, so that the
/// caller can put one clear sentence next to the field.
/// </summary>
public sealed partial class InputException : ArgumentException
{
    /// <summary>Creates the error.</summary>
    /// <param name="errorKey">Stable key of this kind of fault, for example <c>part_too_deep</c>.</param>
    /// <param name="field">Field name in snake case with its unit, for example <c>thickness_mm</c>.</param>
    /// <param name="value">The value that was given.</param>
    /// <param name="allowed">What is allowed, in words.</param>
    /// <param name="sentence">What is wrong and what to do, in the user's words.</param>
    public InputException(string errorKey, string field, object? value, string allowed, string sentence)
        : base(sentence)
    {
        ErrorKey = errorKey;
        Field = field;
        Value = value;
        Allowed = allowed;
        Sentence = sentence;
    }

    /// <summary>Stable key of this kind of fault.</summary>
    public string ErrorKey { get; }

    /// <summary>Field name in snake case with its unit.</summary>
    public string Field { get; }

    /// <summary>The value that was given.</summary>
    public object? Value { get; }

    /// <summary>What is allowed, in words.</summary>
    public string Allowed { get; }

    /// <summary>The sentence to show.</summary>
    public string Sentence { get; }

    /// <summary>Further figures that help to put it right, for example the deepest part that would fit.</summary>
    public Dictionary<string, object?> Details { get; } = [];

    /// <summary>Turns a C# expression such as <c>input.ThicknessMm</c> into its field name <c>thickness_mm</c>.</summary>
    internal static string FieldOf(string expression) =>
        Keys.SnakeCase.Of(expression[(expression.LastIndexOf('.') + 1)..].TrimEnd('!', '?'));

    /// <summary>A field name in words: <c>thickness_mm</c> reads "thickness".</summary>
    public static string InWords(string field) =>
        UnitSuffix().Replace(field, "").Replace('_', ' ');

    [GeneratedRegex("_(mm|mm2|mm3|deg|ml|l|g|c|n|a|min|percent|hours)$")]
    private static partial Regex UnitSuffix();
}

/// <summary>Range checks that all computations share.</summary>
public static class Check
{
    /// <summary>Requires a finite value above zero; answers the value.</summary>
    public static double Positive(double value, [CallerArgumentExpression(nameof(value))] string name = "") =>
        value > 0 && double.IsFinite(value) ? value : throw Bad(name, value, "more than 0");

    /// <summary>Requires a finite value of zero or more; answers the value.</summary>
    public static double NotNegative(double value, [CallerArgumentExpression(nameof(value))] string name = "") =>
        value >= 0 && double.IsFinite(value) ? value : throw Bad(name, value, "0 or more");

    /// <summary>Requires a finite value from <paramref name="low"/> to <paramref name="high"/>, both included.</summary>
    public static double Within(double value, double low, double high, [CallerArgumentExpression(nameof(value))] string name = "") =>
        value >= low && value <= high ? value : throw Bad(name, value, $"{low:0.####} to {high:0.####}");

    /// <summary>Requires a finite value strictly between the bounds.</summary>
    public static double Between(double value, double low, double high, [CallerArgumentExpression(nameof(value))] string name = "") =>
        value > low && value < high ? value : throw Bad(name, value, $"more than {low:0.####} and less than {high:0.####}");

    /// <summary>Requires a finite number.</summary>
    public static double Finite(double value, [CallerArgumentExpression(nameof(value))] string name = "") =>
        double.IsFinite(value) ? value : throw Bad(name, value, "a number");

    private static InputException Bad(string name, double value, string allowed)
    {
        string field = InputException.FieldOf(name);
        return new InputException("out_of_range", field, double.IsFinite(value) ? value : null, allowed,
            $"The {InputException.InWords(field)} is {value:0.####}; it must be {allowed}.");
    }
}
