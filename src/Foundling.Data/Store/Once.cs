namespace Foundling.Data.Store;

/// <summary>A form that was taken: its key and where it led.</summary>
public sealed class TakenForm
{
    /// <summary>Key the form carried.</summary>
    public string Key { get; set; } = "";

    /// <summary>Where the browser was sent.</summary>
    public string LedTo { get; set; } = "";

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }
}
