using Foundling.Core.Deeds;
using Foundling.Core.Keys;

namespace Foundling.Core.Rod.States;

/// <summary>Rust: into the bath and out, and dry ways.</summary>
internal static class RustStates
{
    /// <summary>Steps on what is still wet.</summary>
    internal static readonly StepKey[] OutOfTheBath =
        [StepKey.SoakAgain, StepKey.SoakEarly, StepKey.SoakLift, StepKey.SoakNeutralise, StepKey.SoakDry, StepKey.SoakOil];

    public static IReadOnlyDictionary<StepKey, Action<Statement>> All { get; } = new Dictionary<StepKey, Action<Statement>>
    {
        [StepKey.KeepOut] = s => s.MakesOfTool(Known.Sorted),
        [StepKey.Soak] = s => Reached(s, "grease shields rust and spoils the bath").NeedsAnywhere(Known.Sorted).Spoils(Wet.InBath),
        [StepKey.SoakAgain] = s => s.Spoils(Wet.InBath).Spoils(Film.Worked),
        [StepKey.SoakEarly] = s => s.Spoils(Film.Worked).Makes(Wet.Dry).Makes(Corrosion.Bathed),
        [StepKey.SoakOil] = s => s.Spoils(Film.Worked).Makes(Wet.Dry).Makes(Corrosion.Bathed),
        [StepKey.DerustWire] = Dry,
        [StepKey.DerustAbrasive] = Dry,
        [StepKey.DerustScrape] = Dry,
        [StepKey.DerustRest] = Dry,
        [StepKey.DerustBloom] = Dry,
        [StepKey.DerustBlast] = s => Reached(s, "grease fouls blasting medium").NeedsMade(Corrosion.Bathed),
        [StepKey.DerustBlastOil] = Dry,
        [StepKey.DarkRemove] = s => Reached(s, "grease clogs abrasive").NeedsMade(Corrosion.Bathed, Corrosion.Off).Makes(Corrosion.Bright),
        [StepKey.SoleRough] = s => s.NeedsMade(Known.SeenClean).Makes(Trued.Rough),
    };

    private static void Dry(Statement s) => Reached(s, "grease clogs wool").NeedsMade(Corrosion.Bathed).Makes(Corrosion.Off);

    /// <summary>Clean and seen, with nothing left on it that hides the rust.</summary>
    private static Statement Reached(Statement s, string why) =>
        s.NeedsWhereMade(s.Parts, Dirt.Clean, why).NeedsMade(Known.SeenClean, Known.Etch, Coat.Stripped, Trued.Rough);
}
