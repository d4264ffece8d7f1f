using Foundling.Core.Tools;
using Foundling.Core.Log;
using Foundling.Core.State;
using Foundling.Core.Tags;

namespace Foundling.Data.Papers.Format;

/// <summary>Between what the store keeps and what travels: the only place that knows both.</summary>
public static class TagPapers
{
    private static LookItem Of(Look x) => new()
    {
        Id = x.Id, Order = x.Order, Trait = x.Trait, Variant = x.Variant, Part = x.Part, Mark = x.Mark, Reading = x.Reading, Soft = x.Soft,
        Confidence = x.Confidence, NotBeforeYear = x.NotBeforeYear, NotAfterYear = x.NotAfterYear, IssueYear = x.IssueYear,
        FilingYear = x.FilingYear, GrantYear = x.GrantYear, PictureId = x.PictureId, At = x.At,
    };

    private static Look From(LookItem x) => new()
    {
        Id = x.Id, Order = x.Order, Trait = x.Trait, Variant = x.Variant, Part = x.Part, Mark = x.Mark, Reading = x.Reading, Soft = x.Soft,
        Confidence = x.Confidence, NotBeforeYear = x.NotBeforeYear, NotAfterYear = x.NotAfterYear, IssueYear = x.IssueYear,
        FilingYear = x.FilingYear, GrantYear = x.GrantYear, PictureId = x.PictureId, At = x.At,
    };

    private static AsideItem Of(LookAside x) => new()
    {
        Id = x.Id, Trait = x.Trait, Reason = x.Reason, At = x.At,
    };

    private static LookAside From(AsideItem x) => new()
    {
        Id = x.Id, Trait = x.Trait, Reason = x.Reason, At = x.At,
    };

    private static FindingItem Of(Finding x) => new()
    {
        Id = x.Id, Part = x.Part, Kind = x.Kind, Severity = x.Severity, Note = x.Note, Round = x.Round, Place = x.Place,
        PictureId = x.PictureId, FromEdgeMm = x.FromEdgeMm, FromLeftMm = x.FromLeftMm, ToLeftMm = x.ToLeftMm, DepthMm = x.DepthMm, SizeMm = x.SizeMm,
        Doubt = x.Doubt, OnOrder = x.OnOrder, ArrivesOn = x.ArrivesOn, CountHits = x.CountHits, CountPoints = x.CountPoints, At = x.At,
    };

    private static Finding From(FindingItem x) => new()
    {
        Id = x.Id, Part = x.Part, Kind = x.Kind, Severity = x.Severity, Note = x.Note, Round = x.Round, Place = x.Place,
        PictureId = x.PictureId, FromEdgeMm = x.FromEdgeMm, FromLeftMm = x.FromLeftMm, ToLeftMm = x.ToLeftMm, DepthMm = x.DepthMm, SizeMm = x.SizeMm,
        Doubt = x.Doubt, OnOrder = x.OnOrder, ArrivesOn = x.ArrivesOn, CountHits = x.CountHits, CountPoints = x.CountPoints, At = x.At,
    };

    private static PictureItem Of(Picture x) => new()
    {
        Id = x.Id, File = x.File, Caption = x.Caption, Width = x.Width, Height = x.Height, At = x.At,
    };

    private static Picture From(PictureItem x) => new()
    {
        Id = x.Id, File = x.File, Caption = x.Caption, Width = x.Width, Height = x.Height, At = x.At,
    };

    private static MeasurementItem Of(Measurement x) => new()
    {
        Id = x.Id, Part = x.Part, Kind = x.Kind, Value = x.Value, Instrument = x.Instrument, UncertaintyMm = x.UncertaintyMm, At = x.At,
    };

    private static Measurement From(MeasurementItem x) => new()
    {
        Id = x.Id, Part = x.Part, Kind = x.Kind, Value = x.Value, Instrument = x.Instrument, UncertaintyMm = x.UncertaintyMm, At = x.At,
    };

    private static CountItem Of(CountRecord x) => new()
    {
        Id = x.Id, PictureId = x.PictureId, Part = x.Part, Kind = x.Kind, Round = x.Round, OutlinePx = [.. x.OutlinePx],
        ReferencePx = [.. x.ReferencePx], ReferenceMm = x.ReferenceMm, Points = x.Points, Seed = x.Seed, Answers = x.Answers, At = x.At,
    };

    private static CountRecord From(CountItem x) => new()
    {
        Id = x.Id, PictureId = x.PictureId, Part = x.Part, Kind = x.Kind, Round = x.Round, OutlinePx = [.. x.OutlinePx],
        ReferencePx = [.. x.ReferencePx], ReferenceMm = x.ReferenceMm, Points = x.Points, Seed = x.Seed, Answers = x.Answers, At = x.At,
    };

