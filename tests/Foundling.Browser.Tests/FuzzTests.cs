using System.Diagnostics;
using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Foundling.Core.Gauges;

namespace Foundling.Browser.Tests;

/// <summary>Long forms of slow tests are asked for by <c>./test --long</c>.</summary>
internal static class Effort
{
    public static bool Long { get; } = Environment.GetEnvironmentVariable("FOUNDLING_TEST_LONG") == "1";
}

/// <summary>
/// Sends hostile values through every form, every address with a query and every gauge of the running program. Whatever is
/// sent: no fault of the program, no answer that takes long, nothing given back unescaped, and every page stands afterwards.
/// </summary>
public sealed class FuzzTests : IDisposable
{
    private const int MostMegabytes = 600;
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(2);

    /// <summary>Marks that must never come back as they were sent.</summary>
    private static readonly string[] Marks = ["<script>alert(7)</script>", "\"><img src=x onerror=alert(7)>"];

    private static readonly string[] Hostile =
    [
        .. Marks, "", " ", "é😀\u202e", "a\0b", "'; DROP TABLE Tags; --", "../../etc/passwd", "1e308", "-1", "0", "NaN", "Infinity", "99999999999999999999999",
            "1/0", "2147483648", "-0.0000001", "1 2 3", "x,y x,y",
        "\r\nSet-Cookie: x=1", "%00%n%s", "null", "[]", "{}", "0001-01-01", "9999-12-31", "2026-02-30", Guid.Empty.ToString(), "true", "body", "Keep", "open",
            "1/16\"", "2 thou", "12:99", "=1+1", "a/b/c", "way=way",
        new string('9', 16_000) + "x", string.Concat(Enumerable.Repeat("0.03 ", 20_000)), new string('a', 100_000),
            string.Concat(Enumerable.Repeat("1,1 ", 3000)), new string('<', 5000), string.Concat(Enumerable.Repeat("x=1,", 2000)),
    ];

    private readonly RunningShop _shop = new();
    private readonly HttpClient _client;
    private readonly Random _random = new(Effort.Long ? Environment.TickCount : 20261126);
    private readonly List<string> _wrong = [];

    public FuzzTests() => _client = new HttpClient(new HttpClientHandler { AllowAutoRedirect = false,
        CookieContainer = new CookieContainer() }) { BaseAddress = new Uri(_shop.Address), Timeout = TimeSpan.FromSeconds(20) };

    public void Dispose()
    {
        _client.Dispose();
        _shop.Dispose();
    }

    private static int Rounds(int few) => Effort.Long ? few * 25 : few;

    private string Bad() => Hostile[_random.Next(Hostile.Length)];

    /// <summary>Sends a request made anew for each try, and judges the answer; a slow one is tried once more, since machines pause.</summary>
    private async Task<string> Send(Func<HttpRequestMessage> make, string what)
    {
        for (int turn = 0; ; turn++)
        {
            var watch = Stopwatch.StartNew();
            string text;
            HttpStatusCode status;
            try
            {
                using HttpResponseMessage answer = await _client.SendAsync(make());
                (status, text) = (answer.StatusCode, await answer.Content.ReadAsStringAsync());
            }
            catch (TaskCanceledException)
            {
                _wrong.Add($"no answer: {what}");
                return "";
            }
            if (watch.Elapsed > Longest && turn == 0)
            {
                continue;
            }
            if ((int)status >= 500)
            {
                _wrong.Add($"{(int)status}: {what}");
            }
            if (watch.Elapsed > Longest)
            {
                _wrong.Add($"{watch.Elapsed.TotalSeconds:0.0} s: {what}");
            }
            foreach (string mark in Marks.Where(m => text.Contains(m, StringComparison.Ordinal)))
            {
                _wrong.Add($"given back as {mark}: {what}");
            }
            return text;
        }
    }

    private async Task<IHtmlDocument> Page(string path) => new HtmlParser().ParseDocument(await Send(() => new HttpRequestMessage(HttpMethod.Get, path),
        path));

    private static readonly string[] Leaves = ["origin", "state", "aim", "rod", "log", "proof", "papers", "book", "sole", "ways", "needs", "rules",
        "condition"];

    private static IEnumerable<string> Starts() =>
    [
        "/", "/shelf", "/stall", "/new", "/gauges", "/air", "/stores", "/stores/shellac", "/stores/fine-stone", "/stores/list", "/stores/kit",
        "/stores/parts", "/patterns", "/patterns/trait/new", "/lots", "/baths",
        "/baths/1", "/baths/load", "/baths/times", "/baths/blasting", "/tag/31/sole/lap", "/tag/31/sole/marks",
            "/tag/31/sole?face=frog_face", "/tag/42/sole", "/grits", "/grits?tag=31", "/saws?tag=22", "/edges?tag=31", "/edges/mouth?tag=31",
              "/edges/stones?tag=31", "/edges/blade", "/edges/cutters", "/shop", "/identify", "/marks", "/clock", "/identify?length=245&iron=50",
        .. new[] { 31, 42, 28, 40 }.SelectMany(t => Leaves.Select(l => $"/tag/{t}/{l}")), "/tag/31/state?Part=body", "/tag/42/state?Part=blade",
            "/marks?mark=pat+apr+19+1910",
        .. GaugeCatalogue.All.Select(g => $"/gauges/{g.File}/{g.Calculation}"),
    ];

