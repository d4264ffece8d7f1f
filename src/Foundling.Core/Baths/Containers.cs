namespace Foundling.Core.Baths;

/// <summary>Containers every shop has or finds, to begin with; the shop's own stand beside them once a bath was mixed in one.</summary>
public static class Containers
{
    /// <summary>What they are called, and their insides.</summary>
    public static IReadOnlyList<(string Name, Container Inside)> Usual { get; } =
    [
        ("photo tray", Container.Box(400, 300, 90)), ("storage tub", Container.Box(560, 360, 180)), ("gutter with closed ends", Container.Box(1000, 120, 90)),
        ("bucket", Container.Upright(270, 260)), ("tall jar", Container.Upright(95, 210)),
    ];
}
