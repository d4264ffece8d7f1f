using System.Net;
using Foundling.Data.Store;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Logging;

namespace Foundling.Web.Tests;

public sealed class DoorTests(GuardedHost host) : IClassFixture<GuardedHost>
{
    [Theory]
    [InlineData("/")]
    [InlineData("/shelf")]
    [InlineData("/tag/31/papers?handler=Bundle")]
    [InlineData("/openapi/v1.json")]
    [InlineData("/pictures/thumb/0123456789abcdef0123456789abcdef.jpg")]
    public async Task Behind_a_passphrase_everything_asks_for_it(string path)
    {
        HttpResponseMessage answer = await host.Visit().Get(path);
        answer.StatusCode.ShouldBe(HttpStatusCode.Found);
        answer.Headers.Location!.AbsolutePath.ShouldBe("/signin");
    }

    [Fact]
    public async Task The_passphrase_opens_and_a_wrong_one_does_not()
    {
        Visitor visitor = host.Visit();
        HttpResponseMessage wrong = await visitor.Submit(await visitor.Page("/signin?to=%2Fshelf"), "form", new() { ["passphrase"] = "open sesame" });
        (await Visitor.Read(wrong)).QuerySelector(".fault")!.TextContent.ShouldContain("not the passphrase");
        (await visitor.Get("/shelf")).StatusCode.ShouldBe(HttpStatusCode.Found);

        HttpResponseMessage right = await visitor.Submit(await visitor.Page("/signin?to=%2Fshelf"), "form", new() { ["passphrase"] = GuardedHost.Secret });
        right.Headers.Location!.ToString().ShouldBe("/shelf");
        (await visitor.Page("/shelf")).QuerySelector("h1")!.TextContent.ShouldBe("Shelf");
        await visitor.Submit(await visitor.Page("/shop"), "form[action*='handler=Out']", []);
        (await visitor.Get("/shelf")).StatusCode.ShouldBe(HttpStatusCode.Found);
    }

    [Fact]
    public async Task Signing_in_leads_nowhere_else()
    {
        Visitor visitor = host.Visit();
        HttpResponseMessage answer = await visitor.Submit(await visitor.Page("/signin?to=https%3A%2F%2Felsewhere.example"), "form",
            new() { ["passphrase"] = GuardedHost.Secret });
        answer.Headers.Location!.ToString().ShouldBe("/");
    }

    [Fact]
    public void A_short_passphrase_is_refused_at_the_start() =>
        Should.Throw<CannotOpenException>(() => ShopOptions.From([], name => name == "FOUNDLING_PASSPHRASE" ? "short" : null))
            .Message.ShouldContain("too short");

    [Fact]
    public void Options_are_read_from_the_command_line()
    {
        ShopOptions options = ShopOptions.From(["--demo", "--port", "5099", "--data", "/tmp/x"], _ => null);
        options.ShouldBe(new ShopOptions("/tmp/x", 5099, true));
        ShopOptions.From([], name => name == "FOUNDLING_PASSPHRASE" ? "long enough words" : null).Passphrase.ShouldBe("long enough words");
    }

    [Theory]
    [InlineData(null, true)]
    [InlineData("long enough words", false)]
    public async Task Without_a_passphrase_only_this_machine_is_served(string? passphrase, bool loopbackOnly)
    {
        string folder = Directory.CreateTempSubdirectory("foundling-door-").FullName;
        using Opening opening = Opening.Of(new DataFolder(folder));
        await using WebApplication app = FoundlingApp.Build(new ShopOptions(folder, FreePort(), false, passphrase), b => b.Logging.ClearProviders());
        await app.StartAsync();
        string[] addresses = [.. app.Services.GetRequiredService<IServer>().Features.Get<IServerAddressesFeature>()!.Addresses];
        addresses.ShouldNotBeEmpty();
        addresses.All(a => new Uri(a.Replace("localhost", "127.0.0.1", StringComparison.Ordinal)).Host is "127.0.0.1" or "[::1]").ShouldBe(loopbackOnly);
        await app.StopAsync();
        Directory.Delete(folder, true);
    }

    private static int FreePort()
    {
        using var listener = new System.Net.Sockets.TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
