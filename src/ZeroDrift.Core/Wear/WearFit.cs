namespace ZeroDrift.Core.Wear;

/// <summary>
/// Readings of one group of engines fitted at once:
/// y = c(run) + (μ(g) + d(engine, g) + b(point))·t + β(g)·s + a(visit) + p(person) + e, t in 1000 h.
/// A visit's common shift, a person's hand, an engine's load, the first hours after a setting and the odd reading are told apart before a valve is
/// blamed; readings known only by bounds enter as such; some valve may be fast for life, or have begun to wear another way (<see cref="ValveHistory"/>).
/// Twelve rounds of a linear solve and of the components it implies (empirical Bayes).
/// </summary>
public sealed class WearFit
{
    private const int Rounds = 12;

    /// <summary>Every so many rounds each valve's own history is weighed; before the first, visits alone find their weight.</summary>
    private const int RoundsToAHistory = 3;

    /// <summary>How far a reading strays before any fit, mm: where a far one starts from (common practice, no source).</summary>
    private const double RoughMm = 0.03;

    /// <summary>What is believed of a group's rate before its first reading, mm per 1000 h.</summary>
    internal const double MeanPriorSd = 0.05;

    private const double BeddingPriorSd = 0.008;
    private readonly WearEngine[] engines;
    private readonly EngineElimination[] eliminated;
    private readonly Dictionary<string, int> placeOf = new(StringComparer.Ordinal);
    private readonly SharedColumns shared;
    private readonly WearOptions options;
    private readonly IReadOnlyList<WearGap> sameGaps;
    private double[] values = [];
    private double[] covariance = [];
    private SharedInformation? total;
    private EngineWear[]? outlooks;

    private WearFit(WearEngine[] engines, SharedColumns shared, WearOptions options, WearComponents components, IReadOnlyList<WearGap> sameGaps)
    {
        (this.engines, this.shared, this.options, Components, this.sameGaps) = (engines, shared, options, components, sameGaps);
        eliminated = new EngineElimination[engines.Length];
        for (var i = 0; i < engines.Length; i++) placeOf[engines[i].Id] = i;
    }

    /// <summary>The components found, or held.</summary>
    public WearComponents Components { get; private set; }

    /// <summary>Fits a whole group of engines.</summary>
    /// <param name="record">Points, visits and readings.</param>
    /// <param name="options">Parts of the model; null: all of it.</param>
    /// <exception cref="BadInputException">Unknown names, hours that go back, or an uncertainty that is none.</exception>
    public static WearFit Of(WearRecord record, WearOptions? options = null)
    {
        options ??= new WearOptions();
        if (record.Readings.Count == 0) throw new BadInputException("readings", "Give the readings; at least one is needed.");
        var columns = WearLayoutBuilder.Columns(record, options.Bedding);
        return Run(record, columns, options, options.Held ?? WearComponents.Start(columns.Groups.Count), null);
    }

    /// <summary>
    /// One engine again with what its group has taught: components held, the shared unknowns as the others know them. What this engine said at the
    /// last fit must be taken out of <paramref name="others"/> by the caller (<see cref="SharedInformation.Without"/>).
    /// </summary>
    public static WearFit One(WearRecord record, SharedInformation others, WearComponents components, WearOptions? options = null)
    {
        options = (options ?? new WearOptions()) with { Held = components };
        var columns = WearLayoutBuilder.Columns(record, options.Bedding, others.Groups, others.People);
        var more = columns.Groups.Count - components.TauMmPer1000h.Count;
        if (more > 0)
        {
            var start = WearComponents.Start(more);
            components = components with { TauMmPer1000h = [.. components.TauMmPer1000h, .. start.TauMmPer1000h], EngineTauMmPer1000h = [.. components.EngineTauMmPer1000h, .. start.EngineTauMmPer1000h] };
        }
        return Run(record, columns, options with { Held = components }, components, others);
    }

