namespace ZeroDrift.Server.Calculators;

/// <summary>The calculators of the core over HTTP: stateless, nothing kept.</summary>
internal static class CalculatorEndpoints
{
    public static void MapCalculators(this IEndpointRouteBuilder api)
    {
        var calc = api.MapGroup("/calc").WithTags("Calculators").ProducesProblem(400);
        calc.MapPost("/turning-plan", TurningCalculator.Plan);
        calc.MapPost("/position", TurningCalculator.Position);
        calc.MapPost("/lobe-away", TurningCalculator.LobeAway);
        calc.MapPost("/piston-travel", TurningCalculator.Travel);
        calc.MapPost("/rim", TurningCalculator.Rim);
        calc.MapPost("/length", MeasuringCalculator.Length);
        calc.MapPost("/reading", MeasuringCalculator.Reading);
        calc.MapPost("/next-blade", MeasuringCalculator.NextBlade);
        calc.MapPost("/dial", MeasuringCalculator.Dial);
        calc.MapPost("/verdict", MeasuringCalculator.Verdict);
        calc.MapPost("/screw", MeasuringCalculator.Screw);
        calc.MapPost("/creep", MeasuringCalculator.Creep);
        calc.MapPost("/mid-lift", MeasuringCalculator.MidLift);
        calc.MapPost("/shim", MeasuringCalculator.Shim);
        calc.MapPost("/preload", MeasuringCalculator.Preload);
        calc.MapPost("/drift", DriftCalculator.Drift);
        calc.MapPost("/forecast", DriftCalculator.Forecast);
        calc.MapPost("/hours", HoursCalculator.Hours);
        calc.MapPost("/schedule", ScheduleCalculator.Plan);
    }
}
