using System.Text.Json;
using ZeroDrift.Contract;
using ZeroDrift.Contract.Visits;

namespace ZeroDrift.Tablet.Tests;

/// <summary>A tablet, or the store, may hold contexts from before a field was thought of.</summary>
public sealed class OldContextTests
{
    [Fact]
    public void A_context_without_the_later_fields_has_their_usual_values()
    {
        var old = JsonSerializer.SerializeToNode(TwinContext.Record, ContractJson.Rules)!.AsObject();
        foreach (var later in (string[])["fleetRisk", "feelSdMm", "nextVisitHours", "ownFeel", "sharedSdMm", "meter", "awaiting", "marks"]) old.Remove(later);
        old["type"]!.AsObject().Remove("coldMaxC");

        var read = JsonSerializer.Deserialize<ContextRecord>(old.ToJsonString(), ContractJson.Rules)!;

        Assert.Equal((0.05, Core.Measuring.Reading.DefaultFeelSdMm, 40.0), (read.FleetRisk, read.FeelSdMm, read.Type.ColdMaxC));
        Assert.Empty(read.OwnFeel);
        Assert.Empty(read.Marks);
        Assert.NotNull(read.ToCore());
    }
}
