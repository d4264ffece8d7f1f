using Foundling.Core.Tags;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Stores;

/// <summary>The parts box: parts without a tool, waiting for one.</summary>
public sealed class PartsModel(PartsBox box, TagBook tags) : SentencePageModel
{
    /// <summary>What is in it, by kind of tool.</summary>
    public IReadOnlyList<IGrouping<KindId, OrphanPart>> Kinds { get; private set; } = [];

    /// <summary>Tags a part can go to.</summary>
    public IReadOnlyList<Tag> Here { get; private set; } = [];

    /// <inheritdoc />
    protected override async Task After()
    {
        Kinds = [.. (await box.InBox()).GroupBy(p => p.Kind)];
        Here = Kinds.Count > 0 ? await tags.Here() : [];
    }

    /// <summary>Shows it.</summary>
    public void OnGet()
    {
    }

    /// <summary>Puts a part in; it is named as kind/part.</summary>
    public async Task<IActionResult> OnPostAdd(string? part, string? note)
    {
        string[] named = (part ?? "").Split('/');
        await box.Add(named[0], named.Length > 1 ? named[1] : "", note);
        return LocalRedirect("/stores/parts");
    }

    /// <summary>Takes a part out for a tool.</summary>
    /// <param name="id">The part.</param>
    /// <param name="tag">The tag chosen from the list.</param>
    /// <param name="other">Another one by its number; it goes before the list.</param>
    public async Task<IActionResult> OnPostUse(int id, int tag, string? other)
    {
        await box.Use(id, string.IsNullOrWhiteSpace(other) ? tag : Tag.ReadNumber(other));
        return LocalRedirect("/stores/parts");
    }
}
