namespace Foundling.Core;

/// <summary>
/// Figures of a table a shop puts otherwise. Two lists that say the same are equal, because what is reckoned is kept by the
/// assumptions it was reckoned with.
/// </summary>
/// <typeparam name="TKey">What the table is by.</typeparam>
internal sealed class OwnFigures<TKey> : IEquatable<OwnFigures<TKey>>
    where TKey : notnull
{
    private readonly SortedDictionary<TKey, double> _figures = [];

    /// <summary>The shop's own figure; null where it keeps to the book.</summary>
    public double? Of(TKey key) => _figures.TryGetValue(key, out double figure) ? figure : null;

    /// <summary>The same figures with one of them put otherwise; what the book says is no figure of one's own.</summary>
    public OwnFigures<TKey> With(TKey key, double figure, double book)
    {
        var other = new OwnFigures<TKey>();
        foreach ((TKey old, double own) in _figures)
        {
            other._figures[old] = own;
        }
        if (figure == book)
        {
            other._figures.Remove(key);
        }
        else
        {
            other._figures[key] = figure;
        }
        return other;
    }

    /// <inheritdoc />
    public bool Equals(OwnFigures<TKey>? other) => other is not null && _figures.SequenceEqual(other._figures);

    /// <inheritdoc />
    public override bool Equals(object? obj) => Equals(obj as OwnFigures<TKey>);

    /// <inheritdoc />
    public override int GetHashCode() => _figures.Aggregate(0, (all, figure) => HashCode.Combine(all, figure.Key, figure.Value));
}
