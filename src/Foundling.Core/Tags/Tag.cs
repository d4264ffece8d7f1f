using System.Globalization;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Safety;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Tools;
using Foundling.Core.Units;

namespace Foundling.Core.Tags;

/// <summary>Where a tool stands.</summary>
public enum TagStatus
{
    /// <summary>On the bench or waiting for it.</summary>
    InHand,

    /// <summary>Used, though steps are still open.</summary>
    InUse,

    /// <summary>Finished and on the rack.</summary>
    Done,

    /// <summary>Gone to its owner or sold.</summary>
    Left,
}

/// <summary>The record of one tool, from arrival to leaving.</summary>
public sealed class Tag
{
    /// <summary>Tag number; written F-0042.</summary>
    public int Number { get; set; }

    /// <summary>Kind of tool, a key of <see cref="ToolCatalogue"/>.</summary>
    public KindId Kind { get; set; }

    /// <summary>What people call it.</summary>
    public string Name { get; set; } = "";

    /// <summary>Measured length, mm.</summary>
    public double? LengthMm { get; set; }

    /// <summary>Measured iron or blade width, mm.</summary>
    public double? IronWidthMm { get; set; }

    /// <summary>Measured width of the sole, mm.</summary>
    public double? SoleWidthMm { get; set; }

    /// <summary>Front of the mouth from the toe, mm.</summary>
    public double? MouthFrontMm { get; set; }

    /// <summary>What its sole is for.</summary>
    public SolePurpose? Purpose { get; set; }

    /// <summary>Lot it came in; null for none. A lot stays with its shop.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public int? LotId { get; set; }

    /// <summary>Where it came from.</summary>
    public string Source { get; set; } = "";

    /// <summary>What was paid.</summary>
    public decimal? Price { get; set; }

    /// <summary>The day it came.</summary>
    public DateOnly ArrivedOn { get; set; }

    /// <summary>Whose it is.</summary>
    public string Owner { get; set; } = "";

    /// <summary>Name or initials stamped on it by an owner.</summary>
    public string OwnersMark { get; set; } = "";

    /// <summary>Which hand it is for.</summary>
    public Hand Hand { get; set; }

    /// <summary>Its story.</summary>
    public string Story { get; set; } = "";

    /// <summary>The day it is promised.</summary>
    public DateOnly? PromisedOn { get; set; }

    /// <summary>How far to go.</summary>
    public AimKind? Aim { get; set; }

    /// <summary>Ways chosen for this tool, each as "choice=way".</summary>
    public List<string> Ways { get; set; } = [];

    /// <summary>Why a way was chosen, each as "choice=words"; only for choices that stand.</summary>
    public List<string> WayReasons { get; set; } = [];

    /// <summary>What it was sold for when it went; null while it is here, or it was given away.</summary>
    public decimal? SoldFor { get; set; }

    /// <summary>Cautions that were seen on this tool.</summary>
    public List<CautionId> SeenCautions { get; set; } = [];

    /// <summary>What the owner wishes, in the owner's words.</summary>
    public string Wish { get; set; } = "";

    /// <summary>What a sound one is worth.</summary>
    public decimal? WorthSound { get; set; }

    /// <summary>How often such a tool turns up; null when not said.</summary>
    public Core.Aim.Rarity? Rarity { get; set; }

    /// <summary>Where it stands.</summary>
    public TagStatus Status { get; set; }

    /// <summary>When it came in a bundle from another shop; null for a tag of this one. It stays with this shop.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public DateTimeOffset? ImportedAt { get; set; }

    /// <summary>When it was booked in.</summary>
    public DateTimeOffset BookedAt { get; set; }

    /// <summary>What came with it in a bundle and this version does not know, as it was written; it goes out again with it.</summary>
    public string Unread { get; set; } = "";

    /// <summary>Counts changes; guards against two people overwriting one another.</summary>
    public int Version { get; set; }

    /// <summary>Pattern line it is known to be of, from a name or papers; null while it is for the evidence to say.</summary>
    public string? KnownLine { get; set; }

    /// <summary>Looks taken and marks read, in the order they were entered.</summary>
    public List<Look> Looks { get; set; } = [];

