using CsCheck;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Soles;

/// <summary>Flat faces of all kinds, straightedge lines over them, and what is said of a survey.</summary>
public sealed class FaceTests
{
    private static readonly Assumptions A = Assumptions.Standard;

    private static Facts Plain(ToolKind kind) => new(kind, []);

    private static IReadOnlyList<FlatFace> Of(string kind) => FlatFaces.Of(Plain(ToolCatalogue.Kind(KindId.Of(kind))), A);

    [Fact]
    public void Every_kind_has_the_faces_it_has()
    {
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            IReadOnlyList<FlatFace> faces = FlatFaces.Of(Plain(kind), A);
            faces.Select(f => f.Key).ShouldBeUnique();
            foreach (FlatFace face in faces)
            {
                FlatFaces.IsKey(face.Key).ShouldBeTrue(face.Key);
                face.Layout.LengthMm.ShouldBeInRange(2, 900, $"{kind.Id} {face.Key}");
                face.Layout.WidthMm.ShouldBeInRange(2, 150, $"{kind.Id} {face.Key}");
            }
        }
    }

    [Fact]
    public void A_tool_has_the_faces_it_works_with_and_no_others()
    {
        Of("metal-bench-plane").Select(f => f.Key).ShouldBe(["sole", "back/iron", "cap_iron", "frog_face", "frog_seat", "left_cheek", "right_cheek"]);
        Of("shoulder-plane").Select(f => f.Key).ShouldBe(["sole", "back/iron", "left_cheek", "right_cheek"]);
        Of("rebate-plane").Select(f => f.Key).ShouldBe(["sole", "back/iron", "side"]);
        Of("open-spanner").Select(f => f.Name).ShouldBe(["upper jaw face of the large end", "lower jaw face of the large end",
            "upper jaw face of the small end", "lower jaw face of the small end"]);
        foreach (string none in new[] { "hand-saw", "back-saw", "axe", "adze", "gouge", "billhook", "pipe-wrench", "bolt-cutter", "brace", "hand-drill" })
        {
            Of(none).ShouldBeEmpty($"{none}: what is curved, toothed or twin-bevelled is not read so");
        }
        FlatFace back = Of("shoulder-plane")[1];
        back.Layout.LengthMm.ShouldBe(Of("shoulder-plane")[0].Layout.WidthMm, "an iron that is guided by the cheeks is as wide as the sole");
    }

    [Theory]
    [InlineData("metal-bench-plane", 245, SolePurpose.Smoothing)]
    [InlineData("metal-bench-plane", 360, SolePurpose.Jack)]
    [InlineData("wooden-bench-plane", 560, SolePurpose.Try)]
    [InlineData("block-plane", 158, SolePurpose.Block)]
    [InlineData("shoulder-plane", 200, SolePurpose.Rebate)]
    [InlineData("rebate-plane", 240, SolePurpose.Rebate)]
    [InlineData("scraper-plane", 236, SolePurpose.Scraper)]
    [InlineData("router-plane", 190, null)]
    [InlineData("toothing-plane", 190, null)]
    public void A_plane_nobody_spoke_of_is_judged_as_what_it_is(string kind, double length, SolePurpose? purpose)
    {
        Facts facts = Plain(ToolCatalogue.Kind(KindId.Of(kind))) with { Build = new Build(length) };
        facts.SolePurpose(A).ShouldBe(purpose);
        (facts with { Build = new Build(length, Purpose: SolePurpose.Jack) }).SolePurpose(A).ShouldBe(SolePurpose.Jack, "what was said stands");
    }

    private static readonly Gen<(double Bow, double Across, double Twist, double Dip)> Shapes = Gen.Select(Gen.Double[-0.3, 0.3], Gen.Double[-0.2, 0.2],
        Gen.Double[-0.3, 0.3], Gen.Double[-0.1, 0.1]);

    /// <summary>Gaps a straightedge shows on a made-up face, laid along each line so that it rests on its two highest places.</summary>
    private static Dictionary<(string, string), double> Gaps(FeelerPlan plan, Func<PlannedStation, double> height, params string[] without)
    {
        Dictionary<string, PlannedStation> at = plan.Stations.ToDictionary(s => s.Key);
        Dictionary<(string, string), double> gaps = [];
        foreach (PlannedLine line in plan.Lines.Where(l => !without.Contains(l.Key)))
        {
            (PlannedStation first, PlannedStation last) = (at[line.Stations[0]], at[line.Stations[^1]]);
            double whole = double.Hypot(last.XMm - first.XMm, last.YMm - first.YMm);
            double T(PlannedStation s) => double.Hypot(s.XMm - first.XMm, s.YMm - first.YMm) / whole;
            double Straight(PlannedStation s) => height(first) + (T(s) * (height(last) - height(first)));
            double lift = line.Stations.Max(s => height(at[s]) - Straight(at[s]));
            foreach (string s in line.Stations)
            {
                gaps[(line.Key, s)] = Math.Max(0, Straight(at[s]) + lift - height(at[s]));
            }
        }
        return gaps;
    }

    [Fact]
    public void Feelers_find_the_shape_an_indicator_would_find() => Gen.Select(Shapes, Gen.Double[150, 600], Gen.Double[40, 75], Gen.Double[0.05, 0.95])
        .Sample((shape, length, width, mouth) =>
    {
        FeelerPlan plan = FeelerPlan.Of(length, width, mouth * length);
        double Height(PlannedStation s)
        {
            (double u, double v) = ((2 * s.XMm / length) - 1, (2 * s.YMm / width) - 1);
            return (shape.Bow * u * u) + (shape.Across * v * v) + (shape.Twist * u * v) + (shape.Dip * Math.Sin(5 * u));
        }
        LineSurveyInput laid = plan.Laid(Gaps(plan, Height));
        LineSurveyResult read = LineSurvey.Solve(laid);
        read.ClosureWorstMm.ShouldBeLessThan(1e-9, "lines without an error close");
        List<double[]> truth = [.. plan.Stations.Select(s => new[] { s.XMm, s.YMm, Height(s) })];
        Plane plane = Planes.LeastSquares(truth);
        foreach (PlannedStation s in plan.Stations)
        {
            read.HeightMm[s.Key].ShouldBe(Height(s) - plane.At(s.XMm, s.YMm), 1e-7);
        }
    }, iter: 300);

    [Theory]
    [InlineData("down up", UnseenShape.Twist)]
    [InlineData("first last mouth up down middle near", UnseenShape.Crosswise)]
    public void What_is_unseen_is_named(string without, UnseenShape unseen)
    {
        FeelerPlan plan = FeelerPlan.Of(245, 60, 80);
        LineSurveyInput laid = plan.Laid(Gaps(plan, s => 0.001 * s.XMm, without.Split(' ')));
        LineSight.Unseen(laid, []).ShouldContain(unseen);
        Should.Throw<InputException>(() => LineSurvey.Solve(laid)).Sentence.ShouldContain(LineSight.Says(unseen));
        LineSight.Unseen(plan.Laid(Gaps(plan, s => 0)), []).ShouldBeEmpty("eight lines see everything");
    }

    [Fact]
    public void One_gap_on_a_line_is_refused() =>
        Should.Throw<InputException>(() => FeelerPlan.Of(245, 60, null).Laid(new Dictionary<(string, string), double> { [("near", "0/0")] = 0 })).ErrorKey
            .ShouldBe("one_gap");

    [Fact]
    public void A_plan_of_lines_lies_on_the_face_and_the_mouth_has_one() => Gen.Select(Gen.Double[20, 800], Gen.Double[3, 90], Gen.Double[0.02, 0.98])
        .Sample((length, width, mouth) =>
    {
        FeelerPlan plan = FeelerPlan.Of(length, width, mouth * length);
        plan.Stations.ShouldAllBe(s => s.XMm > 0 && s.XMm < length && s.YMm > 0 && s.YMm < width);
        plan.Stations.Select(s => s.XMm).Distinct().ShouldBe(plan.Stations.Select(s => s.XMm).Distinct().Order());
        plan.Lines.SelectMany(l => l.Stations).Except(plan.Stations.Select(s => s.Key)).ShouldBeEmpty();
        plan.Lines.Count.ShouldBeInRange(7, 8);
    }, iter: 500);

    [Fact]
    public void A_shop_learns_its_strokes_from_soles_that_were_brought_in()
    {
        LappedSole.Of([(30, 200), (60, 120), (100, 0)], 10, A).ShouldBe(new LappedSole(190, 10, 230));
        LappedSole.Of([(30, 200), (60, 120)], 10, A).ShouldBeNull("it is not done yet");
        LappedSole.Of([(30, null), (60, 0)], 0, A).ShouldBe(new LappedSole(90, null, null), "no clock ran, and nothing was foretold");
        LearnedLapping none = LearnedLapping.Of([], A);
        none.Tells.ShouldBeFalse();
        none.Taken(A, true).ShouldBe(A);
        // Thirty soles at half the book's pace and twice what was foretold move it nearly there.
        LearnedLapping slow = LearnedLapping.Of([.. Enumerable.Repeat(new LappedSole(200, 200 / 30.0 / A.LapCoarseShare, 100), 30)], A);
        slow.AMinute!.LikelyMedianMin.ShouldBe(31, 2);
        slow.Times!.LikelyMedianMin.ShouldBe(Math.Pow(2, 30 / (30 + A.PaceWeight)), 1e-9, "the book weighs as much as a few soles");
        Assumptions mine = slow.Taken(A, true);
        mine.LapStrokesTimes.ShouldBe(Math.Round(slow.Times.LikelyMedianMin, 2));
        slow.Taken(mine, false).ShouldBe(A);
    }

    [Fact]
    public void Faces_to_be_done_take_their_depth_from_what_was_found_on_them()
    {
        ToolKind plane = ToolCatalogue.Kind(KindIds.MetalBenchPlane);
        Found Pits(PartId part, string place, int degree, double? deep = null) => new(part, FindingKind.Pitting, degree) { Place = place, DepthMm = deep };
        IReadOnlyList<FaceToDo> faces = FaceToDo.Of(new Facts(plane, [Pits(PartIds.Body, "cheek", 3), Pits(PartIds.Body, "sole", 1), Pits(PartIds.Iron, "edge",
            2, 0.07), Pits(PartIds.Frog, "seat", 2), new Found(PartIds.Body, FindingKind.Mark, 2) { Place = "cheek" }]), A);
        double Deep(string key) => faces.First(f => f.Face.Key == key).DefectMm;
        (Deep("sole"), Deep("left_cheek"), Deep("back/iron"), Deep("frog_seat"), Deep("frog_face"), Deep("cap_iron"))
            .ShouldBe((A.PitPointsMm, A.PitDeepMm, 0.07, A.PitNailMm, 0, 0));
        faces.First(f => f.Face.Key == "left_cheek").StampMm.ShouldBe(A.StampWornMm);
        faces.First(f => f.Face.Key == "sole").StampMm.ShouldBeNull();
        FaceToDo.Of(Plain(ToolCatalogue.Kind(KindIds.WoodenBenchPlane)), A).Select(f => f.Face.Key).ShouldBe(["back/iron", "cap_iron"], "wood takes no grits");
    }

    [Theory]
    [InlineData("shoulder-plane", "left_cheek", 0.3, "guides the plane along the shoulder")]
    [InlineData("metal-bench-plane", "left_cheek", 0.3, "unless it lies on a shooting board")]
    [InlineData("pruner", "back/blade", 0.3, "a bevel on that side holds the cut open")]
    [InlineData("chisel", "back/blade", 0.3, "does no harm while the strip at the edge bears")]
    [InlineData("chisel", "back/blade", -0.3, "so it rocks")]
    [InlineData("metal-bench-plane", "back/iron", 0.3, "a shim for a tiny back bevel")]
    [InlineData("adjustable-wrench", "jaw/fixed_jaw", 0.3, "rounds nuts")]
    [InlineData("rebate-plane", "side", 0.3, "the side is what guides it")]
    [InlineData("rebate-plane", "side", 0.01, "leave it")]
    public void What_is_said_of_another_face_is_about_that_face(string kind, string key, double hollow, string says)
    {
        Facts facts = Plain(ToolCatalogue.Kind(KindId.Of(kind)));
        FlatFace face = FlatFaces.Of(facts, A).First(f => f.Key == key);
        (double l, double w) = (face.Layout.LengthMm, face.Layout.WidthMm);
        var survey = new GridSurveyInput(l, w, [.. from u in new[] { -1.0, -0.5, 0, 0.5, 1 } from v in new[] { -1.0, 0, 1 }
            select new[] { l * (u + 1) / 2, w * (v + 1) / 2, hollow * u * u }]);
        FaceRead.Of(face, survey, GridSurvey.Read(survey, A), facts, null, A).Says.ShouldContain(says);
    }

    [Theory]
    [InlineData(0.01, null, FlatVerdict.Met, "leave it")]
    [InlineData(0.2, null, FlatVerdict.NotMet, "under tension")]
    [InlineData(0.2, WayId.Cuts, FlatVerdict.NotMet, "a full-width shaving does")]
    [InlineData(0.2, WayId.Leave, FlatVerdict.NotMet, "left as it is")]
    public void What_is_said_of_a_sole_follows_the_way_that_was_chosen(double hollow, WayId? flat, FlatVerdict verdict, string says)
    {
        Facts facts = Plain(ToolCatalogue.Kind(KindIds.MetalBenchPlane));
        FaceRead Read(double plate)
        {
            var survey = new GridSurveyInput(245, 60, [.. from x in Enumerable.Range(0, 9) from y in new[] { 3, 30, 57 } let u = (x - 4) / 4.0
                select new[] { 2 + (x * 30), y, hollow * u * u }], 80, PlateFlatnessMm: plate, ReadingErrorMm: 0.002);
            FlatFace face = FlatFaces.Of(facts, A)[0];
            return FaceRead.Of(face, survey, GridSurvey.Read(survey, A), facts, flat, A);
        }
        FaceRead read = Read(0.002);
        read.Whole.ShouldBe(verdict);
        read.Says.ShouldContain(says);
        if (flat is null && verdict == FlatVerdict.NotMet)
        {
            Read(0.25).Says.ShouldContain("on this plate it cannot be improved. Leave it.");
        }
    }
}
