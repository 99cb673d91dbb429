using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Server.Errors;

/// <summary>A name no other of its kind bears, however it is spelt. The unique index is the promise; this is the sentence before it.</summary>
internal static class FreeName
{
    /// <summary>Refuses a name that another row of the kind bears.</summary>
    /// <exception cref="ConflictException">It is taken.</exception>
    public static async Task RequireAsync<T>(ZeroDriftContext data, Guid id, string name, string sentence) where T : class, INamed
    {
        var key = NameKeys.Of(name);
        if (await data.Set<T>().AnyAsync(other => other.NameKey == key && other.Id != id)) throw new ConflictException("nameTaken", "name", sentence);
    }
}