    internal static MarkItem Of(StepMark x) => new()
    {
        Deed = x.Deed, State = x.State, EndedAt = x.EndedAt, SkipReason = x.SkipReason, AgreedAt = x.AgreedAt, Agreed = x.Agreed,
        AgreedTo = x.AgreedTo, Overruled = x.Overruled, Arrived = x.Arrived, Without = x.Without.Count == 0 ? null : [.. x.Without],
    };

    private static StepMark From(MarkItem x) => new()
    {
        Deed = x.Deed, State = x.State, EndedAt = x.EndedAt, SkipReason = x.SkipReason, AgreedAt = x.AgreedAt, Agreed = x.Agreed,
        AgreedTo = x.AgreedTo, Overruled = x.Overruled, Arrived = x.Arrived, Without = [.. x.Without ?? []],
    };

    internal static EventItem Of(BenchEvent x) => new()
    {
        Id = x.Id, At = x.At, Kind = x.Kind, Step = x.Step, Minutes = x.Minutes, Amount = x.Amount, Text = x.Text, Helper = x.Helper,
        Corrects = x.Corrects, Bound = x.Bound, Supply = x.Supply, Quantity = x.Quantity,
    };

    internal static BenchEvent From(EventItem x) => new()
    {
        Id = x.Id, At = x.At, Kind = x.Kind, Step = x.Step, Minutes = x.Minutes, Amount = x.Amount, Text = x.Text, Helper = x.Helper,
        Corrects = x.Corrects, Bound = x.Bound, Supply = x.Supply, Quantity = x.Quantity,
    };

    private static WaitItem Of(Wait x) => new()
    {
        Id = x.Id, Step = x.Step, Kind = x.Kind, EndedBy = [.. x.EndedBy], What = x.What, StartedAt = x.StartedAt, LookInAt = x.LookInAt,
        ReadyAt = x.ReadyAt, MustBeOutAt = x.MustBeOutAt, EndedAt = x.EndedAt,
    };

    private static Wait From(WaitItem x) => new()
    {
        Id = x.Id, Step = x.Step, Kind = x.Kind, EndedBy = [.. x.EndedBy], What = x.What, StartedAt = x.StartedAt, LookInAt = x.LookInAt,
        ReadyAt = x.ReadyAt, MustBeOutAt = x.MustBeOutAt, EndedAt = x.EndedAt,
    };

    private static SurveyItem Of(SoleRecord x) => new()
    {
        Id = x.Id, Face = x.Face == FlatFaces.Sole ? null : x.Face, At = x.At, Source = x.Source, Input = x.Input,
    };

    private static SoleRecord From(SurveyItem x) => new()
    {
        Id = x.Id, Face = x.Face ?? FlatFaces.Sole, At = x.At, Source = x.Source, Input = x.Input,
    };

    private static RubItem Of(RubRecord x) => new()
    {
        Id = x.Id, At = x.At, Seen = x.Seen, Grit = x.Grit, Plate = x.Plate, Anew = x.Anew, Likely = x.Likely, Chance = x.Chance,
        StrokesLeft = x.StrokesLeft,
    };

    private static RubRecord From(RubItem x) => new()
    {
        Id = x.Id, At = x.At, Seen = x.Seen, Grit = x.Grit, Plate = x.Plate, Anew = x.Anew, Likely = x.Likely, Chance = x.Chance,
        StrokesLeft = x.StrokesLeft,
    };

    private static ProofItem Of(ProofRecord x) => new()
    {
        Id = x.Id, At = x.At, AsFound = x.AsFound, Conditions = x.Conditions, Kind = x.Kind, Degree = x.Degree, Seen = x.Seen,
        Direction = x.Direction, ReadingsMm = [.. x.ReadingsMm], TargetMm = x.TargetMm, ResolutionMm = x.ResolutionMm,
    };

    private static ProofRecord From(ProofItem x) => new()
    {
        Id = x.Id, At = x.At, AsFound = x.AsFound, Conditions = x.Conditions, Kind = x.Kind, Degree = x.Degree, Seen = x.Seen,
        Direction = x.Direction, ReadingsMm = [.. x.ReadingsMm], TargetMm = x.TargetMm, ResolutionMm = x.ResolutionMm,
    };

