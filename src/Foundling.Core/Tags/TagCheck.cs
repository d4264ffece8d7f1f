using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Tags;

/// <summary>Something on a tag that does not hold together.</summary>
/// <param name="List">Which list of the tag it is in; empty for the tag itself.</param>
/// <param name="Key">Its key there.</param>
/// <param name="Sentence">What is wrong with it.</param>
public sealed record TagFault(string List, string Key, string Sentence);

/// <summary>
/// Judges a whole tag: what comes from elsewhere before anything of it is kept, and what is kept when a page of it cannot be
/// shown. What is said here is what every page may rely on.
/// </summary>
public static class TagCheck
{
    /// <summary>Most letters of a line, of a note, and of a story.</summary>
    public const int MostLine = 500, MostNote = 4000, MostStory = 20_000;

    /// <summary>Most entries of each list of a tag.</summary>
    public static IReadOnlyDictionary<string, int> Most { get; } = new Dictionary<string, int>
    {
        [nameof(Tag.Looks)] = 400, [nameof(Tag.Aside)] = 400, [nameof(Tag.Findings)] = 1000, [nameof(Tag.Measurements)] = 2000, [nameof(Tag.Counts)] = 200,
            [nameof(Tag.Pictures)] = 400,
        ["Deeds"] = 400, [nameof(Tag.Marks)] = 800, [nameof(Tag.Log)] = 25_000, [nameof(Tag.Waits)] = 500, [nameof(Tag.Surveys)] = 60, [nameof(Tag.Rubs)] = 400,
            [nameof(Tag.Proofs)] = 400,
    };

    private const double MostMinutes = 10_000, MostWaitMinutes = 600_000, MostLengthMm = 5000, MostMoney = 1_000_000;
    private const int FirstYear = 1950, LastYear = 2200;

    private static readonly HashSet<PartId> Parts = [.. ToolCatalogue.Kinds.SelectMany(k => k.Parts).Select(p => p.Id)];

    /// <summary>Everything that does not hold together; empty for a sound tag.</summary>
    /// <param name="tag">The tag.</param>
    /// <param name="assumptions">What the shop it is to be shown in assumes.</param>
    public static IReadOnlyList<TagFault> Of(Tag tag, Assumptions assumptions)
    {
        var faults = new List<TagFault>();
        void Tell(string list, string key, string sentence) => faults.Add(new TagFault(list, key, sentence));
        void Check(string list, string key, Action judge)
        {
            try
            {
                judge();
            }
            catch (InputException fault)
            {
                Tell(list, key, fault.Sentence);
            }
            catch (Exception fault) when (fault is NullReferenceException or ArgumentException or InvalidOperationException or IndexOutOfRangeException
                or ArithmeticException or KeyNotFoundException)
            {
                Tell(list, key, "It does not hold together.");
            }
        }
        void Each<T>(string list, IReadOnlyList<T?> items, Func<T, string> key, Action<T> judge)
            where T : class
        {
            if (items.Count > Most[list])
            {
                Tell("", list, $"It has {items.Count:#,0} {list.ToLowerInvariant()}; {Most[list]:#,0} are the most.");
                return;
            }
            foreach (T? item in items)
            {
                if (item is null)
                {
                    Tell(list, "", $"There is a gap among its {list.ToLowerInvariant()}.");
                    continue;
                }
                Check(list, key(item), () => judge(item));
            }
            if (items.OfType<T>().GroupBy(key).FirstOrDefault(g => g.Count() > 1) is { } twice)
            {
                Tell(list, twice.Key, $"Two of its {list.ToLowerInvariant()} carry the same key.");
            }
        }
        Check("", "", () => Itself(tag));
        HashSet<Guid> pictures = [.. tag.Pictures.Where(p => p is not null).Select(p => p.Id)];
        Each(nameof(Tag.Pictures), tag.Pictures, p => p.Id.ToString(), p =>
        {
            Line("caption", p.Caption);
            Range("width", p.Width, 1, 100_000);
            Range("height", p.Height, 1, 100_000);
        });
        Each(nameof(Tag.Looks), tag.Looks, l => l.Id.ToString(), l => Judge(l, pictures, assumptions));
        Each(nameof(Tag.Aside), tag.Aside, a => a.Id.ToString(), a => Line("trait", a.Trait));
        Each(nameof(Tag.Findings), tag.Findings, f => f.Id.ToString(), f => Judge(f, pictures));
        Each(nameof(Tag.Measurements), tag.Measurements, m => m.Id.ToString(), Judge);
        Each(nameof(Tag.Counts), tag.Counts, c => c.Id.ToString(), c => Judge(c, pictures));
        Each("Deeds", [.. tag.Plan?.Deeds ?? []], d => d.Id.ToString(), Judge);
        Each(nameof(Tag.Marks), tag.Marks, m => m.Deed.ToString(), Judge);
        Each(nameof(Tag.Log), tag.Log, l => l.Id.ToString(), l =>
        {
            Note("text", l.Text);
            Line("helper", l.Helper);
            Line("bound", l.Bound);
            Range("minutes", l.Minutes ?? 0, -MostWaitMinutes, MostWaitMinutes);
            Range("quantity", l.Quantity ?? 0, 0, 1_000_000);
            Day("at", l.At);
        });
        Each(nameof(Tag.Waits), tag.Waits, w => w.Id.ToString(), w =>
        {
            Line("what", w.What);
            new[] { w.StartedAt, w.ReadyAt, w.LookInAt ?? w.StartedAt, w.MustBeOutAt ?? w.StartedAt, w.EndedAt ?? w.StartedAt }.ToList().ForEach(at =>
                Day("at", at));
        });
        Each(nameof(Tag.Surveys), tag.Surveys, s => s.Id.ToString(), s =>
        {
            Line("source", s.Source);
            if (!FlatFaces.IsKey(s.Face))
            {
                throw Bad("face", s.Face.Length > MostLine ? null : s.Face, "sole, left_cheek, back/iron",
                    "A survey names a face of the tool in small letters.");
            }
            InputGuard.Check(s.Input);
            GridSurvey.Read(s.Input, assumptions);
        });
        Each(nameof(Tag.Rubs), tag.Rubs, r => r.Id.ToString(), r =>
        {
            Line("grit", r.Grit);
            InputGuard.Check(r.Seen);
            MarksReader.Fits(r.Seen);
            Range("chance", r.Chance, 0, 1);
            Range("strokes_left", r.StrokesLeft ?? 0, 0, 1_000_000);
            Day("at", r.At);
        });
        Each(nameof(Tag.Proofs), tag.Proofs, p => p.Id.ToString(), p =>
        {
            Line("conditions", p.Conditions);
            Line("kind", p.Kind);
            Line("seen", p.Seen);
            Range("degree", p.Degree ?? 0, 0, 9);
            p.Judge();
        });
        return faults;
    }