    /// <summary>Looks set aside: not to be told, or to be taken when the tool is apart.</summary>
    public List<LookAside> Aside { get; set; } = [];

    /// <summary>Colour of wedge and iron against one another; null when not looked at.</summary>
    public Origin.KinLook? KinColour { get; set; }

    /// <summary>Shadow line where the other part covered it.</summary>
    public Origin.KinLook? KinShadow { get; set; }

    /// <summary>How wedge and iron fit.</summary>
    public Origin.KinLook? KinFit { get; set; }

    /// <summary>What is wrong with it.</summary>
    public List<Finding> Findings { get; set; } = [];

    /// <summary>What was measured, earlier values kept.</summary>
    public List<Measurement> Measurements { get; set; } = [];

    /// <summary>What it did when it was tried as found, in a word; null while it was not tried.</summary>
    public State.AsFoundTry? Tried { get; set; }

    /// <summary>What it did, and how it was set, before it was touched.</summary>
    public string TriedNote { get; set; } = "";

    /// <summary>What the owner of the decision decided, whatever the verdict; null while undecided.</summary>
    public State.Verdict? Decision { get; set; }

    /// <summary>Why.</summary>
    public string DecisionReason { get; set; } = "";

    /// <summary>Counts on pictures.</summary>
    public List<CountRecord> Counts { get; set; } = [];

    /// <summary>Pictures.</summary>
    public List<Picture> Pictures { get; set; } = [];

    /// <summary>Key of its plan as it stands in the store; null for none. It stays with its shop.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public Guid? PlanId { get; set; }

    /// <summary>Its plan as it stands; null for none.</summary>
    public Plan? Plan { get; set; }

    /// <summary>How the deeds of its plan stand, those nothing happened to left out.</summary>
    public List<StepMark> Marks { get; set; } = [];

    /// <summary>What happened at the bench; only ever added to. It grows without end, so it is only here when it was asked for.</summary>
    public List<BenchEvent> Log { get; set; } = [];

    /// <summary>Soaks, glue, coats: what stands.</summary>
    public List<Wait> Waits { get; set; } = [];

    /// <summary>Surveys of the sole and of its other flat faces.</summary>
    public List<SoleRecord> Surveys { get; set; } = [];

    /// <summary>Surveys of one face, the latest last.</summary>
    public IReadOnlyList<SoleRecord> SurveysOf(string face) => [.. Surveys.Where(s => s.Face == face)];

    /// <summary>The latest survey of a face; null where none was made.</summary>
    public SoleRecord? LastSurveyOf(string face) => Surveys.FindLast(s => s.Face == face);

    /// <summary>Rubs of the marked sole.</summary>
    public List<RubRecord> Rubs { get; set; } = [];

    /// <summary>Rubs that add up to what is known now, in order.</summary>
    public IEnumerable<RubRecord> RubsNow => Rubs.Skip(Math.Max(0, Rubs.FindLastIndex(r => r.Anew)));

    /// <summary>Proof readings.</summary>
    public List<ProofRecord> Proofs { get; set; } = [];

    /// <summary>The number as it is written on the paper tag.</summary>
    public string Label => LabelOf(Number);

    /// <summary>A tag number as it is written.</summary>
    public static string LabelOf(int number) => $"F-{number:0000}";

    /// <summary>Reads a tag number as people write it: "F-0042", "f42", "42".</summary>
    /// <exception cref="InputException">It is no tag number.</exception>
    public static int ReadNumber(string text)
    {
        string digits = text.Trim().TrimStart('F', 'f').TrimStart('-', ' ');
        return int.TryParse(digits, NumberStyles.None, CultureInfo.InvariantCulture, out int number) && number > 0 ? number
            : throw new InputException("unknown_tag", "tag", text, "a tag of this shop",
                $"\"{Shorten.To(text, 40)}\" is no tag number; write it like {LabelOf(42)}.");
    }

    /// <summary>How it differs from its kind.</summary>
    public ToolBuild Built { get; set; } = ToolBuild.AsMade;

    /// <summary>Its kind as this tool has it: its own parts, materials and finishes.</summary>
    public ToolKind Tool() => Built.Of(ToolCatalogue.Kind(Kind));

    private readonly Dictionary<DeedId, StepMark> _unmarked = [];

