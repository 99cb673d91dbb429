using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Core.Tests.Visits;

public class AfterSigningTests
{
    [Fact]
    public void A_correction_keeps_the_reading_and_shows_what_was_corrected()
    {
        var visit = new VisitScript().Ready();
        var reading = visit.Measured("1E", "0.30");
        var figure = visit.Visit.Entries[^2].Id;
        visit.Measured("1I", "0.20");
        visit.Measured("2I", "0.20");
        visit.Measured("2E", "0.40");
        visit.Tick("tools");
        Assert.Equal(RefusalCode.NotSigned, visit.Correct(figure, new CorrectedFields { Figure = "0.40" }).Refusal!.Code);
        visit.Say("1E", PointOutcome.LeftSo);
        visit.Sign();
        Assert.Equal("fields", visit.Correct(figure, new CorrectedFields { Text = "?" }).Refusal!.Field);
        Assert.Equal("fields.figure", visit.Correct(figure, new CorrectedFields { Figure = "many" }).Refusal!.Field);
        Assert.Equal(RefusalCode.EntryUnknown, visit.Correct(Guid.CreateVersion7(), new CorrectedFields { Figure = "0.40" }).Refusal!.Code);
        Assert.Null(visit.Correct(figure, new CorrectedFields { Figure = "0.41" }).Refusal);
        Assert.Equal((reading, Mm(0.41)), (visit.Point("1E").Found!.Reading, visit.Point("1E").Found!.Value.EstimateMm));
        Assert.Equal(figure, visit.Visit.Corrections.Single().Entry);
    }

    [Fact]
    public void A_correction_that_would_contradict_is_refused()
    {
        var visit = new VisitScript().Ready(JobKind.SpotCheck);
        visit.Prove(0);
        var reading = Guid.CreateVersion7();
        visit.Try(reading, "1I", "0.20", Feel.Free);
        var free = visit.Last;
        visit.Try(reading, "1I", "0.22", Feel.NoGo);
        visit.Keep(reading);
        visit.Tick("tools");
        visit.Sign();
        Assert.Equal(RefusalCode.BladesContradict, visit.Correct(free, new CorrectedFields { Blades = ["0.25"] }).Refusal!.Code);
    }

    [Fact]
    public void The_hours_of_a_signed_visit_can_be_corrected()
    {
        var visit = Signed();
        Assert.Null(visit.Correct(visit.Visit.Entries[0].Id, new CorrectedFields { ShownHours = H(105) }).Refusal);
        Assert.Equal(H(105), visit.Visit.Opened!.ShownHours);
    }

    [Fact]
    public void What_comes_in_late_is_kept_apart_until_it_is_admitted()
    {
        var visit = Signed();
        var reading = Guid.CreateVersion7();
        Assert.Equal(Taking.Late, visit.Figure(reading, "1I", "0.22", unproved: true).Taking);
        var figure = visit.Last;
        Assert.Equal(Taking.Late, visit.Keep(reading).Taking);
        var kept = visit.Last;
        Assert.Empty(visit.Point("1I").Repeats);
        Assert.Equal([figure, kept], visit.Visit.Late);
        Assert.Equal(RefusalCode.EntryUnknown, visit.Admit(Guid.CreateVersion7()).Refusal!.Code);
        Assert.Null(visit.Admit(figure, kept).Refusal);
        Assert.Equal(Mm(0.22), visit.Point("1I").Repeats.Single().Value.EstimateMm);
        Assert.Empty(visit.Visit.Late);
    }

    [Fact]
    public void Abandoning_comes_late_to_a_signed_visit()
    {
        var visit = Signed();
        Assert.Equal(Taking.Late, visit.Abandon().Taking);
        Assert.Equal(VisitState.Signed, visit.Visit.State);
    }

    [Fact]
    public void A_second_signature_is_somebody_elses_with_readings_of_their_own()
    {
        var visit = new VisitScript().Ready().AllFound();
        visit.By = VisitScript.Olav;
        Assert.Equal(RefusalCode.NotSigned, visit.Countersign("1I", "0.20").Refusal!.Code);
        visit.By = VisitScript.Marit;
        visit.Sign();
        Assert.Equal(RefusalCode.NotYours, visit.Countersign("1I", "0.20").Refusal!.Code);
        visit.By = VisitScript.Olav;
        Assert.Equal(RefusalCode.PointUnknown, visit.Countersign("9I", "0.20").Refusal!.Code);
        Assert.Null(visit.Countersign("1I", "0.20").Refusal);
        Assert.Single(visit.Visit.Countersignatures);
    }

    [Fact]
    public void A_visit_answered_warm_leaves_the_trend_and_comes_back()
    {
        var visit = Signed();
        visit.Answer(VisitQuestion.Warm, VisitAnswer.Yes);
        Assert.True(visit.Visit.IsOutOfTrend);
        visit.Answer(VisitQuestion.Warm, VisitAnswer.No);
        Assert.False(visit.Visit.IsOutOfTrend);
    }

    [Fact]
    public void Folding_the_stored_entries_again_gives_the_same_visit()
    {
        var visit = Signed();
        visit.Figure(Guid.CreateVersion7(), "1I", "0.22", unproved: true);
        visit.Correct(visit.Visit.Entries[0].Id, new CorrectedFields { ShownHours = H(105) });
        var stored = visit.Visit.Entries.Select((e, i) => e with { Sequence = i + 1 }).ToList();

        var again = Visit.From(visit.Visit.Context, stored);

        Assert.Equal(visit.Visit.Points.Select(p => p.ToString()), again.Points.Select(p => p.ToString()));
        Assert.Equal((visit.Visit.State, visit.Visit.Opened!.ShownHours, visit.Visit.Late.Count), (again.State, again.Opened!.ShownHours, again.Late.Count));
    }

    private static VisitScript Signed()
    {
        var visit = new VisitScript().Ready().AllFound();
        Assert.Null(visit.Sign().Refusal);
        return visit;
    }
}