    private static void Itself(Tag tag)
    {
        ToolCatalogue.Kind(tag.Kind);
        Judge(tag.Built, ToolCatalogue.Kind(tag.Kind));
        Range("number", tag.Number, 1, 999_999);
        foreach ((string name, string? text) in new[] { ("name", tag.Name), ("source", tag.Source), ("owner", tag.Owner), ("owners_mark", tag.OwnersMark),
            ("wish", tag.Wish), ("known_line", tag.KnownLine), ("tried_note", tag.TriedNote), ("decision_reason", tag.DecisionReason) })
        {
            Line(name, text);
        }
        if (tag.Story is null || tag.Story.Length > MostStory)
        {
            throw Bad("story", tag.Story?.Length, $"at most {MostStory:#,0} letters",
                $"Its story is {tag.Story?.Length ?? 0:#,0} letters long; {MostStory:#,0} are the most.");
        }
        foreach ((string name, double? mm) in new[] { ("length_mm", tag.LengthMm), ("iron_width_mm", tag.IronWidthMm), ("sole_width_mm", tag.SoleWidthMm),
            ("mouth_front_mm", tag.MouthFrontMm) })
        {
            if (mm is double length)
            {
                Range(name, length, 0.001, MostLengthMm);
            }
        }
        if (tag.MouthFrontMm >= tag.LengthMm)
        {
            throw Bad("mouth_front_mm", tag.MouthFrontMm, "less than the length", "Its mouth lies behind its heel.");
        }
        Range("price", (double)(tag.Price ?? 0), 0, MostMoney);
        Range("sold_for", (double)(tag.SoldFor ?? 0), 0, MostMoney);
        tag.WayReasons.ForEach(w => Line("way_reasons", w));
        Range("worth_sound", (double)(tag.WorthSound ?? 0), 0, MostMoney);
        Range("arrived_on", tag.ArrivedOn.Year, FirstYear, LastYear);
        Range("promised_on", tag.PromisedOn?.Year ?? FirstYear, FirstYear, LastYear);
        if (tag.Ways.FirstOrDefault(w => w is null || Choices.Read([w]).Count == 0) is var way && tag.Ways.Any(w => w is null || Choices.Read([w]).Count == 0))
        {
            throw Bad("ways", way, "choices and ways the program knows", $"The way \"{way}\" is none the program knows.");
        }
        if (tag.SeenCautions.Count > 100)
        {
            throw Bad("seen_cautions", null, "keys of cautions", "The cautions seen on it cannot be read.");
        }
    }

