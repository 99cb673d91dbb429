namespace ZeroDrift.Core.Wear;

/// <summary>
/// One engine's normal equations with its points eliminated, then its visits and slopes, so that only the shared unknowns are left; and the way
/// back. Equal to the dense solve to rounding: rows are never centred, the weighted means of each run's few columns are taken off instead.
/// </summary>
internal sealed class EngineElimination
{
    private const double LeastVariance = 1e-18;
    private readonly WearEngine engine;
    private readonly int own;
    private readonly int all;
    private readonly double[] right;
    private readonly Cholesky factor;

    /// <summary>L⁻¹ times the coupling of own with shared, column by column.</summary>
    private readonly double[][] coupled;
    private readonly double[] forward;

    private EngineElimination(WearEngine engine, double[] matrix, double[] right)
    {
        (this.engine, this.right) = (engine, right);
        (own, all) = (engine.OwnCount, engine.Count);
        factor = Cholesky.Of(matrix, own, all);
        var shared = all - own;
        coupled = new double[shared][];
        for (var k = 0; k < shared; k++)
        {
            var column = new double[own];
            for (var i = 0; i < own; i++) column[i] = matrix[i * all + own + k];
            factor.Forward(column);
            coupled[k] = column;
        }
        forward = right[..own];
        factor.Forward(forward);
        Information = new double[shared * shared];
        InformationRight = new double[shared];
        for (var a = 0; a < shared; a++)
        {
            for (var b = 0; b <= a; b++)
                Information[a * shared + b] = Information[b * shared + a] = matrix[(own + a) * all + own + b] - Dot(coupled[a], coupled[b]);
            InformationRight[a] = right[own + a] - Dot(coupled[a], forward);
        }
    }

    /// <summary>What this engine says of the shared unknowns it touches: a matrix and a right side.</summary>
    public double[] Information { get; }

    public double[] InformationRight { get; }

    /// <summary>Its unknowns: visits, slopes, shared.</summary>
    public double[] Values { get; private set; } = [];

    /// <summary>Their covariances.</summary>
    public double[] Covariance { get; private set; } = [];

    /// <summary>Builds and eliminates with the weights that the rows carry now.</summary>
    public static EngineElimination Of(WearEngine engine, WearComponents components)
    {
        var n = engine.Count;
        var matrix = new double[n * n];
        var right = new double[n];
        Span<int> columns = stackalloc int[5];
        Span<double> values = stackalloc double[5];
        foreach (var line in engine.Lines)
        {
            line.Diagonal = 1 / Math.Max(line.PriorVariance, LeastVariance);
            line.RightSide = line.PriorMean * line.Diagonal;
            if (line.Coupling.Length != n) line.Coupling = new double[n];
            else Array.Clear(line.Coupling);
            foreach (var run in line.Runs)
            {
                Means(line, run, n);
                if (run.Rows.Length < 2) continue;
                foreach (var row in run.Rows)
                {
                    var count = Filled(line, row, columns, values);
                    var (w, ahead) = (row.Weight, row.T - run.MeanT);
                    line.Diagonal += w * ahead * ahead;
                    line.RightSide += w * ahead * row.Y;
                    for (var i = 0; i < count; i++)
                    {
                        var (c, x) = (columns[i], values[i]);
                        line.Coupling[c] += w * ahead * x;
                        right[c] += w * x * row.Y;
                        for (var j = 0; j < count; j++) matrix[c * n + columns[j]] += w * x * values[j];
                    }
                }
                foreach (var a in run.Columns)
                {
                    right[a] -= run.Weight * run.Mean[a] * run.MeanY;
                    foreach (var b in run.Columns) matrix[a * n + b] -= run.Weight * run.Mean[a] * run.Mean[b];
                }
            }
            var u = line.Coupling;
            for (var a = 0; a < n; a++)
            {
                if (u[a] == 0) continue;
                right[a] -= u[a] * line.RightSide / line.Diagonal;
                for (var b = 0; b < n; b++) matrix[a * n + b] -= u[a] * u[b] / line.Diagonal;
            }
        }
        for (var v = 0; v < engine.Visits.Length; v++)
            matrix[v * n + v] += engine.Lambda[v] / Math.Max(components.VisitSdMm * components.VisitSdMm, LeastVariance);
        if (engine.Slopes)
        {
            for (var g = 0; g < engine.Groups.Length; g++)
            {
                var (at, psi) = (engine.Visits.Length + g, components.EngineTauMmPer1000h[engine.Groups[g]]);
                matrix[at * n + at] += 1 / Math.Max(psi * psi, LeastVariance);
            }
        }
        return new EngineElimination(engine, matrix, right);
    }

