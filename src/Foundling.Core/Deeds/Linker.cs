namespace Foundling.Core.Deeds;

/// <summary>A state a deed wants: a facet at a value, perhaps ripened since it was made.</summary>
/// <param name="Facet">Key of the facet, such as <c>tote.whole</c>.</param>
/// <param name="Value">Key of the value.</param>
/// <param name="Ripe">What it must have ripened to, such as <c>cured</c>; null where it need not.</param>
public readonly record struct Wanted(string Facet, string Value, string? Ripe = null);

/// <summary>A state a deed leaves behind.</summary>
/// <param name="Facet">Key of the facet.</param>
/// <param name="Value">Key of the value.</param>
/// <param name="Meant">True for what it is done for, which others may need; false for what it only leaves.</param>
/// <param name="Ripens">Minutes after which it has ripened, by what to; null for none.</param>
public readonly record struct Left(string Facet, string Value, bool Meant, IReadOnlyDictionary<string, double>? Ripens = null);

/// <summary>A deed as the linker sees it.</summary>
/// <param name="Needs">What it wants.</param>
/// <param name="Leaves">What it leaves, each facet once.</param>
/// <param name="Unit">Deeds of one unit are done without a break; each is its own where none are.</param>
public sealed record LinkDeed(IReadOnlyList<Wanted> Needs, IReadOnlyList<Left> Leaves, int Unit);

/// <summary>Why one deed comes before another.</summary>
/// <param name="Before">Place of the earlier deed in the list that was given.</param>
/// <param name="After">Place of the later one.</param>
/// <param name="Facet">Facet it is about.</param>
/// <param name="Value">The value that is made, or undone.</param>
/// <param name="Ripe">What it must have ripened to; null for nothing.</param>
/// <param name="LeastMin">Minutes that must lie between them.</param>
/// <param name="Kind">What makes them a pair.</param>
/// <param name="For">The deed whose need it is.</param>
public readonly record struct Bond(int Before, int After, string Facet, string Value, string? Ripe, double LeastMin, BondKind Kind, int For);

/// <summary>What makes two deeds a pair.</summary>
public enum BondKind
{
    /// <summary>The earlier makes what the later needs.</summary>
    Makes,

    /// <summary>The earlier would undo what the later makes for a third.</summary>
    UndoesLater,

    /// <summary>The later would undo what the earlier needs.</summary>
    UndoneByLater,
}

/// <summary>A need nothing meets.</summary>
/// <param name="Deed">Place of the deed.</param>
/// <param name="Want">What it wants.</param>
/// <param name="SpoiledBy">Place of the deed that undoes it and can stand nowhere else; null where nobody makes it.</param>
public readonly record struct Unmet(int Deed, Wanted Want, int? SpoiledBy);

/// <summary>
/// Orders deeds by the state they need, make and spoil: a small partial-order planner with causal links. It knows facets and values only as keys.
/// Source: section 4 of the computation, State of parts.
/// </summary>
public sealed class Linker
{
    private readonly IReadOnlyList<LinkDeed> _deeds;
    private readonly ulong[][] _later;
    private readonly int _units;
    private readonly List<Bond> _bonds = [];
    private readonly List<Unmet> _unmet = [];

    private Linker(IReadOnlyList<LinkDeed> deeds)
    {
        _deeds = deeds;
        _units = deeds.Count == 0 ? 0 : deeds.Max(d => d.Unit) + 1;
        _later = new ulong[_units][];
        for (int i = 0; i < _units; i++)
        {
            _later[i] = new ulong[(_units + Bits - 1) / Bits];
        }
    }

    private const int Bits = 64;

    /// <summary>Bonds, as they were found.</summary>
    public IReadOnlyList<Bond> Bonds => _bonds;

    /// <summary>Needs that nothing meets.</summary>
    public IReadOnlyList<Unmet> Unmet => _unmet;

    /// <summary>Links deeds.</summary>
    /// <param name="deeds">The deeds by rank: stage, then the order in which rules gave them.</param>
    /// <param name="start">Whether a facet has a value before any of them.</param>
    /// <param name="given">Pairs that hold whatever the state: of one's own rule, of a school, for safety.</param>
    /// <exception cref="InvalidOperationException">The pairs that were given form a circle: a programming error.</exception>
    public static Linker Link(IReadOnlyList<LinkDeed> deeds, Func<string, string, bool> start, IEnumerable<(int Before, int After)>? given = null)
    {
        var linker = new Linker(deeds);
        foreach ((int before, int after) in given ?? [])
        {
            if (!linker.Add(before, after))
            {
                throw new InvalidOperationException($"What was given forms a circle at {before} and {after}.");
            }
        }
        linker.Solve(start);
        return linker;
    }

