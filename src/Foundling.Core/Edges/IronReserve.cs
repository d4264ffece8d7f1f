namespace Foundling.Core.Edges;

/// <summary>How an iron was made.</summary>
public enum IronKind
{
    /// <summary>Hard steel throughout, usable to the slot.</summary>
    Solid,

    /// <summary>A hard bit welded to a soft iron.</summary>
    LaidOn,
}

/// <summary>What is known of the hard steel of an iron, mm from the edge.</summary>
public sealed record IronReserveInput(
    IronKind IronKind,
    double? EdgeToSlotEndMm = null,
    double? EdgeToBitLineMm = null,
    double? EdgeToHardEndMm = null,
    double PlannedSetbackMm = 0);

/// <summary>Good steel left, mm, and the sharpenings in it.</summary>
public sealed record IronReserveResult(double ReserveMm, double LeftAfterSetbackMm, int SharpeningsLeft);

/// <summary>How much good steel an iron has left.</summary>
public static class IronReserve
{
    /// <summary>
    /// A line that is seen or found with a file always wins; otherwise the bit line on laid-on irons, or the slot end
    /// less a margin.
    /// </summary>
    public static IronReserveResult Of(IronReserveInput input, Assumptions assumptions)
    {
        Assumptions a = assumptions;
        Check.NotNegative(input.PlannedSetbackMm);
        double reserve = (input.EdgeToHardEndMm ?? input.EdgeToBitLineMm) is double seen ? Check.NotNegative(seen, "edge_to_bit_line_mm")
            : input.IronKind == IronKind.LaidOn ? throw new InputException("required", "edge_to_bit_line_mm", null, "the bit line or the end of the hard steel",
                "A laid-on iron needs the line where the hard bit ends; look for it after cleaning, or try with a file.")
            : input.EdgeToSlotEndMm is double slot ? Math.Max(0, Check.NotNegative(slot, "edge_to_slot_end_mm") - a.SlotMarginMm)
            : throw new InputException("required", "edge_to_slot_end_mm", null, "a length", "Measure from the edge to the near end of the slot.");
        double left = Math.Max(0, reserve - input.PlannedSetbackMm);
        return new IronReserveResult(reserve, left, SharpeningsIn(left, a));
    }

    /// <summary>Sharpenings in a length of steel, mm.</summary>
    public static int SharpeningsIn(double steelMm, Assumptions a) => Math.Max(0, Whole.Floor(steelMm / a.LossPerHoningMm));
}
