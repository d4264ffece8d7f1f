using CsCheck;
using Foundling.Core.Tools;
using Foundling.Core.Units;

namespace Foundling.Core.Tests.Tools;

/// <summary>Tools drawn apart, what is known of parts, and prices shared out.</summary>
public sealed class ExplodedTests
{
    public static TheoryData<string> Kinds() => [.. ToolCatalogue.Kinds.Select(k => k.Id.Value)];

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Apart_no_part_covers_another_and_none_is_lost(string kind)
    {
        foreach (double? length in new double?[] { null, ToolCatalogue.Kind(KindId.Of(kind)).NominalLengthMm * 1.4 })
        {
            Profile together = Profile.Fitted(KindId.Of(kind), length), apart = Exploded.Of(together);
            apart.Parts.Select(p => p.Part).ShouldBe(together.Parts.Select(p => p.Part));
            List<(Spot Low, Spot High)> boxes = [.. apart.Parts.Select(Exploded.BoxOf)];
            for (int i = 0; i < boxes.Count; i++)
            {
                (Spot low, Spot high) = boxes[i];
                (low.X >= Profile.Margin - 1e-6 && low.Y >= Profile.Margin - 1e-6 && high.X <= apart.Width - Profile.Margin + 1e-6
                    && high.Y <= apart.Height - Profile.Margin + 1e-6).ShouldBeTrue(apart.Parts[i].Part.Value);
                (Spot was, Spot wasHigh) = Exploded.BoxOf(together.Parts[i]);
                (high.X - low.X).ShouldBe(wasHigh.X - was.X, 1e-6, "parts keep their size");
                foreach (DrawnPart other in apart.Parts.Where(p => p != apart.Parts[i] && !OnePiece(kind, apart.Parts[i].Part, p.Part)))
                {
                    Covers(apart.Parts[i], other).ShouldBeFalse($"{kind}: {apart.Parts[i].Part} over {other.Part}");
                }
            }
            (apart.Width * apart.Height).ShouldBeLessThan(together.Width * together.Height * 8, "and the sheet stays readable");
        }
    }

    /// <summary>True for parts of one forging, which the file of their kind takes away together.</summary>
    private static bool OnePiece(string kind, PartId one, PartId other)
    {
        IReadOnlyList<double>? Apart(PartId part) => ToolCatalogue.Kind(KindId.Of(kind)).File.Parts.First(p => p.Part == part).Apart;
        ToolKind tool = ToolCatalogue.Kind(KindId.Of(kind));
        return (tool.Part(one)!.OnePiece || tool.Part(other)!.OnePiece) && Apart(one) is { } a && Apart(other) is { } b && a.SequenceEqual(b);
    }

    /// <summary>True when a corner of one part lies inside an outlined shape of another.</summary>
    private static bool Covers(DrawnPart one, DrawnPart other) => other.Shapes.Where(s => s.Class.EndsWith(" o", StringComparison.Ordinal)).Select(s =>
        s.Path.Corners().Select(p => new[] { p.X, p.Y }).ToList())
        .Any(outline => one.Shapes.Where(s => !s.Fine).SelectMany(s => s.Path.Corners()).Any(p => Foundling.Core.Tools.Corners.Inside(outline, p.X, p.Y)));

    [Fact]
    public void Most_parts_say_how_they_are_held_and_what_they_hide()
    {
        List<PartDef> parts = [.. ToolCatalogue.Kinds.SelectMany(k => k.Parts)];
        parts.Count(p => PartLore.Held(p) is not null).ShouldBeGreaterThan(parts.Count / 2);
        PartLore.Hides(ToolCatalogue.Kind(KindIds.MetalBenchPlane).Part(PartIds.Frog)!)!.ShouldContain("seat");
        PartLore.Held(ToolCatalogue.Kind(KindIds.MetalBenchPlane).Part(PartIds.Adjuster)!)!.ShouldContain("reverse thread");
    }

    [Fact]
    public void A_price_is_shared_out_to_the_last_cent() => Gen.Select(Gen.Int[0, 1_000_000], Gen.Int[0, 50].Array[1, 12]).Sample((cents, weights) =>
    {
        decimal amount = cents / 100m;
        IReadOnlyList<decimal> shares = Shares.Split(amount, [.. weights.Select(w => (decimal)w)]);
        shares.Sum().ShouldBe(amount);
        shares.ShouldAllBe(s => s >= 0 && decimal.Round(s, 2) == s);
        int total = weights.Sum();
        foreach ((int weight, decimal share) in weights.Zip(shares))
        {
            Math.Abs(share - (total == 0 ? amount / weights.Length : amount * weight / total)).ShouldBeLessThan(0.01m);
        }
    });

    [Fact]
    public void Nothing_is_shared_over_nobody()
    {
        Should.Throw<InputException>(() => Shares.Split(10, []));
        Should.Throw<InputException>(() => Shares.Split(10, [1, -1]));
    }
}
