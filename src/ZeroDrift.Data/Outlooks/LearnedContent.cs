using System.Text.Json;
using ZeroDrift.Core.Outlook;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Data.Outlooks;

/// <summary>What is kept of a type's fit: how far things stray, the rates of its kinds, the hands, what all engines said together, and how often its valves begin to fail.</summary>
public sealed record LearnedContent(WearComponents Components, SharedInformation Shared, IReadOnlyList<GroupWear> Groups, IReadOnlyList<HandBias> People, FleetHazard Hazard = default)
{
    /// <summary>Of a type that has not been fitted yet.</summary>
    public static LearnedContent Nothing => new(WearComponents.Start(0), SharedInformation.Empty([], [], true), [], []);

    public static LearnedContent Of(TypeLearned learned) => new(learned.Components, learned.Shared, learned.Groups, learned.People, learned.Hazard);

    public static LearnedContent Of(string json) => JsonSerializer.Deserialize<LearnedContent>(json, JsonSerializerOptions.Web)!;

    public string ToJson() => JsonSerializer.Serialize(this, JsonSerializerOptions.Web);
}

/// <summary>What one engine said of its group's shared unknowns, at full precision: it is taken out again later.</summary>
public static class SaidContent
{
    public static SharedInformation Of(string json) => JsonSerializer.Deserialize<SharedInformation>(json, JsonSerializerOptions.Web)!;

    public static string ToJson(SharedInformation said) => JsonSerializer.Serialize(said, JsonSerializerOptions.Web);
}
