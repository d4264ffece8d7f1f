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

    /// <summary>By measuring.</summary>
    Measured,

    /// <summary>With a coarse medium.</summary>
    Coarse,

    /// <summary>Scraped off dry.</summary>
    Scraped,

    /// <summary>Softened by heat.</summary>
    Heated,

    /// <summary>With a soft medium.</summary>
    Soft,

    /// <summary>By machine.</summary>
    Machine,
}

/// <summary>What minutes are counted by.</summary>
public enum Per
{
    /// <summary>A square decimetre of the faces worked.</summary>
    Dm2,

    /// <summary>A piece, of the size of what is held between two fingers; a larger one takes more by the surface it has beyond that.</summary>
    Small,

    /// <summary>A piece, small or large.</summary>
    Piece,

    /// <summary>A screw, bolt, nut or pin; where they have a rate of their own they are no pieces.</summary>
    Fastener,

    /// <summary>A decimetre along an edge.</summary>
    Rim,

    /// <summary>A millimetre of width.</summary>
    Width,
}

/// <summary>
/// Says what a step takes by the book, from practice: minutes for the step, and a rate for what there is to work on. All of it stands in the
/// shop's list of assumptions.
/// </summary>
/// <param name="what">What it is, after "to".</param>
/// <param name="likely">Minutes it most often takes, whatever the size.</param>
/// <param name="case">In which case.</param>
[AttributeUsage(AttributeTargets.Field, AllowMultiple = true)]
public sealed class TakesAttribute(string what, double likely, StepCase @case = StepCase.Usual) : Attribute
{
    /// <summary>The same, where it is known how much quicker or slower it may go.</summary>
    /// <param name="what">What it is, after "to".</param>
    /// <param name="low">Minutes if all goes well.</param>
    /// <param name="likely">Minutes most often.</param>
    /// <param name="high">Minutes if it fights back.</param>
    /// <param name="case">In which case.</param>
    public TakesAttribute(string what, double low, double likely, double high, StepCase @case = StepCase.Usual) : this(what, likely, @case) =>
        (Quick, Slow) = (low / likely, high / likely);

    /// <summary>What it is, after "to".</summary>
    public string What { get; } = what;

    /// <summary>Minutes most often, whatever the size.</summary>
    public double Likely { get; } = likely;

    /// <summary>In which case.</summary>
    public StepCase Case { get; } = @case;

    /// <summary>Share of the likely minutes it takes if all goes well; 0 for as usual.</summary>
    public double Quick { get; init; }

    /// <summary>Times the likely minutes it takes if it fights back; 0 for as usual.</summary>
    public double Slow { get; init; }

    /// <summary>Minutes for each square decimetre.</summary>
    public double Dm2 { get; init; }

    /// <summary>Minutes for each piece, as for a small one; the surface beyond that counts by itself.</summary>
    public double Small { get; init; }

    /// <summary>Minutes for each piece.</summary>
    public double Piece { get; init; }

    /// <summary>Minutes for each fastener, which then is no piece.</summary>
    public double Fastener { get; init; }

    /// <summary>Minutes for each decimetre of edge.</summary>
    public double Rim { get; init; }

    /// <summary>Minutes for each millimetre of width.</summary>
    public double Width { get; init; }

    /// <summary>Most likely minutes it ever takes; 0 for no such limit.</summary>
    public double Most { get; init; }

    /// <summary>Metal it takes off, mm.</summary>
    public double MetalMm { get; init; }

    /// <summary>What it takes for what there is.</summary>
    public IEnumerable<(Per Per, double Minutes)> Rates => new[]
    {
        (Per.Dm2, Dm2), (Per.Small, Small), (Per.Piece, Piece), (Per.Fastener, Fastener), (Per.Rim, Rim), (Per.Width, Width),
    }.Where(r => r.Item2 > 0);
}
