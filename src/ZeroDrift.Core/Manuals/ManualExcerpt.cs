using System.Text.RegularExpressions;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Manuals;

/// <summary>One clearance of an excerpt.</summary>
public sealed record ExcerptClearance(LashKind Kind, BookClearance Clearance);

/// <summary>
/// What a pasted piece of a manual says of an engine: its firing order, its clearances and for what engine, which way it runs. What is not understood is
/// said, never guessed: a figure without intake or exhaust beside it, or without a word that it is a clearance, is passed over.
/// </summary>
public sealed partial class ManualExcerpt
{
    /// <summary>Longer pieces are refused.</summary>
    public const int MostLetters = 4000;

    private const string HotLeft = "The figures for a hot engine: add them to the type as a revision of their own.";

    private readonly List<ExcerptClearance> clearances = [];
    private readonly List<string> left = [];
    private SpecCondition? heading;
    private List<LashKind> columns = [];

    private ManualExcerpt()
    {
    }

    /// <summary>The firing order; null where none is named.</summary>
    public IReadOnlyList<int>? FiringOrder { get; private set; }

    /// <summary>The clearances, one a kind; cold ones where both are given.</summary>
    public IReadOnlyList<ExcerptClearance> Clearances => clearances;

    /// <summary>What the clearances are in.</summary>
    public LengthUnit? Unit { get; private set; }

    /// <summary>For a cold or a hot engine; null where it is not said.</summary>
    public SpecCondition? Condition { get; private set; }

    /// <summary>Which way it runs, only where way and end are both named.</summary>
    public CrankView? Runs { get; private set; }

    /// <summary>What was passed over, each with why.</summary>
    public IReadOnlyList<string> Left => left;

    /// <summary>Reads an excerpt.</summary>
    /// <exception cref="BadInputException">Field <c>text</c>: empty, too long, or nothing in it is understood.</exception>
    public static ManualExcerpt Read(string? text)
    {
        if (string.IsNullOrWhiteSpace(text)) throw new BadInputException("text", "Paste what the manual says, such as: Firing order 1-3-4-2. Intake 0.25 mm, exhaust 0.40 mm, cold.");
        if (text.Length > MostLetters) throw new BadInputException("text", $"Paste the part with the firing order and the clearances, at most {MostLetters} letters; this has {text.Length}.");
        var excerpt = new ManualExcerpt();
        foreach (var line in Sentences().Split(text).Select(l => l.Trim()).Where(l => l.Length > 0)) excerpt.Take(line);
        if (excerpt is { FiringOrder: null, Runs: null, clearances.Count: 0 })
            throw new BadInputException("text", "Nothing here is understood as a firing order or a clearance. Write it like: Firing order 1-3-4-2. Intake 0.25 mm, exhaust 0.40 mm, cold.");
        return excerpt;
    }

    private void Take(string line)
    {
        var said = ConditionOf(line);
        if (Order().Match(line) is { Success: true } order && Permutation(order.Groups["order"].Value) is { } cylinders)
        {
            FiringOrder ??= cylinders;
            line = line.Remove(order.Index, order.Length);
        }
        if (Running().IsMatch(line) && CrankView.Of(line) is { Assumed: false } view) Runs ??= view;
        var figures = BookClearance.Find(line).Where(f => IsClearance(f.Clearance)).ToList();
        var kinds = Kinds(line);
        if (figures.Count == 0)
        {
            if (kinds.Count > 1) columns = [.. kinds.Select(k => k.Kind)];
            heading = said ?? heading;
            return;
        }
        if (kinds.Count == 0 && columns.Count > 0) Columns(line, figures, said);
        else if (kinds.Count > 0) Beside(kinds, figures, said);
        else if (Lash().IsMatch(line)) Give([LashKind.Intake, LashKind.Exhaust], Best(figures.Select(f => f.Clearance)), said, line);
        else left.Add($"“{Short(line)}”: it does not say which valves the figure is for.");
    }

    /// <summary>Figures below a heading that names the valves.</summary>
    private void Columns(string line, List<(int At, BookClearance Clearance)> figures, SpecCondition? said)
    {
        // Millimetres and inches side by side are one clearance twice.
        var own = figures.Select(f => f.Clearance).ToList();
        if (own.Count == 2 * columns.Count) own = [.. own.Chunk(2).Select(Best)];
        if (own.Count != columns.Count)
        {
            left.Add($"“{Short(line)}”: {own.Count} figures stand under {columns.Count} headings.");
            return;
        }
        for (var i = 0; i < own.Count; i++) Give([columns[i]], own[i], said, line);
    }

    /// <summary>Figures beside the valves they are for: behind each, or where the line begins with one, before each.</summary>
    private void Beside(List<(int At, LashKind Kind)> kinds, List<(int At, BookClearance Clearance)> figures, SpecCondition? said)
    {
        var before = figures[0].At < kinds[0].At && figures.Count > 1;
        var waiting = new List<LashKind>();
        for (var i = 0; i < kinds.Count; i++)
        {
            var (from, to) = before
                ? (i == 0 ? 0 : kinds[i - 1].At, kinds[i].At)
                : (kinds[i].At, i + 1 < kinds.Count ? kinds[i + 1].At : int.MaxValue);
            waiting.Add(kinds[i].Kind);
            var own = figures.Where(f => f.At >= from && f.At < to).Select(f => f.Clearance).ToList();
            if (own.Count == 0) continue;
            Give([.. waiting], Best(own), said, own[0].ToString());
            waiting.Clear();
        }
        // "0.30 mm for intake and exhaust".
        if (waiting.Count == kinds.Count) Give([.. waiting], Best(figures.Select(f => f.Clearance)), said, "");
    }

