using System.Globalization;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Shop;
using Foundling.Core.Soles;
using Foundling.Core.Stall;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tests.Rod;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests;

/// <summary>Assumed figures that a shop puts otherwise.</summary>
public sealed class AssumptionTests
{
    private static readonly PlanQuestion Rusty = Asking.Ask(KindIds.MetalBenchPlane, AimKind.Work,
        Asking.F(PartIds.Body, FindingKind.Rust, 3), Asking.F(PartIds.Iron, FindingKind.Rust, 2)).With(ChoiceId.Rust, WayId.Chelating);

    private static PlanQuestion In(PlanQuestion question, Assumptions a) => question with { Shop = question.Shop with { Assumptions = a } };

    /// <summary>A shop that puts about a third of the figures otherwise, within what may be put, some at the very ends.</summary>
    private static Assumptions Odd(Random random)
    {
        Assumptions all = Assumptions.Standard;
        foreach (AssumedFigure figure in Assumptions.Book.Where(_ => random.Next(3) == 0))
        {
            double[] tried = [figure.Value / 100, figure.Value * 100, Math.Round(figure.Value * (0.3 + (2 * random.NextDouble()))),
                figure.Value * random.NextDouble()];
            try
            {
                all = all.With(figure.Name, tried[random.Next(tried.Length)]);
            }
            catch (InputException fault)
            {
                fault.Sentence.ShouldStartWith("Give a ");
            }
        }
        return all;
    }

    [Fact]
    public void Every_figure_can_be_put_otherwise_is_kept_and_goes_back()
    {
        foreach (AssumedFigure figure in Assumptions.Book)
        {
            double other = figure.Value > 1 ? Math.Floor(figure.Value) + (figure.Value >= 23 ? -1 : 1) : figure.Value * 0.9;
            Assumptions changed = Assumptions.Standard.With(figure.Name, other);
            changed.Kept().ShouldBe([string.Create(CultureInfo.InvariantCulture, $"{figure.Name}={other:R}")], figure.Name);
            Assumptions.Of(changed.Kept()).Kept().ShouldBe(changed.Kept());
            changed.With(figure.Name, figure.Value).Kept().ShouldBeEmpty();
        }
        Assumptions.Standard.Kept().ShouldBeEmpty();
    }

    /// <summary>What is reckoned is kept by what it was reckoned with, so shops that assume the same must be told apart from no other.</summary>
    [Theory]
    [InlineData("price_light_oil=0.03", "swap_iron=0.5")]
    [InlineData("price_light_oil=0.03", "price_clean_cloth=0.1")]
    public void Shops_that_assume_the_same_are_equal(string one, string two)
    {
        (Assumptions a, Assumptions b) = (Assumptions.Of([one, two]), Assumptions.Of([two, one]));
        a.ShouldBe(b);
        a.GetHashCode().ShouldBe(b.GetHashCode());
        a.ShouldNotBe(Assumptions.Of([one]));
        a.ShouldNotBe(Assumptions.Of([one.Replace("0.03", "0.04", StringComparison.Ordinal), two]));
    }

    [Fact]
    public void Every_figure_stands_under_one_heading() =>
        Assumptions.Headed.SelectMany(h => h.Names).ShouldBe(Assumptions.Book.Select(f => f.Name));

    [Theory]
    [InlineData("glue_cure_hours", 0)]
    [InlineData("glue_cure_hours", -3)]
    [InlineData("glue_cure_hours", double.NaN)]
    [InlineData("glue_cure_hours", double.PositiveInfinity)]
    [InlineData("swap_iron", 1)]
    [InlineData("night_from_hour", 24)]
    [InlineData("night_from_hour", 21.5)]
    [InlineData("own_high_times", 0.5)]
    [InlineData("price_light_oil", -0.01)]
    public void What_no_shop_would_assume_is_refused(string name, double value)
    {
        Should.Throw<InputException>(() => Assumptions.Standard.With(name, value)).Field.ShouldBe(name);
        Assumptions.Of([string.Create(CultureInfo.InvariantCulture, $"{name}={value:R}")]).Kept().ShouldBeEmpty();
    }

    [Fact]
    public void What_is_not_on_the_list_is_left_out_of_what_was_kept()
    {
        Assumptions.Of(["no_such_figure=3", "glue_cure_hours", "glue_cure_hours=soon", "swap_iron=0.4=0.5"]).Kept().ShouldBeEmpty();
        Should.Throw<InputException>(() => Assumptions.Standard.With("no_such_figure", 3)).ErrorKey.ShouldBe("unknown_assumption");
    }

    [Theory]
    [InlineData("enamel_recoat_from_hours", 30, "enamel_recoat_until_hours")]
    [InlineData("oil_wipe_from_min", 20, "oil_wipe_until_min")]
    [InlineData("rust_hue_low", 80, "rust_hue_high")]
    public void What_ends_may_not_end_before_it_begins(string name, double value, string until) =>
        Should.Throw<InputException>(() => Assumptions.Standard.With(name, value).InOrder()).Field.ShouldBe(until);

