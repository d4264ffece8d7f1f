using Foundling.Web.Services;
using Microsoft.AspNetCore.Builder;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Logging;
using Microsoft.Extensions.Time.Testing;

namespace Foundling.Browser.Tests;

/// <summary>A shop in this process on a port of its own, with a clock that the test moves; the browser in front of it goes by the same clock.</summary>
public sealed class ClockedShop : IAsyncLifetime
{
    private readonly RunningShop _place = new(demo: false, start: false);

    private Data.Store.Opening? _opening;

    private WebApplication? _app;

    private string? _script;

    /// <summary>The clock. It begins this morning, so that the day is long enough for a soak.</summary>
    public FakeTimeProvider Time { get; } = new(new DateTimeOffset(DateTime.UtcNow.Date, TimeSpan.Zero).AddHours(8));

    public Browser Browser { get; } = new();

    public string Address => _place.Address;

    public async ValueTask InitializeAsync()
    {
        var options = new ShopOptions(_place.Folder, _place.Port);
        _opening = Data.Store.Opening.Of(new Data.Store.DataFolder(_place.Folder));
        _app = FoundlingApp.Build(options, builder =>
        {
            builder.Logging.ClearProviders();
            builder.Services.AddSingleton<TimeProvider>(Time);
        });
        await FoundlingApp.Prepare(_app, options);
        await _app.StartAsync();
        Advance(TimeSpan.Zero);
    }

    public async ValueTask DisposeAsync()
    {
        Browser.Dispose();
        await _app!.DisposeAsync();
        _opening!.Dispose();
        _place.Dispose();
    }

    /// <summary>Does something in the shop without a browser.</summary>
    public async Task Do(Func<IServiceProvider, Task> what)
    {
        await using AsyncServiceScope scope = _app!.Services.CreateAsyncScope();
        await what(scope.ServiceProvider);
    }

    /// <summary>Moves the clock of the shop, and of every page that is opened from now on.</summary>
    public void Advance(TimeSpan by)
    {
        Time.Advance(by);
        if (_script is not null)
        {
            Browser.Driver.ExecuteCdpCommand("Page.removeScriptToEvaluateOnNewDocument", new() { ["identifier"] = _script });
        }
        string ahead = (Time.GetUtcNow() - DateTimeOffset.UtcNow).TotalMilliseconds.ToString("0", System.Globalization.CultureInfo.InvariantCulture);
        var added = (Dictionary<string, object>)Browser.Driver.ExecuteCdpCommand("Page.addScriptToEvaluateOnNewDocument",
            new() { ["source"] = $"{{ const real = Date.now; Date.now = () => real() + {ahead}; }}" })!;
        _script = (string)added["identifier"];
    }
}
