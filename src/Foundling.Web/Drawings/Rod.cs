using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Units;
using Foundling.Web.Services;

namespace Foundling.Web.Drawings;

/// <summary>How much of a rod is drawn.</summary>
public enum RodZoom
{
    /// <summary>The whole job.</summary>
    Job,

    /// <summary>The stage that is next.</summary>
    Stage,

    /// <summary>One sitting of ninety minutes from the next step.</summary>
    Sitting,
}

/// <summary>One length of a rod.</summary>
public sealed record RodPiece(double X, double Width, bool Wait, StepState State, string Label, string Title, DeedId Key, bool Running)
{
    /// <summary>How it looks.</summary>
    public string Css =>
        $"seg{(Wait ? " wait" : "")}{(State == StepState.Done && !Wait ? " gone" : "")}"
        + $"{(State == StepState.Skipped ? " skip" : "")}{(Running ? " running" : "")}";

    /// <summary>A step wide enough for the notch at its start.</summary>
    public bool Notched => !Wait && Width > 5;

    /// <summary>A finished length wide enough for its tick.</summary>
    public bool Ticked => State == StepState.Done && Width > 3;
}

/// <summary>A stretch over several lengths: a stage above the rod, an unbroken block below it.</summary>
public sealed record RodSpan(double X, double Width, string Label);

/// <summary>Lengths that look alike, as one path; a rod in a list says no more of each.</summary>
/// <param name="Css">Classes of all of them.</param>
/// <param name="Path">Their outlines.</param>
public sealed record RodLengths(string Css, string Path);

/// <summary>A rod drawn to time: solid where hands work, hatched where it waits.</summary>
public sealed class RodView
{
    /// <summary>Longest a wait is drawn, minutes; longer ones are drawn this long and say how long they are.</summary>
    private const double WaitShown = 30, SittingMinutes = 90, Letter = 6.4, MostHours = 40;

    /// <summary>Lays out the steps over a width.</summary>
    /// <param name="steps">Steps in order.</param>
    /// <param name="width">Width of the drawing.</param>
    /// <param name="height">Height of the drawing.</param>
    /// <param name="story">Draw stages, blocks, hours and labels too.</param>
    /// <param name="running">Key of the step whose clock runs.</param>
    public RodView(IReadOnlyList<PlanStep> steps, double width, double height = 34, bool story = false, DeedId? running = null)
    {
        (Width, Height, Story) = (width, height, story);
        var pieces = new List<RodPiece>();
        double total = steps.Sum(s => s.LikelyMin + Shown(s)), x = 2, scale = total > 0 ? (width - 4) / total : 0;
        Total = steps.Sum(s => s.LikelyMin);
        double? now = null;
        foreach (PlanStep step in steps)
        {
            double w = step.LikelyMin * scale;
            if ((step.State == StepState.Open && now is null) || step.Key == running)
            {
                now = x;
            }
            pieces.Add(new RodPiece(x, w, false, step.State, story ? Fitting(w, $"{step.Order} {step.Title}", $"{step.Order}") : "",
                $"{step.Title}, {Typed.Hours(step.LikelyMin)}", step.Key, step.Key == running));
            x += w;
            double wait = Shown(step) * scale;
            if (wait > 0)
            {
                pieces.Add(new RodPiece(x, wait, true, step.State, story ? Fitting(wait, $"waits {Typed.Wait(step.WaitMin!.Value)}",
                    Typed.Wait(step.WaitMin!.Value)) : "", $"waits {Typed.Wait(step.WaitMin!.Value)}", step.Key, false));
                x += wait;
            }
        }
        Pieces = pieces;
        Now = now ?? (steps.Count > 0 ? x : null);
        if (story)
        {
            Stages = Spans(steps, s => Words.Of(s.Stage));
            Blocks = [.. Spans(steps, s => s.Block is Block block ? Core.Rod.Blocks.Words(block) : "").Where(b => b.Label.Length > 0)];
            double step = scale <= 0 ? double.MaxValue : new double[] { 5, 10, 15, 30, 60, 120, 240, 480 }.FirstOrDefault(m => m * scale >= 60,
                Math.Max(960, Math.Ceiling(Total / MostHours)));
            double at = 0, done = 0;
            foreach (RodPiece piece in pieces.Where(p => !p.Wait))
            {
                double minutes = piece.Width / scale;
                while (at <= done + minutes && at <= Total)
                {
                    Hours.Add((piece.X + ((at - done) * scale), at == 0 ? "0" : Typed.Hours(at)));
                    at += step;
                }
                done += minutes;
            }
        }
    }

