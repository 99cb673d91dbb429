namespace ZeroDrift.Core.Wear;

/// <summary>L·Lᵀ of a small positive definite matrix, row by row, in place: the blocks of the elimination are too small and too many for a library's objects.</summary>
internal sealed class Cholesky
{
    private readonly double[] l;
    private readonly int n;

    private Cholesky(double[] l, int n) => (this.l, this.n) = (l, n);

    /// <summary>Of the leading <paramref name="n"/> rows and columns of a matrix with rows of <paramref name="stride"/>.</summary>
    public static Cholesky Of(double[] matrix, int n, int stride)
    {
        var l = new double[n * n];
        for (var i = 0; i < n; i++)
        {
            for (var j = 0; j <= i; j++)
            {
                var sum = matrix[i * stride + j];
                for (var k = 0; k < j; k++) sum -= l[i * n + k] * l[j * n + k];
                if (i == j)
                {
                    if (!(sum > 0)) throw new BadInputException("readings", "These readings cannot be fitted together: the figures leave nothing to tell their effects apart.");
                    l[i * n + i] = Math.Sqrt(sum);
                }
                else l[i * n + j] = sum / l[j * n + j];
            }
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
            var sum = b[i];
            for (var k = i + 1; k < n; k++) sum -= l[k * n + i] * b[k];
            b[i] = sum / l[i * n + i];
        }
    }

    /// <summary>The inverse, full.</summary>
    public double[] Inverse()
    {
        var inverse = new double[n * n];
        var column = new double[n];
        for (var j = 0; j < n; j++)
        {
            Array.Clear(column);
            column[j] = 1;
            Forward(column);
            Backward(column);
            for (var i = 0; i < n; i++) inverse[i * n + j] = column[i];
        }
        return inverse;
    }
}
