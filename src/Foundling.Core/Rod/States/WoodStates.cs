using Foundling.Core.Deeds;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Rules;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.States;

/// <summary>Wood: dry, mended, cleaned, stained, finished, waxed.</summary>
internal static class WoodStates
{
    private static readonly StepKey[] Finishing =
        [StepKey.WoodStain, StepKey.WoodRevive, StepKey.WoodOil, StepKey.WoodWipe, StepKey.WoodShellac, StepKey.WoodLacquer, StepKey.WoodWax];

    public static IReadOnlyDictionary<StepKey, Action<Statement>> All { get; } = new Dictionary<StepKey, Action<Statement>>
    {
        [StepKey.WoodDry] = s => s.NeedsMade(Sound.Dead).Makes(Wet.Seasoned, ripens: true),
        [StepKey.WoodGlue] = s => s.NeedsMade(Sound.Dead, Wet.Seasoned).Makes(Sound.Mended, ripens: true),
        [StepKey.Boxing] = s => s.NeedsMade(Sound.Dead, Wet.Seasoned).Makes(Sound.Mended, ripens: true),
        [StepKey.WoodClean] = s => Workable(s).NeedsMade(Known.OldFinish).Makes(Dirt.Wood),
        [StepKey.WoodScrape] = s => Workable(s).NeedsMade(Dirt.Wood).Makes(Finish.Bare),
        [StepKey.WoodStain] = s => Ready(s).Makes(Finish.Stained, ripens: true),
        [StepKey.WoodRevive] = s => Coated(s).Makes(Finish.Filmed, ripens: true),
        [StepKey.WoodOil] = s => Coated(s),
        [StepKey.WoodWipe] = s => s.Makes(Finish.Oiled, ripens: true),
        [StepKey.WoodShellac] = Film,
        [StepKey.WoodLacquer] = Film,
        [StepKey.WoodWax] = s => Coated(s).NeedsMade(Finish.Oiled, Finish.Filmed).Makes(Finish.Waxed, ripens: true),
    };

    /// <summary>Parts of a deed that are wanted off the tool: a haft is hung dry and gets its finish afterwards, end grain and all.</summary>
    internal static IReadOnlyList<PartId> Apart(Statement s) =>
        Finishing.Contains(s.Deed.Id.Step) ? [.. s.Parts.Except(Hung(s))] : s.Parts;

    private static IEnumerable<PartId> Hung(Statement s) =>
        s.Parts.Where(p => s.Q.Tool.Part(p) is { } part && part.Is(PartIds.Haft) && HandleRules.MadeAnew(s.Q, part));

    private static Statement Workable(Statement s) => s.NeedsMade(Sound.Dead, Wet.Seasoned, Sound.Mended, Trued.Dressed);

    private static Statement Ready(Statement s) => Workable(s).NeedsMade(Sound.Tight, Dirt.Wood, Finish.Bare);

    private static Statement Coated(Statement s) => Ready(s).Needs(Hung(s), Seat.Together, "it is hung dry, and oiled then");

    private static void Film(Statement s)
    {
        Coated(s).NeedsMade(Finish.Oiled);
        if (s.Deed.Lag is { Kind: LagKind.Cure })
        {
            s.Makes(Finish.Filmed, ripens: true);
        }
    }
}
