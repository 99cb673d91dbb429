using ZeroDrift.Data;
using ZeroDrift.Server.OpenApi;

namespace ZeroDrift.Server.Shims.Bench;

/// <summary>The bench: which shim would go where.</summary>
internal static class BenchEndpoints
{
    public static void MapShimBench(this IEndpointRouteBuilder api) => api.MapPost("/shim-bench", Work).WithTags("Shims").WithName("shim-bench").Refuses(400, 404);

    public static async Task<BenchResponse> Work(BenchRequest request, ZeroDriftContext data, CancellationToken cancelled) => await (await BenchView.OfAsync(data, request, cancelled)).ResponseAsync(data, cancelled);
}
