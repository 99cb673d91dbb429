namespace ZeroDrift.Core.Visits;

/// <summary>Everything a visit was measured with, by name: the blade sets, and what was named beside them.</summary>
internal static class InstrumentNames
{
    public static IReadOnlyList<string> Of(IEnumerable<Entry> live) => [.. live.SelectMany(NamesOf).Distinct(StringComparer.Ordinal)];

    private static IEnumerable<string> NamesOf(Entry entry) => entry switch
    {
        Opened e => e.Instruments.Concat(Named(e.Tray?.SetId)),
        Chose e => Named(e.Tray?.SetId),
        Tried e => Named(e.BladeSet),
        _ => [],
    };

    private static IEnumerable<string> Named(string? name) => name is null ? [] : [name];
}
