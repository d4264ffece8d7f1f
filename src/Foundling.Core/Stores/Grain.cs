using System.Text.Json.Serialization;
using Foundling.Core.Keys;

namespace Foundling.Core.Stores;

/// <summary>What an abrasive is made up as.</summary>
[JsonConverter(typeof(KeyJson))]
public enum AbrasiveForm
{
    /// <summary>A sheet of paper or film.</summary>
    Sheet,

    /// <summary>A plate with grit on it.</summary>
    Plate,

    /// <summary>A bonded stone.</summary>
    Stone,

    /// <summary>A belt.</summary>
    Belt,

    /// <summary>A wheel.</summary>
    Wheel,

    /// <summary>A pad, a sponge or wool.</summary>
    Pad,

    /// <summary>Loose powder, paste or a bar.</summary>
    Loose,
}

/// <summary>How coarse an abrasive is.</summary>
/// <param name="Form">What it is made up as.</param>
/// <param name="System">The grading system, as the table of grits names it.</param>
/// <param name="Grit">The grade in that system.</param>
public sealed record Grain(AbrasiveForm Form, string System, string Grit);
