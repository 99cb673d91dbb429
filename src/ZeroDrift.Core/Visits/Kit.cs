using System.Globalization;
using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Visits;

/// <summary>What a line of the kit list is about.</summary>
public enum KitSort
{
    /// <summary>Measured with.</summary>
    Measuring,

    /// <summary>There may be one of it in the whole fleet.</summary>
    Scarce,

    /// <summary>Spanners, keys and drivers by size.</summary>
    Tool,

    /// <summary>Gaskets and seals.</summary>
    Gasket,

    /// <summary>Shims, pucks, small parts.</summary>
    Part,
}

/// <summary>One line of the kit list.</summary>
public sealed record KitLine(KitSort Sort, string Text);

/// <summary>What a type's book says of the things the job takes.</summary>
public sealed record KitFacts
{
    /// <summary>Fasteners with their tools.</summary>
    public IReadOnlyList<Fastener> Fasteners { get; init; } = [];

    /// <summary>Gaskets and seals.</summary>
    public IReadOnlyList<Gasket> Gaskets { get; init; } = [];

    /// <summary>Tools there are few of.</summary>
    public IReadOnlyList<string> ScarceTools { get; init; } = [];

    /// <summary>How it is barred.</summary>
    public string? BarringTool { get; init; }

    /// <summary>Lock pins or cam bars.</summary>
    public string? Pins { get; init; }

    /// <summary>Its bridges leave room for a narrow blade only.</summary>
    public bool NarrowBlade { get; init; }

    /// <summary>A dial on the rocker is its way of measuring.</summary>
    public bool Dial { get; init; }

    /// <summary>A spark engine.</summary>
    public bool Spark { get; init; }
}

/// <summary>The kit list before the trip: what must be in the car, summed. Common practice where the book is silent.</summary>
public static class Kit
{
    /// <summary>The list of a type.</summary>
    public static IReadOnlyList<KitLine> Of(EngineType type, KitFacts facts) => [.. Lines(type, facts)];

    private static IEnumerable<KitLine> Lines(EngineType type, KitFacts facts)
    {
        var access = type.Points.Select(p => p.Adjuster).OfType<Adjuster.Shim>().Select(s => s.Access).Distinct().ToList();
        if (type.Points.Any(p => p.Adjuster is not (Adjuster.Hydraulic or Adjuster.InjectorScrew)))
            yield return new KitLine(KitSort.Measuring, facts.NarrowBlade && type.Points.Any(p => p.Bridge is not null) ? "Feeler blades, narrow ones for the bridges" : "Feeler blades");
        if (facts.Dial) yield return new KitLine(KitSort.Measuring, "Dial indicator and its stand");
        if (access.Count > 0) yield return new KitLine(KitSort.Measuring, "Micrometer for the shims");
        foreach (var tool in facts.ScarceTools) yield return new KitLine(KitSort.Scarce, Begun(tool));
        if (access.Contains(ShimAccess.OnTop)) yield return new KitLine(KitSort.Scarce, "Depressor tool, magnet to lift the shims");
        if (access.Contains(ShimAccess.UnderBucket)) yield return new KitLine(KitSort.Scarce, "Camshaft tools; a tray that keeps caps and buckets in order");
        if (access.Contains(ShimAccess.Puck)) yield return new KitLine(KitSort.Scarce, "Mirror to see each puck seated; a tray in valve order");
        if (facts.Pins is { } pins) yield return new KitLine(KitSort.Scarce, Begun(pins));
        if (facts.BarringTool is { } bar) yield return new KitLine(KitSort.Tool, "To bar it: " + bar);
        foreach (var size in facts.Fasteners.Where(f => f.Size is not null).GroupBy(f => f.Size!, StringComparer.OrdinalIgnoreCase).OrderBy(g => g.Key, StringComparer.OrdinalIgnoreCase))
            yield return new KitLine(KitSort.Tool, $"{size.Key}: {string.Join(", ", size.Select(f => f.Use))}");
        if (facts.Fasteners.Where(f => f.TorqueNm is not null).ToList() is { Count: > 0 } torques)
            yield return new KitLine(KitSort.Tool, $"Torque wrench for {string.Join(", ", torques.Select(f => f.Said))}");
        foreach (var gasket in facts.Gaskets)
            yield return new KitLine(KitSort.Gasket, $"{gasket.Count.ToString(CultureInfo.InvariantCulture)} × {gasket.Name}{(gasket.SingleUse ? ": new every time" : ": used again if whole; one in reserve")}");
        if (access.Count > 0) yield return new KitLine(KitSort.Part, access.Contains(ShimAccess.Puck) ? "The pucks this engine is likely to want" : "The shims this engine is likely to want");
        if (facts.Spark) yield return new KitLine(KitSort.Tool, "Plug spanner");
    }

    private static string Begun(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
