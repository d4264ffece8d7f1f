using System.Globalization;
using System.Text.RegularExpressions;
using System.Xml.Linq;
using Foundling.Core;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Origin;
using Foundling.Core.Rod;
using Foundling.Core.Soles;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Reference;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;

namespace Foundling.Web.Tests;

public sealed partial class DrawingTests
{
    [Theory]
    [InlineData(0, 90, 700)]
    [InlineData(1888, 1960, 575)]
    [InlineData(0, 0.28, 700)]
    [InlineData(0, 783, 300)]
    public void A_rule_has_figures_with_room_between_them(double from, double to, double width)
    {
        var rule = new RuleView(10, 0, width, from, to);
        var ticks = rule.Ticks().ToList();
        var figures = ticks.Where(t => t.Big).ToList();
        figures.Count.ShouldBeInRange(3, 18);
        figures.Zip(figures.Skip(1)).ShouldAllBe(p => p.Second.X - p.First.X >= 45.9);
        ticks.ShouldAllBe(t => t.X >= 10 - 1e-6 && t.X <= 10 + width + 1e-6);
        figures.ShouldAllBe(f => Math.Abs(rule.At(double.Parse(f.Text, CultureInfo.InvariantCulture)) - f.X) < 0.6);
    }

    [Fact]
    public void A_rod_fills_its_length_and_marks_where_the_work_stands()
    {
        List<PlanStep> steps = [.. Enumerable.Range(0, 5).Select(i => new PlanStep(
            new Deed(new DeedId(StepKey.Own, $"{i}"), Stage.Wash, $"step {i}", 10 + i, 10 + i, 10 + i) { Lag = i == 2 ? Lag.Cure(600) : null },
            i < 2 ? new StepMark { State = StepState.Done } : null, i + 1))];
        var rod = new RodView(steps, 400);
        rod.Pieces.Count.ShouldBe(6);
        rod.Pieces[^1].X.ShouldBeGreaterThan(300);
        (rod.Pieces[^1].X + rod.Pieces[^1].Width).ShouldBe(398, 1e-6);
        rod.Pieces.Zip(rod.Pieces.Skip(1)).ShouldAllBe(p => Math.Abs(p.First.X + p.First.Width - p.Second.X) < 1e-6);
        rod.Now.ShouldBe(rod.Pieces[2].X);
        rod.Pieces.Count(p => p.Wait).ShouldBe(1);
        new RodView([], 400).Now.ShouldBeNull();
    }

    private static Tag Plane() => new()
    {
        Number = 31, Kind = KindIds.MetalBenchPlane, LengthMm = 245, IronWidthMm = 50.8,
        Looks =
        [
            new Look { Id = Guid.NewGuid(), Order = 1, Trait = "side_wing", Variant = "peaked" }, new Look { Id = Guid.NewGuid(), Order = 2,
                Trait = "cast_number", Variant = "behind_frog" },
            new Look { Id = Guid.NewGuid(), Order = 3, Trait = "frog_seat", Variant = "machined_saddle", Confidence = Confidence.Likely },
                new Look { Id = Guid.NewGuid(), Order = 4, Trait = "iron_mark", Variant = "boxed_name" },
            new Look { Id = Guid.NewGuid(), Order = 5, Mark = MarkKind.PatentGranted, IssueYear = 1911, Part = "lever_cap", Reading = "Patent of 1911" },
        ],
    };

    [Fact]
    public void Strata_show_every_look_under_the_rule()
    {
        Tag tag = Plane();
        DatingReport report = TagBook.Date(tag, ReferenceData.Book, Core.Assumptions.Standard, 1, true)!;
        var strata = new StrataView(tag, report, ReferenceData.Book, Core.Assumptions.Standard);
        strata.Bands.Count.ShouldBe(5);
        strata.Bands.Select(b => b.Y).ShouldBe(strata.Bands.Select(b => b.Y).Order());
        strata.From.ShouldBeLessThan(report.Interval90[0]);
        strata.To.ShouldBeGreaterThan(report.Interval90[1]);
        strata.Bands.Single(b => b.Title == "Mark on the iron").Odd.ShouldBe(report.PartLabel["iron"] == "odd");
        strata.Bands.Single(b => b.Title == "Patent of 1911").Years.ShouldStartWith("1911");
        strata.Bands[^1].Odd.ShouldBe(strata.OddY is not null, "odd parts stand apart, below the rest");
        strata.Bands.ShouldAllBe(b => b.Without.StartsWith("M220 96") && b.Weight.WithoutInterval90.Length == 2);
        var near = new StrataView(tag, report, ReferenceData.Book, Core.Assumptions.Standard, near: true);
        (near.To - near.From).ShouldBeLessThan(strata.To - strata.From);
        near.Bands.ShouldAllBe(b => b.Path.Length > 0 != b.Outside.Length > 0 || b.Years.StartsWith("says"));
        foreach (Match number in Numbers().Matches(string.Concat(strata.Bands.Select(b => b.Path))))
        {
            double.Parse(number.Value, CultureInfo.InvariantCulture).ShouldBeInRange(0, 800);
        }
        strata.Sum.ShouldStartWith("M220 96");
    }