    /// <summary>Most parts of a tool that differ from its kind.</summary>
    public const int MostDiffering = 80;

    private static void Judge(ToolBuild built, ToolKind kind)
    {
        if (built.Parts.Count > MostDiffering || built.Forms.Count > MostDiffering)
        {
            throw Bad("built", built.Parts.Count, $"at most {MostDiffering}", $"More than {MostDiffering} parts differ from its kind; this is another kind.");
        }
        if (built.Parts.GroupBy(p => p.Part).FirstOrDefault(g => g.Count() > 1) is { } twice)
        {
            throw Bad("built", twice.Key.Value, "each part once", $"It says twice how the part \"{twice.Key}\" is made.");
        }
        foreach (PartBuild part in built.Parts)
        {
            Part(part.Part);
            Line("name", part.Name);
            Line("held", part.Held);
            Line("spared", part.Spared);
            Line("trait", part.Trait);
            bool added = part.Stand == PartStand.Added;
            if (added != ToolBuild.IsAdded(part.Part) || (added && (string.IsNullOrWhiteSpace(part.Name) || part.Material is null)))
            {
                throw Bad("built", part.Part.Value, "an added part with a name and a material",
                    $"The part \"{part.Part}\" is neither one of its kind nor an added one with a name and a material.");
            }
            if (part.Stand == PartStand.NeverHad && kind.Part(part.Part) is { } made && !Faults.CanNeverHave(kind, made))
            {
                throw Bad("built", part.Part.Value, "a part such a tool can be without",
                    $"No {kind.Name.ToLowerInvariant()} was made without its {made.Name}.");
            }
            if (part is { Material: { } of, Finish: { } finish } && !Materials.Finishes(of).Contains(finish))
            {
                throw Bad("finish", finish, string.Join(", ", Materials.Finishes(of)), $"{finish} is no finish of a part of {of}.");
            }
        }
        foreach ((FeatureId feature, FormId form) in built.Forms)
        {
            if (Feature.Find(feature)?.Find(form) is null)
            {
                throw Bad("forms", form.Value, "a form the program knows", $"\"{form}\" is no form of \"{feature}\" the program knows.");
            }
        }
    }

    private static void Judge(Look look, HashSet<Guid> pictures, Assumptions assumptions)
    {
        Line("reading", look.Reading);
        Line("part", look.Part);
        Line("trait", look.Trait);
        Line("variant", look.Variant);
        Shown(look.PictureId, pictures);
        foreach (int year in new[] { look.NotBeforeYear, look.NotAfterYear, look.IssueYear, look.FilingYear, look.GrantYear }.OfType<int>())
        {
            Range("year", year, 1500, 2200);
        }
        if (look.Trait is null ? look.Mark is null : look.Variant is null)
        {
            throw Bad("looks", look.Id, "a trait with its variant, or a mark", "A look needs a trait with its form, or a mark.");
        }
        if (look.Mark is not null)
        {
            look.ToObservation().MarkWindow(assumptions);
        }
    }

    private static void Judge(Finding finding, HashSet<Guid> pictures)
    {
        Part(finding.Part);
        Note("note", finding.Note);
        Line("place", finding.Place);
        Range("severity", finding.Severity, 0, FindingScales.Worst);
        Line("doubt", finding.Doubt);
        Range("from_edge_mm", finding.FromEdgeMm ?? 0, 0, 500);
        Range("from_left_mm", finding.FromLeftMm ?? 0, 0, 500);
        Range("to_left_mm", finding.ToLeftMm ?? 0, finding.FromLeftMm ?? 0, 500);
        Range("depth_mm", finding.DepthMm ?? 0, 0, 100);
        Range("size_mm", finding.SizeMm ?? 0, 0, 2000);
        Shown(finding.PictureId, pictures);
        if (finding.CountHits is null != finding.CountPoints is null)
        {
            throw Bad("count_points", finding.CountPoints, "both numbers or none", "A count needs both numbers: points hit and points counted.");
        }
        finding.Counted();
    }

    private static void Judge(Measurement measurement)
    {
        Part(measurement.Part);
        Range("value", measurement.Value, 0, 100_000);
        Range("uncertainty_mm", measurement.UncertaintyMm, 0, 1000);
        if (MeasureKinds.Find(measurement.Kind) is null)
        {
            throw Bad("kind", measurement.Kind.Value, "measurements the program knows", $"\"{measurement.Kind}\" is nothing the program measures.");
        }
    }