    private void Give(IReadOnlyList<LashKind> kinds, BookClearance clearance, SpecCondition? said, string line)
    {
        var condition = said ?? heading;
        if (condition is { } known)
        {
            // Cold ones count where both are given, whichever stand first.
            if (Condition is { } before && before != known)
            {
                if (!left.Contains(HotLeft)) left.Add(HotLeft);
                if (known == SpecCondition.Hot) return;
                clearances.Clear();
                Unit = null;
            }
            Condition = known;
        }
        var unit = clearance.Unit ?? UnitOf(clearance);
        var figure = clearance.Unit is null && unit == LengthUnit.Thou && Value(clearance) < 1 ? BookClearance.Parse(clearance + " in", "text") : clearance;
        foreach (var kind in kinds.Distinct())
        {
            if (clearances.Exists(c => c.Kind == kind)) left.Add($"“{Short(line)}”: a second figure for {kind.Word()}.");
            else if (Unit is { } first && first != unit) left.Add($"“{Short(line)}”: the figures before it are in {WrittenFigure.Name(first)}; type this one.");
            else
            {
                Unit = unit;
                clearances.Add(new ExcerptClearance(kind, figure));
            }
        }
    }

    /// <summary>Millimetres where a clearance stands in both.</summary>
    private static BookClearance Best(IEnumerable<BookClearance> same)
    {
        var all = same.ToList();
        return all.Find(c => c.Unit == LengthUnit.Millimetre) ?? all[0];
    }

    /// <summary>Without a unit: under 0.03 it can only be inches, over 2.5 only thou. No clearance is set thinner than the thinnest blade of a set, 0.03 mm (common practice, no source).</summary>
    private static LengthUnit UnitOf(BookClearance clearance) => Value(clearance) is < 0.03 or > 2.5 ? LengthUnit.Thou : LengthUnit.Millimetre;

    private static double Value(BookClearance clearance) => (double)Length.Parse(clearance.Single ?? clearance.Min, LengthUnit.Millimetre).Figure;

    /// <summary>Hours, years and pages stand in manuals too: a whole number without a unit is a clearance only as thou.</summary>
    private static bool IsClearance(BookClearance clearance) => Value(clearance) is > 0 and < 100 && (clearance.Unit is not null || (clearance.Single ?? clearance.Min)!.IndexOfAny(['.', ',']) >= 0 || Value(clearance) >= 4);

    private static SpecCondition? ConditionOf(string line) => Cold().IsMatch(line) ? SpecCondition.Cold : Hot().IsMatch(line) ? SpecCondition.Hot : null;

    private static List<(int At, LashKind Kind)> Kinds(string line) =>
        [.. Valves().Matches(line).Select(m => (m.Index, m.Groups["intake"].Success ? LashKind.Intake : LashKind.Exhaust))];

    private static List<int>? Permutation(string written)
    {
        try
        {
            return [.. Engines.FiringOrder.Parse(written, EngineCycle.FourStroke).Cylinders];
        }
        catch (BadInputException)
        {
            return null;
        }
    }

    private static string Short(string line) => line.Length > 60 ? line[..60] + "…" : line;

    // A full stop ends a sentence only where no figure goes on behind it.
    [GeneratedRegex(@"[\r\n;]+|(?<=[^\d\s]{2})\.(?=\s|$)|(?<=\d)\.(?=\s+[A-Z]|\s*$)", RegexOptions.CultureInvariant, 1000)]
    private static partial Regex Sentences();

    [GeneratedRegex(@"(?:\b(?:firing|injection|fires|zündfolge|allumage)\b[^\d\r\n]{0,30}|^\s*)(?<order>\d{1,2}(?:\s*[-–,\s]\s*\d{1,2})+|\d{2,9})(?=[\s.,;)]|$)(?!\s*(?:mm|in\b|thou))", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, 1000)]
    private static partial Regex Order();

    [GeneratedRegex(@"\b(?<intake>intakes?|inlets?|einla(?:ss|ß)\w*|admission|(?<!\d\s?)(?-i:IN)(?=[\s:.=]))|\b(?<exhaust>exhausts?|outlets?|ausla(?:ss|ß)\w*|[ée]chappement|exh?(?=[\s:.=]))", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, 1000)]
    private static partial Regex Valves();

    [GeneratedRegex(@"rotat|turn|\bruns?\b|direction|drehrichtung", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, 1000)]
    private static partial Regex Running();

    [GeneratedRegex(@"clearance|lash|\bgap|ventilspiel|\bjeu\b", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, 1000)]
    private static partial Regex Lash();

    [GeneratedRegex(@"\bcold\b|\bkalt\w*|froid", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, 1000)]
    private static partial Regex Cold();

    [GeneratedRegex(@"\bhot\b|\bwarm\w*|\bheiß\w*|chaud", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, 1000)]
    private static partial Regex Hot();
}
