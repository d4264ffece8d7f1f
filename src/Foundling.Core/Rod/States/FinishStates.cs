using Foundling.Core.Deeds;
using Foundling.Core.Keys;

namespace Foundling.Core.Rod.States;

/// <summary>Oil and wax, the proof, and what closes the book.</summary>
internal static class FinishStates
{
    /// <summary>Steps that oil and wax stand: wax last is a habit there, and no need.</summary>
    internal static readonly StepKey[] KeepsWax = [StepKey.Assemble, StepKey.StringUp, StepKey.SawNuts, StepKey.SawBack];

    public static IReadOnlyDictionary<StepKey, Action<Statement>> All { get; } = new Dictionary<StepKey, Action<Statement>>
    {
        [StepKey.Protect] = s =>
        {
            s.Parts = s.All;
            s.Needs(Wet.Dry).NeedsDue([.. s.All, Statement.Tool], Due.Work | Due.Clean | Due.Sound | Due.Together | Due.Proof)
                .Makes(Film.Protected, ripens: true);
        },
        [StepKey.Prove] = s => s.NeedsDue([.. s.All, Statement.Tool], Due.Together | Due.Proof).NeedsAnywhere(Film.Protected).MakesOfTool(Known.Proved),
        [StepKey.Store] = s => s.NeedsAnywhere(Known.Proved).MakesOfTool(Known.Stored),
        [StepKey.PicturesAfter] = s => s.NeedsAnywhere(Known.Proved, Film.Protected).MakesOfTool(Known.Pictured),
        [StepKey.OwnPapers] = s => s.NeedsAnywhere(Known.Pictured),
        [StepKey.NextLook] = s => s.NeedsAnywhere(Known.Proved, Film.Protected, Known.Stored, Known.Pictured),
    };
}
