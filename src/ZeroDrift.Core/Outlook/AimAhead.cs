using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Outlook;

/// <summary>
/// The figure inside the window at which a drifting point lasts longest to its share of the engine's risk, and what that gives the engine. Offered,
/// never imposed: it is off the book's.
/// </summary>
/// <param name="AimMm">The figure, on hundredths of a millimetre.</param>
/// <param name="EngineGainHours">
/// Hours to the fleet's risk that the engine loses if this one is left at the book's figure and the others where they last longest. One valve alone
/// seldom moves an engine; each of two that press alike does.
/// </param>
public sealed record AimAhead(Clearance AimMm, double EngineGainHours)
{
    /// <summary>The aims of an engine, by point; only where the book's figure is not as good.</summary>
    /// <param name="engine">The engine's fit.</param>
    /// <param name="books">The book's figure of each point, by its name in the fit.</param>
    /// <param name="risk">The fleet's risk.</param>
    /// <param name="horizonHours">How far to look.</param>
    public static IReadOnlyDictionary<string, AimAhead> Of(EngineWear engine, IReadOnlyDictionary<string, Clearance> books, double risk, double horizonHours = HoursToRisk.DefaultHorizonHours)
    {
        var share = risk / Math.Max(1, books.Count);
        var aims = new Dictionary<string, Clearance>(StringComparer.Ordinal);
        foreach (var (point, book) in books)
            if (Best(engine, point, book, share, horizonHours) is { } aim && Math.Abs(aim - book) > 1e-9) aims[point] = aim;
        var all = Hours(aims);
        // Together they must not bring an engine to its risk that the book's figures would not.
        if (aims.Count == 0 || all <= 0) return new Dictionary<string, AimAhead>();
        return aims.ToDictionary(a => a.Key, a => new AimAhead(a.Value, all - Hours(aims.Where(o => o.Key != a.Key).Append(new(a.Key, books[a.Key])))), StringComparer.Ordinal);

        double Hours(IEnumerable<KeyValuePair<string, Clearance>> others)
        {
            var figures = new Dictionary<string, Clearance>(books, StringComparer.Ordinal);
            foreach (var (point, mm) in others) figures[point] = mm;
            return engine.LeftAt(figures, AimOff.LeastUncertaintyMm).HoursTo(risk, horizonHours) ?? horizonHours;
        }
    }

    private static Clearance? Best(EngineWear engine, string point, Clearance bookMm, double share, double horizonHours)
    {
        if (engine.Fresh.Points.FirstOrDefault(p => p.Id == point)?.Window is not { } window || engine.FreshFrom(point) is not { } fresh) return null;
        var book = Left(bookMm);
        var (best, most) = (bookMm, book.HoursTo(share, horizonHours) ?? horizonHours);
        var from = (int)Math.Ceiling(book.Window.MinMm * 100 - 1e-9);
        for (var hundredths = from; hundredths / 100.0 <= book.Window.MaxMm + 1e-9; hundredths++)
        {
            var aim = Clearance.Near(hundredths / 100.0);
            var hours = Left(aim).HoursTo(share, horizonHours) ?? horizonHours;
            if (hours <= 0) continue;
            if (hours - most > 1 || (hours - most > -1e-6 && Math.Abs(aim - bookMm) < Math.Abs(best - bookMm))) (best, most) = (aim, hours);
        }
        return best;

        PointAhead Left(Clearance mm) => fresh.LeftAt(point, window, mm, AimOff.LeastUncertaintyMm);
    }
}
