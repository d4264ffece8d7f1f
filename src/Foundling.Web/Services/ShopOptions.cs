using System.Globalization;

namespace Foundling.Web.Services;

/// <summary>How the program was started.</summary>
/// <param name="DataPath">Folder with everything the shop owns.</param>
/// <param name="Port">Port to listen on.</param>
/// <param name="Demo">Fill an empty shop with the demo world.</param>
/// <param name="Passphrase">Passphrase that opens the shop to other machines; null keeps it on this one.</param>
public sealed record ShopOptions(string DataPath, int Port = 5080, bool Demo = false, string? Passphrase = null)
{
    /// <summary>Shortest passphrase taken.</summary>
    public const int LeastPassphrase = 10;

    /// <summary>Reads <c>--data FOLDER --port N --demo</c> and the variables FOUNDLING_DATA and FOUNDLING_PASSPHRASE.</summary>
    public static ShopOptions From(string[] args, Func<string, string?> variable)
    {
        string? After(string name) => Array.IndexOf(args, name) is int i and >= 0 && i + 1 < args.Length ? args[i + 1] : null;
        string data = After("--data") ?? variable("FOUNDLING_DATA")
            ?? Path.Combine(Environment.GetFolderPath(Environment.SpecialFolder.LocalApplicationData, Environment.SpecialFolderOption.DoNotVerify), "foundling");
        int port = After("--port") is string text && int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out int n) ? n : 5080;
        string? passphrase = variable("FOUNDLING_PASSPHRASE");
        return passphrase is { Length: > 0 and < LeastPassphrase }
            ? throw new ArgumentException($"FOUNDLING_PASSPHRASE is too short; use {LeastPassphrase} characters or more, or leave it out to keep the shop on this machine.")
            : new ShopOptions(Path.GetFullPath(data), port, args.Contains("--demo"), string.IsNullOrEmpty(passphrase) ? null : passphrase);
    }
}
