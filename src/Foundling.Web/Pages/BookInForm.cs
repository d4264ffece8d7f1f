using System.Globalization;
using Foundling.Core;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Pictures;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc.ModelBinding;

namespace Foundling.Web.Pages;

/// <summary>What is typed when a tool is booked in; kept as text so that nothing typed is ever lost.</summary>
public sealed class BookInForm
{
    /// <summary>Days a date may lie ahead: clocks run ahead, and midnight comes while one types.</summary>
    public const int DaysOfGrace = 1;

    /// <summary>Longest one-line text.</summary>
    public const int MostLine = 200;

    /// <summary>Longest story.</summary>
    public const int MostStory = 20_000;

    /// <summary>Kind of tool.</summary>
    public string? Kind { get; set; }

    /// <summary>What people call it.</summary>
    public string? Name { get; set; }

    /// <summary>Length.</summary>
    public string? Length { get; set; }

    /// <summary>Iron or blade width.</summary>
    public string? IronWidth { get; set; }

    /// <summary>Sole width.</summary>
    public string? SoleWidth { get; set; }

    /// <summary>Front of the mouth from the toe.</summary>
    public string? MouthFront { get; set; }

    /// <summary>What the sole is for.</summary>
    public SolePurpose? Purpose { get; set; }

    /// <summary>Where it came from.</summary>
    public string? Source { get; set; }

    /// <summary>What was paid.</summary>
    public string? Price { get; set; }

    /// <summary>The day it came.</summary>
    public string? ArrivedOn { get; set; }

    /// <summary>Whose it is.</summary>
    public string? Owner { get; set; }

    /// <summary>Name stamped on it.</summary>
    public string? OwnersMark { get; set; }

    /// <summary>Which hand it is for.</summary>
    public Hand Hand { get; set; }

    /// <summary>The day it is promised.</summary>
    public string? PromisedOn { get; set; }

    /// <summary>Its story.</summary>
    public string? Story { get; set; }

    /// <summary>Pictures that came with this form before and were kept while something else in it was put right.</summary>
    public List<string> Held { get; set; } = [];

    /// <summary>Its fields, with what each is in words and how it stands.</summary>
    public IEnumerable<(string Field, string What, string? Text)> Fields =>
    [
        (nameof(Kind), "The kind of tool", Kind), (nameof(Name), "Its name", Name), (nameof(Length), "The length", Length), (nameof(IronWidth),
            "The width of the iron", IronWidth),
        (nameof(SoleWidth), "The width of the sole", SoleWidth), (nameof(MouthFront), "The place of the mouth", MouthFront),
            (nameof(Purpose), "What it is for", Purpose?.ToString()),
        (nameof(Source), "Where it came from", Source), (nameof(Price), "The price", Price), (nameof(ArrivedOn), "The day it came", ArrivedOn),
            (nameof(Owner), "Whose it is", Owner),
        (nameof(OwnersMark), "The owner's mark", OwnersMark), (nameof(Hand), "Which hand it is for", Hand.ToString()), (nameof(PromisedOn),
            "The day it is promised", PromisedOn), (nameof(Story), "Its story", Story),
    ];

    /// <summary>What this form shows, for telling later what was changed in it.</summary>
    public IEnumerable<(string Field, string? Value)> Was => Fields.Select(f => ("Form." + f.Field, f.Text));

    /// <summary>Takes over what someone else changed meanwhile where this form left a field alone.</summary>
    /// <param name="now">The form as the tag fills it now.</param>
    /// <param name="merge">What the form showed.</param>
    public void Join(BookInForm now, FormMerge merge)
    {
        foreach (((string field, string what, string? sent), (_, _, string? stands)) in Fields.Zip(now.Fields).ToList())
        {
            if (!merge.Mine("Form." + field, what, sent, stands) && !merge.Clashed)
            {
                typeof(BookInForm).GetProperty(field)!.SetValue(this, typeof(BookInForm).GetProperty(field)!.GetValue(now));
            }
        }
    }

    /// <summary>The form as a tag fills it.</summary>
    public static BookInForm Of(Tag tag, LengthUnits units)
    {
        string? Show(double? mm) => mm is double v ? Core.Units.Length.Typed(v, units) : null;
        return new BookInForm
        {
            Kind = tag.Kind.Value, Name = tag.Name, Length = Show(tag.LengthMm), IronWidth = Show(tag.IronWidthMm), SoleWidth = Show(tag.SoleWidthMm),
            MouthFront = Show(tag.MouthFrontMm), Purpose = tag.Purpose,
            Source = tag.Source, Price = tag.Price?.ToString("0.##", CultureInfo.InvariantCulture),
            ArrivedOn = tag.ArrivedOn.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
            Owner = tag.Owner, OwnersMark = tag.OwnersMark, Hand = tag.Hand, PromisedOn = tag.PromisedOn?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
            Story = tag.Story,
        };
    }

