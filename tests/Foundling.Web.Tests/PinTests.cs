using Foundling.Core.Tools;
using Foundling.Web.Drawings;

namespace Foundling.Web.Tests;

/// <summary>Numbered marks on the drawings of every kind: none covers another, none falls off the sheet.</summary>
public sealed class PinTests
{
    public static TheoryData<string, double, bool> Drawings()
    {
        var data = new TheoryData<string, double, bool>();
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            foreach (double width in new[] { 720.0, 340.0 })
            {
                data.Add(kind.Id.Value, width, false);
                data.Add(kind.Id.Value, width, true);
            }
        }
        return data;
    }

    [Theory]
    [MemberData(nameof(Drawings))]
    public void Marks_keep_apart_and_on_the_sheet(string kind, double width, bool apart)
    {
        Profile profile = apart ? Exploded.Of(Profile.Of(KindId.Of(kind))) : Profile.Of(KindId.Of(kind));
        // Every third part carries two findings, as rusty tools do.
        var view = new ProfileView(profile, width, kind)
        {
            Pins = [.. profile.Parts.SelectMany((p, i) => Enumerable.Repeat(new Pin(p.Part, i.ToString(System.Globalization.CultureInfo.InvariantCulture)),
                i % 3 == 0 ? 2 : 1)).Take(12)],
        };
        List<(double X, double Y, string Text)> pins = [.. view.PlacedPins()];
        pins.Count.ShouldBe(view.Pins.Count);
        double size = 21 * view.MmPerPx;
        for (int i = 0; i < pins.Count; i++)
        {
            pins[i].X.ShouldBeInRange(0, profile.Width);
            pins[i].Y.ShouldBeInRange(0, profile.Height);
            for (int j = 0; j < i; j++)
            {
                double dx = pins[i].X - pins[j].X, dy = pins[i].Y - pins[j].Y;
                Math.Sqrt((dx * dx) + (dy * dy)).ShouldBeGreaterThanOrEqualTo(size * 0.98, $"{pins[i].Text} over {pins[j].Text}");
            }
        }
    }
}
