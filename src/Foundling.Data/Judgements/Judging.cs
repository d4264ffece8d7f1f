using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Gauges;
using Foundling.Core.Origin;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Shop;
using Foundling.Core.Soles;
using Foundling.Core.Stall;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;
using Foundling.Core.Units;
using Foundling.Data.Papers.Format;
using Foundling.Data.Tags;

namespace Foundling.Data.Judgements;

/// <summary>
/// Whole judgements of a tool that is described in a question, for other programs: its plan, its ways, its aims, whether to restore it and what to pay for it.
/// Nothing of what is asked is kept.
/// </summary>
public static class Judging
{
    /// <summary>The judgements, as gauges are listed. Each takes the shop it is asked in.</summary>
    public static IReadOnlyList<(Gauge Gauge, Func<object, ShopContext, PatternBook, object> Run)> All { get; } =
    [
        Of<PlanAsked, PlanAnswer>("rod", "plan", "The plan of a tool: its steps with minutes, waits, order and reasons.", (i, shop, book) =>
            Plan(Ask(i.Tag, i.Shop, i.Aim, shop, book))),
        Of<WaysAsked, WaysAnswer>("rod", "ways", "The ways of a tool side by side, open and closed.", (i, shop, book) =>
            Ways(Ask(i.Tag, i.Shop, i.Aim, shop, book), i.Choice)),
        Of<AimAsked, AimAnswer>("aim", "review", "The aims of a tool side by side: hours, surface, worth.", (i, shop, book) => Aims(i, shop, book)),
        Of<TriageAsked, TriageResult>("state", "triage", "Whether to restore a tool, with stoppers, doubts and work.", (i, shop, book) =>
        {
            PlanQuestion q = Ask(i.Tag, i.Shop, null, shop, book);
            return Triage.Of(q.Facts, q.Shop.Assumptions);
        }),
        Of<StallAsked, StallAnswered>("stall", "verdict", "What to say of a tool at a stall, and the most to pay.", Stall),
    ];

    private static (Gauge, Func<object, ShopContext, PatternBook, object>) Of<TIn, TOut>(string file, string calculation, string about,
        Func<TIn, ShopContext, PatternBook, TOut> run)
        where TIn : notnull
        where TOut : notnull =>
        (new Gauge(file, calculation, about, typeof(TIn), typeof(TOut), (_, _) => throw new InvalidOperationException("A judgement is asked in a shop.")),
            (input, shop, book) => run((TIn)input, shop, book));

    /// <summary>The question a described tool asks.</summary>
    /// <exception cref="InputException">Something of the tool or the shop cannot be.</exception>
    public static PlanQuestion Ask(TagBody body, ShopBody? other, AimKind? aim, ShopContext here, PatternBook book)
    {
        ToolKind kind = KindOf(body);
        Tag tag = TagPapers.From(body with { KindFile = null });
        ToolKind tool = (body.Built ?? ToolBuild.AsMade).Of(kind);
        Judge(tag, tool, here.Assumptions);
        ShopContext shop = Shop(other, here);
        return new PlanQuestion(tag.Facts(tool), aim ?? body.Aim ?? AimKind.Work, shop)
        {
            TagWays = Choices.Read(Known(body.Ways, tool)), PartWays = PartChoices.Read(body.Ways, tool), Odd = RodDesk.OddOf(tag, tool, book,
                shop.Assumptions),
        };
    }

    private static ToolKind KindOf(TagBody body)
    {
        if (string.IsNullOrEmpty(body.Kind.Value))
        {
            throw new InputException("required", "tag.kind", null, "a kind of tool", "Say which kind of tool it is.");
        }
        if (body.KindFile is not { } file)
        {
            return ToolCatalogue.Kind(body.Kind);
        }
        KindReader.Check(file);
        return file.Kind == body.Kind ? KindReader.Kind(file)
            : throw new InputException("kind_file", "tag.kind_file", file.Kind.Value, body.Kind.Value, "The kind file is of another kind than the tool.");
    }