    [Fact]
    public void A_plan_soaks_as_long_as_the_shop_assumes()
    {
        double Soaking(Assumptions a) => Planner.Plan(In(Rusty, a)).Where(d => d.Lag?.Kind == LagKind.OutBy).Max(d => d.Lag!.LeastMin);
        // Little enough for a single soak, so that nothing is shared out.
        Assumptions Times(double factor) => Assumptions.Book.Where(f => f.Name.StartsWith("soak_", StringComparison.Ordinal))
            .Aggregate(Assumptions.Standard, (a, f) => a.With(f.Name, f.Value * factor));
        Soaking(Times(0.2)).ShouldBe(2 * Soaking(Times(0.1)), 1);
        Soaking(Times(0.2)).ShouldBeLessThan(Soaking(Assumptions.Standard));
    }

    [Fact]
    public void An_estimate_costs_what_the_shop_pays()
    {
        double Cost(Assumptions a) => AimReview.Of(In(Rusty, a), 40, Rarity.Common).MaterialsCost;
        Assumptions dear = Assumptions.Book.Where(f => f.Name.StartsWith("price_", StringComparison.Ordinal))
            .Aggregate(Assumptions.Standard, (a, f) => a.With(f.Name, f.Value * 2));
        Cost(dear).ShouldBe(2 * Cost(Assumptions.Standard), 1e-9);
    }

    [Fact]
    public void In_no_shop_does_a_plan_an_estimate_or_a_stall_table_come_out_as_no_number()
    {
        for (int seed = 0; seed < 250; seed++)
        {
            var random = new Random(seed);
            Assumptions odd = Odd(random);
            PlanQuestion question = In(Asking.Random(random), odd);
            foreach (Deed deed in Planner.Plan(question))
            {
                (deed.Minutes.Low >= 0 && deed.Minutes.Low <= deed.Minutes.Likely && deed.Minutes.Likely <= deed.Minutes.High
                    && double.IsFinite(deed.Minutes.High))
                    .ShouldBeTrue($"seed {seed}: {deed.Title} {deed.Minutes}");
                (deed.Lag is null || double.IsFinite(deed.Lag.LeastMin)).ShouldBeTrue($"seed {seed}: {deed.Title}");
            }
            AimReview review = AimReview.Of(question, 40, Rarity.Scarce);
            (double.IsFinite(review.MaterialsCost) && double.IsFinite(review.Minutes.P80)).ShouldBeTrue($"seed {seed}");
            Triage.Of(question.Facts, odd).Stoppers.ShouldAllBe(r => !r.Sentence.Contains("NaN", StringComparison.Ordinal));
            if (seed % 10 == 0)
            {
                StallTable.Of(question.Tool, question.Shop).Rows.ShouldAllBe(r => r.Pull.All(double.IsFinite));
                var sole = new GridSurveyInput(250, 60,
                    [.. Enumerable.Range(0, 40).Select(i => new[] { i % 10 * 25.0, i / 10 * 18.0, random.NextDouble() * 0.2 })]);
                double.IsFinite(GridSurvey.Read(sole, odd).FlatnessMinimumZoneMm).ShouldBeTrue($"seed {seed}");
            }
        }
    }

    [Fact]
    public void Minutes_and_metal_of_every_step_are_the_shops_to_change()
    {
        Assumptions twice = Assumptions.Standard;
        foreach (AssumedFigure figure in Assumptions.Book.Where(f => f.Name.StartsWith("minutes_", StringComparison.Ordinal)
            || f.Name.StartsWith("metal_", StringComparison.Ordinal)))
        {
            twice = twice.With(figure.Name, figure.Value * 2);
        }
        int compared = 0;
        for (int seed = 0; seed < 150; seed++)
        {
            PlanQuestion question = Asking.Random(new Random(seed));
            Dictionary<DeedId, Deed> now = Planner.Plan(In(question, twice)).ToDictionary(d => d.Id);
            // Some are rounded to the half minute, some never take longer than a limit; what is ground back to a line is reckoned from that line.
            foreach (Deed deed in Planner.Plan(In(question, Assumptions.Standard)).Where(d => StepFigures.All.All(f => f.Step != d.Id.Step || f.Most is null)))
            {
                compared++;
                now[deed.Id].Minutes.Likely.ShouldBe(deed.Minutes.Likely * 2, 1.01, $"seed {seed}: {deed.Title}");
                now[deed.Id].Minutes.High.ShouldBe(deed.Minutes.High * 2, 1.01, $"seed {seed}: {deed.Title}");
                (now[deed.Id].MetalRemovedMm == deed.MetalRemovedMm * 2 || deed.Id.Step == StepKey.EdgeSave).ShouldBeTrue($"seed {seed}: {deed.Title}");
            }
        }
        compared.ShouldBeGreaterThan(2000);
        // Every row of the table is some step's.
        StepFigures.All.Select(f => f.Name).ShouldBeUnique();
        Assumptions.Standard.With("minutes_wash", 20).MinutesOf(StepKey.Wash, StepCase.Usual, Work.Surface(10)).ShouldBe((15.6, 26, 52));
    }
}
