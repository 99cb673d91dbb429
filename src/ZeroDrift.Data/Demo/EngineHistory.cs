using System.Globalization;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Visits;

namespace ZeroDrift.Data.Demo;

/// <summary>Lives through five years of one engine: it runs, its meter is read, its valves wear, it is opened when the book or habit says so.</summary>
internal sealed class EngineHistory
{
    private const int MeterEveryDays = 14;

    private readonly DemoEngine demo;
    private readonly EngineTypeRow type;
    private readonly FleetRow fleet;
    private readonly IReadOnlyDictionary<string, Guid> people;
    private readonly EngineType core;
    private readonly StopPlan plan;
    private readonly WearSimulation wear;
    private readonly DateOnly today;
    private readonly DateOnly start;
    private readonly double[] total;
    private readonly Dictionary<Guid, WearingPoint> points = [];
    private readonly Dictionary<Guid, double> shims = [];
    private readonly IReadOnlyList<VisitStep> steps;
    private double meterOffset;

    public EngineHistory(DemoEngine demo, MachineRow machine, EngineTypeRow type, FleetRow fleet, IReadOnlyDictionary<string, Guid> people, WearSimulation wear, DateOnly today, int years)
    {
        (this.demo, this.type, this.fleet, this.people, this.wear, this.today) = (demo, type, fleet, people, wear, today);
        core = type.ToCore();
        plan = new StopPlan(core, type.Facts.Method);
        steps = Cautions.Steps(demo.Machine.Usual(), core, type.StepsOf(core), type.Kit());
        start = today.AddYears(-years);
        total = RunHours();
        // What is told to have happened before the history begins did not happen in it.
        this.demo = demo with { MeterReplacedDaysAgo = Within(demo.MeterReplacedDaysAgo), RebuiltDaysAgo = Within(demo.RebuiltDaysAgo), LastVisitDaysAgo = Within(demo.LastVisitDaysAgo) };
        Engine = new EngineRow
        {
            Id = DemoIds.For("engine/" + demo.Name),
            Name = demo.Name,
            MachineId = machine.Id,
            Machine = machine,
            SerialNumber = demo.SerialNumber,
            EngineTypeId = type.Id,
            DutyHoursPerDay = demo.HoursPerDay,
            StandbyGroupId = DemoWorks.Group(demo),
            MonthlyWeights = demo.Season?.ToList(),
        };
    }

    public EngineRow Engine { get; }

    /// <summary>Looks at the meter, in order.</summary>
    public List<MeterReadingRow> Meter { get; } = [];

    /// <summary>Every visit, with the revision it was judged by.</summary>
    public List<DemoVisit> Visits { get; } = [];

    /// <summary>True rates put in, mm per 1000 h, by point label.</summary>
    public Dictionary<string, double> TrueRates { get; } = [];

    public EngineHistory Live()
    {
        ReadMeter();
        NewParts(0);
        var visits = VisitDays();
        for (var i = 0; i < visits.Count; i++)
        {
            Visit(visits[i], JobKind.Overhead, i);
            if (demo.Failing is { } failing && i == visits.Count - 1 - failing.VisitsSince) BeginToFail(failing.Point, failing.Rate);
            if (demo.SlippedAfterLastVisit is { } slipped && i == visits.Count - 1) Slip(slipped);
        }
        if (demo.RebuiltDaysAgo is { } rebuilt) Build(Day(rebuilt));
        if (demo.SpotCheck is { } check) SpotCheck(check);
        if (demo.Waiting is { } waiting) MeasureForShims(waiting);
        if (demo.Open) OpenOverhead();
        return this;
    }

    private double[] RunHours()
    {
        var days = today.DayNumber - start.DayNumber + 1;
        var hours = new double[days];
        var sum = demo.StartHours;
        var week = 1.0;
        for (var i = 0; i < days; i++)
        {
            if (i % 7 == 0) week = wear.Between(0.8, 1.2);
            hours[i] = sum;
            sum += Math.Min(24, demo.HoursPerDay * week * (demo.Season?[start.AddDays(i).Month - 1] ?? 1));
        }
        return hours;
    }

    private int? Within(int? daysAgo) => daysAgo is { } ago && Day(ago) > 0 ? ago : null;

    private int Day(int daysAgo) => total.Length - 1 - daysAgo;

    private DateOnly Date(int day) => start.AddDays(day);

    private void ReadMeter()
    {
        var replaced = demo.MeterReplacedDaysAgo is { } ago ? Day(ago) : -1;
        for (var day = 0; day < total.Length; day++)
        {
            if (day == replaced)
            {
                Meter.Add(Look(day, total[day], 0, "Meter stopped counting; replaced."));
                meterOffset = total[day];
            }
            else if ((total.Length - 1 - day) % MeterEveryDays == 2 || day == 0)
            {
                Meter.Add(Look(day, total[day] - meterOffset, null, null));
            }
        }
    }

