using Foundling.Core.Safety;

namespace Foundling.Core.Tools;

/// <summary>A part, or what several are called together, in the order something is done.</summary>
/// <param name="Words">What it is called there.</param>
public sealed record InTurn(string Words)
{
    /// <summary>It is named when one of these is there; none for always.</summary>
    public IReadOnlyList<PartId> Parts { get; init; } = [];

    /// <summary>A part with which it is called otherwise; null for none.</summary>
    public PartId? Unless { get; init; }

    /// <summary>True when it is said of a tool with these parts.</summary>
    public bool Holds(Func<PartId, bool> has) => (Parts.Count == 0 || Parts.Any(has)) && !(Unless is { } other && has(other));

    /// <summary>The words of those that are said of a tool with these parts.</summary>
    public static IReadOnlyList<string> Said(IEnumerable<InTurn> turns, Func<PartId, bool> has) => [.. turns.Where(t => t.Holds(has)).Select(t => t.Words)];
}

/// <summary>An order of doing something, with what to mind.</summary>
/// <param name="Title">What is done: "Take it apart".</param>
public sealed record Doing(string Title)
{
    /// <summary>In which order; empty where the title says it all.</summary>
    public IReadOnlyList<InTurn> Order { get; init; } = [];

    /// <summary>What to mind; each sentence only where one of its parts is there.</summary>
    public IReadOnlyList<InTurn> Minding { get; init; } = [];

    /// <summary>What follows at once and belongs to the title; only where one of its parts is there.</summary>
    public InTurn? Then { get; init; }

    /// <summary>What is done, and in which order, on a tool that has these parts.</summary>
    /// <param name="has">True for a part that is there.</param>
    public string Said(Func<PartId, bool> has)
    {
        IReadOnlyList<string> turns = InTurn.Said(Order, has);
        string title = Then is { } then && then.Parts.Any(has) ? $"{Title}, {then.Words}" : Title;
        return turns.Count == 0 ? title : $"{title}: {string.Join(", ", turns)}";
    }

    /// <summary>What to mind on a tool that has these parts.</summary>
    /// <param name="has">True for a part that is there.</param>
    public string Minded(Func<PartId, bool> has) => string.Join(" ", InTurn.Said(Minding, has));
}

/// <summary>What is particular to a kind, in the words of its plan.</summary>
/// <param name="Apart">How it is taken apart.</param>
/// <param name="Together">How it is put together.</param>
public sealed record KindManner(Doing Apart, Doing Together)
{
    /// <summary>What is noted before that, after "Note "; each only where one of its parts is there.</summary>
    public IReadOnlyList<InTurn> Settings { get; init; } = [];

    /// <summary>Faces that are left bare when it is coated; null where it is not coated.</summary>
    public IReadOnlyList<InTurn>? Bare { get; init; }

    /// <summary>How it is tried as found; null to try it as its family is.</summary>
    public string? Trial { get; init; }

    /// <summary>What hurts whoever tries or proves it; null where nothing does.</summary>
    public CautionId? Danger { get; init; }

    /// <summary>Where its metal sole must bear.</summary>
    public string Sole { get; init; } = "toe, mouth and heel";

    /// <summary>The side of the edge without a bevel, where it is no plain back.</summary>
    public string? Face { get; init; }

    /// <summary>How that side is made true; null for as its edge has it.</summary>
    public string? Back { get; init; }

    /// <summary>How its bevel is ground; null for as its edge has it.</summary>
    public string? Grind { get; init; }

    /// <summary>What else there is to honing it; null for nothing.</summary>
    public string? Honing { get; init; }

    /// <summary>Places on its wood that get no finish; null for none.</summary>
    public string? Unfinished { get; init; }

    /// <summary>What is oiled and waxed at the end; null for as its family has it.</summary>
    public string? Protect { get; init; }

    /// <summary>False where no honing jig holds its blade.</summary>
    public bool Jig { get; init; } = true;

    /// <summary>The part its way of coming apart and together is about; a tool that never had it is done in the plain way.</summary>
    public PartId? About { get; init; }

    /// <summary>The manner of a tool with these parts.</summary>
    /// <param name="made">True for a part it was made with.</param>
    public KindManner On(Func<PartId, bool> made) => About is { } about && !made(about) ? this with { Apart = Plain.Apart, Together = Plain.Together } : this;

    /// <summary>The manner of a kind nothing particular is known of.</summary>
    public static KindManner Plain { get; } = new(
        new("Take it apart as far as it should come") { Minding = [new("Only what lifts off without force.")] },
        new("Put it together") { Minding = [new("Reverse of how it came apart.")] });
}
