using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Shims;

namespace ZeroDrift.Planning.Shims.Bench;

/// <summary>
/// A whole engine on the bench, or several that share a drawer: which shim goes where, what is bought, and why each. Points that are not
/// measured, closed up or without a known shim keep theirs until they are.
/// </summary>
/// <param name="Rows">In the order asked.</param>
/// <param name="Allocation">Of the points that could be placed; null where none could.</param>
public sealed record ShimBench(IReadOnlyList<BenchRow> Rows, ShimAllocation? Allocation)
{
    /// <summary>Works it out.</summary>
    /// <param name="policy">What may move.</param>
    /// <param name="points">1 to 64.</param>
    /// <param name="stock">What lies in the drawers.</param>
    /// <param name="buyMm">Sizes that can be bought.</param>
    /// <param name="pins">Choices made by hand.</param>
    /// <param name="unit">What the sentences speak: the unit of the job.</param>
    /// <exception cref="Core.BadInputException">As of the allocation; a pin on a point that has no shim yet.</exception>
    public static ShimBench Of(ShimPolicy policy, IReadOnlyList<BenchPoint> points, IReadOnlyList<LooseShims> stock, IReadOnlyList<double> buyMm, IReadOnlyList<ShimPin> pins, LengthUnit unit = LengthUnit.Millimetre)
    {
        var placed = points.Where(p => p.Standing == BenchStanding.Placed).ToList();
        for (var i = 0; i < pins.Count; i++)
            if (points.FirstOrDefault(p => p.Id == pins[i].Point) is { } pinned && pinned.Standing != BenchStanding.Placed)
                throw new Core.BadInputException($"pins[{i}].point", $"{pinned.Id} cannot be chosen for yet: {Missing(pinned, unit)}");
        var allocation = placed.Count == 0 ? null : ShimAllocator.Allocate(new ShimRequest(policy, [.. placed.Select(p => p.ToAllocate())], stock, buyMm, pins));
        var got = allocation?.Points.ToDictionary(p => p.Id) ?? [];
        var loose = stock.Where(s => s.Count > 0).Select(s => s.SizeMm).ToList();
        var said = new BenchWords(policy, placed, loose, pins, got, unit);
        return new ShimBench([.. points.Select(Row)], allocation);

        BenchRow Row(BenchPoint point)
        {
            if (!got.TryGetValue(point.Id, out var shim))
                return new BenchRow(point, null, null, point.Standing == BenchStanding.ClosedUp ? Thinner(point, [.. loose, .. buyMm]) : null, Missing(point, unit), null, []);
            var (from, to) = point.Ends;
            var wanted = Advice.For(point.Adjuster, point.Demand!, point.Gap, new AdviceFacts { FittedShimMm = point.FittedMm, ToFigure = true }).Shim;
            List<double> atHand = [.. placed.Select(p => p.FittedMm!.Value), .. loose, .. buyMm];
            var nothing = shim.InWindow ? null : NothingFits.Of(point.Adjuster, point.Demand!, (from + to) / 2, point.FittedMm!.Value, shim.ShimMm, atHand, unit);
            return new BenchRow(point, shim, wanted, null, said.Why(point, shim), nothing, Options(point));
        }

        IReadOnlyList<BenchOption> Options(BenchPoint point)
        {
            var own = point.ToAllocate();
            double Key(double mm) => Math.Round(mm, 4);
            var sizes = placed.Select(p => p.FittedMm!.Value).Concat(loose).Concat(buyMm).Select(Key).Distinct();
            return
            [
                .. from mm in sizes
                   let predicted = own.Predicted(mm)
                   orderby Math.Round(Math.Abs(predicted - own.TargetMm), 6), mm
                   select new BenchOption(mm, predicted, own.Holds(mm), Key(own.FittedMm) == mm, [.. placed.Where(p => p.Id != point.Id && Key(p.FittedMm!.Value) == mm).Select(p => p.Id)],
                       stock.Where(s => Key(s.SizeMm) == mm).Sum(s => s.Count), buyMm.Any(b => Key(b) == mm)),
            ];
        }
    }

    private static double? Thinner(BenchPoint point, IReadOnlyList<double> sizes) => point.FittedMm is not { } fitted ? null
        : TrialShims.From(fitted, point.TargetMm, point.Adjuster.ShimPerClearance, sizes).Select(mm => (double?)mm).FirstOrDefault();

    private static string Missing(BenchPoint point, LengthUnit unit) => point.Standing switch
    {
        BenchStanding.NotJudged => "The book gives no gap for it.",
        BenchStanding.NotMeasured => "Measure its gap first.",
        BenchStanding.MeasureOn => "Only one end of its gap is known: measure on.",
        BenchStanding.ClosedUp when point.FittedMm is { } mm => $"Closed up: fit a thinner one than {SaidLength.Shim(mm, unit)} first, so that there is a gap to measure.",
        BenchStanding.ClosedUp => "Closed up: fit a thinner shim first, so that there is a gap to measure.",
        _ => "Nobody knows how thick its shim is: measure it before it is moved.",
    };
}
