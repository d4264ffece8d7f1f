using Foundling.Core;
using Foundling.Core.Shop;
using Foundling.Data.Devices;
using Foundling.Data.Shop;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages;

/// <summary>The shop's air: what the thermometer said, by hand or from a device, and what it does to the work.</summary>
public sealed class AirModel(AirBook air, ShopBook shop, ThermometerState state, Chrome chrome) : SentencePageModel
{
    private const int DaysShown = 7;

    /// <summary>The air that is reckoned with.</summary>
    public Climate Air { get; private set; } = new();

    /// <summary>Where the thermometer is heard; empty for read by hand.</summary>
    public string Thermometer { get; private set; } = "";

    /// <summary>How it stands with it.</summary>
    public ThermometerState State => state;

    /// <summary>The week.</summary>
    public AirChart Chart { get; private set; } = null!;

    /// <summary>What this air does to the work.</summary>
    public IReadOnlyList<string> Effects { get; private set; } = [];

    /// <inheritdoc />
    protected override async Task After()
    {
        ShopSettings settings = await shop.Read();
        (Air, Thermometer) = (new Climate(settings.TemperatureC, settings.HumidityPercent), settings.Thermometer);
        Chart = new AirChart(await air.Since(chrome.Now.AddDays(-DaysShown)), chrome.Now, DaysShown);
        Effects = Airs.Effects(Air, Assumptions.Of(settings.Assumed));
    }

    /// <summary>Shows it.</summary>
    public void OnGet()
    {
    }

    /// <summary>Keeps what somebody read.</summary>
    public async Task<IActionResult> OnPostHand(string? temperature, string? humidity)
    {
        await air.ByHand(AirReading.Typed(temperature, humidity));
        return LocalRedirect("/air");
    }

    /// <summary>Says which device is listened to.</summary>
    public async Task<IActionResult> OnPostDevice(string? kind, string? address)
    {
        string heard = LineSources.Checked(kind == "device" ? address : kind);
        if (kind == "device" && heard.Length == 0)
        {
            throw new InputException("required", "address", address, "an address", "Say where it is heard: tcp://host:port, or its path.");
        }
        ShopSettings settings = await shop.ForChange();
        settings.Thermometer = heard;
        await shop.Save(settings);
        // What is saved is seen by others only when this request is through.
        Response.OnCompleted(() =>
        {
            state.Change();
            return Task.CompletedTask;
        });
        return LocalRedirect("/air");
    }
}
