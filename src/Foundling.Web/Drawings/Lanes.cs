using Foundling.Core.Rod;
using Foundling.Core.Units;

namespace Foundling.Web.Drawings;

/// <summary>A lane: one side of the work, which waits beside the others.</summary>
/// <param name="Label">What it is.</param>
/// <param name="Y">Its middle.</param>
public sealed record Lane(string Label, double Y);

/// <summary>A length in a lane.</summary>
/// <param name="X">Where it begins.</param>
/// <param name="Width">How long it is.</param>
/// <param name="Y">Middle of its lane.</param>
/// <param name="Wait">It waits; else hands are on it.</param>
/// <param name="Longest">It lies on the longest way through.</param>
/// <param name="Label">What is written in it; empty where nothing fits.</param>
/// <param name="Title">What it is.</param>
/// <param name="Deed">The deed.</param>
public sealed record LaneLength(double X, double Width, double Y, bool Wait, bool Longest, string Label, string Title, DeedId Deed);

/// <summary>The rest of a plan laid out in time: what waits beside what, and which way through is the longest.</summary>
public sealed class LanesView
{
    private const double Left = 84, Top = 10, Row = 34, Foot = 26, Letter = 6.2, LeastWidth = 2, Apart = 84, MinutesAnHour = 60, MinutesADay = 24 * 60,
        HalfDay = 12 * 60;

    private static readonly double[] Ticks = [30, 60, 120, 240, 480, 720, 1440, 2880, 10080, 20160, 43200];

    private static readonly (string Label, Stage[] Stages)[] Sides =
    [
        ("metal", [Stage.AsFound, Stage.Apart, Stage.Wash, Stage.Derust, Stage.SmallParts, Stage.Bed, Stage.Mechanism, Stage.Edge]),
        ("coating", [Stage.Coating]), ("wood", [Stage.Wood]), ("whole tool", [Stage.Together, Stage.Sole, Stage.Tune, Stage.Finish]),
    ];

    /// <summary>Lays out deeds over a width.</summary>
    /// <param name="deeds">The deeds, in their order.</param>
    /// <param name="width">Width of the drawing.</param>
    public LanesView(IReadOnlyList<Deed> deeds, double width)
    {
        Width = width;
        IReadOnlyList<TimedDeed> laid = PlanTime.Lay(deeds);
        Elapsed = laid.Select(t => t.ReadyMin).DefaultIfEmpty(0).Max();
        Waits = laid.Any(t => t.ReadyMin - t.EndMin >= MinutesAnHour);
        Adds = PlanTime.WaitsAdd(deeds);
        double scale = Elapsed > 0 ? (width - Left - 8) / Elapsed : 0, y = Top + (Row / 2);
        foreach ((string label, Stage[] stages) in Sides)
        {
            List<TimedDeed> own = [.. laid.Where(t => stages.Contains(t.Deed.Stage) && !t.Deed.OnlyIfNeeded)];
            if (own.Count == 0)
            {
                continue;
            }
            Lanes.Add(new Lane(label, y));
            foreach (TimedDeed t in own)
            {
                double x = Left + (t.StartMin * scale), end = Left + (t.EndMin * scale);
                if (t.ReadyMin > t.EndMin)
                {
                    double long_ = (t.ReadyMin - t.EndMin) * scale;
                    string waits = $"{t.Deed.Title}: waits {Typed.Wait(t.ReadyMin - t.EndMin)}";
                    Lengths.Add(new LaneLength(end, long_, y, true, t.Longest, Fitting(long_, t.Deed.Title), waits, t.Deed.Id));
                }
                Lengths.Add(new LaneLength(x, Math.Max(LeastWidth, end - x), y, false, t.Longest, "", t.Deed.Title, t.Deed.Id));
            }
            y += Row;
        }
        Height = y - (Row / 2) + Foot;
        // Past a day the marks are days and half days.
        double step = Ticks.FirstOrDefault(m => m * scale >= Apart && (Elapsed < MinutesADay || m % HalfDay == 0), Ticks[^1]);
        for (double at = 0; scale > 0 && at <= Elapsed; at += step)
        {
            Axis.Add((Left + (at * scale), Said(at)));
        }
    }

    /// <summary>Width of the drawing.</summary>
    public double Width { get; }

    /// <summary>Height of the drawing.</summary>
    public double Height { get; }

    /// <summary>Minutes from the first to the end of the last wait.</summary>
    public double Elapsed { get; }

    /// <summary>Something waits long enough to be drawn.</summary>
    public bool Waits { get; }

    /// <summary>Waits make it longer than the hours at the bench.</summary>
    public bool Adds { get; }

    /// <summary>The lanes, from the top.</summary>
    public List<Lane> Lanes { get; } = [];

    /// <summary>What lies in them.</summary>
    public List<LaneLength> Lengths { get; } = [];

    /// <summary>Marks of time.</summary>
    public List<(double X, string Label)> Axis { get; } = [];

    /// <summary>How long it takes, in words.</summary>
    public static string Says =>
        "From the first step to the last, if it is taken up whenever something is ready. What is outlined dark is the longest way through.";

    private static string Said(double minutes) => minutes == 0 ? "start" : minutes < MinutesADay ? Typed.Hours(minutes)
        : minutes % MinutesADay == 0 ? minutes == MinutesADay ? "1 day" : $"{minutes / MinutesADay:0} days" : $"{minutes / MinutesADay:0.#} days";

    private static string Fitting(double width, string text)
    {
        int letters = (int)((width - 12) / Letter);
        return letters >= text.Length ? text : letters > 9 ? text[..(letters - 1)].TrimEnd() + "…" : "";
    }
}
