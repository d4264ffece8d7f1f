using BenchmarkDotNet.Attributes;
using BenchmarkDotNet.Running;
using Foundling.Benchmarks;
using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Log;
using Foundling.Core.Origin;
using Foundling.Core.Rod;
using Foundling.Core.Shop;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Demo;
using Foundling.Data.Pictures;
using Foundling.Data.Reference;
using Foundling.Data.Store;

if (args is ["seed", string count, string folder])
{
    await Seed.Fill(int.Parse(count, System.Globalization.CultureInfo.InvariantCulture), folder);
    return;
}
if (args is ["heavy", string heavy])
{
    await Heavy.Fill(heavy);
    return;
}
if (args is ["recovery"])
{
    Recovery.Print();
    return;
}
BenchmarkSwitcher.FromAssembly(typeof(DatingBenchmarks).Assembly).Run(args.Length == 0 ? ["--filter", "*", "--job", "short"] : args);

namespace Foundling.Benchmarks
{
    /// <summary>Dating: 60 lines, 40 traits, 200 years.</summary>
    [MemoryDiagnoser]
    public class DatingBenchmarks
    {
        private DatingInput _large = null!, _demo = null!;

        [GlobalSetup]
        public void Setup()
        {
            var random = new Random(7);
            string[] parts = ["body", "frog", "iron", "cap_iron", "lever_cap", "tote", "knob", "adjuster"];
            List<Trait> traits = [.. Enumerable.Range(0, 40).Select(i => new Trait($"t{i}", parts[i % parts.Length], (LookEffort)(i % 4), ["a", "b", "c"]))];
            List<PatternLine> lines = [.. Enumerable.Range(0, 60).Select(l => new PatternLine($"l{l}", 1850, 1975, traits.ToDictionary(t => t.Id, t =>
            {
                int x = random.Next(1865, 1900), y = x + random.Next(10, 50);
                return (IReadOnlyDictionary<string, int?[]>)new Dictionary<string, int?[]> { ["a"] = [null, null, x, x + 4], ["b"] = [x, x + 4, y, y + 5],
                    ["c"] = [y, y + 5, null, null] };
            })))];
            _large = new DatingInput([.. traits.Take(9).Select((t, i) => new Observation($"o{i}", Confidence.Sure, t.Id, "b"))], new PatternBook(traits,
                lines), [.. lines.Select(l => l.Id)]);
            _demo = new DatingInput([new Observation("a", Confidence.Sure, "side_wing", "peaked"), new Observation("b", Confidence.Sure, "wheel",
                "large_brass")], ReferenceData.Book, ["pellow_tarn_bench", "brandreth_coy"], new Measurements(245, 50.8));
        }

        [Benchmark]
        public DatingReport Posterior() => Dating.Report(_large, Assumptions.Standard);

        [Benchmark]
        public DatingReport LookNext() => Dating.Report(_large, Assumptions.Standard, lookNext: 40);

        [Benchmark]
        public DatingReport DemoPage() => Dating.Report(_demo, Assumptions.Standard, weights: true, lookNext: 1);
    }

    /// <summary>Pictures: a phone's twelve megapixels, from arriving to ready to count on.</summary>
    [MemoryDiagnoser]
    public class PictureBenchmarks
    {
        private byte[] _jpeg = null!;
        private string _folder = null!;

        [GlobalSetup]
        public void Setup()
        {
            _folder = Directory.CreateTempSubdirectory("foundling-bench-").FullName;
            _jpeg = BenchPhotograph.Paint(Profile.Of(KindIds.MetalBenchPlane), new Weathering(31, 0.38, 0.43, 12), 4000).Jpeg;
        }

        [GlobalCleanup]
        public void Cleanup() => Directory.Delete(_folder, recursive: true);

