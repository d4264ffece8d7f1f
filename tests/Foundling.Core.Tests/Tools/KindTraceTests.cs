using System.Text.Json;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.State;
using Foundling.Core.Tests.Rod;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;

namespace Foundling.Core.Tests.Tools;

/// <summary>Silhouettes traced on a picture.</summary>
public sealed class KindTraceTests
{
    private static int _made;

    private static string Next() => $"r{Interlocked.Increment(ref _made)}";

    private static IReadOnlyList<double> P(double x, double y) => [x, y];

    private static TracedPart Round(PartId part, params IReadOnlyList<double>[][] loops) => new(part) { Loops = [.. loops] };

    private static IReadOnlyList<double>[] Box(double x, double y, double w, double h) => [P(x, y), P(x + w, y), P(x + w, y + h), P(x, y + h)];

    /// <summary>A chisel traced: a blade 1200 px long that is 200 mm.</summary>
    private static KindTrace Chisel(params TracedPart[] more) => new(P(100, 500), P(1300, 500), 200, [Round(PartIds.Blade, Box(100, 440, 1200, 120)), .. more]);

    private static (KindFile File, Profile Drawing) Draw(KindId near, KindTrace trace)
    {
        KindFile file = new KindDraft(near, "Traced one") { Trace = trace }.File(Next());
        return (file, KindDrawing.Read(file.Drawing!, file));
    }

    private static (double W, double H) SizeOf(Profile drawing, PartId part)
    {
        (Spot low, Spot high) = drawing.Parts.Single(p => p.Part == part).Shapes.First(s => s.Outlined).Path.Box();
        return (high.X - low.X, high.Y - low.Y);
    }

    [Fact]
    public void What_is_traced_has_the_size_the_known_length_gives_it_and_its_corners()
    {
        (KindFile file, Profile drawing) = Draw(KindIds.Chisel, Chisel());
        file.LengthMm.ShouldBe(200);
        SizeOf(drawing, PartIds.Blade).W.ShouldBe(200, 0.02);
        SizeOf(drawing, PartIds.Blade).H.ShouldBe(20, 0.02);
        (drawing.Width, drawing.Height).ShouldBe((212, 32));
        drawing.RestY.ShouldBe(26, 0.01);
        // What was not traced sits on what was, and can have findings.
        drawing.Parts.ShouldHaveSingleItem();
        file.Parts.Skip(1).ShouldAllBe(p => p.On == PartIds.Blade);
    }

    [Fact]
    public void Eight_taps_round_a_disc_are_a_disc_and_four_round_a_square_a_square()
    {
        IReadOnlyList<double>[] ring = [.. Enumerable.Range(0, 8)
            .Select(i => P(700 + (60 * Math.Cos(i * Math.PI / 4)), 500 + (60 * Math.Sin(i * Math.PI / 4))))];
        (_, Profile drawing) = Draw(KindIds.Chisel, Chisel(Round(PartIds.Handle, ring)));
        DrawnPart disc = drawing.Parts.Single(p => p.Part == PartIds.Handle);
        IReadOnlyList<Spot> rim = disc.Shapes[0].Path.Polygon(8);
        foreach (Spot p in rim)
        {
            double far = Math.Sqrt(Math.Pow(p.X - disc.Anchor.X, 2) + Math.Pow(p.Y - disc.Anchor.Y, 2));
            far.ShouldBe(10, 0.3);
        }
        IReadOnlyList<double>[] soft = [.. Box(640, 440, 120, 120).Select(p => (IReadOnlyList<double>)[p[0], p[1], 2])];
        (_, Profile round) = Draw(KindIds.Chisel, Chisel(Round(PartIds.Handle, soft)));
        SizeOf(round, PartIds.Handle).W.ShouldBeGreaterThan(21, "corners said to be curves bulge");
    }

    [Fact]
    public void A_hole_is_open_and_a_mark_never_lies_in_it()
    {
        (_, Profile drawing) = Draw(KindIds.HandSaw, new KindTrace(P(0, 0), P(1000, 0), 500,
            [Round(PartIds.Plate, Box(0, 0, 1000, 150)), Round(PartIds.Handle, Box(1000, 0, 200, 200), Box(1050, 50, 100, 100))]));
        DrawnPart handle = drawing.Parts.Single(p => p.Part == PartIds.Handle);
        handle.Shapes[0].EvenOdd.ShouldBeTrue();
        (Spot low, Spot high) = handle.Shapes[0].Path.Box();
        (double x, double y) = ((handle.Anchor.X - low.X) / (high.X - low.X), (handle.Anchor.Y - low.Y) / (high.Y - low.Y));
        (x is > 0.25 and < 0.75 && y is > 0.25 and < 0.75).ShouldBeFalse($"{x:0.00}, {y:0.00}");
    }

