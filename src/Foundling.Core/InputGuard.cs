using System.Collections;
using System.Collections.Concurrent;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using Foundling.Core.Keys;

namespace Foundling.Core;

/// <summary>How much of something may come in at once.</summary>
/// <param name="Items">Most entries of one list.</param>
/// <param name="All">Most values in all.</param>
/// <param name="Letters">Most letters of one text.</param>
public sealed record InputLimits(int Items = 20_000, int All = 400_000, int Letters = 20_000);

/// <summary>
/// Judges a whole input before anything is reckoned from it: nothing missing in a list, no text or list without end, and no
/// number that no workshop ever saw. What a computation may take is narrower and is checked there.
/// </summary>
public static class InputGuard
{
    /// <summary>Least and most a number may be, by the unit its name ends in.</summary>
    private static readonly (string Suffix, double Least, double Most)[] Units =
    [
        ("Mm", -100_000, 100_000), ("Px", -1e6, 1e6), ("Mm2", 0, 1e10), ("Mm3", 0, 1e12), ("Deg", -360, 360), ("C", -60, 1500), ("Ml", 0, 1e8), ("GCm3", 0, 30),
        ("N", 0, 1e5), ("Hours", 0, 1e5), ("Minutes", 0, 1e7), ("Min", 0, 1e7), ("Percent", 0, 1e4), ("Year", -10_000, 10_000), ("Priority", 0, 1e6),
    ];

    private const double MostNumber = 1e12;

    private static readonly ConcurrentDictionary<Type, Member[]> Known = new();

    private sealed record Member(string Name, PropertyInfo Property);

    /// <summary>Checks an input; answers it.</summary>
    /// <exception cref="InputException">Something is missing in a list, too long, too many, or no sensible number.</exception>
    public static T Check<T>(T input, InputLimits? limits = null)
        where T : notnull
    {
        new Walk(limits ?? new InputLimits()).Visit(input, "");
        return input;
    }

    /// <summary>Checks that everything reckoned is a number; answers it.</summary>
    /// <exception cref="InputException">A sum that has no end, or none at all.</exception>
    public static T Reckoned<T>(T result)
        where T : notnull
    {
        new Walk(new InputLimits(int.MaxValue, int.MaxValue, int.MaxValue), finiteOnly: true).Visit(result, "");
        return result;
    }

    private static (double Least, double Most) RangeOf(string name)
    {
        foreach ((string suffix, double least, double most) in Units)
        {
            if (name.EndsWith(suffix, StringComparison.Ordinal))
            {
                return (least, most);
            }
        }
        return (-MostNumber, MostNumber);
    }

    private static Member[] MembersOf(Type type) => Known.GetOrAdd(type, static t =>
    [
        .. t.GetProperties(BindingFlags.Public | BindingFlags.Instance)
            .Where(p => p.CanRead && p.GetIndexParameters().Length == 0 && p.Name != "EqualityContract" && p.GetCustomAttribute<JsonIgnoreAttribute>() is null)
            .Select(p => new Member(p.Name, p)),
    ]);

    private sealed class Walk(InputLimits limits, bool finiteOnly = false)
    {
        private int _seen;

        public void Visit(object? value, string name)
        {
            if (++_seen > limits.All)
            {
                throw new InputException("too_much", "input", null, $"at most {limits.All:#,0} values",
                    $"That is too much at once; {limits.All:#,0} values are the most.");
            }
            switch (value)
            {
                case null or bool or Enum or Guid or DateTimeOffset or DateOnly or JsonElement:
                    break;
                case string text:
                    Text(text, name);
                    break;
                case Keys.IKey key:
                    Text(key.ToString(), name);
                    break;
                case double number:
                    Number(number, name);
                    break;
                case int or long or decimal:
                    Number(Convert.ToDouble(value, System.Globalization.CultureInfo.InvariantCulture), name);
                    break;
                case IDictionary map:
                    Many(map.Count, name);
                    foreach (DictionaryEntry entry in map)
                    {
                        Text(entry.Key.ToString() ?? "", name);
                        Visit(entry.Value ?? throw Missing(name), name);
                    }
                    break;
                case IEnumerable list:
                    List(list, name);
                    break;
                default:
                    foreach (Member member in MembersOf(value.GetType()))
                    {
                        Visit(member.Property.GetValue(value), member.Name);
                    }
                    break;
            }
        }

        private void List(IEnumerable list, string name)
        {
            // A list of years may leave an end open; a list of things may not leave out a thing.
            bool gaps = list.GetType().IsArray && Nullable.GetUnderlyingType(list.GetType().GetElementType()!) is not null;
            int count = 0;
            foreach (object? item in list)
            {
                Many(++count, name);
                if (item is null && !gaps)
                {
                    throw Missing(name);
                }
                Visit(item, name);
            }
        }

        private void Many(int count, string name)
        {
            if (count > limits.Items)
            {
                throw new InputException("too_many", Field(name), count, $"at most {limits.Items:#,0}",
                    $"There are too many {InputException.InWords(Field(name))}; {limits.Items:#,0} are the most.");
            }
        }

        private void Text(string text, string name)
        {
            if (text.Length > limits.Letters)
            {
                throw new InputException("too_long", Field(name), text.Length, $"at most {limits.Letters:#,0} letters",
                    $"The {InputException.InWords(Field(name))} is {text.Length:#,0} letters long; {limits.Letters:#,0} are the most.");
            }
        }

        private void Number(double number, string name)
        {
            (double least, double most) = finiteOnly ? (double.MinValue, double.MaxValue) : RangeOf(name);
            if (double.IsFinite(number) && number >= least && number <= most)
            {
                return;
            }
            throw finiteOnly
                ? new InputException("beyond_reckoning", "input", null, "figures of a workshop", "These figures lead to no number; look at them again.")
                : new InputException("out_of_range", Field(name), double.IsFinite(number) ? number : null, $"{least:0.####} to {most:0.####}",
                    $"The {InputException.InWords(Field(name))} is {number:0.####}; it must be {least:0.####} to {most:0.####}.");
        }

        private static InputException Missing(string name) =>
            new("required", Field(name), null, "no gaps in a list", $"Something is missing among the {InputException.InWords(Field(name))}: a list has a gap.");

        private static string Field(string name) => name.Length == 0 ? "input" : SnakeCase.Of(name);
    }
}
