namespace Foundling.Data.Tags;

/// <summary>What of a tag is read along with it, when it is only shown.</summary>
[Flags]
public enum TagParts
{
    /// <summary>The tag alone.</summary>
    None = 0,

    /// <summary>Looks and marks.</summary>
    Looks = 1,

    /// <summary>Looks set aside.</summary>
    Aside = 2,

    /// <summary>Findings.</summary>
    Findings = 4,

    /// <summary>Measurements.</summary>
    Measurements = 8,

    /// <summary>Counts on pictures.</summary>
    Counts = 16,

    /// <summary>Pictures.</summary>
    Pictures = 32,

    /// <summary>Its plan, and how the deeds of it stand.</summary>
    Rod = 64,

    /// <summary>What stands and waits.</summary>
    Waits = 128,

    /// <summary>Surveys of its sole, and the marks that were read on it.</summary>
    Surveys = 256,

    /// <summary>Proofs.</summary>
    Proofs = 512,

    /// <summary>What every leaf says of a tag in its head and draws of it: years, findings, sizes, rod, proof.</summary>
    Head = Looks | Findings | Measurements | Rod | Proofs,

    /// <summary>Everything but the log.</summary>
    Everything = 1023,
}
