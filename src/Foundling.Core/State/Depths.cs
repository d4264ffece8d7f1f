using Foundling.Core.Tools;

namespace Foundling.Core.State;

/// <summary>How deep something found goes: as measured, else as its degree is judged.</summary>
public static class Depths
{
    /// <summary>Depth of a pit or of a mark that is to live, mm; 0 for anything else, and for none.</summary>
    public static double Of(Found found, Assumptions a) => found.DepthMm ?? (found.Severity <= 0 ? 0 : found.Kind switch
    {
        FindingKind.Pitting => Judged(found.Severity, a.PitPointsMm, a.PitNailMm, a.PitDeepMm, a.PitWeakMm),
        FindingKind.Mark => Judged(found.Severity, a.StampCrispMm, a.StampWornMm, a.StampFaintMm, a.StampShadowMm),
        _ => 0,
    });

    /// <summary>Depth of an etch, mm: as measured, else judged by its degree. Acid bites a tenth of what a stamp strikes.</summary>
    public static double OfEtch(Found found, Assumptions a) => found.DepthMm ?? (Of(found, a) / a.StampCrispMm * a.EtchCrispMm);

    private static double Judged(int degree, params ReadOnlySpan<double> byDegree) => byDegree[Math.Min(degree, byDegree.Length) - 1];
}
