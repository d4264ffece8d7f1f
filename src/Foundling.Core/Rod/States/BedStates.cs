using Foundling.Core.Deeds;
using Foundling.Core.Keys;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.States;

/// <summary>What lies on what: frog, bed, wedge, frame, tangs.</summary>
internal static class BedStates
{
    private static readonly PartId[] Seats = [PartIds.Body, PartIds.Frog, PartIds.Frame, PartIds.ToePlate];

    public static IReadOnlyDictionary<StepKey, Action<Statement>> All { get; } = new Dictionary<StepKey, Action<Statement>>
    {
        [StepKey.Overspill] = s =>
        {
            s.Parts = [.. Seats.Where(s.Q.Has)];
            Hard(s).NeedsMade(Cover.Off).Makes(Coat.Clear);
        },
        [StepKey.FrogSeat] = s => Hard(s).NeedsMade(Coat.Clear).Makes(Trued.Seated),
        [StepKey.FrogFace] = s => Hard(s).NeedsWhereMade(s.Parts, Trued.Seated, "seat it before dressing its face").Makes(Trued.Bed),
        [StepKey.BedFlat] = s => Hard(s).NeedsMade(Coat.Clear).Makes(Trued.Bed),
        [StepKey.Abutments] = s => s.NeedsMade(Sound.Dead).Makes(Dirt.Abutments),
        [StepKey.WedgeFit] = s =>
        {
            s.NeedsMade(Dirt.Abutments, Sound.Mended, Wet.Seasoned, Sound.Dead).Makes([PartIds.Wedge], Trued.Seated);
            EdgeStates.CoveredFirst(s);
        },
        [StepKey.ProfileMatch] = s => s.NeedsDue(Due.Work | Due.Clean).NeedsMade(Dirt.Face).Makes(Trued.Profile),
        [StepKey.FrameSeat] = s => Hard(s).Makes(Trued.Seated),
        [StepKey.TangFit] = s => s.NeedsAnywhere(Cut.Covered).Makes(Trued.Seated),
        [StepKey.StripSeat] = s => s.Makes(Trued.Seated),
    };

    /// <summary>A coat has cured before a face beside it is worked.</summary>
    private static Statement Hard(Statement s) => s.NeedsWhereMade(s.Parts, Coat.Done, "the coat has cured before seats are worked");
}
