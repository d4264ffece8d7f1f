namespace Foundling.Core.Tools;

/// <summary>Keys of the kinds of tool this program was made with, as the drawings and the open formats write them.</summary>
public static class KindIds
{
    /// <summary>Metal bench plane.</summary>
    public static readonly KindId MetalBenchPlane = KindId.Of("metal-bench-plane");

    /// <summary>Wooden bench plane.</summary>
    public static readonly KindId WoodenBenchPlane = KindId.Of("wooden-bench-plane");

    /// <summary>Block plane.</summary>
    public static readonly KindId BlockPlane = KindId.Of("block-plane");

    /// <summary>Rebate plane.</summary>
    public static readonly KindId RebatePlane = KindId.Of("rebate-plane");

    /// <summary>Plough plane.</summary>
    public static readonly KindId PloughPlane = KindId.Of("plough-plane");

    /// <summary>Scraper plane.</summary>
    public static readonly KindId ScraperPlane = KindId.Of("scraper-plane");

    /// <summary>Toothing plane.</summary>
    public static readonly KindId ToothingPlane = KindId.Of("toothing-plane");

    /// <summary>Spokeshave.</summary>
    public static readonly KindId Spokeshave = KindId.Of("spokeshave");

    /// <summary>Hand saw.</summary>
    public static readonly KindId HandSaw = KindId.Of("hand-saw");

    /// <summary>Back saw.</summary>
    public static readonly KindId BackSaw = KindId.Of("back-saw");

    /// <summary>Chisel.</summary>
    public static readonly KindId Chisel = KindId.Of("chisel");

    /// <summary>Drawknife.</summary>
    public static readonly KindId Drawknife = KindId.Of("drawknife");

    /// <summary>Axe.</summary>
    public static readonly KindId Axe = KindId.Of("axe");

    /// <summary>Hewing hatchet.</summary>
    public static readonly KindId HewingHatchet = KindId.Of("hewing-hatchet");

    /// <summary>All-metal hatchet.</summary>
    public static readonly KindId MetalHatchet = KindId.Of("metal-hatchet");

    /// <summary>Adjustable wrench.</summary>
    public static readonly KindId AdjustableWrench = KindId.Of("adjustable-wrench");

    /// <summary>Hand drill.</summary>
    public static readonly KindId HandDrill = KindId.Of("hand-drill");

    /// <summary>Brace.</summary>
    public static readonly KindId Brace = KindId.Of("brace");

    /// <summary>Bolt cutter.</summary>
    public static readonly KindId BoltCutter = KindId.Of("bolt-cutter");

    /// <summary>Pruner.</summary>
    public static readonly KindId Pruner = KindId.Of("pruner");

    /// <summary>Transitional plane.</summary>
    public static readonly KindId TransitionalPlane = KindId.Of("transitional-plane");

    /// <summary>Shoulder plane.</summary>
    public static readonly KindId ShoulderPlane = KindId.Of("shoulder-plane");

    /// <summary>Moulding plane.</summary>
    public static readonly KindId MouldingPlane = KindId.Of("moulding-plane");

    /// <summary>Router plane.</summary>
    public static readonly KindId RouterPlane = KindId.Of("router-plane");

    /// <summary>Wooden spokeshave.</summary>
    public static readonly KindId WoodenSpokeshave = KindId.Of("wooden-spokeshave");

    /// <summary>Frame saw.</summary>
    public static readonly KindId FrameSaw = KindId.Of("frame-saw");

    /// <summary>Keyhole saw.</summary>
    public static readonly KindId KeyholeSaw = KindId.Of("keyhole-saw");

    /// <summary>Gouge.</summary>
    public static readonly KindId Gouge = KindId.Of("gouge");

    /// <summary>Adze.</summary>
    public static readonly KindId Adze = KindId.Of("adze");

    /// <summary>Billhook.</summary>
    public static readonly KindId Billhook = KindId.Of("billhook");

    /// <summary>Pipe wrench.</summary>
    public static readonly KindId PipeWrench = KindId.Of("pipe-wrench");

    /// <summary>Open spanner.</summary>
    public static readonly KindId OpenSpanner = KindId.Of("open-spanner");
}
