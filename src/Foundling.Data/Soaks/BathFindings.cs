using Foundling.Core;
using Foundling.Core.Soaks;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Data.Soaks;

/// <summary>Makes findings of what a soak left on the parts, and takes them back.</summary>
internal static class BathFindings
{
    /// <summary>What is found on parts that are out and now dry and oiled: rust that was seen to be left, and a brown bloom.</summary>
    /// <param name="bath">Name of the bath.</param>
    /// <param name="load">The load.</param>
    /// <param name="bloom">Keys of those that bloomed brown.</param>
    /// <param name="tools">Its tools.</param>
    /// <param name="a">How deep rust is, and what is clean.</param>
    /// <param name="now">Now.</param>
    public static IReadOnlyList<RoundFinding> Of(string bath, LoadNow load, IReadOnlyCollection<string> bloom, IReadOnlyCollection<Tag> tools,
        Assumptions a, DateTimeOffset now)
    {
        List<RoundFinding> found = [];
        var tags = tools.ToDictionary(t => t.Number);
        foreach (SoakedPart part in load.Parts.Where(p => load.Wet.Contains(p.Key) && tags.ContainsKey(p.Tag)))
        {
            double? left = load.LeftOn(part.Key)?.Left;
            bool bloomed = bloom.Contains(part.Key);
            if (left is null && !bloomed)
            {
                continue;
            }
            int degree = left is double share ? RustLeft.Degree(part.Rust, share, a) : 0;
            string note = string.Join("; ", new[]
            {
                left is double l ? $"out of {bath}, {BathWords.Left(l)}" : "", bloomed ? $"flash rust: oiled too late out of {bath}" : "",
            }.Where(n => n.Length > 0));
            Finding? there = Standing(tags[part.Tag], part.Part);
            found.Add(new RoundFinding(part.Tag, there?.Id ?? Guid.CreateVersion7(now), part.Part, bloomed ? Math.Max(1, degree) : degree, note,
                there?.Severity, there?.Note ?? ""));
        }
        return found;
    }

    /// <summary>Notes what was found on a tool; it stands in the place of the rust that was there.</summary>
    public static void Put(Tag tag, IEnumerable<RoundFinding> found, DateTimeOffset now)
    {
        foreach (RoundFinding one in found.Where(f => f.Tag == tag.Number))
        {
            Finding? there = tag.Findings.Find(f => f.Id == one.Id);
            if (there is null)
            {
                tag.Findings.Add(there = new Finding { Id = one.Id, At = now, Part = one.Part, Kind = FindingKind.Rust, Round = Round.Finished });
            }
            (there.Severity, there.Note) = (one.Severity, one.Note);
        }
    }

    /// <summary>Takes that back.</summary>
    public static void TakeBack(Tag tag, IEnumerable<RoundFinding> found)
    {
        foreach (RoundFinding one in found.Where(f => f.Tag == tag.Number))
        {
            if (tag.Findings.Find(f => f.Id == one.Id) is not { } there)
            {
                continue;
            }
            if (one.Was is int before)
            {
                (there.Severity, there.Note) = (before, one.WasNote);
            }
            else
            {
                tag.Findings.Remove(there);
            }
        }
    }

    private static Finding? Standing(Tag tag, PartId part) => tag.Findings.Find(f => f.Part == part && f is { Kind: FindingKind.Rust, Round: Round.Finished,
        Place.Length: 0 });
}
