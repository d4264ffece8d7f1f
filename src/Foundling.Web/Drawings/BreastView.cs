using Foundling.Core.Saws;

namespace Foundling.Web.Drawings;

/// <summary>A breasted tooth line from heel to toe, its rise drawn larger than its length.</summary>
public sealed class BreastView
{
    /// <summary>Width of the drawing.</summary>
    public const double Width = 760;

    private const double Side = 10, Plate = 26, Most = 60, TimesMost = 4;

    /// <summary>Draws it.</summary>
    public BreastView(BreastInput input)
    {
        double chord = Width - (2 * Side), scale = chord / input.ChordMm, rise = Math.Min(Most, input.SagittaMm * scale * TimesMost);
        Times = rise / (input.SagittaMm * scale);
        double r = ((chord * chord / 4) + (rise * rise)) / (2 * rise);
        Level = Side + Plate;
        Height = Level + rise + Side;
        Path = $"M{Side} {Side}H{Width - Side}V{Level}A{Figure.N(r)} {Figure.N(r)} 0 0 1 {Side} {Level}Z";
    }

    /// <summary>How many times the rise is drawn as large as it would be beside the length.</summary>
    public double Times { get; }

    /// <summary>The plate with its tooth line below.</summary>
    public string Path { get; }

    /// <summary>Where heel and toe stand.</summary>
    public double Level { get; }

    /// <summary>Height of the drawing.</summary>
    public double Height { get; }
}
