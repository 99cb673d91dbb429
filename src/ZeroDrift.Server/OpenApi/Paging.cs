using ZeroDrift.Core;

namespace ZeroDrift.Server.OpenApi;

/// <summary>Which part of a long list is asked for.</summary>
internal static class Paging
{
    /// <summary>Skip and take, checked; everything where neither is given and no most is set.</summary>
    public static (int Skip, int Take) Of(int? skip, int? take, int most = int.MaxValue)
    {
        if (skip is < 0) throw new BadInputException("skip", "skip is 0 or more.");
        if (take is < 1 or > 10_000) throw new BadInputException("take", "take is from 1 to 10000.");
        return (skip ?? 0, take ?? most);
    }
}
