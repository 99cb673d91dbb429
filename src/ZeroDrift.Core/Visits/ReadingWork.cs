using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Visits;

/// <summary>A reading as it grows try by try, and as it is kept.</summary>
public sealed class ReadingWork
{
    private readonly List<Tried> tries = [];
    private readonly VisitContext context;
    private readonly Tray? tray;
    private bool figureLast;

    internal ReadingWork(FigureEntry first, VisitContext context, Tray? tray)
    {
        (Id, Point, Stage, this.context, this.tray) = (first.Reading, first.Point, first.Stage, context, tray);
    }

    /// <summary>Its identifier.</summary>
    public Guid Id { get; }

    /// <summary>The point's label.</summary>
    public string Point { get; }

    /// <summary>When in the work.</summary>
    public ReadingStage Stage { get; }

    /// <summary>Every try, in order.</summary>
    public IReadOnlyList<Tried> Tries => tries;

    /// <summary>The figure given, if one was.</summary>
    public FigureRead? Figure { get; private set; }

    /// <summary>How it became a fact; null while it grows.</summary>
    public Kept? Kept { get; internal set; }

    /// <summary>The attempt it belongs to, 1 first, once the adjuster was turned after it; null while it stands.</summary>
    public int? Closed { get; internal set; }

    /// <summary>Who measured it: who kept it, else who tried last.</summary>
    public Guid By => Kept?.By ?? lastBy;

    /// <summary>Some of it was measured without proof of the position.</summary>
    public bool Unproved { get; private set; }

    /// <summary>The tries that the figure rests on; none where one was read off.</summary>
    public IReadOnlyList<BladeTrial> Trials => figureLast || tries.Exists(t => t.CorrectedFigure is not null) ? [] : [.. tries.Select(t => t.Trial)];

    /// <summary>Something was read.</summary>
    public bool SaysSomething => tries.Count > 0 || Figure is not null;

    /// <summary>The last entry it rests on; what a correction corrects.</summary>
    public Guid LastEntry { get; private set; }

    /// <summary>When that was made.</summary>
    public DateTimeOffset LastAt { get; private set; }

    private Guid lastBy;

    /// <summary>What it says. An amount (turns, a height, a torque) says no clearance.</summary>
    /// <exception cref="BadInputException">Blades that contradict each other, or a figure that is none.</exception>
    public Reading Value()
    {
        if (figureLast && Figure is { } figure) return OfFigure(figure, context.Facts.DialConversion);
        if (tries.FindLast(t => t.CorrectedFigure is not null) is { } corrected) return WrittenFigure.Parse(corrected.CorrectedFigure!, corrected.Unit, "figure");
        return tries.Count == 0 ? Reading.Nothing : Reading.FromBlades([.. tries.Select(t => t.Trial)], context.FeelSdOf(tries[^1].By));
    }

    /// <summary>The same, or nothing where it contradicts itself.</summary>
    public Reading ValueOrNothing() => Attempted.Of(Value).Value ?? Reading.Nothing;

    /// <summary>The judgement of it; null where there is nothing to judge by or nothing said.</summary>
    public Judgement? Judge(Demand.Gap? gap, JudgingSchool school = JudgingSchool.Window, double sameWithinMm = Judgement.DefaultSameWithinMm)
    {
        var value = ValueOrNothing();
        return gap is null || value is { EstimateMm: null, LowerMm: null, UpperMm: null } ? null : Judgement.Of(value, Trials, InBlades(gap), school, sameWithinMm: sameWithinMm);
    }

    /// <summary>What is asked, said in the blades that were tried: of two units the blade that stands for a figure is the figure.</summary>
    private Demand.Gap InBlades(Demand.Gap gap) => context.Rules < VisitContext.BladesStandForFigures || Trials.Count == 0 ? gap
        : tray is { } own && own.Unit == tries[^1].Unit ? gap.InBlades(own.BladesMm, own.Unit) : gap.InBlades([.. Trials.SelectMany(t => t.BladesMm)], tries[^1].Unit);

    internal void Add(FigureEntry entry)
    {
        Unproved |= entry.Unproved;
        LastEntry = entry.Id;
        lastBy = entry.By;
        LastAt = entry.At;
        figureLast = entry is FigureRead;
        if (entry is Tried tried) tries.Add(tried);
        else if (entry is FigureRead figure) Figure = figure;
    }

    internal static Reading OfFigure(FigureRead figure, double? dialConversion)
    {
        if (figure.With is FigureSource.Height or FigureSource.Torque or FigureSource.Turns)
        {
            if (!double.TryParse(figure.Figure.Replace(',', '.'), System.Globalization.NumberStyles.AllowDecimalPoint, System.Globalization.CultureInfo.InvariantCulture, out _))
                throw new BadInputException("figure", $"'{figure.Figure}' is not a figure; write it like 0.5.");
            return Reading.Nothing;
        }
        var unit = WrittenFigure.Unit(figure.Unit);
        if (figure.With == FigureSource.Figure) return WrittenFigure.Parse(figure.Figure, unit, "figure");
        var conversion = dialConversion ?? throw new BadInputException("with", "This type has no factor from dial travel to clearance; give the clearance, or add the factor to the book.");
        return Reading.FromDial(Lengths.Length.Parse(figure.Figure, unit, "figure").Millimetres, conversion);
    }

    internal FigureView View() => new(Id, ValueOrNothing(), Kept!.By, Kept.At);
}
