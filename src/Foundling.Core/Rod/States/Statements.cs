using Foundling.Core.Deeds;
using Foundling.Core.Keys;

namespace Foundling.Core.Rod.States;

/// <summary>What every step needs, makes and spoils: the usual of its kind, then what its room says.</summary>
internal static class Statements
{
    /// <summary>What a room says of its steps.</summary>
    private static readonly Dictionary<StepKey, Action<Statement>> Said = new IReadOnlyDictionary<StepKey, Action<Statement>>[]
    {
        ArrivalStates.All, WashStates.All, RustStates.All, SmallStates.All, CoatStates.All, WoodStates.All, HandleStates.All, BedStates.All,
        EdgeStates.All, TogetherStates.All, SoleStates.All, FinishStates.All,
    }.SelectMany(room => room).ToDictionary(s => s.Key, s => s.Value);

    /// <summary>What a deed needs, makes and spoils.</summary>
    /// <param name="deed">The deed.</param>
    /// <param name="q">What is planned.</param>
    public static Statement Of(Deed deed, PlanQuestion q)
    {
        var statement = new Statement(deed, q);
        if (deed.Id.Step != StepKey.Own)
        {
            Usual(statement);
            Said.GetValueOrDefault(deed.Id.Step)?.Invoke(statement);
        }
        return statement;
    }

    /// <summary>What a look, a reading or a list changes is what is known, and no part.</summary>
    public static bool Works(Deed deed) => deed.Kind is not (DeedKind.Look or DeedKind.Order or DeedKind.Measure or DeedKind.Prove);

    private static void Usual(Statement s)
    {
        Deed deed = s.Deed;
        if (!Works(deed))
        {
            return;
        }
        s.SpoilsOfTool(Came.Touched);
        if (deed.Stage is Stage.AsFound or Stage.Apart or Stage.Finish || RustStates.OutOfTheBath.Contains(deed.Id.Step))
        {
            return;
        }
        s.Needs(Wet.Dry);
        if (!CoatStates.KeepsBare.Contains(deed.Id.Step) && !FinishStates.KeepsWax.Contains(deed.Id.Step))
        {
            s.Spoils(Film.Worked);
        }
        if (deed.Stage < Stage.Together && !OnTheTool(deed, s.Q))
        {
            s.NeedsWhereMade(WoodStates.Apart(s), Seat.Off);
        }
        if (deed.Stage > Stage.Wash)
        {
            s.NeedsDue(Due.Work);
        }
        // What is under an old coat is derusted when the coat is off.
        if (deed.Stage > Stage.Derust && deed.Id.Step != StepKey.CoatStrip)
        {
            s.NeedsDue(Due.Clean);
        }
        if (deed.Stage > Stage.SmallParts && deed.Id.Step != StepKey.CoatStrip)
        {
            s.NeedsDue(Due.Sound);
        }
    }

    /// <summary>Work that stands among that on parts and is done when the tool is together again: an edge honed last, a grip wound last.</summary>
    private static bool OnTheTool(Deed deed, PlanQuestion q) =>
        (EdgeStates.Honing.Contains(deed.Id.Step) && EdgeStates.LapsFirst(q)) || (deed.Id.Step == StepKey.Grip && HandleStates.IsWound(q));
}
