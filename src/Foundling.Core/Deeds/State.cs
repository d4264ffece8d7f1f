namespace Foundling.Core.Deeds;

/// <summary>What of a part, a face, a joint or the whole tool a state is about.</summary>
public enum Facet
{
    /// <summary>Whether anything was done to it since it came.</summary>
    Came,

    /// <summary>Where a part is: on the tool, or off it.</summary>
    Seat,

    /// <summary>Whether a joint moves.</summary>
    Joint,

    /// <summary>What lies on it that is not it: dust, packed shavings, sap, splashes, grease.</summary>
    Dirt,

    /// <summary>Whether it is wet, or in a bath.</summary>
    Wet,

    /// <summary>The film on its face: none, or oil and wax.</summary>
    Film,

    /// <summary>Rust and the dark skin.</summary>
    Rust,

    /// <summary>The coat on metal, and what gets it ready.</summary>
    Coat,

    /// <summary>What covers a face while another is coated.</summary>
    Cover,

    /// <summary>The finish of wood.</summary>
    Finish,

    /// <summary>The shape of a face, a bore, a slot or a part.</summary>
    Shape,

    /// <summary>What cuts.</summary>
    Edge,

    /// <summary>Whether it is in one piece, and there.</summary>
    Whole,

    /// <summary>How it is set.</summary>
    Setting,

    /// <summary>What somebody has seen, measured or settled.</summary>
    Known,
}

/// <summary>When a state that a plan makes must have been made.</summary>
[Flags]
public enum Due
{
    /// <summary>Only when a deed asks for it by name.</summary>
    Asked = 0,

    /// <summary>Before any work on the part that comes after washing.</summary>
    Work = 1,

    /// <summary>Before any work on the part that comes after derusting.</summary>
    Clean = 2,

    /// <summary>Before any work on the part that comes after its small parts.</summary>
    Sound = 4,

    /// <summary>Before the part goes onto the tool.</summary>
    Together = 8,

    /// <summary>Before the tool is tried.</summary>
    Proof = 16,
}

/// <summary>One value of a facet. Two values of one facet and aspect shut each other out.</summary>
/// <param name="Facet">The facet.</param>
/// <param name="Aspect">Which of several of that facet: a face, a kind of dirt, a setting; empty for the one there is.</param>
/// <param name="Name">Key of the value.</param>
/// <param name="Words">Why a deed that needs it waits for the one that makes it.</param>
/// <param name="Due">When it must be there.</param>
/// <param name="Keeps">Why what would undo it must wait; null for the same words.</param>
public sealed record StateValue(Facet Facet, string Aspect, string Name, string Words, Due Due = Due.Asked, string? Keeps = null)
{
    /// <summary>What stands behind the part in the key of the facet.</summary>
    public string Suffix { get; } = $"{(Aspect.Length > 0 ? "/" + Aspect : "")}.{Facet.ToString().ToLowerInvariant()}";
}

/// <summary>How far what a deed makes has ripened by itself.</summary>
public enum Ripe
{
    /// <summary>As soon as it is made.</summary>
    Made,

    /// <summary>It is through: dried, cured, soaked.</summary>
    Through,
}
