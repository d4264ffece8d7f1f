using System.Text.RegularExpressions;
using Foundling.Core.Units;

namespace Foundling.Core.Soles;

/// <summary>How the lines of an instrument are read; set once.</summary>
/// <param name="Unit">What a bare number is.</param>
/// <param name="Turned">True where it counts up when the tip goes down.</param>
public sealed partial record IndicatorSetup(BareUnit Unit = BareUnit.Millimetres, bool Turned = false)
{
    private const double MostMm = 200;

    /// <summary>The height a line says, mm, up positive; null for a line that is no reading.</summary>
    /// <param name="line">A line of the instrument: "0.012", "+12 um", "Z=-0.0004 in".</param>
    public double? Read(string line) =>
        Length.TryParse(Name().Replace(line, ""), out double mm, Unit) && Math.Abs(mm) <= MostMm ? Turned ? -mm : mm : null;

    [GeneratedRegex(@"^\s*[HXYZ]\s*[=:]?\s*", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex Name();
}

/// <summary>What a line of an instrument came to.</summary>
/// <param name="Mm">The height it shows, mm; null for a line that is no reading.</param>
/// <param name="Steady">The reading that can be taken, mm: it has stood still since it last moved; null while it has not.</param>
/// <param name="Wild">It stands still, but so far from the others that it is no reading of this sole.</param>
public sealed record IndicatorSaid(double? Mm, double? Steady = null, bool Wild = false);

/// <summary>Listens for readings that stand still: each is offered once, and the next only after the tip was moved.</summary>
/// <param name="setup">How lines are read.</param>
/// <param name="a">When a reading stands still, and when it is wild.</param>
public sealed class IndicatorWatch(IndicatorSetup setup, Assumptions a)
{
    private readonly Queue<double> _last = new();
    private readonly List<double> _taken = [];
    private bool _offered;

    /// <summary>Hears a line.</summary>
    public IndicatorSaid Hear(string line)
    {
        if (setup.Read(line) is not double mm)
        {
            return new IndicatorSaid(null);
        }
        _last.Enqueue(mm);
        while (_last.Count > a.IndicatorSteadyLines)
        {
            _last.Dequeue();
        }
        bool still = _last.Count == a.IndicatorSteadyLines && _last.Max() - _last.Min() <= a.IndicatorSteadyMm;
        if (!still)
        {
            _offered &= _last.Max() - _last.Min() <= a.IndicatorMovedMm;
            return new IndicatorSaid(mm);
        }
        if (_offered)
        {
            return new IndicatorSaid(mm);
        }
        double middle = _last.Order().ElementAt(_last.Count / 2);
        _offered = true;
        if (_taken.Count >= LeastTaken && Math.Abs(middle - _taken.Order().ElementAt(_taken.Count / 2)) > a.IndicatorWildMm)
        {
            return new IndicatorSaid(mm, null, true);
        }
        _taken.Add(middle);
        return new IndicatorSaid(mm, middle);
    }

    // From so many readings on it is known about where the sole is.
    private const int LeastTaken = 3;
}
