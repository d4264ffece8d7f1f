using Foundling.Core.Tags;

namespace Foundling.Web.Drawings;

/// <summary>One length of a rod.</summary>
public sealed record RodPiece(double X, double Width, bool Wait, StepState State, string Label, string Title);

/// <summary>A rod drawn to time: solid where hands work, hatched where it waits.</summary>
public sealed class RodView
{
    /// <summary>Longest a wait is drawn, minutes; longer ones are drawn this long, so that the work can be seen.</summary>
    private const double WaitShown = 30;

    /// <summary>Lays out the steps over a width.</summary>
    /// <param name="steps">Steps in order.</param>
    /// <param name="width">Width of the drawing.</param>
    /// <param name="height">Height of the drawing.</param>
    /// <param name="labels">Write the stage on lengths that have room.</param>
    public RodView(IReadOnlyList<PlanStep> steps, double width, double height = 34, bool labels = false)
    {
        Width = width;
        Height = height;
        var pieces = new List<RodPiece>();
        double total = steps.Sum(s => s.LikelyMin + Shown(s)), x = 2, scale = total > 0 ? (width - 4) / total : 0;
        Total = steps.Sum(s => s.LikelyMin);
        double? now = null;
        foreach (PlanStep step in steps)
        {
            double w = step.LikelyMin * scale;
            if (step.State == StepState.Open && now is null)
            {
                now = x;
            }
            pieces.Add(new RodPiece(x, w, false, step.State, labels && w > 74 ? Short(step) : "", step.Title));
            x += w;
            double wait = Shown(step) * scale;
            if (wait > 0)
            {
                pieces.Add(new RodPiece(x, wait, true, step.State, "", $"waits {Core.Units.Typed.Hours(step.WaitMin!.Value)}"));
                x += wait;
            }
        }
        Pieces = pieces;
        Now = now ?? (steps.Count > 0 ? x : null);
    }

    /// <summary>Width of the drawing.</summary>
    public double Width { get; }

    /// <summary>Height of the drawing.</summary>
    public double Height { get; }

    /// <summary>Likely hands-on minutes in all.</summary>
    public double Total { get; }

    /// <summary>Lengths from left to right.</summary>
    public IReadOnlyList<RodPiece> Pieces { get; }

    /// <summary>Where the work stands.</summary>
    public double? Now { get; }

    private static double Shown(PlanStep step) => Math.Min(WaitShown, step.WaitMin ?? 0);

    private static string Short(PlanStep step) => step.Stage.ToString();
}