    /// <summary>Ways that are not in the book are refused: what is silently left out is a wrong answer.</summary>
    private static IReadOnlyList<string> Known(IReadOnlyList<string> ways, ToolKind tool)
    {
        foreach (string way in ways)
        {
            Choices.Judge(way, tool);
        }
        return ways;
    }

    private static void Judge(Tag tag, ToolKind tool, Assumptions assumptions)
    {
        void Part(PartId part, string field)
        {
            if (!tool.Made(part))
            {
                throw new InputException("unknown_part", field, part.Value, string.Join(", ", tool.Parts.Select(p => p.Id)),
                    $"{Sentences.Start(Articles.A(tool.Name.ToLowerInvariant()))} has no \"{Shorten.To(part.Value, 40)}\".");
            }
        }
        foreach (Finding finding in tag.Findings)
        {
            Part(finding.Part, "tag.findings.part");
            Check.Within(finding.Severity, 0, FindingScales.Worst, "tag.findings.severity");
        }
        foreach (Measurement measured in tag.Measurements)
        {
            Part(measured.Part, "tag.measurements.part");
            if (MeasureKinds.Find(measured.Kind) is null)
            {
                throw new InputException("unknown_measure", "tag.measurements.kind", measured.Kind.Value, "measurements the program knows",
                    $"\"{measured.Kind}\" is nothing the program measures.");
            }
        }
        foreach (double length in new[] { tag.LengthMm, tag.IronWidthMm, tag.SoleWidthMm, tag.MouthFrontMm }.OfType<double>())
        {
            Check.Within(length, 0, MostMm, "tag.length_mm");
        }
        tag.Surveys.ForEach(s => GridSurvey.Read(s.Input, assumptions));
    }

    private const double MostMm = 5000;

    private static ShopContext Shop(ShopBody? other, ShopContext here) => other is null ? here : here with
    {
        Assumptions = other.Assumed is { } assumed ? assumed.Aggregate(here.Assumptions, (a, f) => a.With(f.Key, f.Value)) : here.Assumptions,
        Climate = new Climate(Check.Within(other.TemperatureC ?? here.Climate.TemperatureC, -20, 60, "shop.temperature_c"),
            Check.Within(other.RelativeHumidityPercent ?? here.Climate.RelativeHumidityPercent, 0, 100, "shop.relative_humidity_percent")),
        Ways = other.Ways is { } ways ? Choices.Read(ways) : here.Ways, Lacking = other.Lacking is { } lacking ? lacking.ToHashSet() : here.Lacking,
        Dress = other.Dress ?? here.Dress, HourRate = other.HourRate ?? here.HourRate,
    };

    private static MinutesSaid Said(TotalsResult total) => new(total.Mean, total.Sd, total.P50, total.P80, Typed.About(total.P50, total.P80));

    private static NeedSaid Said(Need need) => new(need.Item, need.Name, need.Kit, need.Amount, need.Unit, need.UsedUp);

    private static PlanAnswer Plan(PlanQuestion q)
    {
        IReadOnlyList<Deed> plan = Planner.Plan(q);
        Assumptions a = q.Shop.Assumptions;
        return new PlanAnswer(q.Aim,
            [.. Choices.All.Where(c => c.Asked(q)).Select(c => new WayTaken(c.Id, c.Taken(q).Way.Id, c.Taken(q).By, c.Advice(q).Why))],
            [.. PlanTime.Lay(plan).Select(t => Step(t, a))], Said(PlanTotals.Of(plan, a)), PlanTotals.Unsure(plan, a), PlanTime.Elapsed(plan),
                PlanTime.Waiting(plan),
            [.. plan.SelectMany(d => d.Needs).GroupBy(n => n.Item).Select(g => new NeedSaid(g.Key, g.First().Name, g.First().Kit,
                g.First().Kit ? null : g.Sum(n => n.Amount ?? 0), g.First().Unit, g.Any(n => n.UsedUp is not null) ? g.Sum(n => n.UsedUp ?? n.Amount ?? 0)
                    : null))],
            plan.Sum(d => Needs.Cost(d, a)),
            [.. FindingAnswers.Of(q, plan).Select(f => new FindingSaid(f.Finding.Part, f.Finding.Kind, f.Finding.Severity, f.By, f.WhyNot))]);
    }

