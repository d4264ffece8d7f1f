namespace Foundling.Core.Keys;

/// <summary>In which case a step takes other minutes than usual.</summary>
public enum StepCase
{
    /// <summary>As it mostly is.</summary>
    Usual,

    /// <summary>More for each of several: a screw, a part, an iron, a foot of teeth.</summary>
    Each,

    /// <summary>Only until it works.</summary>
    Little,

    /// <summary>Where there is much to do.</summary>
    Much,

    /// <summary>By grinding back.</summary>
    Grind,

    /// <summary>With a shim.</summary>
    Shim,

    /// <summary>With the back lifted a hair.</summary>
    Lift,

    /// <summary>A blade that passes a hook.</summary>
    Blade,

    /// <summary>Such a blade with nicks in it.</summary>
    Nicks,

    /// <summary>On wood.</summary>
    Wood,
}

/// <summary>Says what a step takes by the book, from practice; all of it stands in the shop's list of assumptions.</summary>
/// <param name="what">What it is, after "to".</param>
/// <param name="low">Minutes if all goes well.</param>
/// <param name="likely">Minutes most often.</param>
/// <param name="high">Minutes if it fights back.</param>
/// <param name="case">In which case.</param>
[AttributeUsage(AttributeTargets.Field, AllowMultiple = true)]
public sealed class TakesAttribute(string what, double low, double likely, double high, StepCase @case = StepCase.Usual) : Attribute
{
    /// <summary>What it is, after "to".</summary>
    public string What { get; } = what;

    /// <summary>Minutes if all goes well.</summary>
    public double Low { get; } = low;

    /// <summary>Minutes most often.</summary>
    public double Likely { get; } = likely;

    /// <summary>Minutes if it fights back.</summary>
    public double High { get; } = high;

    /// <summary>In which case.</summary>
    public StepCase Case { get; } = @case;

    /// <summary>Metal it takes off, mm.</summary>
    public double MetalMm { get; init; }
}
