using System.Text.Json;
using System.Text.RegularExpressions;
using Foundling.Core.Keys;

namespace Foundling.Core.Tools.Kinds;

/// <summary>Reads files of kinds and says in words what is wrong with one.</summary>
public static partial class KindReader
{
    /// <summary>Most letters of a kind file.</summary>
    public const int MostLetters = KindDrawing.MostLetters + 200_000;

    private const int MostParts = 80, MostName = 60, MostWords = 400, MostKnots = 40, MostPlaces = 60, MostPieces = 40;
    private const double MostMm = 10_000, MostAcrossMm = 500;

    /// <summary>Reads a kind file.</summary>
    /// <param name="json">The file.</param>
    /// <exception cref="InputException">It is no kind file, or does not hold together; the sentence says where.</exception>
    public static KindFile Read(string json)
    {
        if (json.Length > MostLetters)
        {
            throw Wrong("file", $"This kind file is {json.Length:#,0} letters long; {MostLetters:#,0} are the most.");
        }
        KindFile file;
        try
        {
            file = JsonSerializer.Deserialize<KindFile>(json, OpenJson.Options) ?? throw new JsonException("It is empty.");
        }
        catch (JsonException fault)
        {
            string at = fault.Path is { Length: > 1 } path ? $" at {path[2..]}" : "";
            throw Wrong("file", $"This is no kind file: something is wrong{at}{(fault.LineNumber is long line ? $", line {line + 1}" : "")}.");
        }
        Check(file);
        return file;
    }

    /// <summary>The kind of a file.</summary>
    /// <param name="file">A file that was read.</param>
    public static ToolKind Kind(KindFile file) => new(file.Kind, file.Name, file.Family, file.Length, file.LengthMm, [.. file.Parts.Select(Part)], file.Edge,
        file.Sole, file.BedDeg ?? UsualBedDeg, file.BevelUp) { File = file };

    private const double UsualBedDeg = 45;

    internal static PartDef Part(KindPart p) => new(p.Part, p.Name, p.Material, p.Finish, p.Held, p.On, p.Joint, p.InSet, p.Fastener, p.Rod, p.With)
    {
        As = p.As, Hides = p.Hides, OnePiece = p.OnePiece, Moves = p.Moves, Struck = p.Struck, Dispensable = p.Dispensable,
    };

    /// <summary>Refuses a file that does not hold together.</summary>
    /// <param name="file">What was read.</param>
    /// <exception cref="InputException">Something in it is wrong.</exception>
    public static void Check(KindFile file)
    {
        Named(file.Version == 1, "version", $"This kind file is of version {file.Version}; this program reads version 1.");
        Named(KindKey().IsMatch(file.Kind.Value), "kind", $"\"{Short(file.Kind.Value)}\" is no key of a kind: small letters, figures and dashes, 40 at most.");
        Words("name", file.Name, MostName);
        Words("length", file.Length, MostName);
        Words("width", file.Width, MostName, needed: false);
        Size("length_mm", file.LengthMm);
        Named(file.BedDeg is null or (> 0 and < 90), "bed_deg", "A bed stands at more than 0 and less than 90 degrees.");
        Named(file.Parts.Count is > 0 and <= MostParts, "parts", $"A kind has 1 to {MostParts} parts; this one has {file.Parts.Count}.");
        var known = new HashSet<PartId>();
        foreach (KindPart part in file.Parts)
        {
            Named(PartKey().IsMatch(part.Part.Value), "parts",
                $"\"{Short(part.Part.Value)}\" is no key of a part: small letters, figures and joints, 40 at most.");
            Named(known.Add(part.Part), "parts", $"There are two parts \"{part.Part}\".");
        }
        file.Parts.ToList().ForEach(p => Check(p, known));
        Named(file.Parts[0] is { On: null, With: null }, "parts",
            $"The first part is the one all others are attached to; \"{file.Parts[0].Part}\" goes with another.");
        foreach ((string field, Func<KindPart, PartId?> to) in new (string, Func<KindPart, PartId?>)[] { ("on", p => p.On), ("with", p => p.With) })
        {
            Rounds(file, field, to);
        }
        Check(file.Manner, known);
        Named(file.Proofs.Count <= 12 && file.Proofs.All(p => p.Length is > 0 and <= MostName), "proofs", "A kind has 12 proofs at most, each by its key.");
        Named(file.Stall.Count <= 6, "stall", "A kind has 6 questions of its own at most.");
        ToolKind kind = Kind(file);
        file.Stall.ToList().ForEach(q => Check(q, known, kind));
        if (file.Teeth is { } teeth)
        {
            Known(known, "teeth", teeth.Part);
            Named(teeth.Points is >= 2 and <= 40 && teeth.RakeDeg is > -45 and < 45 && double.IsFinite(teeth.LineMm), "teeth",
                "Teeth are 2 to 40 points to the inch, at a rake under 45 degrees.");
        }
        if (file.Fit is { } fit)
        {
            Check(fit, known);
        }
    }

