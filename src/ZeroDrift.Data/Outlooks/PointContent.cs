using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Outlook;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Data.Outlooks;

/// <summary>
/// What is kept of where a point is heading: one record from the fit to the engine's page, its drift and a visit's context, so that what is told of
/// a point is added here and where it is shown.
/// </summary>
public record PointContent
{
    public string Label { get; init; } = "";
    public double? MinMm { get; init; }
    public double? MaxMm { get; init; }
    public double? SetMm { get; init; }
    public double? LastMm { get; init; }
    public double? ExpectedMm { get; init; }
    public double? ExpectedSdMm { get; init; }

    /// <summary>How far a reading to come may stray from what is expected, as a standard deviation: it strays too.</summary>
    public double? ReadingSdMm { get; init; }
    public VerdictState? Standing { get; init; }
    public double? MmPer1000h { get; init; }
    public double? StandardErrorMmPer1000h { get; init; }
    public bool UnlikeSiblings { get; init; }

    /// <summary>The chance that it wears three times as fast as its siblings.</summary>
    public double FastProbability { get; init; }

    /// <summary>The chance that it has begun to wear another way, and the last visit before it did, where that is named.</summary>
    public double ChangeProbability { get; init; }
    public Guid? ChangedAfterVisit { get; init; }
    public double? ChangedAfterHours { get; init; }

    /// <summary>What was found last, and what was expected then; null where nothing expected it.</summary>
    public double? LastFoundMm { get; init; }
    public double? LastExpectedMm { get; init; }

    /// <summary>As it was left last, and the engine hours then; null where it never was.</summary>
    public double? BeforeMm { get; init; }
    public double? BeforeHours { get; init; }

    /// <summary>Enough is known of it, or of its kind, to date it.</summary>
    public bool Dated { get; init; }

    /// <summary>The figure that lasts longest, and the hours it gives the engine over the book's.</summary>
    public double? AimMm { get; init; }
    public double? AimGainHours { get; init; }
    public double? HoursToRisk { get; init; }
    public LimitSide? Side { get; init; }

    /// <summary>What a picture of the heads shows: as found where that stands out of its window, else what is expected today, else the last.</summary>
    public ShownFigure? Shown { get; init; }

    /// <summary>Where it heads from whatever figure it is left at; null until readings have said how fast its kind wears.</summary>
    public FreshAhead? FromHere { get; init; }

    /// <summary>The forecast as it is drawn, nine in ten; empty without one.</summary>
    public IReadOnlyList<FanStep> Fan { get; init; } = [];

    /// <summary>What a visit takes along of it; null where it was never left and nothing is expected of it.</summary>
    public ExpectedRecord? ToExpected() => BeforeMm is null && ExpectedMm is null ? null
        : new ExpectedRecord(Label, ExpectedMm, ReadingSdMm, MmPer1000h, StandardErrorMmPer1000h, BeforeMm, BeforeHours, AimMm, AimGainHours) { FromHere = FromHere };
}
