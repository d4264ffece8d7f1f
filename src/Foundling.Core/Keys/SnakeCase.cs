using System.Text;
using System.Text.Json;

namespace Foundling.Core.Keys;

/// <summary>
/// Field names of the open formats: words and numbers parted by underscores, while a unit keeps its power
/// (<c>Interval90</c> is <c>interval_90</c>, <c>AreaMm2</c> is <c>area_mm2</c>).
/// </summary>
public sealed class SnakeCase : JsonNamingPolicy
{
    /// <inheritdoc />
    public override string ConvertName(string name) => Of(name);

    /// <summary>The field name for a C# name.</summary>
    public static string Of(string name)
    {
        var text = new StringBuilder(name.Length + 8);
        for (int i = 0; i < name.Length; i++)
        {
            char c = name[i];
            if (i > 0 && name[i - 1] != '_')
            {
                bool wordStarts = char.IsUpper(c)
                    && (!char.IsUpper(name[i - 1]) || (i + 1 < name.Length && char.IsLower(name[i + 1])));
                bool numberStarts = char.IsDigit(c) && char.IsLower(name[i - 1]) && !EndsWithLength(name, i);
                if (wordStarts || numberStarts)
                {
                    text.Append('_');
                }
            }
            text.Append(char.ToLowerInvariant(c));
        }
        return text.ToString();
    }

    private static bool EndsWithLength(string name, int end) =>
        end >= 2 && name[end - 1] == 'm' && char.ToLowerInvariant(name[end - 2]) is 'm' or 'c' or 'd';
}
