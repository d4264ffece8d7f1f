using System.Globalization;
using System.Text;
using Foundling.Core.Tools;
using Foundling.Web.Drawings;

namespace Foundling.Web.Api;

/// <summary>Small drawings as pictures of their own: a list of many tools then says each drawing's address, not its lines.</summary>
internal static class DrawingApi
{
    /// <summary>Width tools are drawn for, px; they scale.</summary>
    private const double Width = 104;

    private const double MostMm = 10_000;

    private const string ProfileRules = "profile.css", TokenRules = "token.css";

    private static readonly Dictionary<string, string> Rules = new[] { ProfileRules, TokenRules }.ToDictionary(n => n, name =>
    {
        using var reader = new StreamReader(typeof(DrawingApi).Assembly.GetManifestResourceStream(name)!);
        return reader.ReadToEnd();
    });

    /// <summary>Changes with the program, so that a kept picture is never older than the rules that draw it.</summary>
    private static readonly string Version = $"{typeof(DrawingApi).Module.ModuleVersionId:N}"[..8] + $"{typeof(Profile).Module.ModuleVersionId:N}"[..8];

    /// <summary>Where the drawing of a tool is to be had.</summary>
    public static string Address(Profile profile, IReadOnlySet<PartId> missing)
    {
        var at = new StringBuilder($"/drawings/{profile.Kind}.svg?v={Version}{ToolCatalogue.Kind(profile.Kind).File.Stamp}");
        if (profile.FittedTo is { } m)
        {
            (string Name, double? Value)[] measures =
                [("length", m.LengthMm), ("mouth", m.MouthMm), ("width", m.WidthMm), ("blade", m.BladeMm), ("points", m.PointsPerInch)];
            foreach ((string name, double? value) in measures.Where(v => v.Value is not null))
            {
                at.Append(CultureInfo.InvariantCulture, $"&{name}={value:R}");
            }
        }
        if (profile.Without.Count > 0)
        {
            at.Append($"&not={Joined(profile.Without.Select(p => p.Value))}");
        }
        if (profile.Tones.Count > 0)
        {
            at.Append($"&tone={Joined(profile.Tones.Select(t => $"{t.Key}.{t.Value}"))}");
        }
        return (missing.Count > 0 ? at.Append($"&gone={Joined(missing.Select(p => p.Value))}") : at).ToString();
    }

    private static string Joined(IEnumerable<string> words) => string.Join('+', words.Order(StringComparer.Ordinal));

    private static string[] Apart(string? words) => (words ?? "").Split([' ', '+'], StringSplitOptions.RemoveEmptyEntries);

    /// <summary>Where a token is to be had.</summary>
    public static string Token(int number) => $"/drawings/tokens/{number}.svg?v={Version}";

    public static void Map(WebApplication app)
    {
        app.MapGet("/drawings/tokens/{number:int:min(1)}.svg", (int number, HttpContext context) =>
            Picture(context, "token", "-20 -20 40 40", TokenRules, new TokenView(number).Shapes())).ExcludeFromDescription();
        app.MapGet("/drawings/{kind}.svg", (string kind, double? length, double? mouth, double? width, double? blade, double? points, string? gone,
            string? not, string? tone, HttpContext context) =>
        {
            double?[] measures = [length, mouth, width, blade, points];
            if (!ToolCatalogue.Knows(KindId.Of(kind)) || measures.Any(m => m is not null and not (> 0 and < MostMm)))
            {
                return Results.NotFound();
            }
            ToolKind tool = ToolCatalogue.Kind(KindId.Of(kind));
            PartId[] Known(string? words) => [.. Apart(words).Select(PartId.Of).Where(p => tool.Part(p) is not null)];
            PartId[] missing = Known(gone);
            var tones = Apart(tone).Select(t => t.Split('.')).Where(t => t.Length == 2 && tool.Part(PartId.Of(t[0])) is not null && Tones.IsTone(t[1]))
                .GroupBy(t => PartId.Of(t[0])).ToDictionary(t => t.Key, t => t.First()[1]);
            Profile profile = length is double fit ? Profile.Fitted(tool.Id, new FitMeasures(fit, mouth, width, blade, points)) : Profile.Of(tool.Id);
            profile = profile.Toned(Known(not), tones);
            return Picture(context, "prof", string.Create(CultureInfo.InvariantCulture, $"0 0 {profile.Width:0.##} {profile.Height:0.##}"), ProfileRules,
                Lines(new ProfileView(profile, Width, tool.Name) { Missing = missing.ToHashSet() }));
        }).ExcludeFromDescription();
    }

    private static IResult Picture(HttpContext context, string css, string box, string rules, string shapes)
    {
        context.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
        return Results.Text($"<svg xmlns=\"http://www.w3.org/2000/svg\" class=\"{css}\" viewBox=\"{box}\"><style>{Rules[rules]}</style>{shapes}</svg>",
            "image/svg+xml");
    }

    private static string Lines(ProfileView view) =>
        string.Concat(view.Profile.Parts.Select(p => $"<g class=\"{view.Css(p.Part)}\">{view.Paths(p)}</g>"));
}
