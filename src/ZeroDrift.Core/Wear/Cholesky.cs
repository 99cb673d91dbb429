using System.Numerics;
using System.Runtime.InteropServices;

namespace ZeroDrift.Core.Wear;

/// <summary>
/// L·Lᵀ of a small positive definite matrix, in place: the blocks of the elimination are too small and too many for a library's objects. Whole rows are
/// taken off each other, so that processors do several numbers at once and every number is still summed in one order, the same on every machine.
/// </summary>
internal sealed class Cholesky
{
    private readonly double[] l;
    private readonly int n;

    private Cholesky(double[] l, int n) => (this.l, this.n) = (l, n);

    /// <summary>Of the leading <paramref name="n"/> rows and columns of a matrix with rows of <paramref name="stride"/>.</summary>
    public static Cholesky Of(double[] matrix, int n, int stride)
    {
        var l = new double[n * n];
        for (var i = 0; i < n; i++) matrix.AsSpan(i * stride, i + 1).CopyTo(l.AsSpan(i * n));
        var column = new double[n];
        for (var k = 0; k < n; k++)
        {
            var pivot = l[k * n + k];
            if (!(pivot > 0)) throw new BadInputException("readings", "These readings cannot be fitted together: the figures leave nothing to tell their effects apart.");
            var root = l[k * n + k] = Math.Sqrt(pivot);
            for (var i = k + 1; i < n; i++) column[i] = l[i * n + k] /= root;
            for (var i = k + 1; i < n; i++) TakeOff(l.AsSpan(i * n + k + 1, i - k), column.AsSpan(k + 1, i - k), column[i]);
        }
        return new Cholesky(l, n);
    }

    /// <summary>b becomes L⁻¹b.</summary>
    public void Forward(Span<double> b)
    {
        for (var i = 0; i < n; i++)
        {
            var sum = b[i];
            for (var k = 0; k < i; k++) sum -= l[i * n + k] * b[k];
            b[i] = sum / l[i * n + i];
        }
    }

    /// <summary>b becomes L⁻ᵀb.</summary>
    public void Backward(Span<double> b)
    {
        for (var i = n - 1; i >= 0; i--)
        {
            b[i] /= l[i * n + i];
            TakeOff(b[..i], l.AsSpan(i * n, i), b[i]);
        }
    }

    /// <summary>The inverse, full.</summary>
    public double[] Inverse()
    {
        // L⁻¹ row by row, then its rows' products with themselves.
        var lower = new double[n * n];
        for (var i = 0; i < n; i++)
        {
            var row = lower.AsSpan(i * n, i + 1);
            row[i] = 1;
            for (var k = 0; k < i; k++) TakeOff(row[..(k + 1)], lower.AsSpan(k * n, k + 1), l[i * n + k]);
            for (var k = 0; k <= i; k++) row[k] /= l[i * n + i];
        }
        var inverse = new double[n * n];
        for (var i = 0; i < n; i++)
            for (var a = 0; a <= i; a++) TakeOff(inverse.AsSpan(a * n, a + 1), lower.AsSpan(i * n, a + 1), -lower[i * n + a]);
        for (var a = 0; a < n; a++)
            for (var b = 0; b < a; b++) inverse[b * n + a] = inverse[a * n + b];
        return inverse;
    }

    /// <summary>from −= times × row.</summary>
    private static void TakeOff(Span<double> from, ReadOnlySpan<double> row, double times)
    {
        var whole = from.Length - from.Length % Vector<double>.Count;
        var to = MemoryMarshal.Cast<double, Vector<double>>(from[..whole]);
        var of = MemoryMarshal.Cast<double, Vector<double>>(row[..whole]);
        var factor = new Vector<double>(times);
        for (var i = 0; i < to.Length; i++) to[i] -= of[i] * factor;
        for (var i = whole; i < from.Length; i++) from[i] -= row[i] * times;
    }
}
