namespace Foundling.Core.Baths;

/// <summary>
/// Finds places for a load in a container: the largest first, each flat where it can be, nothing touching, a second layer on the first where the depth
/// allows it. What is too long for any way of lying is put in end for end, and what is too long for that stays out with its reason.
/// </summary>
public static class Arranging
{
    private const double StepMm = 10, RoundMm = 10;
    private readonly record struct Rect(double X, double Y, double W, double H)
    {
        public bool Meets(Rect o, double gap) => X < o.X + o.W + gap - Whole.Slack && o.X < X + W + gap - Whole.Slack && Y < o.Y + o.H + gap - Whole.Slack
            && o.Y < Y + H + gap - Whole.Slack;
    }

    /// <summary>Puts pieces into a container.</summary>
    /// <param name="container">The container.</param>
    /// <param name="pieces">The pieces.</param>
    /// <param name="assumptions">Cover, rim and room.</param>
    /// <param name="wanted">Places chosen by hand, which are kept where they hold; null for none.</param>
    /// <exception cref="InputException">A container no shop has, or a piece without a size.</exception>
    public static BathArrangement Of(Container container, IReadOnlyList<BathPiece> pieces, Assumptions assumptions, IReadOnlyList<Wanted>? wanted = null)
    {
        var floor = new Floor(container.Checked(), assumptions);
        foreach (BathPiece piece in pieces)
        {
            Check.Positive(piece.LengthMm, "length_mm");
            Check.Positive(piece.WidthMm, "width_mm");
            Check.Positive(piece.ThickMm, "thick_mm");
        }
        foreach (Wanted want in wanted ?? [])
        {
            if (pieces.FirstOrDefault(p => p.Key == want.Key) is { } piece)
            {
                floor.Want(piece, want);
            }
        }
        List<LeftOut> left = [];
        foreach (BathPiece piece in LargestFirst(pieces).Where(p => floor.Placed.All(d => d.Piece.Key != p.Key)))
        {
            if (floor.Put(piece) is { } why)
            {
                left.Add(new LeftOut(piece, why));
            }
        }
        double fill = floor.Placed.Count == 0 ? 0 : floor.Placed.Max(p => p.ToMm) + assumptions.BathCoverMm;
        double displaced = floor.Placed.Sum(p => p.Piece.Litres * floor.Under(p));
        return new BathArrangement(floor.Container, floor.Placed, left, fill, displaced, Math.Max(0, floor.Container.Litres(fill) - displaced))
        {
            RunMm = BathVolume.Run(floor.Container.LengthMm, assumptions),
            Enough = left.Count == 0 ? null : Enough(pieces, assumptions),
        };
    }

    /// <summary>A box, in whole centimetres, that holds all pieces in one layer on its floor.</summary>
    /// <param name="pieces">The pieces, one at least.</param>
    /// <param name="assumptions">Cover, rim and room.</param>
    public static Container Enough(IReadOnlyList<BathPiece> pieces, Assumptions assumptions)
    {
        double Up(double mm) => Math.Ceiling((mm / RoundMm) - Whole.Slack) * RoundMm;
        double length = Up(pieces.Max(p => p.LengthMm) + assumptions.BathEndRoomMm),
            depth = Up(pieces.Max(p => p.ThickMm) + assumptions.BathCoverMm + assumptions.BathRimMm);
        double width = Up(Math.Max(pieces.Max(p => p.WidthMm) + assumptions.BathEndRoomMm,
            pieces.Sum(p => p.LengthMm * p.WidthMm) / length));
        while (Lying(Container.Box(length, width, depth), pieces, assumptions) is false)
        {
            width += RoundMm;
        }
        return Container.Box(length, width, depth);
    }

    private static IEnumerable<BathPiece> LargestFirst(IEnumerable<BathPiece> pieces) => pieces.OrderByDescending(p => p.LengthMm * p.WidthMm)
        .ThenByDescending(p => p.LengthMm).ThenBy(p => p.Key, StringComparer.Ordinal);