    /// <summary>Every page that the start pages and the pattern book lead to, once.</summary>
    private async Task<List<(string Path, IHtmlDocument Page)>> Crawl()
    {
        var pages = new List<(string, IHtmlDocument)>();
        foreach (string path in Starts())
        {
            pages.Add((path, await Page(path)));
        }
        string? line = pages.Select(p => p.Item2).SelectMany(p => p.QuerySelectorAll("a[href^='/patterns/']")).Select(a =>
            a.GetAttribute("href")).FirstOrDefault(h => !h!.Contains("trait") && !h.Contains('?'));
        pages.Add((line!, await Page(line!)));
        return pages;
    }

    private static string Shape(IHtmlFormElement form) => form.Method + Uri.UnescapeDataString(form.GetAttribute("action")
        ?? "").Split('?')[^1] + string.Join(',', Fields(form).Select(f => f.Name).Distinct());

    private static IEnumerable<(string Name, string Value, bool IsFile)> Fields(IElement form)
    {
        foreach (IElement field in form.QuerySelectorAll("input[name], textarea[name], select[name], button[name]"))
        {
            string name = field.GetAttribute("name")!;
            switch (field)
            {
                case IHtmlInputElement { Type: "file" }:
                    yield return (name, "", true);
                    break;
                case IHtmlInputElement { Type: "radio" or "checkbox" } choice when !choice.IsChecked:
                    break;
                case IHtmlInputElement input:
                    yield return (name, input.Value, false);
                    break;
                case IHtmlSelectElement select:
                    yield return (name, select.Value ?? "", false);
                    break;
                default:
                    yield return (name, field.GetAttribute("value") ?? field.TextContent, false);
                    break;
            }
        }
    }

    private byte[] BadFile() => _random.Next(4) switch
    {
        0 => [],
        1 => Encoding.UTF8.GetBytes(Bad()),
        2 => [0xFF, 0xD8, 0xFF, 0xE0, .. Enumerable.Range(0, 400).Select(_ => (byte)_random.Next(256))],
        _ => [0x50, 0x4B, 3, 4, .. Enumerable.Range(0, 400).Select(_ => (byte)_random.Next(256))],
    };

    private Func<HttpRequestMessage> Post(string from, IHtmlFormElement form)
    {
        List<(string Name, string Value, bool IsFile)> fields = [.. Fields(form)];
        List<int> spoiled = [.. Enumerable.Range(0, fields.Count).Where(i => fields[i].Name is not ("_once" or "__RequestVerificationToken")
            && _random.Next(3) == 0)];
        spoiled.ForEach(i => fields[i] = (fields[i].Name, Bad(), fields[i].IsFile));
        fields = [.. fields.Select(f => f.Name == "_once" ? (f.Name, Guid.NewGuid().ToString("N"), false) : f)];
        string action = form.GetAttribute("action") is { Length: > 0 } to ? to : from;
        bool files = fields.Any(f => f.IsFile);
        byte[] file = BadFile();
        return () =>
        {
            HttpContent content;
            if (files)
            {
                var parts = new MultipartFormDataContent();
                foreach ((string name, string value, bool isFile) in fields)
                {
                    if (isFile)
                    {
                        parts.Add(new ByteArrayContent(file), name, "a.jpg");
                    }
                    else
                    {
                        parts.Add(new StringContent(value), name);
                    }
                }
                content = parts;
            }
            else
            {
                content = new StringContent(string.Join('&', fields.Select(f => $"{WebUtility.UrlEncode(f.Name)}={WebUtility.UrlEncode(f.Value)}")),
                    new MediaTypeHeaderValue("application/x-www-form-urlencoded"));
            }
            return new HttpRequestMessage(HttpMethod.Post, action) { Content = content };
        };
    }

