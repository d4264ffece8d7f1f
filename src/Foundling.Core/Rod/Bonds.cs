using Foundling.Core.Deeds;
using Foundling.Core.Rod.States;

namespace Foundling.Core.Rod;

/// <summary>One deed of a plan before another.</summary>
/// <param name="Before">The earlier deed.</param>
/// <param name="After">The later one.</param>
/// <param name="Why">Why this order, in words.</param>
/// <param name="Lag">What must have passed between them; null for nothing.</param>
/// <param name="Soft">Practitioners differ on it: going against it is a warning, not an error.</param>
public sealed record PlanBond(DeedId Before, DeedId After, string Why, Lag? Lag = null, bool Soft = false);

/// <summary>A need of a deed that no deed of its plan meets, or that another undoes.</summary>
/// <param name="Deed">The deed.</param>
/// <param name="Facet">The facet on its part.</param>
/// <param name="Value">The value it needs.</param>
/// <param name="SpoiledBy">The deed that undoes it and can stand nowhere else; null where nobody makes it.</param>
public sealed record UnmetState(DeedId Deed, string Facet, string Value, DeedId? SpoiledBy);

/// <summary>
/// What comes before what among deeds, derived from what each says of the state of its parts; the few pairs on which practitioners differ are soft. The
/// one place that orders.
/// </summary>
public sealed class Bonds
{
    private readonly List<Deed> _ranked;
    private readonly Dictionary<DeedId, int> _at;
    private readonly Dictionary<(int, int), PlanBond> _pairs = [];

    private Bonds(List<Deed> ranked)
    {
        _ranked = ranked;
        _at = ranked.Select((d, i) => (d.Id, i)).ToDictionary(p => p.Id, p => p.i);
    }

    /// <summary>All bonds.</summary>
    public IEnumerable<PlanBond> All => _pairs.Values;

    /// <summary>Needs that nothing meets: a fault of the rules.</summary>
    public IReadOnlyList<UnmetState> Unmet { get; private set; } = [];

    /// <summary>The bond of two deeds; null where none ties them directly.</summary>
    /// <param name="before">The earlier deed.</param>
    /// <param name="after">The later one.</param>
    public PlanBond? Between(DeedId before, DeedId after) =>
        _at.TryGetValue(before, out int b) && _at.TryGetValue(after, out int a) ? _pairs.GetValueOrDefault((b, a)) : null;

    /// <summary>Ties deeds together.</summary>
    /// <param name="deeds">The deeds of a plan, in any order.</param>
    /// <param name="question">What is planned.</param>
    public static Bonds Of(IReadOnlyList<Deed> deeds, PlanQuestion question)
    {
        var bonds = new Bonds([.. deeds.Select((d, i) => (Deed: d, i)).OrderBy(p => p.Deed.Stage).ThenBy(p => Planner.PlaceOf(p.Deed)).ThenBy(p => p.i)
            .Select(p => p.Deed)]);
        bonds.Tie(question);
        return bonds;
    }

    private void Tie(PlanQuestion question)
    {
        List<Statement> said = [.. _ranked.Select(d => Statements.Of(d, question))];
        List<List<NeedAt>> needs = Resolved(said);
        Dictionary<(Block?, DeedId), int> units = [];
        List<LinkDeed> links = [.. _ranked.Select((deed, i) => new LinkDeed(
            [.. needs[i].Select(n => new Wanted(n.Key, n.Value.Name, n.Ripe == Ripe.Made ? null : Through))],
            [.. said[i].Leaves.Select(l => new Left(l.Key, l.Value.Name, l.Meant, l.Ripens ? Ripening(deed) : null))],
            UnitOf(units, deed)))];
        List<(int Before, int After)> given = [.. Chains()];
        Linker linked = Linker.Link(links, new Start(question).Has, given);
        foreach (Bond bond in linked.Bonds)
        {
            Add(bond, needs[bond.For]);
        }
        Habits(linked);
        Unmet = [.. linked.Unmet.Select(u => new UnmetState(_ranked[u.Deed].Id, u.Want.Facet, u.Want.Value, u.SpoiledBy is int by ? _ranked[by].Id : null))];
    }

    private static int UnitOf(Dictionary<(Block?, DeedId), int> units, Deed deed)
    {
        if (!units.TryGetValue(Sequence.Unit(deed), out int unit))
        {
            units[Sequence.Unit(deed)] = unit = units.Count;
        }
        return unit;
    }

    // A deed has one wait, so what it makes ripens in one go.
    private const string Through = "through";

    private static Dictionary<string, double>? Ripening(Deed deed) => deed.Lag is { HoldsMin: > 0 and double min } ? new() { [Through] = min } : null;

