using Foundling.Core.Deeds;
using Foundling.Core.Keys;

namespace Foundling.Core.Rod.States;

/// <summary>Screws, threads, knurls, brass, bends and old repairs; gears, slides and pivots.</summary>
internal static class SmallStates
{
    public static IReadOnlyDictionary<StepKey, Action<Statement>> All { get; } = new Dictionary<StepKey, Action<Statement>>
    {
        [StepKey.Screws] = s => s.Makes(Dirt.Slots),
        [StepKey.SlotsDress] = s => s.NeedsMade(Dirt.Slots).Makes(Trued.Slot),
        [StepKey.ThreadMend] = s => s.NeedsWhereMade(s.Parts, Dirt.Slots, "clean it before it is measured").Makes(Sound.Threads),
        [StepKey.Tabs] = s => s.Makes(Sound.Threads),
        [StepKey.Knurl] = s => s.Makes(Dirt.Knurls),
        [StepKey.Brass] = s => s.Makes(Dirt.Bright),
        [StepKey.Mushroom] = s => s.Makes(Trued.Dressed),
        [StepKey.UndoRepair] = s => s.Makes(Sound.Undone),
        [StepKey.Straighten] = s => s.NeedsMade(Sound.Undone).Makes(Trued.Straight),
        [StepKey.PadScrews] = s => s.NeedsMade(Cut.Covered).Makes(Trued.Slot),
        [StepKey.GearClean] = s => s.Makes(Dirt.Works),
        [StepKey.ChuckClean] = s => s.Makes(Dirt.Works),
        [StepKey.RatchetClean] = s => s.Makes(Dirt.Works),
        [StepKey.SlideClean] = s => s.Makes(Dirt.Works),
        [StepKey.PivotClean] = s => s.Makes(Dirt.Works),
        [StepKey.SpringClean] = s => s.Makes(Dirt.Works),
        [StepKey.Slides] = s => s.Makes(Dirt.Works),
        [StepKey.JawTeeth] = s => s.NeedsMade(Seat.Off).NeedsDue(Due.Work | Due.Clean).Makes(Dirt.Works),
        [StepKey.GearTeeth] = s => s.NeedsWhereMade(s.Parts, Dirt.Works, "a chip shows in a clean tooth").Makes(Trued.Jaw),
        [StepKey.JawBurrs] = s => s.NeedsWhereMade(s.Parts, Dirt.Works, "clean it before it is filed").Makes(Trued.Unburred),
        [StepKey.JawPlay] = s => s.NeedsMade(Dirt.Works).Makes(Trued.Seated),
        [StepKey.JawSpread] = s => s.NeedsMade(Trued.Unburred).Makes(Trued.Jaw),
        [StepKey.CollarGrip] = s => s.Makes(Trued.Seated),
    };
}