    [Fact]
    public async Task Whatever_is_sent_every_page_stands()
    {
        List<(string Path, IHtmlDocument Page)> pages = await Crawl();
        List<(string Path, IHtmlFormElement Form)> forms = [.. pages.SelectMany(p => p.Page.QuerySelectorAll("form").OfType<IHtmlFormElement>().Select(f =>
            (p.Path, f))).DistinctBy(f => f.Path.Split('?')[0].Split('/').Where(s => !s.All(char.IsDigit)).Aggregate("", string.Concat) + Shape(f.f))];
        forms.Count.ShouldBeGreaterThan(60);
        int sent = 0;
        foreach ((string path, IHtmlFormElement form) in forms)
        {
            for (int i = 0; i < Rounds(2); i++, sent++)
            {
                if (form.Method == "post")
                {
                    await Send(Post(path, form), $"POST {path} {form.GetAttribute("action")} {Shape(form)[..Math.Min(80, Shape(form).Length)]}");
                }
                else
                {
                    string query = string.Join('&', Fields(form).Select(f =>
                        $"{f.Name}={Uri.EscapeDataString(_random.Next(2) == 0 && Bad() is { Length: < 2000 } bad ? bad : f.Value)}"));
                    string to = (form.GetAttribute("action") is { Length: > 0 } action ? action.Split('#')[0].Split('?')[0] : path.Split('?')[0]) + "?"
                        + query;
                    await Send(() => new HttpRequestMessage(HttpMethod.Get, to), $"GET {to[..Math.Min(160, to.Length)]}");
                }
            }
        }
        foreach (string path in Starts().Where(p => !p.Contains('?')))
        {
            foreach (string parameter in new[] { "Part", "skip", "was", "show", "Near", "mark", "tag", "look", "Find", "Leaf", "handler", "id" }.OrderBy(_ =>
                _random.Next()).Take(Rounds(1)))
            {
                string to = $"{path}?{parameter}={Uri.EscapeDataString(Bad() is { Length: < 2000 } bad ? bad : "x")}";
                await Send(() => new HttpRequestMessage(HttpMethod.Get, to), $"GET {to[..Math.Min(160, to.Length)]}");
                sent++;
            }
        }
        _wrong.ShouldBeEmpty(string.Join('\n', _wrong.Take(30)));
        sent.ShouldBeGreaterThan(150);
        foreach ((string path, _) in pages)
        {
            string text = await Send(() => new HttpRequestMessage(HttpMethod.Get, path), $"afterwards {path}");
            if (text.Contains("cannot be shown", StringComparison.Ordinal) && text.Contains("data-fault", StringComparison.Ordinal))
            {
                _wrong.Add($"broken afterwards: {path}");
            }
        }
        _wrong.ShouldBeEmpty(string.Join('\n', _wrong.Take(30)));
        _shop.MostMegabytes.ShouldBeLessThan(MostMegabytes);
    }

    private static IEnumerable<(string Path, JsonObject Input)> GaugeInputs()
    {
        foreach (string file in Directory.GetFiles(Tree.Path("tests", "worked-examples"), "*.json").Order())
        {
            JsonNode root = JsonNode.Parse(File.ReadAllText(file))!;
            foreach (JsonNode? example in (root as JsonArray) ?? root["examples"]!.AsArray())
            {
                JsonObject input = example!["input"]!.DeepClone().AsObject();
                string calculation = input["calculation"]!.GetValue<string>();
                if (GaugeCatalogue.Find(Path.GetFileNameWithoutExtension(file), calculation) is { } gauge)
                {
                    yield return (gauge.Path, input);
                }
            }
        }
    }

    private JsonNode? BadNode() => _random.Next(14) switch
    {
        0 => null,
        1 => new JsonArray(),
        2 => new JsonObject(),
        3 => "x",
        4 => JsonNode.Parse("1e308"),
        5 => -1,
        6 => 0,
        7 => JsonNode.Parse("1e-300"),
        8 => new JsonArray([.. Enumerable.Range(0, 2000).Select(i => JsonValue.Create(i))]),
        9 => new JsonArray([null, null]),
        10 => true,
        11 => JsonNode.Parse("99999999999999999999"),
        12 => new string('y', 30_000),
        _ => 100_000,
    };

    private void Spoil(JsonNode node)
    {
        var places = new List<(JsonNode Parent, object Key)>();
        void Walk(JsonNode at)
        {
            if (at is JsonObject map)
            {
                foreach ((string key, JsonNode? child) in map.ToList())
                {
                    places.Add((map, key));
                    if (child is not null)
                    {
                        Walk(child);
                    }
                }
            }
            else if (at is JsonArray list)
            {
                for (int i = 0; i < Math.Min(list.Count, 20); i++)
                {
                    places.Add((list, i));
                    if (list[i] is { } child)
                    {
                        Walk(child);
                    }
                }
            }
        }
        Walk(node);
        (JsonNode parent, object key) = places[_random.Next(places.Count)];
        if (parent is JsonObject into)
        {
            into[(string)key] = BadNode();
        }
        else
        {
            parent.AsArray()[(int)key] = BadNode();
        }
    }

    [Fact]
    public async Task No_gauge_fails_or_takes_long()
    {
        int sent = 0;
        foreach ((string path, JsonObject input) in GaugeInputs().ToList())
        {
            for (int i = 0; i < Rounds(4); i++, sent++)
            {
                JsonObject spoiled = input.DeepClone().AsObject();
                for (int n = _random.Next(1, 3); n > 0; n--)
                {
                    Spoil(spoiled);
                }
                string body = spoiled.ToJsonString();
                string text = await Send(() => new HttpRequestMessage(HttpMethod.Post, path) { Content = new StringContent(body, Encoding.UTF8,
                    "application/json") }, $"POST {path} {body[..Math.Min(300, body.Length)]}");
                Should.NotThrow(() => JsonDocument.Parse(text), path);
            }
        }
        sent.ShouldBeGreaterThan(100);
        _wrong.ShouldBeEmpty(string.Join('\n', _wrong.Take(20)));
        _shop.MostMegabytes.ShouldBeLessThan(MostMegabytes);
    }
}
