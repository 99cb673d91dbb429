using BenchmarkDotNet.Running;
using ZeroDrift.Bench;

// dotnet run -c Release --project bench -- turning | drift [FILE] | schedule | yard URL
switch (args.FirstOrDefault())
{
    case "turning":
        BenchmarkRunner.Run<TurningBench>();
        break;
    case "drift":
        DriftBench.Run(args.ElementAtOrDefault(1));
        break;
    case "schedule":
        ScheduleBench.Run();
        break;
    case "yard":
        await YardLoad.RunAsync(args.ElementAtOrDefault(1) ?? "http://127.0.0.1:8321");
        break;
    default:
        Console.WriteLine("turning | drift [FILE] | schedule | yard URL");
        break;
}
