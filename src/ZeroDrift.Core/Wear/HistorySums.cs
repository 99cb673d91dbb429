namespace ZeroDrift.Core.Wear;

/// <summary>Weighted sums of one run.</summary>
internal struct RunSums
{
    public double W;
    public double T;
    public double Z;
    public double X;
    public double TT;
    public double TZ;
    public double ZZ;
    public double XX;
    public double TX;
    public double XZ;

    public void Add(double w, double t, double z)
    {
        (W, T, Z) = (W + w, T + w * t, Z + w * z);
        (TT, TZ, ZZ) = (TT + w * t * t, TZ + w * t * z, ZZ + w * z * z);
    }

    public void NoChange() => (X, XX, TX, XZ) = (0, 0, 0, 0);

    public void Change(double w, double t, double z, double x) => (X, XX, TX, XZ) = (X + w * x, XX + w * x * x, TX + w * t * x, XZ + w * x * z);

    public void Remove(double w, double t, double z, double x)
    {
        Add(-w, t, z);
        Change(-w, t, z, x);
    }
}

/// <summary>The normal equations of b and δ, the flat levels of the runs eliminated.</summary>
internal struct HistorySums
{
    private double a;
    private double b;
    private double c;
    private double r1;
    private double r2;
    private double squares;
    private double levels;
    private readonly double priors;

    public HistorySums(double vb, double mb, double vd, double md)
    {
        (a, b, c) = (1 / vb, 0, 1 / vd);
        (r1, r2) = (mb / vb, md / vd);
        squares = mb * mb / vb + md * md / vd;
        priors = Math.Log(vb) + Math.Log(vd);
    }

    public void Add(in RunSums r, double sign)
    {
        if (r.W <= 0) return;
        a += sign * (r.TT - r.T * r.T / r.W);
        b += sign * (r.TX - r.T * r.X / r.W);
        c += sign * (r.XX - r.X * r.X / r.W);
        r1 += sign * (r.TZ - r.T * r.Z / r.W);
        r2 += sign * (r.XZ - r.X * r.Z / r.W);
        squares += sign * (r.ZZ - r.Z * r.Z / r.W);
        levels += sign * Math.Log(r.W);
    }

    private readonly double Det => a * c - b * b;

    public readonly double Slope => (c * r1 - b * r2) / Det;

    public readonly double Delta => (a * r2 - b * r1) / Det;

    public readonly double Log => -levels / 2 - (Math.Log(Det) + priors) / 2 - (squares - r1 * Slope - r2 * Delta) / 2;

    /// <summary>gVhᵀ.</summary>
    public readonly double Product(double g1, double g2, double h1, double h2) => (g1 * (c * h1 - b * h2) + g2 * (a * h2 - b * h1)) / Det;
}

/// <summary>What the pairs of one kind add up to.</summary>
internal sealed class HistoryMoments
{
    private double level;
    private double slope;
    private double levelSquare;
    private double product;
    private double slopeSquare;

    public double Weight { get; private set; }

    public void Shrink(double by) => (Weight, level, slope, levelSquare, product, slopeSquare) = (Weight * by, level * by, slope * by, levelSquare * by, product * by, slopeSquare * by);

    public void Take(double weight, HistorySums s, RunSums last, double at, double after)
    {
        var changed = !double.IsNaN(after);
        var (g1, g2) = (at - last.T / last.W, changed ? at - after - last.X / last.W : 0);
        var (b, d) = (s.Slope, changed ? s.Delta : 0);
        var here = last.Z / last.W + g1 * b + g2 * d;
        var second = changed ? 1 : 0;
        Weight += weight;
        level += weight * here;
        slope += weight * (b + d);
        levelSquare += weight * (here * here + 1 / last.W + s.Product(g1, g2, g1, g2));
        product += weight * (here * (b + d) + s.Product(g1, g2, 1, second));
        slopeSquare += weight * ((b + d) * (b + d) + s.Product(1, second, 1, second));
    }

    public HistoryKind Merged(double all, double origin)
    {
        if (Weight <= 0) return default;
        var (l, s) = (level / Weight, slope / Weight);
        return new HistoryKind(Weight / all, l + origin, s, levelSquare / Weight - l * l, product / Weight - l * s, slopeSquare / Weight - s * s);
    }
}
