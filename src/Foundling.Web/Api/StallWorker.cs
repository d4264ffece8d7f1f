using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.RegularExpressions;
using Microsoft.Extensions.FileProviders;

namespace Foundling.Web.Api;

/// <summary>The script that keeps the stall check at hand without a connection, with the list of what it keeps.</summary>
internal static partial class StallWorker
{
    /// <summary>The module of the page every page loads, and the one the stall check names.</summary>
    private static readonly string[] Begin = ["main", "stall"];

    private static readonly string[] Others = ["/stall", "/stall?handler=Data", "/css/app.css", "/icon.svg", "/fonts/archivo.woff2", "/fonts/besley.woff2"];

    public static void Map(WebApplication app)
    {
        string script = Script(app.Environment.WebRootFileProvider);
        // The script itself holds nothing of the shop, and a browser fetches it anew without being signed in.
        app.MapGet("/stall-worker.js", () => Results.Text(script, "text/javascript", Encoding.UTF8)).AllowAnonymous().ExcludeFromDescription();
    }

    /// <summary>The script with everything filled in that the check needs: its scripts are found by what they take in.</summary>
    private static string Script(IFileProvider files)
    {
        var texts = new Dictionary<string, string>();
        var open = new Queue<string>(Begin);
        while (open.TryDequeue(out string? module))
        {
            if (texts.ContainsKey(module))
            {
                continue;
            }
            texts[module] = Read(files.GetFileInfo($"js/{module}.js").CreateReadStream());
            foreach (Match taken in Taken().Matches(texts[module]))
            {
                open.Enqueue(taken.Groups[1].Value);
            }
        }
        string[] kept = [.. Others, .. texts.Keys.Order(StringComparer.Ordinal).Select(m => $"/js/{m}.js")];
        string name = Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(string.Concat(texts.OrderBy(t => t.Key).Select(t => t.Value)))))[..12];
        return Read(typeof(StallWorker).Assembly.GetManifestResourceStream("stall-worker.js")!)
            .Replace("{name}", name, StringComparison.Ordinal).Replace("{kept}", JsonSerializer.Serialize(kept), StringComparison.Ordinal);
    }

    private static string Read(Stream stream)
    {
        using var reader = new StreamReader(stream);
        return reader.ReadToEnd();
    }

    [GeneratedRegex(@"from '\./(\w+)\.js'")]
    private static partial Regex Taken();
}
