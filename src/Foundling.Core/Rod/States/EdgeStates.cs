using Foundling.Core.Aim;
using Foundling.Core.Deeds;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;

namespace Foundling.Core.Rod.States;

/// <summary>Edges, burrs, jaws and teeth.</summary>
internal static class EdgeStates
{
    /// <summary>Steps that bring an edge up and cover it.</summary>
    internal static readonly StepKey[] Honing = [StepKey.EdgeHone, StepKey.EdgeCover, StepKey.BurrFile, StepKey.BurrTurn];

    public static IReadOnlyDictionary<StepKey, Action<Statement>> All { get; } = new Dictionary<StepKey, Action<Statement>>
    {
        [StepKey.EdgeSave] = Saved,
        [StepKey.EdgeGrind] = s => s.NeedsMade(Trued.Profile).NeedsWhereMade(s.Parts, Cut.Unpitted, "grind once, after the pits are dealt with")
            .Makes(Cut.Ground),
        [StepKey.EdgeBack] = s => s.NeedsMade(Trued.Profile).NeedsWhereMade(s.Parts, Cut.Unpitted, "pits first, then the back is flattened once")
            .NeedsWhereMade(s.Parts, Cut.Ground, "what is ground away needs no flattening").Makes(Cut.Back),
        [StepKey.EdgeTeeth] = s => s.NeedsMade(Cut.Ground, Cut.Unpitted).Makes(Cut.Back),
        [StepKey.HookTrue] = s => s.NeedsAnywhere(Cut.Back).Makes(Cut.Hook),
        [StepKey.EdgeHone] = s => Honed(s).Makes(Cut.Sharp),
        [StepKey.BurrFile] = s => Honed(s).Makes(Cut.Filed),
        [StepKey.BurrTurn] = s => Honed(s).NeedsMade(Cut.Filed).Makes(Cut.Sharp),
        [StepKey.EdgeCover] = s => s.NeedsMade(Cut.Sharp).Makes(Cut.Covered),
        [StepKey.EdgeKeep] = s => s.Makes(Cut.Covered),
        [StepKey.IronsHone] = s => s.Makes(Cut.Covered),
        [StepKey.CapFit] = s => s.NeedsWhereMade([.. s.Q.Edges.Select(e => e.Id)], Cut.Back, "the cap iron is fitted to a flat back").Makes(Cut.Cap),
        [StepKey.LeverCap] = s => s.Makes(Cut.Cap),
        [StepKey.JawDress] = s => s.Makes(Trued.Jaw),
        [StepKey.JawHone] = s => s.Makes(Trued.Jaw),
        [StepKey.SawStraight] = s => s.Makes(Trued.Straight),
        [StepKey.SawJoint] = s => s.Makes(Cut.Level),
        [StepKey.SawSet] = s => s.NeedsWhereMade(s.Parts, Cut.Level, "joint before setting").Makes(Cut.Set),
        [StepKey.SawFile] = s => s.NeedsMade(Cut.Level, Cut.Set).Makes(Cut.Sharp),
        [StepKey.SawCover] = s => s.NeedsWhereMade(s.Parts, Cut.Sharp, "filed teeth are covered").Makes(Cut.Covered),
    };

    /// <summary>True in a shop that laps a sole first and hones last.</summary>
    internal static bool LapsFirst(PlanQuestion q) => q.Tool.HasMetalSole && q.Aim != AimKind.Keep && q.Way(ChoiceId.Order) == WayId.LapFirst;

    /// <summary>Where honing comes first its cover is on before hands work round it.</summary>
    internal static void CoveredFirst(Statement s)
    {
        if (!LapsFirst(s.Q))
        {
            s.NeedsAnywhere(Cut.Covered);
        }
    }

    // A shim comes last, or the flat stone takes its bevel away; what is lapped or ground goes first, or it is done twice.
    private static void Saved(Statement s)
    {
        s.NeedsMade(Trued.Profile);
        if (EdgeWays.Raises(s.Q) || EdgeWays.ByHabit(s.Q))
        {
            s.NeedsWhereMade(s.Parts, Cut.Back, "the shim comes last, or the flat stone takes its bevel away")
                .NeedsWhereMade(s.Parts, Cut.Ground, "grind past the chips first").Makes(Cut.BackBevel);
        }
        else
        {
            s.Makes(Cut.Unpitted);
        }
    }

    private static Statement Honed(Statement s)
    {
        s.NeedsMade(Trued.Profile, Cut.Unpitted, Cut.Ground, Cut.Back, Cut.BackBevel).NeedsAnywhere(Cut.Hook);
        if (LapsFirst(s.Q))
        {
            s.NeedsAnywhere(Dirt.Slurry, Trued.Eased);
        }
        return s;
    }
}
