using System.Text;
using Foundling.Data.Soaks;

namespace Foundling.Web.Api;

/// <summary>Serves what stands in baths as a calendar.</summary>
internal static class BathApi
{
    public static void Map(WebApplication app) =>
        app.MapGet("/baths/calendar.ics", async (BathBook baths, CancellationToken cancel) =>
            Results.File(Encoding.UTF8.GetBytes(BathCalendar.Write(await baths.Standing(cancel))), "text/calendar; charset=utf-8", "baths.ics"))
            .ExcludeFromDescription();
}
