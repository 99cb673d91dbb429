namespace ZeroDrift.Server.Hours;

/// <summary>One figure as a source gives it, before anybody believes it.</summary>
/// <param name="Machine">The machine as the source calls it.</param>
/// <param name="Date">The day; null where it gives none that can be read.</param>
/// <param name="Number">What its meter shows, where the source gives a number.</param>
/// <param name="Written">As it was written.</param>
/// <param name="Line">Where in the file, from 1.</param>
internal sealed record ReportedFigure(string Machine, DateOnly? Date, double? Number, string Written, int Line)
{
    /// <summary>What it can mean, where it was written: one figure, or two; none where it came as a number or cannot be read.</summary>
    public IReadOnlyList<double> Ways { get; init; } = [];

    /// <summary>What its meter shows; null where that cannot be read, or could be two figures.</summary>
    public double? Hours => Number ?? (Ways is [var sure] ? sure : null);

    /// <summary>The document ends here, in the middle.</summary>
    public bool CutOff { get; init; }

    /// <summary>Set where the figure names its engine itself, as a round does.</summary>
    public Guid? EngineId { get; init; }

    /// <summary>Its identifier, where the device gave one.</summary>
    public Guid? Id { get; init; }
}
