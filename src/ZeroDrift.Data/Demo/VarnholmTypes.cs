using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Demo;

/// <summary>The engine types of the invented Varnholm fleet. Every code, figure and interval is our own.</summary>
internal static class VarnholmTypes
{
    public static IReadOnlyList<EngineTypeRow> All(DateOnly today) => [.. Common(today), .. VarnholmOddTypes.All(today)];

    private static IReadOnlyList<EngineTypeRow> Common(DateOnly today) =>
    [
        Type("SL6-11", "Ferry main, straight six", "1-5-3-6-2-4", "1 2 3 4 5 6", "E I I E E I I E E I I E", AdjusterKind.ScrewAtValve, 1.0, 1.0, TurningMethod.TwoStop,
            (2000, 12, 250), 6, today, Window("mm", "0.15", "0.25", "0.20", "0.35", "0.45", "0.40")),
        Type("HV8-26", "Ferry main, V8 with bridges", "1-8-4-3-6-5-7-2", "1 3 5 7 / 2 4 6 8", "E I E I I E I E", AdjusterKind.BridgeScrew, 1.0, 1.0, TurningMethod.TwoStop,
            (2000, 14, 250), 9, today, Window("mm", "0.25", "0.36", "0.30", "0.58", "0.74", "0.66"), older: Window("mm", "0.25", "0.36", "0.30", "0.55", "0.70", "0.62"),
            barring: ("tool in the bell housing", 12, "anticlockwise seen from the flywheel"), with: t => t.Facts.PulleyMm = 560),
        Type("GL4-5", "Ship's generator, four", "1-3-4-2", "1 2 3 4", "E I I E E I I E", AdjusterKind.ScrewAtPushrod, 1.0, 1.4, TurningMethod.Book,
            (1500, 12, 200), 3, today, Single("mm", "0.20", "0.30"),
            with: t =>
            {
                // The book goes by valve number from the front, half a crank turn a stop, and begins with 4 on compression.
                for (var i = 0; i < t.Points.Count; i++) t.Points[i].BookName = (i + 1).ToString(System.Globalization.CultureInfo.InvariantCulture);
                t.BookStops = [Stop(360, "8", "6"), Stop(540, "4", "7"), Stop(0, "1", "3"), Stop(180, "5", "2")];
            }),
        Type("PB6-8", "Standby set, six with bridges", "1-5-3-6-2-4", "1 2 3 4 5 6", "I E I E I E I E I E I E", AdjusterKind.BridgeScrew, 1.25, 1.0, TurningMethod.TwoStop,
            (1000, 12, 150), 6, today, Window("thou", "10", "14", "12", "23", "29", "26")),
        Type("LB6-10", "Lorry, six with bridges", "1-4-2-6-3-5", "1 2 3 4 5 6", "I E I E I E I E I E I E", AdjusterKind.BridgeScrew, 1.25, 1.0, TurningMethod.TwoStop,
            (1500, 24, 300), 5, today, Window("mm", "0.25", "0.35", "0.30", "0.45", "0.55", "0.50"), with: t => t.Facts.ScrewFreeMm = 3.5),
        Type("LC4-4", "Lorry, four, overhead cam", "1-3-4-2", "1 2 3 4", "I E I E I E I E", AdjusterKind.FollowerScrew, 0.75, 1.3, TurningMethod.LobeAway,
            (1200, 18, 250), 4, today, Window("mm", "0.17", "0.25", "0.20", "0.27", "0.35", "0.30"),
            with: t => (t.Facts.Interference, t.Facts.Pins, t.Facts.DialConversion, t.Facts.DialContact) = (true, "the cam bar", 0.42, "on the follower, over its screw")),
        Type("TP3-3", "Tractor, three", "1-2-3", "1 2 3", "I E I E I E", AdjusterKind.ScrewAtPushrod, 1.0, 1.5, TurningMethod.ExhaustOpeningIntakeClosing,
            (800, 24, 100), 3, today, Single("mm", "0.30", "0.30"), with: t => t.Facts.Manner = SettingManner.BladeIn),
        Type("TP4-4", "Tractor, four", "1-3-4-2", "1 2 3 4", "E I I E E I I E", AdjusterKind.ScrewAtPushrod, 1.0, 1.5, TurningMethod.Rocking,
            (800, 24, 100), 3, today, Window("thou", "10", "14", "12", "14", "18", "16")),
        Type("MV2-07", "Verge mower, V twin", "1-2", "1 / 2", "I E", AdjusterKind.ScrewAtValve, 0.8, 1.0, TurningMethod.PerCylinder,
            (300, 12, 50), 2, today, Window("thou", "3", "6", "4", "5", "9", "6"), angles: [0, 270], with: t => (t.Facts.Spark, t.Facts.PulleyMm) = (true, 118)),
        Type("MS1-04", "Mower, single", "1", "1", "I E", AdjusterKind.ScrewAtValve, 0.8, 1.0, TurningMethod.PerCylinder,
            (200, 12, 25), 1, today, Window("mm", "0.08", "0.13", "0.10", "0.13", "0.18", "0.15"), with: t => (t.Facts.Spark, t.Facts.Judging) = (true, JudgingSchool.OneFigure)),
    ];

