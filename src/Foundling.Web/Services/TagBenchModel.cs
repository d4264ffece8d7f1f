using Foundling.Core;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Services;

/// <summary>A field of a bench that is a measurement of a part of the tool.</summary>
/// <param name="Field">Its name on the page.</param>
/// <param name="Text">What stands in it, or what was worked out in its place.</param>
/// <param name="Part">The part.</param>
/// <param name="Measure">What was measured.</param>
/// <param name="Times">How many units of the measure one of the field is.</param>
public sealed record BenchReading(string Field, string? Text, PartId Part, MeasureId Measure, double Times = 1);

/// <summary>A bench that a tag fills in, and that writes back to it what was measured there.</summary>
public abstract class TagBenchModel(ShopDesk shop, TagBook tags, ViewUnits units, TimeProvider time) : BenchPageModel
{
    private readonly Dictionary<string, string?> _filled = [];

    /// <summary>The shop.</summary>
    protected ShopDesk Shop { get; } = shop;

    /// <summary>The tags.</summary>
    protected TagBook Tags { get; } = tags;

    /// <summary>The units this browser shows.</summary>
    protected ViewUnits Units { get; } = units;

    /// <summary>The clock.</summary>
    protected TimeProvider Time { get; } = time;

    /// <summary>The tag; null for none.</summary>
    [BindProperty(SupportsGet = true, Name = "tag")]
    public int? Number { get; set; }

    /// <summary>The tool; null for none.</summary>
    public Tag? Of { get; private set; }

    /// <summary>What is known of it; null for none.</summary>
    public Facts? Known { get; private set; }

    /// <summary>The shop's assumptions.</summary>
    public Assumptions Assumed { get; private set; } = null!;

    /// <summary>Address of this bench.</summary>
    public abstract string Here { get; }

    /// <summary>True for a tool that has something to do on this bench, or on one beside it.</summary>
    protected abstract bool Fits(ToolKind tool);

    /// <summary>Where a tool is led that this bench does not suit; null where it suits.</summary>
    protected virtual string? Elsewhere(ToolKind tool) => null;

    /// <summary>What the tag knows is put into the fields that nobody filled.</summary>
    protected virtual Task Fill(Facts known, CancellationToken cancel) => Task.CompletedTask;

    /// <summary>What stands on this bench and is a measurement.</summary>
    protected virtual IEnumerable<BenchReading> Readings(Facts known) => [];

    /// <summary>What is more than a measurement and not on the tag: the field, its text, and what it is.</summary>
    protected virtual IEnumerable<(string Field, string Text, string Said)> MoreToKeep(Facts known) => [];

    /// <summary>Keeps what is more than a measurement.</summary>
    /// <param name="tag">The tag.</param>
    /// <param name="field">The text of a field as it was sent; null for none.</param>
    protected virtual void KeepMore(Tag tag, Func<string, string?> field)
    {
    }

    /// <summary>What stands in a field: what was typed, else what is known of the tool.</summary>
    /// <param name="field">Its name.</param>
    /// <param name="typed">What was typed; null for nothing.</param>
    /// <param name="known">What the tag knows, or what is usual.</param>
    protected string? Filled(string field, string? typed, string? known)
    {
        _filled[field] = known;
        return typed ?? known;
    }

    /// <summary>True for a field in which something else stands than the tag knows.</summary>
    protected bool Anew(string field, string? text) => Given(text) && text!.Trim() != _filled.GetValueOrDefault(field);

    /// <summary>What was found here and is not on the tag: the field, its text, and what it is with its value.</summary>
    public IEnumerable<(string Field, string Text, string Said)> ToKeep => Known is not { } known ? [] : Sensible(known).Where(r => Anew(r.Field, r.Text)
        && !Faults.ContainsKey(r.Field)).Select(r => (r.Field, r.Text!, Said(r)!)).Where(k => k.Item3 is not null).Concat(MoreToKeep(known));

    private IEnumerable<BenchReading> Sensible(Facts known) => Readings(known).Where(r => known.Tool.Part(r.Part) is { } part
        && MeasureKinds.For(known.Tool, part).Any(m => m.Id == r.Measure));

    // What the tag has already, however it is written, and what cannot be a measurement is not offered.
    private string? Said(BenchReading r)
    {
        MeasureKind kind = MeasureKinds.Find(r.Measure)!;
        try
        {
            double value = Value(r);
            return Known?.Measured(r.Measure, r.Part) is double known && Math.Abs(known - value) < Whole.Slack ? null
                : $"{kind.Name} {Units.Show(value, kind.Unit)}";
        }
        catch (InputException)
        {
            return null;
        }
    }

    private double Value(BenchReading r) => MeasureKinds.Find(r.Measure)!.Read(r.Text, r.Field, Units.Units, r.Times);

    /// <summary>Reads the tag. Answers where to go instead: nowhere for a tool without work here, the bench that suits it for another.</summary>
    protected async Task<IActionResult?> Load(CancellationToken cancel)
    {
        Assumed = await Shop.Assumed(cancel);
        if (Number is not int number)
        {
            return null;
        }
        Of = await Tags.Show(number, TagParts.Head | TagParts.Pictures, cancel);
        if (Of is null || !Fits(Of.Tool()))
        {
            return NotFound();
        }
        Known = Of.Facts();
        if (Elsewhere(Known.Tool) is { } other)
        {
            return LocalRedirect(other);
        }
        await Fill(Known, cancel);
        return null;
    }

    /// <summary>Shows the bench.</summary>
    public abstract Task<IActionResult> OnGet(CancellationToken cancel);

    /// <summary>Keeps what was measured on the tag.</summary>
    public async Task<IActionResult> OnPostKeep(CancellationToken cancel)
    {
        if (Number is not int number || await Load(cancel) is not null || await Tags.Find(number, cancel) is not { } tag)
        {
            return NotFound();
        }
        return await Do("", async () =>
        {
            KeepSent(tag);
            await Tags.Save(tag, cancel);
            return LocalRedirect($"{Here}?tag={number}");
        }, () => OnGet(cancel));
    }

    /// <summary>Keeps what was sent and is other than stood in its field: a line nobody moved is no measurement.</summary>
    protected void KeepSent(Tag tag)
    {
        string? Sent(string field) => Request.Form[field].FirstOrDefault();
        Keep(tag, Sensible(Known!).Select(r => r with { Text = Sent(r.Field) }).Where(r => Anew(r.Field, r.Text)));
        KeepMore(tag, Sent);
    }

    /// <summary>Keeps readings on a tag; those it has already are not taken twice.</summary>
    protected void Keep(Tag tag, IEnumerable<BenchReading> readings)
    {
        foreach (BenchReading r in readings)
        {
            tag.TakeIfOther(r.Part, r.Measure, Value(r), MeasureKinds.Find(r.Measure)!.With, Assumed, Time.GetUtcNow());
        }
    }

    /// <inheritdoc />
    protected override string FieldOf(string input, string otherwise) => Known is { } known && Readings(known).Any(r => r.Field == input) ? input : otherwise;
}