    /// <summary>A tag as it is written.</summary>
    public static TagBody Of(Tag x)
    {
        var more = Unread.Of(x);
        return new TagBody
        {
            Number = x.Number, Kind = x.Kind, KindFile = ToolCatalogue.Ships(x.Kind) ? null : ToolCatalogue.Kind(x.Kind).File,
            Built = x.Built.IsAsMade ? null : x.Built, Name = x.Name,
            LengthMm = x.LengthMm, IronWidthMm = x.IronWidthMm, SoleWidthMm = x.SoleWidthMm,
            MouthFrontMm = x.MouthFrontMm, Purpose = x.Purpose, Source = x.Source, Price = x.Price, ArrivedOn = x.ArrivedOn, Owner = x.Owner,
            OwnersMark = x.OwnersMark, Hand = x.Hand, Story = x.Story, PromisedOn = x.PromisedOn, Aim = x.Aim, Ways = [.. x.Ways],
            WayReasons = [.. x.WayReasons], SoldFor = x.SoldFor, SeenCautions = [.. x.SeenCautions], Wish = x.Wish, WorthSound = x.WorthSound,
            Rarity = x.Rarity, Status = x.Status, BookedAt = x.BookedAt, Version = x.Version, KnownLine = x.KnownLine,
            Looks = [.. x.Looks.Select(i => Of(i) with { More = more.At("looks", i.Id) })],
            Aside = [.. x.Aside.Select(i => Of(i) with { More = more.At("aside", i.Id) })],
            KinColour = x.KinColour, KinShadow = x.KinShadow,
            KinFit = x.KinFit,
            Findings = [.. x.Findings.Select(i => Of(i) with { More = more.At("findings", i.Id) })],
            Measurements = [.. x.Measurements.Select(i => Of(i) with { More = more.At("measurements", i.Id) })],
            Tried = x.Tried,
            TriedNote = x.TriedNote, Decision = x.Decision, DecisionReason = x.DecisionReason,
            Counts = [.. x.Counts.Select(i => Of(i) with { More = more.At("counts", i.Id) })],
            Pictures = [.. x.Pictures.Select(i => Of(i) with { More = more.At("pictures", i.Id) })],
            Plan = x.Plan,
            Marks = [.. x.Marks.Select(i => Of(i) with { More = more.At("marks", i.Deed) })],
            Log = [.. x.Log.Select(i => Of(i) with { More = more.At("log", i.Id) })],
            Waits = [.. x.Waits.Select(i => Of(i) with { More = more.At("waits", i.Id) })],
            Surveys = [.. x.Surveys.Select(i => Of(i) with { More = more.At("surveys", i.Id) })],
            Rubs = x.Rubs.Count == 0 ? null : [.. x.Rubs.Select(i => Of(i) with { More = more.At("rubs", i.Id) })],
            Proofs = [.. x.Proofs.Select(i => Of(i) with { More = more.At("proofs", i.Id) })],
            More = more.At("", ""),
        };
    }

    /// <summary>The tag that was written.</summary>
    public static Tag From(TagBody x) => new()
    {
        Number = x.Number, Kind = x.Kind, Built = x.Built ?? ToolBuild.AsMade, Name = x.Name,
            LengthMm = x.LengthMm, IronWidthMm = x.IronWidthMm, SoleWidthMm = x.SoleWidthMm,
        MouthFrontMm = x.MouthFrontMm, Purpose = x.Purpose, Source = x.Source, Price = x.Price, ArrivedOn = x.ArrivedOn, Owner = x.Owner,
        OwnersMark = x.OwnersMark, Hand = x.Hand, Story = x.Story, PromisedOn = x.PromisedOn, Aim = x.Aim, Ways = [.. x.Ways],
        WayReasons = [.. x.WayReasons], SoldFor = x.SoldFor, SeenCautions = [.. x.SeenCautions], Wish = x.Wish, WorthSound = x.WorthSound,
        Rarity = x.Rarity, Status = x.Status, BookedAt = x.BookedAt, Version = x.Version, KnownLine = x.KnownLine,
        Looks = [.. x.Looks.Select(From)], Aside = [.. x.Aside.Select(From)], KinColour = x.KinColour, KinShadow = x.KinShadow,
        KinFit = x.KinFit, Findings = [.. x.Findings.Select(From)], Measurements = [.. x.Measurements.Select(From)], Tried = x.Tried,
        TriedNote = x.TriedNote, Decision = x.Decision, DecisionReason = x.DecisionReason, Counts = [.. x.Counts.Select(From)],
        Pictures = [.. x.Pictures.Select(From)], Plan = x.Plan, Marks = [.. x.Marks.Select(From)], Log = [.. x.Log.Select(From)],
        Waits = [.. x.Waits.Select(From)], Surveys = [.. x.Surveys.Select(From)], Rubs = [.. (x.Rubs ?? []).Select(From)], Proofs = [.. x.Proofs.Select(From)],
        Unread = Unread.Gather(x),
    };
}
