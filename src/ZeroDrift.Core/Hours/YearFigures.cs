namespace ZeroDrift.Core.Hours;

/// <summary>What a year, or any stretch of days, came to for one engine or for several together. Counted and measured, never estimated.</summary>
/// <param name="Overheads">Overheads signed.</param>
/// <param name="SpotChecks">Spot checks and receiving checks signed.</param>
/// <param name="Builds">Builds signed.</param>
/// <param name="Measured">Valves measured as found, each time it was.</param>
/// <param name="OutAsFound">Of these, out of their limits as found.</param>
/// <param name="Set">Valves that were set.</param>
/// <param name="HoursRun">Engine hours run, as far as the meter was read; null where no two readings tell.</param>
/// <param name="WorkedHours">Hours of work that were timed.</param>
/// <param name="Timed">How many openings were timed.</param>
/// <param name="Parts">Parts changed.</param>
/// <param name="Shims">Shims changed.</param>
/// <param name="BookOpenings">How often the book's interval would have had it opened.</param>
/// <param name="BookCosted">Of these, those of a type of which overheads were timed here.</param>
/// <param name="BookHours">What these would have cost, hours of work, by what overheads of their type took here in the mean; null where none was timed.</param>
public sealed record YearFigures(int Overheads, int SpotChecks, int Builds, int Measured, int OutAsFound, int Set, double? HoursRun, double WorkedHours, int Timed, int Parts, int Shims, int BookOpenings, int BookCosted, double? BookHours)
{
    /// <summary>Every opening.</summary>
    public int Openings => Overheads + SpotChecks + Builds;

    /// <summary>Several together; what is unknown of one is left out of the sum.</summary>
    public static YearFigures Sum(IEnumerable<YearFigures> figures) => figures.Aggregate(
        new YearFigures(0, 0, 0, 0, 0, 0, null, 0, 0, 0, 0, 0, 0, null),
        (a, b) => new YearFigures(a.Overheads + b.Overheads, a.SpotChecks + b.SpotChecks, a.Builds + b.Builds, a.Measured + b.Measured, a.OutAsFound + b.OutAsFound, a.Set + b.Set, Plus(a.HoursRun, b.HoursRun), a.WorkedHours + b.WorkedHours, a.Timed + b.Timed, a.Parts + b.Parts, a.Shims + b.Shims, a.BookOpenings + b.BookOpenings, a.BookCosted + b.BookCosted, Plus(a.BookHours, b.BookHours)));

    private static double? Plus(double? a, double? b) => a is null && b is null ? null : (a ?? 0) + (b ?? 0);
}