    private static void Judge(CountRecord count, HashSet<Guid> pictures)
    {
        Part(count.Part);
        Shown(count.PictureId, pictures);
        InputGuard.Check(count.OutlinePx, new InputLimits(Items: 400));
        InputGuard.Check(count.ReferencePx, new InputLimits(Items: 2));
        Range("reference_mm", count.ReferenceMm ?? 1, 0.001, MostLengthMm);
        if (count.Answers.Length > PointGrid.Most * 2 || count.Answers.Any(a => a is not ('y' or 'n' or 's')))
        {
            throw Bad("answers", count.Answers.Length, "y, n or s for each point", "The answers of a count cannot be read.");
        }
        count.Grid();
        count.Scale();
        count.Result();
    }

    private static void Judge(Deed deed)
    {
        foreach ((string name, string? text) in new[] { ("title", deed.Title), ("rule", deed.Rule),
            ("waits_for", deed.WaitsFor) })
        {
            Line(name, text);
        }
        foreach ((string name, string? text) in new[] { ("reason", deed.Reason), ("how", deed.How), ("finish_test", deed.FinishTest) })
        {
            Note(name, text);
        }
        deed.Minutes.Ordered();
        Range("high", deed.Minutes.High, 0, MostMinutes);
        if (deed.Lag is Lag lag)
        {
            Range("least_min", lag.LeastMin, 0, MostWaitMinutes);
            Range("most_min", lag.MostMin ?? lag.LeastMin, lag.LeastMin, MostWaitMinutes);
            Range("look_in_min", lag.LookInMin ?? 0, 0, MostWaitMinutes);
        }
        Range("metal_removed_mm", deed.MetalRemovedMm, 0, 100);
        if (deed.Parts.Count > 200 || deed.Needs.Count > 100 || deed.After.Count > 400 || deed.Cautions.Count > 100)
        {
            throw Bad("parts", deed.Parts.Count, "at most 200 parts and 100 needs", $"The step \"{deed.Title}\" names too many parts or materials.");
        }
        foreach (PartId part in deed.Parts)
        {
            Part(part);
        }
        foreach (Need? need in deed.Needs)
        {
            Line("item", need is null || need.Item.IsNone ? throw Bad("needs", null, "a supply", $"The step \"{deed.Title}\" has a gap among its needs.")
                : need.Item.Value);
            Range("amount", need.Amount ?? 0, 0, MostMoney);
        }
    }

    private const int MostWithout = 100;

    private static void Judge(StepMark mark)
    {
        Note("skip_reason", mark.SkipReason);
        Note("agreed", mark.Agreed);
        Line("agreed_to", mark.AgreedTo);
        Line("arrived", mark.Arrived);
        Note("overruled", mark.Overruled);
        if (mark.Without.Count > MostWithout)
        {
            throw Bad("without", mark.Without.Count, $"at most {MostWithout} supplies", "A step goes on without more than it could need.");
        }
        foreach (SupplyId supply in mark.Without)
        {
            Line("without", supply.Value);
        }
    }

    private static void Part(PartId part)
    {
        if (!Parts.Contains(part) && !ToolBuild.IsAdded(part) && !ToolCatalogue.NamesPart(part))
        {
            throw Bad("part", part, "parts the program knows", $"\"{part}\" is no part the program knows.");
        }
    }

    private static void Shown(Guid? picture, HashSet<Guid> pictures)
    {
        if (picture is Guid id && !pictures.Contains(id))
        {
            throw Bad("picture_id", id, "a picture of the tag", "It names a picture the tag does not have.");
        }
    }

    private static void Line(string field, string? text) => Text(field, text, MostLine);

    private static void Note(string field, string? text) => Text(field, text ?? throw Bad(field, null, "words",
        $"The {InputException.InWords(field)} is missing."), MostNote);

    private static void Text(string field, string? text, int most)
    {
        if (text?.Length > most)
        {
            throw Bad(field, text.Length, $"at most {most:#,0} letters",
                $"The {InputException.InWords(field)} is {text.Length:#,0} letters long; {most:#,0} are the most.");
        }
    }

    private static void Range(string field, double value, double least, double most) => Core.Check.Within(value, least, most, field);

    private static void Day(string field, DateTimeOffset at) => Range(field, at.Year, FirstYear, LastYear);

    private static InputException Bad(string field, object? value, string allowed, string sentence) => new("bad_tag", field, value, allowed, sentence);
}