    private static WearFit Run(WearRecord record, SharedColumns columns, WearOptions options, WearComponents components, SharedInformation? others)
    {
        var slopes = components.EngineTauMmPer1000h.Any(psi => psi > 0);
        var fit = new WearFit(WearLayoutBuilder.Build(record, columns, slopes), columns, options, components, record.SameGaps);
        fit.Begin();
        var still = options is { Held: not null, HeavyTails: false, Mixture: false } && fit.engines.All(e => e.Lines.All(l => l.Runs.All(r => r.Rows.All(row => row.HasFigure))));
        for (var round = 1; round <= Rounds; round++)
        {
            fit.Weigh(round == 1);
            fit.Solve(others);
            if (still) break;
            if (round % RoundsToAHistory == 0 && (options.Mixture || options.HeavyTails)) fit.LookBack();
            if (round < RoundsToAHistory) fit.WeighVisits();
            else if (round < Rounds) fit.Learn();
        }
        return fit;
    }

    /// <summary>What the whole group says of the shared unknowns, to be kept for refitting one engine.</summary>
    public SharedInformation Shared => total!;

    /// <summary>What one engine said of them at this fit.</summary>
    public SharedInformation Said(string engine)
    {
        var at = placeOf[engine];
        var (own, first) = (engines[at], shared.Person(0));
        return new SharedInformation([.. own.Groups.Select(g => shared.Groups[g])], [.. own.Shared.Where(c => c >= first).Select(c => shared.People[c - first])], shared.Bedding, eliminated[at].Information, eliminated[at].InformationRight);
    }

    /// <summary>The rate of each group.</summary>
    public IReadOnlyList<GroupWear> Groups => [.. shared.Groups.Select((name, g) => new GroupWear(
        name,
        values[SharedColumns.Mean(g)],
        Math.Sqrt(covariance[SharedColumns.Mean(g) * shared.Count + SharedColumns.Mean(g)]),
        Components.TauMmPer1000h[g],
        Components.EngineTauMmPer1000h[g],
        shared.Bedding ? values[shared.BeddingOf(g)] : 0))];

    /// <summary>Each hand.</summary>
    public IReadOnlyList<HandBias> People => [.. shared.People.Select((name, p) => new HandBias(name, values[shared.Person(p)], Math.Sqrt(covariance[shared.Person(p) * shared.Count + shared.Person(p)])))];

    /// <summary>Each engine; worked out when first asked for.</summary>
    public IReadOnlyList<EngineWear> Engines => outlooks ??= [.. engines.Select((e, i) => new EngineWear(e, eliminated[i], Components))];

    private void Begin()
    {
        foreach (var line in engines.SelectMany(e => e.Lines))
        {
            (line.PriorMean, line.PriorVariance) = (0, Square(Components.TauMmPer1000h[line.Group]));
            foreach (var row in line.Rows) row.MayBeFar &= options.HeavyTails;
            if (line.Rows.Any(r => r.MayBeFar) && Median(line) is var middle)
                foreach (var row in line.Rows.Where(r => r.MayBeFar)) row.Omega = 5 / (4 + Square((row.Mm!.Value - middle) / RoughMm));
        }
    }

    private static double Median(WearLine line)
    {
        var sorted = line.Rows.Where(r => r.HasFigure).Select(r => r.Mm!.Value).Order().ToList();
        return (sorted[(sorted.Count - 1) / 2] + sorted[sorted.Count / 2]) / 2;
    }

    private void Weigh(bool first) => Parallel.ForEach(engines, engine =>
    {
        var sd = Components.ReadingSdMm;
        foreach (var row in engine.Lines.SelectMany(l => l.Runs).SelectMany(r => r.Rows))
        {
            if (row.Mm is { } mm)
            {
                (row.Y, row.Information) = (mm, 1);
            }
            else
            {
                var censored = first ? CensoredReading.First(row.Lower, row.Upper) : CensoredReading.Of(row.Lower, row.Upper, row.Y - row.Residual, sd);
                (row.Y, row.Information) = (censored.Mm, censored.Information);
            }
            row.Variance = (sd * sd + row.AddedVariance) / row.Information;
            row.Weight = row.Omega / row.Variance;
        }
    });

