using Foundling.Core.Deeds;

namespace Foundling.Core.Rod.States;

/// <summary>A state a deed needs on one part.</summary>
/// <param name="Key">Key of the facet on its part.</param>
/// <param name="Value">The value.</param>
/// <param name="Ripe">How far it must have ripened.</param>
/// <param name="Why">Why, in the words of this deed; null for the words of the value.</param>
internal readonly record struct NeedAt(string Key, StateValue Value, Ripe Ripe, string? Why);

/// <summary>A state a deed leaves on one part.</summary>
/// <param name="Key">Key of the facet on its part.</param>
/// <param name="Value">The value.</param>
/// <param name="Meant">True for what it is done for.</param>
/// <param name="Ripens">True where its own wait ripens it.</param>
internal readonly record struct LeaveAt(string Key, StateValue Value, bool Meant, bool Ripens);

/// <summary>What is needed of all that a plan makes: of these parts, whatever is due.</summary>
/// <param name="Parts">The parts.</param>
/// <param name="Asks">Which values.</param>
/// <param name="Ripe">How far they must have ripened.</param>
/// <param name="Why">Why, in the words of this deed; null for the words of the value.</param>
internal sealed record WideNeed(IReadOnlyCollection<PartId> Parts, Func<StateValue, bool> Asks, Ripe Ripe, string? Why);

/// <summary>What one deed needs, makes and spoils, of which parts. The rooms fill it in.</summary>
/// <param name="deed">The deed.</param>
/// <param name="question">What is planned.</param>
internal sealed class Statement(Deed deed, PlanQuestion question)
{
    /// <summary>Stands for the tool as a whole.</summary>
    public static readonly PartId Tool = PartId.Of("tool");

    private readonly List<NeedAt> _needs = [];
    private readonly List<LeaveAt> _leaves = [];
    private readonly List<WideNeed> _wide = [];
    private IReadOnlyList<PartId>? _parts;

    /// <summary>The deed.</summary>
    public Deed Deed => deed;

    /// <summary>What is planned.</summary>
    public PlanQuestion Q => question;

    /// <summary>Parts it is about; all that are there for one that names none.</summary>
    public IReadOnlyList<PartId> Parts
    {
        get => _parts ??= deed.Parts.Count > 0 ? deed.Parts : All;
        set => _parts = value;
    }

    /// <summary>All parts that are there, or will be when they are made or found.</summary>
    public IReadOnlyList<PartId> All => [.. question.Present.Concat(question.Gone).Select(p => p.Id)];

    /// <summary>Needs that are named.</summary>
    public IReadOnlyList<NeedAt> Needed => _needs;

    /// <summary>Needs of whatever the plan makes.</summary>
    public IReadOnlyList<WideNeed> Wide => _wide;

    /// <summary>What it leaves.</summary>
    public IReadOnlyList<LeaveAt> Leaves => _leaves;

    /// <summary>The key of a facet on a part.</summary>
    public static string Key(PartId part, StateValue value) => part.Value + value.Suffix;

    /// <summary>Needs a value on its parts.</summary>
    public Statement Needs(StateValue value, string? why = null, Ripe ripe = Ripe.Made) => Needs(Parts, value, why, ripe);

    /// <summary>Needs a value on these parts.</summary>
    public Statement Needs(IEnumerable<PartId> parts, StateValue value, string? why = null, Ripe ripe = Ripe.Made)
    {
        foreach (PartId part in parts)
        {
            _needs.Add(new NeedAt(Key(part, value), value, ripe, why));
        }
        return this;
    }

    /// <summary>Needs a value of the tool as a whole.</summary>
    public Statement NeedsOfTool(StateValue value, string? why = null) => Needs([Tool], value, why);

    /// <summary>Needs whatever the plan makes of its parts that is due by then.</summary>
    public Statement NeedsDue(Due due, string? why = null, Ripe ripe = Ripe.Through) => NeedsDue(Parts, due, why, ripe);

    /// <summary>Needs whatever the plan makes of these parts that is due by then.</summary>
    public Statement NeedsDue(IReadOnlyCollection<PartId> parts, Due due, string? why = null, Ripe ripe = Ripe.Through)
    {
        _wide.Add(new WideNeed(parts, v => (v.Due & due) != 0, ripe, why));
        return this;
    }

    /// <summary>Needs these values wherever the plan makes them of its parts, ripened through.</summary>
    public Statement NeedsMade(params IReadOnlyList<StateValue> values)
    {
        foreach (StateValue value in values)
        {
            NeedsWhereMade(Parts, value);
        }
        return this;
    }

    /// <summary>Needs these values wherever the plan makes them, on any part or of the tool as a whole.</summary>
    public Statement NeedsAnywhere(params IReadOnlyList<StateValue> values)
    {
        foreach (StateValue value in values)
        {
            NeedsWhereMade([.. All, Tool], value);
        }
        return this;
    }

    /// <summary>Needs one value on whatever part of these the plan makes it.</summary>
    public Statement NeedsWhereMade(IReadOnlyCollection<PartId> parts, StateValue value, string? why = null, Ripe ripe = Ripe.Through)
    {
        _wide.Add(new WideNeed(parts, v => v == value, ripe, why));
        return this;
    }

    /// <summary>Makes a value on its parts.</summary>
    public Statement Makes(StateValue value, bool ripens = false) => Makes(Parts, value, ripens);

    /// <summary>Makes a value on these parts.</summary>
    public Statement Makes(IEnumerable<PartId> parts, StateValue value, bool ripens = false) => Leave(parts, value, true, ripens);

    /// <summary>Makes a value of the tool as a whole.</summary>
    public Statement MakesOfTool(StateValue value) => Makes([Tool], value);

    /// <summary>Leaves a value nobody needs on its parts.</summary>
    public Statement Spoils(StateValue value) => Leave(Parts, value, false, false);

    /// <summary>Leaves a value nobody needs on these parts.</summary>
    public Statement Spoils(IEnumerable<PartId> parts, StateValue value) => Leave(parts, value, false, false);

    /// <summary>Leaves a value nobody needs of the tool as a whole.</summary>
    public Statement SpoilsOfTool(StateValue value) => Spoils([Tool], value);

    private Statement Leave(IEnumerable<PartId> parts, StateValue value, bool meant, bool ripens)
    {
        foreach (PartId part in parts)
        {
            string key = Key(part, value);
            int at = _leaves.FindIndex(l => l.Key == key);
            if (at < 0)
            {
                _leaves.Add(new LeaveAt(key, value, meant, ripens));
            }
            else if (meant)
            {
                // What it is done for says more than what its kind usually leaves.
                _leaves[at] = new LeaveAt(key, value, meant, ripens);
            }
        }
        return this;
    }
}
