using System.Data.Common;
using System.Net;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Foundling.Data.Store;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.TestHost;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Logging;
using Microsoft.Extensions.Time.Testing;

namespace Foundling.Web.Tests;

/// <summary>The whole application in memory, with a shop in a folder of its own.</summary>
public class TestHost : IAsyncLifetime
{
    private WebApplication? _app;
    private Opening? _opening;

    protected virtual bool Demo => true;

    protected virtual string? Passphrase => null;

    public ShopOptions Options => new(Folder, 5080, Demo, Passphrase);

    public IServiceProvider Services => _app!.Services;

    public string Folder { get; } = Directory.CreateTempSubdirectory("foundling-web-").FullName;

    /// <summary>Cookies carry real dates, so the clock starts now and then stands still.</summary>
    public FakeTimeProvider Time { get; } = new(DateTimeOffset.UtcNow);

    protected virtual void Adapt(WebApplicationBuilder builder)
    {
    }

    // A demo shop is filled once, and each host opens a copy.
    private static readonly Lazy<Task<string>> Filled = new(async () =>
    {
        string folder = Folders.UntilTheEnd("foundling-web-filled-");
        var options = new ShopOptions(folder, 5080, true, null);
        using Opening opening = Opening.Of(new DataFolder(folder));
        await using WebApplication app = FoundlingApp.Build(options, builder => builder.Logging.ClearProviders());
        await FoundlingApp.Prepare(app, options);
        return folder;
    });

    public async ValueTask InitializeAsync()
    {
        ShopOptions options = Options;
        if (Demo)
        {
            Folders.Copy(await Filled.Value, Folder);
        }
        _opening = Opening.Of(new DataFolder(Folder));
        _app = FoundlingApp.Build(options, builder =>
        {
            builder.WebHost.UseTestServer();
            builder.Logging.ClearProviders();
            builder.Services.AddSingleton<TimeProvider>(Time);
            Adapt(builder);
        });
        await FoundlingApp.Prepare(_app, options);
        await _app.StartAsync();
    }

    public async ValueTask DisposeAsync()
    {
        if (_app is not null)
        {
            await _app.DisposeAsync();
        }
        _opening?.Dispose();
        Directory.Delete(Folder, recursive: true);
        GC.SuppressFinalize(this);
    }

    /// <summary>A browser without a screen: keeps cookies, follows redirects only when asked.</summary>
    public Visitor Visit() => new(_app!.GetTestServer());
}

/// <summary>The demo shop.</summary>
public sealed class DemoHost : TestHost;

/// <summary>An empty shop.</summary>
public sealed class EmptyHost : TestHost
{
    protected override bool Demo => false;
}

/// <summary>A shop whose database can be made to find no room.</summary>
public sealed class FullHost : TestHost, IDisposable
{
    protected override bool Demo => false;

    public bool Full { get; set; }

    protected override void Adapt(WebApplicationBuilder builder) => builder.Services.ConfigureDbContext<FoundlingDb>(db => db.AddInterceptors(new Small(this)));

    public void Dispose() => DisposeAsync().AsTask().GetAwaiter().GetResult();

    private sealed class Small(FullHost host) : DbConnectionInterceptor
    {
        public override async Task ConnectionOpenedAsync(DbConnection connection, ConnectionEndEventData eventData,
            CancellationToken cancellationToken = default)
        {
            DbCommand command = connection.CreateCommand();
            await using (command)
            {
                // The engine then answers as it does when the disk has no room for another page.
                command.CommandText = host.Full ? "PRAGMA max_page_count=1" : "PRAGMA max_page_count=1000000";
                await command.ExecuteNonQueryAsync(cancellationToken);
            }
        }
    }
}

/// <summary>A shop behind a passphrase.</summary>
public sealed class GuardedHost : TestHost
{
    public const string Secret = "slack tide at noon";

    protected override string? Passphrase => Secret;
}

/// <summary>Someone using the shop.</summary>
public sealed partial class Visitor(TestServer server)
{
    private readonly CookieContainer _cookies = new();
    private readonly HttpClient _client = server.CreateClient();

    public async Task<HttpResponseMessage> Send(HttpRequestMessage request)
    {
        var uri = new Uri(_client.BaseAddress!, request.RequestUri!);
        if (_cookies.GetCookieHeader(uri) is { Length: > 0 } cookies)
        {
            request.Headers.Add("Cookie", cookies);
        }
        HttpResponseMessage answer = await _client.SendAsync(request);
        if (answer.Headers.TryGetValues("Set-Cookie", out IEnumerable<string>? set))
        {
            foreach (string cookie in set)
            {
                _cookies.SetCookies(uri, cookie);
            }
        }
        return answer;
    }