    private (Plan? Plan, int Marks, IReadOnlyList<PlanStep> Steps, Dictionary<DeedId, PlanStep> ById) _rod = (null, 0, [], []);

    /// <summary>The rod: every deed of its plan in order, with how it stands. A step says how it stands now, also when that changes.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IReadOnlyList<PlanStep> Steps
    {
        get
        {
            if (!ReferenceEquals(_rod.Plan, Plan) || _rod.Marks != Marks.Count)
            {
                var marks = new Dictionary<DeedId, StepMark>();
                Marks.ForEach(m => marks.TryAdd(m.Deed, m));
                List<PlanStep> steps = [.. (Plan?.Deeds ?? []).Select((d, i) => new PlanStep(d, marks.GetValueOrDefault(d.Id) ?? MarkOf(d.Id), i + 1))];
                var byId = new Dictionary<DeedId, PlanStep>(steps.Count);
                steps.ForEach(s => byId.TryAdd(s.Key, s));
                _rod = (Plan, Marks.Count, steps, byId);
            }
            return _rod.Steps;
        }
    }

    // What nothing happened to has a mark that is not kept until something does.
    private StepMark MarkOf(DeedId id)
    {
        StepMark? mark = Marks.Find(m => m.Deed == id) ?? _unmarked.GetValueOrDefault(id);
        return mark ?? (_unmarked[id] = new StepMark { Deed = id });
    }

    /// <summary>The step of a key, or null.</summary>
    public PlanStep? Step(DeedId id) => Steps.Count == 0 ? null : _rod.ById.GetValueOrDefault(id);

    /// <summary>The step a form or an address names, or null.</summary>
    public PlanStep? StepNamed(string? key) => DeedId.TryParse(key, null, out DeedId id) ? Step(id) : null;

    /// <summary>How a deed stands, for changing.</summary>
    public StepMark Mark(DeedId id)
    {
        StepMark mark = MarkOf(id);
        if (_unmarked.Remove(id))
        {
            Marks.Add(mark);
        }
        return mark;
    }

    /// <summary>Something happened to it at the bench: it is noted, and changes how its step stands.</summary>
    public void Happened(BenchEvent happened)
    {
        Log.Add(happened);
        if (Core.Log.Standings.Speaks(happened))
        {
            Core.Log.Standings.Apply(Mark(happened.Step!.Value), happened);
        }
    }

    /// <summary>Keeps a measurement; earlier ones stay, and the log says so.</summary>
    public void Take(Measurement measurement)
    {
        measurement.At = After(measurement.At, Measurements.LastOrDefault()?.At);
        Measurements.Add(measurement);
        string name = MeasureKinds.Find(measurement.Kind)?.Name ?? measurement.Kind.Value;
        Measured(measurement.At, $"{Tool().Part(measurement.Part)?.Name ?? measurement.Part.Value}, {name}"
            + (measurement.Fact() is { } reading ? $": {reading.Quantity}" : ""));
    }

    /// <summary>Keeps a measurement that is another than is known; the same figure again is no measurement.</summary>
    /// <param name="part">The part it was taken on.</param>
    /// <param name="kind">What was measured.</param>
    /// <param name="value">The figure, in the unit of its kind.</param>
    /// <param name="with">What it was taken with.</param>
    /// <param name="a">How far off that may be.</param>
    /// <param name="now">Now.</param>
    public void TakeIfOther(PartId part, MeasureId kind, double value, Instrument with, Assumptions a, DateTimeOffset now)
    {
        if (Facts().Measured(kind, part) is not double known || Math.Abs(known - value) > Whole.Slack)
        {
            Take(new Measurement { Id = Guid.CreateVersion7(now), Part = part, Kind = kind, Value = value, Instrument = with, At = now,
                UncertaintyMm = MeasureKinds.UncertaintyMm(with, a) });
        }
    }

    /// <summary>Keeps a survey of a face, and the log says so.</summary>
    /// <param name="survey">The survey.</param>
    /// <param name="face">What the face is called.</param>
    /// <param name="goesOn">The one it goes on with, which it stands for from now on; null for none.</param>
    public void Take(SoleRecord survey, string face = FlatFaces.Sole, SoleRecord? goesOn = null)
    {
        Surveys.RemoveAll(s => s == goesOn);
        survey.At = After(survey.At, Surveys.LastOrDefault()?.At);
        Surveys.Add(survey);
        Measured(survey.At, $"Survey of the {face}: {survey.Said}");
    }

