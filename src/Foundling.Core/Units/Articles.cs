namespace Foundling.Core.Units;

/// <summary>Puts the right little word before a noun.</summary>
public static class Articles
{
    /// <summary>"an axe", "a plane".</summary>
    public static string A(string noun) => $"{(noun.Length > 0 && "aeiouAEIOU".Contains(noun[0], StringComparison.Ordinal) ? "an" : "a")} {noun}";
}
