using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Engines;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data;

/// <summary>Finds a site or a machine by its name, or makes it; part of the transaction under way.</summary>
public static class Places
{
    public static async Task<SiteRow> SiteAsync(ZeroDriftContext data, string name)
    {
        var key = NameKeys.Of(name);
        if (await data.Sites.FirstOrDefaultAsync(s => s.NameKey == key) is { } site)
        {
            site.ArchivedAt = null;
            return site;
        }
        site = new SiteRow { Id = Guid.CreateVersion7(), Name = name };
        data.Sites.Add(site);
        await data.SaveChangesAsync();
        return site;
    }

    /// <summary>A machine of its own for an engine that names none: of the engine's name, or the nearest free one.</summary>
    public static async Task<MachineRow> MachineFor(ZeroDriftContext data, string name, MachineKind kind, Guid siteId)
    {
        var free = name;
        for (var i = 2; ; i++)
        {
            var key = NameKeys.Of(free);
            if (await data.Machines.FirstOrDefaultAsync(m => m.NameKey == key) is not { } taken) break;
            // The same machine at the same place takes another engine.
            if (taken.Kind == kind && taken.SiteId == siteId && taken.ArchivedAt is null) return taken;
            free = $"{name} ({i})";
        }
        var machine = new MachineRow { Id = Guid.CreateVersion7(), Name = free, Kind = kind, SiteId = siteId };
        data.Machines.Add(machine);
        await data.SaveChangesAsync();
        return machine;
    }
}