    internal static SpecLineRow[] Window(string unit, string inMin, string inMax, string inSet, string exMin, string exMax, string exSet) =>
    [
        new() { Kind = LashKind.Intake, Unit = unit, Min = inMin, Max = inMax, Set = inSet },
        new() { Kind = LashKind.Exhaust, Unit = unit, Min = exMin, Max = exMax, Set = exSet },
    ];

    private static SpecLineRow[] Single(string unit, string intake, string exhaust) =>
    [
        new() { Kind = LashKind.Intake, Unit = unit, Single = intake },
        new() { Kind = LashKind.Exhaust, Unit = unit, Single = exhaust },
    ];

    internal static EngineTypeRow Type(string code, string name, string order, string banks, string layout, AdjusterKind adjuster, double pitch, double ratio, TurningMethod method,
        (double Hours, int Months, double FirstCheck) book, double jobHours, DateOnly today, SpecLineRow[] lines, SpecLineRow[]? older = null, (string Tool, double Turns, string Rotation)? barring = null, List<double>? angles = null, Action<EngineTypeRow>? with = null, EngineCycle cycle = EngineCycle.FourStroke, BookLetters letters = BookLetters.IntakeExhaust)
    {
        var id = DemoIds.For("type/" + code);
        var points = HeadLayout.Parse(banks, layout, FiringOrder.Parse(order, cycle, angles), adjuster, letters: letters);
        var type = new EngineTypeRow
        {
            Id = id,
            Code = code,
            Name = name,
            Facts = new TypeFacts
            {
                Cycle = cycle,
                Letters = letters,
                FiringAnglesDeg = angles,
                Adjuster = adjuster,
                PitchMm = pitch,
                ClearancePerTravel = ratio,
                Method = method,
                BookHours = book.Hours,
                BookMonths = book.Months,
                FirstCheckHours = book.FirstCheck,
                BreakInHours = book.FirstCheck * 0.8,
                JobHours = jobHours,
            },
            FiringOrder = order,
            Banks = banks,
            Layout = layout,
            Points = [.. points.Select((p, i) => new LashPointRow { Id = DemoIds.For($"point/{code}/{p.Label}"), EngineTypeId = id, Label = p.Label, Cylinder = p.Cylinder, Kind = p.Kind, Place = p.Place, Adjuster = HeadLayout.For(p.Kind, adjuster), Bank = p.Bank, Along = p.Along, Order = i })],
            Revisions = [Revision(code, older is null ? "A" : "B", older ?? lines, today.AddYears(-9), $"{code} workshop manual")],
        };
        if (older is not null) type.Revisions.Add(Revision(code, "C", lines, today.AddMonths(-26), $"{code} service bulletin 14"));
        (type.Facts.BarringTool, type.Facts.ToolTurnsPerCrankTurn, type.Facts.Rotation) = barring ?? ("socket on the crank nut", 1, "clockwise seen from the front");
        with?.Invoke(type);
        return type;
    }

    internal static BookStopRow Stop(double crankDeg, params string[] points) => new() { CrankDeg = crankDeg, Points = [.. points] };

    private static SpecRevisionRow Revision(string code, string revision, SpecLineRow[] lines, DateOnly date, string source) =>
        new() { Id = DemoIds.For($"revision/{code}/{revision}"), EngineTypeId = DemoIds.For("type/" + code), Revision = revision, Date = date, Source = source, Lines = [.. lines] };
}
