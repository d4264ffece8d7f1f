using Foundling.Core.Safety;

namespace Foundling.Core.Baths;

/// <summary>What baths are called.</summary>
public static class BathNames
{
    /// <summary>How rusty, in words: "brown rust".</summary>
    public static string Rust(RustLevel rust) => rust switch { RustLevel.Light => "light rust", RustLevel.Medium => "brown rust", _ => "crust" };

    /// <summary>The liquid of a bath: "citric acid".</summary>
    public static string Liquid(BathKind kind) => kind switch
    {
        BathKind.Citric => "citric acid", BathKind.Acetic => "vinegar", BathKind.Phosphoric => "phosphoric acid",
        BathKind.Electrolysis => "washing soda, for electrolysis", _ => "chelating bath",
    };

    /// <summary>The same with its strength: "citric acid, 5 %".</summary>
    public static string Liquid(BathKind kind, double? percent) => Liquid(kind) + (percent is double strength ? $", {strength:0.#} %" : "");

    /// <summary>What to mind of the liquid of a bath.</summary>
    public static CautionId CautionOf(BathKind kind) => kind switch
    {
        BathKind.Electrolysis => CautionId.Electrolysis, BathKind.Chelating => CautionId.Bath, _ => CautionId.Acid,
    };
}
