using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Wear;

/// <summary>One visit's common shift.</summary>
/// <param name="Visit">The visit.</param>
/// <param name="ShiftMm">a: how much looser everything read, mm.</param>
/// <param name="StandardErrorMm">Its error.</param>
/// <param name="Odd">Further off than visits stray: ask whether it was warm, or other blades.</param>
public sealed record VisitShift(string Visit, double ShiftMm, double StandardErrorMm, bool Odd);

/// <summary>One engine of a fit, and what it says ahead.</summary>
public sealed partial class EngineWear
{
    private readonly WearEngine engine;
    private readonly EngineElimination solved;
    private readonly WearComponents components;
    private readonly Dictionary<WearLine, AheadKind[]> kinds;
    private readonly HashSet<WearLine> dated;

    internal EngineWear(WearEngine engine, EngineElimination solved, WearComponents components)
    {
        (this.engine, this.solved, this.components) = (engine, solved, components);
        Visits = [.. engine.Visits.Select((v, i) => Shift(v, i))];
        // Every forecast of a point rests on them: told once.
        kinds = engine.Lines.ToDictionary(l => l, Kinds);
        dated = [.. engine.Lines.Where(IsDated)];
        Points = [.. engine.Lines.Select(Point)];
        var drawn = engine.Lines.Where(IsDrawn).ToList();
        KnowsRates = drawn.Where(HasLevel).All(l => solved.Covariance[l.MeanColumn * (engine.Count + 1)] <= Square(WearFit.MeanPriorSd / 2));
        Now = Curve(drawn.Where(HasLevel), Present, default, true);
        Fresh = Curve(drawn, l => FreshlySet(l, SetMm(l)), new AheadQuadratic(Common, 0, 0, 0, 0, 0), false);
    }

    /// <summary>The engine.</summary>
    public string Id => engine.Id;

    /// <summary>Total hours today.</summary>
    public double NowHours => engine.NowHours;

    /// <summary>Its visits.</summary>
    public IReadOnlyList<VisitShift> Visits { get; }

    /// <summary>Its points.</summary>
    public IReadOnlyList<PointWear> Points { get; }

    /// <summary>R(D) as it stands.</summary>
    public RiskCurve Now { get; }

    /// <summary>R(D) with every point freshly at its set figure.</summary>
    public RiskCurve Fresh { get; }

    /// <summary>
    /// Whether readings have said anything of how fast its kinds wear: half of what was believed before the first is gone. Until then, after the only visit
    /// of a new type, a forecast is only the belief that valves may do anything; records foretell nothing from it.
    /// </summary>
    public bool KnowsRates { get; }

    /// <summary>Hours all its points were watched for, thousands: from each one's first reading to its last.</summary>
    public double ValveHours => engine.Lines.Where(l => l.Runs.Length > 0).Sum(l => l.Rows.Max(r => r.T) - l.Rows.Min(r => r.T));

    /// <summary>What is left of a point's room in the direction its group wears, mm, at least nothing; null where nothing gives a level or a window.</summary>
    public double? RoomMm(string point)
    {
        var line = engine.Lines.First(l => l.Point.Id == point);
        if (line.Point.Window is not { } window || Points.First(p => p.Id == point).LevelMm is not { } level) return null;
        return Math.Max(0, solved.Values[line.MeanColumn] < 0 ? level - window.MinMm : window.MaxMm - level);
    }

    /// <summary>Where a point heads as it stands; null where nothing gives a level or a window.</summary>
    public PointAhead? Ahead(string point) => Now.Points.FirstOrDefault(p => p.Id == point);

    /// <summary>Where a point would head from whatever figure it is left at; null without a window.</summary>
    public FreshAhead? FreshFrom(string point) => engine.Lines.FirstOrDefault(l => l.Point.Id == point && IsDrawn(l)) is { } line
        ? Ahead(line, FreshlySet(line, Clearance.Near(0)) with { StartVariance = 0 }, default, false).ToFresh()
        : null;

    /// <summary>R(D) with every point freshly left at a figure, landed on with uncertainty u; the set figure where none is named.</summary>
    public RiskCurve LeftAt(IReadOnlyDictionary<string, Clearance> figures, double uncertaintyMm) => Curve(
        engine.Lines.Where(IsDrawn),
        l => FreshlySet(l, figures.TryGetValue(l.Point.Id, out var mm) ? mm : SetMm(l)) with { StartVariance = uncertaintyMm * uncertaintyMm },
        default,
        false);

