using Foundling.Core;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Demo;
using Foundling.Data.Pictures;
using Foundling.Data.Store;

namespace Foundling.Data.Tests;

/// <summary>Counting and colour on painted photographs whose rust is known pixel by pixel.</summary>
public sealed class CoverageTests : IDisposable
{
    private static readonly Lazy<IReadOnlyList<PaintedPhotograph>> Photographs = new(() =>
        [.. new (string Kind, Weathering Looks)[] { ("metal-bench-plane", new(31, 0.38, 0.43, 12)), ("hand-saw", new(22, 0.45, 0, 8)),
            ("adjustable-wrench", new(38, 0.55, 0, 16)), ("drawknife", new(27, 0.12, 0, 3)), ("bolt-cutter", new(24, 0.4, 0.35, 10)) }
            .AsParallel().AsOrdered().Select(p => BenchPhotograph.Paint(Profile.Of(KindId.Of(p.Kind)), p.Looks, 800))]);

    private readonly TestShop _shop = new();

    public void Dispose() => _shop.Dispose();

    [Fact]
    public void Two_hundred_seeded_counts_hold_the_truth_nine_times_in_ten()
    {
        int held = 0;
        const int Counts = 200;
        for (int i = 0; i < Counts; i++)
        {
            PaintedPhotograph photo = Photographs.Value[i % Photographs.Value.Count];
            bool At(bool[] mask, double x, double y) => mask[((int)y * photo.Width) + (int)x];
            double spacing = Math.Sqrt(photo.IronMask.Count(x => x) / 90.0);
            PointGridResult grid = PointGrid.Lay(spacing, 0, 0, photo.Width, photo.Height, i, (x, y) => At(photo.IronMask, x, y));
            grid.PointsPx.Count.ShouldBeInRange(50, 140);
            WilsonResult result = Wilson.Count(new WilsonInput(grid.PointsPx.Count(p => At(photo.RustMask, p[0], p[1])), grid.PointsPx.Count));
            held += photo.TrueRust >= result.Low95 && photo.TrueRust <= result.High95 ? 1 : 0;
        }
        (held / (double)Counts).ShouldBeGreaterThanOrEqualTo(0.90);
    }

    [Fact]
    public void The_guess_by_colour_is_within_eight_points_on_bare_iron()
    {
        foreach (PaintedPhotograph photo in Photographs.Value)
        {
            ColourMaskResult guess = ColourMask.Of(photo.Jpeg, (x, y) => photo.IronMask[((int)(y * photo.Height) * photo.Width) + (int)(x * photo.Width)],
                Assumptions.Standard);
            guess.RustShare.ShouldBe(photo.TrueRust, 0.08);
            guess.Png.Length.ShouldBeGreaterThan(100);
        }
    }

    [Fact]
    public void Thresholds_change_the_guess()
    {
        PaintedPhotograph photo = Photographs.Value[0];
        double Share(Assumptions a) => ColourMask.Of(photo.Jpeg, (_, _) => true, a).RustShare;
        Share(Assumptions.Standard with { RustChromaLow = 60, RustChromaHigh = 61 }).ShouldBeLessThan(Share(Assumptions.Standard));
        Share(Assumptions.Standard with { RustHueLow = 0, RustHueHigh = 360, RustChromaLow = 0, RustChromaHigh = 200, RustLightLow = 0, RustLightHigh = 100 })
            .ShouldBeGreaterThan(0.95);
    }

    [Fact]
    public async Task A_count_comes_back_as_it_was_kept_and_travels_with_its_picture()
    {
        var picture = new MemoryStream(Photographs.Value[0].Jpeg);
        Picture photo = await _shop.Pictures.Add(picture, "plane.jpg", "side");
        var count = new CountRecord
        {
            Id = Guid.NewGuid(), PictureId = photo.Id, Part = PartIds.Body, Kind = FindingKind.Rust, Round = Round.Washed,
            OutlinePx = [[10, 10], [400, 12.5], [390, 300]], ReferencePx = [[0, 0], [100, 0]], ReferenceMm = 50,
            Points = 40, Seed = 7, Answers = "yynsy", At = _shop.Time.GetUtcNow(),
        };
        int number = await _shop.BookIn(t =>
        {
            t.Pictures.Add(photo);
            t.Counts.Add(count);
        });
        using var bundle = new MemoryStream();
        await using (FoundlingDb db = _shop.Open())
        {
            Tag kept = (await _shop.Tags(db).Find(number))!;
            CountRecord back = kept.Counts.Single();
            back.OutlinePx.ShouldBe(count.OutlinePx);
            back.Counted().ShouldBe(new WilsonInput(3, 4));
            back.Scale()!.MmPerPixel.ShouldBe(0.5);
            // Grown, it is saved again.
            back.Answers += "n";
            back.OutlinePx = [.. back.OutlinePx, [20, 280]];
            await _shop.Tags(db).Save(kept);
            await _shop.Bundles(db).Write(kept, bundle);
        }
        using var other = new TestShop();
        await using (FoundlingDb db = other.Open())
        {
            bundle.Position = 0;
            Tag there = await other.Bring(db, bundle);
            there.Counts.Single().Answers.ShouldBe("yynsyn");
            there.Counts.Single().OutlinePx.Count.ShouldBe(4);
            there.Pictures.ShouldContain(p => p.Id == there.Counts.Single().PictureId);
        }
    }
}
