namespace ZeroDrift.Core.Wear;

/// <summary>The unknowns that all engines of a group share: the mean rate and the bedding-in of each kind, and the hands.</summary>
internal sealed class SharedColumns(IReadOnlyList<string> groups, IReadOnlyList<string> people, bool bedding)
{
    public IReadOnlyList<string> Groups => groups;

    public IReadOnlyList<string> People => people;

    public bool Bedding => bedding;

    public int Count => (bedding ? 2 : 1) * groups.Count + people.Count;

    public static int Mean(int group) => group;

    public int BeddingOf(int group) => groups.Count + group;

    public int Person(int person) => (bedding ? 2 : 1) * groups.Count + person;
}

/// <summary>One reading as a row of the fit.</summary>
internal sealed class WearRow
{
    /// <summary>Thousands of hours since the engine's first visit.</summary>
    public required double T { get; init; }

    /// <summary>How far it has bedded in since its setting, 0 to 1.</summary>
    public required double S { get; init; }
    public required int VisitColumn { get; init; }
    public required int PersonColumn { get; init; }
    public required double? Mm { get; init; }
    public required double? Lower { get; init; }
    public required double? Upper { get; init; }

    /// <summary>q²: what the instrument adds to a reading's own scatter.</summary>
    public required double AddedVariance { get; init; }
    public required bool AsLeft { get; init; }

    /// <summary>An as-found figure that nobody confirmed, beside another reading of its run.</summary>
    public bool MayBeFar { get; set; }

    /// <summary>How likely it is far off, by its valve's own history.</summary>
    public double Far { get; set; }

    /// <summary>From before its valve began to wear another way.</summary>
    public bool PutAside { get; set; }

    /// <summary>ω: below one where the reading is far off or put aside.</summary>
    public double Omega { get; set; } = 1;

    /// <summary>inf: one for a figure, less where only bounds are known.</summary>
    public double Information { get; set; } = 1;

    /// <summary>(σe² + q²)/inf: what it strays by, without its visit.</summary>
    public double Variance { get; set; }

    /// <summary>The figure it enters with.</summary>
    public double Y { get; set; }
    public double Weight { get; set; }

    /// <summary>Fitted minus entered, and the variance of the fit there.</summary>
    public double Residual { get; set; }
    public double Leverage { get; set; }

    public bool HasFigure => Mm is not null;
}

/// <summary>The stretch from one setting of a point to the next.</summary>
internal sealed class WearRun(int number, double? setHours, WearRow[] rows)
{
    public int Number => number;

    public double? SetHours => setHours;

    public WearRow[] Rows => rows;

    /// <summary>Nothing but one-sided readings say no level.</summary>
    public bool HasLevel => rows.Any(r => r.HasFigure || (r.Lower is not null && r.Upper is not null));

    public double Weight { get; set; }
    public double MeanY { get; set; }
    public double MeanT { get; set; }
    public double MeanS { get; set; }

    /// <summary>Mean of each of the engine's columns.</summary>
    public double[] Mean { get; set; } = [];

    /// <summary>The columns it touches.</summary>
    public int[] Columns { get; set; } = [];
}

/// <summary>One point with its runs, and what is known of its own rate.</summary>
internal sealed class WearLine(WearPoint point, int group, WearRun[] runs)
{
    public WearPoint Point => point;

    /// <summary>The group's place among all groups.</summary>
    public int Group => group;

    public WearRun[] Runs => runs;

    public int SlopeColumn { get; set; }
    public int MeanColumn { get; set; }

    /// <summary>−1 where bedding-in is left out.</summary>
    public int BeddingColumn { get; set; }

    public double PriorMean { get; set; }
    public double PriorVariance { get; set; }
    public double Diagonal { get; set; }
    public double[] Coupling { get; set; } = [];
    public double RightSide { get; set; }
    public double Own { get; set; }
    public double OwnVariance { get; set; }

    /// <summary>Its own history as last weighed; null where none was asked.</summary>
    public ValveHistory? History { get; set; }

    /// <summary>More likely than not it wears as its group does.</summary>
    public bool IsOrdinary => History is null || !(History.IsChanged || History.Fast.Share > 0.5);

    public IEnumerable<WearRow> Rows => runs.SelectMany(r => r.Rows);
}

/// <summary>One engine's part of a fit: visits, its own slopes, and the shared columns it touches, in this order.</summary>
internal sealed class WearEngine
{
    public required string Id { get; init; }
    public required double NowHours { get; init; }
    public required double FirstHours { get; init; }
    public required WearVisit[] Visits { get; init; }

    /// <summary>Whether a reading of a run of two or more was taken at the visit.</summary>
    public required bool[] VisitUsed { get; init; }

    /// <summary>λ of each visit.</summary>
    public required double[] Lambda { get; init; }

    /// <summary>The groups it has points of.</summary>
    public required int[] Groups { get; init; }
    public required bool Slopes { get; init; }

    /// <summary>The shared columns it touches.</summary>
    public required int[] Shared { get; init; }
    public required WearLine[] Lines { get; init; }

    /// <summary>Visits and slopes.</summary>
    public int OwnCount => Visits.Length + (Slopes ? Groups.Length : 0);

    public int Count => OwnCount + Shared.Length;
}
