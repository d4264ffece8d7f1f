using System.Globalization;
using System.Text;

namespace Foundling.Core.Tools;

/// <summary>A place on a drawing, mm.</summary>
public readonly record struct Spot(double X, double Y);

/// <summary>An outline made of lines and cubic curves, in absolute millimetres.</summary>
public sealed class Outline
{
    private readonly List<(char Command, Spot[] Points)> _segments;
    private string? _text;

    private Outline(List<(char, Spot[])> segments) => _segments = segments;

    /// <summary>Reads path data with the commands M, L, H, V, C and Z in either case.</summary>
    /// <exception cref="FormatException">Another command, or a missing number.</exception>
    public static Outline Parse(string data)
    {
        var segments = new List<(char, Spot[])>();
        int at = 0;
        Spot now = default, start = default;
        char command = 'M';
        while (true)
        {
            while (at < data.Length && (char.IsWhiteSpace(data[at]) || data[at] == ','))
            {
                at++;
            }
            if (at >= data.Length)
            {
                break;
            }
            if (char.IsLetter(data[at]))
            {
                command = data[at++];
            }
            bool relative = char.IsLower(command);
            double ox = relative ? now.X : 0, oy = relative ? now.Y : 0;
            Spot Next() => new(ox + Number(data, ref at), oy + Number(data, ref at));
            switch (char.ToUpperInvariant(command))
            {
                case 'M':
                    now = start = Next();
                    segments.Add(('M', [now]));
                    command = relative ? 'l' : 'L';
                    break;
                case 'L':
                    now = Next();
                    segments.Add(('L', [now]));
                    break;
                case 'H':
                    now = new Spot(ox + Number(data, ref at), now.Y);
                    segments.Add(('L', [now]));
                    break;
                case 'V':
                    now = new Spot(now.X, oy + Number(data, ref at));
                    segments.Add(('L', [now]));
                    break;
                case 'C':
                    Spot a = Next(), b = Next();
                    now = Next();
                    segments.Add(('C', [a, b, now]));
                    break;
                case 'Z':
                    now = start;
                    segments.Add(('Z', []));
                    break;
                default:
                    throw new FormatException($"Path command {command} is not drawn here.");
            }
        }
        return new Outline(segments);
    }

    private static double Number(string data, ref int at)
    {
        while (at < data.Length && (char.IsWhiteSpace(data[at]) || data[at] == ','))
        {
            at++;
        }
        int from = at;
        if (at < data.Length && data[at] is '-' or '+')
        {
            at++;
        }
        bool point = false;
        while (at < data.Length && (char.IsDigit(data[at]) || (data[at] == '.' && !point)))
        {
            point |= data[at] == '.';
            at++;
        }
        return at == from ? throw new FormatException("A number is missing in a path.") : double.Parse(data.AsSpan(from, at - from),
            CultureInfo.InvariantCulture);
    }

    /// <summary>The same outline with every point and control point moved.</summary>
    public Outline Move(Func<Spot, Spot> map) => new([.. _segments.Select(s => (s.Command, s.Points.Select(map).ToArray()))]);

    /// <summary>The same outline with every long run of line points that pass a test drawn anew.</summary>
    /// <param name="least">Shorter runs stay as they are.</param>
    /// <param name="inRun">True for a point of a run.</param>
    /// <param name="redraw">The points from the first to the last of a run.</param>
    public Outline Redraw(int least, Func<Spot, bool> inRun, Func<Spot, Spot, IEnumerable<Spot>> redraw)
    {
        var segments = new List<(char, Spot[])>();
        for (int i = 0; i < _segments.Count;)
        {
            int end = i;
            while (end < _segments.Count && _segments[end].Command == 'L' && inRun(_segments[end].Points[0]))
            {
                end++;
            }
            if (end - i >= least)
            {
                segments.AddRange(redraw(_segments[i].Points[0], _segments[end - 1].Points[0]).Select(p => ('L', new[] { p })));
                i = end;
            }
            else
            {
                segments.Add(_segments[i++]);
            }
        }
        return new Outline(segments);
    }

    /// <summary>Path data in absolute coordinates, hundredths of a millimetre.</summary>
    public override string ToString() => _text ??= Write();

