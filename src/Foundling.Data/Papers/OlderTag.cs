using System.Text.Json;
using System.Text.Json.Nodes;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Log.Older;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Data.Papers.Format;

namespace Foundling.Data.Papers;

/// <summary>Turns a tag document of the first version into one of today's: its steps become a plan, how it stands, and events.</summary>
internal static class OlderTag
{
    /// <summary>Version it reads.</summary>
    public const int Version = 1;

    private static readonly Dictionary<string, EventKind> Kinds = new()
    {
        ["correction"] = EventKind.Corrected, ["step_done"] = EventKind.Done, ["step_skipped"] = EventKind.LeftOut, ["step_reopened"] = EventKind.Reopened,
    };

    /// <summary>The document as it would be written today.</summary>
    /// <exception cref="JsonException">It does not hold together.</exception>
    public static JsonObject Read(JsonObject document)
    {
        document["version"] = BundleDesk.FormatVersion;
        if (document["tag"] is not JsonObject tag)
        {
            return document;
        }
        var steps = tag["steps"].Deserialize<List<OlderStep>>(BundleDesk.Json) ?? [];
        if (steps.Contains(null!))
        {
            throw new JsonException("There is a gap among its steps.");
        }
        tag.Remove("steps");
        foreach (JsonObject happened in Objects(tag["log"]))
        {
            if (happened["kind"]?.GetValue<string>() is string kind && Kinds.TryGetValue(kind, out EventKind now))
            {
                happened["kind"] = JsonSerializer.SerializeToNode(now, BundleDesk.Json);
            }
            Rename(happened);
        }
        foreach (JsonObject wait in Objects(tag["waits"]))
        {
            Rename(wait);
            DeedId step = OlderStep.IdOf(wait["step"]?.GetValue<string>()) ?? default;
            bool limited = wait["must_be_out_at"] is not null;
            wait["step"] = step.ToString();
            wait["kind"] = JsonSerializer.SerializeToNode(OlderStep.LagOf(step, limited), BundleDesk.Json);
            wait["ended_by"] = JsonSerializer.SerializeToNode(OlderStep.EndedBy(step, limited), BundleDesk.Json);
        }
        if (tag["seen_cautions"] is JsonArray seen)
        {
            tag["seen_cautions"] = new JsonArray([.. seen.Select(c => c?.GetValue<string>()).Where(c => KeyText.Read<Core.Safety.CautionId>(c) is not null)
                .Select(c => (JsonNode)c!)]);
        }
        if (steps.Count > 0)
        {
            AimKind aim = tag["aim"].Deserialize<AimKind?>(BundleDesk.Json) ?? AimKind.Work;
            (Plan plan, IReadOnlyList<StepMark> marks) = OlderRod.Read(steps, aim, Choices.Read(tag["ways"].Deserialize<List<string>>(BundleDesk.Json) ?? []));
            List<BenchEvent> log = [.. (tag["log"].Deserialize<List<EventItem>>(BundleDesk.Json) ?? []).Select(TagPapers.From)];
            tag["plan"] = JsonSerializer.SerializeToNode(plan, BundleDesk.Json);
            tag["marks"] = JsonSerializer.SerializeToNode(marks.Select(TagPapers.Of), BundleDesk.Json);
            tag["log"] = JsonSerializer.SerializeToNode(OlderRod.Events(log, marks, plan).Select(TagPapers.Of), BundleDesk.Json);
        }
        return document;
    }

    private static IEnumerable<JsonObject> Objects(JsonNode? list) => list is JsonArray array ? array.OfType<JsonObject>() : [];

    private static void Rename(JsonObject item)
    {
        if (item["step"]?.GetValue<string>() is string step)
        {
            item["step"] = OlderStep.IdOf(step)?.ToString();
        }
    }
}
