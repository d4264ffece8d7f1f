namespace Foundling.Core.Aim;

/// <summary>How far to go.</summary>
public enum AimKind
{
    /// <summary>Stabilise.</summary>
    Keep,

    /// <summary>Make it cut.</summary>
    Work,

    /// <summary>As it left the works.</summary>
    Show,

    /// <summary>Works, and is dressed to this shop's taste; the papers say so.</summary>
    Own,
}
