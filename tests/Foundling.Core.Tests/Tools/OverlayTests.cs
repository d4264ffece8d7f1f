using CsCheck;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Tools;

/// <summary>Drawings laid over pictures, and where on a picture the tool is.</summary>
public sealed class OverlayTests
{
    [Fact]
    public void Every_drawn_part_of_every_kind_has_an_outline_inside_its_drawing()
    {
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            Profile profile = Profile.Of(kind.Id);
            Overlay overlay = Overlay.Of(profile);
            overlay.Left.X.ShouldBeLessThan(overlay.Right.X);
            overlay.Parts.Keys.ShouldBe(profile.Parts.Select(p => p.Part).Distinct(), ignoreOrder: true);
            foreach ((PartId part, IReadOnlyList<Spot> corners) in overlay.Parts)
            {
                corners.Count.ShouldBeInRange(3, 120, $"{kind.Id} {part}");
                corners.ShouldAllBe(c => c.X >= overlay.Left.X - 1e-9 && c.X <= overlay.Right.X + 1e-9 && c.Y >= -1 && c.Y <= profile.Height + 1);
            }
        }
    }

    [Fact]
    public void A_curve_taken_in_pieces_passes_through_its_ends_and_middle()
    {
        IReadOnlyList<Spot> arc = Outline.Parse("M0 0C0 8 8 8 8 0Z").Polygon(4);
        arc[0].ShouldBe(new Spot(0, 0));
        arc[2].ShouldBe(new Spot(4, 6));
        arc[^1].ShouldBe(new Spot(8, 0));
    }

    [Fact]
    public void The_frame_is_round_what_stands_out() => Gen.Select(Gen.Int[0, 60], Gen.Int[0, 40], Gen.Int[20, 90],
        Gen.Int[12, 50]).Sample((left, top, wide, high) =>
    {
        const int Width = 160, Height = 100;
        byte[] light = new byte[Width * Height];
        for (int y = 0; y < Height; y++)
        {
            for (int x = 0; x < Width; x++)
            {
                bool inside = x >= left && x < left + wide && y >= top && y < top + high;
                light[(y * Width) + x] = (byte)(inside ? ((x + y) % 7 * 30) + 20 : 128 + ((x * 3) % 4));
            }
        }
        PictureFrame frame = PictureFrame.Of(light, Width);
        frame.Left.ShouldBe(Math.Max(0, (double)left / Width), 0.09);
        frame.Right.ShouldBe(Math.Min(1, (double)(left + wide) / Width), 0.09);
        frame.Top.ShouldBe(Math.Max(0, (double)top / Height), 0.09);
        frame.Bottom.ShouldBe(Math.Min(1, (double)(top + high) / Height), 0.09);
    });

    [Fact]
    public void A_part_laid_between_two_points_keeps_its_shape() => Gen.Select(Gen.Double[0, 800], Gen.Double[0, 500], Gen.Double[0, 800],
        Gen.Double[0, 500]).Sample((x1, y1, x2, y2) =>
    {
        Overlay overlay = Overlay.Of(Profile.Of(KindIds.MetalBenchPlane));
        (Spot from, Spot to) = (new Spot(x1, y1), new Spot(x2, y2));
        double drawn = Far(overlay.Left, overlay.Right), seen = Far(from, to);
        if (seen < 1)
        {
            return;
        }
        IReadOnlyList<Spot> laid = overlay.Laid(PartIds.Body, from, to), corners = overlay.Parts[PartIds.Body];
        laid.Count.ShouldBe(corners.Count);
        // Every distance grows alike: from either end, and from corner to corner.
        for (int i = 0; i < laid.Count; i++)
        {
            Far(laid[i], from).ShouldBe(Far(corners[i], overlay.Left) * seen / drawn, 1e-6);
            Far(laid[i], to).ShouldBe(Far(corners[i], overlay.Right) * seen / drawn, 1e-6);
        }
        // Whichever side the picture shows, it does not stand on its head.
        if (Math.Abs(x2 - x1) > 5 * Math.Abs(y2 - y1))
        {
            Spot top = laid[corners.Select((c, i) => (c.Y, i)).Min().i], low = laid[corners.Select((c, i) => (c.Y, i)).Max().i];
            (top.Y < low.Y).ShouldBeTrue();
        }
    });

    private static double Far(Spot a, Spot b) => Math.Sqrt(((a.X - b.X) * (a.X - b.X)) + ((a.Y - b.Y) * (a.Y - b.Y)));

    [Fact]
    public void Nothing_is_laid_of_a_part_that_is_not_drawn_or_between_one_point()
    {
        Overlay overlay = Overlay.Of(Profile.Of(KindIds.MetalBenchPlane));
        overlay.Laid(PartId.Of("spoon"), new Spot(0, 0), new Spot(9, 9)).ShouldBeEmpty();
        overlay.Laid(PartIds.Body, new Spot(5, 5), new Spot(5, 5)).ShouldBeEmpty();
    }

    [Fact]
    public void A_picture_of_nothing_is_shown_whole() => PictureFrame.Of(new byte[64], 8).ShouldBe(PictureFrame.Whole with { Left = 0, Right = 1 });
}