    private static bool Lying(Container box, IReadOnlyList<BathPiece> pieces, Assumptions assumptions)
    {
        var floor = new Floor(box, assumptions);
        return LargestFirst(pieces).All(p => floor.Put(p) is null) && floor.Placed.All(p => p is { Layer: 0 });
    }

    /// <summary>A container as it fills up.</summary>
    private sealed class Floor(Container container, Assumptions a)
    {
        private readonly List<double> _layers = [0];

        public Container Container { get; } = container;

        public List<Placed> Placed { get; } = [];

        private double Most => Container.DepthMm - a.BathRimMm - a.BathCoverMm;

        private double Run => BathVolume.Run(Container.LengthMm, a);

        /// <summary>Share of a piece that lies under the liquid at one time.</summary>
        public double Under(Placed p) => p.Lay == Lay.EndForEnd ? Math.Min(1, Run / p.Piece.LengthMm) : 1;

        /// <summary>Puts a piece where somebody wants it, if it goes there.</summary>
        public void Want(BathPiece piece, Wanted want)
        {
            if (want.Lay == Lay.EndForEnd)
            {
                return;
            }
            Rect at = Nearest(Rectangle(piece, want.Lay, want.XMm, want.YMm));
            for (int layer = 0; layer < _layers.Count; layer++)
            {
                if (Inside(at) && Free(at, layer) && Deep(piece, want.Lay, layer))
                {
                    Add(piece, want.Lay, layer, at);
                    return;
                }
            }
        }

        /// <summary>Finds a place for a piece; null when it has one, else why not.</summary>
        public string? Put(BathPiece piece)
        {
            Lay[] ways = piece.LengthMm > Most + Whole.Slack ? [Lay.Along, Lay.Across] : [Lay.Along, Lay.Across, Lay.Upright];
            for (int layer = 0; layer <= _layers.Count; layer++)
            {
                if (layer == _layers.Count && (layer == 0 || Heights() <= _layers[^1] + Whole.Slack))
                {
                    break;
                }
                if (layer == _layers.Count)
                {
                    _layers.Add(Heights());
                }
                foreach (Lay lay in ways.Where(w => Deep(piece, w, layer)))
                {
                    if (Spots(piece, lay, layer).Select(s => (Rect?)s).FirstOrDefault() is { } at)
                    {
                        Add(piece, lay, layer, at);
                        return null;
                    }
                }
            }
            return EndForEnd(piece) ? null : Why(piece);
        }

        // The top of all that lies so far: the next layer rests on it.
        private double Heights() => Placed.Count == 0 ? 0 : Placed.Max(p => p.ToMm);

        private bool Deep(BathPiece piece, Lay lay, int layer)
        {
            double from = layer < _layers.Count ? _layers[layer] : Heights();
            double to = from + (lay == Lay.Upright ? piece.LengthMm : piece.ThickMm);
            // What lies on the floor must not stand up into a layer that rests above it.
            return to <= Most + Whole.Slack && (layer + 1 >= _layers.Count || to <= _layers[layer + 1] + Whole.Slack);
        }

        private void Add(BathPiece piece, Lay lay, int layer, Rect at) => Placed.Add(new Placed(piece, lay, layer, at.X, at.Y, _layers[layer]));

        private bool EndForEnd(BathPiece piece)
        {
            double run = Run;
            if (Container.Shape == ContainerShape.Cylinder || run <= a.BathOverlapMm || !Deep(piece, Lay.Along, 0)
                || BathVolume.Turns(piece.LengthMm, run, a) != BathVolume.MostTurns)
            {
                return false;
            }
            Rect under = new(a.BathEndRoomMm / 2, 0, run, piece.WidthMm);
            for (double y = a.BathEndRoomMm / 2; y + piece.WidthMm <= Container.WidthMm - (a.BathEndRoomMm / 2) + Whole.Slack; y += StepMm / 2)
            {
                Rect at = under with { Y = y };
                if (Free(at, 0))
                {
                    Placed.Add(new Placed(piece, Lay.EndForEnd, 0, at.X, at.Y, 0));
                    return true;
                }
            }
            return false;
        }

