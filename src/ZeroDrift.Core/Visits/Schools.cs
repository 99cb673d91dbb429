using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Visits;

/// <summary>How an adjuster is held and felt while it is set and its nut is tightened: a screw, a bolt or an eccentric.</summary>
public enum SettingManner
{
    /// <summary>Blade out: small turns, lock, try.</summary>
    BladeOut,

    /// <summary>The set blade stays in while locking; its drag after locking is the as-left.</summary>
    BladeIn,

    /// <summary>Snug on the blade one size up, then the right one slides with a trace of drag. An aid: the size up is never the as-left.</summary>
    OneSizeUp,

    /// <summary>Blade in, the adjuster in until it nips, then back off until the drag is right.</summary>
    LimitAndBackOff,
}

/// <summary>The ways of working beside the school of positions: a book says how it does it, and whoever works chooses otherwise.</summary>
public sealed record Schools
{
    /// <summary>Order of the points at a stop.</summary>
    public PointOrder Order { get; init; }

    /// <summary>Stop by stop or point by point; null for what suits the adjuster.</summary>
    public SettingOrder? Setting { get; init; }

    /// <summary>How a reading is judged.</summary>
    public JudgingSchool Judging { get; init; }

    /// <summary>Where all are brought to one figure: how near is near enough, mm. Of the book, not of the day.</summary>
    public double SameWithinMm { get; init; } = Judgement.DefaultSameWithinMm;

    /// <summary>How a screw is locked.</summary>
    public SettingManner Manner { get; init; }

    /// <summary>Blades, or a dial on the rocker.</summary>
    public MeasuringMeans Measuring { get; init; }

    /// <summary>As a type's book works.</summary>
    public static Schools Of(TypeFacts book) => new() { Order = book.Order, Setting = book.Setting, Judging = book.Judging, Manner = book.Manner, Measuring = book.Measuring, SameWithinMm = book.SameWithinMm ?? Judgement.DefaultSameWithinMm };

    /// <summary>The same with what somebody chose otherwise; null leaves what is in force.</summary>
    public Schools With(PointOrder? order, SettingOrder? setting, JudgingSchool? judging, SettingManner? manner, MeasuringMeans? measuring) => this with
    {
        Order = order ?? Order,
        Setting = setting ?? Setting,
        Judging = judging ?? Judging,
        Manner = manner ?? Manner,
        Measuring = measuring ?? Measuring,
    };
}
