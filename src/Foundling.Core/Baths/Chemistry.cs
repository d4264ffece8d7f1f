namespace Foundling.Core.Baths;

/// <summary>What acids do, from their formulas.</summary>
public static class Chemistry
{
    private const double CitricIron = 0.436, AceticIron = 0.465, CitricSoda = 1.312, AceticSoda = 1.399;

    /// <summary>The acid of a bath; null for what is no acid, and for one whose chemistry is not kept here.</summary>
    public static Acid? AcidOf(BathKind bath) => bath switch { BathKind.Citric => Acid.Citric, BathKind.Acetic => Acid.Acetic, _ => null };

    /// <summary>Iron that a gram of acid can bind at the very most, g.</summary>
    public static double IronPerAcid(Acid acid) => acid == Acid.Citric ? CitricIron : AceticIron;

    /// <summary>Bicarbonate that neutralises a gram of acid, g.</summary>
    public static double BicarbonatePerAcid(Acid acid) => acid == Acid.Citric ? CitricSoda : AceticSoda;
}
