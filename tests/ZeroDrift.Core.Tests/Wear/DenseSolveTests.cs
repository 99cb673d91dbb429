using MathNet.Numerics.LinearAlgebra;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Tests.Wear;

/// <summary>The elimination gives what a general library's dense solve gives.</summary>
public sealed class DenseSolveTests
{
    [Theory]
    [InlineData(1, 1, 1, 3, 0.003)]
    [InlineData(2, 3, 5, 5, 0.003)]
    [InlineData(3, 4, 6, 4, 0)]
    public void Points_engines_and_shared_unknowns_equal_the_dense_solve_to_rounding(int seed, int engines, int points, int visits, double psi)
    {
        var record = WearFleet.Of(seed, engines, points, visits).Record;
        var groups = record.Points.Select(p => p.Group).Distinct().Count();
        var components = new WearComponents { ReadingSdMm = 0.009, VisitSdMm = 0.005, PersonSdMm = 0.006, TauMmPer1000h = [.. Enumerable.Repeat(0.004, groups)], EngineTauMmPer1000h = [.. Enumerable.Repeat(psi, groups)] };

        var fit = WearFit.Of(record, new WearOptions(true, false, false) { Held = components });
        var dense = new Dense(record, components, psi);

        foreach (var group in fit.Groups)
        {
            Near(dense.Value("mu " + group.Group), group.MmPer1000h);
            Near(dense.Se("mu " + group.Group), group.StandardErrorMmPer1000h);
            Near(dense.Value("beta " + group.Group), group.BeddingMm);
        }
        foreach (var person in fit.People) Near(dense.Value("p " + person.Person), person.BiasMm);
        foreach (var visit in fit.Engines.SelectMany(e => e.Visits))
        {
            Near(dense.Value("a " + visit.Visit), visit.ShiftMm);
            Near(dense.Se("a " + visit.Visit), visit.StandardErrorMm);
        }
        foreach (var point in fit.Engines.SelectMany(e => e.Points))
        {
            var (rate, se) = dense.Rate(point.Id);
            Near(rate, point.MmPer1000h);
            Near(se, point.StandardErrorMmPer1000h);
        }
    }

    [Fact]
    public void An_engine_worked_out_again_alone_with_what_the_others_said_is_as_in_the_whole_fit()
    {
        var record = WearFleet.Of(7, 4, 6, 5).Record;
        var whole = WearFit.Of(record, new WearOptions(true, false, false) { Held = WearComponents.Start(2) });
        var own = new WearRecord(
            [.. record.Points.Where(p => p.Engine == "e2")],
            [.. record.Visits.Where(v => v.Engine == "e2")],
            [.. record.Readings.Where(r => r.Point.StartsWith("e2/", StringComparison.Ordinal))]);

        var alone = WearFit.One(own, whole.Shared.Without(whole.Said("e2")), whole.Components, new WearOptions(true, false, false));

        foreach (var (expected, actual) in whole.Engines[2].Points.Zip(alone.Engines[0].Points))
        {
            Near(expected.MmPer1000h, actual.MmPer1000h);
            Near(expected.LevelStandardErrorMm!.Value, actual.LevelStandardErrorMm!.Value);
        }
        Near(whole.Engines[2].Now.At(1500), alone.Engines[0].Now.At(1500));
    }

    [Fact]
    public void The_answer_does_not_depend_on_how_many_workers_share_it()
    {
        var record = WearFleet.Of(11, 12, 6, 5).Record;
        var first = WearFit.Of(record).Engines.SelectMany(e => e.Points).Select(p => p.MmPer1000h).ToList();
        for (var i = 0; i < 3; i++) Assert.Equal(first, WearFit.Of(record).Engines.SelectMany(e => e.Points).Select(p => p.MmPer1000h));
    }

    private static void Near(double expected, double actual) => Assert.Equal(expected, actual, 1e-9 * Math.Max(1, Math.Abs(expected)));

    /// <summary>The same model written out row by row, for a library to solve.</summary>
    private sealed class Dense
    {
        private readonly Dictionary<string, int> column = [];
        private readonly Matrix<double> covariance;
        private readonly Vector<double> values;
        private readonly WearRecord record;
        private readonly bool slopes;

        public Dense(WearRecord record, WearComponents c, double psi)
        {
            (this.record, slopes) = (record, psi > 0);
            var precision = new List<double>();
            void Add(string name, double sd)
            {
                if (column.TryAdd(name, precision.Count)) precision.Add(1 / (sd * sd));
            }
            foreach (var p in record.Points)
            {
                Add("b " + p.Id, c.TauMmPer1000h[0]);
                if (slopes) Add($"d {p.Engine} {p.Group}", psi);
                Add("mu " + p.Group, 0.05);
                Add("beta " + p.Group, 0.008);
            }
            foreach (var v in record.Visits)
            {
                Add("a " + v.Id, c.VisitSdMm);
                Add("p " + v.Person, c.PersonSdMm);
            }
            var n = precision.Count;
            var normal = Matrix<double>.Build.DenseOfDiagonalArray([.. precision]);
            var right = Vector<double>.Build.Dense(n);
            var visits = record.Visits.ToDictionary(v => v.Id);
            foreach (var run in record.Readings.GroupBy(r => (r.Point, r.Run)))
            {
                var point = record.Points.First(p => p.Id == run.Key.Point);
                var set = run.Where(r => r.AsLeft).Select(r => (double?)visits[r.Visit].Hours).Min();
                var rows = run.Select(r => Row(point, visits[r.Visit], set)).ToList();
                var weights = run.Select(r => 1 / (c.ReadingSdMm * c.ReadingSdMm + Math.Max(r.StandardUncertaintyMm * r.StandardUncertaintyMm - 0.005 * 0.005, 0))).ToList();
                var mean = rows.Zip(weights, (x, w) => x * w).Aggregate((a, b) => a + b) / weights.Sum();
                var level = run.Zip(weights, (r, w) => r.Mm!.Value * w).Sum() / weights.Sum();
                foreach (var (reading, (x, w)) in run.Zip(rows.Zip(weights)))
                {
                    normal += w * (x - mean).OuterProduct(x - mean);
                    right += w * (reading.Mm!.Value - level) * (x - mean);
                }
            }
            covariance = normal.Inverse();
            values = covariance * right;
        }

        public double Value(string name) => values[column[name]];

        public double Se(string name) => Math.Sqrt(covariance[column[name], column[name]]);

        public (double, double) Rate(string id)
        {
            var point = record.Points.First(p => p.Id == id);
            var x = Vector<double>.Build.Dense(values.Count);
            x[column["b " + id]] = 1;
            x[column["mu " + point.Group]] = 1;
            if (slopes) x[column[$"d {point.Engine} {point.Group}"]] = 1;
            return (x * values, Math.Sqrt(x * covariance * x));
        }

        private Vector<double> Row(WearPoint point, WearVisit visit, double? set)
        {
            var x = Vector<double>.Build.Dense(column.Count);
            var t = visit.Hours / 1000;
            x[column["b " + point.Id]] = t;
            x[column["mu " + point.Group]] = t;
            if (slopes) x[column[$"d {point.Engine} {point.Group}"]] = t;
            x[column["beta " + point.Group]] = set is { } s && visit.Hours > s ? 1 - Math.Exp(-(visit.Hours - s) / 150) : 0;
            x[column["a " + visit.Id]] = 1;
            x[column["p " + visit.Person]] = 1;
            return x;
        }
    }
}
