using Foundling.Data.Tags;

namespace Foundling.Web.Services;

/// <summary>Decides how much of a tag is read for a leaf that is only looked at: what the leaf says it shows.</summary>
public class LeafReading
{
    /// <summary>What is read for a leaf.</summary>
    /// <param name="shown">What it shows.</param>
    public virtual TagParts Of(TagParts shown) => shown;
}
