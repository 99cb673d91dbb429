using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Hours;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Data.Storage;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Engines;

/// <summary>The hour meters: read, replaced, and a misread one put right with its history kept.</summary>
internal static class MeterEndpoints
{
    public static void MapMeters(this IEndpointRouteBuilder api)
    {
        var meter = api.MapGroup("/engines/{id:guid}/meter-readings").WithTags("Meters").Refuses(400, 404, 409, 503);
        meter.MapPost("/", Read).WithName("read-meter");
        meter.MapPut("/{readingId:guid}", Correct).WithName("correct-meter-reading");
    }

    public static async Task<EngineResponse> Read(Guid id, MeterRequest request, WriteGate gate, Yard yard, FleetDay day, Refits refits, CancellationToken cancelled)
    {
        var today = day.At(id);
        var shown = EngineHours.Of(Given.Number(request.Hours, "hours", "what the meter shows, in hours"));
        var reading = new MeterReading(request.Date ?? today, shown, EngineHours.Of(request.NewMeterShows, "newMeterShows", "What the new meter showed"));
        var rowId = Given.NewId(request.Id);
        var (who, remark) = (Given.OptionalText(request.Who, "who", "who read it", 80), Given.OptionalText(request.Remark, "remark", "the remark"));
        var (response, refit) = await gate.RunAsync(async data =>
        {
            var engine = await EngineAsync(data, id);
            if (await data.MeterReadings.AsNoTracking().FirstOrDefaultAsync(m => m.Id == rowId) is { } stands)
            {
                if (stands.EngineId == id && stands.ShownHours == reading.ShownHours && stands.NewMeterShows == reading.NewMeterShows && (request.Date is null || stands.Date == reading.Date)) return (await EngineView.OfAsync(id, data, yard, day), null);
                throw new ConflictException("differs", "id", "Another reading already stands under that identifier.");
            }
            if (reading.Date > today.AddDays(1)) throw new BadInputException("date", $"{reading.Date:d MMM yyyy} is still to come; give the day the meter was read.");
            var history = await data.MeterReadings.AsNoTracking().Where(m => m.EngineId == id).ToListAsync();
            history.ToHistory().Check(reading);
            data.MeterReadings.Add(new MeterReadingRow { Id = rowId, EngineId = id, Date = reading.Date, ShownHours = reading.ShownHours, NewMeterShows = reading.NewMeterShows, Who = who, Remark = remark });
            return await DoneAsync(data, engine, yard, day);
        }, cancelled);
        refits.Want(refit);
        return response;
    }

    public static async Task<EngineResponse> Correct(Guid id, Guid readingId, MeterCorrectionRequest request, WriteGate gate, Yard yard, FleetDay day, Refits refits, CancellationToken cancelled)
    {
        var (who, why) = (Given.OptionalText(request.Who, "who", "who puts it right", 80), Given.Text(request.Why, "why", "why the reading is put right", 500));
        var newId = Given.NewId(request.Id);
        var (response, refit) = await gate.RunAsync(async data =>
        {
            var engine = await EngineAsync(data, id);
            var wrong = await data.MeterReadings.FirstOrDefaultAsync(m => m.Id == readingId && m.EngineId == id) ?? throw new NotFoundException("This engine's meter has no such reading.");
            if (await data.MeterReadings.AsNoTracking().FirstOrDefaultAsync(m => m.Id == newId) is { } stands)
                return stands.ReplacesId == readingId ? (await EngineView.OfAsync(id, data, yard, day), null) : throw new ConflictException("differs", "id", "Another reading already stands under that identifier.");
            if (wrong.VisitId is not null) throw new ConflictException("readAtVisit", "readingId", "That figure was read when the engine was opened; correct the opening of that visit, and the meter follows.");
            if (wrong.Withdrawn) throw new ConflictException("changedMeanwhile", "readingId", "That reading has been put right already; look at what stands now.");
            wrong.Withdrawn = true;
            var log = new ChangeLog(data, "meter", id, who, why, day.Now);
            if (request.Hours is { } hours)
            {
                var replacing = new MeterReading(request.Date ?? wrong.Date, EngineHours.Of(hours), EngineHours.Of(request.NewMeterShows ?? wrong.NewMeterShows, "newMeterShows", "What the new meter showed"));
                var others = await data.MeterReadings.AsNoTracking().Where(m => m.EngineId == id && m.Id != readingId).ToListAsync();
                if (others.ToHistory().Fit(replacing.Date, replacing.ShownHours) is not MeterFit.Fits) throw new BadInputException("hours", "That figure does not fit between the readings before and after it. Check it and its date.");
                data.MeterReadings.Add(new MeterReadingRow { Id = newId, EngineId = id, Date = replacing.Date, ShownHours = hours, NewMeterShows = replacing.NewMeterShows, Who = who, Remark = wrong.Remark, ReplacesId = readingId, Why = why });
                log.Changed("hours", wrong.ShownHours, hours);
            }
            else
            {
                (wrong.Why, _) = (why, log.Changed("withdrawn", false, true));
            }
            log.Keep();
            return await DoneAsync(data, engine, yard, day);
        }, cancelled);
        refits.Want(refit);
        return response;
    }

    private static async Task<EngineRow> EngineAsync(ZeroDriftContext data, Guid id) => await data.Engines.AsNoTracking().FirstOrDefaultAsync(e => e.Id == id) ?? throw new NotFoundException("There is no such engine.");

    private static async Task<(EngineResponse, Guid?)> DoneAsync(ZeroDriftContext data, EngineRow engine, Yard yard, FleetDay day)
    {
        await data.SaveChangesAsync();
        var again = await OutlookKeeper.RefreshAsync(data, engine.Id, day.Today);
        return (await EngineView.OfAsync(engine.Id, data, yard, day), again ? engine.EngineTypeId : null);
    }
}
