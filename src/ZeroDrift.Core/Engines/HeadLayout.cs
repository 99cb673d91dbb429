using System.Globalization;

namespace ZeroDrift.Core.Engines;

/// <summary>
/// Reads how lash points sit along the heads: "1 3 5 7 / 2 4 6 8" for the cylinders of each bank from the front, and
/// "E I I E E I I E" for the points along one bank (or one list a bank, parted by /). I intake, E exhaust, J injector, B engine brake; on heads
/// lettered in German E intake and A exhaust (<see cref="BookLetters"/>). Where cylinders differ (an engine brake on some of them) a | parts one
/// cylinder's points from the next: "I E | I E B".
/// </summary>
public static class HeadLayout
{
    private const int MostPointsPerCylinder = 6;

    /// <summary>Between two cylinders that have not the same points.</summary>
    private const char Parting = '|';

    /// <summary>The lash points, front to back, bank by bank. Without a | a bank's points are shared out evenly among its cylinders.</summary>
    /// <param name="banks">Cylinders of each bank.</param>
    /// <param name="layout">Letters along each bank.</param>
    /// <param name="order">The firing order.</param>
    /// <param name="adjuster">What sets the valves.</param>
    /// <param name="figures">What the adjusters are made of.</param>
    /// <param name="letters">The book's letters; null where the layout itself must tell.</param>
    /// <exception cref="BadInputException">Field <c>banks</c>: a cylinder missing, repeated or unknown. Field <c>layout</c>: another letter, or a number of points the cylinders cannot share. Field <c>letters</c>: an E could be either.</exception>
    public static IReadOnlyList<LashPoint> Parse(string? banks, string? layout, FiringOrder order, AdjusterKind adjuster, AdjusterFigures? figures = null, BookLetters? letters = null)
    {
        var heads = Banks(banks, order);
        var told = letters ?? Letters(layout, order.Cycle);
        var rows = (layout ?? "").Split('/', StringSplitOptions.TrimEntries);
        if (rows.Length != 1 && rows.Length != heads.Count)
            throw new BadInputException("layout", $"Give one list of points for all banks, or one for each of the {heads.Count}, parted by /.");
        var points = new List<LashPoint>();
        for (var bank = 0; bank < heads.Count; bank++)
            points.AddRange(Along(heads[bank], Shared(heads[bank], rows[rows.Length == 1 ? 0 : bank], told), bank, adjuster, figures ?? new AdjusterFigures(null), told));
        return points;
    }

    /// <summary>The letters a layout is written in.</summary>
    /// <exception cref="BadInputException">Field <c>letters</c>: its E could be either.</exception>
    public static BookLetters Letters(string? layout, EngineCycle cycle) => BookLetterNames.Told(layout ?? "", cycle, "layout") ?? throw new BadInputException("letters", BookLetterNames.Ask);

    /// <summary>How the points of such an engine often stand along a head, front to back, for choosing instead of typing; the book or a look under the cover decides. Common practice, no source.</summary>
    /// <exception cref="BadInputException">Field <c>banks</c>, as <see cref="Parse"/>.</exception>
    public static IReadOnlyList<string> Usual(string? banks, FiringOrder order)
    {
        var along = Banks(banks, order)[0].Count;
        if (order.Cycle == EngineCycle.TwoStroke) return [Each("E E"), Each("E J E")];
        return [.. new[] { Mirrored("E I", "I E"), Each("I E"), Each("E I"), Mirrored("I E", "E I"), Each("I I E E") }.Distinct()];

        string Each(string own) => string.Join(' ', Enumerable.Repeat(own, along));
        string Mirrored(string odd, string even) => string.Join(' ', Enumerable.Range(0, along).Select(i => i % 2 == 0 ? odd : even));
    }

