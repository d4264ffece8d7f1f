namespace Foundling.Core.Soles;

/// <summary>How a sole lies on the layer under it: rigid offset and tilts at which the touching cells carry the hands' force.</summary>
internal sealed class LapContact(double[] x, double[] y, double k, double areaMm2, double halfMm, Action pass)
{
    private const int MostRounds = 200;
    private const double Balanced = 1e-7;

    private double _offset, _tiltX, _tiltY;
    private bool _lies;

    /// <summary>Greatest error of the balance of force so far, as a share of it.</summary>
    public double WorstForce { get; private set; }

    /// <summary>Greatest error of the balance of moments so far, as a share of the force at half the length.</summary>
    public double WorstMoment { get; private set; }

    /// <summary>
    /// Lays the sole down: the least value of sum k A max(0, sink)^2 / 2 - F offset, by damped Newton on the touching cells,
    /// from where it lay before.
    /// </summary>
    /// <param name="z">Heights of the cells, mm.</param>
    /// <param name="force">Force, N, and where, mm from the middle.</param>
    /// <param name="sink">Filled with how far each cell is pressed in, mm.</param>
    public void Settle(double[] z, (double N, double X, double Y) force, double[] sink)
    {
        if (!_lies)
        {
            (_offset, _lies) = (-z.Max(), true);
        }
        double ka = k * areaMm2;
        for (int round = 0; round < MostRounds; round++)
        {
            pass();
            double g0 = -force.N, g1 = 0, g2 = 0, h00 = 0, h01 = 0, h02 = 0, h11 = 0, h12 = 0, h22 = 0;
            for (int i = 0; i < z.Length; i++)
            {
                double dx = (x[i] - force.X) / halfMm, dy = (y[i] - force.Y) / halfMm;
                double d = z[i] + _offset + (_tiltX * x[i]) + (_tiltY * y[i]);
                sink[i] = d;
                if (d <= 0)
                {
                    continue;
                }
                g0 += ka * d;
                g1 += ka * d * dx;
                g2 += ka * d * dy;
                h00 += ka;
                h01 += ka * dx;
                h02 += ka * dy;
                h11 += ka * dx * dx;
                h12 += ka * dx * dy;
                h22 += ka * dy * dy;
            }
            double off = Math.Max(Math.Abs(g0), Math.Max(Math.Abs(g1), Math.Abs(g2))) / force.N;
            if (off < Balanced)
            {
                WorstForce = Math.Max(WorstForce, Math.Abs(g0) / force.N);
                WorstMoment = Math.Max(WorstMoment, Math.Max(Math.Abs(g1), Math.Abs(g2)) / force.N);
                return;
            }
            double ridge = 1e-9 * (h00 + ka);
            h00 += ridge;
            h11 += ridge;
            h22 += ridge;
            double det = (h00 * ((h11 * h22) - (h12 * h12))) - (h01 * ((h01 * h22) - (h12 * h02))) + (h02 * ((h01 * h12) - (h11 * h02)));
            double s0 = ((g0 * ((h11 * h22) - (h12 * h12))) - (h01 * ((g1 * h22) - (h12 * g2))) + (h02 * ((g1 * h12) - (h11 * g2)))) / det;
            double s1 = ((h00 * ((g1 * h22) - (h12 * g2))) - (g0 * ((h01 * h22) - (h12 * h02))) + (h02 * ((h01 * g2) - (g1 * h02)))) / det;
            double s2 = ((h00 * ((h11 * g2) - (g1 * h12))) - (h01 * ((h01 * g2) - (g1 * h02))) + (g0 * ((h01 * h12) - (h11 * h02)))) / det;
            // Tilts turn about where the hands press; the offset is kept at the middle, so that the hands may move.
            double tx = s1 / halfMm, ty = s2 / halfMm, o = s0 - (tx * force.X) - (ty * force.Y);
            double now = Energy(z, force, _offset, _tiltX, _tiltY), damp = 1, slope = (g0 * s0) + (g1 * s1) + (g2 * s2);
            while (damp > 1e-8
                && Energy(z, force, _offset - (damp * o), _tiltX - (damp * tx), _tiltY - (damp * ty)) > now - (1e-4 * damp * slope))
            {
                damp /= 2;
            }
            (_offset, _tiltX, _tiltY) = (_offset - (damp * o), _tiltX - (damp * tx), _tiltY - (damp * ty));
        }
        (WorstForce, WorstMoment) = (1, 1);
    }

    private double Energy(double[] z, (double N, double X, double Y) force, double offset, double tiltX, double tiltY)
    {
        pass();
        double sum = 0;
        for (int i = 0; i < z.Length; i++)
        {
            double d = z[i] + offset + (tiltX * x[i]) + (tiltY * y[i]);
            sum += d > 0 ? d * d : 0;
        }
        return (k * areaMm2 * sum / 2) - (force.N * (offset + (tiltX * force.X) + (tiltY * force.Y)));
    }
}
