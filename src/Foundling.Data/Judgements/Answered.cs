using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Data.Judgements;

/// <summary>Minutes as they are added up and as they are said.</summary>
/// <param name="Mean">Mean of the sum.</param>
/// <param name="Sd">Its standard deviation, with the common spread.</param>
/// <param name="P50">What five in ten do not exceed.</param>
/// <param name="P80">What eight in ten do not exceed.</param>
/// <param name="Said">In words, rounded as a person would.</param>
public sealed record MinutesSaid(double Mean, double Sd, double P50, double P80, string Said);

/// <summary>An edge of a plan.</summary>
/// <param name="Id">The earlier step.</param>
/// <param name="Why">Why it comes first.</param>
/// <param name="LeastMin">Minutes that must have passed since; 0 for none.</param>
/// <param name="MostMin">Minutes that may have passed since; null for no end.</param>
/// <param name="Kind">How that time ends; null where none passes.</param>
public sealed record EdgeSaid(DeedId Id, string Why, double LeastMin, double? MostMin, LagKind? Kind);

/// <summary>A wait after a step.</summary>
/// <param name="Kind">How it ends.</param>
/// <param name="LeastMin">Ready after so many minutes.</param>
/// <param name="MostMin">It must end by then; null where it may stand.</param>
/// <param name="LookInMin">Looked in on after so many; null for not.</param>
public sealed record WaitSaid(LagKind Kind, double LeastMin, double? MostMin, double? LookInMin);

/// <summary>What a step needs.</summary>
/// <param name="Id">The supply.</param>
/// <param name="Name">Its name.</param>
/// <param name="Kit">True for what is used again and again.</param>
/// <param name="Amount">How much; null for kit.</param>
/// <param name="Unit">Unit of the amount.</param>
/// <param name="UsedUp">How much of it is gone afterwards, where the rest serves again.</param>
public sealed record NeedSaid(SupplyId Id, string Name, bool Kit, double? Amount, string Unit, double? UsedUp);

/// <summary>A step of a plan.</summary>
/// <param name="Id">Key within the plan.</param>
/// <param name="Deed">What is done in it.</param>
/// <param name="Stage">Stage of the work.</param>
/// <param name="Title">What to do.</param>
/// <param name="Parts">Parts it is about.</param>
/// <param name="Minutes">Hands-on minutes: low, likely, high.</param>
/// <param name="Chance">How likely it comes up at all.</param>
/// <param name="Wait">What waits after it; null for nothing.</param>
/// <param name="Needs">What it needs.</param>
/// <param name="After">What comes before it, and what must have passed since.</param>
/// <param name="Undoable">False when it cannot be undone.</param>
/// <param name="MetalMm">Metal it takes off, mm.</param>
/// <param name="SurfaceLost">Original surface it costs; null for none.</param>
/// <param name="Cautions">What the hurt could be.</param>
/// <param name="Rule">The rule that put it in.</param>
/// <param name="Choice">The choice of ways it follows from; null for none.</param>
/// <param name="Block">The unbroken block it belongs to; null for none.</param>
/// <param name="Reason">Why.</param>
/// <param name="How">How.</param>
/// <param name="FinishTest">How to know that it is finished.</param>
/// <param name="StartMin">Earliest start, minutes from the first step, when only waits and order hold it up.</param>
public sealed record StepSaid(DeedId Id, DeedKind Deed, Stage Stage, string Title, IReadOnlyList<PartId> Parts, ThreePoint Minutes, double Chance,
    WaitSaid? Wait, IReadOnlyList<NeedSaid> Needs, IReadOnlyList<EdgeSaid> After, bool Undoable, double MetalMm, SurfaceId? SurfaceLost,
    IReadOnlyList<CautionId> Cautions, string Rule, ChoiceId? Choice, Block? Block, string Reason, string How, string FinishTest, double StartMin);

/// <summary>A way as it is taken.</summary>
/// <param name="Choice">The choice.</param>
/// <param name="Way">The way.</param>
/// <param name="By">Who chose it.</param>
/// <param name="Why">What the book says for the way it advises.</param>
public sealed record WayTaken(ChoiceId Choice, WayId Way, ChosenBy By, string Why);

/// <summary>What a plan does about a finding.</summary>
/// <param name="Part">The part.</param>
/// <param name="Kind">What was found.</param>
/// <param name="Severity">How much.</param>
/// <param name="By">Steps that answer it.</param>
/// <param name="WhyNot">Why nothing is done about it; null when something is.</param>
public sealed record FindingSaid(PartId Part, FindingKind Kind, int Severity, IReadOnlyList<DeedId> By, string? WhyNot);