    /// <summary>Takes in the shared unknowns and their covariance (of all shared columns), and works out everything of this engine.</summary>
    public void Substitute(double[] shared, double[] sharedCovariance, int sharedCount)
    {
        var touched = all - own;
        var values = new double[all];
        var s = new double[all * all];
        var z = (double[])forward.Clone();
        for (var k = 0; k < touched; k++)
        {
            values[own + k] = shared[engine.Shared[k]];
            for (var i = 0; i < own; i++) z[i] -= coupled[k][i] * values[own + k];
            for (var j = 0; j < touched; j++) s[(own + k) * all + own + j] = sharedCovariance[engine.Shared[k] * sharedCount + engine.Shared[j]];
        }
        factor.Backward(z);
        z.CopyTo(values, 0);
        var solved = new double[touched][];
        for (var k = 0; k < touched; k++)
        {
            solved[k] = (double[])coupled[k].Clone();
            factor.Backward(solved[k]);
        }
        var inverse = factor.Inverse();
        for (var i = 0; i < own; i++)
        {
            for (var k = 0; k < touched; k++)
            {
                var sum = 0.0;
                for (var j = 0; j < touched; j++) sum -= solved[j][i] * s[(own + j) * all + own + k];
                s[i * all + own + k] = s[(own + k) * all + i] = sum;
            }
        }
        for (var i = 0; i < own; i++)
        {
            for (var j = 0; j <= i; j++)
            {
                var sum = inverse[i * own + j];
                for (var k = 0; k < touched; k++) sum -= solved[k][j] * s[i * all + own + k];
                s[i * all + j] = s[j * all + i] = sum;
            }
        }
        (Values, Covariance) = (values, s);
        foreach (var line in engine.Lines) Look(line);
    }

    /// <summary>A line's readings with all that is shared taken off: the group's and the engine's rate, bedding-in, the visit, the hand.</summary>
    /// <param name="line">The line.</param>
    /// <param name="weighed">With the weights of the last solve.</param>
    public IReadOnlyList<HistoryReading> HistoryOf(WearLine line, bool weighed = false)
    {
        var readings = new List<HistoryReading>();
        Span<int> columns = stackalloc int[5];
        Span<double> values = stackalloc double[5];
        for (var r = 0; r < line.Runs.Length; r++)
        {
            foreach (var row in line.Runs[r].Rows)
            {
                var z = row.Y;
                var count = Filled(line, row, columns, values);
                for (var i = 0; i < count; i++) z -= values[i] * Values[columns[i]];
                readings.Add(new HistoryReading(row.T, z, row.Variance / (weighed ? row.Omega : 1) + Covariance[row.VisitColumn * (all + 1)], r, row.MayBeFar));
            }
        }
        return readings;
    }

