using System.Globalization;
using Foundling.Data.Store;

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

    /// <summary>How the program is started.</summary>
    public const string Usage = "Start it with: [--data FOLDER] [--port N] [--host NAME] [--demo].";

    /// <summary>Names the shop answers to besides this machine's own; only with a passphrase.</summary>
    public IReadOnlyList<string> Hosts { get; init; } = [];

    /// <summary>
    /// Reads <c>--data FOLDER --port N --host NAME --demo</c> and the variables FOUNDLING_DATA, FOUNDLING_HOSTS and
    /// FOUNDLING_PASSPHRASE.
    /// </summary>
    /// <exception cref="CannotOpenException">An option that is not known or has no sense; the message says which.</exception>
    public static ShopOptions From(string[] args, Func<string, string?> variable)
    {
        string data = variable("FOUNDLING_DATA") is { Length: > 0 } set ? set
            : Path.Combine(Environment.GetFolderPath(Environment.SpecialFolder.LocalApplicationData, Environment.SpecialFolderOption.DoNotVerify), "foundling");
        int port = 5080;
        bool demo = false;
        List<string> hosts = [.. (variable("FOUNDLING_HOSTS") ?? "").Split([',', ' '], StringSplitOptions.RemoveEmptyEntries)];
        for (int i = 0; i < args.Length; i++)
        {
            string Value() => i + 1 < args.Length && args[i + 1] is { Length: > 0 } value && !value.StartsWith("--", StringComparison.Ordinal) ? args[++i]
                : throw new CannotOpenException($"{args[i]} needs a value after it. {Usage}");
            switch (args[i])
            {
                case "--data":
                    data = Value();
                    break;
                case "--port":
                    string text = Value();
                    port = int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out int n) && n is >= 1 and <= 65535 ? n
                        : throw new CannotOpenException($"\"{text}\" is no port: --port takes a number from 1 to 65535.");
                    break;
                case "--host":
                    hosts.Add(Value());
                    break;
                case "--demo":
                    demo = true;
                    break;
                default:
                    throw new CannotOpenException($"\"{args[i]}\" is no option of this program. {Usage}");
            }
        }
        string? passphrase = variable("FOUNDLING_PASSPHRASE") is { Length: > 0 } given ? given : null;
        if (passphrase is { Length: < LeastPassphrase })
        {
            throw new CannotOpenException($"FOUNDLING_PASSPHRASE is too short; use {LeastPassphrase} characters or more, or leave it out to keep the shop on "
                + "this machine.");
        }
        try
        {
            return new ShopOptions(Path.GetFullPath(data), port, demo, passphrase) { Hosts = hosts.Count > 0 ? hosts : Array.Empty<string>() };
        }
        catch (Exception fault) when (fault is ArgumentException or NotSupportedException or PathTooLongException)
        {
            throw new CannotOpenException($"\"{data}\" is no folder name. Choose another with --data FOLDER.", fault);
        }
    }
}
