using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;

namespace Foundling.Core.Tests.Rod;

public sealed class PaceTests
{
    private static readonly DateTimeOffset Monday = new(2026, 3, 2, 9, 0, 0, TimeSpan.Zero);

    private static (int, BenchEvent) On(int tag, int minute, EventKind kind, double? minutes = null) =>
        (tag, BenchEvent.New(Monday.AddMinutes(minute), kind, "", StepKey.SoleLap, minutes));

    [Fact]
    public void A_job_counts_when_it_is_finished_and_a_clock_ran_with_what_was_corrected()
    {
        Pace.Took(
        [
            On(1, 0, EventKind.Stopped, 20), On(1, 30, EventKind.Stopped, 15), On(1, 31, EventKind.Done), On(1, 40, EventKind.Corrected, -5),
            On(2, 0, EventKind.Stopped, 50),
            On(3, 5, EventKind.Done),
            On(4, 0, EventKind.Stopped, 12), On(4, 1, EventKind.Done), On(4, 2, EventKind.Reopened),
            On(5, 0, EventKind.Stopped, 12), On(5, 1, EventKind.LeftOut),
        ]).ShouldBe([30]);
    }

    [Fact]
    public void Nobodys_pace_is_the_books_and_slower_jobs_never_make_it_quicker()
    {
        var random = new Random(7);
        for (int i = 0; i < 400; i++)
        {
            double book = 1 + (random.NextDouble() * 200);
            Pace.Of(new PaceInput(book, []), Assumptions.Standard).LikelyMedianMin.ShouldBe(book, book * 1e-9);
            double[] took = [.. Enumerable.Range(0, random.Next(1, 30)).Select(_ => book * Math.Exp(random.NextDouble() - 0.5))];
            PaceResult pace = Pace.Of(new PaceInput(book, took), Assumptions.Standard);
            pace.LowP10Min.ShouldBeLessThan(pace.LikelyMedianMin);
            pace.LikelyMedianMin.ShouldBeLessThan(pace.HighP90Min);
            pace.LikelyMedianMin.ShouldBeInRange(Math.Min(book, took.Min()) * 0.999, Math.Max(book, took.Max()) * 1.001);
            Pace.Of(new PaceInput(book, [.. took.Select(t => t * 1.2)]), Assumptions.Standard).LikelyMedianMin.ShouldBeGreaterThan(pace.LikelyMedianMin);
        }
    }

    [Theory]
    [InlineData("soak", true)]
    [InlineData("find:crank_screw", true)]
    [InlineData("own:1", false)]
    [InlineData("soak/2", false)]
    public void Only_whole_steps_of_the_book_are_the_same_job_on_every_tag(string step, bool same) => Pace.Tells(DeedId.Read(step)).ShouldBe(same);

    [Fact]
    public void Minutes_that_cannot_be_are_refused() =>
        Should.Throw<InputException>(() => Pace.Of(new PaceInput(20, [12, 0]), Assumptions.Standard)).Message.ShouldContain("more than 0");
}
