using Foundling.Core.Keys;

namespace Foundling.Core.Edges;

/// <summary>A mouth, its iron and what holds it, mm.</summary>
/// <param name="BedDeg">Bed against the sole, degrees.</param>
/// <param name="MouthMm">Opening in front of the edge, with the iron there is.</param>
/// <param name="IronMm">How thick that iron is.</param>
/// <param name="NewIronMm">How thick the iron is that shall go in; null for the same one.</param>
/// <param name="ForwardMm">How far frog or toe is moved to close it; below 0 to open it.</param>
/// <param name="RoomMm">How far the frog can still go back, or the toe forward; null where nobody looked.</param>
/// <param name="BevelUp">The bevel faces up.</param>
/// <param name="Moves">Frog or toe moves; a mouth in wood or one casting does not.</param>
/// <param name="Wanted">How open it is wanted; null for as it comes.</param>
/// <param name="ShavingMm">The shaving it shall take; null for a fine one.</param>
/// <param name="OpeningWideMm">Width of the opening across the sole.</param>
/// <param name="IronWideMm">Width of the iron that shall go in.</param>
/// <param name="SlotMm">Width of the slot in that iron.</param>
/// <param name="ScrewMm">Diameter of the screw that stands through the slot.</param>
/// <param name="YokeMm">How far the yoke of the adjuster stands proud of the bed.</param>
/// <param name="CapScrewMm">Length of the cap iron's screw under its head.</param>
public sealed record MouthPlanInput(double BedDeg, double MouthMm, double IronMm, double? NewIronMm = null, double ForwardMm = 0, double? RoomMm = null,
    bool BevelUp = false, bool Moves = true, WayId? Wanted = null, double? ShavingMm = null, double? OpeningWideMm = null, double? IronWideMm = null,
    double? SlotMm = null, double? ScrewMm = null, double? YokeMm = null, double? CapScrewMm = null);

/// <summary>What is done about a mouth.</summary>
public enum MouthDo
{
    /// <summary>Nothing: it is as wanted.</summary>
    Leave,

    /// <summary>Frog or toe closes it.</summary>
    Close,

    /// <summary>Frog or toe opens it.</summary>
    Open,

    /// <summary>Its front wall is filed.</summary>
    FileFront,

    /// <summary>A piece is let in.</summary>
    LetIn,
}

/// <summary>One thing that is done about a mouth, and by how much, mm.</summary>
public sealed record MouthDeed(MouthDo Do, double Mm);

/// <summary>What an iron has to fit.</summary>
public enum IronFit
{
    /// <summary>The opening of the mouth, across.</summary>
    Opening,

    /// <summary>The screw through its slot.</summary>
    Slot,

    /// <summary>The yoke that moves it.</summary>
    Yoke,

    /// <summary>The screw of the cap iron.</summary>
    CapScrew,
}

/// <summary>Whether an iron fits in one respect: what there is and what is needed, mm.</summary>
public sealed record FitCheck(IronFit Fit, double HasMm, double NeedsMm, bool Fits);

/// <summary>What becomes of a mouth and what is done about it.</summary>
/// <param name="After">The mouth after the new iron and the move.</param>
/// <param name="LeastMm">Least opening that is wanted, mm; null for as it comes.</param>
/// <param name="MostMm">Most that is wanted, mm; null for as it comes.</param>
/// <param name="Deeds">What is done, in order.</param>
/// <param name="Fits">Whether the iron fits, for what was measured.</param>
/// <param name="DownMm">How far along its bed the iron comes down for the shaving, mm.</param>
public sealed record MouthPlan(MouthResult After, double? LeastMm, double? MostMm, IReadOnlyList<MouthDeed> Deeds, IReadOnlyList<FitCheck> Fits, double DownMm)
{
    /// <summary>Works it out.</summary>
    /// <exception cref="InputException">Sizes no plane has.</exception>
    public static MouthPlan Of(MouthPlanInput input, Assumptions a)
    {
        double iron = Check.Positive(input.IronMm, "iron_mm"), next = input.NewIronMm is double n ? Check.Positive(n, "new_iron_mm") : iron;
        double shaving = input.ShavingMm is double s ? Check.Positive(s, "shaving_mm") : a.FineShavingMm;
        MouthResult after = Edge.Mouth(new MouthInput(input.BedDeg, input.MouthMm, next - iron, input.ForwardMm, input.BevelUp));
        (double Least, double Most)? wanted = Opening(input.Wanted, shaving, a);
        double down = shaving / Math.Sin(Edge.Rad(Check.Between(input.BedDeg, 0, 180, "bed_deg")));
        return new MouthPlan(after, wanted?.Least, wanted?.Most,
            [.. ToDo(input, after, wanted, shaving * a.MouthTightLeastTimes)], [.. Fitting(input, next, a)], down);
    }

