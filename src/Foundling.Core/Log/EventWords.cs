

namespace Foundling.Core.Log;

/// <summary>Events as the log tells them.</summary>
public static class EventWords
{
    /// <summary>What happened, in a word or two.</summary>
    public static string Caption(EventKind kind) => kind switch
    {
        EventKind.Started => "started",
        EventKind.Stopped => "worked",
        EventKind.Note => "note",
        EventKind.Corrected => "time",
        EventKind.Done => "finished",
        EventKind.LeftOut => "left out",
        EventKind.Reopened => "taken up again",
        EventKind.Agreed => "agreed",
        EventKind.Arrived => "has come",
        EventKind.WaitBegun => "stands",
        EventKind.LookedIn => "looked in",
        EventKind.WaitEnded => "wait ended",
        EventKind.UsedUp => "used",
        EventKind.Measured => "measured",
        EventKind.Overruled => "out of turn",
        EventKind.PapersNote => "for papers",
        EventKind.WentWithout => "without",
        _ => "spent",
    };

    /// <summary>The event in words.</summary>
    /// <param name="happened">The event.</param>
    /// <param name="title">Title of its step; empty for none.</param>
    public static string Text(BenchEvent happened, string title) => happened.Kind switch
    {
        _ when title.Length == 0 => happened.Text,
        EventKind.Corrected => $"{happened.Text}: {title}",
        EventKind.WentWithout => $"{title}: without {Stores.Supplies.Find(happened.Supply ?? default)?.Name ?? "something"}, {happened.Text}",
        EventKind.LeftOut or EventKind.Agreed or EventKind.Overruled => $"{title}: {happened.Text}",
        _ => happened.Text,
    };
}
