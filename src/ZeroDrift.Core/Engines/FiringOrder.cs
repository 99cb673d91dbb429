using System.Globalization;

namespace ZeroDrift.Core.Engines;

/// <summary>
/// The cylinders of an engine in the order they fire and the crank angle at which each does. 1 to 24 cylinders, numbered
/// 1 to N, each once. The first in the order fires at 0°.
/// </summary>
public sealed class FiringOrder
{
    /// <summary>The most cylinders an engine may have here.</summary>
    public const int MostCylinders = 24;

    private readonly double[] firingAngle;

    private FiringOrder(int[] cylinders, double[] anglesInOrder, EngineCycle cycle)
    {
        Cylinders = cylinders;
        Cycle = cycle;
        firingAngle = new double[cylinders.Length + 1];
        for (var i = 0; i < cylinders.Length; i++) firingAngle[cylinders[i]] = anglesInOrder[i];
    }

    /// <summary>Cylinder numbers in firing order.</summary>
    public IReadOnlyList<int> Cylinders { get; }

    /// <summary>Four-stroke or two-stroke.</summary>
    public EngineCycle Cycle { get; }

    /// <summary>Number of cylinders, 1 to 24.</summary>
    public int Count => Cylinders.Count;

    /// <summary>Where the cylinder is at TDC compression.</summary>
    public CrankAngle FiresAt(int cylinder) => CrankAngle.At(firingAngle[cylinder], Cycle);

    /// <summary>Whether a cylinder of this number exists.</summary>
    public bool Has(int cylinder) => cylinder >= 1 && cylinder <= Count;

    /// <summary>
    /// Checks and keeps a firing order. Without <paramref name="anglesDeg"/> the engine fires evenly, every cycle/N degrees.
    /// </summary>
    /// <exception cref="BadInputException">
    /// Field <c>firingOrder</c>: empty, more than 24, a repeated, missing or impossible cylinder.
    /// Field <c>firingAnglesDeg</c>: another count than the order, first not 0, not ascending, or not below the cycle.
    /// </exception>
    public static FiringOrder Of(IReadOnlyList<int>? cylinders, EngineCycle cycle, IReadOnlyList<double>? anglesDeg = null)
    {
        const string field = "firingOrder";
        if (cylinders is null || cylinders.Count == 0)
            throw new BadInputException(field, "Give the firing order, such as 1 3 4 2.");
        if (cylinders.Count > MostCylinders)
            throw new BadInputException(field, $"An engine has 1 to {MostCylinders} cylinders here; this order has {cylinders.Count}.");
        var seen = new HashSet<int>();
        foreach (var cylinder in cylinders)
        {
            if (cylinder < 1 || cylinder > cylinders.Count)
                throw new BadInputException(field, $"Cylinder {cylinder} cannot be in an order of {cylinders.Count}: number the cylinders 1 to {cylinders.Count}, each once.");
            if (!seen.Add(cylinder))
                throw new BadInputException(field, $"Cylinder {cylinder} stands twice in the firing order and {Enumerable.Range(1, cylinders.Count).First(c => !cylinders.Contains(c))} is missing; name each cylinder once.");
        }
        return new FiringOrder([.. cylinders], Angles(cylinders.Count, cycle.Degrees(), anglesDeg), cycle);
    }

    /// <summary>Reads "1-5-3-6-2-4", "1 5 3 6 2 4", "1,5,3,6,2,4", or up to nine cylinders without anything between them: "153624".</summary>
    /// <exception cref="BadInputException">Field <c>firingOrder</c>: not whole numbers, or not a firing order.</exception>
    public static FiringOrder Parse(string? text, EngineCycle cycle, IReadOnlyList<double>? anglesDeg = null)
    {
        var parts = (text ?? "").Split([' ', '-', ',', ';', '–'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        if (parts is [{ Length: > 1 and <= 9 } together] && together.All(char.IsAsciiDigit) && together.Order().Select((digit, i) => digit - '1' == i).All(isNext => isNext))
            parts = [.. together.Select(digit => digit.ToString())];
        var cylinders = new List<int>();
        foreach (var part in parts)
        {
            if (!int.TryParse(part, NumberStyles.None, CultureInfo.InvariantCulture, out var cylinder))
                throw new BadInputException("firingOrder", $"'{part}' is not a cylinder number; write the order like 1 5 3 6 2 4.");
            cylinders.Add(cylinder);
        }
        return Of(cylinders, cycle, anglesDeg);
    }

    private static double[] Angles(int count, double cycle, IReadOnlyList<double>? given)
    {
        const string field = "firingAnglesDeg";
        if (given is null || given.Count == 0) return [.. Enumerable.Range(0, count).Select(i => i * cycle / count)];
        if (given.Count != count)
            throw new BadInputException(field, $"Give one firing angle for each of the {count} cylinders, in firing order; {given.Count} were given.");
        for (var i = 0; i < count; i++)
        {
            if (!double.IsFinite(given[i]) || given[i] < 0 || given[i] >= cycle)
                throw new BadInputException($"{field}[{i}]", $"A firing angle must be from 0 to below {cycle}°; {Require.Text(given[i])} was given.");
            if (i == 0 && given[i] != 0)
                throw new BadInputException(field, "The first cylinder in the order fires at 0°: start the angles with 0.");
            if (i > 0 && given[i] <= given[i - 1])
                throw new BadInputException($"{field}[{i}]", $"Firing angles must ascend: {Require.Text(given[i])}° cannot follow {Require.Text(given[i - 1])}°.");
        }
        return [.. given];
    }

    /// <summary>The order as it is spoken: 1-5-3-6-2-4.</summary>
    public override string ToString() => string.Join('-', Cylinders);
}
