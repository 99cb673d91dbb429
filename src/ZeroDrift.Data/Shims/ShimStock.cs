using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Shims;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Shims;

/// <summary>So many shims of one sort and size in one drawer.</summary>
/// <param name="Drawer">Where.</param>
/// <param name="Sort">What they fit.</param>
/// <param name="SizeMm">Their thickness.</param>
/// <param name="Count">Above 0.</param>
/// <param name="KnownBy">How their thickness is known: the newest that came in.</param>
/// <param name="Written">As that was typed.</param>
/// <param name="Unit">In which unit.</param>
public sealed record ShimsHeld(Guid Drawer, ShimSort Sort, double SizeMm, int Count, ShimKnownBy KnownBy, string Written, string Unit);

/// <summary>What the drawers hold: the sum of the ledger.</summary>
public static class ShimStock
{
    /// <summary>Of these drawers, or of all; thinnest first.</summary>
    public static async Task<IReadOnlyList<ShimsHeld>> HeldAsync(ZeroDriftContext data, IReadOnlyList<Guid>? drawers = null)
    {
        var lines = await data.ShimMovements.AsNoTracking().Where(m => drawers == null || drawers.Contains(m.DrawerId)).OrderBy(m => m.Key).ToListAsync();
        return [.. from line in lines
                   group line by (line.DrawerId, Sort: new ShimSort(line.Access, line.DiameterMm), line.SizeMm) into size
                   let count = size.Sum(l => l.Change)
                   where count > 0
                   let newest = size.Where(l => l.Change > 0 || l.Counted > 0).Last()
                   orderby size.Key.SizeMm
                   select new ShimsHeld(size.Key.DrawerId, size.Key.Sort, size.Key.SizeMm, count, newest.KnownBy, newest.Written, newest.Unit)];
    }

    /// <summary>How many of one size a drawer holds.</summary>
    public static async Task<int> CountAsync(ZeroDriftContext data, Guid drawer, ShimSort sort, double sizeMm) => await Lines(data, drawer, sort, sizeMm).SumAsync(m => m.Change);

    /// <summary>Writes an act into the ledger.</summary>
    /// <param name="data">The file.</param>
    /// <param name="act">What is done.</param>
    /// <param name="sort">With what.</param>
    /// <param name="noted">Who, when, why, and as it was typed.</param>
    /// <param name="knownBy">How the thickness is known; null as it was known in the drawer, or printed.</param>
    /// <exception cref="Core.BadInputException">A figure that cannot be.</exception>
    /// <exception cref="NotThereException">More are taken than there are.</exception>
    public static async Task KeepAsync(ZeroDriftContext data, ShimAct act, ShimSort sort, ShimMovementRow noted, ShimKnownBy? knownBy)
    {
        var size = ShimLedger.Size(act.SizeMm);
        var known = knownBy ?? await Lines(data, act.Drawer, sort, size).Where(m => m.Change > 0 || m.Counted > 0).OrderByDescending(m => m.Key).Select(m => (ShimKnownBy?)m.KnownBy).FirstOrDefaultAsync() ?? ShimKnownBy.Printed;
        foreach (var line in ShimLedger.Lines(act, await CountAsync(data, act.Drawer, sort, size)))
        {
            var lapped = act.Kind == ShimMovementKind.Lapped && line.Change > 0;
            data.ShimMovements.Add(new ShimMovementRow
            {
                ActId = noted.ActId,
                DrawerId = line.Drawer,
                Kind = act.Kind,
                Access = sort.Access,
                DiameterMm = sort.DiameterMm,
                SizeMm = line.SizeMm,
                Change = line.Change,
                Counted = act.Kind == ShimMovementKind.Counted ? act.Count : null,
                KnownBy = lapped ? ShimKnownBy.Lapped : known,
                Written = lapped ? ShimLedger.Written(line.SizeMm) : noted.Written,
                Unit = lapped ? "mm" : noted.Unit,
                At = noted.At,
                Who = noted.Who,
                Why = noted.Why,
            });
        }
        await data.SaveChangesAsync();
    }

    private static IQueryable<ShimMovementRow> Lines(ZeroDriftContext data, Guid drawer, ShimSort sort, double sizeMm) =>
        data.ShimMovements.Where(m => m.DrawerId == drawer && m.Access == sort.Access && m.DiameterMm == sort.DiameterMm && m.SizeMm == sizeMm);
}
