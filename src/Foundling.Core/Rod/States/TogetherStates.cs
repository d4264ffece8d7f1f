using Foundling.Core.Deeds;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Rules;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.States;

/// <summary>Putting together and setting: frog, mouth, cap, tension, and what is set when it is whole.</summary>
internal static class TogetherStates
{
    public static IReadOnlyDictionary<StepKey, Action<Statement>> All { get; } = new Dictionary<StepKey, Action<Statement>>
    {
        [StepKey.Assemble] = s =>
        {
            s.Parts = [.. ApartRules.ComingOff(s.Q).Concat(s.Q.Gone).Select(p => p.Id).Except(Hung(s.Q))];
            s.NeedsDue(Due.Together).Makes(Seat.Together);
            EdgeStates.CoveredFirst(s);
        },
        [StepKey.SetCap] = s => Whole(s).NeedsWhereMade(s.Parts, Cut.Covered, "set it with the edge it will use").MakesOfTool(Setting.Cap),
        [StepKey.SetMouth] = s =>
        {
            Whole(s).MakesOfTool(Setting.Mouth);
            if (!SoleWays.IsBare(s.Q))
            {
                // What was judged under tension is judged again when the frog has moved.
                s.Spoils([PartIds.Body], Trued.SoleMoved);
            }
            if (!EdgeStates.LapsFirst(s.Q))
            {
                s.NeedsAnywhere(Setting.Cap, Cut.Covered);
            }
        },
        [StepKey.Tension] = s => SetFirst(Whole(s)).MakesOfTool(Setting.Tension),
        [StepKey.FinalHone] = s => Whole(s).NeedsAnywhere(Cut.Covered, Trued.Sole, Dirt.Slurry, Trued.Eased).Makes(Cut.Fresh),
        [StepKey.SetPivot] = SetLast,
        [StepKey.SetStops] = SetLast,
        [StepKey.FootLevel] = s => Whole(s).NeedsAnywhere(Dirt.Slurry, Cut.Covered, Cut.Fresh).Makes(Setting.Fixed),
        [StepKey.SawNuts] = s => Whole(s).Makes(Setting.Fixed),
        [StepKey.SawBack] = s => Whole(s).Makes(Setting.Fixed),
        [StepKey.CordNew] = s => s.Makes(Sound.Mended),
        [StepKey.StringUp] = s => Whole(s).Makes(Setting.Fixed),
    };

    /// <summary>Whatever came off is on again.</summary>
    internal static Statement Whole(Statement s) => s.NeedsAnywhere(Seat.Together);

    /// <summary>Nothing moves once the sole is lapped: the mouth, and where honing comes first the cap, are set.</summary>
    internal static Statement SetFirst(Statement s)
    {
        s.NeedsAnywhere(Setting.Mouth);
        return EdgeStates.LapsFirst(s.Q) ? s : s.NeedsAnywhere(Setting.Cap);
    }

    private static void SetLast(Statement s) => Whole(s).NeedsAnywhere(Cut.Covered, Cut.Fresh).Makes(Setting.Fixed);

    // A haft that is hung goes on by that.
    private static IEnumerable<PartId> Hung(PlanQuestion q) =>
        HandleRules.HungAnew(q) ? q.Tool.Parts.Where(p => p.Is(PartIds.Haft)).Select(p => p.Id) : [];
}
