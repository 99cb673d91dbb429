using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Sheets;

namespace ZeroDrift.Server.Hours;

/// <summary>Asks the address of the settings for a telematics document every so often, and takes what it says like any other file.</summary>
internal sealed class HoursFeed(IServiceScopeFactory scopes, WriteGate gate, FleetDay day, ILogger<HoursFeed> log) : BackgroundService
{
    private static readonly TimeSpan LookEvery = TimeSpan.FromMinutes(1);

    private readonly HttpClient http = new(new SocketsHttpHandler { MaxAutomaticRedirections = 3 }) { Timeout = TimeSpan.FromSeconds(30), MaxResponseContentBufferSize = UploadedFile.MostBytes };
    private readonly SemaphoreSlim asking = new(1, 1);

    /// <summary>Asks now; what came of it stands in the feed's row.</summary>
    public async Task AskAsync(CancellationToken cancelled)
    {
        await asking.WaitAsync(cancelled);
        try
        {
            if (await RowAsync() is not { Address: { } address }) return;
            var (said, answered) = await AnswerAsync(address, cancelled);
            await gate.RunAsync(async data =>
            {
                var row = await data.HoursFeeds.SingleAsync();
                (row.AskedAt, row.Said) = (day.Now, said);
                if (answered) row.AnsweredAt = day.Now;
                return true;
            }, CancellationToken.None);
        }
        finally
        {
            asking.Release();
        }
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var timer = new PeriodicTimer(LookEvery);
        try
        {
            while (await timer.WaitForNextTickAsync(stoppingToken))
            {
                var row = await RowAsync();
                if (row?.Address is not null && (row.AskedAt is not { } before || day.Now - before >= TimeSpan.FromMinutes(row.EveryMinutes))) await AskAsync(stoppingToken);
            }
        }
        catch (OperationCanceledException)
        {
            // The server stops.
        }
        catch (Exception fault)
        {
            log.LogError(fault, "Hours are not asked for any more until the next start.");
        }
    }

    public override void Dispose()
    {
        http.Dispose();
        asking.Dispose();
        base.Dispose();
    }

    private async Task<HoursFeedRow?> RowAsync()
    {
        await using var scope = scopes.CreateAsyncScope();
        return await scope.ServiceProvider.GetRequiredService<ZeroDriftContext>().HoursFeeds.AsNoTracking().SingleOrDefaultAsync();
    }

    private async Task<(string Said, bool Answered)> AnswerAsync(string address, CancellationToken cancelled)
    {
        try
        {
            var file = HoursFile.Read(await http.GetByteArrayAsync(new Uri(address), cancelled), day.Today);
            var report = await HoursEndpoints.TakeAsync(file.Form, file.Figures, "telematics", null, gate, day, cancelled);
            return ($"{report.Taken} taken, {report.Known} known already, {report.Waiting} wait to be decided.", true);
        }
        catch (BadInputException bad)
        {
            return (bad.Message, false);
        }
        catch (Exception unreachable) when (unreachable is HttpRequestException or TaskCanceledException && !cancelled.IsCancellationRequested)
        {
            return ($"The address did not answer: {(unreachable is HttpRequestException { StatusCode: { } status } ? $"it said {(int)status}" : unreachable is TaskCanceledException ? "nothing within 30 s" : "nobody is there")}.", false);
        }
    }
}
