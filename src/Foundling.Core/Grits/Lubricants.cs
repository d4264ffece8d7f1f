using Foundling.Core.Safety;
using Foundling.Core.Stores;

namespace Foundling.Core.Grits;

/// <summary>What an abrasive is wetted with.</summary>
/// <param name="With">What, in words.</param>
/// <param name="Cautions">What to mind of it.</param>
public sealed record Lubricant(string With, IReadOnlyList<CautionId> Cautions);

/// <summary>The usual lubricant of each abrasive.</summary>
public static class Lubricants
{
    private const string Water = "JIS";

    /// <summary>What an abrasive is usually wetted with.</summary>
    /// <param name="grain">The abrasive.</param>
    public static Lubricant Of(Grain grain) => grain.Form switch
    {
        AbrasiveForm.Stone when grain.System == Water => new("water; dry the work and oil it at once", []),
        AbrasiveForm.Stone => new("light oil, wiped off black", []),
        AbrasiveForm.Plate => new("water with a drop of soap, or window cleaner; dry and oil at once", [CautionId.Slurry]),
        AbrasiveForm.Sheet => new("a film of light oil, or white spirit to wash it clean", [CautionId.Slurry, CautionId.Solvent]),
        AbrasiveForm.Belt or AbrasiveForm.Wheel => new("dry, and dipped before it is too hot to hold", [CautionId.Rotating]),
        AbrasiveForm.Loose => new("light oil, on bare glass or on a strop kept for it", [CautionId.Slurry]),
        _ => new("light oil", []),
    };
}
