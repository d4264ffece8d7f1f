using System.Text.Json;
using Foundling.Core;
using Foundling.Core.Keys;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;
using Foundling.Core.Units;

namespace Foundling.Web.Pages.Kinds;

/// <summary>What is said of a kind of the shop's own, as the page sends it.</summary>
public sealed class KindForm
{
    /// <summary>The nearest kind.</summary>
    public string? Near { get; set; }

    /// <summary>The kind that is gone on with; null for a new one.</summary>
    public string? Own { get; set; }

    /// <summary>What it is called.</summary>
    public string? Name { get; set; }

    /// <summary>What its length measures.</summary>
    public string? Length { get; set; }

    /// <summary>Parts of the nearest kind it has too.</summary>
    public string[] Has { get; set; } = [];

    /// <summary>What parts are called, by their keys.</summary>
    public Dictionary<string, string?> Called { get; set; } = [];

    /// <summary>What parts are made of and how they are finished, by their keys; see <see cref="Text(Material,PartFinish)"/>.</summary>
    public Dictionary<string, string?> Made { get; set; } = [];

    /// <summary>Names of parts it has beside.</summary>
    public string?[] More { get; set; } = [];

    /// <summary>Keys of those that are there already.</summary>
    public string?[] Key { get; set; } = [];

    /// <summary>What those are made of and how they are finished.</summary>
    public string?[] Of { get; set; } = [];

    /// <summary>What those sit on.</summary>
    public string?[] On { get; set; } = [];

    /// <summary>How its edge works.</summary>
    public EdgeForm? Edge { get; set; }

    /// <summary>Angle of its bed, degrees.</summary>
    public double? Bed { get; set; }

    /// <summary>The iron lies bevel up.</summary>
    public bool BevelUp { get; set; }

    /// <summary>It matters for which hand it was made.</summary>
    public bool Handed { get; set; }

    /// <summary>Its silhouette is traced.</summary>
    public bool Traced { get; set; }

    /// <summary>The length that is known on the picture, as it was typed.</summary>
    public string? Known { get; set; }

    /// <summary>The trace, as <see cref="KindTrace"/> is written; kept also while it is not used.</summary>
    public string? Trace { get; set; }

    /// <summary>Keys of the rows for parts it has beside, empty ones at the end; each row keeps its own.</summary>
    /// <param name="empty">How many empty ones there are.</param>
    public IReadOnlyList<string> Rows(int empty)
    {
        List<PartId?> keys = [];
        for (int i = 0; i < Math.Min(KindDraft.MostExtras, More.Length + empty); i++)
        {
            keys.Add(Key.ElementAtOrDefault(i) is { Length: > 0 } key ? PartId.Of(key)
                : KindDraft.NextKey(keys.Concat(Key.Select(k => k is null ? (PartId?)null : PartId.Of(k)))));
        }
        return [.. keys.Select(k => k!.Value.Value)];
    }

    /// <summary>What a part is made of and how it is finished, as the page sends it.</summary>
    public static string Text(Material material, PartFinish finish) => $"{material}/{finish}";

    /// <summary>What a form says before anything was changed.</summary>
    /// <param name="near">The nearest kind.</param>
    public static KindForm From(ToolKind near) => From(near, new KindDraft(near.Id, ""), LengthUnits.Metric);

