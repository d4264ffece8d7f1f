using System.Text.Json.Serialization;
using Foundling.Core.Keys;

namespace Foundling.Core.Safety;

/// <summary>What a caution is about; written with hyphens, as in <c>bare-edge</c>.</summary>
[JsonConverter(typeof(KeyJson))]
public enum CautionId
{
    /// <summary>A bare, sharp edge.</summary>
    BareEdge,

    /// <summary>Acid baths.</summary>
    Acid,

    /// <summary>Neutral chelating baths.</summary>
    Bath,

    /// <summary>Solvents for grease.</summary>
    Solvent,

    /// <summary>Rags with drying oil.</summary>
    OilyRags,

    /// <summary>Stuck screws.</summary>
    StuckScrew,

    /// <summary>Lapping.</summary>
    Slurry,

    /// <summary>Bench grinder.</summary>
    Grinder,

    /// <summary>Old paint.</summary>
    OldPaint,

    /// <summary>Spraying.</summary>
    Spray,

    /// <summary>Baking.</summary>
    Oven,

    /// <summary>Wood dust.</summary>
    WoodDust,

    /// <summary>Springs.</summary>
    Spring,

    /// <summary>Brass polishing.</summary>
    Polish,

    /// <summary>Wire brushing.</summary>
    Wire,

    /// <summary>Torch and heat on stuck parts.</summary>
    Torch,

    /// <summary>Chlorinated solvents.</summary>
    Chlorinated,

    /// <summary>Blasting.</summary>
    Blasting,

    /// <summary>Cadmium on plated fasteners.</summary>
    Cadmium,

    /// <summary>Electrolysis.</summary>
    Electrolysis,

    /// <summary>Hardened parts under a hammer.</summary>
    Shatter,

    /// <summary>Strips of abrasive and gloves near turning work.</summary>
    Rotating,

    /// <summary>Heavy bodies.</summary>
    Heavy,

    /// <summary>Saw teeth.</summary>
    Teeth,

    /// <summary>Epoxy and instant adhesives.</summary>
    Epoxy,

    /// <summary>Paint strippers.</summary>
    Stripper,

    /// <summary>A frame under the tension of its cord.</summary>
    Strung,

    /// <summary>Oil with metal driers in it.</summary>
    Driers,

    /// <summary>A blade used as a scraper.</summary>
    Scraper,

    /// <summary>Metal bent cold.</summary>
    Bending,

    /// <summary>An edge that is swung.</summary>
    SwungEdge,

    /// <summary>An edge that is pushed, pulled or struck.</summary>
    DrivenEdge,

    /// <summary>What is cut through under force.</summary>
    FlyingEnds,
}
