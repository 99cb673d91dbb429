using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Server.Tests;

/// <summary>From stored rows to what the core reads.</summary>
public class MappingTests
{
    private static readonly Guid PointId = Guid.CreateVersion7();
    private static readonly DateOnly Today = new(2026, 11, 25);

    [Fact]
    public void The_revision_in_force_is_the_latest_dated_on_or_before_the_day()
    {
        var type = Type();

        Assert.Equal("A", type.InForce(new DateOnly(2019, 1, 1))!.Revision);
        Assert.Equal("B", type.InForce(Today)!.Revision);
        Assert.Equal("A", type.InForce(new DateOnly(1990, 1, 1))!.Revision);
    }

    [Theory]
    [InlineData("4E", 4, LashKind.Exhaust)]
    [InlineData("12i", 12, LashKind.Intake)]
    [InlineData(" 3J ", 3, LashKind.Injector)]
    public void A_point_of_a_book_list_is_read(string text, int cylinder, LashKind kind)
    {
        var point = TypeMapping.ParseRef(text);

        Assert.Equal((cylinder, kind), (point.Cylinder, point.Kind));
    }

    [Theory]
    [InlineData("E4")]
    [InlineData("4X")]
    [InlineData("")]
    public void What_is_no_point_is_refused(string text) =>
        Assert.Equal("bookStops", Assert.Throws<BadInputException>(() => TypeMapping.ParseRef(text)).Field);

    [Fact]
    public void A_kind_given_twice_is_refused()
    {
        SpecLineRow[] lines = [new() { Kind = LashKind.Intake, Min = "0.1", Max = "0.2", Unit = "mm" }, new() { Kind = LashKind.Intake, Single = "0.1", Unit = "mm" }];

        Assert.Equal("specs", Assert.Throws<BadInputException>(() => TypeMapping.Specs(lines, new FleetRow())).Field);
    }

    [Fact]
    public void Of_a_chain_of_corrections_the_last_one_stands()
    {
        var first = Reading(1, "0.40");
        var second = Reading(2, "0.38", corrects: first.Id);
        var third = Reading(3, "0.39", corrects: second.Id);

        Assert.Equal(third.Id, new[] { third, first, second }.Standing(PointId, ReadingStage.AsFound)!.Id);
        Assert.Null(new[] { first }.Standing(PointId, ReadingStage.AsLeft));
    }

    [Fact]
    public void A_reading_not_kept_yet_does_not_speak()
    {
        var draft = Reading(1, "0.40");
        draft.KeptAt = null;

        Assert.Null(new[] { draft }.Standing(PointId, ReadingStage.AsFound));
    }

    [Fact]
    public void Only_signed_visits_make_the_record_and_a_point_left_with_a_reason_keeps_its_found_figure()
    {
        var engine = Engine(
            Visit(100, JobKind.Overhead, true, Reading(1, "0.40")),
            Visit(900, JobKind.SpotCheck, true, Reading(2, "0.31"), LeftSo(3)),
            Visit(950, JobKind.Overhead, false, Reading(4, "0.20")));

        var record = engine.ToRecord(Type(), new FleetRow(), Today);

        var point = record.Points[0];
        Assert.Equal([100.0, 900.0], point.Visits.Select(v => v.Hours));
        Assert.All(point.Visits, v => Assert.False(v.Adjusted));
        Assert.Equal(0.31, point.Standing!.EstimateMm!.Value, 9);
        Assert.Equal(100, record.Book!.LastHours);
    }

    [Fact]
    public void A_warm_visit_and_break_in_hours_are_marked_and_the_last_counted_figure_stands()
    {
        var warm = Visit(900, JobKind.Overhead, true, Reading(2, "0.30"));
        warm.Answer = VisitAnswer.Warm;
        var engine = Engine(Visit(100, JobKind.Build, true, Reading(1, "0.40", stage: ReadingStage.AsLeft)), Visit(150, JobKind.SpotCheck, true, Reading(3, "0.39")), warm);

        var visits = engine.ToRecord(Type(), new FleetRow(), Today).Points[0];

        Assert.Equal([true, true, false], visits.Visits.Select(v => v.BreakIn));
        Assert.Equal([true, false, false], visits.Visits.Select(v => v.PartChanged));
        Assert.Equal([false, false, true], visits.Visits.Select(v => v.Excluded));
        Assert.Equal(0.39, visits.Standing!.EstimateMm!.Value, 9);
    }

