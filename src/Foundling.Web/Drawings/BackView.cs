using Foundling.Core;
using Foundling.Core.Edges;

namespace Foundling.Web.Drawings;

/// <summary>A pit as it is drawn and named.</summary>
/// <param name="Pit">The pit.</param>
/// <param name="X">Its near side.</param>
/// <param name="Y">Its left side.</param>
/// <param name="W">How far it reaches back.</param>
/// <param name="H">How far it reaches across.</param>
/// <param name="Standing">What it means for the edge.</param>
public sealed record PitDrawn(Pit Pit, double X, double Y, double W, double H, PitStanding Standing);

/// <summary>The back of an iron with its pits and the line where hard steel ends, to scale.</summary>
public sealed class BackView
{
    private const double Wide = 460, High = 260, Behind = 8, LeastPit = 4;

    /// <summary>Draws a back.</summary>
    /// <param name="input">The iron and its pits.</param>
    /// <param name="a">Where pits no longer stop anything.</param>
    public BackView(SaveTheBackInput input, Assumptions a)
    {
        double stopping = a.StoppingPitWithinMm;
        LongMm = Math.Max(Math.Max(input.ReserveMm, stopping), input.Pits.Select(p => p.FarSideMm).DefaultIfEmpty(0).Max()) + Behind;
        Times = Math.Min(Wide / LongMm, High / input.WidthMm);
        WideMm = input.WidthMm;
        Height = input.WidthMm * Times;
        Line = input.ReserveMm * Times;
        double camber = (input.CamberMm ?? 0) * Times;
        string radius = camber <= 0 ? "" : Figure.N(Edge.Camber(new CamberInput(input.WidthMm, input.CamberMm)).RadiusMm * Times);
        Iron = $"M{Figure.N(camber)} 0{(camber > 0 ? $"A{radius} {radius} 0 0 0 {Figure.N(camber)} {Figure.N(Height)}" : $"V{Figure.N(Height)}")}"
            + $"H{Figure.N(LongMm * Times)}V0Z";
        Stopping = stopping * Times;
        Drawn = LongMm * Times;
        Pits = [.. input.Pits.Select(p => new PitDrawn(p, p.NearSideMm * Times, (p.FromLeftMm ?? 0) * Times,
            Math.Max(LeastPit, (p.FarSideMm - p.NearSideMm) * Times), ((p.ToLeftMm ?? input.WidthMm) - (p.FromLeftMm ?? 0)) * Times,
            SaveTheBack.Standing(p, input.WidthMm, input.CamberMm ?? 0, a)))];
    }

    /// <summary>How much of it is drawn, mm.</summary>
    public double LongMm { get; }

    /// <summary>Width of the iron, mm.</summary>
    public double WideMm { get; }

    /// <summary>How many times as large as it is.</summary>
    public double Times { get; }

    /// <summary>Height of the iron on the drawing.</summary>
    public double Height { get; }

    /// <summary>Length of it on the drawing.</summary>
    public double Drawn { get; }

    /// <summary>The iron from its flat side, its edge to the left with its camber.</summary>
    public string Iron { get; }

    /// <summary>Where hard steel ends.</summary>
    public double Line { get; }

    /// <summary>Where pits no longer stop anything.</summary>
    public double Stopping { get; }

    /// <summary>The pits.</summary>
    public IReadOnlyList<PitDrawn> Pits { get; }
}
