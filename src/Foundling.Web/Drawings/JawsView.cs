using Foundling.Core.Edges;

namespace Foundling.Web.Drawings;

/// <summary>Jaws that meet at stops, closed, to scale: dressed to the bottom of the chip while the stops still stand, so that the gap shows.</summary>
public sealed class JawsView
{
    /// <summary>Width of the drawing and where its pivot lies.</summary>
    public const double Width = 760, PivotX = 60;

    // The shape of a jaw in hundredths of its reach: half a face, how far it runs on, how thick it is, half a stop, and its relief.
    private const int HalfFace = 21, Beyond = 6, Thick = 26, HalfStop = 5, Relief = 5, RoomPx = 26;

    /// <summary>Draws them.</summary>
    /// <param name="input">The jaws with their chip.</param>
    /// <param name="jaws">What their stops would lose.</param>
    public JawsView(ChippedJawsInput input, StopJawsResult jaws)
    {
        const int Hundred = 100;
        double face = input.PivotToJawFaceMm, stop = input.PivotToStopMm, pc = face / Hundred, deep = input.ChipMm;
        double faceFrom = face - (HalfFace * pc), faceTo = face + (HalfFace * pc), reach = faceTo + (Beyond * pc);
        Times = (Width - PivotX - RoomPx) / Math.Max(reach, stop + (HalfStop * pc));
        double thick = Thick * pc, relief = (Relief * pc) + deep, half = HalfStop * pc, chip = (faceTo - faceFrom) * input.ChipShare / 2;
        Middle = ((thick + deep) * Times) + RoomPx;
        Height = (2 * Middle) + 8;
        // From the back of a jaw along it and round its face: how far out, and how far from the line they meet on.
        (double Out, double Off)[] outline =
        [
            (-half, thick / 2), (-half, relief), (stop - half, relief), (stop - half, 0), (stop + half, 0), (stop + half, relief), (faceFrom, relief),
            (faceFrom, deep), (faceTo, deep), (reach, relief + (Beyond * pc)), (reach, thick / 2), (faceFrom, thick), (stop, thick),
        ];
        (Upper, Lower) = (Outline(outline, -1), Outline(outline, 1));
        (Gap, GapX) = ($"M{N(X(face))} {N(Y(-deep))}V{N(Y(deep))}", X(face));
        Stops = (X(stop - half), Y(-jaws.StopLossEachMm), 2 * half * Times, jaws.StopLossEachMm * 2 * Times);
        // Where the faces stood: all that is dressed off goes down to the bottom of the chip, and the sound face loses as much.
        Was = Outline([(faceFrom, deep), (faceFrom, 0), (faceTo, 0), (faceTo, deep)], 1)
            + Outline([(faceFrom, deep), (faceFrom, 0), (face - chip, 0), (face, deep), (face + chip, 0), (faceTo, 0), (faceTo, deep)], -1);
    }

    /// <summary>How many times as large as it is.</summary>
    public double Times { get; }

    /// <summary>Height of the drawing.</summary>
    public double Height { get; }

    /// <summary>The line the jaws meet on.</summary>
    public double Middle { get; }

    /// <summary>The upper jaw, dressed.</summary>
    public string Upper { get; }

    /// <summary>The lower one.</summary>
    public string Lower { get; }

    /// <summary>What is dressed off both faces.</summary>
    public string Was { get; }

    /// <summary>The gap between the faces.</summary>
    public string Gap { get; }

    /// <summary>Where the gap is across.</summary>
    public double GapX { get; }

    /// <summary>What goes off both stops.</summary>
    public (double X, double Y, double W, double H) Stops { get; }

    private double X(double mm) => PivotX + (mm * Times);

    private double Y(double mm) => Middle + (mm * Times);

    private string Outline((double Out, double Off)[] points, int side) =>
        "M" + string.Join("L", points.Select(p => $"{N(X(p.Out))} {N(Y(side * p.Off))}")) + "Z";

    private static string N(double v) => Figure.N(v);
}