    /// <summary>The steps that a zoom shows.</summary>
    public static IReadOnlyList<PlanStep> Shown(IReadOnlyList<PlanStep> steps, RodZoom zoom)
    {
        int next = Math.Max(0, steps.ToList().FindIndex(s => s.State == StepState.Open));
        switch (zoom)
        {
            case RodZoom.Stage when steps.Count > 0:
                return [.. steps.Where(s => s.Stage == steps[next].Stage)];
            case RodZoom.Sitting:
                var sitting = new List<PlanStep>();
                double minutes = 0;
                foreach (PlanStep step in steps.Skip(next))
                {
                    if (sitting.Count > 0 && minutes + step.LikelyMin > SittingMinutes)
                    {
                        break;
                    }
                    sitting.Add(step);
                    minutes += step.LikelyMin;
                    if (step.WaitMin > SittingMinutes)
                    {
                        // Nothing more is done on this tool until the wait is over.
                        break;
                    }
                }
                return sitting;
            default:
                return steps;
        }
    }

    /// <summary>Width of the drawing.</summary>
    public double Width { get; }

    /// <summary>Height of the drawing.</summary>
    public double Height { get; }

    /// <summary>Stages, blocks, hours and labels are drawn.</summary>
    public bool Story { get; }

    /// <summary>Likely hands-on minutes in all.</summary>
    public double Total { get; }

    /// <summary>Lengths from left to right.</summary>
    public IReadOnlyList<RodPiece> Pieces { get; }

    /// <summary>Stages over the lengths.</summary>
    public IReadOnlyList<RodSpan> Stages { get; } = [];

    /// <summary>Unbroken blocks.</summary>
    public IReadOnlyList<RodSpan> Blocks { get; } = [];

    /// <summary>Marks of hands-on time.</summary>
    public List<(double X, string Label)> Hours { get; } = [];

    /// <summary>Where the work stands.</summary>
    public double? Now { get; }

    /// <summary>The lengths of a rod in a list, those that look alike in one path.</summary>
    /// <param name="top">Top of the rod.</param>
    /// <param name="height">Its height.</param>
    public IEnumerable<RodLengths> Plain(double top, double height) =>
    [
        .. Pieces.GroupBy(p => p.Css).Select(g => new RodLengths(g.Key, Joined(g, p => $"M{p.X:0.#} {top}h{p.Width:0.#}v{height}h{-p.Width:0.#}z"))),
        new RodLengths("notch", Joined(Pieces.Where(p => p.Notched), p => $"M{p.X:0.#} {top}l-3 0l3 6l3 -6z")),
        new RodLengths("tick", Joined(Pieces.Where(p => p.Ticked), p => $"M{p.X + 1.5:0.#} {top + height - 4}h{p.Width - 3:0.#}")),
    ];

    private static string Joined(IEnumerable<RodPiece> pieces, Func<RodPiece, FormattableString> path) =>
        string.Concat(pieces.Select(p => FormattableString.Invariant(path(p))));

    private static double Shown(PlanStep step) => Math.Min(WaitShown, step.WaitMin ?? 0);

    private static string Fitting(double width, string text, string brief) =>
        width > (text.Length * Letter) + 12 ? text : width > 110 ? text[..(int)((width - 20) / Letter)] + "…" : width > (brief.Length * Letter) + 8 ? brief
            : "";

    private List<RodSpan> Spans(IReadOnlyList<PlanStep> steps, Func<PlanStep, string> of)
    {
        var spans = new List<RodSpan>();
        string label = "", last = "";
        double from = 0, to = 0;
        foreach (PlanStep step in steps)
        {
            List<RodPiece> own = [.. Pieces.Where(p => p.Key == step.Key)];
            label = of(step);
            if (label != last && to > from)
            {
                spans.Add(new RodSpan(from, to - from, last));
            }
            from = label != last ? own[0].X : from;
            to = own[^1].X + own[^1].Width;
            last = label;
        }
        if (to > from)
        {
            spans.Add(new RodSpan(from, to - from, last));
        }
        return spans;
    }
}