/// <summary>A plan.</summary>
/// <param name="Aim">How far it goes.</param>
/// <param name="Ways">The ways it goes.</param>
/// <param name="Steps">Its steps, in order.</param>
/// <param name="Minutes">Hands-on minutes in all.</param>
/// <param name="Unsure">What makes that unsure most, and what would settle it; null where nothing stands out.</param>
/// <param name="ElapsedMin">From the first step to the end of the last wait: the longest way through its edges, by likely minutes.</param>
/// <param name="WaitingMin">Waiting on that way.</param>
/// <param name="Supplies">Everything it needs, amounts added up.</param>
/// <param name="MaterialsCost">What its materials cost, in the shop's money; assumed prices.</param>
/// <param name="Findings">What it does about each finding that is plain to see.</param>
public sealed record PlanAnswer(AimKind Aim, IReadOnlyList<WayTaken> Ways, IReadOnlyList<StepSaid> Steps, MinutesSaid Minutes, string? Unsure,
    double ElapsedMin, double WaitingMin, IReadOnlyList<NeedSaid> Supplies, double MaterialsCost, IReadOnlyList<FindingSaid> Findings);

/// <summary>A way beside the others.</summary>
/// <param name="Way">The way.</param>
/// <param name="Name">Its name.</param>
/// <param name="School">Who works like that, and for what.</param>
/// <param name="Taken">It is the one taken.</param>
/// <param name="Blocked">What closes it, in a sentence; null when it is open.</param>
/// <param name="Minutes">Hands-on minutes of its own steps; null when it is closed.</param>
/// <param name="WaitMin">Waiting of its own steps.</param>
/// <param name="Cost">Materials of its own steps.</param>
/// <param name="Adds">Steps it would bring into the rod.</param>
/// <param name="Drops">Steps it would take out.</param>
/// <param name="Changes">Steps it would do otherwise.</param>
/// <param name="MinutesMore">Likely minutes more, or less, of the whole rod.</param>
public sealed record WaySaid(WayId Way, string Name, string School, bool Taken, string? Blocked, MinutesSaid? Minutes, double WaitMin, double Cost,
    IReadOnlyList<DeedId> Adds, IReadOnlyList<DeedId> Drops, IReadOnlyList<DeedId> Changes, double MinutesMore);

/// <summary>A choice with its ways.</summary>
/// <param name="Choice">The choice.</param>
/// <param name="Question">What is asked.</param>
/// <param name="By">Who chose the way taken.</param>
/// <param name="Why">What the book says.</param>
/// <param name="Ways">The ways.</param>
public sealed record ChoiceSaid(ChoiceId Choice, string Question, ChosenBy By, string Why, IReadOnlyList<WaySaid> Ways);

/// <summary>The ways of a tool side by side.</summary>
/// <param name="Aim">How far it goes.</param>
/// <param name="Choices">The choices that are asked.</param>
public sealed record WaysAnswer(AimKind Aim, IReadOnlyList<ChoiceSaid> Choices);

/// <summary>An aim beside the others.</summary>
/// <param name="Aim">The aim.</param>
/// <param name="Steps">How many steps.</param>
/// <param name="Minutes">Hands-on minutes.</param>
/// <param name="ElapsedMin">The longest way through.</param>
/// <param name="WaitingMin">Waiting on it.</param>
/// <param name="MaterialsCost">What its materials cost.</param>
/// <param name="MetalMm">Most metal taken off a working part, mm.</param>
/// <param name="SurfacesLost">Original surfaces it costs.</param>
/// <param name="LostShare">Share of the original surface it costs; assumed.</param>
/// <param name="Final">Steps that cannot be undone.</param>
/// <param name="WorthAfter">Worth with what is lost; null when a sound one's is not known. Assumed.</param>
/// <param name="BuysMost">The step that buys most of the result.</param>
/// <param name="BuysShare">Share of the result it buys.</param>
/// <param name="StopAfter">The step after which most of the result is there; null for none before the end.</param>
public sealed record AimSaid(AimKind Aim, int Steps, MinutesSaid Minutes, double ElapsedMin, double WaitingMin, double MaterialsCost, double MetalMm,
    IReadOnlyList<string> SurfacesLost, double LostShare, IReadOnlyList<DeedId> Final, double? WorthAfter, DeedId? BuysMost, double BuysShare,
        DeedId? StopAfter);

/// <summary>The aims side by side.</summary>
/// <param name="Advised">The aim the book would take.</param>
/// <param name="Why">Why.</param>
/// <param name="Aims">All of them.</param>
public sealed record AimAnswer(AimKind Advised, string Why, IReadOnlyList<AimSaid> Aims);

/// <summary>What the stall check says.</summary>
/// <param name="Verdict">Restore it, restore it if, for its parts, or leave it.</param>
/// <param name="Stoppers">What stops a restoration.</param>
/// <param name="Doubts">What must be looked at before deciding.</param>
/// <param name="Work">What is only work.</param>
/// <param name="WorthSaving">Sound parts worth keeping when it is for parts.</param>
/// <param name="Minutes">Hands-on minutes at the aim.</param>
/// <param name="MaterialsCost">What its materials cost.</param>
/// <param name="HighestPrice">The most that is sensible to pay; null when its worth is not known.</param>
/// <param name="WorthBuyingAtAsking">Whether the asking price is sensible; null where one of the two is not known.</param>
public sealed record StallAnswered(Verdict Verdict, IReadOnlyList<TriageReason> Stoppers, IReadOnlyList<TriageReason> Doubts, IReadOnlyList<TriageReason> Work,
    IReadOnlyList<PartId> WorthSaving, MinutesSaid Minutes, double MaterialsCost, double? HighestPrice, bool? WorthBuyingAtAsking);