    private static List<List<int>> Banks(string? text, FiringOrder order)
    {
        var banks = new List<List<int>>();
        var seen = new HashSet<int>();
        var source = string.IsNullOrWhiteSpace(text) ? string.Join(' ', order.Cylinders.Order()) : text;
        foreach (var bank in source.Split('/', StringSplitOptions.RemoveEmptyEntries))
        {
            var cylinders = new List<int>();
            foreach (var part in bank.Split([' ', ',', '-'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
            {
                if (!int.TryParse(part, NumberStyles.None, CultureInfo.InvariantCulture, out var cylinder) || !order.Has(cylinder))
                    throw new BadInputException("banks", $"'{part}' is not a cylinder of this engine; name 1 to {order.Count}, front first, banks parted by /.");
                if (!seen.Add(cylinder)) throw new BadInputException("banks", $"Cylinder {cylinder} stands twice; name each once, front first.");
                cylinders.Add(cylinder);
            }
            if (cylinders.Count > 0) banks.Add(cylinders);
        }
        if (seen.Count != order.Count)
            throw new BadInputException("banks", $"Cylinder {order.Cylinders.Order().First(c => !seen.Contains(c))} is missing; name all {order.Count}, front first.");
        return banks;
    }

    private static List<LashKind> Kinds(string row, BookLetters letters)
    {
        var kinds = new List<LashKind>();
        foreach (var letter in row.ToUpperInvariant())
        {
            if (letter is ' ' or ',' or '-') continue;
            kinds.Add(letters.KindOf(letter) ?? throw new BadInputException("layout",
                $"'{letter}' is not a lash point; write {letters.Letter(LashKind.Intake)} for intake, {letters.Letter(LashKind.Exhaust)} for exhaust, J for injector, B for engine brake."));
        }
        return kinds;
    }

    /// <summary>The kinds of each cylinder of a bank, front first.</summary>
    private static List<List<LashKind>> Shared(List<int> cylinders, string row, BookLetters letters)
    {
        if (row.Contains(Parting, StringComparison.Ordinal))
        {
            var each = row.Split(Parting).Select(part => Kinds(part, letters)).ToList();
            if (each.Count != cylinders.Count)
                throw new BadInputException("layout", $"{each.Count} cylinders stand between the bars, but this bank has {cylinders.Count}; part each from the next by |, front first.");
            if (each.Find(kinds => kinds.Count is < 1 or > MostPointsPerCylinder) is { } odd)
                throw new BadInputException("layout", $"{odd.Count} points stand for one cylinder; give 1 to {MostPointsPerCylinder} for each, front first.");
            return each;
        }
        var all = Kinds(row, letters);
        var share = all.Count / cylinders.Count;
        if (share < 1 || share > MostPointsPerCylinder || share * cylinders.Count != all.Count)
            throw new BadInputException("layout", $"{all.Count} points cannot be shared out evenly among {cylinders.Count} cylinders; give 1 to {MostPointsPerCylinder} for each, front first, or part the cylinders by | where they differ.");
        return [.. all.Chunk(share).Select(chunk => chunk.ToList())];
    }

    private static IEnumerable<LashPoint> Along(List<int> cylinders, List<List<LashKind>> kinds, int bank, AdjusterKind adjuster, AdjusterFigures figures, BookLetters letters)
    {
        var along = 0;
        foreach (var (cylinder, own) in cylinders.Zip(kinds))
        {
            for (var i = 0; i < own.Count; i++)
            {
                var kind = own[i];
                var twins = own.Count(k => k == kind);
                var before = own.Take(i).Count(k => k == kind);
                var place = twins == 1 ? null : twins == 2 ? (before == 0 ? "front" : "rear") : (before + 1).ToString(CultureInfo.InvariantCulture);
                var label = $"{cylinder}{letters.Letter(kind)}{(place is null ? "" : " " + place)}";
                var set = For(kind, adjuster);
                yield return new LashPoint(label, cylinder, kind, place, set.With(figures), bank, along++, set == AdjusterKind.BridgeScrew ? new Bridge(false) : null);
            }
        }
    }

    /// <summary>The adjuster of one kind of point on a head whose valves have <paramref name="valves"/>: injectors and brakes have screws of their own.</summary>
    public static AdjusterKind For(LashKind kind, AdjusterKind valves) => kind switch
    {
        LashKind.Injector => AdjusterKind.InjectorScrew,
        LashKind.EngineBrake => AdjusterKind.BrakeScrew,
        _ => valves,
    };
}
