using System.Net;
using System.Net.Sockets;
using System.Text;
using Foundling.Core;
using Foundling.Core.Shop;
using Foundling.Data.Devices;
using Foundling.Data.Shop;
using Foundling.Data.Store;

namespace Foundling.Data.Tests;

/// <summary>Readings of the thermometer are kept, the shop's air follows them, devices are heard.</summary>
public sealed class AirTests : IDisposable
{
    private readonly TestShop _shop = new();

    /// <inheritdoc />
    public void Dispose() => _shop.Dispose();

    private AirBook Air(FoundlingDb db) => new(db, _shop.Time, new ShopBook(db), _shop.Baths(db));

    [Fact]
    public async Task A_day_of_a_device_moves_the_air_and_every_reading_that_tells_is_kept()
    {
        await using FoundlingDb db = _shop.Open();
        await Air(db).ByHand(new AirReading(14, 60));
        (await new ShopBook(db).Read()).TemperatureC.ShouldBe(14);
        _shop.Time.Advance(TimeSpan.FromDays(2));
        int kept = 0;
        for (int i = 0; i < 24 * 6; i++)
        {
            _shop.Time.Advance(TimeSpan.FromMinutes(10));
            kept += await Air(db).Heard(new AirReading(18, 60)) ? 1 : 0;
        }
        kept.ShouldBeInRange(46, 49, "one in half an hour");
        (await new ShopBook(db).Read()).TemperatureC.ShouldBe(18);
        (await Air(db).Since(_shop.Time.GetUtcNow().AddDays(-7))).Count.ShouldBe(kept + 1);
        (await Air(db).Last())!.TemperatureC.ShouldBe(18);
    }

    [Theory]
    [InlineData("")]
    [InlineData("simulated")]
    [InlineData("tcp://bench:7000")]
    [InlineData("/dev/ttyUSB0")]
    [InlineData("COM3")]
    public void A_device_has_an_address(string address) => LineSources.Checked(address).ShouldBe(address);

    [Theory]
    [InlineData("/etc/passwd")]
    [InlineData("/dev/../etc/passwd")]
    [InlineData("/dev/pts/../../etc/passwd")]
    [InlineData("tcp://bench:70000")]
    [InlineData("http://bench/")]
    [InlineData("file:///dev/tty0")]
    public void What_is_no_device_is_refused(string address) =>
        Should.Throw<InputException>(() => LineSources.Checked(address)).ErrorKey.ShouldBe("no_device");

    [Fact]
    public async Task Lines_come_over_a_port_and_one_that_never_ends_is_let_go()
    {
        using var port = new TcpListener(IPAddress.Loopback, 0);
        port.Start();
        Task sending = Task.Run(async () =>
        {
            using TcpClient there = await port.AcceptTcpClientAsync();
            await there.GetStream().WriteAsync(Encoding.ASCII.GetBytes("# hello\r\nT=14.2\r\n" + new string('9', 5000) + "\nT=15 RH=60\ncut of"));
        });
        string at = $"tcp://127.0.0.1:{((IPEndPoint)port.LocalEndpoint).Port}";
        List<string> lines = [];
        await foreach (string line in LineSources.Open(at, () => throw new InvalidOperationException()).Lines())
        {
            lines.Add(line);
        }
        await sending;
        lines.ShouldBe(["# hello", "T=14.2", "T=15 RH=60"]);
    }

    [Fact]
    public async Task The_stand_in_speaks_as_a_real_one_does()
    {
        await using IAsyncEnumerator<string> lines = LineSources.Open(LineSources.Simulated, () => new SimulatedThermometer(_shop.Time)).Lines()
            .GetAsyncEnumerator();
        for (int i = 0; i < 5; i++)
        {
            // It waits for the next turn before the clock goes on.
            ValueTask<bool> next = lines.MoveNextAsync();
            _shop.Time.Advance(SimulatedThermometer.Every);
            (await next).ShouldBeTrue();
            AirReading.Read(lines.Current).ShouldNotBeNull(lines.Current);
        }
        double Warm(int hour) => AirReading.Read(SimulatedThermometer.At(new DateTimeOffset(2030, 5, 6, hour, 0, 0, TimeSpan.Zero)))!.TemperatureC;
        Warm(15).ShouldBeGreaterThan(Warm(3) + 4);
    }
}
