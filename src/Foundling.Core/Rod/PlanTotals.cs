using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Units;

namespace Foundling.Core.Rod;

/// <summary>Hands-on minutes of deeds together.</summary>
public static class PlanTotals
{
    // The rungs of a ladder, each reached when those before it did not help.
    private static readonly StepKey[] Rungs = [StepKey.FreeShock, StepKey.FreeHeat, StepKey.FreePins, StepKey.FreeStop];

    /// <summary>How likely a deed comes up at all: a rung only if those of its ladder that come before it did not help.</summary>
    /// <param name="deed">The deed.</param>
    /// <param name="assumptions">How often a rung does not help.</param>
    public static double Chance(Deed deed, Assumptions assumptions) =>
        !deed.OnlyIfNeeded ? 1 : Math.Pow(assumptions.RungFailsShare, 1 + (Rungs.Contains(deed.Id.Step) ? deed.After.Count(f =>
            Rungs.Contains(f.Id.Step)) : 0));

    /// <summary>Their total, with the spread that the same hands and the same tool bring to all of them.</summary>
    /// <param name="deeds">The deeds, each by what it takes if it comes up.</param>
    /// <param name="assumptions">The common spread, and how often a rung does not help.</param>
    public static TotalsResult Of(IEnumerable<Deed> deeds, Assumptions assumptions)
    {
        (double mean, double variance) = Moments(deeds, assumptions);
        double common = assumptions.CommonSpread * mean, sd = Math.Sqrt(variance + (common * common));
        return new TotalsResult(mean, sd, mean, mean + (Totals.Z80 * sd));
    }

    /// <summary>Mean of their total, and the variance of its steps without what is common to them, minutes and minutes squared.</summary>
    public static (double Mean, double Variance) Moments(IEnumerable<Deed> deeds, Assumptions assumptions)
    {
        double mean = 0, variance = 0;
        foreach (Deed deed in deeds)
        {
            double chance = Chance(deed, assumptions), one = deed.Minutes.Ordered().Mean;
            mean += chance * one;
            // It comes up or not: its own variance when it does, and that of whether it does.
            variance += (chance * deed.Minutes.Variance) + (chance * (1 - chance) * one * one);
        }
        return (mean, variance);
    }

    /// <summary>What makes a total unsure more than anything else, and what would settle it, in two sentences; null where nothing stands out.</summary>
    /// <param name="deeds">The deeds.</param>
    /// <param name="assumptions">How often a rung does not help.</param>
    public static string? Unsure(IEnumerable<Deed> deeds, Assumptions assumptions)
    {
        Deed? widest = null;
        double most = 0;
        foreach (Deed deed in deeds)
        {
            (_, double variance) = Moments([deed], assumptions);
            (widest, most) = variance > most ? (deed, variance) : (widest, most);
        }
        return widest is null || Math.Sqrt(most) < LeastUnsureMin ? null
            : $"What makes it unsure most is \"{widest.Title}\": {(widest.OnlyIfNeeded ? "nothing" : Typed.Hours(widest.Minutes.Low))} to "
                + $"{Typed.Hours(widest.Minutes.High)}. {Settles(widest)}";
    }

    private const double LeastUnsureMin = 3;

    private static string Settles(Deed deed) => deed.Id.Step switch
    {
        StepKey.SoleLap or StepKey.CheekLap => "A survey would settle it.",
        StepKey.RodShorten => "Measuring the gap under the nut would settle it.",
        StepKey.EdgeSave or StepKey.EdgeBack => "Measuring the pits and the hard steel that is left would settle it.",
        StepKey.FrogSeat => "Measuring how far it rocks would settle it.",
        StepKey.JawPlay => "Measuring the play would settle it.",
        StepKey.Find => "A look through the parts box would settle it.",
        StepKey.SawFile or StepKey.SawJoint => "Counting the low and missing teeth would settle it.",
        StepKey.WedgeFit => "A rub with chalk shows how much there is to take off.",
        _ when StepSets.Free.Has(deed.Id.Step) => "Oil and a night will tell.",
        _ when StepSets.Derust.Has(deed.Id.Step) || deed.Id.Step == StepKey.DarkRemove => "A patch cleaned first tells for the rest.",
        _ => "The first part of it tells for the rest.",
    };

    /// <summary>Minutes of a deed as they are added up: likely, weighed by how likely it comes up.</summary>
    public static double Likely(Deed deed, Assumptions assumptions) => Chance(deed, assumptions) * deed.Minutes.Likely;
}