    /// <summary>Variance of a reading to come at a point beside what it stands at: a reading's own, a visit's and a hand's, mm².</summary>
    public double ReadingVarianceMm2 => Square(components.ReadingSdMm) + Common;

    /// <summary>Standard deviation of a shift that all readings of a visit today would have in common: what the forecasts share, a visit's and a hand's, mm.</summary>
    public double SharedSdMm => Math.Sqrt(Now.SharedVariance(0) + Common);

    private double Common => Square(components.VisitSdMm) + Square(components.PersonSdMm);

    private static bool HasLevel(WearLine line) => line.Runs.Length > 0 && line.Runs[^1].HasLevel && line.Runs[^1].Number >= (line.Point.PresentRun ?? int.MinValue);

    private static Clearance SetMm(WearLine line) => line.Point.FigureToSet!.Value;

    /// <summary>It has limits to reach, and enough is known to say when.</summary>
    private bool IsDrawn(WearLine line) => line.Point.Window is not null && dated.Contains(line);

    /// <summary>Something was found of it that tells: a figure, or two bounds nearer to each other than half its window; or its group is known.</summary>
    private bool IsDated(WearLine line)
    {
        var half = line.Point.Window is { } window ? (window.MaxMm - window.MinMm) / 2 : double.PositiveInfinity;
        if (line.Rows.Any(r => !r.AsLeft && (r.HasFigure || r.Upper - r.Lower < half - 1e-9))) return true;
        var rate = new double[engine.Count];
        Slope(line, rate, 1);
        return Math.Sqrt(Product(rate, rate)) <= Math.Max(Math.Abs(Fit(rate)) / 5, 0.003);
    }

    private VisitShift Shift(WearVisit visit, int i)
    {
        var (shift, variance) = (solved.Values[i], solved.Covariance[i * (engine.Count + 1)]);
        var strays = Square(components.VisitSdMm) - variance;
        return new VisitShift(visit.Id, shift, Math.Sqrt(variance), strays > 0 && Math.Abs(shift) > 3 * Math.Sqrt(strays));
    }

    /// <summary>A forecast's gradient: constant, per t, per ε, each over the engine's columns and the point's own rate, with where it starts.</summary>
    private sealed record Gradient(double StartMm, double StartVariance, double[] C, double[] T, double[] E, double OwnC);

    /// <summary>The same once the point's own rate is eliminated.</summary>
    private sealed record Basis(double[] C, double[] T, double[] E);

    private Gradient Present(WearLine line)
    {
        var run = line.Runs[^1];
        var (c, t, e) = (new double[engine.Count], new double[engine.Count], new double[engine.Count]);
        var now = (engine.NowHours - engine.FirstHours) / 1000;
        for (var i = 0; i < engine.Count; i++) c[i] = -run.Mean[i];
        Slope(line, c, now);
        Slope(line, t, 1);
        if (line.BeddingColumn >= 0 && run.SetHours is { } set)
        {
            c[line.BeddingColumn] += 1;
            e[line.BeddingColumn] = -Math.Exp(-(engine.NowHours - set) / WearLayoutBuilder.BeddingHours);
        }
        return new Gradient(run.MeanY, 1 / run.Weight, c, t, e, now - run.MeanT);
    }

    private Gradient FreshlySet(WearLine line, Clearance mm)
    {
        var (c, t, e) = (new double[engine.Count], new double[engine.Count], new double[engine.Count]);
        Slope(line, t, 1);
        if (line.BeddingColumn >= 0) (c[line.BeddingColumn], e[line.BeddingColumn]) = (1, -1);
        return new Gradient(mm, Square(components.ReadingSdMm), c, t, e, 0);
    }

    private static void Slope(WearLine line, double[] into, double value)
    {
        into[line.MeanColumn] += value;
        if (line.SlopeColumn >= 0) into[line.SlopeColumn] += value;
    }

    /// <summary>The gradient with the point's own rate eliminated.</summary>
    private static Basis Reduced(WearLine line, Gradient g)
    {
        var (c, t) = ((double[])g.C.Clone(), (double[])g.T.Clone());
        for (var i = 0; i < c.Length; i++)
        {
            c[i] -= g.OwnC * line.Coupling[i] / line.Diagonal;
            t[i] -= line.Coupling[i] / line.Diagonal;
        }
        return new Basis(c, t, g.E);
    }

