using CsCheck;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Tools;

public sealed class DrawingTests
{
    public static TheoryData<string> Kinds() => [.. ToolCatalogue.Kinds.Select(k => k.Id.Value)];

    [Fact]
    public void There_are_thirty_two_kinds() => ToolCatalogue.Kinds.Select(k => k.Id).Distinct().Count().ShouldBe(32);

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Drawing_and_catalogue_name_the_same_parts(string kind)
    {
        ToolKind tool = ToolCatalogue.Kind(KindId.Of(kind));
        HashSet<PartId> drawn = [.. Profile.Of(KindId.Of(kind)).Parts.Select(p => p.Part)];
        tool.Parts.Select(p => p.DrawnAs).ShouldBeSubsetOf(drawn);
        drawn.ShouldBeSubsetOf(tool.Parts.Select(p => p.Id));
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Marks_fall_on_the_drawing(string kind)
    {
        Profile profile = Profile.Of(KindId.Of(kind));
        profile.Parts.ShouldAllBe(p => p.Anchor.X > 0 && p.Anchor.X < profile.Width && p.Anchor.Y > 0 && p.Anchor.Y < profile.Height);
        profile.RestY.ShouldBeInRange(profile.Height / 2, profile.Height);
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void A_drawing_grows_by_what_the_tool_is_longer(string kind)
    {
        double nominal = ToolCatalogue.Kind(KindId.Of(kind)).NominalLengthMm;
        double Span(double length) => Profile.Fitted(KindId.Of(kind), length).Width - (2 * Profile.Margin);
        // Some kinds stretch, which adds the difference, or less where a handle reached past the heel; the others are drawn larger as a whole.
        (Span(nominal * 1.25) - Span(nominal)).ShouldBeInRange(0.13 * nominal, 0.26 * Math.Max(nominal, Span(nominal)));
        Profile.Fitted(KindId.Of(kind), nominal * 0.5).ShouldNotBe(Profile.Of(KindId.Of(kind)));
        Profile.Fitted(KindId.Of(kind), nominal * 5).ShouldBe(Profile.Of(KindId.Of(kind)));
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Whatever_is_measured_the_drawing_keeps_to_its_sheet(string kind) =>
        Gen.Select(Gen.Double[0.4, 2.5], Gen.Double[0.25, 0.45], Gen.Double[0.5, 1.9]).Sample((longer, mouth, wide) =>
        {
            ToolKind tool = ToolCatalogue.Kind(KindId.Of(kind));
            double length = tool.NominalLengthMm * longer;
            Profile nominal = Profile.Of(KindId.Of(kind)), fitted = Profile.Fitted(KindId.Of(kind), new FitMeasures(length, mouth * length, wide * 45, null,
                kind.Contains("saw", StringComparison.Ordinal) ? 3 + (wide * 7) : null));
            foreach ((DrawnPart part, DrawnPart before) in fitted.Parts.Zip(nominal.Parts))
            {
                (Spot low, Spot high) = Exploded.BoxOf(part);
                (low.X > 1 && low.Y > 1 && high.X < fitted.Width - 1 && high.Y < fitted.Height - 1)
                    .ShouldBeTrue($"{part.Part} leaves the sheet at {length:0} mm: {low} {high} of {fitted.Width:0} x {fitted.Height:0}");
                part.Spots.Count.ShouldBe(before.Spots.Count);
                (part.Anchor.X > 0 && part.Anchor.X < fitted.Width && part.Anchor.Y > 0 && part.Anchor.Y < fitted.Height).ShouldBeTrue(part.Part.Value);
            }
        }, iter: 60, seed: "0N0XIzNsQ0O2");

    [Theory]
    [InlineData("wooden-bench-plane", "tote", "body")]
    [InlineData("block-plane", "lever_cap", "toe_plate")]
    [InlineData("rebate-plane", "wedge", "body")]
    [InlineData("plough-plane", "stem", "skate")]
    [InlineData("scraper-plane", "knob", "body")]
    [InlineData("toothing-plane", "iron", "body")]
    [InlineData("hand-saw", "handle", "plate")]
    [InlineData("back-saw", "saw_nuts", "back")]
    [InlineData("chisel", "bolster", "handle")]
    [InlineData("drawknife", "ferrule_left", "blade")]
    [InlineData("axe", "wedge", "haft")]
    [InlineData("hand-drill", "chuck", "handle")]
    [InlineData("pruner", "pivot", "upper_handle")]
    public void Small_parts_keep_their_size_and_the_long_one_stretches(string kind, string keeps, string stretches)
    {
        double length = ToolCatalogue.Kind(KindId.Of(kind)).NominalLengthMm;
        Profile nominal = Profile.Of(KindId.Of(kind)), longer = Profile.Fitted(KindId.Of(kind), length * 1.2);
        double Across(Profile p, string part) => Exploded.BoxOf(p.Parts.First(x => x.Part.Value == part)) is var (low, high) ? high.X - low.X : 0;
        Across(longer, keeps).ShouldBe(Across(nominal, keeps), 0.01);
        Across(longer, stretches).ShouldBeGreaterThan(Across(nominal, stretches) + (0.05 * length));
    }

    [Fact]
    public void A_longer_saw_has_more_teeth_not_longer_ones()
    {
        int Teeth(double length, double? points) => Profile.Fitted(KindIds.HandSaw, new FitMeasures(length, PointsPerInch: points)).Parts.First(p =>
            p.Part == PartIds.Plate).Shapes[0].Path.Corners().Count(c => Math.Abs(c.Y - 188.49) < 0.1);
        int nominal = Profile.Of(KindIds.HandSaw).Parts.First(p => p.Part == PartIds.Plate).Shapes[0].Path.Corners().Count(c => Math.Abs(c.Y - 188.49) < 0.1);
        nominal.ShouldBeInRange(150, 158);
        Teeth(711, null).ShouldBeInRange((int)(nominal * 711 / 660.0) - 2, (int)(nominal * 711 / 660.0) + 3);
        Teeth(661, 10).ShouldBeInRange(231, 238);
        Teeth(661, 16).ShouldBeInRange(192, 199);
    }

    [Fact]
    public void A_wide_chisel_keeps_its_neck_and_a_worn_one_its_handle()
    {
        Profile nominal = Profile.Of(KindIds.Chisel), wide = Profile.Fitted(KindIds.Chisel, new FitMeasures(284, WidthMm: 50.8)),
            worn = Profile.Fitted(KindIds.Chisel,
            new FitMeasures(234, BladeMm: 58));
        double Down(Profile p, string part) => Exploded.BoxOf(p.Parts.First(x => x.Part.Value == part)) is var (low, high) ? high.Y - low.Y : 0;
        double Along(Profile p, string part) => Exploded.BoxOf(p.Parts.First(x => x.Part.Value == part)) is var (low, high) ? high.X - low.X : 0;
        Down(wide, "blade").ShouldBe(50.8, 0.2);
        Down(wide, "bolster").ShouldBe(Down(nominal, "bolster"), 0.01);
        Along(worn, "blade").ShouldBe(Along(nominal, "blade") - 50, 0.2);
        Along(worn, "handle").ShouldBe(Along(nominal, "handle"), 0.01);
    }

    [Fact]
    public void A_mark_goes_to_the_place_it_names()
    {
        DrawnPart body = Profile.Fitted(KindIds.MetalBenchPlane, 560).Parts.First(p => p.Part == PartIds.Body);
        body.At("toe").X.ShouldBeLessThan(30);
        body.At("mouth").X.ShouldBeGreaterThan(150);
        body.At("heel").X.ShouldBeGreaterThan(530);
        body.At("").ShouldBe(body.Anchor);
        body.At("nowhere").ShouldBe(body.Anchor);
    }

    [Fact]
    public void What_cuts_says_how_and_a_plough_has_its_set()
    {
        ToolCatalogue.Kinds.Where(k => k.Edges.Any() || k.Family == Family.Saw).ShouldAllBe(k => k.Edge != EdgeForm.None);
        ToolCatalogue.Kinds.Where(k => !k.Edges.Any() && k.Family != Family.Saw).ShouldAllBe(k => k.Edge == EdgeForm.None);
        ToolCatalogue.Kind(KindIds.PloughPlane).Set.Count().ShouldBe(7);
        ToolCatalogue.Kind(KindIds.PloughPlane).Edges.Select(p => p.Id).ShouldBe([PartIds.Iron]);
        ToolCatalogue.Kind(KindIds.HewingHatchet).Edge.ShouldBe(EdgeForm.FlatFace);
    }

    [Fact]
    public void At_its_nominal_length_the_bench_plane_is_not_moved()
    {
        Profile fitted = Profile.Fitted(KindIds.MetalBenchPlane, 245, 76), nominal = Profile.Of(KindIds.MetalBenchPlane);
        fitted.Width.ShouldBe(nominal.Width, 0.01);
        fitted.Parts.Select(p => p.Shapes[0].Path.ToString()).ShouldBe(nominal.Parts.Select(p => p.Shapes[0].Path.ToString()));
    }

    [Fact]
    public void Only_the_body_of_the_bench_plane_stretches() => Gen.Double[260, 610].Sample(length =>
    {
        Profile fitted = Profile.Fitted(KindIds.MetalBenchPlane, length), nominal = Profile.Of(KindIds.MetalBenchPlane);
        fitted.Width.ShouldBe(length + 12, 0.01);
        foreach ((DrawnPart part, DrawnPart before) in fitted.Parts.Zip(nominal.Parts))
        {
            (Spot low, Spot high) = part.Shapes[0].Path.Box();
            (Spot low0, Spot high0) = before.Shapes[0].Path.Box();
            double expected = part.Part == PartIds.Body ? length : high0.X - low0.X;
            (high.X - low.X).ShouldBe(expected, part.Part == PartIds.Body ? 1.5 : 1e-6);
            (low.X >= 5.9 && high.X <= fitted.Width - 5.9).ShouldBeTrue($"{part.Part} leaves the drawing at {length}");
        }
    });

    [Fact]
    public void Paths_are_read_relative_and_absolute()
    {
        Outline.Parse("M1 2h3v4l-1-1c.5 .5 1 1 2 2z").ToString().ShouldBe("M1 2L4 2L4 6L3 5C3.5 5.5 4 6 5 7Z");
        Should.Throw<FormatException>(() => Outline.Parse("M1 2A3 3 0 0 0 1 1"));
        Should.Throw<FormatException>(() => Outline.Parse("M1"));
    }

    [Fact]
    public void The_first_five_hundred_tokens_differ_and_neighbours_differ_in_several_ways()
    {
        List<TokenDesign> designs = [.. Enumerable.Range(1, 500).Select(TokenDesign.Of)];
        designs.Distinct().Count().ShouldBe(500);
        designs.ShouldBe(Enumerable.Range(1, 500).Select(TokenDesign.Of));
        int Alike(TokenDesign a, TokenDesign b) => (a.Metal == b.Metal ? 1 : 0) + (a.Sides == b.Sides ? 1 : 0) + (a.Figure == b.Figure ? 1
            : 0) + (a.Count == b.Count ? 1 : 0);
        designs.Zip(designs.Skip(1)).Max(p => Alike(p.First, p.Second)).ShouldBeLessThanOrEqualTo(2);
        Enumerable.Range(0, TokenDesign.Designs).Select(TokenDesign.Of).Distinct().Count().ShouldBe(TokenDesign.Designs);
    }

    [Fact]
    public void Every_scale_says_what_one_would_see()
    {
        foreach (FindingKind kind in Enum.GetValues<FindingKind>())
        {
            FindingScales.Degrees(kind).Count.ShouldBe(5);
            FindingScales.Degrees(kind).Distinct().Count().ShouldBe(5);
            FindingScales.Name(kind).ShouldNotBeEmpty();
        }
        Should.Throw<InputException>(() => FindingScales.Sight(FindingKind.Rust, 5)).Field.ShouldBe("severity");
    }

    [Fact]
    public void Findings_fit_the_part()
    {
        ToolKind plane = ToolCatalogue.Kind(KindIds.MetalBenchPlane);
        Faults.For(plane, plane.Part(PartIds.Tote)!).ShouldNotContain(FindingKind.Rust);
        Faults.For(plane, plane.Part(PartIds.Iron)!).ShouldContain(FindingKind.EdgeDamage);
        Faults.For(plane, plane.Part(PartIds.Body)!).ShouldNotContain(FindingKind.EdgeDamage);
        plane.Part(PartIds.FrogScrews)!.DrawnAs.ShouldBe(PartIds.Frog);
    }
}
