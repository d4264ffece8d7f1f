using System.Net;
using System.Net.Sockets;
using System.Text;
using AngleSharp.Html.Dom;
using Foundling.Web.Services;
using Microsoft.Extensions.DependencyInjection;

namespace Foundling.Web.Tests;

/// <summary>The shop's air over an in-memory host: read by hand, and heard from a device that is lost once.</summary>
public sealed class AirPageTests : IAsyncLifetime
{
    private readonly DemoHost _host = new();

    /// <inheritdoc />
    public ValueTask InitializeAsync() => _host.InitializeAsync();

    /// <inheritdoc />
    public ValueTask DisposeAsync() => _host.DisposeAsync();

    [Fact]
    public async Task What_is_read_by_hand_holds_for_the_whole_shop()
    {
        Visitor visitor = _host.Visit();
        (await visitor.Submit(await visitor.Page("/air"), "form[action*='handler=Hand']", new() { ["temperature"] = "46 F", ["humidity"] = "72" }))
            .StatusCode.ShouldBe(HttpStatusCode.Found);
        IHtmlDocument page = await visitor.Page("/air");
        page.QuerySelector("header.top")!.TextContent.ShouldContain("8 °C");
        page.QuerySelector("svg.air circle").ShouldNotBeNull();
        page.Body!.TextContent.ShouldContain("Baths take 2.3 times as long as at 20 °C");
        page = await Visitor.Read(await visitor.Submit(page, "form[action*='handler=Hand']", new() { ["temperature"] = "boiling", ["humidity"] = "" }));
        page.QuerySelector(".notice.bad")!.TextContent.ShouldBe("\"boiling\" is not the air of a shop: -20 to 50 °C, and 0 to 100 % or nothing.");
        page = await Visitor.Read(await visitor.Submit(page, "form[action*='handler=Device']", new() { ["kind"] = "device", ["address"] = "/etc/passwd" }));
        page.QuerySelector(".notice.bad")!.TextContent.ShouldContain("is no device");
    }

    [Fact]
    public async Task What_is_typed_on_the_shop_page_is_a_reading_like_any_other()
    {
        Visitor visitor = _host.Visit();
        string ready = (await visitor.Page("/baths")).QuerySelector("#bath-1 .moments")!.TextContent;
        (await visitor.Submit(await visitor.Page("/shop"), "form[data-keep=shop]", new() { ["temperature"] = "26", ["humidity"] = "45" }))
            .StatusCode.ShouldBe(HttpStatusCode.Found);
        (await visitor.Page("/air")).QuerySelectorAll("details tr")[1].TextContent.ShouldContain("26 °C");
        (await visitor.Page("/baths")).QuerySelector("#bath-1 .moments")!.TextContent.ShouldNotBe(ready, "what stands is ready sooner");
    }

    [Fact]
    public async Task A_device_is_heard_lost_and_heard_again()
    {
        using var port = new TcpListener(IPAddress.Loopback, 0);
        port.Start();
        Visitor visitor = _host.Visit();
        (await visitor.Submit(await visitor.Page("/air"), "form[action*='handler=Device']",
            new() { ["kind"] = "device", ["address"] = $"127.0.0.1:{((IPEndPoint)port.LocalEndpoint).Port}" })).StatusCode.ShouldBe(HttpStatusCode.Found);
        ThermometerState state = _host.Services.GetRequiredService<ThermometerState>();
        using var patience = new CancellationTokenSource(TimeSpan.FromSeconds(30));
        using (TcpClient first = await port.AcceptTcpClientAsync(patience.Token))
        {
            await first.GetStream().WriteAsync(Encoding.ASCII.GetBytes("nonsense\nT=17.5 RH=58\n"));
            await Until(() => state.Heard is not null);
        }
        state.Heard!.TemperatureC.ShouldBe(17.5);
        state.Unread.ShouldBe(1);
        await Until(() => state.Fault is not null);
        (await visitor.Page("/air")).QuerySelector("form[action*='handler=Device'] .notice.bad")!.TextContent.ShouldContain("stopped speaking");
        Task<TcpClient> again = port.AcceptTcpClientAsync();
        await Until(() =>
        {
            _host.Time.Advance(TimeSpan.FromSeconds(31));
            return again.IsCompleted;
        });
        using TcpClient second = await again;
        await second.GetStream().WriteAsync(Encoding.ASCII.GetBytes("T=12\n"));
        await Until(() => state.Heard?.TemperatureC == 12);
        IHtmlDocument page = await visitor.Page("/air");
        page.QuerySelector("form[action*='handler=Device'] [role=status]")!.TextContent.ShouldContain("12 °C, heard");
        page.QuerySelector("svg.air path.warm")!.GetAttribute("d")!.ShouldContain("L");
    }

    private static async Task Until(Func<bool> so)
    {
        using var patience = new CancellationTokenSource(TimeSpan.FromSeconds(30));
        while (!so())
        {
            patience.Token.ThrowIfCancellationRequested();
            await Task.Yield();
        }
    }
}