    private void Solve(SharedInformation? others)
    {
        Parallel.For(0, engines.Length, i => eliminated[i] = EngineElimination.Of(engines[i], Components));
        total = others?.For(shared.Groups, shared.People, shared.Bedding) ?? SharedInformation.Empty(shared.Groups, shared.People, shared.Bedding);
        for (var i = 0; i < engines.Length; i++) total.Add(engines[i].Shared, eliminated[i].Information, eliminated[i].InformationRight);
        var n = shared.Count;
        var matrix = (double[])total.Matrix.Clone();
        for (var g = 0; g < shared.Groups.Count; g++)
        {
            matrix[SharedColumns.Mean(g) * (n + 1)] += 1 / Square(MeanPriorSd);
            if (shared.Bedding) matrix[shared.BeddingOf(g) * (n + 1)] += 1 / Square(BeddingPriorSd);
        }
        for (var p = 0; p < shared.People.Count; p++) matrix[shared.Person(p) * (n + 1)] += 1 / Math.Max(Square(Components.PersonSdMm), 1e-18);
        var factor = Cholesky.Of(matrix, n, n);
        values = (double[])total.Right.Clone();
        factor.Forward(values);
        factor.Backward(values);
        covariance = factor.Inverse();
        Parallel.For(0, engines.Length, i => eliminated[i].Substitute(values, covariance, n));
    }

    /// <summary>Each valve's own history, all that is shared taken as known.</summary>
    private void LookBack() => Parallel.For(0, engines.Length, i =>
    {
        var now = (engines[i].NowHours - engines[i].FirstHours) / 1000;
        foreach (var line in engines[i].Lines)
        {
            if (line.Runs.Length == 0) continue;
            line.History = ValveHistory.Of(eliminated[i].HistoryOf(line), PriorOf(line.Group), options.HeavyTails, now);
            var aside = line.History.IsChanged ? line.History.ChangedAfter!.Value : double.NegativeInfinity;
            foreach (var (row, far) in line.Rows.Zip(line.History.Far)) (row.Far, row.PutAside) = (far, row.T < aside);
        }
    });

    /// <summary>From a solve the weights, then the components, each with the ones before it.</summary>
    private void Learn()
    {
        var old = Components;
        var now = old;
        if (options.Held is null) now = now with { ReadingSdMm = Math.Sqrt(ReadingVariance(old)) };
        foreach (var row in engines.SelectMany(e => e.Lines).SelectMany(l => l.Rows)) row.Omega = row.PutAside ? ValveHistory.Nothing : Math.Max(1 - row.Far, ValveHistory.Nothing);
        WeighVisits();
        if (options.Held is null) now = now with { VisitSdMm = Math.Sqrt(VisitVariance()), PersonSdMm = Math.Sqrt(PersonVariance()), TauMmPer1000h = Taus(), EngineTauMmPer1000h = EngineTaus() };
        Components = now;
        foreach (var line in engines.SelectMany(e => e.Lines))
        {
            var prior = PriorOf(line.Group);
            (line.PriorMean, line.PriorVariance) = line.IsOrdinary ? (0, Square(prior.Tau))
                : line.History!.IsChanged ? (prior.Jump, Square(prior.Tau) + Square(prior.Jump))
                : (3 * prior.Rate, Square(prior.Rate));
        }
    }

    private void WeighVisits()
    {
        if (!options.HeavyTails) return;
        for (var i = 0; i < engines.Length; i++)
            for (var v = 0; v < engines[i].Visits.Length; v++) engines[i].Lambda[v] = 4 / (3 + VisitSquare(i, v) / Square(Components.VisitSdMm));
    }