    private static StepSaid Step(TimedDeed timed, Assumptions a)
    {
        Deed d = timed.Deed;
        return new StepSaid(d.Id, d.Kind, d.Stage, d.Title, d.Parts, d.Minutes, PlanTotals.Chance(d, a),
            d.Lag is { } lag ? new WaitSaid(lag.Kind, lag.LeastMin, lag.MostMin, lag.LookInMin) : null, [.. d.Needs.Select(Said)],
            [.. d.After.Select(f => new EdgeSaid(f.Id, f.Why, f.Lag?.HoldsMin ?? 0, f.Lag?.MostMin, f.Lag?.Kind))], d.Undoable, d.MetalRemovedMm,
            d.SurfaceLost, d.Cautions, d.Rule, d.Choice, d.Block, d.Reason, d.How, d.FinishTest, timed.StartMin);
    }

    private static WaysAnswer Ways(PlanQuestion q, Core.Keys.ChoiceId? only) => new(q.Aim,
        [.. Choices.All.Where(c => (only is null || c.Id == only) && c.Asked(q)).Select(c => new ChoiceSaid(c.Id, c.Question, c.Taken(q).By, c.Advice(q).Why,
            [.. WayReview.Of(c, q).Select(w => new WaySaid(w.Way.Id, w.Way.Name, w.Way.School, w.Taken, w.Blocked, w.Minutes is { } m ? Said(m) : null,
                w.WaitMin,
                w.Cost, [.. w.Change?.Added.Select(d => d.Id) ?? []], [.. w.Change?.Gone.Select(d => d.Id) ?? []],
                [.. w.Change?.Changed.Select(d => d.Id) ?? []], w.Change?.Minutes ?? 0))]))]);

    private static AimAnswer Aims(AimAsked asked, ShopContext here, PatternBook book)
    {
        PlanQuestion q = Ask(asked.Tag, asked.Shop, null, here, book);
        (AimKind advised, string why) = AimReview.Advise(asked.Tag.Rarity, q.Tried, q.Findings);
        return new AimAnswer(advised, why, [.. Enum.GetValues<AimKind>().Select(aim =>
        {
            AimReview r = AimReview.Of(q with { Aim = aim }, (double?)asked.Tag.WorthSound, asked.Tag.Rarity ?? Rarity.Common);
            return new AimSaid(aim, r.Steps.Count, Said(r.Minutes), r.ElapsedMin, r.WaitMin, r.MaterialsCost, r.MetalMm, r.Lost, r.LostShare,
                [.. r.Final.Select(d => d.Id)], r.WorthAfter, r.BuysMost?.Id, r.BuysShare, r.StopAfter?.Id);
        })]);
    }

    private static StallAnswered Stall(StallAsked asked, ShopContext here, PatternBook book)
    {
        PlanQuestion q = Ask(asked.Tag, asked.Shop, asked.Aim, here, book);
        if (asked.Answers is { Count: > 0 } answers)
        {
            q = q with { Findings = [.. q.Findings, .. StallCheck.Findings(q.Tool, answers)] };
        }
        TriageResult triage = Triage.Of(q.Facts, q.Shop.Assumptions);
        IReadOnlyList<Deed> plan = Planner.Plan(q);
        TotalsResult minutes = PlanTotals.Of(plan, q.Shop.Assumptions);
        double materials = plan.Sum(d => Needs.Cost(d, q.Shop.Assumptions));
        HighestPriceResult? price = asked.Tag.WorthSound is not { } worth ? null
            : Worth.HighestPrice(new HighestPriceInput([new ThreePoint(minutes.P50, minutes.P50, minutes.P50)], (double)worth, materials, q.Shop.HourRate,
                asked.SellingCost, asked.SellingCostPercent, asked.AskingPrice));
        return new StallAnswered(triage.Verdict, triage.Stoppers, triage.Doubts, triage.Work, triage.WorthSaving, Said(minutes), materials,
            price?.HighestSensiblePrice, price?.WorthBuyingAtAsking);
    }
}
