using System.Text.Json;
using Foundling.Core;
using Foundling.Core.Keys;
using Foundling.Core.Proof;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Kinds;

/// <summary>A kind of tool a shop made, or that came with a tool.</summary>
public sealed class ShopKind
{
    /// <summary>Its key.</summary>
    public KindId Kind { get; init; }

    /// <summary>Its file with its drawing in it, as <see cref="KindFile"/> is written.</summary>
    public string File { get; init; } = "";

    /// <summary>When it was made or came.</summary>
    public DateTimeOffset At { get; init; }
}

/// <summary>The kinds one can choose from in this shop: those that are shipped, and its own.</summary>
/// <param name="folder">The shop.</param>
public sealed class KindList(DataFolder folder)
{
    private volatile IReadOnlyList<ToolKind>? _own;

    /// <summary>The shop's own kinds, the latest last.</summary>
    public IReadOnlyList<ToolKind> Own => _own ??= Read();

    /// <summary>All of them, by family, the shop's own behind those that are shipped.</summary>
    public IReadOnlyList<ToolKind> All => [.. ToolCatalogue.Kinds.Concat(Own).OrderBy(k => k.Family)];

    /// <summary>Changes the shop's own kinds, one change after the other.</summary>
    internal void Change(Func<IReadOnlyList<ToolKind>, IEnumerable<ToolKind>> how)
    {
        lock (_turn)
        {
            _own = [.. how(Own)];
        }
    }

    private readonly Lock _turn = new();

    private List<ToolKind> Read()
    {
        using FoundlingDb db = new((DbContextOptions<FoundlingDb>)folder.Configure(new DbContextOptionsBuilder<FoundlingDb>()).Options);
        return KindShelf.Known(db);
    }
}

/// <summary>Keeps the kinds of a shop, and tells the program of them.</summary>
public sealed class KindShelf(FoundlingDb db, KindList list, TimeProvider time)
{
    /// <summary>Most kinds a shop keeps.</summary>
    public const int Most = 200;

    private const int SuffixLetters = 8;

    /// <summary>The kinds that are kept here, of which the program is told by that.</summary>
    /// <exception cref="InputException">One does not hold together any more.</exception>
    internal static List<ToolKind> Known(FoundlingDb db) =>
        [.. db.Kinds.AsNoTracking().OrderBy(k => k.At).Select(k => k.File).ToList().Select(f => ToolCatalogue.Learn(KindReader.Read(f)))];

    /// <summary>Makes a kind of the shop's own.</summary>
    /// <exception cref="InputException">What was said does not make a kind.</exception>
    public async Task<ToolKind> Make(KindDraft draft, CancellationToken cancel = default) =>
        await Keep(draft.File(Guid.NewGuid().ToString("N")[..SuffixLetters]), cancel).ConfigureAwait(false);

    /// <summary>Takes in a kind from a file.</summary>
    /// <param name="json">The file.</param>
    /// <param name="cancel">Stops it.</param>
    /// <exception cref="InputException">It is no kind file, or does not hold together.</exception>
    public async Task<ToolKind> Read(string json, CancellationToken cancel = default) => await Keep(KindReader.Read(json), cancel).ConfigureAwait(false);

    /// <summary>Keeps a kind; one that is kept already stays as it is.</summary>
    /// <exception cref="InputException">It does not hold together, or there are too many.</exception>
    public async Task<ToolKind> Keep(KindFile file, CancellationToken cancel = default)
    {
        Check(file);
        bool kept = await db.Kinds.AnyAsync(k => k.Kind == file.Kind, cancel).ConfigureAwait(false);
        if (!kept && list.Own.Count >= Most)
        {
            throw new InputException("too_much", "kind", list.Own.Count, $"at most {Most}", $"This shop has {Most} kinds of its own; that is the most.");
        }
        ToolKind kind = ToolCatalogue.Learn(file);
        if (!kept)
        {
            db.Kinds.Add(new ShopKind { Kind = kind.Id, File = JsonSerializer.Serialize(kind.File, OpenJson.Options), At = time.GetUtcNow() });
            await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        }
        list.Change(own => own.Any(k => k.Id == kind.Id) ? own : own.Append(kind));
        return kind;
    }

    /// <summary>Changes a kind of the shop's own; tools of it follow. What one of them has it keeps.</summary>
    /// <param name="kind">The kind.</param>
    /// <param name="draft">What is said of it now.</param>
    /// <param name="cancel">Stops it.</param>
    /// <exception cref="InputException">It is none of the shop's own, does not hold together, or lacks a part a tool of it has.</exception>
    public async Task<ToolKind> Change(KindId kind, KindDraft draft, CancellationToken cancel = default)
    {
        ToolKind was = Mine(kind);
        KindFile file = draft.File(kind);
        Check(file);
        if (was.Parts.FirstOrDefault(p => file.Parts.All(f => f.Part != p.Id)) is { } lacking && await InUse(kind, cancel).ConfigureAwait(false))
        {
            throw new InputException("kind_in_use", "parts", lacking.Id, "all parts it had",
                $"A tool or a part here is a {was.Name.ToLowerInvariant()}: the {lacking.Name} stays. Where one never had it, say so on its State.");
        }
        KindDrawing.Read(file.Drawing!, file);
        string text = JsonSerializer.Serialize(file, OpenJson.Options);
        await db.Kinds.Where(k => k.Kind == kind).ExecuteUpdateAsync(s => s.SetProperty(k => k.File, text), cancel).ConfigureAwait(false);
        ToolKind now = ToolCatalogue.LearnAnew(file);
        list.Change(own => own.Select(k => k.Id == kind ? now : k));
        return now;
    }

    private ToolKind Mine(KindId kind) => list.Own.FirstOrDefault(k => k.Id == kind)
        ?? throw new InputException("unknown_kind", "kind", kind, "a kind of the shop's own", "That is none of this shop's own kinds.");

    private async Task<bool> InUse(KindId kind, CancellationToken cancel) => await db.Tags.AnyAsync(t => t.Kind == kind, cancel).ConfigureAwait(false)
        || await db.OrphanParts.AnyAsync(p => p.Kind == kind, cancel).ConfigureAwait(false);

    private static void Check(KindFile file)
    {
        if (file.Proofs.FirstOrDefault(p => !Proofs.Keys.Contains(p)) is { } strange)
        {
            throw new InputException("kind_file", "proofs", strange, string.Join(", ", Proofs.Keys),
                $"\"{Core.Units.Shorten.To(strange, 40)}\" is no proof there is.");
        }
    }

    /// <summary>Takes a kind away that nothing is of.</summary>
    /// <exception cref="InputException">A tag or a part in the box is of it, or it is none of the shop's own.</exception>
    public async Task Remove(KindId kind, CancellationToken cancel = default)
    {
        ToolKind own = Mine(kind);
        if (await InUse(kind, cancel).ConfigureAwait(false))
        {
            throw new InputException("kind_in_use", "kind", kind, "a kind nothing is of",
                $"A tool or a part here is a {own.Name.ToLowerInvariant()}; the kind stays.");
        }
        await db.Kinds.Where(k => k.Kind == kind).ExecuteDeleteAsync(cancel).ConfigureAwait(false);
        list.Change(all => all.Where(k => k.Id != kind));
    }

    /// <summary>The file of a kind of the shop's own, as it leaves the shop.</summary>
    public static string Written(ToolKind kind) => JsonSerializer.Serialize(kind.File, Indented);

    private static readonly JsonSerializerOptions Indented = new(OpenJson.Options) { WriteIndented = true };
}
