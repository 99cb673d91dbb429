using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Hours;

namespace ZeroDrift.Data.Outlooks;

/// <summary>When machines stand still.</summary>
public static class LaidUps
{
    /// <summary>The days of some machines, by machine.</summary>
    public static async Task<ILookup<Guid, Days>> OfAsync(ZeroDriftContext data, IEnumerable<Guid> machines)
    {
        var ids = machines.Distinct().ToList();
        return (await data.Away.AsNoTracking().Where(a => a.LaidUp && a.MachineId != null && ids.Contains(a.MachineId.Value)).ToListAsync()).ToLookup(a => a.MachineId!.Value, a => new Days(a.From, a.To));
    }
}
