using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Wear;

/// <summary>What the fit says of each point, by its own history.</summary>
public sealed partial class EngineWear
{
    private PointWear Point(WearLine line)
    {
        var fresh = FreshlySet(line, Clearance.Near(0));
        var base0 = line.Own + Fit(fresh.T);
        var slope = Reduced(line, fresh).T;
        var variance = Product(slope, slope) + 1 / line.Diagonal;
        var own = kinds[line];
        // What goes on faster later is no part of the rate now.
        var rate = own.Sum(k => k.Share * (base0 + k.Slope));
        var rateVariance = own.Sum(k => k.Share * (variance + k.SlopeVariance + Square(base0 + k.Slope - rate)));
        var (history, last) = (line.History, LastFound(line));
        var point = new PointWear(line.Point.Id, null, null, rate, Math.Sqrt(Math.Max(rateVariance, 0)), history?.Fast.Share ?? 0)
        {
            ChangeProbability = history?.Changed.Share ?? 0,
            Changed = history?.Changed.Share >= PointWear.NamedFrom ? Since(line, history.ChangedAfter!.Value) : null,
            LastFoundZ = last?.Z,
            LastFound = last is { } surprise ? (surprise.FoundMm, surprise.ExpectedMm) : null,
            FarOffProbability = line.Rows.LastOrDefault(r => !r.AsLeft)?.Far ?? 0,
            IsDated = dated.Contains(line),
            WasFoundOut = WasFoundOut(line),
        };
        if (!HasLevel(line)) return point;
        var ahead = Ahead(line, Present(line), default, true);
        var level = own.Sum(k => k.Share * (ahead.At0 + k.LevelMm));
        return point with { LevelMm = level, LevelStandardErrorMm = Math.Sqrt(Math.Max(own.Sum(k => k.Share * (ahead.Variance0 + k.LevelVariance + Square(ahead.At0 + k.LevelMm - level))), 0)) };
    }

    private WearChange Since(WearLine line, double t)
    {
        var row = line.Rows.Last(r => Math.Abs(r.T - t) < 1e-9);
        var visit = engine.Visits[row.VisitColumn];
        return new WearChange(visit.Id, visit.Hours);
    }

    private static bool WasFoundOut(WearLine line)
    {
        if (line.Point.Window is not { } window || line.Rows.LastOrDefault(r => !r.AsLeft) is not { } found) return false;
        return (found.Mm ?? found.Upper) < window.MinMm - 1e-9 || (found.Mm ?? found.Lower) > window.MaxMm + 1e-9;
    }

    /// <summary>The last found figure against all that was read before it, and left then in its own run.</summary>
    private (double Z, double FoundMm, double ExpectedMm)? LastFound(WearLine line)
    {
        if (line.History is null || line.Rows.LastOrDefault(r => !r.AsLeft && r.HasFigure) is not { } last) return null;
        var rows = line.Rows.ToList();
        var readings = solved.HistoryOf(line, true);
        var at = rows.IndexOf(last);
        var before = readings.Where((r, i) => r.T < last.T || (r.T == last.T && rows[i].AsLeft && r.Run == readings[at].Run)).ToList();
        if (!before.Exists(r => r.Run == readings[at].Run)) return null;
        var tau = components.TauMmPer1000h[line.Group];
        var expected = ValveHistory.Plain(before, 0, Math.Max(tau * tau, 1e-18), last.T);
        var spread = expected.LevelVariance + last.Variance + solved.Covariance[last.VisitColumn * (engine.Count + 1)];
        var off = readings[at].Z - expected.Level;
        return ((solved.Values[line.MeanColumn] < 0 ? -off : off) / Math.Sqrt(spread), last.Y, last.Y - off);
    }

    /// <summary>What each kind of valve differs by from the history without kinds; without one the posterior itself is all there is.</summary>
    private AheadKind[] Kinds(WearLine line)
    {
        if (line.History is not { } history) return [new AheadKind(1)];
        var plain = ValveHistory.Plain(solved.HistoryOf(line, true), line.PriorMean, line.PriorVariance, (engine.NowHours - engine.FirstHours) / 1000);
        return [.. new[] { history.Ordinary, history.Fast, history.Changed }.Select(k => new AheadKind(
            k.Share, k.Level - plain.Level, k.Slope - plain.Slope, k.LevelVariance - plain.LevelVariance, k.Covariance - plain.Covariance, k.SlopeVariance - plain.SlopeVariance))];
    }

    /// <summary>The same with what has begun to fail going on faster: by a quarter, give or take half (common practice, no source).</summary>
    private AheadKind[] KindsAhead(WearLine line)
    {
        var own = kinds[line];
        if (line.History is not { } history) return own;
        var more = history.Changed.Slope / 4;
        return [.. own[..^1], own[^1] with { Slope = own[^1].Slope + more, SlopeVariance = own[^1].SlopeVariance + Square(2 * more) }];
    }
}
