namespace Foundling.Core.Saws;

/// <summary>Teeth as they stand before they are jointed.</summary>
/// <param name="NominalToothHeightMm">Height of a tooth as it should be, mm.</param>
/// <param name="ToothHeightsMm">Heights over the gullet line, mm, along the saw.</param>
public sealed record JointingInput(double NominalToothHeightMm, IReadOnlyList<double> ToothHeightsMm);

/// <summary>What one jointing takes off, and what it buys.</summary>
/// <param name="TeethToRecut">Teeth so low that they are cut anew; they do not count.</param>
/// <param name="JointingDepthMm">From the highest point to the lowest that counts, mm.</param>
/// <param name="Passes">Passes of the file.</param>
public sealed record JointingResult(int TeethToRecut, double JointingDepthMm, int Passes);

/// <summary>A tooth line brought to one height.</summary>
public static class Jointing
{
    /// <summary>Most teeth that are looked at.</summary>
    public const int MostTeeth = 2000;

    private const double MostHeightMm = 50;

    /// <summary>True for a tooth so low that it is cut anew: under half its height.</summary>
    /// <param name="heightMm">Its height, mm.</param>
    /// <param name="nominalMm">As high as it should be, mm.</param>
    public static bool IsLow(double heightMm, double nominalMm) => heightMm < (nominalMm / 2) - Whole.Slack;

    /// <summary>Depth from the highest point to the lowest usable one; lower ones than half a tooth are cut anew.</summary>
    /// <exception cref="InputException">No teeth, or none that is half a tooth high.</exception>
    public static JointingResult Of(JointingInput input, Assumptions a)
    {
        double nominal = Check.Within(Check.Positive(input.NominalToothHeightMm, "nominal_tooth_height_mm"), 0, MostHeightMm, "nominal_tooth_height_mm");
        if (input.ToothHeightsMm.Count is 0 or > MostTeeth)
        {
            throw new InputException(input.ToothHeightsMm.Count == 0 ? "required" : "too_many", "tooth_heights_mm", input.ToothHeightsMm.Count,
                $"1 to {MostTeeth} heights", input.ToothHeightsMm.Count == 0 ? "Give the heights of the teeth, one after another."
                    : $"That is more teeth than a saw has: at most {MostTeeth:#,0}.");
        }
        List<double> usable = [.. input.ToothHeightsMm.Where(h => !IsLow(Check.Within(h, 0, MostHeightMm, "tooth_heights_mm"), nominal))];
        if (usable.Count == 0)
        {
            throw new InputException("no_usable_teeth", "tooth_heights_mm", input.ToothHeightsMm.Max(), $"{nominal / 2:0.##} mm or more",
                "Not one tooth is half as high as it should be: the whole line is filed off and toothed anew.");
        }
        double depth = usable.Max() - usable.Min();
        return new JointingResult(input.ToothHeightsMm.Count - usable.Count, depth, Whole.Ceiling(depth / a.JointingPassMm));
    }
}
