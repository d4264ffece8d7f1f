using System.Text.Json.Serialization;
using Foundling.Core.Keys;

namespace Foundling.Core.Baths;

/// <summary>How a container is built inside.</summary>
[JsonConverter(typeof(KeyJson))]
public enum ContainerShape
{
    /// <summary>A tub, a tray, a gutter with closed ends: length, width and depth.</summary>
    Box,

    /// <summary>A bucket, a jar, a length of pipe on its end: upright, as wide as it is long.</summary>
    Cylinder,
}

/// <summary>What a bath is mixed in: its inside, mm.</summary>
/// <param name="Shape">Box or cylinder.</param>
/// <param name="LengthMm">Inside length, mm; of a cylinder its inside diameter.</param>
/// <param name="WidthMm">Inside width, mm; of a cylinder its inside diameter again.</param>
/// <param name="DepthMm">Inside depth to the rim, mm.</param>
public sealed record Container(ContainerShape Shape, double LengthMm, double WidthMm, double DepthMm)
{
    private const double Mm3InL = 1_000_000, LeastMm = 20, MostMm = 5000;

    /// <summary>Area of the liquid's surface, mm².</summary>
    [JsonIgnore]
    public double AreaMm2 => Shape == ContainerShape.Cylinder ? Math.PI * LengthMm * LengthMm / 4 : LengthMm * WidthMm;

    /// <summary>Liquid it holds to a depth with nothing in it, L.</summary>
    /// <param name="depthMm">Depth of the liquid, mm.</param>
    public double Litres(double depthMm) => AreaMm2 * depthMm / Mm3InL;

    /// <summary>A box of these sides.</summary>
    public static Container Box(double lengthMm, double widthMm, double depthMm) => new(ContainerShape.Box, lengthMm, widthMm, depthMm);

    /// <summary>A cylinder that stands on its end.</summary>
    public static Container Upright(double diameterMm, double depthMm) => new(ContainerShape.Cylinder, diameterMm, diameterMm, depthMm);

    /// <summary>The same, its sides looked at.</summary>
    /// <exception cref="InputException">A side that no container in a shop has.</exception>
    public Container Checked()
    {
        (string Field, double Mm)[] sides = Shape == ContainerShape.Cylinder ? [("diameter_mm", LengthMm), ("depth_mm", DepthMm)]
            : [("length_mm", LengthMm), ("width_mm", WidthMm), ("depth_mm", DepthMm)];
        foreach ((string field, double mm) in sides)
        {
            if (!(mm >= LeastMm && mm <= MostMm))
            {
                throw new InputException("container_size", field, mm, $"{LeastMm:0} to {MostMm:0}",
                    $"No container of a shop is {mm:0.#} mm there: the inside is between {LeastMm:0} and {MostMm:0} mm.");
            }
        }
        return Shape == ContainerShape.Cylinder ? this with { WidthMm = LengthMm } : this;
    }
}