    private static void Check(KindPart part, HashSet<PartId> known)
    {
        string field = $"parts.{part.Part}";
        Words(field, part.Name, MostName);
        Words(field, part.Held, MostWords, needed: false);
        Words(field, part.Hides, MostWords, needed: false);
        Named(Materials.Finishes(part.Material).Contains(part.Finish), field,
            $"The {part.Name} is of {SnakeCase.Of(part.Material.ToString()).Replace('_', ' ')} and cannot be {part.Finish.ToString().ToLowerInvariant()}.");
        foreach (PartId? other in new[] { part.On, part.Rod, part.With })
        {
            Named(other is null || (known.Contains(other.Value) && other != part.Part), field,
                $"The {part.Name} speaks of \"{Short(other?.Value)}\", which is no other part of this kind.");
        }
        Named(part.As is null || PartKey().IsMatch(part.As.Value.Value), field, $"\"{Short(part.As?.Value)}\" is no key of a part.");
        Named(part.Apart is null || (part.Apart.Count == 2 && part.Apart.All(v => Math.Abs(v) <= MostMm)), field,
            $"How far the {part.Name} stands away is two numbers, to the right and down.");
        Named(part.AcrossMm is null or (> 0 and <= MostAcrossMm), field, $"The {part.Name} is more than 0 and at most {MostAcrossMm:0} mm across its drawing.");
        Named(part.Pieces is null or (>= 1 and <= MostPieces), field, $"The {part.Name} is 1 to {MostPieces} pieces.");
        Named(part.Places.Count <= MostPlaces, field, $"The {part.Name} has {part.Places.Count} places; {MostPlaces} are the most.");
        foreach (KindPlace place in part.Places)
        {
            Named(place.Name.Length <= MostName && Math.Abs(place.X) <= MostMm && Math.Abs(place.Y) <= MostMm, field,
                $"The place \"{Short(place.Name)}\" of the {part.Name} is not on a drawing.");
        }
    }

    /// <summary>A chain of parts must end: what is held by what holds it is held by nothing.</summary>
    private static void Rounds(KindFile file, string field, Func<KindPart, PartId?> to)
    {
        Dictionary<PartId, PartId?> chain = file.Parts.ToDictionary(p => p.Part, to);
        foreach (KindPart part in file.Parts)
        {
            PartId? at = part.Part;
            for (int steps = 0; at is not null; steps++)
            {
                Named(steps <= chain.Count, field, $"The {part.Name} goes in a round: what it is held by is held by it.");
                at = chain.GetValueOrDefault(at.Value);
            }
        }
    }

    private static void Check(KindManner? manner, HashSet<PartId> known)
    {
        if (manner is null)
        {
            return;
        }
        foreach (InTurn turn in manner.Apart.Order.Concat(manner.Apart.Minding).Concat(manner.Together.Order).Concat(manner.Together.Minding)
            .Concat(manner.Settings).Concat(manner.Bare ?? []).Append(manner.Apart.Then).Append(manner.Together.Then).OfType<InTurn>())
        {
            Words("manner", turn.Words, MostWords);
            foreach (PartId part in turn.Parts.Concat(turn.Unless is { } other ? [other] : []))
            {
                Known(known, "manner", part);
            }
        }
        Words("manner", manner.Apart.Title, MostWords);
        Words("manner", manner.Together.Title, MostWords);
        Words("manner", manner.Trial, MostWords, needed: false);
        if (manner.About is { } about)
        {
            Known(known, "manner", about);
        }
    }

