using System.Globalization;
using Foundling.Core;
using Foundling.Core.Soles;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Pictures;
using Microsoft.AspNetCore.Mvc.ModelBinding;

namespace Foundling.Web.Pages;

/// <summary>What is typed when a tool is booked in; kept as text so that nothing typed is ever lost.</summary>
public sealed class BookInForm
{
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

    /// <summary>The form as a tag fills it.</summary>
    public static BookInForm Of(Tag tag, LengthUnits units)
    {
        string? Show(double? mm) => mm is double v ? units == LengthUnits.Metric ? $"{v:0.##}" : $"{v / Core.Units.Length.MmPerInch:0.###}" : null;
        return new BookInForm
        {
            Kind = tag.Kind, Name = tag.Name, Length = Show(tag.LengthMm), IronWidth = Show(tag.IronWidthMm), SoleWidth = Show(tag.SoleWidthMm), MouthFront = Show(tag.MouthFrontMm), Purpose = tag.Purpose,
            Source = tag.Source, Price = tag.Price?.ToString("0.##", CultureInfo.InvariantCulture), ArrivedOn = tag.ArrivedOn.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
            Owner = tag.Owner, OwnersMark = tag.OwnersMark, Hand = tag.Hand, PromisedOn = tag.PromisedOn?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture), Story = tag.Story,
        };
    }

    /// <summary>Writes the form into a tag; every fault gets a sentence at its field.</summary>
    public void Fill(Tag tag, ModelStateDictionary state, LengthUnits units, DateOnly today)
    {
        void Bad(string field, string sentence) => state.AddModelError("Form." + field, sentence);
        if (string.IsNullOrEmpty(Kind) || ToolCatalogue.Kinds.All(k => k.Id != Kind))
        {
            Bad(nameof(Kind), "Choose what kind of tool it is; it can be changed later.");
        }
        else
        {
            tag.Kind = Kind;
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
        if (tag.ArrivedOn > today)
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
                Bad(field, $"{Core.Units.Length.Show(mm, units)} cannot be right; {Core.Units.Length.Show(least, units)} to {Core.Units.Length.Show(most, units)} is possible.");
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
            if (DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out DateOnly day) && day.Year is >= 1950 and <= 2100)
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

    /// <summary>Takes the pictures of a form; one bad picture leaves a sentence and the others are kept.</summary>
    public static async Task<List<Picture>> Pictures(IEnumerable<IFormFile> files, PictureStore store, ModelStateDictionary state, CancellationToken cancel)
    {
        var taken = new List<Picture>();
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
