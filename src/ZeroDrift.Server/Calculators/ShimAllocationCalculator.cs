using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Judging;
using ZeroDrift.Planning.Shims;

namespace ZeroDrift.Server.Calculators;

/// <summary>gapMm, or a bracket as gapFromMm and gapToMm; targetMm left out is the middle of the window.</summary>
public sealed record ShimPointRequest(string? Id, double? FittedMm, double? GapMm, double? MinMm, double? MaxMm, double? TargetMm, double? ShimPerClearance)
{
    public double? GapFromMm { get; init; }
    public double? GapToMm { get; init; }
}

public sealed record LooseShimsRequest(double? SizeMm, int? Count);

public sealed record ShimPinRequest(string? Point, double? ShimMm);

public sealed record ShimAllocationRequest(ShimPolicy? Policy, IReadOnlyList<ShimPointRequest?>? Points, IReadOnlyList<LooseShimsRequest?>? Stock, IReadOnlyList<double>? BuyMm)
{
    public IReadOnlyList<ShimPinRequest?>? Pins { get; init; }
}

internal static class ShimAllocationCalculator
{
    private const int MostPoints = 64;

    public static ShimAllocation Allocate(ShimAllocationRequest request) => ShimAllocator.Allocate(new ShimRequest(
        request.Policy ?? throw new BadInputException("policy", "Say what may move: leaveGoodAlone, fewestBought or blueprint."),
        [.. Given.List(request.Points, "points", "the points to be shimmed", MostPoints).Select(Point)],
        [.. (request.Stock ?? []).Select((s, i) => new LooseShims(Given.Number(s?.SizeMm, $"stock[{i}].sizeMm", "the shim's thickness in mm"), s!.Count ?? throw new BadInputException($"stock[{i}].count", "Say how many there are.")))],
        request.BuyMm ?? [],
        [.. (request.Pins ?? []).Select((p, i) => new ShimPin(Given.Text(p?.Point, $"pins[{i}].point", "the point"), Given.Number(p!.ShimMm, $"pins[{i}].shimMm", "the thickness it gets, in mm")))]));

    private static ShimPoint Point(ShimPointRequest point, int i)
    {
        var window = Window.Of(
            Given.Clearance(point.MinMm, $"points[{i}].minMm", "The window's lower limit"),
            Given.Clearance(point.MaxMm, $"points[{i}].maxMm", "The window's upper limit"),
            $"points[{i}].maxMm");
        if (point.GapMm is not null && (point.GapFromMm is not null || point.GapToMm is not null))
            throw new BadInputException($"points[{i}].gapMm", "Give the gap as a figure or as a bracket, not both.");
        var (from, to) = point.GapFromMm is null && point.GapToMm is null
            ? (Gap(point.GapMm, i, "gapMm", "The gap found"), Gap(point.GapMm, i, "gapMm", "The gap found"))
            : (Gap(point.GapFromMm, i, "gapFromMm", "The bracket's lower end"), Gap(point.GapToMm, i, "gapToMm", "The bracket's upper end"));
        return new ShimPoint(
            Given.Text(point.Id, $"points[{i}].id", "a name for the point"),
            Given.Number(point.FittedMm, $"points[{i}].fittedMm", "the thickness of the shim fitted, in mm by micrometer"),
            from,
            to,
            window,
            point.TargetMm is null ? (window.MinMm + window.MaxMm) / 2 : Given.Clearance(point.TargetMm, $"points[{i}].targetMm", "The figure to set"),
            point.ShimPerClearance ?? 1);
    }

    private static double Gap(double? value, int i, string name, string what) => Given.Clearance(value, $"points[{i}].{name}", what);
}
