namespace Foundling.Core.State;

/// <summary>When a look at the condition was taken.</summary>
public enum Round
{
    /// <summary>As it came.</summary>
    AsFound,

    /// <summary>After washing.</summary>
    Washed,

    /// <summary>When it was apart.</summary>
    Apart,

    /// <summary>After the work.</summary>
    Finished,
}