    private MeterReadingRow Look(int day, double shown, double? newMeterShows, string? remark) => new()
    {
        Id = DemoIds.For($"meter/{demo.Name}/{day}"),
        EngineId = Engine.Id,
        Date = Date(day),
        ShownHours = Math.Round(shown),
        NewMeterShows = newMeterShows,
        Who = "depot",
        Remark = remark,
    };

    private void NewParts(int day)
    {
        var specs = Gaps(type.InForce(Date(day))!);
        foreach (var point in type.Points.Where(p => specs.ContainsKey(p.Kind)))
        {
            if (type.Facts.ShimSizesMm is { } sizes) shims[point.Id] = sizes[(int)wear.Between(sizes.Count * 0.3, sizes.Count * 0.8)];
            // A small gap wears in proportion: a mower's 0.10 mm does not lose what a ship's 0.66 does.
            var spec = specs[point.Kind];
            var fresh = wear.NewPoint(point.Kind, spec, Math.Clamp((spec.Window.MaxMm - spec.Window.MinMm) / 0.1, 0.3, 1.4) * (type.Facts.BookHours is { } hours ? Math.Clamp(2000 / hours, 1, 1.5) : 1));
            if (demo.Fast is { } fast && fast.Point == point.Label) fresh = new WearingPoint(fresh.GapMm, fast.Rate);
            fresh.BeginAt(total[day]);
            points[point.Id] = fresh;
            TrueRates[point.Label] = fresh.TrueMmPer1000h;
        }
    }

    private List<int> VisitDays()
    {
        var days = new List<int> { 12 + (int)wear.Between(0, 40) };
        var stop = demo.LastVisitDaysAgo is { } ago ? Day(ago) : demo.RebuiltDaysAgo is { } rebuilt ? Day(rebuilt) - 90 : total.Length - 20;
        while (true)
        {
            var last = days[^1];
            var hours = (type.Facts.BookHours ?? 1000) * wear.Between(0.82, 1.0);
            var length = (type.Facts.BookMonths ?? 24) * 30.4 * wear.Between(0.88, 1.02);
            var next = last + 1;
            while (next < total.Length && total[next] - total[last] < hours && next - last < length) next++;
            if (next >= (demo.LastVisitDaysAgo is null ? stop : stop - 45)) break;
            days.Add(next);
        }
        if (demo.LastVisitDaysAgo is not null) days.Add(stop);
        return days;
    }

    private string Who(int day) => demo.Machine is MachineKind.Ferry or MachineKind.Boat or MachineKind.Generator or MachineKind.Pump
        ? (day / 97 % 2 == 0 ? "Marit" : "Olav")
        : (day / 97 % 2 == 0 ? "Tove" : "Olav");

    private Dictionary<LashKind, Demand.Gap> Gaps(SpecRevisionRow revision) =>
        DemandMapping.Demands(revision.Lines, fleet).Where(d => d.Value is Demand.Gap).ToDictionary(d => d.Key, d => (Demand.Gap)d.Value);

    private DemoVisit NewVisit(int day, JobKind job, double? temperatureC = null, TurningMethod? method = null)
    {
        var revision = type.InForce(Date(day))!;
        var thou = revision.Lines[0].Unit == "thou";
        var who = Who(day);
        var draft = new VisitDraft(DemoIds.For($"visit/{demo.Name}/{day}/{job}"), Engine.Id, people[who], new DateTimeOffset(Date(day).ToDateTime(new TimeOnly(7, 30)), TimeSpan.Zero), "tablet 1");
        var shown = Math.Round(total[day] - (demo.MeterReplacedDaysAgo is { } ago && day >= Day(ago) ? total[Day(ago)] : 0));
        draft.Open(job, Date(day), shown, System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName((method ?? type.Facts.Method).ToString()), thou ? Trays.Thou : Trays.Metric, thou ? "thou" : "mm", who + "'s set", method is null ? "stopFirst" : null);
        Tick(draft, StepList.MakeSafe, job);
        var visit = new DemoVisit(draft, revision, thou ? LengthUnit.Thou : LengthUnit.Millimetre);
        var temperature = temperatureC ?? Math.Round(wear.Between(9, 21));
        draft.Condition("cold", temperature, temperature > type.Facts.ColdMaxC);
        Tick(draft, StepList.Covers, job);
        Tick(draft, StepList.Stop, job);
        Visits.Add(visit);
        return visit;
    }

