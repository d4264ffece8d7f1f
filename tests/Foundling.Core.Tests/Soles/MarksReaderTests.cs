using Foundling.Core.Soles;

namespace Foundling.Core.Tests.Soles;

/// <summary>Marks are read as a practised eye reads them: mostly right at first, nearly always after the second look, and hardly ever falsely calm.</summary>
public sealed class MarksReaderTests
{
    private const int Soles = 300;

    private static readonly MarkLeft[][] Empty = [.. Enumerable.Range(0, 5).Select(_ => new MarkLeft[12])];

    private static MarksInput Sole(params MarksSeen[] seen) => new(245, 60, seen, "P120", MouthFrontMm: 80, MouthOpening: new MouthOpening(80, 86, 52));

    private static (SoleForm Form, SoleShape Shape) Made(Random random)
    {
        double mm = 0.02 * Math.Pow(20, random.NextDouble()), sign = random.Next(2) == 0 ? 1 : -1;
        SoleForm form = Enum.GetValues<SoleForm>()[random.Next(8)];
        return (form, form switch
        {
            SoleForm.Flat => new SoleShape(0.002 * sign), SoleForm.HollowLengthwise => new SoleShape(mm), SoleForm.RoundLengthwise => new SoleShape(-mm),
            SoleForm.HollowCrosswise => new SoleShape(0, mm), SoleForm.RoundCrosswise => new SoleShape(0, -mm),
            SoleForm.Twisted => new SoleShape(0, 0, sign * mm),
            SoleForm.Dip => new SoleShape(Dips: [new Dip(25 + (random.NextDouble() * 195), 15 + (random.NextDouble() * 30), mm,
                18 + (random.NextDouble() * 8))]),
            _ => new SoleShape(EndsMm: mm),
        });
    }

    private static MarkLeft[][] Misread(MarkLeft[][] cells, Random random) => [.. cells.Select(r => r.Select(c =>
        c != MarkLeft.Unseen && random.NextDouble() < 0.05 ? (MarkLeft)(((int)c + random.Next(2)) % 3 + 1) : c).ToArray())];

    [Fact]
    public void Most_soles_are_read_right_at_once_and_more_at_the_second_look()
    {
        var random = new Random(11);
        (int first, int second, int calm) = (0, 0, 0);
        for (int i = 0; i < Soles; i++)
        {
            (SoleForm form, SoleShape shape) = Made(random);
            IReadOnlyList<MarkLeft[][]> would = MarksReader.WouldSee(Sole(new MarksSeen(30, Empty), new MarksSeen(60, Empty)), shape, Assumptions.Standard);
            var one = new MarksSeen(30, Misread(would[0], random));
            MarksResult once = MarksReader.Read(Sole(one), Assumptions.Standard),
                twice = MarksReader.Read(Sole(one, new MarksSeen(60, Misread(would[1], random))), Assumptions.Standard);
            first += once.Likely == form ? 1 : 0;
            second += twice.Likely == form ? 1 : 0;
            calm += form != SoleForm.Flat && (once.Likely == SoleForm.Flat || twice.Likely == SoleForm.Flat) ? 1 : 0;
        }
        (first / (double)Soles).ShouldBeGreaterThanOrEqualTo(0.8);
        (second / (double)Soles).ShouldBeGreaterThanOrEqualTo(0.9);
        (calm / (double)Soles).ShouldBeLessThan(0.03);
    }
}