    /// <summary>Writes the form into a tag; every fault gets a sentence at its field.</summary>
    /// <param name="tag">The tag; a day that it has already is not judged again, whatever the clock says by now.</param>
    /// <param name="state">Where sentences go.</param>
    /// <param name="units">Units of bare numbers.</param>
    /// <param name="today">Today.</param>
    public void Fill(Tag tag, ModelStateDictionary state, LengthUnits units, DateOnly today)
    {
        DateOnly came = tag.ArrivedOn;
        void Bad(string field, string sentence) => state.AddModelError("Form." + field, sentence);
        if (string.IsNullOrEmpty(Kind) || !ToolCatalogue.Knows(KindId.Of(Kind)))
        {
            Bad(nameof(Kind), "Choose what kind of tool it is; it can be changed later.");
        }
        else
        {
            tag.Kind = KindId.Of(Kind);
        }
        tag.LengthMm = Read(Length, nameof(Length), 10, 3000);
        tag.IronWidthMm = Read(IronWidth, nameof(IronWidth), 1, 400);
        tag.SoleWidthMm = Read(SoleWidth, nameof(SoleWidth), 5, 400);
        tag.MouthFrontMm = Read(MouthFront, nameof(MouthFront), 5, 1500);
        if (tag.MouthFrontMm >= tag.LengthMm)
        {
            Bad(nameof(MouthFront), "The mouth cannot lie behind the heel; measure it from the toe.");
        }
        tag.Purpose = Purpose;
        tag.Hand = Hand;
        tag.Price = null;
        if (!string.IsNullOrWhiteSpace(Price))
        {
            if (Typed.TryMoney(Price, out decimal amount))
            {
                tag.Price = amount;
            }
            else
            {
                Bad(nameof(Price), $"\"{Price}\" is not an amount of money. Type a number such as 14 or 12.50, or leave it empty.");
            }
        }
        tag.ArrivedOn = Day(ArrivedOn, nameof(ArrivedOn)) ?? today;
        if (tag.ArrivedOn != came && tag.ArrivedOn > today.AddDays(DaysOfGrace))
        {
            Bad(nameof(ArrivedOn), "It cannot have come after today.");
        }
        tag.PromisedOn = Day(PromisedOn, nameof(PromisedOn));
        if (tag.PromisedOn < tag.ArrivedOn)
        {
            Bad(nameof(PromisedOn), "It cannot be promised before it came.");
        }
        tag.Name = Line(Name, nameof(Name), MostLine);
        tag.Source = Line(Source, nameof(Source), MostLine);
        tag.Owner = Line(Owner, nameof(Owner), MostLine);
        tag.OwnersMark = Line(OwnersMark, nameof(OwnersMark), MostLine);
        tag.Story = Line(Story, nameof(Story), MostStory);

        double? Read(string? text, string field, double least, double most)
        {
            if (string.IsNullOrWhiteSpace(text))
            {
                return null;
            }
            if (!Core.Units.Length.TryParse(text, out double mm, units))
            {
                Bad(field, Core.Units.Length.NotALength(text));
                return null;
            }
            if (mm < least || mm > most)
            {
                Bad(field, $"{Core.Units.Length.Show(mm, units)} cannot be right; {Core.Units.Length.Show(least, units)} to "
                    + $"{Core.Units.Length.Show(most, units)} is possible.");
                return null;
            }
            return mm;
        }

        DateOnly? Day(string? text, string field)
        {
            if (string.IsNullOrWhiteSpace(text))
            {
                return null;
            }
            if (DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out DateOnly day)
                && day.Year is >= 1950 and <= 2100)
            {
                return day;
            }
            Bad(field, $"\"{text}\" is not a date. Write it as year-month-day, for example {today:yyyy-MM-dd}.");
            return null;
        }

        string Line(string? text, string field, int most)
        {
            string clean = (text ?? "").Trim();
            if (clean.Length > most)
            {
                Bad(field, $"This is {clean.Length:#,0} characters long; {most:#,0} is the most.");
            }
            return clean;
        }
    }

    /// <summary>Most pictures sent at once.</summary>
    public const int MostPictures = 60;

    /// <summary>
    /// Takes the pictures of a form; a bad one leaves a sentence under "Pictures" and the others are kept. Nothing is locked
    /// meanwhile, however long it takes.
    /// </summary>
    public static async Task<List<Picture>> Pictures(IReadOnlyList<IFormFile> files, PictureStore store, ModelStateDictionary state, CancellationToken cancel)
    {
        var taken = new List<Picture>();
        if (files.Count > MostPictures)
        {
            state.AddModelError("Pictures", $"{files.Count} pictures at once are too many; send {MostPictures} at a time.");
            return taken;
        }
        foreach (IFormFile file in files.Where(f => f.Length > 0))
        {
            try
            {
                if (file.Length > PictureStore.MostBytes)
                {
                    throw PictureStore.TooLarge(file.FileName);
                }
                await using Stream stream = file.OpenReadStream();
                taken.Add(await store.Add(stream, file.FileName, "as it came", cancel));
            }
            catch (InputException fault)
            {
                state.AddModelError("Pictures", fault.Sentence);
            }
        }
        return taken;
    }
}
