using CsCheck;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Tools;

public sealed class DrawingTests
{
    public static TheoryData<string> Kinds() => [.. ToolCatalogue.Kinds.Select(k => k.Id)];

    [Fact]
    public void There_are_twenty_kinds() => ToolCatalogue.Kinds.Select(k => k.Id).Distinct().Count().ShouldBe(20);

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Drawing_and_catalogue_name_the_same_parts(string kind)
    {
        ToolKind tool = ToolCatalogue.Kind(kind);
        HashSet<string> drawn = [.. Profile.Of(kind).Parts.Select(p => p.Part)];
        tool.Parts.Select(p => p.DrawnAs).ShouldBeSubsetOf(drawn);
        drawn.ShouldBeSubsetOf(tool.Parts.Select(p => p.Id));
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Marks_fall_on_the_drawing(string kind)
    {
        Profile profile = Profile.Of(kind);
        profile.Parts.ShouldAllBe(p => p.Anchor.X > 0 && p.Anchor.X < profile.Width && p.Anchor.Y > 0 && p.Anchor.Y < profile.Height);
        profile.RestY.ShouldBeInRange(profile.Height / 2, profile.Height);
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void A_drawing_grows_with_the_measured_length(string kind)
    {
        double nominal = ToolCatalogue.Kind(kind).NominalLengthMm;
        double Span(double length) => Profile.Fitted(kind, length).Width - (2 * Profile.Margin);
        Span(nominal * 1.25).ShouldBeGreaterThan(Span(nominal) * 1.15);
        Span(nominal * 0.8).ShouldBe(Span(nominal) * 0.8, 0.02 * Span(nominal));
    }

    [Fact]
    public void At_its_nominal_length_the_bench_plane_is_not_moved()
    {
        Profile fitted = Profile.Fitted("metal-bench-plane", 245, 76), nominal = Profile.Of("metal-bench-plane");
        fitted.Width.ShouldBe(nominal.Width, 0.01);
        fitted.Parts.Select(p => p.Shapes[0].Path.ToString()).ShouldBe(nominal.Parts.Select(p => p.Shapes[0].Path.ToString()));
    }

    [Fact]
    public void Only_the_body_of_the_bench_plane_stretches() => Gen.Double[260, 610].Sample(length =>
    {
        Profile fitted = Profile.Fitted("metal-bench-plane", length), nominal = Profile.Of("metal-bench-plane");
        fitted.Width.ShouldBe(length + 12, 0.01);
        foreach ((DrawnPart part, DrawnPart before) in fitted.Parts.Zip(nominal.Parts))
        {
            (Spot low, Spot high) = part.Shapes[0].Path.Box();
            (Spot low0, Spot high0) = before.Shapes[0].Path.Box();
            double expected = part.Part == "body" ? length : high0.X - low0.X;
            (high.X - low.X).ShouldBe(expected, part.Part == "body" ? 1.5 : 1e-6);
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
        int Alike(TokenDesign a, TokenDesign b) => (a.Metal == b.Metal ? 1 : 0) + (a.Sides == b.Sides ? 1 : 0) + (a.Figure == b.Figure ? 1 : 0) + (a.Count == b.Count ? 1 : 0);
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
        ToolKind plane = ToolCatalogue.Kind("metal-bench-plane");
        FindingScales.For(plane.Part("tote")!).ShouldNotContain(FindingKind.Rust);
        FindingScales.For(plane.Part("iron")!).ShouldContain(FindingKind.EdgeDamage);
        FindingScales.For(plane.Part("body")!).ShouldNotContain(FindingKind.EdgeDamage);
        plane.Part("frog_screws")!.DrawnAs.ShouldBe("frog");
    }
}
