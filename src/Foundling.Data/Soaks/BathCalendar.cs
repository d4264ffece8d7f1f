using Foundling.Core.Soaks;
using Foundling.Core.Tags;
using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;

namespace Foundling.Data.Soaks;

/// <summary>What stands in baths as a calendar with alarms, so that a phone rings with the program closed.</summary>
public static class BathCalendar
{
    private const int RingsBeforeMin = 15, LastsMin = 10;

    /// <summary>Writes the moments of all that is in: looks, when it is ready, when it must be out.</summary>
    /// <param name="baths">The baths that stand.</param>
    /// <returns>An iCalendar file (RFC 5545), its moments in UTC.</returns>
    public static string Write(IEnumerable<BathHere> baths)
    {
        var calendar = new Calendar { ProductId = "-//Foundling//Baths//EN", Method = "PUBLISH" };
        foreach (BathHere bath in baths)
        {
            foreach ((LoadNow load, SoakTimes? times) in bath.Loads.Select(l => (l.Load, l.Times)).Where(l => l.Times is not null))
            {
                string what = string.Join("; ", load.Standing.GroupBy(p => p.Tag)
                    .Select(g => $"{Tag.LabelOf(g.Key)} {string.Join(", ", g.Select(p => p.Name))}"));
                for (int i = 0; i < times!.LookIns.Count; i++)
                {
                    Add(calendar, $"{load.Id:N}-{load.Round}-look-{i + 1}", times.LookIns[i], $"Look in: {bath.Bath.Name}", what, 0);
                }
                Add(calendar, $"{load.Id:N}-{load.Round}-ready", times.ReadyAt, $"Ready: {bath.Bath.Name}", what, 0);
                if (times.OutBy is DateTimeOffset by)
                {
                    Add(calendar, $"{load.Id:N}-{load.Round}-out", by, $"Must be out: {bath.Bath.Name}", $"{what}. {times.Why}", RingsBeforeMin);
                }
            }
        }
        return new CalendarSerializer().SerializeToString(calendar) ?? "";
    }

    private static void Add(Calendar calendar, string id, DateTimeOffset at, string title, string what, int before)
    {
        var moment = new CalDateTime(at.UtcDateTime, "UTC");
        var entry = new CalendarEvent
        {
            Uid = $"{id}@foundling", Summary = title, Description = what, Start = moment,
            Duration = Duration.FromMinutes(LastsMin),
        };
        entry.Alarms.Add(new Alarm { Action = AlarmAction.Display, Description = title, Trigger = new Trigger(Duration.FromMinutes(-before)) });
        calendar.Events.Add(entry);
    }
}
