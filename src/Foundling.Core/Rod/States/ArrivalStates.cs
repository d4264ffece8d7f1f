using Foundling.Core.Deeds;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Rules;

namespace Foundling.Core.Rod.States;

/// <summary>As it came, stuck joints, taking apart.</summary>
internal static class ArrivalStates
{
    /// <summary>Rungs of the ladder by their steps, from the first.</summary>
    private static readonly (StepKey Step, StateValue Rung)[] Ladder =
    [
        (StepKey.FreeStiff, Joints.Tried("work")),
        (StepKey.FreeDriver, Joints.Tried("turn")),
        (StepKey.FreeClamp, Joints.Tried("clamp")),
        (StepKey.FreeShock, Joints.Tried("shock")),
        (StepKey.FreeHeat, Joints.Tried("heat")),
        (StepKey.FreePins, Joints.Tried("holes")),
        (StepKey.FreeStop, Joints.Tried("stop")),
    ];

    public static IReadOnlyDictionary<StepKey, Action<Statement>> All { get; } = new Dictionary<StepKey, Action<Statement>>
    {
        [StepKey.Photos] = s => s.NeedsOfTool(Came.Untouched),
        [StepKey.PhotoPins] = s => s.Needs(Came.AsItSat, "which end is which is seen only while it sits"),
        [StepKey.TryAsFound] = s => s.NeedsOfTool(Came.Untouched, "it is tried before it is touched").SpoilsOfTool(Came.Touched),
        [StepKey.NoteSettings] = s => s.NeedsOfTool(Came.Settings),
        [StepKey.RodWhy] = s => s.Needs(Came.AsItSat, "a nut that is only loose shows before it is apart").SpoilsOfTool(Came.Touched).Makes(Known.Loose),
        [StepKey.PhotoChuck] = s => Freed(s, 0).NeedsMade(Seat.Off).Makes(Seat.Opened),
        [StepKey.FreeOil] = s => Moves(s).Makes(Joints.Oiled, ripens: true),
        [StepKey.FreeStiff] = Rung,
        [StepKey.FreeDriver] = Rung,
        [StepKey.FreeClamp] = Rung,
        [StepKey.FreeShock] = Rung,
        [StepKey.FreeHeat] = Rung,
        [StepKey.FreePins] = Rung,
        [StepKey.FreeStop] = Rung,
        [StepKey.LeaveOn] = s => s.MakesOfTool(Known.StaysOn),
        [StepKey.RefitPlan] = s => s.Makes(Known.Refit),
        [StepKey.OpenJoint] = s =>
        {
            s.Parts = HandleStates.Joint(s);
            Moves(Freed(s.NeedsMade(Known.Refit), Ladder.Length)).NeedsAnywhere(Known.StaysOn).Makes(Seat.Off);
        },
        [StepKey.Apart] = s =>
        {
            s.Parts = [.. s.Deed.Parts.Count > 0 ? s.Deed.Parts : ApartRules.ComingOff(s.Q).Select(p => p.Id)];
            Moves(Freed(s, Ladder.Length)).NeedsAnywhere(Known.StaysOn).Makes(Seat.Off);
        },
        [StepKey.RollCall] = s => s.NeedsMade(Seat.Off, Seat.Opened).Makes(Known.Counted),
        [StepKey.LookApart] = s => s.NeedsMade(Seat.Off, Seat.Opened).Makes(Known.SeenApart),
        [StepKey.Find] = s => s.Makes(Sound.Mended),
        [StepKey.IronsFind] = s => s.NeedsAnywhere(Known.Proved),
        [StepKey.IronsFit] = s => s.NeedsAnywhere(Known.Proved),
        [StepKey.WedgeNote] = s => s.NeedsAnywhere(Known.Proved),
    };

    /// <summary>What is moved no longer sits as it sat, and its settings are gone.</summary>
    private static Statement Moves(Statement s) => s.Spoils(Came.Moved).SpoilsOfTool(Came.Unset);

    /// <summary>Each rung comes after those before it, and after the oil has crept in.</summary>
    private static void Rung(Statement s)
    {
        int at = Array.FindIndex(Ladder, l => l.Step == s.Deed.Id.Step);
        Moves(Freed(s, at)).Makes(Ladder[at].Rung);
    }

    private static Statement Freed(Statement s, int rungs)
    {
        s.NeedsMade(Joints.Oiled);
        foreach ((_, StateValue rung) in Ladder.Take(rungs == 0 ? Ladder.Length : rungs))
        {
            s.NeedsMade(rung);
        }
        return s;
    }
}
