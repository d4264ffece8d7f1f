using System.Globalization;
using Foundling.Core;
using Foundling.Core.Soles;
using Foundling.Core.Units;
using Foundling.Data.Devices;
using Foundling.Data.Shop;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>What of the page listens to the indicator.</summary>
public sealed partial class SoleModel
{
    /// <summary>What the indicator says, a line for each of its lines, for as long as somebody listens.</summary>
    public async Task<IActionResult> OnGetLive(CancellationToken cancel)
    {
        if (Settings.Indicator.Length == 0)
        {
            return NotFound();
        }
        Lines lines = Lines.To(Response);
        var watch = new IndicatorWatch(new IndicatorSetup(Settings.IndicatorUnit, Settings.IndicatorTurned), Shop.Assumptions);
        try
        {
            ILineSource source = LineSources.Open(Settings.Indicator, () => new SimulatedIndicator(Grid, LengthMm, WidthMm, time));
            await foreach (string line in source.Lines(cancel))
            {
                IndicatorSaid said = watch.Hear(line);
                await lines.Say(new
                {
                    shown = said.Mm is double mm ? units.Show(mm) : null, steady = said.Steady is double z ? Height(z) : null, wild = said.Wild,
                }, cancel);
            }
            await lines.Say(new { over = "The instrument has said its last." }, cancel);
        }
        catch (InputException fault)
        {
            await lines.Say(new { over = fault.Sentence }, cancel);
        }
        catch (Exception fault) when (fault is IOException or System.Net.Sockets.SocketException or UnauthorizedAccessException)
        {
            await lines.Say(new { over = "The instrument cannot be heard. Is it on, and is its address right?" }, cancel);
        }
        return new EmptyResult();
    }

    // As it is typed into a field, with its unit, so that nothing is lost on the way back.
    private static string Height(double mm) => string.Create(CultureInfo.InvariantCulture, $"{mm:0.####} mm");

    /// <summary>Says where the indicator is heard, and how it is read.</summary>
    public async Task<IActionResult> OnPostIndicator(string? kind, string? address, BareUnit unit, bool turned)
    {
        try
        {
            string heard = kind == LineSources.Simulated ? kind : kind == "device" ? LineSources.Checked(address) : "";
            ShopSettings settings = await shop.ForChange();
            (settings.Indicator, settings.IndicatorUnit, settings.IndicatorTurned) = (heard, unit, turned);
            await shop.Save(settings);
            return LocalRedirect($"{Address}#grid");
        }
        catch (InputException fault)
        {
            return Refused("Indicator", fault.Sentence);
        }
    }
}