    /// <summary>Needs of whatever the plan makes, named: each value that another deed makes on a part that is asked about.</summary>
    private List<List<NeedAt>> Resolved(List<Statement> said)
    {
        Dictionary<string, List<(int Deed, LeaveAt Left)>> made = [];
        for (int i = 0; i < said.Count; i++)
        {
            foreach (LeaveAt left in said[i].Leaves.Where(l => l.Meant))
            {
                string part = left.Key[..^left.Value.Suffix.Length];
                if (!made.TryGetValue(part, out List<(int, LeaveAt)>? list))
                {
                    made[part] = list = [];
                }
                list.Add((i, left));
            }
        }
        List<List<NeedAt>> all = [];
        for (int i = 0; i < said.Count; i++)
        {
            Dictionary<string, NeedAt> needs = [];
            HashSet<string> own = [.. said[i].Leaves.Where(l => l.Meant).Select(l => l.Key)];
            foreach (NeedAt need in said[i].Needed)
            {
                needs[need.Key] = need;
            }
            foreach (WideNeed wide in said[i].Wide)
            {
                foreach (PartId part in wide.Parts)
                {
                    foreach ((int by, LeaveAt left) in made.GetValueOrDefault(part.Value) ?? [])
                    {
                        // On what practitioners differ nobody insists.
                        if (by != i && wide.Asks(left.Value) && !own.Contains(left.Key) && Rod.Habits.Between(_ranked[by], _ranked[i]) is null
                            && (!needs.TryGetValue(left.Key, out NeedAt there) || (there.Value == left.Value && there.Why is null && wide.Why is not null)))
                        {
                            needs[left.Key] = new NeedAt(left.Key, left.Value, wide.Ripe, wide.Why);
                        }
                    }
                }
            }
            all.Add([.. needs.Values]);
        }
        return all;
    }

    /// <summary>Pairs that follow from the deeds themselves: pieces of one, deeds of one block, and what a rule says of its own deeds.</summary>
    private IEnumerable<(int Before, int After)> Chains()
    {
        for (int i = 0; i < _ranked.Count; i++)
        {
            for (int j = 0; j < _ranked.Count; j++)
            {
                if (i != j && Planner.Chained(_ranked[i], _ranked[j]) is { } own)
                {
                    // Of a deed that was split the wait is its last piece's.
                    _pairs[(i, j)] = new PlanBond(_ranked[i].Id, _ranked[j].Id, own.Why, _ranked[i].Lag is null ? null : own.Lag ?? _ranked[i].Lag);
                    yield return (i, j);
                }
                else if (i < j && (_ranked[i].Id.Whole == _ranked[j].Id.Whole
                    || (_ranked[i].Block is not null && Sequence.Unit(_ranked[i]) == Sequence.Unit(_ranked[j]))))
                {
                    _pairs[(i, j)] = new PlanBond(_ranked[i].Id, _ranked[j].Id, _ranked[i].Id.Whole == _ranked[j].Id.Whole ? "the first piece comes first"
                        : "they are done in one go, in this order", _ranked[i].Lag is { Kind: not LagKind.LookAgain } ? _ranked[i].Lag : null);
                    yield return (i, j);
                }
            }
        }
    }

    private void Add(Bond bond, List<NeedAt> needs)
    {
        NeedAt need = needs.Find(n => n.Key == bond.Facet);
        string why = bond.Kind == BondKind.Makes ? need.Why ?? need.Value.Words : need.Value.Keeps ?? need.Why ?? need.Value.Words;
        Lag? lag = bond.LeastMin > 0 ? _ranked[bond.Before].Lag : null;
        // Several reasons for one pair: the one with its wait, then the first.
        if (!_pairs.TryGetValue((bond.Before, bond.After), out PlanBond? there) || (there.Lag is null && lag is not null))
        {
            _pairs[(bond.Before, bond.After)] = new PlanBond(_ranked[bond.Before].Id, _ranked[bond.After].Id, why, lag);
        }
    }

    /// <summary>What most do and some do otherwise comes last, and gives way to the state of parts.</summary>
    private void Habits(Linker linked)
    {
        for (int i = 0; i < _ranked.Count; i++)
        {
            for (int j = 0; j < _ranked.Count; j++)
            {
                if (i != j && !_pairs.ContainsKey((i, j)) && Rod.Habits.Between(_ranked[i], _ranked[j]) is { } habit && linked.Add(i, j))
                {
                    // Whoever keeps to it keeps its wait: no finish over wet stain.
                    Lag? lag = _ranked[i].Lag is { HoldsMin: > 0 } waits ? waits : null;
                    _pairs[(i, j)] = new PlanBond(_ranked[i].Id, _ranked[j].Id, habit.Why, lag, Soft: true);
                }
            }
        }
    }
}