    private void Look(WearLine line)
    {
        var n = all;
        var (u, d, s) = (line.Coupling, line.Diagonal, Covariance);
        var spread = new double[n];
        for (var a = 0; a < n; a++) for (var b = 0; b < n; b++) spread[a] += s[a * n + b] * u[b];
        var uSu = Dot(u, spread);
        line.Own = (line.RightSide - Dot(u, Values)) / d;
        line.OwnVariance = 1 / d + uSu / (d * d);
        Span<int> columns = stackalloc int[5];
        Span<double> values = stackalloc double[5];
        var meanSpread = new double[n];
        foreach (var run in line.Runs)
        {
            Array.Clear(meanSpread);
            var (meanSquare, meanCoupled, meanFit) = (0.0, 0.0, 0.0);
            foreach (var c in run.Columns)
            {
                var mean = run.Mean[c];
                for (var a = 0; a < n; a++) meanSpread[a] += s[a * n + c] * mean;
                meanCoupled += mean * spread[c];
                meanFit += mean * Values[c];
            }
            foreach (var c in run.Columns) meanSquare += run.Mean[c] * meanSpread[c];
            foreach (var row in run.Rows)
            {
                var count = Filled(line, row, columns, values);
                var (square, cross, coupledHere, fit) = (0.0, 0.0, 0.0, 0.0);
                for (var i = 0; i < count; i++)
                {
                    var (c, x) = (columns[i], values[i]);
                    for (var j = 0; j < count; j++) square += x * values[j] * s[c * n + columns[j]];
                    cross += x * meanSpread[c];
                    coupledHere += x * spread[c];
                    fit += x * Values[c];
                }
                var ahead = row.T - run.MeanT;
                row.Residual = row.Y - run.MeanY - ahead * line.Own - fit + meanFit;
                row.Leverage = Math.Max(0, ahead * ahead / d + square - 2 * cross + meanSquare - 2 * ahead * (coupledHere - meanCoupled) / d + ahead * ahead * uSu / (d * d)) + 1 / run.Weight;
            }
        }
    }

    private static void Means(WearLine line, WearRun run, int n)
    {
        if (run.Mean.Length != n) run.Mean = new double[n];
        else Array.Clear(run.Mean);
        var (w, y, t, s) = (0.0, 0.0, 0.0, 0.0);
        foreach (var row in run.Rows)
        {
            w += row.Weight;
            y += row.Weight * row.Y;
            t += row.Weight * row.T;
            s += row.Weight * row.S;
            run.Mean[row.VisitColumn] += row.Weight;
            if (row.PersonColumn >= 0) run.Mean[row.PersonColumn] += row.Weight;
        }
        if (run.Columns.Length == 0)
            run.Columns = [.. run.Rows.SelectMany(r => new[] { r.VisitColumn, r.PersonColumn }).Append(line.SlopeColumn).Append(line.MeanColumn).Append(line.BeddingColumn).Where(c => c >= 0).Distinct()];
        for (var i = 0; i < n; i++) run.Mean[i] /= w;
        (run.Weight, run.MeanY, run.MeanT, run.MeanS) = (w, y / w, t / w, s / w);
        if (line.SlopeColumn >= 0) run.Mean[line.SlopeColumn] = run.MeanT;
        run.Mean[line.MeanColumn] = run.MeanT;
        if (line.BeddingColumn >= 0) run.Mean[line.BeddingColumn] = run.MeanS;
    }

    /// <summary>The few columns in which a row has something.</summary>
    private static int Filled(WearLine line, WearRow row, Span<int> columns, Span<double> values)
    {
        var count = 0;
        Put(row.VisitColumn, 1, columns, values, ref count);
        if (row.PersonColumn >= 0) Put(row.PersonColumn, 1, columns, values, ref count);
        if (line.SlopeColumn >= 0) Put(line.SlopeColumn, row.T, columns, values, ref count);
        Put(line.MeanColumn, row.T, columns, values, ref count);
        if (line.BeddingColumn >= 0) Put(line.BeddingColumn, row.S, columns, values, ref count);
        return count;

        static void Put(int column, double value, Span<int> columns, Span<double> values, ref int count) => (columns[count], values[count++]) = (column, value);
    }

    private static double Dot(double[] a, double[] b)
    {
        var sum = 0.0;
        for (var i = 0; i < a.Length; i++) sum += a[i] * b[i];
        return sum;
    }
}