    private double ReadingVariance(WearComponents old)
    {
        var variance = Square(old.ReadingSdMm);
        var (sum, count) = (10 * Square(0.010), 10.0);
        foreach (var engine in engines)
        {
            foreach (var run in engine.Lines.SelectMany(l => l.Runs))
            {
                // A figure against bounds says nothing of feel.
                if (run.Rows.Count(r => r.HasFigure) < 2) continue;
                foreach (var row in run.Rows)
                {
                    if (!row.HasFigure || row.PutAside || row.Omega <= ValveHistory.Nothing) continue;
                    var (share, near) = (variance / (variance + row.AddedVariance), 1 - row.Far);
                    sum += Math.Min(row.Omega, near) * (row.Residual * row.Residual + row.Leverage) * share * share + near * variance * (1 - share);
                    count += near;
                }
            }
        }
        foreach (var gap in sameGaps)
        {
            var (squares, degrees) = (RepeatedGap.Squares(gap, Hand), gap.Readings.Count - 1);
            // A slip of the hand weighs as an odd reading does.
            sum += options.HeavyTails ? squares * 5 / (4 + squares / (degrees * variance)) : squares;
            count += degrees;
        }
        return sum / count;

        RepeatedGap.HandKnown Hand(string? one, string? other)
        {
            var (i, k) = (PersonAt(one), PersonAt(other));
            if (i >= 0 && k >= 0) return new(values[i], covariance[i * shared.Count + k]);
            return new(i >= 0 ? values[i] : 0, one is not null && one == other ? Square(old.PersonSdMm) : 0);
        }

        int PersonAt(string? person)
        {
            for (var p = 0; p < shared.People.Count; p++) if (shared.People[p] == person) return shared.Person(p);
            return -1;
        }
    }

    private double VisitSquare(int engine, int visit)
    {
        var done = eliminated[engine];
        return Square(done.Values[visit]) + done.Covariance[visit * (engines[engine].Count + 1)];
    }

    private double VisitVariance()
    {
        var (sum, count) = (4 * Square(0.006), 4.0);
        for (var i = 0; i < engines.Length; i++)
        {
            for (var v = 0; v < engines[i].Visits.Length; v++)
            {
                if (!engines[i].VisitUsed[v]) continue;
                sum += engines[i].Lambda[v] * VisitSquare(i, v);
                count++;
            }
        }
        return sum / count;
    }

    private double PersonVariance()
    {
        var used = engines.SelectMany(e => e.Shared).ToHashSet();
        var (sum, count) = (3 * Square(0.007), 3.0);
        for (var p = 0; p < shared.People.Count; p++)
        {
            var at = shared.Person(p);
            if (!used.Contains(at)) continue;
            sum += Square(values[at]) + covariance[at * (shared.Count + 1)];
            count++;
        }
        return sum / count;
    }

    private double[] Taus()
    {
        var (sums, counts) = (new double[shared.Groups.Count], new double[shared.Groups.Count]);
        foreach (var line in engines.SelectMany(e => e.Lines))
        {
            if (!line.IsOrdinary) continue;
            sums[line.Group] += line.Own * line.Own + line.OwnVariance;
            counts[line.Group]++;
        }
        return [.. sums.Select((sum, g) => Math.Sqrt((4 * Square(0.3 * MeanAtLeast(g)) + sum) / (4 + counts[g])))];
    }

    private double[] EngineTaus()
    {
        var (sums, counts) = (new double[shared.Groups.Count], new double[shared.Groups.Count]);
        for (var i = 0; i < engines.Length; i++)
        {
            if (!engines[i].Slopes) continue;
            for (var k = 0; k < engines[i].Groups.Length; k++)
            {
                var (g, at) = (engines[i].Groups[k], engines[i].Visits.Length + k);
                sums[g] += Square(eliminated[i].Values[at]) + eliminated[i].Covariance[at * (engines[i].Count + 1)];
                counts[g]++;
            }
        }
        return [.. sums.Select((sum, g) => Math.Sqrt((4 * Square(0.25 * MeanAtLeast(g)) + sum) / (4 + counts[g])))];
    }

    private double MeanAtLeast(int group) => Math.Abs(PriorOf(group).Rate);

    /// <summary>What a valve of a group is measured against.</summary>
    private HistoryPrior PriorOf(int group) => new(values[SharedColumns.Mean(group)], Components.TauMmPer1000h[group], options.Mixture);

    private static double Square(double x) => x * x;
}

/// <summary>A group's rate, mm per 1000 h, with what strays about it.</summary>
public sealed record GroupWear(string Group, double MmPer1000h, double StandardErrorMmPer1000h, double TauMmPer1000h, double EngineTauMmPer1000h, double BeddingMm);

/// <summary>How much looser than true one hand reads, mm.</summary>
public sealed record HandBias(string Person, double BiasMm, double StandardErrorMm);
