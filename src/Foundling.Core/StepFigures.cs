using System.Reflection;
using Foundling.Core.Keys;

namespace Foundling.Core;

/// <summary>What a step takes by the book.</summary>
/// <param name="Step">The step.</param>
/// <param name="What">What it is, after "to".</param>
/// <param name="Likely">Minutes it most often takes, whatever the size; a shop may put them otherwise.</param>
/// <param name="Rates">Minutes for what there is to work on; a shop may put each otherwise.</param>
/// <param name="Case">In which case.</param>
/// <param name="MetalMm">Metal it takes off, mm.</param>
public sealed record StepFigure(StepKey Step, string What, double Likely, IReadOnlyList<(Per Per, double Minutes)> Rates, StepCase Case = StepCase.Usual,
    double MetalMm = 0)
{
    /// <summary>Share of the likely minutes it takes if all goes well; null for as usual.</summary>
    public double? Quick { get; init; }

    /// <summary>Times the likely minutes it takes if it fights back; null for as usual.</summary>
    public double? Slow { get; init; }

    /// <summary>Most likely minutes it ever takes; null for no such limit.</summary>
    public double? Most { get; init; }

    /// <summary>For what a rate is, in words.</summary>
    public static string For(Per per) => per switch
    {
        Per.Dm2 => "for each dm2",
        Per.Small => "for each piece, small or large",
        Per.Piece => "for each piece",
        Per.Fastener => "for each fastener",
        Per.Rim => "for each dm of edge",
        _ => "for each mm of width",
    };

    /// <summary>Name of a rate in the list of assumptions, behind what is assumed of it.</summary>
    public string NameOf(Per per) => $"{Name}_per_{KeyText.Of(per, '_')}";

    /// <summary>The case in words, with a comma before it; empty for the usual one.</summary>
    public string InCase => Case switch
    {
        StepCase.Each => StepFigures.Has(Step, StepCase.Usual) ? ", for each more" : "",
        StepCase.Little => ", only until it works",
        StepCase.Much => ", where there is much to do",
        StepCase.Grind => ", by grinding back",
        StepCase.Shim => ", with a shim",
        StepCase.Lift => ", with the back lifted",
        StepCase.Blade => ", on a blade that passes a hook",
        StepCase.Nicks => ", on such a blade with nicks",
        StepCase.Wood => ", on wood",
        StepCase.Coarse => ", with a coarse medium",
        StepCase.Scraped => ", scraped off dry",
        StepCase.Heated => ", softened by heat",
        StepCase.Soft => ", with a soft medium",
        StepCase.Measured => ", by measuring",
        StepCase.Machine => ", by machine",
        _ => "",
    };

    /// <summary>Its name in the list of assumptions, behind what is assumed of it.</summary>
    public string Name => KeyText.Of(Step, '_') + (Case == StepCase.Usual ? "" : "_" + KeyText.Of(Case, '_'));
}

/// <summary>Minutes and metal of every step: assumptions from practice, in one table.</summary>
public static class StepFigures
{
    /// <summary>All of them, as the steps stand in their list.</summary>
    public static IReadOnlyList<StepFigure> All { get; } =
    [
        .. from step in Enum.GetValues<StepKey>()
           from takes in typeof(StepKey).GetField(step.ToString())!.GetCustomAttributes<TakesAttribute>()
           select new StepFigure(step, takes.What, takes.Likely, [.. takes.Rates], takes.Case, takes.MetalMm)
           {
               Quick = takes.Quick > 0 ? takes.Quick : null, Slow = takes.Slow > 0 ? takes.Slow : null, Most = takes.Most > 0 ? takes.Most : null,
           },
    ];

    private static readonly Dictionary<(StepKey, StepCase), StepFigure> ByStep = All.ToDictionary(f => (f.Step, f.Case));

    /// <summary>True when the table has figures of a step in a case.</summary>
    public static bool Has(StepKey step, StepCase @case) => ByStep.ContainsKey((step, @case));

    /// <summary>The figures of a step in a case.</summary>
    /// <exception cref="KeyNotFoundException">None are in the table: a programming error.</exception>
    public static StepFigure Of(StepKey step, StepCase @case) => ByStep[(step, @case)];
}
