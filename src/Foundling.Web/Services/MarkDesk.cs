using Foundling.Core.Tools;
using Foundling.Core.Marks;
using Foundling.Core.Origin;
using Foundling.Core.Tags;
using Foundling.Data.Reference;
using Foundling.Data.Shop;
using Foundling.Web.Drawings;

namespace Foundling.Web.Services;

/// <summary>Looks marks up and puts them on a tag as evidence.</summary>
public sealed class MarkDesk(TimeProvider time, ShopDesk shop)
{
    /// <summary>The reader over the shipped tables.</summary>
    public async Task<MarkReader> Reader() => new(ReferenceData.Marks, await shop.Assumed());

    /// <summary>Adds a look at the end of a tag's evidence.</summary>
    public void Add(Tag tag, Look look)
    {
        DateTimeOffset now = time.GetUtcNow();
        (look.Id, look.At, look.Order) = (Guid.CreateVersion7(now), now, tag.Looks.Select(l => l.Order).DefaultIfEmpty(0).Max() + 1);
        tag.Looks.Add(look);
    }

    /// <summary>Adds a reading: a maker's name says whose work the tool is, anything else is one look for each thing it states about years.</summary>
    public void Add(Tag tag, MarkReading reading, string part, Confidence confidence)
    {
        if (reading.Line is not null)
        {
            tag.KnownLine = reading.Line;
            return;
        }
        foreach (MarkBound bound in reading.Bounds)
        {
            Add(tag, new Look
            {
                Part = part, Mark = bound.Kind, Soft = bound.Soft, Confidence = confidence, NotBeforeYear = bound.NotBefore, NotAfterYear = bound.NotAfter,
                IssueYear = bound.IssueYear, FilingYear = bound.FilingYear, GrantYear = bound.GrantYear, Reading = reading.Title,
            });
        }
    }

    /// <summary>Parts of a tool a mark can stand on, the tool itself first.</summary>
    public static IReadOnlyList<(string Id, string Name)> Parts(Tag tag) =>
        [("body", StrataView.PartName(tag, "body")), .. tag.Tool().Parts.Where(p => !p.Is(PartIds.Body)).Select(p => (p.Id.Value, p.Name))];
}

/// <summary>Readings to choose from, and where a chosen one goes.</summary>
/// <param name="Readings">The readings.</param>
/// <param name="Tag">Tag they go to; null to choose one.</param>
/// <param name="Tags">Tags to choose from.</param>
/// <param name="Asked">What was asked, as a query.</param>
public sealed record ReadingsView(IReadOnlyList<MarkReading> Readings, int? Tag, IReadOnlyList<(int Number, string Title)> Tags, string Asked)
{
    /// <summary>What the shop assumes of patents.</summary>
    public required Core.Assumptions Assumed { get; init; }

    /// <summary>Part chosen first.</summary>
    public string Part { get; init; } = "body";

    /// <summary>Lines of the tool's kind, of which a name that was read can be said to be the maker; null while no tag is chosen.</summary>
    public IReadOnlyList<string>? Lines { get; init; }

    /// <summary>Parts to choose from; only with a known tag.</summary>
    public IReadOnlyList<(string Id, string Name)> Parts { get; init; } = [("body", "tool itself")];
}
