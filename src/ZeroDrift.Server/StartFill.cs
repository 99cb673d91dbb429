using ZeroDrift.Data;
using ZeroDrift.Data.Demo;
using ZeroDrift.Data.Starting;

namespace ZeroDrift.Server;

/// <summary>Brings the data folder to a file that can be served, filled where a demo or a generated fleet was asked for.</summary>
internal static class StartFill
{
    public static async Task OpenAsync(StartSettings settings)
    {
        var today = DemoData.DayAt(DateTimeOffset.UtcNow);
        Func<ZeroDriftContext, Task>? fill = settings.Demo || settings.FleetSize is not null
            ? data => DemoData.FillAsync(data, today, settings.FleetSize, settings.Years, Say)
            : null;
        var opened = await DataFile.OpenAsync(settings.Data, DateTime.UtcNow, Say, fill);
        if (opened.Backup is not null) Say($"The data file was brought up to date; the file as it was is kept as {opened.Backup}");
    }

    private static void Say(string sentence) => Console.WriteLine("▸ " + sentence);
}