    [Fact]
    public void A_part_too_small_to_trace_is_drawn_where_it_was_tapped_and_over_the_others()
    {
        (KindFile file, Profile drawing) = Draw(KindIds.Chisel, Chisel(new TracedPart(PartIds.Ferrule) { At = P(1250, 500) },
            Round(PartIds.Handle, Box(1200, 450, 400, 100))));
        drawing.Parts[^1].Part.ShouldBe(PartIds.Ferrule);
        drawing.Parts[^1].Anchor.X.ShouldBe(((1250 - 100) / 6.0) + Profile.Margin, 0.1);
        file.Parts.Single(p => p.Part == PartIds.Ferrule).On.ShouldBeNull();
    }

    [Fact]
    public void A_tilted_line_is_levelled_and_a_picture_from_the_other_side_is_turned_over()
    {
        KindTrace flat = Chisel(Round(PartIds.Handle, Box(1300, 450, 300, 100)));
        IReadOnlyList<double> Tilt(IReadOnlyList<double> p) =>
            P((p[0] * Math.Cos(0.2)) - (p[1] * Math.Sin(0.2)), (p[0] * Math.Sin(0.2)) + (p[1] * Math.Cos(0.2)));
        KindTrace tilted = flat with
        {
            From = Tilt(flat.From), To = Tilt(flat.To),
            Parts = [.. flat.Parts.Select(p => p with { Loops = [.. p.Loops.Select(l => l.Select(Tilt).ToList())] })],
        };
        Profile level = Draw(KindIds.Chisel, flat).Drawing, again = Draw(KindIds.Chisel, tilted).Drawing;
        (again.Width, again.Height).ShouldBe((level.Width, level.Height), "levelled");
        Profile turned = Draw(KindIds.Chisel, flat with { Mirrored = true }).Drawing;
        turned.Parts.Single(p => p.Part == PartIds.Handle).Anchor.X.ShouldBeLessThan(turned.Parts.Single(p => p.Part == PartIds.Blade).Anchor.X);
        // A line upright on the picture stays so, and the length of the tool is then what is longer.
        Draw(KindIds.Chisel, flat with { Whole = false, Mm = 100 }).File.LengthMm.ShouldBe(125, 0.1);
    }

    [Fact]
    public void Whatever_is_tapped_is_a_kind_that_is_planned_and_drawn_apart_or_a_sentence()
    {
        var random = new Random(12);
        int drawn = 0;
        for (int i = 0; i < 120; i++)
        {
            ToolKind near = ToolCatalogue.Kinds[random.Next(ToolCatalogue.Kinds.Count)];
            IReadOnlyList<double> Tap() => random.Next(5) == 0 ? [random.Next(2000), random.Next(1500), random.Next(3)]
                : P(random.Next(2000), random.Next(1500));
            TracedPart Any(PartId part) => random.Next(4) == 0 ? new TracedPart(part) { At = Tap() } : new TracedPart(part)
            {
                Loops = [.. Enumerable.Range(0, random.Next(1, 4)).Select(_ => Enumerable.Range(0, random.Next(3, 14)).Select(_ => Tap()).ToList())],
            };
            var trace = new KindTrace(Tap(), Tap(), random.Next(1, 900), [.. near.Parts.Where((_, n) => n == 0 || random.Next(3) == 0).Select(p => Any(p.Id))])
            {
                Whole = random.Next(2) == 0, Mirrored = random.Next(2) == 0,
            };
            try
            {
                ToolKind kind = ToolCatalogue.Learn(new KindDraft(near.Id, "Any one") { Trace = trace }.File(Next()));
                Profile drawing = ToolCatalogue.Drawing(kind.Id);
                drawing.Parts.Select(p => p.Part).ShouldBe(trace.Parts.Select(p => p.Part), ignoreOrder: true);
                foreach (DrawnPart part in drawing.Parts)
                {
                    part.Spots.Select(s => s.At).Append(part.Anchor).ShouldAllBe(s => s.X >= 0 && s.X <= drawing.Width && s.Y >= 0 && s.Y <= drawing.Height);
                }
                Exploded.Of(drawing).Parts.Count.ShouldBe(drawing.Parts.Count);
                Profile.Fitted(kind.Id, kind.NominalLengthMm * 1.5).Width.ShouldBeGreaterThan(drawing.Width);
                Planner.Plan(Asking.Ask(kind.Id, AimKind.Work, Asking.F(kind.Parts[0].Id, FindingKind.Damp, 2))).ShouldNotBeEmpty();
                KindFile again = KindReader.Read(JsonSerializer.Serialize(kind.File, OpenJson.Options));
                again.Draft!.File(kind.Id).Drawing.ShouldBe(kind.File.Drawing, "a kind can be gone on with from its file");
                drawn++;
            }
            catch (InputException fault)
            {
                fault.ErrorKey.ShouldBe("kind_file");
                fault.Sentence.ShouldEndWith(".");
            }
        }
        drawn.ShouldBeGreaterThan(25);
    }

