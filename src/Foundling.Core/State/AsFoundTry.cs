namespace Foundling.Core.State;

/// <summary>What a tool did when it was tried as found.</summary>
public enum AsFoundTry
{
    /// <summary>It worked well.</summary>
    Well,

    /// <summary>It worked, badly.</summary>
    Badly,

    /// <summary>It did not work.</summary>
    NotAtAll,
}
