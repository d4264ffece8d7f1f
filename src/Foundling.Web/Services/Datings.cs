using System.Collections.Concurrent;
using Foundling.Core;
using Foundling.Core.Origin;
using Foundling.Core.Tags;
using Foundling.Data.Tags;

namespace Foundling.Web.Services;

/// <summary>Datings of tags, worked out once for each state of a tag and of the pattern book.</summary>
public sealed class Datings
{
    private const int Kept = 400;

    private readonly ConcurrentDictionary<(int Number, int Version, DateTimeOffset? Came, Assumptions Assumed, bool Weigh),
        (PatternBook Book, DatingReport? Report)> _known = new();

    /// <summary>The dating of a tag as it stands in the store; null when nothing was looked at.</summary>
    /// <param name="tag">The tag, not changed since it was read.</param>
    /// <param name="book">The pattern book.</param>
    /// <param name="assumed">What the shop assumes.</param>
    /// <param name="weigh">With what each look did and what to look at next.</param>
    public DatingReport? Of(Tag tag, PatternBook book, Assumptions assumed, bool weigh)
    {
        var key = (tag.Number, tag.Version, tag.ImportedAt, assumed, weigh);
        if (_known.TryGetValue(key, out (PatternBook Book, DatingReport? Report) known) && ReferenceEquals(known.Book, book))
        {
            return known.Report;
        }
        DatingReport? report = TagBook.Date(tag, book, assumed, weigh ? int.MaxValue : 0, weigh);
        if (_known.Count >= Kept)
        {
            _known.Clear();
        }
        _known[key] = (book, report);
        return report;
    }
}
