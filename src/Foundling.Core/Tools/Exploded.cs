using System.Runtime.CompilerServices;

namespace Foundling.Core.Tools;

/// <summary>
/// A tool drawn apart: the same parts, moved away from the largest until none covers another. Parts are laid out on a
/// coarse grid, so that a long slanting part takes only the room it needs.
/// </summary>
public static class Exploded
{
    private const double Upward = 1.6;
    private const int FewCells = 2, Rim = 20, Gap = 2, Farthest = 600, Columns = 64;

    private static readonly ConditionalWeakTable<Profile, Profile> Known = new();

    /// <summary>Draws a tool apart.</summary>
    /// <param name="profile">The tool as it stands.</param>
    /// <returns>The same parts with the same names and sizes, none over another, on a sheet just large enough.</returns>
    public static Profile Of(Profile profile) => Known.GetValue(profile, Lay);

    private static Profile Lay(Profile profile) => ByHand(profile) ?? Found(profile);

    /// <summary>The parts where the file of the kind puts them; null where it says nothing, or where they would lie over one another at this size.</summary>
    private static Profile? ByHand(Profile profile)
    {
        Dictionary<PartId, IReadOnlyList<double>?> apart = ToolCatalogue.Kind(profile.Kind).File.Parts.ToDictionary(p => p.Part, p => p.Apart);
        if (profile.Parts.Any(p => apart.GetValueOrDefault(p.Part) is null))
        {
            return null;
        }
        double cell = Math.Max(profile.Width, profile.Height) / (Columns * 4);
        // A drawing made larger as a whole needs as much more room; one that was stretched does not.
        double larger = Math.Max(1, profile.Height / Profile.Of(profile.Kind).Height);
        var moved = profile.Parts.ToDictionary(p => p.Part, p => new Spot(apart[p.Part]![0] * larger, apart[p.Part]![1] * larger));
        var taken = new Dictionary<(int, int), Spot>();
        foreach (DrawnPart part in profile.Parts)
        {
            // What is of one piece goes the same way and stays together; a cell at a rim may be shared.
            Spot by = moved[part.Part];
            List<(int, int)> cells = [.. Cells(part, cell).Select(c => (c.X + (int)Math.Round(by.X / cell), c.Y + (int)Math.Round(by.Y / cell)))];
            if (cells.Count(c => taken.TryGetValue(c, out Spot other) && other != by) > Math.Max(FewCells, cells.Count / Rim))
            {
                return null;
            }
            cells.ForEach(c => taken[c] = by);
        }
        return Placed(profile, moved);
    }

    private static Profile Found(Profile profile)
    {
        double cell = Math.Max(profile.Width, profile.Height) / Columns;
        var cells = profile.Parts.ToDictionary(p => p.Part, p => Cells(p, cell));
        PartId core = cells.MaxBy(c => c.Value.Count).Key;
        (double X, double Y) centre = Middle(cells[core]);
        var taken = new HashSet<(int, int)>();
        var moved = new Dictionary<PartId, (int X, int Y)>();
        // Near parts first, so that what sits outermost ends outermost.
        foreach (PartId part in profile.Parts.Select(p => p.Part).OrderByDescending(p => p == core).ThenBy(p => Away(Middle(cells[p]), centre)).ThenBy(p => p))
        {
            (double x, double y) = Middle(cells[part]);
            double dx = x - centre.X, dy = (y - centre.Y) * Upward, length = Math.Sqrt((dx * dx) + (dy * dy));
            (dx, dy) = length < 1 ? (0, -1) : (dx / length, dy / length);
            int far = 0;
            (int X, int Y) by = (0, 0);
            while (far < Farthest && cells[part].Any(c => taken.Contains((c.X + by.X, c.Y + by.Y))))
            {
                far++;
                by = ((int)Math.Round(dx * far), (int)Math.Round(dy * far));
            }
            moved[part] = by;
            foreach ((int cx, int cy) in cells[part])
            {
                for (int i = -Gap; i <= Gap; i++)
                {
                    for (int j = -Gap; j <= Gap; j++)
                    {
                        taken.Add((cx + by.X + i, cy + by.Y + j));
                    }
                }
            }
        }
        return Placed(profile, moved.ToDictionary(m => m.Key, m => new Spot(m.Value.X * cell, m.Value.Y * cell)));
    }

    private static Profile Placed(Profile profile, Dictionary<PartId, Spot> moved)
    {
        List<(Spot Low, Spot High)> boxes = [.. profile.Parts.Select(p => (Box: BoxOf(p), By: moved[p.Part])).Select(b => (
            new Spot(b.Box.Low.X + b.By.X, b.Box.Low.Y + b.By.Y), new Spot(b.Box.High.X + b.By.X, b.Box.High.Y + b.By.Y)))];
        double left = boxes.Min(b => b.Low.X) - Profile.Margin, top = boxes.Min(b => b.Low.Y) - Profile.Margin;
        double width = boxes.Max(b => b.High.X) + Profile.Margin - left, height = boxes.Max(b => b.High.Y) + Profile.Margin - top;
        return profile.Move(width, height, height - Profile.Margin, (part, p) => new Spot(p.X + moved[part].X - left, p.Y + moved[part].Y - top));
    }

    /// <summary>The box round a drawn part, mm: its low and its high corner.</summary>
    public static (Spot Low, Spot High) BoxOf(DrawnPart part)
    {
        List<(Spot Low, Spot High)> boxes = [.. part.Shapes.Select(s => s.Path.Box())];
        return (new Spot(boxes.Min(b => b.Low.X), boxes.Min(b => b.Low.Y)), new Spot(boxes.Max(b => b.High.X), boxes.Max(b => b.High.Y)));
    }

    /// <summary>Cells of the grid a part touches: those along its lines and those inside its outlined shapes.</summary>
    private static HashSet<(int X, int Y)> Cells(DrawnPart part, double cell)
    {
        var cells = new HashSet<(int, int)>();
        foreach (Shape shape in part.Shapes.Where(s => !s.Fine))
        {
            List<double[]> outline = [.. shape.Path.Corners().Select(p => new[] { p.X, p.Y })];
            for (int i = 0; i < outline.Count; i++)
            {
                double[] a = outline[i], b = outline[(i + 1) % outline.Count];
                int steps = 1 + (int)(Math.Sqrt(((a[0] - b[0]) * (a[0] - b[0])) + ((a[1] - b[1]) * (a[1] - b[1]))) / (cell / 2));
                for (int k = 0; k <= steps; k++)
                {
                    cells.Add(((int)Math.Floor((a[0] + ((b[0] - a[0]) * k / steps)) / cell), (int)Math.Floor((a[1] + ((b[1] - a[1]) * k / steps)) / cell)));
                }
            }
            (Spot low, Spot high) = shape.Path.Box();
            for (int x = (int)Math.Floor(low.X / cell); x <= high.X / cell; x++)
            {
                for (int y = (int)Math.Floor(low.Y / cell); y <= high.Y / cell; y++)
                {
                    if (Corners.Inside(outline, (x + 0.5) * cell, (y + 0.5) * cell))
                    {
                        cells.Add((x, y));
                    }
                }
            }
        }
        return cells;
    }

    private static (double X, double Y) Middle(HashSet<(int X, int Y)> cells) => (cells.Average(c => c.X), cells.Average(c => c.Y));

    private static double Away((double X, double Y) a, (double X, double Y) b) => ((a.X - b.X) * (a.X - b.X)) + ((a.Y - b.Y) * (a.Y - b.Y));
}
