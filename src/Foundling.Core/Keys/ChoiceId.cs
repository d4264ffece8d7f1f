using System.Text.Json.Serialization;

namespace Foundling.Core.Keys;

/// <summary>Questions practitioners answer differently; written with hyphens.</summary>
[JsonConverter(typeof(KeyJson))]
public enum ChoiceId
{
    /// <summary>How rust that stands up is taken off.</summary>
    Rust,

    /// <summary>How a light bloom comes off.</summary>
    Bloom,

    /// <summary>Whether smooth dark iron is left or taken bright.</summary>
    Dark,

    /// <summary>How far the coating is renewed.</summary>
    Coating,

    /// <summary>How many coats of paint or japan.</summary>
    MetalCoats,

    /// <summary>What happens to the old finish and what comes after.</summary>
    Wood,

    /// <summary>How many coats of oil, shellac or lacquer.</summary>
    WoodCoats,

    /// <summary>How pits that stop an edge are dealt with.</summary>
    Back,

    /// <summary>How the angle is held.</summary>
    Hold,

    /// <summary>How many angles it has.</summary>
    Bevel,

    /// <summary>The line of the edge.</summary>
    Corners,

    /// <summary>Where honing stops.</summary>
    Grit,

    /// <summary>How far behind the edge.</summary>
    Cap,

    /// <summary>How far it is open.</summary>
    Mouth,

    /// <summary>What is measured against.</summary>
    Flat,

    /// <summary>Which comes first; the edge is covered and drawn back either way.</summary>
    Order,

    /// <summary>Whether metal is taken off at all.</summary>
    Metal,

    /// <summary>What the grease is washed off with.</summary>
    Wash,

    /// <summary>Whether a primer goes under new paint.</summary>
    Primer,

    /// <summary>How an old coat comes off metal.</summary>
    Strip,

    /// <summary>Whether brass is cleaned or shined.</summary>
    Brass,

    /// <summary>What is done to sides that do no work.</summary>
    Sides,

    /// <summary>What steel is ground on.</summary>
    Grinding,

    /// <summary>What a pitted back is lapped on.</summary>
    LapOn,

    /// <summary>Which sides of a bypass blade are honed.</summary>
    Bypass,

    /// <summary>What is done about jaws that are chipped.</summary>
    Jaws,

    /// <summary>How an old film comes off wood.</summary>
    Film,

    /// <summary>When and how the sole is lapped.</summary>
    Lapping,

    /// <summary>Which end of a rod is shortened.</summary>
    RodEnd,

    /// <summary>What paper is wetted with.</summary>
    Lubricant,

    /// <summary>What happens to handles and hafts held by a rivet or a wedge.</summary>
    Handles,

    /// <summary>How the frog's face is flattened.</summary>
    FrogFace,

    /// <summary>Whether the back is honed over a shim, pits or not.</summary>
    BackHabit,

    /// <summary>What brings up a shine.</summary>
    Buff,

    /// <summary>What happens to pits in soles and frogs.</summary>
    FacePits,

    /// <summary>What happens to pits in the cap iron.</summary>
    CapPits,

    /// <summary>How many colours a new coat has.</summary>
    Colours,
}