    private void Visit(int day, JobKind job, int number)
    {
        var warm = demo.WarmVisit == number;
        var visit = NewVisit(day, job, warm ? 48 : null);
        var gaps = Gaps(visit.Revision);
        AtEachStop(visit, point =>
        {
            if (!gaps.TryGetValue(point.Kind, out var gap))
            {
                ByAmount(visit, point);
                return;
            }
            var wearing = points[point.Id];
            wearing.RunTo(total[day]);
            var found = Measure(visit, point, "asFound", wearing.GapMm + (warm ? -0.035 : 0), 4);
            if (warm)
            {
                if (!gap.Window.Holds(found)) visit.Draft.Outcome(point.Label, "leftSo", "Warm: to be measured again cold.");
                return;
            }
            if (shims.TryGetValue(point.Id, out var fitted) && type.Facts.ShimSizesMm is { } sizes)
            {
                ChangeShim(visit, point, wearing, gap, fitted, sizes);
                return;
            }
            if (WillLast(found, gap)) return;
            TickAt(visit.Draft, point.Label, false);
            wearing.Set(wear.Landed(gap));
            visit.Draft.Outcome(point.Label, "set");
            TickAt(visit.Draft, point.Label, true);
            Measure(visit, point, "asLeft", wearing.GapMm, 6);
        });
        Sign(visit, warm ? "Engine was still warm: left out of the rates." : null);
    }

    private void Tick(VisitDraft draft, StepList list, JobKind job)
    {
        // Nothing came out that a shim fitted does not count itself.
        foreach (var step in steps.Where(s => s.List == list && s.Counts is null && s.IsAskedIn(job, VisitPlace.InMachine))) draft.Tick([step.Key]);
    }

    private void TickAt(VisitDraft draft, string point, bool afterFitting) =>
        draft.Tick(steps.Where(s => s.Point == point && s.AfterFitting == afterFitting).Select(s => s.Key));

    /// <summary>An injector or a lifter: how it stood, contact, the book's amount, and a second pass where the book asks one.</summary>
    private void ByAmount(DemoVisit visit, LashPointRow point)
    {
        var draft = visit.Draft;
        var line = visit.Revision.Lines.Find(l => l.Kind == point.Kind)!;
        draft.At = draft.At.AddMinutes(5);
        draft.Start(point.Label, point.Kind == LashKind.Injector ? "freewheels" : "rattles");
        var (amount, unit) = line.HeightMm is { } height ? (height, "mm") : line.TorqueNm is { } torque ? (torque, "Nm") : (line.Turns ?? type.Facts.TravelTurns!.Value * line.Fraction!.Value, "turns");
        var contact = point.Kind == LashKind.Injector ? "the roller just touches and can barely be turned" : "the pushrod turned between the fingers until it just drags";
        draft.ByTheBook(point.Label, amount.ToString("0.##", CultureInfo.InvariantCulture), unit, contact);
        if (type.Facts.SecondPassMinutes is { } wait) draft.ByTheBook(point.Label, amount.ToString("0.##", CultureInfo.InvariantCulture), unit, contact, 2, wait);
    }

    /// <summary>A shim of the series, if one brings it nearer its figure by half a step: read, changed, measured.</summary>
    private void ChangeShim(DemoVisit visit, LashPointRow point, WearingPoint wearing, Demand.Gap gap, double fitted, IReadOnlyList<double> sizes)
    {
        var draft = visit.Draft;
        draft.Shim(point.Label, "asFound", Thickness(fitted), "micrometer");
        var wanted = fitted + wearing.GapMm - gap.AimMm;
        var choice = sizes.MinBy(mm => Math.Abs(mm - wanted));
        if (WillLast(wearing.GapMm, gap) || Math.Abs(choice - fitted) < 0.01) return;
        TickAt(draft, point.Label, false);
        draft.FitShim(point.Label, Thickness(fitted), Thickness(choice));
        TickAt(draft, point.Label, true);
        draft.Shim(point.Label, "asLeft", Thickness(choice), "micrometer");
        wearing.Set(wearing.GapMm + fitted - choice);
        shims[point.Id] = choice;
        Measure(visit, point, "asLeft", wearing.GapMm, 9);
    }

    private static string Thickness(double mm) => mm.ToString("0.00", CultureInfo.InvariantCulture);

    private void AtEachStop(DemoVisit visit, Action<LashPointRow> work, Func<LashPointRow, bool>? which = null)
    {
        foreach (var stop in plan.Stops)
        {
            var here = type.Points.OrderBy(p => p.Order).Where(p => stop.Points.Contains(p.Label) && which?.Invoke(p) != false).ToList();
            if (here.Count == 0) continue;
            if (stop.CrankDeg is { } deg) visit.Draft.Prove(deg);
            foreach (var point in here)
            {
                if (stop.CrankDeg is null) visit.Draft.ProvePoints([point.Label]);
                work(point);
            }
        }
    }

    /// <summary>The depot's habit: what stands in the inner half of the window is left alone; nearer to a limit it would not last to the next visit.</summary>
    private static bool WillLast(double found, Demand.Gap gap)
    {
        var margin = (gap.Window.MaxMm - gap.Window.MinMm) / 4;
        return found >= Math.Min(gap.Window.MinMm + margin, gap.AimMm) && found <= Math.Max(gap.Window.MaxMm - margin, gap.AimMm);
    }

