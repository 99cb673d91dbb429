using System.Globalization;
using BenchmarkDotNet.Running;
using ZeroDrift.Bench;

// dotnet run -c Release --project bench -- turning | drift [FILE] | wear [ENGINES] | simulate [SEEDS] | schedule | shims | scale [YEARS SIZE…] | scale-at DIR | kills [N] | tablet [TAPS]
switch (args.FirstOrDefault())
{
    case "turning":
        BenchmarkRunner.Run<TurningBench>();
        break;
    case "drift":
        DriftBench.Run(args.ElementAtOrDefault(1));
        break;
    case "simulate":
        SimulationBench.Run(Number(1, 3));
        break;
    case "wear":
        WearBench.Run(Number(1, 2000));
        break;
    case "schedule":
        ScheduleBench.Run();
        break;
    case "shims":
        ShimBench.Run();
        break;
    case "scale":
        await ScaleBench.RunAsync(Number(1, 20), args.Length > 2 ? [.. args.Skip(2).Select(a => int.Parse(a, CultureInfo.InvariantCulture))] : [20, 200, 2000]);
        break;
    case "scale-at":
        await ScaleBench.AtAsync(args[1]);
        break;
    case "kills":
        await KillBench.RunAsync(Number(1, 100));
        break;
    case "tablet":
        await TabletBench.RunAsync(Number(1, 40));
        break;
    default:
        Console.WriteLine("turning | drift [FILE] | wear [ENGINES] | simulate [SEEDS] | schedule | shims | scale [YEARS SIZE…] | scale-at DIR | kills [N] | tablet [TAPS]");
        break;
}

int Number(int at, int otherwise) => args.Length > at ? int.Parse(args[at], CultureInfo.InvariantCulture) : otherwise;