        [Benchmark]
        public async Task<Picture> TwelveMegapixels()
        {
            var folder = new DataFolder(Path.Combine(_folder, Guid.NewGuid().ToString("N")));
            folder.Create();
            return await new PictureStore(folder, TimeProvider.System).Add(new MemoryStream(_jpeg), "phone.jpg", "");
        }
    }

    /// <summary>Rods and soles.</summary>
    [MemoryDiagnoser]
    public class BenchBenchmarks
    {
        private PlanQuestion _question = null!;
        private IReadOnlyList<PlanStep> _made = [];
        private GridSurveyInput _sole = null!;

        [GlobalSetup]
        public void Setup()
        {
            _question = new PlanQuestion(new Facts(ToolCatalogue.Kind(KindIds.MetalBenchPlane),
            [
                new Found(PartIds.Body, FindingKind.Rust, 3),
                new Found(PartIds.Iron, FindingKind.Pitting, 3),
                new Found(PartIds.Tote, FindingKind.Crack, 4),
                new Found(PartIds.Body, FindingKind.CoatingLoss, 3),
                new Found(PartIds.Adjuster, FindingKind.Seizure, 2),
            ]), AimKind.Work, new ShopContext(Assumptions.Standard, new Climate(), ReferenceData.Baths));
            _made = PlanStep.Fresh(Planner.Plan(_question));
            var random = new Random(3);
            _sole = new GridSurveyInput(245, 60, [.. Enumerable.Range(0, 54).Select(i =>
                new[] { 2 + ((i / 3) * 14.0), 3 + ((i % 3) * 27.0), random.NextDouble() * 0.1 })], 80);
        }

        [Benchmark]
        public IReadOnlyList<Deed> Plan() => Planner.Plan(Anew);

        [Benchmark]
        public IReadOnlyList<Deed> Replan() => Handwork.Replan(_made, Anew);

        [Benchmark]
        public int WaysSideBySide()
        {
            PlanQuestion question = Anew;
            return Core.Rod.Ways.Choices.All.Where(c => c.Asked(question)).Sum(c => WayReview.Of(c, question).Count);
        }

        // What was worked out for a question is kept with it, so each run asks another.
        private PlanQuestion Anew => _question with { };

        [Benchmark]
        public GridSurveyResult Survey() => GridSurvey.Read(_sole, Assumptions.Standard);

        private readonly List<double[]> _cloud = [.. Enumerable.Range(0, 10_000).Select(i => new[] { i * 37 % 245.0, i * 11 % 60.0,
            Math.Sin(i * 0.7) * 0.05 })];

        /// <summary>Least squares and minimum zone of 10,000 readings.</summary>
        [Benchmark]
        public double ManyReadings() => Planes.Range(_cloud, Planes.LeastSquares(_cloud)) + Planes.MinimumZone(_cloud).HeightMm;

        /// <summary>A sole of 60 by 12 cells lapped as a film.</summary>
        [Benchmark]
        public int Film() => Lapping.Film(new LappingInput(300, _sole.WidthMm, "P80", new SoleShape(0.1, 0, 0.02), MouthFrontMm: 80),
            Assumptions.Standard).Frames.Count();

        private static readonly MarkLeft[][] Ends = [.. Enumerable.Range(0, MarksReader.Across).Select(_ => Enumerable.Range(0, MarksReader.Along)
            .Select(i => i is < 2 or > 9 ? MarkLeft.Gone : MarkLeft.Left).ToArray())];

        /// <summary>Marks read once.</summary>
        [Benchmark]
        public MarksResult Marks() => MarksReader.Read(new MarksInput(_sole.LengthMm, 60, [new MarksSeen(30, Ends)], MouthFrontMm: 80), Assumptions.Standard);

        [Benchmark]
        public ThinPlate Map() => new(_sole.PointsMm);

        [Benchmark]
        public LappingResult Lap() =>
            Lapping.Simulate(new LappingInput(_sole.LengthMm, _sole.WidthMm, "P80", new SoleShape(0.1, 0, 0.02), MouthFrontMm: 80), Assumptions.Standard);
    }
}