    private string Write()
    {
        var text = new StringBuilder();
        foreach ((char command, Spot[] points) in _segments)
        {
            text.Append(command);
            for (int i = 0; i < points.Length; i++)
            {
                text.Append(CultureInfo.InvariantCulture, $"{(i > 0 ? " " : "")}{points[i].X:0.##} {points[i].Y:0.##}");
            }
        }
        return text.ToString();
    }

    /// <summary>Every point of the outline in order, the handles of its curves among them, mm.</summary>
    public IEnumerable<Spot> Corners() => _segments.SelectMany(s => s.Points);

    /// <summary>The first closed run of the outline as a polygon, its curves taken in short straight pieces.</summary>
    /// <param name="pieces">Pieces of a curve.</param>
    public IReadOnlyList<Spot> Polygon(int pieces) => Polygons(pieces)[0];

    /// <summary>What the outline goes round, mm², and how long it is, mm.</summary>
    /// <param name="pieces">Pieces of a curve.</param>
    /// <param name="holes">True where runs inside the largest are open.</param>
    public (double Area, double Round) Measured(int pieces, bool holes)
    {
        double most = 0, sum = 0, round = 0;
        foreach (List<Spot> run in Polygons(pieces))
        {
            double twice = 0;
            for (int i = 0; i < run.Count; i++)
            {
                (Spot a, Spot b) = (run[i], run[(i + 1) % run.Count]);
                twice += (a.X * b.Y) - (b.X * a.Y);
                round += Math.Sqrt(((a.X - b.X) * (a.X - b.X)) + ((a.Y - b.Y) * (a.Y - b.Y)));
            }
            double area = Math.Abs(twice) / 2;
            (most, sum) = (Math.Max(most, area), sum + area);
        }
        return (holes ? Math.Max(0, (2 * most) - sum) : sum, round);
    }

    /// <summary>Its runs as corners, all the same way round; where runs inside the largest are open, those the other way.</summary>
    /// <param name="pieces">Pieces of a curve.</param>
    /// <param name="holes">True where runs inside the largest are open.</param>
    public IReadOnlyList<IReadOnlyList<Spot>> Rings(int pieces, bool holes)
    {
        List<(List<Spot> Run, double Twice)> runs = [.. Polygons(pieces).Where(r => r.Count > 2).Select(r => (r, Twice(r)))];
        double most = runs.Select(r => Math.Abs(r.Twice)).DefaultIfEmpty().Max();
        return [.. runs.Select(r => (IReadOnlyList<Spot>)(r.Twice > 0 == (!holes || Math.Abs(r.Twice) >= most) ? r.Run : [.. Enumerable.Reverse(r.Run)]))];
    }

    private static double Twice(List<Spot> run) => run.Select((a, i) => (a, B: run[(i + 1) % run.Count])).Sum(s => (s.a.X * s.B.Y) - (s.B.X * s.a.Y));

    private List<List<Spot>> Polygons(int pieces)
    {
        List<List<Spot>> runs = [];
        List<Spot> corners = [];
        foreach ((char command, Spot[] points) in _segments)
        {
            if (command == 'Z')
            {
                continue;
            }
            if (command == 'M')
            {
                runs.Add(corners = []);
            }
            if (command != 'C')
            {
                corners.AddRange(points);
                continue;
            }
            for (int i = 0; i + 2 < points.Length; i += 3)
            {
                Spot from = corners[^1];
                for (int k = 1; k <= pieces; k++)
                {
                    double t = (double)k / pieces, u = 1 - t;
                    double At(double a, double b, double c, double d) => (u * u * u * a) + (3 * u * u * t * b) + (3 * u * t * t * c) + (t * t * t * d);
                    corners.Add(new Spot(At(from.X, points[i].X, points[i + 1].X, points[i + 2].X), At(from.Y, points[i].Y, points[i + 1].Y, points[i + 2].Y)));
                }
            }
        }
        return runs;
    }

    /// <summary>Box around all points and control points.</summary>
    public (Spot Low, Spot High) Box()
    {
        List<Spot> all = [.. _segments.SelectMany(s => s.Points)];
        return (new Spot(all.Min(p => p.X), all.Min(p => p.Y)), new Spot(all.Max(p => p.X), all.Max(p => p.Y)));
    }
}
