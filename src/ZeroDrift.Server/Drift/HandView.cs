using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Data.Visits;
using ZeroDrift.Server.Errors;

namespace ZeroDrift.Server.Drift;

/// <summary>One person's hand: repeats and checks, and what the fits of all types say of it.</summary>
internal static class HandView
{
    public static async Task<HandResponse> OfAsync(Guid id, ZeroDriftContext data, CancellationToken cancelled = default)
    {
        var person = await data.People.AsNoTracking().FirstOrDefaultAsync(p => p.Id == id, cancelled) ?? throw new NotFoundException("There is no such person.");
        var fleet = await data.SettingsAsync();
        var hand = await Hands.OfAsync(data, id, fleet.FeelSdMm);
        var (weight, sum) = (0.0, 0.0);
        foreach (var learned in await data.TypeFits.AsNoTracking().Select(f => f.Learned).ToListAsync(cancelled))
        {
            if (LearnedContent.Of(learned).People.FirstOrDefault(p => p.Person == id.ToString()) is not { StandardErrorMm: > 0 } bias) continue;
            var w = 1 / (bias.StandardErrorMm * bias.StandardErrorMm);
            weight += w;
            sum += w * bias.BiasMm;
        }
        return new HandResponse
        {
            PersonId = id,
            Person = person.Name,
            RepeatSdMm = hand.RepeatSdMm,
            UsualSdMm = fleet.FeelSdMm,
            Repeats = hand.Repeats,
            OnKnownGaps = hand.OnKnownGaps,
            BesideOthers = hand.BesideOthers,
            BiasMm = weight > 0 ? sum / weight : null,
            BiasErrorMm = weight > 0 ? 1 / Math.Sqrt(weight) : null,
        };
    }
}