    /// <summary>How open a mouth is wanted, mm; null for as it comes.</summary>
    /// <param name="way">The school.</param>
    /// <param name="shavingMm">The shaving it shall take, mm.</param>
    /// <param name="a">What each school goes by.</param>
    public static (double Least, double Most)? Opening(WayId? way, double shavingMm, Assumptions a)
    {
        (double, double) Around(double mm) => (mm * (1 - a.SettingShare), mm * (1 + a.SettingShare));
        return way switch
        {
            WayId.Tight => (shavingMm * a.MouthTightLeastTimes, shavingMm * a.MouthTightMostTimes),
            WayId.One => Around(a.MouthMiddleMm),
            WayId.Open => Around(a.MouthOpenMm),
            _ => null,
        };
    }

    private static IEnumerable<MouthDeed> ToDo(MouthPlanInput input, MouthResult after, (double Least, double Most)? wanted, double passes)
    {
        // Whatever is wanted, the edge must not foul the wall, and the shaving must get through.
        double least = wanted?.Least ?? Math.Max(passes, after.EdgeFouls ? input.MouthMm : 0), most = wanted?.Most ?? double.PositiveInfinity;
        if (after.NewMouthMm > most + Whole.Slack)
        {
            yield return new MouthDeed(input.Moves ? MouthDo.Close : MouthDo.LetIn, after.NewMouthMm - most);
            yield break;
        }
        if (after.NewMouthMm >= least - Whole.Slack)
        {
            yield return new MouthDeed(MouthDo.Leave, 0);
            yield break;
        }
        double short1 = least - after.NewMouthMm, moved = !input.Moves ? 0 : Math.Min(short1, Check.NotNegative(input.RoomMm ?? short1, "room_mm"));
        if (moved > Whole.Slack)
        {
            yield return new MouthDeed(MouthDo.Open, moved);
        }
        if (short1 - moved > Whole.Slack)
        {
            yield return new MouthDeed(MouthDo.FileFront, short1 - moved);
        }
    }

    private static IEnumerable<FitCheck> Fitting(MouthPlanInput input, double iron, Assumptions a)
    {
        static FitCheck Of(IronFit fit, double has, double needs) => new(fit, has, needs, has >= needs - Whole.Slack);
        if (input is { OpeningWideMm: double opening, IronWideMm: double wide })
        {
            yield return Of(IronFit.Opening, Check.Positive(opening, "opening_wide_mm"), Check.Positive(wide, "iron_wide_mm") + a.IronPlayMm);
        }
        if (input is { SlotMm: double slot, ScrewMm: double screw })
        {
            yield return Of(IronFit.Slot, Check.Positive(slot, "slot_mm"), Check.Positive(screw, "screw_mm"));
        }
        if (input.YokeMm is double yoke)
        {
            yield return Of(IronFit.Yoke, Check.Positive(yoke, "yoke_mm"), iron + a.YokeHoldMm);
        }
        if (input.CapScrewMm is double cap)
        {
            yield return Of(IronFit.CapScrew, Check.Positive(cap, "cap_screw_mm"), iron + a.CapScrewHoldMm);
        }
    }
}
