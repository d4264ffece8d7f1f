namespace Foundling.Core.Rod;

/// <summary>Stages of the work, in the order they usually come.</summary>
public enum Stage
{
    /// <summary>Pictures and trying as found.</summary>
    AsFound,

    /// <summary>Taking apart.</summary>
    Apart,

    /// <summary>Washing.</summary>
    Wash,

    /// <summary>Taking rust off.</summary>
    Derust,

    /// <summary>Screws, brass, small parts.</summary>
    SmallParts,

    /// <summary>Coating.</summary>
    Coating,

    /// <summary>Wood.</summary>
    Wood,

    /// <summary>Bed and frog.</summary>
    Bed,

    /// <summary>Gears, chucks, pivots and slides.</summary>
    Mechanism,

    /// <summary>Iron, cap iron and other edges.</summary>
    Edge,

    /// <summary>Putting together.</summary>
    Together,

    /// <summary>Sole.</summary>
    Sole,

    /// <summary>Last honing and setting.</summary>
    Tune,

    /// <summary>Oil, wax, proof and papers.</summary>
    Finish,
}
