using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Server.Logbook;

/// <summary>One row of the file, understood.</summary>
internal sealed record LogbookRow
{
    public required int Line { get; init; }
    public required string Engine { get; init; }
    public required DateOnly Date { get; init; }
    public required double Hours { get; init; }
    public required int Cylinder { get; init; }
    public required LashKind Kind { get; init; }
    public string? Place { get; init; }

    /// <summary>The file writes an E and nothing that tells what it stands for: the engine's type must.</summary>
    public bool EUnclear { get; init; }
    public string? FoundWritten { get; init; }
    public Reading? Found { get; init; }
    public string? LeftWritten { get; init; }
    public Reading? Left { get; init; }
    public required string Unit { get; init; }
    public string? Who { get; init; }
    public string? Remark { get; init; }

    /// <summary>The engine and point, once they were found in the fleet.</summary>
    public EngineRow? EngineRow { get; init; }
    public LashPointRow? Point { get; init; }

    public string PointName => Point?.Label ?? $"{Cylinder} {Kind.Word()}{(Place is null ? "" : " " + Place)}";
}

/// <summary>A row that cannot be taken, and why.</summary>
public sealed record BadRow(int Line, string Column, string Message, string Text);

/// <summary>What a file was understood to say.</summary>
public sealed record LogbookReport
{
    public required string Separator { get; init; }
    public required string Decimal { get; init; }
    public required IReadOnlyList<string> Columns { get; init; }
    public required IReadOnlyList<string> IgnoredColumns { get; init; }
    public required int Rows { get; init; }
    public required int NewReadings { get; init; }
    public required int AlreadyThere { get; init; }
    public required int NewVisits { get; init; }
    public required IReadOnlyList<LogbookEngine> Engines { get; init; }
    public required IReadOnlyList<LogbookSample> FirstRows { get; init; }
    public required IReadOnlyList<BadRow> BadRows { get; init; }

    /// <summary>Engines the file names and the yard does not have, with the highest hours of each.</summary>
    public required IReadOnlyList<MissingEngine> MissingEngines { get; init; }
    /// <summary>An E of this file could be exhaust or intake: say which before any figure is stored.</summary>
    public required bool AsksLetters { get; init; }
    public required bool Saved { get; init; }
}

public sealed record MissingEngine(string Engine, int Rows, double Hours);

public sealed record LogbookEngine(string Engine, int Visits, int Rows, DateOnly First, DateOnly Last);

public sealed record LogbookSample(int Line, string Engine, DateOnly Date, double Hours, string Point, string? Found, double? FoundMm, string? Left, double? LeftMm, string Unit, string? Who, string? Remark);