    private void Build(int day)
    {
        var visit = NewVisit(day, JobKind.Build);
        NewParts(day);
        AtEachStop(visit, point => Measure(visit, point, "asLeft", points[point.Id].GapMm, 5));
        Sign(visit, "Head off, new exhaust valves and seats, cam kept.");
    }

    private void SpotCheck(DemoSpotCheck check)
    {
        var day = Day(check.DaysAgo);
        var visit = NewVisit(day, JobKind.SpotCheck);
        var cylinder = type.Points.Single(p => p.Label == check.Point).Cylinder;
        AtEachStop(visit, point =>
        {
            points[point.Id].RunTo(total[day]);
            Measure(visit, point, "asFound", points[point.Id].GapMm, 4);
            if (point.Label == check.Point) visit.Draft.Outcome(point.Label, "leftSo", check.Why);
        }, point => Math.Abs(point.Cylinder - cylinder) <= 1);
        Sign(visit, check.Remark);
    }

    /// <summary>Everything measured, nothing changed yet: what is out waits for its shim.</summary>
    private void MeasureForShims(DemoWaiting waiting)
    {
        var day = Day(waiting.DaysAgo);
        var visit = NewVisit(day, JobKind.Overhead);
        var gaps = Gaps(visit.Revision);
        AtEachStop(visit, point =>
        {
            var wearing = points[point.Id];
            wearing.RunTo(total[day]);
            if (waiting.Moved.TryGetValue(point.Label, out var by)) wearing.Set(gaps[point.Kind].AimMm + by);
            if (!gaps[point.Kind].Window.Holds(Measure(visit, point, "asFound", wearing.GapMm, 4))) visit.Draft.Outcome(point.Label, "awaiting", "Shims to be decided for the whole engine.");
        });
        Sign(visit, "Measured; closed up again until the shims are here.");
    }

    private void OpenOverhead()
    {
        var visit = NewVisit(total.Length - 1, JobKind.Overhead, method: TurningMethod.TwoStop);
        var first = new StopPlan(core, TurningMethod.TwoStop).Stops[0];
        visit.Draft.Prove(first.CrankDeg!.Value);
        var atStop = type.Points.OrderBy(p => p.Cylinder).ThenBy(p => p.Order).Where(p => first.Points.Contains(p.Label)).ToList();
        foreach (var point in atStop.SkipLast(1))
        {
            points[point.Id].RunTo(total[^1]);
            Measure(visit, point, "asFound", points[point.Id].GapMm, 4);
        }
    }

    private void BeginToFail(string label, double mmPer1000h)
    {
        points[type.Points.Single(p => p.Label == label).Id].Fail(mmPer1000h);
        TrueRates[label] = mmPer1000h;
    }

    private void Slip(string label)
    {
        var point = points[type.Points.Single(p => p.Label == label).Id];
        point.Set(point.GapMm + 0.12);
    }

    /// <summary>Measures and keeps a figure.</summary>
    /// <returns>What it reads, mm.</returns>
    private double Measure(DemoVisit visit, LashPointRow point, string stage, double gapMm, int minutes)
    {
        var (draft, unit) = (visit.Draft, visit.Unit);
        var name = WrittenFigure.Name(unit);
        var step = unit == LengthUnit.Thou ? 0.0127 : 0.01;
        var felt = wear.Felt(gapMm, step);
        var reading = DemoIds.For($"reading/{draft.VisitId}/{point.Label}/{stage}");
        draft.At = draft.At.AddMinutes(minutes);
        var drags = wear.Between(0, 1) < 0.8;
        foreach (var (blades, feel) in Trays.Tries(felt, unit, drags)) draft.Try(reading, point.Label, stage, blades, name, feel);
        draft.Keep(reading, true);
        return Length.Parse(Text(felt, unit), unit).Millimetres;
    }

    private static string Text(double mm, LengthUnit unit) => unit == LengthUnit.Thou
        ? (Math.Round(mm / 0.0254 * 2) / 2).ToString("0.#", CultureInfo.InvariantCulture)
        : mm.ToString("0.00", CultureInfo.InvariantCulture);

    private void Sign(DemoVisit visit, string? remark)
    {
        Tick(visit.Draft, StepList.BeforeCloseUp, JobKind.Overhead);
        Tick(visit.Draft, StepList.CloseUp, JobKind.Overhead);
        visit.Draft.At = visit.Draft.At.AddMinutes(40);
        visit.Draft.Sign(remark);
    }
}

/// <summary>One visit of the demo.</summary>
internal sealed record DemoVisit(VisitDraft Draft, SpecRevisionRow Revision, LengthUnit Unit);
