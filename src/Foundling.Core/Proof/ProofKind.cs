
namespace Foundling.Core.Proof;

/// <summary>A test that shows what a tool can do.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">What is tested, as a heading.</param>
/// <param name="How">How the reading is taken.</param>
/// <param name="On">What belongs to the reading: wood, figure, size.</param>
/// <param name="Kit">What it takes.</param>
public abstract record ProofKind(string Id, string Name, string How, string On, IReadOnlyList<SupplyId> Kit);

/// <summary>A proof by repeated readings of a length against a target.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">What is tested, as a heading.</param>
/// <param name="How">How the reading is taken.</param>
/// <param name="On">What belongs to the reading: wood, figure, size.</param>
/// <param name="Kit">What it takes.</param>
/// <param name="Measures">What is read, in words.</param>
/// <param name="Direction">Which side of the target is good.</param>
/// <param name="TargetMm">Target, mm; assumed, and may be changed.</param>
/// <param name="StepMm">Least step of the usual instrument, mm.</param>
public sealed record MeasuredProof(string Id, string Name, string How, string On, IReadOnlyList<SupplyId> Kit, string Measures, Direction Direction,
    double TargetMm, double StepMm)
    : ProofKind(Id, Name, How, On, Kit);

/// <summary>A proof by what one sees, on a scale of words from good to bad; only the first is a proof.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">What is tested, as a heading.</param>
/// <param name="How">How the reading is taken.</param>
/// <param name="On">What belongs to the reading: wood, figure, size.</param>
/// <param name="Kit">What it takes.</param>
/// <param name="Degrees">What one would see, the good end first.</param>
public sealed record SeenProof(string Id, string Name, string How, string On, IReadOnlyList<SupplyId> Kit, IReadOnlyList<string> Degrees) : ProofKind(Id, Name,
    How, On, Kit);