    // What is taken one after the other stays so, even within a tick of the clock.
    private static DateTimeOffset After(DateTimeOffset at, DateTimeOffset? last) => at <= last ? last.Value.AddMilliseconds(1) : at;

    /// <summary>Keeps what a rub left of the marks, and the log says so.</summary>
    public void Take(RubRecord rub)
    {
        rub.At = After(rub.At, Rubs.LastOrDefault()?.At);
        Rubs.Add(rub);
        Measured(rub.At, $"Marks on the sole: {rub.Said}");
    }

    /// <summary>Keeps proof readings, and the log says so.</summary>
    public void Take(ProofRecord proof)
    {
        Proofs.Add(proof);
        Measured(proof.At, $"Proof{(proof.AsFound ? " as found" : "")}: {proof.Said}");
    }

    private void Measured(DateTimeOffset at, string text) => Happened(BenchEvent.New(at, EventKind.Measured, text));

    /// <summary>True once it was taken apart and before it is put together again.</summary>
    public bool IsApart() => Steps.Any(s => s.Key.Step is StepKey.Apart or StepKey.RollCall && s.State == StepState.Done)
        && !Steps.Any(s => s.Stage == Rod.Stage.Together
        && s.State == StepState.Done);

    /// <summary>True for a part a tool of this kind has; what speaks of another part is set aside.</summary>
    public bool Has(PartId part) => Tool().Part(part) is not null;

    /// <summary>What stands: everything found that no later look at the same place of the same part has replaced. What is set aside does not.</summary>
    public IReadOnlyList<Finding> Standing() => [.. Findings.Where(f => Has(f.Part) && !Findings.Any(f.GivesWayTo))];

    /// <summary>The last measurement of a kind on a part, or null.</summary>
    public Measurement? Measured(PartId part, MeasureId kind) => Measurements.LastOrDefault(m => m.Part == part && m.Kind == kind);

    /// <summary>The looks at wedge and iron together, or null when none was taken.</summary>
    public Origin.Kinship? Kinship() =>
        (KinColour ?? KinShadow ?? KinFit) is null || !Has(PartIds.Wedge) ? null : new Origin.Kinship(KinColour, KinShadow, KinFit);

    /// <summary>What is known of it now.</summary>
    public Facts Facts() => Facts(Tool());

    /// <summary>What is known of it now, where its kind may be in no book.</summary>
    /// <param name="tool">Its kind as this tool has it.</param>
    public Facts Facts(ToolKind tool) => new(tool, [.. Findings.Where(f => tool.Made(f.Part) && !Findings.Any(f.GivesWayTo)).Select(f => f.Fact())])
    {
        Build = new Build(LengthMm, IronWidthMm, SoleWidthMm, MouthFrontMm, Purpose, Hand),
        Readings = [.. Measurements.Where(m => tool.Made(m.Part)).Select(m => m.Fact()).OfType<Reading>()],
        Surveys = [.. SurveysOf(FlatFaces.Sole).Select(s => s.Input)],
        FaceSurveys = [.. Surveys.Where(s => s.Face != FlatFaces.Sole).GroupBy(s => s.Face).Select(g => (g.Key, g.Last().Input))],
        Marked = Rubs.Count > 0 && !SurveysOf(FlatFaces.Sole).Any(s => s.At >= Rubs[^1].At)
            ? new MarkedSole(Rubs[^1].Likely, Rubs[^1].Chance, Rubs[^1].StrokesLeft, Rubs[^1].Grit) : null,
        Looks = [.. Looks.Select(l => l.ToObservation())],
        Kinship = tool.Made(PartIds.Wedge) ? Kinship() : null,
        Tried = Tried,
    };

    /// <summary>Its drawing, at what was measured on it.</summary>
    public Profile Profile() => Facts().Profile();

    /// <summary>What to call it: its name, or its kind with its length.</summary>
    public string Title => Name.Length > 0 ? Name : Tool().Name;
}