    private static void Check(KindQuestion question, HashSet<PartId> known, ToolKind kind)
    {
        string field = $"stall.{question.Id}";
        Named(PartKey().IsMatch(question.Id) && question.Answers.All(a => PartKey().IsMatch(a.Id)), field, "Questions and answers have keys of small letters.");
        new[] { question.Ask, question.Look, question.Picture }.ToList().ForEach(w => Words(field, w, MostWords));
        Known(known, field, question.Part);
        Named(question.Answers.Count is >= 2 and <= 8 && question.Answers.All(a => a.Share is > 0 and < 1)
            && Math.Abs(question.Answers.Sum(a => a.Share) - 1) < Whole.Slack, field,
            $"\"{Short(question.Ask)}\" has 2 to 8 answers whose shares come to 1.");
        question.Answers.ToList().ForEach(a => Words(field, a.Text, MostName));
        Named(question.Answers.All(a => (a.Finding is null) == (a.Degree == 0) && a.Degree is >= 0 and <= 4), field,
            $"An answer to \"{Short(question.Ask)}\" has a finding of degree 1 to 4, or none.");
        Named(question.Answers.All(a => a.Finding is not { } found || Faults.Can(kind, kind.Part(question.Part)!, found)), field,
            $"An answer to \"{Short(question.Ask)}\" is a fault that part cannot have.");
    }

    private static void Check(KindFit fit, HashSet<PartId> known)
    {
        Named(fit.Moves.Count is > 0 and <= MostParts, "fit", "A drawing that follows measures has moves.");
        Named(fit.MouthShares is [>= 0, <= 1] && fit.MouthShares[0] < fit.MouthShares[1], "fit", "The mouth lies between two shares of the length.");
        Named(fit.FromMm is null or > 0 && (fit.ToMm ?? MostMm) >= (fit.FromMm ?? 0), "fit", "A fit holds from a length to a longer one.");
        Named(fit.WidthMm is null or > 0 && fit.WidthTimes is [> 0, <= 100] && fit.WidthTimes[0] < fit.WidthTimes[1], "fit",
            "The width on the drawing is more than 0, and widths are believed from a share of it to several times it.");
        fit.Mouth.ToList().ForEach(m => Sum(m.Is));
        Sum(fit.MouthMost);
        Sum(fit.Blade);
        foreach (KindMove move in fit.Moves)
        {
            foreach (PartId part in move.Parts ?? [])
            {
                Known(known, "fit", part);
            }
            Sum(move.Right);
            Sum(move.Scale?.By);
            Sum(move.Stretch?.By);
            Named(move.Stretch is null || (move.Stretch.From < move.Stretch.To && (move.Stretch.Origin?.Count ?? 2) == 2
                && (move.Stretch.Along?.Count ?? 2) == 2), "fit", "A stretch runs from one place to a further one, along a line.");
            if (move.Knots is { } knots)
            {
                Named(knots.At.Count is >= 2 and <= MostKnots && knots.At.Count == knots.To.Count, "fit",
                    "Each knot goes somewhere, and there are two at least.");
                Named(knots.At.Zip(knots.At.Skip(1)).All(k => k.First < k.Second), "fit", "Knots rise from left to right.");
                knots.To.ToList().ForEach(Sum);
            }
        }
    }

    private static void Sum(string? text)
    {
        try
        {
            _ = text is null ? null : Linear.Parse(text.Length <= MostName ? text : text[..MostName]);
        }
        catch (FormatException fault)
        {
            throw Wrong("fit", fault.Message);
        }
    }

    private static void Known(HashSet<PartId> known, string field, PartId part) =>
        Named(known.Contains(part), field, $"\"{Short(part.Value)}\" is no part of this kind.");

    private static void Words(string field, string? text, int most, bool needed = true) => Named(text is null ? !needed : text.Trim().Length > 0
        && text.Length <= most && !text.Any(char.IsControl), field, $"\"{Short(text)}\" cannot stand here: 1 to {most} letters, on one line.");

    private static void Size(string field, double mm) => Named(mm is > 0 and <= MostMm, field, $"{mm:0.##} mm is no size of a hand tool.");

    private static void Named(bool holds, string field, string sentence)
    {
        if (!holds)
        {
            throw Wrong(field, sentence);
        }
    }

    private static string Short(string? text) => Units.Shorten.To(text ?? "", 40);

    internal static InputException Wrong(string field, string sentence) => new("kind_file", field, null, "a kind file that holds together", sentence);

    [GeneratedRegex("^[a-z][a-z0-9-]{1,39}$")]
    private static partial Regex KindKey();

    [GeneratedRegex("^[a-z][a-z0-9_]{0,39}$")]
    private static partial Regex PartKey();
}