    [Fact]
    public void What_cannot_be_drawn_is_said()
    {
        string Said(KindTrace trace) => Should.Throw<InputException>(() => Draw(KindIds.Chisel, trace)).Sentence;
        Said(Chisel() with { To = P(105, 500) }).ShouldContain("both ends");
        Said(Chisel() with { Mm = 0 }).ShouldContain("known length is 20 to");
        Said(Chisel() with { Parts = [new TracedPart(PartIds.Handle) { At = P(1, 1) }] }).ShouldContain("Tap round the blade");
        Said(Chisel(Round(PartIds.Handle, [P(0, 0), P(10, 0)]))).ShouldContain("3 to 300 points");
        Said(Chisel(Round(PartIds.Handle, [P(0, 0), P(10, 0), P(20, 0)]))).ShouldContain("goes round nothing");
        Said(Chisel(Round(PartIds.Blade, Box(0, 0, 9, 9)))).ShouldContain("traced once");
        Said(Chisel() with { Mm = 2900, Parts = [Round(PartIds.Blade, Box(0, 0, 9000, 90))] }).ShouldContain("m long");
        Said(Chisel() with { Parts = [] }).ShouldContain("Nothing is traced yet");
        Said(Chisel(Round(PartIds.Handle, [.. Enumerable.Range(0, 301).Select(i => P(i, i * i))]))).ShouldContain("300 points");
    }

    [Fact]
    public void A_kind_keeps_what_its_edge_its_bed_and_its_parts_are_said_to_be()
    {
        KindFile file = new KindDraft(KindIds.Chisel, "Slick with two bevels")
        {
            Edge = EdgeForm.TwoBevels, Made = new Dictionary<PartId, KindMade> { [PartIds.Handle] = new(Material.Wood, PartFinish.Painted) },
            Extras = [new KindExtra("guard", Material.Brass, PartIds.Handle) { Finish = PartFinish.Plated }],
        }.File(Next());
        ToolKind kind = KindReader.Kind(file);
        kind.Edge.ShouldBe(EdgeForm.TwoBevels);
        kind.Part(PartIds.Handle)!.Finish.ShouldBe(PartFinish.Painted);
        kind.Parts[^1].Finish.ShouldBe(PartFinish.Plated);
        KindDrawing.Read(file.Drawing!, file).Parts.Single(p => p.Part == PartIds.Handle).Shapes[0].Class.ShouldStartWith("paint");
        Should.Throw<InputException>(() => new KindDraft(KindIds.Chisel, "Odd") { Edge = EdgeForm.SawTeeth }.File(Next()))
            .Sentence.ShouldContain("such an edge");
        KindDraft.Edges(ToolCatalogue.Kind(KindIds.HandSaw)).ShouldBe([EdgeForm.SawTeeth]);
    }

    [Fact]
    public void Every_edge_a_draft_may_have_is_planned_and_proved()
    {
        foreach (ToolKind near in ToolCatalogue.Kinds)
        {
            foreach (EdgeForm edge in KindDraft.Edges(near))
            {
                ToolKind kind = ToolCatalogue.Learn(new KindDraft(near.Id, $"{near.Name} {edge}") { Edge = edge }.File(Next()));
                Core.Proof.Proofs.For(kind, null, Assumptions.Standard).ShouldNotBeEmpty();
                foreach (AimKind aim in Enum.GetValues<AimKind>())
                {
                    Found[] worn = [.. kind.Edges.Select(e => Asking.F(e.Id, FindingKind.EdgeDamage, 2)), Asking.F(kind.Parts[0].Id, FindingKind.Rust, 2)];
                    Planner.Plan(Asking.Ask(kind.Id, aim, [.. worn.Where(f => Faults.Can(kind, kind.Part(f.Part)!, f.Kind))])).ShouldNotBeEmpty();
                }
            }
        }
    }
}
