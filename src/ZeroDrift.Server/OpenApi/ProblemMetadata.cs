using ZeroDrift.Contract.Input;

namespace ZeroDrift.Server.OpenApi;

/// <summary>Says in the document which problems an endpoint answers with.</summary>
internal static class ProblemMetadata
{
    public static T Refuses<T>(this T builder, params int[] statuses) where T : IEndpointConventionBuilder
    {
        foreach (var status in statuses) builder.WithMetadata(new ProducesResponseTypeMetadata(status, typeof(Problem), [Problem.ContentType]));
        return builder;
    }
}