    /// <summary>What a cookie holds now.</summary>
    public string Cookie(string name) => _cookies.GetCookies(_client.BaseAddress!)[name]!.Value;

    /// <summary>Gives this visitor a cookie.</summary>
    public void SetCookie(string name, string value) => _cookies.Add(_client.BaseAddress!, new Cookie(name, value));

    public Task<HttpResponseMessage> Get(string path) => Send(new HttpRequestMessage(HttpMethod.Get, path));

    public async Task<IHtmlDocument> Page(string path)
    {
        HttpResponseMessage answer = await Get(path);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, path);
        return await Read(answer);
    }

    /// <summary>Fills a form of a page as a person would and sends it.</summary>
    public async Task<HttpResponseMessage> Submit(IHtmlDocument page, string formSelector, Dictionary<string, string> values, params (string Field,
        string Name, HttpContent Content)[] files)
    {
        var form = (IHtmlFormElement)(page.QuerySelector(formSelector) ?? throw new InvalidOperationException($"no form {formSelector}"));
        return await Submit(form, page, values, files);
    }

    public async Task<HttpResponseMessage> Submit(IHtmlFormElement form, IHtmlDocument page, Dictionary<string, string> values, params (string Field,
        string Name, HttpContent Content)[] files) => await Submit(form, [.. values], files);

    /// <summary>Sends a form in which fields of one name stand several times.</summary>
    public async Task<HttpResponseMessage> SubmitMany(IHtmlDocument page, string formSelector, IEnumerable<(string Name, string Value)> values) =>
        await Submit((IHtmlFormElement)(page.QuerySelector(formSelector) ?? throw new InvalidOperationException($"no form {formSelector}")),
            [.. values.Select(v => KeyValuePair.Create(v.Name, v.Value))]);

    private async Task<HttpResponseMessage> Submit(IHtmlFormElement form, List<KeyValuePair<string, string>> values, params (string Field,
        string Name, HttpContent Content)[] files)
    {
        var fields = new List<KeyValuePair<string, string>>();
        foreach (IHtmlInputElement input in form.QuerySelectorAll<IHtmlInputElement>("input[type=hidden], input[type=checkbox]").Where(i =>
            i.Name is { Length: > 0 } && values.TrueForAll(v => v.Key != i.Name) && (i.Type != "checkbox" || i.IsChecked)))
        {
            fields.Add(new(input.Name!, input.Value));
        }
        fields.AddRange(values);
        HttpContent content = files.Length == 0 ? new FormUrlEncodedContent(fields) : Multipart(fields, files);
        string action = form.GetAttribute("action") is { Length: > 0 } target ? target : throw new InvalidOperationException("a form without an address");
        return await Send(new HttpRequestMessage(HttpMethod.Post, action) { Content = content });
    }

    private static MultipartFormDataContent Multipart(List<KeyValuePair<string, string>> fields, (string Field, string Name, HttpContent Content)[] files)
    {
        var content = new MultipartFormDataContent();
        fields.ForEach(f => content.Add(new StringContent(f.Value), f.Key));
        foreach ((string field, string name, HttpContent file) in files)
        {
            content.Add(file, field, name);
        }
        return content;
    }

    /// <summary>The page of an answer. White space within its words is one blank, as it is seen; what is typed or drawn keeps its own.</summary>
    public static async Task<IHtmlDocument> Read(HttpResponseMessage answer)
    {
        IHtmlDocument page = new HtmlParser().ParseDocument(await answer.Content.ReadAsStringAsync());
        foreach (IText words in page.Descendants<IText>().Where(t => t.ParentElement?.LocalName is not ("textarea" or "pre" or "script" or "style")).ToList())
        {
            words.Data = Blanks().Replace(words.Data, " ");
        }
        return page;
    }

    [System.Text.RegularExpressions.GeneratedRegex(@"\s+")]
    private static partial System.Text.RegularExpressions.Regex Blanks();
}

/// <summary>Typed look-ups.</summary>
internal static class Dom
{
    public static T? QuerySelector<T>(this IParentNode node, string selector)
        where T : class, IElement => node.QuerySelector(selector) as T;

    public static IEnumerable<T> QuerySelectorAll<T>(this IParentNode node, string selector)
        where T : class, IElement => node.QuerySelectorAll(selector).OfType<T>();
}