    /// <summary>True when a deed must come before another, directly or through others.</summary>
    /// <param name="before">Place of the earlier deed.</param>
    /// <param name="after">Place of the later one.</param>
    public bool Precedes(int before, int after)
    {
        (int b, int a) = (_deeds[before].Unit, _deeds[after].Unit);
        return b == a ? before < after : Reaches(b, a);
    }

    private bool Reaches(int before, int after) => (_later[before][after / Bits] >> (after % Bits) & 1) != 0;

    /// <summary>Puts one deed before another; false where that would make a circle.</summary>
    public bool Add(int before, int after)
    {
        (int b, int a) = (_deeds[before].Unit, _deeds[after].Unit);
        if (b == a)
        {
            return before < after;
        }
        if (Reaches(a, b))
        {
            return false;
        }
        if (Reaches(b, a))
        {
            return true;
        }
        for (int unit = 0; unit < _units; unit++)
        {
            if (unit == b || Reaches(unit, b))
            {
                _later[unit][a / Bits] |= 1UL << (a % Bits);
                for (int i = 0; i < _later[unit].Length; i++)
                {
                    _later[unit][i] |= _later[a][i];
                }
            }
        }
        return true;
    }

    private readonly record struct Held(int Maker, int User, Wanted Want);

    private void Solve(Func<string, string, bool> start)
    {
        Dictionary<string, List<(int Deed, Left Left)>> setters = [];
        for (int d = 0; d < _deeds.Count; d++)
        {
            foreach (Left left in _deeds[d].Leaves)
            {
                if (!setters.TryGetValue(left.Facet, out List<(int, Left)>? list))
                {
                    setters[left.Facet] = list = [];
                }
                list.Add((d, left));
            }
        }
        List<Held> held = [];
        for (int user = 0; user < _deeds.Count; user++)
        {
            foreach (Wanted want in _deeds[user].Needs.OrderBy(n => n.Facet, StringComparer.Ordinal))
            {
                List<(int Deed, Left Left)> here = setters.GetValueOrDefault(want.Facet) ?? [];
                if (Maker(user, want, here, start) is int maker)
                {
                    held.Add(new Held(maker, user, want));
                }
                else
                {
                    _unmet.Add(new Unmet(user, want, null));
                }
            }
        }
        foreach (Held link in held)
        {
            foreach ((int other, Left left) in setters.GetValueOrDefault(link.Want.Facet) ?? [])
            {
                if (other != link.Maker && other != link.User && left.Value != link.Want.Value)
                {
                    KeepOut(link, other, left);
                }
            }
        }
    }

    private const int FromStart = -1;

    /// <summary>The deed a need is met by; the start where none is needed; null where nothing meets it.</summary>
    private int? Maker(int user, Wanted want, List<(int Deed, Left Left)> setters, Func<string, string, bool> start)
    {
        bool has = start(want.Facet, want.Value), otherwise = false;
        for (int i = setters.Count - 1; i >= 0; i--)
        {
            (int deed, Left left) = setters[i];
            if (deed < user)
            {
                otherwise |= left.Value != want.Value;
                if (left.Meant && left.Value == want.Value && Take(deed, user, want, left))
                {
                    return deed;
                }
            }
        }
        if (has && !otherwise)
        {
            return FromStart;
        }
        foreach ((int deed, Left left) in setters)
        {
            if (deed > user && left.Meant && left.Value == want.Value && Take(deed, user, want, left))
            {
                return deed;
            }
        }
        return has ? FromStart : null;
    }

    private bool Take(int maker, int user, Wanted want, Left left)
    {
        if (!Add(maker, user))
        {
            return false;
        }
        double least = want.Ripe is not null && left.Ripens is not null && left.Ripens.TryGetValue(want.Ripe, out double min) ? min : 0;
        _bonds.Add(new Bond(maker, user, want.Facet, want.Value, want.Ripe, least, BondKind.Makes, user));
        return true;
    }

    /// <summary>Keeps what would undo a link outside it: before its maker or after its user.</summary>
    private void KeepOut(Held link, int other, Left left)
    {
        bool early = link.Maker != FromStart && other < link.Maker;
        if (early ? Before(link, other, left) || After(link, other, left)
            : After(link, other, left) || (link.Maker != FromStart && Before(link, other, left)))
        {
            return;
        }
        _unmet.Add(new Unmet(link.User, link.Want, other));
    }

    private bool Before(Held link, int other, Left left) =>
        Keep(other, link.Maker, new Bond(other, link.Maker, left.Facet, left.Value, null, 0, BondKind.UndoesLater, link.User));

    private bool After(Held link, int other, Left left) =>
        Keep(link.User, other, new Bond(link.User, other, left.Facet, left.Value, null, 0, BondKind.UndoneByLater, link.User));

    private bool Keep(int before, int after, Bond bond)
    {
        // What already follows needs no bond of its own.
        if (Precedes(before, after))
        {
            return true;
        }
        if (!Add(before, after))
        {
            return false;
        }
        _bonds.Add(bond);
        return true;
    }
}
