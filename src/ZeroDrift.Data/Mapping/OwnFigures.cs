using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Mapping;

/// <summary>Figures that an engine carries over its type's: the newest of a kind and condition stands.</summary>
public static class OwnFigures
{
    /// <summary>The lines of a revision, each replaced by the engine's own where it has one.</summary>
    public static IReadOnlyList<(SpecLineRow Line, EngineFigureRow? Own)> Over(SpecRevisionRow revision, IReadOnlyList<EngineFigureRow>? own)
    {
        var newest = (own ?? []).Where(f => f.WithdrawnAt is null && f.Condition == revision.Condition).GroupBy(f => f.Line.Kind).ToDictionary(g => g.Key, g => g.OrderBy(f => f.At).Last());
        return [
            .. revision.Lines.Select(l => newest.TryGetValue(l.Kind, out var mine) ? (mine.Line, (EngineFigureRow?)mine) : (l, null)),
            .. newest.Where(n => revision.Lines.TrueForAll(l => l.Kind != n.Key)).Select(n => (n.Value.Line, (EngineFigureRow?)n.Value)),
        ];
    }
}
