using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core.Hours;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Projections;
using ZeroDrift.Data.Writing;
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

    public static async Task<EngineResponse> Read(Guid id, MeterRequest request, WriteGate gate, Yard yard, FleetDay day, CancellationToken cancelled)
    {
        var today = day.At(id);
        var shown = EngineHours.Of(Given.Number(request.Hours, "hours", "what the meter shows, in hours"));
        var reading = new MeterReading(request.Date ?? today, shown, EngineHours.Of(request.NewMeterShows, "newMeterShows", "What the new meter showed"));
        var rowId = Given.NewId(request.Id);
        var (who, remark) = (Given.OptionalText(request.Who, "who", "who read it", 80), Given.OptionalText(request.Remark, "remark", "the remark"));
        return await gate.RunAsync(async data =>
        {
            await RequireAsync(data, id);
            if (await data.MeterReadings.AsNoTracking().FirstOrDefaultAsync(m => m.Id == rowId) is { } stands)
            {
                if (stands.EngineId == id && stands.ShownHours == reading.ShownHours && stands.NewMeterShows == reading.NewMeterShows && (request.Date is null || stands.Date == reading.Date)) return await EngineView.OfAsync(id, data, yard, day);
                throw new ConflictException("differs", "id", "Another reading already stands under that identifier.");
            }
            var history = await data.MeterAsync(id);
            if (history.ToHistory().Misfit(reading, today) is { } misfit) throw misfit.Complaint();
            data.MeterReadings.Add(new MeterReadingRow { Id = rowId, EngineId = id, Date = reading.Date, ShownHours = reading.ShownHours, NewMeterShows = reading.NewMeterShows, Who = who, Remark = remark });
            return await DoneAsync(data, id, yard, day);
        }, cancelled);
    }

    public static async Task<EngineResponse> Correct(Guid id, Guid readingId, MeterCorrectionRequest request, WriteGate gate, Yard yard, FleetDay day, CancellationToken cancelled)
    {
        var (who, why) = (Given.OptionalText(request.Who, "who", "who puts it right", 80), Given.Text(request.Why, "why", "why the reading is put right", 500));
        var newId = Given.NewId(request.Id);
        return await gate.RunAsync(async data =>
        {
            await RequireAsync(data, id);
            var wrong = await data.MeterReadings.FirstOrDefaultAsync(m => m.Id == readingId && m.EngineId == id) ?? throw new NotFoundException("This engine's meter has no such reading.");
            if (await data.MeterReadings.AsNoTracking().FirstOrDefaultAsync(m => m.Id == newId) is { } stands)
                return stands.ReplacesId == readingId ? await EngineView.OfAsync(id, data, yard, day) : throw new ConflictException("differs", "id", "Another reading already stands under that identifier.");
            if (wrong.VisitId is not null) throw new ConflictException("readAtVisit", "readingId", "That figure was read when the engine was opened; correct the opening of that visit, and the meter follows.");
            if (wrong.Withdrawn) throw new ConflictException("changedMeanwhile", "readingId", "That reading has been put right already; look at what stands now.");
            var history = (await data.MeterAsync(id)).ToHistory();
            wrong.Withdrawn = true;
            var log = new ChangeLog(data, "meter", id, who, why, day.Now);
            if (request.Hours is { } hours)
            {
                var replacing = new MeterReading(request.Date ?? wrong.Date, EngineHours.Of(hours), EngineHours.Of(request.NewMeterShows ?? wrong.NewMeterShows, "newMeterShows", "What the new meter showed"));
                if (history.MisfitInstead(wrong.ToReading(), replacing, day.At(id)) is { } misfit) throw misfit.Complaint();
                data.MeterReadings.Add(new MeterReadingRow { Id = newId, EngineId = id, Date = replacing.Date, ShownHours = hours, NewMeterShows = replacing.NewMeterShows, Who = who, Remark = wrong.Remark, ReplacesId = readingId, Why = why });
                log.Changed("hours", wrong.ShownHours, hours);
            }
            else
            {
                if (history.MisfitWithout(wrong.ToReading()) is { } gap) throw new ConflictException("readingsRestOn", "readingId", $"Without it the readings after it do not go on from those before: {gap.Sentence()} Put it right instead, or withdraw the later ones first.");
                (wrong.Why, _) = (why, log.Changed("withdrawn", false, true));
            }
            log.Keep();
            return await DoneAsync(data, id, yard, day);
        }, cancelled);
    }

    private static async Task RequireAsync(ZeroDriftContext data, Guid id)
    {
        if (!await data.Engines.AnyAsync(e => e.Id == id)) throw new NotFoundException("There is no such engine.");
    }

    private static async Task<EngineResponse> DoneAsync(ZeroDriftContext data, Guid id, Yard yard, FleetDay day)
    {
        await Projector.BringUpAsync(data, day.Today);
        return await EngineView.OfAsync(id, data, yard, day);
    }
}
