using System.Globalization;
using System.Text.Json.Nodes;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Contract.Visits;

/// <summary>The sentence of each refusal, worded once.</summary>
public static class RefusalWords
{
    /// <summary>A problem document of a refusal.</summary>
    public static Problem Problem(this Refusal refusal)
    {
        var facts = new JsonObject();
        if (refusal.Points is { } points) facts["points"] = List(points);
        if (refusal.Steps is { } steps) facts["steps"] = List(steps);
        if (refusal.Look is { Blades.Count: > 0 } look) facts["tryBlades"] = List(look.Blades);
        if (refusal.VisitId is { } visit) facts["visitId"] = visit.ToString();
        var status = refusal.Code switch
        {
            RefusalCode.Malformed => 400,
            RefusalCode.EngineOpen or RefusalCode.Differs or RefusalCode.AlreadySigned or RefusalCode.Abandoned => 409,
            _ => 422,
        };
        var sentence = Sentence(refusal);
        return Input.Problem.Whole(status, refusal.Code, sentence, facts) with { Errors = refusal.Field is { } field ? new Dictionary<string, string[]> { [field] = [sentence] } : null };
    }

    /// <summary>What is wrong and what would be right.</summary>
    public static string Sentence(this Refusal refusal)
    {
        var points = string.Join(", ", refusal.Points ?? []);
        return refusal.Code switch
        {
            RefusalCode.Malformed => refusal.Detail ?? "The entry does not fit the contract.",
            RefusalCode.NotOpened => "This visit is not opened yet.",
            RefusalCode.StepMissing => $"Not ticked off: {Steps(refusal)}.",
            RefusalCode.StepUnknown => "There is no such step on the lists of this visit.",
            RefusalCode.ConditionMissing => refusal.Field is null
                ? "Nobody has said yet whether the engine is cold."
                : "That is not the condition of the figures: warm valves read tight. Let it stand until it is as cold as the room, or measure all the same and keep the visit out of the trend.",
            RefusalCode.StopNotProved => $"The position for {points} is not proved: bar to its stop and prove it, or say that it is measured without proof.",
            RefusalCode.EngineOpen => "This engine is open already. Go on with that visit.",
            RefusalCode.EngineUnknown => "There is no such engine.",
            RefusalCode.AlreadySigned => "This visit is signed already.",
            RefusalCode.NotSigned => "This visit is not signed yet: change the figure instead of correcting it.",
            RefusalCode.Abandoned => "This visit was given up; nothing is added to it.",
            RefusalCode.PointUnknown => $"This engine has no point {points}.",
            RefusalCode.PersonUnknown => "Nobody of that name is known here; add the person first.",
            RefusalCode.EntryUnknown => "There is no such entry, or it was taken back.",
            RefusalCode.ReadingEmpty => "Nothing is measured yet: tap a blade and how it felt, or type a figure.",
            RefusalCode.BladesContradict => refusal.Detail ?? "Two blades contradict each other: try both again and take one back.",
            RefusalCode.FigureDoubtful => $"{points} {Doubt(refusal)}; if it is so, say that you are sure.",
            RefusalCode.FoundMissing => points.Length == 0 ? "Nothing has been measured yet." : $"Not measured as found: {points}.",
            RefusalCode.LeftMissing => $"Out of the window or undecided, and not set or explained: {points}.",
            RefusalCode.PartsNotCounted => "What was taken out is not all counted back in: count the small parts again.",
            RefusalCode.NotYours => "A second signature is somebody else's: not of who measured or signed.",
            RefusalCode.RestsOn => points.Length == 0 ? "Something later rests on it: take that back first." : $"A later entry at {points} rests on it: take that back first.",
            RefusalCode.Differs => "Something else is already written under that identifier.",
            RefusalCode.HoursBackwards or RefusalCode.DateImpossible => refusal.Meter?.Sentence() ?? "That day cannot be right.",
            _ => "This is refused.",
        };
    }

    /// <summary>The steps by what they say, where that is known; else by their names.</summary>
    private static string Steps(Refusal refusal) => string.Join("; ", (refusal.StepTexts ?? refusal.Steps ?? []).Select(t => t.TrimEnd('.', ':')));

    private static string Doubt(Refusal refusal) => refusal switch
    {
        { Turns: { } turns } => $"was turned by {turns.ToString("0.##", CultureInfo.InvariantCulture)} turns, more than {Turned.MostUnasked:0} are never meant. Look at the figure again",
        { Apart: { } apart } => $"dragged on {SaidLength.Figure(apart.ThinMm, apart.Unit)} and on {SaidLength.Gap(apart.ThickMm, apart.Unit)}, too far apart for one gap. Try both again and take one back",
        { Pull: { } pull } => $"would have {(pull.Mm > 0 ? "closed" : "opened")} by {SaidLength.Gap(Math.Abs(pull.Mm), pull.Unit)} as its nut was tightened, more than any nut pulls. Measure it again, or hold the screw and lock it once more",
        { Look: { } look } => $"reads {(look.ReadsTight ? "tighter" : "looser")} than expected, which was about {Figure(look.ExpectedMm, look.Unit, "0.00")} {WrittenFigure.Name(look.Unit)}. Look again{Blades(look)}",
        { Outside: { IsLeft: true } outside } => $"would be left outside what is asked, {Range(outside)}. Measure it again",
        { Outside: { } outside } => $"reads far from what is asked, {Range(outside)}. Check the unit and look again",
        _ => "reads otherwise than it should. Look again",
    };

    private static string Range(OutsideWindow outside) => $"{Figure(outside.Window.MinMm, outside.Unit)} to {Figure(outside.Window.MaxMm, outside.Unit)} {WrittenFigure.Name(outside.Unit)}";

    private static string Figure(double mm, LengthUnit unit, string inMillimetres = "0.00#") => unit == LengthUnit.Thou
        ? Length.OfMillimetres(mm).Thou.ToString("0.#", CultureInfo.InvariantCulture)
        : mm.ToString(inMillimetres, CultureInfo.InvariantCulture);

    private static string Blades(SecondLook look) => look.Blades.Count == 0 ? "" : $" with the {string.Join(" blade, then the ", look.Blades)} blade";

    private static JsonArray List(IReadOnlyList<string> items) => new([.. items.Select(i => (JsonNode)JsonValue.Create(i))]);
}
