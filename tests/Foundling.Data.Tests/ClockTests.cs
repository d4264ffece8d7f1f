using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Tags;
using Foundling.Data.Shop;
using Foundling.Data.Store;
using Microsoft.Extensions.Time.Testing;

namespace Foundling.Data.Tests;

/// <summary>A clock that was moved, or that ran over night, books nothing unasked.</summary>
public sealed class ClockTests : IDisposable
{
    private readonly TestShop _shop = new();

    public void Dispose() => _shop.Dispose();

    /// <summary>A clock on the wall that can be set while time goes on evenly.</summary>
    private sealed class SetClock : TimeProvider
    {
        private readonly FakeTimeProvider _even = new(new DateTimeOffset(2026, 3, 3, 18, 0, 0, TimeSpan.Zero));

        public TimeSpan Off { get; set; }

        public override long TimestampFrequency => _even.TimestampFrequency;

        public override DateTimeOffset GetUtcNow() => _even.GetUtcNow() + Off;

        public override long GetTimestamp() => _even.GetTimestamp();

        public void Pass(TimeSpan time) => _even.Advance(time);
    }

    private async Task<(SetClock Time, Stopwatches Watches, ClockBook Clock, FoundlingDb Db)> Started(bool restarted = false)
    {
        int number = await _shop.BookIn();
        FoundlingDb db = _shop.Open();
        await _shop.Rods(db).Aim((await _shop.Tags(db).Find(number))!, AimKind.Work);
        var time = new SetClock();
        var watches = new Stopwatches(time);
        var clock = new ClockBook(db, _shop.Tags(db), watches, time, _shop.Plans(db));
        await clock.Start(number, StepKey.Wash);
        return (time, watches, restarted ? new ClockBook(db, _shop.Tags(db), new Stopwatches(time), time, _shop.Plans(db)) : clock, db);
    }

    [Theory]
    [InlineData(72)]
    [InlineData(-48)]
    public async Task A_step_of_the_system_clock_books_what_really_passed(int hours)
    {
        (SetClock time, _, ClockBook clock, FoundlingDb db) = await Started();
        time.Pass(TimeSpan.FromMinutes(9));
        time.Off = TimeSpan.FromHours(hours);
        clock.Read((await clock.Running())!, 15).Minutes.ShouldBe(9, 1e-6);
        (await clock.Stop())!.Minutes!.Value.ShouldBe(9, 1e-6);
        await db.DisposeAsync();
    }

    [Fact]
    public async Task A_clock_put_back_while_the_program_was_closed_is_asked_about()
    {
        (SetClock time, _, ClockBook clock, FoundlingDb db) = await Started(restarted: true);
        time.Off = TimeSpan.FromDays(-2);
        clock.Read((await clock.Running())!, 15).Minutes.ShouldBe(0);
        InputException asked = await Should.ThrowAsync<InputException>(() => clock.Stop());
        asked.ErrorKey.ShouldBe(ClockBook.InDoubt);
        asked.Sentence.ShouldContain("put back");
        (await clock.Running()).ShouldNotBeNull();
        (await clock.Stop(12))!.Minutes.ShouldBe(12);
        await db.DisposeAsync();
    }

    [Fact]
    public async Task A_clock_forgotten_over_night_is_asked_about_and_no_other_starts_over_it()
    {
        (SetClock time, _, ClockBook clock, FoundlingDb db) = await Started();
        time.Pass(TimeSpan.FromHours(11));
        (await Should.ThrowAsync<InputException>(() => clock.Stop())).Sentence.ShouldContain("11 h");
        int other = await _shop.BookIn();
        await _shop.Rods(db).Aim((await _shop.Tags(db).Find(other))!, AimKind.Work);
        (await Should.ThrowAsync<InputException>(() => clock.Start(other, StepKey.Wash))).ErrorKey.ShouldBe(ClockBook.InDoubt);
        (await clock.Stop(20))!.Minutes.ShouldBe(20);
        await db.DisposeAsync();
    }

    [Theory]
    [InlineData(59, 15, false)]
    [InlineData(61, 15, true)]
    [InlineData(61, 25, false)]
    [InlineData(75, 25, true)]
    [InlineData(-1, 25, true)]
    public void What_cannot_be_right_is_three_times_the_likely_and_an_hour(double minutes, double likely, bool doubted) =>
        (ClockDoubts.Of(minutes, likely, true) is not null).ShouldBe(doubted);
}