    /// <summary>What a form says for a kind that was made before.</summary>
    /// <param name="near">The nearest kind.</param>
    /// <param name="draft">What was said when it was made.</param>
    /// <param name="units">Units its lengths are shown in.</param>
    public static KindForm From(ToolKind near, KindDraft draft, LengthUnits units) => new()
    {
        Near = near.Id.Value, Name = draft.Name, Length = draft.Length ?? near.LengthIs,
        Has = [.. near.Parts.Where(p => !draft.Without.Contains(p.Id)).Select(p => p.Id.Value)],
        Called = draft.Called.ToDictionary(c => c.Key.Value, c => (string?)c.Value),
        Made = near.Parts.ToDictionary(p => p.Id.Value, p => (string?)(draft.Made.GetValueOrDefault(p.Id) is { } made ? Text(made.Material, made.Finish)
            : Text(p.Material, p.Finish))),
        More = [.. draft.Extras.Select(e => e.Name)], Key = [.. draft.Extras.Select(e => e.Part?.Value)], On = [.. draft.Extras.Select(e => e.On.Value)],
        Of = [.. draft.Extras.Select(e => Text(e.Material, e.Finish))],
        Edge = draft.Edge ?? near.Edge, Bed = draft.BedDeg ?? near.BedDeg, BevelUp = draft.BevelUp ?? near.BevelUp, Handed = draft.Handed ?? near.File.Handed,
        Traced = draft.Trace is not null, Known = draft.Trace is { } known ? Core.Units.Length.Typed(known.Mm, units) : null,
        Trace = draft.Trace is { } trace ? JsonSerializer.Serialize(trace, OpenJson.Options) : null,
    };

    /// <summary>What the form says, as a draft: only what differs from the nearest kind.</summary>
    /// <param name="near">The nearest kind.</param>
    /// <param name="units">Units of bare numbers.</param>
    /// <exception cref="InputException">The trace or its known length cannot be read.</exception>
    public KindDraft Draft(ToolKind near, LengthUnits units)
    {
        Dictionary<PartId, KindMade> made = [];
        foreach (PartDef part in near.Parts)
        {
            if (Read(Made.GetValueOrDefault(part.Id.Value)) is { } said && (said.Material, said.Finish) != (part.Material, part.Finish))
            {
                made[part.Id] = said;
            }
        }
        return new KindDraft(near.Id, Name ?? "")
        {
            Without = [.. near.Parts.Where(p => !Has.Contains(p.Id.Value)).Select(p => p.Id)],
            Called = Called.Where(c => c.Value is { Length: > 0 } && near.Part(PartId.Of(c.Key)) is { } p && p.Name != c.Value)
                .ToDictionary(c => PartId.Of(c.Key), c => c.Value!),
            Made = made, Length = Length, Edge = Edge == near.Edge ? null : Edge, BedDeg = Bed == near.BedDeg ? null : Bed,
            BevelUp = near.Family != Family.Plane || BevelUp == near.BevelUp ? null : BevelUp, Handed = Handed == near.File.Handed ? null : Handed,
            Extras = [.. More.Select((name, i) => (Name: name?.Trim() ?? "", At: i)).Where(m => m.Name.Length > 0).Take(KindDraft.MostExtras)
                .Select(m => Extra(m.Name, m.At))],
            Trace = Traced ? ReadTrace(units) : null,
        };
    }

    private KindExtra Extra(string name, int at)
    {
        KindMade made = Read(Of.ElementAtOrDefault(at)) ?? new KindMade(Material.Steel, PartFinish.Bare);
        return new KindExtra(name, made.Material, PartId.Of(On.ElementAtOrDefault(at)))
        {
            Finish = made.Finish, Part = Key.ElementAtOrDefault(at) is { Length: > 0 } key ? PartId.Of(key) : null,
        };
    }

    private KindTrace ReadTrace(LengthUnits units)
    {
        try
        {
            KindTrace trace = JsonSerializer.Deserialize<KindTrace>(Trace is { Length: > 0 } ? Trace : "{}", OpenJson.Options)!;
            return string.IsNullOrWhiteSpace(Known) ? trace : trace with { Mm = Core.Units.Length.Parse(Known, "known", units) };
        }
        catch (JsonException)
        {
            throw new InputException("kind_file", "trace", null, "a trace on a picture",
                "Choose a photograph, tap both ends of a known length, and trace the tool; or let it look like the nearest kind.");
        }
    }

    private static KindMade? Read(string? text) => text?.Split('/') is [var material, var finish] && Enum.TryParse(material, out Material m)
        && Enum.TryParse(finish, out PartFinish f) && Enum.IsDefined(m) && Enum.IsDefined(f) ? new KindMade(m, f) : null;
}