    [Fact]
    public void A_visit_in_the_other_condition_is_a_run_of_its_own()
    {
        var hot = Visit(900, JobKind.Overhead, true, Reading(2, "0.30"));
        hot.Condition = SpecCondition.Hot;

        var record = Engine(Visit(100, JobKind.Overhead, true, Reading(1, "0.40")), hot).ToRecord(Type(), new FleetRow(), Today);

        Assert.Equal([false, true], record.Points[0].Visits.Select(v => v.OtherCondition));
    }

    [Fact]
    public void The_first_check_counts_after_a_build_and_the_interval_after_an_overhead()
    {
        var afterBuild = Engine(Visit(100, JobKind.Build, true)).ToRecord(Type(), new FleetRow(), Today);
        var afterBoth = Engine(Visit(100, JobKind.Build, true), Visit(200, JobKind.Overhead, true)).ToRecord(Type(), new FleetRow(), Today);

        Assert.True(afterBuild.Book!.LastWasBuild);
        Assert.False(afterBoth.Book!.LastWasBuild);
        Assert.Null(Engine().ToRecord(Type(), new FleetRow(), Today).Book);
    }

    private static EngineTypeRow Type() => new()
    {
        Code = "S1",
        Name = "single",
        FiringOrder = "1",
        Banks = "1",
        Layout = "E",
        PitchMm = 1,
        BookHours = 1000,
        FirstCheckHours = 100,
        BreakInHours = 80,
        Points = [new LashPointRow { Id = PointId, Label = "1E", Cylinder = 1, Kind = LashKind.Exhaust }],
        Revisions = [Revision("A", new DateOnly(2010, 1, 1)), Revision("B", new DateOnly(2020, 1, 1))],
    };

    private static readonly Guid RevisionB = Guid.CreateVersion7();

    private static SpecRevisionRow Revision(string name, DateOnly date) => new()
    {
        Id = name == "B" ? RevisionB : Guid.CreateVersion7(),
        Revision = name,
        Source = "manual",
        Date = date,
        Lines = [new SpecLineRow { Kind = LashKind.Exhaust, Min = "0.35", Max = "0.45", Unit = "mm" }],
    };

    private static EngineRow Engine(params OverheadRow[] visits) => new() { Id = Guid.CreateVersion7(), Name = "E", Site = "Depot", DutyHoursPerDay = 4, Overheads = [.. visits] };

    private static OverheadRow Visit(double hours, JobKind job, bool signed, params ReadingRow[] readings) => new()
    {
        Who = "Tove",
        Job = job,
        TotalHours = hours,
        Date = new DateOnly(2026, 1, 1).AddDays((int)hours / 10),
        SpecRevisionId = RevisionB,
        SignedAt = signed ? DateTime.UnixEpoch : null,
        Readings = [.. readings],
    };

    private static ReadingRow Reading(int minute, string mm, Guid? corrects = null, ReadingStage stage = ReadingStage.AsFound) => new()
    {
        Id = Guid.CreateVersion7(),
        PointId = PointId,
        Stage = stage,
        Who = "Tove",
        Written = mm,
        EstimateMm = double.Parse(mm, System.Globalization.CultureInfo.InvariantCulture),
        UncertaintyMm = 0.005,
        KeptAt = DateTime.UnixEpoch.AddMinutes(minute),
        CorrectsId = corrects,
    };

    private static ReadingRow LeftSo(int minute) => new() { Id = Guid.CreateVersion7(), PointId = PointId, Stage = ReadingStage.AsLeft, Who = "Tove", Why = "no time", KeptAt = DateTime.UnixEpoch.AddMinutes(minute) };
}
