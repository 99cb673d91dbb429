namespace ZeroDrift.Server.Hours;

/// <summary>One figure as a source gives it, before anybody believes it.</summary>
/// <param name="Machine">The machine as the source calls it.</param>
/// <param name="Date">The day; null where it gives none that can be read.</param>
/// <param name="Hours">What its meter shows; null where that cannot be read.</param>
/// <param name="Written">As it was written.</param>
/// <param name="Line">Where in the file, from 1.</param>
internal sealed record ReportedFigure(string Machine, DateOnly? Date, double? Hours, string Written, int Line)
{
    /// <summary>The document ends here, in the middle.</summary>
    public bool CutOff { get; init; }

    /// <summary>Set where the figure names its engine itself, as a round does.</summary>
    public Guid? EngineId { get; init; }

    /// <summary>Its identifier, where the device gave one.</summary>
    public Guid? Id { get; init; }
}