    private PointAheadParts Ahead(WearLine line, Gradient g, AheadQuadratic more, bool fromItsLevel)
    {
        var basis = Reduced(line, g);
        var d = line.Diagonal;
        var variance = new AheadQuadratic(
            g.StartVariance + Product(basis.C, basis.C) + g.OwnC * g.OwnC / d,
            2 * (Product(basis.C, basis.T) + g.OwnC / d),
            2 * Product(basis.C, basis.E),
            Product(basis.T, basis.T) + 1 / d,
            2 * Product(basis.T, basis.E),
            Product(basis.E, basis.E)).Plus(more);
        var mean = (g.StartMm + Fit(g.C) + g.OwnC * line.Own, Fit(g.T) + line.Own, Fit(g.E));
        var kinds = KindsAhead(line);
        return new PointAheadParts(line, mean, variance, basis, fromItsLevel ? kinds : [.. kinds.Select(k => k with { LevelMm = 0, LevelVariance = 0, Covariance = 0 })]);
    }

    private sealed record PointAheadParts(WearLine Line, (double C, double T, double E) Mean, AheadQuadratic Variance, Basis Basis, AheadKind[] Kinds)
    {
        public double At0 => Mean.C + Mean.E;

        public double Variance0 => Variance.At(0, 1);

        public PointAhead ToAhead() => new(Line.Point.Id, Line.Point.Window!.Value, Mean, Variance, Kinds);

        public FreshAhead ToFresh()
        {
            var plain = new FreshAhead(Mean.C, Mean.T, Mean.E, Variance.C, Variance.T, Variance.E, Variance.TT, Variance.TE, Variance.EE);
            return Kinds is not [var usual, var fast, var changed] ? plain : plain with
            {
                FastProbability = fast.Share,
                OrdinaryShift = usual.Slope,
                OrdinaryVariance = usual.SlopeVariance,
                FastShift = fast.Slope,
                FastVariance = fast.SlopeVariance,
                ChangeProbability = changed.Share,
                ChangedShift = changed.Slope,
                ChangedVariance = changed.SlopeVariance,
            };
        }
    }

    private RiskCurve Curve(IEnumerable<WearLine> lines, Func<WearLine, Gradient> gradient, AheadQuadratic shared, bool fromItsLevel)
    {
        var parts = lines.Select(l => Ahead(l, gradient(l), shared, fromItsLevel)).ToArray();
        var n = parts.Length;
        if (n < 2) return new RiskCurve([.. parts.Select(p => p.ToAhead())], default);
        var (c, t, e) = (Total(parts, p => p.Basis.C), Total(parts, p => p.Basis.T), Total(parts, p => p.Basis.E));
        var pairs = Quadratic(c, t, e);
        foreach (var part in parts) pairs = pairs.Plus(Quadratic(part.Basis.C, part.Basis.T, part.Basis.E).Times(-1));
        return new RiskCurve([.. parts.Select(p => p.ToAhead())], pairs.Times(1.0 / (n * (n - 1))).Plus(shared));
    }

    private AheadQuadratic Quadratic(double[] c, double[] t, double[] e) =>
        new(Product(c, c), 2 * Product(c, t), 2 * Product(c, e), Product(t, t), 2 * Product(t, e), Product(e, e));

    private double[] Total(PointAheadParts[] parts, Func<PointAheadParts, double[]> of)
    {
        var sum = new double[engine.Count];
        foreach (var part in parts)
        {
            var one = of(part);
            for (var i = 0; i < sum.Length; i++) sum[i] += one[i];
        }
        return sum;
    }

    private double Fit(double[] gradient)
    {
        var sum = 0.0;
        for (var i = 0; i < gradient.Length; i++) sum += gradient[i] * solved.Values[i];
        return sum;
    }

    private double Product(double[] a, double[] b)
    {
        var n = engine.Count;
        var sum = 0.0;
        for (var i = 0; i < n; i++)
        {
            if (a[i] == 0) continue;
            var row = 0.0;
            for (var j = 0; j < n; j++) row += solved.Covariance[i * n + j] * b[j];
            sum += a[i] * row;
        }
        return sum;
    }

    private static double Square(double x) => x * x;
}
