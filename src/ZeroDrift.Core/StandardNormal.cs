namespace ZeroDrift.Core;

/// <summary>
/// The standard normal distribution without a library, so that a tablet can carry it. The error function by the rational Chebyshev
/// approximations of W. J. Cody (1969), good to some 1e-15; coefficients from memory, held to MathNet by a test.
/// </summary>
public static class StandardNormal
{
    private const double OneOverRootTwo = 0.70710678118654752440;
    private const double OneOverRootTwoPi = 0.39894228040143267794;
    private const double OneOverRootPi = 0.56418958354775628695;

    private static readonly double[] SmallTop = [1.85777706184603153e-1, 3.16112374387056560e0, 1.13864154151050156e2, 3.77485237685302021e2, 3.20937758913846947e3];
    private static readonly double[] SmallBottom = [1, 2.36012909523441209e1, 2.44024637934444173e2, 1.28261652607737228e3, 2.84423683343917062e3];
    private static readonly double[] MiddleTop =
        [2.15311535474403846e-8, 5.64188496988670089e-1, 8.88314979438837594e0, 6.61191906371416295e1, 2.98635138197400131e2, 8.81952221241769090e2, 1.71204761263407058e3, 2.05107837782607147e3, 1.23033935479799725e3];
    private static readonly double[] MiddleBottom =
        [1, 1.57449261107098347e1, 1.17693950891312499e2, 5.37181101862009858e2, 1.62138957456669019e3, 3.29079923573345963e3, 4.36261909014324716e3, 3.43936767414372164e3, 1.23033935480374942e3];
    private static readonly double[] LargeTop = [1.63153871373020978e-2, 3.05326634961232344e-1, 3.60344899949804439e-1, 1.25781726111229246e-1, 1.60837851487422766e-2, 6.58749161529837803e-4];
    private static readonly double[] LargeBottom = [1, 2.56852019228982242e0, 1.87295284992346725e0, 5.27905102951428412e-1, 6.05183413124413191e-2, 2.33520497626869185e-3];

    /// <summary>Φ: the chance of a value below <paramref name="z"/>.</summary>
    public static double Below(double z) => 0.5 * Erfc(-z * OneOverRootTwo);

    /// <summary>φ: the density at <paramref name="z"/>.</summary>
    public static double Density(double z) => OneOverRootTwoPi * Math.Exp(-0.5 * z * z);

    /// <summary>The density of N(<paramref name="mean"/>, <paramref name="variance"/>) at <paramref name="x"/>.</summary>
    public static double Density(double x, double mean, double variance) => Density((x - mean) / Math.Sqrt(variance)) / Math.Sqrt(variance);

    /// <summary>The complementary error function.</summary>
    public static double Erfc(double x)
    {
        var y = Math.Abs(x);
        if (y <= 0.46875)
        {
            var square = y * y;
            return 1 - x * Ratio(SmallTop, SmallBottom, square);
        }
        double tail;
        if (y <= 4) tail = Tail(y, Ratio(MiddleTop, MiddleBottom, y));
        else if (y < 26.5)
        {
            var inverse = 1 / (y * y);
            tail = Tail(y, (OneOverRootPi - inverse * Ratio(LargeTop, LargeBottom, inverse)) / y);
        }
        else tail = 0;
        return x < 0 ? 2 - tail : tail;
    }

    /// <summary>e^(−y²)·<paramref name="factor"/>, the square split so that no digits are lost.</summary>
    private static double Tail(double y, double factor)
    {
        var coarse = Math.Truncate(y * 16) / 16;
        return Math.Exp(-coarse * coarse) * Math.Exp(-(y - coarse) * (y + coarse)) * factor;
    }

    private static double Ratio(double[] top, double[] bottom, double x)
    {
        var (a, b) = (top[0], bottom[0]);
        for (var i = 1; i < top.Length; i++)
        {
            a = a * x + top[i];
            b = b * x + bottom[i];
        }
        return a / b;
    }
}
