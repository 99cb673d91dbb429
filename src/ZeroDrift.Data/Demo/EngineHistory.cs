using System.Globalization;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Overheads;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Demo;

/// <summary>Lives through five years of one engine: it runs, its meter is read, its valves wear, it is opened when the book or habit says so.</summary>
internal sealed class EngineHistory
{
    private const int Years = 5;
    private const int MeterEveryDays = 14;

    private readonly DemoEngine demo;
    private readonly EngineTypeRow type;
    private readonly FleetRow fleet;
    private readonly WearSimulation wear;
    private readonly DateOnly today;
    private readonly DateOnly start;
    private readonly double[] total;
    private readonly Dictionary<Guid, WearingPoint> points = [];
    private double meterOffset;

    public EngineHistory(DemoEngine demo, EngineTypeRow type, FleetRow fleet, WearSimulation wear, DateOnly today)
    {
        (this.demo, this.type, this.fleet, this.wear, this.today) = (demo, type, fleet, wear, today);
        start = today.AddYears(-Years);
        total = RunHours();
        Engine = new EngineRow
        {
            Id = DemoIds.For("engine/" + demo.Name),
            Name = demo.Name,
            Machine = demo.Machine,
            Site = demo.Site,
            EngineTypeId = type.Id,
            DutyHoursPerDay = demo.HoursPerDay,
            MonthlyWeights = demo.Season?.ToList(),
        };
    }

