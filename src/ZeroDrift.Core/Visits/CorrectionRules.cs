using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Visits;

/// <summary>What a correction after the signature may put in an entry's place.</summary>
internal static class CorrectionRules
{
    /// <summary>Why it cannot be; null where it can.</summary>
    /// <param name="context">What the visit rests on.</param>
    /// <param name="target">The entry as it stands, earlier corrections in it.</param>
    /// <param name="correction">What is to replace its fields.</param>
    /// <param name="foldedWith">The state with one entry more.</param>
    public static Refusal? Judge(VisitContext context, Entry target, Corrected correction, Func<Entry, VisitFold> foldedWith)
    {
        var read = Attempted.Of(() =>
        {
            if (correction.Fields.Onto(target) is not { } replaced) return EntryRules.Malformed("fields", $"An entry of kind {target.Kind} has none of these fields to correct.");
            if (replaced is Opened opened && EntryRules.Open(context, opened) is { } refused) return refused;
            if (replaced is Tried { CorrectedFigure: null } tried) Reading.FromBlades([tried.Trial]);
            if (replaced is Tried { CorrectedFigure: { } written } t) WrittenFigure.Parse(written, t.Unit, "fields.figure");
            if (replaced is FigureRead figure) ReadingWork.OfFigure(figure, context.Facts.DialConversion);
            return replaced is FigureEntry measured ? Contradiction(measured, foldedWith(correction)) : null;
        });
        return read.Bad is { } bad ? EntryRules.Malformed(bad.Field.StartsWith("fields", StringComparison.Ordinal) ? bad.Field : "fields." + bad.Field, bad.Message) : read.Value;
    }

    private static Refusal? Contradiction(FigureEntry measured, VisitFold after) =>
        after.Readings.TryGetValue(measured.Reading, out var reading) && Attempted.Of(reading.Value).Bad is { } bad
            ? new Refusal(RefusalCode.BladesContradict) { Points = [measured.Point], Detail = bad.Message }
            : null;
}
