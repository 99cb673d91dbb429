using System.Globalization;
using System.Text;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Core.Tests.Visits;

/// <summary>Whatever anybody taps, in whatever order, a visit is what its list says: no more, no less.</summary>
public class RandomVisitTests
{
    private static readonly string[] Points = ["1I", "1E", "2I", "2E"];
    private static readonly string[] Blades = ["0.15", "0.20", "0.25", "0.35", "0.40", "0.45"];

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(5)]
    [InlineData(6)]
    public void The_list_alone_gives_the_same_visit_after_every_tap(int seed)
    {
        var (random, script, readings) = Begun(seed);
        var (taken, refused) = (0, 0);
        for (var tap = 0; tap < 120; tap++)
        {
            var (before, count) = (Told(script.Visit), script.Visit.Entries.Count);
            var result = Tap(script, random, readings);
            if (result.Refusal is null)
            {
                taken++;
                Assert.Equal(count + 1, script.Visit.Entries.Count);
            }
            else
            {
                // A refused tap leaves nothing behind.
                refused++;
                Assert.Equal(count, script.Visit.Entries.Count);
                Assert.Equal(before, Told(script.Visit));
            }
            Assert.Equal(Told(Visit.From(script.Visit.Context, script.Visit.Entries)), Told(script.Visit));
        }
        Assert.True(taken > 10, $"only {taken} taken");
        Assert.True(refused > 10, $"only {refused} refused");
    }

    [Theory]
    [InlineData(11)]
    [InlineData(12)]
    [InlineData(13)]
    public void What_is_undone_was_never_said(int seed)
    {
        var (random, script, readings) = Begun(seed);
        var undone = 0;
        for (var tap = 0; tap < 120; tap++)
        {
            var before = Told(script.Visit);
            if (Tap(script, random, readings).Refusal is not null || script.Visit.State != VisitState.Open) continue;
            if (script.Visit.Entries[^1] is Undone || script.Undo(script.Last).Refusal is not null) continue;
            undone++;
            Assert.Equal(before, Told(script.Visit));
        }
        Assert.True(undone > 10, $"only {undone} undone");
    }

    private static (Random Random, VisitScript Script, List<Guid> Readings) Begun(int seed)
    {
        var script = new VisitScript().Ready();
        return (new Random(seed), script, [.. Enumerable.Range(0, 6).Select(_ => Guid.CreateVersion7())]);
    }

    private static TakingResult Tap(VisitScript script, Random random, List<Guid> readings)
    {
        var point = Points[random.Next(Points.Length)];
        var reading = readings[random.Next(readings.Count)];
        var stage = random.Next(3) == 0 ? ReadingStage.AsLeft : ReadingStage.AsFound;
        script.By = random.Next(2) == 0 ? VisitScript.Marit : VisitScript.Olav;
        return random.Next(11) switch
        {
            0 => script.Prove(random.Next(2) * 360),
            1 => script.Bar(random.Next(720)),
            2 or 3 => script.Try(reading, point, Blades[random.Next(Blades.Length)], (Feel)random.Next(4), stage, random.Next(2) == 0),
            4 => script.Figure(reading, point, Blades[random.Next(Blades.Length)], stage, random.Next(2) == 0),
            5 or 6 => script.Keep(reading, true),
            7 => script.Say(point, (PointOutcome)random.Next(Enum.GetValues<PointOutcome>().Length)),
            8 => script.Tick("tools", random.Next(3) > 0),
            9 => script.Undo(script.Visit.Entries[random.Next(script.Visit.Entries.Count)].Id),
            _ => script.Keep(Guid.CreateVersion7()),
        };
    }

    /// <summary>All that a screen would show, in words, so that two visits can be held against each other.</summary>
    private static string Told(Visit visit)
    {
        var told = new StringBuilder();
        told.Append(CultureInfo.InvariantCulture, $"{visit.State} {visit.Next} crank {visit.CrankDeg} proved {string.Join(",", visit.Proved)} {string.Join(",", visit.ProvedPoints.Order())} ticked {string.Join(",", visit.Ticked)}\n");
        foreach (var refusal in visit.Refusals) told.Append(CultureInfo.InvariantCulture, $"owes {refusal.Code}\n");
        foreach (var work in visit.Work)
            told.Append(CultureInfo.InvariantCulture, $"{work.Point.Label} {work.Said?.Outcome} {work.Found?.Id} {work.Left?.Id} {visit.OwesFound(work)} {visit.OwesLeft(work)}\n");
        return told.ToString();
    }
}
