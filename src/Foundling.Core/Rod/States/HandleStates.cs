using Foundling.Core.Deeds;
using Foundling.Core.Keys;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.States;

/// <summary>Handles, hafts and grips: made, bedded, hung, wound.</summary>
internal static class HandleStates
{
    public static IReadOnlyDictionary<StepKey, Action<Statement>> All { get; } = new Dictionary<StepKey, Action<Statement>>
    {
        [StepKey.RodShorten] = s => s.NeedsMade(Wet.Seasoned, Sound.Mended, Sound.Dead, Known.Loose).Makes(Trued.Rod),
        [StepKey.RodTighten] = s => s.NeedsAnywhere(Seat.Together).Makes(Setting.Fixed),
        [StepKey.HandleMake] = s => s.Makes(Sound.Mended),
        [StepKey.HaftShape] = s => s.NeedsMade(Wet.Seasoned).Makes(Sound.Mended),
        [StepKey.HaftWedge] = s => Covered(s).NeedsMade(Wet.Seasoned, Sound.Dead, Sound.Mended).NeedsDue(Metal(s), Due.Clean).Makes(Sound.Tight),
        [StepKey.HaftHang] = s =>
        {
            Covered(s).NeedsMade(Wet.Seasoned, Sound.Dead, Sound.Mended).NeedsDue(Metal(s), Due.Together)
                .Makes(Joint(s), Seat.Together).Makes(Sound.Tight);
        },
        [StepKey.TangBed] = s => Covered(s).NeedsMade(Wet.Seasoned, Sound.Dead, Sound.Mended).NeedsDue(Metal(s), Due.Clean).Makes(Sound.Tight, ripens: true),
        [StepKey.CloseJoint] = s =>
        {
            s.Parts = Joint(s);
            Covered(s).NeedsDue([.. s.All.Except(Wound(s.Q)), .. s.Parts], Due.Together).Makes(Seat.Together);
        },
        [StepKey.Grip] = s =>
        {
            s.NeedsDue(Metal(s), Due.Clean, "clean metal first").Makes(Sound.Mended);
            if (IsWound(s.Q))
            {
                Covered(s).NeedsWhereMade(Metal(s), Seat.Together, "a grip is wound when everything under it is closed");
            }
        },
    };

    /// <summary>True when its grip is wound round it, not slid on.</summary>
    internal static bool IsWound(PlanQuestion q) => q.Tool.Is(FormIds.WoundGrip);

    /// <summary>What a joint that is opened and closed holds, the main part of the tool among it.</summary>
    internal static IReadOnlyList<PartId> Joint(Statement s) =>
        [.. s.Deed.Parts.Append(s.Q.Tool.Parts[0].Id).Where(p => s.Q.Tool.Part(p) is not null).Distinct()];

    private static IEnumerable<PartId> Wound(PlanQuestion q) =>
        IsWound(q) ? q.Tool.Parts.Where(p => p.Material == Material.Soft).Select(p => p.Id) : [];

    private static IReadOnlyList<PartId> Metal(Statement s) => [.. s.Q.Present.Where(p => p.Ferrous).Select(p => p.Id)];

    /// <summary>Hands work round an edge from here on.</summary>
    private static Statement Covered(Statement s) => s.NeedsAnywhere(Cut.Covered);
}