        private string Why(BathPiece piece)
        {
            double longest = BathVolume.LongestMm(Run, a);
            bool box = Container.Shape == ContainerShape.Box;
            return piece.ThickMm > Most + Whole.Slack
                ? $"The {piece.Name} lies {piece.ThickMm:0} mm high, and this container covers {Math.Max(0, Most):0} mm."
                : piece.LengthMm > (box ? longest : Math.Max(Run, Most)) + Whole.Slack && piece.LengthMm > Most
                    ? $"The {piece.Name} is {piece.LengthMm:0} mm long: {(box ? $"turned end for end, up to {longest:0} mm go under"
                        : $"up to {Math.Max(Run, Most):0} mm go under")} here."
                : Placed.Count == 0 ? $"The {piece.Name} is too broad for this container."
                : $"There is no room left for the {piece.Name} beside the rest.";
        }

        private static Rect Rectangle(BathPiece piece, Lay lay, double x, double y) => lay switch
        {
            Lay.Across => new Rect(x, y, piece.WidthMm, piece.LengthMm),
            Lay.Upright => new Rect(x, y, piece.WidthMm, piece.ThickMm),
            _ => new Rect(x, y, piece.LengthMm, piece.WidthMm),
        };

        private bool Inside(Rect at)
        {
            double room = a.BathEndRoomMm / 2;
            if (Container.Shape == ContainerShape.Box)
            {
                return at.X >= room - Whole.Slack && at.Y >= room - Whole.Slack && at.X + at.W <= Container.LengthMm - room + Whole.Slack
                    && at.Y + at.H <= Container.WidthMm - room + Whole.Slack;
            }
            double middle = Container.LengthMm / 2, most = middle - room;
            double far = Math.Max(Math.Abs(at.X - middle), Math.Abs(at.X + at.W - middle)),
                up = Math.Max(Math.Abs(at.Y - middle), Math.Abs(at.Y + at.H - middle));
            return (far * far) + (up * up) <= (most * most) + Whole.Slack;
        }

        // What was let go beyond a wall lies against it.
        private Rect Nearest(Rect at)
        {
            double room = a.BathEndRoomMm / 2, right = Container.LengthMm - room - at.W, far = Container.WidthMm - room - at.H;
            return Container.Shape == ContainerShape.Cylinder || right < room || far < room ? at
                : at with { X = Math.Clamp(at.X, room, right), Y = Math.Clamp(at.Y, room, far) };
        }

        private bool Free(Rect at, int layer) => Placed.Where(p => p.Layer == layer).All(p => !at.Meets(Taken(p), a.BathGapMm));

        private Rect Taken(Placed p) => p.Lay == Lay.EndForEnd ? new Rect(p.XMm, p.YMm, Run, p.Piece.WidthMm) : Rectangle(p.Piece, p.Lay, p.XMm, p.YMm);

        /// <summary>Places that are free, nearest the corner first: beside what lies already, and on a grid.</summary>
        private IEnumerable<Rect> Spots(BathPiece piece, Lay lay, int layer)
        {
            double room = a.BathEndRoomMm / 2;
            List<double> xs = [room], ys = [room];
            foreach (Rect taken in Placed.Where(p => p.Layer == layer).Select(Taken))
            {
                xs.Add(taken.X + taken.W + a.BathGapMm);
                ys.Add(taken.Y + taken.H + a.BathGapMm);
            }
            if (Container.Shape == ContainerShape.Cylinder)
            {
                for (double at = room; at < Container.LengthMm - room; at += StepMm)
                {
                    xs.Add(at);
                    ys.Add(at);
                }
            }
            xs.Sort();
            ys.Sort();
            foreach (double y in ys)
            {
                foreach (double x in xs)
                {
                    Rect at = Rectangle(piece, lay, x, y);
                    if (Inside(at) && Free(at, layer))
                    {
                        yield return at;
                    }
                }
            }
        }
    }
}
