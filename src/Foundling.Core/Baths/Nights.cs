namespace Foundling.Core.Baths;

/// <summary>Night in a shop: when nobody is asked to look in.</summary>
/// <param name="Zone">Where the shop is.</param>
/// <param name="Assumptions">When night begins and ends.</param>
public sealed record Nights(TimeZoneInfo Zone, Assumptions Assumptions)
{
    /// <summary>True for a moment at night; the stroke of its first hour is still evening.</summary>
    public bool Has(DateTimeOffset at)
    {
        TimeSpan local = TimeZoneInfo.ConvertTime(at, Zone).TimeOfDay;
        return local > TimeSpan.FromHours(Assumptions.NightFromHour) || local < TimeSpan.FromHours(Assumptions.NightToHour);
    }

    /// <summary>
    /// When to look in next: after the interval, or, where that is at night, in the evening before; in the morning when that evening is past.
    /// </summary>
    /// <param name="last">When someone looked last, or it began.</param>
    /// <param name="minutes">The interval, min.</param>
    public DateTimeOffset LookIn(DateTimeOffset last, double minutes)
    {
        DateTimeOffset next = last.AddMinutes(minutes);
        return !Has(next) ? next : EveningBefore(next) is var evening && evening > last ? evening : MorningAfter(next);
    }

    /// <summary>The evening before a moment at night, when one may still look in.</summary>
    public DateTimeOffset EveningBefore(DateTimeOffset at)
    {
        DateTimeOffset local = TimeZoneInfo.ConvertTime(at, Zone);
        return Local((local.Hour < Assumptions.NightToHour ? local.Date.AddDays(-1) : local.Date).AddHours(Assumptions.NightFromHour));
    }

    /// <summary>The morning after a moment at night.</summary>
    public DateTimeOffset MorningAfter(DateTimeOffset at)
    {
        DateTimeOffset local = TimeZoneInfo.ConvertTime(at, Zone);
        return Local((local.Hour < Assumptions.NightToHour ? local.Date : local.Date.AddDays(1)).AddHours(Assumptions.NightToHour));
    }

    // The hour that a change of the clock leaves out is taken as the one after it.
    private DateTimeOffset Local(DateTime wall)
    {
        DateTime at = Zone.IsInvalidTime(wall) ? wall.AddHours(1) : wall;
        return new DateTimeOffset(at, Zone.GetUtcOffset(at)).ToUniversalTime();
    }
}