    public EngineRow Engine { get; }

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
            if (demo.SlippedAfterLastVisit is { } slipped && i == visits.Count - 1) Slip(slipped);
        }
        if (demo.RebuiltDaysAgo is { } rebuilt) Build(Day(rebuilt));
        if (demo.SpotCheck is { } check) SpotCheck(check);
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

    private int Day(int daysAgo) => total.Length - 1 - daysAgo;

    private DateOnly Date(int day) => start.AddDays(day);

    private void ReadMeter()
    {
        var replaced = demo.MeterReplacedDaysAgo is { } ago ? Day(ago) : -1;
        for (var day = 0; day < total.Length; day++)
        {
            if (day == replaced)
            {
                Engine.MeterReadings.Add(Meter(day, total[day], 0, "Meter stopped counting; replaced."));
                meterOffset = total[day];
            }
            else if ((total.Length - 1 - day) % MeterEveryDays == 2 || day == 0)
            {
                Engine.MeterReadings.Add(Meter(day, total[day] - meterOffset, null, null));
            }
        }
    }

    private MeterReadingRow Meter(int day, double shown, double? newMeterShows, string? remark) => new()
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
        var specs = TypeMapping.Specs(type.InForce(Date(day))!.Lines, fleet);
        foreach (var point in type.Points)
        {
            // A small gap wears in proportion: a mower's 0.10 mm does not lose what a ship's 0.66 does.
            var spec = specs[point.Kind];
            var fresh = wear.NewPoint(point.Kind, spec, Math.Clamp((spec.Window.MaxMm - spec.Window.MinMm) / 0.1, 0.3, 1.4) * (type.BookHours is { } hours ? Math.Clamp(2000 / hours, 1, 1.5) : 1));
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
            var hours = (type.BookHours ?? 1000) * wear.Between(0.82, 1.0);
            var length = (type.BookMonths ?? 24) * 30.4 * wear.Between(0.88, 1.02);
            var next = last + 1;
            while (next < total.Length && total[next] - total[last] < hours && next - last < length) next++;
            if (next >= (demo.LastVisitDaysAgo is null ? stop : stop - 45)) break;
            days.Add(next);
        }
        if (demo.LastVisitDaysAgo is not null) days.Add(stop);
        return days;
    }

    private string Who(int day) => Engine.Machine is MachineKind.Ferry or MachineKind.Generator
        ? (day / 97 % 2 == 0 ? "Marit" : "Olav")
        : (day / 97 % 2 == 0 ? "Tove" : "Olav");

    private OverheadRow NewVisit(int day, JobKind job)
    {
        var revision = type.InForce(Date(day))!;
        var thou = revision.Lines[0].Unit == "thou";
        var started = Date(day).ToDateTime(new TimeOnly(7, 30), DateTimeKind.Utc);
        var visit = new OverheadRow
        {
            Id = DemoIds.For($"visit/{demo.Name}/{day}/{job}"),
            EngineId = Engine.Id,
            Job = job,
            Date = Date(day),
            TotalHours = Math.Round(total[day]),
            ShownHours = Math.Round(total[day] - (demo.MeterReplacedDaysAgo is { } ago && day >= Day(ago) ? total[Day(ago)] : 0)),
            SpecRevisionId = revision.Id,
            Method = type.Method,
            Condition = revision.Condition,
            Who = Who(day),
            Blades = Who(day) + "'s set",
            TrayBlades = thou ? [.. Enumerable.Range(3, 28).Select(i => i.ToString(CultureInfo.InvariantCulture))] : Trays.Metric,
            TrayUnit = thou ? "thou" : "mm",
            EngineTemperatureC = Math.Round(wear.Between(9, 21)),
            StartedAt = started,
        };
        Engine.Overheads.Add(visit);
        return visit;
    }

    private void Visit(int day, JobKind job, int number)
    {
        var visit = NewVisit(day, job);
        var warm = demo.WarmVisit == number;
        if (warm)
        {
            visit.Answer = VisitAnswer.Warm;
            visit.Remark = "Engine was still warm: left out of the rates.";
            visit.EngineTemperatureC = 48;
        }
        var specs = TypeMapping.Specs(type.Revisions.Single(r => r.Id == visit.SpecRevisionId).Lines, fleet);
        var minutes = 0;
        foreach (var point in type.Points.OrderBy(p => p.Order))
        {
            var (spec, gap) = (specs[point.Kind], points[point.Id]);
            gap.RunTo(total[day]);
            var found = Measure(visit, point, ReadingStage.AsFound, gap.GapMm + (warm ? -0.035 : 0), minutes += 4);
            if (warm || WillLast(found, spec)) continue;
            gap.Set(wear.Landed(spec));
            Measure(visit, point, ReadingStage.AsLeft, gap.GapMm, minutes += 6);
        }
        Sign(visit, minutes);
    }

    /// <summary>The depot's habit: what stands in the inner half of the window is left alone; nearer to a limit it would not last to the next visit.</summary>
    private static bool WillLast(ReadingRow found, ClearanceSpec spec)
    {
        var margin = (spec.Window.MaxMm - spec.Window.MinMm) / 4;
        return found.EstimateMm is { } mm && mm >= Math.Min(spec.Window.MinMm + margin, spec.SetMm) && mm <= Math.Max(spec.Window.MaxMm - margin, spec.SetMm);
    }

    private void Build(int day)
    {
        var visit = NewVisit(day, JobKind.Build);
        visit.Remark = "Head off, new exhaust valves and seats, cam kept.";
        NewParts(day);
        var minutes = 0;
        foreach (var point in type.Points.OrderBy(p => p.Order)) Measure(visit, point, ReadingStage.AsLeft, points[point.Id].GapMm, minutes += 5);
        Sign(visit, minutes);
    }

    private void SpotCheck(DemoSpotCheck check)
    {
        var day = Day(check.DaysAgo);
        var visit = NewVisit(day, JobKind.SpotCheck);
        visit.Remark = check.Remark;
        var cylinder = type.Points.Single(p => p.Label == check.Point).Cylinder;
        var minutes = 0;
        foreach (var point in type.Points.Where(p => Math.Abs(p.Cylinder - cylinder) <= 1).OrderBy(p => p.Order))
        {
            points[point.Id].RunTo(total[day]);
            Measure(visit, point, ReadingStage.AsFound, points[point.Id].GapMm, minutes += 4);
            if (point.Label == check.Point)
                visit.Readings.Add(new ReadingRow { Id = DemoIds.For($"left/{visit.Id}"), OverheadId = visit.Id, PointId = point.Id, Stage = ReadingStage.AsLeft, Who = visit.Who, Why = check.Why, Unit = visit.TrayUnit, At = visit.StartedAt.AddMinutes(minutes), KeptAt = visit.StartedAt.AddMinutes(minutes) });
        }
        Sign(visit, minutes);
    }

    private void OpenOverhead()
    {
        var visit = NewVisit(total.Length - 1, JobKind.Overhead);
        visit.Ticked = [.. Cautions.MakeSafe(Engine.Machine).Select(c => c.Key), "condition"];
        visit.StopsProved = [0];
        var stop = type.ToCore(type.InForce(today), fleet).Plan().Stops[0].Set.Select(p => p.Point).ToHashSet();
        var minutes = 0;
        var atStop = type.Points.OrderBy(p => p.Order).Where(p => stop.Contains(p.ToCore().Ref)).ToList();
        foreach (var point in atStop.SkipLast(1))
        {
            points[point.Id].RunTo(total[^1]);
            Measure(visit, point, ReadingStage.AsFound, points[point.Id].GapMm, minutes += 4);
        }
    }

    private void Slip(string label)
    {
        var point = points[type.Points.Single(p => p.Label == label).Id];
        point.Set(point.GapMm + 0.12);
    }

    private ReadingRow Measure(OverheadRow visit, LashPointRow point, ReadingStage stage, double gapMm, int minutes)
    {
        var unit = visit.TrayUnit == "thou" ? LengthUnit.Thou : LengthUnit.Millimetre;
        var step = unit == LengthUnit.Thou ? 0.0127 : 0.01;
        var felt = wear.Felt(gapMm, step);
        List<TrialRow> trials;
        if (wear.Between(0, 1) < 0.8)
        {
            trials = [new TrialRow { Blades = [Text(felt, unit)], Feel = Feel.Drag }];
        }
        else
        {
            trials = [new TrialRow { Blades = [Text(Math.Max(step, felt - step), unit)], Feel = Feel.Free }, new TrialRow { Blades = [Text(felt + step, unit)], Feel = Feel.NoGo }];
        }
        var reading = Reading.FromBlades([.. trials.Select(t => new BladeTrial([.. t.Blades.Select(b => Length.Parse(b, unit).Millimetres)], t.Feel))]);
        var at = visit.StartedAt.AddMinutes(20 + minutes);
        var row = new ReadingRow
        {
            Id = DemoIds.For($"reading/{visit.Id}/{point.Label}/{stage}"),
            OverheadId = visit.Id,
            PointId = point.Id,
            Stage = stage,
            Trials = trials,
            Unit = visit.TrayUnit,
            LowerMm = reading.LowerMm,
            UpperMm = reading.UpperMm,
            EstimateMm = reading.EstimateMm,
            UncertaintyMm = reading.StandardUncertaintyMm,
            Who = visit.Who,
            At = at,
            KeptAt = at,
        };
        visit.Readings.Add(row);
        return row;
    }

    private static string Text(double mm, LengthUnit unit) => unit == LengthUnit.Thou
        ? (Math.Round(mm / 0.0254 * 2) / 2).ToString("0.#", CultureInfo.InvariantCulture)
        : mm.ToString("0.00", CultureInfo.InvariantCulture);

    private void Sign(OverheadRow visit, int minutes)
    {
        visit.Ticked = [.. Cautions.MakeSafe(Engine.Machine).Select(c => c.Key), "condition", .. Cautions.CloseUp().Select(c => c.Key)];
        visit.SignedBy = visit.Who;
        visit.SignedAt = visit.StartedAt.AddMinutes(60 + minutes);
    }
}