    [Fact]
    public void The_sole_map_is_bluest_where_the_sole_is_highest()
    {
        var points = new List<double[]>();
        for (int i = 0; i <= 8; i++)
        {
            foreach (double y in new double[] { 0, 30, 60 })
            {
                points.Add([i * 30.0, y, 0.1 * Math.Pow((i - 4) / 4.0, 2)]);
            }
        }
        var map = new SoleMapView(new SoleRecord { Input = new GridSurveyInput(240, 60, points, 80, SolePurpose.Smoothing) }, Assumptions.Standard);
        double Blue(double x) => map.Cells.MinBy(c => Math.Abs(c.X - x)).Blue;
        Blue(5).ShouldBeGreaterThan(Blue(380) + 0.4);
        Blue(745).ShouldBeGreaterThan(Blue(380) + 0.4);
        map.Cells.ShouldAllBe(c => c.Blue >= 0 && c.Blue <= 1);
        map.Readings.Count.ShouldBe(27);
        map.Lines.Count.ShouldBe(3);
        map.Mouth!.Value.ShouldBe(80 / 240.0 * 760, 1e-6);
    }

    [Fact]
    public void Marks_on_one_part_stand_side_by_side()
    {
        ProfileView view = ProfileView.Of(Plane(), 720) with { Pins = [.. Enumerable.Range(1, 6).Select(i =>
            new Pin(PartIds.Body, i.ToString(CultureInfo.InvariantCulture)))] };
        var pins = view.PlacedPins().ToList();
        pins.Count.ShouldBe(6);
        double apart = 9 * view.MmPerPx;
        for (int i = 0; i < pins.Count; i++)
        {
            for (int j = 0; j < i; j++)
            {
                (Math.Abs(pins[i].X - pins[j].X) > apart || Math.Abs(pins[i].Y - pins[j].Y) > apart).ShouldBeTrue();
            }
        }
    }

    [Fact]
    public void A_missing_part_is_known_to_the_drawing()
    {
        Tag tag = Plane();
        tag.Findings.Add(new Finding { Part = PartIds.Knob, Kind = FindingKind.Missing, Severity = 3 });
        ProfileView.Of(tag, 150).Missing.ShouldBe([PartIds.Knob]);
        ProfileView.Of(tag, 150).Plain.ShouldBeTrue();
    }

    [Fact]
    public void Tokens_have_the_corners_and_figures_of_their_design() => Enumerable.Range(1, 60).ShouldAllBe(n => Fits(n));

    private static bool Fits(int number)
    {
        TokenDesign design = TokenDesign.Of(number);
        XElement svg = XElement.Parse($"<svg>{new TokenView(number).Shapes()}</svg>");
        int corners = svg.Element("polygon")?.Attribute("points")!.Value.Split(' ').Length ?? 0;
        return corners == design.Sides && svg.Elements("g").Count() == design.Count;
    }

    [Theory]
    [InlineData(0.99, "almost certain")]
    [InlineData(0.9, "nine chances in ten")]
    [InlineData(0.5, "as likely as not")]
    [InlineData(0.01, "hardly a chance")]
    public void Chances_are_said_in_words(double p, string words) => Words.Chance(p).ShouldBe(words);

    [Fact]
    public void Counts_agree_with_their_noun()
    {
        Words.Count(1, "look").ShouldBe("1 look");
        Words.Count(3, "look").ShouldBe("3 looks");
        Words.Start("tote").ShouldBe("Tote");
        Enum.GetValues<Material>().Select(Words.Of).ShouldAllBe(w => w.Length > 3 && !w.Any(char.IsUpper));
    }

    [GeneratedRegex(@"\d+(\.\d+)?")]
    private static partial Regex Numbers();
}
